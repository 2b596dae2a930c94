package vocalis.workbench.listening;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import vocalis.core.derive.Derived;
import vocalis.core.instrument.Fretboard;
import vocalis.core.theory.Key;

/** What was played, in words: the spots that count, never a mark or praise. */
public final class FollowWords {

    private static final int MOST_TOLD = 4;

    /** From here on a pass lies behind or before the beat, in ms. */
    private static final double FEEL_MS = 8;

    private FollowWords() {}

    /** A pass in a line. */
    public static String of(FollowedPass pass, Derived derived) {
        List<Played> faults = pass.faults();
        List<String> told = new ArrayList<>();
        for (Played p : faults) {
            if (told.size() < MOST_TOLD) {
                told.add("bar " + p.bar() + ": " + of(p, derived));
            }
        }
        if (faults.size() > MOST_TOLD) {
            told.add(faults.size() - MOST_TOLD + " more");
        }
        if (told.isEmpty()) {
            told.add("as written");
        }
        return String.join("; ", told) + "; " + feel(pass) + ".";
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

    private static String of(Played p, Derived derived) {
        String beat = "beat " + beat(p, derived);
        return switch (p.state()) {
            case RIGHT -> beat + " as written";
            case EARLY -> beat + String.format(Locale.ROOT, " early by %.0f ms", -p.ms());
            case LATE -> beat + String.format(Locale.ROOT, " late by %.0f ms", p.ms());
            case MISSING -> beat + " was not heard";
            case EXTRA -> "a stroke too many near " + beat;
            case WRONG -> beat + ", " + strings(p, derived);
        };
    }

    private static String beat(Played p, Derived derived) {
        var meters = derived.riff().meters();
        long in = p.tick() - meters.start(p.bar() - 1);
        double beat = 1 + in / (double) meters.meter(p.bar() - 1).beatTicks();
        return beat == Math.rint(beat)
                ? String.valueOf((int) beat)
                : String.format(Locale.ROOT, "%.2f", beat).replaceAll("0+$", "");
    }

    private static String strings(Played p, Derived derived) {
        Fretboard board = derived.riff().ground().board();
        Key key = derived.riff().ground().key();
        List<String> all = new ArrayList<>();
        for (Played.StringFault f : p.strings()) {
            String note = key.say(Math.floorMod(board.midi(f.string(), f.fret()), 12)).symbol();
            all.add(
                    switch (f.what()) {
                        case RANG -> "the open " + note + " rang";
                        case SILENT -> "no " + note + " on string " + number(board, f);
                        case OFF -> note + " on string " + number(board, f) + ", not as written";
                    });
        }
        return String.join(", ", all);
    }

    private static int number(Fretboard board, Played.StringFault f) {
        return board.strings() - f.string();
    }
}
