package vocalis.desktop.arrange;

import java.util.List;
import java.util.Locale;
import vocalis.core.arrange.Lift;
import vocalis.core.arrange.Song;
import vocalis.core.theory.Key;

/** What lifts a section, as figures: how loud, how thick, how high, how tense. */
final class LiftFigures {

    static final String[] NAMES = {"loudness", "thickness", "register", "tension"};

    /** Differences that fill a row at least: LU, notes, semitones, points. */
    static final double[] LEAST_RANGE = {4, 2, 6, 20};

    private LiftFigures() {}

    /** A figure of each section; none while they are measured. */
    static double[] of(ArrangeModel arrange, int row) {
        List<Lift> all = arrange.lifts();
        return row == 0
                ? arrange.loudness().stream().mapToDouble(d -> d).toArray()
                : all.stream()
                        .mapToDouble(
                                l ->
                                        row == 1
                                                ? l.thickness()
                                                : row == 2 ? l.register() : l.tension())
                        .toArray();
    }

    static String value(Song s, int section, int row, double v) {
        if (row == 2) {
            Key key = s.first(section).turn().riff().ground().key();
            return key.note((int) Math.round(v)).symbol();
        }
        if (row == 0) {
            return Double.isInfinite(v)
                    ? "silent"
                    : String.format(Locale.ROOT, "%.1f", v).replace("-", "−");
        }
        return row == 1 ? String.format(Locale.ROOT, "%.1f", v) : String.valueOf(Math.round(v));
    }

    static String meaning(int row, String value) {
        return switch (row) {
            case 0 ->
                    value
                            + ": how loud the section is in LKFS (ITU-R BS.1770), measured in what is"
                            + " played, all at one setting";
            case 1 -> value + " notes of the guitars sound together, on average";
            case 2 -> value + ": the guitars' mean note, each weighted by how long it sounds";
            default -> value + ": mean tension of guitar one's chords, 0 to 100";
        };
    }
}
