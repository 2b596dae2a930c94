package vocalis.desktop.revoice;

import java.util.List;
import java.util.Optional;
import vocalis.core.derive.Derived;
import vocalis.core.names.ChordNamer;
import vocalis.core.revoice.Difference;
import vocalis.core.revoice.Row;
import vocalis.core.voicing.Voicing;
import vocalis.workbench.words.RevoiceWords;

/** What the row under the caret does, in words. */
final class RevoiceLines {

    private RevoiceLines() {}

    /** The cell under the caret, for those who hear the screen. */
    static String spoken(RevoiceModel m) {
        Row r = m.current().orElse(null);
        if (r == null) {
            return "looking for ways to voice this riff";
        }
        List<Derived.Chord> chords = r.derived().chords();
        int column = Math.min(m.columnProperty().get(), chords.size() - 1);
        Derived.Chord c = chords.get(column);
        Voicing v = c.candidate().voicing();
        return "row "
                + (m.rowProperty().get() + 1)
                + " of "
                + m.rows().size()
                + ", "
                + RevoiceWords.name(r)
                + "; chord "
                + (column + 1)
                + " of "
                + chords.size()
                + ": "
                + ChordNamer.name(v, Optional.of(r.riff().ground().key()), c.around()).symbol()
                + ", "
                + v.shape().text()
                + (m.locked(column) ? ", kept" : "");
    }

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
                        : "Against what is written at this chord: "
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
                    "Second guitar over what is written at this chord: "
                            + RevoiceWords.of(m.second().rubs(r, column), r.riff().ground().key())
                            + ".";
        }
        return List.of(Character.toUpperCase(does.charAt(0)) + does.substring(1) + ".", change);
    }
}
