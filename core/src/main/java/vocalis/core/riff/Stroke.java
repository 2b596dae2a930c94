package vocalis.core.riff;

import java.util.Objects;

/**
 * One stroke of a bar's cell.
 *
 * @param at ticks from the start of the bar, 0 or more
 * @param length ticks that it sounds, above zero
 * @param struck which voices
 * @param manner how its strings are left to sound
 * @param accent struck harder
 */
public record Stroke(long at, long length, Struck struck, Manner manner, boolean accent) {

    public Stroke {
        Objects.requireNonNull(struck, "struck");
        Objects.requireNonNull(manner, "manner");
        if (at < 0) {
            throw new IllegalArgumentException("a stroke begins in its bar, but this one at " + at);
        }
        if (length <= 0) {
            throw new IllegalArgumentException(
                    "a stroke lasts longer than nothing, but this one " + length);
        }
    }

    /** A stroke under the palm, or a plain one. */
    public Stroke(long at, long length, Struck struck, boolean muted, boolean accent) {
        this(at, length, struck, muted ? Manner.PALM : Manner.PLAIN, accent);
    }

    /** Whether the palm or the fingers keep it short. */
    public boolean muted() {
        return manner.palm() || manner == Manner.DEAD;
    }

    /** Where it ends, ticks from the start of the bar. */
    public long end() {
        return at + length;
    }

    public Stroke striking(Struck other) {
        return new Stroke(at, length, other, manner, accent);
    }

    public Stroke lasting(long ticks) {
        return new Stroke(at, ticks, struck, manner, accent);
    }

    public Stroke played(Manner other) {
        return new Stroke(at, length, struck, other, accent);
    }

    public Stroke accented(boolean on) {
        return new Stroke(at, length, struck, manner, on);
    }
}
