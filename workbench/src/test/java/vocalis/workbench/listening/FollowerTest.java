package vocalis.workbench.listening;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;
import vocalis.core.derive.Derived;
import vocalis.core.derive.Deriver;
import vocalis.core.hands.Hand;
import vocalis.core.rhythm.Ticks;
import vocalis.core.riff.Ground;
import vocalis.core.riff.Riff;
import vocalis.core.riff.Tone;
import vocalis.core.score.Onset;
import vocalis.core.score.Score;
import vocalis.core.score.ScoreNote;
import vocalis.core.score.ScoreNoteBuilder;
import vocalis.sound.listen.Take;
import vocalis.workbench.demo.Demo;

/** Takes of riffs as written, and with one thing otherwise. */
class FollowerTest {

    /** The demo's; four of them in the short run. */
    private static List<Derived> riffs() {
        return Demo.pieces().stream()
                .limit(Boolean.getBoolean("vocalis.long") ? Demo.pieces().size() : 4)
                .map(p -> new Deriver(Takes.CATALOGUE).derive(p.riff(), Hand.MEDIUM))
                .toList();
    }

    private static final Map<Score, Written> WRITTEN = new HashMap<>();

    /** What riffs sound like is rendered once for all tests. */
    private static Written written(Derived d) {
        return WRITTEN.computeIfAbsent(d.score(), s -> new Written(s, d.riff().ground()));
    }

    private static List<FollowedPass> follow(Derived d, Take take) {
        return Follower.of(written(d), take, Takes.ear(d.score(), d.riff().ground()));
    }

    /** What is played as written is told as written, and on the beat. */
    @Test
    void nothingIsFoundInWhatIsRight() {
        for (Derived d : riffs()) {
            Riff riff = d.riff();
            List<FollowedPass> passes = follow(d, Takes.of(d.score(), riff.ground(), 2));
            assertThat(passes).hasSize(2);
            for (FollowedPass p : passes) {
                assertThat(p.faults()).as("%s pass %s", riff.ground().key(), p).isEmpty();
                assertThat(p.behindMs()).isBetween(-5.0, 8.0);
                assertThat(p.spreadMs()).isLessThan(8);
            }
            assertThat(passes.get(0).onOne()).isTrue();
        }
    }

    /** A fret off, or an open string that rings: told of its stroke and its string. */
    @Test
    void aStringThatIsOtherwiseIsNamed() {
        Random random = new Random(5);
        int told = 0;
        int asked = 0;
        for (Derived d : riffs()) {
            Score score = d.score();
            List<Onset> plain = score.onsets().stream().filter(FollowerTest::plain).toList();
            for (int i = 0; i < (Boolean.getBoolean("vocalis.long") ? 5 : 1); i++) {
                Onset o = plain.get(random.nextInt(plain.size()));
                ScoreNote n = o.notes().get(random.nextInt(o.notes().size()));
                List<ScoreNote> notes = new ArrayList<>(score.notes());
                notes.remove(n);
                notes.add(ScoreNoteBuilder.builder(n).fret(n.fret() + 1).build());
                Score off =
                        new Score(
                                score.board(),
                                score.time(),
                                score.length(),
                                notes,
                                score.harmonies());
                Take take = Takes.of(off, d.riff().ground(), 1);
                boolean named =
                        follow(d, take).get(0).faults().stream()
                                .filter(p -> p.tick() == o.at())
                                .flatMap(p -> p.strings().stream())
                                .anyMatch(
                                        f ->
                                                f.string() == n.string()
                                                        && f.what() == Played.What.OFF
                                                        && f.fret() == n.fret() + 1);
                asked++;
                told += named ? 1 : 0;
            }
        }
        System.out.printf("a fret off: told %d of %d%n", told, asked);
        assertThat((double) told / asked).isGreaterThan(0.85);
    }

    private static boolean plain(Onset o) {
        return !o.muted()
                && o.notes().stream().noneMatch(n -> n.tied() || !n.techniques().isEmpty());
    }

    /** Late throughout is told as behind the beat, a single late stroke as late. */
    @Test
    void lateThroughoutIsNoFault() {
        Derived d = riffs().get(1);
        double[] x = Takes.samples(d.score(), d.riff().ground(), 1);
        double[] later = new double[x.length + 1200];
        System.arraycopy(x, 0, later, 1200, x.length);
        FollowedPass pass = follow(d, new Take(later, 48_000)).get(0);
        assertThat(pass.behindMs()).isBetween(20.0, 33.0);
        assertThat(pass.faults()).isEmpty();
        assertThat(FollowWords.of(d).of(pass)).contains("as written", "behind the beat");
    }

