package vocalis.core.harmony;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.TreeSet;
import vocalis.core.names.ChordName;
import vocalis.core.names.ChordNamer;
import vocalis.core.names.HeardRoot;
import vocalis.core.theory.Degree;
import vocalis.core.theory.Key;
import vocalis.core.theory.Mode;
import vocalis.core.theory.Spelling;
import vocalis.core.voicing.Voicing;

/**
 * A voicing in its key and between its neighbours: Roman numeral, fit, pull and tension. Formulas
 * and weights in docs/figures.md.
 */
public final class Context {

    private static final String[] NUMERALS = {"I", "II", "III", "IV", "V", "VI", "VII"};
    private static final int PER_NOTE_OUTSIDE = 15;
    private static final int MOST_OUTSIDE = 45;
    private static final int AMBIGUOUS = 10;
    private static final int BASS_NOT_ROOT = 10;
    private static final double MOST_ROUGH = 35;

    /**
     * Roughness against the plain power chord at which its share of the tension is half used up.
     */
    private static final double HALF_ROUGH = 1.5;

    private Context() {}

    /**
     * The Roman numeral of a chord: the degree of its root, lower case where a minor third sounds
     * without a major one, or where no third sounds and the scale has the minor one there; with °
     * and + for diminished and augmented triads.
     *
     * @param root pitch class of the root
     */
    public static String numeral(Voicing v, int root, Key key) {
        Degree degree = key.degree(root);
        boolean third = has(v, root, 3) || has(v, root, 4);
        boolean minor =
                third
                        ? !has(v, root, 4)
                        : key.contains(root) && key.contains(root + 3) && !key.contains(root + 4);
        boolean pure = has(v, root, 7);
        String number = NUMERALS[degree.number() - 1];
        String accidental = degree.symbol().replaceAll("\\d", "");
        String mark = "";
        if (minor && !pure && has(v, root, 6)) {
            mark = "°";
        } else if (has(v, root, 4) && !pure && has(v, root, 8)) {
            mark = "+";
        }
        return accidental + (minor ? number.toLowerCase(java.util.Locale.ROOT) : number) + mark;
    }

    /** Whether the root is not a note of the scale: the chord is borrowed or chromatic. */
    public static boolean borrowed(int root, Key key) {
        return !key.contains(root);
    }

    private static boolean has(Voicing v, int root, int semitones) {
        return v.pitchClasses().contains(Math.floorMod(root + semitones, 12));
    }

    private static final int FALLING_FIFTH = 2;
    private static final int SEMITONE_STEP = 1;
    private static final int RESOLVING_TRITONE = 2;

    /**
     * Pull of a chord into the next: 1 for each voice that can move by a semitone into a note of
     * it, 2 more for each tritone of the chord both of whose notes do; 2 for a root that falls a
     * fifth, 1 for one that steps by a semitone. The roots are those the voicings are built for.
     */
    public static int pull(Voicing from, Voicing to) {
        TreeSet<Integer> next = new TreeSet<>(to.pitchClasses());
        List<Integer> moving = new ArrayList<>();
        for (int pc : from.pitchClasses()) {
            boolean stays = next.contains(pc);
            boolean resolves = next.contains((pc + 1) % 12) || next.contains((pc + 11) % 12);
            if (!stays && resolves) {
                moving.add(pc);
            }
        }
        int tritones = 0;
        for (int pc : moving) {
            if (pc < 6 && moving.contains(pc + 6)) {
                tritones++;
            }
        }
        int motion = Math.floorMod(to.root() - from.root(), 12);
        int byRoot = motion == 5 ? FALLING_FIFTH : motion == 1 || motion == 11 ? SEMITONE_STEP : 0;
        return moving.size() + RESOLVING_TRITONE * tritones + byRoot;
    }

