package vocalis.workbench.playedin;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.Set;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import vocalis.core.derive.Deriver;
import vocalis.core.hands.Hand;
import vocalis.core.pattern.Event;
import vocalis.core.pattern.Figure;
import vocalis.core.pattern.Pattern;
import vocalis.core.pattern.Stroke;
import vocalis.core.pattern.Struck;
import vocalis.core.rhythm.Meter;
import vocalis.core.rhythm.Ticks;
import vocalis.core.rhythm.TimeLine;
import vocalis.core.riff.Riff;
import vocalis.core.riff.Root;
import vocalis.core.riff.RootSpan;
import vocalis.core.riff.Tone;
import vocalis.core.riff.Treatment;
import vocalis.core.score.Manner;
import vocalis.core.score.Onset;
import vocalis.core.score.Score;
import vocalis.core.score.ScoreNote;
import vocalis.core.theory.Key;
import vocalis.core.unpick.Unpicked;
import vocalis.core.voicing.Family;
import vocalis.formats.FormatException;
import vocalis.sound.listen.Take;
import vocalis.workbench.demo.Demo;
import vocalis.workbench.exchange.Exchange;
import vocalis.workbench.exchange.UnpickWords;
import vocalis.workbench.listening.Takes;

/** Riffs written down from how they sound. */
class PlayInTest {

    private record At(double seconds, int midi) {}

    private static Set<At> written(Score score) {
        Set<At> all = new HashSet<>();
        for (Onset o : score.onsets()) {
            for (ScoreNote n : o.notes()) {
                if (!n.tied()) {
                    double at = score.time().tempos().seconds(o.at());
                    all.add(new At(at, score.board().midi(n.string(), n.fret())));
                }
            }
        }
        return all;
    }

    /**
     * Notes of the demo's riffs (four in the short run) within 30 ms: the harmonic mean of found
     * and right is nine tenths and more.
     */
    @Test
    void demoRiffsComeBack() throws FormatException {
        boolean all = Boolean.getBoolean("vocalis.long");
        double right = comeBack(Tone.CLEAN, all ? Demo.pieces().size() : 4);
        assertThat(right).isGreaterThan(0.9);
    }

    /** Under gain as many notes come back that a draft is worth mending: seven tenths and more. */
    @Test
    void demoRiffsComeBackUnderGain() throws FormatException {
        boolean all = Boolean.getBoolean("vocalis.long");
        assertThat(comeBack(Tone.GAIN, all ? Demo.pieces().size() : 2)).isGreaterThan(0.7);
    }

    /** A riff as it is written down from its own sound, its key and tempo known. */
    private static Draft heard(Riff riff, Score score, Tone tone) {
        Optional<Key> key = Optional.of(riff.ground().key());
        return new PlayIn(riff.ground(), key, Hand.MEDIUM, Takes.CATALOGUE)
                .of(
                        Takes.of(score, riff.ground(), tone),
                        Optional.of((double) riff.tempo()),
                        OptionalDouble.empty(),
                        riff.meters().meter(0),
                        "heard");
    }

    /** The harmonic mean of notes found and notes right, over some of the demo's riffs. */
    private static double comeBack(Tone tone, int riffs) throws FormatException {
        double hits = 0;
        double notes = 0;
        for (var piece : Demo.pieces().subList(0, riffs)) {
            Riff riff = piece.riff();
            Score score = new Deriver(Takes.CATALOGUE).derive(riff, Hand.MEDIUM).score();
            Draft draft = heard(riff, score, tone);
            assertThat(draft.sheet().keyed()).as("its key is the riff's").isTrue();
            guesses(draft);
            certain(draft, tone == Tone.CLEAN);
            Set<At> wanted = written(score);
            notes += wanted.size() + draft.notes().size();
            for (Draft.HeardNote n : draft.notes()) {
                int midi = score.board().midi(n.string(), n.fret());
                Optional<At> same =
                        wanted.stream()
                                .filter(w -> w.midi() == midi)
                                .filter(w -> Math.abs(w.seconds() - n.onsetSeconds()) < 0.03)
                                .findFirst();
                same.ifPresent(wanted::remove);
                hits += same.isPresent() ? 2 : 0;
            }
        }
        System.out.printf("demo riffs, %s: F %.3f%n", tone, hits / notes);
        return hits / notes;
    }

