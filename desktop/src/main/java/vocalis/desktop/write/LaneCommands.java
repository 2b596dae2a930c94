package vocalis.desktop.write;

import java.util.Optional;
import vocalis.core.pattern.Stroke;
import vocalis.core.score.Dynamics;
import vocalis.core.score.Manner;
import vocalis.desktop.keys.Commands;
import vocalis.desktop.session.Place;
import vocalis.desktop.writing.LaneModel;
import vocalis.desktop.writing.WriteModel;
import vocalis.desktop.writing.WritePlace;

/** The commands of the lane: strokes, touches, figures. */
final class LaneCommands {

    private static final Place LANE = WritePlace.LANE;

    private final Commands commands;
    private final WriteModel model;
    private final LaneModel lane;
    private final WriteSheets screen;

    private LaneCommands(Commands commands, WriteModel model, WriteSheets screen) {
        this.commands = commands;
        this.model = model;
        this.lane = model.lane();
        this.screen = screen;
    }

    /** Adds them to a registry. */
    static void addTo(Commands commands, WriteModel model, WriteSheets screen) {
        LaneCommands l = new LaneCommands(commands, model, screen);
        l.strokes();
        l.walking();
        l.manners();
        l.grain();
        l.figures();
        l.notes();
        l.rows();
    }

    private void strokes() {
        commands.add("stroke", "put a stroke here, or take it away")
                .in(LANE)
                .keys("ENTER")
                .button("Stroke")
                .does(lane::toggleStroke);
        commands.add("rest", "a rest").in(LANE).keys("R").button("Rest").does(lane.strokes()::rest);
        commands.add("delete-stroke", "delete the strokes marked")
                .in(LANE)
                .keys("DELETE", "BACK_SPACE")
                .marked("Delete")
                .does(lane::deleteStroke);
        commands.add("palm", "palm mute")
                .in(LANE)
                .keys("M")
                .button("Palm mute")
                .marked("Palm mute")
                .lit(() -> stroke().filter(s -> s.manner().palm()).isPresent())
                .does(lane.strokes()::toggleMute);
        commands.add("accent", "accent")
                .in(LANE)
                .keys("A")
                .button("Accent")
                .marked("Accent")
                .lit(() -> stroke().filter(s -> s.dynamics() == Dynamics.ACCENT).isPresent())
                .does(lane.strokes()::toggleAccent);
        commands.add("dead", "dead note")
                .in(LANE)
                .keys("X")
                .button("Dead")
                .marked("Dead")
                .lit(() -> stroke().filter(s -> s.manner() == Manner.DEAD).isPresent())
                .does(() -> lane.strokes().play(Manner.DEAD));
        joined();
    }

    private void joined() {
        commands.add("embellish", "embellish: hammer-on, pull-off, slide, bend, let ring …")
                .in(LANE)
                .keys("E")
                .button("Slide, hammer-on …")
                .does(screen::embellish);
        commands.add("voices", "which notes fingers act on: the top one, all, each of the others")
                .in(LANE)
                .keys("G")
                .means("which notes fingers act on")
                .button("Which notes")
                .lit(() -> lane.touches().voices().othersChosen())
                .does(lane.touches().voices()::cycle);
        commands.add("slide-shape", "slide the whole shape into the next stroke")
                .in(LANE)
                .does(lane.touches()::slideToNext);
        commands.add("lift-shape", "lift the shape off: its strings ring open")
                .in(LANE)
                .does(() -> lane.touches().liftAll(9));
        guitars();
        commands.add("tie", "hold on: tie to the note before")
                .in(LANE)
                .keys("T")
                .means("hold on")
                .does(lane.strokes()::toggleTie);
        commands.add("scope", "change every repeat of the figure, or this one alone")
                .in(LANE)
                .keys("O")
                .means("only here, or every repeat")
                .button("Only here")
                .lit(lane::onlyHere)
                .does(lane::toggleScope);
    }

