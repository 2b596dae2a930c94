package vocalis.core.edit;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import vocalis.core.pattern.Figure;
import vocalis.core.rhythm.Meter;
import vocalis.core.rhythm.Ticks;

/**
 * Figures to begin with: patterns that every player knows under some name, and a few of our own.
 */
public final class FigureBook {

    private static final long TRIPLET = Ticks.QUARTER / 3;

    private FigureBook() {}

    /** All of them: in four, of two bars, in three, in compound and in odd meters. */
    public static List<Figure> all() {
        return List.of(
                sixteenths("on-the-beat", "On every beat", "a--- a--- a--- a---"),
                sixteenths("eighths", "Straight eighths", "A-a- a-a- A-a- a-a-"),
                sixteenths("chug", "Eighths under the palm", "A-m- m-m- A-m- m-m-"),
                sixteenths("gallop", "Gallop", "A-mm A-mm A-mm A-mm"),
                sixteenths("gallop-back", "Gallop turned round", "mmA- mmA- mmA- mmA-"),
                sixteenths("pushed", "Pushed off the beat", "A--a --a- --a- a-a-"),
                sixteenths("three-three-two", "Three, three, two", "A-mm m-A- mmm- A-mm"),
                sixteenths("ghosts", "Ghosts between the beats", "A-gg a-g- A-gg a-g-"),
                sixteenths("backbeat", "Palm, chord on two and four", "m-m- A-g- m-mm A-g-"),
                sixteenths("answer", "Call and dead answer", "A--- x-x- A-x- x---"),
                sixteenths("broken", "One voice at a time", "l-s- t-s- l-s- t-s-"),
                sixteenths("breath", "Stroke and silence", "A-a. .... A-a. a---"),
                FigureText.of("rolled", "Rolled in triplets", TRIPLET, "lst lst lst lst"),
                FigureText.of("shuffle", "Shuffle", TRIPLET, "A-m A-m A-m A-m"),
                sixteenths(
                        "two-held",
                        "Two bars: chug, then let it stand",
                        "A-m- m-m- A-m- m-m- A--- ---- --g- m-m-"),
                sixteenths(
                        "two-pushed",
                        "Two bars: the second comes early",
                        "A-m- m-m- A-m- m-A- --m- m-m- A-m- m-m-"),
                sixteenths(
                        "two-answer",
                        "Two bars: low, answered high",
                        "l-m- l-m- l-m- l--- u-g- u-g- u--- u-g-"),
                sixteenths(
                        "four-threes",
                        "Four bars: threes over the bar, set right at the end",
                        "A-mmm- ".repeat(10) + "A-A-"),
                sixteenths("waltz", "Three: low, then two above", "l--- u-g- u---"),
                sixteenths("three-chug", "Three: under the palm", "A-m- m-m- m-m-"),
                sixteenths("three-pushed", "Three: late by an eighth", "A-m- --A- m-m-"),
                eighths("six-two", "Six eighths: two threes", "Amm Amm"),
                eighths("six-rolled", "Six eighths: one voice at a time", "lst sts"),
                eighths("six-long", "Six eighths: long, short", "A-a A-a"),
                eighths("twelve", "Twelve eighths: backbeat", "Amm amm Amm a-g"),
                sixteenths("five-three-two", "Five: three and two", "A-m- m-m- m-m- A-m- m-m-"),
                sixteenths("five-two-three", "Five: two and three", "A-m- m-m- A-m- m-m- a---"),
                sixteenths("five", "Five eighths: three, two", "A-m- m-A- m-"),
                eighths("seven", "Seven eighths: two, two, three", "Am Am Amm"),
                eighths("seven-back", "Seven eighths: three, two, two", "Amm Am Am"),
                sixteenths("seven-ghosts", "Seven eighths with ghosts", "A-gg A-gg A-m-gg"));
    }

    /** Those that fill bars of a meter first. */
    public static List<Figure> fitting(Meter meter) {
        List<Figure> sorted = new ArrayList<>(all());
        sorted.sort(Comparator.comparing(f -> f.length() % meter.barTicks() != 0));
        return List.copyOf(sorted);
    }

    private static Figure eighths(String id, String name, String steps) {
        return FigureText.of(id, name, Ticks.EIGHTH, steps);
    }

    private static Figure sixteenths(String id, String name, String steps) {
        return FigureText.of(id, name, Ticks.SIXTEENTH, steps);
    }
}
