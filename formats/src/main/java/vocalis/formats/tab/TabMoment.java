package vocalis.formats.tab;

import java.util.Map;

/** What begins in one column: tokens by string. */
record TabMoment(int column, Map<Integer, TabToken> tokens) {

    /** An x beside frets is a string of the grip held silent, not a dead stroke. */
    void silence() {
        if (tokens.values().stream().anyMatch(t -> !t.dead())) {
            tokens.values().removeIf(TabToken::bareX);
        }
    }
}
