package vocalis.core.vary;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;
import vocalis.core.choice.Catalogue;
import vocalis.core.derive.Derived;
import vocalis.core.derive.Deriver;
import vocalis.core.edit.Chords;
import vocalis.core.hands.Fingering;
import vocalis.core.hands.Hand;
import vocalis.core.instrument.Fretboard;
import vocalis.core.instrument.Shape;
import vocalis.core.riff.Member;
import vocalis.core.riff.Riff;
import vocalis.core.riff.Riffs;
import vocalis.core.voicing.Family;

/** Lines inside a held chord, and open strings that ring or not. */
class InnerLineTest {

    private static final Deriver DERIVER = new Deriver(new Catalogue());

    private static Derived holding(String shape, int root) {
        Riff riff = Riffs.fourBars();
        Member held = new Member.ByHand(Shape.parse(shape), root);
        return DERIVER.derive(Chords.member(riff, 0, Family.TRIAD, held), Hand.MEDIUM);
    }

    /**
     * The fifth that climbs by semitones over a minor barre: 5, sharp 5, 6, flat 7 (common
     * practice).
     */
    @Test
    void theFifthClimbsOverAMinorChord() {
        Derived d = holding("x-12-14-14-13-x", 9);
        List<List<Integer>> climbs =
                InnerLine.of(d, 0).stream()
                        .filter(o -> o.up() && !o.against() && o.string() == 2)
                        .map(o -> o.shapes().stream().map(s -> s.fret(2)).toList())
                        .toList();
        assertThat(climbs).contains(List.of(14, 15, 16, 17));
    }

    /**
     * Each step is held by the hand, moves the one string, and lasts its share; nothing else moves.
     */
    @Test
    void linesOfRandomRiffsAreHeldAndFillTheChord() {
        Random random = new Random(21);
        int lines = 0;
        for (int i = 0; i < 60; i++) {
            Derived d = DERIVER.derive(Riffs.random(random), Hand.MEDIUM);
            Fretboard board = d.riff().ground().board();
            int chord = random.nextInt(d.chords().size());
            for (InnerLine.Offer o : InnerLine.of(d, chord)) {
                lines++;
                int bass = o.shapes().get(0).sounded().get(0);
                for (int k = 1; k < o.shapes().size(); k++) {
                    Shape before = o.shapes().get(k - 1);
                    Shape now = o.shapes().get(k);
                    assertThat(Fingering.of(board, now, Hand.MEDIUM)).isPresent();
                    for (int s = 0; s < board.strings(); s++) {
                        int by = now.fret(s) - before.fret(s);
                        if (s == o.string()) {
                            assertThat(Integer.signum(by)).isEqualTo(o.up() ? 1 : -1);
                        } else if (s == bass && o.against()) {
                            assertThat(Integer.signum(by)).isEqualTo(o.up() ? -1 : 1);
                        } else {
                            assertThat(by).isZero();
                        }
                    }
                }
                assertThat(o.riff().length()).isEqualTo(d.riff().length());
                assertThat(o.riff().roots())
                        .hasSize(d.riff().roots().size() + o.shapes().size() - 1);
                Derived heard = DERIVER.derive(o.riff(), Hand.MEDIUM);
                for (int k = 0; k < o.shapes().size(); k++) {
                    assertThat(heard.chord(chord + k).candidate().voicing().shape())
                            .isEqualTo(o.shapes().get(k));
                }
            }
        }
        assertThat(lines).isGreaterThan(100);
    }

    /**
     * Inner open strings are silenced and come back; what stands in the bass stays (common
     * practice).
     */
    @Test
    void openStringsRingOrAreMuted() {
        Derived rings = holding("x-0-2-0-2-x", 9);
        assertThat(Ringing.rings(rings)).isTrue();
        Riff muted = Ringing.switched(rings).orElseThrow();
        Derived m = DERIVER.derive(muted, Hand.MEDIUM);
        assertThat(m.chord(0).candidate().voicing().shape().text()).isEqualTo("x-0-2-x-2-x");
        assertThat(Ringing.rings(m)).isFalse();
        for (Derived.Chord c : m.chords()) {
            Shape before = rings.chord(m.chords().indexOf(c)).candidate().voicing().shape();
            int bass = before.sounded().get(0);
            assertThat(c.candidate().voicing().shape().fret(bass)).isEqualTo(before.fret(bass));
        }
    }

    /** Strings that ring are in the key, rub nothing, and leave the grip as it was. */
    @Test
    void whatRingsSuitsTheChord() {
        Random random = new Random(22);
        int rung = 0;
        for (int i = 0; i < 80; i++) {
            Derived d = DERIVER.derive(Riffs.random(random), Hand.MEDIUM);
            Optional<Riff> to = Ringing.switched(d);
            if (Ringing.rings(d) || to.isEmpty()) {
                continue;
            }
            Derived after = DERIVER.derive(to.get(), Hand.MEDIUM);
            Fretboard board = d.riff().ground().board();
            for (int c = 0; c < d.chords().size(); c++) {
                Shape was = d.chord(c).candidate().voicing().shape();
                Shape is = after.chord(c).candidate().voicing().shape();
                for (int s : is.sounded()) {
                    if (was.sounds(s)) {
                        assertThat(is.fret(s)).isEqualTo(was.fret(s));
                        continue;
                    }
                    rung++;
                    assertThat(is.fret(s)).isZero();
                    assertThat(d.riff().ground().key().contains(board.midi(s, 0))).isTrue();
                    assertThat(Math.floorMod(board.midi(s, 0) - d.chord(c).root(), 12))
                            .isNotIn(1, 6, 8, 11);
                }
            }
        }
        assertThat(rung).isGreaterThan(20);
    }
}
