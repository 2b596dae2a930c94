package vocalis.core.choice;

import java.util.Set;
import vocalis.core.theory.PitchClassSet;
import vocalis.core.voicing.BareVoicing;
import vocalis.core.voicing.Family;
import vocalis.core.voicing.OpenPosition;

/**
 * What a family is for, as a charge on a voicing: 0 for the form that players think of first, more
 * the farther from it, whichever key and neighbours. Set by hand after common practice and
 * published in docs/figures.md.
 */
final class Purpose {

    private static final double KNOWN = -2.0;

    private static final double RINGS = 1.6;
    private static final double PAST_OPEN_POSITION = RINGS + 0.6;
    private static final PitchClassSet POWER = PitchClassSet.of(0, 7);
    private static final PitchClassSet MAJOR = PitchClassSet.of(0, 4, 7);
    private static final PitchClassSet MINOR = PitchClassSet.of(0, 3, 7);
    private static final PitchClassSet ROOT = PitchClassSet.of(0);

    /** Beside an octave they rub. */
    private static final PitchClassSet RUBBING = PitchClassSet.of(1, 6, 11);

    private static final Set<PitchClassSet> SUSPENDED =
            Set.of(PitchClassSet.of(0, 2, 7), PitchClassSet.of(0, 5, 7));
    private static final Set<PitchClassSet> ADDED_NINTH =
            Set.of(PitchClassSet.of(0, 2, 4, 7), PitchClassSet.of(0, 2, 3, 7));
    private static final Set<PitchClassSet> SIXTH =
            Set.of(PitchClassSet.of(0, 4, 7, 9), PitchClassSet.of(0, 3, 7, 9));
    private static final Set<PitchClassSet> ADDED_TO_FIFTH =
            Set.of(PitchClassSet.of(0, 6, 7), PitchClassSet.of(0, 7, 9));
    private static final PitchClassSet SIX_NINE = PitchClassSet.of(0, 2, 4, 7, 9);
    private static final PitchClassSet SEVENTH_TONES = PitchClassSet.of(0, 3, 4, 7, 10, 11);
    private static final PitchClassSet SEVENTH_SUSPENDED = PitchClassSet.of(0, 5, 10);
    private static final Set<PitchClassSet> SYMMETRIC =
            Set.of(
                    PitchClassSet.of(0, 3, 6),
                    PitchClassSet.of(0, 4, 8),
                    PitchClassSet.of(0, 3, 6, 9));
    private static final Set<PitchClassSet> THIRTEENTHS =
            Set.of(PitchClassSet.of(9), PitchClassSet.of(2, 9));
    private static final PitchClassSet NINTH = PitchClassSet.of(2);
    private static final PitchClassSet FLAT_FIFTH = PitchClassSet.of(6);
    private static final Set<PitchClassSet> ALTERED =
            Set.of(PitchClassSet.of(1), PitchClassSet.of(6), PitchClassSet.of(8));

    private final BareVoicing v;
    private final int[] degrees;
    private final PitchClassSet all;
    private final PitchClassSet own;
    private final int opens;
    private final int voices;
    private final int first;
    private final int span;
    private final int inner;
    private final int low;
    private final int high;
    private final int bass;

    private Purpose(BareVoicing v) {
        this.v = v;
        int[] sounded = new int[v.strings()];
        int sounding = 0;
        int held = 0;
        int open = 0;
        int lowest = Integer.MAX_VALUE;
        int highest = 0;
        int firstString = 0;
        int last = -1;
        int silent = 0;
        int lowFret = 0;
        int highFret = 0;
        int n = 0;
        for (int s = 0; s < v.strings(); s++) {
            int fret = v.fret(s);
            if (fret < 0) {
                continue;
            }
            lowest = Math.min(lowest, v.midi(s));
            highest = Math.max(highest, v.midi(s));
            firstString = n == 0 ? s : firstString;
            sounded[n] = v.degree(s);
            sounding |= 1 << sounded[n];
            silent += n == 0 ? 0 : s - last - 1;
            if (fret == 0) {
                open++;
            } else {
                held |= 1 << sounded[n];
                lowFret = lowFret == 0 ? fret : Math.min(lowFret, fret);
                highFret = Math.max(highFret, fret);
            }
            last = s;
            n++;
        }
        degrees = sounded;
        voices = n;
        all = new PitchClassSet(sounding);
        own = new PitchClassSet(held);
        opens = open;
        inner = silent;
        first = firstString;
        span = highest - lowest;
        low = lowFret;
        high = highFret;
        bass = Math.floorMod(lowest - v.root(), 12);
    }

