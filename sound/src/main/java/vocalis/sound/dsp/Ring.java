package vocalis.sound.dsp;

/** Stretches of a ring of frames whose length is a power of two. */
public final class Ring {

    private Ring() {}

    /** Copies {@code n} frames, fewer than the ring holds, from one on. */
    public static void read(double[] ring, int from, double[] to, int n) {
        int first = from & (ring.length - 1);
        int whole = Math.min(n, ring.length - first);
        System.arraycopy(ring, first, to, 0, whole);
        System.arraycopy(ring, 0, to, whole, n - whole);
    }

    /** Copies {@code n} frames into the ring, from one of its frames on. */
    public static void write(double[] from, double[] ring, int at, int n) {
        int first = at & (ring.length - 1);
        int whole = Math.min(n, ring.length - first);
        System.arraycopy(from, 0, ring, first, whole);
        System.arraycopy(from, whole, ring, 0, n - whole);
    }
}
