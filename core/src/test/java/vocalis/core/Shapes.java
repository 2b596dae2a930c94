package vocalis.core;

import vocalis.core.instrument.Fretboard;
import vocalis.core.instrument.Instrument;
import vocalis.core.instrument.Shape;
import vocalis.core.instrument.Tuning;
import vocalis.core.voicing.Voicing;

/** Short ways to say a shape in tests. */
public final class Shapes {

    public static final Fretboard STANDARD = new Fretboard(Instrument.of(Tuning.STANDARD), 0);
    public static final Fretboard LOW_D = new Fretboard(Instrument.of(Tuning.LOW_D), 0);

    private Shapes() {}

    public static Voicing standard(String shape) {
        return on(STANDARD, shape);
    }

    public static Voicing on(Fretboard board, String shape) {
        return new Voicing(Shape.parse(shape), board, 0);
    }
}
