package vocalis.desktop.model;

import vocalis.core.edit.Figures;
import vocalis.workbench.document.Edits;
import vocalis.workbench.words.CheckWords;

/** What is done to the figure under the lane's caret as a whole: each is one edit, or none. */
public final class FigureEdits {

    private final WriteModel model;
    private final LaneModel lane;

    FigureEdits(WriteModel model, LaneModel lane) {
        this.model = model;
        this.lane = lane;
    }

    /** Gives what is played under the caret a figure of its own. */
    public void own() {
        if (model.apply(
                Edits.riff(
                        "a figure of its own", r -> Figures.own(r, lane.caretProperty().get())))) {
            model.say("A figure of its own from here to its end: the other passes stay.");
        }
    }

    /** Makes the figure under the caret longer or shorter by steps. */
    public void lengthen(int steps) {
        long by = steps * lane.grainProperty().get();
        model.apply(
                Edits.merging(
                        "length of the figure",
                        "figure-length",
                        r -> Figures.lengthen(r, lane.caretProperty().get(), by)));
        tellLanding();
    }

    /** Turns the figure under the caret around itself by steps. */
    public void rotate(int steps) {
        long by = steps * lane.grainProperty().get();
        model.apply(
                Edits.riff(
                        "turn the figure", r -> Figures.rotate(r, lane.caretProperty().get(), by)));
    }

    /** Lets the whole pattern come later (earlier) by steps. */
    public void displace(int steps) {
        long by = steps * lane.grainProperty().get();
        model.apply(
                Edits.merging("displace the pattern", "displace", r -> Figures.displace(r, by)));
        tellLanding();
    }

    /** The next rule of where figures start again. */
    public void nextRestart() {
        model.apply(Edits.riff("where figures start again", Figures::nextRestart));
        model.say(
                switch (model.now().pattern().restart()) {
                    case RUNS_ON -> "Figures run on until they come round.";
                    case BAR -> "Figures start again at every bar.";
                    case ROOT -> "Figures start again at every root.";
                    case SECTION -> "Figures start again at every section.";
                });
    }

    private void tellLanding() {
        model.say(CheckWords.landing(model.now()));
    }
}
