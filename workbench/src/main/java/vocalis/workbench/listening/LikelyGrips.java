package vocalis.workbench.listening;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.ToDoubleFunction;
import vocalis.core.choice.Candidate;
import vocalis.core.choice.Catalogue;
import vocalis.core.hands.Fingering;
import vocalis.core.hands.Hand;
import vocalis.core.instrument.Fretboard;
import vocalis.core.instrument.Shape;
import vocalis.core.memory.Memory;
import vocalis.core.theory.Key;
import vocalis.core.theory.Spelling;
import vocalis.core.voicing.Family;
import vocalis.sound.learnt.NoteEar;
import vocalis.sound.listen.GripReader;
import vocalis.sound.listen.GripReader.Likely;
import vocalis.sound.listen.HeardNotes;
import vocalis.sound.listen.ShapeFit;
import vocalis.sound.listen.StringSounds;

/**
 * Ranks what may be held: the shapes that players take, in their usual order, and beside them any
 * that a hand has for the notes that were heard; the one leads whose strings together sound most
 * like what was heard. Weights set by hand.
 */
final class LikelyGrips {

    private static final int OFFERED = 8;

    /** What a stroke costs in which nothing can be made out. */
    static final double NOTHING = 20;

    /** Pitch classes that a shape may have otherwise, two only where nothing comes so near. */
    private static final int MOST_APART = 2;

    private static final double CLEAR_DB = 4;

    /** What a fret costs that the hand has moved, in dB, and all moving at most. */
    private static final double PER_FRET = 0.1;

    private static final double MOST_MOVED = 0.8;

    /** So many of those that come near are looked at closely. */
    private static final int CLOSELY = 50;

    /** So many of the best are varied, so often, where it brings something. */
    private static final int BESIDE = 4;

    private static final int ROUNDS = 3;
    private static final int REACH = 4;

    /** What a shape costs at least that is on no list, and how far it may lie from the best. */
    private static final double BESIDE_COST = 0.5;

    private static final double NEAR = 2;

    /**
     * What lies further from all is no guitar of ours: there the usual shapes stand as they are.
     */
    private static final double OURS_DB = 5;

    /** How far down its family's list a shape costs as much as one dB of difference. */
    private static final double PLACES = 20;

    /** What a pitch class costs that was read and is not there, or the other way round, in dB. */
    private static final double FAR = 0.5;

    private static final double UNUSUAL = 1.0;

    /** The logarithm of a note's odds counts up to here: nobody is surer than that. */
    private static final double MOST_ODDS = 5;

    /** What the work of the hand counts where nothing else tells shapes apart. */
    private static final double OF_WORK = 0.8;

    /** What the odds count beside the lines of the sound. */
    private static final double BESIDE_LINES = 0.4;

    /** The difference in cost that makes a shape e times as likely. */
    private static final double ONE = 0.5;

    /** A shape with its pitch classes, one bit for each. */
    private record Usual(Shape shape, int classes, double cost) {}

    private record For(Fretboard board, Hand hand, Optional<Key> key) {}

    private static final Memory<For, List<Usual>> USUAL = new Memory<>(4);

    private final Fretboard board;
    private final Hand hand;
    private final StringSounds sounds;
    private final List<Usual> usual;
    private final Set<Shape> known = new HashSet<>();

    LikelyGrips(
            Fretboard board,
            Hand hand,
            Catalogue catalogue,
            Optional<Key> key,
            StringSounds sounds) {
        this.board = board;
        this.hand = hand;
        this.sounds = sounds;
        usual = USUAL.of(new For(board, hand, key), f -> all(f, catalogue));
        usual.forEach(u -> known.add(u.shape()));
    }

    private static List<Usual> all(For f, Catalogue catalogue) {
        Map<Shape, Double> costs = new HashMap<>();
        for (Family family : Family.values()) {
            for (int root = 0; root < 12; root++) {
                int r = root;
                List<Key> keys = f.key().map(List::of).orElseGet(() -> plain(r));
                for (Key in : keys) {
                    int place = 0;
                    for (Candidate c : catalogue.likeliest(f.board(), f.hand(), family, root, in)) {
                        double cost = Math.min(1.5, place / PLACES);
                        costs.merge(c.voicing().shape(), cost, Math::min);
                        place++;
                    }
                }
            }
        }
        for (int s = 0; s < f.board().strings(); s++) {
            for (int fret = 0; fret <= Math.min(19, f.board().frets()); fret++) {
                Shape one = Shape.silent(f.board().strings()).with(s, fret);
                costs.put(one, 0.02 * fret);
            }
        }
        List<Usual> all = new ArrayList<>();
        costs.forEach((s, c) -> all.add(usual(s, f.board(), c)));
        return all;
    }

    private static List<Key> plain(int root) {
        String name = Spelling.plain(root).ascii();
        return List.of(Key.parse(name + " major"), Key.parse(name + " minor"));
    }

