package vocalis.workbench.listening;

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
    private static final int HARMONICS = 4;
    private static final double HUM_SHARE = 0.6;

    /** What was loudest is half as loud after three quarters of a second. */
    private static final double FADING = Math.pow(0.5, 1 / (0.75 * Player.RATE));

    private final AudioInput input;
    private final float[] kept = new float[(int) (MOST_SECONDS * Player.RATE)];
    private final Thread worker;
    private long heard;
    private long clipped = Long.MIN_VALUE / 2;
    private long looked;
    private double loudest;
    private volatile boolean hums;
    private volatile boolean open = true;

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
            lookForHum();
        }
    }

    /** Once a second, of what has come since; away from those who ask how loud it is. */
    private void lookForHum() {
        if (heard - looked >= Player.RATE) {
            looked = heard;
            hums = hum(take((heard - Player.RATE) / Player.RATE, heard / Player.RATE));
        }
    }

    private synchronized void keep(float[] block, int n) {
        for (int i = 0; i < n; i++) {
            kept[(int) (heard % kept.length)] = block[i];
            double size = Math.abs(block[i]);
            clipped = size >= CLIPPED ? heard : clipped;
            loudest = Math.max(size, loudest * FADING);
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
                if (db > QUIET_DB && hums) {
                    yield "Hum: mains noise is most of what comes in.";
                }
                yield 20 * Math.log10(loudest + 1e-6) < QUIET_DB
                        ? "Quiet: nothing to hear yet."
                        : "Hearing you.";
            }
        };
    }

    /** Whether mains hum and its first harmonics make up most of a second. */
    private static boolean hum(Take second) {
        int n = second.frame(1);
        double all = second.power(0, n) + 1e-12;
        for (double mains : new double[] {50, 60}) {
            double sum = 0;
            for (int k = 1; k <= HARMONICS; k++) {
                sum += second.sine(k * mains) / all;
            }
            if (sum > HUM_SHARE) {
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
