package vocalis.core.rhythm;

import java.util.List;
import java.util.OptionalInt;

/**
 * Where a figure of its own length falls in the bars when it is laid end to end: found by stepping
 * from pass to pass through the bars, which come round when they are through.
 *
 * @param meets the first pass after the first that begins on the one; empty when none ever does
 * @param meetsBars bars from the first bar line to that pass, as they are counted while playing
 * @param back the pass that begins in the first place again
 * @param backBars bars from the first pass to that one
 */
public record Landing(OptionalInt meets, long meetsBars, int back, long backBars) {

    /**
     * Steps through the bars.
     *
     * @param figure length of the figure (of all figures until they come round), in ticks
     * @param offset where the first pass begins, in ticks from the first bar line, 0 or more
     * @param bars lengths of the bars in ticks, in their order; after the last the first again
     * @throws IllegalArgumentException when a length is not above 0
     */
    public static Landing of(long figure, long offset, List<Long> bars) {
        if (figure <= 0 || offset < 0 || bars.isEmpty() || bars.stream().anyMatch(b -> b <= 0)) {
            throw new IllegalArgumentException(
                    "figure and bars last longer than nothing, but are "
                            + figure
                            + " from "
                            + offset
                            + " in "
                            + bars);
        }
        Place first = new Place(bars, offset);
        Place now = new Place(bars, offset);
        OptionalInt meets = OptionalInt.empty();
        long meetsBars = 0;
        for (int pass = 1; ; pass++) {
            now.on(figure);
            if (meets.isEmpty() && now.in == 0) {
                meets = OptionalInt.of(pass);
                meetsBars = now.counted;
            }
            if (now.in == first.in && now.bar() == first.bar()) {
                return new Landing(meets, meetsBars, pass, now.counted - first.counted);
            }
        }
    }

    /** A place in the bars. */
    private static final class Place {
        private final List<Long> bars;
        private long counted;
        private long in;

        Place(List<Long> bars, long offset) {
            this.bars = bars;
            on(offset);
        }

        int bar() {
            return (int) (counted % bars.size());
        }

        void on(long ticks) {
            in += ticks;
            while (in >= bars.get(bar())) {
                in -= bars.get(bar());
                counted++;
            }
        }
    }
}
