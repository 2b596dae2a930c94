package vocalis.formats.musicxml;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;
import vocalis.core.theory.Key;
import vocalis.core.theory.Mode;
import vocalis.core.theory.Spelling;

/**
 * Signatures against the circle of fifths (common practice, no source) and the scales' own notes.
 */
class KeySignatureTest {

    /** Tonics of the major keys from seven flats to seven sharps. */
    private static final List<String> MAJOR =
            List.of(
                    "Cb", "Gb", "Db", "Ab", "Eb", "Bb", "F", "C", "G", "D", "A", "E", "B", "F#",
                    "C#");

    /** Steps of the circle from a mode's tonic to that of the major key with its signature. */
    private static final Map<String, Integer> DOWN =
            Map.of(
                    "lydian", -1,
                    "major", 0,
                    "mixolydian", 1,
                    "dorian", 2,
                    "minor", 3,
                    "phrygian", 4,
                    "locrian", 5);

    static List<String> modes() {
        return List.copyOf(DOWN.keySet());
    }

    private static Key key(String tonic, String mode) {
        return new Key(Spelling.parse(tonic), Mode.named(mode).orElseThrow());
    }

    /** Every major key has the signature of its place on the circle. */
    @ParameterizedTest
    @ValueSource(ints = {-7, -6, -5, -4, -3, -2, -1, 0, 1, 2, 3, 4, 5, 6, 7})
    void theCircleOfFifths(int fifths) {
        assertThat(Names.fifths(key(MAJOR.get(fifths + 7), "major"))).isEqualTo(fifths);
    }

    /** The white keys: seven modes without a sharp or flat. */
    @ParameterizedTest
    @MethodSource("modes")
    void whiteKeys(String mode) {
        int place = 7 + DOWN.get(mode);
        assertThat(Names.fifths(key(MAJOR.get(place), mode))).isZero();
    }

    /** In every mode on every tonic of up to seven signs, the scale's own signs are as many. */
    @ParameterizedTest
    @MethodSource("modes")
    void theScaleHasAsManySigns(String mode) {
        int compared = 0;
        for (int fifths = -7; fifths <= 7; fifths++) {
            int at = fifths + 7 + DOWN.get(mode);
            if (at < 0 || at >= MAJOR.size()) {
                continue;
            }
            Key k = key(MAJOR.get(at), mode);
            int signs = k.scale().stream().mapToInt(Spelling::alter).sum();
            assertThat(signs).as(k.symbol()).isEqualTo(fifths);
            assertThat(Names.fifths(k)).as(k.symbol()).isEqualTo(fifths);
            assertThat(Names.key(fifths, mode)).as(k.symbol()).isEqualTo(k);
            compared++;
        }
        assertThat(compared).isGreaterThanOrEqualTo(10);
    }

    /** Modes that a signature has no name for are written with the nearest that has one. */
    @ParameterizedTest
    @MethodSource("others")
    void otherModesAreWrittenLikeTheNearest(Mode mode) {
        String like = Names.like(mode);
        assertThat(DOWN).containsKey(like);
        Key k = new Key(Spelling.parse("E"), mode);
        int signs =
                new Key(Spelling.parse("E"), Mode.named(like).orElseThrow())
                        .scale().stream().mapToInt(Spelling::alter).sum();
        assertThat(Names.fifths(k)).isEqualTo(signs);
        assertThat(Names.readKey(Names.written(k))).contains(k);
    }

    static List<Mode> others() {
        return Mode.builtIn().stream().filter(m -> !DOWN.containsKey(m.name())).toList();
    }

    /** What says no key is none. */
    @ParameterizedTest
    @ValueSource(strings = {"", "E", "E;minor", "H;minor;1 2", "E;minor;x", ";;"})
    void whatIsNoKeyIsNone(String text) {
        assertThat(Names.readKey(text)).isEmpty();
    }
}
