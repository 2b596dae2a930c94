package vocalis.sound.device;

/**
 * The thread that hears: reads blocks from a device into a ring, from which one other thread takes
 * them. It allocates, locks and waits for nothing but the device. When the ring is full the newest
 * block is dropped and counted.
 */
public final class AudioInput implements AutoCloseable {

    /** Frames read at a time. */
    public static final int BLOCK = 512;

    private static final int RING = 1 << 17;
    private static final int BUFFER_FRAMES = 2048;
    private static final float FULL_SCALE = 32768f;

    /** What the sound comes from. */
    public enum State {
        STARTING,
        HEARING,
        /** No device can be had. */
        NONE,
        /** The device was there and gave less than it was asked for. */
        LOST,
        CLOSED
    }

    private final InputLine.Opener opener;
    private final double rate;
    private final float[] ring = new float[RING];
    private volatile State state = State.STARTING;
    private volatile long written; // by the input thread alone
    private volatile long taken; // by the reader alone
    private volatile long overruns; // by the input thread alone
    private volatile boolean running = true;

    /**
     * @param rate frames a second
     */
    public AudioInput(InputLine.Opener opener, double rate) {
        this.opener = opener;
        this.rate = rate;
        Thread t = new Thread(this::run, "vocalis-ears");
        t.setDaemon(true);
        t.setPriority(Thread.MAX_PRIORITY);
        t.start();
    }

    /** What the sound comes from now. */
    public State state() {
        return state;
    }

    /** Blocks that found no room in the ring. */
    public long overruns() {
        return overruns;
    }

    /** Frames that were read from the device so far. */
    public long frames() {
        return written;
    }

    /** Takes what has come, at most as much as there is room for; returns how many frames. */
    public int take(float[] into) {
        long from = taken;
        int n = (int) Math.min(into.length, written - from);
        for (int i = 0; i < n; i++) {
            into[i] = ring[(int) ((from + i) & (RING - 1))];
        }
        taken = from + n;
        return n;
    }

    @Override
    public void close() {
        running = false;
    }

    private void run() {
        InputLine line;
        try {
            line = opener.open(rate, BUFFER_FRAMES);
        } catch (OutputLine.NoDevice e) {
            state = State.NONE;
            return;
        }
        byte[] bytes = new byte[2 * BLOCK];
        state = State.HEARING;
        while (running) {
            int n = line.read(bytes, bytes.length);
            if (n < bytes.length) {
                state = running ? State.LOST : State.CLOSED;
                break;
            }
            keep(bytes);
        }
        line.close();
        if (!running) {
            state = State.CLOSED;
        }
    }

    private void keep(byte[] bytes) {
        long at = written;
        if (at + BLOCK - taken > RING) {
            overruns = overruns + 1;
            return;
        }
        for (int i = 0; i < BLOCK; i++) {
            int sample = (bytes[2 * i] & 0xff) | bytes[2 * i + 1] << 8;
            ring[(int) ((at + i) & (RING - 1))] = sample / FULL_SCALE;
        }
        written = at + BLOCK;
    }
}
