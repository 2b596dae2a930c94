package vocalis.sound.amp;

import vocalis.sound.dsp.Biquad;

/**
 * A loudspeaker in its cabinet before a microphone. Its resonances are uneven as cones are, its top
 * falls steeply above 5 kHz; towards the edge of the cone the microphone hears less of the top and
 * more of the body. All numbers from memory of common speakers, chosen by hand and looked at.
 *
 * @param speaker which one
 * @param microphone where it stands, 0 (before the middle) to 1 (the edge)
 */
public record Cabinet(Speaker speaker, double microphone) {

    /** The two speakers. */
    public enum Speaker {
        /** Brighter, in an open cabinet. */
        OPEN(
                new double[][] {
                    {118, 1.4, 3.0},
                    {420, 0.9, -3.0},
                    {1180, 3, 1.5},
                    {1750, 4, -2.2},
                    {2500, 1.3, 3.5},
                    {3600, 5, 2.5},
                    {4400, 6, -3.5}
                },
                78,
                4900),
        /** Darker, in a closed cabinet. */
        CLOSED(
                new double[][] {
                    {96, 1.5, 4.5},
                    {310, 2.2, -2.0},
                    {540, 1.1, -2.5},
                    {980, 3, 2.0},
                    {1480, 4, -2.0},
                    {2150, 1.4, 3.0},
                    {3050, 5, 2.5},
                    {3800, 6, -4.0}
                },
                66,
                4400);

        private final double[][] resonances;
        private final double fromHz;
        private final double toHz;

        Speaker(double[][] resonances, double fromHz, double toHz) {
            this.resonances = resonances;
            this.fromHz = fromHz;
            this.toHz = toHz;
        }
    }

    /** The open cabinet, the microphone a little beside the middle. */
    public static final Cabinet USUAL = new Cabinet(Speaker.OPEN, 0.3);

    private static final double DARKER_AT_EDGE_DB = 8;
    private static final double FULLER_AT_EDGE_DB = 3;

    public Cabinet {
        if (!(microphone >= 0 && microphone <= 1)) {
            throw new IllegalArgumentException(
                    "the microphone stands from 0 to 1, not at " + microphone);
        }
    }

    /** Its filters in series. */
    Biquad[] filters(double sampleRate) {
        double[][] r = speaker.resonances;
        Biquad[] all = new Biquad[r.length + 6];
        int n = 0;
        all[n++] = Biquad.highpass(sampleRate, speaker.fromHz, 0.8);
        for (double[] one : r) {
            all[n++] = Biquad.peak(sampleRate, one[0], one[1], one[2]);
        }
        double beside = microphone - USUAL_PLACE;
        all[n++] = Biquad.highShelf(sampleRate, 2000, -DARKER_AT_EDGE_DB * beside);
        all[n++] = Biquad.lowShelf(sampleRate, 220, FULLER_AT_EDGE_DB * beside);
        all[n++] = Biquad.lowpass(sampleRate, speaker.toHz, 0.54);
        all[n++] = Biquad.lowpass(sampleRate, speaker.toHz, 1.31);
        all[n] = Biquad.lowpass(sampleRate, 1.47 * speaker.toHz, 0.7);
        return all;
    }

    /** Where the shelves do nothing. */
    private static final double USUAL_PLACE = 0.3;
}
