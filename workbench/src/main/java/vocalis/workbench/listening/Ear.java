package vocalis.workbench.listening;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.DoubleStream;
import vocalis.core.choice.Catalogue;
import vocalis.core.hands.Hand;
import vocalis.core.instrument.Fretboard;
import vocalis.core.instrument.Shape;
import vocalis.core.theory.Key;
import vocalis.sound.gain.Line;
import vocalis.sound.learnt.NoteEar;
import vocalis.sound.learnt.StrokeEar;
import vocalis.sound.listen.Changes;
import vocalis.sound.listen.GripReader.Likely;
import vocalis.sound.listen.HeardNotes;
import vocalis.sound.listen.OnsetFinder;
import vocalis.sound.listen.StrokeReader;
import vocalis.sound.listen.StrokeReader.HeardStroke;
import vocalis.sound.listen.Take;

/** Reads a take stroke by stroke, each with the shapes that it may be. */
public final class Ear {

    /** A string that was sounding is struck again from so much on, in dB. */
    private static final double RISEN_DB = -0.3;

    /** How much a rise says, and a string that did not sound before; what comes soon says less. */
    private static final double PER_DB = 1.5;

    private static final double FRESH_SIGN = 3;
    private static final double MOST_SIGN = 2.3;
    private static final double SURE_SECONDS = 0.25;

    /** What a net says besides of a string that was sounding, by its odds as logarithms. */
    private static final double PER_ODDS = 0.7;

    private static final double MOST_ODDS = 4;

    /**
     * A stroke goes over neighbouring strings: all of them, or from the lowest on, or seldom not.
     */
    private static final double WHOLE = 1.5;

    private static final double WITHOUT_LOW = 1;

    /** So many strokes tell whether the low end lacks, and whether they are of ours. */
    private static final int TRIED = 8;

    /** Through a filter at 300 Hz a line down here is 9 to 20 dB weaker than it was. */
    private static final double LOW_HZ = 180;

    private static final double LOW_SHARE = 0.4;

    /**
     * Where the best quarter of the strokes that ring lies further from its shapes, in dB, no clean
     * strings of ours are played: clean renders lie at 1.6 to 4.3, recorded guitars at 6.0 to 8.7,
     * driven ones at 4.5 to 9.3 (24, 24 and 28 takes).
     */
    private static final double OURS_DB = 4.5;

    private static final int PREPARED_FRET = 10;

    private final Fretboard board;
    private final double a4Hz;
    private final LikelyGrips grips;

    /**
     * A stroke and what may be held in it.
     *
     * @param grips likeliest first; empty where nothing can be made out
     * @param struck the first of them without the strings that only ring on
     * @param cost how far the first is from what is heard, in dB
     * @param clean whether the take sounds like clean strings of ours; else nets have read it
     */
    public record Stroke(
            HeardStroke heard, List<Likely> grips, Shape struck, double cost, boolean clean) {}

    /**
     * @param key whose chords come first; none where it is not known
     */
    public Ear(Fretboard board, double a4Hz, Hand hand, Catalogue catalogue, Optional<Key> key) {
        this.board = board;
        this.a4Hz = a4Hz;
        grips = new LikelyGrips(board, hand, catalogue, key, Plucks.sounds(board, a4Hz));
    }

    /**
     * Makes what the first stroke would wait for, where most is played: some seconds, once for a
     * tuning.
     */
    public void prepare() {
        Plucks.of(board, a4Hz);
        Plucks.sounds(board, a4Hz).prepare(PREPARED_FRET);
    }

    /** The strokes of a take by time; each is likelier to be where the hand was before. */
    public List<Stroke> strokes(Take take) {
        LearntEar.Heard heard = heard(take, false);
        return heard.clean() ? clean(take, heard.strokes()) : learnt(heard);
    }

    private List<Stroke> learnt(LearntEar.Heard heard) {
        List<Stroke> all = new ArrayList<>();
        Optional<Shape> before = Optional.empty();
        for (int i = 0; i < heard.strokes().size(); i++) {
            HeardStroke s = heard.strokes().get(i);
            LikelyGrips.Read read = grips.of(s.notes(), heard.struck().get(i), before, s.muted());
            boolean none = read.grips().isEmpty();
            Shape held = none ? Shape.silent(board.strings()) : read.grips().get(0).shape();
            all.add(new Stroke(s, read.grips(), held, read.cost(), false));
            before = held.lowestFretted() > 0 ? Optional.of(held) : before;
        }
        return all;
    }

