package vocalis.core.unpick;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import vocalis.core.choice.Catalogue;
import vocalis.core.derive.Derived;
import vocalis.core.derive.Deriver;
import vocalis.core.hands.Hand;
import vocalis.core.instrument.Shape;
import vocalis.core.pattern.Limits;
import vocalis.core.riff.Ground;
import vocalis.core.riff.Member;
import vocalis.core.riff.Riff;
import vocalis.core.riff.Root;
import vocalis.core.riff.RootSpan;
import vocalis.core.riff.Treatment;
import vocalis.core.score.Manner;
import vocalis.core.score.Onset;
import vocalis.core.score.Score;
import vocalis.core.score.ScoreNote;
import vocalis.core.voicing.Family;
import vocalis.core.voicing.Voicing;

/**
 * Takes a score apart into roots, shapes, figures, lines and touches, so that it can be voiced
 * anew.
 *
 * <p>Design: the score is parted where the hand takes another shape; each part gets a root (its
 * chord symbol's, else the heard one), a shape (what is struck, completed where a symbol says more)
 * and a family; bars that are alike become one figure. Then the recipe is derived and held against
 * the score: a shape that comes out otherwise is taken as built by hand, a line that lies elsewhere
 * is pinned to its string and fret. What still differs is told by bar.
 */
public final class Unpicker {

    private static final int ROUNDS = 3;

    private final Catalogue catalogue;
    private final Hand hand;

    public Unpicker(Catalogue catalogue, Hand hand) {
        this.catalogue = catalogue;
        this.hand = hand;
    }

    /**
     * Takes a score apart. Long where chords are named (their shapes are searched): on a worker.
     *
     * @param ground its instrument must be the score's
     * @throws IllegalArgumentException when the score is longer or fuller than a riff may be
     */
    public Unpicked unpick(Score score, Ground ground) {
        return unpick(score, ground, Map.of());
    }

    /**
     * The same with roots that the player knows better.
     *
     * @param roots pitch class by where its chord begins, in ticks
     */
    public Unpicked unpick(Score score, Ground ground, Map<Long, Integer> roots) {
        if (!ground.board().equals(score.board())) {
            throw new IllegalArgumentException("the score is for another instrument");
        }
        List<Span> spans = Spans.of(score, hand);
        if (spans.size() > Limits.MOST_ROOTS) {
            throw new IllegalArgumentException(
                    "the score changes its shape more than " + Limits.MOST_ROOTS + " times");
        }
        Shapes shapes = new Shapes(catalogue, hand, score, ground.key());
        List<Shapes.Held> held = held(spans, shapes, roots);
        return settled(withFrets(score, spans, held), ground, spans, held);
    }

    private static List<Shapes.Held> held(
            List<Span> spans, Shapes shapes, Map<Long, Integer> roots) {
        return spans.stream()
                .map(
                        s ->
                                roots.containsKey(s.at())
                                        ? shapes.on(shapes.of(s), roots.get(s.at()))
                                        : shapes.of(s))
                .toList();
    }

    /** A dead note without a fret lies where the grip has its string. */
    private static Score withFrets(Score score, List<Span> spans, List<Shapes.Held> held) {
        List<ScoreNote> notes = new ArrayList<>();
        int span = 0;
        for (ScoreNote n : score.notes()) {
            while (span + 1 < spans.size() && spans.get(span).end() <= n.at()) {
                span++;
            }
            Shape shape = held.get(span).voicing().shape();
            boolean free = n.manner() == Manner.DEAD && n.fret() == 0;
            notes.add(free && shape.sounds(n.string()) ? n.onFret(shape.fret(n.string())) : n);
        }
        return new Score(score.board(), score.time(), score.length(), notes, score.harmonies());
    }

