package vocalis.workbench;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.function.LongUnaryOperator;
import vocalis.core.arrange.Groove;
import vocalis.core.hands.Fingering;
import vocalis.core.hands.Muting;
import vocalis.core.instrument.Fretboard;
import vocalis.core.rhythm.Ticks;
import vocalis.core.riff.Band;
import vocalis.core.riff.Controls;
import vocalis.core.riff.Feel;
import vocalis.core.riff.Ground;
import vocalis.core.riff.Manner;
import vocalis.core.riff.Score;
import vocalis.core.riff.Tone;
import vocalis.core.riff.Touch;
import vocalis.core.theory.Pitch;
import vocalis.core.voicing.Sounding;
import vocalis.sound.dsp.AmpSettings;
import vocalis.sound.dsp.Damping;
import vocalis.sound.dsp.Guitar;
import vocalis.sound.dsp.Pickup;
import vocalis.sound.dsp.Piece;
import vocalis.sound.engine.Program;

/**
 * Turns a score into what the engine plays. A ringing stroke rings on until its strings are struck
 * again, the chord changes, a muted stroke lays the palm on the strings, or a rest damps them; one
 * that is let ring sounds through the next chord too. A string that no hand can silence is left
 * free to answer.
 */
public final class SoundEvents {

    private static final double ACCENTED = 0.98;
    private static final double PLAIN = 0.78;
    private static final double UNDER_PALM = 0.72;
    private static final double NEAREST_PICK = 0.055;
    private static final double FARTHEST_PICK = 0.255;

    private SoundEvents() {}

    /** The loop of a score with its band, without a second guitar. */
    public static Program program(Score score) {
        return program(score, Optional.empty());
    }

    /** The loop of a score with its band. */
    public static Program program(Score score, Optional<Score> second) {
        Ground ground = score.riff().ground();
        long length = score.riff().length();
        int strings = ground.board().strings();
        Program.Builder b = new Program.Builder(length, Ticks.QUARTER, strings);
        LongUnaryOperator time =
                ground.band().feel() == Feel.SWUNG
                        ? t -> Math.min(length - 1, Groove.swung(t))
                        : t -> t;
        guitar(b, 0, score, time);
        second.ifPresent(s -> guitar(b, 1, s, time));
        band(b, score, time);
        return b.build();
    }

    private static void band(Program.Builder b, Score score, LongUnaryOperator time) {
        Ground ground = score.riff().ground();
        Band band = ground.band();
        long length = score.riff().length();
        if (band.click().on()) {
            for (Groove.Hit h : Groove.click(ground.meter(), length)) {
                b.hit(h.at(), Piece.valueOf(h.drum().name()), h.velocity());
            }
        }
        if (band.kit().on()) {
            for (Groove.Hit h : Groove.kit(ground.meter(), length, band.feel())) {
                b.hit(h.at(), Piece.valueOf(h.drum().name()), h.velocity());
            }
        }
        if (band.bass().on()) {
            for (Groove.BassNote n : Groove.bass(score, band.bassLine())) {
                b.bass(time.applyAsLong(n.at()), n.midi(), n.velocity());
            }
        }
    }

    private static void guitar(Program.Builder b, int part, Score score, LongUnaryOperator time) {
        int strings = score.riff().ground().board().strings();
        long length = score.riff().length();
        List<Score.Strike> strikes = score.strikes();
        for (int i = 0; i < strikes.size(); i++) {
            Score.Strike s = strikes.get(i);
            Score.Strike before = strikes.get((i + strikes.size() - 1) % strikes.size());
            int[] actions = actions(score, s, i == 0, before);
            Manner manner = s.stroke().manner();
            double velocity =
                    s.stroke().accent() ? ACCENTED : s.stroke().muted() ? UNDER_PALM : PLAIN;
            b.strike(part, time.applyAsLong(s.at()), actions, velocity, damping(manner), s.down());
            ornaments(b, part, s, time, length);
            long sounds = manner == Manner.STACCATO ? s.length() / 2 : s.length();
            long end = s.at() + sounds;
            long next = i + 1 < strikes.size() ? strikes.get(i + 1).at() : length;
            if (end < next && manner != Manner.LET_RING) {
                int[] rest = new int[strings];
                Arrays.fill(rest, Program.DAMP);
                b.strike(part, time.applyAsLong(end), rest, 0, Damping.OPEN, true);
            }
        }
    }

