package vocalis.core.names;

import java.util.Arrays;
import java.util.Optional;

/**
 * What two different notes are called beside their root, as players say it (common practice): the
 * fourth by its upper note, the others by their interval. A plain fifth is no dyad here: it is the
 * power chord.
 */
public enum Dyad {
    MINOR_SECOND(1, "minor second", "minor ninth", 1.3),
    SECOND(2, "second", "ninth", 1.1),
    MINOR_THIRD(3, "minor third", "minor tenth", 0.6),
    MAJOR_THIRD(4, "major third", "major tenth", 0.6),
    TRITONE(6, "tritone", "tritone", 0.9),
    /** The fifth below its root: the one dyad whose root is the upper note. */
    FOURTH(7, "fourth", "fourth", 0.6),
    MINOR_SIXTH(8, "minor sixth", "minor sixth", 1.0),
    SIXTH(9, "sixth", "sixth", 1.0),
    MINOR_SEVENTH(10, "minor seventh", "minor seventh", 0.9),
    MAJOR_SEVENTH(11, "major seventh", "major seventh", 1.0);

    private static final Dyad[] BY_SEMITONES = new Dyad[12];

    static {
        for (Dyad d : values()) {
            BY_SEMITONES[d.semitones] = d;
        }
    }

    private final int semitones;
    private final String words;
    private final String wide;
    private final double cost;

    Dyad(int semitones, String words, String wide, double cost) {
        this.semitones = semitones;
        this.words = words;
        this.wide = wide;
        this.cost = cost;
    }

    /**
     * The dyad of a root and a note some semitones above it, 1 to 11; none for a fifth over the
     * root and for a fourth over it, which is a suspension.
     *
     * @param rootLowest whether the root is the lower note
     */
    static Optional<Dyad> of(int semitones, boolean rootLowest) {
        Dyad d = BY_SEMITONES[semitones];
        return d == FOURTH && rootLowest ? Optional.empty() : Optional.ofNullable(d);
    }

    /** The dyad that words name, however wide it lies. */
    static Optional<Dyad> named(String words) {
        return Arrays.stream(values())
                .filter(d -> d.words.equals(words) || d.wide.equals(words))
                .findFirst();
    }

    /** Semitones of its other note above the root, 1 to 11. */
    int semitones() {
        return semitones;
    }

    /** As {@link Quality#cost}. */
    double cost() {
        return cost;
    }

    /** Its words; of a tenth or ninth where the notes lie more than an octave apart. */
    String words(boolean pastOctave) {
        return pastOctave ? wide : words;
    }
}
