package vocalis.workbench.health;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.function.UnaryOperator;
import vocalis.sound.device.Devices;
import vocalis.sound.device.InputLine;
import vocalis.sound.device.OutputLine;
import vocalis.workbench.base.Places;

/**
 * Looks at what the program needs of a machine: Java, sound out and in, a display, folders that can
 * be written, room on the disk. Opens devices and writes small files that it takes away again;
 * changes nothing else.
 */
public final class Doctor {

    private static final int LEAST_JAVA = 17;
    private static final double RATE = 48_000;
    private static final int BUFFER = 4800;

    /** Room under which recordings and copies will soon fail, in bytes. */
    private static final long LITTLE_ROOM = 200L << 20;

    /** How grave a finding is. */
    public enum State {
        WELL,
        /** The program works without it. */
        LACKS,
        /** The program does not work, or loses work. */
        BROKEN
    }

    /**
     * One thing looked at.
     *
     * @param what such as "Sound out"
     * @param says how it is, in a few words
     * @param todo what to do; empty where all is well
     */
    public record Finding(String what, State state, String says, String todo) {}

    /** What a machine is made of, so that another can be stood in for it. */
    public record Machine(
            int java,
            String system,
            UnaryOperator<String> environment,
            OutputLine.Opener output,
            InputLine.Opener input) {

        /** This one. */
        public static Machine here() {
            return new Machine(
                    Runtime.version().feature(),
                    System.getProperty("os.name", ""),
                    System::getenv,
                    Devices.opener(Devices.DEFAULT),
                    Devices.input(Devices.DEFAULT));
        }
    }

    private Doctor() {}

    /** All that is looked at, in the order to read it. */
    public static List<Finding> look(Machine m, Places places) {
        List<Finding> all = new ArrayList<>();
        all.add(java(m));
        all.add(display(m));
        all.add(output(m));
        all.add(input(m));
        all.add(folder("Riffs and shapes", places.data()));
        all.add(folder("Settings", places.settings()));
        all.add(folder("Log", places.log()));
        all.add(room(places.data()));
        return all;
    }

    private static Finding well(String what, String says) {
        return new Finding(what, State.WELL, says, "");
    }

    private static Finding java(Machine m) {
        return m.java() >= LEAST_JAVA
                ? well("Java", String.valueOf(m.java()))
                : new Finding(
                        "Java",
                        State.BROKEN,
                        m.java() + " is too old",
                        "Install Java 17 or newer.");
    }

    private static Finding display(Machine m) {
        boolean linux = m.system().toLowerCase(Locale.ROOT).contains("linux");
        String display = m.environment().apply("DISPLAY");
        if (!linux) {
            return well("Display", "the system's own");
        }
        if (display == null || display.isEmpty()) {
            return new Finding(
                    "Display",
                    State.LACKS,
                    "none: DISPLAY is not set",
                    "Start it from a desktop. The commands work without one.");
        }
        return well("Display", display);
    }

    private static Finding output(Machine m) {
        try {
            m.output().open(RATE, BUFFER).close();
            return well("Sound out", "opens at 48 kHz");
        } catch (OutputLine.NoDevice e) {
            return new Finding(
                    "Sound out",
                    State.LACKS,
                    e.getMessage(),
                    "Plug in or switch on what plays, and see that no other program holds it."
                            + " Riffs can be written and exported without.");
        }
    }

    private static Finding input(Machine m) {
        try {
            m.input().open(RATE, BUFFER).close();
            return well("Sound in", "opens at 48 kHz");
        } catch (OutputLine.NoDevice e) {
            return new Finding(
                    "Sound in",
                    State.LACKS,
                    e.getMessage(),
                    "Plug the guitar's interface in, or let the system hear it."
                            + " Only listening needs it.");
        }
    }

    private static Finding folder(String what, Path folder) {
        Path there = nearest(folder);
        try {
            Files.delete(Files.createTempFile(there, "vocalis", ".probe"));
            return well(what, folder.toString());
        } catch (IOException e) {
            return new Finding(
                    what,
                    State.BROKEN,
                    folder + " cannot be written",
                    Files.isDirectory(there)
                            ? "Make "
                                    + there
                                    + " yours to write to; until then nothing is kept there."
                            : "A file lies where a folder should be: move " + there + " away.");
        }
    }

    /** The folder, or what there is of the way to it: it is made when it is first needed. */
    private static Path nearest(Path folder) {
        Path there = folder.toAbsolutePath();
        while (!Files.exists(there) && there.getParent() != null) {
            there = there.getParent();
        }
        return there;
    }

    private static Finding room(Path folder) {
        // The file store of java.nio fails where the table of mounts does not tell of the disk.
        long free = nearest(folder).toFile().getUsableSpace();
        String says = String.format(Locale.ROOT, "%.1f GB free", free / 1e9);
        return free >= LITTLE_ROOM
                ? well("Room", says)
                : new Finding(
                        "Room",
                        State.BROKEN,
                        says,
                        "Make room on the disk: riffs may soon not be kept.");
    }
}
