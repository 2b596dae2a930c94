package vocalis.core.vary;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import vocalis.core.derive.Derived;
import vocalis.core.edit.Chords;
import vocalis.core.hands.Fingering;
import vocalis.core.hands.Hand;
import vocalis.core.instrument.Shape;
import vocalis.core.riff.Member;
import vocalis.core.riff.Riff;
import vocalis.core.riff.Root;
import vocalis.core.voicing.Family;
import vocalis.core.voicing.Voicing;

/** Moves that voice the same roots otherwise. */
final class Voices {

    private static final int OCTAVE = 12;

    /** The highest fret that chords an octave up may reach: past it the neck is for leads. */
    private static final int HIGHEST_FRET = 19;

    private Voices() {}

    /** The riff twice, the second time with every shape an octave higher; none where one cannot. */
    static Riff octaveOnRepeat(Riff riff, Derived derived) {
        int n = riff.roots().size();
        Riff out = Chords.copy(riff, 0, n - 1, n);
        int last = Math.min(HIGHEST_FRET, riff.ground().board().frets());
        for (int i = 0; i < n; i++) {
            Derived.Chord chord = derived.chords().get(i);
            Optional<Shape> up = chord.candidate().voicing().shape().moved(OCTAVE, last);
            if (up.isEmpty() || chord.candidate().voicing().shape().rings()) {
                return riff;
            }
            Family family = riff.treatments().get(i).family();
            out = Chords.member(out, n + i, family, new Member.ByHand(up.get(), chord.root()));
        }
        return out;
    }

    /** Every shape an octave higher; none where one cannot go there. */
    static Riff octaveUp(Riff riff, Derived derived) {
        Riff out = riff;
        int last = Math.min(HIGHEST_FRET, riff.ground().board().frets());
        for (int i = 0; i < riff.roots().size(); i++) {
            Derived.Chord chord = derived.chords().get(i);
            Optional<Shape> up = chord.candidate().voicing().shape().moved(OCTAVE, last);
            if (up.isEmpty() || chord.candidate().voicing().shape().rings()) {
                return riff;
            }
            Family family = riff.treatments().get(i).family();
            out = Chords.member(out, i, family, new Member.ByHand(up.get(), chord.root()));
        }
        return out;
    }

    static Riff nextTreatment(Riff riff, int chord) {
        return Chords.familyOfAllStepped(riff, chord, 1);
    }

    /**
     * Every chord over its fifth, the shape as it is: on the string below, where the hand holds it,
     * or with the lowest root left out where the fifth comes next; none where one chord has
     * neither.
     */
    static Riff fifthInBass(Riff riff, Derived derived) {
        Riff out = riff;
        for (int i = 0; i < riff.roots().size(); i++) {
            Voicing v = derived.chords().get(i).candidate().voicing();
            Optional<Shape> over = overFifth(v, derived.hand());
            if (over.isEmpty()) {
                return riff;
            }
            Family family = riff.treatments().get(i).family();
            out = Chords.member(out, i, family, new Member.ByHand(over.get(), v.root()));
        }
        return out;
    }

    private static Optional<Shape> overFifth(Voicing v, Hand hand) {
        Shape shape = v.shape();
        int lowest = shape.lowestSounded();
        int fifth = (v.root() + 7) % OCTAVE;
        List<Shape> tried = new ArrayList<>();
        if (lowest > 0) {
            int fret = Math.floorMod(fifth - v.board().midi(lowest - 1, 0), OCTAVE);
            tried.add(shape.with(lowest - 1, fret));
        }
        List<Integer> sounded = shape.sounded();
        if (sounded.size() > 2 && v.midi().get(1) % OCTAVE == fifth) {
            tried.add(shape.with(lowest, Shape.SILENT));
        }
        return tried.stream().filter(s -> Fingering.of(v.board(), s, hand).isPresent()).findFirst();
    }

    /** The first root held as bass under every chord. */
    static Riff heldBass(Riff riff) {
        Riff out = riff;
        Root first = riff.roots().get(0).root();
        for (int i = 1; i < riff.roots().size(); i++) {
            boolean same = riff.roots().get(i).root().equals(first);
            out = Chords.bass(out, i, same ? Optional.empty() : Optional.of(first));
        }
        return out;
    }

    /** Every shape of three voices and more with one less: what sounds twice before the rest. */
    static Riff thinned(Riff riff, Derived derived) {
        Riff out = riff;
        for (int i = 0; i < riff.roots().size(); i++) {
            Voicing v = derived.chords().get(i).candidate().voicing();
            if (v.voices() >= 3) {
                Shape thin = v.thinned(spare(v)).shape();
                Family family = riff.treatments().get(i).family();
                out = Chords.member(out, i, family, new Member.ByHand(thin, v.root()));
            }
        }
        return out;
    }

    /** The voice from the top that is missed least: an octave of a lower one, else the second. */
    private static int spare(Voicing v) {
        List<Integer> midi = v.midi().stream().sorted().toList();
        for (int n = 1; n < midi.size(); n++) {
            int top = midi.get(midi.size() - n);
            boolean doubled =
                    midi.subList(0, midi.size() - n).stream()
                            .anyMatch(m -> (top - m) % OCTAVE == 0);
            if (doubled) {
                return n;
            }
        }
        return 2;
    }

    /** A chord in two halves: suspended first, then the triad that it resolves to. */
    static Riff resolvedFourth(Riff riff, int chord) {
        Riff split = Chords.split(riff, chord);
        return split.roots().size() == riff.roots().size()
                ? riff
                : Chords.family(
                        Chords.family(split, chord, Family.SUSPENDED), chord + 1, Family.TRIAD);
    }
}
