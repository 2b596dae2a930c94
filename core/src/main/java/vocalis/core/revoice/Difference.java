package vocalis.core.revoice;

import java.util.List;
import java.util.Optional;
import java.util.TreeSet;
import vocalis.core.derive.Derived;
import vocalis.core.harmony.Context;
import vocalis.core.names.HeardRoot;
import vocalis.core.theory.Key;
import vocalis.core.voicing.Voicing;

/**
 * What changes at one chord when another treatment takes its place.
 *
 * @param come pitch classes that come
 * @param go pitch classes that go
 * @param third what the third says before and after
 * @param thirdBefore the same before
 * @param rootBefore heard root before, pitch class
 * @param root heard root after
 * @param openBefore open strings that rang
 * @param open open strings that ring
 * @param effortBefore of the hand
 * @param effort of the hand
 * @param pullBefore pull into the next chord
 * @param pull pull into the next chord of its own row
 */
public record Difference(
        List<Integer> come,
        List<Integer> go,
        Third thirdBefore,
        Third third,
        int rootBefore,
        int root,
        int openBefore,
        int open,
        double effortBefore,
        double effort,
        int pullBefore,
        int pull) {

    /** What a third says. */
    public enum Third {
        NONE,
        MINOR,
        MAJOR
    }

    public Difference {
        come = List.copyOf(come);
        go = List.copyOf(go);
    }

    /** What a row changes at a chord against another. */
    public static Difference at(Derived before, Derived after, int chord) {
        Key key = after.riff().ground().key();
        Voicing a = voicing(before, chord);
        Voicing b = voicing(after, chord);
        TreeSet<Integer> come = new TreeSet<>(b.pitchClasses());
        a.pitchClasses().forEach(come::remove);
        TreeSet<Integer> go = new TreeSet<>(a.pitchClasses());
        b.pitchClasses().forEach(go::remove);
        return new Difference(
                List.copyOf(come),
                List.copyOf(go),
                third(a),
                third(b),
                HeardRoot.of(a, Optional.of(key)).root(),
                HeardRoot.of(b, Optional.of(key)).root(),
                open(a),
                open(b),
                before.chords().get(chord).candidate().fingering().effort(),
                after.chords().get(chord).candidate().fingering().effort(),
                Context.pull(a, voicing(before, chord + 1)),
                Context.pull(b, voicing(after, chord + 1)));
    }

    private static Voicing voicing(Derived d, int chord) {
        return d.chords().get(chord % d.chords().size()).candidate().voicing();
    }

    private static Third third(Voicing v) {
        boolean major = v.pitchClasses().contains((v.root() + 4) % 12);
        boolean minor = v.pitchClasses().contains((v.root() + 3) % 12);
        return major ? Third.MAJOR : minor ? Third.MINOR : Third.NONE;
    }

    private static int open(Voicing v) {
        int n = 0;
        for (int f : v.shape().frets()) {
            n += f == 0 ? 1 : 0;
        }
        return n;
    }
}
