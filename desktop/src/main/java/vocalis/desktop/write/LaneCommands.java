package vocalis.desktop.write;

import vocalis.core.score.Manner;
import vocalis.desktop.keys.Commands;
import vocalis.desktop.session.Place;
import vocalis.desktop.writing.LaneModel;
import vocalis.desktop.writing.WriteModel;
import vocalis.desktop.writing.WritePlace;

/** The commands of the lane: strokes, touches, figures. */
final class LaneCommands {

    private final Commands commands;
    private final WriteModel model;
    private final WriteCommands.Screen screen;

    private LaneCommands(Commands commands, WriteModel model, WriteCommands.Screen screen) {
        this.commands = commands;
        this.model = model;
        this.screen = screen;
    }

    /** Adds them to a registry. */
    static void addTo(Commands commands, WriteModel model, WriteCommands.Screen screen) {
        LaneCommands l = new LaneCommands(commands, model, screen);
        l.lane();
        l.figures();
    }

    private void lane() {
        LaneModel l = model.lane();
        Place z = WritePlace.LANE;
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
                .does(() -> l.strokes().cycleStruck(1));
        commands.walk(z, "voices-back", "", "DOWN", () -> l.strokes().cycleStruck(-1));
        commands.add("palm", "palm mute")
                .in(z)
                .keys("M")
                .brief("M palm mute")
                .does(l.strokes()::toggleMute);
        commands.once(z, "palm-degrees", "palm mute by degrees", "shift M", l.strokes()::cyclePalm);
        commands.once(z, "dead", "dead note", "X", () -> l.strokes().play(Manner.DEAD));
        commands.add("accent", "accent")
                .in(z)
                .keys("A")
                .brief("A accent")
                .does(l.strokes()::toggleAccent);
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
                () -> l.strokes().lengthenStroke(1));
        commands.walk(
                z,
                "stroke-shorter",
                "shorten the stroke",
                "shift LEFT",
                () -> l.strokes().lengthenStroke(-1));
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
        Place z = WritePlace.LANE;
        commands.add("type", "write notes and strokes as they are typed")
                .in(z)
                .keys("L")
                .brief("L write")
                .does(model.typing()::begin);
        for (Place each : new Place[] {z, WritePlace.TYPING}) {
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
        commands.once(z, "rest", "a rest", "Z", l.strokes()::rest);
        commands.once(z, "tie", "tie to the note before", "Y", l.strokes()::toggleTie);
        commands.once(
                z,
                "by-string",
                "strike by voice, or by string whatever the shape",
                "B",
                l.strokes()::toggleByString);
        for (int n = 1; n <= 8; n++) {
            int string = n;
            String words = n == 1 ? "Shift 1 to 8: strike that string too, or not" : "";
            commands.once(
                    z, "string-" + n, words, "shift " + n, () -> l.strokes().toggleString(string));
        }
        for (int n = 1; n <= 6; n++) {
            int voice = n;
            String words = n == 1 ? "Alt 1 to 6: that voice from the top softer, harder" : "";
            commands.once(z, "level-" + n, words, "alt " + n, () -> l.touches().cycleLevel(voice));
        }
        commands.once(
                z,
                "direction",
                "strike by turns, down, up; pluck",
                "Q",
                l.strokes()::cycleDirection);
        commands.walk(
                z,
                "harder",
                "harder: ghosted, soft, plain, accented",
                "shift UP",
                () -> l.strokes().cycleDynamics(1));
        commands.walk(z, "softer", "softer", "shift DOWN", () -> l.strokes().cycleDynamics(-1));
    }
}
