package vocalis.benchmarks;

import com.sun.management.ThreadMXBean;
import java.io.IOException;
import java.lang.management.ManagementFactory;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import vocalis.core.arrange.Song;
import vocalis.core.choice.Catalogue;
import vocalis.core.derive.Derived;
import vocalis.core.hands.Hand;
import vocalis.core.mix.Fader;
import vocalis.core.mix.Feel;
import vocalis.core.mix.Mix;
import vocalis.core.piece.Piece;
import vocalis.core.riff.Riff;
import vocalis.core.riff.Tone;
import vocalis.core.voicing.Family;
import vocalis.sound.device.AudioOutput;
import vocalis.sound.device.Clock;
import vocalis.sound.device.Devices;
import vocalis.sound.gain.Line;
import vocalis.sound.gain.Spectrum;
import vocalis.workbench.demo.Demo;
import vocalis.workbench.document.Edits;
import vocalis.workbench.document.Revoicing;
import vocalis.workbench.document.Workspace;
import vocalis.workbench.playing.Heard;
import vocalis.workbench.playing.Player;
import vocalis.workbench.playing.Songs;

/**
 * Plays a demo riff through the machine's sound server and gives it another family in every bar, or
 * with {@code beat} another row of the Revoice screen on every beat, or with {@code song} the
 * demo's whole song with both guitars and its sections; or checks what was recorded meanwhile:
 * {@code play SECONDS [beat|song]} and {@code check FILE.wav SECONDS}. Exits with 1 when the buffer
 * ran empty, a hole is found or a pitch is missing; with {@code SOAK=loose} in the environment
 * empty buffers and holes are told and only what no slow machine explains fails: no device, a root
 * that is not heard, half of the time not recorded.
 */
public final class Soak {

    /** Frames; SOAK_BUFFER in the environment names others. */
    private static final int BUFFER =
            Integer.parseInt(System.getenv().getOrDefault("SOAK_BUFFER", "8192"));

    private static final double WARM_UP_SECONDS = 3;

    /** Left out at the end of the recording, where the loop has stopped already. */
    private static final double STOPPED_SECONDS = 2;

    private static final double HOLE_SECONDS = 0.02;

    /** A busy machine's sound server may take a while to answer; ours, in nanoseconds. */
    private static final long ANSWER_NANOS = 30_000_000_000L;

    private Soak() {}

    public static void main(String[] args) throws Exception {
        boolean well =
                args[0].equals("play")
                        ? play(Double.parseDouble(args[1]), args.length > 2 ? args[2] : "bar")
                        : check(Path.of(args[1]), Double.parseDouble(args[2]));
        System.exit(well ? 0 : 1);
    }

    /**
     * On a shared machine a hole can be the machine's, and how many there are says how busy it is.
     */
    private static boolean loose() {
        return "loose".equals(System.getenv("SOAK"));
    }

    private static Piece piece() {
        Piece demo = Demo.pieces().get(1);
        Riff riff = demo.riff();
        // The bass rings through the rests, so that digital silence can only be a hole.
        return demo.with(riff.withGround(riff.ground().withTone(Tone.CLEAN)))
                .mixed(
                        Mix.ALONE
                                .withKit(Fader.ON, Feel.EIGHTHS)
                                .withBass(Fader.ON, Mix.BassLine.ROOTS));
    }

    private static List<Workspace> voiced() {
        Catalogue catalogue = new Catalogue();
        List<Workspace> all = new ArrayList<>();
        for (Family f :
                List.of(Family.POWER, Family.FOURTH, Family.OCTAVE, Family.THIRD, Family.TRIAD)) {
            Workspace w = new Workspace(catalogue, piece());
            w.apply(Edits.familyOfAll(f));
            all.add(w);
        }
        return all;
    }

    /** Every family and every intent that gives a row. */
    private static List<Workspace> rows() {
        Catalogue catalogue = new Catalogue();
        List<Workspace> all = new ArrayList<>();
        new Revoicing(catalogue, Hand.MEDIUM)
                .rows(
                        piece().riff(),
                        List.of(),
                        Set.of(),
                        1,
                        () -> false,
                        r -> all.add(new Workspace(catalogue, piece().with(r.riff()))));
        return all;
    }

    /** What is shown one after the other: families, every row, or a song's own sections. */
    private static List<Heard> heard(String how) {
        if (how.equals("song")) {
            Song song = new Songs(new Catalogue()).of(Demo.pieces().get(1), Hand.MEDIUM);
            return List.of(Heard.of(song), Heard.of(song));
        }
        List<Workspace> all = how.equals("beat") ? rows() : voiced();
        return all.stream().map(Workspace::heard).toList();
    }

