package vocalis.core.choice;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import vocalis.core.instrument.Fretboard;
import vocalis.core.instrument.Instrument;
import vocalis.core.instrument.Shape;
import vocalis.core.instrument.Tuning;
import vocalis.core.theory.Spelling;
import vocalis.core.voicing.BareVoicing;
import vocalis.core.voicing.Voicing;

/**
 * The forms that guitarists know by heart (common practice, no source): open chords, barres with
 * their root on the two lowest strings, shells, and the four-string sevenths and ninths. A row is a
 * root and its shapes in standard tuning; a form without open strings is known at every fret of its
 * strings, counted from the highest.
 */
final class KnownForms {

    private static final String ROWS =
            """
            C x-3-2-0-1-0 x-3-2-3-1-0 x-3-2-0-0-0 x-3-2-0-3-0 x-3-2-0-3-3 x-3-3-0-1-1 x-3-0-0-1-0
            A x-0-2-2-2-0 x-0-2-2-1-0 x-0-2-0-2-0 x-0-2-0-1-0 x-0-2-1-2-0 x-0-2-2-3-0 x-0-2-2-0-0
            A x-0-2-0-3-0 x-0-2-2-2-2 x-0-2-4-1-0 x-0-2-2-2-3
            G 3-2-0-0-0-3 3-2-0-0-3-3 3-2-0-0-0-1 3-2-0-0-0-2 3-x-0-2-0-3
            E 0-2-2-1-0-0 0-2-2-0-0-0 0-2-0-1-0-0 0-2-0-0-0-0 0-2-2-2-0-0 0-2-4-0-0-0 0-2-0-2-0-0
            E 0-2-2-0-2-0 0-2-1-1-0-0 0-2-2-1-2-0
            D x-x-0-2-3-2 x-x-0-2-3-1 x-x-0-2-1-2 x-x-0-2-1-1 x-x-0-2-2-2 x-x-0-2-3-3 x-x-0-2-3-0
            D x-x-0-2-1-3 x-x-0-2-0-2
            B x-2-1-2-0-2 x-2-4-4-0-0
            G 3-x-0-0-3-3 3-x-0-0-3-x
            C x-3-x-0-1-x x-3-x-0-1-3
            E 0-2-0-2-3-0 0-2-2-x-0-0
            F# 2-x-2-2-0-0 2-4-4-3-0-0
            F x-x-3-2-1-0
            F 1-3-3-2-1-1 1-3-3-1-1-1 1-3-1-2-1-1 1-3-1-1-1-1 1-3-2-2-1-1 1-3-1-3-1-1 1-3-3-3-1-1
            Bb x-1-3-3-3-1 x-1-3-3-2-1 x-1-3-1-3-1 x-1-3-1-2-1 x-1-3-2-3-1 x-1-3-1-4-1 x-1-3-3-4-1
            Bb x-1-3-3-1-1 x-1-3-3-3-3
            G 3-x-3-4-x-x 3-x-3-3-x-x 3-x-4-4-x-x 3-x-3-4-3-x 3-x-3-3-3-x 3-x-4-4-3-x 3-x-3-3-2-x
            G 3-x-3-4-5-x
            C x-3-2-3-x-x x-3-1-3-x-x x-3-2-4-x-x x-3-2-3-3-x x-3-2-3-3-3 x-3-1-3-3-x x-3-2-4-3-x
            C x-3-2-3-4-x x-3-2-3-2-x x-3-4-3-4-x
            B x-2-3-2-3-x x-2-3-4-3-x
            F x-x-3-2-1-1 x-x-3-1-1-1
            D x-x-0-1-0-1
            A 5-7-9-x-x-x
            D x-5-7-9-x-x
            C x-x-x-5-5-3 x-x-x-9-8-8 x-x-5-5-5-x x-x-x-5-4-3 x-x-x-8-8-8 x-x-5-5-4-x
            """;

    private static final List<BareVoicing> FORMS = forms();

    /** Ascending, to be searched by halves. */
    private static final long[] ALL =
            FORMS.stream().mapToLong(KnownForms::form).distinct().sorted().toArray();

    /** No form of standard tuning: it lies over more than six strings. */
    private static final long NONE = -1;

    /**
     * A form in one number, asked of every voicing that is found: strings from the lowest sounded
     * one up, the lowest one's degree, and for each string after it one byte, semitones above the
     * lowest and, where any string is open, whether this one is.
     */
    private static long form(BareVoicing v) {
        int first = 0;
        while (!v.sounds(first)) {
            first++;
        }
        if (v.strings() - first > 6) {
            return NONE;
        }
        int lowest = v.midi(first);
        long form = (v.strings() - first) * 12L + v.degree(first);
        form = form * 2 + (v.fret(first) == 0 ? 1 : 0);
        for (int s = first + 1; s < v.strings(); s++) {
            int above = v.sounds(s) ? v.midi(s) - lowest + 64 : 0;
            form = form << 8 | above << 1 | (v.fret(s) == 0 ? 1 : 0);
        }
        return form;
    }

    private static List<BareVoicing> forms() {
        Fretboard standard = new Fretboard(Instrument.of(Tuning.STANDARD), 0);
        List<BareVoicing> forms = new ArrayList<>();
        for (String row : ROWS.strip().split("\n")) {
            String[] words = row.strip().split(" +");
            int root = Spelling.parse(words[0]).pitchClass();
            for (int i = 1; i < words.length; i++) {
                forms.add(new Voicing(Shape.parse(words[i]), standard, root).laid());
            }
        }
        return forms;
    }

    private KnownForms() {}

    /**
     * Whether one of them may lie past a fret with its open strings in some tuning.
     *
     * @param open MIDI number of each open string
     */
    static boolean rings(int[] open, int past) {
        return FORMS.stream().anyMatch(f -> highestFret(f, open) > past);
    }

    /** The highest fret of a form where its open strings ring; 0 where it has none. */
    private static int highestFret(BareVoicing form, int[] open) {
        int up = open.length - form.strings();
        int highest = 0;
        for (int o = 0; o < form.strings(); o++) {
            for (int s = 0; s < form.strings() && form.fret(o) == 0; s++) {
                if (form.sounds(s) && o + up >= 0 && s + up >= 0) {
                    int fret = open[o + up] + form.midi(s) - form.midi(o) - open[s + up];
                    highest = Math.max(highest, fret);
                }
            }
        }
        return highest;
    }

    /** Whether a voicing is one of them, wherever it lies. */
    static boolean has(BareVoicing v) {
        return Arrays.binarySearch(ALL, form(v)) >= 0;
    }
}
