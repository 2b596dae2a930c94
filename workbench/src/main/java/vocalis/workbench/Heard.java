package vocalis.workbench;

import java.util.Objects;
import java.util.Optional;
import vocalis.core.arrange.Mix;
import vocalis.core.riff.Ground;
import vocalis.core.score.Score;

/**
 * All that sounding needs of a piece.
 *
 * @param score of the first guitar
 * @param second of the second guitar, where it plays
 * @param ground instrument, key, tone
 * @param mix who plays along, and how the guitars are turned
 */
public record Heard(Score score, Optional<Score> second, Ground ground, Mix mix) {
    public Heard {
        Objects.requireNonNull(score, "score");
        Objects.requireNonNull(second, "second");
        Objects.requireNonNull(ground, "ground");
        Objects.requireNonNull(mix, "mix");
    }
}
