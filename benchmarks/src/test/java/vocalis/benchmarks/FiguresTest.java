package vocalis.benchmarks;

import static org.assertj.core.api.Assertions.assertThat;

import java.lang.reflect.Field;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/** The weights that {@code docs/figures.md} prints are those in the code. */
class FiguresTest {

    /*
     * A row: class under vocalis, constant, the words around it in the document with {} for it.
     */
    private static final String ROWS =
            """
            core.names.Support | UNISON | candidate: unison {}, fifth
            core.names.Support | FIFTH | 10, fifth {}, major third
            core.names.Support | THIRD | major third {}, minor seventh
            core.names.Support | SEVENTH | minor seventh {}, major second
            core.names.Support | SECOND | major second {}; plus
            core.names.Support | LOWEST | plus {} for the lowest note
            core.names.Support | TONIC | plus {} for the tonic
            core.names.Support | IN_SCALE | the tonic, {} for another note of the scale
            core.names.Quality$Wording | MISSING_THIRD | missing third | {}; under a seventh
            core.names.Quality$Wording | MISSING_THIRD_UNDER_SEVENTH | under a seventh with its fifth {}
            core.names.Quality$Wording | MISSING_FIFTH | missing fifth | {} in a triad
            core.names.Quality$Wording | MISSING_FIFTH_UNDER_SIXTH | in a triad, {} under a sixth
            core.names.Quality$Wording | MISSING_FIFTH_UNDER_SUSPENSION | under a sixth, {} under 7sus4
            core.names.Quality$Wording | MISSING_FIFTH_UNDER_SEVENTH | 7sus4, {} under a seventh with a third
            core.names.Quality$Wording | FURTHER_MODIFIER | each modifier after the first {}
            core.names.ChordNamer | SLASH_FIFTH | slash | {} over the fifth
            core.names.ChordNamer | SLASH | {} over another chord note
            core.names.ChordNamer | SLASH_OUTSIDE | {} over a note outside the chord
            core.names.ChordNamer | DYAD_SLASH | {} for a dyad
            core.names.ChordNamer | BEHIND_HEARD | behind the heard one | {} times its distance
            core.names.ChordNamer | OUTSIDE_KEY | a root outside the key | {} |
            core.choice.Ranking | EFFORT | {} of the effort, 1.5 at least
            core.choice.Ranking | EASY_ENOUGH | of the effort, {} at least
            core.choice.Ranking | PER_FRET | {} per fret and
            core.choice.Ranking | PER_FRET_PAST_NINE | and {} more past the ninth
            core.choice.Ranking | PER_STRING_FROM_LOWEST | {} per string from the lowest
            core.choice.Ranking | PER_NOTE_OUTSIDE | {} per different note outside the scale
            core.choice.Ranking | DOMINANT_ON_FIVE | whose seventh chord has {} less
            core.choice.Ranking | TRITONE_ON_FIVE | its tritone substitute {} less
            core.choice.Ranking | SAME_NOTES | a card charges {} to others
            core.choice.Ranking | SAME_PLACE | {} up to twice to those in the same place
            core.choice.Ranking | SAME_STRINGS | {} once to those on the same strings
            core.hands.Change | PER_100_MM_TRAVEL | for an easy hand, {} per 100 mm
            core.hands.Change | PER_ANCHOR | less {} for each of up to two fingers
            core.hands.Change | PER_SEMITONE_OF_REGISTER | {} for each semitone that lowest and highest
            core.hands.Change | PER_OTHER_STRING | {} per string that begins or ceases
            core.hands.Change | OPEN_BESIDE_FRETTED | {} where one shape has open strings
            core.hands.Change | NOTHING_NEW | repeats the shape before it costs {}
            core.hands.Change | PER_OCTAVE_OF_CONTOUR | {} per octave by which they move otherwise
            core.hands.Change | OTHER_DRONES | **Drones**: {} where
            core.hands.Change | ANOTHER_GRIP | *one grip* {} for another grip
            core.hands.Change | PER_FRET_OF_POSITION | *one position* {} per fret
            core.hands.Hold | INDEX_LEANS | {} where the index, one of several
            core.hands.Move | PER_ANCHOR | less {} for a finger that stays on its string and fret
            core.hands.Move | PER_GUIDE | {} for one that slides on its string
            core.hands.Move | PER_SWAP | {} more where another finger takes a fret that stays
            core.harmony.Context | PER_NOTE_OUTSIDE | {} per different note outside the scale, at most
            core.harmony.Context | MOST_OUTSIDE | at most {}; 10 when the root is ambiguous
            core.harmony.Context | AMBIGUOUS | {} when the root is ambiguous
            core.harmony.Context | BASS_NOT_ROOT | {} when the bass is not the heard root
            core.harmony.Context | MOST_ROUGH | `{} · r / (r + 1.5)`
            core.harmony.Context | HALF_ROUGH | · r / (r + {})`
            core.harmony.Context | FALLING_FIFTH | {} where the root falls a fifth
            core.harmony.Context | SEMITONE_STEP | {} where it steps by a semitone
            core.harmony.Context | TONIC_TIME | plus {} of the tonic's
            core.harmony.Context | FIFTH_TIME | and {} of its fifth's share
            core.harmony.Context | FIRST_ROOT | {} where the first root is the tonic
            core.harmony.Context | LAST_ROOT | {} where the last is
            core.harmony.Context | PER_SCALE_NOTE | less {} per note of the scale
            core.harmony.Context | PER_NOTE_UNHEARD | {} per note of it that never sounds
            core.revoice.IntentCosts | NOT_HEARD | {} where another root is heard
            core.revoice.IntentCosts | PER_FRET_TOO_HIGH | and {} per fret over
            core.revoice.IntentCosts | STANDS_STILL | *smooth top* {} where the highest note
            core.revoice.IntentCosts | OTHER_STRINGS | *tight* {} for other strings
            core.revoice.IntentCosts | OTHER_SHAPE | {} for another shape on them
            core.revoice.IntentCosts | ROOT_NOT_LOWEST | {} where the root is not lowest
            core.revoice.IntentCosts | PER_VOICE_TOO_MANY | {} per voice over three
            core.revoice.IntentCosts | FAST | from a tempo of {} on
            core.revoice.IntentCosts | BASS_STANDS | {} where the bass stands still
            core.revoice.IntentCosts | PER_LEAP | stands still, {} per semitone past two
            core.revoice.IntentCosts | SAME_WAY | {} where top and bass go one way
            core.revoice.IntentCosts | ONE_STANDS | and {} where one of them stands
            core.revoice.IntentCosts | BARE_OCTAVE | one note in octaves costs {} where
            core.revoice.IntentCosts | PER_VOICE_MISSING | {} per voice under three
            core.choice.Ranking | PER_FRET_PAST_TEN | {} more again past the tenth
            core.revoice.IntentCosts | OUTSIDE_THE_KEY | {} per note outside the key
            core.revoice.IntentCosts | PER_STRING_OFF | {} per string that the lowest is off
            core.revoice.IntentCosts | PER_SEMITONE_OF_BASS | {} per semitone over an octave from
            core.revoice.IntentCosts | PER_SEMITONE_ABOVE | {} per semitone that lies over an octave
            core.choice.BassUnder | PER_VOICE | a voice that stays is worth {} of effort
            core.choice.BassUnder | RINGS_NOW | closed grip of low strings costs {}
            core.vary.NextRoot | ONWARD | {} times as much, out of it
            core.vary.NextRoot | DARK_TRITONE | for a tritone {} more in a mode
            core.mix.Drummer | ONE_HAND | keeps up {} eighths
            core.mix.Drummer | ONE_HAND_OF_SIXTEENTHS | and {} sixteenths a second
            core.mix.Drummer | TWO_HANDS | two by turns {};
            core.mix.Drummer | FOOT | a foot {} s
            core.mix.Drummer | GHOST_NEEDS | stands {} s from the next
            core.mix.Bassist | AGAINST | cost {} where they move against
            core.arrange.SecondParts | STILL_WHERE_IT_MOVES | ({} in a line that is to move
            core.edit.Tapping | WORTH | square) under {} of the coarser's
            core.arrange.SecondParts | OUTSIDE_THE_CHORD | {} for a note that guitar one lacks
            core.arrange.SecondParts | STILL | {} for standing still
            sound.gain.GainReading | JUST_ROUGH | to both {} added
            sound.gain.GainAnalysis | PARTIAL_CENTS | within {} cents (or 1.6 bins)
            sound.gain.GainAnalysis | PARTIAL_BINS | cents (or {} bins)
            sound.gain.GainAnalysis | COMMON_CENTS | multiples within {} cents
            sound.gain.GainAnalysis | MOST_COMMON | least number up to {} that makes
            sound.gain.Relation | NEAR_CENTS | (a, b to 6) within {} cents
            sound.gain.Relation | LEAST_HZ | cents or {} Hz
            """;

    static Stream<Arguments> rows() {
        return ROWS.lines()
                .map(
                        r -> {
                            String[] c = r.split(" \\| ", 3);
                            return Arguments.of(c[0].strip(), c[1].strip(), c[2].strip());
                        });
    }

    private static String document() throws Exception {
        return Files.readString(Path.of("../docs/figures.md")).replaceAll("\\s+", " ");
    }

    @ParameterizedTest(name = "{0} {1}")
    @MethodSource("rows")
    void theDocumentSaysWhatTheCodeHas(String type, String constant, String words)
            throws Exception {
        Field field = Class.forName("vocalis." + type).getDeclaredField(constant);
        field.setAccessible(true);
        double value = ((Number) field.get(null)).doubleValue();
        String whole = value == Math.rint(value) ? String.valueOf((long) value) : "none";
        assertThat(document())
                .containsAnyOf(
                        words.replace("{}", String.valueOf(value)), words.replace("{}", whole));
    }
}
