package vocalis.workbench.words;

import java.util.Locale;
import java.util.stream.Collectors;
import vocalis.core.offer.Idea;
import vocalis.core.offer.Offer;
import vocalis.core.offer.Setting;
import vocalis.core.offer.Sparks;
import vocalis.core.rhythm.Ticks;
import vocalis.core.riff.Riff;
import vocalis.core.theory.Key;
import vocalis.core.vary.NextRoot;
import vocalis.core.voicing.Family;

/** Ideas, what they were set to, and sparks, in words. */
public final class IdeaWords {

    private static final int MOST_ROOTS = 12;

    private IdeaWords() {}

    /** What an idea is called. */
    public static String name(Idea i) {
        return switch (i) {
            case PEDAL_RIFF -> "Pedal riff";
            case ANSWER -> "Answer";
            case ENDING -> "Last bar";
            case ACROSS_THE_BAR -> "Group across the bar";
            case CUT_AN_EIGHTH -> "Cut an eighth";
            case APPROACH -> "Approach the roots";
            case THICKEN -> "Thicken the line";
        };
    }

    /** What it does. */
    public static String what(Idea i) {
        return switch (i) {
            case PEDAL_RIFF -> "a low string under the palm, two notes of the scale on the accents";
            case ANSWER -> "the riff, then a share of it and another landing";
            case ENDING -> "how the last bar stops";
            case ACROSS_THE_BAR -> "a group that runs over the bar lines and is set right";
            case CUT_AN_EIGHTH -> "a bar comes round an eighth early";
            case APPROACH -> "the fret beside each accented root, just before it";
            case THICKEN -> "single notes become fifths, fourths or octaves";
        };
    }

    /** What a riff must have for it, and what to do where it has not. */
    public static String needs(Idea i) {
        return switch (i) {
            case PEDAL_RIFF ->
                    "It wants a low string open on the first or fifth note of the key, and no"
                            + " pickup: another tuning or key has one.";
            case ANSWER -> "It wants roots enough to keep some and change the rest.";
            case ENDING -> "It wants strokes in the last bar.";
            case ACROSS_THE_BAR -> "It wants two bars of strokes and more, in one meter.";
            case CUT_AN_EIGHTH -> "It wants bars that end with an eighth that can go.";
            case APPROACH ->
                    "It wants roots that change, and room for a fret beside them on their string.";
            case THICKEN -> "It wants single notes: write some with L.";
        };
    }

    /** What an idea was set to. */
    public static String setting(Offer o) {
        return switch (o.idea()) {
            case PEDAL_RIFF -> pedal((Setting.Pedal) o.setting());
            case ANSWER ->
                    ((Setting.Kept) o.setting()).hundredths() == 50
                            ? "Half of it stays"
                            : "Three quarters stay";
            case ENDING -> stop((Setting.Stop) o.setting());
            case ACROSS_THE_BAR -> {
                var g = (Setting.Group) o.setting();
                yield g.eighths() + " eighths, set right after " + g.bars() + " bars";
            }
            case CUT_AN_EIGHTH ->
                    ((Setting.EveryBars) o.setting()).bars() == 0
                            ? "The last bar"
                            : "Every second bar";
            case APPROACH ->
                    ((Setting.Semitone) o.setting()).from() < 0 ? "From below" : "From above";
            case THICKEN -> {
                var t = (Setting.Thick) o.setting();
                yield family(t.family()) + (t.accents() ? " on accents" : " throughout");
            }
        };
    }

    private static String pedal(Setting.Pedal p) {
        return family(p.family())
                + ", "
                + (p.grid() == Ticks.SIXTEENTH ? "sixteenths" : "eighths")
                + " in "
                + (p.group() == 3 ? "threes" : "fours");
    }

    private static String family(Family f) {
        return switch (f) {
            case POWER -> "Fifths";
            case FOURTH -> "Fourths";
            case OCTAVE -> "Octaves";
            default -> "Thirds";
        };
    }

    private static String stop(Setting.Stop s) {
        return switch (s) {
            case SHORT -> "One short stroke";
            case HALF_TIME -> "Half time";
            case UNISON -> "Quarters together";
            case LONGER -> "A bar longer, let ring";
        };
    }

    /** The roots of a riff. */
    public static String roots(Riff riff) {
        Key key = riff.ground().key();
        return riff.roots().stream()
                        .limit(MOST_ROOTS)
                        .map(r -> key.say(r.root().pitchClass(key)).symbol())
                        .collect(Collectors.joining(" "))
                + (riff.roots().size() > MOST_ROOTS ? " …" : "");
    }

    /** What a spark is called: its roots and what they are voiced in. */
    public static String name(Sparks.Spark s) {
        return roots(s.riff()) + ", " + s.family().shortLabel().toLowerCase(Locale.ROOT);
    }

    /** Why a spark is as it is. */
    public static String why(Sparks.Spark s) {
        return s.figure()
                + s.twist()
                        .map(
                                o ->
                                        "; "
                                                + name(o.idea()).toLowerCase(Locale.ROOT)
                                                + ": "
                                                + setting(o).toLowerCase(Locale.ROOT))
                        .orElse("; comes home: " + home(s.riff()));
    }

    /** How the last root leads back to the first. */
    private static String home(Riff riff) {
        Key key = riff.ground().key();
        int last = riff.roots().get(riff.roots().size() - 1).root().pitchClass(key);
        int first = riff.roots().get(0).root().pitchClass(key);
        return VariationWords.motion(NextRoot.Motion.between(last, first));
    }
}
