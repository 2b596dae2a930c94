package vocalis.core.choice;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import vocalis.core.hands.Hand;
import vocalis.core.instrument.Fretboard;
import vocalis.core.instrument.Shape;
import vocalis.core.names.ChordSymbol;
import vocalis.core.theory.PitchClassSet;
import vocalis.core.theory.Spelling;
import vocalis.core.voicing.Recipe;

/** Reads a shape, a chord name or notes as a player types them, and finds the voicings. */
public final class Finder {

    private static final int MOST_VOICES = 6;

    private Finder() {}

    /**
     * What was asked for.
     *
     * @param text as it was typed
     * @param shape the shape, where one was typed
     * @param pitchClasses the notes wanted otherwise
     * @param root pitch class that degrees are counted from
     * @param bass the bass wanted, or empty for any of the notes
     */
    public record Query(
            String text,
            Optional<Shape> shape,
            Set<Integer> pitchClasses,
            int root,
            Optional<Integer> bass) {}

    /**
     * Reads {@code x-9-11-11-0-0}, {@code F#7sus4} or {@code F# C# B E}.
     *
     * @throws IllegalArgumentException saying what cannot be read, and what could
     */
    public static Query parse(String typed, Fretboard board) {
        String text = typed.strip();
        if (text.isEmpty()) {
            throw new IllegalArgumentException("Type a shape, a chord name or notes.");
        }
        if (text.matches("[xX0-9]+(-[xX0-9]+)+")) {
            Shape shape = Shape.parse(text);
            if (shape.strings() != board.strings()) {
                throw new IllegalArgumentException(
                        "This instrument has "
                                + board.strings()
                                + " strings, the shape "
                                + shape.strings()
                                + ".");
            }
            if (shape.sounded().isEmpty()
                    || shape.frets().stream().anyMatch(f -> f > board.frets())) {
                throw new IllegalArgumentException("That shape sounds nothing on this neck.");
            }
            return new Query(text, Optional.of(shape), Set.of(), 0, Optional.empty());
        }
        if (text.matches("[A-Ga-g][#b♯♭]*([\\s,]+[A-Ga-g][#b♯♭]*)+")) {
            List<Integer> notes = new ArrayList<>();
            for (String n : text.split("[\\s,]+")) {
                notes.add(Spelling.parse(n).pitchClass());
            }
            return new Query(
                    text, Optional.empty(), new TreeSet<>(notes), notes.get(0), Optional.empty());
        }
        ChordSymbol symbol = ChordSymbol.parse(text);
        int root = symbol.root().pitchClass();
        int bass = symbol.bass().map(Spelling::pitchClass).orElse(root);
        return new Query(text, Optional.empty(), symbol.pitchClasses(), root, Optional.of(bass));
    }

    /** Every playable voicing of exactly the notes wanted, doublings allowed. */
    public static List<Candidate> candidates(Query q, Fretboard board, Hand hand) {
        PitchClassSet degrees =
                PitchClassSet.of(q.pitchClasses().stream().mapToInt(pc -> pc - q.root()).toArray());
        PitchClassSet bass = q.bass().map(b -> PitchClassSet.of(b - q.root())).orElse(degrees);
        int least = degrees.size();
        Recipe recipe =
                new Recipe(
                        Set.of(degrees),
                        bass,
                        new Recipe.Range(least, Math.max(least, MOST_VOICES)),
                        new Recipe.Range(0, 1),
                        Set.of(),
                        Recipe.Opens.FREE);
        return VoicingSearch.all(recipe, board, q.root(), hand);
    }
}
