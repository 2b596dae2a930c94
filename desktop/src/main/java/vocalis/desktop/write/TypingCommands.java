package vocalis.desktop.write;

import vocalis.desktop.keys.Commands;
import vocalis.desktop.session.Place;
import vocalis.desktop.writing.TypingModel;
import vocalis.desktop.writing.WriteModel;
import vocalis.desktop.writing.WritePlace;

/** The keys of writing in the lane. */
public final class TypingCommands {

    private final Commands commands;
    private final WriteModel model;

    private TypingCommands(Commands commands, WriteModel model) {
        this.commands = commands;
        this.model = model;
    }

    /** Adds them to a registry. */
    static void addTo(Commands commands, WriteModel model) {
        new TypingCommands(commands, model).add();
    }

    private void add() {
        TypingModel t = model.typing();
        Place z = WritePlace.TYPING;
        for (int n = 0; n <= 9; n++) {
            int digit = n;
            String key = String.valueOf(n);
            String words =
                    n == 1
                            ? "1 to 9: a note by degree (Shift: octave up) or fret (Shift: 10 more)"
                            : "";
            commands.once(z, "note-" + n, words, key, () -> t.digit(digit));
            commands.once(z, "note-1" + n, "", "shift " + key, () -> t.digit(digit + 10));
        }
        commands.add("typing-hint", "")
                .in(z)
                .brief(
                        "1 to 9 note · Enter stroke · Shift Enter chug · R rest · T hold · ↑↓ move it"
                                + " · P join, S slide to the next · Backspace · Esc")
                .does(() -> {});
        commands.once(
                z,
                "typing-says",
                "digits: degrees of the root, of the key, frets",
                "D",
                t::nextSays);
        commands.once(z, "typing-stroke", "a stroke of all voices", "ENTER", t::stroke);
        commands.once(z, "typing-chug", "the lowest voice under the palm", "shift ENTER", t::chug);
        commands.once(z, "typing-rest", "a rest", "R", t::rest);
        commands.once(z, "typing-hold", "the last goes on for a step", "T", t::hold);
        commands.once(z, "typing-join", "hammer on or pull off to the next note", "P", t::joinNext);
        commands.once(z, "typing-slide", "slide to the next note", "S", t::slideNext);
        commands.walk(
                z, "typing-up", "the last note a step of the scale up", "UP", () -> t.step(1));
        commands.walk(z, "typing-down", "a step down", "DOWN", () -> t.step(-1));
        commands.walk(
                z, "typing-octave-up", "an octave up, from here on", "shift UP", () -> t.octave(1));
        commands.walk(z, "typing-octave-down", "an octave down", "shift DOWN", () -> t.octave(-1));
        commands.walk(z, "typing-sharper", "a semitone up", "alt UP", () -> t.alter(1));
        commands.walk(z, "typing-flatter", "a semitone down", "alt DOWN", () -> t.alter(-1));
        commands.walk(
                z, "typing-string-up", "on the next higher string", "ctrl UP", () -> t.string(1));
        commands.walk(
                z,
                "typing-string-down",
                "on the next lower string",
                "ctrl DOWN",
                () -> t.string(-1));
        commands.once(z, "typing-mute", "the last under the palm", "M", t::mute);
        commands.once(z, "typing-dead", "the last as a dead note", "X", t::dead);
        commands.once(z, "typing-accent", "the last accented", "A", t::accent);
        commands.walk(z, "typing-bar-before", "to the bar before", "HOME", () -> t.moveBar(-1));
        commands.walk(z, "typing-bar-next", "to the next bar", "END", () -> t.moveBar(1));
        commands.walk(z, "typing-on", "a step on, nothing written", "RIGHT", () -> t.move(1));
        commands.walk(z, "typing-back", "a step back", "LEFT", () -> t.move(-1));
        commands.walk(z, "typing-take-back", "take back the last", "BACK_SPACE", t::takeBack);
        commands.once(
                z,
                "typing-scope",
                "write at every pass, or at this one alone",
                "O",
                model.lane()::toggleScope);
        commands.once(z, "typing-figure", "a figure of its own for this pass", "F", t::ownFigure);
        commands.once(z, "typing-end", "write no more", "L", () -> model.go(WritePlace.LANE));
    }
}
