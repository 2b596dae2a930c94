package vocalis.core.arrange;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.stream.IntStream;
import vocalis.core.choice.Candidate;
import vocalis.core.choice.Catalogue;
import vocalis.core.derive.Derived;
import vocalis.core.derive.Deriver;
import vocalis.core.hands.Hand;
import vocalis.core.hands.LoopPath;
import vocalis.core.hands.Move;
import vocalis.core.instrument.Shape;
import vocalis.core.mix.Fader;
import vocalis.core.mix.Mix;
import vocalis.core.pattern.Direction;
import vocalis.core.pattern.Event;
import vocalis.core.pattern.Figure;
import vocalis.core.pattern.LineNote;
import vocalis.core.pattern.LinePitch;
import vocalis.core.pattern.Pattern;
import vocalis.core.pattern.Stroke;
import vocalis.core.pattern.Struck;
import vocalis.core.piece.Part;
import vocalis.core.piece.Piece;
import vocalis.core.piece.Section;
import vocalis.core.riff.Lines;
import vocalis.core.riff.Member;
import vocalis.core.riff.Riff;
import vocalis.core.riff.Treatment;
import vocalis.core.score.Dynamics;
import vocalis.core.score.Manner;
import vocalis.core.score.Onset;
import vocalis.core.score.Ringing;
import vocalis.core.score.Ringing.Sound;
import vocalis.core.theory.Key;
import vocalis.core.voicing.Family;
import vocalis.core.voicing.Sounding;
import vocalis.core.voicing.Voicing;

/**
 * Finds what a second guitar could play over the first: lines, octaves, stabs and fills from the
 * scale and the voicings, in the register that the first leaves free, between the part's floor and
 * ceiling. What is offered is derived and listened through: unless clashes are asked for, none has
 * one with the first guitar.
 */
public final class SecondParts {

    /** The shapes that stabs are made of. */
    private static final List<Family> STABS =
            List.of(Family.TRIAD, Family.THIRD, Family.FOURTH, Family.SUSPENDED, Family.EXTENDED);

    /** How far over (under) the first guitar a part may lie, in semitones; set by hand. */
    private static final int REACH = 19;

    private static final double LEAP = 3;
    private static final double OUTSIDE_THE_CHORD = 2.5;
    private static final double STILL = 1.5;

    /** A line that leaps over more than a fifth is none, semitones. */
    private static final int WIDEST_LEAP = 7;

    /** What standing still costs a line that is there to move. */
    private static final double STILL_WHERE_IT_MOVES = 40;

    /** As many shapes of a chord are tried, and so far a hand goes for a cost of one. */
    private static final int MOST_SHAPES = 40;

    private static final double MM_OF_ONE = 40;
    private static final double PER_STRING = 0.5;

    /** Second parts of chords live under this fret. */
    private static final int HIGHEST_FRET = 14;

    /** What comes before what, where all else is alike: held lines and triad stabs first. */
    private static double rank(PartKind kind, Optional<Family> family) {
        return switch (kind) {
            case HELD_LINE -> 0;
            case STABS -> family.equals(Optional.of(Family.TRIAD)) ? 0 : 2;
            case OCTAVES -> 1;
            case MOVING_LINE -> 1.5;
            case FILL -> 2;
            case THIRDS, SIXTHS, TENTHS -> kind.steps() / 5.0;
        };
    }

    private final Piece piece;
    private final String riffId;
    private final Riff riff;
    private final Derived first;
    private final Hand hand;
    private final Catalogue catalogue;
    private final Deriver deriver;
    private final Part.Register register;
    private final FirstGuitar guitar;
    private final Slots slots;
    private final boolean clashesToo;

    private SecondParts(
            Piece piece, String riffId, Hand hand, Catalogue catalogue, boolean clashesToo) {
        this.piece = piece;
        this.riffId = riffId;
        this.hand = hand;
        this.catalogue = catalogue;
        this.clashesToo = clashesToo;
        deriver = new Deriver(catalogue);
        riff = Arrangement.on(piece.riff().ground(), piece.riff(riffId).riff());
        first = Deriver.once(riff, hand, catalogue);
        register = piece.second().map(Part::register).orElse(Part.Register.ALL);
        guitar = new FirstGuitar(Ringing.of(first.score()));
        slots = new Slots(riff, first, guitar);
    }

    /**
     * All that is found for a riff of a piece, best first.
     *
     * @param clashesToo whether parts that rub with the first guitar are offered too
     */
    public static List<PartOffer> of(
            Piece piece, String riffId, Hand hand, Catalogue catalogue, boolean clashesToo) {
        return new SecondParts(piece, riffId, hand, catalogue, clashesToo).all();
    }

