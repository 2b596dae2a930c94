package vocalis.core.unpick;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import vocalis.core.hands.Change;
import vocalis.core.hands.LoopPath;
import vocalis.core.instrument.Fretboard;
import vocalis.core.instrument.Instrument;
import vocalis.core.instrument.Shape;
import vocalis.core.instrument.Tuning;
import vocalis.core.voicing.Family;

/**
 * Finds strings and frets for notes of which only the pitch is known: for every moment some grips
 * that have them all, and through the grips the way of the least work, the same exact search as for
 * a riff's shapes. Weights set by hand.
 */
public final class Placer {

    private static final int MOST_GRIPS = 14;
    private static final int WIDEST = 5;
    private static final double PER_FRET_WIDE = 0.5;
    private static final double PER_FRET_UP = 0.12;
    private static final double PER_SKIPPED_STRING = 1.2;
    private static final double PER_OPEN_BESIDE = 0.4;

    /** Of a chord that no hand has whole, the lowest note is kept before the highest. */
    private static final double LOWEST_LOST = 6;

    private static final double HIGHEST_LOST = 3;

    /** Of more than so many notes at once the inner ones are left out unlooked at. */
    private static final int MOST_NOTES = 10;

    private static final Change HAND = new Change(0);

    private Placer() {}

    /**
     * Notes that begin together.
     *
     * @param at ticks
     * @param midi MIDI numbers, each once, ascending
     */
    public record Moment(long at, List<Integer> midi) {
        public Moment {
            midi = List.copyOf(midi);
        }
    }

    /**
     * Where the notes of a moment lie.
     *
     * @param strings string of each note, in the order of the moment; −1 for one left out
     * @param frets fret of each, from the capo
     */
    public record Placed(List<Integer> strings, List<Integer> frets) {}

    /** The usual tuning that has the lowest note, the fewest strings first. */
    public static Tuning tuning(int lowest) {
        for (Tuning t : List.of(Tuning.STANDARD, Tuning.LOW_D)) {
            if (t.open().get(0) <= lowest) {
                return t;
            }
        }
        return Tuning.offered().stream()
                .filter(t -> t.open().get(0) <= lowest)
                .max(Comparator.comparingInt(t -> t.open().get(0)))
                .orElse(Tuning.LOW_D);
    }

    /** A fretboard in that tuning. */
    public static Fretboard board(int lowest) {
        return new Fretboard(Instrument.of(tuning(lowest)), 0);
    }

    /** Places every moment; notes that no grip has with the others are left out. */
    public static List<Placed> placed(List<Moment> moments, Fretboard board) {
        List<List<Grip>> grips = new ArrayList<>();
        List<Integer> kept = new ArrayList<>();
        for (int i = 0; i < moments.size(); i++) {
            List<Grip> found = grips(moments.get(i).midi(), board);
            if (!found.isEmpty()) {
                kept.add(i);
                grips.add(found);
            }
        }
        List<Placed> all = new ArrayList<>();
        for (Moment m : moments) {
            int n = m.midi().size();
            all.add(new Placed(same(n, -1), same(n, -1)));
        }
        // A long piece goes by stretches: the way back to the beginning matters in a riff alone.
        int stretch = 512;
        for (int from = 0; from < grips.size(); from += stretch) {
            List<List<Grip>> some = grips.subList(from, Math.min(grips.size(), from + stretch));
            List<double[]> alone =
                    some.stream().map(g -> g.stream().mapToDouble(Grip::cost).toArray()).toList();
            LoopPath path =
                    LoopPath.around(
                            alone,
                            (at, a, b) ->
                                    HAND.cost(
                                            board,
                                            some.get(at).get(a).shape(),
                                            some.get((at + 1) % some.size()).get(b).shape(),
                                            Family.POWER));
            for (int i = 0; i < some.size(); i++) {
                all.set(kept.get(from + i), some.get(i).get(path.taken().get(i)).placed());
            }
        }
        return all;
    }

    private static List<Integer> same(int n, int value) {
        return Collections.nCopies(n, value);
    }

    private record Grip(Placed placed, Shape shape, double cost) {}

    /** The likeliest grips; where no hand has all notes, of the most that a hand has. */
    private static List<Grip> grips(List<Integer> midi, Fretboard board) {
        List<Integer> wanted = new ArrayList<>();
        for (int m : midi) {
            boolean there = false;
            for (int s = 0; s < board.strings(); s++) {
                int fret = m - board.midi(s, 0);
                there |= fret >= 0 && fret <= board.frets();
            }
            wanted.add(there ? m : Integer.MIN_VALUE);
        }
        while (wanted.stream().filter(m -> m != Integer.MIN_VALUE).count() > MOST_NOTES) {
            wanted.set(inner(wanted), Integer.MIN_VALUE);
        }
        int there = (int) wanted.stream().filter(m -> m != Integer.MIN_VALUE).count();
        for (int kept = there; kept > 0; kept--) {
            List<Grip> found = new ArrayList<>();
            keeping(kept, wanted, 0, new ArrayList<>(wanted), board, found);
            if (!found.isEmpty()) {
                found.sort(Comparator.comparingDouble(Grip::cost));
                return found.size() > MOST_GRIPS ? found.subList(0, MOST_GRIPS) : found;
            }
        }
        return List.of();
    }

