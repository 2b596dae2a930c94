package vocalis.workbench.exchange;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import vocalis.core.check.Caution;
import vocalis.core.check.Check;
import vocalis.core.choice.Catalogue;
import vocalis.core.derive.Derived;
import vocalis.core.derive.Deriver;
import vocalis.core.edit.Chords;
import vocalis.core.hands.Hand;
import vocalis.core.hands.WhileHeld;
import vocalis.core.instrument.Shape;
import vocalis.core.mix.Mix;
import vocalis.core.pattern.Anchor;
import vocalis.core.pattern.Event;
import vocalis.core.pattern.Figure;
import vocalis.core.pattern.Touch;
import vocalis.core.piece.Piece;
import vocalis.core.rhythm.Ticks;
import vocalis.core.riff.Member;
import vocalis.core.riff.Riff;
import vocalis.core.riff.Root;
import vocalis.core.riff.Tone;
import vocalis.core.score.ScoreNote;
import vocalis.core.unpick.Unpicked;
import vocalis.core.voicing.Family;
import vocalis.workbench.demo.Demo;
import vocalis.workbench.document.Workspace;
import vocalis.workbench.playing.Heard;
import vocalis.workbench.playing.OfflineRender;
import vocalis.workbench.words.CheckWords;

/**
 * Touches on any voice and on the whole shape: each voice is heard on its fret before and on
 * another after, and tab and MusicXML give them back. Which hand does what is common practice.
 */
class AnyVoiceTest {

    private static final Catalogue CATALOGUE = new Catalogue();
    private static final long HALF = 2 * Ticks.QUARTER;
    private static final double RATE = 48_000;

    /**
     * @param shape that is struck, its root, and what is done to which strings
     */
    record Done(String name, String shape, int root, Map<Integer, Touch> byString) {
        @Override
        public String toString() {
            return name;
        }
    }

    private static Touch slide(int frets) {
        return new Touch.Slide(ANY, frets, HALF / 2, HALF / 8);
    }

    private static Touch step(int frets) {
        return new Touch.Legato(ANY, List.of(new Touch.Step(frets, HALF / 2)));
    }

    private static Touch comeAndGo(int frets) {
        return new Touch.Legato(
                ANY,
                List.of(new Touch.Step(frets, HALF / 4), new Touch.Step(-frets, 3 * HALF / 4)));
    }

    private static final Anchor ANY =
            new Anchor("x", 0, Optional.empty(), new Anchor.Voice.FromTop(0));

    static Stream<Done> done() {
        return Stream.of(
                new Done(
                        "a whole power chord slides",
                        "6-8-8-x-x-x",
                        10,
                        Map.of(0, slide(3), 1, slide(3), 2, slide(3))),
                new Done(
                        "a flat finger lifts off three strings",
                        "x-x-7-7-7-x",
                        2,
                        Map.of(2, step(-7), 3, step(-7), 4, step(-7))),
                new Done(
                        "a low string is hammered under held ones",
                        "x-4-6-6-x-x",
                        1,
                        Map.of(1, step(1))),
                new Done(
                        "pulled off below a ringing string",
                        "x-2-4-0-x-x",
                        11,
                        Map.of(2, step(-4))),
                new Done(
                        "a note above comes and goes", "8-10-10-x-x-x", 0, Map.of(2, comeAndGo(2))),
                new Done(
                        "vibrato on the middle voice",
                        "7-9-9-x-x-x",
                        11,
                        Map.of(1, new Touch.Vibrato(ANY, 60, Touch.Vibrato.USUAL_HZ, HALF / 4))));
    }

    /** Half notes of one shape by hand, touched at every stroke. */
    private static Piece piece(Done d) {
        Shape shape = Shape.parse(d.shape);
        Riff riff = Demo.blank("any-voice").riff();
        riff = riff.withGround(riff.ground().withTone(Tone.CLEAN));
        for (int i = 0; i < riff.roots().size(); i++) {
            riff = Chords.root(riff, i, Root.of(riff.ground().key(), d.root));
            riff = Chords.member(riff, i, Family.POWER, new Member.ByHand(shape, d.root));
        }
        Figure own = riff.passAt(0).figure();
        List<Event> halves = new ArrayList<>();
        for (Event e : own.events()) {
            if (e.at() % HALF == 0 && e.sounds()) {
                halves.add(e.lasting(HALF));
            }
        }
        Figure figure = new Figure(own.id(), own.name(), own.length(), halves);
        riff = riff.withPattern(vocalis.core.pattern.Pattern.of(figure));
        List<Touch> touches = new ArrayList<>();
        List<Integer> strings = shape.sounded();
        for (Event e : halves) {
            d.byString.forEach(
                    (s, t) -> {
                        int rank = strings.size() - 1 - strings.indexOf(s);
                        touches.add(
                                t.on(
                                        new Anchor(
                                                figure.id(),
                                                e.id(),
                                                Optional.empty(),
                                                new Anchor.Voice.FromTop(rank))));
                    });
        }
        return Demo.blank("any-voice").with(riff.withTouches(touches)).mixed(Mix.ALONE);
    }

    /** By G. Goertzel, 1958, Hann-windowed, in dB. */
    private static double level(float[] stereo, double from, double seconds, double hz) {
        int n = (int) (seconds * RATE);
        int begin = (int) (from * RATE);
        double re = 0;
        double im = 0;
        for (int i = 0; i < n; i++) {
            double v = stereo[2 * (begin + i)] * (0.5 - 0.5 * Math.cos(2 * Math.PI * i / n));
            re += v * Math.cos(2 * Math.PI * hz * i / RATE);
            im += v * Math.sin(2 * Math.PI * hz * i / RATE);
        }
        return 20 * Math.log10(Math.hypot(re, im) / n + 1e-12);
    }

