package vocalis.sound.engine;

import java.util.Arrays;
import vocalis.sound.dsp.Amplifier;
import vocalis.sound.dsp.Damping;
import vocalis.sound.dsp.StringVoice;

/**
 * One guitar: its strings, coupled over the bridge and summed, through its amplifier. A change of
 * amplifier is faded over {@link #FADE_SECONDS} while both run. Amplifiers are built off the audio
 * thread and handed in whole.
 */
final class Part {

    private static final double FADE_SECONDS = 0.03;
    private static final double AMP_TAIL_SECONDS = 0.5;
    private static final double STRUM_SECONDS = 0.007;
    private static final double HAMMER_SECONDS = 0.004;
    private static final double PAN_A_BLOCK = 0.02;
    private static final double FRET_SECONDS = 0.008;

    /** How much of a stroke's force a hammering and a pulling finger give; set by ear. */
    private static final double HAMMER_TAP = 0.55;

    private static final double PULL_TAP = 0.85;

    private static final Program.Gesture[] GESTURES = Program.Gesture.values();

    private final double sampleRate;
    private final StringVoice[] strings;
    private final StringVoice[] live;
    private final int[] stoppedAt;
    private final double[] sum;
    private final double[] other;
    private Amplifier amp;
    private Amplifier incoming;
    private double fade;
    private int restFrames = Integer.MAX_VALUE / 2;
    private double left = 1;
    private double right = 1;
    private double leftTarget = 1;
    private double rightTarget = 1;

    /** A slide on its way: per string the fret it goes to and the frames between two frets. */
    private final int[] slideTo;

    private final int[] slideWait;
    private final int[] slideEvery;

    Part(double sampleRate, int mostStrings, int block, Amplifier amp, long seed) {
        this.sampleRate = sampleRate;
        this.amp = amp;
        strings = new StringVoice[mostStrings];
        live = new StringVoice[mostStrings];
        stoppedAt = new int[mostStrings];
        slideTo = new int[mostStrings];
        slideWait = new int[mostStrings];
        slideEvery = new int[mostStrings];
        Arrays.fill(slideTo, -1);
        for (int s = 0; s < mostStrings; s++) {
            strings[s] = new StringVoice(sampleRate, seed * 31 + s + 1);
        }
        sum = new double[block];
        other = new double[block];
    }

    /** Goes over to an amplifier, as soon as the one before it has come in. */
    void use(Amplifier wanted) {
        if (incoming == null && amp != wanted) {
            incoming = wanted;
            fade = 0;
        }
    }

    /** Where the part stands, −1 to 1, with equal power; it goes there over some blocks. */
    void pan(double pan) {
        leftTarget = Math.sqrt(2) * Math.cos((pan + 1) * Math.PI / 4);
        rightTarget = Math.sqrt(2) * Math.sin((pan + 1) * Math.PI / 4);
    }

    /** Puts the part there at once; before anything sounds. */
    void place(double pan) {
        pan(pan);
        left = leftTarget;
        right = rightTarget;
    }

    /**
     * Strikes, damps, frees or leaves each string; strings struck follow each other as a pick
     * reaches them.
     */
    void act(Program p, int event, StringBank bank, boolean dampTheRest) {
        boolean down = p.down[event];
        double velocity = p.amount[event];
        int reached = 0;
        for (int i = 0; i < strings.length; i++) {
            int s = down ? i : strings.length - 1 - i;
            int action = s < p.strings ? p.actions[event * p.strings + s] : Program.DAMP;
            if (action >= 0 && s < bank.strings() && action <= bank.frets()) {
                strike(bank, s, action, p.damping[event], velocity, 0, reached++);
            } else if (action == Program.FREE && s < bank.strings()) {
                strings[s].free(bank.patch(s, 0, Damping.OPEN));
                stoppedAt[s] = 0;
            } else if (action == Program.DAMP || dampTheRest) {
                strings[s].damp();
                slideTo[s] = -1;
            }
        }
    }

    /** Does a gesture to a string. */
    void gesture(Program p, int event, StringBank bank, double framesPerTick) {
        int s = p.string[event];
        int to = p.value[event];
        int frames = (int) Math.max(1, Math.round(p.ticks[event] * framesPerTick));
        Program.Gesture gesture = GESTURES[p.damping[event]];
        boolean stops =
                switch (gesture) {
                    case HAMMER, PULL, SLIDE -> true;
                    case BEND, VIBRATO -> false;
                };
        if (s >= bank.strings() || (stops && (to < 0 || to > bank.frets()))) {
            return;
        }
        switch (gesture) {
            case HAMMER -> stop(bank, s, to, HAMMER_SECONDS, HAMMER_TAP);
            case PULL -> stop(bank, s, to, HAMMER_SECONDS, PULL_TAP);
            case SLIDE -> {
                int way = Math.abs(to - stoppedAt[s]);
                slideTo[s] = way == 0 ? -1 : to;
                slideEvery[s] = Math.max(1, frames / Math.max(1, way));
                slideWait[s] = slideEvery[s];
            }
            case BEND -> strings[s].bend(to, frames);
            case VIBRATO -> strings[s].vibrato(to, p.amount[event]);
        }
    }

