package vocalis.core.offer;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import vocalis.core.choice.Catalogue;
import vocalis.core.derive.Derived;
import vocalis.core.edit.Scope;
import vocalis.core.edit.Strokes;
import vocalis.core.instrument.Shape;
import vocalis.core.pattern.LineNote;
import vocalis.core.pattern.LinePitch;
import vocalis.core.riff.Riff;
import vocalis.core.riff.Tone;
import vocalis.core.score.Dynamics;
import vocalis.core.score.Onset;
import vocalis.core.vary.Walks;

/** The fret beside the next chord's lowest note, for the last stroke before it. */
final class Approaches {

    private Approaches() {}

    static List<Made> of(Derived derived, Catalogue catalogue) {
        List<Made> all = new ArrayList<>();
        for (int from : new int[] {-1, 1}) {
            all.add(new Made(new Setting.Semitone(from), made(derived, from)));
        }
        return all;
    }

    private static Riff made(Derived derived, int by) {
        Riff riff = derived.riff();
        int n = riff.roots().size();
        boolean accents = derived.score().onsets().stream().anyMatch(Approaches::accented);
        long unit = Walks.subdivision(derived);
        Riff out = riff;
        for (int i = 0; i < n; i++) {
            int next = (i + 1) % n;
            long at = riff.start(i) + riff.roots().get(i).length() - unit;
            Shape shape = derived.chord(next).candidate().voicing().shape();
            int fret = shape.fret(shape.lowestSounded()) + by;
            boolean marked =
                    !accents || struck(derived, next).filter(Approaches::accented).isPresent();
            boolean other = derived.chord(next).root() != derived.chord(i).root();
            boolean fits = fret >= 0 && fret <= riff.ground().board().frets();
            fits = fits && suits(riff, shape.lowestSounded(), fret);
            if (marked && other && fits && riff.roots().get(i).length() > 2 * unit) {
                LinePitch pitch = new LinePitch.Place(shape.lowestSounded(), fret);
                out = Strokes.emptied(out, at, at + unit);
                out = Strokes.put(out, at, new LineNote(0, 0, unit, pitch), Scope.THIS_PASS);
            }
        }
        return out;
    }

    /** A clean guitar approaches by notes of the key alone: others stick out of it. */
    private static boolean suits(Riff riff, int string, int fret) {
        return riff.ground().tone() != Tone.CLEAN
                || riff.ground().key().contains(riff.ground().board().midi(string, fret));
    }

    private static boolean accented(Onset o) {
        return o.notes().stream().anyMatch(x -> x.dynamics() == Dynamics.ACCENT);
    }

    private static Optional<Onset> struck(Derived derived, int chord) {
        int i = derived.score().firstFrom(derived.chord(chord).start());
        return i < derived.score().onsets().size()
                ? Optional.of(derived.score().onsets().get(i))
                : Optional.empty();
    }
}
