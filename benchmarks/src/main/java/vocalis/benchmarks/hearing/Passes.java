package vocalis.benchmarks.hearing;

import java.io.IOException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.TreeMap;
import vocalis.core.derive.Derived;
import vocalis.core.rhythm.Ticks;
import vocalis.core.riff.Ground;
import vocalis.core.score.Onset;
import vocalis.core.score.Ringing;
import vocalis.core.score.Score;
import vocalis.core.score.ScoreNote;
import vocalis.core.score.ScoreNoteBuilder;
import vocalis.sound.listen.Take;
import vocalis.workbench.listening.FollowedPass;
import vocalis.workbench.listening.Follower;
import vocalis.workbench.listening.Played;
import vocalis.workbench.listening.Written;

/** Riffs laid beside their score: as written, and with one thing otherwise. */
final class Passes {

    private final int n;
    private final String source;
    private final long seed;
    private final Sounds sounds;

    private static final double SPREAD_MS = 14;
    private static final double MOST_OFF_MS = 35;
    private static final double NEAR_MS = 10;

    Passes(int n, String source, long seed) {
        this.n = n;
        this.source = source;
        this.seed = seed;
        sounds = new Sounds(source);
    }

    private static FollowedPass pass(Derived d, Take take) {
        Ground ground = d.riff().ground();
        return Follower.of(new Written(d.score(), ground), take, Material.ear(d)).get(0);
    }

    /**
     * Each riff with every stroke up to 35 ms early or late: how many are told within 10 ms of what
     * they were. The middle of all is taken off, as a player's delay is.
     */
    void late() throws IOException {
        Random random = new Random(seed);
        int strokes = 0;
        int told = 0;
        int near = 0;
        int wrong = 0;
        for (Derived d : Material.riffs(n, seed)) {
            Map<Long, Double> off = new TreeMap<>();
            Map<Long, Double> later = new TreeMap<>();
            for (Onset o : d.score().onsets()) {
                later.put(o.at(), 1000 * sounds.late(d.score(), o));
            }
            FollowedPass pass =
                    pass(
                            d,
                            sounds.take(
                                    hurried(d.score(), random, SPREAD_MS, off), d.riff().ground()));
            List<Double> errors = new ArrayList<>();
            for (Played p : pass.strokes()) {
                boolean timed =
                        p.state() != Played.State.MISSING && p.state() != Played.State.EXTRA;
                if (timed && off.containsKey(p.tick())) {
                    double at = d.score().time().tempos().seconds(p.tick());
                    double sooner = 1000 * (sounds.when(at) - at);
                    errors.add(p.ms() - off.get(p.tick()) - sooner - later.get(p.tick()));
                }
                wrong += timed ? 0 : 1;
            }
            Collections.sort(errors);
            double middle = errors.isEmpty() ? 0 : errors.get(errors.size() / 2);
            strokes += off.size();
            told += errors.size();
            near += (int) errors.stream().filter(e -> Math.abs(e - middle) <= NEAR_MS).count();
        }
        System.out.printf(
                "late, %s, %d riffs: %d of %d strokes within 10 ms (%.1f %%), %d told, %d missing or"
                        + " one too many%n",
                source, n, near, strokes, 100.0 * near / strokes, told, wrong);
    }

    /** A score whose strokes are early and late; how much in ms goes to their ticks. */
    static Score hurried(Score score, Random random, double spreadMs, Map<Long, Double> off) {
        double ticksAMs = score.time().tempos().first() * Ticks.QUARTER / 60_000.0;
        return score.moved(
                o -> {
                    double ms = spreadMs * random.nextGaussian();
                    ms = Math.max(-MOST_OFF_MS, Math.min(MOST_OFF_MS, ms));
                    long at = Math.max(0, o.at() + Math.round(ms * ticksAMs));
                    off.put(o.at(), (at - o.at()) / ticksAMs);
                    return at;
                });
    }

    /** What can go wrong with a stroke of open strings. */
    private enum Slip {
        LEFT_OUT,
        A_FRET_OFF,
        A_STRING_SILENT,
        AN_OPEN_STRING_RINGS
    }

