package vocalis.desktop.revoice;

import javafx.scene.input.KeyCode;
import vocalis.core.voicing.Family;
import vocalis.desktop.keys.Commands;
import vocalis.desktop.keys.Keyboard;
import vocalis.desktop.session.Place;

/** The keys of the Revoice screen. */
public final class RevoiceCommands {

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
        RevoiceModel r = model;
        Place z = RevoicePlace.GRID;
        commands.add("revoice", "every treatment side by side").keys("F12").does(toggle);
        commands.add("row-up", "row above")
                .in(z)
                .keys("UP")
                .brief("arrows choose")
                .repeats()
                .does(() -> r.move(-1, 0));
        commands.walk(z, "row-down", "row below", "DOWN", () -> r.move(1, 0));
        commands.walk(z, "column-left", "chord before", "LEFT", () -> r.move(0, -1));
        commands.walk(z, "column-right", "next chord", "RIGHT", () -> r.move(0, 1));
        for (Family f : Family.values()) {
            String digit = String.valueOf(f.digit());
            boolean first = f == Family.values()[0];
            commands.add("switch-" + digit, first ? "1 to 9: the whole riff in that family" : "")
                    .in(z)
                    .keys(digit)
                    .does(() -> r.edits().voice(f, false));
            commands.add("switch-one-" + digit, first ? "Shift 1 to 9: this chord alone" : "")
                    .in(z)
                    .keys("shift " + digit)
                    .does(() -> r.edits().voice(f, true));
        }
        commands.add("take-cell", "take the cell into your mix")
                .in(z)
                .keys("ENTER")
                .brief(
                        "1 to 9 switch the riff, Shift 1 to 9 this chord · Enter take the cell · hold H hear the row, J the cell")
                .does(r.edits()::takeCell);
        commands.once(z, "take-row", "take the whole row", "ctrl ENTER", r.edits()::takeRow);
        commands.add("lock", "intents keep this chord")
                .in(z)
                .keys("L")
                .brief("L keep")
                .does(r::lock);
        commands.add("other", "the row in place of your mix, and back")
                .in(z)
                .keys("A")
                .brief("A other")
                .does(r.heard()::toggleOther);
        commands.add("blind", "your mix and the row, blind")
                .in(z)
                .keys("B")
                .brief("B blind · Esc")
                .does(blind);
        commands.once(z, "surprise", "another surprise", "S", r::surprise);
        commands.once(
                z,
                "second-guitar",
                "rows for the second guitar over your mix",
                "G",
                r.second()::toggle);
        commands.walk(
                z,
                "member-next",
                "the next shape of the row's family here",
                "PERIOD",
                () -> r.edits().member(1));
        commands.walk(
                z,
                "place-up",
                "the shape in its next place: strings, octave",
                "alt UP",
                () -> r.edits().place(1));
        commands.walk(
                z,
                "place-down",
                "the shape in its place before",
                "alt DOWN",
                () -> r.edits().place(-1));
        commands.walk(z, "member-before", "the shape before", "COMMA", () -> r.edits().member(-1));
    }
}
