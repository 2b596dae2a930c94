package vocalis.formats.tab;

import java.util.ArrayList;
import java.util.List;
import vocalis.core.score.ScoreNote;
import vocalis.core.score.Technique;
import vocalis.formats.sheet.Sheet;
import vocalis.formats.sheet.SheetFormat;
import vocalis.formats.sheet.SheetFormatContract;

/** Text tab holds strings, frets, values, marks; how long a bend takes it does not say. */
class TabTextTest extends SheetFormatContract {

    @Override
    protected SheetFormat format() {
        return TabText.FORMAT;
    }

    @Override
    protected Sheet holdable(Sheet sheet) {
        return sheet;
    }

    @Override
    protected ScoreNote held(ScoreNote n) {
        List<Technique> told = new ArrayList<>();
        for (Technique t : n.techniques()) {
            boolean legato = t.kind() == Technique.Kind.HAMMER || t.kind() == Technique.Kind.PULL;
            boolean arrives = t.kind() == Technique.Kind.SLIDE;
            long after = legato ? t.after() : arrives ? t.after() + t.lasting() : 0;
            int to = t.kind() == Technique.Kind.VIBRATO ? 0 : t.to();
            told.add(new Technique(t.kind(), to, after, 0));
        }
        return n.bare().with(told);
    }
}