    private List<PartOffer> all() {
        List<PartOffer> found = new ArrayList<>();
        for (boolean above : new boolean[] {true, false}) {
            line(PartKind.HELD_LINE, slots.held(), above).ifPresent(found::add);
            line(PartKind.MOVING_LINE, slots.quarters(), above).ifPresent(found::add);
            line(PartKind.FILL, slots.fill(), above).ifPresent(found::add);
            struck(PartKind.OCTAVES, Family.OCTAVE, slots.quarters(), above).ifPresent(found::add);
            for (PartKind k : List.of(PartKind.THIRDS, PartKind.SIXTHS, PartKind.TENTHS)) {
                LineHarmony.of(riff, above ? k.steps() : -k.steps(), guitar::rubs, this::degree)
                        .flatMap(e -> offer(k, above, Optional.empty(), riff.treatments(), e))
                        .ifPresent(found::add);
            }
            for (Family f : STABS) {
                struck(PartKind.STABS, f, slots.stabs(), above).ifPresent(found::add);
            }
        }
        found.sort(Comparator.comparingDouble(PartOffer::cost));
        // What fills a silence lies neither above nor below: it is one offer.
        Set<Riff> seen = new HashSet<>();
        return found.stream().filter(o -> seen.add(o.riff())).toList();
    }

    private boolean free(int midi, int[] range, boolean above) {
        boolean beside =
                range[1] < 0
                        || (above
                                ? midi > range[1] && midi <= range[1] + REACH
                                : midi < range[0] && midi >= range[0] - REACH);
        return beside && register.has(midi);
    }

    /** What a line may sing in each slot; empty where one has nothing. */
    private Optional<List<int[]>> choices(List<Slots.Slot> slots, boolean above) {
        List<int[]> choices = new ArrayList<>();
        int low = riff.ground().board().midi(0, 0);
        int high = 0;
        for (int s = 0; s < riff.ground().board().strings(); s++) {
            low = Math.min(low, riff.ground().board().midi(s, 0));
            high = Math.max(high, riff.ground().board().midi(s, riff.ground().board().frets()));
        }
        Key key = riff.ground().key();
        for (Slots.Slot s : slots) {
            int[] range = guitar.range(s.at(), s.at() + s.length());
            int[] free =
                    IntStream.rangeClosed(low, high)
                            .filter(m -> key.contains(Math.floorMod(m, 12)))
                            .filter(m -> free(m, range, above))
                            .filter(m -> clashesToo || !guitar.rubs(m, s.at(), s.at() + s.length()))
                            .filter(m -> degree(m).isPresent())
                            .toArray();
            if (free.length == 0) {
                return Optional.empty();
            }
            choices.add(free);
        }
        return Optional.of(choices);
    }

    private Optional<PartOffer> line(PartKind kind, List<Slots.Slot> slots, boolean above) {
        Optional<List<int[]>> choices = choices(slots, above);
        if (choices.isEmpty()) {
            return Optional.empty();
        }
        int[] notes = smoothest(slots, choices.get(), above, still(kind));
        boolean repeats = IntStream.range(1, notes.length).anyMatch(i -> notes[i] == notes[i - 1]);
        boolean leaps =
                IntStream.range(1, notes.length)
                        .anyMatch(i -> Math.abs(notes[i] - notes[i - 1]) > WIDEST_LEAP);
        if (leaps || kind == PartKind.FILL && repeats) {
            return Optional.empty();
        }
        List<Event> events = new ArrayList<>();
        for (int i = 0; i < notes.length; i++) {
            Slots.Slot s = slots.get(i);
            boolean same = i > 0 && notes[i] == notes[i - 1];
            boolean goesOn = same && slots.get(i - 1).at() + slots.get(i - 1).length() == s.at();
            if (kind == PartKind.MOVING_LINE && goesOn) {
                Event before = events.remove(events.size() - 1);
                events.add(before.lasting(before.length() + s.length()));
                continue;
            }
            events.add(
                    new LineNote(
                            i + 1,
                            s.at(),
                            s.length(),
                            degree(notes[i]).orElseThrow(),
                            Manner.PLAIN,
                            Dynamics.PLAIN,
                            kind == PartKind.HELD_LINE && goesOn));
        }
        return offer(kind, above, Optional.empty(), riff.treatments(), events);
    }

    private static double still(PartKind kind) {
        return kind == PartKind.HELD_LINE ? STILL : STILL_WHERE_IT_MOVES;
    }

