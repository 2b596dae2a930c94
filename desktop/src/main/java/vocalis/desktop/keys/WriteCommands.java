package vocalis.desktop.keys;

import javafx.beans.property.BooleanProperty;
import javafx.scene.input.KeyCode;
import vocalis.core.score.Manner;
import vocalis.core.voicing.Family;
import vocalis.desktop.model.ChordEdits;
import vocalis.desktop.model.LaneModel;
import vocalis.desktop.model.WriteModel;
import vocalis.desktop.model.Zone;

/** The commands of the Write screen. */
public final class WriteCommands {

    /** What the screen does that is not the model's alone. */
    public interface Screen {
        void leave();

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

        void tone();

        void along();

        void output();

        void tune();

        void explain();

        void findings();

        void roots();

        void nextRoot();

        void variations();

        void versions();

        void keepVersion();

        void keepNamed();

        void check();

        void ways();

        void revoice();

        void blind();

        void figures();

        void tapFigure();

        void place(int direction);
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
        w.everywhere();
        w.families();
        w.band();
        w.lane();
        w.figures();
        TypingCommands.addTo(commands, model);
        RevoiceCommands.addTo(commands, model, screen);
        w.cards();
        w.neck();
        w.ground();
        w.looking();
    }

    /** The keys that are held. */
    public static void holds(Keyboard keyboard, WriteModel model) {
        keyboard.hold(KeyCode.H, null, () -> model.hearing().beginHearing());
        keyboard.hold(
                KeyCode.M,
                Zone.NECK,
                () -> model.hearing().beginHearingMiss(model.neckStringProperty().get()));
        keyboard.hold(KeyCode.J, Zone.REVOICE, () -> model.revoice().hearCell());
        keyboard.endHold(model.hearing()::endHearing);
    }

    private void everywhere() {
        commands.add("play", "play the loop, stop it")
                .keys("SPACE")
                .inSheets()
                .does(model.hearing()::togglePlay);
        commands.add("leave", "out again, back to the chords").keys("ESCAPE").does(screen::leave);
        commands.add("undo", "undo")
                .keys("ctrl Z")
                .repeats()
                .inSheets()
                .does(model.workspace()::undo);
        commands.add("redo", "redo")
                .keys("ctrl shift Z", "ctrl Y")
                .repeats()
                .inSheets()
                .does(model.workspace()::redo);
        commands.add("next-place", "next place: chords, lane, voicings, neck, ground")
                .keys("F6")
                .does(() -> screen.place(1));
        commands.add("place-before", "place before").keys("shift F6").does(() -> screen.place(-1));
        commands.add("explain", "explain what is here")
                .keys("shift SLASH", "SLASH", "ctrl F1")
                .does(screen::explain);
        commands.add("mute", "mute, or let it sound")
                .keys("ctrl M")
                .inSheets()
                .does(() -> model.player().output().mute(!model.player().output().muted()));
        commands.add("zoom-in", "fewer bars on the screen")
                .keys("ctrl PLUS", "ctrl EQUALS", "ctrl ADD")
                .does(() -> model.view().zoom(-1));
        commands.add("zoom-out", "more bars on the screen")
                .keys("ctrl MINUS", "ctrl SUBTRACT")
                .does(() -> model.view().zoom(1));
        commands.add("page-on", "next page of bars")
                .keys("PAGE_DOWN")
                .repeats()
                .does(() -> model.view().page(1));
        commands.add("page-back", "page of bars before")
                .keys("PAGE_UP")
                .repeats()
                .does(() -> model.view().page(-1));
        commands.add("follow", "turn the page with what plays, or stay")
                .keys("ctrl P")
                .does(() -> flip(model.view().followProperty()));
    }

