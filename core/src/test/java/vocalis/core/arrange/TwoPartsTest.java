package vocalis.core.arrange;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import vocalis.core.derive.Derived;
import vocalis.core.derive.Deriver;
import vocalis.core.edit.FigureText;
import vocalis.core.edit.Times;
import vocalis.core.hands.Hand;
import vocalis.core.instrument.Instrument;
import vocalis.core.instrument.Shape;
import vocalis.core.instrument.Tuning;
import vocalis.core.mix.BassFigure;
import vocalis.core.mix.Fader;
import vocalis.core.mix.Groove;
import vocalis.core.mix.Mix;
import vocalis.core.pattern.Event;
import vocalis.core.pattern.Figure;
import vocalis.core.pattern.LineNote;
import vocalis.core.pattern.LinePitch;
import vocalis.core.pattern.Pattern;
import vocalis.core.pattern.Stroke;
import vocalis.core.pattern.Struck;
import vocalis.core.piece.Part;
import vocalis.core.piece.Piece;
import vocalis.core.piece.Section;
import vocalis.core.rhythm.Ticks;
import vocalis.core.riff.Ground;
import vocalis.core.riff.Member;
import vocalis.core.riff.Riff;
import vocalis.core.riff.Riffs;
import vocalis.core.riff.Root;
import vocalis.core.riff.RootSpan;
import vocalis.core.riff.Treatment;
import vocalis.core.score.Ringing;
import vocalis.core.score.Ringing.Sound;
import vocalis.core.score.ScoreNote;
import vocalis.core.voicing.Family;
import vocalis.core.voicing.Voicing;

/** Two guitars and a bass against each other: cases worked out by hand, and what is found. */
@Tag("thorough")
class TwoPartsTest {

    private static Riff held(String shape) {
        return held(shape, new Root(1, 0), 9);
    }

    /** A shape held for a bar, built for a root. */
    private static Riff held(String shape, Root root, int pitchClass) {
        Figure whole =
                new Figure(
                        "whole",
                        "",
                        Riffs.BAR,
                        List.of(new Stroke(1, 0, Riffs.BAR, Struck.Named.ALL)));
        Member m = new Member.ByHand(Shape.parse(shape), pitchClass);
        return Riffs.on(Pattern.of(whole), 1)
                .withRoots(
                        List.of(new RootSpan(root, Riffs.BAR)),
                        List.of(Treatment.best(Family.POWER).with(Family.POWER, m)));
    }

    private static Riff line(Riff on, long at, long length, int string, int fret) {
        Figure f =
                new Figure(
                        "line",
                        "",
                        on.length(),
                        List.of(new LineNote(1, at, length, new LinePitch.Place(string, fret))));
        return on.withPattern(Pattern.of(f));
    }

    private static Piece two(Riff first, Riff second) {
        return SongTest.playingBoth(Piece.of("p", "piece", "", first).withSecondRiff(second));
    }

    private static List<Clash> clashes(Piece p) {
        return Clashes.of(SongTest.song(p));
    }

    /** A5 (A2 E3 A3) held; over it G♯4: a major seventh over A3, which is told, and over A2. */
    @Test
    void aMajorSeventhOverAPowerChord() {
        Riff one = held("5-7-7-x-x-x");
        long beat = Ticks.QUARTER;
        List<Clash> found = clashes(two(one, line(one, 2 * beat, beat, 4, 9)));
        assertThat(found).hasSize(1);
        Clash c = found.get(0);
        assertThat(c.from()).isEqualTo(2 * beat);
        assertThat(c.to()).isEqualTo(3 * beat);
        assertThat(c.two()).isEqualTo(68);
        assertThat(found.stream().map(x -> x.kind() + " " + x.one())).containsExactly("SEVENTH 57");
        assertThat(found).allMatch(x -> x.between() == Clash.Between.GUITARS);
    }

