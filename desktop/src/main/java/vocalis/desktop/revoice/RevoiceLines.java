package vocalis.desktop.revoice;

import java.util.List;
import java.util.Optional;
import java.util.function.IntPredicate;
import vocalis.core.derive.Derived;
import vocalis.core.names.ChordNamer;
import vocalis.core.revoice.Row;
import vocalis.core.voicing.Voicing;
import vocalis.workbench.words.RevoiceWords;

/** The row under the caret in words. */
final class RevoiceLines {

    private RevoiceLines() {}

    /** The cell under the caret, for those who hear the screen. */
    static String spoken(
            Optional<Row> current, int row, int rows, int column, IntPredicate locked) {
        Row r = current.orElse(null);
        if (r == null) {
            return "looking for ways to voice this riff";
        }
        List<Derived.Chord> chords = r.derived().chords();
        int at = Math.min(column, chords.size() - 1);
        Derived.Chord c = chords.get(at);
        Voicing v = c.candidate().voicing();
        return "row "
                + (row + 1)
                + " of "
                + rows
                + ", "
                + RevoiceWords.name(r)
                + "; chord "
                + (at + 1)
                + " of "
                + chords.size()
                + ": "
                + ChordNamer.name(v, Optional.of(r.riff().ground().key()), c.around()).symbol()
                + ", "
                + v.shape().text()
                + (locked.test(at) ? ", kept" : "");
    }
}
