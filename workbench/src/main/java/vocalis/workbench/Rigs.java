package vocalis.workbench;

import java.util.Arrays;
import vocalis.core.arrange.Controls;
import vocalis.core.arrange.Mix;
import vocalis.core.riff.Ground;
import vocalis.core.riff.Tone;
import vocalis.core.theory.Pitch;
import vocalis.sound.dsp.Guitar;
import vocalis.sound.engine.Rig;
import vocalis.sound.engine.Settings;
import vocalis.sound.engine.StringBank;

/**
 * The engine's settings for a ground: patches, amplifiers, places and levels. Immutable; banks of
 * patches are taken over from an earlier one where strings and guitar are the same, for they take
 * tens of milliseconds to make.
 */
final class Rigs {

    private static final double BASS = 0.55;
    private static final double KIT = 0.5;
    private static final double CLICK = 0.5;

    private final double[] openHz;
    private final int frets;
    private final StringBank first;
    private final StringBank second;

    private Rigs(double[] openHz, int frets, StringBank first, StringBank second) {
        this.openHz = openHz;
        this.frets = frets;
        this.first = first;
        this.second = second;
    }

    /** The banks of a ground. */
    static Rigs of(Ground ground, Mix mix) {
        double[] hz = SoundEvents.openHz(ground);
        int frets = ground.board().frets();
        StringBank one = bank(hz, frets, mix.controls());
        return new Rigs(hz, frets, one, other(hz, frets, mix, one));
    }

    /** Whether these banks serve a ground as they are. */
    boolean serve(Ground ground, Mix mix) {
        return Arrays.equals(openHz, SoundEvents.openHz(ground))
                && frets == ground.board().frets()
                && first.guitar().equals(SoundEvents.guitar(mix.controls()))
                && (!mix.second().on()
                        || second.guitar().equals(SoundEvents.guitar(mix.secondControls())));
    }

    StringBank first() {
        return first;
    }

    private static StringBank other(double[] hz, int frets, Mix mix, StringBank one) {
        boolean same = one.guitar().equals(SoundEvents.guitar(mix.secondControls()));
        return same || !mix.second().on() ? one : bank(hz, frets, mix.secondControls());
    }

    private static StringBank bank(double[] hz, int frets, Controls controls) {
        Guitar guitar = SoundEvents.guitar(controls);
        return StringBank.of(hz, frets, guitar, Player.RATE);
    }

    /**
     * The settings of a ground with these banks.
     *
     * @param tempo quarter notes per minute
     * @param match linear gain that brings the riff to the common loudness
     */
    Settings settings(Ground ground, Mix mix, int tempo, double match, double volume) {
        boolean two = mix.second().on();
        double spread = two ? mix.spread() / 10.0 : 0;
        Tone tone = ground.tone();
        return new Settings(
                new Rig(first, SoundEvents.amp(tone, mix.controls()), -spread, match),
                new Rig(
                        second,
                        SoundEvents.amp(mix.secondTone(), mix.secondControls()),
                        spread,
                        Math.min(4, match * mix.second().linear())),
                tempo,
                BASS * mix.bass().linear(),
                KIT * mix.kit().linear(),
                CLICK * mix.click().linear(),
                Pitch.cents(Pitch.STANDARD_A4_HZ, ground.a4Hz()),
                volume);
    }
}
