package vocalis.core.choice;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.PriorityQueue;
import java.util.function.Supplier;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import vocalis.core.hands.Fingering;
import vocalis.core.hands.Grip;
import vocalis.core.hands.Grips;
import vocalis.core.hands.Hand;
import vocalis.core.instrument.Fretboard;
import vocalis.core.instrument.Shape;
import vocalis.core.theory.PitchClassSet;
import vocalis.core.voicing.BareVoicing;
import vocalis.core.voicing.OpenPosition;
import vocalis.core.voicing.Recipe;
import vocalis.core.voicing.Voicing;

/**
 * Finds the voicings of some recipes that a hand holds on a neck: all of them, or the best of each
 * place.
 *
 * <p>Design: a grip is found once for the whole neck ({@link Grips}). Without open strings it is
 * the same chord on another root wherever it is moved, so what it is and what it is charged are
 * asked once for all roots. Beside open strings it is tried in every place with every set of them.
 * Where only the best are wanted, what cannot be one of them even at its least effort is left out.
 * The tests compare the result with an independent brute force over all frets.
 */
final class VoicingSearch {

    private static final int SETS = 1 << 12;
    private static final Grip[] NONE = {};

    /** Rounding of sums in another order stays far under this. */
    private static final double ROUNDING = 1e-9;

    private final Neck neck;
    private final Recipe[] recipes;
    private final Charge charge;

    /** For every set of degrees, the recipes that have it as a chord, a bit each. */
    private final int[] chord = new int[SETS];

    /** The same for recipes of drones: what is fretted is the chord, whatever rings. */
    private final int[] fretted = new int[SETS];

    /** For every set of degrees, the recipes that have a chord with these and more. */
    private final int[] part = new int[SETS];

    /** For every {@link #spread}, the recipes that ask for such. */
    private final int[] voiced = new int[16 << 4];

    /** Recipes whose open strings may not lie lower than what sounds below them. */
    private final int ascending;

    /** For every step from the root to the place, the chords without open strings, best first. */
    private final List<List<Fretted>> closed;

    /** The same steps, and what may be a chord together with open strings. */
    private final List<List<BesideOpen>> opened;

    /** What voicings are charged; without open strings it is the same on every root. */
    interface Charge {
        double of(BareVoicing laid);

        /**
         * The least of all that have open strings and a fret past {@link OpenPosition#LAST_FRET}.
         */
        double leastPastOpenPosition();
    }

    /** No charge. */
    private static final Charge NO_CHARGE =
            new Charge() {
                @Override
                public double of(BareVoicing laid) {
                    return 0;
                }

                @Override
                public double leastPastOpenPosition() {
                    return 0;
                }
            };

    /**
     * A grip that is a chord by itself.
     *
     * @param degrees what sounds
     * @param effort the least in any place
     */
    private record Fretted(Grip grip, int degrees, double charge, double effort) {
        double least(int place) {
            return Ranking.alone(charge, effort, place, lowest(grip.held()));
        }
    }

    /**
     * Grips that open strings may make a chord of.
     *
     * @param own their degrees
     * @param recipes those that have such a chord, a bit each
     */
    private record BesideOpen(Neck.Group group, int own, int recipes) {}

    /**
     * What was found, its shape not yet spelled out.
     *
     * @param grip what is fretted
     * @param place lowest fret that is held, 0 for none
     * @param opens strings that ring open, a bit each
     * @param charge what it is charged
     * @param effort of holding it
     * @param cost what it costs, alone or in a key
     * @param order where its shape comes among those of the same cost
     */
    record Placed(
            Grip grip, int place, int opens, double charge, double effort, double cost, long order)
            implements Comparable<Placed> {

        Supplier<Fingering> fingering() {
            Grip held = grip;
            int at = place;
            int ringing = opens;
            return () -> held.fingering(at, ringing);
        }

        /** Best first. */
        @Override
        public int compareTo(Placed other) {
            int byCost = Double.compare(cost, other.cost);
            return byCost != 0 ? byCost : Long.compare(order, other.order);
        }
    }

    /**
     * @param neck with grips for at least the recipes' chords
     * @param charge asked on any thread
     */
    VoicingSearch(Neck neck, List<Recipe> recipes, Charge charge) {
        this.neck = neck;
        this.recipes = recipes.toArray(Recipe[]::new);
        this.charge = charge;
        int ascend = 0;
        for (int r = 0; r < recipes.size(); r++) {
            Recipe recipe = recipes.get(r);
            for (int n = 0; n < voiced.length; n++) {
                voiced[n] |= recipe.mayHave(n >> 4, n & 15) ? 1 << r : 0;
            }
            ascend |= recipe.opens() == Recipe.Opens.AS_FRETTED ? 1 << r : 0;
            boolean drones = recipe.opens() == Recipe.Opens.DRONES;
            for (PitchClassSet degrees : recipe.chords()) {
                int set = degrees.bits();
                (drones ? fretted : chord)[set] |= 1 << r;
                for (int some = set; some > 0 && !drones; some = (some - 1) & set) {
                    part[some] |= 1 << r;
                }
                part[0] |= drones ? 0 : 1 << r;
            }
        }
        this.ascending = ascend;
        this.closed = IntStream.range(0, 12).mapToObj(this::closed).toList();
        this.opened = IntStream.range(0, 12).mapToObj(this::opened).toList();
    }

