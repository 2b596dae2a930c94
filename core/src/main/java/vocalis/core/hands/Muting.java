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
        SWING("swing through all strings"),
        AIM("aim at the strings that sound"),
        PLUCK("pluck with pick and fingers");

        private final String words;

        School(String words) {
            this.words = words;
        }

        /** In words. */
        public String words() {
            return words;
        }
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

    /**
     * Who plucks which string when pick and fingers strike together: the pick the lowest, then
     * middle, ring and little finger; empty when there are more strings than that.
     */
    public static String pluckedBy(Shape shape) {
        String[] who = {"pick", "middle", "ring", "little"};
        List<Integer> sounded = shape.sounded();
        if (sounded.size() > who.length) {
            return "";
        }
        List<String> parts = new ArrayList<>();
        for (int i = 0; i < sounded.size(); i++) {
            parts.add(who[i] + " " + (shape.strings() - sounded.get(i)));
        }
        return String.join(", ", parts);
    }

    /** The plan in words; empty when every string sounds. */
    public String inWords() {
        List<String> parts = new ArrayList<>();
        String[] fingers = {"", "index", "middle finger", "ring finger", "little finger", "thumb"};
        for (By by : By.values()) {
            for (int finger = 0; finger <= 5; finger++) {
                int wanted = finger;
                List<String> on =
                        silences.stream()
                                .filter(s -> s.by() == by && s.finger() == wanted)
                                .map(s -> String.valueOf(strings - s.string()))
                                .toList();
                if (!on.isEmpty()) {
                    String who =
                            switch (by) {
                                case FINGERTIP -> "tip of the " + fingers[finger];
                                case FLAT_OF_FINGER -> "flat of the " + fingers[finger];
                                case THUMB -> "thumb";
                                case STRIKING_HAND -> "striking hand";
                                case IDLE_HAND -> "idle fretting hand";
                                case NOTHING -> "no hand is free for";
                            };
                    parts.add(
                            who
                                    + (by == By.NOTHING ? " " : ": ")
                                    + (on.size() == 1 ? "string " : "strings ")
                                    + String.join(", ", on));
                }
            }
        }
        return String.join("; ", parts);
    }
}
