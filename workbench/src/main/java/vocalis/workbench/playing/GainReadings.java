package vocalis.workbench.playing;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import vocalis.core.choice.PlainPower;
import vocalis.core.instrument.Shape;
import vocalis.core.memory.Memory;
import vocalis.core.mix.Controls;
import vocalis.core.riff.Ground;
import vocalis.core.voicing.Sounding;
import vocalis.core.voicing.Voicing;
import vocalis.sound.amp.AmpSettings;
import vocalis.sound.gain.GainAnalysis;
import vocalis.sound.gain.GainReading;
import vocalis.sound.guitar.Guitar;

/**
 * What gain makes of voicings, beside the plain power chord on the same root. Remembers what it
 * reckoned. Safe for use by several threads; takes about a tenth of a second for a new voicing.
 */
public final class GainReadings {

    private static final int REMEMBERED = 1000;

    /** A just major third over an equal-tempered one, and a minor third, in cents. */
    public static final double PURE_MAJOR = 1200 * Math.log(5 / 4.0) / Math.log(2) - 400;

    public static final double PURE_MINOR = 1200 * Math.log(6 / 5.0) / Math.log(2) - 300;

    /**
     * A voicing's reading with what it is measured against.
     *
     * @param reading the voicing's own
     * @param plain that of the plain power chord on its root
     * @param growl ratio of their roughness under gain
     */
    public record Against(GainReading reading, GainReading plain, double growl) {}

    private record Key(
            Shape shape, Object strings, List<Double> cents, AmpSettings amp, double a4Hz) {}

    private final Memory<Key, GainReading> known = new Memory<>(REMEMBERED);

    /** Cents per string that make thirds above a root pure; empty where there are none. */
    public static double[] pure(Voicing v, int root) {
        double[] cents = new double[v.board().strings()];
        boolean any = false;
        for (Sounding s : v.soundings()) {
            int above = Math.floorMod(s.midi() - root, 12);
            cents[s.string()] = above == 4 ? PURE_MAJOR : above == 3 ? PURE_MINOR : 0;
            any |= cents[s.string()] != 0;
        }
        return any ? cents : new double[0];
    }

    /**
     * Reads a voicing.
     *
     * @param root pitch class that it is heard on
     * @param controls how the guitar is turned
     * @param cents per string; empty for equal temperament
     */
    public Against of(Voicing v, int root, Ground ground, Controls controls, double[] cents) {
        GainReading reading = read(v.shape(), cents, ground, controls);
        Optional<Voicing> plain = PlainPower.against(v, root);
        GainReading against =
                plain.map(p -> read(p.shape(), new double[0], ground, controls)).orElse(reading);
        return new Against(reading, against, reading.growl(against));
    }

    private GainReading read(Shape shape, double[] cents, Ground ground, Controls controls) {
        double[] openHz = Gear.openHz(ground);
        Guitar guitar = Gear.guitar(controls, ground);
        int frets = ground.board().frets();
        Object strings = List.of(listed(openHz), frets, guitar);
        AmpSettings amp = Gear.amp(ground.tone(), controls);
        return known.of(
                new Key(shape, strings, listed(cents), amp, ground.a4Hz()),
                k ->
                        GainAnalysis.of(
                                Rigs.bank(openHz, frets, guitar),
                                shape.toArray(),
                                cents,
                                amp,
                                ground.a4Hz(),
                                Gear.RATE));
    }

    private static List<Double> listed(double[] values) {
        return Arrays.stream(values).boxed().toList();
    }
}
