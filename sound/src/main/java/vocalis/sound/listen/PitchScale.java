package vocalis.sound.listen;

import java.util.List;
import vocalis.sound.gain.Line;

/** A scale of fractions of a semitone on which the lines of a sound lie, each a little wide. */
final class PitchScale {

    static final int A_SEMITONE = 4;

    /** How wide a line lies, in semitones. */
    private static final double WIDTH = 0.22;

    private final double a4Hz;
    private final int lowest;
    private final int bins;

    /**
     * @param lowest MIDI number of the first bin
     */
    PitchScale(double a4Hz, int lowest, double highestHz) {
        this.a4Hz = a4Hz;
        this.lowest = lowest;
        bins = (int) (A_SEMITONE * (midi(highestHz) - lowest));
    }

    /** MIDI number of a frequency, with its fraction. */
    double midi(double hz) {
        return 69 + 12 * Math.log(hz / a4Hz) / Math.log(2);
    }

    /** Where a pitch lies. */
    int bin(int midi) {
        return A_SEMITONE * (midi - lowest);
    }

    /** Power of lines on the scale, of a guitar that lies so many cents high. */
    double[] power(List<Line> lines, double cents) {
        double[] power = new double[bins];
        double width = A_SEMITONE * WIDTH;
        for (Line l : lines) {
            double at = A_SEMITONE * (midi(l.hz()) - cents / 100 - lowest);
            for (int b = (int) Math.ceil(at - 2 * width); b <= at + 2 * width; b++) {
                if (b >= 0 && b < bins) {
                    double off = (b - at) / width;
                    power[b] += l.amplitude() * l.amplitude() * Math.exp(-off * off);
                }
            }
        }
        return power;
    }
}
