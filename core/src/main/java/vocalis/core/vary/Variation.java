package vocalis.core.vary;

import java.util.Optional;
import vocalis.core.check.Check;
import vocalis.core.derive.Derived;
import vocalis.core.derive.Deriver;
import vocalis.core.riff.Riff;

/**
 * A named move that makes another riff of one. Words for it are made where it is shown.
 *
 * <p>Each is a function of the riff and what it comes to; where a riff gives it nothing to work on
 * it makes none.
 */
public enum Variation {
    SWAP((r, d, c) -> Orders.swapped(r, c)),
    REVERSE((r, d, c) -> Orders.reversed(r)),
    NEW_LAST_REPEAT((r, d, c) -> Orders.newLastRepeat(r)),
    THIRD_TIME((r, d, c) -> Orders.thirdTime(r)),
    TWO_KEYS((r, d, c) -> Orders.inTwoKeys(r)),
    OTHER_END((r, d, c) -> Orders.otherEnd(r)),
    TWELVE_BARS((r, d, c) -> Orders.twelveBars(r, c)),
    TRITONE_SUBSTITUTE((r, d, c) -> Orders.tritone(r, c)),
    OCTAVE_ON_REPEAT((r, d, c) -> Voices.octaveOnRepeat(r, d)),
    OCTAVE_UP((r, d, c) -> Voices.octaveUp(r, d)),
    NEXT_TREATMENT((r, d, c) -> Voices.nextTreatment(r, c)),
    FIFTH_IN_BASS((r, d, c) -> Voices.fifthInBass(r, d)),
    HELD_BASS((r, d, c) -> Voices.heldBass(r)),
    THINNED((r, d, c) -> Voices.thinned(r, d)),
    RESOLVED_FOURTH((r, d, c) -> Voices.resolvedFourth(r, c)),
    RINGING_OR_MUTED((r, d, c) -> Patterns.ringingOrMuted(r)),
    DISPLACED((r, d, c) -> Patterns.displaced(r)),
    SEQUENCED((r, d, c) -> Patterns.sequenced(r)),
    MIRRORED((r, d, c) -> Patterns.mirrored(r)),
    HAMMERED_INTO((r, d, c) -> Patterns.hammeredInto(r, d)),
    PULLED_TO_OPEN((r, d, c) -> Patterns.pulledToOpen(r, d)),
    WALKED_BASS((r, d, c) -> Walks.walked(d)),
    CLIMBING_LINE((r, d, c) -> Walks.climbing(d, c)),
    PENTATONIC_FILL((r, d, c) -> Patterns.pentatonicFill(d));

    private interface Move {
        Riff make(Riff riff, Derived derived, int chord);
    }

    private final Move move;

    Variation(Move move) {
        this.move = move;
    }

    /**
     * The riff varied, where a player would stumble over no more than before: chord for chord no
     * more is found by the check.
     *
     * @param chord the chord under the caret, for moves that work on one
     */
    public Optional<Riff> offered(Derived derived, int chord, Deriver deriver) {
        return of(derived, chord)
                .filter(r -> Check.noWorse(derived, deriver.derive(r, derived.hand())));
    }

    /**
     * The riff varied.
     *
     * @param derived what the riff comes to
     * @param chord the chord under the caret, for moves that work on one
     * @return empty where it would change nothing or the riff gives it nothing to work on
     */
    public Optional<Riff> of(Derived derived, int chord) {
        Riff riff = derived.riff();
        try {
            Riff made = move.make(riff, derived, Math.min(chord, riff.roots().size() - 1));
            return made.equals(riff) ? Optional.empty() : Optional.of(made);
        } catch (IllegalArgumentException beyondTheLimits) {
            return Optional.empty();
        }
    }
}
