package vocalis.desktop.write;

import vocalis.desktop.keys.Commands;
import vocalis.desktop.writing.WriteModel;
import vocalis.desktop.writing.WritePlace;

/** The commands of the roots' tune and of chords that stand for others. */
record TuneCommands(Commands commands, WriteModel model, WriteSheets screen) {

    void add() {
        commands.add("tune-up", "this root of the tune an octave up")
                .in(WritePlace.BAND)
                .keys("ctrl UP")
                .button("Octave up")
                .does(() -> model.chords().bendTune(1));
        commands.add("tune-down", "this root of the tune an octave down")
                .in(WritePlace.BAND)
                .keys("ctrl DOWN")
                .button("Octave down")
                .does(() -> model.chords().bendTune(-1));
        commands.add("swap-ends", "the first and the last chord change places")
                .in(WritePlace.BAND)
                .button("Swap ends")
                .does(model.chords()::swapEnds);
        commands.add("inner-line", "a line inside this chord: one voice moves, the others stay")
                .in(WritePlace.BAND)
                .button("Line inside")
                .does(screen::innerLines);
        commands.add("ringing", "the riff's open strings ringing, or muted")
                .in(WritePlace.BAND)
                .button("Ringing or muted")
                .does(model.chords()::switchRinging);
        commands.add("hear-plain", "the loop with the plain chord here, and back")
                .in(WritePlace.BAND)
                .keys("B")
                .button("Plain here")
                .does(model.hearing()::hearPlain);
    }
}
