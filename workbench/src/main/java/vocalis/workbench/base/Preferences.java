package vocalis.workbench.base;

import java.io.IOException;
import java.io.StringReader;
import java.io.StringWriter;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import java.util.Properties;
import vocalis.core.hands.Hand;

/**
 * What the program remembers between starts, in a properties file of the platform's place for it.
 * What cannot be read is as if it had not been set; what is not known is kept. Used from one
 * thread; {@link #save} may be called from another.
 */
public final class Preferences {

    private final Path file;
    private final Properties values = new Properties();

    private Preferences(Path file) {
        this.file = file;
    }

    /** What is remembered in a folder; nothing when there is none. */
    public static Preferences in(Path folder) {
        Preferences p = new Preferences(folder.resolve("settings.properties"));
        try {
            if (Files.exists(p.file)) {
                p.values.load(new StringReader(Files.readString(p.file)));
            }
        } catch (IOException | IllegalArgumentException e) {
            Log.failed("reading the settings", e);
        }
        return p;
    }

    /** Writes what is set. */
    public synchronized void save() {
        try {
            Files.createDirectories(file.getParent());
            StringWriter out = new StringWriter();
            values.store(out, "Vocalis");
            SafeFiles.write(file, out.toString().getBytes(StandardCharsets.UTF_8));
        } catch (IOException e) {
            Log.failed("keeping the settings", e);
        }
    }

    public synchronized Optional<String> text(String name) {
        return Optional.ofNullable(values.getProperty(name)).filter(s -> !s.isBlank());
    }

    public synchronized void set(String name, String value) {
        values.setProperty(name, value);
    }

    /** A number within bounds, or another. */
    public double number(String name, double least, double most, double otherwise) {
        try {
            double v = text(name).map(Double::parseDouble).orElse(otherwise);
            return v >= least && v <= most ? v : otherwise;
        } catch (NumberFormatException e) {
            return otherwise;
        }
    }

    public void set(String name, double value) {
        set(name, String.valueOf(value));
    }

    public boolean flag(String name, boolean otherwise) {
        return text(name).map(Boolean::parseBoolean).orElse(otherwise);
    }

    /** The player's hand. */
    public Hand hand() {
        String name = text("hand.name").orElse(Hand.MEDIUM.name());
        double comfort = number("hand.comfortMm", 50, 200, -1);
        for (Hand h : Hand.offered()) {
            if (h.name().equals(name) && (comfort < 0 || comfort == h.comfortMm())) {
                return h;
            }
        }
        try {
            return comfort < 0 ? Hand.MEDIUM : new Hand(name, comfort);
        } catch (IllegalArgumentException e) {
            return Hand.MEDIUM;
        }
    }

    public void setHand(Hand hand) {
        set("hand.name", hand.name());
        set("hand.comfortMm", hand.comfortMm());
    }
}
