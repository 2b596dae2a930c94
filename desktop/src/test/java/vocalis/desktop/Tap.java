package vocalis.desktop;

import java.io.ByteArrayOutputStream;
import java.util.concurrent.locks.LockSupport;
import vocalis.sound.device.OutputLine;

/** A sound device that keeps what it is given, at the pace of a real one. */
final class Tap implements OutputLine.Opener {

    static final double RATE = 48000;
    private final ByteArrayOutputStream taken = new ByteArrayOutputStream();
    private volatile boolean present;
    private volatile long frames;

    Tap(boolean present) {
        this.present = present;
    }

    @Override
    public OutputLine open(double sampleRate, int bufferFrames) throws OutputLine.NoDevice {
        if (!present) {
            throw new OutputLine.NoDevice("no device in this test", null);
        }
        return new OutputLine() {
            private long next = System.nanoTime();

            @Override
            public int write(byte[] bytes, int count) {
                if (!present) {
                    return 0;
                }
                synchronized (taken) {
                    taken.write(bytes, 0, count);
                }
                frames += count / 4;
                next += (long) (count / 4 / RATE * 1e9);
                LockSupport.parkNanos(Math.max(0, next - System.nanoTime()));
                return count;
            }

            @Override
            public void close() {}
        };
    }

    /** Takes the device away, or brings it back. */
    void present(boolean there) {
        present = there;
    }

    /** Forgets what came so far. */
    void clear() {
        synchronized (taken) {
            taken.reset();
        }
    }

    /** Frames taken since the test began, whatever was forgotten. */
    long frames() {
        return frames;
    }

    /** The left channel since {@link #clear}. */
    double[] left() {
        byte[] b;
        synchronized (taken) {
            b = taken.toByteArray();
        }
        double[] x = new double[b.length / 4];
        for (int i = 0; i < x.length; i++) {
            x[i] = (short) ((b[4 * i] & 255) | b[4 * i + 1] << 8) / 32768.0;
        }
        return x;
    }

    /**
     * Level in dB at a frequency (G. Goertzel, 1958), Hann-windowed, over the last {@code seconds}.
     */
    double levelDb(double hz, double seconds) {
        return levelDb(left(), hz, seconds, false);
    }

    private static double levelDb(double[] x, double hz, double seconds, boolean atStart) {
        int n = Math.min(x.length, (int) (seconds * RATE));
        int from = atStart ? 0 : x.length - n;
        double w = 2 * Math.PI * hz / RATE;
        double re = 0;
        double im = 0;
        for (int i = 0; i < n; i++) {
            double v = x[from + i] * (0.5 - 0.5 * Math.cos(2 * Math.PI * i / n));
            re += v * Math.cos(w * i);
            im += v * Math.sin(w * i);
        }
        return 20 * Math.log10(4 * Math.hypot(re, im) / Math.max(1, n) + 1e-9);
    }

    /** When the first sound came since {@link #clear}, in seconds; −1 while there is none. */
    double firstSound() {
        double[] x = left();
        for (int i = 0; i < x.length; i++) {
            if (Math.abs(x[i]) > 0.003) {
                return i / RATE;
            }
        }
        return -1;
    }

    /** Level in dB at a frequency from a time on, in seconds since {@link #clear}. */
    double levelDb(double hz, double from, double seconds) {
        double[] x = left();
        int begin = Math.max(0, Math.min(x.length, (int) (from * RATE)));
        return levelDb(java.util.Arrays.copyOfRange(x, begin, x.length), hz, seconds, true);
    }

    /** Frequency of a MIDI number (ISO 16). */
    static double hz(int midi) {
        return 440 * Math.pow(2, (midi - 69) / 12.0);
    }
}
