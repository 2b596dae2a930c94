package vocalis.desktop.lane;

import vocalis.desktop.view.TimeAxis;

/**
 * Where the lane's strings, stems and words lie.
 *
 * @param axis time
 * @param strings number of strings
 * @param top y of the highest string
 * @param gap distance of strings
 */
public record LaneGeometry(TimeAxis axis, int strings, double top, double gap) {

    /** Distance of strings where there is little room. */
    public static final double GAP = 13;

    /** Distance of strings in a large window. */
    public static final double MOST_GAP = 20;

    /** Height of the rhythm under the strings. */
    public static final double STEMS = 24;

    /** Distance from the top of the control to the highest string. */
    public static final double TOP = 26;

    /** Height that a lane needs. */
    public static double height(int strings, double gap) {
        return TOP + (strings - 1) * gap + 10 + STEMS + 26;
    }

    /** y of a string, 0 the lowest: as in any tab, the highest string is on top. */
    public double y(int string) {
        return top + (strings - 1 - string) * gap;
    }

    /** y under the strings where stems begin. */
    public double stemTop() {
        return y(0) + 10;
    }

    /** y of the words under the stems. */
    public double words() {
        return stemTop() + STEMS + 10;
    }

    /** What dragging along the lane paints: accents over the tab, palm mutes under the stems. */
    enum Zone {
        ACCENTS,
        TAB,
        PALM
    }

    /** What is painted at a y. */
    Zone zone(double y) {
        return y < y(strings - 1) - gap / 2 ? Zone.ACCENTS : y > stemTop() ? Zone.PALM : Zone.TAB;
    }

    /** The string at a y, or -1 when it is off the strings. */
    public int stringAt(double y) {
        int s = strings - 1 - (int) Math.round((y - top) / gap);
        return s >= 0 && s < strings && Math.abs(y - y(s)) <= gap / 2 + 1 ? s : -1;
    }
}
