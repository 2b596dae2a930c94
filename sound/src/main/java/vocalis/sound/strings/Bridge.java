package vocalis.sound.strings;

/**
 * The strings of one guitar on one bridge: each is moved by what the others put there.
 *
 * <p>Design: what comes back along a string now left the bridge a period ago, so for as many frames
 * as the shortest loop is long every string can run ahead alone; then the bridge ties them
 * together, and they are picked up. What is heard is what frame by frame gives, but for 60 dB under
 * it (tested), in tighter loops. While a string is being struck or its pitch moves, all go frame by
 * frame. One thread; no allocation after construction.
 */
public final class Bridge {

    /** Fewer are not worth it. */
    private static final int LEAST = 8;

    private final StringVoice[] strings;
    private final StringVoice[] live;
    private final boolean[] answering;
    private final double[][] along;
    private final double[][] across;
    private final double[] sum = new double[Plane.MOST_AHEAD];
    private final double[] pushed = new double[Plane.MOST_AHEAD];
    private final double[] own = new double[Plane.MOST_AHEAD];
    private int lively;

    /** A bridge under some strings. */
    public Bridge(StringVoice[] strings) {
        this.strings = strings.clone();
        live = new StringVoice[strings.length];
        answering = new boolean[strings.length];
        along = new double[strings.length][Plane.MOST_AHEAD];
        across = new double[strings.length][Plane.MOST_AHEAD];
    }

    /**
     * What the pickups hear of all strings.
     *
     * @param out filled with {@code frames} frames from its start
     * @param air what reaches each string through the air, in the same frames
     * @param share how much of it moves the strings; 0 is none
     * @return whether any string sounds
     */
    public boolean render(double[] out, double[] air, double share, int frames) {
        boolean any = false;
        int done = 0;
        while (done < frames) {
            int most = gather(Math.min(Plane.MOST_AHEAD, frames - done));
            any |= lively > 0;
            if (most >= LEAST) {
                ahead(out, air, share, done, most);
            } else {
                most = Math.min(LEAST, frames - done);
                together(out, air, share, done, most);
            }
            done += most;
        }
        return any;
    }

    /** Finds the strings that sound; how many frames they can all run ahead, 0 for not at all. */
    private int gather(int wanted) {
        lively = 0;
        int most = wanted;
        for (StringVoice s : strings) {
            if (s.active()) {
                live[lively++] = s;
                most = Math.min(most, s.mayRunAhead());
            }
        }
        return most;
    }

    private void ahead(double[] out, double[] air, double share, int from, int n) {
        for (int k = 0; k < lively; k++) {
            answering[k] = live[k].answers();
            live[k].runAhead(along[k], across[k], n);
        }
        tie(air, share, from, n);
        java.util.Arrays.fill(out, from, from + n, 0);
        for (int k = 0; k < lively; k++) {
            live[k].pickUp(along[k], across[k], out, from, n);
        }
    }

    /**
     * What the strings do to each other over the bridge: each answers to what the others put on it
     * a frame before. What it answers to their answers is left out: {@link StringVoice#COUPLING}
     * squared, 114 dB under the strings.
     */
    private void tie(double[] air, double share, int from, int n) {
        double before = 0;
        for (int k = 0; k < lively; k++) {
            before += live[k].bridge();
        }
        sum(n);
        pushed[0] = before;
        System.arraycopy(sum, 0, pushed, 1, n - 1);
        for (int i = 0; i < n; i++) {
            pushed[i] = StringVoice.COUPLING * (pushed[i] + share * air[from + i]);
        }
        for (int k = 0; k < lively; k++) {
            if (answering[k]) {
                answer(along[k], live[k].bridge(), n);
            }
        }
    }

    private void sum(int n) {
        System.arraycopy(along[0], 0, sum, 0, n);
        for (int k = 1; k < lively; k++) {
            double[] y = along[k];
            for (int i = 0; i < n; i++) {
                sum[i] += y[i];
            }
        }
    }

    /** One string answers to all, without itself. */
    private void answer(double[] y, double before, int n) {
        double[] p = pushed;
        double[] o = own;
        System.arraycopy(y, 0, o, 1, n - 1);
        o[0] = before;
        for (int i = 0; i < n; i++) {
            y[i] += StringVoice.COUPLING * o[i] - p[i];
        }
    }

    private void together(double[] out, double[] air, double share, int from, int n) {
        for (int i = from; i < from + n; i++) {
            double bridge = 0;
            for (int k = 0; k < lively; k++) {
                bridge += live[k].bridge();
            }
            double blown = share * air[i];
            double y = 0;
            for (int k = 0; k < lively; k++) {
                y += live[k].next(bridge - live[k].bridge() + blown);
            }
            out[i] = y;
        }
    }
}
