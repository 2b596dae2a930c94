package vocalis.sound.engine;

import vocalis.sound.dsp.AmpSettings;
import vocalis.sound.dsp.Amplifier;
import vocalis.sound.dsp.StringVoice;

/**
 * One guitar: its strings, summed, through its amplifier. A change of amplifier is faded over
 * {@link #FADE_SECONDS} while both run. Amplifiers are built by {@link #amplifier}, off the audio
 * thread, and handed in whole.
 */
final class Part {

    private static final double FADE_SECONDS = 0.03;
    private static final double AMP_TAIL_SECONDS = 0.5;
    private static final double STRUM_SECONDS = 0.007;

    private final double sampleRate;
    private final StringVoice[] strings;
    private final double[] sum;
    private final double[] other;
    private Amplifier amp;
    private Amplifier incoming;
    private double fade;
    private int restFrames = Integer.MAX_VALUE / 2;

    Part(double sampleRate, int mostStrings, int block, Amplifier amp, long seed) {
        this.sampleRate = sampleRate;
        this.amp = amp;
        this.strings = new StringVoice[mostStrings];
        for (int s = 0; s < mostStrings; s++) {
            strings[s] = new StringVoice(sampleRate, seed * 31 + s + 1);
        }
        this.sum = new double[block];
        this.other = new double[block];
    }

    AmpSettings setting() {
        return incoming != null ? incoming.settings() : amp.settings();
    }

    /** Takes a new amplifier unless one is still coming in; says whether it did. */
    boolean fadeTo(Amplifier next) {
        if (incoming != null) {
            return false;
        }
        incoming = next;
        fade = 0;
        return true;
    }

    /**
     * Strikes, damps or leaves each string; strings struck follow each other as a pick reaches
     * them.
     */
    void act(Program p, int event, StringBank bank, boolean dampTheRest) {
        boolean muted = (p.flags[event] & Program.MUTED) != 0;
        boolean down = (p.flags[event] & Program.DOWN) != 0;
        double velocity = p.velocities[event];
        int reached = 0;
        for (int i = 0; i < strings.length; i++) {
            int s = down ? i : strings.length - 1 - i;
            int action = s < p.strings ? p.actions[event * p.strings + s] : Program.DAMP;
            if (action >= 0 && s < bank.strings() && action <= bank.frets()) {
                strike(bank, s, action, muted, velocity, reached++);
            } else if (action == Program.DAMP || dampTheRest) {
                strings[s].damp();
            }
        }
    }

    /** Strikes a shape given as packed frets: see {@link Engine#pack}. */
    void strum(long packed, StringBank bank, double velocity) {
        int reached = 0;
        for (int s = 0; s < strings.length; s++) {
            int fret = (int) ((packed >>> (7 * s)) & 127) - 1;
            if (fret >= 0 && s < bank.strings() && fret <= bank.frets()) {
                strike(bank, s, fret, false, velocity, reached++);
            } else {
                strings[s].damp();
            }
        }
    }

    private void strike(
            StringBank bank, int s, int fret, boolean muted, double velocity, int reached) {
        int wait = (int) (reached * STRUM_SECONDS * (1.3 - 0.6 * velocity) * sampleRate);
        strings[s].pluck(bank.patch(s, fret, muted), velocity, wait);
    }

    void dampAll() {
        for (StringVoice s : strings) {
            s.damp();
        }
    }

    void silence() {
        for (StringVoice s : strings) {
            s.reset();
        }
    }

    /** Renders one block and adds it to an interleaved stereo buffer. */
    void addTo(float[] stereo, int offsetFrames, int frames, double fromGain, double toGain) {
        java.util.Arrays.fill(sum, 0, frames, 0);
        boolean sounding = false;
        for (StringVoice s : strings) {
            if (s.active()) {
                sounding = true;
                s.add(sum, 0, frames);
            }
        }
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
        for (int i = 0; i < frames; i++) {
            double y = sum[i];
            if (incoming != null) {
                fade = Math.min(1, fade + step);
                y = y * (1 - fade) + other[i] * fade;
            }
            double gain = fromGain + (toGain - fromGain) * (i + 1) / frames;
            float out = (float) (y * gain);
            stereo[2 * (offsetFrames + i)] += out;
            stereo[2 * (offsetFrames + i) + 1] += out;
        }
        if (incoming != null && fade >= 1) {
            amp = incoming;
            incoming = null;
        }
    }
}
