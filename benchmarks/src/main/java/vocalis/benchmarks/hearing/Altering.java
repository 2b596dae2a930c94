package vocalis.benchmarks.hearing;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;
import vocalis.core.mix.Controls;
import vocalis.core.mix.Mix;
import vocalis.formats.wav.WavCodec;
import vocalis.sound.listen.Take;

/**
 * What may lie between a guitar and a file, done by a general-purpose sound tool, sox: nothing of
 * ours is in it. Another pick place and pickup alone are turned at the guitar.
 */
enum Altering {
    /** An artificial room, most of it heard dry. */
    ROOM("reverb", "35", "50", "60"),

    /** White noise 30 dB under the sound. */
    NOISE,

    /** Mains hum and its third, 30 dB under the sound. */
    HUM,

    /** Played back faster, so that it is seven cents higher. */
    SEVEN_CENTS("speed", "7c"),

    /** A telephone's band. */
    PHONE("sinc", "200-6000"),

    /** 44,100 frames a second. */
    AT_44100("rate", "44100"),

    /** Picked nearer the neck, through the pickup at the neck. */
    OTHERWISE_PICKED;

    private static final int RATE = 48_000;
    private static final double UNDER_DB = 30;

    /** The root mean square of sox's white noise, whose samples lie evenly between -1 and 1. */
    private static final double NOISE_RMS = 1 / Math.sqrt(3);

    /** Of two sines, averaged. */
    private static final double SINES_RMS = 0.5;

    private static final Controls OTHER = new Controls(0, 0, 0, 0, 0, 0, true, 8, 5);

    /** Keeps a room from clipping. */
    private static final List<String> SOFTER = List.of("gain", "-3");

    private final List<String> effect;

    Altering(String... effect) {
        this.effect = List.of(effect);
    }

    /** The guitar's controls. */
    Mix mix() {
        return this == OTHERWISE_PICKED ? Mix.ALONE.withControls(OTHER) : Mix.ALONE;
    }

    /** How much sooner all of it is heard. */
    double faster() {
        return this == SEVEN_CENTS ? Math.pow(2, 7 / 1200.0) : 1;
    }

    /** The take as it arrives. */
    Take of(Take take) throws IOException {
        return switch (this) {
            case OTHERWISE_PICKED -> take;
            case NOISE -> with(take, NOISE_RMS, "synth", "whitenoise");
            case HUM -> with(take, SINES_RMS, "synth", "sine", "50", "synth", "sine", "mix", "150");
            default -> through(take, effect);
        };
    }

    private static Take through(Take take, List<String> effect) throws IOException {
        return in(
                dir -> {
                    Path from = written(dir, take);
                    Path to = dir.resolve("out.wav");
                    List<String> line = new ArrayList<>(List.of(from.toString(), to.toString()));
                    line.addAll(SOFTER);
                    line.addAll(effect);
                    sox(line);
                    return Recorded.read(to);
                });
    }

    /** Something that sounds all the time beside it. */
    private static Take with(Take take, double rms, String... what) throws IOException {
        double level = Math.sqrt(take.power(0, take.frame(take.seconds()))) / rms;
        double share = level * Math.pow(10, -UNDER_DB / 20);
        return in(
                dir -> {
                    Path from = written(dir, take);
                    Path beside = dir.resolve("beside.wav");
                    Path to = dir.resolve("out.wav");
                    List<String> line = new ArrayList<>(List.of("-R", "-n", "-r", "" + RATE));
                    line.addAll(List.of("-b", "24", "-c", "1", beside.toString()));
                    line.addAll(List.of(what));
                    line.addAll(List.of("remix", "1", "1", "trim", "0", text(take.seconds())));
                    sox(line);
                    line = new ArrayList<>(List.of("-m", "-v", "1", from.toString()));
                    line.addAll(List.of("-v", text(share), beside.toString(), to.toString()));
                    sox(line);
                    return Recorded.read(to);
                });
    }

    private interface Work {
        Take in(Path dir) throws IOException;
    }

    private static Take in(Work work) throws IOException {
        Path dir = Files.createTempDirectory("altering");
        try {
            return work.in(dir);
        } finally {
            try (Stream<Path> all = Files.list(dir)) {
                for (Path p : all.toList()) {
                    Files.delete(p);
                }
            }
            Files.delete(dir);
        }
    }

    private static Path written(Path dir, Take take) throws IOException {
        return Files.write(
                dir.resolve("in.wav"),
                WavCodec.write(take.stereo(), (int) Math.round(take.rate())));
    }

    private static void sox(List<String> line) throws IOException {
        List<String> all = new ArrayList<>(List.of("sox", "-V1"));
        all.addAll(line);
        Recorded.run(all);
    }

    private static String text(double x) {
        return String.format(Locale.ROOT, "%.6f", x);
    }
}
