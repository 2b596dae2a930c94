package vocalis.workbench.words;

import java.util.ArrayList;
import java.util.List;
import vocalis.core.hands.Fingering;
import vocalis.core.hands.Muting;
import vocalis.core.hands.Muting.By;
import vocalis.core.instrument.Shape;

/** What fingers do, in words. */
public final class HandWords {

    private static final String[] FINGERS = {"", "index", "middle", "ring", "little", "thumb"};

    private HandWords() {}

    /** Such as {@code index 5, ring 7, little 7}. */
    public static String of(Fingering f) {
        return String.join(
                ", ",
                f.presses().stream()
                        .map(
                                p ->
                                        FINGERS[p.finger()]
                                                + " "
                                                + p.fret()
                                                + (p.barre() ? " laid flat" : ""))
                        .toList());
    }

    public static String of(Muting.School school) {
        return switch (school) {
            case SWING -> "swing through all strings";
            case AIM -> "aim at the strings that sound";
            case PLUCK -> "pluck with pick and fingers";
        };
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

    /** What silences which string; empty when every string sounds. */
    public static String of(Muting muting) {
        List<String> parts = new ArrayList<>();
        for (By by : By.values()) {
            for (int finger = 0; finger < FINGERS.length; finger++) {
                int wanted = finger;
                List<String> on =
                        muting.silences().stream()
                                .filter(s -> s.by() == by && s.finger() == wanted)
                                .map(s -> String.valueOf(muting.strings() - s.string()))
                                .toList();
                if (!on.isEmpty()) {
                    parts.add(
                            who(by, finger)
                                    + (by == By.NOTHING ? " " : ": ")
                                    + (on.size() == 1 ? "string " : "strings ")
                                    + String.join(", ", on));
                }
            }
        }
        return String.join("; ", parts);
    }

    private static String who(By by, int finger) {
        return switch (by) {
            case FINGERTIP -> "tip of the " + called(finger);
            case FLAT_OF_FINGER -> "flat of the " + called(finger);
            case THUMB -> "thumb";
            case STRIKING_HAND -> "striking hand";
            case IDLE_HAND -> "idle fretting hand";
            case NOTHING -> "no hand is free for";
        };
    }

    private static String called(int finger) {
        return finger > 1 && finger < 5 ? FINGERS[finger] + " finger" : FINGERS[finger];
    }
}
