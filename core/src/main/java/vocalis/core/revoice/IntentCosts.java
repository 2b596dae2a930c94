package vocalis.core.revoice;

import java.util.List;
import vocalis.core.derive.Derived;
import vocalis.core.harmony.Context;
import vocalis.core.instrument.Shape;
import vocalis.core.riff.Tone;
import vocalis.core.theory.PitchClassSet;
import vocalis.core.voicing.Family;
import vocalis.core.voicing.Voicing;

/**
 * What cells and changes cost for an intent, unitless; weights set by hand, published in
 * docs/figures.md.
 */
final class IntentCosts {

    /** What every row keeps of a plausible shape and an easy change. */
    private static final double PLAUSIBLE = 0.2;

    private static final double EASY = 0.3;
    private static final double HIGHEST_TENSION = 75;
    private static final double LOWEST_TENSION = 5;
    private static final int MOST_STEP = 4;
    private static final double FALLS = 4;

    /** A root that is swallowed: no row but a surprise may let another be heard. */
    private static final double NOT_HEARD = 30;

    /** Each fret over the twelfth, where a riff of chords is thin and far from the rest. */
    private static final double PER_FRET_TOO_HIGH = 2;

    private static final int HIGHEST_FRET = 12;

    /** A top note that stands still where a smooth line is asked: more than a step. */
    private static final double STANDS_STILL = 1.5;

    /** One note twice is no chord: what an octave costs where lean or bright is asked. */
    private static final double BARE_OCTAVE = 4;

    /** Each semitone over an octave above the riff as it stands. */
    private static final double PER_SEMITONE_ABOVE = 2;

    private static final int OCTAVE = 12;

    /** Each voice under three where the row is to be bright. */
    private static final double PER_VOICE_MISSING = 3;

    /** Each voice over four there: a full grip clouds. */
    private static final double PER_VOICE_CROWDING = 1.5;

    /** In a tight row: other strings, another shape on them, a bass that is no root. */
    private static final double OTHER_STRINGS = 4;

    private static final double OTHER_SHAPE = 3;
    private static final double ROOT_NOT_LOWEST = 6;
    private static final double PER_VOICE_TOO_MANY = 4;
    private static final double RINGS = 3;

    private static final double NO_FIFTH = 2;

    /**
     * Each string up from the lowest for what is to be low; each silent one inside a lean shape.
     */
    private static final double PER_STRING_UP = 1.2;

    private static final double PER_STRING_UP_WHERE_TIGHT = 2.5;

    private static final double PER_INNER_SILENCE = 1.5;

    /** A lean row leaves the lowest string to the bass: each string off the second. */
    private static final double PER_STRING_OFF = 0.8;

    /** Each note that the key lacks, where none was asked for. */
    private static final double OUTSIDE_THE_KEY = 4;

    /** Neither tension nor light is a reason to stretch: of the effort. */
    private static final double PER_EFFORT = 0.4;

    /** Suspensions share notes by themselves: a held note is asked of the others first. */
    private static final double OF_ITSELF = 2;

    /** From this tempo on a tight row wants two voices, and short ways count twice. */
    private static final int FAST = 150;

    /** A bass that stands still where it is to move, and one that leaps. */
    private static final double BASS_STANDS = 5;

    private static final double PER_LEAP = 1;

    /** Each semitone that it lies more than an octave over the lowest open string. */
    private static final double PER_SEMITONE_OF_BASS = 0.5;

    /** Top and bass the same way, and one of them alone, where they are to go apart. */
    private static final double SAME_WAY = 5;

    private static final double ONE_STANDS = 2.5;

    /**
     * The riff as it stands, which rows stay near.
     *
     * @param means of each chord's MIDI numbers; empty where nothing stands
     * @param highest fret that it has
     * @param tempo quarter notes a minute
     * @param tone of the ground
     * @param key its pitch classes
     */
    record Now(List<Double> means, int highest, int tempo, Tone tone, PitchClassSet key) {
        static final Now NOTHING =
                new Now(List.of(), HIGHEST_FRET, 120, Tone.GAIN, PitchClassSet.ALL);

        static Now of(Derived d) {
            List<Voicing> all = d.chords().stream().map(c -> c.candidate().voicing()).toList();
            return new Now(
                    all.stream().map(IntentCosts::mean).toList(),
                    all.stream().mapToInt(v -> v.shape().highestFretted()).max().orElse(0),
                    d.riff().tempo(),
                    d.riff().ground().tone(),
                    d.riff().ground().key().pitchClasses());
        }
    }

