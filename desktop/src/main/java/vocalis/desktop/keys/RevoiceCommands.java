package vocalis.desktop.keys;

import vocalis.core.voicing.Family;
import vocalis.desktop.model.RevoiceModel;
import vocalis.desktop.model.WriteModel;
import vocalis.desktop.model.Zone;

/** The keys of the Revoice screen. */
final class RevoiceCommands {

    private final Commands commands;
    private final WriteModel model;
    private final WriteCommands.Screen screen;

    private RevoiceCommands(Commands commands, WriteModel model, WriteCommands.Screen screen) {
        this.commands = commands;
        this.model = model;
        this.screen = screen;
    }

    /** Adds them to a registry. */
    static void addTo(Commands commands, WriteModel model, WriteCommands.Screen screen) {
        new RevoiceCommands(commands, model, screen).add();
    }

    private void add() {
        RevoiceModel r = model.revoice();
        Zone z = Zone.REVOICE;
        commands.add("revoice", "every treatment side by side").keys("F12").does(screen::revoice);
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
                    .does(() -> r.voice(f, false));
            commands.add("switch-one-" + digit, first ? "Shift 1 to 9: this chord alone" : "")
                    .in(z)
                    .keys("shift " + digit)
                    .does(() -> r.voice(f, true));
        }
        commands.add("take-cell", "take the cell into your mix")
                .in(z)
                .keys("ENTER")
                .brief(
                        "1 to 9 switch the riff, Shift 1 to 9 this chord · Enter take the cell · hold H hear the row, J the cell")
                .does(r::takeCell);
        commands.once(z, "take-row", "take the whole row", "ctrl ENTER", r::takeRow);
        commands.add("lock", "intents keep this chord")
                .in(z)
                .keys("L")
                .brief("L keep")
                .does(r::lock);
        commands.add("other", "the row in place of your mix, and back")
                .in(z)
                .keys("A")
                .brief("A other")
                .does(r::toggleOther);
        commands.add("blind", "your mix and the row, blind")
                .in(z)
                .keys("B")
                .brief("B blind · Esc")
                .does(screen::blind);
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
                () -> r.member(1));
        commands.walk(
                z,
                "place-up",
                "the shape in its next place: strings, octave",
                "alt UP",
                () -> r.place(1));
        commands.walk(
                z, "place-down", "the shape in its place before", "alt DOWN", () -> r.place(-1));
        commands.walk(z, "member-before", "the shape before", "COMMA", () -> r.member(-1));
    }
}
