package vocalis.core.hands;

import java.util.ArrayList;
import java.util.List;
import vocalis.core.instrument.Shape;

/**
 * What silences each string that is not sounded, and how the shape may be struck. Rules of the
 * trade (common practice): a fingertip touches the next thicker string; the flat of the index lies
 * on thinner strings; the thumb reaches over to the thickest; the striking hand rests on strings
 * thicker than those that sound; a fretting hand with nothing to fret touches what it likes.
 *
 * @param strings number of strings of the instrument
 * @param silences one per unsounded string, lowest first
 * @param schools the ways of striking that work
 */
public record Muting(int strings, List<Silence> silences, List<School> schools) {

    /** Who silences a string. */
    public enum By {
        FINGERTIP,
        FLAT_OF_FINGER,
        THUMB,
        STRIKING_HAND,
        /** A fretting hand with nothing to fret, its fingers laid on the strings. */
        IDLE_HAND,
        NOTHING
    }

    /**
     * One unsounded string.
     *
     * @param string string index, 0 is the lowest
     * @param by what silences it
     * @param finger 1 to 4 where a finger does, else 0
     */
    public record Silence(int string, By by, int finger) {}

    /** Ways of striking. */
    public enum School {
        /** Through all strings. */
        SWING,
        /** At the strings that sound. */
        AIM,
        /** With pick and fingers. */
        PLUCK
    }

    private static final int THUMB_TO_FRET = 12;

    public Muting {
        silences = List.copyOf(silences);
        schools = List.copyOf(schools);
    }

    /** The plan for a shape held with a fingering. */
    public static Muting of(Shape shape, Fingering fingering) {
        List<Silence> silences = new ArrayList<>();
        for (int s = 0; s < shape.strings(); s++) {
            if (!shape.sounds(s)) {
                silences.add(silence(shape, fingering, s));
            }
        }
        return new Muting(shape.strings(), silences, schools(shape, silences));
    }

    private static Silence silence(Shape shape, Fingering f, int string) {
        List<Integer> sounded = shape.sounded();
        int lowest = sounded.get(0);
        if (string + 1 < shape.strings() && f.fingerOn(string + 1) > 0 && tipFree(f, string + 1)) {
            return new Silence(string, By.FINGERTIP, f.fingerOn(string + 1));
        }
        int flat = flatFinger(shape, f, string);
        if (flat > 0) {
            return new Silence(string, By.FLAT_OF_FINGER, flat);
        }
        if (string == 0
                && lowest > 0
                && shape.highestFretted() > 0
                && shape.lowestFretted() <= THUMB_TO_FRET) {
            return new Silence(string, By.THUMB, 0);
        }
        if (string < lowest) {
            return new Silence(string, By.STRIKING_HAND, 0);
        }
        if (f.presses().isEmpty()) {
            return new Silence(string, By.IDLE_HAND, 0);
        }
        return new Silence(string, By.NOTHING, 0);
    }

    /**
     * The tip of a finger is free to touch the next string where it is the lowest that the finger
     * holds.
     */
    private static boolean tipFree(Fingering f, int string) {
        return f.presses().stream().anyMatch(p -> p.lowString() == string);
    }

    /**
     * A finger on a thicker string that lies flat over this one with nothing lower wanted between.
     */
    private static int flatFinger(Shape shape, Fingering f, int string) {
        List<Integer> sounded = shape.sounded();
        boolean outside = string > sounded.get(sounded.size() - 1);
        boolean index =
                f.presses().stream().anyMatch(p -> p.finger() == 1 && p.lowString() < string);
        boolean openBetween =
                sounded.stream()
                        .anyMatch(
                                s ->
                                        s < string
                                                && shape.fret(s) == 0
                                                && f.presses().stream()
                                                        .anyMatch(p -> p.lowString() < s));
        if (outside && index && !openBetween) {
            return 1;
        }
        for (int s = string - 1; s >= 0; s--) {
            int finger = f.fingerOn(s);
            if (finger > 0) {
                return finger;
            }
            if (shape.sounds(s)) {
                return 0;
            }
        }
        return 0;
    }

    private static List<School> schools(Shape shape, List<Silence> silences) {
        List<School> schools = new ArrayList<>();
        boolean allByHand =
                silences.stream().allMatch(s -> s.by() != By.NOTHING && s.by() != By.STRIKING_HAND);
        if (allByHand) {
            schools.add(School.SWING);
        }
        List<Integer> sounded = shape.sounded();
        int span = sounded.get(sounded.size() - 1) - sounded.get(0) + 1;
        boolean innerSilenced =
                silences.stream()
                        .filter(s -> s.string() > sounded.get(0))
                        .filter(s -> s.string() < sounded.get(sounded.size() - 1))
                        .allMatch(s -> s.by() != By.NOTHING);
        if (span == sounded.size() || innerSilenced) {
            schools.add(School.AIM);
        }
        if (sounded.size() <= 4) {
            schools.add(School.PLUCK);
        }
        return schools;
    }
}