    /**
     * For every set of pitch classes, from any of them up, whether it is part of a chord of some
     * recipes.
     */
    static boolean[] wanted(Collection<Recipe> recipes) {
        boolean[] wanted = new boolean[SETS];
        for (Recipe r : recipes) {
            for (PitchClassSet degrees : r.chords()) {
                int set = degrees.bits();
                for (int some = set; some > 0; some = (some - 1) & set) {
                    for (int up = 0; up < 12 && !wanted[turned(some, up)]; up++) {
                        wanted[turned(some, up)] = true;
                    }
                }
            }
        }
        return wanted;
    }

    /** Every voicing of a recipe on a root that a hand holds in a riff. */
    static List<Candidate> all(Recipe recipe, Fretboard board, int root, Hand hand) {
        Neck neck = Neck.of(board, hand, wanted(List.of(recipe)));
        return new VoicingSearch(neck, List.of(recipe), NO_CHARGE)
                .bestFirst(root, Integer.MAX_VALUE);
    }

    /** A set of twelve bits turned up by some. */
    private static int turned(int set, int up) {
        return (set << up | set >> 12 - up) & SETS - 1;
    }

    private static int lowest(int strings) {
        return Integer.numberOfTrailingZeros(strings);
    }

    /** How many strings sound and how many are silent between them, as one number. */
    private static int spread(int sounding) {
        return Integer.bitCount(sounding) << 4 | Grip.inner(sounding);
    }

    /**
     * @param step semitones from the root to the fret below the place
     */
    private List<Fretted> closed(int step) {
        return neck.groups().stream()
                .filter(g -> chord[turned(g.sounding().notes(), step)] != 0)
                .flatMap(
                        g ->
                                Arrays.stream(g.grips())
                                        .flatMap(x -> closed(x, g.sounding().notes(), step)))
                .sorted(Comparator.comparingDouble(c -> c.least(0)))
                .toList();
    }

    private List<BesideOpen> opened(int step) {
        List<BesideOpen> all = new ArrayList<>();
        for (Neck.Group g : neck.groups()) {
            int own = turned(g.sounding().notes(), step);
            int some = part[own] | fretted[own];
            if (some != 0) {
                all.add(new BesideOpen(g, own, some));
            }
        }
        return all;
    }

    private Stream<Fretted> closed(Grip grip, int notes, int step) {
        int asked = chord[turned(notes, step)] & voiced[spread(grip.held())];
        if (asked == 0) {
            return Stream.empty();
        }
        int place = grip.lowestPlace();
        BareVoicing laid =
                new BareVoicing(
                        grip.frets(place, 0), neck.open(), Math.floorMod(place - 1 - step, 12));
        return accepted(asked, laid)
                ? Stream.of(
                        new Fretted(grip, turned(notes, step), charge.of(laid), grip.leastEffort()))
                : Stream.empty();
    }

    private boolean accepted(int some, BareVoicing laid) {
        for (int rest = some; rest != 0; rest &= rest - 1) {
            if (recipes[lowest(rest)].lies(laid)) {
                return true;
            }
        }
        return false;
    }

    /** What a set of notes is charged for its place in a key. */
    interface Role {
        /**
         * The charge.
         *
         * @param degrees what sounds, twelve bits from the root up
         */
        double of(int degrees, int root);

        /** The least of all that sound these notes and more. */
        double least(int degrees, int root);
    }

    /** Any key. */
    private static final Role ANY =
            new Role() {
                @Override
                public double of(int degrees, int root) {
                    return 0;
                }

                @Override
                public double least(int degrees, int root) {
                    return 0;
                }
            };

    /** What is found on a root in any key, best first; so many of each place at most. */
    List<Candidate> bestFirst(int root, int most) {
        return bestFirst(root, most, ANY);
    }

    /**
     * What is found on a root, best first.
     *
     * @param root pitch class 0 to 11
     * @param most how many of each place at most
     * @param role what is charged besides
     */
    List<Candidate> bestFirst(int root, int most, Role role) {
        return IntStream.rangeClosed(0, neck.board().frets())
                .parallel()
                .mapToObj(place -> new Place(place, root, most, role).found())
                .flatMap(Collection::stream)
                .sorted()
                .map(f -> candidate(f, root))
                .toList();
    }

    private Candidate candidate(Placed f, int root) {
        Shape shape = Shape.of(f.grip().frets(f.place(), f.opens()));
        return new Candidate(
                new Voicing(shape, neck.board(), root), f.effort(), f.charge(), f.fingering());
    }