    /** E4 over A5 is in its chord, C4 a third over A3: nothing rubs. B3 rubs a second with A3. */
    @Test
    void consonancesAreNotToldAndSecondsAre() {
        Riff one = held("5-7-7-x-x-x");
        assertThat(clashes(two(one, line(one, 0, Ticks.QUARTER, 5, 0)))).isEmpty();
        assertThat(clashes(two(one, line(one, 0, Ticks.QUARTER, 4, 1)))).isEmpty();
        List<Clash> b = clashes(two(one, line(one, 0, Ticks.QUARTER, 4, 0)));
        assertThat(b.stream().map(c -> c.kind() + " " + c.one() + " " + c.two()))
                .containsExactly("SECOND 57 59");
    }

    /** A note that passes in less than a sixteenth, or in less than 120 ms, is not told. */
    @Test
    void passingNotesAreNotTold() {
        Riff one = held("5-7-7-x-x-x");
        long sixteenth = Ticks.SIXTEENTH;
        // 125 ms at 120 quarters a minute.
        assertThat(clashes(two(one, line(one, 0, sixteenth, 4, 0)))).isNotEmpty();
        assertThat(clashes(two(one, line(one, 0, sixteenth * 2 / 3, 4, 0)))).isEmpty();
        Riff fast = Times.tempo(one, 130);
        assertThat(clashes(two(fast, line(fast, 0, sixteenth, 4, 0)))).isEmpty();
        assertThat(clashes(two(fast, line(fast, 0, 2 * sixteenth, 4, 0)))).isNotEmpty();
    }

    /** What one guitar has in its own chord is its colour: G under A7 from the second guitar. */
    @Test
    void colourOfOneChordIsNoClash() {
        Riff seventh = held("5-x-5-6-5-x");
        Riff sameG = line(seventh, 0, Ticks.WHOLE, 2, 5);
        assertThat(clashes(two(seventh, sameG))).isEmpty();
        Riff power = held("5-7-7-x-x-x");
        assertThat(clashes(two(power, line(power, 0, Ticks.WHOLE, 2, 5)))).isNotEmpty();
    }

    /** The bass on its pedal A under B♭5: minor ninths of the root, told as the bass's. */
    @Test
    void aPedalRubsWithTheChord() {
        Riff one = held("6-8-8-x-x-x", new Root(2, -1), 10);
        Piece p = Piece.of("p", "piece", "", one);
        Mix m = p.mix();
        List<Clash> pedal = clashes(p.mixed(m.withBass(Fader.ON, Mix.BassLine.PEDAL)));
        assertThat(pedal.stream().map(c -> c.kind() + " " + c.one() + " " + c.two()))
                .contains("SECOND 46 33");
        assertThat(pedal).allMatch(c -> c.between() == Clash.Between.FIRST_AND_BASS);
        assertThat(clashes(p)).isEmpty();
    }

    /** A clash in a riff that is repeated is told once, with how often; meant, not any more. */
    @Test
    void repeatedClashesAreOne() {
        Riff one = held("5-7-7-x-x-x");
        Piece p = two(one, line(one, 0, Ticks.QUARTER, 4, 0));
        Piece often = p.arranged(0, p.sections().get(0).repeated(4));
        Clash c = clashes(often).get(0);
        assertThat(c.times()).isEqualTo(4);
        Piece meant = often.meaning(c.key(), true);
        assertThat(Clashes.open(SongTest.song(meant)))
                .hasSize(clashes(often).size() - 1)
                .noneMatch(x -> x.key().equals(c.key()));
        assertThat(meant.meaning(c.key(), false)).isEqualTo(often);
    }

    /** Every change offered takes its clash away, and brings no more. */
    @Test
    void mendsMend() {
        Riff one = held("5-7-7-x-x-x");
        Piece line = two(one, line(one, 0, Ticks.QUARTER, 4, 0));
        Piece shapes = two(one, held("x-x-x-4-5-x"));
        int tried = 0;
        for (Piece p : List.of(line, shapes)) {
            Song s = SongTest.song(p);
            List<Clash> before = Clashes.of(s);
            for (Clash c : before) {
                for (Mend m : Mend.of(s, c, Hand.MEDIUM, SongTest.CATALOGUE)) {
                    tried++;
                    List<Clash> after = clashes(m.piece());
                    assertThat(after).noneMatch(x -> x.key().equals(c.key()));
                    assertThat(after.size()).isLessThanOrEqualTo(before.size());
                    assertThat(m.left()).isEqualTo(after.size());
                    assertThat(m.piece().riff()).as("the first guitar").isEqualTo(p.riff());
                }
            }
            assertThat(before).isNotEmpty();
        }
        assertThat(tried).isGreaterThan(3);
    }

