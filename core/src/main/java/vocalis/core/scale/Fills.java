package vocalis.core.scale;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import vocalis.core.derive.Derived;
import vocalis.core.instrument.Fretboard;
import vocalis.core.theory.Key;
import vocalis.core.voicing.Sounding;
import vocalis.core.voicing.Voicing;

/**
 * Fills of two to six notes out of one box that land on the next root: the last note lies a step of
 * the scale beside it, and the hand is near where the next chord is held. Common practice, no
 * source.
 */
public final class Fills {

    public static final int FEWEST = 2;
    public static final int MOST = 6;

    /** Widest last step, in semitones: a pentatonic's. */
    private static final int STEP = 3;

    /** As many offers of one kind. */
    private static final int OF_A_KIND = 2;

    private static final int OCTAVE = 12;

    private Fills() {}

    /**
     * The root that follows a tick: which chord, and the lowest note of it that is its root, or its
     * lowest note where the root is left out.
     */
    private record Landing(int chord, long at, int midi) {}

    /** What can be played from a tick on up to the next root, the best first. */
    public static List<Fill> of(Derived derived, Box box, long from, long step) {
        Landing to = landing(derived, from);
        List<Fill> all = new ArrayList<>();
        int room = (int) Math.min(MOST, (to.at() - from) / step);
        for (int n = FEWEST; n <= room; n++) {
            for (Fill.Kind kind : Fill.Kind.values()) {
                for (int octave = 0; octave <= 1; octave++) {
                    int target = to.midi() + OCTAVE * octave;
                    long at = to.at() - n * step;
                    notes(kind, n, derived, box, derived.riff().chordAt(from), target)
                            .filter(s -> lands(s, target))
                            .map(s -> new Fill(kind, at, step, s, target))
                            .ifPresent(all::add);
                }
            }
        }
        all.sort(Comparator.comparingDouble(f -> weight(f, derived, to, room)));
        return varied(all);
    }

    /** The box nearest to where the hand is and will be, of all boxes of a scale. */
    public static Optional<Box> box(Derived derived, Key scale, long from) {
        Fretboard board = derived.riff().ground().board();
        Landing to = landing(derived, from);
        double now = place(derived, derived.riff().chordAt(from));
        double then = place(derived, to.chord());
        return IntStream.rangeClosed(0, board.frets())
                .mapToObj(f -> Boxes.at(board, scale, f))
                .flatMap(Optional::stream)
                .min(
                        Comparator.comparingDouble(
                                b -> Math.abs(b.position() - now) + Math.abs(b.position() - then)));
    }

    private static double place(Derived derived, int chord) {
        return Math.max(1, derived.chord(chord).candidate().voicing().shape().lowestFretted());
    }

    private static Landing landing(Derived derived, long from) {
        int chord = derived.riff().chordAt(from);
        int next = (chord + 1) % derived.chords().size();
        Voicing v = derived.chord(next).candidate().voicing();
        int root = derived.chord(next).root();
        int midi =
                v.soundings().stream()
                        .mapToInt(Sounding::midi)
                        .filter(m -> Math.floorMod(m, OCTAVE) == root)
                        .min()
                        .orElseGet(() -> v.soundings().get(0).midi());
        return new Landing(next, derived.chord(chord).end(), midi);
    }

    private static boolean lands(List<Box.Spot> spots, int target) {
        int last = Math.abs(spots.get(spots.size() - 1).midi() - target);
        return last > 0 && last <= STEP;
    }

    private static Optional<List<Box.Spot>> notes(
            Fill.Kind kind, int n, Derived derived, Box box, int chord, int target) {
        List<Box.Spot> below = box.spots().stream().filter(s -> s.midi() < target).toList();
        List<Box.Spot> above = box.spots().stream().filter(s -> s.midi() > target).toList();
        int b = below.size();
        return switch (kind) {
            case UP -> taken(below, IntStream.range(b - n, b));
            case DOWN -> taken(above, IntStream.iterate(n - 1, i -> i >= 0, i -> i - 1));
            case AROUND -> around(below, above, n);
            case SKIPS_UP -> taken(below, thirds(n).map(i -> i < 0 ? -1 : b - 1 - i));
            case SKIPS_DOWN -> taken(above, thirds(n));
            case CHORD -> chord(derived.chord(chord).candidate().voicing(), below, n);
        };
    }

