package vocalis.core.riff;

import java.util.ArrayList;
import java.util.List;

/**
 * The fourth layer: a cell for each bar. A riff with more bars than cells goes through them again.
 *
 * @param bars at least one cell
 */
public record Pattern(List<Cell> bars) {

    public Pattern {
        bars = List.copyOf(bars);
        if (bars.isEmpty()) {
            throw new IllegalArgumentException("a pattern needs at least one bar");
        }
    }

    /** The cell that a bar of the riff plays, counted from 0. */
    public Cell bar(int index) {
        return bars.get(index % bars.size());
    }

    /** The pattern of a riff of {@code riffBars} bars with one of them changed, and no other. */
    public Pattern with(int index, Cell cell, int riffBars) {
        List<Cell> out = writtenOut(Math.max(bars.size(), riffBars));
        out.set(index, cell);
        return new Pattern(out);
    }

    /** {@code count} bars of the riff, from the first. */
    public List<Cell> writtenOut(int count) {
        List<Cell> out = new ArrayList<>();
        for (int i = 0; i < count; i++) {
            out.add(bar(i));
        }
        return out;
    }
}
