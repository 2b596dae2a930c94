package vocalis.core.names;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import vocalis.core.instrument.Fretboard;
import vocalis.core.theory.Degree;
import vocalis.core.theory.Key;
import vocalis.core.theory.PitchClassSet;
import vocalis.core.theory.Spelling;
import vocalis.core.voicing.Voicing;

/**
 * Gives every set of notes its exact names: symbols that say every sounding pitch class and none
 * that does not sound, except as an explicit omission.
 *
 * <p>Design: each sounding pitch class is taken as root, and the intervals above it are looked up
 * in {@link Quality}, or in {@link Dyad} where two different notes sound. A bass that sounds
 * nowhere else may stand outside the chord, after the slash. Each way to read the notes costs a
 * sum: what its quality costs, a slash, how far its root lies behind the heard one, a root outside
 * the key, less what speaks for it in the riff; the cheapest comes first. The weights are published
 * in docs/figures.md.
 */
public final class ChordNamer {

    private static final double SLASH = 1.2;
    private static final double SLASH_FIFTH = 0.9;
    private static final double SLASH_OUTSIDE = 1.3;
    private static final double SUSPENDED_OVER_OUTSIDE = 0.3;
    private static final double DYAD_SLASH = 0.5;
    private static final double BEHIND_HEARD = 2.0;
    private static final double OUTSIDE_KEY = 0.6;
    private static final int MOST_MODIFIERS = 2;

    private ChordNamer() {}

    /** All exact names of a chord by itself, best first; never empty. */
    public static List<ChordName> names(Voicing voicing, Optional<Key> key) {
        return names(voicing, key, Around.NOTHING);
    }

    /** All exact names of a chord where it stands, best first; never empty. */
    public static List<ChordName> names(Voicing voicing, Optional<Key> key, Around around) {
        return names(voicing, key, around, Double.POSITIVE_INFINITY);
    }

    /** How much a name that is said beside the best may cost more: past it nobody says it. */
    private static final double SAID_BESIDE = 2.2;

    /** The exact names of a chord where it stands that a player may say, best first. */
    public static List<ChordName> said(Voicing voicing, Optional<Key> key, Around around) {
        return names(voicing, key, around, SAID_BESIDE);
    }

    private static List<ChordName> names(
            Voicing voicing, Optional<Key> key, Around around, double within) {
        Notes notes = Notes.of(voicing);
        List<Candidate> all = candidates(notes, key, around);
        all.sort((a, b) -> Double.compare(a.cost, b.cost));
        boolean plainOne = all.stream().anyMatch(c -> c.modifiers <= MOST_MODIFIERS);
        Speller speller = new Speller(key, true);
        List<ChordName> names = new ArrayList<>();
        int heard = Support.of(notes, key).best();
        Set<Integer> roots = new HashSet<>();
        Set<String> symbols = new HashSet<>();
        Candidate lead = best(all, heard, around);
        all.removeIf(c -> c == lead);
        all.add(0, lead);
        for (Candidate c : all) {
            // The cheapest name on the root that is heard, or chosen, is said whatever it takes.
            boolean ofRoot =
                    (c.root == heard || Around.is(around.chosen(), c.root)) && roots.add(c.root);
            boolean said = c == lead || c.cost <= lead.cost + within;
            if (ofRoot || said && (!plainOne || c.modifiers <= MOST_MODIFIERS)) {
                ChordName name = speller.spell(c, notes.bassClass());
                if (symbols.add(name.symbol())) {
                    names.add(name);
                }
            }
        }
        return names;
    }

    /** The best exact name: the first of {@link #names}, the only one that is spelled out. */
    public static ChordName name(Voicing voicing, Optional<Key> key) {
        return name(voicing, key, Around.NOTHING);
    }

    /** The best exact name of a chord where it stands. */
    public static ChordName name(Voicing voicing, Optional<Key> key, Around around) {
        Notes notes = Notes.of(voicing);
        List<Candidate> all = candidates(notes, key, around);
        Candidate best =
                around.chosen().isEmpty()
                        ? best(all)
                        : best(all, Support.of(notes, key).best(), around);
        return new Speller(key, false).spell(best, notes.bassClass());
    }

    /**
     * How much dearer the cheapest name on another root is than the best name: what is near to 0
     * may as well be called otherwise. Infinite where no other note could be the root.
     */
    public static double lead(Voicing voicing, Optional<Key> key) {
        List<Candidate> all = candidates(Notes.of(voicing), key, Around.NOTHING);
        Candidate best = best(all);
        return all.stream()
                .filter(c -> c.root != best.root)
                .mapToDouble(c -> c.cost - best.cost)
                .min()
                .orElse(Double.POSITIVE_INFINITY);
    }

