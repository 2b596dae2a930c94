package vocalis.workbench.words;

import java.util.stream.Collectors;
import vocalis.core.check.Caution;
import vocalis.core.check.Check;
import vocalis.core.hands.WhileHeld;
import vocalis.core.pattern.Restart;
import vocalis.core.rhythm.Landing;
import vocalis.core.rhythm.MeterMap;
import vocalis.core.riff.Riff;

/** What a check found, in words. */
public final class CheckWords {

    private CheckWords() {}

    /** Bar and beat of a tick, as players count: {@code bar 2, beat 3}. */
    public static String place(Caution c, Riff riff) {
        return FindingWords.place(c.at(), riff);
    }

    private static String unsilenced(Caution.Unsilenced u, int strings) {
        boolean one = u.strings().size() == 1;
        String which =
                u.strings().stream()
                        .sorted(java.util.Comparator.reverseOrder())
                        .map(s -> String.valueOf(strings - s))
                        .collect(Collectors.joining(", "));
        return (one ? "string " : "strings ")
                + which
                + (one ? " rings" : " ring")
                + " with it, for nothing mutes "
                + (one ? "it" : "them")
                + "; pick the strings one by one, or take a shape that covers them";
    }

    /** What it is and what can be done. */
    public static String of(Caution c, Riff riff) {
        int strings = riff.ground().board().strings();
        if (c instanceof Caution.NotPlayed n) {
            return FindingWords.of(n.finding(), riff);
        } else if (c instanceof Caution.OutOfReach) {
            return "no hand of this size holds the shape; take another place or thin it (Alt 1 to 4)";
        } else if (c instanceof Caution.WideReach w) {
            return String.format(
                    "a reach of %.0f mm, comfortable are %.0f; a place higher up the neck is narrower",
                    w.mm(), w.comfortableMm());
        } else if (c instanceof Caution.WideJoin j) {
            return String.format(
                    "from fret %d to %d without the pick are %.0f mm, more than a hand reaches; slide"
                            + " there, or strike the second note",
                    j.from(), j.to(), j.mm());
        } else if (c instanceof Caution.NotWhileHeld n) {
            return held(n, strings);
        } else if (c instanceof Caution.FarChange h) {
            return String.format(
                    "the hand travels %.0f mm in %.2f s%s; another place for one of the two, or a"
                            + " shorter last stroke, gives it time",
                    h.mm(), h.seconds(), h.seam() ? " back to the beginning" : "");
        } else if (c instanceof Caution.Unsilenced u) {
            return unsilenced(u, strings);
        } else if (c instanceof Caution.StillSeam) {
            return "the loop ends on the root that it begins with and stands still at its seam; Q on the last"
                    + " chord says what would lead back";
        }
        Caution.Cut cut = (Caution.Cut) c;
        return "the pattern is cut here: by itself it comes round after "
                + bars(cut.bars())
                + (cut.meets() ? "" : " and never meets the one in between");
    }

    private static String held(Caution.NotWhileHeld n, int strings) {
        String string = "string " + (strings - n.string());
        String to = n.to() == 0 ? "the open string" : "fret " + n.to();
        return switch (n.why()) {
            case FLAT_FINGER ->
                    "the finger on "
                            + string
                            + " lies flat and holds other strings too: "
                            + (n.way() == WhileHeld.Movement.BEND
                                    ? "a bend takes them along"
                                    : "it cannot leave fret "
                                            + n.from()
                                            + " for "
                                            + to
                                            + " there and stay on them")
                            + "; do it on all of them, or hold the shape with more fingers";
            case NO_FREE_FINGER ->
                    "no finger is free for "
                            + to
                            + " on "
                            + string
                            + " while the shape is held; thin the shape, or let go of a string first";
            case NO_FINGER_BEHIND ->
                    "no finger can lie on "
                            + to
                            + " of "
                            + string
                            + " to pull off to, while the rest is held; pull off to the open string, or"
                            + " slide";
            case TOO_FAR_APART ->
                    "a slide to "
                            + to
                            + " on "
                            + string
                            + " takes the finger too far from those that stay; slide the whole shape";
        };
    }

    private static String bars(long n) {
        return n == 1 ? "one bar" : n + " bars";
    }

    /** Where the pattern falls in the bars, in a sentence. */
    public static String landing(Riff riff) {
        long cycle = riff.pattern().cycle();
        MeterMap meters = riff.meters();
        long bar = meters.meter(0).barTicks();
        if (riff.pattern().restart() != Restart.RUNS_ON) {
            return "The pattern starts again at every "
                    + (riff.pattern().restart() == Restart.BAR ? "bar." : "root.");
        }
        Landing l = Check.landing(riff);
        boolean onOne = Math.floorMod(riff.pattern().offset() - meters.pickup(), cycle) == 0;
        if (onOne && cycle % bar == 0 && meters.changes().size() == 1) {
            return "The pattern fills " + bars(cycle / bar) + " and comes round on the one.";
        }
        String meets =
                l.meets().isEmpty()
                        ? "it never starts on beat 1 again"
                        : "it starts on beat 1 again after " + bars(l.meetsBars());
        return "Repeated, "
                + meets
                + ", and is back in its first place after "
                + bars(l.backBars())
                + ".";
    }
}
