package vocalis.desktop.practise;

import vocalis.core.arrange.Song;
import vocalis.core.practice.ChangeToPractise;
import vocalis.core.rhythm.MeterMap;
import vocalis.workbench.words.ArrangeWords;

/**
 * A stretch of a song that is practised.
 *
 * @param from its first tick
 * @param to tick past its last
 * @param what what it is called
 */
public record Aim(long from, long to, String what) {

    /** Nothing yet. */
    static final Aim NONE = new Aim(0, 0, "");

    /** A section, or the last where there is no such one. */
    static Aim section(Song s, int index) {
        int i = Math.min(index, s.piece().sections().size() - 1);
        long begin = i == 0 ? s.score().time().meters().pickup() : s.start(i);
        return new Aim(begin, s.end(i), s.piece().sections().get(i).name());
    }

    /** Everything from the first bar line on. */
    static Aim whole(Song s) {
        return new Aim(s.score().time().meters().pickup(), s.length(), "the whole song");
    }

    /** Bars from one to before another, as far as the song has them. */
    static Aim bars(Song s, int first, int past) {
        MeterMap meters = s.score().time().meters();
        int all = meters.bars(s.length());
        int a = Math.max(0, Math.min(all - 1, first));
        int b = Math.max(a + 1, Math.min(all, past));
        String what = b - a == 1 ? "bar " + (a + 1) : "bars " + (a + 1) + " to " + b;
        return new Aim(meters.start(a), Math.min(s.length(), meters.start(b)), what);
    }

    /** A change of chords alone; the first section where the song has become too short for it. */
    static Aim change(Song s, ChangeToPractise h) {
        return h.to() > s.length()
                ? section(s, 0)
                : new Aim(
                        h.from(),
                        h.to(),
                        "change to " + h.toShape().text() + " in " + ArrangeWords.place(s, h.at()));
    }
}