    /** The charge of a voicing in a family. */
    static double charge(Family family, BareVoicing v) {
        Purpose p = new Purpose(v);
        return switch (family) {
            case POWER -> p.power();
            case FOURTH -> p.fourth();
            case THIRD -> p.third();
            case OCTAVE -> p.octave();
            case TRIAD -> p.triad();
            case SUSPENDED -> p.suspended();
            case EXTENDED -> p.extended();
            case DRONE -> p.drone();
            case SUBSTITUTE -> p.substitute();
        };
    }

    /**
     * No voicing of a family whose open strings ring past the open position is charged less.
     *
     * @param knownRings whether a form that is known by heart rings there in this tuning
     */
    static double leastPastOpenPosition(Family family, boolean knownRings) {
        return switch (family) {
            case DRONE -> -1.0;
            case SUSPENDED, EXTENDED -> knownRings ? KNOWN - 1.1 : PAST_OPEN_POSITION;
            case TRIAD -> (knownRings ? KNOWN - 1.1 : PAST_OPEN_POSITION) - 0.6;
            case SUBSTITUTE -> knownRings ? 0 : RINGS;
            default -> -1.0;
        };
    }

    private boolean has(int degree) {
        return all.has(degree);
    }

    /** 1-5-8 on neighbouring strings, then the bare fifth, then stacks. */
    private double power() {
        boolean neighbours = inner == 0;
        boolean plain =
                voices == 3 && neighbours && degrees[0] == 0 && degrees[1] == 7 && degrees[2] == 0;
        if (plain) {
            return -0.3;
        }
        // Full forms that players know by heart stand behind the three-string one, before stacks.
        if (opens > 0 && voices > 2 && KnownForms.has(v)) {
            return 0.5;
        }
        return ringsPastOpenPosition()
                + (voices == 2 && neighbours ? 0.4 : 0.9 + 0.3 * Math.abs(voices - 3));
    }

    private double fourth() {
        return 0.9 * (voices - 2) + rings();
    }

    /** A dyad moves; a string that rings beside one held does not. */
    private double rings() {
        return opens > 0 && opens < voices ? 0.6 + ringsPastOpenPosition() : 0;
    }

    /** The close third on two strings; then tenths; then sixths; then doublings. */
    private double third() {
        if (voices > 2) {
            return 2.4 + 0.4 * (voices - 3) + rings();
        }
        boolean tenth = span > 12 && bass == 0;
        // Close thirds lie on neighbouring strings; over a silent one they are a stretch.
        double form = span <= 4 ? -0.4 + 0.8 * inner : tenth ? 0.8 : 1.2;
        return form + rings();
    }

    /** Two notes across one or two silent strings; a string ringing inside; unisons. */
    private double octave() {
        if (opens == 0 && voices == 2) {
            return span == 0 ? 1.0 : inner <= 1 ? -0.5 : 0.5;
        }
        boolean plain = all.equals(ROOT);
        if (plain) {
            return voices == 3 && opens == 1 && v.fret(first) > 0 && inner == 0 ? 0.3 : 0.9;
        }
        // One string left ringing inside the grip, or beside it; more of them are a wash.
        boolean inside = opens == 1 && voices == 3 && v.fret(first) > 0 && inner <= 1;
        // A semitone or a tritone inside an octave is a sound of its own, not the first that is
        // meant.
        double rub = all.meets(RUBBING) ? 1.2 : 0;
        return rub + (inside ? 0.4 : 1.2 + 0.3 * Math.abs(voices - 3));
    }

