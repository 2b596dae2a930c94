package vocalis.workbench.words;

import java.util.Locale;
import vocalis.core.derive.Finding;
import vocalis.core.pattern.Touch;
import vocalis.core.rhythm.MeterMap;
import vocalis.core.riff.Riff;
import vocalis.core.theory.Key;
import vocalis.core.voicing.Family;

/** What could not be done as a riff says, in words that window and command line share. */
public final class FindingWords {

    private FindingWords() {}

    /** One sentence: what, where, and what was done instead. */
    public static String of(Finding finding, Riff riff) {
        Key key = riff.ground().key();
        if (finding instanceof Finding.NoBass f) {
            return "No bass "
                    + key.say(f.bass())
                    + " can be held under chord "
                    + (f.chord() + 1)
                    + " here; it is played without.";
        }
        if (finding instanceof Finding.MemberGone f) {
            return "The "
                    + lower(f.family())
                    + " chosen on "
                    + key.say(f.root())
                    + " (chord "
                    + (f.chord() + 1)
                    + ") cannot be held here; the best one is played instead.";
        }
        if (finding instanceof Finding.ShapeGone f) {
            return "The shape "
                    + f.shape()
                    + " built for chord "
                    + (f.chord() + 1)
                    + " does not fit here; the best one is played instead.";
        }
        if (finding instanceof Finding.FamilyEmpty f) {
            return "No "
                    + lower(f.family())
                    + " on "
                    + key.say(f.root())
                    + " (chord "
                    + (f.chord() + 1)
                    + ") can be held in this tuning; its root is played alone.";
        }
        if (finding instanceof Finding.RootOutOfReach f) {
            return "No string reaches "
                    + key.say(f.root())
                    + " (chord "
                    + (f.chord() + 1)
                    + ") in this tuning under this capo; the chord is silent.";
        }
        return ofPattern(finding, riff);
    }

    /** The same of what belongs to strokes and lines. */
    private static String ofPattern(Finding finding, Riff riff) {
        if (finding instanceof Finding.TouchUnplaced f) {
            String why =
                    switch (f.why()) {
                        case NO_EVENT -> "has no stroke to belong to now";
                        case NO_VOICE -> "belongs to a voice that is not struck there now";
                        case OFF_THE_NECK -> "would leave the neck there";
                        case TOO_LATE ->
                                "comes after its note has ended there: make the note longer";
                    };
            return "A "
                    + words(f.touch())
                    + " in "
                    + place(f.at(), riff)
                    + " "
                    + why
                    + "; it is kept and comes back when it fits.";
        }
        if (finding instanceof Finding.OverrideUnplaced f) {
            return "A change of one stroke at pass "
                    + (f.change().pass() + 1)
                    + " has no pass to belong to now; it is kept.";
        }
        Finding.LineOffTheNeck f = (Finding.LineOffTheNeck) finding;
        return "A note of the line in "
                + place(f.at(), riff)
                + " lies off the neck; it is left out.";
    }

    /** What a touch is called. */
    public static String words(Touch touch) {
        return touch.say(TouchNames.NAMES);
    }

    /** Such as {@code bar 2, beat 3}. */
    public static String place(long tick, Riff riff) {
        MeterMap.Place p = riff.meters().place(tick);
        return (p.bar() == 0 ? "the pickup" : "bar " + p.bar()) + ", beat " + p.beat();
    }

    private static String lower(Family f) {
        return f.label().toLowerCase(Locale.ROOT);
    }
}
