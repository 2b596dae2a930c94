package vocalis.core.offer;

import java.util.ArrayList;
import java.util.List;
import vocalis.core.choice.Catalogue;
import vocalis.core.derive.Derived;
import vocalis.core.edit.Chords;
import vocalis.core.edit.Scope;
import vocalis.core.edit.Strokes;
import vocalis.core.pattern.Stroke;
import vocalis.core.pattern.Struck;
import vocalis.core.rhythm.Ticks;
import vocalis.core.riff.Riff;
import vocalis.core.score.Manner;

/** Ways for the last bar to stop. Common practice, no source. */
final class LastBar {

    private LastBar() {}

    static List<Made> of(Derived derived, Catalogue catalogue) {
        Riff riff = derived.riff();
        List<Made> all = new ArrayList<>();
        for (Setting.Stop s : Setting.Stop.values()) {
            all.add(new Made(s, made(riff, s)));
        }
        return all;
    }

    private static Riff made(Riff riff, Setting.Stop stop) {
        int last = riff.bars() - 1;
        long from = riff.meters().start(last);
        long to = riff.length();
        Riff empty = Strokes.emptied(riff, from, to);
        return switch (stop) {
            case SHORT -> struck(empty, from, Ticks.EIGHTH, Manner.STACCATO);
            case HALF_TIME -> {
                Riff out = empty;
                for (long at = from; at < to; at += Ticks.HALF) {
                    out = struck(out, at, Math.min(Ticks.HALF, to - at), Manner.PLAIN);
                }
                yield out;
            }
            case UNISON -> {
                Riff out = empty;
                for (long at = from; at < to; at += Ticks.QUARTER) {
                    out = struck(out, at, Ticks.EIGHTH, Manner.STACCATO);
                }
                yield out;
            }
            case LONGER -> {
                Riff longer = Chords.lengthen(riff, riff.roots().size() - 1, to - from);
                Riff out = Strokes.emptied(longer, from, longer.length());
                yield struck(out, from, to - from, Manner.LET_RING);
            }
        };
    }

    private static Riff struck(Riff riff, long at, long length, Manner manner) {
        Stroke s = new Stroke(0, 0, length, Struck.Named.ALL).played(manner).accented(true);
        return Strokes.put(riff, at, s, Scope.THIS_PASS);
    }
}