    private final Intent intent;
    private final int chords;
    private final long seed;
    private final Now now;

    IntentCosts(Intent intent, int chords, long seed) {
        this(intent, chords, seed, Now.NOTHING);
    }

    IntentCosts(Intent intent, int chords, long seed, Now now) {
        this.intent = intent;
        this.chords = chords;
        this.seed = seed;
        this.now = now;
    }

    double alone(int chord, Cell c) {
        Voicing v = c.voicing();
        double plain = PLAUSIBLE * Math.min(30, c.plain());
        double swallowed = c.heard() || intent == Intent.SURPRISE ? 0 : NOT_HEARD;
        int highest = Math.max(HIGHEST_FRET, now.highest);
        int over = Math.max(0, v.shape().highestFretted() - highest);
        return plain
                + swallowed
                + (leavesTheKey()
                        ? 0
                        : OUTSIDE_THE_KEY * Integer.bitCount(c.sounds() & ~now.key.bits()))
                + PER_FRET_TOO_HIGH * over
                + switch (intent) {
                    case RISING_TENSION ->
                            Math.abs(c.tension() - wanted(chord)) / 8.0
                                    + PER_EFFORT * c.candidate().fingering().effort();
                    case MOVING_BASS ->
                            PER_STRING_UP * Math.max(0, c.candidate().lowString() - 2)
                                    + PER_SEMITONE_OF_BASS
                                            * Math.max(0, c.bass() - open(v) - OCTAVE);
                    case LEAST_HAND -> Math.min(20, c.candidate().fingering().effort());
                    case LEANEST ->
                            1.5 * Context.roughnessAgainstPowerChord(v, v.root())
                                    + 0.4 * v.voices()
                                    + PER_INNER_SILENCE * v.innerSilences()
                                    + PER_STRING_OFF * Math.abs(1 - c.candidate().lowString())
                                    + (Integer.bitCount(c.sounds()) < 2 ? BARE_OCTAVE : 0);
                    case DARKEST -> c.mean() / 4 - shades(c, 1, 3, 6, 8, 10);
                    case BRIGHTEST -> bright(chord, c);
                    case TIGHT -> tight(c);
                    case HELD_NOTE -> c.family() == Family.SUSPENDED ? OF_ITSELF : 0;
                    case SURPRISE -> 6 * chance(v);
                    default -> 0;
                };
    }

    private static int open(Voicing v) {
        return v.board().midi(0, 0);
    }

    private boolean leavesTheKey() {
        return intent == Intent.SURPRISE || intent == Intent.RISING_TENSION;
    }

    private double wanted(int chord) {
        double share = chords == 1 ? 1 : chord / (chords - 1.0);
        return LOWEST_TENSION + share * (HIGHEST_TENSION - LOWEST_TENSION);
    }

    private double bright(int chord, Cell c) {
        double above = now.means.isEmpty() ? 0 : c.mean() - now.means.get(chord % now.means.size());
        return -c.mean() / 4
                + PER_EFFORT * c.candidate().fingering().effort()
                - shades(c, 2, 4, 7, 9, 11)
                - (c.voicing().shape().rings() ? 1 : 0)
                + PER_SEMITONE_ABOVE * Math.max(0, above - OCTAVE)
                + PER_VOICE_MISSING * Math.max(0, 3 - c.voicing().voices())
                + PER_VOICE_CROWDING * Math.max(0, c.voicing().voices() - 4)
                + (Integer.bitCount(c.sounds()) < 2 ? BARE_OCTAVE : 0);
    }

    /** Few voices with the root under them, nothing ringing over it; under gain no rough ones. */
    private double tight(Cell c) {
        Voicing v = c.voicing();
        int most = now.tempo >= FAST ? 2 : 3;
        int fewest = now.tone == Tone.GAIN ? 2 : most;
        double rough =
                now.tone == Tone.GAIN ? 1.5 * Context.roughnessAgainstPowerChord(v, v.root()) : 0;
        return (Math.floorMod(c.bass(), OCTAVE) == v.root() ? 0 : ROOT_NOT_LOWEST)
                + PER_VOICE_TOO_MANY * Math.max(0, v.voices() - most)
                + Math.max(0, fewest - v.voices())
                + (ringsOver(v.shape()) ? RINGS : 0)
                + PER_STRING_UP_WHERE_TIGHT * c.candidate().lowString()
                + (shades(c, 7) > 0 ? 0 : NO_FIFTH)
                + (Integer.bitCount(c.sounds()) < 2 ? BARE_OCTAVE : 0)
                + rough;
    }

