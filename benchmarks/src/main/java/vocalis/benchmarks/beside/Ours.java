package vocalis.benchmarks.beside;

import java.util.Arrays;
import vocalis.sound.amp.AmpSettings;
import vocalis.sound.band.Piece;
import vocalis.sound.engine.Engine;
import vocalis.sound.engine.Program;
import vocalis.sound.engine.ProgramBuilder;
import vocalis.sound.engine.Rig;
import vocalis.sound.engine.Settings;
import vocalis.sound.engine.StringBank;
import vocalis.sound.strings.Damping;

/** What is played by our own engine: notes, strokes under the palm, accents, a beat. No room. */
final class Ours {

    static final double RATE = 48_000;
    private static final int[] OPEN = {40, 45, 50, 55, 59, 64};
    private static final double USUAL = 0.78;

    /** So quiet that the limiter keeps out of it. */
    static final double QUIET = 0.2;

    private static final double MOST_GAIN = 4;

    private static final double HANDS = 0.5;

    private final StringBank bank;
    private final double human;
    private final long seed;

    Ours() {
        this(HANDS, 11);
    }

    /**
     * @param human how freely the hands play, 0 to 1
     */
    Ours(double human, long seed) {
        this.human = human;
        this.seed = seed;
        double[] open = Arrays.stream(OPEN).mapToDouble(Ours::hz).toArray();
        bank = StringBank.of(open, 24, RATE);
    }

    static double hz(int midi) {
        return 440 * Math.pow(2, (midi - 69) / 12.0);
    }

    /** A MIDI note on the highest string that has it. */
    private static int[] frets(int midi) {
        int[] frets = new int[OPEN.length];
        Arrays.fill(frets, Program.DAMP);
        int s = OPEN.length - 1;
        while (OPEN[s] > midi) {
            s--;
        }
        frets[s] = midi - OPEN[s];
        return frets;
    }

    /** A note that is struck from silence, and damped after some seconds. */
    double[] note(AmpSettings amp, int midi, double seconds, double rest) {
        return struck(amp, frets(midi), USUAL, Damping.OPEN, seconds, rest);
    }

    /** The same under a palm. */
    double[] muted(AmpSettings amp, int midi, Damping under, double seconds) {
        return struck(amp, frets(midi), USUAL, under, seconds, 0.2);
    }

    double[] struck(
            AmpSettings amp,
            int[] actions,
            double velocity,
            Damping under,
            double seconds,
            double rest) {
        long end = Math.round(1000 * seconds);
        ProgramBuilder b = new ProgramBuilder(end + Math.round(1000 * rest) + 1000, 1000, 6);
        b.strike(0, 0, actions, velocity, under, true);
        b.strike(0, end, damped(), 0, Damping.OPEN, true);
        return played(amp, b.build(), 60, seconds + rest);
    }

    private static int[] damped() {
        int[] all = new int[OPEN.length];
        Arrays.fill(all, Program.DAMP);
        return all;
    }

    /** One string, dead under the fingers. */
    double[] dead(AmpSettings amp, int string) {
        int[] actions = damped();
        actions[string] = 5;
        return struck(amp, actions, USUAL, Damping.DEAD, 0.4, 0.2);
    }

    /** Strokes of a shape at even times, with the velocity of each. */
    double[] strokes(
            AmpSettings amp, int[] shape, double[] velocities, Damping under, double every) {
        return strokes(amp, shape, velocities, under, every, QUIET);
    }

    /** The same, louder: into the limiter. */
    double[] strokes(
            AmpSettings amp,
            int[] shape,
            double[] velocities,
            Damping under,
            double every,
            double loud) {
        int n = velocities.length;
        ProgramBuilder b = new ProgramBuilder(Math.round(1000 * n * every), 1000, 6);
        for (int i = 0; i < n; i++) {
            b.strike(0, Math.round(1000 * i * every), shape, velocities[i], under, i % 2 == 0);
        }
        return played(amp, b.build(), 60, n * every, loud);
    }

    /** A note of the bass alone. */
    double[] bass(int midi, boolean picked, double seconds) {
        ProgramBuilder b = new ProgramBuilder(Math.round(1000 * seconds) + 1000, 1000, 6);
        b.bass(0, midi, USUAL, picked);
        return played(AmpSettings.CLEAN, b.build(), 60, seconds);
    }

    /** Bars of kick, snare and closed hat, four quarters each. */
    double[] beat(int bars, double tempo) {
        ProgramBuilder b = new ProgramBuilder(8L * bars, 2, 6);
        for (int i = 0; i < 8 * bars; i++) {
            b.hit(i, Piece.HAT, i % 2 == 0 ? 0.7 : 0.5);
            if (i % 4 == 0) {
                b.hit(i, Piece.KICK, 0.9);
            } else if (i % 4 == 2) {
                b.hit(i, Piece.SNARE, 0.85);
            }
        }
        return played(AmpSettings.CLEAN, b.build(), tempo, bars * 240 / tempo);
    }

    private double[] played(AmpSettings amp, Program program, double tempo, double seconds) {
        return played(amp, program, tempo, seconds, QUIET);
    }

    /**
     * @param loud gain before the limiter, at most what a riff's loudness is matched by
     */
    private double[] played(
            AmpSettings amp, Program program, double tempo, double seconds, double loud) {
        Rig rig = new Rig(bank, amp, 0, Math.min(MOST_GAIN, loud));
        Settings set = new Settings(rig, rig, tempo, 0.5, 0.5, 0, 0, human, 0, 1);
        Engine engine = new Engine(RATE, set, seed);
        engine.publish(program);
        engine.play(0);
        int frames = (int) (seconds * RATE);
        float[] stereo = new float[2 * frames];
        engine.render(stereo, frames);
        double[] left = new double[frames];
        for (int i = 0; i < frames; i++) {
            left[i] = stereo[2 * i];
        }
        return left;
    }
}