    /**
     * Strings that ring raise little when the whole chord is struck again, and of a palm stroke on
     * the lowest string hardly a line is left: both are written down as they were played.
     */
    @Test
    void chordsStruckAgainAreWholeAndPalmStrokesAreOneNote() {
        List<Event> events = new ArrayList<>();
        for (int i = 0; i < 8; i++) {
            Stroke whole = new Stroke(2 * i, i * Ticks.QUARTER, Ticks.EIGHTH, Struck.Named.ALL);
            Stroke low =
                    new Stroke(
                            2 * i + 1,
                            i * Ticks.QUARTER + Ticks.EIGHTH,
                            Ticks.EIGHTH,
                            i < 6 ? Struck.Named.ALL : Struck.Named.LOW);
            events.add(whole);
            events.add(i < 6 ? low : low.played(Manner.PALM));
        }
        long bars = 8 * Ticks.QUARTER;
        Riff riff =
                new Riff(
                        Demo.pieces().get(0).riff().ground().withKey(Key.parse("F# minor")),
                        TimeLine.of(Meter.COMMON, 104),
                        List.of(
                                new RootSpan(new Root(1, 0), bars / 2),
                                new RootSpan(new Root(6, 0), bars / 2)),
                        List.of(Treatment.best(Family.POWER), Treatment.best(Family.FOURTH)),
                        Pattern.of(new Figure("f", "f", bars, events)),
                        List.of());
        Score score = new Deriver(Takes.CATALOGUE).derive(riff, Hand.MEDIUM).score();
        Draft draft = heard(riff, score, Tone.CLEAN);
        int whole = 0;
        for (Onset o : score.onsets()) {
            double at = score.time().tempos().seconds(o.at());
            Set<Integer> wanted = new HashSet<>();
            o.notes().forEach(n -> wanted.add(score.board().midi(n.string(), n.fret())));
            Set<Integer> heard = new HashSet<>();
            draft.notes().stream()
                    .filter(n -> Math.abs(n.onsetSeconds() - at) < 0.03)
                    .forEach(n -> heard.add(score.board().midi(n.string(), n.fret())));
            whole += heard.equals(wanted) ? 1 : 0;
        }
        assertThat(whole).as("strokes of " + score.onsets().size()).isGreaterThanOrEqualTo(15);
    }

    /** Each guess is told with what comes next; taking that changes this stroke and no other. */
    private static void guesses(Draft draft) {
        for (Draft.Doubt d : draft.doubts()) {
            assertThat(d.likely().get(0).share()).isLessThan(0.5);
            Draft next = draft.next(List.of(d));
            assertThat(next.doubts().get(draft.doubts().indexOf(d)).shape()).isEqualTo(d.next());
            assertThat(struck(next, d.at(), false)).isEqualTo(struck(draft, d.at(), false));
            if (d.likely().size() > 1) {
                assertThat(struck(next, d.at(), true)).isNotEqualTo(struck(draft, d.at(), true));
            }
        }
    }

    /** No chord in which a stroke is guessed is told as certain, and none of a driven take. */
    private static void certain(Draft draft, boolean clean) throws FormatException {
        Exchange exchange = new Exchange(Takes.CATALOGUE, Hand.MEDIUM);
        Unpicked u = exchange.unpick(draft.sheet(), draft.sheet().sheet().ground());
        long heard =
                u.derived().chords().stream()
                        .filter(c -> draft.doubts(c.start(), c.end()).isEmpty())
                        .count();
        assertThat((long) draft.certain(u)).isLessThanOrEqualTo(clean ? heard : 0);
        assertThat(draft.sheet().remarks().stream().anyMatch(r -> r.contains("nothing of it is")))
                .isEqualTo(!clean);
        assertThat(u.chords())
                .filteredOn(c -> UnpickWords.of(c.sure(), draft.clean()).startsWith("certain"))
                .hasSizeLessThanOrEqualTo(clean ? u.chords().size() : 0);
        assertThat(UnpickWords.whole(u, draft.certain(u)))
                .contains("(" + draft.certain(u) + " certain)");
    }

    /** What begins at a tick, or everywhere else. */
    private static List<String> struck(Draft draft, long at, boolean there) {
        return draft.sheet().sheet().score().notes().stream()
                .filter(n -> (n.at() == at) == there)
                .map(n -> n.at() + " " + n.string() + " " + n.fret())
                .toList();
    }

    /** Eighths and sixteenths with a few milliseconds of spread give their tempo back. */
    @Test
    void theTempoIsFound() {
        Random random = new Random(8);
        for (int tempo : new int[] {84, 97, 112, 138}) {
            double eighth = 30.0 / tempo;
            List<Double> strokes =
                    IntStream.range(0, 32)
                            .filter(i -> random.nextInt(4) > 0)
                            .mapToObj(i -> i * eighth + 0.004 * random.nextGaussian())
                            .toList();
            assertThat(TempoFinder.of(strokes)).as("%d", tempo).isBetween(tempo - 1.0, tempo + 1.0);
        }
    }

    @Test
    void silenceIsSaid() {
        Riff riff = Demo.pieces().get(0).riff();
        PlayIn in =
                new PlayIn(
                        riff.ground(),
                        Optional.of(riff.ground().key()),
                        Hand.MEDIUM,
                        Takes.CATALOGUE);
        Take nothing = new Take(new double[48_000], 48_000);
        assertThatThrownBy(
                        () ->
                                in.of(
                                        nothing,
                                        Optional.empty(),
                                        OptionalDouble.empty(),
                                        Meter.COMMON,
                                        "x"))
                .hasMessageContaining("nothing is struck");
    }
}
