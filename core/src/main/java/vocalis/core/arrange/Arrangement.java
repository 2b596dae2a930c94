package vocalis.core.arrange;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import vocalis.core.piece.Piece;
import vocalis.core.piece.PieceRiff;
import vocalis.core.piece.Section;
import vocalis.core.riff.Ground;
import vocalis.core.riff.Riff;

/**
 * The sections of a piece written out: every time that a riff is played, in order. A riff's pickup
 * leads into its section over the end of the one before; when the section is repeated it is not
 * heard again. All riffs are played on the instrument of the one that is worked on.
 */
public final class Arrangement {

    /** Most bars of a whole arrangement. */
    public static final int MOST_BARS = 4096;

    /**
     * One time through a riff.
     *
     * @param section index of its section
     * @param time which time it is played there, from 0
     * @param riff what the first guitar plays
     * @param second what the second guitar plays
     * @param start tick of its first bar line in the whole arrangement
     */
    public record Turn(int section, int time, Riff riff, Riff second, long start) {

        /** Ticks from its first bar line to its end. */
        public long length() {
            return riff.length() - riff.loopStart();
        }

        /** Where it ends in the whole arrangement. */
        public long end() {
            return start + length();
        }

        /** What to add to a tick of the riff for its place in the arrangement; may be negative. */
        public long shift() {
            return start - riff.loopStart();
        }

        /** Where its pickup begins, if it has one that is heard. */
        public long lead() {
            return time == 0 ? start - riff.loopStart() : start;
        }
    }

    private Arrangement() {}

    /**
     * Every turn in order.
     *
     * @throws IllegalArgumentException when together they would have more than {@link #MOST_BARS}
     */
    public static List<Turn> turns(Piece piece) {
        List<Turn> turns = new ArrayList<>();
        Ground ground = piece.riff().ground();
        long bars = 0;
        long at = -1;
        for (int s = 0; s < piece.sections().size(); s++) {
            Section section = piece.sections().get(s);
            for (int time = 0; time < section.times(); time++) {
                boolean last = time == section.times() - 1;
                Optional<String> version =
                        last && section.ending().isPresent() ? section.ending() : section.version();
                PieceRiff played = piece.riff(section.riff());
                Riff riff = on(ground, played.at(version));
                Riff second = on(ground, piece.secondOf(section.riff(), version));
                at = at < 0 ? riff.loopStart() : at;
                turns.add(new Turn(s, time, riff, second, at));
                at += riff.length() - riff.loopStart();
                bars += riff.bars();
            }
        }
        if (bars > MOST_BARS) {
            throw new IllegalArgumentException(
                    "the sections together have "
                            + bars
                            + " bars, but an arrangement has at most "
                            + MOST_BARS
                            + ": repeat them less often");
        }
        return turns;
    }

    /** A riff on the instrument of another's ground. */
    public static Riff on(Ground ground, Riff riff) {
        Ground own = riff.ground();
        Ground moved =
                new Ground(
                        ground.instrument(), ground.capo(), own.key(), own.tone(), ground.a4Hz());
        return moved.equals(own) ? riff : riff.withGround(moved);
    }
}
