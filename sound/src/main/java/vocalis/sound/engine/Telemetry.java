package vocalis.sound.engine;

import java.lang.invoke.MethodHandles;
import java.lang.invoke.VarHandle;

/**
 * What the audio thread tells: a triple buffer, so that the writer never waits and the reader sees
 * one block's figures together. One writer, one reader; no allocation.
 */
public final class Telemetry {

    /** One block's figures. */
    public static final class Moment {
        private double tick;
        private boolean playing;
        private boolean audition;
        private double peak;
        private long frames;
        private int section;

        /** Position in the loop in ticks. */
        public double tick() {
            return tick;
        }

        /** Whether the loop runs. */
        public boolean playing() {
            return playing;
        }

        /** Whether a single voicing is held to be heard. */
        public boolean audition() {
            return audition;
        }

        /** Largest sample of the block after the limiter, 0 to 1. */
        public double peak() {
            return peak;
        }

        /** Index of the section that is played. */
        public int section() {
            return section;
        }

        /** Frames rendered since the engine was made. */
        public long frames() {
            return frames;
        }
    }

    private static final int FRESH = 4;
    private static final VarHandle SHARED;

    static {
        try {
            SHARED = MethodHandles.lookup().findVarHandle(Telemetry.class, "shared", int.class);
        } catch (ReflectiveOperationException e) {
            throw new ExceptionInInitializerError(e);
        }
    }

    private final Moment[] readings = {new Moment(), new Moment(), new Moment()};
    private int writing;
    private int reading = 1;

    @SuppressWarnings("unused") // through SHARED
    private volatile int shared = 2;

    void publish(
            double tick, boolean playing, boolean audition, double peak, long frames, int section) {
        Moment r = readings[writing];
        r.tick = tick;
        r.playing = playing;
        r.audition = audition;
        r.peak = peak;
        r.frames = frames;
        r.section = section;
        writing = (int) SHARED.getAndSet(this, writing | FRESH) & 3;
    }

    /** Reader: the newest figures; valid until the next call. */
    public Moment latest() {
        if (((int) SHARED.getVolatile(this) & FRESH) != 0) {
            reading = (int) SHARED.getAndSet(this, reading) & 3;
        }
        return readings[reading];
    }
}
