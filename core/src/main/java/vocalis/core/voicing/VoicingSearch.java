package vocalis.core.voicing;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
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
    private final List<Voicing> found = new ArrayList<>();

    private VoicingSearch(Recipe recipe, Fretboard board, int root, Playability hand) {
        this.recipe = recipe;
        this.board = board;
        this.root = root;
        this.hand = hand;
        this.frets = new int[board.strings()];
    }

    /**
     * All playable voicings, in the order of their shapes (lowest string first, silence before
     * frets).
     *
     * @param root pitch class 0 to 11
     */
    public static List<Voicing> all(Recipe recipe, Fretboard board, int root, Playability hand) {
        VoicingSearch search = new VoicingSearch(recipe, board, root, hand);
        search.place(0, new Branch(0, 0, 0, -1, 0, 0));
        return List.copyOf(search.found);
    }

    /** The notes placed so far; {@code low} and {@code high} are fretted frets, 0 for none. */
    private record Branch(int voices, int silences, int gap, int lastMidi, int low, int high) {}

    private void place(int string, Branch b) {
        if (string == board.strings()) {
            finish(b);
            return;
        }
        frets[string] = Shape.SILENT;
        place(
                string + 1,
                b.voices == 0
                        ? b
                        : new Branch(b.voices, b.silences, b.gap + 1, b.lastMidi, b.low, b.high));
        int silences = b.silences + b.gap;
        if (b.voices == recipe.maxVoices() || silences > recipe.innerSilences().most()) {
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
                    new Branch(b.voices + 1, silences, 0, midi, low, Math.max(b.high, fret)));
        }
        frets[string] = Shape.SILENT;
    }

    private boolean fits(Branch b, int midi, int fret) {
        int degree = Math.floorMod(midi - root, 12);
        if (!recipe.allowed().contains(degree)) {
            return false;
        }
        if (b.voices == 0
                ? !recipe.bass().contains(degree)
                : !recipe.stepAllowed(midi - b.lastMidi)) {
            return false;
        }
        return fret == 0
                || b.low == 0
                || hand.withinReach(board, Math.min(b.low, fret), Math.max(b.high, fret));
    }

    private void finish(Branch b) {
        if (b.voices < recipe.minVoices()) {
            return;
        }
        Shape shape = new Shape(Arrays.stream(frets).boxed().toList());
        Voicing voicing = new Voicing(shape, board, root);
        if (recipe.accepts(voicing) && hand.playable(board, shape)) {
            found.add(voicing);
        }
    }
}
