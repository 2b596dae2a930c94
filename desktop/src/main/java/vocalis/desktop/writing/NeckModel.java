package vocalis.desktop.writing;

import javafx.beans.property.IntegerProperty;
import javafx.beans.property.SimpleIntegerProperty;
import vocalis.core.instrument.Fretboard;
import vocalis.core.instrument.Shape;
import vocalis.desktop.session.Editing;

/** The caret on the neck, and the shape that is built there string by string. */
public final class NeckModel {

    private final Editing session;
    private final ShownChord shown;
    private final IntegerProperty string = new SimpleIntegerProperty();
    private final IntegerProperty fret = new SimpleIntegerProperty(5);

    NeckModel(Editing session, ShownChord shown) {
        this.session = session;
        this.shown = shown;
    }

    public IntegerProperty stringProperty() {
        return string;
    }

    public IntegerProperty fretProperty() {
        return fret;
    }

    private Fretboard board() {
        return session.riff().ground().board();
    }

    /** Keeps the caret on a neck that has become another. */
    void stayInside() {
        string.set(Math.min(string.get(), board().strings() - 1));
        fret.set(Math.min(fret.get(), board().frets()));
    }

    public void move(int strings, int frets) {
        string.set(Math.max(0, Math.min(board().strings() - 1, string.get() + strings)));
        fret.set(Math.max(0, Math.min(board().frets(), fret.get() + frets)));
    }

    /** The shape that is built on: the draft, or what is shown. */
    private Shape base() {
        Shape draft = shown.draftProperty().get();
        return draft != null ? draft : shown.voicing().shape();
    }

    /** Sounds a fret on its string, or silences the string when it sounds there already. */
    public void toggle(int atString, int atFret) {
        Shape base = base();
        int now = base.fret(atString) == atFret ? Shape.SILENT : atFret;
        Shape changed = base.with(atString, now);
        string.set(atString);
        fret.set(atFret);
        if (changed.sounded().isEmpty()) {
            session.say("One string at least sounds.");
            return;
        }
        shown.take(changed);
    }

    /** Silences a string in the shape built by hand. */
    public void silence(int atString) {
        if (base().sounds(atString)) {
            toggle(atString, base().fret(atString));
        }
    }
}