    /**
     * Strokes up to 35 ms early and late, clean through a room and under gain: how much is told of
     * each to within 10 ms, nineteen of twenty and nine of ten at least (docs/listening.md has what
     * was measured).
     */
    @Test
    void howEarlyAndLateIsTold() {
        for (Tone tone : List.of(Tone.CLEAN, Tone.GAIN)) {
            Random random = new Random(41);
            int strokes = 0;
            int near = 0;
            for (Derived d : riffs().subList(0, Boolean.getBoolean("vocalis.long") ? 4 : 1)) {
                Map<Long, Double> off = new TreeMap<>();
                Score played = hurried(d.score(), random, off);
                double[] x = Takes.samples(played, d.riff().ground(), tone, 1);
                Take take = tone == Tone.CLEAN ? Altered.ROOM.of(x) : new Take(x, 48_000);
                List<Played> told = follow(d, take).get(0).strokes();
                double[] errors =
                        told.stream()
                                .filter(p -> p.state() != Played.State.MISSING)
                                .filter(p -> p.state() != Played.State.EXTRA)
                                .mapToDouble(p -> p.ms() - off.get(p.tick()))
                                .sorted()
                                .toArray();
                double middle = errors[errors.length / 2];
                strokes += off.size();
                near += (int) Arrays.stream(errors).filter(e -> Math.abs(e - middle) <= 10).count();
            }
            System.out.printf("%s: %d of %d strokes told within 10 ms%n", tone, near, strokes);
            assertThat((double) near / strokes)
                    .as("%s", tone)
                    .isGreaterThan(tone == Tone.CLEAN ? 0.95 : 0.9);
        }
    }

    /** A score whose strokes are early and late; how much in ms goes to their ticks. */
    private static Score hurried(Score score, Random random, Map<Long, Double> off) {
        double ticksAMs = score.time().tempos().first() * Ticks.QUARTER / 60_000.0;
        return score.moved(
                o -> {
                    double ms = Math.max(-35, Math.min(35, 14 * random.nextGaussian()));
                    long at = Math.max(0, o.at() + Math.round(ms * ticksAMs));
                    off.put(o.at(), (at - o.at()) / ticksAMs);
                    return at;
                });
    }

    /** What is played right under gain is not told as wrong, nor as surely right. */
    @Test
    void whatIsDrivenAndRightIsNotBlamed() {
        for (Derived d : riffs().subList(0, Boolean.getBoolean("vocalis.long") ? 3 : 1)) {
            Ground ground = d.riff().ground();
            Take take = Takes.of(d.score(), ground, Tone.GAIN);
            FollowedPass pass = follow(d, take).get(0);
            assertThat(pass.clean()).isFalse();
            assertThat(pass.judged()).isTrue();
            assertThat(pass.strokes())
                    .isNotEmpty()
                    .noneMatch(p -> p.state() == Played.State.MISSING)
                    .noneMatch(p -> p.state() == Played.State.WRONG)
                    .noneMatch(p -> p.state() == Played.State.EXTRA);
            assertThat(FollowWords.of(d).of(pass))
                    .contains("nothing plainly otherwise than written");
        }
    }

    /** A whole chord two frets too high under gain is told at its stroke, and nothing elsewhere. */
    @Test
    void aWrongChordUnderGainIsTold() {
        Derived d = riffs().get(0);
        Onset o =
                d.score().onsets().stream()
                        .filter(x -> x.at() > 0 && plain(x))
                        .filter(x -> x.notes().stream().allMatch(n -> n.fret() > 0))
                        .findFirst()
                        .orElseThrow();
        List<ScoreNote> notes = new ArrayList<>(d.score().notes());
        notes.removeAll(o.notes());
        o.notes().forEach(n -> notes.add(n.onFret(n.fret() + 2)));
        Score s = d.score();
        Score other = new Score(s.board(), s.time(), s.length(), notes, s.harmonies());
        FollowedPass pass = follow(d, Takes.of(other, d.riff().ground(), Tone.GAIN)).get(0);
        assertThat(pass.faults()).extracting(Played::tick).containsExactly(o.at());
        assertThat(pass.faults().get(0).strings())
                .extracting(Played.StringFault::what)
                .contains(Played.What.OFF);
        assertThat(FollowWords.of(d).of(pass)).contains("not as written", "is a guess");
    }

    /** An open string that rings in one stroke under gain, and nothing elsewhere. */
    @Test
    void anOpenStringUnderGainIsTold() {
        Derived d = riffs().get(0);
        Score s = d.score();
        Onset o =
                s.onsets().stream()
                        .filter(x -> x.at() > 0 && plain(x) && x.note(3).isEmpty())
                        .findFirst()
                        .orElseThrow();
        List<ScoreNote> notes = new ArrayList<>(s.notes());
        notes.add(ScoreNoteBuilder.builder(o.notes().get(0)).string(3).fret(0).build());
        Score other = new Score(s.board(), s.time(), s.length(), notes, s.harmonies());
        FollowedPass pass = follow(d, Takes.of(other, d.riff().ground(), Tone.GAIN)).get(0);
        assertThat(pass.faults()).extracting(Played::tick).containsExactly(o.at());
        assertThat(pass.faults().get(0).strings())
                .containsExactly(new Played.StringFault(3, Played.What.RANG, 0));
    }

    /** Nobody played: that is said, and nothing of a beat. */
    @Test
    void aPassOfSilenceIsSaid() {
        Derived d = riffs().get(1);
        Ground ground = d.riff().ground();
        Take nothing = new Take(new double[480_000], 48_000);
        FollowedPass pass = Follower.once(written(d), nothing, 0, Takes.ear(d.score(), ground), 1);
        assertThat(FollowWords.of(d).of(pass)).isEqualTo("Nothing of it was heard.");
    }

    @Test
    void silenceHasNoPass() {
        Derived d = riffs().get(0);
        assertThat(follow(d, new Take(new double[96_000], 48_000))).isEmpty();
    }
}
