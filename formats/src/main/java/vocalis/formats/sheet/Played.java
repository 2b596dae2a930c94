package vocalis.formats.sheet;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.TreeMap;
import vocalis.core.instrument.Fretboard;
import vocalis.core.rhythm.MeterMap;
import vocalis.core.score.Dynamics;
import vocalis.core.unpick.Placer;

/**
 * A note as files tell it, before it has a place on the neck.
 *
 * @param midi MIDI number that sounds
 * @param at ticks
 * @param length ticks
 * @param dynamics how hard
 */
public record Played(int midi, long at, long length, Dynamics dynamics) {

    /** Places notes on a neck; says which were left out because no hand has them. */
    public static Optional<String> place(
            List<Played> notes, Fretboard board, MeterMap meters, List<NoteDraft> to) {
        TreeMap<Long, TreeMap<Integer, Played>> moments = new TreeMap<>();
        for (Played n : notes) {
            moments.computeIfAbsent(n.at(), k -> new TreeMap<>())
                    .merge(n.midi(), n, (a, b) -> a.length() >= b.length() ? a : b);
        }
        List<Placer.Moment> asked = new ArrayList<>();
        moments.forEach((at, m) -> asked.add(new Placer.Moment(at, List.copyOf(m.keySet()))));
        List<Placer.Placed> placed = Placer.placed(asked, board);
        int left = 0;
        for (int i = 0; i < asked.size(); i++) {
            Placer.Moment moment = asked.get(i);
            for (int k = 0; k < moment.midi().size(); k++) {
                int string = placed.get(i).strings().get(k);
                if (string < 0) {
                    left++;
                    continue;
                }
                Played n = moments.get(moment.at()).get(moment.midi().get(k));
                NoteDraft d =
                        new NoteDraft(string, placed.get(i).frets().get(k), n.at(), n.length());
                d.rings = moment.midi().size() > 1;
                d.dynamics = n.dynamics();
                d.down = NoteDraft.usuallyDown(n.at(), meters);
                to.add(d);
            }
        }
        return left == 0
                ? Optional.empty()
                : Optional.of(
                        left == 1
                                ? "1 note that no hand has was left out."
                                : left + " notes that no hand has were left out.");
    }
}
