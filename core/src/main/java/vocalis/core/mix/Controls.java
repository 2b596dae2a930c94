package vocalis.core.mix;

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
 * @param closedCabinet the darker speaker in a closed cabinet, or the brighter one in an open one
 * @param microphone where it stands, 0 (before the speaker's middle) to 10 (its edge); 3 is usual
 * @param feedback whether held notes under gain come back into the strings
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
        int hardness,
        boolean closedCabinet,
        int microphone,
        boolean feedback) {

    /** Everything as the tone has it. */
    public static final Controls USUAL = new Controls(0, 0, 0, 0, 0, 0, false, 5, 5);

    /** Before the usual cabinet, without feedback. */
    public Controls(
            int gain,
            int bass,
            int middle,
            int treble,
            int presence,
            int level,
            boolean neckPickup,
            int pick,
            int hardness) {
        this(
                gain,
                bass,
                middle,
                treble,
                presence,
                level,
                neckPickup,
                pick,
                hardness,
                false,
                3,
                false);
    }

    public Controls {
        for (int c : new int[] {gain, bass, middle, treble, presence, level}) {
            if (c < -5 || c > 5) {
                throw new IllegalArgumentException("a control turns from -5 to 5, not to " + c);
            }
        }
        if (microphone < 0 || microphone > 10) {
            throw new IllegalArgumentException(
                    "the microphone stands from 0 to 10, not at " + microphone);
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
        return of(s, neckPickup, pick, hardness, closedCabinet, microphone, feedback);
    }

    private static Controls of(
            int[] s,
            boolean neck,
            int pick,
            int hardness,
            boolean closed,
            int microphone,
            boolean feedback) {
        return new Controls(
                s[0],
                s[1],
                s[2],
                s[3],
                s[4],
                s[5],
                neck,
                pick,
                hardness,
                closed,
                microphone,
                feedback);
    }

    public Controls withPickup(boolean neck) {
        return of(steps(), neck, pick, hardness, closedCabinet, microphone, feedback);
    }

    public Controls withPick(int place, int hard) {
        return of(steps(), neckPickup, place, hard, closedCabinet, microphone, feedback);
    }

    public Controls withCabinet(boolean closed, int place) {
        return of(steps(), neckPickup, pick, hardness, closed, place, feedback);
    }

    public Controls withFeedback(boolean asked) {
        return of(steps(), neckPickup, pick, hardness, closedCabinet, microphone, asked);
    }
}
