package vocalis.formats.musicxml;

import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.TreeSet;
import vocalis.core.score.Score;
import vocalis.core.score.ScoreNote;
import vocalis.formats.sheet.Written;

/**
 * "P.M." and dashes over the tab for as long as strokes under the palm follow each other: what
 * other programs draw of them.
 */
final class MusicXmlPalms {

    private final XmlWriter x;

    /** Where a row of muted strokes begins, and the last of its strokes. */
    private final Map<Long, Long> rows = new TreeMap<>();

    private final TreeSet<Long> begun = new TreeSet<>();
    private final TreeSet<Long> ended = new TreeSet<>();

    MusicXmlPalms(XmlWriter x, Score score) {
        this.x = x;
        TreeMap<Long, Boolean> palm = new TreeMap<>();
        for (ScoreNote n : score.notes()) {
            palm.merge(n.at(), n.manner().palm(), Boolean::logicalOr);
        }
        Long from = null;
        for (Map.Entry<Long, Boolean> stroke : palm.entrySet()) {
            if (stroke.getValue()) {
                from = from == null ? stroke.getKey() : from;
                rows.put(from, stroke.getKey());
            } else {
                from = null;
            }
        }
    }

    private boolean palm(Written.Item i) {
        return i.heads().stream().anyMatch(h -> h.first() && h.note().manner().palm());
    }

    /** Before a chord of the tab: the words, and where dashes begin. */
    void before(Written.Item i) {
        Long last = rows.get(i.at());
        if (last != null && palm(i) && begun.add(i.at())) {
            x.open("direction", "placement", "above");
            x.open("direction-type").leaf("words", "P.M.").close();
            if (last > i.at()) {
                x.open("direction-type").empty("dashes", "type", "start", "number", "1").close();
            }
            x.leaf("staff", 2).close();
        }
    }

    /** After a chord of the tab: where dashes end. */
    void after(Written.Item i) {
        List<Long> over =
                rows.entrySet().stream()
                        .filter(r -> r.getValue() == i.at() && r.getKey() < i.at())
                        .map(Map.Entry::getKey)
                        .toList();
        if (!over.isEmpty() && palm(i) && ended.add(i.at())) {
            x.open("direction", "placement", "above");
            x.open("direction-type").empty("dashes", "type", "stop", "number", "1").close();
            x.leaf("staff", 2).close();
        }
    }
}