    /**
     * What another guitar plays over the roots of a riff: its own shapes, figures and touches, note
     * for note; what its shape over a root does not have is pinned to string and fret.
     *
     * @param score on the riff's instrument and as long as the riff
     */
    public Unpicked.Second second(Score score, Riff riff) {
        if (!riff.ground().board().equals(score.board()) || score.length() != riff.length()) {
            throw new IllegalArgumentException("the score is for another instrument or length");
        }
        List<Span> spans = new ArrayList<>();
        for (int i = 0; i < riff.roots().size(); i++) {
            spans.add(
                    Spans.over(score, riff.start(i), riff.start(i) + riff.roots().get(i).length()));
        }
        Shapes shapes = new Shapes(catalogue, hand, score, riff.ground().key());
        List<Shapes.Held> held = new ArrayList<>();
        for (int i = 0; i < spans.size(); i++) {
            int root = riff.roots().get(i).root().pitchClass(riff.ground().key());
            held.add(shapes.on(shapes.of(spans.get(i)), root));
        }
        Unpicked u = settled(withFrets(score, spans, held), riff.ground(), spans, held);
        Riff own =
                new Riff(
                        riff.ground(),
                        riff.time(),
                        riff.roots(),
                        u.riff().treatments(),
                        u.riff().pattern(),
                        u.riff().touches());
        return new Unpicked.Second(own, u.notes(), u.same());
    }

    private Unpicked settled(Score score, Ground ground, List<Span> spans, List<Shapes.Held> held) {
        Set<Integer> byHand = new HashSet<>();
        Set<Long> pinned = new HashSet<>();
        Unpicked best = null;
        for (int round = 0; round < ROUNDS; round++) {
            Unpicked now = attempt(score, ground, spans, held, byHand, pinned);
            if (best == null || now.same() > best.same()) {
                best = now;
            }
            if (now.whole() || !mended(score, now, held, byHand, pinned)) {
                break;
            }
        }
        return best;
    }

    private Unpicked attempt(
            Score score,
            Ground ground,
            List<Span> spans,
            List<Shapes.Held> held,
            Set<Integer> byHand,
            Set<Long> pinned) {
        List<RootSpan> roots = new ArrayList<>();
        List<Treatment> treatments = new ArrayList<>();
        List<Unpicked.Chord> chords = new ArrayList<>();
        List<Voicing> voicings = new ArrayList<>();
        for (int i = 0; i < spans.size(); i++) {
            Voicing v = held.get(i).voicing();
            voicings.add(v);
            roots.add(new RootSpan(Root.of(ground.key(), v.root()), spans.get(i).length()));
            boolean own = byHand.contains(i) || held.get(i).family().isEmpty();
            Family family = held.get(i).family().orElse(Family.POWER);
            Member member = own ? new Member.ByHand(v.shape(), v.root()) : Member.OfClass.of(v);
            treatments.add(new Treatment(family, Map.of(family, member)));
            chords.add(new Unpicked.Chord(spans.get(i).at(), held.get(i).sure()));
        }
        PatternWriter recipe = new PatternWriter(ground, score, spans, voicings, pinned);
        Riff riff =
                new Riff(
                        ground,
                        score.time(),
                        roots,
                        treatments,
                        recipe.pattern(),
                        recipe.touches());
        Derived derived = new Deriver(catalogue).derive(riff, hand);
        TreeSet<Integer> differs = new TreeSet<>();
        int same = same(score, derived, differs);
        return new Unpicked(
                riff,
                derived,
                chords,
                recipe.lines(),
                List.copyOf(differs),
                score.notes().size(),
                same,
                Optional.empty());
    }

    /** How many notes came out as they were; in which bars something did not. */
    private static int same(Score score, Derived derived, Set<Integer> differs) {
        Set<ScoreNote> made = new HashSet<>();
        derived.score().notes().forEach(n -> made.add(n.bare()));
        int same = 0;
        for (ScoreNote n : score.notes()) {
            if (made.remove(n.bare())) {
                same++;
            } else {
                differs.add(Math.max(0, score.time().meters().bar(n.at())));
            }
        }
        made.forEach(n -> differs.add(Math.max(0, score.time().meters().bar(n.at()))));
        return same;
    }

    /** Notes what came out otherwise; whether there is anything to be done about it. */
    private static boolean mended(
            Score score,
            Unpicked now,
            List<Shapes.Held> held,
            Set<Integer> byHand,
            Set<Long> pinned) {
        boolean any = false;
        for (int i = 0; i < held.size(); i++) {
            Voicing v = now.derived().chords().get(i).candidate().voicing();
            if (!v.shape().equals(held.get(i).voicing().shape())) {
                any |= byHand.add(i);
            }
        }
        Set<ScoreNote> made = new HashSet<>();
        now.derived().score().notes().forEach(n -> made.add(n.bare()));
        for (Onset o : score.onsets()) {
            boolean lies = o.notes().stream().allMatch(n -> made.contains(n.bare()));
            if (!lies && o.notes().size() == 1) {
                any |= pinned.add(o.at());
            }
        }
        return any;
    }
}
