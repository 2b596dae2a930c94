package vocalis.desktop.writing;

import java.util.Optional;
import java.util.OptionalInt;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import vocalis.core.edit.Typed;
import vocalis.core.instrument.Fretboard;
import vocalis.core.pattern.LinePitch;
import vocalis.core.scale.Box;
import vocalis.core.theory.Degree;

/** What the digits write: degrees of the root, of the key or of the box that is shown, or frets. */
final class Digits {

    private enum Says {
        ROOT("degrees of the root"),
        KEY("degrees of the key"),
        FRET("frets"),
        BOX("degrees of the box");

        private final String words;

        Says(String words) {
            this.words = words;
        }
    }

    private static final int OCTAVE = 12;

    private Says says = Says.ROOT;
    private Supplier<Optional<Box>> box = Optional::empty;
    private int octave = 1;
    private int string;

    /** Where the box comes from. */
    void boxes(Supplier<Optional<Box>> shown) {
        box = shown;
    }

    /** What they write now, in words. */
    String inWords(int strings) {
        return says == Says.FRET ? "frets on string " + (strings - string) : says.words;
    }

    /** The next meaning; degrees of a box only while one is shown. */
    void next() {
        says = Says.values()[(says.ordinal() + 1) % Says.values().length];
        if (says == Says.BOX && box.get().isEmpty()) {
            says = Says.ROOT;
        }
    }

    /** The octave that degrees are written in, so many higher or lower. */
    int octave(int by) {
        octave = Math.max(0, Math.min(Typed.MOST_OCTAVE, octave + by));
        return octave;
    }

    /** The string that frets are written on, so many higher or lower. */
    int string(int by, Fretboard board) {
        string = Math.max(0, Math.min(board.strings() - 1, string + by));
        return string;
    }

    /** Frets are written on that string from now on. */
    void stringIs(int other) {
        string = other;
    }

    /**
     * The note of a digit; with Shift, 10 to 19, an octave up, or ten frets more.
     *
     * @param before MIDI number of the note written before
     * @return empty where there is none: {@link #none} says why
     */
    Optional<LinePitch> pitch(int n, Fretboard board, OptionalInt before) {
        if (says == Says.FRET) {
            return n > board.frets()
                    ? Optional.empty()
                    : Optional.of(new LinePitch.Place(string, n));
        }
        if (n % 10 == 0) {
            return Optional.empty();
        }
        int degree = (n % 10 - 1) % 7 + 1;
        int up = (n % 10 - 1) / 7 + n / 10;
        if (says == Says.BOX && box.get().isPresent()) {
            Box shown = box.get().get();
            double near = before.orElse(shown.spots().get(0).midi() + OCTAVE) + OCTAVE * up;
            return shown.degree(degree, near).map(s -> new LinePitch.Place(s.string(), s.fret()));
        }
        return Optional.of(
                new LinePitch.Degree(
                        says == Says.KEY ? LinePitch.Above.KEY : LinePitch.Above.ROOT,
                        degree,
                        0,
                        Math.min(Typed.MOST_OCTAVE, octave + up)));
    }

    /** Why a digit writes no note. */
    String none(int n) {
        if (says == Says.BOX && box.get().isPresent()) {
            return "The box has no such degree: "
                    + box.get().get().scale().mode().degrees().stream()
                            .map(Degree::symbol)
                            .collect(Collectors.joining(" "))
                    + ".";
        }
        return says == Says.FRET
                ? "The neck has no fret " + n + "."
                : "Degrees are 1 to 7, and 8 and 9 above them; D makes digits frets.";
    }
}
