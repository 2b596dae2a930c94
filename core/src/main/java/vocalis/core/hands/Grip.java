package vocalis.core.hands;

import java.util.ArrayList;
import java.util.List;
import vocalis.core.hands.Fingering.Press;
import vocalis.core.instrument.Shape;

/**
 * Fretted notes as they lie to each other, wherever on the neck: its ways to be held are found once
 * and serve in every place, with whatever open strings ring beside it.
 */
public final class Grip {

    private final Reach reach;
    private final int[] frets;
    private final int held;
    private final int span;
    private final Hold[] fingers;
    private final Hold[] underThumb;
    private final int underThumbLow;
    private final int[] fingersFrom;
    private final int[] underThumbFrom;
    private final double leastEffort;

    /**
     * @param frets per string from 1, the lowest fret that is held; 0 where a string is not held
     * @param fingers ways to hold it
     * @param underThumb ways to hold it but for the lowest string; empty where that is not held
     */
    Grip(Reach reach, int[] frets, List<Hold> fingers, List<Hold> underThumb) {
        this.reach = reach;
        this.frets = frets;
        this.fingers = fingers.toArray(Hold[]::new);
        this.underThumb = underThumb.toArray(Hold[]::new);
        int strings = 0;
        int highest = 0;
        int low = 0;
        for (int s = 0; s < frets.length; s++) {
            if (frets[s] > 0) {
                strings |= 1 << s;
                highest = Math.max(highest, frets[s]);
                low = s > 0 && (low == 0 || frets[s] < low) ? frets[s] : low;
            }
        }
        held = strings;
        span = highest == 0 ? 0 : highest - 1;
        underThumbLow = low;
        fingersFrom = fingers.stream().mapToInt(reach::lowestPlace).toArray();
        underThumbFrom = underThumb.stream().mapToInt(reach::lowestPlace).toArray();
        leastEffort = least();
    }

    /** Strings that it holds, a bit each, the lowest string's first. */
    public int held() {
        return held;
    }

    /** Frets from its lowest to its highest note. */
    public int span() {
        return span;
    }

    /** The first place, that is the lowest fret held, that the hand reaches; 0 for none held. */
    public int lowestPlace() {
        return held == 0 ? 0 : reach.lowestPlace(span);
    }

    /** The last place on the neck. */
    public int highestPlace() {
        return held == 0 ? 0 : reach.frets() - span;
    }

    /** No place and no open strings make its effort less than this. */
    public double leastEffort() {
        return leastEffort;
    }

    private double least() {
        double least = fingers.length == 0 ? Double.POSITIVE_INFINITY : fingers[0].least();
        if (underThumb.length > 0) {
            least = Math.min(least, underThumb[0].least() + Fingering.THUMB);
        }
        return held == 0 ? 0 : least;
    }

    /**
     * The fret of a string that is held.
     *
     * @param place lowest fret that is held
     */
    public int fret(int string, int place) {
        return frets[string] + place - 1;
    }

    /**
     * The frets of the shape.
     *
     * @param place lowest fret that is held
     * @param opens strings that ring open, a bit each
     */
    public int[] frets(int place, int opens) {
        int[] all = new int[frets.length];
        for (int s = 0; s < all.length; s++) {
            boolean silent = frets[s] == 0;
            all[s] = !silent ? frets[s] + place - 1 : (opens >> s & 1) != 0 ? 0 : Shape.SILENT;
        }
        return all;
    }

    /** The fingers beside a thumb on the lowest string, and the effort of both. */
    private record Holding(Hold hold, Fingering.Effort effort) {}

    /**
     * The least effort of holding it so; infinite where the hand does not get there in a riff.
     *
     * @param place lowest fret that is held, from {@link #lowestPlace} to {@link #highestPlace}
     * @param opens strings that ring open, a bit each
     */
    public double effort(int place, int opens) {
        if (held == 0) {
            return silences(opens);
        }
        double ease = reach.ease(place, span);
        double least = Double.POSITIVE_INFINITY;
        Hold plain = best(fingers, fingersFrom, place, opens);
        if (plain != null) {
            least = plain.effort(ease, silences(held | opens), plain.ringing(opens));
        }
        if (thumbMayHelp(place, plain)) {
            Holding over = overThumb(place, opens);
            least = over == null ? least : Math.min(least, over.effort().total());
        }
        return Fingering.quick(least, ease) ? least : Double.POSITIVE_INFINITY;
    }

    /** How it is held with the least effort, where {@link #effort} is finite. */
    public Fingering fingering(int place, int opens) {
        double silences = silences(held | opens);
        if (held == 0) {
            return new Fingering(List.of(), new Fingering.Effort(0, 0, 0, 0, silences, 0, 0), 0);
        }
        Hold plain = best(fingers, fingersFrom, place, opens);
        Holding over = thumbMayHelp(place, plain) ? overThumb(place, opens) : null;
        if (plain != null) {
            double ease = reach.ease(place, span);
            Fingering.Effort effort = plain.parts(ease, silences, plain.ringing(opens));
            if (over == null || effort.total() <= over.effort().total()) {
                return new Fingering(plain.presses(place - 1), effort, reach.mm(place, span));
            }
        }
        List<Press> presses = new ArrayList<>(over.hold().presses(place - 1));
        presses.add(0, Press.of(Fingering.THUMB_FINGER, fret(0, place), 0, 0));
        return new Fingering(presses, over.effort(), reach.mm(place, span));
    }

    private boolean thumbMayHelp(int place, Hold plain) {
        return underThumb.length > 0
                && Fingering.thumbReaches(frets[0] + place - 1, underThumbLow + place - 1)
                && (plain == null || frets[1] == 0);
    }

    /** How it is held with the thumb on the lowest string; null where the rest cannot be. */
    private Holding overThumb(int place, int opens) {
        Hold rest = best(underThumb, underThumbFrom, place, opens);
        if (rest == null || rest.fingers().length < 2) {
            return null;
        }
        double ease = reach.ease(place, span);
        double silences = silences(held | opens);
        Fingering.Effort effort = rest.parts(ease, silences, rest.ringing(opens));
        return new Holding(rest, effort.withThumb(ease, silences));
    }

    /** The hold of the least effort that reaches; holds come with the least first. */
    private static Hold best(Hold[] holds, int[] from, int place, int opens) {
        Hold best = null;
        double least = Double.POSITIVE_INFINITY;
        for (int i = 0; i < from.length; i++) {
            if (place >= from[i]) {
                Hold h = holds[i];
                if (h.harderThan(least)) {
                    break;
                }
                if (h.easierThan(best, opens)) {
                    best = h;
                    least = h.least() + h.ringing(opens);
                }
            }
        }
        return best;
    }

    private static double silences(int sounding) {
        return Fingering.silences(inner(sounding));
    }

    /**
     * How many strings are silent between those that sound.
     *
     * @param sounding strings that sound, a bit each
     */
    public static int inner(int sounding) {
        int from = Integer.numberOfTrailingZeros(sounding);
        int to = 31 - Integer.numberOfLeadingZeros(sounding);
        return sounding == 0 ? 0 : to - from + 1 - Integer.bitCount(sounding);
    }
}
