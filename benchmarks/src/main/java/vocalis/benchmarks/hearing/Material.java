package vocalis.benchmarks.hearing;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import vocalis.core.choice.Candidate;
import vocalis.core.choice.Catalogue;
import vocalis.core.derive.Derived;
import vocalis.core.derive.Deriver;
import vocalis.core.hands.Hand;
import vocalis.core.instrument.Fretboard;
import vocalis.core.instrument.Instrument;
import vocalis.core.instrument.Shape;
import vocalis.core.instrument.Tuning;
import vocalis.core.pattern.Event;
import vocalis.core.pattern.Figure;
import vocalis.core.pattern.Pattern;
import vocalis.core.pattern.Stroke;
import vocalis.core.pattern.Struck;
import vocalis.core.rhythm.Meter;
import vocalis.core.rhythm.Ticks;
import vocalis.core.rhythm.TimeLine;
import vocalis.core.riff.Ground;
import vocalis.core.riff.Riff;
import vocalis.core.riff.Root;
import vocalis.core.riff.RootSpan;
import vocalis.core.riff.Tone;
import vocalis.core.riff.Treatment;
import vocalis.core.score.Manner;
import vocalis.core.theory.Key;
import vocalis.core.theory.Spelling;
import vocalis.core.voicing.Family;
import vocalis.sound.listen.Take;
import vocalis.workbench.demo.Demo;
import vocalis.workbench.listening.Ear;
import vocalis.workbench.playedin.Draft;
import vocalis.workbench.playedin.PlayIn;

/** Shapes and riffs that ears are tried on, the same for the same seed. */
final class Material {

    static final Catalogue CATALOGUE = new Catalogue();

    private static final List<String> KEYS =
            List.of("E minor", "G major", "A minor", "C major", "D dorian", "B phrygian");
    private static final int[] TEMPOS = {76, 96, 120, 144};
    private static final Family[] FAMILIES = {
        Family.POWER, Family.POWER, Family.FOURTH, Family.TRIAD, Family.OCTAVE, Family.DRONE
    };
    private static final int LIKELIEST = 20;

    private Material() {}

    static Ground ground(Tone tone) {
        return new Ground(Instrument.of(Tuning.STANDARD), 0, Key.parse("C major"), tone, 440);
    }

    /** Shapes out of the twenty likeliest of every family on any root. */
    static List<Shape> shapes(int n, long seed) {
        Random random = new Random(seed);
        List<Shape> all = new ArrayList<>();
        while (all.size() < n) {
            all.add(shape(ground(Tone.CLEAN).board(), random));
        }
        return all;
    }

    /** One of them on a neck. */
    static Shape shape(Fretboard board, Random random) {
        while (true) {
            Family family = Family.values()[random.nextInt(Family.values().length)];
            int root = random.nextInt(12);
            String mode = random.nextBoolean() ? " major" : " minor";
            Key key = Key.parse(Spelling.plain(root).ascii() + mode);
            List<Candidate> likely = CATALOGUE.likeliest(board, Hand.MEDIUM, family, root, key);
            if (!likely.isEmpty()) {
                int place = random.nextInt(Math.min(LIKELIEST, likely.size()));
                return likely.get(place).voicing().shape();
            }
        }
    }

    /** The demo's riffs and random ones of four bars. */
    static List<Derived> riffs(int n, long seed) {
        Random random = new Random(seed);
        List<Derived> all = new ArrayList<>();
        for (var piece : Demo.pieces()) {
            if (all.size() < n) {
                all.add(new Deriver(CATALOGUE).derive(piece.riff(), Hand.MEDIUM));
            }
        }
        while (all.size() < n) {
            all.add(new Deriver(CATALOGUE).derive(riff(random, all.size()), Hand.MEDIUM));
        }
        return all;
    }

    private static Riff riff(Random random, int number) {
        long bar = Meter.COMMON.barTicks();
        List<RootSpan> roots = new ArrayList<>();
        List<Treatment> treatments = new ArrayList<>();
        for (int b = 0; b < 4; b++) {
            int parts = random.nextInt(4) == 0 ? 2 : 1;
            for (int p = 0; p < parts; p++) {
                roots.add(new RootSpan(new Root(1 + random.nextInt(7), 0), bar / parts));
                treatments.add(Treatment.best(FAMILIES[random.nextInt(FAMILIES.length)]));
            }
        }
        Ground ground =
                ground(Tone.CLEAN).withKey(Key.parse(KEYS.get(random.nextInt(KEYS.size()))));
        return new Riff(
                ground,
                TimeLine.of(Meter.COMMON, TEMPOS[number % TEMPOS.length]),
                roots,
                treatments,
                Pattern.of(figure(random, bar)),
                List.of());
    }

    /**
     * Quarters, eighths and some sixteenths; the low strings under the palm, now and then a rest.
     */
    private static Figure figure(Random random, long bar) {
        List<Event> events = new ArrayList<>();
        long at = 0;
        while (at < bar) {
            int eighths = random.nextInt(5) == 0 ? 0 : 1 + random.nextInt(3);
            long length =
                    Math.min(
                            bar - at,
                            eighths == 0 ? Ticks.EIGHTH / 2 : (long) eighths * Ticks.EIGHTH);
            if (at == 0 || random.nextInt(8) > 0) {
                boolean palm = random.nextInt(4) == 0;
                Struck struck =
                        palm || random.nextInt(6) == 0 ? Struck.Named.LOW : Struck.Named.ALL;
                Stroke s = new Stroke(events.size(), at, length, struck);
                Stroke played = palm ? s.played(Manner.PALM) : s;
                events.add(at == 0 ? played.accented(true) : played);
            }
            at += length;
        }
        return new Figure("f", "f", bar, events);
    }

    /** The ear for a riff whose key is known. */
    static Ear ear(Derived d) {
        Ground ground = d.riff().ground();
        return new Ear(ground.board(), ground.a4Hz(), Hand.MEDIUM, CATALOGUE, key(d));
    }

    /** A take of a riff written down, its key, tempo and meter known. */
    static Draft written(PlayIn in, Derived d, Take take) {
        return in.of(
                take,
                Optional.of((double) d.riff().tempo()),
                OptionalDouble.empty(),
                d.riff().meters().meter(0),
                "heard");
    }

    static PlayIn playIn(Derived d) {
        return new PlayIn(d.riff().ground(), key(d), Hand.MEDIUM, CATALOGUE);
    }

    static Optional<Key> key(Derived d) {
        return Optional.of(d.riff().ground().key());
    }
}