    /**
     * Whether an open string rings over fretted ones; the lowest, or open strings alone, do not.
     */
    private static boolean ringsOver(Shape shape) {
        List<Integer> sounded = shape.sounded();
        return sounded.stream().anyMatch(s -> shape.fret(s) > 0)
                && sounded.subList(1, sounded.size()).stream().anyMatch(s -> shape.fret(s) == 0);
    }

    private static double mean(Voicing v) {
        return v.midi().stream().mapToInt(Integer::intValue).average().orElse(0);
    }

    /** How many of some intervals above the root sound. */
    private static int shades(Cell c, int... above) {
        int n = 0;
        for (int a : above) {
            n += c.sounds() >> (c.voicing().root() + a) % OCTAVE & 1;
        }
        return n;
    }

    /** From 0 to 1, the same for the same shape and seed (splitmix64, Steele et al. 2014). */
    private double chance(Voicing v) {
        long z = seed * 0x9E3779B97F4A7C15L + v.shape().textOrder() + 31L * v.root();
        z = (z ^ z >>> 30) * 0xBF58476D1CE4E5B9L;
        z = (z ^ z >>> 27) * 0x94D049BB133111EBL;
        return ((z ^ z >>> 31) >>> 11) * 0x1.0p-53;
    }

    double change(int from, Cell a, Cell b) {
        return change(from, a, b, Moves.cost(a, b));
    }

    /**
     * @param hand cost of the change for the hand
     */
    double change(int from, Cell a, Cell b, double hand) {
        int up = b.top() - a.top();
        boolean seam = from == chords - 1;
        double asked =
                switch (intent) {
                    case SMOOTH_TOP -> up == 0 ? STANDS_STILL : Math.abs(up) / 2.0;
                    case RISING_TOP -> seam ? 0 : climb(up);
                    case FALLING_TOP -> seam ? 0 : climb(-up);
                    case LEAST_HAND -> 2 * hand;
                    case RISING_TENSION ->
                            seam || b.tension() >= a.tension()
                                    ? 0
                                    : FALLS + a.tension() - b.tension();
                    case TIGHT -> (now.tempo >= FAST ? hand : 0) + alike(a, b);
                    case MOVING_BASS -> bassMoves(b.bass() - a.bass());
                    case CONTRARY_MOTION -> seam ? 0 : apart(up, b.bass() - a.bass());
                    default -> 0;
                };
        // Two roots over one set of notes are one chord to the ear.
        boolean one = a.sounds() == b.sounds() && a.voicing().root() != b.voicing().root();
        boolean swallowed = one && intent != Intent.SURPRISE;
        return EASY * hand + asked + (swallowed ? NOT_HEARD : 0);
    }

    /** Up by one to four semitones is what is asked. */
    private static double climb(int up) {
        return up <= 0 ? 6 - up : Math.max(0, up - MOST_STEP);
    }

    /** One shape moved along the same strings costs nothing. */
    private static double alike(Cell a, Cell b) {
        Shape one = a.voicing().shape();
        Shape two = b.voicing().shape();
        if (!one.sounded().equals(two.sounded())) {
            return OTHER_STRINGS;
        }
        int by = two.fret(two.lowestSounded()) - one.fret(one.lowestSounded());
        boolean moved = one.sounded().stream().allMatch(s -> two.fret(s) - one.fret(s) == by);
        return moved ? 0 : OTHER_SHAPE;
    }

    private static double bassMoves(int by) {
        int apart = Math.abs(by);
        return apart == 0 ? BASS_STANDS : apart <= 2 ? 0 : PER_LEAP * (apart - 2);
    }

    /** Top and bass in opposite directions, neither by a leap. */
    private static double apart(int top, int bass) {
        int way = Integer.signum(top) * Integer.signum(bass);
        double leaps = 0.3 * (Math.max(0, Math.abs(top) - 4) + Math.max(0, Math.abs(bass) - 7));
        return leaps + (way < 0 ? 0 : way == 0 ? ONE_STANDS : SAME_WAY);
    }

    double of(List<Cell> taken) {
        double cost = 0;
        for (int i = 0; i < taken.size(); i++) {
            cost += alone(i, taken.get(i));
            cost +=
                    taken.size() == 1
                            ? 0
                            : change(i, taken.get(i), taken.get((i + 1) % taken.size()));
        }
        return cost;
    }
}
