package vocalis.workbench;

import static org.assertj.core.api.Assertions.assertThat;

import com.sun.management.ThreadMXBean;
import java.lang.management.ManagementFactory;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.concurrent.locks.LockSupport;
import org.junit.jupiter.api.Test;
import vocalis.core.arrange.Song;
import vocalis.core.choice.Catalogue;
import vocalis.core.hands.Hand;
import vocalis.core.practice.Ladder;
import vocalis.core.practice.Vanishing;
import vocalis.sound.device.AudioOutput;
import vocalis.sound.device.Clock;
import vocalis.sound.device.OutputLine;
import vocalis.sound.engine.Engine;
import vocalis.sound.engine.Program;
import vocalis.workbench.demo.Demo;
import vocalis.workbench.playing.Drill;
import vocalis.workbench.playing.Heard;
import vocalis.workbench.playing.OfflineRender;
import vocalis.workbench.playing.Songs;
import vocalis.workbench.playing.SoundEvents;

/** Ten minutes of a whole song and a ladder on a clock that runs as fast as it can. */
class SongSoakTest {

    private static final OutputLine.Opener NONE =
            (rate, frames) -> {
                throw new OutputLine.NoDevice("none in this test", null);
            };

    private static final double SECONDS = 600;
    private static final double OF_THE_SONG = 300;

    /** Until then both kinds were played once: what is compiled late is compiled. */
    private static final double WARM = 150;

    private static final double WARM_SONG = 75;

    /** Something that is published when its time comes. */
    private record Cue(double at, Program program, boolean fromTheStart) {}

    private final Song song = new Songs(new Catalogue()).of(Demo.pieces().get(1), Hand.MEDIUM);

    /**
     * To warm up the song and the verse on a ladder; then the song until five minutes are over, and
     * the verse up a ladder, every fifth pass or so of which fails.
     */
    private List<Cue> cues() {
        Program whole = SoundEvents.program(Heard.of(song));
        List<Cue> all = new ArrayList<>();
        all.add(new Cue(0, whole, true));
        ladder(all, WARM_SONG, WARM);
        all.add(new Cue(WARM, whole, true));
        ladder(all, OF_THE_SONG, SECONDS);
        return all;
    }

    private void ladder(List<Cue> all, double from, double to) {
        Ladder.Climb climb = new Ladder(88, 126, 6, 2).foot();
        double at = from;
        int own = song.score().time().tempos().at(song.start(1));
        for (int pass = 0; at < to; pass++) {
            Heard h =
                    new Drill(
                                    song.start(1),
                                    song.end(1),
                                    100.0 * climb.tempo() / own,
                                    1,
                                    true,
                                    new Vanishing(2, 2),
                                    Drill.Who.ALL)
                            .heard(song);
            all.add(new Cue(at, SoundEvents.program(h), pass == 0));
            at += h.score().time().tempos().seconds(h.score().length());
            climb = pass % 5 > 2 ? climb.failedPass() : climb.passed();
        }
    }

    @Test
    void tenMinutesOfASongAndALadder() throws InterruptedException {
        List<Cue> cues = cues();
        assertThat(cues).hasSizeGreaterThan(12);
        Heard whole = Heard.of(song);
        Engine engine = OfflineRender.engine(whole.ground(), whole.mix(), 126);
        Conductor conductor = new Conductor(engine, cues);
        Thread publisher = new Thread(conductor::publishAll, "publisher");
        publisher.setDaemon(true);
        publisher.start();
        AudioOutput output = new AudioOutput(engine, NONE, conductor, 512);
        output.passSilentlyFor((long) (SECONDS * 1e9));
        long allocated = conductor.after - conductor.before;
        conductor.stop();
        System.out.printf(
                "song and ladder: %d underruns, %d bytes at %d moments, %d programs, sections %s%n",
                output.underruns(),
                allocated,
                conductor.moments,
                conductor.done,
                conductor.sections);
        assertThat(output.underruns()).isZero();
        assertThat(conductor.before).isPositive();
        // The JVM makes the text constants of a class when it first compiles a method of it, on the
        // thread that asked for it (flight recorder: String and byte[] in CommandRing.peekKind and
        // AudioOutput.elapsedFrames, where nothing is made). Once per class, so few moments;
        // an object made at each stroke would be thousands.
        assertThat(conductor.moments).isLessThanOrEqualTo(5);
        assertThat(allocated).isLessThan(4096);
        assertThat(conductor.done).isEqualTo(cues.size());
        assertThat(conductor.sections).contains(0, 1, 2, 3, 4);
        assertThat(engine.telemetry().latest().playing()).isTrue();
    }

    /**
     * A clock on which each rendered second takes a fifth of a second. When a cue's time has come
     * the sound's thread waits for the publisher, who is another: publishing may allocate.
     */
    private static final class Conductor implements Clock {
        private final Engine engine;
        private final List<Cue> cues;
        private final Set<Integer> sections = new HashSet<>();
        private long slept;
        private volatile int wanted;
        private volatile int done;
        private volatile boolean stopped;
        private final long id = Thread.currentThread().getId();
        private final ThreadMXBean threads = (ThreadMXBean) ManagementFactory.getThreadMXBean();
        private int section = -1;
        private long before = -1;
        private long after;
        private int moments;

        Conductor(Engine engine, List<Cue> cues) {
            this.engine = engine;
            this.cues = cues;
            // The first call may allocate.
            threads.getThreadAllocatedBytes(id);
        }

        @Override
        public long nanos() {
            return slept + (long) (engine.telemetry().latest().frames() / 48000.0 / 5 * 1e9);
        }

        @Override
        public void sleep(long nanos) {
            slept += nanos;
            int now = engine.telemetry().latest().section();
            if (now != section) {
                section = now;
                wanted = -1 - now;
                while (wanted < 0 && !stopped) {
                    Thread.onSpinWait();
                }
            }
            double seconds = engine.telemetry().latest().frames() / 48000.0;
            // Asked from the start: what asks is compiled while all else warms up.
            long counted = threads.getThreadAllocatedBytes(id);
            if (seconds >= WARM) {
                before = before < 0 ? counted : before;
                moments += before < counted && after < counted ? 1 : 0;
                after = counted;
            }
            while (done < cues.size() && seconds >= cues.get(done).at()) {
                int next = done + 1;
                wanted = next;
                while (done < next && !stopped) {
                    Thread.onSpinWait();
                }
            }
        }

        void publishAll() {
            while (!stopped) {
                int w = wanted;
                if (w < 0) {
                    sections.add(-1 - w);
                    wanted = done;
                } else if (w > done) {
                    Cue c = cues.get(done);
                    engine.publish(c.program());
                    if (c.fromTheStart()) {
                        engine.play(0);
                    }
                    done = w;
                } else {
                    // Not spinning: the processor is another test's meanwhile.
                    LockSupport.parkNanos(100_000);
                }
            }
        }

        void stop() {
            stopped = true;
        }
    }
}
