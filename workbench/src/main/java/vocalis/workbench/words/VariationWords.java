package vocalis.workbench.words;

import vocalis.core.theory.Degree;
import vocalis.core.theory.Key;
import vocalis.core.vary.NextRoot;
import vocalis.core.vary.Variation;
import vocalis.core.voicing.Family;

/** Variations and suggested roots, in words. */
public final class VariationWords {

    private VariationWords() {}

    /** What a variation is called. */
    public static String name(Variation v) {
        return switch (v) {
            case SWAP -> "Swap with the next";
            case REVERSE -> "Backwards";
            case NEW_LAST_REPEAT -> "Twice, new at the end";
            case THIRD_TIME -> "Three times, new at the end";
            case TWO_KEYS -> "Twice, a fourth up";
            case OTHER_END -> "Another chord to end on";
            case TWELVE_BARS -> "Twelve bars";
            case TRITONE_SUBSTITUTE -> "A tritone away";
            case OCTAVE_ON_REPEAT -> "Twice, then an octave up";
            case OCTAVE_UP -> "An octave up";
            case NEXT_TREATMENT -> "Another treatment";
            case FIFTH_IN_BASS -> "Fifth in the bass";
            case HELD_BASS -> "One bass throughout";
            case THINNED -> "Thinner";
            case RESOLVED_FOURTH -> "Suspend and resolve";
            case RINGING_OR_MUTED -> "Palm on ↔ off";
            case DISPLACED -> "An eighth late";
            case SEQUENCED -> "The line climbs each pass";
            case MIRRORED -> "The line upside down";
            case HAMMERED_INTO -> "Hammer into the shapes";
            case PULLED_TO_OPEN -> "Pull off to open strings";
            case WALKED_BASS -> "Walk to the next root";
            case CLIMBING_LINE -> "Climb over the chord";
            case PENTATONIC_FILL -> "Fill at the end";
        };
    }

    /** What it does. */
    public static String what(Variation v) {
        return switch (v) {
            case SWAP -> "the chord under the caret changes places with the one after it";
            case REVERSE -> "the chords from the last to the first, each with its pattern";
            case NEW_LAST_REPEAT ->
                    "the riff twice; the second time the last root is the one that leads home best";
            case THIRD_TIME ->
                    "the riff three times; the third time the last root is the one that leads home"
                            + " best";
            case TWO_KEYS -> "the riff twice; the second time every root a fourth higher";
            case OTHER_END -> "the last root becomes the one that leads best into the first";
            case TWELVE_BARS -> "first, fourth and fifth degree over twelve bars, voiced like here";
            case TRITONE_SUBSTITUTE ->
                    "the root under the caret, a fifth over the next, six semitones away";
            case OCTAVE_ON_REPEAT -> "the riff twice; the second time every shape twelve frets up";
            case OCTAVE_UP -> "every shape twelve frets up";
            case NEXT_TREATMENT -> "the whole riff in the next family";
            case FIFTH_IN_BASS -> "the same shapes, each over its fifth";
            case HELD_BASS -> "the first root held under every chord";
            case THINNED -> "a note less in shapes of three and more: what sounds twice first";
            case RESOLVED_FOURTH -> "the chord under the caret suspended, then as a triad";
            case RINGING_OR_MUTED -> "what rang under the palm, what was muted ringing";
            case DISPLACED -> "the whole pattern an eighth later against the bars";
            case SEQUENCED -> "each pass of a figure plays its line a scale step higher";
            case MIRRORED -> "up becomes down, about the line's first note";
            case HAMMERED_INTO -> "the first stroke of each chord from the scale note below";
            case PULLED_TO_OPEN ->
                    "the last stroke of each chord, where the open string fits the key";
            case WALKED_BASS ->
                    "two notes of the scale to each new root, in the riff's own subdivision";
            case CLIMBING_LINE -> "three or four notes up over the end of the chord";
            case PENTATONIC_FILL ->
                    "notes of the five-note scale in the last half bar, to the first root";
        };
    }

    /**
     * What a root is in the key, how it is reached, and how it leads on.
     *
     * @param family what the chord is voiced in
     */
    public static String why(NextRoot r, Key key, Family family) {
        return key.degree(r.root().pitchClass(key)).symbol()
                + colour(r, key)
                + ": "
                + motion(r.reached())
                + ", then "
                + motion(r.onward())
                + " into what follows"
                + (r.asPower(family) ? "; a power chord, its triad is diminished" : "");
    }

    private static String colour(NextRoot r, Key key) {
        String mode = key.mode().name();
        return switch (r.colour()) {
            case MAKES_THE_MODE -> ", the note that makes it " + mode;
            case HOLDS_THE_DEGREE ->
                    ", its chord has the "
                            + Degree.above(NextRoot.character(key).orElseThrow()).symbol()
                            + " of "
                            + mode;
            case TONIC -> ", home";
            case PLAIN -> "";
            case OUTSIDE -> ", outside the key";
        };
    }

    /** How a root moves to the next. */
    static String motion(NextRoot.Motion m) {
        return switch (m) {
            case STAYS -> "stays";
            case FALLS_A_FIFTH -> "falls a fifth";
            case FALLS_A_SEMITONE -> "falls a semitone";
            case RISES_A_SEMITONE -> "rises a semitone";
            case RISES_A_STEP -> "rises a step";
            case FALLS_A_STEP -> "falls a step";
            case FALLS_A_THIRD -> "falls a third";
            case RISES_A_THIRD -> "rises a third";
            case RISES_A_FIFTH -> "rises a fifth";
            case A_TRITONE_AWAY -> "moves a tritone";
        };
    }

    /** The root as the key spells it. */
    public static String root(NextRoot r, Key key) {
        return key.say(r.root().pitchClass(key)).symbol();
    }
}
