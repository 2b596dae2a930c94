package vocalis.workbench.demo;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import vocalis.core.edit.FigureText;
import vocalis.core.instrument.Instrument;
import vocalis.core.instrument.Tuning;
import vocalis.core.pattern.Anchor;
import vocalis.core.pattern.Figure;
import vocalis.core.pattern.Pattern;
import vocalis.core.pattern.Touch;
import vocalis.core.piece.Piece;
import vocalis.core.practice.Entry;
import vocalis.core.rhythm.Meter;
import vocalis.core.rhythm.Ticks;
import vocalis.core.rhythm.TimeLine;
import vocalis.core.riff.Ground;
import vocalis.core.riff.Riff;
import vocalis.core.riff.Root;
import vocalis.core.riff.RootSpan;
import vocalis.core.riff.Tone;
import vocalis.core.riff.Treatment;
import vocalis.core.theory.Key;
import vocalis.core.theory.Pitch;
import vocalis.core.voicing.Family;

/**
 * The demo library: riffs of <em>Nightjar Quarry</em>, an invented three-piece, for an invented set
 * called <em>Slate</em>. Composed for this program.
 */
public final class Demo {

    /** What a riff is called that was given no name. */
    public static final String UNTITLED = "Untitled riff";

    private static final long BAR = Meter.COMMON.barTicks();
    private static final long HALF = BAR / 2;

    private Demo() {}

    /** All pieces of the demo library, the first first. */
    public static List<Piece> pieces() {
        return List.of(winchHouse(), wetSlate(), nineTerraces(), lanternShift(), lastTramDown());
    }

    /** What Nightjar Quarry practised before the night. */
    public static List<Entry> practice() {
        return DemoSong.practice();
    }

    /**
     * A first riff for somebody who starts with nothing: four bars of the tonic, struck on every
     * beat.
     *
     * @param id names the piece wherever it is kept
     */
    public static Piece blank(String id) {
        Ground ground = ground(Tuning.STANDARD, 0, "A minor", Tone.EDGE);
        List<RootSpan> roots = new ArrayList<>();
        for (int i = 0; i < 4; i++) {
            roots.add(new RootSpan(new Root(1, 0), BAR));
        }
        Pattern pattern = Pattern.of(figure("beats", "a---", "a---", "a---", "a---"));
        return Piece.of(id, UNTITLED, "", riff(ground, 110, roots, all(Family.POWER, 4), pattern));
    }

    /** A blank piece that is like no other. */
    public static Piece blank() {
        return blank(UUID.randomUUID().toString());
    }

    private static Riff riff(
            Ground ground,
            int tempo,
            List<RootSpan> roots,
            List<Treatment> treatments,
            Pattern pattern) {
        TimeLine time = TimeLine.of(Meter.COMMON, tempo);
        return new Riff(ground, time, roots, treatments, pattern, List.of());
    }

    private static List<Treatment> all(Family family, int count) {
        List<Treatment> treatments = new ArrayList<>();
        for (int i = 0; i < count; i++) {
            treatments.add(Treatment.best(family));
        }
        return treatments;
    }

    private static Piece winchHouse() {
        Ground ground = ground(Tuning.LOW_D, 0, "D phrygian", Tone.GAIN);
        List<RootSpan> roots =
                List.of(
                        new RootSpan(new Root(1, 0), BAR),
                        new RootSpan(new Root(3, 0), HALF),
                        new RootSpan(new Root(2, 0), HALF),
                        new RootSpan(new Root(5, 0), BAR),
                        new RootSpan(new Root(6, 0), HALF),
                        new RootSpan(new Root(7, 0), HALF));
        List<Treatment> treatments =
                List.of(
                        Treatment.best(Family.POWER),
                        Treatment.best(Family.FOURTH),
                        Treatment.best(Family.POWER),
                        Treatment.best(Family.OCTAVE),
                        Treatment.best(Family.POWER),
                        Treatment.best(Family.FOURTH));
        Pattern pattern =
                Pattern.inOrder(
                        List.of(
                                figure("haul", "A-mm", "-ma-", "mmm-", "u-a-"),
                                figure("turn", "A---", "m-a-", "A-mm", "a---"),
                                figure("lift", "A-m-", "m-a-", "-ma-", "s-t-"),
                                figure("brake", "A-mm", "--a-", "A-mm", "a-..")));
        return Piece.of(
                "demo-winch-house",
                "Winch House",
                "Opens the set. Low string dropped; the last half bar has to pull the loop round.",
                riff(ground, 104, roots, treatments, pattern));
    }

