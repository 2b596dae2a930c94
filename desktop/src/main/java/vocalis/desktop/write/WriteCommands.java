package vocalis.desktop.write;

import javafx.beans.property.BooleanProperty;
import javafx.scene.input.KeyCode;
import vocalis.core.voicing.Family;
import vocalis.desktop.keys.Commands;
import vocalis.desktop.keys.Keyboard;
import vocalis.desktop.session.Place;
import vocalis.desktop.writing.ChordEdits;
import vocalis.desktop.writing.WriteModel;
import vocalis.desktop.writing.WritePlace;

/** The commands of the Write screen. */
public final class WriteCommands {

    /** What the screen does that is not the model's alone. */
    public interface Screen {
        void find();

        void filter();

        void keepShape();

        void ownShapes();

        void idleFingers();

        void compare();

        void droneMap();

        void bassSweep();

        void series();

        void dark();

        void modeFinder();

        void embellish();

        void prove();

        void findings();

        void roots();

        void nextRoot();

        void variations();

        void versions();

        void keepVersion();

        void keepNamed();

        void check();

        void ways();

        void figures();

        void tapFigure();
    }

    private final Commands commands;
    private final WriteModel model;
    private final Screen screen;

    private WriteCommands(Commands commands, WriteModel model, Screen screen) {
        this.commands = commands;
        this.model = model;
        this.screen = screen;
    }

    /** Adds them to a registry. */
    public static void addTo(Commands commands, WriteModel model, Screen screen) {
        WriteCommands w = new WriteCommands(commands, model, screen);
        w.families();
        w.band();
        LaneCommands.addTo(commands, model, screen);
        TypingCommands.addTo(commands, model);
        w.cards();
        w.neck();
        w.looking();
    }

    /** The keys that are held. */
    public static void holds(Keyboard keyboard, WriteModel model) {
        keyboard.hold(
                KeyCode.M,
                WritePlace.NECK,
                () -> model.beginHearingMiss(model.neck().stringProperty().get()));
    }

    private void families() {
        for (Family f : Family.values()) {
            String digit = String.valueOf(f.digit());
            boolean first = f == Family.values()[0];
            commands.add("voice-" + digit, first ? "1 to 9: voice the chords in that family" : "")
                    .in(WritePlace.BAND, WritePlace.LANE)
                    .keys(digit)
                    .does(() -> model.chords().voiceChord(f));
            commands.add("browse-" + digit, first ? "1 to 9: show that family" : "")
                    .in(WritePlace.CARDS, WritePlace.NECK)
                    .keys(digit)
                    .does(() -> model.browse(f));
            commands.add("all-" + digit, first ? "Ctrl 1 to 9: the whole riff in that family" : "")
                    .keys("ctrl " + digit)
                    .does(() -> model.chords().voiceAll(f));
        }
        commands.add("all-next", "the whole riff in the next family")
                .keys("V")
                .repeats()
                .does(() -> model.chords().voiceAllNext(1));
        commands.add("all-before", "the whole riff in the family before")
                .keys("shift V")
                .repeats()
                .does(() -> model.chords().voiceAllNext(-1));
    }

    private void band() {
        ChordEdits c = model.chords();
        band("chord-before", "previous chord", "LEFT", () -> model.caret().move(-1), "←→ choose");
        band("chord-next", "next chord", "RIGHT", () -> model.caret().move(1), null);
        band("chord-first", "first chord", "HOME", () -> model.caret().moveTo(0), null);
        band(
                "chord-last",
                "last chord",
                "END",
                () -> model.caret().moveTo(model.session().now().roots().size() - 1),
                null);
        band("root-up", "root up a step of the scale", "UP", () -> c.stepRoot(1), "↑↓ root");
        band("root-down", "root down a step of the scale", "DOWN", () -> c.stepRoot(-1), null);
        band("semitone-up", "root up a semitone", "alt UP", () -> c.transposeRoot(1), null);
        band("semitone-down", "root down a semitone", "alt DOWN", () -> c.transposeRoot(-1), null);
        band("bass-up", "another bass under it, a step up", "shift UP", () -> c.stepBass(1), null);
        band("bass-down", "another bass, a step down", "shift DOWN", () -> c.stepBass(-1), null);
        band("chord-earlier", "move the chord earlier", "alt LEFT", () -> c.moveChord(-1), null);
        band("chord-later", "move the chord later", "alt RIGHT", () -> c.moveChord(1), null);
        band("shorter", "shorten the chord", "shift LEFT", () -> c.lengthenChord(-1), null);
        band("longer", "lengthen the chord", "shift RIGHT", () -> c.lengthenChord(1), null);
        band("mark-back", "mark the chord before too", "ctrl shift LEFT", () -> c.markOn(-1), null);
        band("mark-on", "mark the next chord too", "ctrl shift RIGHT", () -> c.markOn(1), null);
        commands.add("voice-hint", "")
                .in(WritePlace.BAND)
                .brief("1 to 9 voice it · Ctrl 1 to 9 the whole riff")
                .does(() -> {});
        commands.once(
                WritePlace.BAND,
                "copy-chord",
                "copy the chord to the place after it",
                "ctrl D",
                c::copyChord);
        commands.once(WritePlace.BAND, "copy", "copy the chords marked", "ctrl C", c::copy);
        commands.once(WritePlace.BAND, "paste", "paste them after the caret", "ctrl V", c::paste);
        commands.once(
                WritePlace.BAND, "split-chord", "split the chord in two", "ctrl K", c::splitChord);
        commands.add("delete-chord", "delete the chords marked")
                .in(WritePlace.BAND)
                .keys("DELETE", "BACK_SPACE")
                .does(c::deleteChord);
        commands.add("to-voicings", "go in to its voicings")
                .in(WritePlace.BAND)
                .keys("ENTER")
                .brief("Enter voicings")
                .does(() -> model.go(WritePlace.CARDS));
    }

