package vocalis.sound.engine;

import java.util.Arrays;
import java.util.Locale;
import vocalis.sound.amp.AmpSettings;

/**
 * What the engine plays in a loop: strokes and gestures on the strings of two guitars, notes of the
 * bass, hits of the kit and the click, in ticks. Immutable; a new one is published while the old
 * one plays, and takes over from its next event on.
 */
public final class Program {

    /** Action of a stroke: leave the string as it is. */
    public static final int KEEP = -2;

    /** Action of a stroke: lay a finger on the string. */
    public static final int DAMP = -1;

    /** Action of a stroke: nobody touches the string; open, it answers the others. */
    public static final int FREE = -3;

    /** What is done to a string that sounds. */
    public enum Gesture {
        /** Stops it at a higher fret without the pick. */
        HAMMER,
        /** Lets it go to a lower fret, plucked by the finger. */
        PULL,
        /** Slides to a fret over the event's length. */
        SLIDE,
        /** Draws it to a number of cents over the event's length. */
        BEND,
        /** Shakes it up to a number of cents. */
        VIBRATO,
        /** Leaves a partial of a stroke at the same tick: the thumb touches the string. */
        PINCH
    }

    static final byte STRIKE = 0;
    static final byte GESTURE = 1;
    static final byte BASS = 2;
    static final byte HIT = 3;
    static final byte TEMPO = 4;
    static final byte TONE = 5;
    static final byte SECTION = 6;

    /** Nothing to play; one bar of silence. */
    public static final Program EMPTY = new ProgramBuilder(80640, 20160, 6).build();

    final long length;
    final long loopFrom;
    final long ticksPerQuarter;
    final AmpSettings[] tones;
    final boolean ownTempo;
    final int strings;
    final long[] at;
    final byte[] kind;
    final byte[] part;
    final byte[] string;
    final int[] value;
    final float[] amount;
    final long[] ticks;
    final byte[] damping;
    final boolean[] down;
    final int[] actions;

    Program(ProgramBuilder b, Integer[] order) {
        int n = order.length;
        length = b.length;
        loopFrom = b.loopFrom;
        tones = Arrays.copyOf(b.tones, b.toneCount);
        ticksPerQuarter = b.ticksPerQuarter;
        strings = b.strings;
        at = new long[n];
        kind = new byte[n];
        part = new byte[n];
        string = new byte[n];
        value = new int[n];
        amount = new float[n];
        ticks = new long[n];
        damping = new byte[n];
        down = new boolean[n];
        actions = new int[n * strings];
        for (int i = 0; i < n; i++) {
            int from = order[i];
            at[i] = b.at[from];
            kind[i] = b.kind[from];
            part[i] = b.part[from];
            string[i] = b.string[from];
            value[i] = b.value[from];
            amount[i] = b.amount[from];
            ticks[i] = b.ticks[from];
            damping[i] = b.damping[from];
            down[i] = b.down[from];
            System.arraycopy(b.actions, from * strings, actions, i * strings, strings);
        }
        boolean tempo = false;
        for (byte k : kind) {
            tempo |= k == TEMPO;
        }
        ownTempo = tempo;
    }

    /** Length of the loop in ticks. */
    public long length() {
        return length;
    }

    /** Where the loop comes back to, in ticks; what lies before is played once. */
    public long loopFrom() {
        return loopFrom;
    }

    /** The tempo that holds at a tick, or a fallback where the program has none of its own. */
    double tempoAt(double tick, double fallback) {
        double tempo = fallback;
        for (int i = 0; ownTempo && i < at.length && at[i] <= tick; i++) {
            tempo = kind[i] == TEMPO ? amount[i] : tempo;
        }
        return tempo;
    }

    /** The section that holds at a tick; 0 before the first. */
    int sectionAt(double tick) {
        int section = 0;
        for (int i = 0; i < at.length && at[i] <= tick; i++) {
            section = kind[i] == SECTION ? value[i] : section;
        }
        return section;
    }

    /** The tone that a guitar has at a tick: an index into the program's tones, −1 for its own. */
    int toneAt(double tick, int guitar) {
        int tone = -1;
        for (int i = 0; tones.length > 0 && i < at.length && at[i] <= tick; i++) {
            tone = kind[i] == TONE && part[i] == guitar ? value[i] : tone;
        }
        return tone;
    }

    /** Number of events. */
    public int events() {
        return at.length;
    }

    /** Time of an event in ticks from the start of the loop. */
    public long at(int event) {
        return at[event];
    }

    /** What a stroke does to a string: a fret, {@link #KEEP}, {@link #DAMP} or {@link #FREE}. */
    public int action(int event, int stringIndex) {
        return actions[event * strings + stringIndex];
    }

    /** Whether an event is a stroke of a guitar part. */
    public boolean strikes(int event, int guitar) {
        return kind[event] == STRIKE && part[event] == guitar;
    }

    /** An event in short words, all that it says, for tests and messages. */
    public String describe(int event) {
        return switch (kind[event]) {
            case STRIKE -> {
                int[] mine = Arrays.copyOfRange(actions, event * strings, (event + 1) * strings);
                yield "strike "
                        + part[event]
                        + " "
                        + Arrays.toString(mine)
                        + " "
                        + force(event)
                        + " "
                        + damping[event]
                        + (down[event] ? " down" : " up");
            }
            case GESTURE ->
                    Gesture.values()[damping[event]]
                            + " "
                            + part[event]
                            + " string "
                            + string[event]
                            + " to "
                            + value[event]
                            + " in "
                            + ticks[event];
            case BASS ->
                    (part[event] == 1 ? "bass picked " : "bass ")
                            + value[event]
                            + " "
                            + force(event);
            case TEMPO -> "tempo " + amount[event];
            case TONE -> "tone of " + part[event] + ": " + value[event];
            case SECTION -> "section " + value[event];
            default -> "hit " + value[event] + " " + force(event);
        };
    }

    private String force(int event) {
        return String.format(Locale.ROOT, "%.3f", amount[event]);
    }

    /** Index of the first event at or after a time; {@link #events()} when there is none. */
    int firstFrom(double tick) {
        int low = 0;
        int high = at.length;
        while (low < high) {
            int mid = (low + high) >>> 1;
            if (at[mid] < tick) {
                low = mid + 1;
            } else {
                high = mid;
            }
        }
        return low;
    }
}
