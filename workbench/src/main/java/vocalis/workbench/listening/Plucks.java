package vocalis.workbench.listening;

import java.util.Arrays;
import java.util.List;
import vocalis.core.instrument.Fretboard;
import vocalis.core.memory.Memory;
import vocalis.core.mix.Mix;
import vocalis.core.riff.Ground;
import vocalis.core.riff.Tone;
import vocalis.core.theory.Key;
import vocalis.sound.engine.Engine;
import vocalis.sound.engine.Sample;
import vocalis.sound.gain.Line;
import vocalis.sound.listen.Dictionary;
import vocalis.sound.listen.StringSounds;
import vocalis.sound.listen.Take;
import vocalis.workbench.playing.OfflineRender;
import vocalis.workbench.playing.Player;

/** Single notes of a neck as our own strings have them through a clean amplifier, remembered. */
public final class Plucks {

    private static final int REMEMBERED = 4;
    private static final int MOST_LINES = 1500;
    private static final int HIGHEST_FRET = 19;

    private record Asked(Fretboard board, double a4Hz) {}

    private static final Memory<Asked, Dictionary> KNOWN = new Memory<>(REMEMBERED);

    private static final Memory<Asked, StringSounds> STRINGS = new Memory<>(REMEMBERED);

    /** A string struck alone; strings that tunings have in common are rendered once. */
    private record Struck(int string, int openMidi, int fret, double a4Hz) {}

    private static final Memory<Struck, List<Line>> LINES = new Memory<>(MOST_LINES);

    private Plucks() {}

    /** Each string of a neck by itself. */
    public static StringSounds sounds(Fretboard board, double a4Hz) {
        return STRINGS.of(new Asked(board, a4Hz), Plucks::strings);
    }

    private static StringSounds strings(Asked asked) {
        Fretboard board = asked.board();
        Ground ground = clean(asked);
        return new StringSounds(
                board.strings(), board.frets(), asked.a4Hz(), (s, f) -> pluck(ground, s, f));
    }

    private static Ground clean(Asked asked) {
        Fretboard board = asked.board();
        return new Ground(
                board.instrument(), board.capo(), Key.parse("E minor"), Tone.CLEAN, asked.a4Hz());
    }

    /** The notes of a neck up to the nineteenth fret. */
    public static Dictionary of(Fretboard board, double a4Hz) {
        return KNOWN.of(new Asked(board, a4Hz), Plucks::made);
    }

    private static Dictionary made(Asked asked) {
        Fretboard board = asked.board();
        int top = board.strings() - 1;
        Ground ground = clean(asked);
        return Dictionary.of(
                midi -> pluck(ground, midi),
                asked.a4Hz(),
                board.midi(0, 0),
                board.midi(top, Math.min(HIGHEST_FRET, board.frets())));
    }

    /** A note on the highest string that has it within the first frets. */
    private static List<Line> pluck(Ground ground, int midi) {
        Fretboard board = ground.board();
        for (int s = board.strings() - 1; s >= 0; s--) {
            int fret = midi - board.midi(s, 0);
            if (fret >= 0 && fret <= board.frets()) {
                return pluck(ground, s, fret);
            }
        }
        throw new IllegalArgumentException(midi + " lies on no string");
    }

    private static List<Line> pluck(Ground ground, int string, int fret) {
        return LINES.of(
                new Struck(string, ground.board().midi(string, 0), fret, ground.a4Hz()),
                s -> Dictionary.lines(rendered(ground, string, fret)));
    }

    private static Take rendered(Ground ground, int string, int fret) {
        int[] frets = new int[ground.board().strings()];
        Arrays.fill(frets, -1);
        frets[string] = fret;
        Engine engine = OfflineRender.engine(ground, Mix.ALONE, 120);
        engine.hear(new Sample(frets, new double[0], 1, new int[0]));
        int frames = (int) (Dictionary.PLUCK_SECONDS * Player.RATE);
        float[] stereo = new float[2 * frames];
        engine.render(stereo, frames);
        return Take.ofStereo(stereo, Player.RATE);
    }
}