    /** One place on the neck, tried on one thread. */
    private final class Place {
        private final int place;
        private final int root;
        private final int most;
        private final Role role;
        private final double leastRole;
        private final int step;
        private final int[] rung;
        private final double leastPastOpenPosition = charge.leastPastOpenPosition();
        private final PriorityQueue<Placed> best = new PriorityQueue<>((a, b) -> b.compareTo(a));

        Place(int place, int root, int most, Role role) {
            this.role = role;
            this.leastRole = role.least(0, root);
            this.place = place;
            this.root = root;
            this.most = most;
            this.step = Math.floorMod(place - 1 - root, 12);
            this.rung = new int[1 << neck.open().length];
            for (int some = 1; some < rung.length; some++) {
                int degree = 1 << Math.floorMod(neck.open()[lowest(some)] - root, 12);
                rung[some] = rung[some & some - 1] | degree;
            }
        }

        Collection<Placed> found() {
            for (Fretted c : place == 0 ? List.<Fretted>of() : closed.get(step)) {
                double least = c.least(place);
                if (tooMuch(least + leastRole)) {
                    break;
                }
                double asked = role.of(c.degrees(), root);
                if (!tooMuch(least + asked)
                        && place >= c.grip().lowestPlace()
                        && place <= c.grip().highestPlace()) {
                    keep(c.grip(), 0, c.grip().effort(place, 0), c.charge(), asked);
                }
            }
            for (BesideOpen o : opened.get(step)) {
                Neck.Group g = o.group();
                if (place >= g.from() && place <= g.to()) {
                    double asked = role.least(o.own(), root);
                    if (mayBeBest(g.span(), g.effort(), asked)) {
                        ringing(g, o.own(), mayRing(g.sounding(), o.recipes()), asked);
                    }
                }
            }
            return best;
        }

        /** Whether a grip of such an effort may be one of the best beside open strings. */
        private boolean mayBeBest(int span, double effort, double asked) {
            return place + span <= OpenPosition.LAST_FRET
                    || !tooMuch(Ranking.alone(leastPastOpenPosition, effort, place, 0) + asked);
        }

        private void ringing(Neck.Group g, int own, int may, double asked) {
            for (Grip grip : may == 0 ? NONE : g.grips()) {
                if (!mayBeBest(g.span(), grip.leastEffort(), asked)) {
                    return;
                }
                ringing(grip, own, may);
            }
        }

        /** Whether what costs so much is none of the best. */
        private boolean tooMuch(double cost) {
            return best.size() == most && cost > best.element().cost() + ROUNDING;
        }

        /** Tries every set of open strings beside a grip. */
        private void ringing(Grip grip, int own, int some) {
            int may = some;
            int free = rung.length - 1 & ~grip.held();
            if ((may & ascending) != 0) {
                int above = ascending(grip, free);
                may &= above == 0 ? ~ascending : ~0;
                free = (may & ~ascending) == 0 ? above : free;
            }
            for (int opens = may == 0 ? 0 : free; opens > 0; opens = (opens - 1) & free) {
                int asked =
                        may
                                & (chord[own | rung[opens]] | fretted[own])
                                & voiced[spread(grip.held() | opens)];
                if (asked != 0) {
                    tried(grip, opens, asked, role.of(own | rung[opens], root));
                }
            }
        }

        private void tried(Grip grip, int opens, int asked, double inKey) {
            double effort = grip.effort(place, opens);
            if (mayBeBest(grip.span(), effort, inKey)) {
                BareVoicing laid = new BareVoicing(grip.frets(place, opens), neck.open(), root);
                if (accepted(asked, laid)) {
                    keep(grip, opens, effort, charge.of(laid), inKey);
                }
            }
        }

        /** Which recipes let open strings ring beside some grips here. */
        private int mayRing(Neck.Sounding held, int some) {
            int may = 0;
            for (int rest = some; rest != 0; rest &= rest - 1) {
                Recipe r = recipes[lowest(rest)];
                may |= r.mayRing(held.voices(), place, place + held.span()) ? rest & -rest : 0;
            }
            return may;
        }

        /** Those of some open strings that lie no lower than what is held below them. */
        private int ascending(Grip grip, int free) {
            int above = 0;
            int highest = 0;
            for (int s = 0; s < neck.open().length; s++) {
                if ((grip.held() >> s & 1) != 0) {
                    highest = Math.max(highest, neck.open()[s] + grip.fret(s, place));
                } else if (neck.open()[s] >= highest) {
                    above |= free & 1 << s;
                }
            }
            return above;
        }

        /** Keeps what the hand gets to, where it is one of the best. */
        private void keep(Grip grip, int opens, double effort, double charged, double inKey) {
            int low = lowest(grip.held() | opens);
            double cost = Ranking.alone(charged, effort, place, low) + inKey;
            if (effort == Double.POSITIVE_INFINITY || tooMuch(cost)) {
                return;
            }
            long order = Shape.of(grip.frets(place, opens)).textOrder();
            best.add(new Placed(grip, place, opens, charged, effort, cost, order));
            if (best.size() > most) {
                best.remove();
            }
        }
    }
}
