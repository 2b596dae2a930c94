package vocalis.desktop.revoice;

import java.util.Optional;
import java.util.function.IntSupplier;
import java.util.function.Supplier;
import vocalis.core.revoice.Row;
import vocalis.desktop.session.Hearing;

/** What is heard of the row under the caret: while a key is held, or in place of the mix. */
public final class RowHearing {

    private final SecondGuitar second;
    private final Supplier<Optional<Row>> current;
    private final IntSupplier column;
    private final Hearing hearing;
    private final Runnable changed;
    private boolean other;

    /**
     * @param current the row under the caret
     * @param column the chord under the caret
     * @param changed told when something is shown otherwise
     */
    RowHearing(
            SecondGuitar second,
            Supplier<Optional<Row>> current,
            IntSupplier column,
            Hearing hearing,
            Runnable changed) {
        this.second = second;
        this.current = current;
        this.column = column;
        this.hearing = hearing;
        this.changed = changed;
    }

    /** Plays the row under the caret until {@link Hearing#endPreview}. */
    public boolean hearRow() {
        current.get()
                .ifPresent(
                        r -> {
                            if (second.on()) {
                                hearing.preview(second.over(r));
                            } else {
                                hearing.preview(r.riff());
                            }
                        });
        return true;
    }

    /** The chord under the caret as the row has it. */
    public boolean hearCell() {
        current.get()
                .filter(r -> column.getAsInt() < r.derived().chords().size())
                .ifPresent(
                        r ->
                                hearing.hear(
                                        r.derived()
                                                .chords()
                                                .get(column.getAsInt())
                                                .candidate()
                                                .voicing()
                                                .shape()));
        return true;
    }

    /** From the mix to the row under the caret and back, while it plays on. */
    public void toggleOther() {
        if (other) {
            endOther();
        } else {
            other = true;
            hearRow();
            changed.run();
        }
    }

    /** Whether the row under the caret sounds in place of the mix. */
    public boolean otherSounds() {
        return other;
    }

    void endOther() {
        if (other) {
            other = false;
            hearing.endPreview();
            changed.run();
        }
    }
}