    private static Usual usual(Shape s, Fretboard board, double cost) {
        int classes = 0;
        for (int string : s.sounded()) {
            classes |= 1 << Math.floorMod(board.midi(string, s.fret(string)), 12);
        }
        return new Usual(s, classes, cost);
    }

    private record Weighed(Usual usual, double cost) {
        Weighed dearer(double by) {
            return new Weighed(usual, cost + by);
        }
    }

    /**
     * What a stroke may be.
     *
     * @param grips likeliest first
     * @param cost how badly the first explains it, in dB
     */
    record Read(List<Likely> grips, double cost) {}

    /**
     * How badly shapes explain a sound, in dB: at a glance and looked at closely; and what the work
     * of the hand counts beside it.
     */
    private record Fit(ToDoubleFunction<Shape> rough, ToDoubleFunction<Shape> close, double work) {}

    /**
     * The likeliest shapes of clean strings, best first.
     *
     * @param stopped whether a hand stops the sound at once: one note is then one string
     */
    Read of(HeardNotes heard, Optional<Shape> before, boolean stopped) {
        ShapeFit fit = new ShapeFit(sounds, sounds.power(heard.lines(), heard.cents()));
        return of(heard, before, stopped, new Fit(fit::rough, fit::cost, 0));
    }

    /**
     * The likeliest shapes by how likely each note was struck, best first; where the lines of the
     * sound are known, by how like it their strings are too.
     */
    Read of(HeardNotes heard, NoteEar.Struck struck, Optional<Shape> before, boolean stopped) {
        return of(heard, before, stopped, fit(heard, struck));
    }

    private Fit fit(HeardNotes heard, NoteEar.Struck struck) {
        double most = 0;
        for (int i = 0; i < NoteEar.NOTES; i++) {
            most += Math.max(0, limited(struck, NoteEar.LOWEST_MIDI + i));
        }
        double all = most;
        ToDoubleFunction<Shape> odds =
                shape ->
                        ONE
                                * (all
                                        - notes(shape).stream()
                                                .mapToDouble(midi -> limited(struck, midi))
                                                .sum());
        if (heard.lines().isEmpty()) {
            return new Fit(odds, odds, OF_WORK);
        }
        ShapeFit fit = new ShapeFit(sounds, sounds.power(heard.lines(), heard.cents()));
        return new Fit(
                s -> BESIDE_LINES * odds.applyAsDouble(s) + fit.rough(s),
                s -> BESIDE_LINES * odds.applyAsDouble(s) + fit.cost(s),
                BESIDE_LINES * OF_WORK);
    }

    /**
     * Shapes with the same notes sound alike to the nets: what is harder than the easiest costs.
     */
    private List<Weighed> withWork(List<Weighed> some, double share) {
        Map<Shape, Double> work = new HashMap<>();
        Map<Set<Integer>, Double> least = new HashMap<>();
        for (Weighed w : some) {
            Shape shape = w.usual().shape();
            work.put(shape, GripReader.work(board, shape, hand));
            least.merge(notes(shape), work.get(shape), Math::min);
        }
        List<Weighed> all = new ArrayList<>();
        for (Weighed w : some) {
            Shape shape = w.usual().shape();
            all.add(w.dearer(share * (work.get(shape) - least.get(notes(shape)))));
        }
        all.sort(byCost());
        return all;
    }

    /** The notes of a shape on the neck. */
    Set<Integer> notes(Shape shape) {
        return board.notes(shape);
    }

    private static double limited(NoteEar.Struck struck, int midi) {
        return Math.max(-MOST_ODDS, Math.min(MOST_ODDS, struck.odds(midi)));
    }

    private Read of(HeardNotes heard, Optional<Shape> before, boolean stopped, Fit fit) {
        int classes = heard.pitchClasses().stream().mapToInt(pc -> 1 << pc).sum();
        if (classes == 0) {
            return new Read(List.of(), NOTHING);
        }
        if (stopped && heard.notes().size() == 1) {
            List<Weighed> ones = ones(heard.notes().get(0).midi(), classes, before, fit);
            if (!ones.isEmpty()) {
                return new Read(shares(ones), ones.get(0).cost());
            }
        }
        List<Weighed> rough = new ArrayList<>();
        int place = 0;
        for (Likely g : GripReader.of(heard, board, hand)) {
            if (!known.contains(g.shape())) {
                Usual u = usual(g.shape(), board, UNUSUAL + place++ / 8.0);
                rough.add(roughly(u, classes, before, fit));
            }
        }
        double best = NOTHING;
        for (int apart = 0; apart <= MOST_APART && (apart < 2 || best > CLEAR_DB); apart++) {
            for (Usual u : usual) {
                if (apart(u.classes(), classes) == apart) {
                    Weighed w = roughly(u, classes, before, fit);
                    rough.add(w);
                    best = Math.min(best, w.cost());
                }
            }
        }
        List<Weighed> close = closely(rough, classes, before, fit);
        List<Weighed> near = beside(close, classes, before, fit);
        boolean ours = !near.isEmpty() && near.get(0).cost() <= OURS_DB;
        List<Weighed> all = ours ? near : close;
        all = fit.work() == 0 ? all : withWork(all, fit.work());
        return new Read(shares(all), all.isEmpty() ? NOTHING : all.get(0).cost());
    }

