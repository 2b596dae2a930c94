package vocalis.workbench.exchange;

import java.util.ArrayList;
import java.util.List;
import vocalis.core.derive.Derived;
import vocalis.core.harmony.Context;
import vocalis.core.names.Readout;
import vocalis.core.rhythm.MeterMap;
import vocalis.core.theory.Key;
import vocalis.core.voicing.Voicing;
import vocalis.formats.csv.CsvTable;

/** A riff's chords as a table, a row for each. */
public final class ChordTable {

    private ChordTable() {}

    /** The file's bytes. */
    static byte[] csv(Derived d) {
        List<List<Object>> rows = new ArrayList<>();
        Key key = d.riff().ground().key();
        MeterMap meters = d.riff().meters();
        for (int i = 0; i < d.chords().size(); i++) {
            Derived.Chord c = d.chords().get(i);
            Voicing v = c.candidate().voicing();
            Readout r = Readout.of(v, key, c.around());
            MeterMap.Place at = meters.place(c.start());
            rows.add(
                    List.of(
                            at.bar(),
                            at.beat(),
                            key.say(c.root()).ascii(),
                            d.score().harmonies().get(i).symbol(),
                            d.riff().treatments().get(i).family().shortLabel(),
                            v.shape().text(),
                            String.join(
                                    " ", v.midi().stream().map(m -> key.note(m).ascii()).toList()),
                            key.say(r.root()).ascii(),
                            Context.tension(v, key),
                            effort(c.candidate().fingering().effort()),
                            Math.round(c.candidate().fingering().reachMm())));
        }
        return CsvTable.write(
                List.of(
                        "bar",
                        "beat",
                        "root",
                        "chord",
                        "family",
                        "shape",
                        "notes",
                        "heard root",
                        "tension",
                        "effort",
                        "reach mm"),
                rows);
    }

    /** To a tenth; empty where no hand holds the shape. */
    private static Object effort(double effort) {
        return Double.isFinite(effort) ? Math.round(10 * effort) / 10.0 : "";
    }
}
