package vocalis.core.riff;

import java.util.Objects;
import vocalis.core.instrument.Fretboard;
import vocalis.core.instrument.Instrument;
import vocalis.core.instrument.Tuning;
import vocalis.core.pattern.Limits;
import vocalis.core.theory.Key;
import vocalis.core.theory.Pitch;

/**
 * The first layer of a riff: what everything else stands on.
 *
 * @param instrument strings, frets, scale length
 * @param capo fret of the capo, 0 for none
 * @param key key or mode
 * @param tone amplifier setting
 * @param a4Hz tuning standard in Hz, 430 to 450; every open string over the capo lies from {@link
 *     Limits#LOWEST_HZ} to {@link Limits#HIGHEST_HZ}
 */
public record Ground(Instrument instrument, int capo, Key key, Tone tone, double a4Hz) {

    public Ground {
        Objects.requireNonNull(instrument, "instrument");
        Objects.requireNonNull(key, "key");
        Objects.requireNonNull(tone, "tone");
        Fretboard board = new Fretboard(instrument, capo);
        if (!(a4Hz >= 430 && a4Hz <= 450)) {
            throw new IllegalArgumentException("A4 lies between 430 and 450 Hz, but is " + a4Hz);
        }
        for (int string = 0; string < board.strings(); string++) {
            double hz = Pitch.hz(board.midi(string, 0), a4Hz);
            if (hz < Limits.LOWEST_HZ || hz > Limits.HIGHEST_HZ) {
                throw new IllegalArgumentException(
                        "an open string over the capo lies between "
                                + (int) Limits.LOWEST_HZ
                                + " and "
                                + (int) Limits.HIGHEST_HZ
                                + " Hz, but string "
                                + (board.strings() - string)
                                + " has "
                                + Math.round(hz)
                                + "; tune it otherwise or move the capo");
            }
        }
    }

    /** The instrument with its capo. */
    public Fretboard board() {
        return new Fretboard(instrument, capo);
    }

    public Ground withInstrument(Instrument other) {
        return new Ground(other, Math.min(capo, other.frets() - 1), key, tone, a4Hz);
    }

    public Ground withTuning(Tuning tuning) {
        Instrument tuned =
                new Instrument(
                        tuning,
                        instrument.frets(),
                        instrument.scaleMm(),
                        instrument.leftHanded(),
                        instrument.gauge());
        return new Ground(tuned, capo, key, tone, a4Hz);
    }

    public Ground withCapo(int fret) {
        return new Ground(instrument, fret, key, tone, a4Hz);
    }

    public Ground withKey(Key other) {
        return new Ground(instrument, capo, other, tone, a4Hz);
    }

    public Ground withTone(Tone other) {
        return new Ground(instrument, capo, key, other, a4Hz);
    }
}
