package vocalis.benchmarks.beside;

import java.io.IOException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import vocalis.sound.amp.AmpSettings;
import vocalis.sound.strings.Damping;

/**
 * How fast the partials of notes fall, ours beside the recorded clean guitars, and under a palm
 * beside the muted one: what the strings' losses were fitted to. A partial's level is taken by a
 * Hann window every 50 ms (10 under a palm) and a straight line laid through it.
 */
public final class Falls {

    private static final double RATE = 48_000;
    private static final int LOWEST = 40;
    private static final int HIGHEST = 76;
    private static final int MUTED = 28;
    private static final double HIGHEST_HZ = 6500;
    private static final double[] BANDS = {60, 150, 300, 600, 1000, 1600, 2500, 3600, HIGHEST_HZ};

    private Falls() {}

    /** A partial, and by how many dB a second it falls. */
    private record Fall(double hz, double db) {}

    public static void main(String[] args) throws IOException {
        for (String who : List.of("26", "27", "ours")) {
            for (int low = LOWEST; low < HIGHEST; low += 9) {
                List<Fall> all = new ArrayList<>();
                for (int midi = low; midi < low + 9 && midi <= HIGHEST; midi += 3) {
                    double[] x = note(who, midi);
                    all.addAll(falls(x, Ours.hz(midi), 0.08, 0.05, 17, 60));
                }
                System.out.printf("%-5s %d to %d:", who, low, low + 8);
                for (int b = 0; b + 1 < BANDS.length; b++) {
                    double from = BANDS[b];
                    double to = BANDS[b + 1];
                    double[] db =
                            all.stream()
                                    .filter(f -> f.hz() >= from && f.hz() < to)
                                    .mapToDouble(Fall::db)
                                    .sorted()
                                    .toArray();
                    String middle =
                            db.length == 0
                                    ? "-"
                                    : String.format(Locale.ROOT, "%.1f", db[db.length / 2]);
                    System.out.printf(" %7s", middle);
                }
                System.out.println();
            }
        }
        System.out.println("under a palm, partials 1 2 3 4 6 8");
        for (int midi : new int[] {40, 43, 45, 50, 55, 59}) {
            System.out.println(midi + " recorded" + muted(Beside.recorded(midi, MUTED, 1), midi));
            for (Damping d : List.of(Damping.LIGHT, Damping.HALF, Damping.HEAVY)) {
                double[] x = new Ours(0, 3).muted(AmpSettings.CLEAN, midi, d, 1);
                System.out.println(midi + " " + d + muted(x, midi));
            }
        }
    }

    private static double[] note(String who, int midi) throws IOException {
        return who.equals("ours")
                ? new Ours(0, 3).note(AmpSettings.CLEAN, midi, 3, 0.2)
                : Beside.recorded(midi, Integer.parseInt(who), 3);
    }

    private static String muted(double[] x, int midi) {
        StringBuilder said = new StringBuilder();
        List<Fall> all = falls(x, Ours.hz(midi), 0.01, 0.01, 12, 35);
        for (int n : new int[] {1, 2, 3, 4, 6, 8}) {
            if (n <= all.size()) {
                said.append(String.format(Locale.ROOT, " %.0f", all.get(n - 1).db()));
            }
        }
        return said.toString();
    }

    /**
     * The falls of all partials over so many windows, each as far as it has not fallen by so much.
     */
    private static List<Fall> falls(
            double[] x, double hz, double from, double hop, int windows, double most) {
        int begins = begins(x);
        int size = (int) Math.max(3072, 5 * RATE / hz);
        List<Fall> all = new ArrayList<>();
        for (int n = 1; n * hz < HIGHEST_HZ; n++) {
            double[] level = new double[windows];
            for (int k = 0; k < windows; k++) {
                int at = begins + (int) ((from + k * hop) * RATE);
                level[k] = strongest(x, at, size, n * hz * Math.sqrt(1 + 5e-5 * n * n));
            }
            int k = 1;
            while (k < windows && level[k] > level[0] - most) {
                k++;
            }
            all.add(new Fall(n * hz, -slope(Arrays.copyOf(level, k)) / hop));
        }
        return all;
    }

    private static int begins(double[] x) {
        double most = Arrays.stream(x).map(Math::abs).max().orElse(0);
        int i = 0;
        while (i < x.length - 1 && Math.abs(x[i]) < 0.02 * most) {
            i++;
        }
        return i;
    }

    /** In dB, within a per cent of a frequency: recorded strings are not dead in tune. */
    private static double strongest(double[] x, int at, int size, double hz) {
        double most = 0;
        for (double off = 0.99; off < 1.0101; off += 0.0025) {
            double re = 0;
            double im = 0;
            for (int i = 0; i < size && at + i < x.length; i++) {
                double v = x[at + i] * (0.5 - 0.5 * Math.cos(2 * Math.PI * i / size));
                re += v * Math.cos(2 * Math.PI * hz * off * i / RATE);
                im += v * Math.sin(2 * Math.PI * hz * off * i / RATE);
            }
            most = Math.max(most, Math.hypot(re, im));
        }
        return 20 * Math.log10(most + 1e-9);
    }

    /** Of the straight line through values a step apart. */
    private static double slope(double[] y) {
        double middle = (y.length - 1) / 2.0;
        double above = 0;
        double below = 0;
        for (int k = 0; k < y.length; k++) {
            above += (k - middle) * y[k];
            below += (k - middle) * (k - middle);
        }
        return below == 0 ? 0 : above / below;
    }
}