    /** The bass's clash is mended by the bass. */
    @Test
    void theBassGivesWay() {
        Riff one = held("6-8-8-x-x-x", new Root(2, -1), 10);
        Piece p = Piece.of("p", "piece", "", one);
        p = p.mixed(p.mix().withBass(Fader.ON, Mix.BassLine.PEDAL));
        Song s = SongTest.song(p);
        List<Mend> mends = Mend.of(s, Clashes.of(s).get(0), Hand.MEDIUM, SongTest.CATALOGUE);
        assertThat(mends).anyMatch(m -> m.how() == Mend.How.BASS_FOLLOWS && m.left() == 0);
    }

    /**
     * Twenty-four riffs (nine in the short run), three registers: no part found crosses floor or
     * ceiling, none has a clash.
     */
    @Test
    void theFinderKeepsItsPlaceAndClashesNever() {
        Random random = new Random(11);
        List<PartKind> kinds = new ArrayList<>();
        Part.Register[] registers = {
            Part.Register.ALL, new Part.Register(57, 76), new Part.Register(40, 64)
        };
        for (int i = 0; i < (Boolean.getBoolean("vocalis.long") ? 24 : 9); i++) {
            Riff r = Riffs.random(random);
            Part.Register register = registers[i % registers.length];
            Piece p = Piece.of("p", "piece", "", r);
            p = p.with(p.second().orElseThrow().keepingTo(register));
            List<PartOffer> found =
                    SecondParts.of(p, "riff-1", Hand.MEDIUM, SongTest.CATALOGUE, false);
            double last = Double.NEGATIVE_INFINITY;
            for (PartOffer o : found) {
                assertThat(o.cost()).isGreaterThanOrEqualTo(last);
                last = o.cost();
                kinds.add(o.kind());
                Piece playing = SongTest.playingBoth(p.withSecond("riff-1", o.riff()));
                Song s = SongTest.song(playing);
                assertThat(Clashes.of(s)).as("riff %d, %s", i, o.kind()).isEmpty();
                List<Sound> heard = Ringing.of(s.second().orElseThrow());
                assertThat(heard).isNotEmpty().allMatch(x -> register.has(x.midi()));
                assertThat(o.riff().roots()).isEqualTo(r.roots());
                assertThat(heard.stream().mapToInt(Sound::midi).max()).hasValue(o.highest());
            }
        }
        // Random riffs have few lines to harmonise; those have a test of their own.
        assertThat(kinds)
                .contains(
                        Arrays.stream(PartKind.values())
                                .filter(k -> k.steps() == 0)
                                .toArray(PartKind[]::new));
    }

    /**
     * Octaves are twelve semitones in a hand's shape, chords live under fret 15 without a unison, a
     * line that is to move moves, and chords above begin with triads; over random riffs and six
     * progressions.
     */
    @Test
    void partsAreWhatAPlayerWouldHold() {
        Random random = new Random(17);
        List<Riff> riffs = new ArrayList<>();
        for (int i = 0; i < 10; i++) {
            riffs.add(Riffs.random(random));
        }
        for (int[] steps :
                new int[][] {
                    {1, 6, 4, 5},
                    {1, 7, 6, 5},
                    {1, 4, 1, 5},
                    {1, 3, 7, 4},
                    {6, 4, 1, 5},
                    {1, 2, 1, 7}
                }) {
            riffs.add(Riffs.repeating(steps));
        }
        int moving = 0;
        int repeated = 0;
        for (Riff r : riffs) {
            Piece p = Piece.of("p", "piece", "", r);
            for (PartOffer o :
                    SecondParts.of(p, "riff-1", Hand.MEDIUM, SongTest.CATALOGUE, false)) {
                Derived d = Deriver.once(o.riff(), Hand.MEDIUM, SongTest.CATALOGUE);
                if (o.family().isPresent()) {
                    for (Derived.Chord c : d.chords()) {
                        Voicing v = c.candidate().voicing();
                        assertThat(v.shape().highestFretted()).isLessThanOrEqualTo(14);
                        assertThat(v.midi()).doesNotHaveDuplicates();
                        if (o.kind() == PartKind.OCTAVES) {
                            assertThat(v.midi().get(1) - v.midi().get(0)).isEqualTo(12);
                        }
                    }
                } else if (o.kind() == PartKind.MOVING_LINE || o.kind() == PartKind.FILL) {
                    List<ScoreNote> notes = d.score().notes();
                    for (int i = 1; i < notes.size(); i++) {
                        moving++;
                        repeated += pitch(d, notes.get(i)) == pitch(d, notes.get(i - 1)) ? 1 : 0;
                    }
                }
            }
        }
        System.out.printf("moving lines and fills: %d of %d repeat%n", repeated, moving);
        assertThat(moving).isGreaterThan(100);
        assertThat((double) repeated / moving).isLessThan(0.05);
    }

