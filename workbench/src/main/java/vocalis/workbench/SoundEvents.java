package vocalis.workbench;

import java.util.Arrays;
import java.util.List;
import vocalis.core.instrument.Fretboard;
import vocalis.core.rhythm.Ticks;
import vocalis.core.riff.Ground;
import vocalis.core.riff.Score;
import vocalis.core.riff.Tone;
import vocalis.core.theory.Pitch;
import vocalis.core.voicing.Sounding;
import vocalis.sound.dsp.AmpSettings;
import vocalis.sound.engine.Program;

/**
 * Turns a score into what the engine plays. A ringing stroke rings on until its strings are struck
 * again, the chord changes, a muted stroke lays the palm on the strings, or a rest damps them.
 */
public final class SoundEvents {

    private static final double ACCENTED = 0.98;
    private static final double PLAIN = 0.78;
    private static final double UNDER_PALM = 0.72;

    private SoundEvents() {}

    /** The loop of a score. */
    public static Program program(Score score) {
        int strings = score.riff().ground().board().strings();
        long length = score.riff().length();
        Program.Builder b = new Program.Builder(length, Ticks.QUARTER, strings);
        List<Score.Strike> strikes = score.strikes();
        for (int i = 0; i < strikes.size(); i++) {
            Score.Strike s = strikes.get(i);
            boolean newChord = i == 0 || strikes.get(i - 1).chord() != s.chord();
            int[] actions = new int[strings];
            Arrays.fill(actions, newChord || s.stroke().muted() ? Program.DAMP : Program.KEEP);
            for (Sounding n : s.notes()) {
                actions[n.string()] = n.fret();
            }
            double velocity =
                    s.stroke().accent() ? ACCENTED : s.stroke().muted() ? UNDER_PALM : PLAIN;
            b.add(s.at(), actions, velocity, s.stroke().muted(), s.down());
            long end = s.at() + s.length();
            long next = i + 1 < strikes.size() ? strikes.get(i + 1).at() : length;
            if (end < next) {
                int[] rest = new int[strings];
                Arrays.fill(rest, Program.DAMP);
                b.add(end, rest, 0, false, true);
            }
        }
        return b.build();
    }

    /** Frequencies of the open strings over the capo in Hz, lowest first. */
    public static double[] openHz(Ground ground) {
        Fretboard board = ground.board();
        double[] hz = new double[board.strings()];
        for (int s = 0; s < hz.length; s++) {
            hz[s] = Pitch.hz(board.midi(s, 0), ground.a4Hz());
        }
        return hz;
    }

    /** The amplifier setting of a tone. */
    public static AmpSettings amp(Tone tone) {
        return switch (tone) {
            case CLEAN -> AmpSettings.CLEAN;
            case EDGE -> AmpSettings.EDGE;
            case GAIN -> AmpSettings.GAIN;
        };
    }
}