    private void guitars() {
        commands.add("guitar", "guitar two over the same roots, or guitar one again")
                .in(WritePlace.BAND, LANE)
                .keys("ctrl shift G")
                .button("Guitar two")
                .lit(model.guitar()::second)
                .does(model.guitar()::toggle);
        commands.add("part-of-rests", "a part of its own for guitar two, from rests on")
                .does(
                        () -> {
                            model.guitar().beginWithRests();
                            model.go(WritePlace.LANE);
                        });
    }

    private Optional<Stroke> stroke() {
        return lane.strokeAtCaret();
    }

    private void walking() {
        commands.add("step-back", "a step back")
                .in(LANE)
                .keys("LEFT")
                .brief("← → step · ↑ ↓ which strings · Shift ↑ ↓ harder, softer · Shift ← → length")
                .repeats()
                .does(() -> lane.moveCaret(-1));
        commands.walk(LANE, "step-on", "a step on", "RIGHT", () -> lane.moveCaret(1));
        commands.walk(
                LANE, "stroke-before", "previous stroke", "ctrl LEFT", () -> lane.moveToStroke(-1));
        commands.walk(LANE, "stroke-next", "next stroke", "ctrl RIGHT", () -> lane.moveToStroke(1));
        commands.walk(LANE, "bar-before", "previous bar", "HOME", () -> lane.moveBar(-1));
        commands.walk(LANE, "bar-next", "next bar", "END", () -> lane.moveBar(1));
        commands.walk(
                LANE,
                "lane-mark-back",
                "mark a step back",
                "ctrl shift LEFT",
                () -> lane.markOn(-1));
        commands.walk(
                LANE, "lane-mark-on", "mark a step on", "ctrl shift RIGHT", () -> lane.markOn(1));
        commands.add("lane-copy", "copy the bar, or what is marked")
                .in(LANE)
                .keys("ctrl C")
                .means("copy")
                .marked("Copy")
                .does(lane::copy);
        commands.add("lane-paste", "paste it here")
                .in(LANE)
                .keys("ctrl V")
                .means("paste")
                .marked("Paste")
                .does(lane::paste);
    }

    private void manners() {
        commands.once(
                LANE,
                "palm-degrees",
                "palm mute by degrees: light, firm, choked",
                "shift M",
                lane.strokes()::cyclePalm);
        commands.walk(
                LANE,
                "voices-on",
                "strike other strings of the shape: fewer, more",
                "UP",
                () -> lane.strokes().cycleStruck(1));
        commands.walk(
                LANE,
                "voices-back",
                "strike other strings, the other way round",
                "DOWN",
                () -> lane.strokes().cycleStruck(-1));
        commands.walk(
                LANE,
                "stroke-longer",
                "lengthen the stroke",
                "shift RIGHT",
                () -> lane.strokes().lengthenStroke(1));
        commands.walk(
                LANE,
                "stroke-shorter",
                "shorten the stroke",
                "shift LEFT",
                () -> lane.strokes().lengthenStroke(-1));
        levels();
    }

    private void levels() {
        commands.add("harder", "harder: ghosted, soft, plain, accented")
                .in(LANE)
                .keys("shift UP")
                .marked("Harder")
                .repeats()
                .does(() -> lane.strokes().cycleDynamics(1));
        commands.add("softer", "softer")
                .in(LANE)
                .keys("shift DOWN")
                .marked("Softer")
                .repeats()
                .does(() -> lane.strokes().cycleDynamics(-1));
        commands.once(
                LANE,
                "direction",
                "pick by turns, down, up; pluck with a finger",
                lane.strokes()::cycleDirection);
        commands.once(
                LANE,
                "by-string",
                "strike by voice, or by string whatever the shape",
                lane.strokes()::toggleByString);
    }