    private List<Stroke> clean(Take take, List<HeardStroke> heard) {
        Changes changes = new Changes(take, a4Hz);
        List<Stroke> all = new ArrayList<>();
        Optional<Shape> before = Optional.empty();
        Set<Integer> sounding = Set.of();
        for (int i = 0; i < heard.size(); i++) {
            HeardStroke s = heard.get(i);
            NoteEar.Struck net = LearntEar.beside(take, heard, i, a4Hz);
            LikelyGrips.Read likely = read(s, net, before);
            List<Likely> read = likely.grips();
            double last = i == 0 ? 1 : s.seconds() - heard.get(i - 1).seconds();
            double next = i + 1 == heard.size() ? 1 : heard.get(i + 1).seconds() - s.seconds();
            Shape struck =
                    read.isEmpty()
                            ? Shape.silent(board.strings())
                            : struck(read.get(0).shape(), s, net, sounding, changes, last, next);
            all.add(new Stroke(s, read, struck, likely.cost(), true));
            if (!read.isEmpty()) {
                sounding = s.muted() ? Set.of() : grips.notes(read.get(0).shape());
                if (read.get(0).shape().lowestFretted() > 0) {
                    before = Optional.of(read.get(0).shape());
                }
            }
        }
        return all;
    }

    /**
     * Of a stopped stroke hardly a line is left; where a net hears one note in it, it is that, as
     * sure as the net is of this note and of no other. What our own ears make of it comes next.
     */
    private LikelyGrips.Read read(HeardStroke s, NoteEar.Struck net, Optional<Shape> before) {
        List<HeardNotes.Note> notes = s.muted() ? LearntEar.notes(net) : List.of();
        if (notes.size() == 1) {
            HeardNotes one = new HeardNotes(notes, s.notes().cents(), 0, List.of());
            LikelyGrips.Read read = grips.of(one, net, before, true);
            if (!read.grips().isEmpty()) {
                double sure = LearntEar.alone(net, notes.get(0).midi());
                List<Likely> ours = grips.of(s.notes(), before, true).grips();
                return new LikelyGrips.Read(doubted(read.grips(), ours, sure), read.cost());
            }
        }
        return grips.of(s.notes(), before, s.muted());
    }

    /** Some shapes as sure as asked, then others that are not among them, none likelier. */
    private static List<Likely> doubted(List<Likely> some, List<Likely> others, double sure) {
        List<Likely> all = new ArrayList<>();
        some.forEach(g -> all.add(new Likely(g.shape(), sure * g.share())));
        double most = all.get(all.size() - 1).share();
        for (Likely g : others) {
            if (some.stream().noneMatch(n -> n.shape().equals(g.shape()))) {
                all.add(new Likely(g.shape(), Math.min(most, (1 - sure) * g.share())));
            }
        }
        return all;
    }

    /** What is struck in a take of a known riff: by the nets only where an amplifier clips. */
    LearntEar.Heard heardOfKnown(Take take) {
        return heard(take, true);
    }

    private LearntEar.Heard heard(Take take, boolean known) {
        List<Double> onsets = OnsetFinder.of(take);
        List<Double> some = onsets.subList(0, Math.min(TRIED, onsets.size()));
        List<HeardStroke> plain = heard(take, some, false);
        List<HeardStroke> filled = full(plain) ? plain : heard(take, some, true);
        boolean thin = filled != plain && costs(filled).sum() < costs(plain).sum();
        if (!ours(thin ? filled : plain)) {
            LearntEar learnt = new LearntEar(take, a4Hz);
            if (learnt.driven()) {
                return learnt.heard();
            }
            if (known) {
                return learnt.beside(heard(take, onsets, thin));
            }
            if (!learnt.onsets().isEmpty()) {
                return learnt.heard(heard(take, learnt.onsets(), thin));
            }
        }
        List<Double> all = known ? onsets : StrokeEar.ofClean(take);
        return new LearntEar.Heard(heard(take, all, thin));
    }

