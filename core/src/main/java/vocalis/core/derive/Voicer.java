package vocalis.core.derive;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import vocalis.core.choice.Candidate;
import vocalis.core.choice.Catalogue;
import vocalis.core.choice.Filter;
import vocalis.core.choice.Fingers;
import vocalis.core.choice.Ranking;
import vocalis.core.derive.VoicingChoice.Ask;
import vocalis.core.derive.VoicingChoice.Options;
import vocalis.core.derive.VoicingChoice.Voiced;
import vocalis.core.hands.Change;
import vocalis.core.hands.Fingering;
import vocalis.core.hands.Hand;
import vocalis.core.hands.LoopPath;
import vocalis.core.instrument.Fretboard;
import vocalis.core.instrument.Shape;
import vocalis.core.memory.Memory;
import vocalis.core.riff.Member;
import vocalis.core.riff.Riff;
import vocalis.core.riff.Treatment;
import vocalis.core.theory.Key;
import vocalis.core.voicing.Voicing;

/**
 * The first stage of derivation: which voicing each chord takes. A chord whose member was chosen
 * takes the voicing of that shape class nearest to the chosen place; the others lie where the hand
 * has the best way through the whole riff ({@link LoopPath}), its seam included. What the ground no
 * longer allows is replaced by the best that it does, and found. Answers are remembered by all that
 * they depend on, so an edit looks up what it left alone. Used by one thread at a time.
 */
public final class Voicer {

    private static final int REMEMBERED = 8192;
    private static final int REMEMBERED_WAYS = 32;

    private final Catalogue catalogue;
    private final Memory<Ask, Options> known = new Memory<>(REMEMBERED);
    private final Memory<List<Ask>, List<Voiced>> ways = new Memory<>(REMEMBERED_WAYS);

    Voicer(Catalogue catalogue) {
        this.catalogue = catalogue;
    }

    /** The voicings of a riff's chords, in their order. */
    List<Voiced> voiced(Riff riff, Hand hand) {
        return ways.of(asks(riff, hand), asks -> walked(asks, Change.USUAL, Filter.NONE));
    }

    /**
     * The riff with the best way for a wish between easy hands and the same tone, its shapes
     * chosen; chords whose shape was chosen before keep it.
     */
    Riff laid(Riff riff, Hand hand, Change change, Filter filter) {
        List<Voiced> all = walked(asks(riff, hand), change, filter);
        Riff out = riff;
        for (int i = 0; i < all.size(); i++) {
            if (riff.treatments().get(i).member().isEmpty() && !all.get(i).silent()) {
                out = out.withTreatment(i, holding(out, i, all.get(i).own(), hand));
            }
        }
        return out;
    }

    private static List<Ask> asks(Riff riff, Hand hand) {
        List<Ask> asks = new ArrayList<>();
        for (int i = 0; i < riff.roots().size(); i++) {
            asks.add(ask(riff, hand, i, riff.treatments().get(i)));
        }
        return asks;
    }

    private static Ask ask(Riff riff, Hand hand, int chord, Treatment t) {
        Key key = riff.ground().key();
        return new Ask(
                riff.ground().board(),
                key,
                hand,
                t.family(),
                t.member(),
                riff.roots().get(chord).root().pitchClass(key),
                t.bass().map(b -> b.pitchClass(key)),
                t.fingers());
    }

    private Options passing(Ask ask, Filter filter) {
        Options all = options(ask);
        if (filter.equals(Filter.NONE) || ask.member().isPresent()) {
            return all;
        }
        // The filter may want what lies far behind in the order: all of the family is looked at.
        List<Candidate> kept =
                catalogue.candidates(ask.board(), ask.hand(), ask.family(), ask.root()).stream()
                        .filter(c -> filter.accepts(c, ask.hand()))
                        .toList();
        if (kept.isEmpty()) {
            return all;
        }
        Ranking ranking = new Ranking(ask.family(), List.of(), ask.key());
        List<Candidate> best =
                ranking.ordered(kept).stream().limit(VoicingChoice.BEST * 2L).toList();
        double[] alone =
                best.stream().mapToDouble(c -> VoicingChoice.ITSELF * ranking.cost(c)).toArray();
        return new Options(best, alone, all.byHand(), all.silent(), all.troubles());
    }

    private Options options(Ask ask) {
        return known.of(ask, a -> new VoicingChoice(catalogue, a).options());
    }

