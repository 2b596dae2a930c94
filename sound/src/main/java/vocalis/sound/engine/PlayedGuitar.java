package vocalis.sound.engine;

import java.util.Arrays;
import vocalis.sound.amp.Amplifier;
import vocalis.sound.dsp.Noise;
import vocalis.sound.noise.HandNoise;
import vocalis.sound.noise.Hum;
import vocalis.sound.strings.Bridge;
import vocalis.sound.strings.Damping;
import vocalis.sound.strings.StringVoice;

/**
 * One guitar: its strings, coupled over the bridge and summed, through its amplifier. A change of
 * amplifier is faded over {@link #FADE_SECONDS} while both run. Amplifiers are built off the audio
 * thread and handed in whole.
 */
final class PlayedGuitar {

    private static final double FADE_SECONDS = 0.03;
    private static final double AMP_TAIL_SECONDS = 0.5;
    private static final double STRUM_SECONDS = 0.007;
    private static final double HAMMER_SECONDS = 0.004;
    private static final double PAN_A_BLOCK = 0.02;
    private static final double FRET_SECONDS = 0.008;

    /** How much of a stroke's force a hammering and a pulling finger give; chosen by hand. */
    private static final double HAMMER_TAP = 0.55;

    private static final double PULL_TAP = 0.85;

    /** Levels of what the hands do, and the spread of force, at most; chosen by hand. */
    private static final double THUMP = 0.4;

    private static final double KNOCK = 0.6;

    private static final double PALM_LANDS = 0.05;
    private static final double FINGERS = 0.006;
    private static final double SQUEAK = 0.012;
    private static final double FEEDBACK = 60;
    private static final double LEVEL_SPREAD = 0.075;

    private static final Program.Gesture[] GESTURES = Program.Gesture.values();

    private final double sampleRate;
    private final StringVoice[] strings;
    private final Bridge bridge;
    private final int[] stoppedAt;
    private final double[] sum;
    private final AmplifierChange amp;
    private final double[] returned;
    private double feedback;
    private int restFrames = Integer.MAX_VALUE / 2;
    private double left = 1;
    private double right = 1;
    private double leftTarget = 1;
    private double rightTarget = 1;

    private final Hum hum;
    private boolean played;

    /** What the hands do beside the notes, and how freely they keep time and force. */
    private final HandNoise noise;

    private final double leastLate;
    private final double mostLate;
    private double human;
    private final Noise chance;

    /** A slide on its way: per string the fret it goes to and the frames between two frets. */
    private final int[] slideTo;

    private final int[] slideWait;
    private final int[] slideEvery;

    /**
     * @param leastLate least that a stroke comes late, in seconds, and most, when humanised in full
     */
    PlayedGuitar(
            double sampleRate,
            int mostStrings,
            int block,
            Amplifier amp,
            long seed,
            double leastLate,
            double mostLate) {
        this.sampleRate = sampleRate;
        this.leastLate = leastLate;
        this.mostLate = mostLate;
        chance = Noise.of(seed, 99);
        noise = new HandNoise(sampleRate, seed + 77);
        hum = new Hum(sampleRate, seed + 78);
        this.amp = new AmplifierChange(amp, sampleRate, block, FADE_SECONDS);
        strings = new StringVoice[mostStrings];
        stoppedAt = new int[mostStrings];
        slideTo = new int[mostStrings];
        slideWait = new int[mostStrings];
        slideEvery = new int[mostStrings];
        Arrays.fill(slideTo, -1);
        for (int s = 0; s < mostStrings; s++) {
            strings[s] = new StringVoice(sampleRate, seed * 31 + s + 1);
        }
        bridge = new Bridge(strings);
        returned = new double[block];
        sum = new double[block];
    }

    /** Goes over to an amplifier, as soon as the one before it has come in. */
    void use(Amplifier wanted) {
        amp.to(wanted);
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
        double velocity = p.amount[event] * (1 + LEVEL_SPREAD * human * chance.next());
        int late = late();
        int under = p.damping[event];
        boolean clean = amp.now().settings().touch() == 0;
        int reached = 0;
        int ended = 0;
        int moved = 0;
        for (int i = 0; i < strings.length; i++) {
            int s = down ? i : strings.length - 1 - i;
            strings[s].palmGives(clean);
            int action = s < p.strings ? p.actions[event * p.strings + s] : Program.DAMP;
            if (action >= 0 && s < bank.strings() && action <= bank.frets()) {
                moved = strings[s].active() ? movedFarther(moved, action - stoppedAt[s]) : moved;
                int wait = late + strummed(reached++, velocity);
                strike(bank, s, action, under, velocity, 0, wait, !down);
            } else if (action == Program.FREE && s < bank.strings()) {
                strings[s].free(bank.patch(s, 0, Damping.OPEN));
                stoppedAt[s] = 0;
            } else if (action == Program.DAMP || dampTheRest) {
                ended += strings[s].active() ? 1 : 0;
                strings[s].damp();
                slideTo[s] = -1;
            }
        }
        played |= reached > 0;
        hands(under, velocity, reached, ended, moved);
    }

