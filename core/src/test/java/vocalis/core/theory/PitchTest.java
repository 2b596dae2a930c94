package vocalis.core.theory;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class PitchTest {

    /**
     * ISO 16:1975 fixes A4 at 440 Hz; the others by 2^(1/12), to the centihertz of any handbook
     * table.
     */
    @ParameterizedTest
    @CsvSource({
        "A4,69,440.00",
        "C4,60,261.63",
        "E2,40,82.41",
        "A2,45,110.00",
        "D3,50,146.83",
        "G3,55,196.00",
        "B3,59,246.94",
        "E4,64,329.63",
        "E6,88,1318.51",
        "D2,38,73.42",
        "A0,21,27.50"
    })
    void frequenciesAndMidiNumbersOfTheHandbookTable(String name, int midi, double hz) {
        Spelling spelling = Spelling.parse(name.substring(0, name.length() - 1));
        Note note = new Note(spelling, name.charAt(name.length() - 1) - '0');
        assertThat(note.midi()).isEqualTo(midi);
        assertThat(Pitch.hz(midi)).isCloseTo(hz, within(0.005));
        assertThat(Note.at(spelling, midi)).isEqualTo(note);
    }

    @Test
    void theOctaveNumberChangesByLetterNotBySound() {
        assertThat(Note.at(Spelling.parse("B#"), 60).symbol()).isEqualTo("B♯3");
        assertThat(Note.at(Spelling.parse("Cb"), 59).symbol()).isEqualTo("C♭4");
    }

    @Test
    void otherTuningStandardsScaleEverything() {
        assertThat(Pitch.hz(69, 432)).isEqualTo(432);
        assertThat(Pitch.cents(440, Pitch.hz(69, 442))).isCloseTo(7.85, within(0.01));
    }

    @Test
    void spellingsReadBothSignsAndSayWhatTheyCannotRead() {
        assertThat(Spelling.parse("f♯")).isEqualTo(Spelling.parse("F#"));
        assertThat(Spelling.parse("Bbb").pitchClass()).isEqualTo(9);
        for (String bad : new String[] {"H", "C#b#x", "", "Fbbb"}) {
            assertThatThrownBy(() -> Spelling.parse(bad))
                    .isInstanceOf(IllegalArgumentException.class);
        }
        assertThatThrownBy(() -> Spelling.parse("H2")).hasMessageContaining("\"H2\"");
    }

    @Test
    void everyDegreeAboveEverySpellingSoundsItsSemitones() {
        for (Letter letter : Letter.values()) {
            for (int alter = -1; alter <= 1; alter++) {
                Spelling root = new Spelling(letter, alter);
                for (int s = 0; s < 12; s++) {
                    Spelling above = root.above(Degree.above(s));
                    assertThat(above.pitchClass()).isEqualTo((root.pitchClass() + s) % 12);
                }
            }
        }
    }

    @Test
    void intervalNamesGoPastTheOctave() {
        assertThat(Degree.intervalName(7)).isEqualTo("fifth");
        assertThat(Degree.intervalName(12)).isEqualTo("octave");
        assertThat(Degree.intervalName(19)).isEqualTo("octave and fifth");
        assertThat(Degree.intervalName(24)).isEqualTo("2 octaves");
    }
}
