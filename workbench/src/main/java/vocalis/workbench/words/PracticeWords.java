package vocalis.workbench.words;

import java.util.Locale;
import vocalis.core.practice.ChangeToPractise;
import vocalis.core.practice.Ladder;
import vocalis.core.practice.Load;
import vocalis.core.practice.Vanishing;

/** Practising in words; its cautions are short, and can be read again in Help. */
public final class PracticeWords {

    /** Said when one comes to practise. */
    public static final String WARM_UP =
            "Warm up first: a few minutes slowly, with a light grip. Pressing harder than needed makes"
                    + " notes sharp.";

    /** Said after twenty minutes that sounded. */
    public static final String REST =
            "Twenty minutes: rest your hands for five. Stop at pain; if it stays, see a clinician.";

    /** Palm-muted strokes a second from which a long run is told; set by hand. */
    private static final double FAST = 6;

    private static final int LONG_RUN = 16;

    private PracticeWords() {}

    /** A hard change. */
    public static String of(ChangeToPractise h) {
        return String.format(
                Locale.ROOT,
                "%s to %s: %.0f mm in %.2f s. It comes round alone.",
                h.fromShape().text(),
                h.toShape().text(),
                h.mm(),
                h.seconds());
    }

    /** A ladder. */
    public static String of(Ladder l) {
        return l.start()
                + " to "
                + l.goal()
                + " by "
                + l.step()
                + (l.passes() == 1
                        ? " after every clean pass"
                        : " after " + l.passes() + " clean passes")
                + "; two failed go back.";
    }

    /** A click that goes out. */
    public static String of(Vanishing v) {
        return v.without() == 0
                ? "The click stays."
                : "The click goes out for "
                        + v.without()
                        + " bars after "
                        + v.with()
                        + ": are you still there?";
    }

    /** What a riff asks of the hands at a tempo; empty where it is little. */
    public static String of(Load l, int tempo) {
        StringBuilder s = new StringBuilder();
        if (l.widePerMinute() >= 1) {
            s.append(
                    String.format(
                            Locale.ROOT,
                            "A wide reach %.0f times a minute: a place higher up the neck is narrower. ",
                            l.widePerMinute()));
        }
        if (l.barreShare() > 0.5) {
            s.append(
                    String.format(
                            Locale.ROOT,
                            "A barre is held for %.0f %% of the time: rest the thumb between rounds. ",
                            100 * l.barreShare()));
        }
        if (l.mutedRun() >= LONG_RUN && l.mutedPerSecond() > FAST) {
            s.append(
                    String.format(
                            Locale.ROOT,
                            "%d muted strokes in a row, %.1f a second: keep the wrist loose. ",
                            l.mutedRun(),
                            l.mutedPerSecond()));
        }
        return s.toString().strip();
    }
}