    /** Steps of the scale from the target in broken thirds, the nearest last; of four or six. */
    private static IntStream thirds(int n) {
        return switch (n) {
            case 4 -> IntStream.of(3, 1, 2, 0);
            case 6 -> IntStream.of(4, 2, 3, 1, 2, 0);
            default -> IntStream.of(-1);
        };
    }

    private static Optional<List<Box.Spot>> taken(List<Box.Spot> from, IntStream indices) {
        int[] each = indices.toArray();
        if (IntStream.of(each).anyMatch(i -> i < 0 || i >= from.size())) {
            return Optional.empty();
        }
        return Optional.of(IntStream.of(each).mapToObj(from::get).toList());
    }

    /** Farther above, farther below, then near above, near below: the root lies between. */
    private static Optional<List<Box.Spot>> around(
            List<Box.Spot> below, List<Box.Spot> above, int n) {
        List<Box.Spot> out = new ArrayList<>();
        for (int i = n - 1; i >= 0; i--) {
            int far = i / 2;
            boolean up = i % 2 == 1;
            if (far >= (up ? above : below).size()) {
                return Optional.empty();
            }
            out.add(up ? above.get(far) : below.get(below.size() - 1 - far));
        }
        return Optional.of(out);
    }

    /** Tones of the chord that holds, upwards, then the note below the root. */
    private static Optional<List<Box.Spot>> chord(Voicing now, List<Box.Spot> below, int n) {
        if (below.isEmpty()) {
            return Optional.empty();
        }
        Set<Integer> tones = new HashSet<>();
        now.soundings().forEach(s -> tones.add(Math.floorMod(s.midi(), OCTAVE)));
        Box.Spot last = below.get(below.size() - 1);
        List<Box.Spot> out =
                new ArrayList<>(
                        below.stream()
                                .filter(s -> tones.contains(Math.floorMod(s.midi(), OCTAVE)))
                                .filter(s -> s.midi() < last.midi())
                                .toList());
        if (out.size() < n - 1 || n < 3) {
            return Optional.empty();
        }
        List<Box.Spot> end = new ArrayList<>(out.subList(out.size() - n + 1, out.size()));
        end.add(last);
        return Optional.of(end);
    }

    /** Less is better: far from the next grip, strings leapt over, room left or none left. */
    private static double weight(Fill f, Derived derived, Landing to, int room) {
        Box.Spot last = f.spots().get(f.spots().size() - 1);
        double away = last.fret() == 0 ? 0 : Math.abs(last.fret() - place(derived, to.chord()));
        double leaps = 0;
        for (int i = 1; i < f.spots().size(); i++) {
            int strings = Math.abs(f.spots().get(i).string() - f.spots().get(i - 1).string());
            leaps += Math.max(0, strings - 1);
        }
        double length = Math.abs(f.spots().size() - Math.min(4, room));
        double octave = f.target() == to.midi() ? 0 : 1.5;
        return Math.max(0, away - 3) + leaps + 0.7 * length + octave + 0.2 * f.kind().ordinal();
    }

    /** At most two of a kind, and no notes twice. */
    private static List<Fill> varied(List<Fill> all) {
        int[] seen = new int[Fill.Kind.values().length];
        Set<List<Box.Spot>> played = new HashSet<>();
        List<Fill> out = new ArrayList<>();
        for (Fill f : all) {
            if (seen[f.kind().ordinal()] < OF_A_KIND && played.add(f.spots())) {
                seen[f.kind().ordinal()]++;
                out.add(f);
            }
        }
        return out;
    }
}
