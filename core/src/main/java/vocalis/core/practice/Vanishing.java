package vocalis.core.practice;

/**
 * A click that goes out for some bars and comes back: are you still there?
 *
 * @param with bars in which it is heard, 0 (never) to 32
 * @param without bars in which it is silent, 0 (it never goes) to 32
 */
public record Vanishing(int with, int without) {

    /** Always heard. */
    public static final Vanishing NEVER = new Vanishing(1, 0);

    /** Never heard after the counting in. */
    public static final Vanishing SILENT = new Vanishing(0, 1);

    public Vanishing {
        if (with < 0 || with > 32 || without < 0 || without > 32 || with + without == 0) {
            throw new IllegalArgumentException(
                    "a click is heard for 0 to 32 bars and silent for 0 to 32, not "
                            + with
                            + " and "
                            + without);
        }
    }

    /** Whether it is heard in a bar, counted from 0 where practising begins. */
    public boolean heard(long bar) {
        return without == 0 || Math.floorMod(bar, with + without) < with;
    }

    /** How often a loop of so many bars must be laid end to end until it fits whole turns of it. */
    public int rounds(int bars) {
        if (without == 0) {
            return 1;
        }
        int turn = with + without;
        int rounds = 1;
        while (rounds * bars % turn != 0) {
            rounds++;
        }
        return rounds;
    }
}
