package vocalis.sound.device;

/**
 * How many times as large as chosen a device's buffer is. One that runs empty again and again, as
 * on a busy machine, is to be twice as large; once nothing sounds and it has held for a while it is
 * to be as chosen again, so that what is auditioned is quick. Kept by the output thread; its size
 * may be read by others.
 */
final class Headroom {

    /** A buffer that runs empty so often within so long grows, up to so many frames. */
    private static final int SOON_DRY = 3;

    private static final long SOON_NANOS = 10_000_000_000L;
    private static final int MOST_FRAMES = 16_384;

    /** It shrinks once it has held for so long, and nothing has sounded for so long. */
    private static final long HELD_NANOS = 30_000_000_000L;

    private static final long QUIET_NANOS = 2_000_000_000L;
    private static final float QUIET = 1e-5f;

    private volatile int times = 1;
    private volatile boolean other;
    private int dry;
    private long firstDry;
    private long lastDry;
    private long lastLoud;

    int times() {
        return times;
    }

    /** Whether the buffer is to be opened anew, in another size. */
    boolean other() {
        return other;
    }

    /** It was opened; whether that was for its size alone. */
    boolean opened() {
        boolean was = other;
        other = false;
        return was;
    }

    /** The player chose: nothing is added to that. */
    void asChosen() {
        times = 1;
        other = false;
    }

    /** Counts that a buffer of so many frames was empty; it grows where that comes too often. */
    void ranDry(long now, int frames) {
        lastDry = now;
        if (dry == 0 || now - firstDry > SOON_NANOS) {
            dry = 0;
            firstDry = now;
        }
        dry++;
        if (dry >= SOON_DRY && 2 * frames <= MOST_FRAMES) {
            resize(2 * times);
        }
    }

    /** Hears what was handed over; a buffer that grew shrinks where nobody hears it. */
    void played(float[] floats, long now) {
        if (times == 1) {
            return;
        }
        for (float x : floats) {
            if (Math.abs(x) > QUIET) {
                lastLoud = now;
                return;
            }
        }
        if (now - lastDry > HELD_NANOS && now - lastLoud > QUIET_NANOS) {
            resize(1);
        }
    }

    private void resize(int to) {
        times = to;
        dry = 0;
        other = true;
    }
}
