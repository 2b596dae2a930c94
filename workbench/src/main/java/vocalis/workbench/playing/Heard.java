package vocalis.workbench.playing;

import java.util.List;
import java.util.Objects;
import java.util.Optional;
import vocalis.core.arrange.Song;
import vocalis.core.arrange.Stretch;
import vocalis.core.mix.Mix;
import vocalis.core.practice.Vanishing;
import vocalis.core.riff.Ground;
import vocalis.core.score.Score;

/**
 * All that sounding needs of a piece: one riff, the whole arrangement, or a stretch of it.
 *
 * @param score of the first guitar
 * @param second of the second guitar, where it plays
 * @param ground instrument, key, tone
 * @param mix who plays along, and how the guitars are turned
 * @param stretches where band and tones are what; empty where they stay throughout as the mix has
 *     them
 * @param clicks when the click is heard, and where the loop comes back to
 */
public record Heard(
        Score score,
        Optional<Score> second,
        Ground ground,
        Mix mix,
        List<Stretch> stretches,
        Clicks clicks) {

    /**
     * When the click is heard.
     *
     * @param loopFrom tick to which the loop comes back; what lies before counts in
     * @param vanishing in which bars after it the click goes out
     */
    public record Clicks(long loopFrom, Vanishing vanishing) {}

    public Heard {
        Objects.requireNonNull(score, "score");
        Objects.requireNonNull(second, "second");
        Objects.requireNonNull(ground, "ground");
        Objects.requireNonNull(mix, "mix");
        Objects.requireNonNull(clicks, "clicks");
        stretches = List.copyOf(stretches);
    }

    /** A riff's loop; its pickup is heard once. */
    public Heard(Score score, Optional<Score> second, Ground ground, Mix mix) {
        this(
                score,
                second,
                ground,
                mix,
                List.of(),
                new Clicks(score.time().meters().pickup(), Vanishing.NEVER));
    }

    /** A whole arrangement from its start; it begins again at its first bar line. */
    public static Heard of(Song song) {
        return new Heard(
                song.score(),
                song.second(),
                song.piece().riff().ground(),
                song.piece().mix(),
                song.stretches(),
                new Clicks(song.score().time().meters().pickup(), Vanishing.NEVER));
    }

    /** A stretch of an arrangement, again and again. */
    public static Heard of(Song song, long from, long to) {
        return new Heard(
                song.score().between(from, to),
                song.second().map(s -> s.between(from, to)),
                song.piece().riff().ground(),
                song.piece().mix(),
                Stretch.between(song.stretches(), from, to),
                new Clicks(0, Vanishing.NEVER));
    }

    /** The same with another mix. */
    public Heard mixed(Mix other) {
        return new Heard(score, second, ground, other, stretches, clicks);
    }
}