    /** Closed on three neighbouring strings, above all 5-1-3; the full barre and open forms. */
    private double triad() {
        double type = all.equals(MAJOR) || all.equals(MINOR) ? 0 : 1.6;
        boolean five13 = voices == 3 && inner == 0 && bass == 7;
        return type + form(type == 0) - (five13 ? 0.2 : 0);
    }

    /** Suspensions and added ninths, in thin and full forms, over their root. */
    private double suspended() {
        double cost = bass == 0 ? 0 : bass == 7 ? 0.7 : 1.6;
        boolean suspended = SUSPENDED.contains(all);
        boolean added = ADDED_NINTH.contains(all);
        boolean sixth = SIXTH.contains(all);
        boolean sharp = ADDED_TO_FIFTH.contains(all);
        boolean sixNine = all.equals(SIX_NINE);
        cost += suspended ? 0 : added ? 0.1 : sixth || sixNine ? 0.3 : sharp ? 0.6 : 1.4;
        return cost + form(suspended || added || sixth);
    }

    /** Sevenths that have a third, with or without fifth; then ninths; then the rest. */
    private double extended() {
        double cost = bass == 0 ? 0 : bass == 7 ? 0.9 : 1.6;
        boolean third = has(3) || has(4);
        boolean seventh = has(10) || has(11);
        PitchClassSet rest = all.without(SEVENTH_TONES);
        if (third && seventh) {
            cost += tensions(rest);
        } else if (has(5) && has(10)) {
            cost += rest.without(5).isEmpty() ? 0.2 : 1.2;
        } else if (SYMMETRIC.contains(all)) {
            cost += 0.6;
        } else {
            cost += voices == 2 ? 1.0 : 1.3;
        }
        boolean plain = third && seventh && rest.isEmpty() && !(has(3) && has(4));
        return cost + form(plain || all.without(7).equals(SEVENTH_SUSPENDED));
    }

    private double tensions(PitchClassSet rest) {
        if (has(3) && has(4)) {
            return rest.isEmpty() ? 0.1 : 1.2;
        }
        double cost = has(3) && has(11) ? 0.6 : 0;
        if (THIRTEENTHS.contains(rest)) {
            return cost + 0.4;
        }
        if (rest.equals(NINTH) || rest.equals(FLAT_FIFTH) && has(3)) {
            return cost + 0.2;
        }
        if (ALTERED.contains(rest)) {
            return cost + 0.6;
        }
        if (rest.has(5)) {
            return cost + (has(4) ? 1.5 : 0.6);
        }
        return cost + (rest.isEmpty() ? 0 : 1.0);
    }

    /**
     * How near a chord is to a form that players know by heart: every string from the root up in
     * open position or under a barre at the root, three or four neighbouring strings, a bass with
     * the rest a string away.
     *
     * @param plain whether it is a chord that is known in its full forms
     */
    private double form(boolean plain) {
        if (voices > 2 && KnownForms.has(v)) {
            return voices < 5 ? KNOWN : opens > 0 ? KNOWN - 1.1 : KNOWN - 0.4;
        }
        int bassFret = v.fret(first);
        boolean gap = inner == 1 && !v.sounds(first + 1) && bassFret > 0;
        boolean closed = inner == 0;
        boolean reachesTop = v.sounds(v.strings() - 1) && bass == 0 && voices >= 4;
        if (opens > 0) {
            if (high > OpenPosition.LAST_FRET) {
                return PAST_OPEN_POSITION;
            }
            if (reachesTop && knownByHeart() && (closed || gap)) {
                return (closed ? -1.0 : -0.7) + (plain ? 0 : 0.4) + (high == 4 ? 0.3 : 0);
            }
            return 0.6 + (v.sounds(v.strings() - 1) ? 0 : 0.5) + (bass == 0 ? 0 : 0.3);
        }
        boolean underBarre = bassFret == low;
        if (reachesTop && closed && voices >= 5) {
            return underBarre ? plain ? -1.0 : 0.2 : 0.6;
        }
        if (closed) {
            return voices <= 4 ? reachesTop ? -0.3 : 0 : 0.4;
        }
        return gap && bass == 0 && voices <= 4 ? -0.3 : 0.9;
    }

