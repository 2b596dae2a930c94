package vocalis.core.vary;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import vocalis.core.edit.Chords;
import vocalis.core.riff.Riff;
import vocalis.core.riff.Root;
import vocalis.core.riff.RootSpan;
import vocalis.core.riff.Treatment;
import vocalis.core.theory.Key;

/** Moves that put other roots, or the same in another order. */
final class Orders {

    private static final int[] TWELVE = {1, 1, 1, 1, 4, 4, 1, 1, 5, 4, 1, 5};

    private static final int FOURTH = 5;

    private Orders() {}

    static Riff swapped(Riff riff, int chord) {
        return Chords.swapWithNext(riff, chord);
    }

    static Riff reversed(Riff riff) {
        Riff out = riff;
        int last = riff.roots().size() - 1;
        for (int i = 0; i < last; i++) {
            out = Chords.move(out, last, i);
        }
        return out;
    }

    private static Riff twice(Riff riff) {
        int n = riff.roots().size();
        return Chords.copy(riff, 0, n - 1, n);
    }

    /** The riff twice, the second time with another end. */
    static Riff newLastRepeat(Riff riff) {
        return otherEnd(twice(riff));
    }

    /** The riff three times, the third time with another end. */
    static Riff thirdTime(Riff riff) {
        return otherEnd(
                Chords.copy(twice(riff), 0, riff.roots().size() - 1, 2 * riff.roots().size()));
    }

    /** The riff twice, the second time a fourth higher: every root, its bass with it. */
    static Riff inTwoKeys(Riff riff) {
        Riff out = twice(riff);
        Key key = riff.ground().key();
        int n = riff.roots().size();
        for (int i = n; i < 2 * n; i++) {
            out = Chords.root(out, i, out.roots().get(i).root().transposed(key, FOURTH));
            Optional<Root> bass = riff.treatments().get(i - n).bass();
            if (bass.isPresent()) {
                out = Chords.bass(out, i, bass.map(b -> b.transposed(key, FOURTH)));
            }
        }
        return out;
    }

    /** Another root at the end: the one that leads best into the beginning. */
    static Riff otherEnd(Riff riff) {
        return ended(riff, 0);
    }

    /** The end that comes so many places down the list of those that lead into the beginning. */
    static Riff ended(Riff riff, int choice) {
        int last = riff.roots().size() - 1;
        if (last == 0) {
            return riff;
        }
        Riff changed = NextRoot.at(riff, last).get(choice).in(riff, last);
        return Chords.bestMember(changed, last);
    }

    /** Tonic, fourth and fifth of a bar each in the form of twelve bars, voiced as one chord. */
    static Riff twelveBars(Riff riff, int chord) {
        Treatment like = riff.treatments().get(chord);
        List<RootSpan> roots = new ArrayList<>();
        List<Treatment> treatments = new ArrayList<>();
        for (int bar = 0; bar < TWELVE.length; bar++) {
            long length = riff.meters().meter(bar).barTicks();
            long pickup = bar == 0 ? riff.meters().pickup() : 0;
            roots.add(new RootSpan(new Root(TWELVE[bar], 0), length + pickup));
            treatments.add(new Treatment(like.family(), Map.of(), Optional.empty()));
        }
        return riff.withRoots(roots, treatments);
    }

    /** The root a tritone away, where the chord falls a fifth into the next as a dominant does. */
    static Riff tritone(Riff riff, int chord) {
        Key key = riff.ground().key();
        Root now = riff.roots().get(chord).root();
        int next = riff.roots().get((chord + 1) % riff.roots().size()).root().pitchClass(key);
        if (Math.floorMod(next - now.pitchClass(key), 12) != FOURTH) {
            return riff;
        }
        return Chords.bestMember(Chords.root(riff, chord, now.transposed(key, 6)), chord);
    }
}
