package vocalis.sound.band;

import vocalis.sound.dsp.Biquad;
import vocalis.sound.dsp.Noise;

/**
 * A simple kit and a click, synthesised: stand-ins for a drummer. Kick: a sine whose pitch falls
 * from 160 to 48 Hz, a beater's click and the head's modes. Snare: a falling sine, modes, and wires
 * that hiss with the head. Toms: sines that fall by a third, and modes. Hat: noise above 7 kHz,
 * short or open; a closed one chokes an open one. Crash: noise above 3.5 kHz. Click: a short sine,
 * a fifth higher on the one. All chosen by hand.
 *
 * <p>State: a phase and an envelope per piece; one thread; no allocation after construction.
 */
public final class Kit {

    private static final Piece[] PIECE = Piece.values();
    private static final int PIECES = PIECE.length;
    private static final double[] SECONDS = {0.26, 0.19, 0.05, 0.36, 0.03, 0.035, 0.3, 0.38, 1.5};
    private static final int KICK = Piece.KICK.ordinal();
    private static final int SNARE = Piece.SNARE.ordinal();
    private static final int HAT = Piece.HAT.ordinal();
    private static final int OPEN_HAT = Piece.OPEN_HAT.ordinal();
    private static final int TOM_HIGH = Piece.TOM_HIGH.ordinal();
    private static final int TOM_LOW = Piece.TOM_LOW.ordinal();
    private static final int CRASH = Piece.CRASH.ordinal();
    private static final int CLICK = Piece.CLICK.ordinal();
    private static final int CLICK_ONE = Piece.CLICK_ONE.ordinal();
    private static final double SILENT = 1e-5;

    /**
     * Levels of the heads' modes, of the beater's click and of the wires; beside a recorded kit.
     */
    private static final double KICK_HEAD = 0.27;

    private static final double SNARE_HEAD = 0.38;
    private static final double TOM_HEADS = 0.25;
    private static final double BEATER = 0.5;
    private static final double WIRES = 0.5;

    private final double sampleRate;
    private final double[] level = new double[PIECES];
    private final double[] fall = new double[PIECES];
    private final double[] phase = new double[PIECES];
    private final double sweepFall;
    private final double bodyFall;
    private final double tomFall;
    private double tomSweep;
    private double sweep;
    private double body;
    private final Drum kickHead;
    private final Drum snareHead;
    private final Drum highHead;
    private final Drum lowHead;
    private final Biquad beater;
    private double click;
    private final double clickFall;
    private final Biquad wires;
    private final Biquad snareNoise;
    private final Biquad hatNoise;
    private final Biquad crashNoise;
    private final Noise chance = new Noise(0x2545F4914F6CDD1DL);
    private final Hands hands;

    /**
     * Strokes on their way: frames that each piece waited for when they were last counted, how many
     * wait, after how many frames the first of them lands, and how many have passed.
     */
    private final int[] wait = new int[PIECES];

    private final double[] coming = new double[PIECES];
    private int waiting;
    private int soonest;
    private int passed;

    public Kit(double sampleRate) {
        this.sampleRate = sampleRate;
        for (int p = 0; p < PIECES; p++) {
            fall[p] = Math.exp(-6.9 / (SECONDS[p] * sampleRate));
        }
        sweepFall = Math.exp(-1 / (0.028 * sampleRate));
        bodyFall = Math.exp(-1 / (0.05 * sampleRate));
        kickHead = new Drum(sampleRate, 92, 0.16);
        snareHead = new Drum(sampleRate, 188, 0.17);
        highHead = new Drum(sampleRate, 128, 0.25);
        lowHead = new Drum(sampleRate, 82, 0.3);
        beater = Biquad.lowpass(sampleRate, 2600, 0.6);
        clickFall = Math.exp(-6.9 / (0.02 * sampleRate));
        wires = Biquad.lowpass(sampleRate, 2400, 0.6);
        snareNoise = Biquad.highpass(sampleRate, 1800, 0.7);
        hatNoise = Biquad.highpass(sampleRate, 7000, 0.8);
        crashNoise = Biquad.highpass(sampleRate, 3500, 0.7);
        tomFall = Math.exp(-1 / (0.09 * sampleRate));
        hands = new Hands(sampleRate, 3);
    }

    /** How freely the drummer keeps time and force: 0 like a machine, 1 in full. */
    public void human(double share) {
        hands.human(share);
    }

    /**
     * Strikes a piece, as late and as hard as hands do; the click is no hand's.
     *
     * @param piece its place in {@link Piece}
     * @param velocity 0 to 1
     */
    public void strike(int piece, double velocity) {
        boolean clicks = piece == CLICK || piece == CLICK_ONE;
        int late = clicks ? 0 : hands.late();
        if (late == 0) {
            sound(piece, clicks ? velocity : hands.level(velocity));
            return;
        }
        waiting += wait[piece] > 0 ? 0 : 1;
        wait[piece] = late + passed;
        coming[piece] = hands.level(velocity);
        land();
    }