    private static Weighed roughly(Usual u, int classes, Optional<Shape> before, Fit fit) {
        return new Weighed(u, prior(u, classes, before) + fit.rough().applyAsDouble(u.shape()));
    }

    /** The strings that have one note. */
    private List<Weighed> ones(int midi, int classes, Optional<Shape> before, Fit fit) {
        List<Weighed> all = new ArrayList<>();
        for (Usual u : usual) {
            int string = u.shape().voices() == 1 ? u.shape().sounded().iterator().next() : -1;
            if (string >= 0 && board.midi(string, u.shape().fret(string)) == midi) {
                all.add(roughly(u, classes, before, fit));
            }
        }
        all.sort(byCost());
        return all;
    }

    /**
     * Those and what lies beside the best: nobody lists every shape, and one that is on no list may
     * explain the sound better.
     */
    private List<Weighed> beside(
            List<Weighed> close, int classes, Optional<Shape> before, Fit fit) {
        List<Weighed> all = new ArrayList<>(close);
        Set<Shape> seen = new HashSet<>();
        close.forEach(w -> seen.add(w.usual().shape()));
        for (int round = 0; round < ROUNDS && !all.isEmpty(); round++) {
            double least = all.get(0).cost();
            List<Weighed> beside = new ArrayList<>();
            for (Weighed w : all.subList(0, Math.min(BESIDE, all.size()))) {
                for (Shape v : varied(w.usual().shape())) {
                    if (seen.add(v)) {
                        Usual u = usual(v, board, Math.max(w.usual().cost(), BESIDE_COST));
                        beside.add(roughly(u, classes, before, fit));
                    }
                }
            }
            beside.removeIf(w -> w.cost() > least + NEAR || !playable(w.usual().shape()));
            all.addAll(closely(beside, classes, before, fit));
            all.sort(byCost());
            if (all.get(0).cost() >= least) {
                break;
            }
        }
        return all;
    }

    private List<Weighed> closely(
            List<Weighed> rough, int classes, Optional<Shape> before, Fit fit) {
        rough.sort(byCost());
        List<Weighed> close = new ArrayList<>();
        for (Weighed w : rough.subList(0, Math.min(CLOSELY, rough.size()))) {
            double prior = prior(w.usual(), classes, before);
            close.add(new Weighed(w.usual(), prior + fit.close().applyAsDouble(w.usual().shape())));
        }
        close.sort(byCost());
        return close;
    }

    private boolean playable(Shape shape) {
        return known.contains(shape) || Fingering.of(board, shape, hand).isPresent();
    }

    /** A shape with one string otherwise, within the hand's reach. */
    private List<Shape> varied(Shape shape) {
        List<Shape> all = new ArrayList<>();
        int low = Math.max(1, shape.highestFretted() - REACH);
        int high = Math.min(board.frets(), Math.max(1, shape.lowestFretted()) + REACH);
        for (int s = 0; s < board.strings(); s++) {
            int now = shape.fret(s);
            if (now != Shape.SILENT && shape.voices() > 1) {
                all.add(shape.with(s, Shape.SILENT));
            }
            if (now != 0) {
                all.add(shape.with(s, 0));
            }
            for (int fret = low; fret <= high; fret++) {
                if (fret != now) {
                    all.add(shape.with(s, fret));
                }
            }
        }
        return all;
    }

    private static double prior(Usual u, int classes, Optional<Shape> before) {
        int fret = u.shape().lowestFretted();
        int from = before.map(Shape::lowestFretted).orElse(fret);
        double moved = fret == 0 ? 0 : Math.min(MOST_MOVED, PER_FRET * Math.abs(fret - from));
        return u.cost() + FAR * apart(u.classes(), classes) + moved;
    }

    private static Comparator<Weighed> byCost() {
        return Comparator.comparingDouble(Weighed::cost)
                .thenComparing(w -> w.usual().shape().text());
    }

    /** How many pitch classes one has and the other has not. */
    private static int apart(int a, int b) {
        return Integer.bitCount(a ^ b);
    }

    private static List<Likely> shares(List<Weighed> close) {
        List<Weighed> best = close.subList(0, Math.min(OFFERED, close.size()));
        double sum = 0;
        for (Weighed w : best) {
            sum += Math.exp((best.get(0).cost() - w.cost()) / ONE);
        }
        List<Likely> grips = new ArrayList<>();
        for (Weighed w : best) {
            double share = Math.exp((best.get(0).cost() - w.cost()) / ONE) / sum;
            grips.add(new Likely(w.usual().shape(), share));
        }
        return grips;
    }
}
