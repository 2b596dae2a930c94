package vocalis.sound.amp;

import vocalis.sound.dsp.Biquad;
import vocalis.sound.dsp.BiquadChain;
import vocalis.sound.dsp.Halfband;
import vocalis.sound.dsp.Shaper;
import vocalis.sound.guitar.Pickup;

/**
 * A guitar amplifier in outline: the pickup's resonance, a noise gate, two asymmetric saturating
 * stages at two or four times the sample rate whose supply gives way a little under load (sag),
 * tone controls and a closed cabinet that falls steeply above 5 kHz. It takes the sum of all
 * strings of a part, for the products between strings are made by the curve.
 *
 * <p>Settings are fixed per object; another tone is another object, and {@code Part} fades between
 * them. One thread; no allocation after construction.
 */
public final class Amplifier {

    /** Frames that it works on at a time. */
    private static final int BLOCK = 128;

    /**
     * The gain of both stages up to which twice the sample rate keeps what folds back 75 dB under
     * the strongest partial; above it four times does (measured, see the test of aliasing).
     */
    private static final double HOT = 45;

    private static final double SAG_SECONDS = 0.05;

    /** What a usual stroke on three strings puts in at its peak. */
    private static final double USUAL_TOUCH = 0.55;

    private static final double LEAST_TOUCH = 0.002;

    /** How far presence answers to a stroke, and the frequency from which it does. */
    private static final double ANSWER = 0.5;

    private static final double ANSWER_HZ = 2800;

    /**
     * While the supply is down under an attack the feedback around the power stage has less to give
     * to presence; both recover in about {@link #ATTACK_SECONDS} (set beside recorded guitars).
     */
    private static final double DULLS = 0.5;

    private static final double ATTACK_SECONDS = 0.014;

    /**
     * A stroke that has fallen further than this, as its inverse, is a stopped one: it is let go as
     * it falls, where saturation would hold it up into the next (as players set a gate that follows
     * the strings; common practice).
     */
    private static final double STOPPED = 3;

    private static final double GATE_HOLD_SECONDS = 0.012;
    private static final double GATE_OPENS_SECONDS = 0.0004;
    private static final double GATE_SHUTS_SECONDS = 0.009;

    private final AmpSettings settings;
    private final Pickup pickup;
    private final double sagRate;
    private final double sag;
    private final double gives;
    private final double level;
    private final boolean gated;
    private final BiquadChain before;
    private final BiquadChain after;
    private final boolean hot;
    private final Halfband up1 = new Halfband(7, BLOCK);
    private final Halfband up2 = new Halfband(5, 2 * BLOCK);
    private final Halfband down1 = new Halfband(7, BLOCK);
    private final Halfband down2 = new Halfband(5, 2 * BLOCK);
    private final Shaper first;
    private final Shaper second;
    private final BiquadChain between;
    private final double[] once = new double[BLOCK];
    private final float[] single = new float[BLOCK];
    private final float[] twice = new float[2 * BLOCK];
    private final float[] four = new float[4 * BLOCK];

    /** For the filters between the stages: a low corner at a high rate leaves little of a float. */
    private final double[] wide = new double[4 * BLOCK];

    private final double gateOpen;
    private final double gateShut;
    private final double gateRelease;
    private final double gateOpens;
    private final double gateShuts;
    private final int gateHold;
    private final double touch;
    private final Touch strokes;
    private final double answerPole;
    private double envelope;
    private double gate;
    private int held;
    private final double settling;
    private double settledTouch;
    private double lift = 1;
    private double answer;
    private double answerLow;
    private double load;

    /** An amplifier behind the bridge pickup. */
    public Amplifier(double sampleRate, AmpSettings settings) {
        this(sampleRate, settings, Pickup.BRIDGE);
    }

    private static Biquad pickup(double sampleRate, Pickup p) {
        double metres = Pickup.CABLE_METRES;
        return Biquad.lowpass(sampleRate, p.resonanceHz(metres), p.q(metres));
    }

