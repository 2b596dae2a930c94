package vocalis.core.vary;

import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import vocalis.core.derive.Derived;
import vocalis.core.edit.Chords;
import vocalis.core.hands.Fingering;
import vocalis.core.instrument.Fretboard;
import vocalis.core.instrument.Shape;
import vocalis.core.riff.Member;
import vocalis.core.riff.Riff;
import vocalis.core.theory.Key;

/**
 * Ringing or muted: the same grips with the fingers arched, so that open strings above the bass
 * ring along, or laid flatter, so that they are silent. Common practice, no source.
 */
public final class Ringing {

    private Ringing() {}

    /** Whether an open string above the bass rings along in any chord. */
    public static boolean rings(Derived derived) {
        return derived.chords().stream()
                .map(c -> c.candidate().voicing().shape())
                .anyMatch(s -> !muted(s).equals(s));
    }

    /**
     * The riff with its open strings silenced where any rings, or ringing where they suit chord and
     * key and the hand can leave them free; empty where neither changes a chord.
     */
    public static Optional<Riff> switched(Derived derived) {
        boolean mute = rings(derived);
        Riff out = derived.riff();
        boolean changed = false;
        for (int i = 0; i < derived.chords().size(); i++) {
            Derived.Chord c = derived.chord(i);
            Shape now = c.candidate().voicing().shape();
            Shape to = mute ? muted(now) : rung(derived, now, c.root());
            changed |= !to.equals(now);
            // Grips that stay are kept too, or the way of the hand might take others.
            Member kept =
                    to.equals(now) && !c.byHand()
                            ? Member.OfClass.of(c.candidate().voicing())
                            : new Member.ByHand(to, c.root());
            out = Chords.member(out, i, out.treatments().get(i).family(), kept);
        }
        return changed ? Optional.of(out) : Optional.empty();
    }

    /** Without open strings above the lowest that sounds; as it is where no chord would be left. */
    private static Shape muted(Shape shape) {
        Shape out = shape;
        List<Integer> sounded = shape.sounded();
        for (int s : sounded.subList(1, sounded.size())) {
            out = shape.fret(s) == 0 ? out.with(s, Shape.SILENT) : out;
        }
        return out.voices() < 2 ? shape : out;
    }

    /** With every open string above the bass that suits it, from the fingers outwards. */
    private static Shape rung(Derived derived, Shape shape, int root) {
        Fretboard board = derived.riff().ground().board();
        Key key = derived.riff().ground().key();
        int bass = shape.sounded().get(0);
        Shape out = shape;
        for (int s : IntStream.range(bass + 1, shape.strings()).toArray()) {
            int midi = board.midi(s, 0);
            boolean suits =
                    !shape.sounds(s)
                            && key.contains(midi)
                            && !HeldDrones.RUBS.contains(Math.floorMod(midi - root, 12))
                            && clear(board, shape, midi);
            Shape more = out.with(s, 0);
            if (suits && Fingering.of(board, more, derived.hand()).isPresent()) {
                out = more;
            }
        }
        return out;
    }

    /** Whether no note of a shape lies a semitone beside a pitch, in any octave. */
    private static boolean clear(Fretboard board, Shape shape, int midi) {
        return shape.sounded().stream()
                .map(s -> Math.floorMod(board.midi(s, shape.fret(s)) - midi, 12))
                .noneMatch(d -> d == 1 || d == 11);
    }
}
