package vocalis.workbench.words;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import vocalis.core.hands.Fingering;
import vocalis.core.hands.Move;
import vocalis.core.hands.Muting;
import vocalis.core.hands.Muting.By;
import vocalis.core.hands.Refusal;
import vocalis.core.instrument.Shape;

/** What fingers do, in words. */
public final class HandWords {

    private static final String[] FINGERS = {"", "index", "middle", "ring", "little", "thumb"};

    private HandWords() {}

    /**
     * Why no hand holds a shape: a sentence without its subject, such as {@code needs 143 mm from
     * fret 3 to fret 9, where a medium hand reaches 120 mm at most}.
     */
    public static String of(Refusal refusal) {
        if (refusal instanceof Refusal.TooWide w) {
            return "needs %d mm from fret %d to fret %d, where a %s hand reaches %d mm at most"
                    .formatted(
                            Math.round(w.reachMm()),
                            w.lowFret(),
                            w.highFret(),
                            w.hand(),
                            Math.round(w.limitMm()));
        }
        return "needs more than four fingers: its frets lie so that no finger can cover more of"
                + " them";
    }

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

    /**
     * A change as teachers tell it, finger by finger: who stays, who slides on its string, who
     * takes another's place, who lifts; empty where no finger is down before or after.
     *
     * @param strings of the instrument
     */
    public static String of(Move move, int strings) {
        List<String> parts = new ArrayList<>();
        for (int finger = 1; finger < FINGERS.length; finger++) {
            step(move.anchors(), finger, strings).ifPresent(parts::add);
        }
        for (int finger = 1; finger < FINGERS.length; finger++) {
            step(move.guides(), finger, strings).ifPresent(parts::add);
        }
        for (int s : move.swaps()) {
            parts.add("another finger takes string " + (strings - s));
        }
        if (!move.lifts().isEmpty()) {
            List<String> who = move.lifts().stream().map(f -> FINGERS[f]).toList();
            parts.add(joined(who) + (who.size() == 1 ? " lifts" : " lift"));
        }
        return String.join(", ", parts);
    }

    /** What one finger does, on all its strings. */
    private static Optional<String> step(List<Move.Step> steps, int finger, int strings) {
        List<Move.Step> own = steps.stream().filter(s -> s.finger() == finger).toList();
        if (own.isEmpty()) {
            return Optional.empty();
        }
        Move.Step first = own.get(0);
        List<String> on =
                own.stream().map(s -> String.valueOf(strings - s.string())).sorted().toList();
        String where = (on.size() == 1 ? " on string " : " on strings ") + joined(on);
        return Optional.of(
                FINGERS[finger]
                        + (first.from() == first.to()
                                ? " stays" + where
                                : " slides"
                                        + where
                                        + " from "
                                        + first.from()
                                        + " to "
                                        + first.to()));
    }

    private static String joined(List<String> parts) {
        int last = parts.size() - 1;
        return last < 1
                ? String.join("", parts)
                : String.join(", ", parts.subList(0, last)) + " and " + parts.get(last);
    }

    /** From here on a change of position is a shift; a fret less is reached without one. */
    private static final int SHIFT = 2;

    /**
     * How the hand goes through a loop: {@code two shifts, the longest from fret 3 to 10}.
     *
     * @param shapes what is held, one after the other; the last leads back into the first
     */
    public static String shifts(List<Shape> shapes) {
        int shifts = 0;
        int from = 0;
        int to = 0;
        for (int i = 0; i < shapes.size(); i++) {
            int a = shapes.get(i).lowestFretted();
            int b = shapes.get((i + 1) % shapes.size()).lowestFretted();
            // Where nothing is fretted the hand is free to be anywhere.
            boolean shift = a > 0 && b > 0 && Math.abs(b - a) >= SHIFT;
            shifts += shift ? 1 : 0;
            if (shift && Math.abs(b - a) > Math.abs(to - from)) {
                from = a;
                to = b;
            }
        }
        return switch (shifts) {
            case 0 -> "the hand stays in its place";
            case 1 -> "one shift, from fret " + from + " to " + to;
            default ->
                    (shifts < NUMBERS.length ? NUMBERS[shifts] : String.valueOf(shifts))
                            + " shifts, the longest from fret "
                            + from
                            + " to "
                            + to;
        };
    }

    private static final String[] NUMBERS = {
        "no", "one", "two", "three", "four", "five", "six", "seven", "eight", "nine", "ten"
    };
}