    /** An amplifier behind a pickup with its cable, whose resonance it takes in. */
    public Amplifier(double sampleRate, AmpSettings settings, Pickup pickup) {
        this.settings = settings;
        this.pickup = pickup;
        this.sag = settings.sag();
        this.gives = settings.gives();
        this.level = settings.level();
        this.lift = level;
        this.gated = settings.gateDb() > -200;
        hot = settings.drive() * settings.second() > HOT;
        double over = (hot ? 4 : 2) * sampleRate;
        before =
                new BiquadChain(
                        pickup(sampleRate, pickup),
                        Biquad.highpass(sampleRate, settings.drive() > 10 ? 95 : 45, 0.7));
        first = new Shaper(settings.drive(), settings.bias(), 4 * BLOCK);
        between = new BiquadChain(Biquad.highpass(over, 60, 0.6), Biquad.lowpass(over, 7500, 0.6));
        second = new Shaper(settings.second(), -0.7 * settings.bias(), 4 * BLOCK);
        Biquad[] cabinet = settings.cabinet().filters(sampleRate);
        Biquad[] controls = {
            Biquad.highpass(sampleRate, 30, 0.7),
            Biquad.lowShelf(sampleRate, 150, settings.bassDb()),
            Biquad.peak(sampleRate, 650, 0.7, settings.middleDb()),
            Biquad.highShelf(sampleRate, 2200, settings.trebleDb()),
            Biquad.peak(sampleRate, 3400, 1.1, settings.presenceDb())
        };
        Biquad[] all = java.util.Arrays.copyOf(controls, controls.length + cabinet.length);
        System.arraycopy(cabinet, 0, all, controls.length, cabinet.length);
        after = new BiquadChain(all);
        gateOpen = Math.pow(10, settings.gateDb() / 20);
        gateShut = gateOpen * 0.5;
        sagRate = 1 / (SAG_SECONDS * sampleRate);
        gateRelease = Math.exp(-1 / (0.012 * sampleRate));
        gateOpens = 1 - Math.exp(-1 / (GATE_OPENS_SECONDS * sampleRate));
        gateShuts = 1 - Math.exp(-1 / (GATE_SHUTS_SECONDS * sampleRate));
        gateHold = (int) (GATE_HOLD_SECONDS * sampleRate);
        touch = settings.touch();
        strokes = new Touch(sampleRate);
        settling = ATTACK_SECONDS * sampleRate;
        answerPole = 1 - Math.exp(-2 * Math.PI * ANSWER_HZ / sampleRate);
        gate = settings.gateDb() <= -200 ? 1 : 0;
    }

    /** What it is set to. */
    public AmpSettings settings() {
        return settings;
    }

    /** The pickup whose resonance it takes in. */
    public Pickup pickup() {
        return pickup;
    }

    /** Processes {@code frames} frames of {@code buffer} from {@code offset} in place. */
    public void process(double[] buffer, int offset, int frames) {
        for (int done = 0; done < frames; done += BLOCK) {
            int n = Math.min(BLOCK, frames - done);
            System.arraycopy(buffer, offset + done, once, 0, n);
            block(n);
            System.arraycopy(once, 0, buffer, offset + done, n);
        }
    }

    /**
     * One block in {@link #once}. The stages level what comes in; the power stage gives back a part
     * of the difference between soft and hard strokes, more of it in the presence, and its supply
     * gives way to what it has to deliver.
     */
    private void block(int n) {
        before.process(once, n);
        strokes.follow(once, n);
        hold(n);
        Shaper.narrow(once, single, n);
        up1.up(single, n, twice);
        if (hot) {
            up2.up(twice, 2 * n, four);
            saturate(four, 4 * n);
            down2.down(four, 2 * n, twice);
        } else {
            saturate(twice, 2 * n);
        }
        down1.down(twice, n, single);
        Shaper.widen(single, once, n);
        double drawn = 0;
        for (int i = 0; i < n; i++) {
            drawn += Math.abs(once[i]);
        }
        double settled = 1 - Math.exp(-n * sagRate);
        load += settled * (Math.min(1, drawn / n) - load);
        after.process(once, n);
        deliver(n);
    }

    private void saturate(float[] x, int n) {
        first.process(x, n);
        Shaper.widen(x, wide, n);
        between.process(wide, n);
        Shaper.narrow(wide, x, n);
        second.process(x, n);
    }

    private void deliver(int n) {
        // In silence it waits as for a usual stroke.
        double touched = strokes.level();
        double struck = strokes.struck();
        double force = struck < LEAST_TOUCH ? 1 : struck / USUAL_TOUCH;
        double wanted = Math.max(0.6, Math.min(1.5, Math.pow(force, touch)));
        double answers = touch * ANSWER * Math.max(-0.9, Math.min(1.5, Math.log(force)));
        settledTouch += (1 - Math.exp(-n / settling)) * (touched - settledTouch);
        double attack = Math.min(1, Math.max(0, touched / (settledTouch + 1e-3) - 1));
        answers -= gives > 0 ? DULLS * attack : 0;
        double lifted =
                level
                        * wanted
                        * (1 - sag * load)
                        * (1 - gives * attack)
                        * (gives > 0 ? Math.min(1, STOPPED * strokes.left()) : 1);
        double step = (lifted - lift) / n;
        double answerStep = (answers - answer) / n;
        for (int i = 0; i < n; i++) {
            lift += step;
            answer += answerStep;
            double y = once[i];
            answerLow += answerPole * (y - answerLow);
            once[i] = lift * (y + answer * (y - answerLow));
        }
    }

    /**
     * Follows how hard the strings are struck, and lets the gate open at once, stay open for a
     * moment, and shut softly.
     */
    private void hold(int n) {
        double env = envelope;
        double g = gate;
        int left = held;
        for (int i = 0; i < n; i++) {
            double x = once[i];
            if (gated) {
                double loud = Math.abs(x);
                env = Math.max(loud, env * gateRelease);
                left = env > gateOpen ? gateHold : env > gateShut ? left : Math.max(0, left - 1);
                g += left > 0 ? gateOpens * (1 - g) : -gateShuts * g;
                once[i] = x * g;
            }
        }
        envelope = env;
        gate = g < 1e-9 ? 0 : g;
        held = left;
    }
}
