package vocalis.sound.engine;

/**
 * What the engine plays in a loop: strokes and rests on the strings, in ticks. Immutable; a new one
 * is published while the old one plays, and takes over from its next event on.
 */
public final class Program {

    /** Action: leave the string as it is. */
    public static final int KEEP = -2;

    /** Action: lay a finger on the string. */
    public static final int DAMP = -1;

    /** Nothing to play; one bar of silence. */
    public static final Program EMPTY =
            new Program(80640, 20160, 6, new long[0], new int[0], new float[0], new byte[0]);

    static final int MUTED = 1;
    static final int DOWN = 2;

    final long length;
    final long ticksPerQuarter;
    final int strings;
    final long[] at;
    final int[] actions;
    final float[] velocities;
    final byte[] flags;

    private Program(
            long length,
            long ticksPerQuarter,
            int strings,
            long[] at,
            int[] actions,
            float[] velocities,
            byte[] flags) {
        this.length = length;
        this.ticksPerQuarter = ticksPerQuarter;
        this.strings = strings;
        this.at = at;
        this.actions = actions;
        this.velocities = velocities;
        this.flags = flags;
    }

    /** Length of the loop in ticks. */
    public long length() {
        return length;
    }

    /** Number of events. */
    public int events() {
        return at.length;
    }

    /** Time of an event in ticks from the start of the loop. */
    public long at(int event) {
        return at[event];
    }

    /** What an event does to a string: a fret, {@link #KEEP} or {@link #DAMP}. */
    public int action(int event, int string) {
        return actions[event * strings + string];
    }

    /** Index of the first event at or after a time; {@link #events()} when there is none. */
    int firstFrom(double tick) {
        int low = 0;
        int high = at.length;
        while (low < high) {
            int mid = (low + high) >>> 1;
            if (at[mid] < tick) {
                low = mid + 1;
            } else {
                high = mid;
            }
        }
        return low;
    }

    /** Collects events in time order. */
    public static final class Builder {
        private final long length;
        private final long ticksPerQuarter;
        private final int strings;
        private long[] at = new long[16];
        private int[] actions;
        private float[] velocities = new float[16];
        private byte[] flags = new byte[16];
        private int count;

        /**
         * @param length ticks of the loop, above zero
         * @param ticksPerQuarter resolution
         * @param strings number of strings
         */
        public Builder(long length, long ticksPerQuarter, int strings) {
            if (length <= 0) {
                throw new IllegalArgumentException(
                        "a loop lasts longer than nothing, not " + length);
            }
            this.length = length;
            this.ticksPerQuarter = ticksPerQuarter;
            this.strings = strings;
            this.actions = new int[16 * strings];
        }

        /**
         * Adds an event.
         *
         * @param tick not before the event added last, and inside the loop
         * @param perString a fret, {@link #KEEP} or {@link #DAMP} for each string, lowest first
         * @param velocity 0 to 1
         * @param muted under the palm
         * @param down low strings first
         */
        public Builder add(
                long tick, int[] perString, double velocity, boolean muted, boolean down) {
            if (tick < 0 || tick >= length || (count > 0 && tick < at[count - 1])) {
                throw new IllegalArgumentException(
                        "event at tick " + tick + " is out of order or the loop");
            }
            if (perString.length != strings) {
                throw new IllegalArgumentException(
                        "an event needs " + strings + " actions, not " + perString.length);
            }
            if (count == at.length) {
                at = java.util.Arrays.copyOf(at, 2 * count);
                actions = java.util.Arrays.copyOf(actions, 2 * count * strings);
                velocities = java.util.Arrays.copyOf(velocities, 2 * count);
                flags = java.util.Arrays.copyOf(flags, 2 * count);
            }
            at[count] = tick;
            System.arraycopy(perString, 0, actions, count * strings, strings);
            velocities[count] = (float) velocity;
            flags[count] = (byte) ((muted ? MUTED : 0) | (down ? DOWN : 0));
            count++;
            return this;
        }

        public Program build() {
            return new Program(
                    length,
                    ticksPerQuarter,
                    strings,
                    java.util.Arrays.copyOf(at, count),
                    java.util.Arrays.copyOf(actions, count * strings),
                    java.util.Arrays.copyOf(velocities, count),
                    java.util.Arrays.copyOf(flags, count));
        }
    }
}
