package vocalis.core.vary;

import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import vocalis.core.derive.Derived;
import vocalis.core.edit.Scope;
import vocalis.core.edit.Strokes;
import vocalis.core.pattern.LineNote;
import vocalis.core.pattern.LinePitch;
import vocalis.core.rhythm.Ticks;
import vocalis.core.riff.Lines;
import vocalis.core.riff.Riff;
import vocalis.core.riff.Root;
import vocalis.core.score.Onset;
import vocalis.core.theory.Key;

/**
 * Single notes that lead from chord to chord or climb over one, in the riff's own subdivision, in
 * the place of the strokes in their way. Common practice, no source.
 */
public final class Walks {

    private static final int[] CLIMB = {1, 2, 3, 5};
    private static final int FEWEST = 3;
    private static final int WALKED = 2;
    private static final int HIGHEST_OCTAVE = 5;

    private Walks() {}

    /**
     * The distance between strokes that a riff has most: a triplet, a sixteenth up to a quarter.
     */
    public static long subdivision(Derived derived) {
        Map<Long, Integer> seen = new TreeMap<>();
        List<Onset> all = derived.score().onsets();
        for (int i = 1; i < all.size(); i++) {
            long apart = all.get(i).at() - all.get(i - 1).at();
            if (apart >= Ticks.SIXTEENTH && apart <= Ticks.QUARTER) {
                seen.merge(apart, 1, Integer::sum);
            }
        }
        long unit = Ticks.EIGHTH;
        int most = 0;
        for (Map.Entry<Long, Integer> e : seen.entrySet()) {
            boolean divides = Ticks.HALF % e.getKey() == 0;
            if (divides && e.getValue() > most) {
                most = e.getValue();
                unit = e.getKey();
            }
        }
        return Math.min(unit, Ticks.EIGHTH);
    }

    /** Two notes of the scale before every new root, up or down to its lowest note. */
    static Riff walked(Derived derived) {
        Riff riff = derived.riff();
        Key key = riff.ground().key();
        long unit = subdivision(derived);
        Riff out = riff;
        int n = riff.roots().size();
        for (int i = 0; i < n; i++) {
            int from = bass(derived, i);
            int to = bass(derived, (i + 1) % n);
            long end = derived.chord(i).end();
            if (derived.chord(i).length() < 2 * WALKED * unit || from == to) {
                continue;
            }
            int way = from < to ? -1 : 1;
            int near = scale(key, to, way);
            int far = scale(key, near, way);
            if (degree(riff, far) != null && degree(riff, near) != null) {
                out = Strokes.emptied(out, end - WALKED * unit, end);
                out = note(out, end - WALKED * unit, unit, degree(riff, far));
                out = note(out, end - unit, unit, degree(riff, near));
            }
        }
        return out;
    }

    private static int bass(Derived derived, int chord) {
        return derived.chord(chord).candidate().voicing().bass();
    }

    /** The next pitch of the scale from one, up or down. */
    private static int scale(Key key, int from, int way) {
        int midi = from + way;
        while (!key.contains(Math.floorMod(midi, 12))) {
            midi += way;
        }
        return midi;
    }

    /** A pitch as a degree of the key; null where none of the neck's octaves has it. */
    private static LinePitch degree(Riff riff, int midi) {
        Key key = riff.ground().key();
        Root r = Root.of(key, Math.floorMod(midi, 12));
        for (int octave = 0; octave <= HIGHEST_OCTAVE; octave++) {
            LinePitch.Degree d =
                    new LinePitch.Degree(
                            LinePitch.Above.KEY,
                            r.step(),
                            Math.max(-2, Math.min(2, r.alter())),
                            octave);
            if (Lines.midi(riff.ground(), d, 0) == midi) {
                return d;
            }
        }
        return null;
    }

    private static Riff note(Riff riff, long at, long length, LinePitch pitch) {
        return Strokes.put(riff, at, new LineNote(0, 0, length, pitch), Scope.THIS_PASS);
    }

    /** A line that climbs over the chord at its end, in three or four notes. */
    static Riff climbing(Derived derived, int chord) {
        Riff riff = derived.riff();
        long unit = subdivision(derived);
        long length = riff.roots().get(chord).length();
        int n = (int) Math.min(CLIMB.length, length / 2 / unit);
        if (n < FEWEST) {
            return riff;
        }
        long at = riff.start(chord) + length - n * unit;
        Riff out = Strokes.emptied(riff, at, at + n * unit);
        for (int i = 0; i < n; i++) {
            LinePitch p = new LinePitch.Degree(LinePitch.Above.ROOT, CLIMB[i], 0, 1);
            out = note(out, at + i * unit, unit, p);
        }
        return out;
    }
}
