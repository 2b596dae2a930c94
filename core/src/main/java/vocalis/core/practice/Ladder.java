package vocalis.core.practice;

import vocalis.core.rhythm.TempoMap;

/**
 * A way up in tempo: so many clean passes on each rung, then a step faster, up to a goal; after two
 * failed passes in a row a step back. Common practice, no source; the two are what the program's
 * care for hands asks for.
 *
 * @param start quarter notes per minute to begin with, 20 to 400
 * @param goal where it ends, not below the start
 * @param step how much faster each rung is, 1 to 50
 * @param passes clean passes that a rung takes, 1 to 32
 */
public record Ladder(int start, int goal, int step, int passes) {

    /** Failed passes in a row after which it goes back. */
    public static final int FAILED_TO_GO_BACK = 2;

    public Ladder {
        if (start < TempoMap.SLOWEST || goal > TempoMap.FASTEST || goal < start) {
            throw new IllegalArgumentException(
                    "a ladder goes up from "
                            + TempoMap.SLOWEST
                            + " at least to "
                            + TempoMap.FASTEST
                            + " at most, not from "
                            + start
                            + " to "
                            + goal);
        }
        if (step < 1 || step > 50 || passes < 1 || passes > 32) {
            throw new IllegalArgumentException(
                    "a ladder steps by 1 to 50 after 1 to 32 passes, not by "
                            + step
                            + " after "
                            + passes);
        }
    }

    /** From seven tenths of a tempo up to it. */
    public static Ladder to(int goal) {
        int start = Math.max(TempoMap.SLOWEST, Math.round(goal * 0.7f));
        return new Ladder(Math.min(start, goal), goal, 4, 4);
    }

    /** From another tempo on, as far as the goal and the slowest allow. */
    public Ladder startingAt(int tempo) {
        int inside = Math.max(TempoMap.SLOWEST, Math.min(goal, tempo));
        return new Ladder(inside, goal, step, passes);
    }

    /** Up to another tempo, as far as the start and the fastest allow. */
    public Ladder upTo(int tempo) {
        int inside = Math.max(start, Math.min(TempoMap.FASTEST, tempo));
        return new Ladder(start, inside, step, passes);
    }

    /** With other passes to a rung. */
    public Ladder taking(int each) {
        return new Ladder(start, goal, step, each);
    }

    /** At its foot. */
    public Climb foot() {
        return new Climb(this, start, 0, 0, 0);
    }

    /**
     * How far one has come.
     *
     * @param ladder where on
     * @param tempo of the rung
     * @param clean clean passes on it
     * @param failed failed passes in a row
     * @param best fastest tempo of which every pass was done, 0 for none
     */
    public record Climb(Ladder ladder, int tempo, int clean, int failed, int best) {

        /** Whether the goal's passes are done. */
        public boolean reached() {
            return best >= ladder.goal;
        }

        /** After a clean pass: it stays on the goal once it is there. */
        public Climb passed() {
            if (clean + 1 < ladder.passes) {
                return new Climb(ladder, tempo, clean + 1, 0, best);
            }
            int up = Math.min(ladder.goal, tempo + ladder.step);
            return new Climb(ladder, up, 0, 0, Math.max(best, tempo));
        }

        /** After a failed pass: the rung begins anew, or after two in a row the one below. */
        public Climb failedPass() {
            if (failed + 1 < FAILED_TO_GO_BACK) {
                return new Climb(ladder, tempo, 0, failed + 1, best);
            }
            int down = Math.max(ladder.start, tempo - ladder.step);
            return new Climb(ladder, down, 0, 0, best);
        }
    }
}
