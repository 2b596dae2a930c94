package vocalis.workbench;

import java.util.ArrayList;
import java.util.List;
import vocalis.core.instrument.Instrument;
import vocalis.core.instrument.Tuning;
import vocalis.core.rhythm.Meter;
import vocalis.core.rhythm.Ticks;
import vocalis.core.riff.Cell;
import vocalis.core.riff.Ground;
import vocalis.core.riff.NamedRiff;
import vocalis.core.riff.Pattern;
import vocalis.core.riff.Riff;
import vocalis.core.riff.Root;
import vocalis.core.riff.RootSpan;
import vocalis.core.riff.Stroke;
import vocalis.core.riff.Struck;
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

    private static final long BAR = Meter.COMMON.barTicks();
    private static final long HALF = BAR / 2;

    private Demo() {}

    /** All riffs of the demo library, the first first. */
    public static List<NamedRiff> riffs() {
        return List.of(winchHouse(), wetSlate(), nineTerraces());
    }

    /**
     * A first riff for somebody who starts with nothing: one bar each of four steps, best voicings.
     */
    public static NamedRiff blank() {
        Ground ground = ground(Tuning.STANDARD, 0, "A minor", 110, Tone.EDGE);
        List<RootSpan> roots = new ArrayList<>();
        List<Treatment> treatments = new ArrayList<>();
        for (int i = 0; i < 4; i++) {
            roots.add(new RootSpan(new Root(1, 0), BAR));
            treatments.add(Treatment.best(Family.POWER));
        }
        Cell cell = cell("a---", "a---", "a---", "a---");
        return new NamedRiff(
                "Untitled riff",
                "",
                new Riff(ground, roots, treatments, new Pattern(List.of(cell)), List.of()));
    }

    private static NamedRiff winchHouse() {
        Ground ground = ground(Tuning.LOW_D, 0, "D phrygian", 104, Tone.GAIN);
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
                new Pattern(
                        List.of(
                                cell("A-mm", "-ma-", "mmm-", "u-a-"),
                                cell("A---", "m-a-", "A-mm", "a---"),
                                cell("A-m-", "m-a-", "-ma-", "s-t-"),
                                cell("A-mm", "--a-", "A-mm", "a-..")));
        return new NamedRiff(
                "Winch House",
                "Opens the set. Low string dropped; the last half bar has to pull the loop round.",
                new Riff(ground, roots, treatments, pattern, List.of()));
    }

    private static NamedRiff wetSlate() {
        Ground ground = ground(Tuning.STANDARD, 0, "G mixolydian", 126, Tone.EDGE);
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
                new Pattern(
                        List.of(
                                cell("a--a", "--a-", "a-a-", "--a-"),
                                cell("a--a", "--a-", "..a-", "a-a-")));
        return new NamedRiff(
                "Wet Slate",
                "Nothing muted: let the fourths move over the bar line.",
                new Riff(ground, roots, treatments, pattern, List.of()));
    }

    private static NamedRiff nineTerraces() {
        Ground ground = ground(Tuning.STANDARD, 2, "F# minor", 88, Tone.CLEAN);
        List<RootSpan> roots =
                List.of(
                        new RootSpan(new Root(1, 0), BAR),
                        new RootSpan(new Root(3, 0), BAR),
                        new RootSpan(new Root(7, 0), BAR),
                        new RootSpan(new Root(4, 0), BAR));
        List<Treatment> treatments = new ArrayList<>();
        for (int i = 0; i < 4; i++) {
            treatments.add(Treatment.best(Family.POWER));
        }
        Pattern pattern =
                new Pattern(
                        List.of(
                                cell("l-s-", "t-s-", "l-s-", "u---"),
                                cell("l-s-", "t-s-", "a---", "--..")));
        return new NamedRiff(
                "Nine Terraces",
                "Capo at two, one voice at a time; the open strings carry it.",
                new Riff(ground, roots, treatments, pattern, List.of()));
    }

    private static Ground ground(Tuning tuning, int capo, String key, int tempo, Tone tone) {
        return new Ground(
                Instrument.of(tuning),
                capo,
                Key.parse(key),
                tempo,
                Meter.COMMON,
                tone,
                Pitch.STANDARD_A4_HZ);
    }

    /**
     * A bar from four beats of four sixteenths: {@code a} all, {@code A} all accented, {@code l}
     * low, {@code m} low under the palm, {@code s} second, {@code t} top, {@code u} upper, {@code
     * -} goes on, {@code .} rest.
     */
    private static Cell cell(String... beats) {
        String steps = String.join("", beats);
        List<Stroke> strokes = new ArrayList<>();
        for (int i = 0; i < steps.length(); i++) {
            char c = steps.charAt(i);
            if (c == '-' || c == '.') {
                continue;
            }
            int end = i + 1;
            while (end < steps.length() && steps.charAt(end) == '-') {
                end++;
            }
            Struck struck =
                    switch (c) {
                        case 'l', 'm' -> Struck.Named.LOW;
                        case 's' -> Struck.Named.SECOND;
                        case 't' -> Struck.Named.TOP;
                        case 'u' -> Struck.Named.UPPER;
                        default -> Struck.Named.ALL;
                    };
            strokes.add(
                    new Stroke(
                            i * Ticks.SIXTEENTH,
                            (end - i) * Ticks.SIXTEENTH,
                            struck,
                            c == 'm',
                            c == 'A'));
        }
        return new Cell(strokes);
    }
}
