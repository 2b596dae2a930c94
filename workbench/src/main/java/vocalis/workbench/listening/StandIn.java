package vocalis.workbench.listening;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import vocalis.core.mix.Mix;
import vocalis.core.rhythm.Ticks;
import vocalis.core.riff.Ground;
import vocalis.core.riff.Tone;
import vocalis.core.score.Manner;
import vocalis.core.score.Score;
import vocalis.core.score.ScoreNote;
import vocalis.core.score.ScoreNoteBuilder;
import vocalis.sound.listen.Take;
import vocalis.workbench.playing.Heard;
import vocalis.workbench.playing.OfflineRender;
import vocalis.workbench.playing.Player;

/**
 * A player for those without a cable: plays a riff with errors that can be set, clean and alone.
 * The same seed makes the same errors.
 */
public final class StandIn {

    /** What is left to ring at the end, in seconds. */
    private static final double TAIL_SECONDS = 0.7;

    private StandIn() {}

    /**
     * How badly it plays.
     *
     * @param spreadMs how far strokes fall from their time, as a standard deviation
     * @param behindMs how late it is throughout
     * @param wrong the share of strokes with a finger a fret off
     * @param missing the share of strokes left out
     * @param palm the share of strokes under the palm at which the palm is up
     */
    public record Errors(
            double spreadMs, double behindMs, double wrong, double missing, double palm) {

        /** As written. */
        public static final Errors NONE = new Errors(0, 0, 0, 0, 0);

        /** Somebody who has had the riff for a day. */
        public static final Errors LEARNING = new Errors(14, 12, 0.06, 0.04, 0.1);
    }

    /** A pass of a riff, as it is played this time. */
    public static Take play(Score score, Ground ground, Errors errors, long seed) {
        Random random = new Random(seed);
        double ticksAMs = score.time().tempos().first() * Ticks.QUARTER / 60_000.0;
        List<ScoreNote> notes = new ArrayList<>();
        for (var o : score.onsets()) {
            boolean missing = random.nextDouble() < errors.missing() && !o.tied();
            boolean wrong = random.nextDouble() < errors.wrong();
            boolean up = random.nextDouble() < errors.palm();
            double off = errors.spreadMs() * random.nextGaussian() + errors.behindMs();
            long at = o.tied() ? o.at() : Math.max(0, o.at() + Math.round(off * ticksAMs));
            int which = random.nextInt(o.notes().size());
            for (int i = 0; i < o.notes().size() && !missing; i++) {
                ScoreNote n = o.notes().get(i);
                long length = Math.max(1, Math.min(n.length(), score.length() - at));
                ScoreNoteBuilder b = ScoreNoteBuilder.builder(n).at(at).length(length);
                if (wrong && i == which && n.fret() > 0 && n.techniques().isEmpty()) {
                    b.fret(n.fret() + 1);
                }
                if (up && n.manner().palm()) {
                    b.manner(Manner.PLAIN).rings(true);
                }
                notes.add(b.build());
            }
        }
        Score played =
                new Score(score.board(), score.time(), score.length(), notes, score.harmonies());
        return sound(played, ground.withTone(Tone.CLEAN));
    }

    /** How a score sounds alone, in its ground's tone. */
    public static Take sound(Score score, Ground ground) {
        Heard heard = alone(score, ground);
        return Take.ofStereo(OfflineRender.of(heard, 1, TAIL_SECONDS).samples(), Player.RATE);
    }

    /** The same at a gain that is known; sparing the rendering that finds it. */
    static Take sound(Score score, Ground ground, double match) {
        Heard heard = alone(score, ground);
        return Take.ofStereo(OfflineRender.of(heard, match, TAIL_SECONDS).samples(), Player.RATE);
    }

    /** The gain at which a score is as loud as others. */
    static double match(Score score, Ground ground) {
        return OfflineRender.match(alone(score, ground));
    }

    private static Heard alone(Score score, Ground ground) {
        return new Heard(score, Optional.empty(), ground, Mix.ALONE);
    }
}
