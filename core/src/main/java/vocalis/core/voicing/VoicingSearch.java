package vocalis.core.voicing;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.IntStream;
import vocalis.core.instrument.Fretboard;
import vocalis.core.instrument.Shape;

/**
 * Finds every playable voicing of a recipe on the whole neck.
 *
 * <p>Design: every lowest sounded string is searched on a processor of its own; from it strings are
 * decided upward, each silent, open or at a fret whose degree the recipe allows. A branch is cut as
 * soon as the notes so far break a rule that more notes cannot mend: degrees that no chord of the
 * recipe has together, more of them missing than strings are left, too many voices or inner
 * silences, a step that is not allowed, a bass that nothing lower can replace, a reach past the
 * hand. What remains is asked the rest of {@link Recipe#accepts} and {@link Playability#playable}.
 * The tests compare the result with an independent brute force over all frets.
 */
public final class VoicingSearch {

    private static final int IMPOSSIBLE = 99;

    private final Recipe recipe;
    private final List<Recipe> earlier;
    private final Fretboard board;
    private final int root;
    private final Playability hand;
    private final boolean drones;
    private final int[] missing;
    private final int[][] offered;
    private final int[] openMidi;
    private final int[] lowestFrom;
    private final int[] farthestUp;
    private final int[] farthestDown;

