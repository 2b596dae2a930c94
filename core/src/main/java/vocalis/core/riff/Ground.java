package vocalis.core.riff;

import java.util.Objects;
import vocalis.core.instrument.Fretboard;
import vocalis.core.instrument.Instrument;
import vocalis.core.instrument.Tuning;
import vocalis.core.rhythm.Meter;
import vocalis.core.theory.Key;

/**
 * The first layer of a riff: what everything else stands on.
 *
 * @param instrument strings, frets, scale length
 * @param capo fret of the capo, 0 for none
 * @param key key or mode
 * @param tempo quarter notes per minute, 20 to 400
 * @param meter time signature
 * @param tone amplifier setting
 * @param a4Hz tuning standard in Hz, 430 to 450
 * @param band who plays along, and how the guitars are turned
 */
public record Ground(
        Instrument instrument,
        int capo,
        Key key,
        int tempo,
        Meter meter,
        Tone tone,
        double a4Hz,
        Band band) {

    public static final int SLOWEST = 20;
    public static final int FASTEST = 400;

    public Ground {
        Objects.requireNonNull(instrument, "instrument");
        Objects.requireNonNull(key, "key");
        Objects.requireNonNull(meter, "meter");
        Objects.requireNonNull(tone, "tone");
        Objects.requireNonNull(band, "band");
        new Fretboard(instrument, capo);
        if (tempo < SLOWEST || tempo > FASTEST) {
            throw new IllegalArgumentException(
                    "the tempo lies between " + SLOWEST + " and " + FASTEST + ", but is " + tempo);
        }
        if (!(a4Hz >= 430 && a4Hz <= 450)) {
            throw new IllegalArgumentException("A4 lies between 430 and 450 Hz, but is " + a4Hz);
        }
    }

    /** The guitar alone. */
    public Ground(
            Instrument instrument,
            int capo,
            Key key,
            int tempo,
            Meter meter,
            Tone tone,
            double a4Hz) {
        this(instrument, capo, key, tempo, meter, tone, a4Hz, Band.ALONE);
    }

    /** The instrument with its capo. */
    public Fretboard board() {
        return new Fretboard(instrument, capo);
    }

    public Ground withInstrument(Instrument other) {
        return new Ground(other, capo, key, tempo, meter, tone, a4Hz, band);
    }

    public Ground withTuning(Tuning tuning) {
        return new Ground(
                new Instrument(
                        tuning, instrument.frets(), instrument.scaleMm(), instrument.leftHanded()),
                capo,
                key,
                tempo,
                meter,
                tone,
                a4Hz,
                band);
    }

    public Ground withCapo(int fret) {
        return new Ground(instrument, fret, key, tempo, meter, tone, a4Hz, band);
    }

    public Ground withKey(Key other) {
        return new Ground(instrument, capo, other, tempo, meter, tone, a4Hz, band);
    }

    public Ground withTempo(int bpm) {
        return new Ground(instrument, capo, key, bpm, meter, tone, a4Hz, band);
    }

    public Ground withTone(Tone other) {
        return new Ground(instrument, capo, key, tempo, meter, other, a4Hz, band);
    }

    public Ground withBand(Band other) {
        return new Ground(instrument, capo, key, tempo, meter, tone, a4Hz, other);
    }
}