    /**
     * In the first half of a stroke each voice is on its fret, in the second on the one that it was
     * led to: of both frets' fundamentals the right one is the stronger by 6 dB.
     */
    @ParameterizedTest
    @MethodSource("done")
    void eachVoiceIsHeardWhereItIs(Done d) {
        Piece p = piece(d);
        Workspace w = new Workspace(CATALOGUE, p);
        Derived derived = w.derived();
        assertThat(derived.findings()).isEmpty();
        double half = Ticks.seconds(HALF, p.riff().tempo());
        for (ScoreNote n : derived.score().notes().subList(0, Shape.parse(d.shape).voices())) {
            assertThat(n.techniques().isEmpty()).isEqualTo(!d.byString.containsKey(n.string()));
            Heard alone = only(w.heard(), n.string());
            float[] x = OfflineRender.of(alone, 1, 0).samples();
            double hz = hz(derived, n, n.fret());
            boolean comes = n.techniques().size() > 1;
            int to = comes ? n.techniques().get(0).to() : n.endFret();
            double other = hz(derived, n, to);
            double at = comes ? 0.4 : 0.75;
            double before = level(x, 0.04 * half, 0.2 * half, hz);
            double after = level(x, at * half, 0.22 * half, other);
            System.out.printf(
                    "%s, string %d: %.1f Hz %.1f dB, then %.1f Hz %.1f dB%n",
                    d, n.string(), hz, before, other, after);
            if (to != n.fret()) {
                assertThat(before).isGreaterThan(level(x, 0.04 * half, 0.2 * half, other) + 6);
                assertThat(after).isGreaterThan(level(x, at * half, 0.22 * half, hz) + 6);
            }
            if (comes) {
                double again = level(x, 0.8 * half, 0.18 * half, hz);
                assertThat(again).isGreaterThan(level(x, 0.8 * half, 0.18 * half, other) + 6);
            }
        }
    }

    private static double hz(Derived d, ScoreNote n, int fret) {
        return 440 * Math.pow(2, (d.riff().ground().board().midi(n.string(), fret) - 69) / 12.0);
    }

    /** The same with one string alone. */
    private static Heard only(Heard heard, int string) {
        var s = heard.score();
        List<ScoreNote> own = s.notes().stream().filter(n -> n.string() == string).toList();
        return new Heard(
                new vocalis.core.score.Score(s.board(), s.time(), s.length(), own, s.harmonies()),
                Optional.empty(),
                heard.ground(),
                heard.mix());
    }

    private static Map<String, List<String>> techniques(List<ScoreNote> notes) {
        return notes.stream()
                .collect(
                        Collectors.groupingBy(
                                n -> n.at() + " on " + n.string() + "-" + n.fret(),
                                Collectors.flatMapping(
                                        n ->
                                                n.techniques().stream()
                                                        .map(t -> t.kind() + " " + t.to()),
                                        Collectors.toList())));
    }

    /** Vibrato has no width in tab, so its kind alone is compared. */
    @ParameterizedTest
    @MethodSource("done")
    void otherProgramsGetThemAndGiveThemBack(Done d) throws Exception {
        Piece p = piece(d);
        Derived derived = Deriver.once(p.riff(), Hand.MEDIUM, CATALOGUE);
        Exchange exchange = new Exchange(CATALOGUE, Hand.MEDIUM);
        for (Target t : List.of(Target.TAB, Target.MUSICXML)) {
            var read = Exchange.read(exchange.away(p).bytes(t));
            List<ScoreNote> back = read.sheet().guitars().get(0).score().notes();
            assertThat(plain(techniques(back)))
                    .as(t.toString())
                    .isEqualTo(plain(techniques(derived.score().notes())));
            Unpicked u = exchange.unpick(read);
            assertThat(plain(techniques(u.derived().score().notes())))
                    .as("unpicked from " + t)
                    .isEqualTo(plain(techniques(back)));
        }
    }

    private static Map<String, List<String>> plain(Map<String, List<String>> all) {
        return all.entrySet().stream()
                .collect(
                        Collectors.toMap(
                                Map.Entry::getKey,
                                e ->
                                        e.getValue().stream()
                                                .map(t -> t.replaceAll("VIBRATO.*", "VIBRATO"))
                                                .toList()));
    }

    /** A hand can do the six; under a full barre one string cannot be let go alone. */
    @Test
    void checkSaysWhatAHandCannotDo() {
        done().forEach(d -> assertThat(cannot(d)).as(d.name).isEmpty());
        Done barre = new Done("one string under a barre", "3-5-5-4-3-3", 7, Map.of(5, step(-3)));
        assertThat(cannot(barre)).isNotEmpty();
        Caution.NotWhileHeld first = cannot(barre).get(0);
        assertThat(first.why()).isEqualTo(WhileHeld.Blocked.FLAT_FINGER);
        assertThat(CheckWords.of(first, piece(barre).riff()))
                .startsWith("the finger on string 1 lies flat and holds other strings too");
    }

    private static List<Caution.NotWhileHeld> cannot(Done d) {
        return Check.of(Deriver.once(piece(d).riff(), Hand.MEDIUM, CATALOGUE)).stream()
                .filter(Caution.NotWhileHeld.class::isInstance)
                .map(Caution.NotWhileHeld.class::cast)
                .toList();
    }
}
