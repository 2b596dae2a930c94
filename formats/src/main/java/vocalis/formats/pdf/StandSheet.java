package vocalis.formats.pdf;

import java.util.List;
import vocalis.core.instrument.Shape;
import vocalis.formats.sheet.Sheet;

/**
 * What a bandmate wants on the stand.
 *
 * @param sheet the scores
 * @param ground the ground in a line
 * @param shapes each shape once, in the order in which they come
 * @param cautions what one would stumble over, in short sentences
 */
public record StandSheet(Sheet sheet, String ground, List<Held> shapes, List<String> cautions) {

    public StandSheet {
        shapes = List.copyOf(shapes);
        cautions = List.copyOf(cautions);
    }

    /**
     * A shape with who holds and who silences what.
     *
     * @param name chord symbol
     * @param fingers per string from the lowest: 1 to 4, 5 for the thumb, 0 for none
     * @param muting what silences the strings that are not sounded; empty for nothing to silence
     */
    public record Held(String name, Shape shape, List<Integer> fingers, String muting) {
        public Held {
            fingers = List.copyOf(fingers);
        }
    }
}
