package vocalis.benchmarks.hearing;

import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.Random;
import vocalis.core.rhythm.Meter;
import vocalis.core.rhythm.Ticks;
import vocalis.core.score.Dynamics;
import vocalis.core.score.Manner;
import vocalis.core.score.Onset;
import vocalis.core.score.Score;
import vocalis.core.score.ScoreNote;
import vocalis.core.score.Technique;

/** A riff whose bars are left, turned into a line, or picked string by string, at random. */
final class Lines {

    private static final long BAR = Meter.COMMON.barTicks();
    private static final Manner[] MANNERS = Manner.values();
    private static final Dynamics[] DYNAMICS = Dynamics.values();

    private final Score score;
    private final Random random;
    private final List<ScoreNote> notes = new ArrayList<>();
    private int place;
    private int string;

    Lines(Score score, Random random) {
        this.score = score;
        this.random = random;
        place = 1 + random.nextInt(12);
        string = random.nextInt(score.board().strings());
    }

    Score score() {
        int[] turns = random.ints(1 + score.length() / BAR, 0, 10).toArray();
        for (Onset o : score.onsets()) {
            int turn = turns[(int) (o.at() / BAR)];
            if (o.tied()) {
                continue;
            }
            if (turn < 3) {
                chord(o);
            } else if (turn < 7) {
                line(o);
            } else {
                picked(o);
            }
        }
        return new Score(score.board(), score.time(), score.length(), ended(), score.harmonies());
    }

    /** As it is, now and then struck otherwise. */
    private void chord(Onset o) {
        boolean otherwise = random.nextInt(8) == 0;
        Manner manner = MANNERS[random.nextInt(MANNERS.length)];
        Dynamics dynamics = DYNAMICS[random.nextInt(DYNAMICS.length)];
        for (ScoreNote n : o.notes()) {
            ScoreNote struck = n.withTied(false);
            notes.add(otherwise ? struck.withManner(manner).withDynamics(dynamics) : struck);
        }
    }

    /** A note within four frets of the hand, on this string or the next. */
    private void line(Onset o) {
        if (random.nextInt(12) == 0) {
            place = 1 + random.nextInt(14);
        }
        string = Math.max(0, Math.min(score.board().strings() - 1, string + random.nextInt(3) - 1));
        int fret = random.nextInt(10) == 0 ? 0 : place + random.nextInt(4);
        ScoreNote n = o.notes().get(0);
        Manner manner =
                random.nextInt(5) == 0
                        ? Manner.PALM
                        : random.nextInt(12) == 0
                                ? Manner.DEAD
                                : random.nextInt(8) == 0 ? Manner.STACCATO : Manner.PLAIN;
        boolean touched = manner == Manner.PLAIN && n.length() >= Ticks.QUARTER && fret > 0;
        notes.add(
                n.withString(string)
                        .withFret(fret)
                        .withTied(false)
                        .withRings(false)
                        .withManner(manner)
                        .withDynamics(random.nextInt(5) == 0 ? Dynamics.ACCENT : n.dynamics())
                        .withTechniques(touched ? techniques(fret, n.length()) : List.of()));
    }

    /** Half of the long notes are left alone. */
    private List<Technique> techniques(int fret, long length) {
        long half = length / 2;
        long sixteenth = Ticks.EIGHTH / 2;
        return switch (random.nextInt(10)) {
            case 0 -> List.of(new Technique(Technique.Kind.HAMMER, fret + 2, half, 0));
            case 1 ->
                    List.of(
                            new Technique(
                                    Technique.Kind.SLIDE,
                                    Math.max(1, fret + (random.nextBoolean() ? 2 : -2)),
                                    half,
                                    sixteenth));
            case 2 ->
                    List.of(
                            new Technique(
                                    Technique.Kind.VIBRATO,
                                    30 + random.nextInt(50),
                                    sixteenth,
                                    length - sixteenth));
            case 3 ->
                    List.of(
                            new Technique(
                                    Technique.Kind.BEND,
                                    100 + 100 * random.nextInt(2),
                                    sixteenth,
                                    Ticks.EIGHTH));
            case 4 ->
                    fret > place
                            ? List.of(new Technique(Technique.Kind.PULL, place, half, 0))
                            : List.of();
            default -> List.of();
        };
    }

    /** One or two strings of the fullest stroke in this half of the bar, often left to ring. */
    private void picked(Onset o) {
        long half = o.at() / (BAR / 2);
        Onset from =
                score.onsets().stream()
                        .filter(p -> p.at() / (BAR / 2) == half)
                        .max(Comparator.comparingInt(p -> p.notes().size()))
                        .orElse(o);
        List<ScoreNote> strings = new ArrayList<>(from.notes());
        Collections.shuffle(strings, random);
        int wanted = random.nextInt(4) == 0 ? 2 : 1;
        long end = Math.min(score.length(), (half + 1) * (BAR / 2));
        for (ScoreNote s : strings.subList(0, Math.min(wanted, strings.size()))) {
            ScoreNote n = o.notes().get(0);
            notes.add(
                    n.withString(s.string())
                            .withFret(s.fret())
                            .withTied(false)
                            .withRings(true)
                            .withManner(Manner.PLAIN)
                            .withTechniques(List.of())
                            .withLength(
                                    random.nextInt(3) == 0
                                            ? n.length()
                                            : Math.max(1, end - o.at())));
        }
    }

    /** Each note until its string is struck again. */
    private List<ScoreNote> ended() {
        List<ScoreNote> ended = new ArrayList<>();
        for (ScoreNote n : notes) {
            long end =
                    notes.stream()
                            .filter(m -> m.string() == n.string() && m.at() > n.at())
                            .mapToLong(ScoreNote::at)
                            .min()
                            .orElse(n.end());
            ended.add(n.withLength(Math.max(1, Math.min(n.end(), end) - n.at())));
        }
        return ended;
    }
}
