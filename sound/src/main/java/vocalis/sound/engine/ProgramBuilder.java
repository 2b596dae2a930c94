package vocalis.sound.engine;

import java.util.Arrays;
import vocalis.sound.amp.AmpSettings;
import vocalis.sound.band.Piece;
import vocalis.sound.strings.Damping;
import vocalis.sound.strings.StringVoice;

/** Collects events in any order; those at the same tick keep the order they came in. */
public final class ProgramBuilder {
    final long length;
    final long ticksPerQuarter;
    final int strings;
    long loopFrom;
    AmpSettings[] tones = new AmpSettings[4];
    int toneCount;
    long[] at = new long[16];
    byte[] kind = new byte[16];
    byte[] part = new byte[16];
    byte[] string = new byte[16];
    int[] value = new int[16];
    float[] amount = new float[16];
    long[] ticks = new long[16];
    byte[] damping = new byte[16];
    boolean[] down = new boolean[16];
    int[] actions;
    int count;

    /**
     * @param length ticks to the end, above zero
     * @param ticksPerQuarter resolution
     * @param strings number of strings
     */
    public ProgramBuilder(long length, long ticksPerQuarter, int strings) {
        if (length <= 0) {
            throw new IllegalArgumentException("a loop lasts longer than nothing, not " + length);
        }
        this.length = length;
        this.ticksPerQuarter = ticksPerQuarter;
        this.strings = strings;
        this.actions = new int[16 * strings];
    }

    /** Where the loop comes back to; what lies before is played once. */
    public ProgramBuilder loopFrom(long tick) {
        if (tick < 0 || tick >= length) {
            throw new IllegalArgumentException(
                    "a loop of " + length + " ticks cannot come back to " + tick);
        }
        loopFrom = tick;
        return this;
    }

    /** Another tempo from a tick on, in quarter notes per minute, 20 to 400. */
    public ProgramBuilder tempo(long tick, double quarters) {
        if (!(quarters >= 20 && quarters <= 400)) {
            throw new IllegalArgumentException(
                    "the tempo lies between 20 and 400, not " + quarters);
        }
        int i = next(Program.TEMPO, tick);
        amount[i] = (float) quarters;
        return this;
    }

    /** Another amplifier setting of a guitar from a tick on. */
    public ProgramBuilder tone(int guitar, long tick, AmpSettings amp) {
        int known = 0;
        while (known < toneCount && !tones[known].equals(amp)) {
            known++;
        }
        if (known == toneCount) {
            if (toneCount == tones.length) {
                tones = Arrays.copyOf(tones, 2 * toneCount);
            }
            tones[toneCount++] = amp;
        }
        int i = next(Program.TONE, tick);
        part[i] = (byte) guitar;
        value[i] = known;
        return this;
    }

    /** A section of the arrangement begins; told to whoever follows the engine. */
    public ProgramBuilder section(long tick, int index) {
        int i = next(Program.SECTION, tick);
        value[i] = index;
        return this;
    }

    /** A stroke of the first guitar, ringing or under the palm. */
    public ProgramBuilder add(
            long tick, int[] perString, double velocity, boolean muted, boolean struckDown) {
        Damping under = muted ? Damping.HALF : Damping.OPEN;
        return strike(0, tick, perString, velocity, under, struckDown);
    }

    /**
     * A stroke.
     *
     * @param guitar 0 or 1
     * @param tick inside the loop
     * @param perString a fret, {@link #KEEP}, {@link #DAMP} or {@link #FREE} for each string,
     *     lowest first
     * @param velocity 0 to 1
     * @param under what lies on the strings struck
     * @param struckDown low strings first
     */
    public ProgramBuilder strike(
            int guitar,
            long tick,
            int[] perString,
            double velocity,
            Damping under,
            boolean struckDown) {
        if (perString.length != strings) {
            throw new IllegalArgumentException(
                    "an event needs " + strings + " actions, not " + perString.length);
        }
        int i = next(Program.STRIKE, tick);
        part[i] = (byte) guitar;
        System.arraycopy(perString, 0, actions, i * strings, strings);
        amount[i] = (float) velocity;
        damping[i] = (byte) under.ordinal();
        down[i] = struckDown;
        return this;
    }

    /**
     * A gesture on a string that sounds.
     *
     * @param to a fret for hammer, pull and slide, cents for bend and vibrato, a partial from 2 to
     *     8 for a pinch
     * @param lasting ticks that the way there takes
     */
    public ProgramBuilder gesture(
            int guitar, long tick, int stringIndex, Program.Gesture gesture, int to, long lasting) {
        return gesture(guitar, tick, stringIndex, gesture, to, lasting, StringVoice.VIBRATO_HZ);
    }

    /**
     * A gesture on a string that sounds.
     *
     * @param hz how fast a vibrato shakes
     */
    public ProgramBuilder gesture(
            int guitar,
            long tick,
            int stringIndex,
            Program.Gesture gesture,
            int to,
            long lasting,
            double hz) {
        if (gesture == Program.Gesture.PINCH && (to < 2 || to > 8)) {
            throw new IllegalArgumentException("a pinch leaves partial 2 to 8, not " + to);
        }
        int i = next(Program.GESTURE, tick);
        part[i] = (byte) guitar;
        string[i] = (byte) stringIndex;
        value[i] = to;
        ticks[i] = lasting;
        amount[i] = (float) hz;
        damping[i] = (byte) gesture.ordinal();
        return this;
    }

    /** A note of the bass with fingers by its MIDI number, or {@link #DAMP}. */
    public ProgramBuilder bass(long tick, int midi, double velocity) {
        return bass(tick, midi, velocity, false);
    }

    /** The same with fingers or a pick. */
    public ProgramBuilder bass(long tick, int midi, double velocity, boolean picked) {
        int i = next(Program.BASS, tick);
        part[i] = (byte) (picked ? 1 : 0);
        value[i] = midi;
        amount[i] = (float) velocity;
        return this;
    }

    /** A hit of the kit or the click. */
    public ProgramBuilder hit(long tick, Piece piece, double velocity) {
        int i = next(Program.HIT, tick);
        value[i] = piece.ordinal();
        amount[i] = (float) velocity;
        return this;
    }

    private int next(byte what, long tick) {
        if (tick < 0 || tick >= length) {
            throw new IllegalArgumentException(
                    "event at tick " + tick + " lies outside a loop of " + length);
        }
        if (count == at.length) {
            int n = 2 * count;
            at = Arrays.copyOf(at, n);
            kind = Arrays.copyOf(kind, n);
            part = Arrays.copyOf(part, n);
            string = Arrays.copyOf(string, n);
            value = Arrays.copyOf(value, n);
            amount = Arrays.copyOf(amount, n);
            ticks = Arrays.copyOf(ticks, n);
            damping = Arrays.copyOf(damping, n);
            down = Arrays.copyOf(down, n);
            actions = Arrays.copyOf(actions, n * strings);
        }
        at[count] = tick;
        kind[count] = what;
        return count++;
    }

    public Program build() {
        Integer[] order = new Integer[count];
        Arrays.setAll(order, i -> i);
        Arrays.sort(
                order,
                (a, b) ->
                        at[a] != at[b]
                                ? Long.compare(at[a], at[b])
                                : Boolean.compare(
                                        kind[a] < Program.TEMPO, kind[b] < Program.TEMPO));
        return new Program(this, order);
    }
}