    /**
     * Whether shapes of ours explain more than a quarter of the strokes: of those that ring, where
     * there are two, for under a palm hardly anything is left to fit.
     */
    private boolean ours(List<HeardStroke> strokes) {
        List<HeardStroke> ring = strokes.stream().filter(s -> !s.muted()).toList();
        List<HeardStroke> asked = ring.size() < 2 ? strokes : ring;
        int enough = asked.size() / 4 + 1;
        return costs(asked).filter(c -> c <= OURS_DB).limit(enough).count() == enough;
    }

    /**
     * Whether the low end is plainly there: most strokes have a strong line so low that a thin
     * sound would have lost it.
     */
    private static boolean full(List<HeardStroke> strokes) {
        long low =
                strokes.stream()
                        .filter(
                                s ->
                                        strongest(s, LOW_HZ)
                                                > LOW_SHARE * strongest(s, Double.MAX_VALUE))
                        .count();
        return 2 * low > strokes.size();
    }

    private static double strongest(HeardStroke s, double below) {
        return s.notes().lines().stream()
                .filter(l -> l.hz() < below)
                .mapToDouble(Line::amplitude)
                .max()
                .orElse(0);
    }

    private List<HeardStroke> heard(Take take, List<Double> onsets, boolean thin) {
        return StrokeReader.of(take, onsets, Plucks.of(board, a4Hz), a4Hz, thin);
    }

    /** How badly the likeliest shape explains each of some strokes. */
    private DoubleStream costs(List<HeardStroke> strokes) {
        return strokes.stream()
                .mapToDouble(s -> grips.of(s.notes(), Optional.empty(), s.muted()).cost());
    }

    /** A shape without the strings that only ring on from before. */
    private Shape struck(
            Shape shape,
            HeardStroke s,
            NoteEar.Struck net,
            Set<Integer> sounding,
            Changes changes,
            double last,
            double next) {
        List<Integer> strings = List.copyOf(shape.sounded());
        int[] midi = strings.stream().mapToInt(x -> board.midi(x, shape.fret(x))).toArray();
        double[] signs = new double[midi.length];
        Set<Integer> risen = new HashSet<>();
        for (int i = 0; i < signs.length; i++) {
            Set<Integer> others = grips.notes(shape);
            others.remove(midi[i]);
            signs[i] =
                    sounding.contains(midi[i])
                            ? sign(changes, midi[i], s, others, last, next)
                            : FRESH_SIGN;
            if (signs[i] > 0) {
                risen.add(midi[i]);
            }
        }
        // Where all its partials are others' too, those that only ring raise none of them.
        for (int i = 0; i < signs.length; i++) {
            if (Double.isNaN(signs[i])) {
                double sign = sign(changes, midi[i], s, risen, last, next);
                signs[i] = Double.isNaN(sign) ? 0 : sign;
            }
        }
        for (int i = 0; i < signs.length; i++) {
            if (sounding.contains(midi[i])) {
                double odds = net.odds(midi[i]);
                signs[i] += PER_ODDS * Math.max(-MOST_ODDS, Math.min(MOST_ODDS, odds));
            }
        }
        List<Integer> kept = strings.subList(0, 0);
        double best = Double.NEGATIVE_INFINITY;
        for (int from = 0; from < signs.length; from++) {
            for (int to = signs.length; to > from; to--) {
                double likely = likely(signs, from, to);
                if (likely > best) {
                    best = likely;
                    kept = strings.subList(from, to);
                }
            }
        }
        Shape struck = shape;
        for (int string : strings) {
            struck = kept.contains(string) ? struck : struck.with(string, Shape.SILENT);
        }
        return struck;
    }

    /** How likely a stroke goes over some neighbouring strings and no other. */
    private static double likely(double[] signs, int from, int to) {
        double likely = from > 0 ? -WITHOUT_LOW : to == signs.length ? WHOLE : 0;
        for (int i = 0; i < signs.length; i++) {
            likely += i >= from && i < to ? signs[i] : -signs[i];
        }
        return likely;
    }

    /**
     * Over 0 where a note's partials rise, under it where they only fall; NaN where none can say.
     */
    private static double sign(
            Changes changes,
            int midi,
            HeardStroke s,
            Set<Integer> others,
            double last,
            double next) {
        double rise = changes.rise(midi, s.notes().cents(), others, s.seconds(), last, next);
        double sign = PER_DB * (rise - RISEN_DB) * Math.min(1, last / SURE_SECONDS);
        return Double.isNaN(rise) ? rise : Math.max(-MOST_SIGN, Math.min(FRESH_SIGN, sign));
    }
}