    /**
     * A chord held over into the next bar: a second part waits until it has ended and is found all
     * the same, and nothing of it sounds before.
     */
    @Test
    void chordsHeldOverAreWaitedFor() {
        long q = Ticks.QUARTER;
        long[][] strokes = {{0, 2 * q}, {2 * q, 3 * q}, {5 * q, q}, {6 * q, 2 * q}};
        List<Event> events = new ArrayList<>();
        for (long[] s : strokes) {
            events.add(new Stroke(events.size(), s[0], s[1], Struck.Named.ALL));
        }
        Riff riff = Riffs.on(Pattern.of(new Figure("held", "held", 8 * q, events)), 1, 2, 1, 7);
        riff = riff.withGround(Riffs.ground("B phrygian"));
        List<PartOffer> all =
                SecondParts.of(
                        Piece.of("p", "piece", "", riff),
                        "riff-1",
                        Hand.MEDIUM,
                        SongTest.CATALOGUE,
                        false);
        assertThat(all)
                .extracting(PartOffer::kind)
                .contains(PartKind.HELD_LINE, PartKind.STABS, PartKind.OCTAVES);
        for (PartOffer o : all) {
            Derived d = Deriver.once(o.riff(), Hand.MEDIUM, SongTest.CATALOGUE);
            assertThat(d.score().notes())
                    .as("%s", o.kind())
                    .noneMatch(n -> n.at() % (8 * q) >= 4 * q && n.at() % (8 * q) < 5 * q);
        }
    }

    /**
     * In every tuning of the program (some in the short run) parts lie where a hand reaches them.
     */
    @Test
    void partsLieWhereAHandReachesInEveryTuning() {
        List<Tuning> tunings = Tuning.offered();
        int tried = Boolean.getBoolean("vocalis.long") ? tunings.size() : 2;
        for (int i = 0; i < tried; i++) {
            Tuning t = tunings.get(i * tunings.size() / tried);
            Riff r = Riffs.repeating(1, 6, 4, 7);
            Ground g = r.ground();
            r = r.withGround(new Ground(Instrument.of(t), 0, g.key(), g.tone(), g.a4Hz()));
            List<PartOffer> all =
                    SecondParts.of(
                            Piece.of("p", "piece", "", r),
                            "riff-1",
                            Hand.MEDIUM,
                            SongTest.CATALOGUE,
                            false);
            assertThat(all).as(t.name()).isNotEmpty();
            for (PartOffer o : all) {
                Derived d = Deriver.once(o.riff(), Hand.MEDIUM, SongTest.CATALOGUE);
                int most = o.family().isPresent() ? 14 : 19;
                for (ScoreNote n : d.score().notes()) {
                    assertThat(n.fret()).as("%s, %s", t, o.kind()).isLessThanOrEqualTo(most);
                }
            }
        }
    }

    private static int pitch(Derived d, ScoreNote n) {
        return d.score().board().midi(n.string(), n.fret());
    }