    private static int movedFarther(int most, int way) {
        return Math.abs(way) > Math.abs(most) ? way : most;
    }

    /** What is heard of the hands besides. */
    private void hands(int under, double velocity, int reached, int ended, int moved) {
        boolean palm = under != 0;
        if (palm && reached > 0) {
            double force = StringVoice.force(velocity);
            if (under == Damping.DEAD.ordinal()) {
                noise.knock(KNOCK * force);
            } else {
                noise.thump(THUMP * force);
            }
        }
        if (human == 0) {
            return;
        }
        if (ended > 0) {
            if (palm) {
                noise.palmLands(PALM_LANDS * human);
            } else {
                noise.fingers(FINGERS * human * ended);
            }
        }
        if (moved != 0 && reached > 0 && !palm) {
            noise.fingers(1.5 * FINGERS * human);
            if (Math.abs(moved) > 1) {
                noise.squeak(SQUEAK * human * Math.min(1, Math.abs(moved) / 5.0), moved);
            }
        }
    }

    /** Frames by which this player is late with a stroke. */
    private int late() {
        double share = 0.5 + 0.5 * chance.next();
        return (int) (human * (leastLate + share * (mostLate - leastLate)) * sampleRate);
    }

    /** How freely the player keeps time and force: 0 like a machine, 1 in full. */
    void human(double share) {
        human = share;
    }

    /** How much of what the cabinet plays reaches the strings through the air; 0 for none. */
    void feedback(boolean asked) {
        feedback = asked ? FEEDBACK * amp.now().settings().air() : 0;
    }

    private int strummed(int reached, double velocity) {
        return (int) (reached * STRUM_SECONDS * (1.3 - 0.6 * velocity) * sampleRate);
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
                    case BEND, VIBRATO, PINCH -> false;
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
            case PINCH -> strings[s].pinch(to);
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
                int wait = strummed(reached++, velocity);
                strike(bank, s, fret, 0, velocity, cents, wait, false);
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
            int wait,
            boolean up) {
        stoppedAt[s] = fret;
        slideTo[s] = -1;
        strings[s].pluck(bank.patch(s, fret, under), velocity, cents, wait, up);
    }

    void dampAll() {
        played = false;
        for (StringVoice s : strings) {
            s.damp();
        }
        Arrays.fill(slideTo, -1);
    }

    void silence() {
        played = false;
        hum.silence();
        for (StringVoice s : strings) {
            s.reset();
        }
        noise.silence();
        Arrays.fill(slideTo, -1);
    }

    /**
     * Renders one block and adds it to an interleaved stereo buffer, and without its place to what
     * is played into the room.
     */
    void addTo(
            float[] stereo,
            double[] into,
            int offsetFrames,
            int frames,
            StringBank bank,
            double fromGain,
            double toGain) {
        slide(bank, frames);
        boolean sounding = bridge.render(sum, returned, feedback, frames);
        if (noise.active()) {
            noise.add(sum, frames);
            sounding = true;
        }
        boolean humming = human > 0 && (played || sounding);
        if (humming || hum.active()) {
            hum.add(sum, frames, humming);
            sounding = true;
        }
        restFrames =
                sounding || amp.underWay()
                        ? 0
                        : Math.min(restFrames + frames, Integer.MAX_VALUE / 2);
        if (restFrames > AMP_TAIL_SECONDS * sampleRate) {
            return;
        }
        amp.process(sum, frames);
        System.arraycopy(sum, 0, returned, 0, frames);
        double gain = fromGain;
        double gainStep = (toGain - fromGain) / frames;
        double l = left;
        double r = right;
        double moveLeft = slewed(leftTarget - l) / frames;
        double moveRight = slewed(rightTarget - r) / frames;
        int at = 2 * offsetFrames;
        for (int i = 0; i < frames; i++, at += 2) {
            gain += gainStep;
            l += moveLeft;
            r += moveRight;
            double y = sum[i] * gain;
            into[i] += y;
            stereo[at] += (float) (y * l);
            stereo[at + 1] += (float) (y * r);
        }
        left = l;
        right = r;
    }

    private static double slewed(double way) {
        return Math.max(-PAN_A_BLOCK, Math.min(PAN_A_BLOCK, way));
    }
}