    /**
     * Grips of every choice of so many of the notes; those without the lowest or the highest cost
     * more.
     */
    private static void keeping(
            int kept,
            List<Integer> all,
            int from,
            List<Integer> wanted,
            Fretboard board,
            List<Grip> found) {
        int there = (int) wanted.stream().filter(m -> m != Integer.MIN_VALUE).count();
        if (there == kept) {
            int before = found.size();
            search(wanted, board, 0, new int[wanted.size()], 0, found, before + 400);
            double lost = lost(all, wanted);
            for (int i = before; i < found.size(); i++) {
                Grip g = found.get(i);
                found.set(i, new Grip(g.placed(), g.shape(), g.cost() + lost));
            }
            return;
        }
        for (int i = from; i < all.size(); i++) {
            if (wanted.get(i) != Integer.MIN_VALUE) {
                int note = wanted.set(i, Integer.MIN_VALUE);
                keeping(kept, all, i + 1, wanted, board, found);
                wanted.set(i, note);
            }
        }
    }

    private static double lost(List<Integer> all, List<Integer> wanted) {
        double cost = 0;
        int low = -1;
        int high = -1;
        for (int i = 0; i < all.size(); i++) {
            if (all.get(i) != Integer.MIN_VALUE) {
                low = low < 0 ? i : low;
                high = i;
            }
        }
        cost += low >= 0 && wanted.get(low) == Integer.MIN_VALUE ? LOWEST_LOST : 0;
        cost += high > low && wanted.get(high) == Integer.MIN_VALUE ? HIGHEST_LOST : 0;
        return cost;
    }

    /** The note in the middle of those that are wanted. */
    private static int inner(List<Integer> wanted) {
        List<Integer> there = new ArrayList<>();
        for (int i = 0; i < wanted.size(); i++) {
            if (wanted.get(i) != Integer.MIN_VALUE) {
                there.add(i);
            }
        }
        return there.get(there.size() / 2);
    }

    private static void search(
            List<Integer> midi,
            Fretboard board,
            int i,
            int[] strings,
            int used,
            List<Grip> found,
            int most) {
        if (found.size() >= most) {
            return;
        }
        if (i == midi.size()) {
            grip(midi, board, strings).ifPresent(found::add);
            return;
        }
        if (midi.get(i) == Integer.MIN_VALUE) {
            strings[i] = -1;
            search(midi, board, i + 1, strings, used, found, most);
            return;
        }
        for (int s = 0; s < board.strings(); s++) {
            int fret = midi.get(i) - board.midi(s, 0);
            if ((used & 1 << s) == 0 && fret >= 0 && fret <= board.frets()) {
                strings[i] = s;
                search(midi, board, i + 1, strings, used | 1 << s, found, most);
            }
        }
    }

    private static Optional<Grip> grip(List<Integer> midi, Fretboard board, int[] strings) {
        Integer[] frets = new Integer[midi.size()];
        int[] shape = new int[board.strings()];
        Arrays.fill(shape, Shape.SILENT);
        int low = Integer.MAX_VALUE;
        int high = 0;
        int lowString = Integer.MAX_VALUE;
        int highString = -1;
        int sounding = 0;
        int open = 0;
        for (int i = 0; i < strings.length; i++) {
            frets[i] = strings[i] < 0 ? -1 : midi.get(i) - board.midi(strings[i], 0);
            if (strings[i] < 0) {
                continue;
            }
            sounding++;
            shape[strings[i]] = frets[i];
            lowString = Math.min(lowString, strings[i]);
            highString = Math.max(highString, strings[i]);
            open += frets[i] == 0 ? 1 : 0;
            if (frets[i] > 0) {
                low = Math.min(low, frets[i]);
                high = Math.max(high, frets[i]);
            }
        }
        if (sounding == 0 || high > 0 && high - low > WIDEST) {
            return Optional.empty();
        }
        int wide = high == 0 ? 0 : high - low;
        double cost =
                PER_FRET_WIDE * wide
                        + PER_FRET_UP * high
                        + (high == 0 ? 0 : PER_OPEN_BESIDE * open)
                        + PER_SKIPPED_STRING * (highString - lowString + 1 - sounding);
        List<Integer> on = new ArrayList<>();
        for (int s : strings) {
            on.add(s);
        }
        return Optional.of(new Grip(new Placed(on, List.of(frets)), Shape.of(shape), cost));
    }
}
