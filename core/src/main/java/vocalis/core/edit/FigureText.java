package vocalis.core.edit;

import java.util.ArrayList;
import java.util.List;
import vocalis.core.pattern.Event;
import vocalis.core.pattern.Figure;
import vocalis.core.pattern.LineNote;
import vocalis.core.pattern.LinePitch;
import vocalis.core.pattern.Stroke;
import vocalis.core.pattern.Struck;
import vocalis.core.score.Dynamics;
import vocalis.core.score.Manner;

/**
 * Figures written as a row of equal steps: {@code a} all voices, {@code A} all accented, {@code l}
 * the lowest, {@code m} the lowest under the palm, {@code s} the second, {@code t} the top, {@code
 * u} all but the lowest, {@code x} all dead, {@code g} all as a ghost, {@code -} goes on, {@code .}
 * rest, {@code 1} to {@code 7} a line's degree of the key. Blanks do not count.
 */
public final class FigureText {

    private FigureText() {}

    /**
     * A figure of steps.
     *
     * @param step length of a step in ticks
     * @throws IllegalArgumentException naming the sign that is none
     */
    public static Figure of(String id, String name, long step, String text) {
        String steps = text.replace(" ", "");
        List<Event> events = new ArrayList<>();
        for (int i = 0; i < steps.length(); i++) {
            char c = steps.charAt(i);
            if (c == '-' || c == '.') {
                continue;
            }
            int end = i + 1;
            while (end < steps.length() && steps.charAt(end) == '-') {
                end++;
            }
            events.add(event(c, events.size(), i * step, (end - i) * step));
        }
        return new Figure(id, name, steps.length() * step, events);
    }

    private static Event event(char c, int id, long at, long length) {
        if (c >= '1' && c <= '7') {
            LinePitch pitch = new LinePitch.Degree(LinePitch.Above.KEY, c - '0', 0, 1);
            return new LineNote(id, at, length, pitch);
        }
        Struck struck =
                switch (c) {
                    case 'l', 'm' -> Struck.Named.LOW;
                    case 's' -> Struck.Named.SECOND;
                    case 't' -> Struck.Named.TOP;
                    case 'u' -> Struck.Named.UPPER;
                    case 'a', 'A', 'x', 'g' -> Struck.Named.ALL;
                    default ->
                            throw new IllegalArgumentException(
                                    "\""
                                            + c
                                            + "\" is no step of a figure: a A g l m s t u x - . 1 to 7 are");
                };
        Stroke stroke = new Stroke(id, at, length, struck);
        Stroke played =
                c == 'm'
                        ? stroke.played(Manner.PALM)
                        : c == 'x' ? stroke.played(Manner.DEAD) : stroke;
        Stroke loud = c == 'A' ? played.accented(true) : played;
        return c == 'g' ? loud.with(Dynamics.GHOST) : loud;
    }
}
