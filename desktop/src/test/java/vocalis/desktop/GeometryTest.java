package vocalis.desktop;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import vocalis.core.choice.Catalogue;
import vocalis.core.derive.Derived;
import vocalis.core.derive.Deriver;
import vocalis.core.hands.Hand;
import vocalis.core.instrument.Fretboard;
import vocalis.core.instrument.Instrument;
import vocalis.core.instrument.Tuning;
import vocalis.core.rhythm.Meter;
import vocalis.desktop.band.BandGeometry;
import vocalis.desktop.lane.LaneGeometry;
import vocalis.desktop.neck.NeckGeometry;
import vocalis.desktop.view.TimeAxis;
import vocalis.workbench.demo.Demo;

/** Where things lie and what is hit there, without any window. */
class GeometryTest {

    private static final long BAR = Meter.COMMON.barTicks();

    @Test
    void timeGoesToTheScreenAndBack() {
        TimeAxis axis = TimeAxis.of(1280, 0, 4 * BAR);
        for (long t = 0; t < 4 * BAR; t += 997) {
            assertThat(axis.tick(axis.x(t))).isCloseTo(t, within(1e-6));
            assertThat(axis.shows(t)).isTrue();
        }
        assertThat(axis.shows(4 * BAR)).isFalse();
        assertThat(axis.width(BAR) * 4).isCloseTo(axis.right() - axis.left(), within(1e-9));
        assertThatThrownBy(() -> new TimeAxis(0, 1, 5, 5)).hasMessageContaining("5 to 5");
    }

    /** The octave lies at half the string (rule of 17.817): so it does on the drawn neck. */
    @Test
    void fretsLieAtTheirTrueDistances() {
        Fretboard board = new Fretboard(Instrument.of(Tuning.STANDARD), 0);
        NeckGeometry neck = NeckGeometry.of(board, 900, 160);
        double octave = neck.wire(12) - neck.wire(0);
        double whole = neck.wire(24) - neck.wire(0);
        // Two octaves are three quarters of the string, one is half of it.
        assertThat(octave / whole).isCloseTo(2.0 / 3, within(1e-6));
        double first = neck.wire(1) - neck.wire(0);
        assertThat(first / (whole / 0.75)).isCloseTo(1 / 17.817, within(1e-5));
        for (int string = 0; string < 6; string++) {
            assertThat(neck.stringAt(neck.y(string))).isEqualTo(string);
        }
        for (int fret = 0; fret <= 24; fret++) {
            assertThat(neck.fretAt(neck.mark(fret))).isEqualTo(fret);
        }
        assertThat(neck.fretAt(5000)).isEqualTo(24);
    }

    @Test
    void aLeftHandedNeckIsMirrored() {
        Instrument right = Instrument.of(Tuning.STANDARD);
        Instrument left = new Instrument(right.tuning(), right.frets(), right.scaleMm(), true);
        NeckGeometry neck = NeckGeometry.of(new Fretboard(left, 2), 900, 160);
        NeckGeometry usual = NeckGeometry.of(new Fretboard(right, 2), 900, 160);
        for (int fret = 0; fret <= 22; fret++) {
            double mirrored = neck.left() + neck.right() - usual.wire(fret);
            assertThat(neck.wire(fret)).isCloseTo(mirrored, within(1e-9));
            assertThat(neck.fretAt(neck.mark(fret))).isEqualTo(fret);
        }
    }

    /** At least three pixels a semitone at the height that the band has in a small window. */
    @Test
    void theVoiceBandHasRoomForASemitone() {
        for (var riff : Demo.pieces()) {
            Derived score = Deriver.once(riff.riff(), Hand.MEDIUM, new Catalogue());
            TimeAxis axis = TimeAxis.of(1280, 0, riff.riff().length());
            BandGeometry g = BandGeometry.of(score, axis, 212);
            assertThat(g.perSemitone()).as(riff.title()).isGreaterThan(3);
            for (int i = 0; i < score.chords().size(); i++) {
                Derived.Chord c = score.chords().get(i);
                if (g.shows(c)) {
                    assertThat(g.rungRight(c)).isGreaterThan(g.rungLeft(c));
                    double middle = (g.columnLeft(c) + g.columnRight(c)) / 2;
                    assertThat(g.chordAt(score, middle)).isEqualTo(i);
                    assertThat(g.edgeAt(score, g.columnRight(c) + 3)).isEqualTo(i);
                    for (int midi : c.candidate().voicing().midi()) {
                        assertThat(g.y(midi)).isBetween(g.top() - 1, g.bottom() + 1);
                    }
                }
            }
            assertThat(g.chordAt(score, 2)).isEqualTo(-1);
        }
    }

    @Test
    void labelsThatAreTooCloseAreStaggered() {
        assertThat(BandGeometry.stagger(List.of(10.0, 15.0, 40.0, 44.0, 47.0), 13))
                .containsExactly(0, 1, 0, 1, 2);
        assertThat(BandGeometry.stagger(List.of(), 13)).isEmpty();
    }

    @Test
    void theLaneFindsStringsAndSteps() {
        TimeAxis axis = TimeAxis.of(1280, 0, 4 * BAR);
        LaneGeometry lane = new LaneGeometry(axis, 7, LaneGeometry.TOP, LaneGeometry.GAP);
        for (int s = 0; s < 7; s++) {
            assertThat(lane.stringAt(lane.y(s) + 3)).isEqualTo(s);
        }
        assertThat(lane.stringAt(-30)).isEqualTo(-1);
        assertThat(lane.words()).isLessThan(LaneGeometry.height(7, LaneGeometry.GAP));
    }
}
