package vocalis.workbench.listening;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import vocalis.core.choice.Catalogue;
import vocalis.core.hands.Hand;
import vocalis.core.instrument.Fretboard;
import vocalis.core.instrument.Shape;
import vocalis.core.names.ChordName;
import vocalis.core.names.ChordNamer;
import vocalis.core.theory.Key;
import vocalis.core.theory.Spelling;
import vocalis.core.voicing.Voicing;
import vocalis.sound.listen.GripReader.Likely;
import vocalis.sound.listen.HeardNotes;
import vocalis.sound.listen.Take;

/**
 * What somebody is holding: the notes of the strongest strum of a take, and the shapes that have
 * them, named.
 *
 * @param notes as heard; empty where nothing was struck
 * @param shapes likeliest first
 * @param cost how far the first of them is from what is heard, in dB
 * @param clean whether it sounds like clean strings of ours; else what is told is a guess
 */
public record Holding(HeardNotes notes, List<Named> shapes, double cost, boolean clean) {

    /** From so much likelihood on a shape is the one that is held. */
    private static final double CLEAR = 0.6;

    /** A sound further than this from its shape may be driven, or no guitar of our own. */
    private static final double UNCLEAR_DB = 5;

    /** What lies so far from every shape is no chord: white noise lies at 9 to 10.5. */
    private static final double NO_CHORD_DB = 9;

    /** A shape, what it is called, and how likely it is from 0 to 1. */
    public record Named(Shape shape, ChordName name, double share) {}

    public Holding {
        shapes = List.copyOf(shapes);
    }

    /**
     * What is held in a take.
     *
     * @param key spells the name
     */
    public static Holding of(
            Take take,
            Fretboard board,
            double a4Hz,
            Hand hand,
            Catalogue catalogue,
            Optional<Key> key) {
        Optional<Ear.Stroke> strum =
                new Ear(board, a4Hz, hand, catalogue, key)
                        .strokes(take).stream()
                                .max(Comparator.comparingDouble(s -> s.heard().levelDb()));
        if (strum.isEmpty()) {
            return new Holding(new HeardNotes(List.of(), 0, 0, List.of()), List.of(), 0, true);
        }
        HeardNotes notes = strum.get().heard().notes();
        List<Named> shapes = new ArrayList<>();
        double cost = strum.get().cost();
        for (Likely g : cost > NO_CHORD_DB ? List.<Likely>of() : strum.get().grips()) {
            Voicing bare = new Voicing(g.shape(), board, 0);
            shapes.add(new Named(g.shape(), ChordNamer.name(bare, key), g.share()));
        }
        return new Holding(notes, shapes, cost, strum.get().clean());
    }

    /** MIDI numbers, lowest first: those of the likeliest shape, else as they were read. */
    public List<Integer> midi(Fretboard board) {
        return shapes.isEmpty()
                ? notes.midi()
                : new Voicing(shapes.get(0).shape(), board, 0)
                        .midi().stream().distinct().sorted().toList();
    }

    /** The pitch classes as they are spelled, in plain letters. */
    public List<String> pitchClasses(Fretboard board, Optional<Key> key) {
        return classes(board).stream().map(pc -> spelled(pc, key).ascii()).toList();
    }

    /** From the lowest note up, each once. */
    private List<Integer> classes(Fretboard board) {
        List<Integer> midi = midi(board);
        return midi.stream()
                .map(m -> Math.floorMod(m - midi.get(0), 12))
                .distinct()
                .sorted()
                .map(up -> Math.floorMod(midi.get(0) + up, 12))
                .toList();
    }

    private static Spelling spelled(int pc, Optional<Key> key) {
        return key.map(k -> k.say(pc)).orElseGet(() -> Spelling.plain(pc));
    }

    /** Whether the first shape is told as the one that is held, and not as a guess. */
    public boolean clear() {
        return clean && !shapes.isEmpty() && shapes.get(0).share() >= CLEAR && cost <= UNCLEAR_DB;
    }

    /** In a sentence: what it is, how sure that is, and what else it may be. */
    public String words(Fretboard board, Optional<Key> key) {
        if (notes.notes().isEmpty() && cost <= NO_CHORD_DB) {
            return "Nothing was struck.";
        }
        if (shapes.isEmpty()) {
            return "No chord can be made out: no shape of this tuning has all that is heard.";
        }
        boolean unclear = !clean || cost > UNCLEAR_DB;
        String heard =
                (unclear ? "Not clean strings, as it sounds, so these notes are a guess: " : "")
                        + spelled(board, key);
        Named first = shapes.get(0);
        String it = first.name().symbol() + ", " + first.shape().text();
        return clear()
                ? heard + ": " + it + "."
                : heard
                        + ": perhaps "
                        + it
                        + shapes.stream()
                                .skip(1)
                                .limit(2)
                                .map(s -> "; or " + s.shape().text())
                                .collect(Collectors.joining())
                        + ".";
    }

    private String spelled(Fretboard board, Optional<Key> key) {
        return classes(board).stream()
                .map(pc -> spelled(pc, key).symbol())
                .collect(Collectors.joining(", "));
    }
}
