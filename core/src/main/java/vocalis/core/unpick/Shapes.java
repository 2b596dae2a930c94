package vocalis.core.unpick;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import vocalis.core.choice.Candidate;
import vocalis.core.choice.Catalogue;
import vocalis.core.hands.Hand;
import vocalis.core.harmony.Around;
import vocalis.core.harmony.ChordNamer;
import vocalis.core.harmony.HeardRoot;
import vocalis.core.instrument.Fretboard;
import vocalis.core.instrument.Shape;
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
    Held of(Spans.Span span) {
        Optional<Harmony> named =
                span.harmony() < 0
                        ? Optional.empty()
                        : Optional.of(score.harmonies().get(span.harmony()));
        Object ask =
                List.of(
                        span.frets(),
                        span.together(),
                        named.map(Harmony::symbol).orElse(""),
                        named.map(Harmony::root).orElse(-1));
        return known.computeIfAbsent(ask, k -> find(span, named));
    }

    /** The same shape on the root that the player says. */
    Held on(Held held, int root) {
        Voicing v = new Voicing(held.voicing().shape(), board, root);
        return new Held(v, family(v), Unpicked.Sure.NAMED);
    }

    private Held find(Spans.Span span, Optional<Harmony> named) {
        if (span.frets().isEmpty()) {
            return silent(named);
        }
        Shape shape = Spans.shape(span.frets(), board.strings());
        int root =
                named.map(Harmony::root)
                        .orElseGet(
                                () ->
                                        HeardRoot.of(new Voicing(shape, board, 0), Optional.of(key))
                                                .root());
        Voicing heard = new Voicing(shape, board, root);
        if (named.isEmpty() || named.get().symbol().isEmpty()) {
            boolean line = !span.struck() && span.frets().size() < 3;
            Unpicked.Sure sure =
                    span.struck()
                            ? Unpicked.Sure.STRUCK
                            : line ? Unpicked.Sure.LINE : Unpicked.Sure.SPREAD;
            return new Held(heard, family(heard), sure);
        }
        String symbol = named.get().symbol();
        if (symbol.equals(name(heard))) {
            return new Held(heard, family(heard), Unpicked.Sure.NAMED);
        }
        if (span.struck()) {
            // What is named is what was struck together; the other notes are a line beside it.
            Shape struck = Spans.shape(span.together(), board.strings());
            Voicing alone = new Voicing(struck, board, root);
            if (symbol.equals(name(alone))) {
                return new Held(alone, family(alone), Unpicked.Sure.NAMED);
            }
        }
        return completed(span.frets(), root, symbol)
                .or(() -> completed(span.together(), root, symbol))
                .map(v -> new Held(v, family(v), Unpicked.Sure.COMPLETED))
                .orElseGet(
                        () ->
                                new Held(
                                        heard,
                                        family(heard),
                                        span.struck()
                                                ? Unpicked.Sure.STRUCK
                                                : Unpicked.Sure.SPREAD));
    }

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
