package vocalis.desktop.keys;

import javafx.scene.input.KeyCode;
import vocalis.desktop.model.ArrangeModel;
import vocalis.desktop.model.PracticeModel;
import vocalis.desktop.model.WriteModel;
import vocalis.desktop.model.Zone;

/** The keys of the Arrange and the Practise screen. */
public final class SongCommands {

    /** What the screens do that is not the models' alone. */
    public interface Screen {
        void arrange();

        void practise();

        void editField();

        void vary();

        void mend();

        void second(boolean clashesToo);

        void bring();

        void register(int part);

        void practiceLog();

        void along();
    }

    private final Commands commands;
    private final WriteModel model;
    private final Screen screen;

    private SongCommands(Commands commands, WriteModel model, Screen screen) {
        this.commands = commands;
        this.model = model;
        this.screen = screen;
    }

    /** Adds them to a registry. */
    public static void addTo(Commands commands, WriteModel model, Screen screen) {
        SongCommands c = new SongCommands(commands, model, screen);
        c.arrange();
        c.practise();
        c.along();
    }

    /** The keys that are held. */
    public static void holds(Keyboard keyboard, WriteModel model) {
        keyboard.hold(KeyCode.J, Zone.ARRANGE, () -> model.arrange().hearing().hearClash());
    }

    private void arrange() {
        ArrangeModel a = model.arrange();
        Zone z = Zone.ARRANGE;
        commands.add("arrange", "arrange: sections, two parts, the song")
                .keys("shift F12")
                .does(screen::arrange);
        commands.add("section-before", "section before")
                .in(z)
                .keys("LEFT")
                .brief("arrows choose")
                .repeats()
                .does(() -> a.move(-1));
        commands.walk(z, "section-next", "next section", "RIGHT", () -> a.move(1));
        commands.walk(
                z,
                "song-bar-before",
                "play from a bar earlier",
                "alt LEFT",
                () -> a.hearing().movePlace(-1));
        commands.walk(
                z,
                "song-bar-next",
                "play from a bar later",
                "alt RIGHT",
                () -> a.hearing().movePlace(1));
        commands.walk(
                z,
                "stretch-of-song-less",
                "mark a bar less to loop",
                "shift alt LEFT",
                () -> a.hearing().moveStretch(-1));
        commands.walk(
                z,
                "stretch-of-song-more",
                "mark a bar more to loop",
                "shift alt RIGHT",
                () -> a.hearing().moveStretch(1));
        commands.walk(z, "field-up", "line above", "UP", () -> a.moveField(-1));
        commands.walk(z, "field-down", "line below", "DOWN", () -> a.moveField(1));
        commands.add("field-less", "one less, the one before")
                .in(z)
                .keys("MINUS", "COMMA", "SUBTRACT")
                .repeats()
                .does(() -> a.step(-1));
        commands.add("field-more", "one more, the next")
                .in(z)
                .keys("PLUS", "EQUALS", "PERIOD", "ADD")
                .brief("− + Enter change it")
                .repeats()
                .does(() -> a.step(1));
        commands.once(z, "field-edit", "type what the line says", "ENTER", screen::editField);
        commands.once(z, "section-left", "move the section left", "shift LEFT", () -> a.shift(-1));
        commands.once(z, "section-right", "move it right", "shift RIGHT", () -> a.shift(1));
        commands.add("section-add", "a section after this one, like it")
                .in(z)
                .keys("INSERT", "N")
                .brief("N new")
                .does(a::add);
        commands.add("section-away", "take the section away")
                .in(z)
                .keys("DELETE", "BACK_SPACE")
                .does(a::remove);
        commands.once(z, "section-bring", "another riff into the piece", "I", screen::bring);
        commands.add("section-vary", "set the section off from the one before")
                .in(z)
                .keys("V")
                .brief("V vary")
                .does(screen::vary);
        commands.once(z, "section-work", "work on the section's riff", "W", this::work);
        commands.add("section-loop", "loop the section or the marked bars, or the whole goes on")
                .in(z)
                .keys("L")
                .brief("L loop")
                .does(a.hearing()::toggleLoop);
        commands.once(
                z,
                "section-hold",
                "hold guitar one while another part is tried",
                "K",
                a.hearing()::toggleHold);
        commands.add("clash-next", "next clash")
                .in(z)
                .keys("C")
                .brief("C clash: hold J, X mend, M meant")
                .does(a::nextClash);
        commands.once(z, "clash-mend", "what would mend the clash", "X", screen::mend);
        commands.once(z, "clash-meant", "the clash is meant, or not", "M", a::toggleMeant);
        commands.add("second-find", "find a part for the second guitar")
                .in(z)
                .keys("F")
                .brief("F second part")
                .does(() -> screen.second(false));
        commands.once(
                z,
                "second-find-all",
                "the same with parts that rub",
                "shift F",
                () -> screen.second(true));
        commands.once(
                z,
                "register-one",
                "floor and ceiling of guitar one",
                "R",
                () -> screen.register(0));
        commands.once(
                z,
                "register-two",
                "floor and ceiling of guitar two",
                "shift R",
                () -> screen.register(1));
    }