    /**
     * The way through a riff.
     *
     * @param filter what is let through of the shapes that no player chose, where it lets any
     *     through
     */
    private List<Voiced> walked(List<Ask> asks, Change change, Filter filter) {
        List<Options> options = new ArrayList<>();
        List<LoopPath.Stop> stops = new ArrayList<>();
        for (Ask a : asks) {
            Options o = passing(a, filter);
            options.add(o);
            List<Shape> shapes = o.shapes().stream().map(c -> c.voicing().shape()).toList();
            stops.add(new LoopPath.Stop(shapes, o.alone(), a.family(), a.root()));
        }
        LoopPath path = LoopPath.around(asks.get(0).board(), stops, change);
        List<Candidate> own = new ArrayList<>();
        List<VoicingChoice> choices = new ArrayList<>();
        List<Candidate> over = new ArrayList<>();
        for (int i = 0; i < asks.size(); i++) {
            choices.add(new VoicingChoice(catalogue, asks.get(i)));
            own.add(options.get(i).shapes().get(path.taken().get(i)));
            over.add(choices.get(i).over(options.get(i), own.get(i)));
        }
        List<Candidate> held =
                Fingers.along(
                        asks.get(0).board(),
                        asks.get(0).hand(),
                        over,
                        asks.stream().map(Ask::fingers).toList());
        List<Voiced> all = new ArrayList<>();
        for (int i = 0; i < asks.size(); i++) {
            Shape shape = own.get(i).voicing().shape();
            all.add(choices.get(i).made(options.get(i), shape, held.get(i)));
        }
        return all;
    }

    /**
     * A riff worked on again after it was at rest: where the program would now take another shape
     * than the one settled, and the hand holds that one, it becomes the chord's member; by its
     * class where the family has it, else as if built by hand.
     */
    Riff kept(Riff riff, Hand hand) {
        Fretboard board = riff.ground().board();
        Riff now = riff.withTreatments(unsettled(riff));
        // Each shape kept may draw others with it, so it is asked again until nothing moves.
        for (int round = 0; round <= riff.roots().size(); round++) {
            List<Voiced> all = voiced(now, hand);
            List<Treatment> kept = new ArrayList<>(now.treatments());
            for (int i = 0; i < kept.size(); i++) {
                Optional<Shape> was = riff.treatments().get(i).settled();
                boolean moved =
                        was.isPresent()
                                && kept.get(i).member().isEmpty()
                                && !was.get().equals(all.get(i).own())
                                && mayBeHeld(was.get(), board, hand);
                if (moved) {
                    kept.set(i, holding(now, i, was.get(), hand));
                }
            }
            if (kept.equals(now.treatments())) {
                return now;
            }
            now = now.withTreatments(kept);
        }
        return now;
    }

    private static List<Treatment> unsettled(Riff riff) {
        return riff.treatments().stream().map(t -> t.settled(Optional.empty())).toList();
    }

    /** A treatment that takes a shape: as a member of its family, or as if built by hand. */
    private Treatment holding(Riff riff, int chord, Shape shape, Hand hand) {
        Treatment t = riff.treatments().get(chord);
        int root = riff.roots().get(chord).root().pitchClass(riff.ground().key());
        Member.OfClass found = Member.OfClass.of(new Voicing(shape, riff.ground().board(), root));
        Ask ask = ask(riff, hand, chord, t.with(t.family(), found));
        boolean same = options(ask).shapes().get(0).voicing().shape().equals(shape);
        return t.with(t.family(), same ? found : new Member.ByHand(shape, root));
    }

    private static boolean mayBeHeld(Shape shape, Fretboard board, Hand hand) {
        return shape.strings() == board.strings()
                && shape.voices() > 0
                && shape.highestFretted() <= board.frets()
                && Fingering.of(board, shape, hand).isPresent();
    }

    /** A riff at rest: with the shape that each chord takes where no member is chosen. */
    Riff settled(Riff riff, Hand hand) {
        List<Voiced> all = voiced(riff, hand);
        List<Treatment> settled = new ArrayList<>();
        for (int i = 0; i < all.size(); i++) {
            Treatment t = riff.treatments().get(i);
            Shape own = all.get(i).own();
            settled.add(
                    t.settled(
                            t.member().isEmpty() && !all.get(i).silent()
                                    ? Optional.of(own)
                                    : Optional.empty()));
        }
        return riff.withTreatments(settled);
    }
}
