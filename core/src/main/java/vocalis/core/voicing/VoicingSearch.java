package vocalis.core.voicing;

import java.util.ArrayList;
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
 * cannot mend: degrees that no chord of the recipe has together, more of them missing than strings
 * are left, too many voices or inner silences, a step that is not allowed, a reach past the hand.
 * What remains is asked the rest of {@link Recipe#accepts} and {@link Playability#playable}. The
 * tests compare the result with an independent brute force over all frets.
 */
public final class VoicingSearch {

    private static final int IMPOSSIBLE = 99;

    private final Recipe recipe;
    private final Fretboard board;
    private final int root;
    private final Playability hand;
    private final boolean drones;
    private final int[] missing;
    private final int[][] offered;
    private final boolean[][] reach;
    private final int[] frets;
    private final List<Voicing> found = new ArrayList<>();

    // The branch that is being tried, set and put back by place.
    private int voices;
    private int silences;
    private int degrees;
    private int low;
    private int high;
    private int opens;
    private int places;
    private boolean openBass;

    private VoicingSearch(Recipe recipe, Fretboard board, int root, Playability hand) {
        this.recipe = recipe;
        this.board = board;
        this.root = root;
        this.hand = hand;
        this.drones = recipe.opens() == Recipe.Opens.DRONES;
        this.frets = new int[board.strings()];
        java.util.Arrays.fill(frets, Shape.SILENT);
        this.missing = missing(recipe);
        this.offered = new int[board.strings()][];
        for (int string = 0; string < board.strings(); string++) {
            int[] some = new int[board.frets() + 1];
            int n = 0;
            for (int fret = 0; fret <= board.frets(); fret++) {
                if (missing[own(board.midi(string, fret), fret)] != IMPOSSIBLE) {
                    some[n++] = fret;
                }
            }
            offered[string] = java.util.Arrays.copyOf(some, n);
        }
        this.reach = new boolean[board.frets() + 1][board.frets() + 1];
        for (int a = 1; a <= board.frets(); a++) {
            for (int z = a; z <= board.frets(); z++) {
                reach[a][z] = hand.withinReach(board, a, z);
            }
        }
    }

    /** A note's degree as a bit; an open drone is none of the shape's own. */
    private int own(int midi, int fret) {
        return fret == 0 && drones ? 0 : 1 << Math.floorMod(midi - root, 12);
    }

    /** For every set of degrees: how many more the nearest chord that has them all wants. */
    private static int[] missing(Recipe recipe) {
        int[] missing = new int[1 << 12];
        java.util.Arrays.fill(missing, IMPOSSIBLE);
        for (int chord : recipe.chords()) {
            for (int part = chord; ; part = (part - 1) & chord) {
                missing[part] = Math.min(missing[part], Integer.bitCount(chord & ~part));
                if (part == 0) {
                    break;
                }
            }
        }
        return missing;
    }

    /**
     * All playable voicings, in the order of their shapes (lowest string first, silence before
     * frets).
     *
     * @param root pitch class 0 to 11
     */
    public static List<Voicing> all(Recipe recipe, Fretboard board, int root, Playability hand) {
        VoicingSearch search = new VoicingSearch(recipe, board, root, hand);
        search.place(0, -1, false, 0);
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

    /**
     * Decides a string and all above it.
     *
     * @param lastMidi the note of the sounded string before it, or -1
     * @param lastOpen whether that one is open
     * @param gap silent strings since then
     */
    private void place(int string, int lastMidi, boolean lastOpen, int gap) {
        if (string == board.strings()) {
            finish();
            return;
        }
        int left = Math.min(board.strings() - string, recipe.voices().most() - voices);
        if (missing[degrees] > left
                || voices + board.strings() - string < recipe.voices().least()) {
            return;
        }
        frets[string] = Shape.SILENT;
        place(string + 1, lastMidi, lastOpen, voices == 0 ? 0 : gap + 1);
        if (left == 0 || silences + gap > recipe.innerSilences().most()) {
            return;
        }
        silences += gap;
        voices++;
        int wasDegrees = degrees;
        int wasLow = low;
        int wasHigh = high;
        boolean begins = gap > 0 || lastMidi < 0 || lastOpen;
        for (int fret : offered[string]) {
            int midi = board.midi(string, fret);
            boolean open = fret == 0;
            degrees = wasDegrees | own(midi, fret);
            low = open || wasLow != 0 && wasLow < fret ? wasLow : fret;
            high = Math.max(wasHigh, fret);
            boolean fits =
                    missing[degrees] != IMPOSSIBLE
                            && (high == 0 || reach[low][high])
                            && (lastMidi < 0 || recipe.mayFollow(lastMidi, lastOpen, midi, open));
            if (fits) {
                frets[string] = fret;
                openBass = lastMidi < 0 ? open : openBass;
                opens += open ? 1 : 0;
                places += !open && begins ? 1 : 0;
                if (mayLie() && hand.mayHold(frets, string + 1)) {
                    place(string + 1, midi, open, 0);
                }
                opens -= open ? 1 : 0;
                places -= !open && begins ? 1 : 0;
            }
        }
        frets[string] = Shape.SILENT;
        degrees = wasDegrees;
        low = wasLow;
        high = wasHigh;
        voices--;
        silences -= gap;
    }

    /** Whether open strings may ring beside what is held so far; more notes mend nothing. */
    private boolean mayLie() {
        return recipe.opens() != Recipe.Opens.CROSSING
                || opens == 0
                || Recipe.mayLie(low, high, openBass ? places + 1 : places, silences);
    }

    /** What the pruning saw is not asked again; the rest of {@link Recipe#accepts} is. */
    private void finish() {
        if (voices < recipe.voices().least()
                || missing[degrees] != 0
                || silences < recipe.innerSilences().least()) {
            return;
        }
        int fretted = voices - opens;
        boolean past = high > Recipe.OPEN_POSITION_FRETS && opens > 0;
        boolean opensFit =
                switch (recipe.opens()) {
                    case DRONES -> opens > 0 && fretted >= 2;
                    case CROSSING -> !past || fretted >= Recipe.LEAST_FRETTED;
                    default -> true;
                };
        if (!opensFit || !bassFits()) {
            return;
        }
        Shape shape = Shape.of(frets);
        if (hand.playable(board, shape)) {
            found.add(new Voicing(shape, board, root));
        }
    }

    private boolean bassFits() {
        int lowest = Integer.MAX_VALUE;
        boolean open = false;
        for (int string = 0; string < frets.length; string++) {
            if (frets[string] >= 0) {
                int midi = board.midi(string, frets[string]);
                open = midi < lowest ? frets[string] == 0 : open;
                lowest = Math.min(lowest, midi);
            }
        }
        return (recipe.bass() >> Math.floorMod(lowest - root, 12) & 1) != 0 || drones && open;
    }
}