    /**
     * What the fingering of a voicing under a capo is called without it: an A shape over a capo at
     * the second fret sounds B, and is still an A shape. Empty without a capo.
     */
    public static Optional<ChordName> ofFingering(Voicing v, Around around) {
        int capo = v.board().capo();
        if (capo == 0) {
            return Optional.empty();
        }
        Fretboard bare = new Fretboard(v.board().instrument(), 0);
        int root = Math.floorMod(v.root() - capo, 12);
        boolean chosen = around.chosen().isPresent();
        return Optional.of(
                name(
                        new Voicing(v.shape(), bare, root),
                        Optional.empty(),
                        chosen ? Around.root(root) : Around.NOTHING));
    }

    /** The best name of a voicing over another bass, a pitch class that need not sound in it. */
    public static ChordName over(Voicing voicing, int bass, Optional<Key> key) {
        Notes notes = Notes.of(voicing).over(bass);
        return new Speller(key, false).spell(best(candidates(notes, key, Around.NOTHING)), bass);
    }

    /**
     * The name that leads. Where a root was chosen it is on that root or on the one that is heard:
     * a third one says nothing to who chose.
     */
    private static Candidate best(List<Candidate> candidates, int heard, Around around) {
        Candidate best = null;
        // Of two notes the interval is the name, whichever of them was meant.
        boolean interval = candidates.stream().map(Candidate::root).distinct().count() <= 2;
        if (around.chosen().isPresent() && !interval) {
            for (Candidate c : candidates) {
                boolean asked = c.root == heard || Around.is(around.chosen(), c.root);
                best = asked && (best == null || c.cost < best.cost) ? c : best;
            }
        }
        return best != null ? best : best(candidates);
    }

    private static Candidate best(List<Candidate> candidates) {
        Candidate best = candidates.get(0);
        for (Candidate c : candidates) {
            best = c.cost < best.cost ? c : best;
        }
        return best;
    }

    /**
     * A way to read the notes over one of them as root.
     *
     * @param slash whether the bass is said after the root
     * @param cost the ranking, less is better
     */
    private record Candidate(int root, String suffix, int modifiers, boolean slash, double cost) {}

    private static List<Candidate> candidates(Notes notes, Optional<Key> key, Around around) {
        Support support = Support.of(notes, key);
        PitchClassSet scale = key.map(Key::pitchClasses).orElse(PitchClassSet.ALL);
        PitchClassSet all = notes.pitchClasses();
        int bass = notes.bassClass();
        boolean bassOnlyBelow = notes.count(bass) == 1 && all.size() > 2;
        List<Candidate> out = new ArrayList<>(24);
        for (int root = 0; root < 12; root++) {
            if (!all.has(root)) {
                continue;
            }
            double at = BEHIND_HEARD * support.behind(root) - around.favour(root, bass);
            at += scale.has(root) ? 0 : OUTSIDE_KEY;
            if (all.size() <= 2) {
                few(notes, root, at, out);
                continue;
            }
            boolean slash = root != bass;
            for (Quality q : Quality.all(all.above(root))) {
                out.add(candidate(root, q, slash, at + slash(root, bass, q)));
            }
            if (slash && bassOnlyBelow) {
                Quality upper = Quality.of(all.without(bass).above(root));
                if (!omits(upper, Math.floorMod(bass - root, 12))) {
                    double price = upper.suspended() ? SUSPENDED_OVER_OUTSIDE : 0;
                    out.add(candidate(root, upper, true, at + SLASH_OUTSIDE + price));
                }
            }
        }
        return out;
    }

    private static Candidate candidate(int root, Quality q, boolean slash, double cost) {
        return new Candidate(root, q.suffix(), q.modifiers(), slash, q.cost() + cost);
    }

    /** Whether a quality says that the note which lies in the bass is missing. */
    private static boolean omits(Quality q, int bassAbove) {
        return (bassAbove == 7 || bassAbove == 6 || bassAbove == 8) && q.saysNoFifth()
                || (bassAbove == 3 || bassAbove == 4) && q.saysNoThird();
    }

    /** One note, or two different ones. */
    private static void few(Notes notes, int root, double at, List<Candidate> out) {
        PitchClassSet above = notes.pitchClasses().above(root).without(0);
        boolean slash = root != notes.bassClass();
        if (above.isEmpty()) {
            String word =
                    notes.voices() == 1 ? " alone" : notes.span() == 0 ? " unison" : " octave";
            out.add(new Candidate(root, word, 0, false, at));
            return;
        }
        int semitones = above.first();
        Optional<Dyad> dyad = Dyad.of(semitones, !slash);
        boolean fourth = dyad.isPresent() && dyad.get() == Dyad.FOURTH;
        // A third with its root on top is heard and called as the sixth from its lower note.
        boolean third =
                slash
                        && notes.voices() == 2
                        && dyad.isPresent()
                        && (dyad.get() == Dyad.MINOR_THIRD || dyad.get() == Dyad.MAJOR_THIRD);
        if (dyad.isPresent() && !third && !(fourth && notes.voices() > 2)) {
            String words = " " + dyad.get().words(notes.span() > 12);
            boolean over = slash && !fourth;
            double cost = dyad.get().cost() + at + (over ? DYAD_SLASH : 0);
            out.add(new Candidate(root, words, 0, over, cost));
        }
        Quality q = Quality.of(above);
        out.add(candidate(root, q, slash, at + slash(root, notes.bassClass(), q)));
    }

