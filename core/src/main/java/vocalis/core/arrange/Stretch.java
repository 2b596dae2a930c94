package vocalis.core.arrange;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import vocalis.core.piece.Section;
import vocalis.core.riff.Tone;

/**
 * A stretch of what is played in which band and tones stay as they are: a section, or the part of
 * one that another ending changes.
 *
 * @param section index of the section
 * @param from tick of its first bar line
 * @param to tick of its end
 * @param band what bass and kit do
 * @param first amplifier of the first guitar
 * @param second amplifier of the second; empty for the one of the mix
 * @param tonic pitch class of the tonic of its key, 0 to 11
 * @param turns whether the section ends here
 */
@RecordBuilder
public record Stretch(
        int section,
        long from,
        long to,
        Section.Band band,
        Tone first,
        Optional<Tone> second,
        int tonic,
        boolean turns)
        implements StretchBuilder.With {

    public Stretch {
        Objects.requireNonNull(band, "band");
        Objects.requireNonNull(first, "first");
        Objects.requireNonNull(second, "second");
        if (from < 0 || to <= from) {
            throw new IllegalArgumentException(
                    "a stretch lasts some time from 0 on, not from " + from + " to " + to);
        }
    }

    /** The same where the section goes on after it. */
    public Stretch goingOn() {
        return withTurns(false);
    }

    /** The same so many ticks later. */
    public Stretch later(long ticks) {
        return with(b -> b.from(from + ticks).to(to + ticks));
    }

    /** The same until a later tick; the section ends there or not. */
    Stretch until(long tick, boolean ends) {
        return with(b -> b.to(tick).turns(ends));
    }

    /** Whether another stretch goes on with the same band and tones. */
    boolean goesOnIn(Stretch next) {
        return section == next.section
                && first.equals(next.first)
                && second.equals(next.second)
                && tonic == next.tonic;
    }

    /** What of some stretches lies between two ticks, the first of which becomes 0. */
    public static List<Stretch> between(List<Stretch> all, long from, long to) {
        List<Stretch> within = new ArrayList<>();
        for (Stretch s : all) {
            long start = Math.max(from, s.from);
            long end = Math.min(to, s.to);
            if (end > start) {
                within.add(
                        s.with(
                                b ->
                                        b.from(start - from)
                                                .to(end - from)
                                                .turns(s.turns && end == s.to)));
            }
        }
        return within;
    }
}
