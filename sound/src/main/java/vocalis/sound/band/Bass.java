package vocalis.sound.band;

import vocalis.sound.dsp.Biquad;
import vocalis.sound.dsp.BiquadChain;
import vocalis.sound.dsp.Shaper;
import vocalis.sound.guitar.Guitar;
import vocalis.sound.guitar.Pickup;
import vocalis.sound.guitar.StringModel;
import vocalis.sound.strings.Bridge;
import vocalis.sound.strings.Damping;
import vocalis.sound.strings.StringPatch;
import vocalis.sound.strings.StringVoice;

/**
 * A bass guitar in outline: one of the waveguide strings with the patches of a four- to six-string
 * bass, rounded by a soft curve and a low-pass. Fingers strike over the neck's end and leave it
 * round; a pick strikes nearer the bridge, stiff, and its edge is let through. One note at a time.
 * The tuning standard is handed in with each note's frequency, and the patches are made when it is
 * built. One thread; no allocation after construction.
 */
public final class Bass {

    /** Lowest and highest MIDI note: E0, under an eight-string guitar's lowest, to G3. */
    public static final int LOWEST = 16;

    public static final int HIGHEST = 55;

    /** Most frames rendered at a time. */
    public static final int MOST = 128;

    private static final double AFTER = 0.75;
    private static final int[] OPEN = {16, 23, 28, 33, 38, 43};

    /** How soft the speaker is above for either hand, in Hz; set beside one another by figures. */
    private static final double FINGERS_HZ = 1900;

    private static final double PICK_HZ = 4200;

    private static final Guitar FINGERS = new Guitar(Pickup.NECK, 0.2, 0.15);
    private static final Guitar PICK = new Guitar(Pickup.NECK, 0.09, 0.95);

    /** A pick's stroke against that of fingers, so that both are as loud. */
    private static final double PICKED = 1.08;

    private final StringPatch[] fingers;
    private final StringPatch[] picks;
    private final StringVoice voice;
    private final Bridge bridge;
    private final double[] still = new double[MOST];
    private final float[] single = new float[MOST];
    private final Shaper curve = new Shaper(1.6, 0.1, MOST);
    private final BiquadChain round;
    private final BiquadChain bright;
    private boolean picked;
    private final Hands hands;

    public Bass(double sampleRate, long seed) {
        voice = new StringVoice(sampleRate, seed);
        bridge = new Bridge(new StringVoice[] {voice});
        hands = new Hands(sampleRate, seed);
        round = speaker(sampleRate, FINGERS_HZ);
        bright = speaker(sampleRate, PICK_HZ);
        fingers = patches(FINGERS, sampleRate);
        picks = patches(PICK, sampleRate);
    }

    private static BiquadChain speaker(double sampleRate, double hz) {
        return new BiquadChain(
                Biquad.highpass(sampleRate, 28, 0.7), Biquad.lowpass(sampleRate, hz, 0.7));
    }

    private static StringPatch[] patches(Guitar struck, double sampleRate) {
        StringPatch[] all = new StringPatch[HIGHEST - LOWEST + 1];
        for (int midi = LOWEST; midi <= HIGHEST; midi++) {
            int open = OPEN[0];
            for (int o : OPEN) {
                open = o <= midi && midi - o <= 12 ? o : open;
            }
            double openHz = 440 * Math.pow(2, (open - 69) / 12.0);
            StringModel model = new StringModel(openHz, 4e-5, 6.5, 45, true);
            all[midi - LOWEST] =
                    StringPatch.of(model, midi - open, Damping.OPEN, struck, sampleRate);
        }
        return all;
    }

    /**
     * Strikes a note; outside its range the octave that it has.
     *
     * @param cents off A4 = 440 Hz
     * @param withPick with a pick, otherwise with fingers
     */
    public void pluck(int midi, double velocity, double cents, boolean withPick) {
        int m = midi;
        while (m < LOWEST) {
            m += 12;
        }
        while (m > HIGHEST) {
            m -= 12;
        }
        if (withPick != picked) {
            (withPick ? bright : round).reset();
            picked = withPick;
        }
        StringPatch[] patches = withPick ? picks : fingers;
        double force = withPick ? PICKED * velocity : velocity;
        voice.pluck(patches[m - LOWEST], hands.level(force), cents, hands.late());
    }

    /** How freely it keeps time and force: 0 like a machine, 1 in full. */
    public void human(double share) {
        hands.human(share);
    }

    public void damp() {
        voice.damp();
    }

    public void silence() {
        voice.reset();
        round.reset();
        bright.reset();
        curve.reset();
    }

    public boolean active() {
        return voice.active();
    }

    /** Writes {@code n} frames, at most {@value #MOST}. */
    public void render(double[] out, int n) {
        bridge.render(out, still, 0, n);
        Shaper.narrow(out, single, n);
        curve.process(single, n);
        Shaper.widen(single, out, n);
        (picked ? bright : round).process(out, n);
        for (int i = 0; i < n; i++) {
            out[i] *= AFTER;
        }
    }
}
