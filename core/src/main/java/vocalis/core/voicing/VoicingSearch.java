package vocalis.core.voicing;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import vocalis.core.instrument.Fretboard;
import vocalis.core.instrument.Shape;

/**
 * Finds every playable voicing of a recipe on the whole neck.
 *
 * <p>Design: strings are decided from the lowest up, each silent, open or at a fret whose degree
 * the recipe allows. A branch is cut as soon as the notes so far break a rule that more notes
 * cannot mend: too many voices or inner silences, a step that is not allowed, a reach past the
 * hand. What remains is checked whole by {@link Recipe#accepts} and {@link Playability#playable}.
 * The tests compare the result with an independent brute force over all frets.
 */
public final class VoicingSearch {

    private final Recipe recipe;
    private final Fretboard board;
    private final int root;
    private final Playability hand;
    private final int[] frets;
    private final int required;
    private final List<Voicing> found = new ArrayList<>();

    private VoicingSearch(Recipe recipe, Fretboard board, int root, Playability hand) {
        this.recipe = recipe;
        this.board = board;
        this.root = root;
        this.hand = hand;
        this.frets = new int[board.strings()];
        int bits = 0;
        for (int degree : recipe.required()) {
            bits |= 1 << degree;
        }
        this.required = bits;
    }

    /**
     * All playable voicings, in the order of their shapes (lowest string first, silence before
     * frets).
     *
     * @param root pitch class 0 to 11
     */
    public static List<Voicing> all(Recipe recipe, Fretboard board, int root, Playability hand) {
        VoicingSearch search = new VoicingSearch(recipe, board, root, hand);
        search.place(0, new Branch(0, 0, 0, -1, 0, 0, 0));
        return List.copyOf(search.found);
    }

    /** All playable voicings of a family, each shape once. */
    public static List<Voicing> all(Family family, Fretboard board, int root, Playability hand) {
        Map<Shape, Voicing> found = new LinkedHashMap<>();
        for (Recipe recipe : family.recipes()) {
            for (Voicing v : all(recipe, board, root, hand)) {
                found.putIfAbsent(v.shape(), v);
            }
        }
        return List.copyOf(found.values());
    }

    /** The notes placed so far; {@code low} and {@code high} are fretted frets, 0 for none. */
    private record Branch(
            int voices, int silences, int gap, int lastMidi, int low, int high, int degrees) {}

    private void place(int string, Branch b) {
        if (string == board.strings()) {
            finish(b);
            return;
        }
        int strings = board.strings() - string;
        int missing = Integer.bitCount(required & ~b.degrees);
        if (missing > Math.min(strings, recipe.voices().most() - b.voices)
                || b.voices + strings < recipe.voices().least()) {
            return;
        }
        frets[string] = Shape.SILENT;
        place(
                string + 1,
                b.voices == 0
                        ? b
                        : new Branch(
                                b.voices,
                                b.silences,
                                b.gap + 1,
                                b.lastMidi,
                                b.low,
                                b.high,
                                b.degrees));
        int silences = b.silences + b.gap;
        if (b.voices == recipe.voices().most() || silences > recipe.innerSilences().most()) {
            return;
        }
        for (int fret = 0; fret <= board.frets(); fret++) {
            int midi = board.midi(string, fret);
            if (!fits(b, midi, fret)) {
                continue;
            }
            frets[string] = fret;
            int low = fret == 0 || (b.low != 0 && b.low < fret) ? b.low : fret;
            place(
                    string + 1,
                    new Branch(
                            b.voices + 1,
                            silences,
                            0,
                            midi,
                            low,
                            Math.max(b.high, fret),
                            b.degrees | degree(midi, fret)));
        }
        frets[string] = Shape.SILENT;
    }

    /** The degree's bit; an open drone does not count as one of the shape's own notes. */
    private int degree(int midi, int fret) {
        return fret == 0 && recipe.drones() ? 0 : 1 << Math.floorMod(midi - root, 12);
    }

    private boolean fits(Branch b, int midi, int fret) {
        int degree = Math.floorMod(midi - root, 12);
        if (!recipe.mayStand(degree, fret == 0)) {
            return false;
        }
        if (recipe.opens() == Recipe.Opens.OPEN_POSITION && fret > Recipe.OPEN_POSITION_FRETS) {
            return false;
        }
        if (b.voices == 0) {
            if (!recipe.crosses() && !recipe.bass().contains(degree)) {
                return false;
            }
        } else if (!recipe.stepAllowed(midi - b.lastMidi)) {
            return false;
        }
        return fret == 0
                || b.low == 0
                || hand.withinReach(board, Math.min(b.low, fret), Math.max(b.high, fret));
    }

    private void finish(Branch b) {
        if (b.voices < recipe.voices().least()) {
            return;
        }
        Shape shape = new Shape(Arrays.stream(frets).boxed().toList());
        Voicing voicing = new Voicing(shape, board, root);
        if (recipe.accepts(voicing) && hand.playable(board, shape)) {
            found.add(voicing);
        }
    }
}
