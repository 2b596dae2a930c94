package vocalis.core.hands;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import vocalis.core.instrument.Fretboard;
import vocalis.core.instrument.Instrument;
import vocalis.core.instrument.Shape;
import vocalis.core.instrument.Tuning;

/**
 * What fingers do on some strings while others are held, as players know it (common practice, no
 * source).
 */
class WhileHeldTest {

    private static final Fretboard BOARD = new Fretboard(Instrument.of(Tuning.STANDARD), 0);

    /** Moved strings are counted from the lowest, 0, as {@code string:fret}. */
    @ParameterizedTest
    @CsvSource({
        // Under a full barre the index holds the thin strings as well.
        "2-4-4-3-2-2, PULL, 5:0, FLAT_FINGER",
        "4-6-6-4-4-4, BEND, 5:4, FLAT_FINGER",
        "x-5-7-7-7-5, PULL, 5:0, FLAT_FINGER",
        // All of a barre lifts off at once.
        "x-x-7-7-7-x, PULL, 2:0 3:0 4:0, ",
        "2-4-4-3-2-2, PULL, 0:0 1:0 2:0 3:0 4:0 5:0, ",
        // Four frets take four fingers; ring flat under a barre leaves the little one.
        "x-x-6-7-8-9, HAMMER, 5:10, NO_FREE_FINGER",
        "3-5-5-4-3-3, HAMMER, 4:5, ",
        // Minor above a barre: one finger is free.
        "3-5-5-3-3-3, HAMMER, 3:4, ",
        "6-8-8-6-6-6, HAMMER, 4:9, ",
        // Open chords: the little finger adds on the thin strings.
        "x-3-2-0-1-0, HAMMER, 5:3, ",
        "3-2-0-0-0-3, HAMMER, 4:3, ",
        "x-x-0-2-3-2, HAMMER, 5:3, ",
        // The low string under a held power chord.
        "x-5-7-7-x-x, HAMMER, 1:6, ",
        "0-2-2-x-x-x, HAMMER, 0:3, ",
        // A power chord holds with two fingers, so one of them can go on.
        "5-7-7-x-x-x, HAMMER, 2:9, ",
        "5-7-7-x-x-x, SLIDE, 2:9, ",
        "5-7-7-x-x-x, SLIDE, 2:14, TOO_FAR_APART",
        // The whole shape goes anywhere.
        "5-7-7-x-x-x, SLIDE, 0:10 1:12 2:12, ",
        "x-7-9-9-8-7, SLIDE, 1:9 2:11 3:11 4:10 5:9, ",
        // Pulled off to a fret: the index lies behind, or nobody does.
        "5-7-7-x-x-x, PULL, 2:5, ",
        "x-x-9-11-x-x, PULL, 3:9, ",
        "x-x-9-11-x-x, PULL, 3:4, NO_FINGER_BEHIND",
        // One finger for each string: each bends by itself.
        "x-x-x-9-8-x, BEND, 3:9, ",
        "x-x-0-2-x-x, BEND, 3:2, ",
    })
    void fingersStayOrGo(String shape, WhileHeld.Movement way, String moves, String blocked) {
        Map<Integer, Integer> moved = new TreeMap<>();
        for (String m : moves.split(" ")) {
            String[] parts = m.split(":");
            moved.put(Integer.valueOf(parts[0]), Integer.valueOf(parts[1]));
        }
        assertThat(WhileHeld.of(BOARD, Shape.parse(shape), Hand.MEDIUM, way, moved))
                .isEqualTo(Optional.ofNullable(blocked).map(WhileHeld.Blocked::valueOf));
    }
}
