package vocalis.desktop.write;

import java.util.Locale;
import javafx.scene.input.KeyCode;
import vocalis.core.voicing.Family;
import vocalis.desktop.explore.Explore;
import vocalis.desktop.keys.Commands;
import vocalis.desktop.keys.Keyboard;
import vocalis.desktop.session.Place;
import vocalis.desktop.writing.ChordEdits;
import vocalis.desktop.writing.Looks;
import vocalis.desktop.writing.WriteModel;
import vocalis.desktop.writing.WritePlace;

/** The commands of the Write screen. */
public final class WriteCommands {

    private final Commands commands;
    private final WriteModel model;
    private final WriteSheets screen;

    private WriteCommands(Commands commands, WriteModel model, WriteSheets screen) {
        this.commands = commands;
        this.model = model;
        this.screen = screen;
    }

    /** Adds them to a registry. */
    public static void addTo(Commands commands, WriteModel model, WriteSheets screen) {
        WriteCommands w = new WriteCommands(commands, model, screen);
        w.families();
        w.walking();
        w.roots();
        w.offers();
        w.lengths();
        LaneCommands.addTo(commands, model, screen);
        TypingCommands.addTo(commands, model);
        w.cards();
        w.neck();
        w.looking();
        w.exploring();
        new TuneCommands(commands, model, screen).add();
        w.riff();
    }

    /** The keys that are held. */
    public static void holds(Keyboard keyboard, WriteModel model) {
        keyboard.hold(
                KeyCode.J,
                WritePlace.NECK,
                () -> model.beginHearingMiss(model.neck().stringProperty().get()));
    }

    private void families() {
        for (Family f : Family.values()) {
            String digit = String.valueOf(f.digit());
            String name = f.label().toLowerCase(Locale.ROOT);
            commands.add("voice-" + digit, "voice the chord as " + name)
                    .in(WritePlace.BAND, WritePlace.LANE)
                    .keys(digit)
                    .does(() -> model.chords().voiceChord(f));
            commands.add("browse-" + digit, "show shapes: " + name)
                    .in(WritePlace.CARDS, WritePlace.NECK)
                    .keys(digit)
                    .does(() -> model.browse(f));
            commands.add("all-" + digit, "the whole riff as " + name)
                    .keys("ctrl " + digit)
                    .does(() -> model.chords().voiceAll(f));
        }
        commands.add("all-next", "the whole riff in the next family")
                .does(() -> model.chords().voiceAllNext(1));
        commands.add("all-before", "the whole riff in the family before")
                .does(() -> model.chords().voiceAllNext(-1));
    }

    private void walking() {
        band("chord-before", "previous chord", "LEFT", () -> model.caret().move(-1));
        band("chord-next", "next chord", "RIGHT", () -> model.caret().move(1));
        band("chord-first", "first chord", "HOME", () -> model.caret().moveTo(0));
        band(
                "chord-last",
                "last chord",
                "END",
                () -> model.caret().moveTo(model.session().now().roots().size() - 1));
        ChordEdits c = model.chords();
        band("mark-back", "mark the chord before too", "ctrl shift LEFT", () -> c.markOn(-1));
        band("mark-on", "mark the next chord too", "ctrl shift RIGHT", () -> c.markOn(1));
    }

    private void roots() {
        ChordEdits c = model.chords();
        commands.add("root-up", "root up a step of the scale")
                .in(WritePlace.BAND)
                .keys("UP")
                .button("Root up")
                .brief("← → choose · ↑ ↓ root · Shift ← → length · 1 to 9 voice it, with Ctrl all")
                .repeats()
                .does(() -> c.stepRoot(1));
        commands.add("root-down", "root down a step of the scale")
                .in(WritePlace.BAND)
                .keys("DOWN")
                .button("Root down")
                .repeats()
                .does(() -> c.stepRoot(-1));
        band("semitone-up", "root up a semitone", "alt UP", () -> c.transposeRoot(1));
        band("semitone-down", "root down a semitone", "alt DOWN", () -> c.transposeRoot(-1));
        band("bass-up", "another bass under it, a step up", "shift UP", () -> c.stepBass(1));
        band("bass-down", "another bass, a step down", "shift DOWN", () -> c.stepBass(-1));
    }

