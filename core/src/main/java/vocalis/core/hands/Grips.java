package vocalis.core.hands;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.stream.IntStream;
import vocalis.core.instrument.Fretboard;

/**
 * Every grip that a hand holds somewhere on a neck, each once.
 *
 * <p>Design: strings are decided from the lowest held one up, frets counted from its own; each of
 * the next held strings begins a branch on a processor of its own. A branch is cut where more notes
 * mend nothing: notes that are wanted in no chord, a reach past the hand, more fingers than a hand
 * has, an effort that no hand takes in a riff. To lay a finger more never makes it less.
 */
public final class Grips {

    /** Stands for the fret of the lowest held string while the others are tried around it. */
    private static final int MIDDLE = 64;

    private final Fretboard board;
    private final Reach reach;
    private final boolean[] wanted;
    private final int[] open;

    private Grips(Fretboard board, Hand hand, boolean[] wanted) {
        this.board = board;
        this.reach = new Reach(board, hand);
        this.wanted = wanted;
        this.open = new int[board.strings()];
        Arrays.setAll(open, s -> board.midi(s, 0));
    }

    /**
     * All grips, and the one that holds nothing.
     *
     * @param wanted for every set of pitch classes, as twelve bits from any of them up, whether its
     *     notes may sound together; a part of a set that may also may
     */
    public static List<Grip> of(Fretboard board, Hand hand, boolean[] wanted) {
        Grips grips = new Grips(board, hand, wanted);
        int strings = board.strings();
        int tried = 2 * grips.reach.widest() + 1;
        List<Grip> all = new ArrayList<>();
        all.add(new Grip(grips.reach, new int[strings], List.of(), List.of()));
        for (int s = 0; s < strings; s++) {
            grips.new Branch().begin(s, all);
        }
        IntStream.range(0, strings * strings * tried)
                .parallel()
                .mapToObj(
                        n -> {
                            int first = n / tried / strings;
                            int second = n / tried % strings;
                            int fret = MIDDLE - grips.reach.widest() + n % tried;
                            return first < second
                                    ? grips.new Branch().from(first, second, fret)
                                    : List.<Grip>of();
                        })
                .forEachOrdered(all::addAll);
        return all;
    }

    /** What is tried one after another on one thread. */
    private final class Branch {
        private final int[] frets = new int[open.length];
        private final int[] lying = new int[open.length];
        private List<Grip> found = new ArrayList<>();

        void begin(int string, List<Grip> into) {
            found = into;
            frets[string] = MIDDLE;
            take(MIDDLE, 0);
        }

        List<Grip> from(int first, int second, int fret) {
            frets[first] = MIDDLE;
            hold(second, fret, MIDDLE, MIDDLE, 1 << (open[first] + MIDDLE) % 12);
            return found;
        }

        private void above(int string, int low, int high, int notes) {
            if (string == open.length) {
                return;
            }
            above(string + 1, low, high, notes);
            for (int fret = high - reach.widest(); fret <= low + reach.widest(); fret++) {
                hold(string, fret, low, high, notes);
            }
        }

        private void hold(int string, int fret, int low, int high, int notes) {
            int all = notes | 1 << (open[string] + fret) % 12;
            int lowest = Math.min(low, fret);
            int highest = Math.max(high, fret);
            if (!wanted[all] || highest - lowest > reach.widest()) {
                return;
            }
            frets[string] = fret;
            if (take(lowest, highest - lowest)) {
                above(string + 1, lowest, highest, all);
            }
            frets[string] = 0;
        }

        /** Keeps what is held now where a hand holds it; whether one may hold more. */
        private boolean take(int lowest, int span) {
            for (int s = 0; s < frets.length; s++) {
                lying[s] = frets[s] == 0 ? 0 : frets[s] - lowest + 1;
            }
            int last = board.frets() - span;
            boolean more = false;
            List<Hold> underThumb = List.of();
            int thumb = lying[0];
            if (thumb > 0 && Fingering.fewestFingers(lying, 1, lying.length) <= 4) {
                lying[0] = 0;
                int low = lowestOf(lying);
                // Fingers may yet come below those that are down, not above.
                if (low >= thumb - 1
                        && reach.lowestPlace(span) + thumb - 1 <= Fingering.LAST_THUMB_FRET) {
                    underThumb = FingerSearch.holds(lying, most(lying) - Fingering.THUMB);
                    more = underThumb.stream().anyMatch(h -> reach.lowestPlace(h) <= last);
                }
                underThumb = more && low <= thumb + 1 ? underThumb : List.of();
                lying[0] = thumb;
            }
            boolean held = !underThumb.isEmpty();
            if (Fingering.fewestFingers(lying, 0, lying.length) <= 4) {
                // Beside a held string 5 the thumb only helps where fingers cannot at any effort.
                boolean all = held && lying[1] > 0;
                double most = most(lying);
                List<Hold> fingers =
                        FingerSearch.holds(lying, all ? Double.POSITIVE_INFINITY : most);
                for (Hold h : fingers) {
                    held |= h.least() <= most && reach.lowestPlace(h) <= last;
                }
                if (held) {
                    found.add(new Grip(reach, lying.clone(), fingers, underThumb));
                }
            } else if (held) {
                found.add(new Grip(reach, lying.clone(), List.of(), underThumb));
            }
            return held || more;
        }

        /** The most effort that fingers may take: strings between them ring or are kept quiet. */
        private static double most(int[] frets) {
            int between = 0;
            int since = 0;
            boolean begun = false;
            for (int fret : frets) {
                between += fret > 0 && begun ? since : 0;
                since = fret > 0 ? 0 : since + 1;
                begun |= fret > 0;
            }
            return Fingering.MOST_QUICK - between * Hold.RINGS_INSIDE + Hold.SAME;
        }

        private static int lowestOf(int[] frets) {
            int low = MIDDLE;
            for (int fret : frets) {
                low = fret > 0 ? Math.min(low, fret) : low;
            }
            return low;
        }
    }
}
