package vocalis.core.vary;

import java.util.Optional;
import vocalis.core.derive.Derived;
import vocalis.core.edit.Chords;
import vocalis.core.instrument.Shape;
import vocalis.core.riff.Member;
import vocalis.core.riff.Riff;
import vocalis.core.riff.Root;
import vocalis.core.voicing.Family;
import vocalis.core.voicing.Voicing;

/** Moves that voice the same roots otherwise. */
final class Voices {

    private static final int OCTAVE = 12;

    private Voices() {}

    /** The riff twice, the second time with every shape an octave higher; none where one cannot. */
    static Riff octaveOnRepeat(Riff riff, Derived derived) {
        int n = riff.roots().size();
        Riff out = Chords.copy(riff, 0, n - 1, n);
        int last = riff.ground().board().frets();
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

    /** Every shape an octave higher, where the neck has it; none where no shape can go there. */
    static Riff octaveUp(Riff riff, Derived derived) {
        Riff out = riff;
        int last = riff.ground().board().frets();
        for (int i = 0; i < riff.roots().size(); i++) {
            Derived.Chord chord = derived.chords().get(i);
            Optional<Shape> up = chord.candidate().voicing().shape().moved(OCTAVE, last);
            if (up.isPresent() && !chord.candidate().voicing().shape().rings()) {
                Family family = riff.treatments().get(i).family();
                out = Chords.member(out, i, family, new Member.ByHand(up.get(), chord.root()));
            }
        }
        return out;
    }

    static Riff nextTreatment(Riff riff, int chord) {
        return Chords.familyOfAllStepped(riff, chord, 1);
    }

    /** Every chord over its fifth, under the same shapes. */
    static Riff fifthInBass(Riff riff) {
        Riff out = riff;
        for (int i = 0; i < riff.roots().size(); i++) {
            Root root = riff.roots().get(i).root();
            out = Chords.bass(out, i, Optional.of(root.transposed(riff.ground().key(), 7)));
        }
        return out;
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

    /** Every shape of three voices and more without its second from the top. */
    static Riff thinned(Riff riff, Derived derived) {
        Riff out = riff;
        for (int i = 0; i < riff.roots().size(); i++) {
            Voicing v = derived.chords().get(i).candidate().voicing();
            if (v.voices() >= 3) {
                Shape thin = v.thinned(2).shape();
                Family family = riff.treatments().get(i).family();
                out = Chords.member(out, i, family, new Member.ByHand(thin, v.root()));
            }
        }
        return out;
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
