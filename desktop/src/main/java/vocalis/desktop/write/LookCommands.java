package vocalis.desktop.write;

import vocalis.desktop.keys.Commands;
import vocalis.desktop.writing.WriteModel;

/** How band, cards and neck show what there is. */
record LookCommands(Commands commands, WriteModel model, WriteCommands.Screen screen) {

    void add() {
        look(
                "names",
                "note names or degrees on the neck",
                "N",
                () -> WriteCommands.flip(model.looks().noteNames()));
        look(
                "passing-names",
                "names in passing: F♯m7 for F♯m11, or in full",
                "shift N",
                () -> WriteCommands.flip(model.looks().passingNames()));
        look(
                "fingers-from",
                "on the neck: who stays, slides and lifts from the chord before",
                "shift F",
                () -> WriteCommands.flip(model.looks().fingersFrom()));
        look(
                "root-tune",
                "the tune of the roots, drawn over the band",
                null,
                () -> WriteCommands.flip(model.looks().rootTune()));
        look(
                "scale",
                "the scale on the neck",
                null,
                () -> WriteCommands.flip(model.looks().scaleSteps()));
        look(
                "other-scale",
                "another scale on the neck, beside the riff's own",
                null,
                screen::scales);
    }

    private void look(String id, String words, String key, Runnable action) {
        Commands.Builder b = commands.add(id, words);
        if (key != null) {
            b.keys(key);
        }
        b.does(action);
    }
}
