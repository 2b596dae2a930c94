package vocalis.workbench.playing;

import java.io.IOException;
import java.io.InterruptedIOException;
import java.io.OutputStream;
import java.nio.channels.FileChannel;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.function.BooleanSupplier;
import vocalis.core.instrument.Shape;
import vocalis.core.mix.Fader;
import vocalis.core.mix.Mix;
import vocalis.core.rhythm.TempoMap;
import vocalis.core.riff.Ground;
import vocalis.core.riff.Tone;
import vocalis.core.score.Score;
import vocalis.formats.flac.FlacCodec;
import vocalis.formats.wav.WavCodec;
import vocalis.sound.dsp.Limiter;
import vocalis.sound.engine.Engine;
import vocalis.sound.engine.Program;
import vocalis.sound.engine.Sample;
import vocalis.sound.engine.Settings;

/**
 * Renders with the same engine that plays, as fast as the machine can, at the loudness that
 * everything is compared at, block by block: nothing is held in memory. The first sample is the
 * first that sounds: what the limiter looks ahead is left out.
 */
public final class OfflineRender {

    private static final int BLOCK = 1024;

    /** Longest that is rendered, in seconds: longer is a mistake, and would fill the disk. */
    public static final double MOST_SECONDS = 3 * 3600;

    private final Engine engine;
    private final Optional<Engine> beside;
    private final Limiter limiter = new Limiter(Player.RATE, Engine.CEILING);
    private final long playing;
    private final long tail;

    /**
     * @param beside another guitar, rendered on a processor of its own
     */
    private OfflineRender(
            Engine engine, Optional<Engine> beside, double playingSeconds, double tailSeconds) {
        if (!(playingSeconds + tailSeconds <= MOST_SECONDS)) {
            throw new IllegalArgumentException(
                    "this would last "
                            + Math.round((playingSeconds + tailSeconds) / 60)
                            + " minutes; at most "
                            + Math.round(MOST_SECONDS / 60)
                            + " are rendered");
        }
        this.engine = engine;
        this.beside = beside;
        this.playing = Math.round(playingSeconds * Player.RATE);
        this.tail = Math.round(tailSeconds * Player.RATE);
    }

    /** Who of a riff is rendered. */
    public enum Stem {
        ALL,
        FIRST,
        SECOND,
        BASS,
        KIT
    }

    /**
     * The riff's loop with who plays along, played {@code times} through and left to ring for
     * {@code tailSeconds}; a pickup is heard once.
     *
     * @throws IllegalArgumentException when it would last longer than {@link #MOST_SECONDS}
     */
    public static OfflineRender of(Heard heard, int times, double tailSeconds) {
        return of(heard, times, tailSeconds, Stem.ALL);
    }

    /** The same with one of those who play alone. */
    public static OfflineRender of(Heard heard, int times, double tailSeconds, Stem stem) {
        Score score = heard.score();
        TempoMap tempos = score.time().tempos();
        double whole = tempos.seconds(score.length());
        double loop = whole - tempos.seconds(heard.clicks().loopFrom());
        Levels levels = new Levels();
        double match = levels.gain(Rigs.of(heard.ground(), heard.mix()), heard);
        Map<Tone, Double> tones = levels.tones(heard);
        Engine engine = engine(heard.ground(), heard.mix(), tempos.first(), match, stem);
        engine.publish(program(heard, stem, tones));
        engine.play(0);
        Optional<Engine> beside = Optional.empty();
        if (stem == Stem.ALL && heard.second().isPresent()) {
            Engine other = engine(heard.ground(), heard.mix(), tempos.first(), match, Stem.SECOND);
            other.publish(program(heard, Stem.SECOND, tones));
            other.play(0);
            beside = Optional.of(other);
        }
        return new OfflineRender(engine, beside, whole + loop * (times - 1), tailSeconds);
    }

    private static Program program(Heard heard, Stem stem, Map<Tone, Double> tones) {
        return SoundEvents.program(
                alone(heard, stem), stem != Stem.SECOND, t -> tones.getOrDefault(t, 1.0));
    }

    /** What is heard without those who are rendered elsewhere. */
    private static Heard alone(Heard heard, Stem stem) {
        Mix m = heard.mix();
        Mix own =
                switch (stem) {
                    case ALL -> m;
                    case FIRST, SECOND ->
                            m.withBass(off(m.bass()), m.bassLine())
                                    .withKit(off(m.kit()), m.feel())
                                    .withClick(off(m.click()));
                    case BASS -> m.withKit(off(m.kit()), m.feel()).withClick(off(m.click()));
                    case KIT -> m.withBass(off(m.bass()), m.bassLine()).withClick(off(m.click()));
                };
        boolean second = stem == Stem.SECOND;
        return new Heard(
                heard.score(),
                second ? heard.second() : Optional.empty(),
                heard.ground(),
                own,
                heard.stretches(),
                heard.clicks());
    }

    private static Fader off(Fader f) {
        return new Fader(false, f.level());
    }

    /** The linear gain that brings a riff's first guitar to the common loudness; renders it. */
    public static double match(Heard heard) {
        return new Levels().gain(Rigs.of(heard.ground(), heard.mix()), heard);
    }