    private static int[] actions(Score score, Score.Strike s, boolean first, Score.Strike before) {
        int strings = score.riff().ground().board().strings();
        boolean newChord = first || before.chord() != s.chord();
        boolean letRing = before.stroke().manner() == Manner.LET_RING;
        int[] actions = new int[strings];
        boolean damps = s.stroke().muted() || (newChord && !letRing);
        Arrays.fill(actions, damps ? Program.DAMP : Program.KEEP);
        if (newChord && !s.stroke().muted()) {
            free(score, s, actions);
        }
        for (Sounding n : s.notes()) {
            actions[n.string()] = n.fret();
        }
        return actions;
    }

    /** Strings that the shape leaves unsounded and that no hand can silence answer the others. */
    private static void free(Score score, Score.Strike s, int[] actions) {
        var candidate = score.chords().get(s.chord()).candidate();
        Fingering fingering = candidate.fingering();
        for (Muting.Silence silence :
                Muting.of(candidate.voicing().shape(), fingering).silences()) {
            if (silence.by() == Muting.By.NOTHING) {
                actions[silence.string()] = Program.FREE;
            }
        }
    }

    private static void ornaments(
            Program.Builder b, int part, Score.Strike s, LongUnaryOperator time, long length) {
        for (Touch.Ornament o : s.ornaments()) {
            int fret = s.note(o.string()).orElseThrow().fret();
            long at = time.applyAsLong(Math.min(length - 1, s.at() + o.after()));
            int string = o.string();
            switch (o.kind()) {
                case HAMMER ->
                        b.gesture(part, at, string, Program.Gesture.HAMMER, o.endFret(fret), 0);
                case PULL -> b.gesture(part, at, string, Program.Gesture.PULL, o.endFret(fret), 0);
                case SLIDE ->
                        b.gesture(
                                part,
                                at,
                                string,
                                Program.Gesture.SLIDE,
                                o.endFret(fret),
                                o.lasting());
                case BEND ->
                        b.gesture(part, at, string, Program.Gesture.BEND, o.amount(), o.lasting());
                case BEND_RELEASE -> {
                    b.gesture(part, at, string, Program.Gesture.BEND, o.amount(), o.lasting());
                    long back = Math.min(length - 1, s.at() + o.after() + 2 * o.lasting());
                    b.gesture(
                            part,
                            time.applyAsLong(back),
                            string,
                            Program.Gesture.BEND,
                            0,
                            o.lasting());
                }
                case VIBRATO -> b.gesture(part, at, string, Program.Gesture.VIBRATO, o.amount(), 0);
            }
        }
    }

    /** What lies on the strings of a stroke. */
    static Damping damping(Manner manner) {
        return switch (manner) {
            case PLAIN, LET_RING, STACCATO -> Damping.OPEN;
            case PALM_LIGHT -> Damping.LIGHT;
            case PALM -> Damping.HALF;
            case PALM_HEAVY -> Damping.HEAVY;
            case DEAD -> Damping.DEAD;
        };
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

    /** The amplifier setting of a tone with its controls turned. */
    public static AmpSettings amp(Tone tone, Controls controls) {
        return amp(tone).turned(controls.steps());
    }

    /** The guitar that controls ask for. */
    public static Guitar guitar(Controls c) {
        double at = NEAREST_PICK + (FARTHEST_PICK - NEAREST_PICK) * c.pick() / 10;
        Pickup pickup = c.neckPickup() ? Pickup.NECK : Pickup.BRIDGE;
        return new Guitar(pickup, at, c.hardness() / 10.0);
    }
}
