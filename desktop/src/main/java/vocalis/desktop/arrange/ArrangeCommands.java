package vocalis.desktop.arrange;

import javafx.scene.input.KeyCode;
import vocalis.desktop.keys.Commands;
import vocalis.desktop.keys.Keyboard;
import vocalis.desktop.session.Place;

/** The keys of the Arrange screen. */
public final class ArrangeCommands {

    /** What the screen does that is not the model's alone. */
    public interface Screen {
        void arrange();

        /** Goes on writing the section's riff. */
        void work();

        void editField();

        void vary();

        void mend();

        void second(boolean clashesToo);

        void bring();

        void register(int part);
    }

    private final Commands commands;
    private final ArrangeModel model;
    private final Screen screen;

    private ArrangeCommands(Commands commands, ArrangeModel model, Screen screen) {
        this.commands = commands;
        this.model = model;
        this.screen = screen;
    }

    /** Adds them to a registry. */
    public static void addTo(Commands commands, ArrangeModel model, Screen screen) {
        new ArrangeCommands(commands, model, screen).add();
    }

    /** The keys that are held. */
    public static void holds(Keyboard keyboard, ArrangeModel model) {
        keyboard.hold(KeyCode.J, ArrangePlace.STRIP, () -> model.hearing().hearClash());
    }

    private void add() {
        ArrangeModel a = model;
        Place z = ArrangePlace.STRIP;
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
                .does(() -> a.edits().step(-1));
        commands.add("field-more", "one more, the next")
                .in(z)
                .keys("PLUS", "EQUALS", "PERIOD", "ADD")
                .brief("− + Enter change it")
                .repeats()
                .does(() -> a.edits().step(1));
        commands.once(z, "field-edit", "type what the line says", "ENTER", screen::editField);
        commands.once(
                z,
                "section-left",
                "move the section left",
                "shift LEFT",
                () -> a.edits().shift(-1));
        commands.once(z, "section-right", "move it right", "shift RIGHT", () -> a.edits().shift(1));
        commands.add("section-add", "a section after this one, like it")
                .in(z)
                .keys("INSERT", "N")
                .brief("N new")
                .does(a.edits()::add);
        commands.add("section-away", "take the section away")
                .in(z)
                .keys("DELETE", "BACK_SPACE")
                .does(a.edits()::remove);
        commands.once(z, "section-bring", "another riff into the piece", "I", screen::bring);
        commands.add("section-vary", "set the section off from the one before")
                .in(z)
                .keys("V")
                .brief("V vary")
                .does(screen::vary);
        commands.once(z, "section-work", "work on the section's riff", "W", screen::work);
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
}