    private static Piece wetSlate() {
        Ground ground = ground(Tuning.STANDARD, 0, "G mixolydian", Tone.EDGE);
        List<RootSpan> roots =
                List.of(
                        new RootSpan(new Root(1, 0), BAR),
                        new RootSpan(new Root(5, 0), BAR),
                        new RootSpan(new Root(7, 0), BAR),
                        new RootSpan(new Root(4, 0), HALF),
                        new RootSpan(new Root(7, 0), HALF));
        List<Treatment> treatments =
                List.of(
                        Treatment.best(Family.OCTAVE),
                        Treatment.best(Family.FOURTH),
                        Treatment.best(Family.FOURTH),
                        Treatment.best(Family.POWER),
                        Treatment.best(Family.FOURTH));
        Pattern pattern =
                Pattern.inOrder(
                        List.of(
                                figure("drip", "a--a", "--a-", "a-a-", "--a-"),
                                figure("wait", "a--a", "--a-", "..a-", "a-a-")));
        return DemoSong.arranged(
                Piece.of(
                        "demo-wet-slate",
                        "Wet Slate",
                        "Nothing muted: let the fourths move over the bar line.",
                        riff(ground, 126, roots, treatments, pattern)));
    }

    private static Piece nineTerraces() {
        Ground ground = ground(Tuning.STANDARD, 2, "F# minor", Tone.CLEAN);
        List<RootSpan> roots =
                List.of(
                        new RootSpan(new Root(1, 0), BAR),
                        new RootSpan(new Root(3, 0), BAR),
                        new RootSpan(new Root(7, 0), BAR),
                        new RootSpan(new Root(4, 0), BAR));
        Pattern pattern =
                Pattern.inOrder(
                        List.of(
                                figure("steps", "l-s-", "t-s-", "l-s-", "u---"),
                                figure("ledge", "l-s-", "t-s-", "a---", "--..")));
        return Piece.of(
                "demo-nine-terraces",
                "Nine Terraces",
                "Capo at two, one voice at a time; the open strings carry it.",
                riff(ground, 88, roots, all(Family.POWER, 4), pattern));
    }

    /** Five eighths against bars of eight: they come round when the loop does, after five bars. */
    private static Piece lanternShift() {
        Ground ground = ground(Tuning.STANDARD, 0, "E dorian", Tone.GAIN);
        List<RootSpan> roots =
                List.of(
                        new RootSpan(new Root(1, 0), 2 * BAR),
                        new RootSpan(new Root(4, 0), BAR),
                        new RootSpan(new Root(7, 0), BAR),
                        new RootSpan(new Root(2, 0), BAR));
        List<Treatment> treatments =
                List.of(
                        Treatment.best(Family.DRONE),
                        Treatment.best(Family.SUSPENDED),
                        Treatment.best(Family.THIRD),
                        Treatment.best(Family.EXTENDED));
        Figure five = figure("lamp", "A-m-", "a-m-", "u-");
        return Piece.of(
                "demo-lantern-shift",
                "Lantern Shift",
                "A figure of five eighths that never minds the bar; it meets the one after five.",
                riff(ground, 118, roots, treatments, Pattern.of(five)));
    }

    /** A line between the strokes, with a pull-off and a slide. */
    private static Piece lastTramDown() {
        Ground ground = ground(Tuning.STANDARD, 0, "B harmonic minor", Tone.CLEAN);
        List<RootSpan> roots =
                List.of(
                        new RootSpan(new Root(1, 0), BAR),
                        new RootSpan(new Root(6, 0), BAR),
                        new RootSpan(new Root(4, 0), BAR),
                        new RootSpan(new Root(5, 0), BAR));
        List<Treatment> treatments =
                List.of(
                        Treatment.best(Family.TRIAD),
                        Treatment.best(Family.SUSPENDED),
                        Treatment.best(Family.TRIAD),
                        Treatment.best(Family.SUBSTITUTE));
        Pattern pattern =
                Pattern.inOrder(
                        List.of(
                                figure("rail", "l---", "u---", "5-4-", "3-4-"),
                                figure("bend", "l---", "u---", "3-2-", "1---"),
                                figure("rail.2", "l---", "u---", "4-5-", "6---"),
                                figure("stop", "a---", "--5-", "4-3-", "2---")));
        Riff plain = riff(ground, 76, roots, treatments, pattern);
        Anchor third = new Anchor("rail", 4, Optional.empty(), new Anchor.Voice.FromTop(0));
        Anchor sixth = new Anchor("rail.2", 4, Optional.empty(), new Anchor.Voice.FromTop(0));
        Riff touched =
                plain.withTouches(
                        List.of(
                                new Touch.Legato(
                                        third, List.of(new Touch.Step(-1, Ticks.SIXTEENTH))),
                                new Touch.Slide(sixth, -1, Ticks.EIGHTH, Ticks.SIXTEENTH)));
        return Piece.of(
                "demo-last-tram-down",
                "Last Tram Down",
                "Closes the set. The line talks between the chords; leave it room.",
                touched);
    }

    private static Ground ground(Tuning tuning, int capo, String key, Tone tone) {
        return new Ground(Instrument.of(tuning), capo, Key.parse(key), tone, Pitch.STANDARD_A4_HZ);
    }

    /** A figure of sixteenths, beat by beat. */
    private static Figure figure(String id, String... beats) {
        return FigureText.of(id, id, Ticks.SIXTEENTH, String.join("", beats));
    }
}
