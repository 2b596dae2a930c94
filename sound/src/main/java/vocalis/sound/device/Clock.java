package vocalis.sound.device;

import java.util.concurrent.locks.LockSupport;

/** Time for the output thread; tests pass one that they move themselves. */
public interface Clock {

    /** Nanoseconds from some fixed moment. */
    long nanos();

    /** Waits. */
    void sleep(long nanos);

    /** The machine's monotonic clock. */
    static Clock system() {
        return new Clock() {
            @Override
            public long nanos() {
                return System.nanoTime();
            }

            @Override
            public void sleep(long nanos) {
                LockSupport.parkNanos(nanos);
            }
        };
    }
}