    private static boolean play(double seconds, String how) throws InterruptedException {
        boolean beat = how.equals("beat");
        List<Heard> scores = heard(how);
        Player player =
                new Player(scores.get(0), Devices.opener(Devices.DEFAULT), Clock.system(), 1);
        AudioOutput output = player.output();
        output.use(Devices.opener(Devices.DEFAULT), BUFFER);
        output.mute(false);
        player.start();
        if (!answers(output)) {
            System.out.println("no sound server answered");
            return false;
        }
        output.mute(false);
        player.play(0);
        Thread.sleep((long) (WARM_UP_SECONDS * 1000));
        ThreadMXBean threads = (ThreadMXBean) ManagementFactory.getThreadMXBean();
        long id = soundThread();
        long dryBefore = output.underruns();
        long allocatedBefore = threads.getThreadAllocatedBytes(id);
        double every =
                60.0
                        / piece().riff().tempo()
                        * (beat ? 1 : piece().riff().meters().meter(0).beats());
        long end = System.nanoTime() + (long) (seconds * 1e9);
        int bars = 0;
        while (System.nanoTime() < end) {
            Thread.sleep((long) (every * 1000));
            player.show(scores.get(++bars % scores.size()));
        }
        long dry = output.underruns() - dryBefore;
        long allocated = threads.getThreadAllocatedBytes(id) - allocatedBefore;
        int held = output.heldFrames();
        player.stop();
        player.close();
        // The JDK's own line allocates a little for each write; the engine's share is tested alone.
        System.out.printf(
                "%.0f s, re-voiced %d times: the buffer of %d frames ran empty %d times and held %d in"
                        + " the end, %d bytes a block in the line%n",
                seconds, bars, BUFFER, dry, held, allocated * 512 / (long) (seconds * Player.RATE));
        return loose() || dry == 0;
    }

    private static boolean answers(AudioOutput output) throws InterruptedException {
        long wait = System.nanoTime() + ANSWER_NANOS;
        while (output.sink() != AudioOutput.Sink.DEVICE && System.nanoTime() < wait) {
            Thread.sleep(20);
        }
        return output.sink() == AudioOutput.Sink.DEVICE;
    }

    private static long soundThread() {
        return Thread.getAllStackTraces().keySet().stream()
                .filter(t -> t.getName().equals("vocalis-sound"))
                .findFirst()
                .orElseThrow()
                .getId();
    }

    /** No hole between the first sound and the last, and every root found among the lines. */
    private static boolean check(Path file, double seconds) throws IOException {
        byte[] wav = Files.readAllBytes(file);
        int data = 44;
        int frames = (wav.length - data) / 4;
        double[] x = new double[frames];
        for (int i = 0; i < frames; i++) {
            int at = data + 4 * i;
            x[i] = (short) ((wav[at] & 255) | wav[at + 1] << 8) / 32768.0;
        }
        int first = 0;
        while (first < frames && x[first] == 0) {
            first++;
        }
        first += (int) (WARM_UP_SECONDS * Player.RATE);
        int last = Math.min(frames, first + (int) ((seconds - STOPPED_SECONDS) * Player.RATE));
        int longest = 0;
        int run = 0;
        for (int i = first; i < last; i++) {
            run = x[i] == 0 ? run + 1 : 0;
            longest = Math.max(longest, run);
        }
        double hole = longest / Player.RATE;
        int missing = missing(x, first, last);
        System.out.printf(
                "recorded %.0f s: longest silence %.1f ms, %d of the riff's roots missing%n",
                (last - first) / Player.RATE, hole * 1000, missing);
        return (loose() || hole < HOLE_SECONDS)
                && missing == 0
                && last - first > 0.5 * seconds * Player.RATE;
    }

    private static int missing(double[] x, int first, int last) {
        Derived derived = voiced().get(0).derived();
        int missing = 0;
        for (Derived.Chord c : derived.chords()) {
            boolean found = false;
            for (int from = first; from + 16384 < last && !found; from += 12000) {
                for (Line l : Spectrum.lines(x, from, 16384, Player.RATE, -30)) {
                    double midi = 69 + 12 * Math.log(l.hz() / 440) / Math.log(2);
                    boolean near = Math.abs(midi - Math.rint(midi)) < 0.05;
                    found |= near && Math.floorMod((int) Math.rint(midi), 12) == c.root();
                }
            }
            missing += found ? 0 : 1;
        }
        return missing;
    }
}