    /** Each riff once with each slip, at a stroke drawn by the seed that is no palm's. */
    void wrong() throws IOException {
        Random random = new Random(seed);
        Map<Slip, int[]> counts = new TreeMap<>();
        for (Derived d : Material.riffs(n, seed)) {
            List<Onset> plain =
                    d.score().onsets().stream()
                            .filter(o -> !o.muted() && !o.tied() && o.at() > 0)
                            .filter(o -> o.notes().stream().allMatch(x -> x.techniques().isEmpty()))
                            .toList();
            for (Slip slip : plain.isEmpty() ? new Slip[0] : Slip.values()) {
                Onset o = plain.get(random.nextInt(plain.size()));
                Optional<Score> played = slipped(d.score(), o, slip, random);
                if (played.isPresent()) {
                    FollowedPass pass = pass(d, sounds.take(played.get(), d.riff().ground()));
                    boolean there = pass.faults().stream().anyMatch(f -> f.tick() == o.at());
                    int[] c = counts.computeIfAbsent(slip, k -> new int[3]);
                    c[0]++;
                    c[1] += there ? 1 : 0;
                    c[2] += pass.faults().stream().anyMatch(f -> f.tick() != o.at()) ? 1 : 0;
                    if (Boolean.getBoolean("show")) {
                        System.out.println(slip + " at " + o.at() + ": " + pass.faults());
                    }
                }
            }
        }
        counts.forEach(
                (slip, c) ->
                        System.out.printf(
                                "%s, %s: %d, told at its stroke %d, something told elsewhere %d%n",
                                slip, source, c[0], c[1], c[2]));
    }

    private static int midi(Score score, ScoreNote n) {
        return score.board().midi(n.string(), n.fret());
    }

    /**
     * Whether a pitch sounds at a stroke as written, on other strings than one: nobody hears it.
     */
    private static boolean sounds(Score score, Onset o, int midi, ScoreNote but) {
        boolean rings =
                Ringing.of(score).stream()
                        .anyMatch(
                                s ->
                                        s.midi() == midi
                                                && (but == null
                                                        || s.note().string() != but.string())
                                                && s.from() < o.at()
                                                && s.to() > o.at());
        return rings || o.notes().stream().anyMatch(n -> !n.equals(but) && midi(score, n) == midi);
    }

    private static Optional<Score> slipped(Score score, Onset o, Slip slip, Random random) {
        List<ScoreNote> notes = new ArrayList<>(score.notes());
        ScoreNote one = o.notes().get(random.nextInt(o.notes().size()));
        List<Integer> open = new ArrayList<>();
        for (int s = 0; s < score.board().strings(); s++) {
            if (o.note(s).isEmpty()) {
                open.add(s);
            }
        }
        if (slip == Slip.A_STRING_SILENT && o.notes().size() < 2
                || slip == Slip.AN_OPEN_STRING_RINGS && open.isEmpty()) {
            return Optional.empty();
        }
        switch (slip) {
            case LEFT_OUT -> notes.removeAll(o.notes());
            case A_FRET_OFF -> {
                notes.remove(one);
                notes.add(one.onFret(one.fret() + 1));
            }
            case A_STRING_SILENT -> {
                notes.remove(one);
                if (sounds(score, o, midi(score, one), one)) {
                    return Optional.empty();
                }
            }
            default -> {
                int string = open.get(random.nextInt(open.size()));
                if (sounds(score, o, score.board().midi(string, 0), null)) {
                    return Optional.empty();
                }
                notes.add(ScoreNoteBuilder.builder(one).string(string).fret(0).build());
            }
        }
        return Optional.of(
                new Score(score.board(), score.time(), score.length(), notes, score.harmonies()));
    }

    void followed() throws IOException {
        int right = 0;
        int clean = 0;
        double[] spread = new double[n];
        int i = 0;
        for (Derived d : Material.riffs(n, seed)) {
            FollowedPass pass = pass(d, sounds.take(d));
            right += pass.faults().isEmpty() ? 1 : 0;
            clean += pass.clean() ? 1 : 0;
            spread[i++] = pass.spreadMs();
            if (Boolean.getBoolean("show") && !pass.faults().isEmpty()) {
                System.out.println(d.riff().ground().key() + " " + pass.faults());
            }
        }
        Arrays.sort(spread);
        System.out.printf(
                "followed, %s, %d riffs as written: %d told as written, %d judged as clean, spread"
                        + " %.1f ms in the middle, %.1f at most%n",
                source, n, right, clean, spread[n / 2], spread[n - 1]);
    }
}