    /**
     * One note a slot, so that the way through them is shortest: steps cost half their semitones,
     * leaps more, notes that the chord lacks and a line that stands still a little; from the last
     * note to the first nothing is asked.
     */
    private int[] smoothest(
            List<Slots.Slot> slots, List<int[]> choices, boolean above, double still) {
        List<double[]> alone = new ArrayList<>();
        for (int i = 0; i < choices.size(); i++) {
            Slots.Slot slot = slots.get(i);
            alone.add(IntStream.of(choices.get(i)).mapToDouble(m -> own(slot, m, above)).toArray());
        }
        int last = choices.size() - 1;
        LoopPath path =
                LoopPath.around(
                        alone,
                        (i, a, b) ->
                                i == last
                                        ? 0
                                        : step(choices.get(i + 1)[b] - choices.get(i)[a], still));
        return IntStream.rangeClosed(0, last)
                .map(i -> choices.get(i)[path.taken().get(i)])
                .toArray();
    }

    private static double step(int semitones, double still) {
        int apart = Math.abs(semitones);
        return apart == 0 ? still : apart <= 4 ? apart / 2.0 : apart * LEAP / 2;
    }

    private double own(Slots.Slot s, int midi, boolean above) {
        int[] range = guitar.range(s.at(), s.at() + s.length());
        double away = range[1] < 0 ? 0 : above ? midi - range[1] : range[0] - midi;
        boolean inChord = guitar.has(midi, s.at(), s.at() + s.length());
        return Math.abs(away - 6) / 6 + (inChord ? 0 : OUTSIDE_THE_CHORD);
    }

    /** A note as a degree of the key, so that it follows another key and the roots. */
    private Optional<LinePitch> degree(int midi) {
        for (int octave = 0; octave <= 5; octave++) {
            for (int d = 1; d <= Math.min(7, riff.ground().key().mode().size()); d++) {
                LinePitch p = new LinePitch.Degree(LinePitch.Above.KEY, d, 0, octave);
                if (Lines.midi(riff.ground(), p, 0) == midi) {
                    return Optional.of(p);
                }
            }
        }
        return Optional.empty();
    }

    /** A shape of a family for every root in the free register, struck in a rhythm. */
    private Optional<PartOffer> struck(
            PartKind kind, Family family, List<Slots.Slot> slots, boolean above) {
        List<List<Candidate>> fitting = new ArrayList<>();
        for (Derived.Chord c : first.chords()) {
            List<Candidate> all = fitting(family, c, above);
            if (all.isEmpty()) {
                return Optional.empty();
            }
            fitting.add(all);
        }
        List<double[]> alone =
                fitting.stream()
                        .map(
                                all ->
                                        all.stream()
                                                .mapToDouble(
                                                        k -> k.charge() + k.fingering().effort())
                                                .toArray())
                        .toList();
        int n = fitting.size();
        LoopPath path =
                LoopPath.around(
                        alone,
                        (i, a, b) ->
                                way(
                                        fitting.get(i).get(a).voicing().shape(),
                                        fitting.get((i + 1) % n).get(b).voicing().shape()));
        List<Treatment> treatments = new ArrayList<>();
        for (int i = 0; i < n; i++) {
            Voicing v = fitting.get(i).get(path.taken().get(i)).voicing();
            treatments.add(Treatment.best(family).with(family, Member.OfClass.of(v)));
        }
        List<Event> events = strokes(kind, slots);
        return events.isEmpty()
                ? Optional.empty()
                : offer(kind, above, Optional.of(family), treatments, events);
    }

    /** What the way from one shape to the next costs: the hand's, and strings that change. */
    private double way(Shape from, Shape to) {
        double travel = Move.travelMm(riff.ground().board(), from, to) / MM_OF_ONE;
        return travel + PER_STRING * from.otherStrings(to);
    }

    /** The shapes of a chord that keep to the part's place, the plainest first. */
    private List<Candidate> fitting(Family family, Derived.Chord c, boolean above) {
        long begins = slots.begins(c);
        int[] range = guitar.range(begins, c.end());
        return catalogue.candidates(riff.ground().board(), hand, family, c.root()).stream()
                .filter(k -> family != Family.OCTAVE || octave(k.voicing()))
                .filter(k -> fits(k.voicing(), begins, c.end(), range, above))
                .sorted(
                        Comparator.comparingDouble(
                                (Candidate k) -> k.charge() + k.fingering().effort()))
                .limit(MOST_SHAPES)
                .toList();
    }