    /** A line in thirds lies two steps of the scale over the first, note for note. */
    @Test
    void aLineIsHarmonisedInTheScale() {
        Riff r =
                Riffs.on(
                        Pattern.of(FigureText.of("line", "line", Ticks.EIGHTH, "1 2 3 5 4 3 2 1")),
                        1,
                        1);
        Piece p = Piece.of("p", "piece", "", r);
        List<PartOffer> all = SecondParts.of(p, "riff-1", Hand.MEDIUM, SongTest.CATALOGUE, true);
        PartOffer thirds =
                all.stream()
                        .filter(o -> o.kind() == PartKind.THIRDS && o.above())
                        .findFirst()
                        .orElseThrow();
        Derived one = Deriver.once(r, Hand.MEDIUM, SongTest.CATALOGUE);
        Derived two = Deriver.once(thirds.riff(), Hand.MEDIUM, SongTest.CATALOGUE);
        assertThat(two.score().notes()).hasSameSizeAs(one.score().notes());
        for (int i = 0; i < one.score().notes().size(); i++) {
            int apart =
                    pitch(two, two.score().notes().get(i)) - pitch(one, one.score().notes().get(i));
            assertThat(apart).isBetween(3, 5);
        }
    }

    /** Asked for, parts that rub are found too, and say how often. */
    @Test
    void clashesAreFoundWhenAskedFor() {
        Piece p = Piece.of("p", "piece", "", Riffs.repeating(1, 4, 6, 5));
        int plain = SecondParts.of(p, "riff-1", Hand.MEDIUM, SongTest.CATALOGUE, false).size();
        List<PartOffer> all = SecondParts.of(p, "riff-1", Hand.MEDIUM, SongTest.CATALOGUE, true);
        assertThat(all.size()).isGreaterThanOrEqualTo(plain);
        assertThat(all).anyMatch(o -> o.clashes() > 0);
    }

    /** By hand: A5 of three notes for a whole bar is three notes thick; two guitars six. */
    @Test
    void liftByHand() {
        Riff one = held("5-7-7-x-x-x");
        Lift alone = Lift.of(SongTest.song(Piece.of("p", "piece", "", one))).get(0);
        assertThat(alone.thickness()).isCloseTo(3, within(1e-9));
        assertThat(alone.register()).isCloseTo((45 + 52 + 57) / 3.0, within(1e-9));
        assertThat(alone.top()).isEqualTo(57);
        assertThat(alone.strokes()).isCloseTo(1, within(1e-9));
        Lift both = Lift.of(SongTest.song(two(one, held("5-7-7-x-x-x")))).get(0);
        assertThat(both.thickness()).isCloseTo(6, within(1e-9));
        Piece p = Piece.of("p", "piece", "", one);
        Piece waits =
                p.arranged(
                        0,
                        p.sections()
                                .get(0)
                                .with("guitar-1", new Section.Playing(false, Optional.empty())));
        assertThat(Lift.of(SongTest.song(waits)).get(0).thickness()).isZero();
    }

    /** A bass figure by hand, over A then D: 1 5 8 . in eighths, then held. */
    @Test
    void theBassPlaysItsOwnNotes() {
        Riff r = Riffs.repeating(1, 4);
        Piece p = Piece.of("p", "piece", "", r);
        p = p.mixed(p.mix().withBass(Fader.ON, Mix.BassLine.ROOTS));
        Section s = p.sections().get(0);
        BassFigure figure = BassFigure.parse("1 5 8 . b7 - - -");
        Piece own = p.arranged(0, s.with(s.band().withBass(true, Optional.of(figure))));
        List<Groove.BassNote> notes = SongTest.song(own).bass();
        assertThat(notes.stream().map(n -> n.midi() + "@" + n.at() / Ticks.EIGHTH))
                .containsExactly("33@0", "40@1", "45@2", "43@4", "38@8", "45@9", "50@10", "48@12");
        assertThat(notes.get(3).length()).isEqualTo(4 * Ticks.EIGHTH);
        assertThat(figure.text()).isEqualTo("1 5 8 . b7 - - -");
        org.assertj.core.api.Assertions.assertThatThrownBy(() -> BassFigure.parse("1 x 5"))
                .hasMessageContaining("\"x\"")
                .hasMessageContaining("- to hold");
    }
}
