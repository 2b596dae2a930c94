package vocalis.workbench.listening;

import java.util.Arrays;
import vocalis.sound.device.AudioInput;
import vocalis.sound.device.InputLine;
import vocalis.sound.listen.Take;
import vocalis.workbench.playing.Player;

/**
 * Listens to an input: keeps the last minutes of it in memory, nowhere else, and says how loud it
 * is. One worker takes what the input thread hears; takes and levels can be asked for from any
 * thread.
 */
public final class Listener implements AutoCloseable {

    /** What is kept, in seconds. */
    public static final int MOST_SECONDS = 240;

    private static final long PAUSE_MILLIS = 5;
    private static final double CLIPPED = 0.985;
    private static final double QUIET_DB = -45;
    private static final double LEVEL_SECONDS = 0.05;

    private final AudioInput input;
    private final float[] kept = new float[(int) (MOST_SECONDS * Player.RATE)];
    private final Thread worker;
    private long heard;
    private long clipped = Long.MIN_VALUE / 2;
    private double loudest;
    private boolean open = true;

    public Listener(InputLine.Opener opener) {
        input = new AudioInput(opener, Player.RATE);
        worker = new Thread(this::run, "vocalis-listening");
        worker.setDaemon(true);
        worker.start();
    }

    /** How loud it is, in dB under full scale, and what is wrong with that in words. */
    public record Level(double db, double peakDb, String words) {}

    private void run() {
        float[] block = new float[4096];
        while (open) {
            int n = input.take(block);
            if (n == 0) {
                try {
                    Thread.sleep(PAUSE_MILLIS);
                } catch (InterruptedException e) {
                    return;
                }
            }
            keep(block, n);
        }
    }

    private synchronized void keep(float[] block, int n) {
        for (int i = 0; i < n; i++) {
            kept[(int) (heard % kept.length)] = block[i];
            clipped = Math.abs(block[i]) >= CLIPPED ? heard : clipped;
            heard++;
        }
    }

    /** Seconds heard so far. */
    public synchronized double seconds() {
        return heard / Player.RATE;
    }

    /** Blocks that were lost because nothing took them. */
    public long overruns() {
        return input.overruns();
    }

    /** Whether a device is heard now. */
    public boolean hearing() {
        return input.state() == AudioInput.State.HEARING;
    }

    /**
     * What was heard between two times, as far as it is still kept.
     *
     * @param from and to in seconds since it began to listen
     */
    public synchronized Take take(double from, double to) {
        long first = Math.max(Math.round(from * Player.RATE), heard - kept.length);
        long last = Math.min(Math.round(to * Player.RATE), heard);
        double[] x = new double[(int) Math.max(0, last - first)];
        for (int i = 0; i < x.length; i++) {
            x[i] = first + i < 0 ? 0 : kept[(int) ((first + i) % kept.length)];
        }
        return new Take(x, Player.RATE);
    }

    /** How loud it is now. */
    public synchronized Level level() {
        int n = (int) Math.min(heard, Math.round(LEVEL_SECONDS * Player.RATE));
        double sum = 1e-10;
        double peak = 1e-5;
        for (int i = 1; i <= n; i++) {
            double x = kept[(int) ((heard - i) % kept.length)];
            sum += x * x / n;
            peak = Math.max(peak, Math.abs(x));
        }
        loudest = Math.max(peak, loudest * 0.98);
        double db = 10 * Math.log10(sum);
        return new Level(db, 20 * Math.log10(peak), words(db));
    }

    private String words(double db) {
        return switch (input.state()) {
            case STARTING -> "Opening the input.";
            case NONE -> "No sound input was found: plug one in, or take the stand-in player.";
            case LOST -> "The input is gone. Plug it in and listen again.";
            case CLOSED -> "Not listening.";
            case HEARING -> {
                if (heard - clipped < Player.RATE) {
                    yield "Too loud: it clips. Turn the input down.";
                }
                if (db > QUIET_DB && hum()) {
                    yield "Hum: mains noise is most of what comes in.";
                }
                yield 20 * Math.log10(loudest + 1e-6) < QUIET_DB
                        ? "Quiet: nothing to hear yet."
                        : "Hearing you.";
            }
        };
    }

    /** Whether mains hum and its first harmonics make up most of the last second. */
    private boolean hum() {
        int n = (int) Player.RATE;
        if (heard < n) {
            return false;
        }
        double[] x = new double[n];
        Arrays.setAll(x, i -> kept[(int) ((heard - n + i) % kept.length)]);
        double all = 1e-12;
        for (double v : x) {
            all += v * v / n;
        }
        for (double mains : new double[] {50, 60}) {
            double sum = 0;
            for (int k = 1; k <= 4; k++) {
                double step = 2 * Math.PI * k * mains / Player.RATE;
                double re = 0;
                double im = 0;
                for (int i = 0; i < n; i++) {
                    re += x[i] * Math.cos(step * i);
                    im += x[i] * Math.sin(step * i);
                }
                sum += 2 * (re * re + im * im) / n / n;
            }
            if (sum > 0.6 * all) {
                return true;
            }
        }
        return false;
    }

    @Override
    public void close() {
        open = false;
        input.close();
        worker.interrupt();
    }
}