    /**
     * @param own which of the recipes is searched; what those before it have is left to them
     */
    private VoicingSearch(
            List<Recipe> recipes, int own, Fretboard board, int root, Playability hand) {
        this.recipe = recipes.get(own);
        this.earlier = recipes.subList(0, own);
        this.board = board;
        this.root = root;
        this.hand = hand;
        this.drones = recipe.opens() == Recipe.Opens.DRONES;
        this.missing = missing(recipe);
        this.openMidi = new int[board.strings()];
        for (int string = 0; string < openMidi.length; string++) {
            openMidi[string] = board.midi(string, 0);
        }
        this.lowestFrom = new int[openMidi.length + 1];
        lowestFrom[openMidi.length] = Integer.MAX_VALUE;
        for (int string = openMidi.length - 1; string >= 0; string--) {
            lowestFrom[string] = Math.min(openMidi[string], lowestFrom[string + 1]);
        }
        this.offered = new int[board.strings()][];
        for (int string = 0; string < board.strings(); string++) {
            int[] some = new int[board.frets() + 1];
            int n = 0;
            for (int fret = 0; fret <= board.frets(); fret++) {
                if (missing[own(board.midi(string, fret), fret)] != IMPOSSIBLE) {
                    some[n++] = fret;
                }
            }
            offered[string] = Arrays.copyOf(some, n);
        }
        this.farthestUp = new int[board.frets() + 1];
        this.farthestDown = new int[board.frets() + 1];
        farthestUp[0] = board.frets();
        for (int fret = 1; fret <= board.frets(); fret++) {
            farthestUp[fret] = fret;
            while (farthestUp[fret] < board.frets()
                    && hand.withinReach(board, fret, farthestUp[fret] + 1)) {
                farthestUp[fret]++;
            }
            farthestDown[fret] = fret;
            while (farthestDown[fret] > 1
                    && hand.withinReach(board, farthestDown[fret] - 1, fret)) {
                farthestDown[fret]--;
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
        Arrays.fill(missing, IMPOSSIBLE);
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
        return all(List.of(recipe), board, root, hand, playable(hand));
    }

    /** All playable voicings of a family, each shape once. */
    public static List<Voicing> all(Family family, Fretboard board, int root, Playability hand) {
        return all(family.recipes(), board, root, hand, playable(hand));
    }

    private static Function<Voicing, Optional<Voicing>> playable(Playability hand) {
        return v -> Optional.of(v).filter(w -> hand.playable(w.board(), w.shape()));
    }

    /**
     * What is made of all voicings of a family within reach, each shape once.
     *
     * @param made asked on any thread whether a voicing can be held, and what it comes to then
     */
    public static <T> List<T> all(
            Family family,
            Fretboard board,
            int root,
            Playability hand,
            Function<Voicing, Optional<T>> made) {
        return all(family.recipes(), board, root, hand, made);
    }

    private static <T> List<T> all(
            List<Recipe> recipes,
            Fretboard board,
            int root,
            Playability hand,
            Function<Voicing, Optional<T>> made) {
        List<VoicingSearch> searches =
                IntStream.range(0, recipes.size())
                        .mapToObj(own -> new VoicingSearch(recipes, own, board, root, hand))
                        .toList();
        return IntStream.range(0, recipes.size() * board.strings())
                .parallel()
                .mapToObj(
                        n ->
                                searches.get(n / board.strings()).new Branch<>(made)
                                        .from(board.strings() - 1 - n % board.strings()))
                .flatMap(List::stream)
                .toList();
    }

    /** All shapes of one lowest sounded string, tried one after another on one thread. */
    private final class Branch<T> {
        private final int[] frets = new int[board.strings()];
        private final List<T> found = new ArrayList<>();
        private final Function<Voicing, Optional<T>> made;

        // What is being tried, set and put back by place.
        private int voices;
        private int silences;
        private int degrees;
        private int low;
        private int high;
        private int opens;
        private int places;
        private boolean openBass;
        private int bass = Integer.MAX_VALUE;
        private boolean bassRings;

        private Branch(Function<Voicing, Optional<T>> made) {
            this.made = made;
            Arrays.fill(frets, Shape.SILENT);
        }

        /** Every voicing whose lowest sounded string is the given one. */
        private List<T> from(int string) {
            sound(string, -1, false, 0);
            return found;
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
            if (missing[degrees] <= board.strings() - string - 1) {
                place(string + 1, lastMidi, lastOpen, voices == 0 ? 0 : gap + 1);
            }
            if (left > 0 && silences + gap <= recipe.innerSilences().most()) {
                sound(string, lastMidi, lastOpen, gap);
            }
        }

        /** Lets a string sound in every way, and decides all above it. */
        private void sound(int string, int lastMidi, boolean lastOpen, int gap) {
            silences += gap;
            voices++;
            int wasDegrees = degrees;
            int wasLow = low;
            int wasHigh = high;
            int wasBass = bass;
            boolean wasRinging = bassRings;
            boolean begins = gap > 0 || lastMidi < 0 || lastOpen;
            int from = farthestDown[wasHigh];
            int to = farthestUp[wasLow];
            for (int fret : offered[string]) {
                boolean open = fret == 0;
                if (!open && fret < from) {
                    continue;
                }
                if (fret > to) {
                    break;
                }
                int midi = openMidi[string] + fret;
                degrees = wasDegrees | own(midi, fret);
                low = open || wasLow != 0 && wasLow < fret ? wasLow : fret;
                high = Math.max(wasHigh, fret);
                bass = Math.min(wasBass, midi);
                bassRings = midi < wasBass ? open : wasRinging;
                boolean fits =
                        missing[degrees] != IMPOSSIBLE
                                && (bassFits() || lowestFrom[string + 1] < bass)
                                && (lastMidi < 0
                                        || recipe.mayFollow(lastMidi, lastOpen, midi, open));
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
            bass = wasBass;
            bassRings = wasRinging;
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
            Voicing voicing = new Voicing(Shape.of(frets), board, root);
            if (!foundBefore(voicing)) {
                made.apply(voicing).ifPresent(found::add);
            }
        }

        /** Whether an earlier recipe of the family has it too. */
        private boolean foundBefore(Voicing voicing) {
            for (Recipe r : earlier) {
                if (r.mayHave(voices, silences, degrees) && r.accepts(voicing)) {
                    return true;
                }
            }
            return false;
        }

        private boolean bassFits() {
            return (recipe.bass() >> Math.floorMod(bass - root, 12) & 1) != 0
                    || drones && bassRings;
        }
    }
}
