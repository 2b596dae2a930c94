package vocalis.desktop.write;

import vocalis.desktop.keys.Commands;
import vocalis.desktop.writing.BoxModel;
import vocalis.desktop.writing.Looks;
import vocalis.desktop.writing.WriteModel;
import vocalis.desktop.writing.WritePlace;

/** How band, cards and neck show what there is. */
record LookCommands(Commands commands, WriteModel model, WriteSheets screen) {

    void add() {
        look(
                "names",
                "note names or degrees on the neck",
                "N",
                () -> Looks.flip(model.looks().noteNames()));
        look(
                "passing-names",
                "names in passing: F♯m7 for F♯m11, or in full",
                "shift N",
                () -> Looks.flip(model.looks().passingNames()));
        look(
                "fingers-from",
                "on the neck: who stays, slides, lifts from the last chord",
                "shift F",
                () -> Looks.flip(model.looks().fingersFrom()));
        look(
                "root-tune",
                "the tune of the roots, drawn over the band",
                null,
                () -> Looks.flip(model.looks().rootTune()));
        look("scale", "the scale on the neck", null, () -> Looks.flip(model.looks().scaleSteps()));
        look(
                "roots-fifths",
                "roots and fifths alone on the neck",
                null,
                () -> Looks.flip(model.looks().rootsAndFifths()));
        look(
                "other-scale",
                "another scale on the neck, beside the riff's own",
                null,
                screen::scales);
        boxes();
    }

    /** Boxes of the scale, walked along the neck. */
    private void boxes() {
        BoxModel boxes = model.boxes();
        commands.add("box-next", "the next box of the scale, with its fingers")
                .in(WritePlace.NECK)
                .keys("alt RIGHT")
                .button("Box")
                .lit(() -> boxes.box().isPresent())
                .does(() -> boxes.walk(1));
        commands.walk(
                WritePlace.NECK, "box-before", "the box before", "alt LEFT", () -> boxes.walk(-1));
        commands.add("box-octave", "the same box an octave up the neck, or down again")
                .in(WritePlace.NECK)
                .keys("alt UP")
                .button("Box an octave on")
                .does(boxes::octave);
        commands.add("box-off", "no box on the neck").in(WritePlace.NECK).does(boxes::close);
        commands.add("note-in-lane", "write the note of the neck at the lane's caret")
                .in(WritePlace.NECK)
                .keys("shift ENTER")
                .button("Into the lane")
                .does(
                        () ->
                                boxes.point(
                                        model.neck().stringProperty().get(),
                                        model.neck().fretProperty().get()));
        commands.add("fill", "a fill from here to the next root")
                .in(WritePlace.LANE)
                .keys("shift L")
                .button("Fill")
                .does(screen::fills);
    }

    private void look(String id, String words, String key, Runnable action) {
        Commands.Builder b = commands.add(id, words);
        if (key != null) {
            b.keys(key);
        }
        b.does(action);
    }
}
