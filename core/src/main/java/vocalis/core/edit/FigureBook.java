package vocalis.core.edit;

import java.util.List;
import vocalis.core.pattern.Figure;
import vocalis.core.rhythm.Ticks;

/**
 * Figures to begin with: patterns that every player knows under some name, and a few of our own.
 */
public final class FigureBook {

    private static final long TRIPLET = Ticks.QUARTER / 3;

    private FigureBook() {}

    /** All of them, the plainest first. */
    public static List<Figure> all() {
        return List.of(
                sixteenths("on-the-beat", "On every beat", "a--- a--- a--- a---"),
                sixteenths("eighths", "Straight eighths", "A-a- a-a- A-a- a-a-"),
                sixteenths("chug", "Eighths under the palm", "A-m- m-m- A-m- m-m-"),
                sixteenths("gallop", "Gallop", "A-mm A-mm A-mm A-mm"),
                sixteenths("gallop-back", "Gallop turned round", "mmA- mmA- mmA- mmA-"),
                sixteenths("pushed", "Pushed off the beat", "A--a --a- --a- a-a-"),
                sixteenths("three-three-two", "Three, three, two", "A-mm m-A- mmm- A-mm"),
                sixteenths("answer", "Call and dead answer", "A--- x-x- A-x- x---"),
                sixteenths("broken", "One voice at a time", "l-s- t-s- l-s- t-s-"),
                sixteenths("breath", "Stroke and silence", "A-a. .... A-a. a---"),
                FigureText.of("rolled", "Rolled in triplets", TRIPLET, "lst lst lst lst"),
                FigureText.of("shuffle", "Shuffle", TRIPLET, "A-m A-m A-m A-m"),
                sixteenths("five", "Five eighths", "A-m- a-m- u-"),
                sixteenths("seven", "Seven eighths", "A-m- A-m- A-mm u-"));
    }

    private static Figure sixteenths(String id, String name, String steps) {
        return FigureText.of(id, name, Ticks.SIXTEENTH, steps);
    }
}
