package vocalis.desktop.revoice;

import java.util.List;
import vocalis.core.revoice.Difference;
import vocalis.core.revoice.Row;
import vocalis.workbench.words.RevoiceWords;

/** What the row under the caret does, in words. */
final class RevoiceLines {

    private RevoiceLines() {}

    /** What the row does and what it changes at the chord under the caret, in two lines. */
    static List<String> of(RevoiceModel m) {
        Row r = m.current().orElse(null);
        int column = m.columnProperty().get();
        if (r == null) {
            return List.of("Looking for every way to voice this riff …", "");
        }
        String change =
                r.mix() || column >= r.derived().chords().size()
                        ? "Choose another row to see what it would change here."
                        : "Against your mix at this chord: "
                                + RevoiceWords.of(
                                        Difference.at(
                                                m.rows().get(0).derived(), r.derived(), column),
                                        r.riff().ground().key())
                                + ".";
        String does = RevoiceWords.what(r);
        if (m.finding()) {
            does += "; still looking, " + m.found() + " of about " + m.expected() + " ways so far";
        }
        if (m.second().on()) {
            change =
                    "Second guitar over your mix at this chord: "
                            + RevoiceWords.of(m.second().rubs(r, column), r.riff().ground().key())
                            + ".";
        }
        return List.of(Character.toUpperCase(does.charAt(0)) + does.substring(1) + ".", change);
    }
}