    private void stop(StringBank bank, int s, int fret, double seconds, double tap) {
        slideTo[s] = -1;
        stoppedAt[s] = fret;
        int frames = (int) (seconds * sampleRate);
        strings[s].stopAt(bank.patch(s, fret, Damping.OPEN), frames, tap);
    }

    /** Moves slides on by some frames: a finger passes fret after fret. */
    private void slide(StringBank bank, int frames) {
        for (int s = 0; s < bank.strings(); s++) {
            if (slideTo[s] < 0) {
                continue;
            }
            slideWait[s] -= frames;
            while (slideWait[s] <= 0 && slideTo[s] >= 0) {
                slideWait[s] += slideEvery[s];
                stoppedAt[s] += Integer.signum(slideTo[s] - stoppedAt[s]);
                int glide = (int) Math.min(FRET_SECONDS * sampleRate, slideEvery[s]);
                int fret = Math.min(stoppedAt[s], bank.frets());
                strings[s].stopAt(bank.patch(s, fret, Damping.OPEN), glide, 0);
                if (stoppedAt[s] == slideTo[s]) {
                    slideTo[s] = -1;
                }
            }
        }
    }

    /** Strikes a voicing to be heard by itself. */
    void strum(Sample sample, StringBank bank, double velocity) {
        strum(sample, sample.frets(), bank, velocity);
    }

    /** Strikes the power chord that is sounded under it. */
    void strumUnder(Sample sample, StringBank bank, double velocity) {
        strum(null, sample.under(), bank, velocity);
    }

    private void strum(Sample tuning, int[] frets, StringBank bank, double velocity) {
        int reached = 0;
        for (int s = 0; s < strings.length; s++) {
            int fret = s < frets.length ? frets[s] : -1;
            if (fret >= 0 && s < bank.strings() && fret <= bank.frets()) {
                double cents = tuning == null ? 0 : tuning.centsOf(s);
                strike(bank, s, fret, 0, velocity, cents, reached++);
            } else {
                strings[s].damp();
            }
        }
    }

    private void strike(
            StringBank bank,
            int s,
            int fret,
            int under,
            double velocity,
            double cents,
            int reached) {
        int wait = (int) (reached * STRUM_SECONDS * (1.3 - 0.6 * velocity) * sampleRate);
        stoppedAt[s] = fret;
        slideTo[s] = -1;
        strings[s].pluck(bank.patch(s, fret, under), velocity, cents, wait);
    }

    void dampAll() {
        for (StringVoice s : strings) {
            s.damp();
        }
        Arrays.fill(slideTo, -1);
    }

    void silence() {
        for (StringVoice s : strings) {
            s.reset();
        }
        Arrays.fill(slideTo, -1);
    }

    /** Renders one block and adds it to an interleaved stereo buffer. */
    void addTo(
            float[] stereo,
            int offsetFrames,
            int frames,
            StringBank bank,
            double fromGain,
            double toGain) {
        slide(bank, frames);
        boolean sounding = sumStrings(frames);
        restFrames =
                sounding || incoming != null
                        ? 0
                        : Math.min(restFrames + frames, Integer.MAX_VALUE / 2);
        if (restFrames > AMP_TAIL_SECONDS * sampleRate) {
            return;
        }
        if (incoming != null) {
            System.arraycopy(sum, 0, other, 0, frames);
            incoming.process(other, 0, frames);
        }
        amp.process(sum, 0, frames);
        double step = 1 / (FADE_SECONDS * sampleRate);
        double moveLeft = slewed(leftTarget - left) / frames;
        double moveRight = slewed(rightTarget - right) / frames;
        for (int i = 0; i < frames; i++) {
            double y = sum[i];
            if (incoming != null) {
                fade = Math.min(1, fade + step);
                y = y * (1 - fade) + other[i] * fade;
            }
            y *= fromGain + (toGain - fromGain) * (i + 1) / frames;
            left += moveLeft;
            right += moveRight;
            stereo[2 * (offsetFrames + i)] += (float) (y * left);
            stereo[2 * (offsetFrames + i) + 1] += (float) (y * right);
        }
        if (incoming != null && fade >= 1) {
            amp = incoming;
            incoming = null;
        }
    }

    private static double slewed(double way) {
        return Math.max(-PAN_A_BLOCK, Math.min(PAN_A_BLOCK, way));
    }

    private boolean sumStrings(int frames) {
        int n = 0;
        for (StringVoice s : strings) {
            if (s.active()) {
                live[n++] = s;
            }
        }
        for (int i = 0; i < frames; i++) {
            double bridge = 0;
            for (int k = 0; k < n; k++) {
                bridge += live[k].bridge();
            }
            double y = 0;
            for (int k = 0; k < n; k++) {
                y += live[k].next(bridge - live[k].bridge());
            }
            sum[i] = y;
        }
        return n > 0;
    }
}
