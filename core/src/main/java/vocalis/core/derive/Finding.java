package vocalis.core.derive;

import vocalis.core.instrument.Shape;
import vocalis.core.pattern.EventOverride;
import vocalis.core.pattern.Touch;
import vocalis.core.voicing.Family;

/**
 * Something that cannot be done as the recipe says, with its place and figures. Words are made
 * where it is shown.
 */
public sealed interface Finding {

    /** Index of the chord that it concerns. */
    int chord();

    /**
     * The bass wished for cannot be held under the chord; it is played without.
     *
     * @param bass pitch class
     */
    record NoBass(int chord, int bass) implements Finding {}

    /**
     * The member chosen cannot be held here; the best of its family is played.
     *
     * @param root pitch class
     */
    record MemberGone(int chord, Family family, int root) implements Finding {}

    /** A shape built by hand does not fit here; the best of its family is played. */
    record ShapeGone(int chord, Shape shape) implements Finding {}

    /**
     * The family has no voicing on this root that can be held; its root is played alone.
     *
     * @param root pitch class
     */
    record FamilyEmpty(int chord, Family family, int root) implements Finding {}

    /**
     * No string reaches the root at all; the chord is silent.
     *
     * @param root pitch class
     */
    record RootOutOfReach(int chord, int root) implements Finding {}

    /** Why a touch is not played. */
    enum Why {
        /** Its event is not in the pattern, or not struck there. */
        NO_EVENT,
        /** The event strikes fewer voices, or not that string. */
        NO_VOICE,
        /** It would leave the neck. */
        OFF_THE_NECK,
        /** It would come after its note has ended. */
        TOO_LATE
    }

    /**
     * A touch is not played at a place; it is kept.
     *
     * @param at ticks from the start, where it would be
     */
    record TouchUnplaced(int chord, long at, Touch touch, Why why) implements Finding {}

    /** A change at one pass has no pass to belong to; it is kept. */
    record OverrideUnplaced(int chord, EventOverride change) implements Finding {}

    /**
     * A note of a line lies off the neck; it is left out.
     *
     * @param at ticks from the start
     */
    record LineOffTheNeck(int chord, long at) implements Finding {}
}
