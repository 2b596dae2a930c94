package vocalis.desktop.neck;

import vocalis.core.instrument.Fretboard;

/**
 * Where the neck's strings and frets lie. Frets are drawn at their true distances, pressed together
 * by nothing but the width there is; a left-handed neck is mirrored.
 *
 * @param board instrument with its capo
 * @param left x of the nut (or capo), for a right-handed neck
 * @param right x of the last fret
 * @param top y of the highest string
 * @param bottom y of the lowest string
 */
public record NeckGeometry(Fretboard board, double left, double right, double top, double bottom) {

    /** Space before the nut for string names and open strings. */
    public static final double BEFORE_NUT = 62;

    /** Space under the strings for fret numbers. */
    public static final double NUMBERS = 20;

    /** The geometry of a control's size. */
    public static NeckGeometry of(Fretboard board, double width, double height) {
        return new NeckGeometry(board, BEFORE_NUT, width - 10, 12, height - NUMBERS - 10);
    }

    /** x of a fret's wire, counted from the capo. */
    public double wire(double fret) {
        double start = board.instrument().fretMm(board.capo());
        double end = board.instrument().fretMm(board.instrument().frets());
        double mm = board.instrument().fretMm(board.capo() + fret);
        double x = left + (mm - start) / (end - start) * (right - left);
        return board.instrument().leftHanded() ? left + right - x : x;
    }

    /** x where a note is marked: just behind its fret, or beside the nut for an open string. */
    public double mark(int fret) {
        double side = board.instrument().leftHanded() ? -1 : 1;
        if (fret == 0) {
            return wire(0) - side * 17;
        }
        return (wire(fret - 1) + wire(fret)) / 2;
    }

    /** y of a string, 0 the lowest. */
    public double y(int string) {
        int n = board.strings();
        return n == 1 ? top : bottom - string * (bottom - top) / (n - 1);
    }

    /** The string nearest to a y. */
    public int stringAt(double y) {
        int n = board.strings();
        int s = (int) Math.round((bottom - y) / (bottom - top) * (n - 1));
        return Math.max(0, Math.min(n - 1, s));
    }

    /** The fret whose space an x lies in; 0 beside the nut. */
    public int fretAt(double x) {
        boolean lefty = board.instrument().leftHanded();
        if (lefty ? x >= wire(0) : x <= wire(0)) {
            return 0;
        }
        for (int f = 1; f <= board.frets(); f++) {
            if (lefty ? x >= wire(f) : x <= wire(f)) {
                return f;
            }
        }
        return board.frets();
    }
}
