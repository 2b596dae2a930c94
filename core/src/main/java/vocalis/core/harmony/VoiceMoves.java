package vocalis.core.harmony;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;

/**
 * Which voice of one chord goes to which voice of the next, without crossing and with the least
 * movement in all; where the chords differ in thickness some voices begin or end. Found by dynamic
 * programming over both stacks.
 */
public final class VoiceMoves {

    private static final int WITHOUT_PARTNER = 7;

    /**
     * One voice's move.
     *
     * @param from MIDI number before
     * @param to MIDI number after
     */
    public record VoiceMove(int from, int to) {
        /** Semitones up (down). */
        public int by() {
            return to - from;
        }
    }

    private VoiceMoves() {}

    /** The moves between two stacks of MIDI numbers, each ascending; lowest voice first. */
    public static List<VoiceMove> between(List<Integer> before, List<Integer> after) {
        int n = before.size();
        int m = after.size();
        int[][] cost = new int[n + 1][m + 1];
        for (int i = n; i >= 0; i--) {
            for (int j = m; j >= 0; j--) {
                if (i == n || j == m) {
                    cost[i][j] = WITHOUT_PARTNER * (n - i + m - j);
                } else {
                    int pair = Math.abs(after.get(j) - before.get(i)) + cost[i + 1][j + 1];
                    int skip = WITHOUT_PARTNER + Math.min(cost[i + 1][j], cost[i][j + 1]);
                    cost[i][j] = Math.min(pair, skip);
                }
            }
        }
        return walk(before, after, cost);
    }

    private static List<VoiceMove> walk(List<Integer> before, List<Integer> after, int[][] cost) {
        List<VoiceMove> moves = new ArrayList<>();
        int i = 0;
        int j = 0;
        while (i < before.size() && j < after.size()) {
            int pair = Math.abs(after.get(j) - before.get(i)) + cost[i + 1][j + 1];
            if (cost[i][j] == pair) {
                moves.add(new VoiceMove(before.get(i++), after.get(j++)));
            } else if (cost[i][j] == WITHOUT_PARTNER + cost[i + 1][j]) {
                i++;
            } else {
                j++;
            }
        }
        return Collections.unmodifiableList(moves);
    }
}
