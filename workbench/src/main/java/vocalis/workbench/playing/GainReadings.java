package vocalis.workbench.playing;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import vocalis.core.choice.PlainPower;
import vocalis.core.instrument.Shape;
import vocalis.core.mix.Controls;
import vocalis.core.riff.Ground;
import vocalis.core.voicing.Sounding;
import vocalis.core.voicing.Voicing;
import vocalis.sound.engine.StringBank;
import vocalis.sound.gain.GainAnalysis;
import vocalis.sound.gain.GainReading;

/**
 * What gain makes of voicings, beside the plain power chord on the same root. Remembers what it
 * reckoned. Safe for use by several threads; takes about a tenth of a second for a new voicing.
 */
public final class GainReadings {

    private static final int REMEMBERED = 500;

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

    private record Key(Voicing voicing, int root, Object sound, List<Double> cents) {}

    private final Map<Key, Against> known = new ConcurrentHashMap<>();
    private final Map<Object, StringBank> banks = new ConcurrentHashMap<>();

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
        if (known.size() > REMEMBERED) {
            known.clear();
        }
        List<Double> listed = java.util.Arrays.stream(cents).boxed().toList();
        Object sound = List.of(ground.tone(), controls, ground.a4Hz(), ground.instrument().gauge());
        return known.computeIfAbsent(
                new Key(v, root, sound, listed), k -> reckon(v, root, ground, controls, cents));
    }

    private Against reckon(Voicing v, int root, Ground ground, Controls controls, double[] cents) {
        StringBank bank = bank(ground, controls);
        GainReading reading = read(bank, v.shape(), cents, ground, controls);
        Optional<Voicing> plain = PlainPower.against(v, root);
        GainReading against =
                plain.map(p -> read(bank, p.shape(), new double[0], ground, controls))
                        .orElse(reading);
        return new Against(reading, against, reading.growl(against));
    }

    private StringBank bank(Ground ground, Controls controls) {
        if (banks.size() > 4) {
            banks.clear();
        }
        double[] hz = Gear.openHz(ground);
        Object key =
                List.of(
                        java.util.Arrays.stream(hz).boxed().toList(),
                        ground.board().frets(),
                        Gear.guitar(controls, ground));
        return banks.computeIfAbsent(
                key,
                k ->
                        StringBank.of(
                                hz,
                                ground.board().frets(),
                                Gear.guitar(controls, ground),
                                Player.RATE));
    }

    private static GainReading read(
            StringBank bank, Shape shape, double[] cents, Ground ground, Controls controls) {
        return GainAnalysis.of(
                bank,
                shape.toArray(),
                cents,
                Gear.amp(ground.tone(), controls),
                ground.a4Hz(),
                Player.RATE);
    }
}
