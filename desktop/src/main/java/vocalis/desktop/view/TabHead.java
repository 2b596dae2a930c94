package vocalis.desktop.view;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.TreeSet;
import vocalis.core.score.Manner;
import vocalis.core.score.Onset;
import vocalis.core.score.ScoreNote;
import vocalis.core.score.Technique;
import vocalis.formats.sheet.Written;

/**
 * A fret number as it stands in a tab, in the lane and on the page to practise from alike: where a
 * finger leads a note on to another fret, that stands at its own time.
 *
 * @param at ticks from the start of the score
 * @param sign what leads to it: h, p, / or \\; empty for a note that is struck
 * @param fret as it is written: brackets where it goes on from before, × where it is dead
 * @param marks what is done there besides: b, r, ~, tr, ph with its partial; words stand apart
 */
public record TabHead(long at, String sign, String fret, String marks) {

    /** The heads of a note, in the order of time. */
    public static List<TabHead> of(ScoreNote n) {
        List<TabHead> all = new ArrayList<>();
        String written = n.tied() ? "(" + n.fret() + ")" : String.valueOf(n.fret());
        all.add(new TabHead(n.at(), "", n.manner() == Manner.DEAD ? "×" : written, ""));
        int fret = n.fret();
        for (Technique t : n.techniques()) {
            String sign = sign(t, fret);
            Optional<Long> arrives = Written.arrives(n, t);
            if (arrives.isPresent()) {
                all.add(new TabHead(n.at() + arrives.get(), sign, String.valueOf(t.to()), ""));
            } else {
                TabHead last = all.remove(all.size() - 1);
                String mark = t.kind().moves() ? sign + t.to() : sign;
                boolean words = !last.marks.isEmpty() && mark.length() > 1;
                String marks = last.marks + (words ? " " : "") + mark;
                all.add(new TabHead(last.at, last.sign, last.fret, marks));
            }
            fret = t.kind().moves() ? t.to() : fret;
        }
        return all;
    }

    private static String sign(Technique t, int from) {
        return switch (t.kind()) {
            case HAMMER -> "h";
            case PULL -> "p";
            case SLIDE -> t.to() < from ? "\\" : "/";
            case BEND -> "b";
            case RELEASE -> "r";
            case VIBRATO -> "~";
            case TREMOLO -> "tr";
            case PINCH -> "ph" + t.to();
        };
    }

    /** Where the parts of an onset end that are written apart, its own end last. */
    static TreeSet<Long> cuts(Onset o, long length) {
        TreeSet<Long> cuts = new TreeSet<>();
        for (ScoreNote n : o.notes()) {
            for (Technique t : n.techniques()) {
                Written.arrives(n, t).filter(a -> a < length).ifPresent(a -> cuts.add(o.at() + a));
            }
        }
        cuts.add(o.at() + length);
        return cuts;
    }
}
