package vocalis.sound.dsp;

/**
 * A guitar amplifier in outline: the pickup's resonance, a noise gate, two asymmetric saturating
 * stages at four times the sample rate whose supply gives way a little under load (sag), tone
 * controls and a closed cabinet that falls steeply above 5 kHz. It takes the sum of all strings of
 * a part, for the products between strings are made by the curve.
 *
 * <p>Settings are fixed per object; another tone is another object, and {@code Part} fades between
 * them. One thread; no allocation after construction.
 */
public final class Amplifier {

    /** Frames that it works on at a time. */
    private static final int BLOCK = 128;

    private static final double SAG_SECONDS = 0.06;

    private final AmpSettings settings;
    private final Pickup pickup;
    private final double sagRate;
    private final double sag;
    private final double level;
    private final boolean gated;
    private final BiquadChain before;
    private final BiquadChain after;
    private final Halfband up1 = new Halfband(12, BLOCK);
    private final Halfband up2 = new Halfband(5, 2 * BLOCK);
    private final Halfband down1 = new Halfband(12, BLOCK);
    private final Halfband down2 = new Halfband(5, 2 * BLOCK);
    private final Shaper first;
    private final Shaper second;
    private final BiquadChain between;
    private final double[] once = new double[BLOCK];
    private final double[] twice = new double[2 * BLOCK];
    private final double[] four = new double[4 * BLOCK];
    private final double gateOpen;
    private final double gateShut;
    private final double gateRelease;
    private double envelope;
    private double gate;
    private double load;
    private double loadBefore;

    /** An amplifier behind the bridge pickup. */
    public Amplifier(double sampleRate, AmpSettings settings) {
        this(sampleRate, settings, Pickup.BRIDGE);
    }

    /** An amplifier behind a pickup, whose resonance it takes in. */
    public Amplifier(double sampleRate, AmpSettings settings, Pickup pickup) {
        this.settings = settings;
        this.pickup = pickup;
        this.sag = settings.sag();
        this.level = settings.level();
        this.gated = settings.gateDb() > -200;
        double over = 4 * sampleRate;
        before =
                new BiquadChain(
                        Biquad.lowpass(sampleRate, pickup.resonanceHz, pickup.q),
                        Biquad.highpass(sampleRate, settings.drive() > 10 ? 95 : 45, 0.7));
        first = new Shaper(settings.drive(), settings.bias(), 4 * BLOCK);
        between = new BiquadChain(Biquad.highpass(over, 60, 0.6), Biquad.lowpass(over, 7500, 0.6));
        second = new Shaper(settings.second(), -0.7 * settings.bias(), 4 * BLOCK);
        after =
                new BiquadChain(
                        Biquad.highpass(sampleRate, 30, 0.7),
                        Biquad.lowShelf(sampleRate, 150, settings.bassDb()),
                        Biquad.peak(sampleRate, 650, 0.7, settings.middleDb()),
                        Biquad.highShelf(sampleRate, 2200, settings.trebleDb()),
                        Biquad.peak(sampleRate, 3400, 1.1, settings.presenceDb()),
                        Biquad.highpass(sampleRate, 78, 0.8),
                        Biquad.peak(sampleRate, 118, 1.4, 3.0),
                        Biquad.peak(sampleRate, 420, 0.9, -3.0),
                        Biquad.peak(sampleRate, 2500, 1.3, 3.5),
                        Biquad.lowpass(sampleRate, 4900, 0.54),
                        Biquad.lowpass(sampleRate, 4900, 1.31),
                        Biquad.lowpass(sampleRate, 7200, 0.7));
        gateOpen = Math.pow(10, settings.gateDb() / 20);
        gateShut = gateOpen * 0.5;
        sagRate = 1 / (SAG_SECONDS * sampleRate);
        gateRelease = Math.exp(-1 / (0.015 * sampleRate));
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

    /** One block in {@link #once}. The supply's load is that of the blocks before. */
    private void block(int n) {
        before.process(once, n);
        double from = 1 - sag * loadBefore;
        double step = (1 - sag * load - from) / n;
        for (int i = 0; i < n; i++) {
            once[i] *= gate(once[i]) * (from + (i + 1) * step);
        }
        loadBefore = load;
        up1.up(once, n, twice);
        up2.up(twice, 2 * n, four);
        first.process(four, 4 * n);
        between.process(four, 4 * n);
        second.process(four, 4 * n);
        down2.down(four, 2 * n, twice);
        down1.down(twice, n, once);
        double drawn = 0;
        for (int i = 0; i < n; i++) {
            drawn += Math.abs(once[i]);
        }
        double settled = 1 - Math.exp(-n * sagRate);
        load += settled * (Math.min(1, drawn / n) - load);
        after.process(once, n);
        for (int i = 0; i < n; i++) {
            once[i] *= level;
        }
    }

    private double gate(double x) {
        double loud = Math.abs(x);
        envelope *= gateRelease;
        envelope = loud > envelope ? loud : envelope;
        if (gated) {
            double target = envelope > gateOpen ? 1 : envelope < gateShut ? 0 : gate;
            gate += (target > gate ? 0.02 : 0.0006) * (target - gate);
            if (gate < 1e-9) {
                gate = 0;
            }
        }
        return gate;
    }
}
