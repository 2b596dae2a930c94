package vocalis.core.offer;

import java.util.ArrayList;
import java.util.List;
import vocalis.core.choice.Catalogue;
import vocalis.core.derive.Derived;
import vocalis.core.edit.Times;
import vocalis.core.pattern.Event;
import vocalis.core.pattern.Figure;
import vocalis.core.pattern.Pattern;
import vocalis.core.pattern.Stroke;
import vocalis.core.pattern.Struck;
import vocalis.core.rhythm.Meter;
import vocalis.core.rhythm.Ticks;
import vocalis.core.riff.Riff;
import vocalis.core.score.Manner;
import vocalis.core.score.Onset;

/** Groups against the bar: a figure that runs over it, and a bar that is an eighth short. */
final class Grouping {

    private static final int[] GROUPS = {3, 5, 7};
    private static final int[] BARS = {2, 4};
    private static final int LEAST_EIGHTHS = 4;

    /** The share of muted strokes from which on a riff is driven by them; set by hand. */
    private static final double DRIVEN = 0.25;

    private Grouping() {}

    static List<Made> across(Derived derived, Catalogue catalogue) {
        Riff riff = derived.riff();
        List<Made> all = new ArrayList<>();
        boolean driven = driven(derived);
        for (int group : GROUPS) {
            for (int bars : BARS) {
                long bar = riff.meters().meter(0).barTicks();
                boolean even = riff.meters().changes().size() == 1;
                boolean runs = bar % (group * Ticks.EIGHTH) != 0 && riff.bars() % bars == 0;
                boolean carries = group == GROUPS[0] || driven;
                if (even && runs && carries && group * Ticks.EIGHTH < bar) {
                    Pattern p = Pattern.of(group(riff, group, bars * bar));
                    all.add(
                            new Made(
                                    new Setting.Group(group, bars),
                                    riff.withPattern(p).withTouches(List.of())));
                }
            }
        }
        return all;
    }

    /** Whether strokes under the palm drive the riff: what rings loses its way in long groups. */
    private static boolean driven(Derived derived) {
        List<Onset> all = derived.score().onsets();
        return all.stream().filter(Onset::muted).count() > DRIVEN * all.size();
    }

    /** The riff's own beginning of so many eighths, again and again; the last one is cut. */
    private static Figure group(Riff riff, int eighths, long length) {
        long group = eighths * Ticks.EIGHTH;
        List<Event> own = new ArrayList<>();
        for (Event e : riff.passes().get(0).events()) {
            if (e.sounds() && e.at() < group) {
                own.add(e.lasting(Math.min(e.length(), group - e.at())));
            }
        }
        if (own.size() < 2 || own.get(0).at() > 0) {
            own.clear();
            for (int i = 0; i < eighths; i++) {
                Stroke s =
                        new Stroke(
                                0,
                                i * Ticks.EIGHTH,
                                Ticks.EIGHTH,
                                i == 0 ? Struck.Named.ALL : Struck.Named.LOW);
                own.add(i == 0 ? s.accented(true) : s.played(Manner.PALM));
            }
        }
        List<Event> all = new ArrayList<>();
        for (long from = 0; from < length; from += group) {
            for (Event e : own) {
                long at = from + e.at();
                if (at < length) {
                    all.add(
                            e.beginning(at)
                                    .lasting(Math.min(e.length(), length - at))
                                    .numbered(all.size() + 1));
                }
            }
        }
        return new Figure("group", "group of " + eighths, length, all);
    }

    static List<Made> cut(Derived derived, Catalogue catalogue) {
        Riff riff = derived.riff();
        List<Made> all = new ArrayList<>();
        for (int every : new int[] {0, 2}) {
            if (every > 0 && riff.bars() <= every) {
                continue;
            }
            Riff out = riff;
            for (int bar = 0; bar < riff.bars(); bar++) {
                boolean here = every == 0 ? bar == riff.bars() - 1 : bar % every == every - 1;
                long eighths = riff.meters().meter(bar).barTicks() / Ticks.EIGHTH;
                if (here && eighths > LEAST_EIGHTHS) {
                    out = Times.meter(out, bar, new Meter((int) eighths - 1, 8));
                }
            }
            all.add(new Made(new Setting.EveryBars(every), out));
        }
        return all;
    }
}
