package vocalis.sound.engine;

import java.util.Arrays;
import java.util.Locale;
import vocalis.sound.amp.AmpSettings;
import vocalis.sound.band.Piece;
import vocalis.sound.strings.Damping;
import vocalis.sound.strings.StringVoice;

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
        VIBRATO
    }

    static final byte STRIKE = 0;
    static final byte GESTURE = 1;
    static final byte BASS = 2;
    static final byte HIT = 3;
    static final byte TEMPO = 4;
    static final byte TONE = 5;
    static final byte SECTION = 6;

    /** Nothing to play; one bar of silence. */
    public static final Program EMPTY = new Builder(80640, 20160, 6).build();

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

    private Program(Builder b, Integer[] order) {
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
            case BASS -> "bass " + value[event] + " " + force(event);
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

    /** Collects events in any order; those at the same tick keep the order they came in. */
    public static final class Builder {
        private final long length;
        private final long ticksPerQuarter;
        private final int strings;
        private long loopFrom;
        private AmpSettings[] tones = new AmpSettings[4];
        private int toneCount;
        private long[] at = new long[16];
        private byte[] kind = new byte[16];
        private byte[] part = new byte[16];
        private byte[] string = new byte[16];
        private int[] value = new int[16];
        private float[] amount = new float[16];
        private long[] ticks = new long[16];
        private byte[] damping = new byte[16];
        private boolean[] down = new boolean[16];
        private int[] actions;
        private int count;

        /**
         * @param length ticks to the end, above zero
         * @param ticksPerQuarter resolution
         * @param strings number of strings
         */
        public Builder(long length, long ticksPerQuarter, int strings) {
            if (length <= 0) {
                throw new IllegalArgumentException(
                        "a loop lasts longer than nothing, not " + length);
            }
            this.length = length;
            this.ticksPerQuarter = ticksPerQuarter;
            this.strings = strings;
            this.actions = new int[16 * strings];
        }

        /** Where the loop comes back to; what lies before is played once. */
        public Builder loopFrom(long tick) {
            if (tick < 0 || tick >= length) {
                throw new IllegalArgumentException(
                        "a loop of " + length + " ticks cannot come back to " + tick);
            }
            loopFrom = tick;
            return this;
        }

        /** Another tempo from a tick on, in quarter notes per minute, 20 to 400. */
        public Builder tempo(long tick, double quarters) {
            if (!(quarters >= 20 && quarters <= 400)) {
                throw new IllegalArgumentException(
                        "the tempo lies between 20 and 400, not " + quarters);
            }
            int i = next(TEMPO, tick);
            amount[i] = (float) quarters;
            return this;
        }

        /** Another amplifier setting of a guitar from a tick on. */
        public Builder tone(int guitar, long tick, AmpSettings amp) {
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
            int i = next(TONE, tick);
            part[i] = (byte) guitar;
            value[i] = known;
            return this;
        }

        /** A section of the arrangement begins; told to whoever follows the engine. */
        public Builder section(long tick, int index) {
            int i = next(SECTION, tick);
            value[i] = index;
            return this;
        }

        /** A stroke of the first guitar, ringing or under the palm. */
        public Builder add(
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
        public Builder strike(
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
            int i = next(STRIKE, tick);
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
         * @param to a fret for hammer, pull and slide, cents for bend and vibrato
         * @param lasting ticks that the way there takes
         */
        public Builder gesture(
                int guitar, long tick, int stringIndex, Gesture gesture, int to, long lasting) {
            return gesture(guitar, tick, stringIndex, gesture, to, lasting, StringVoice.VIBRATO_HZ);
        }

        /**
         * A gesture on a string that sounds.
         *
         * @param hz how fast a vibrato shakes
         */
        public Builder gesture(
                int guitar,
                long tick,
                int stringIndex,
                Gesture gesture,
                int to,
                long lasting,
                double hz) {
            int i = next(GESTURE, tick);
            part[i] = (byte) guitar;
            string[i] = (byte) stringIndex;
            value[i] = to;
            ticks[i] = lasting;
            amount[i] = (float) hz;
            damping[i] = (byte) gesture.ordinal();
            return this;
        }

        /** A note of the bass by its MIDI number, or {@link #DAMP}. */
        public Builder bass(long tick, int midi, double velocity) {
            int i = next(BASS, tick);
            value[i] = midi;
            amount[i] = (float) velocity;
            return this;
        }

        /** A hit of the kit or the click. */
        public Builder hit(long tick, Piece piece, double velocity) {
            int i = next(HIT, tick);
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
                                    : Boolean.compare(kind[a] < TEMPO, kind[b] < TEMPO));
            return new Program(this, order);
        }
    }
}
