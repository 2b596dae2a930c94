package vocalis.core.voicing;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Objects;
import vocalis.core.instrument.Fretboard;
import vocalis.core.instrument.Shape;

/**
 * A shape on a fretboard, taken as a chord over a root.
 *
 * @param shape frets per string; at least one string sounds
 * @param board where it lies
 * @param root pitch class it is built for, 0 to 11; not necessarily the heard root
 */
public record Voicing(Shape shape, Fretboard board, int root) {

    public Voicing {
        Objects.requireNonNull(shape, "shape");
        Objects.requireNonNull(board, "board");
        if (root < 0 || root > 11) {
            throw new IllegalArgumentException(
                    "a root is a pitch class 0 to 11, but this one is " + root);
        }
        if (shape.strings() != board.strings()) {
            throw new IllegalArgumentException(
                    "shape "
                            + shape
                            + " has "
                            + shape.strings()
                            + " strings, the instrument has "
                            + board.strings());
        }
        if (shape.lowestSounded() < 0) {
            throw new IllegalArgumentException("shape " + shape + " sounds no string");
        }
        if (shape.highestFretted() > board.frets()) {
            throw new IllegalArgumentException(
                    "shape " + shape + " goes past the last fret, " + board.frets());
        }
    }

    /** The same in bare numbers. */
    public BareVoicing laid() {
        int[] open = new int[board.strings()];
        Arrays.setAll(open, s -> board.midi(s, 0));
        return new BareVoicing(shape.toArray(), open, root);
    }

    /** The sounded strings, lowest string first. */
    public List<Sounding> soundings() {
        List<Sounding> all = new ArrayList<>();
        for (int string : shape.sounded()) {
            int fret = shape.fret(string);
            all.add(new Sounding(string, fret, board.midi(string, fret)));
        }
        return all;
    }

    /** MIDI numbers ascending in pitch, doublings kept. */
    public List<Integer> midi() {
        return soundings().stream().map(Sounding::midi).sorted().toList();
    }

    /** Number of sounded strings. */
    public int voices() {
        return shape.voices();
    }

    /** MIDI number of the lowest note. */
    public int bass() {
        int bass = Integer.MAX_VALUE;
        for (int s = 0; s < shape.strings(); s++) {
            bass = shape.sounds(s) ? Math.min(bass, board.midi(s, shape.fret(s))) : bass;
        }
        return bass;
    }

    /** Different pitch classes, ascending. */
    public List<Integer> pitchClasses() {
        return soundings().stream().map(Sounding::pitchClass).distinct().sorted().toList();
    }

    /** Silent strings between the lowest and the highest sounded one. */
    public int innerSilences() {
        return shape.innerSilences();
    }

    /**
     * The voicing without its {@code n}-th voice, counted from the top as players do (1 is the
     * highest).
     */
    public Voicing thinned(int voiceFromTop) {
        List<Sounding> byPitch = new ArrayList<>(soundings());
        byPitch.sort((a, b) -> b.midi() - a.midi());
        if (voiceFromTop < 1 || voiceFromTop > byPitch.size() || byPitch.size() == 1) {
            throw new IllegalArgumentException(
                    "a voicing of "
                            + byPitch.size()
                            + " voices cannot do without voice "
                            + voiceFromTop
                            + " from the top");
        }
        int string = byPitch.get(voiceFromTop - 1).string();
        return new Voicing(shape.with(string, Shape.SILENT), board, root);
    }
}
