package vocalis.core.theory;

/** The seven note letters in the order of the scale of C. */
public enum Letter {
    C(0),
    D(2),
    E(4),
    F(5),
    G(7),
    A(9),
    B(11);

    private static final Letter[] ALL = values();

    private final int semitones;

    Letter(int semitones) {
        this.semitones = semitones;
    }

    /** Semitones of the natural note above C, 0 to 11. */
    public int semitones() {
        return semitones;
    }

    /** The letter {@code steps} staff steps up (negative: down); wraps from B to C. */
    public Letter plus(int steps) {
        return ALL[Math.floorMod(ordinal() + steps, 7)];
    }
}
