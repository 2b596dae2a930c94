package vocalis.desktop.revoice;

import vocalis.desktop.session.Hearing;

/** What is heard of the row under the caret: while a key is held, or in place of the mix. */
public final class RowHearing {

    private final RevoiceModel rows;
    private final Hearing hearing;
    private final Runnable changed;
    private boolean other;

    /**
     * @param changed told when something is shown otherwise
     */
    RowHearing(RevoiceModel rows, Hearing hearing, Runnable changed) {
        this.rows = rows;
        this.hearing = hearing;
        this.changed = changed;
    }

    /** Plays the row under the caret until {@link Hearing#endPreview}. */
    public boolean hearRow() {
        rows.current()
                .ifPresent(
                        r -> {
                            if (rows.second().on()) {
                                hearing.preview(rows.second().over(r));
                            } else {
                                hearing.preview(r.riff());
                            }
                        });
        return true;
    }

    /** The chord under the caret as the row has it. */
    public boolean hearCell() {
        rows.current()
                .filter(r -> rows.columnProperty().get() < r.derived().chords().size())
                .ifPresent(
                        r ->
                                hearing.hear(
                                        r.derived()
                                                .chords()
                                                .get(rows.columnProperty().get())
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
