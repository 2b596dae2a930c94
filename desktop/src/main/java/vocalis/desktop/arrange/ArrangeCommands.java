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

        void bassLines();

        void bring();

        void register(int part);
    }

    private static final Place STRIP = ArrangePlace.STRIP;

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
        commands.add("arrange", "Arrange: sections, two parts, the song")
                .keys("F7")
                .does(screen::arrange);
        walking();
        lines();
        sections();
        parts();
        hearing();
        clashes();
        riffs();
    }

    private void walking() {
        ArrangeModel a = model;
        commands.add("section-before", "section before")
                .in(STRIP)
                .keys("LEFT")
                .brief("← → section · ↑ ↓ line, − + or Enter change it · hold J: the clash alone")
                .repeats()
                .does(() -> a.move(-1));
        commands.walk(STRIP, "section-next", "next section", "RIGHT", () -> a.move(1));
        commands.walk(STRIP, "field-up", "line above", "UP", () -> a.moveField(-1));
        commands.walk(STRIP, "field-down", "line below", "DOWN", () -> a.moveField(1));
        commands.walk(
                STRIP,
                "song-bar-before",
                "play from a bar earlier",
                "alt LEFT",
                () -> a.hearing().movePlace(-1));
        commands.walk(
                STRIP,
                "song-bar-next",
                "play from a bar later",
                "alt RIGHT",
                () -> a.hearing().movePlace(1));
        commands.walk(
                STRIP,
                "stretch-of-song-less",
                "mark a bar less to loop",
                "shift alt LEFT",
                () -> a.hearing().moveStretch(-1));
        commands.walk(
                STRIP,
                "stretch-of-song-more",
                "mark a bar more to loop",
                "shift alt RIGHT",
                () -> a.hearing().moveStretch(1));
    }

    private void lines() {
        commands.add("field-less", "this line: one less, the one before")
                .in(STRIP)
                .keys("MINUS", "SUBTRACT")
                .means("the one before, one less")
                .repeats()
                .does(() -> model.edits().step(-1));
        commands.add("field-more", "this line: one more, the next")
                .in(STRIP)
                .keys("PLUS", "EQUALS", "ADD")
                .means("the next one, one more")
                .repeats()
                .does(() -> model.edits().step(1));
        commands.once(STRIP, "field-edit", "type what the line says", "ENTER", screen::editField);
    }

    private void sections() {
        commands.add("section-add", "a section after this one, like it")
                .in(STRIP)
                .keys("INSERT")
                .button("New section")
                .does(model.edits()::add);
        commands.add("section-away", "take the section away")
                .in(STRIP)
                .keys("DELETE", "BACK_SPACE")
                .button("Delete")
                .does(model.edits()::remove);
        commands.once(
                STRIP,
                "section-left",
                "move the section left",
                "shift LEFT",
                () -> model.edits().shift(-1));
        commands.once(
                STRIP,
                "section-right",
                "move the section right",
                "shift RIGHT",
                () -> model.edits().shift(1));
        commands.add("section-vary", "set the section off from the one before")
                .in(STRIP)
                .button("Vary")
                .does(screen::vary);
    }

    private void riffs() {
        commands.add("section-work", "work on the section's riff")
                .in(STRIP)
                .button("Write its riff")
                .does(screen::work);
        commands.add("section-bring", "another riff into the piece")
                .in(STRIP)
                .button("Bring a riff")
                .does(screen::bring);
    }

    private void hearing() {
        commands.add("section-loop", "loop the section or the marked bars, or the whole goes on")
                .in(STRIP)
                .keys("shift SPACE")
                .button("Loop")
                .lit(model.hearing()::looping)
                .does(model.hearing()::toggleLoop);
        commands.add("section-hold", "hold guitar one while another part is tried")
                .in(STRIP)
                .button("Hold guitar one")
                .lit(model.hearing()::holding)
                .does(model.hearing()::toggleHold);
    }

    private void clashes() {
        commands.add("clash-next", "next clash")
                .in(STRIP)
                .button("Next clash")
                .does(model.clash()::next);
        commands.add("clash-mend", "what would mend the clash")
                .in(STRIP)
                .button("Mend")
                .does(screen::mend);
        commands.add("clash-meant", "the clash is meant, or not")
                .in(STRIP)
                .button("Meant")
                .lit(model.clash()::meant)
                .does(model.clash()::toggleMeant);
    }

    private void parts() {
        commands.add("second-find", "find a part for the second guitar")
                .in(STRIP)
                .button("Second part")
                .does(() -> screen.second(false));
        commands.once(
                STRIP,
                "second-find-all",
                "find a part for the second guitar, clashes allowed",
                () -> screen.second(true));
        commands.add("bass-lines", "lines for the bass under this section, and why")
                .in(STRIP)
                .button("Bass lines")
                .does(screen::bassLines);
        commands.once(
                STRIP, "register-one", "floor and ceiling of guitar one", () -> screen.register(0));
        commands.once(
                STRIP, "register-two", "floor and ceiling of guitar two", () -> screen.register(1));
    }
}
