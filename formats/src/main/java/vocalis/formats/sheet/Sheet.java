package vocalis.formats.sheet;

import java.util.List;
import java.util.Objects;
import vocalis.core.riff.Ground;
import vocalis.core.score.Score;

/**
 * What is exchanged with other programs: scores without their recipes. All guitars share ground and
 * time.
 *
 * @param title of the piece, not blank
 * @param ground instrument, key, tone
 * @param guitars at least one
 */
public record Sheet(String title, Ground ground, List<Guitar> guitars) {

    /** Most guitars of a sheet. */
    public static final int MOST_GUITARS = 8;

    /**
     * One guitar's score.
     *
     * @param name as it is shown, not blank
     */
    public record Guitar(String name, Score score) {
        public Guitar {
            Objects.requireNonNull(score, "score");
            if (name.isBlank()) {
                throw new IllegalArgumentException("a guitar has a name");
            }
        }
    }

    public Sheet {
        Objects.requireNonNull(ground, "ground");
        guitars = List.copyOf(guitars);
        if (title.isBlank()) {
            throw new IllegalArgumentException("a sheet has a title");
        }
        if (guitars.isEmpty() || guitars.size() > MOST_GUITARS) {
            throw new IllegalArgumentException(
                    "a sheet has 1 to " + MOST_GUITARS + " guitars, not " + guitars.size());
        }
    }

    /** The first guitar's score. */
    public Score score() {
        return guitars.get(0).score();
    }
}