    private void families() {
        for (Family f : Family.values()) {
            String digit = String.valueOf(f.digit());
            boolean first = f == Family.values()[0];
            commands.add("voice-" + digit, first ? "1 to 9: voice the chords in that family" : "")
                    .in(Zone.BAND, Zone.LANE)
                    .keys(digit)
                    .does(() -> model.chords().voiceChord(f));
            commands.add("browse-" + digit, first ? "1 to 9: show that family" : "")
                    .in(Zone.CARDS, Zone.NECK)
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
        band("chord-before", "previous chord", "LEFT", () -> model.moveChordCaret(-1), "←→ choose");
        band("chord-next", "next chord", "RIGHT", () -> model.moveChordCaret(1), null);
        band("chord-first", "first chord", "HOME", () -> model.moveChordCaretTo(0), null);
        band(
                "chord-last",
                "last chord",
                "END",
                () -> model.moveChordCaretTo(model.now().roots().size() - 1),
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
                .in(Zone.BAND)
                .brief("1 to 9 voice it · Ctrl 1 to 9 the whole riff")
                .does(() -> {});
        commands.once(
                Zone.BAND,
                "copy-chord",
                "copy the chord to the place after it",
                "ctrl D",
                c::copyChord);
        commands.once(Zone.BAND, "copy", "copy the chords marked", "ctrl C", c::copy);
        commands.once(Zone.BAND, "paste", "paste them after the caret", "ctrl V", c::paste);
        commands.once(Zone.BAND, "split-chord", "split the chord in two", "ctrl K", c::splitChord);
        commands.add("delete-chord", "delete the chords marked")
                .in(Zone.BAND)
                .keys("DELETE", "BACK_SPACE")
                .does(c::deleteChord);
        commands.add("to-voicings", "go in to its voicings")
                .in(Zone.BAND)
                .keys("ENTER")
                .brief("Enter voicings")
                .does(() -> model.zoneProperty().set(Zone.CARDS));
    }

    private void band(String id, String words, String key, Runnable action, String brief) {
        Commands.Builder b = commands.add(id, words).in(Zone.BAND).keys(key).repeats();
        if (brief != null) {
            b.brief(brief);
        }
        b.does(action);
    }

    private void lane() {
        LaneModel l = model.lane();
        Zone z = Zone.LANE;
        commands.add("step-back", "a step back")
                .in(z)
                .keys("LEFT")
                .brief("←→ step")
                .repeats()
                .does(() -> l.moveCaret(-1));
        commands.walk(z, "step-on", "a step on", "RIGHT", () -> l.moveCaret(1));
        commands.walk(z, "stroke-before", "previous stroke", "ctrl LEFT", () -> l.moveToStroke(-1));
        commands.walk(z, "stroke-next", "next stroke", "ctrl RIGHT", () -> l.moveToStroke(1));
        commands.walk(z, "bar-before", "previous bar", "HOME", () -> l.moveBar(-1));
        commands.walk(z, "bar-next", "next bar", "END", () -> l.moveBar(1));
        commands.walk(
                z, "lane-mark-back", "mark a step back", "ctrl shift LEFT", () -> l.markOn(-1));
        commands.walk(z, "lane-mark-on", "mark a step on", "ctrl shift RIGHT", () -> l.markOn(1));
        commands.add("stroke", "put a stroke here, or take it away")
                .in(z)
                .keys("ENTER")
                .brief("Enter stroke")
                .does(l::toggleStroke);
        commands.add("delete-stroke", "delete the strokes marked")
                .in(z)
                .keys("DELETE", "BACK_SPACE")
                .does(l::deleteStroke);
        commands.add("voices-on", "strike other voices")
                .in(z)
                .keys("UP")
                .brief("↑↓ voices")
                .repeats()
                .does(() -> l.cycleStruck(1));
        commands.walk(z, "voices-back", "", "DOWN", () -> l.cycleStruck(-1));
        commands.add("palm", "palm mute").in(z).keys("M").brief("M palm mute").does(l::toggleMute);
        commands.once(z, "palm-degrees", "palm mute by degrees", "shift M", l::cyclePalm);
        commands.once(z, "dead", "dead note", "X", () -> l.play(Manner.DEAD));
        commands.add("accent", "accent").in(z).keys("A").brief("A accent").does(l::toggleAccent);
        commands.add("embellish", "embellish: hammer, pull, slide, bend, let ring …")
                .in(z)
                .keys("E")
                .brief("E embellish")
                .does(screen::embellish);
        commands.add("scope", "edit every pass of the figure, or this one alone")
                .in(z)
                .keys("O")
                .brief("O here only")
                .does(l::toggleScope);
        commands.walk(
                z,
                "stroke-longer",
                "lengthen the stroke",
                "shift RIGHT",
                () -> l.lengthenStroke(1));
        commands.walk(
                z,
                "stroke-shorter",
                "shorten the stroke",
                "shift LEFT",
                () -> l.lengthenStroke(-1));
        commands.walk(
                z,
                "note-up",
                "its top note a fret up, here only",
                "alt UP",
                () -> l.touches().changeNote(1));
        commands.walk(
                z,
                "note-down",
                "its top note down, here only",
                "alt DOWN",
                () -> l.touches().changeNote(-1));
        commands.once(z, "lane-copy", "copy the bar, or what is marked", "ctrl C", l::copy);
        commands.once(z, "lane-paste", "paste it here", "ctrl V", l::paste);
    }

    private void figures() {
        LaneModel l = model.lane();
        Zone z = Zone.LANE;
        commands.add("type", "write notes and strokes as they are typed")
                .in(z)
                .keys("L")
                .brief("L write")
                .does(model.typing()::begin);
        for (Zone each : new Zone[] {z, Zone.TYPING}) {
            String of = each == z ? "" : "typing-";
            commands.walk(
                    each,
                    of + "finer",
                    "finer steps, triplets among them",
                    "PERIOD",
                    () -> l.refine(1));
            commands.walk(each, of + "coarser", "coarser steps", "COMMA", () -> l.refine(-1));
        }
        commands.once(z, "figures", "figures at hand, and your own", "shift F", screen::figures);
        commands.once(z, "tap-figure", "tap a figure on a key", "J", screen::tapFigure);
        commands.once(z, "own-figure", "a figure of its own for this pass", "F", l.figures()::own);
        commands.walk(
                z,
                "figure-longer",
                "the figure a step longer",
                "ctrl UP",
                () -> l.figures().lengthen(1));
        commands.walk(
                z, "figure-shorter", "a step shorter", "ctrl DOWN", () -> l.figures().lengthen(-1));
        commands.walk(
                z,
                "turn-on",
                "turn the figure a step on",
                "alt RIGHT",
                () -> l.figures().rotate(1));
        commands.walk(
                z, "turn-back", "turn it a step back", "alt LEFT", () -> l.figures().rotate(-1));
        commands.walk(
                z,
                "later",
                "the whole pattern a step later",
                "alt shift RIGHT",
                () -> l.figures().displace(1));
        commands.walk(
                z, "earlier", "a step earlier", "alt shift LEFT", () -> l.figures().displace(-1));
        commands.once(
                z,
                "restart",
                "where figures start again: nowhere, bars, roots",
                "R",
                l.figures()::nextRestart);
        commands.once(z, "rest", "a rest", "Z", l::rest);
        commands.once(z, "tie", "tie to the note before", "Y", l::toggleTie);
        commands.once(
                z,
                "by-string",
                "strike by voice, or by string whatever the shape",
                "B",
                l::toggleByString);
        for (int n = 1; n <= 8; n++) {
            int string = n;
            String words = n == 1 ? "Shift 1 to 8: strike that string too, or not" : "";
            commands.once(z, "string-" + n, words, "shift " + n, () -> l.toggleString(string));
        }
        for (int n = 1; n <= 6; n++) {
            int voice = n;
            String words = n == 1 ? "Alt 1 to 6: that voice from the top softer, harder" : "";
            commands.once(z, "level-" + n, words, "alt " + n, () -> l.touches().cycleLevel(voice));
        }
        commands.once(z, "direction", "strike by turns, down, up; pluck", "Q", l::cycleDirection);
        commands.walk(
                z,
                "harder",
                "harder: ghosted, soft, plain, accented",
                "shift UP",
                () -> l.cycleDynamics(1));
        commands.walk(z, "softer", "softer", "shift DOWN", () -> l.cycleDynamics(-1));
    }

    private void cards() {
        Zone z = Zone.CARDS;
        commands.add("card-before", "previous shape")
                .in(z)
                .keys("LEFT")
                .brief("←→ shape")
                .repeats()
                .does(() -> model.moveCard(-1));
        commands.walk(z, "card-next", "next shape", "RIGHT", () -> model.moveCard(1));
        commands.add("place-next", "the shape in its next place")
                .in(z)
                .keys("UP")
                .brief("↑↓ place on the neck · 1 to 9 family")
                .repeats()
                .does(() -> model.movePlace(1));
        commands.walk(
                z,
                "place-previous",
                "the shape in its place before",
                "DOWN",
                () -> model.movePlace(-1));
        commands.add("use", "put it into the riff")
                .in(z)
                .keys("ENTER")
                .brief("Enter put it into the riff · Esc out")
                .does(model::useShown);
    }

    private void neck() {
        Zone z = Zone.NECK;
        commands.add("fret-lower", "a fret lower")
                .in(z)
                .keys("LEFT")
                .brief("arrows move")
                .repeats()
                .does(() -> model.moveNeckCaret(0, side(-1)));
        commands.walk(
                z, "fret-higher", "a fret higher", "RIGHT", () -> model.moveNeckCaret(0, side(1)));
        commands.walk(z, "string-up", "next higher string", "UP", () -> model.moveNeckCaret(1, 0));
        commands.walk(
                z, "string-down", "next lower string", "DOWN", () -> model.moveNeckCaret(-1, 0));
        commands.add("fret", "sound this fret, or silence it")
                .in(z)
                .keys("ENTER")
                .brief("Enter sound or silence")
                .does(
                        () ->
                                model.toggleFret(
                                        model.neckStringProperty().get(),
                                        model.neckFretProperty().get()));
        commands.add("silence", "silence the string")
                .in(z)
                .keys("X")
                .brief("X silence · M held hears it ring")
                .does(() -> model.silenceString(model.neckStringProperty().get()));
        commands.add("use-neck", "put the shape into the riff")
                .in(z)
                .keys("ctrl ENTER")
                .brief("Ctrl Enter put it into the riff")
                .does(model::useShown);
    }

    private int side(int by) {
        return model.riff().ground().instrument().leftHanded() ? -by : by;
    }

    private void ground() {
        commands.add("ground-hint", "")
                .in(Zone.GROUND)
                .brief("Ground: Tab next field · letters find, ↑↓ change · Esc back to the chords")
                .does(() -> {});
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
        look("tone", "tone: amplifier, pickup, pick", "T", screen::tone);
        look("along", "who plays along", "W", screen::along);
        look("tune", "strings to tune by", "F4", screen::tune);
        look("output", "where the sound goes", "F5", screen::output);
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
