package vocalis.benchmarks.hearing;

import java.io.IOException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.TreeMap;
import vocalis.core.derive.Derived;
import vocalis.core.hands.Hand;
import vocalis.core.riff.Ground;
import vocalis.core.score.Onset;
import vocalis.core.score.Score;
import vocalis.core.score.ScoreNote;
import vocalis.core.score.ScoreNoteBuilder;
import vocalis.sound.listen.Take;
import vocalis.workbench.listening.Ear;
import vocalis.workbench.listening.FollowedPass;
import vocalis.workbench.listening.Follower;

/** Riffs laid beside their score: as written, and with one thing otherwise. */
final class Passes {

    private final int n;
    private final String source;
    private final long seed;
    private final Sounds sounds;

    Passes(int n, String source, long seed) {
        this.n = n;
        this.source = source;
        this.seed = seed;
        sounds = new Sounds(source);
    }

    private static FollowedPass pass(Derived d, Take take) {
        Ground ground = d.riff().ground();
        Ear ear =
                new Ear(
                        ground.board(),
                        ground.a4Hz(),
                        Hand.MEDIUM,
                        Material.CATALOGUE,
                        Material.key(d));
        return Follower.of(d.score(), take, ground.a4Hz(), ear).get(0);
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
                }
            }
        }
        counts.forEach(
                (slip, c) ->
                        System.out.printf(
                                "%s, %s: %d, told at its stroke %d, something told elsewhere %d%n",
                                slip, source, c[0], c[1], c[2]));
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
            case A_STRING_SILENT -> notes.remove(one);
            default -> {
                int string = open.get(random.nextInt(open.size()));
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