    private void grain() {
        for (Place each : new Place[] {LANE, WritePlace.TYPING}) {
            String of = each == LANE ? "" : "typing-";
            commands.add(of + "finer", "finer steps")
                    .in(each)
                    .keys("PERIOD")
                    .button("Finer")
                    .repeats()
                    .does(() -> lane.refine(1));
            commands.add(of + "coarser", "coarser steps")
                    .in(each)
                    .keys("COMMA")
                    .button("Coarser")
                    .repeats()
                    .does(() -> lane.refine(-1));
            commands.add(of + "triplets", "triplet steps, or straight ones")
                    .in(each)
                    .button("Triplets")
                    .lit(lane::inTriplets)
                    .does(lane::toggleTriplets);
            commands.once(
                    each,
                    of + "odd-steps",
                    "five or seven steps to a quarter, or straight ones",
                    lane::nextOdd);
        }
    }

    private void figures() {
        commands.add("type", "write notes and strokes as they are typed")
                .in(LANE)
                .keys("L")
                .means("write notes as they are typed, or stop")
                .button("Write notes")
                .does(model.typing()::begin);
        commands.add("figures", "figures at hand, and your own")
                .in(LANE)
                .button("Figures")
                .does(screen::figures);
        commands.add("tap-figure", "tap a figure on a key")
                .in(LANE)
                .button("Tap it")
                .does(screen::tapFigure);
        commands.add("own-figure", "a figure of its own for this bar's repeat")
                .in(LANE)
                .keys("F")
                .means("a figure of its own here")
                .button("Own figure")
                .does(lane.figures()::own);
        figureTurns();
    }

    /** The figure's length, and where it begins. */
    private void figureTurns() {
        commands.walk(
                LANE,
                "figure-longer",
                "the figure a step longer",
                "ctrl UP",
                () -> lane.figures().lengthen(1));
        commands.walk(
                LANE,
                "figure-shorter",
                "the figure a step shorter",
                "ctrl DOWN",
                () -> lane.figures().lengthen(-1));
        figureMoves();
        commands.once(
                LANE,
                "restart",
                "where figures start again: nowhere, every bar, every root",
                lane.figures()::nextRestart);
    }

    private void figureMoves() {
        commands.walk(
                LANE,
                "turn-on",
                "turn the figure a step on",
                "alt RIGHT",
                () -> lane.figures().rotate(1));
        commands.walk(
                LANE,
                "turn-back",
                "turn the figure a step back",
                "alt LEFT",
                () -> lane.figures().rotate(-1));
        commands.walk(
                LANE,
                "later",
                "the whole pattern a step later",
                "alt shift RIGHT",
                () -> lane.figures().displace(1));
        commands.walk(
                LANE,
                "earlier",
                "the whole pattern a step earlier",
                "alt shift LEFT",
                () -> lane.figures().displace(-1));
    }

    private void notes() {
        commands.walk(
                LANE,
                "note-up",
                "its top note, or those chosen, a fret up, here only",
                "alt UP",
                () -> lane.touches().changeNote(1));
        commands.walk(
                LANE,
                "note-down",
                "its top note, or those chosen, a fret down, here only",
                "alt DOWN",
                () -> lane.touches().changeNote(-1));
    }

    /** Rows of digits: which string is struck besides, which voice is softer. */
    private void rows() {
        for (int n = 1; n <= 8; n++) {
            int string = n;
            commands.add("string-" + n, n == 1 ? "strike that string too, or not" : "string " + n)
                    .in(LANE)
                    .keys("shift " + n)
                    .partOf(n == 1 ? null : "string-1")
                    .does(() -> lane.strokes().toggleString(string));
        }
        for (int n = 1; n <= 6; n++) {
            int voice = n;
            commands.add(
                            "level-" + n,
                            n == 1 ? "that voice from the top softer, harder" : "voice " + n)
                    .in(LANE)
                    .keys("alt " + n)
                    .partOf(n == 1 ? null : "level-1")
                    .does(() -> lane.touches().cycleLevel(voice));
        }
    }
}
