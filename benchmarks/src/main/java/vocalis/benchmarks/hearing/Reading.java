package vocalis.benchmarks.hearing;

import java.io.IOException;
import java.lang.management.ManagementFactory;
import java.lang.management.ThreadMXBean;
import java.util.List;
import vocalis.core.derive.Derived;
import vocalis.core.riff.Ground;
import vocalis.sound.listen.Take;
import vocalis.workbench.listening.Ear;
import vocalis.workbench.listening.Follower;
import vocalis.workbench.listening.Written;
import vocalis.workbench.playedin.PlayIn;

/**
 * How long takes are read, as a share of their own time: the processor time of the reading thread,
 * each take read once before it counts, so that what is rendered once for a tuning or a riff is
 * there.
 */
final class Reading {

    private static final ThreadMXBean THREADS = ManagementFactory.getThreadMXBean();

    /** So many takes are read first and not counted: the code is then compiled. */
    private static final int WARM = 3;

    private final Sounds sounds;
    private final int n;
    private final String source;
    private final long seed;

    Reading(int n, String source, long seed) {
        sounds = new Sounds(source);
        this.n = n;
        this.source = source;
        this.seed = seed;
    }

    void cost() throws IOException {
        double known = 0;
        double unknown = 0;
        double seconds = 0;
        List<Derived> riffs = Material.riffs(n + WARM, seed);
        for (int i = 0; i < riffs.size(); i++) {
            Derived d = riffs.get(i);
            Take take = sounds.take(d);
            Ground ground = d.riff().ground();
            Ear ear = Material.ear(d);
            Written written = new Written(d.score(), ground);
            PlayIn in = Material.playIn(d);
            Runnable followed = () -> Follower.of(written, take, ear);
            Runnable wrote = () -> Material.written(in, d, take);
            followed.run();
            wrote.run();
            if (i >= WARM) {
                known += seconds(followed);
                unknown += seconds(wrote);
                seconds += take.seconds();
            }
        }
        System.out.printf(
                "read, %s, %d takes of %.1f s: a known riff in %.3f of its time, an unknown one in"
                        + " %.3f%n",
                source, n, seconds / n, known / seconds, unknown / seconds);
    }

    private static double seconds(Runnable what) {
        long from = THREADS.getCurrentThreadCpuTime();
        what.run();
        return (THREADS.getCurrentThreadCpuTime() - from) / 1e9;
    }
}
