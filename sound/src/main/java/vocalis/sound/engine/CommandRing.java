package vocalis.sound.engine;

import java.lang.invoke.MethodHandles;
import java.lang.invoke.VarHandle;

/**
 * A bounded ring from one producer to the audio thread over preallocated arrays: an int, a long and
 * a stamp per command. Neither side blocks or allocates.
 */
final class CommandRing {

    private static final VarHandle HEAD;
    private static final VarHandle TAIL;

    static {
        try {
            MethodHandles.Lookup lookup = MethodHandles.lookup();
            HEAD = lookup.findVarHandle(CommandRing.class, "head", long.class);
            TAIL = lookup.findVarHandle(CommandRing.class, "tail", long.class);
        } catch (ReflectiveOperationException e) {
            throw new ExceptionInInitializerError(e);
        }
    }

    private final int mask;
    private final int[] kinds;
    private final long[] values;
    private final long[] stamps;

    @SuppressWarnings("unused") // through TAIL
    private long tail;

    @SuppressWarnings("unused") // through HEAD
    private long head;

    /**
     * @param capacity a power of two
     */
    CommandRing(int capacity) {
        if (Integer.bitCount(capacity) != 1) {
            throw new IllegalArgumentException("capacity must be a power of two, not " + capacity);
        }
        this.mask = capacity - 1;
        this.kinds = new int[capacity];
        this.values = new long[capacity];
        this.stamps = new long[capacity];
    }

    /** Producer: puts a command in, or says {@code false} when the ring is full. */
    boolean offer(int kind, long value, long stamp) {
        long t = (long) TAIL.get(this);
        if (!hasRoom()) {
            return false;
        }
        stamps[(int) t & mask] = stamp;
        kinds[(int) t & mask] = kind;
        values[(int) t & mask] = value;
        TAIL.setRelease(this, t + 1);
        return true;
    }

    /** Producer: whether the next command has room. */
    boolean hasRoom() {
        return (long) TAIL.get(this) - (long) HEAD.getAcquire(this) <= mask;
    }

    /** Consumer: stamp of the next command. */
    long peekStamp() {
        return stamps[(int) (long) HEAD.get(this) & mask];
    }

    /** Consumer: kind of the next command, or -1 when there is none. */
    int peekKind() {
        long h = (long) HEAD.get(this);
        return h == (long) TAIL.getAcquire(this) ? -1 : kinds[(int) h & mask];
    }

    /** Consumer: value of the next command, which is then gone. */
    long take() {
        long h = (long) HEAD.get(this);
        long value = values[(int) h & mask];
        HEAD.setRelease(this, h + 1);
        return value;
    }
}
