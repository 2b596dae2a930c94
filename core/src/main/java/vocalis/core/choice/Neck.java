package vocalis.core.choice;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import vocalis.core.hands.Grip;
import vocalis.core.hands.Grips;
import vocalis.core.hands.Hand;
import vocalis.core.instrument.Fretboard;

/**
 * A neck with all that a hand can do on it, by what sounds; the same for all families and roots.
 *
 * @param open MIDI number of each open string
 * @param groups grips that have in common what decides where they may lie and what they may be
 */
record Neck(Fretboard board, int[] open, List<Group> groups) {

    /**
     * Everything that a hand holds on a neck.
     *
     * @param wanted sets of pitch classes that are looked for, as in {@link Grips#of}
     */
    static Neck of(Fretboard board, Hand hand, boolean[] wanted) {
        int[] open = new int[board.strings()];
        Arrays.setAll(open, s -> board.midi(s, 0));
        Map<Sounding, List<Grip>> alike = new LinkedHashMap<>();
        for (Grip g : Grips.of(board, hand, wanted)) {
            int notes = 0;
            for (int s = 0; s < open.length; s++) {
                notes |= (g.held() >> s & 1) == 0 ? 0 : 1 << (open[s] + g.fret(s, 1)) % 12;
            }
            Sounding key = new Sounding(notes, Integer.bitCount(g.held()), g.span());
            alike.computeIfAbsent(key, n -> new ArrayList<>()).add(g);
        }
        return new Neck(
                board,
                open,
                alike.entrySet().stream().map(e -> Group.of(e.getKey(), e.getValue())).toList());
    }

    /**
     * What is the same for many grips.
     *
     * @param notes pitch classes in the first place on the neck
     * @param voices strings held
     * @param span frets from the lowest to the highest held
     */
    record Sounding(int notes, int voices, int span) {}

    /**
     * The grips of which it is the same, the easiest first.
     *
     * @param from their first place
     * @param to their last
     * @param span frets from the lowest to the highest held
     * @param effort the least of any
     */
    record Group(Sounding sounding, Grip[] grips, int from, int to, int span, double effort) {
        static Group of(Sounding sounding, List<Grip> grips) {
            Grip[] easiestFirst = grips.toArray(Grip[]::new);
            Arrays.sort(easiestFirst, Comparator.comparingDouble(Grip::leastEffort));
            Grip any = grips.get(0);
            return new Group(
                    sounding,
                    easiestFirst,
                    any.lowestPlace(),
                    any.highestPlace(),
                    any.span(),
                    easiestFirst[0].leastEffort());
        }
    }
}
