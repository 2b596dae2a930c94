package vocalis.core.theory;

/**
 * Some of the twelve pitch classes: the notes of a chord or scale from C up, or, seen from a root,
 * its degrees in semitones above it.
 *
 * @param bits bit n for pitch class n, 0 to 0xFFF
 */
public record PitchClassSet(int bits) {

    public static final PitchClassSet NONE = new PitchClassSet(0);

    public static final PitchClassSet ALL = new PitchClassSet(0xFFF);

    public PitchClassSet {
        if ((bits & ~0xFFF) != 0) {
            throw new IllegalArgumentException(
                    "a set has pitch classes 0 to 11, but has bits " + Integer.toHexString(bits));
        }
    }

    /** The set of some pitch classes; any integers, taken modulo 12. */
    public static PitchClassSet of(int... pitchClasses) {
        int bits = 0;
        for (int pc : pitchClasses) {
            bits |= 1 << Math.floorMod(pc, 12);
        }
        return new PitchClassSet(bits);
    }

    /** Whether it has a pitch class 0 to 11. */
    public boolean has(int pitchClass) {
        return (bits >> pitchClass & 1) != 0;
    }

    public boolean isEmpty() {
        return bits == 0;
    }

    public int size() {
        return Integer.bitCount(bits);
    }

    /** The lowest pitch class of a set that is not empty. */
    public int first() {
        return Integer.numberOfTrailingZeros(bits);
    }

    public PitchClassSet and(PitchClassSet more) {
        return new PitchClassSet(bits | more.bits);
    }

    public PitchClassSet without(PitchClassSet others) {
        return new PitchClassSet(bits & ~others.bits);
    }

    /** The same without one pitch class 0 to 11. */
    public PitchClassSet without(int pitchClass) {
        return new PitchClassSet(bits & ~(1 << pitchClass));
    }

    /** Whether any of them is in the other too. */
    public boolean meets(PitchClassSet other) {
        return (bits & other.bits) != 0;
    }

    /** The set as intervals above a root 0 to 11. */
    public PitchClassSet above(int root) {
        return new PitchClassSet((bits >> root | bits << 12 - root) & 0xFFF);
    }
}