    private void band(String id, String words, String key, Runnable action, String brief) {
        Commands.Builder b = commands.add(id, words).in(WritePlace.BAND).keys(key).repeats();
        if (brief != null) {
            b.brief(brief);
        }
        b.does(action);
    }

    private void cards() {
        Place z = WritePlace.CARDS;
        commands.add("card-before", "previous shape")
                .in(z)
                .keys("LEFT")
                .brief("←→ shape")
                .repeats()
                .does(() -> model.shown().moveCard(-1));
        commands.walk(z, "card-next", "next shape", "RIGHT", () -> model.shown().moveCard(1));
        commands.add("place-next", "the shape in its next place")
                .in(z)
                .keys("UP")
                .brief("↑↓ place on the neck · 1 to 9 family")
                .repeats()
                .does(() -> model.shown().movePlace(1));
        commands.walk(
                z,
                "place-previous",
                "the shape in its place before",
                "DOWN",
                () -> model.shown().movePlace(-1));
        commands.add("use", "put it into the riff")
                .in(z)
                .keys("ENTER")
                .brief("Enter put it into the riff · Esc out")
                .does(model::useShown);
    }

    private void neck() {
        Place z = WritePlace.NECK;
        commands.add("fret-lower", "a fret lower")
                .in(z)
                .keys("LEFT")
                .brief("arrows move")
                .repeats()
                .does(() -> model.neck().move(0, side(-1)));
        commands.walk(
                z, "fret-higher", "a fret higher", "RIGHT", () -> model.neck().move(0, side(1)));
        commands.walk(z, "string-up", "next higher string", "UP", () -> model.neck().move(1, 0));
        commands.walk(
                z, "string-down", "next lower string", "DOWN", () -> model.neck().move(-1, 0));
        commands.add("fret", "sound this fret, or silence it")
                .in(z)
                .keys("ENTER")
                .brief("Enter sound or silence")
                .does(
                        () ->
                                model.neck()
                                        .toggle(
                                                model.neck().stringProperty().get(),
                                                model.neck().fretProperty().get()));
        commands.add("silence", "silence the string")
                .in(z)
                .keys("X")
                .brief("X silence · M held hears it ring")
                .does(() -> model.neck().silence(model.neck().stringProperty().get()));
        commands.add("use-neck", "put the shape into the riff")
                .in(z)
                .keys("ctrl ENTER")
                .brief("Ctrl Enter put it into the riff")
                .does(model::useShown);
    }

    private int side(int by) {
        return model.riff().ground().instrument().leftHanded() ? -by : by;
    }

    private void looking() {
        look("names", "note names or degrees", "N", () -> flip(model.noteNamesProperty()));
        look("scale", "the scale on the neck", "S", () -> flip(model.scaleStepsProperty()));
        look("find", "find a shape, a name or notes", "ctrl F", screen::find);
        look("filter", "filter the voicings", "ctrl L", screen::filter);
        look("keep", "keep the shape shown as your own", "ctrl B", screen::keepShape);
        look("own", "your own shapes on this root", "0", screen::ownShapes);
        String[] voices = {"top", "second", "third", "fourth"};
        for (int i = 1; i <= voices.length; i++) {
            int voice = i;
            String words = "leave out the " + voices[i - 1] + " voice, from the top";
            look("thin-" + i, words, "alt " + i, () -> model.thin(voice));
        }
        look(
                "page",
                "next page of the readout",
                "P",
                () -> model.pageProperty().set(model.pageProperty().get().next()));
        look(
                "support",
                "the numbers behind the heard root",
                "R",
                () -> flip(model.supportProperty()));
        look("prove", "prove the root: power chords under it", "U", screen::prove);
        look("pure", "thirds pure or tempered", "J", () -> flip(model.gain().pureProperty()));
        look("idle", "what the idle fingers can add", "I", screen::idleFingers);
        look("compare", "set this voicing beside others", "C", screen::compare);
        look("drones", "which open strings suit which key", "D", screen::droneMap);
        look("basses", "the shape over the twelve basses", "B", screen::bassSweep);
        look("series", "the shape along the neck, named fret by fret", "L", screen::series);
        look("dark", "dark voicings of this root: ♭5, ♭9, ♭6", "shift D", screen::dark);
        look("modes", "which keys the riff's notes fit", "K", screen::modeFinder);
        look("roots", "type the roots of the riff", "ctrl R", screen::roots);
        look("next-root", "what could stand here, and why", "Q", screen::nextRoot);
        look("variations", "variations of the riff", "F7", screen::variations);
        look("keep-version", "keep the riff as a version", "F8", screen::keepVersion);
        look("keep-named", "keep it under a name", "shift F8", screen::keepNamed);
        look("versions", "versions kept, and three endings", "F9", screen::versions);
        look("ways", "other ways of the hand through the riff", "F11", screen::ways);
        look("check", "what a player would stumble over", "ctrl G", screen::check);
        look("findings", "what could not be played as written", "G", screen::findings);
    }

    private void look(String id, String words, String key, Runnable action) {
        commands.add(id, words).keys(key).does(action);
    }

    private static void flip(BooleanProperty p) {
        p.set(!p.get());
    }
}
