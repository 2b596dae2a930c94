package vocalis.core.harmony;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import vocalis.core.theory.Degree;
import vocalis.core.theory.Key;
import vocalis.core.theory.PitchClassSet;
import vocalis.core.voicing.Voicing;

/**
 * Why a chord may stand where it does, from its notes and its neighbours. Common practice, no
 * source. Words are made where it is shown.
 */
public sealed interface WhyHere {

    /**
     * It shares notes with the chord whose place it takes.
     *
     * @param root pitch class of that chord
     * @param seventh whether that chord is taken with its seventh
     * @param degrees of that chord that sound in it too
     */
    record Shares(int root, boolean seventh, List<Degree> degrees) implements WhyHere {
        public Shares {
            degrees = List.copyOf(degrees);
        }
    }

    /**
     * Its root moves into the next one as a dominant or a leading tone would.
     *
     * @param semitones -1 down a semitone, 1 up one, 5 up a fourth (or down a fifth)
     */
    record Leads(int semitones) implements WhyHere {}

    /**
     * Its bass passes by step between its neighbours' basses.
     *
     * @param from MIDI number of the bass before
     * @param by its own
     * @param to the bass after
     */
    record PassingBass(int from, int by, int to) implements WhyHere {}

    /**
     * A fourth or second over the root that wants to go to the third.
     *
     * @param degree the 4 or the 2
     * @param midi its pitch class
     * @param resolved pitch class of the third
     * @param follows whether the next chord has it
     */
    record Suspended(Degree degree, int midi, int resolved, boolean follows) implements WhyHere {}

    /**
     * What speaks for a chord, the strongest first; often nothing, for a chord of the key needs
     * none.
     */
    static List<WhyHere> of(Voicing v, Key key, Optional<Voicing> before, Optional<Voicing> after) {
        List<WhyHere> all = new ArrayList<>();
        shares(v, key).ifPresent(all::add);
        after.flatMap(n -> leads(v, n)).ifPresent(all::add);
        if (before.isPresent() && after.isPresent()) {
            passing(before.get(), v, after.get()).ifPresent(all::add);
        }
        suspended(v, key, after).ifPresent(all::add);
        return List.copyOf(all);
    }

    private static PitchClassSet sounding(Voicing v) {
        return PitchClassSet.of(v.pitchClasses().stream().mapToInt(pc -> pc).toArray());
    }

    /** Of a chord without the root that it was asked for. */
    private static Optional<WhyHere> shares(Voicing v, Key key) {
        PitchClassSet above = sounding(v).above(v.root());
        if (above.has(0) && !tritone(above)) {
            return Optional.empty();
        }
        boolean tritone = tritone(above);
        int third = tritone || key.contains(v.root() + 4) ? 4 : 3;
        int seventh = tritone || !key.contains(v.root() + 11) ? 10 : 11;
        List<Degree> shared = new ArrayList<>();
        for (int d : new int[] {0, third, 7, seventh}) {
            if (above.has(d)) {
                shared.add(Degree.above(d));
            }
        }
        return shared.size() < 2
                ? Optional.empty()
                : Optional.of(new Shares(v.root(), above.has(seventh), shared));
    }

    /** A seventh chord on the tritone: its root, third and seventh counted from the asked root. */
    private static boolean tritone(PitchClassSet above) {
        return above.has(6) && above.has(10) && above.has(4);
    }

    /** By the lowest notes, as they are heard to move. */
    private static Optional<WhyHere> leads(Voicing v, Voicing next) {
        int up = Math.floorMod(next.bass() - v.bass(), 12);
        boolean outside =
                !sounding(v).above(v.root()).has(0) || tritone(sounding(v).above(v.root()));
        if (!outside) {
            return Optional.empty();
        }
        return switch (up) {
            case 11 -> Optional.of(new Leads(-1));
            case 1 -> Optional.of(new Leads(1));
            case 5 -> Optional.of(new Leads(5));
            default -> Optional.empty();
        };
    }

    private static Optional<WhyHere> passing(Voicing before, Voicing v, Voicing after) {
        int in = v.bass() - before.bass();
        int out = after.bass() - v.bass();
        boolean steps = in != 0 && out != 0 && Math.abs(in) <= 2 && Math.abs(out) <= 2;
        boolean own = Math.floorMod(v.bass() - v.root(), 12) != 0;
        return steps && own && in > 0 == out > 0
                ? Optional.of(new PassingBass(before.bass(), v.bass(), after.bass()))
                : Optional.empty();
    }

    private static Optional<WhyHere> suspended(Voicing v, Key key, Optional<Voicing> after) {
        PitchClassSet above = sounding(v).above(v.root());
        boolean third = above.has(3) || above.has(4);
        boolean fourth = above.has(5);
        if (third || !above.has(0) || !fourth && !above.has(2)) {
            return Optional.empty();
        }
        int resolved = (v.root() + (key.contains(v.root() + 4) ? 4 : 3)) % 12;
        boolean follows =
                after.filter(n -> n.root() == v.root() && sounding(n).has(resolved)).isPresent();
        int held = (v.root() + (fourth ? 5 : 2)) % 12;
        return Optional.of(new Suspended(new Degree(fourth ? 4 : 2, 0), held, resolved, follows));
    }
}