    /** Tension of a voicing in its key, 0 to 100. */
    public static int tension(Voicing v, Key key) {
        long outside = v.pitchClasses().stream().filter(p -> !key.contains(p)).count();
        double sum = Math.min(MOST_OUTSIDE, PER_NOTE_OUTSIDE * outside);
        HeardRoot heard = HeardRoot.of(v, Optional.of(key));
        sum += heard.ambiguous() ? AMBIGUOUS : 0;
        sum += Math.floorMod(v.bass(), 12) == heard.root() ? 0 : BASS_NOT_ROOT;
        double rough = Math.max(0, roughnessAgainstPowerChord(v, heard.root()) - 1);
        sum += MOST_ROUGH * rough / (rough + HALF_ROUGH);
        return (int) Math.round(Math.min(100, sum));
    }

    /**
     * Roughness of a voicing over that of the plain power chord (1-5-8) on the same root, from its
     * bass up.
     */
    public static double roughnessAgainstPowerChord(Voicing v, int root) {
        int bass = v.bass();
        int low = bass + Math.floorMod(root - bass + 6, 12) - 6;
        return Roughness.of(v.midi()) / Roughness.of(List.of(low, low + 7, low + 12));
    }

    /**
     * A key that the notes of a riff fit.
     *
     * @param key tonic and mode
     * @param outside notes that it lacks
     * @param inside share of the time that sounds in its notes, 0 to 1
     */
    public record Fit(Key key, List<Integer> outside, double inside) {}

    private static final double FIRST_ROOT = 0.12;
    private static final double LAST_ROOT = 0.08;
    private static final double TONIC_TIME = 0.3;
    private static final double FIFTH_TIME = 0.1;
    private static final double PER_SCALE_NOTE = 0.004;
    private static final double PER_NOTE_UNHEARD = 0.006;

    /**
     * The keys that the notes of a riff fit, best first: by the share of time that sounds inside
     * them; then by how long the tonic and its fifth sound, and whether the riff begins or ends on
     * the tonic; then the smaller scale with the fewer notes that never sound. Weights set by hand.
     *
     * @param time how long each of the twelve pitch classes sounds, in any unit
     * @param first root of the first chord, pitch class
     * @param last root of the last chord
     * @param modes the modes to try
     */
    public static List<Fit> modes(double[] time, int first, int last, List<Mode> modes) {
        double all = 0;
        for (double t : time) {
            all += t;
        }
        record Ranked(Fit fit, double score) {}
        List<Ranked> ranked = new ArrayList<>();
        for (Mode mode : modes) {
            for (int pc = 0; pc < 12; pc++) {
                Key key = new Key(Spelling.plain(pc), mode);
                double inside = 0;
                int unheard = 0;
                List<Integer> outside = new ArrayList<>();
                for (int n = 0; n < 12; n++) {
                    boolean holds = key.contains(n);
                    inside += holds && all > 0 ? time[n] / all : 0;
                    unheard += holds && time[n] == 0 ? 1 : 0;
                    if (!holds && time[n] > 0) {
                        outside.add(n);
                    }
                }
                double score = inside - PER_SCALE_NOTE * mode.size() - PER_NOTE_UNHEARD * unheard;
                score += pc == first ? FIRST_ROOT : 0;
                score += pc == last ? LAST_ROOT : 0;
                if (all > 0) {
                    score += TONIC_TIME * time[pc] / all;
                    score += FIFTH_TIME * time[(pc + 7) % 12] / all;
                }
                ranked.add(new Ranked(new Fit(key, List.copyOf(outside), inside), score));
            }
        }
        ranked.sort(Comparator.comparingDouble(Ranked::score).reversed());
        return ranked.stream().map(Ranked::fit).toList();
    }

    /**
     * What one voicing becomes over a bass.
     *
     * @param bass spelled bass
     * @param name best exact name with that bass
     * @param degrees the shape's notes above the bass
     */
    public record OverBass(Spelling bass, ChordName name, List<Degree> degrees) {}

    /** A voicing over each of the twelve basses, renamed. */
    public static List<OverBass> bassSweep(Voicing v, Key key) {
        List<OverBass> all = new ArrayList<>();
        for (int i = 0; i < 12; i++) {
            int pc = (key.tonic().pitchClass() + i) % 12;
            List<Degree> degrees =
                    v.midi().stream().map(m -> Degree.above(m - pc)).distinct().toList();
            all.add(new OverBass(key.spell(pc), ChordNamer.over(v, pc, Optional.of(key)), degrees));
        }
        return all;
    }
}
