package vocalis.core.choice;

import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import vocalis.core.hands.Fingering;
import vocalis.core.hands.Hand;
import vocalis.core.instrument.Fretboard;
import vocalis.core.instrument.Shape;
import vocalis.core.voicing.ShapeClass;
import vocalis.core.voicing.Voicing;

/**
 * A shape that the player keeps as their own: its class, so that it is found on every root.
 *
 * @param name what the player calls it, 1 to 60 characters
 * @param shapeClass degrees and strings relative to each other
 */
public record OwnShape(String name, ShapeClass shapeClass) {

    public OwnShape {
        Objects.requireNonNull(shapeClass, "shapeClass");
        if (name.isBlank() || name.length() > 60) {
            throw new IllegalArgumentException("a shape's name has 1 to 60 characters");
        }
    }

    /** Every place where the shape can be held on a root (pitch class 0 to 11). */
    public List<Candidate> places(Fretboard board, Hand hand, int root) {
        List<Candidate> all = new ArrayList<>();
        int bass = (root + shapeClass.bassDegree()) % 12;
        for (int low = 0; low < board.strings(); low++) {
            for (int fret = 0; fret <= board.frets(); fret++) {
                if (board.midi(low, fret) % 12 == bass) {
                    Shape shape = at(board, low, board.midi(low, fret));
                    if (shape != null) {
                        Voicing v = new Voicing(shape, board, root);
                        if (ShapeClass.of(v).equals(shapeClass)) {
                            Fingering.of(board, shape, hand)
                                    .ifPresent(f -> all.add(new Candidate(v, f)));
                        }
                    }
                }
            }
        }
        return all;
    }

    private Shape at(Fretboard board, int low, int lowestMidi) {
        Shape shape = Shape.silent(board.strings());
        for (ShapeClass.Step step : shapeClass.steps()) {
            int string = low + step.stringOffset();
            if (string >= board.strings()) {
                return null;
            }
            int fret = lowestMidi + step.semitones() - board.midi(string, 0);
            if (fret < 0 || fret > board.frets() || step.open() != (step.open() && fret == 0)) {
                return null;
            }
            shape = shape.with(string, fret);
        }
        return shape;
    }
}
