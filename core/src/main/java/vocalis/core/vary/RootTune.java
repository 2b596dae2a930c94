package vocalis.core.vary;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import vocalis.core.choice.Candidate;
import vocalis.core.choice.Catalogue;
import vocalis.core.choice.Ranking;
import vocalis.core.derive.Derived;
import vocalis.core.derive.Deriver;
import vocalis.core.edit.Chords;
import vocalis.core.instrument.Shape;
import vocalis.core.riff.Member;
import vocalis.core.riff.Riff;
import vocalis.core.voicing.Family;
import vocalis.core.voicing.Voicing;

/** The tune that the roots of a riff make, and its bends: one root an octave up or down. */
public final class RootTune {

    private static final int OCTAVE = 12;

    private RootTune() {}

    /** The pitch that each chord's root sounds at, as MIDI numbers: its lowest, else the bass. */
    public static List<Integer> of(Derived derived) {
        return derived.chords().stream().map(c -> root(c.candidate().voicing())).toList();
    }

    private static int root(Voicing v) {
        return v.midi().stream()
                .filter(m -> m % OCTAVE == v.root())
                .mapToInt(m -> m)
                .min()
                .orElse(v.bass());
    }

    /**
     * The riff with one chord's root an octave up or down, in the same family, in the shape that
     * suits its neighbours.
     *
     * @param direction 1 up, -1 down
     * @return empty where the neck has no such shape
     */
    public static Optional<Riff> bent(
            Derived derived, int chord, int direction, Catalogue catalogue) {
        Riff riff = derived.riff();
        Voicing now = derived.chords().get(chord).candidate().voicing();
        Family family = riff.treatments().get(chord).family();
        int wanted = root(now) + OCTAVE * direction;
        List<Shape> neighbours = new ArrayList<>();
        int n = derived.chords().size();
        if (n > 1) {
            neighbours.add(shape(derived, (chord + n - 1) % n));
            neighbours.add(shape(derived, (chord + 1) % n));
        }
        Ranking ranking = new Ranking(family, neighbours, riff.ground().key());
        List<Candidate> there =
                catalogue
                        .candidates(riff.ground().board(), derived.hand(), family, now.root())
                        .stream()
                        .filter(c -> root(c.voicing()) == wanted)
                        .toList();
        return ranking.ordered(there).stream()
                .findFirst()
                .map(c -> Chords.member(riff, chord, family, Member.OfClass.of(c.voicing())))
                .map(r -> others(r, derived, chord, catalogue));
    }

    /** Keeps the tune of all other roots: where the way would move one, its shape stays. */
    private static Riff others(Riff bent, Derived before, int chord, Catalogue catalogue) {
        List<Integer> tune = of(before);
        Deriver deriver = new Deriver(catalogue);
        Riff now = bent;
        for (int round = 0; round < tune.size(); round++) {
            List<Integer> moved = of(deriver.derive(now, before.hand()));
            Riff kept = now;
            for (int i = 0; i < tune.size(); i++) {
                if (i != chord && !moved.get(i).equals(tune.get(i))) {
                    Voicing v = before.chords().get(i).candidate().voicing();
                    Family family = before.riff().treatments().get(i).family();
                    kept = Chords.member(kept, i, family, Member.OfClass.of(v));
                }
            }
            if (kept.equals(now)) {
                return now;
            }
            now = kept;
        }
        return now;
    }

    private static Shape shape(Derived derived, int chord) {
        return derived.chords().get(chord).candidate().voicing().shape();
    }
}
