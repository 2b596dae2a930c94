package vocalis.desktop.write;

import vocalis.desktop.keys.Commands;
import vocalis.desktop.session.Place;
import vocalis.desktop.writing.TypingModel;
import vocalis.desktop.writing.WriteModel;
import vocalis.desktop.writing.WritePlace;

/** The keys of writing in the lane. */
public final class TypingCommands {

    private static final Place TYPING = WritePlace.TYPING;

    private final Commands commands;
    private final WriteModel model;
    private final TypingModel typing;

    private TypingCommands(Commands commands, WriteModel model) {
        this.commands = commands;
        this.model = model;
        this.typing = model.typing();
    }

    /** Adds them to a registry. */
    static void addTo(Commands commands, WriteModel model) {
        TypingCommands t = new TypingCommands(commands, model);
        t.digits();
        t.written();
        t.last();
        t.pitch();
        t.walking();
        t.where();
    }

    private void digits() {
        for (int n = 0; n <= 9; n++) {
            int digit = n;
            commands.add("note-" + n, n == 1 ? "write a note by its degree or fret" : "note " + n)
                    .in(TYPING)
                    .keys(String.valueOf(n))
                    .partOf(n == 1 ? null : "note-1")
                    .does(() -> typing.digit(digit));
            commands.add("note-1" + n, "note " + (n + 10))
                    .in(TYPING)
                    .keys("shift " + n)
                    .partOf("note-1")
                    .does(() -> typing.digit(digit + 10));
        }
    }

    private void written() {
        commands.add("typing-stroke", "a stroke of the whole shape")
                .in(TYPING)
                .keys("ENTER")
                .button("Stroke")
                .brief("1 to 9 note · Shift Enter chug · ↑ ↓ move it · Backspace takes back · Esc")
                .does(typing::stroke);
        commands.once(
                TYPING,
                "typing-chug",
                "chug: the lowest note under the palm",
                "shift ENTER",
                typing::chug);
        joined();
    }

    private void last() {
        commands.add("typing-mute", "palm mute what was typed last")
                .in(TYPING)
                .keys("M")
                .means("palm mute")
                .button("Palm mute")
                .does(typing::mute);
        commands.add("typing-accent", "accent what was typed last")
                .in(TYPING)
                .keys("A")
                .means("accent")
                .button("Accent")
                .does(typing::accent);
        commands.add("typing-dead", "what was typed last as a dead note")
                .in(TYPING)
                .keys("X")
                .means("dead note")
                .does(typing::dead);
    }

    /** Rests, and what joins one note to the next. */
    private void joined() {
        commands.add("typing-rest", "a rest")
                .in(TYPING)
                .keys("R")
                .button("Rest")
                .does(typing::rest);
        commands.add("typing-hold", "hold on: the last note lasts a step more")
                .in(TYPING)
                .keys("T")
                .means("hold on")
                .button("Hold on")
                .does(typing::hold);
        commands.add("typing-join", "hammer on or pull off to the next note")
                .in(TYPING)
                .keys("P")
                .button("Hammer, pull")
                .does(typing::joinNext);
        commands.add("typing-slide", "slide to the next note")
                .in(TYPING)
                .keys("S")
                .button("Slide")
                .does(typing::slideNext);
        commands.walk(
                TYPING,
                "typing-take-back",
                "take back what was typed last",
                "BACK_SPACE",
                typing::takeBack);
    }

    private void pitch() {
        walk("typing-up", "the last note a step of the scale up", "UP", () -> typing.step(1));
        walk("typing-down", "the last note a step down", "DOWN", () -> typing.step(-1));
        walk("typing-octave-up", "an octave up, from here on", "shift UP", () -> typing.octave(1));
        walk(
                "typing-octave-down",
                "an octave down, from here on",
                "shift DOWN",
                () -> typing.octave(-1));
        walk("typing-sharper", "the last note a semitone up", "alt UP", () -> typing.alter(1));
        walk("typing-flatter", "the last note a semitone down", "alt DOWN", () -> typing.alter(-1));
        walk(
                "typing-string-up",
                "the last note on the next higher string",
                "ctrl UP",
                () -> typing.string(1));
        walk(
                "typing-string-down",
                "the last note on the next lower string",
                "ctrl DOWN",
                () -> typing.string(-1));
    }

    private void walking() {
        walk("typing-bar-before", "write on in the bar before", "HOME", () -> typing.moveBar(-1));
        walk("typing-bar-next", "write on in the next bar", "END", () -> typing.moveBar(1));
        walk("typing-on", "a step on, nothing written", "RIGHT", () -> typing.move(1));
        walk("typing-back", "a step back, nothing written", "LEFT", () -> typing.move(-1));
    }

    private void walk(String id, String words, String key, Runnable action) {
        commands.walk(TYPING, id, words, key, action);
    }

    private void where() {
        commands.add("typing-says", "digits are degrees of the chord, of the key, or frets")
                .in(TYPING)
                .keys("D")
                .button("What digits are")
                .does(typing::nextSays);
        commands.add("typing-scope", "write at every repeat, or at this one alone")
                .in(TYPING)
                .keys("O")
                .means("only here, or every repeat")
                .button("Only here")
                .lit(model.lane()::onlyHere)
                .does(model.lane()::toggleScope);
        commands.add("typing-figure", "a figure of its own for this bar, while typing")
                .in(TYPING)
                .keys("F")
                .means("a figure of its own here")
                .does(typing::ownFigure);
        commands.add("typing-end", "write no more")
                .in(TYPING)
                .keys("L")
                .means("write notes as they are typed, or stop")
                .button("Done")
                .does(() -> model.go(WritePlace.LANE));
    }
}