    /** Over its fifth a chord stays most itself, unless it is one that reads as another there. */
    private static double slash(int root, int bass, Quality q) {
        boolean steady = !q.sixth() && !q.suspended();
        return switch (Math.floorMod(bass - root, 12)) {
            case 0 -> 0;
            case 7 -> steady ? SLASH_FIFTH : SLASH;
            default -> SLASH;
        };
    }

    /**
     * Spells the names of one list alike: by the key where there is one; otherwise the first name's
     * root plainly, and every further root as the first name spells that note.
     */
    private static final class Speller {
        private final Optional<Key> key;
        private final boolean more;
        private ChordSymbol first;

        /**
         * @param more whether names are to follow the first
         */
        Speller(Optional<Key> key, boolean more) {
            this.key = key.map(Key::said);
            this.more = more;
        }

        ChordName spell(Candidate c, int bass) {
            ChordName name = spell(c, bass, root(c));
            boolean twice = name.bass().isPresent() && mixed(name.root(), name.bass().get());
            return twice ? alike(spell(c, bass, Spelling.plain(c.root))) : name;
        }

        /** A bass that is no note of the chord takes sharps or flats as its root does. */
        private static ChordName alike(ChordName n) {
            Spelling bass = n.bass().orElseThrow();
            boolean own =
                    ChordSymbol.parse(n.root().symbol() + n.suffix())
                            .spelled(bass.pitchClass())
                            .equals(n.bass());
            if (own || n.root().alter() * bass.alter() >= 0) {
                return n;
            }
            int alter = n.root().alter();
            Spelling beside = Spelling.plain(bass.pitchClass() - alter);
            Spelling other = new Spelling(beside.letter(), alter);
            return new ChordName(n.root(), n.suffix(), Optional.of(other), n.modifiers());
        }

        /** A sharp beside a flat, or a note that only a double accidental would spell. */
        private boolean mixed(Spelling root, Spelling bass) {
            Spelling said = root.above(Degree.above(bass.pitchClass() - root.pitchClass()));
            return root.alter() * bass.alter() < 0 || Math.abs(said.alter()) > 1 && !common(root);
        }

        private ChordName spell(Candidate c, int bass, Spelling root) {
            ChordSymbol symbol = first;
            if (c.slash || more && key.isEmpty() && first == null) {
                symbol = ChordSymbol.parse(root.symbol() + c.suffix);
            }
            first = first == null ? symbol : first;
            Optional<Spelling> slash =
                    c.slash ? Optional.of(bass(bass, root, symbol)) : Optional.empty();
            return new ChordName(root, c.suffix, slash, c.modifiers);
        }

        private Spelling root(Candidate c) {
            if (key.isPresent()) {
                return simple(key.get().spell(c.root));
            }
            if (first != null) {
                Optional<Spelling> said = first.spelled(c.root).filter(Speller::common);
                if (said.isPresent()) {
                    return said.get();
                }
            }
            // G♯m, not A♭m, where nothing else is known.
            boolean minor = c.root == 8 && c.suffix.startsWith("m") && !c.suffix.startsWith("maj");
            return minor ? Spelling.parse("G#") : Spelling.plain(c.root);
        }

        private Spelling bass(int bass, Spelling root, ChordSymbol symbol) {
            Optional<Spelling> said = symbol.spelled(bass);
            if (said.isPresent()) {
                return simple(said.get());
            }
            if (key.isPresent() && key.get().contains(bass)) {
                return key.get().spell(bass);
            }
            Spelling above = root.above(Degree.above(bass - root.pitchClass()));
            return common(above) ? above : Spelling.plain(bass);
        }

        /** No double accidental, no B♯, E♯, F♭ or C♭. */
        private static boolean common(Spelling s) {
            boolean whiteKey = Set.of(0, 4, 5, 11).contains(s.pitchClass());
            return s.alter() == 0 || Math.abs(s.alter()) == 1 && !whiteKey;
        }

        private static Spelling simple(Spelling s) {
            return Math.abs(s.alter()) < 2 ? s : Spelling.plain(s.pitchClass());
        }
    }
}