    /**
     * The first guitar alone, once through, at a gain that is known, in the ground's tone.
     *
     * @param match linear, see {@link #match}
     */
    public static OfflineRender of(Heard heard, double match, double tailSeconds) {
        TempoMap tempos = heard.score().time().tempos();
        Engine engine = engine(heard.ground(), heard.mix(), tempos.first(), match, Stem.FIRST);
        engine.publish(program(heard, Stem.FIRST, Map.of()));
        engine.play(0);
        double seconds = tempos.seconds(heard.score().length());
        return new OfflineRender(engine, Optional.empty(), seconds, tailSeconds);
    }

    /** One shape, strummed once and left to ring, through a ground's tone. */
    public static OfflineRender of(Shape shape, Ground ground, double seconds) {
        Rigs rigs = Rigs.of(ground, Mix.ALONE);
        Settings set = rigs.settings(ground, Mix.ALONE, 120, 1, 1);
        int[] frets = shape.toArray();
        double gain = new Levels().gain(set.first(), Sample.of(frets));
        Engine engine = new Engine(Player.RATE, set, 1, false);
        engine.hear(new Sample(frets, new double[0], gain, new int[0]));
        return new OfflineRender(engine, Optional.empty(), seconds, 0);
    }

    /** An engine set as a ground and a mix have it, at full volume. */
    public static Engine engine(Ground ground, Mix mix, int tempo) {
        return new Engine(Player.RATE, Rigs.of(ground, mix).settings(ground, mix, tempo, 1, 1), 1);
    }

    private static Engine engine(Ground ground, Mix mix, int tempo, double match, Stem stem) {
        Settings all = Rigs.of(ground, mix).settings(ground, mix, tempo, match, 1);
        boolean first = stem == Stem.ALL || stem == Stem.FIRST;
        return new Engine(Player.RATE, all.with(first, stem == Stem.SECOND), 1, false);
    }

    /** Frames that it has. */
    public long frames() {
        return playing + tail;
    }

    /** Interleaved stereo at {@link Player#RATE}, whole: for short ones. */
    public float[] samples() {
        float[] out = new float[Math.toIntExact(2 * frames())];
        int[] at = new int[1];
        try {
            render(
                    (block, n) -> {
                        System.arraycopy(block, 0, out, at[0], 2 * n);
                        at[0] += 2 * n;
                    });
        } catch (IOException e) {
            throw new java.io.UncheckedIOException(e);
        }
        return out;
    }

    /** Writes a WAV file of 24 bits. */
    public void wav(OutputStream out) throws IOException {
        wav(out, () -> false);
    }

    /** The same unless it is cancelled meanwhile. */
    public void wav(OutputStream out, BooleanSupplier cancelled) throws IOException {
        out.write(WavCodec.header(frames(), (int) Player.RATE));
        byte[] bytes = new byte[6 * BLOCK];
        render(
                (block, n) -> {
                    go(cancelled);
                    WavCodec.samples(block, n, bytes, 0);
                    out.write(bytes, 0, 6 * n);
                });
    }

    /** Writes a FLAC file of 24 bits, unless it is cancelled meanwhile. */
    public void flac(OutputStream out, BooleanSupplier cancelled) throws IOException {
        Path lent = Files.createTempFile("vocalis", ".flac");
        try {
            try (FileChannel file = FileChannel.open(lent, StandardOpenOption.WRITE)) {
                FlacCodec flac = new FlacCodec(file, (int) Player.RATE);
                render(
                        (block, n) -> {
                            go(cancelled);
                            flac.write(block, n);
                        });
                flac.finish();
            }
            Files.copy(lent, out);
        } finally {
            Files.delete(lent);
        }
    }

    private static void go(BooleanSupplier cancelled) throws IOException {
        if (cancelled.getAsBoolean()) {
            throw new InterruptedIOException("cancelled");
        }
    }

    /** Takes what was rendered. */
    private interface Sink {
        void take(float[] block, int frames) throws IOException;
    }

    private void render(Sink sink) throws IOException {
        float[] block = new float[2 * BLOCK];
        float[] other = new float[2 * BLOCK];
        ExecutorService second = Executors.newSingleThreadExecutor();
        try {
            next(block, other, Limiter.DELAY, second);
            long done = Limiter.DELAY;
            boolean stopped = false;
            for (long out = 0; out < frames(); ) {
                if (!stopped && done >= playing) {
                    engine.stop();
                    beside.ifPresent(Engine::stop);
                    stopped = true;
                }
                long until = stopped ? Long.MAX_VALUE : playing - done;
                int n = (int) Math.min(Math.min(BLOCK, frames() - out), until);
                next(block, other, n, second);
                sink.take(block, n);
                done += n;
                out += n;
            }
        } finally {
            second.shutdownNow();
        }
    }

    /** Renders both guitars at once, each on its own processor, and limits their sum. */
    private void next(float[] block, float[] other, int n, ExecutorService second)
            throws IOException {
        if (beside.isEmpty()) {
            engine.render(block, n);
        } else {
            Future<?> there = second.submit(() -> beside.get().render(other, n));
            engine.render(block, n);
            try {
                there.get();
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
                throw new InterruptedIOException("rendering was interrupted");
            } catch (ExecutionException e) {
                throw new IllegalStateException("the second guitar was not rendered", e);
            }
            for (int i = 0; i < 2 * n; i++) {
                block[i] += other[i];
            }
        }
        limiter.process(block, 0, n);
    }
}