    /** Lands what has waited long enough, and finds what lands next. */
    private void land() {
        soonest = Integer.MAX_VALUE;
        for (int p = 0; p < PIECES; p++) {
            if (wait[p] > 0) {
                wait[p] -= passed;
                if (wait[p] <= 0) {
                    wait[p] = 0;
                    waiting--;
                    sound(p, coming[p]);
                } else {
                    soonest = Math.min(soonest, wait[p]);
                }
            }
        }
        passed = 0;
    }

    private void sound(int piece, double velocity) {
        level[piece] = velocity;
        phase[piece] = 0;
        head(piece, velocity);
        sweep = piece == KICK ? 1 : sweep;
        tomSweep = piece == TOM_HIGH || piece == TOM_LOW ? 1 : tomSweep;
        body = piece == SNARE ? 1 : body;
        if (piece == HAT) {
            level[OPEN_HAT] *= 0.05;
        }
    }

    private void head(int piece, double velocity) {
        switch (PIECE[piece]) {
            case KICK -> {
                kickHead.strike(velocity, chance);
                click = velocity;
            }
            case SNARE -> snareHead.strike(velocity, chance);
            case TOM_HIGH -> highHead.strike(velocity, chance);
            case TOM_LOW -> lowHead.strike(velocity, chance);
            default -> {
                // Cymbals and clicks have no head.
            }
        }
    }

    /** Whether anything sounds. */
    public boolean active() {
        if (waiting > 0) {
            return true;
        }
        for (double l : level) {
            if (l > SILENT) {
                return true;
            }
        }
        return false;
    }

    public void silence() {
        java.util.Arrays.fill(level, 0);
        java.util.Arrays.fill(wait, 0);
        waiting = 0;
        passed = 0;
        click = 0;
        kickHead.silence();
        snareHead.silence();
        highHead.silence();
        lowHead.silence();
        beater.reset();
        wires.reset();
        snareNoise.reset();
        hatNoise.reset();
        crashNoise.reset();
    }

    /** One frame of the kit without the click. */
    public double next() {
        if (waiting > 0 && ++passed >= soonest) {
            land();
        }
        double noise = chance.next();
        double y = 0;
        if (level[KICK] > SILENT) {
            sweep *= sweepFall;
            y += 0.95 * level[KICK] * sine(KICK, 48 + 112 * sweep);
            click *= clickFall;
            y += KICK_HEAD * kickHead.next() + BEATER * beater.next(click * noise);
            level[KICK] *= fall[KICK];
        }
        if (level[SNARE] > SILENT) {
            body *= bodyFall;
            double hiss = 0.42 * snareNoise.next(noise) + WIRES * wires.next(noise);
            y += level[SNARE] * (0.5 * body * sine(SNARE, 188) + hiss);
            y += SNARE_HEAD * snareHead.next();
            level[SNARE] *= fall[SNARE];
        }
        double hats = level[HAT] + level[OPEN_HAT];
        if (hats > SILENT) {
            y += 0.3 * hats * hatNoise.next(noise);
            level[HAT] *= fall[HAT];
            level[OPEN_HAT] *= fall[OPEN_HAT];
        }
        if (level[TOM_HIGH] > SILENT || level[TOM_LOW] > SILENT) {
            y += toms();
        }
        if (level[CRASH] > SILENT) {
            y += 0.28 * level[CRASH] * crashNoise.next(noise);
            level[CRASH] *= fall[CRASH];
        }
        return y;
    }

    private double toms() {
        double y = 0;
        tomSweep *= tomFall;
        if (level[TOM_HIGH] > SILENT) {
            y += 0.7 * level[TOM_HIGH] * sine(TOM_HIGH, 128 * (1 + 0.35 * tomSweep));
            y += TOM_HEADS * highHead.next();
            level[TOM_HIGH] *= fall[TOM_HIGH];
        }
        if (level[TOM_LOW] > SILENT) {
            y += 0.8 * level[TOM_LOW] * sine(TOM_LOW, 82 * (1 + 0.35 * tomSweep));
            y += TOM_HEADS * lowHead.next();
            level[TOM_LOW] *= fall[TOM_LOW];
        }
        return y;
    }

    /** One frame of the click. */
    public double nextClick() {
        double y = 0;
        if (level[CLICK] > SILENT) {
            y += 0.6 * level[CLICK] * sine(CLICK, 1000);
            level[CLICK] *= fall[CLICK];
        }
        if (level[CLICK_ONE] > SILENT) {
            y += 0.8 * level[CLICK_ONE] * sine(CLICK_ONE, 1500);
            level[CLICK_ONE] *= fall[CLICK_ONE];
        }
        return y;
    }

    private double sine(int piece, double hz) {
        phase[piece] += hz / sampleRate;
        return Math.sin(2 * Math.PI * phase[piece]);
    }
}
