package vocalis.core.pattern;

import java.util.Objects;
import java.util.Optional;

/**
 * What a touch belongs to: an event of a figure, at one pass of it or at all, and one of the notes
 * that the event strikes.
 *
 * @param figure id of the figure
 * @param event number of the event in it
 * @param pass which laying, counted from 0 over the whole riff; empty for every pass
 * @param voice which note
 */
public record Anchor(String figure, int event, Optional<Integer> pass, Voice voice) {

    public Anchor {
        Objects.requireNonNull(figure, "figure");
        Objects.requireNonNull(pass, "pass");
        Objects.requireNonNull(voice, "voice");
        if (event < 0) {
            throw new IllegalArgumentException("an event's number is 0 or more, not " + event);
        }
        if (pass.isPresent() && (pass.get() < 0 || pass.get() > Limits.MOST_STRUCK)) {
            throw new IllegalArgumentException("passes are counted from 0, not " + pass.get());
        }
    }

    /** Which of the notes struck. */
    public sealed interface Voice {

        /**
         * Counted from the top, so that it stays when the shape changes.
         *
         * @param rank 0 for the highest note struck
         */
        record FromTop(int rank) implements Voice {
            public FromTop {
                if (rank < 0 || rank > 8) {
                    throw new IllegalArgumentException(
                            "voices are counted 0 to 8 from the top, not " + rank);
                }
            }
        }

        /**
         * Pinned to a string.
         *
         * @param string string index, 0 is the lowest
         */
        record OnString(int string) implements Voice {
            public OnString {
                if (string < 0 || string > 8) {
                    throw new IllegalArgumentException(
                            "strings are counted 0 to 8 from the lowest, not " + string);
                }
            }
        }
    }

    /** Whether it belongs to an event at a pass. */
    public boolean holds(String ofFigure, int ofEvent, int atPass) {
        return event == ofEvent
                && figure.equals(ofFigure)
                && (pass.isEmpty() || pass.get() == atPass);
    }

    /** The same on another figure and pass. */
    public Anchor on(String otherFigure, Optional<Integer> otherPass) {
        return new Anchor(otherFigure, event, otherPass, voice);
    }

    /** The same on another event. */
    public Anchor of(int otherEvent) {
        return new Anchor(figure, otherEvent, pass, voice);
    }
}
