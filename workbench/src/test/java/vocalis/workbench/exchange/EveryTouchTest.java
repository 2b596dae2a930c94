package vocalis.workbench.exchange;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import vocalis.core.choice.Catalogue;
import vocalis.core.derive.Derived;
import vocalis.core.derive.Deriver;
import vocalis.core.hands.Hand;
import vocalis.core.pattern.Anchor;
import vocalis.core.pattern.Event;
import vocalis.core.pattern.Figure;
import vocalis.core.pattern.Touch;
import vocalis.core.piece.Piece;
import vocalis.core.score.Dynamics;
import vocalis.formats.json.Extras;
import vocalis.formats.json.PieceCodec;
import vocalis.sound.engine.Program;
import vocalis.workbench.demo.Demo;
import vocalis.workbench.document.Workspace;
import vocalis.workbench.playing.SoundEvents;
import vocalis.workbench.words.FindingWords;

/**
 * Every touch that there is has its place everywhere: in the score, in what is heard, in words, in
 * the file, in tab and MusicXML. A new one fails here until it has them all.
 */
class EveryTouchTest {

    private static final Catalogue CATALOGUE = new Catalogue();

    /** One of each, on the top note of the first stroke. */
    private static final Map<Class<?>, Function<Anchor, Touch>> SAMPLES =
            Map.of(
                    Touch.Legato.class, a -> new Touch.Legato(a, List.of(new Touch.Step(2, 2000))),
                    Touch.Slide.class, a -> new Touch.Slide(a, 2, 2000, 1000),
                    Touch.Bend.class, a -> new Touch.Bend(a, 200, 1000, 2000, OptionalLong.empty()),
                    Touch.Vibrato.class,
                            a -> new Touch.Vibrato(a, 40, Touch.Vibrato.USUAL_HZ, 1000),
                    Touch.Level.class, a -> new Touch.Level(a, Dynamics.GHOST),
                    Touch.Tremolo.class, a -> new Touch.Tremolo(a, 4),
                    Touch.Pinch.class, a -> new Touch.Pinch(a, 2),
                    Touch.Moved.class, a -> new Touch.Moved(a, 1),
                    Touch.Pinned.class, a -> new Touch.Pinned(onString(a), 9));

    private static Anchor onString(Anchor a) {
        return new Anchor(a.figure(), a.event(), a.pass(), new Anchor.Voice.OnString(1));
    }

    static Stream<Class<?>> touches() {
        return Arrays.stream(Touch.class.getPermittedSubclasses());
    }

    @Test
    void thereIsASampleOfEach() {
        assertThat(SAMPLES.keySet()).containsExactlyInAnyOrderElementsOf(touches().toList());
    }

    private static Piece plain() {
        return Demo.blank("every-touch");
    }

    private static Piece touched(Class<?> kind) {
        Figure figure = plain().riff().passAt(0).figure();
        Event first = figure.events().stream().filter(Event::sounds).findFirst().orElseThrow();
        Anchor top =
                new Anchor(figure.id(), first.id(), Optional.empty(), new Anchor.Voice.FromTop(0));
        Touch touch = SAMPLES.get(kind).apply(top);
        return plain().with(plain().riff().withTouches(List.of(touch)));
    }

    private static Derived derived(Piece p) {
        return Deriver.once(p.riff(), Hand.MEDIUM, CATALOGUE);
    }

    private static String heard(Piece p) {
        Program program = SoundEvents.program(new Workspace(CATALOGUE, p).heard());
        return IntStream.range(0, program.events())
                .mapToObj(program::describe)
                .collect(Collectors.joining("\n"));
    }

    @ParameterizedTest
    @MethodSource("touches")
    void itIsInTheScoreAndHeard(Class<?> kind) {
        Piece p = touched(kind);
        assertThat(derived(p).findings()).isEmpty();
        assertThat(derived(p).score()).isNotEqualTo(derived(plain()).score());
        assertThat(heard(p)).isNotEqualTo(heard(plain()));
    }

    @ParameterizedTest
    @MethodSource("touches")
    void itIsKeptInTheFile(Class<?> kind) throws Exception {
        Piece p = touched(kind);
        Piece read = PieceCodec.read(PieceCodec.write(p, Extras.NONE)).piece();
        assertThat(read.riff().touches()).isEqualTo(p.riff().touches());
    }

    /** Two only are called alike: a note changed by frets and one changed to a fret. */
    @Test
    void eachHasAWord() {
        List<String> words =
                touches().map(k -> FindingWords.words(touched(k).riff().touches().get(0))).toList();
        assertThat(words).doesNotContain("");
        assertThat(words.stream().distinct()).hasSize(words.size() - 1);
    }

    @ParameterizedTest
    @MethodSource("touches")
    void othersAreToldOfIt(Class<?> kind) throws Exception {
        Exchange exchange = new Exchange(CATALOGUE, Hand.MEDIUM);
        for (Target t : List.of(Target.TAB, Target.MUSICXML)) {
            assertThat(exchange.away(touched(kind)).bytes(t))
                    .as(t.toString())
                    .isNotEqualTo(exchange.away(plain()).bytes(t));
        }
        Export with = exchange.away(touched(kind));
        Export without = exchange.away(plain());
        boolean inMidi = !Arrays.equals(with.bytes(Target.MIDI), without.bytes(Target.MIDI));
        boolean said = !with.losses(Target.MIDI).equals(without.losses(Target.MIDI));
        assertThat(inMidi || said).as("in the MIDI file, or said to be left out").isTrue();
    }
}
