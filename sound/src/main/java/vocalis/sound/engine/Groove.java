package vocalis.sound.engine;

import vocalis.sound.band.Bass;
import vocalis.sound.band.Kit;

/** Bass, kit and click, in the middle, with gains that never step. One thread; no allocation. */
final class Groove {

    private static final double SLEW = 0.002;

    /** How much of it is in the room while the kit sounds. */
    private static final double IN_ROOM = 0.6;

    private final Bass bass;
    private final Kit kit;
    private final double[] low = new double[Engine.BLOCK];
    private double bassGain;
    private double kitGain;
    private double clickGain;

    Groove(double sampleRate, Settings settings, long seed) {
        bass = new Bass(sampleRate, seed);
        kit = new Kit(sampleRate);
        bassGain = settings.bass();
        kitGain = settings.kit();
        clickGain = settings.click();
    }

    void human(double share) {
        bass.human(share);
        kit.human(share);
    }

    void damp() {
        bass.damp();
    }

    void silence() {
        bass.silence();
        kit.silence();
    }

    /** Plays a program's event for the bass or the kit. */
    void act(Program p, int event, double cents) {
        if (p.kind[event] == Program.HIT) {
            kit.strike(p.value[event], p.amount[event]);
        } else if (p.value[event] < 0) {
            bass.damp();
        } else {
            bass.pluck(p.value[event], p.amount[event], cents, p.part[event] == 1);
        }
    }

    /**
     * Adds some frames to an interleaved stereo buffer and to what is played into the room.
     *
     * @param from gain at the first frame
     * @param to after the last
     */
    void add(
            float[] stereo,
            double[] into,
            int offset,
            int frames,
            Settings set,
            double from,
            double to) {
        boolean bassSounds = bass.active();
        boolean kitSounds = kit.active();
        if (!bassSounds && !kitSounds) {
            return;
        }
        if (bassSounds) {
            bass.render(low, frames);
        }
        double bassAt = bassGain;
        double kitAt = kitGain;
        double clickAt = clickGain;
        double gain = from;
        double step = (to - from) / frames;
        for (int i = 0; i < frames; i++) {
            bassAt += SLEW * (set.bass() - bassAt);
            kitAt += SLEW * (set.kit() - kitAt);
            clickAt += SLEW * (set.click() - clickAt);
            gain += step;
            double y = bassSounds ? bassAt * low[i] : 0;
            if (kitSounds) {
                y += kitAt * kit.next() + clickAt * kit.nextClick();
                into[i] += IN_ROOM * gain * y;
            }
            float v = (float) (gain * y);
            stereo[2 * (offset + i)] += v;
            stereo[2 * (offset + i) + 1] += v;
        }
        bassGain = bassAt;
        kitGain = kitAt;
        clickGain = clickAt;
    }
}
