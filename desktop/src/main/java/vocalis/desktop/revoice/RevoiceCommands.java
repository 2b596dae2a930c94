package vocalis.desktop.revoice;

import java.util.Locale;
import javafx.scene.input.KeyCode;
import vocalis.core.voicing.Family;
import vocalis.desktop.keys.Commands;
import vocalis.desktop.keys.Keyboard;
import vocalis.desktop.session.Place;

/** The keys of the Revoice screen. */
public final class RevoiceCommands {

    private static final Place GRID = RevoicePlace.GRID;

    /** More chords than there are. */
    private static final int ALL = 1000;

    private final Commands commands;
    private final RevoiceModel model;
    private final Runnable toggle;
    private final Runnable blind;

    private RevoiceCommands(
            Commands commands, RevoiceModel model, Runnable toggle, Runnable blind) {
        this.commands = commands;
        this.model = model;
        this.toggle = toggle;
        this.blind = blind;
    }

    /**
     * Adds them to a registry.
     *
     * @param toggle goes to the screen, and back
     * @param blind opens the sheet for blind hearing
     */
    public static void addTo(
            Commands commands, RevoiceModel model, Runnable toggle, Runnable blind) {
        new RevoiceCommands(commands, model, toggle, blind).add();
    }

    /** The keys that are held. */
    public static void holds(Keyboard keyboard, RevoiceModel model) {
        keyboard.hold(KeyCode.J, RevoicePlace.GRID, model.heard()::hearCell);
    }

    private void add() {
        commands.add("revoice", "Revoice: every treatment side by side").keys("F6").does(toggle);
        hearing();
        taking();
        shapes();
        rows();
        families();
    }

    private void hearing() {
        commands.add("row-up", "row above")
                .in(GRID)
                .keys("UP")
                .brief(
                        "arrows choose · hold H: hear the row · hold J: the cell alone · 1 to 9 family")
                .repeats()
                .does(() -> model.turn(-1));
        commands.walk(GRID, "row-down", "row below", "DOWN", () -> model.turn(1));
        commands.walk(GRID, "column-first", "first chord", "HOME", () -> model.move(0, -ALL));
        commands.walk(GRID, "column-last", "last chord", "END", () -> model.move(0, ALL));
        commands.walk(GRID, "column-left", "chord before", "LEFT", () -> model.move(0, -1));
        commands.walk(GRID, "column-right", "chord after", "RIGHT", () -> model.move(0, 1));
        commands.add("other", "play the row in place of what is written, and back")
                .in(GRID)
                .keys("C")
                .means("compare")
                .button("Against as written")
                .lit(model.heard()::otherSounds)
                .does(model.heard()::toggleOther);
        commands.add("blind", "as written and the row, blind").in(GRID).button("Blind").does(blind);
    }

    private void taking() {
        commands.add("take-cell", "take the cell into the riff")
                .in(GRID)
                .keys("ENTER")
                .button("Take cell")
                .does(model.edits()::takeCell);
        commands.add("take-row", "take the whole row")
                .in(GRID)
                .keys("ctrl ENTER")
                .button("Take row")
                .does(model.edits()::takeRow);
        commands.add("lock", "rows by intent keep this chord")
                .in(GRID)
                .keys("K")
                .button("Keep chord")
                .lit(model::locked)
                .does(model::lock);
    }

    private void shapes() {
        commands.add("member-next", "the next shape of the row's family here")
                .in(GRID)
                .keys("PLUS", "EQUALS", "ADD")
                .means("the next one, one more")
                .button("Next shape")
                .repeats()
                .does(() -> model.edits().member(1));
        commands.add("member-before", "the shape of the row's family before")
                .in(GRID)
                .keys("MINUS", "SUBTRACT")
                .means("the one before, one less")
                .button("Shape before")
                .repeats()
                .does(() -> model.edits().member(-1));
        commands.walk(
                GRID,
                "place-up",
                "the cell's shape in its next place: strings, octave",
                "alt UP",
                () -> model.edits().place(1));
        commands.walk(
                GRID,
                "place-down",
                "the cell's shape in its place before",
                "alt DOWN",
                () -> model.edits().place(-1));
    }

    private void rows() {
        commands.add("surprise", "another surprise")
                .in(GRID)
                .button("Surprise")
                .does(model::surprise);
        commands.add("second-guitar", "rows for the second guitar over what is written")
                .in(GRID)
                .button("Second guitar")
                .lit(model.second()::on)
                .does(model.second()::toggle);
    }

    private void families() {
        for (Family f : Family.values()) {
            String digit = String.valueOf(f.digit());
            String name = f.label().toLowerCase(Locale.ROOT);
            commands.add("switch-" + digit, "switch the whole riff to " + name)
                    .in(GRID)
                    .keys(digit)
                    .does(() -> model.edits().voice(f, false));
            commands.add("switch-one-" + digit, "switch this chord alone to " + name)
                    .in(GRID)
                    .keys("shift " + digit)
                    .does(() -> model.edits().voice(f, true));
        }
    }
}
