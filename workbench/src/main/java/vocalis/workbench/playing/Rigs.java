package vocalis.workbench.playing;

import java.util.Arrays;
import java.util.List;
import vocalis.core.memory.Memory;
import vocalis.core.mix.Controls;
import vocalis.core.mix.Mix;
import vocalis.core.riff.Ground;
import vocalis.core.riff.Tone;
import vocalis.core.theory.Pitch;
import vocalis.sound.engine.Rig;
import vocalis.sound.engine.Settings;
import vocalis.sound.engine.StringBank;
import vocalis.sound.guitar.Guitar;

/**
 * The engine's settings for a ground: patches, amplifiers, places and levels. Immutable; banks of
 * patches are remembered, for they take tens of milliseconds to make.
 */
public final class Rigs {

    private static final double BASS = 0.55;
    private static final double KIT = 1.1;
    private static final double CLICK = 0.5;

    /** How far the other player's strings are out, 2 to 4 cents as after a good tuning by ear. */
    private static final double[] OTHERS_CENTS = {-2.4, 3.1, -3.4, 2.2, 3.7, -2.9, 2.6, -3.2, 2.1};

    private static final double OTHERS_PICK = 1.22;
    private static final double OTHERS_HARDNESS = 0.08;

    /** What decides how strings sound. */
    private record Strings(List<Double> openHz, int frets, Guitar guitar) {}

    private static final Memory<Strings, StringBank> BANKS = new Memory<>(8);

    private final double[] openHz;
    private final int frets;
    private final StringBank first;
    private final StringBank second;

    private Rigs(double[] openHz, int frets, StringBank first, StringBank second) {
        this.openHz = openHz;
        this.frets = frets;
        this.first = first;
        this.second = second;
    }

    /**
     * The patches of a neck.
     *
     * @param openHz frequencies of the open strings over the capo in Hz, lowest first
     */
    static StringBank bank(double[] openHz, int frets, Guitar guitar) {
        List<Double> open = Arrays.stream(openHz).boxed().toList();
        return BANKS.of(
                new Strings(open, frets, guitar),
                s -> StringBank.of(openHz, frets, guitar, Gear.RATE));
    }

    /** The banks of a ground. */
    static Rigs of(Ground ground, Mix mix) {
        double[] hz = Gear.openHz(ground);
        int frets = ground.board().frets();
        StringBank one = bank(hz, frets, Gear.guitar(mix.controls(), ground));
        return new Rigs(hz, frets, one, other(hz, frets, mix, one, ground));
    }

    /** Whether these banks serve a ground as they are. */
    boolean serve(Ground ground, Mix mix) {
        return Arrays.equals(openHz, Gear.openHz(ground))
                && frets == ground.board().frets()
                && first.guitar().equals(Gear.guitar(mix.controls(), ground))
                && (!mix.second().on()
                        || second != first
                                && second.guitar().equals(others(mix.secondControls(), ground)));
    }

    StringBank first() {
        return first;
    }

    /**
     * The second guitar is another player's: its strings a few cents beside, struck elsewhere with
     * another pick.
     */
    private static StringBank other(
            double[] hz, int frets, Mix mix, StringBank one, Ground ground) {
        if (!mix.second().on()) {
            return one;
        }
        double[] own = new double[hz.length];
        for (int s = 0; s < own.length; s++) {
            own[s] = hz[s] * Math.pow(2, OTHERS_CENTS[s % OTHERS_CENTS.length] / 1200);
        }
        return bank(own, frets, others(mix.secondControls(), ground));
    }

    private static Guitar others(Controls c, Ground ground) {
        Guitar g = Gear.guitar(c, ground);
        return new Guitar(
                g.pickup(),
                Math.min(0.5, g.pickAt() * OTHERS_PICK),
                Math.min(1, g.hardness() + OTHERS_HARDNESS),
                g.thickness());
    }

    /**
     * The settings of a ground with these banks.
     *
     * @param tempo quarter notes per minute
     * @param match linear gain that brings the riff to the common loudness
     */
    Settings settings(Ground ground, Mix mix, int tempo, double match, double volume) {
        boolean two = mix.second().on();
        double spread = two ? mix.spread() / 10.0 : 0;
        Tone tone = ground.tone();
        return new Settings(
                new Rig(
                        first,
                        Gear.amp(tone, mix.controls()),
                        -spread,
                        match,
                        mix.controls().feedback()),
                new Rig(
                        second,
                        Gear.amp(mix.secondTone(), mix.secondControls())
                                .through(Gear.otherCabinet(mix.secondControls())),
                        spread,
                        Math.min(4, match * mix.second().linear()),
                        mix.secondControls().feedback()),
                tempo,
                BASS * mix.bass().linear(),
                KIT * mix.kit().linear(),
                CLICK * mix.click().linear(),
                Pitch.cents(Pitch.STANDARD_A4_HZ, ground.a4Hz()),
                mix.hands() / 10.0,
                mix.room() / 10.0,
                volume);
    }
}