    private static List<Event> strokes(PartKind kind, List<Slots.Slot> slots) {
        List<Event> events = new ArrayList<>();
        for (Slots.Slot s : slots) {
            events.add(
                    new Stroke(
                            events.size() + 1,
                            s.at(),
                            s.length(),
                            Struck.Named.ALL,
                            kind == PartKind.STABS ? Manner.STACCATO : Manner.PLAIN,
                            Dynamics.PLAIN,
                            Direction.ALTERNATE,
                            false));
        }
        return events;
    }

    /** Two notes twelve semitones apart over one silent string: two frets up, or three. */
    private static boolean octave(Voicing v) {
        List<Integer> strings = v.shape().sounded();
        return strings.size() == 2
                && strings.get(1) - strings.get(0) == 2
                && v.midi().get(1) - v.midi().get(0) == 12;
    }

    private static boolean unison(Voicing v) {
        return v.midi().stream().distinct().count() < v.midi().size();
    }

    private boolean fits(Voicing v, long from, long to, int[] range, boolean above) {
        if (v.shape().rings() || v.shape().highestFretted() > HIGHEST_FRET || unison(v)) {
            return false;
        }
        // An octave reaches into the first guitar's register with its inner note.
        boolean octave = octave(v);
        List<Integer> midi = v.midi();
        int outer = above ? midi.get(midi.size() - 1) : midi.get(0);
        for (Sounding n : v.soundings()) {
            boolean inner = octave && n.midi() != outer && register.has(n.midi());
            if (!inner && !free(n.midi(), range, above)
                    || !riff.ground().key().contains(Math.floorMod(n.midi(), 12))
                    || !clashesToo && guitar.rubs(n.midi(), from, to)) {
                return false;
            }
        }
        return true;
    }

    /** What was made, derived and listened through; empty where it does not do what it should. */
    private Optional<PartOffer> offer(
            PartKind kind,
            boolean above,
            Optional<Family> family,
            List<Treatment> treatments,
            List<Event> events) {
        Figure figure = new Figure("second", "second guitar", riff.length(), events);
        Riff own =
                new Riff(
                        riff.ground(),
                        riff.time(),
                        riff.roots(),
                        treatments,
                        Pattern.of(figure),
                        List.of());
        Derived derived = deriver.derive(own, hand);
        List<Sound> mine = Ringing.of(derived.score());
        if (mine.isEmpty() || !derived.findings().isEmpty()) {
            return Optional.empty();
        }
        int clashes = clashes(own, derived);
        boolean inside = mine.stream().allMatch(s -> register.has(s.midi()));
        if (!inside || clashes > 0 && !clashesToo) {
            return Optional.empty();
        }
        int lowest = mine.stream().mapToInt(Sound::midi).min().orElseThrow();
        int highest = mine.stream().mapToInt(Sound::midi).max().orElseThrow();
        double gaps = inGaps(derived);
        OptionalInt widest = travel(derived);
        double cost =
                rank(kind, family)
                        + 3 * clashes
                        + 4 * (1 - gaps)
                        + widest.orElse(0) / 60.0
                        + Math.abs(events.size() - 2.0 * riff.bars()) / (4.0 * riff.bars());
        return Optional.of(
                new PartOffer(kind, above, family, own, lowest, highest, gaps, clashes, cost));
    }

    /** Widest way of the hand between two chords in mm. */
    private OptionalInt travel(Derived d) {
        return IntStream.range(1, d.chords().size())
                .map(
                        i ->
                                (int)
                                        Move.travelMm(
                                                riff.ground().board(),
                                                d.chords().get(i - 1).candidate().voicing().shape(),
                                                d.chords().get(i).candidate().voicing().shape()))
                .max();
    }

    private double inGaps(Derived d) {
        long[] struck = first.score().onsets().stream().mapToLong(Onset::at).sorted().toArray();
        long gaps =
                d.score().onsets().stream()
                        .filter(o -> Arrays.binarySearch(struck, o.at()) < 0)
                        .count();
        return (double) gaps / d.score().onsets().size();
    }

    private int clashes(Riff own, Derived derived) {
        Piece alone =
                piece.withSecond(riffId, own)
                        .arranged(List.of(new Section("section-1", "riff", riffId, 1)));
        Mix mix = alone.mix();
        Piece playing =
                alone.mixed(
                        mix.withSecond(
                                        mix.second().on(true),
                                        mix.secondTone(),
                                        mix.secondControls(),
                                        mix.spread())
                                .withBass(Fader.OFF, mix.bassLine()));
        Song song = Song.of(playing, r -> r.equals(riff) ? first : derived);
        return Clashes.of(song).size();
    }
}
