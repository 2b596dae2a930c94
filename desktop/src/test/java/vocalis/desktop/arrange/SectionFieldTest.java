package vocalis.desktop.arrange;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashSet;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import vocalis.core.mix.Mix;
import vocalis.core.piece.Piece;
import vocalis.core.piece.Section;
import vocalis.workbench.demo.Demo;

/** The lines of a section's card: every one can be stepped on and back, and says what it is. */
class SectionFieldTest {

    private final Piece piece = Demo.pieces().get(1);

    /** A step on and a step back is the section as it was, wherever no end is reached. */
    @Test
    void everyLineStepsOnAndBack() {
        for (Section s : piece.sections()) {
            for (SectionField f : SectionField.values()) {
                Section on = f.stepped(piece, s, 1);
                if (!on.equals(s)) {
                    int back = f == SectionField.FILL || f == SectionField.BASS ? 1 : -1;
                    assertThat(f.stepped(piece, on, back)).as("%s of %s", f, s.name()).isEqualTo(s);
                    assertThat(f.value(piece, on)).isNotEqualTo(f.value(piece, s));
                }
            }
        }
    }

    /** What is chosen among comes round: riff and version, ending, tones, feels, names. */
    @Test
    void choicesComeRound() {
        Section s = piece.sections().get(1);
        for (SectionField f :
                Set.of(
                        SectionField.PLAYS,
                        SectionField.ENDING,
                        SectionField.FIRST,
                        SectionField.SECOND,
                        SectionField.KIT,
                        SectionField.NAME)) {
            Set<String> seen = new HashSet<>();
            Section now = s;
            for (int i = 0; i < 20 && (i == 0 || !now.equals(s)); i++) {
                seen.add(f.value(piece, now));
                now = f.stepped(piece, now, 1);
            }
            assertThat(now).as("%s comes round", f).isEqualTo(s);
            assertThat(seen).as("%s", f).hasSizeBetween(3, 8);
        }
    }

    /** Numbers stay within what a section may be. */
    @Test
    void numbersStayInside() {
        Section s = piece.sections().get(0);
        for (int i = 0; i < 300; i++) {
            s = SectionField.TIMES.stepped(piece, s, 1);
            s = SectionField.TEMPO.stepped(piece, s, 1);
        }
        assertThat(s.times()).isEqualTo(99);
        assertThat(s.tempo()).isEqualTo(Section.FASTEST);
        assertThat(SectionField.TEMPO.value(piece, s)).isEqualTo("252, 200 % of the riff's");
        for (int i = 0; i < 300; i++) {
            s = SectionField.TIMES.stepped(piece, s, -1);
            s = SectionField.TEMPO.stepped(piece, s, -1);
        }
        assertThat(s.times()).isEqualTo(1);
        assertThat(s.tempo()).isEqualTo(Section.SLOWEST);
    }

    /**
     * Who does not play along in the piece says so, with the key that lets him join, and joins by
     * it.
     */
    @Test
    void whoIsSilentInThePieceSaysSo() {
        Piece alone = piece.mixed(Mix.ALONE);
        Section s = alone.sections().get(0);
        for (SectionField f : Set.of(SectionField.SECOND, SectionField.KIT, SectionField.BASS)) {
            boolean none = f == SectionField.SECOND && alone.parts().size() < 2;
            assertThat(f.value(alone, s)).isEqualTo(none ? "none yet" : "not in the band (+)");
            Piece joined = f.joined(alone);
            assertThat(f.value(joined, s)).isNotEqualTo("not in the band (+)");
            assertThat(f.joined(joined)).isEqualTo(joined);
        }
        assertThat(SectionField.WORDS.value(alone, s.singing(""))).isEqualTo("none");
        Section silent = s.with("guitar-1", new Section.Playing(false, Optional.empty()));
        assertThat(SectionField.FIRST.value(alone, silent)).isEqualTo("silent");
    }

    /** The words of a section, bar by bar. */
    @Test
    void wordsAreTakenBarByBar() {
        Section s = piece.sections().get(0).singing("one | two || four");
        assertThat(s.words(0)).isEqualTo("one");
        assertThat(s.words(1)).isEqualTo("two");
        assertThat(s.words(2)).isEmpty();
        assertThat(s.words(3)).isEqualTo("four");
        assertThat(s.words(9)).isEmpty();
    }
}
