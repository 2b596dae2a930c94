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

    private static final double SAG_SECONDS = 0.06;

    private final AmpSettings settings;
    private final Pickup pickup;
    private final double sagFall;
    private final Biquad[] before;
    private final Biquad[] after;
    private final Halfband up1 = new Halfband(12);
    private final Halfband up2 = new Halfband(5);
    private final Halfband down1 = new Halfband(12);
    private final Halfband down2 = new Halfband(5);
    private final Shaper first;
    private final Shaper second;
    private final Biquad between;
    private final Biquad betweenLow;
    private final double[] twice = new double[2];
    private final double[] four = new double[4];
    private final double gateOpen;
    private final double gateShut;
    private final double gateRelease;
    private double envelope;
    private double gate;
    private double load;

    /** An amplifier behind the bridge pickup. */
    public Amplifier(double sampleRate, AmpSettings settings) {
        this(sampleRate, settings, Pickup.BRIDGE);
    }

    /** An amplifier behind a pickup, whose resonance it takes in. */
    public Amplifier(double sampleRate, AmpSettings settings, Pickup pickup) {
        this.settings = settings;
        this.pickup = pickup;
        double over = 4 * sampleRate;
        before =
                new Biquad[] {
                    Biquad.lowpass(sampleRate, pickup.resonanceHz, pickup.q),
                    Biquad.highpass(sampleRate, settings.drive() > 10 ? 95 : 45, 0.7)
                };
        first = new Shaper(settings.drive(), settings.bias());
        between = Biquad.highpass(over, 60, 0.6);
        betweenLow = Biquad.lowpass(over, 7500, 0.6);
        second = new Shaper(settings.second(), -0.7 * settings.bias());
        after =
                new Biquad[] {
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
                    Biquad.lowpass(sampleRate, 7200, 0.7)
                };
        gateOpen = Math.pow(10, settings.gateDb() / 20);
        gateShut = gateOpen * 0.5;
        sagFall = 1 - Math.exp(-1 / (SAG_SECONDS * sampleRate));
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
        for (int i = offset; i < offset + frames; i++) {
            buffer[i] = next(buffer[i]);
        }
    }

    private double next(double x) {
        for (Biquad b : before) {
            x = b.next(x);
        }
        x *= gate(x) * (1 - settings.sag() * load);
        up1.up(x, twice, 0);
        up2.up(twice[0], four, 0);
        up2.up(twice[1], four, 2);
        for (int i = 0; i < 4; i++) {
            four[i] = second.next(betweenLow.next(between.next(first.next(four[i]))));
        }
        double y = down1.down(down2.down(four[0], four[1]), down2.down(four[2], four[3]));
        load += sagFall * (Math.min(1, Math.abs(y)) - load);
        for (Biquad b : after) {
            y = b.next(y);
        }
        return y * settings.level();
    }

    private double gate(double x) {
        envelope = Math.max(Math.abs(x), envelope * gateRelease);
        if (settings.gateDb() > -200) {
            double target = envelope > gateOpen ? 1 : envelope < gateShut ? 0 : gate;
            gate += (target > gate ? 0.02 : 0.0006) * (target - gate);
            if (gate < 1e-9) {
                gate = 0;
            }
        }
        return gate;
    }
}