    /** Who plays along is set on both screens. */
    private void along() {
        commands.add("song-along", "who plays along: guitar two, bass, kit")
                .in(Zone.ARRANGE, Zone.PRACTISE)
                .keys("B")
                .does(screen::along);
    }

    private void work() {
        model.arrange().work();
        model.zoneProperty().set(Zone.BAND);
    }

    private void practise() {
        PracticeModel p = model.practice();
        Zone z = Zone.PRACTISE;
        commands.add("practise", "practise: a stretch round and round")
                .keys("ctrl F12")
                .does(screen::practise);
        commands.add("pass-failed", "this pass failed")
                .in(z)
                .keys("X")
                .brief("X this pass failed")
                .does(p::fail);
        commands.add("ladder", "up the ladder, or one tempo")
                .in(z)
                .keys("L")
                .brief("L ladder")
                .does(p::toggleLadder);
        commands.add("tempo-up", "faster; on the ladder a higher goal")
                .in(z)
                .keys("UP")
                .brief("↑↓ tempo")
                .repeats()
                .does(() -> p.tempo(1));
        commands.walk(z, "tempo-down", "slower; a lower goal", "DOWN", () -> p.tempo(-1));
        commands.walk(z, "tempo-up-ten", "faster by ten", "PAGE_UP", () -> p.tempo(10));
        commands.walk(z, "tempo-down-ten", "slower by ten", "PAGE_DOWN", () -> p.tempo(-10));
        commands.walk(z, "foot-up", "a higher foot of the ladder", "shift UP", () -> p.foot(1));
        commands.walk(z, "foot-down", "a lower foot", "shift DOWN", () -> p.foot(-1));
        commands.once(z, "rung-passes", "clean passes that a rung takes", "R", p::rungPasses);
        commands.add("stretch-left", "the stretch a bar earlier")
                .in(z)
                .keys("LEFT")
                .brief("←→ bars")
                .repeats()
                .does(() -> p.moveStretch(-1, false));
        commands.walk(z, "stretch-right", "a bar later", "RIGHT", () -> p.moveStretch(1, false));
        commands.walk(z, "stretch-less", "a bar less", "shift LEFT", () -> p.moveStretch(-1, true));
        commands.walk(z, "stretch-more", "a bar more", "shift RIGHT", () -> p.moveStretch(1, true));
        commands.add("stretch-section", "the next section")
                .in(z)
                .keys("S")
                .brief("S section, A all, T hard")
                .does(() -> p.nextSection(1));
        commands.once(z, "stretch-all", "the whole song", "A", p::whole);
        commands.once(
                z, "stretch-hard", "the hardest change alone, then the next", "T", p::hardChange);
        commands.add("click-on", "the click after the count-in")
                .in(z)
                .keys("C")
                .brief("C click, V vanishing")
                .does(p::toggleClick);
        commands.once(z, "click-vanish", "the click goes out for some bars", "V", p::nextVanishing);
        commands.once(z, "count-in", "bars counted in: none, one, two", "N", p::nextCountIn);
        commands.once(z, "count-fine", "count quarters, off-beats, sixteenths", "O", p::nextFinest);
        commands.add("who-heard", "who is heard: all, guitar alone, band alone")
                .in(z)
                .keys("G")
                .brief("G who is heard")
                .does(p::nextWho);
        commands.once(z, "other-part", "the other guitar's tab", "P", p::otherPart);
        commands.once(z, "practice-log", "what was practised", "K", screen::practiceLog);
    }
}