    /**
     * Fingers in one place or two, or single ones; not one below an open string and the rest above
     * it.
     */
    private boolean knownByHeart() {
        int groups = 0;
        int first = 0;
        int largest = 0;
        int size = 0;
        for (int s = 0; s < v.strings(); s++) {
            boolean held = v.fret(s) > 0;
            groups += held && size == 0 ? 1 : 0;
            size = held ? size + 1 : 0;
            largest = Math.max(largest, size);
            first = groups == 1 ? Math.max(first, size) : first;
        }
        return groups <= 1 || groups == 2 && (first > 1 || largest == 1) || largest == 1;
    }

    /** Open strings belong beside a shape in open position, or to the drones. */
    private double ringsPastOpenPosition() {
        return opens > 0 && high > OpenPosition.LAST_FRET ? RINGS : 0;
    }

    /** Strings past those that ring, which no finger is left to silence. */
    private int silentPast(int last) {
        int past = 0;
        for (int s = v.strings() - 1; s > last && !v.sounds(s); s--) {
            past++;
        }
        return past;
    }

    /** A shape that slides on neighbouring strings under strings that ring above or below it. */
    private double drone() {
        int first = -1;
        int last = -1;
        int held = 0;
        for (int s = 0; s < v.strings(); s++) {
            if (v.fret(s) > 0) {
                first = first < 0 ? s : first;
                last = s;
                held++;
            }
        }
        int inside = last - first + 1 - held;
        int above = 0;
        for (int s = last + 1; s < v.strings(); s++) {
            above += v.fret(s) == 0 ? 1 : 0;
        }
        // The power chord that players slide, then triads, thirds and octaves.
        boolean plain =
                held == 3
                        && inside == 0
                        && own.equals(POWER)
                        && degrees[indexOf(first)] == 0
                        && degrees[indexOf(last)] == 0;
        double cost =
                plain
                        ? -1.0
                        : own.equals(POWER) || own.equals(MAJOR) || own.equals(MINOR) ? 0 : 0.5;
        cost += 0.7 * inside;
        // In open position it is a chord of its own, not a shape that slides.
        cost += low <= 1 ? 1.2 : 0;
        // One or two strings ring over the shape; one under it is another bass, three are a wash.
        cost += 0.9 * Math.max(0, opens - 2) + 2.0 * (opens - above);
        cost += voices > 3 ? 0 : 0.4;
        // What lies silent between the shape and the strings that ring must be held silent.
        cost += 0.5 * inner;
        cost += 1.5 * silentPast(last);
        // Shells of sevenths slide seldom.
        cost += own.has(10) ? 2.0 : 0;
        boolean rootUnder = bass == 0;
        return cost + (rootUnder ? 0 : 1.6);
    }

    /** Where a string stands among the sounded ones. */
    private int indexOf(int string) {
        int before = 0;
        for (int s = 0; s < string; s++) {
            before += v.sounds(s) ? 1 : 0;
        }
        return before;
    }

    /** The seventh a tritone away, then the triads and sevenths on the other notes. */
    private double substitute() {
        boolean tritone = has(6) && has(10) && has(4);
        // It stands in as the chord that it is: over its own bass, in a form that hands know.
        boolean known = KnownForms.has(v.on((v.root() + bass) % 12));
        double cost = tritone ? 0 : 0.8;
        if (known) {
            cost -= opens > 0 ? 1.6 : 1.2;
        } else {
            cost += 0.4 * Math.max(0, voices - 4);
        }
        cost += all.size() >= 4 && !tritone ? 0.3 : 0;
        boolean position = high <= OpenPosition.LAST_FRET;
        cost += opens == 0 ? 0 : position ? known ? 0 : 0.5 : ringsPastOpenPosition();
        return cost + (known ? 0 : 0.3 * inner);
    }
}
