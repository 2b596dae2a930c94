package vocalis.core.arrange;

/**
 * How guitar and amplifier are turned, in steps from the tone's own setting.
 *
 * @param gain -5 to 5, as the others
 * @param bass -5 to 5
 * @param middle -5 to 5
 * @param treble -5 to 5
 * @param presence -5 to 5
 * @param level -5 to 5
 * @param neckPickup the pickup at the neck, or the one at the bridge
 * @param pick where the pick strikes, 0 (at the bridge) to 10 (at the neck); 5 is usual
 * @param hardness of the pick, 0 (a thumb) to 10 (stiff); 5 is usual
 */
public record Controls(
        int gain,
        int bass,
        int middle,
        int treble,
        int presence,
        int level,
        boolean neckPickup,
        int pick,
        int hardness) {

    /** Everything as the tone has it. */
    public static final Controls USUAL = new Controls(0, 0, 0, 0, 0, 0, false, 5, 5);

    public Controls {
        for (int c : new int[] {gain, bass, middle, treble, presence, level}) {
            if (c < -5 || c > 5) {
                throw new IllegalArgumentException("a control turns from -5 to 5, not to " + c);
            }
        }
        if (pick < 0 || pick > 10 || hardness < 0 || hardness > 10) {
            throw new IllegalArgumentException(
                    "the pick's place and hardness lie from 0 to 10, not at "
                            + pick
                            + " and "
                            + hardness);
        }
    }

    /** The amplifier's six in their order: gain, bass, middle, treble, presence, level. */
    public int[] steps() {
        return new int[] {gain, bass, middle, treble, presence, level};
    }

    /** With one of the six turned. */
    public Controls turned(int which, int to) {
        int[] s = steps();
        s[which] = to;
        return new Controls(s[0], s[1], s[2], s[3], s[4], s[5], neckPickup, pick, hardness);
    }

    public Controls withPickup(boolean neck) {
        return new Controls(gain, bass, middle, treble, presence, level, neck, pick, hardness);
    }

    public Controls withPick(int place, int hard) {
        return new Controls(gain, bass, middle, treble, presence, level, neckPickup, place, hard);
    }
}
