package vocalis.desktop.practise;

import vocalis.core.piece.Piece;
import vocalis.core.practice.Entry;

/** One time that something is practised, from the count-in until it stops; shown until the next. */
public final class Sitting {

    private final Piece piece;
    private final long begun;
    private double before = -1;
    private boolean over;
    private boolean failing;
    private int passes;
    private int failed;
    private int best;
    private double seconds;

    /**
     * @param begun milliseconds since 1970-01-01T00:00Z
     */
    Sitting(Piece piece, long begun) {
        this.piece = piece;
        this.begun = begun;
    }

    /** Whether the player has come round: it is far before where it was. */
    boolean comesRound(double tick, long length) {
        boolean round = before >= 0 && tick < before - length / 2.0;
        before = tick;
        return round;
    }

    /** The player is counted in. */
    void countedIn() {
        before = -1;
    }

    /** The pass that is played is said to fail, or not. */
    boolean toggleFailing() {
        failing = !failing;
        return failing;
    }

    boolean failing() {
        return failing;
    }

    /**
     * A pass is over.
     *
     * @param lasted how long, in seconds
     * @return whether it was clean
     */
    boolean passDone(double lasted) {
        boolean clean = !failing;
        passes++;
        failed += clean ? 0 : 1;
        seconds += lasted;
        failing = false;
        return clean;
    }

    /** A pass that the player let count was heard to fail, or counts after all. */
    void heardToFail(boolean fails) {
        failed += fails ? 1 : -1;
    }

    /** In the pass that was counted last nobody played. */
    void notPlayed() {
        passes--;
    }

    /** A tempo of which every pass was clean. */
    void cleanAt(int tempo) {
        best = Math.max(best, tempo);
    }

    int passes() {
        return passes;
    }

    int failed() {
        return failed;
    }

    boolean goesOn() {
        return !over;
    }

    /** It is over; says whether there is something to write down that was not written yet. */
    boolean end() {
        boolean write = !over && passes > 0;
        over = true;
        failing = false;
        return write;
    }

    /** What is written down. */
    Entry entry(String what, int goal, int last) {
        return new Entry(
                begun, piece.id(), piece.title(), what, goal, best, last, passes, failed, seconds);
    }
}
