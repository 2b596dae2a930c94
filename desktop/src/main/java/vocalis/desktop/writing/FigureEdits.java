package vocalis.desktop.writing;

import javafx.beans.property.LongProperty;
import vocalis.core.edit.Figures;
import vocalis.desktop.session.Document;
import vocalis.workbench.document.Edits;
import vocalis.workbench.words.CheckWords;

/** What is done to the figure under the lane's caret as a whole: each is one edit, or none. */
public final class FigureEdits {

    private final Document session;
    private final LongProperty caret;
    private final LongProperty grain;

    /**
     * @param caret the lane's, in ticks
     * @param grain of its steps, in ticks
     */
    FigureEdits(Document session, LongProperty caret, LongProperty grain) {
        this.session = session;
        this.caret = caret;
        this.grain = grain;
    }

    /** Gives what is played under the caret a figure of its own. */
    public void own() {
        if (session.apply(Edits.riff("a figure of its own", r -> Figures.own(r, caret.get())))) {
            session.say("A figure of its own from here to its end: the other passes stay.");
        }
    }

    /** Makes the figure under the caret longer or shorter by steps. */
    public void lengthen(int steps) {
        long by = steps * grain.get();
        session.apply(
                Edits.merging(
                        "length of the figure",
                        "figure-length",
                        r -> Figures.lengthen(r, caret.get(), by)));
        tellLanding();
    }

    /** Turns the figure under the caret around itself by steps. */
    public void rotate(int steps) {
        long by = steps * grain.get();
        session.apply(Edits.riff("turn the figure", r -> Figures.rotate(r, caret.get(), by)));
    }

    /** Lets the whole pattern come later (earlier) by steps. */
    public void displace(int steps) {
        long by = steps * grain.get();
        session.apply(
                Edits.merging("displace the pattern", "displace", r -> Figures.displace(r, by)));
        tellLanding();
    }

    /** The next rule of where figures start again. */
    public void nextRestart() {
        session.apply(Edits.riff("where figures start again", Figures::nextRestart));
        session.say(
                switch (session.now().pattern().restart()) {
                    case RUNS_ON -> "Figures run on until they come round.";
                    case BAR -> "Figures start again at every bar.";
                    case ROOT -> "Figures start again at every root.";
                    case SECTION -> "Figures start again at every section.";
                });
    }

    private void tellLanding() {
        session.say(CheckWords.landing(session.now()));
    }
}
