package vocalis.workbench.listening;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import vocalis.core.derive.Derived;
import vocalis.core.instrument.Fretboard;
import vocalis.core.rhythm.MeterMap;
import vocalis.core.theory.Key;

/** What was played, in words: the spots that count, never a mark or praise. */
public final class FollowWords {

    private static final String NOT_CLEAN =
            "it does not sound like clean strings that play this, so only the time of what was heard is told";

    private static final String GUESSED =
            "under gain what a string did, or a stroke that is not heard, is a guess";

    private final MeterMap meters;
    private final Fretboard board;
    private final Key key;
    private final int firstBar;

    private static final int MOST_TOLD = 4;

    /** From here on a pass lies behind or before the beat, in ms. */
    private static final double FEEL_MS = 8;

    /**
     * @param meters of the score that was followed
     * @param firstBar what its first bar is called
     */
    public FollowWords(MeterMap meters, Fretboard board, Key key, int firstBar) {
        this.meters = meters;
        this.board = board;
        this.key = key;
        this.firstBar = firstBar;
    }

    /** For a riff from its first bar on. */
    public static FollowWords of(Derived derived) {
        var riff = derived.riff();
        return new FollowWords(riff.meters(), riff.ground().board(), riff.ground().key(), 1);
    }

    /** A pass in a line. */
    public String of(FollowedPass pass) {
        if (pass.silent()) {
            return "Nothing of it was heard.";
        }
        List<Played> faults = pass.faults();
        List<String> told = new ArrayList<>();
        for (Played p : faults) {
            if (told.size() < MOST_TOLD) {
                told.add(
                        "bar " + (p.bar() - 1 + firstBar) + ": " + of(p, p.ms() - pass.behindMs()));
            }
        }
        if (faults.size() > MOST_TOLD) {
            told.add(faults.size() - MOST_TOLD + " more");
        }
        if (!pass.judged()) {
            told.add(NOT_CLEAN);
        } else if (told.isEmpty()) {
            told.add(pass.clean() ? "as written" : "nothing plainly otherwise than written");
        } else if (!pass.clean() && faults.stream().anyMatch(FollowWords::guessed)) {
            told.add(GUESSED);
        }
        if (!pass.onOne()) {
            told.add("it did not come round on the one");
        }
        return String.join("; ", told) + "; " + feel(pass) + ".";
    }

    /** Where a stroke is: its bar and beat. */
    public String place(Played p) {
        return "bar " + (p.bar() - 1 + firstBar) + ", beat " + beat(p);
    }

    /**
     * A stroke's mark on the tab, as short as can be; empty where all is right. Times are against
     * the middle of the pass: late throughout is a way of playing.
     */
    public String mark(FollowedPass pass, Played p) {
        return switch (p.state()) {
            case RIGHT -> "";
            case EARLY, LATE ->
                    String.format(Locale.ROOT, "%+.0f ms", p.ms() - pass.behindMs())
                            .replace('-', '−');
            case MISSING -> "not heard";
            case EXTRA -> "one too many";
            case WRONG ->
                    p.strings().isEmpty() ? palm(p) : strings(p).replace(", not as written", "");
        };
    }

    private static boolean guessed(Played p) {
        return p.state() == Played.State.WRONG || p.state() == Played.State.MISSING;
    }

    private static String palm(Played p) {
        return p.muted() ? "stopped too soon" : "palm up";
    }

    private static String feel(FollowedPass pass) {
        String spread = String.format(Locale.ROOT, "spread %.0f ms", pass.spreadMs());
        if (Math.abs(pass.behindMs()) < FEEL_MS) {
            return "on the beat, " + spread;
        }
        return String.format(
                Locale.ROOT,
                "%s the beat by %.0f ms, %s",
                pass.behindMs() > 0 ? "behind" : "before",
                Math.abs(pass.behindMs()),
                spread);
    }

    private String of(Played p, double off) {
        String beat = "beat " + beat(p);
        return switch (p.state()) {
            case RIGHT -> beat + " as written";
            case EARLY -> beat + String.format(Locale.ROOT, " rushed by %.0f ms", -off);
            case LATE -> beat + String.format(Locale.ROOT, " dragged by %.0f ms", off);
            case MISSING -> beat + " was not heard";
            case EXTRA -> "a stroke too many near " + beat;
            case WRONG -> beat + ", " + (p.strings().isEmpty() ? palm(p) : strings(p));
        };
    }

    private String beat(Played p) {
        long in = p.tick() - meters.start(p.bar() - 1);
        double beat = 1 + in / (double) meters.meter(p.bar() - 1).beatTicks();
        return beat == Math.rint(beat)
                ? String.valueOf((int) beat)
                : String.format(Locale.ROOT, "%.2f", beat).replaceAll("0+$", "");
    }

    private String strings(Played p) {
        List<String> all = new ArrayList<>();
        for (Played.StringFault f : p.strings()) {
            String note = key.say(Math.floorMod(board.midi(f.string(), f.fret()), 12)).symbol();
            all.add(
                    switch (f.what()) {
                        case RANG -> "the open " + note + " rang";
                        case SILENT -> "no " + note + " on string " + number(f);
                        case OFF -> note + " on string " + number(f) + ", not as written";
                    });
        }
        return String.join(", ", all);
    }

    private int number(Played.StringFault f) {
        return board.strings() - f.string();
    }
}
