package vocalis.core.unpick;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import vocalis.core.choice.Candidate;
import vocalis.core.choice.Catalogue;
import vocalis.core.hands.Hand;
import vocalis.core.instrument.Fretboard;
import vocalis.core.instrument.Shape;
import vocalis.core.names.Around;
import vocalis.core.names.ChordNamer;
import vocalis.core.names.ChordSymbol;
import vocalis.core.names.HeardRoot;
import vocalis.core.score.Harmony;
import vocalis.core.score.Score;
import vocalis.core.theory.Key;
import vocalis.core.voicing.Family;
import vocalis.core.voicing.Voicing;

/** What shape, root and family a stretch of a score stands for. */
final class Shapes {

    /**
     * An explanation.
     *
     * @param voicing the shape on its root
     * @param family the first family that has it; empty where none has
     * @param sure how sure it is
     */
    record Held(Voicing voicing, Optional<Family> family, Unpicked.Sure sure) {}

    private final Catalogue catalogue;
    private final Hand hand;
    private final Score score;
    private final Fretboard board;
    private final Key key;
    private final Map<Object, Held> known = new HashMap<>();

    Shapes(Catalogue catalogue, Hand hand, Score score, Key key) {
        this.catalogue = catalogue;
        this.hand = hand;
        this.score = score;
        this.board = score.board();
        this.key = key;
    }

    /** What a stretch is held with; the same for the same notes and name. */
    Held of(Span span) {
        Optional<Harmony> named =
                span.harmony() < 0
                        ? Optional.empty()
                        : Optional.of(score.harmonies().get(span.harmony()));
        Object ask =
                List.of(
                        span.frets(),
                        span.together(),
                        span.largest(),
                        named.map(Harmony::symbol).orElse(""),
                        named.map(Harmony::root).orElse(-1));
        return known.computeIfAbsent(ask, k -> find(span, named));
    }

    /** The same shape on the root that the player says. */
    Held on(Held held, int root) {
        Voicing v = new Voicing(held.voicing().shape(), board, root);
        return new Held(v, family(v), Unpicked.Sure.NAMED);
    }

    /**
     * Each chord is judged by its own notes. A symbol gives the root, never a note: what nobody
     * plays is not in the grip.
     */
    private Held find(Span span, Optional<Harmony> named) {
        if (span.frets().isEmpty()) {
            return silent(named);
        }
        Shape shape = Spans.shape(span.frets(), board.strings());
        int own = root(shape);
        if (named.isEmpty() || named.get().symbol().isEmpty()) {
            Voicing v = new Voicing(shape, board, named.map(Harmony::root).orElse(own));
            return new Held(v, family(v), byItsNotes(span, v));
        }
        Set<Integer> said = notes(named.get());
        Voicing on = new Voicing(shape, board, named.get().root());
        boolean agrees = said.containsAll(on.pitchClasses());
        boolean sounds = on.pitchClasses().contains(on.root());
        if (agrees) {
            return new Held(on, family(on), sounds ? Unpicked.Sure.NAMED : Unpicked.Sure.SPREAD);
        }
        if (span.struck()) {
            // What is named is what was struck together; the other notes are a line beside it.
            Shape struck = Spans.shape(span.together(), board.strings());
            Voicing alone = new Voicing(struck, board, on.root());
            if (said.containsAll(alone.pitchClasses())
                    && alone.pitchClasses().contains(alone.root())) {
                return new Held(alone, family(alone), Unpicked.Sure.NAMED);
            }
        }
        // A passing grip under a name that goes on is its own chord.
        Voicing v = new Voicing(shape, board, sounds ? on.root() : own);
        return new Held(v, family(v), Unpicked.Sure.OTHERWISE);
    }

    /** The root that the notes are named from. */
    int root(Shape shape) {
        return ChordNamer.name(new Voicing(shape, board, 0), Optional.of(key), Around.NOTHING)
                .root()
                .pitchClass();
    }

    private static Set<Integer> notes(Harmony h) {
        try {
            Set<Integer> all = new HashSet<>(ChordSymbol.parse(h.symbol()).pitchClasses());
            all.add(h.bass());
            return all;
        } catch (IllegalArgumentException e) {
            return Set.of();
        }
    }

    private Unpicked.Sure byItsNotes(Span span, Voicing v) {
        if (!span.struck()) {
            return span.frets().size() < 3 ? Unpicked.Sure.LINE : Unpicked.Sure.SPREAD;
        }
        if (!span.whole()) {
            return Unpicked.Sure.SPREAD;
        }
        return ChordNamer.lead(v, Optional.of(key)) >= CLEAR_LEAD
                        && HeardRoot.of(v, Optional.of(key)).root() == v.root()
                ? Unpicked.Sure.STRUCK
                : Unpicked.Sure.NEAR;
    }

    /**
     * How much dearer another root's name must be for a chord to be certain; set by hand so that
     * thirds and sixths alone, sevenths that are sixths, and diminished chords are not.
     */
    private static final double CLEAR_LEAD = 1.0;

    /** A stretch in which nothing is struck takes the usual shape of its root. */
    private Held silent(Optional<Harmony> named) {
        int root = named.map(Harmony::root).orElse(key.tonic().pitchClass());
        List<Candidate> usual = catalogue.leading(board, hand, Family.POWER, root);
        Optional<Voicing> called =
                named.filter(h -> !h.symbol().isEmpty())
                        .flatMap(h -> completed(Map.of(), root, h.symbol()));
        Voicing v =
                called.orElseGet(
                        () ->
                                usual.isEmpty()
                                        ? new Voicing(
                                                Shape.silent(board.strings()).with(0, 0),
                                                board,
                                                root)
                                        : usual.get(0).voicing());
        return new Held(v, family(v), Unpicked.Sure.LINE);
    }

    private String name(Voicing v) {
        return ChordNamer.name(v, Optional.of(key), Around.NOTHING).symbol();
    }

    /** The easiest shape that has the notes heard, few others, and the name that the score says. */
    private Optional<Voicing> completed(Map<Integer, Integer> frets, int root, String symbol) {
        Voicing best = null;
        double least = Double.POSITIVE_INFINITY;
        for (Family f : Family.values()) {
            for (Candidate c : catalogue.leading(board, hand, f, root)) {
                Shape s = c.voicing().shape();
                boolean has =
                        frets.entrySet().stream().allMatch(e -> s.fret(e.getKey()) == e.getValue());
                double cost = 10 * (s.voices() - frets.size()) + c.fingering().effort();
                // Named last: that takes longest.
                if (has && cost < least && symbol.equals(name(c.voicing()))) {
                    best = c.voicing();
                    least = cost;
                }
            }
        }
        return Optional.ofNullable(best);
    }

    private static Optional<Family> family(Voicing v) {
        List<Family> all = new ArrayList<>();
        for (Family f : Family.values()) {
            if (f.accepts(v)) {
                all.add(f);
            }
        }
        return all.stream().findFirst();
    }
}