    private void lengths() {
        ChordEdits c = model.chords();
        commands.add("longer", "lengthen the chord")
                .in(WritePlace.BAND)
                .keys("shift RIGHT")
                .button("Longer")
                .marked("Longer")
                .repeats()
                .does(() -> c.lengthenChord(1));
        commands.add("shorter", "shorten the chord")
                .in(WritePlace.BAND)
                .keys("shift LEFT")
                .button("Shorter")
                .marked("Shorter")
                .repeats()
                .does(() -> c.lengthenChord(-1));
        commands.add("copy-chord", "another chord after this one, like it")
                .in(WritePlace.BAND)
                .keys("ctrl D")
                .button("Add chord")
                .does(c::copyChord);
        commands.add("split-chord", "split the chord in two")
                .in(WritePlace.BAND)
                .keys("ctrl K")
                .button("Split")
                .does(c::splitChord);
        commands.add("delete-chord", "delete the chords marked")
                .in(WritePlace.BAND)
                .keys("DELETE", "BACK_SPACE")
                .button("Delete")
                .marked("Delete")
                .does(c::deleteChord);
        movedAndCopied();
    }

    private void movedAndCopied() {
        ChordEdits c = model.chords();
        band("chord-earlier", "move the chord earlier", "alt LEFT", () -> c.moveChord(-1));
        band("chord-later", "move the chord later", "alt RIGHT", () -> c.moveChord(1));
        commands.add("copy", "copy the chords marked")
                .in(WritePlace.BAND)
                .keys("ctrl C")
                .means("copy")
                .marked("Copy")
                .does(c::copy);
        commands.add("paste", "paste chords after this one")
                .in(WritePlace.BAND)
                .keys("ctrl V")
                .means("paste")
                .marked("Paste")
                .does(c::paste);
    }

    private void offers() {
        commands.add("next-root", "what could stand here, and why")
                .in(WritePlace.BAND)
                .keys("Q")
                .button("What could stand here")
                .does(screen::nextRoot);
        commands.add("next-root-here", "what could stand here, from the other places")
                .in(WritePlace.LANE, WritePlace.CARDS, WritePlace.NECK)
                .keys("Q")
                .means("what could stand here, and why")
                .partOf("next-root")
                .does(screen::nextRoot);
        commands.add("roots", "type the roots of the riff").keys("ctrl R").does(screen::roots);
        commands.add("to-voicings", "go in to its shapes")
                .in(WritePlace.BAND)
                .keys("ENTER")
                .button("Its shapes")
                .does(() -> model.go(WritePlace.CARDS));
    }

    private void band(String id, String words, String key, Runnable action) {
        commands.walk(WritePlace.BAND, id, words, key, action);
    }

    private void cards() {
        Place z = WritePlace.CARDS;
        commands.add("card-before", "previous shape")
                .in(z)
                .keys("LEFT")
                .brief(
                        "← → shape · ↑ ↓ place on the neck · 1 to 9 family · hold H to hear · Esc out")
                .repeats()
                .does(() -> model.shown().moveCard(-1));
        commands.walk(z, "card-next", "next shape", "RIGHT", () -> model.shown().moveCard(1));
        commands.add("use", "put the shape into the riff")
                .in(z)
                .keys("ENTER")
                .button("Use it")
                .does(model::useShown);
        commands.add("use-all", "the whole riff in the family shown")
                .in(z)
                .button("Whole riff so")
                .does(() -> model.chords().voiceAll(model.shown().familyProperty().get()));
        commands.add("place-next", "the shape higher up the neck")
                .in(z)
                .keys("UP")
                .button("Higher place")
                .repeats()
                .does(() -> model.shown().movePlace(1));
        commands.add("place-previous", "the shape lower down the neck")
                .in(z)
                .keys("DOWN")
                .button("Lower place")
                .repeats()
                .does(() -> model.shown().movePlace(-1));
    }

