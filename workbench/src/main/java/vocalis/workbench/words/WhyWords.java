package vocalis.workbench.words;

import java.util.List;
import java.util.stream.Collectors;
import vocalis.core.harmony.WhyHere;
import vocalis.core.theory.Degree;
import vocalis.core.theory.Key;

/** Why a chord may stand where it does, in a sentence. */
public final class WhyWords {

    private WhyWords() {}

    /** All of it as one sentence; empty where there is nothing to say. */
    public static String of(List<WhyHere> why, Key key) {
        if (why.isEmpty()) {
            return "";
        }
        String all = why.stream().map(w -> of(w, key)).collect(Collectors.joining(", and "));
        return "It may stand here: " + all + ".";
    }

    private static String of(WhyHere why, Key key) {
        if (why instanceof WhyHere.Shares s) {
            List<String> degrees = s.degrees().stream().map(Degree::symbol).toList();
            int last = degrees.size() - 1;
            return "it shares "
                    + String.join(", ", degrees.subList(0, last))
                    + " and "
                    + degrees.get(last)
                    + " with the chord on "
                    + key.say(s.root()).symbol();
        } else if (why instanceof WhyHere.Leads l) {
            return switch (l.semitones()) {
                case -1 -> "its bass falls a semitone into the next";
                case 1 -> "its bass rises a semitone into the next";
                default -> "its bass goes up a fourth into the next, as a dominant does";
            };
        } else if (why instanceof WhyHere.PassingBass p) {
            return "its bass passes from "
                    + key.say(p.from()).symbol()
                    + " by "
                    + key.say(p.by()).symbol()
                    + " to "
                    + key.say(p.to()).symbol();
        }
        WhyHere.Suspended s = (WhyHere.Suspended) why;
        return "its "
                + s.degree().symbol()
                + ", "
                + key.say(s.midi()).symbol()
                + ", wants to go to "
                + key.say(s.resolved()).symbol()
                + (s.follows() ? ", and does" : "");
    }
}
