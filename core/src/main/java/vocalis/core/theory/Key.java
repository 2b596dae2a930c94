package vocalis.core.theory;

import java.util.List;
import java.util.Objects;
import java.util.Optional;

/**
 * A tonic with a mode: spells notes and says what belongs.
 *
 * @param tonic spelled tonic
 * @param mode degrees over it
 */
public record Key(Spelling tonic, Mode mode) {

    public Key {
        Objects.requireNonNull(tonic, "tonic");
        Objects.requireNonNull(mode, "mode");
    }

    /**
     * Reads {@code "G minor"}, {@code "F# phrygian dominant"}; {@code Gm} is G minor, {@code G}
     * alone G major.
     *
     * @throws IllegalArgumentException when the tonic or the mode is unknown; the message says
     *     which
     */
    public static Key parse(String text) {
        String[] parts = text.strip().split("\\s+", 2);
        if (parts.length == 1 && parts[0].matches("[A-Ga-g][#b♯♭]{0,2}(m|min|-)")) {
            parts = new String[] {parts[0].replaceAll("(m|min|-)$", ""), "minor"};
        }
        Spelling tonic = Spelling.parse(parts[0]);
        String name = parts.length == 1 ? "major" : parts[1];
        Mode mode =
                Mode.named(name)
                        .orElseThrow(
                                () ->
                                        new IllegalArgumentException(
                                                "\""
                                                        + name
                                                        + "\" is no mode that is known here; known are "
                                                        + String.join(
                                                                ", ",
                                                                Mode.builtIn().stream()
                                                                        .map(Mode::name)
                                                                        .toList())));
        return new Key(tonic, mode);
    }

    /** The scale's notes, spelled, from the tonic up. */
    public List<Spelling> scale() {
        return mode.degrees().stream().map(tonic::above).toList();
    }

    /** The degree of the mode that a pitch class is, or empty when it lies outside the scale. */
    public Optional<Degree> degreeInScale(int pitchClass) {
        int semitones = Math.floorMod(pitchClass - tonic.pitchClass(), 12);
        for (Degree d : mode.degrees()) {
            if (d.semitones() == semitones) {
                return Optional.of(d);
            }
        }
        return Optional.empty();
    }

    /** Whether the pitch class (any integer, taken modulo 12) is one of the scale's notes. */
    public boolean contains(int pitchClass) {
        return degreeInScale(pitchClass).isPresent();
    }

    /** The scale's notes, in any octave. */
    public PitchClassSet pitchClasses() {
        int root = tonic.pitchClass();
        int bits = 0;
        for (Degree d : mode.degrees()) {
            bits |= 1 << Math.floorMod(root + d.semitones(), 12);
        }
        return new PitchClassSet(bits);
    }

    /**
     * The degree above the tonic: the mode's own name where the note is in the scale, the usual one
     * otherwise, for the tritone a ♯4 where the mode's third is major and its fifth pure.
     */
    public Degree degree(int pitchClass) {
        return degreeInScale(pitchClass)
                .orElseGet(
                        () -> {
                            int semitones = Math.floorMod(pitchClass - tonic.pitchClass(), 12);
                            boolean bright =
                                    contains(tonic.pitchClass() + 7)
                                            && !contains(tonic.pitchClass() + 3);
                            return semitones == 6 && bright
                                    ? new Degree(4, 1)
                                    : Degree.above(semitones);
                        });
    }

    /** Spells a pitch class: by the scale where it belongs to it, by its usual degree otherwise. */
    public Spelling spell(int pitchClass) {
        return tonic.above(degree(pitchClass));
    }

    /**
     * How a player calls a note or a root in this key: as it is spelled, but never with a double
     * accidental. In a key whose own scale has one, all notes are called as in the key that sounds
     * the same: F♯ minor for G♭ minor.
     */
    public Spelling say(int pitchClass) {
        Spelling s = said().spell(pitchClass);
        return Math.abs(s.alter()) < 2 ? s : Spelling.plain(pitchClass);
    }

    /** The key that players write for this one: itself, unless its scale has double accidentals. */
    public Key said() {
        for (Degree d : mode.degrees()) {
            if (Math.abs(tonic.above(d).alter()) > 1) {
                return new Key(Spelling.plain(tonic.pitchClass()), mode);
            }
        }
        return this;
    }

    /** The spelled note of a MIDI number. */
    public Note note(int midi) {
        return Note.at(spell(midi), midi);
    }

    /** Such as {@code F♯ dorian}. */
    public String symbol() {
        return tonic.symbol() + " " + mode.name();
    }

    @Override
    public String toString() {
        return symbol();
    }
}