    private void neck() {
        Place z = WritePlace.NECK;
        commands.add("fret-lower", "a fret lower")
                .in(z)
                .keys("LEFT")
                .brief(
                        "arrows move · Delete silences · hold J: heard with the silent string ringing")
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
                .button("Sound or silence")
                .does(
                        () ->
                                model.neck()
                                        .toggle(
                                                model.neck().stringProperty().get(),
                                                model.neck().fretProperty().get()));
        commands.add("silence", "silence the string")
                .in(z)
                .keys("DELETE", "BACK_SPACE")
                .button("Silence string")
                .does(() -> model.neck().silence(model.neck().stringProperty().get()));
        commands.add("use-neck", "put the shape on the neck into the riff")
                .in(z)
                .keys("ctrl ENTER")
                .button("Put into riff")
                .does(model::useShown);
    }

    private int side(int by) {
        return model.riff().ground().instrument().leftHanded() ? -by : by;
    }

    private void looking() {
        new LookCommands(commands, model, screen).add();
        look("find", "find a shape, a chord name or notes", "ctrl F", screen::find);
        look("filter", "filter the shapes", "ctrl L", screen::filter);
        look("keep", "keep the shape shown as your own", "ctrl B", screen::keepShape);
        look("own", "your own shapes on this root", "0", screen::ownShapes);
        thinner();
    }

    /** Voices left out, and what the figures beside the neck show. */
    private void thinner() {
        String[] voices = {"highest", "second-highest", "third-highest", "fourth-highest"};
        for (int i = 1; i <= voices.length; i++) {
            int voice = i;
            String words = "leave out the " + voices[i - 1] + " note";
            look("thin-" + i, words, "alt " + i, () -> model.thin(voice));
        }
        look(
                "page",
                "next page of figures beside the neck",
                null,
                () -> model.pageProperty().set(model.pageProperty().get().next()));
        look(
                "support",
                "why it is heard so: the numbers behind the root",
                null,
                () -> Looks.flip(model.supportProperty()));
        look(
                "pure",
                "thirds pure or tempered",
                null,
                () -> Looks.flip(model.gain().pureProperty()));
    }

    private void exploring() {
        explore("explore", "explore this chord: basses, drones, dark shapes, along the neck …", "C")
                .button("Explore")
                .does(() -> screen.explore(Explore.COMPARE));
        for (Explore page : Explore.values()) {
            commands.add(page.id(), page.command()).does(() -> screen.explore(page));
        }
        commands.add("prove", "prove the root: power chords under it").does(screen::prove);
        commands.add("modes", "which keys the riff's notes fit").does(screen::modeFinder);
    }

    private Commands.Builder explore(String id, String words, String key) {
        return commands.add(id, words)
                .in(WritePlace.BAND, WritePlace.LANE, WritePlace.CARDS, WritePlace.NECK)
                .keys(key)
                .means("compare");
    }

    private void riff() {
        look("variations", "variations of the riff", null, screen::variations);
        look("ideas", "ideas: what rules make of this riff", null, screen::ideas);
        look("sparks", "sparks: six short riffs from this key and tuning", null, screen::sparks);
        look("keep-version", "keep the riff as a version", null, screen::keepVersion);
        look("keep-named", "keep it as a version with a name", null, screen::keepNamed);
        look("versions", "versions kept, and three endings", null, screen::versions);
        look("ways", "other ways of the hand through the riff", null, screen::ways);
        look("drones-held", "open strings that ring through the riff", null, screen::dronesHeld);
        look("fingers", "other fingers for the shape of this chord", null, screen::fingers);
        look("check", "what a player would stumble over", "ctrl G", screen::check);
        look("findings", "what could not be played as written", null, screen::findings);
    }

    private void look(String id, String words, String key, Runnable action) {
        Commands.Builder b = commands.add(id, words);
        if (key != null) {
            b.keys(key);
        }
        b.does(action);
    }
}
