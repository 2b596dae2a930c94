package vocalis.core.riff;

import java.util.Objects;

/**
 * One stroke of a bar's cell.
 *
 * @param at ticks from the start of the bar, 0 or more
 * @param length ticks that it sounds, above zero
 * @param struck which voices
 * @param muted palm-muted, or ringing
 * @param accent struck harder
 */
public record Stroke(long at, long length, Struck struck, boolean muted, boolean accent) {

    public Stroke {
        Objects.requireNonNull(struck, "struck");
        if (at < 0) {
            throw new IllegalArgumentException("a stroke begins in its bar, but this one at " + at);
        }
        if (length <= 0) {
            throw new IllegalArgumentException(
                    "a stroke lasts longer than nothing, but this one " + length);
        }
    }

    /** Where it ends, ticks from the start of the bar. */
    public long end() {
        return at + length;
    }

    public Stroke striking(Struck other) {
        return new Stroke(at, length, other, muted, accent);
    }

    public Stroke lasting(long ticks) {
        return new Stroke(at, ticks, struck, muted, accent);
    }

    public Stroke muted(boolean on) {
        return new Stroke(at, length, struck, on, accent);
    }

    public Stroke accented(boolean on) {
        return new Stroke(at, length, struck, muted, on);
    }
}
