package vocalis.core.mix;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Stream;
import vocalis.core.hands.LoopPath;
import vocalis.core.mix.Groove.BassNote;
import vocalis.core.revoice.Rub;
import vocalis.core.rhythm.MeterMap;
import vocalis.core.rhythm.Ticks;
import vocalis.core.score.Harmony;
import vocalis.core.score.Onset;
import vocalis.core.score.Score;
import vocalis.core.score.ScoreNote;

/**
 * A bass player: an octave under the guitar in every tuning, moving the way the guitar moves,
 * nearer to the riff's rhythm or farther from it, and reaching each next root by a step. Common
 * practice, no source; costs set by hand.
 */
public final class Bassist {

    private static final int OCTAVE = 12;

    /** How high over its lowest string it goes for a root before it costs, in semitones. */
    private static final int COMFORTABLE = 14;

    /** What a root costs that moves against the guitar's. */
    private static final double AGAINST = 6;

    private static final double PER_SEMITONE = 0.1;
    private static final double PER_SEMITONE_HIGH = 0.3;

    /** A chord shorter than this leaves no room to approach the next. */
    private static final long ROOM = 2 * Ticks.QUARTER;

    private final Score score;
    private final Optional<Score> second;
    private final long from;
    private final long to;
    private final Struck struck;
    private final int low;
    private final int[] roots;
    private final int inUse;
    private final List<BassNote> notes = new ArrayList<>();

    private Bassist(Score score, Optional<Score> second, long from, long to) {
        this.score = score;
        this.second = second;
        this.from = from;
        this.to = to;
        struck = new Struck(score);
        low = lowest(score);
        roots = roots();
        int pcs = 0;
        for (ScoreNote n : score.notes()) {
            pcs |= 1 << score.board().midi(n.string(), n.fret()) % OCTAVE;
        }
        inUse = pcs;
    }

    /** The bass guitar's lowest string: an octave under the guitar's without a capo. */
    public static int lowest(Score score) {
        return score.board().instrument().tuning().open().get(0) - OCTAVE;
    }

    /** What it plays under a whole score. */
    public static List<BassNote> of(Score score, Mix.BassLine line, int tonic) {
        return of(score, Optional.empty(), 0, score.length(), line, tonic);
    }

    /**
     * The same in a stretch: the notes that begin in it.
     *
     * @param second what a second guitar plays over the score
     * @param tonic pitch class that a pedal stays on
     */
    public static List<BassNote> of(
            Score score, Optional<Score> second, long from, long to, Mix.BassLine line, int tonic) {
        return new Bassist(score, second, from, to).play(line, tonic);
    }

    /**
     * Notes of its own in a stretch: the figure's steps from every bar line on, over the bass of
     * the chord that sounds.
     */
    public static List<BassNote> of(Score score, long from, long to, BassFigure figure) {
        return new Bassist(score, Optional.empty(), from, to).figure(figure);
    }

    private List<BassNote> play(Mix.BassLine line, int tonic) {
        int first = Math.max(0, score.harmonyAt(from));
        for (int i = first; i < score.harmonies().size(); i++) {
            Harmony chord = score.harmonies().get(i);
            if (chord.at() >= to) {
                break;
            }
            TreeMap<Long, Integer> onsets = new TreeMap<>();
            int root = roots[i];
            switch (line) {
                case PEDAL -> pulses(chord, low + Math.floorMod(tonic - low, OCTAVE), onsets);
                case ROOTS -> pulses(chord, root, onsets);
                case LOCKED -> locked(chord, root, onsets);
                case FOLLOWING -> following(chord, root, onsets);
                case BETWEEN -> between(chord, root, onsets);
            }
            if (line != Mix.BassLine.PEDAL && line != Mix.BassLine.FOLLOWING) {
                approach(i, chord, onsets);
            }
            add(chord, onsets);
        }
        return List.copyOf(notes);
    }

    /** Each until the next or the chord's end. */
    private void add(Harmony chord, TreeMap<Long, Integer> onsets) {
        for (Map.Entry<Long, Integer> e : onsets.entrySet()) {
            long at = e.getKey();
            Long next = onsets.higherKey(at);
            long end = next == null ? chord.end() : next;
            if (at >= from && at < to) {
                boolean strong = at == chord.at() || struck.at(at) == Struck.ACCENT;
                notes.add(new BassNote(at, end - at, e.getValue(), strong ? 0.9 : 0.75));
            }
        }
    }

    /** On the pulses of the bar. */
    private void pulses(Harmony chord, int midi, Map<Long, Integer> onsets) {
        MeterMap meters = score.time().meters();
        onsets.put(chord.at(), midi);
        for (int bar = Math.max(0, meters.bar(chord.at()));
                meters.start(bar) < chord.end();
                bar++) {
            var meter = meters.meter(bar);
            for (Pulse p : Pulse.of(meter, after -> struck.inBarsOf(meter, after))) {
                long at = meters.start(bar) + p.at();
                if (at > chord.at() && at < chord.end()) {
                    onsets.put(at, midi);
                }
            }
        }
    }

    /** With what the riff accents or strikes low; on the pulses where it does neither. */
    private void locked(Harmony chord, int root, TreeMap<Long, Integer> onsets) {
        struck.between(chord.at(), chord.end())
                .forEach(
                        (at, weight) -> {
                            if (weight >= Struck.LOW) {
                                onsets.put(at, root);
                            }
                        });
        if (onsets.isEmpty()) {
            pulses(chord, root, onsets);
        }
        onsets.put(chord.at(), root);
    }

    /** With every stroke; single notes an octave under the guitar's. */
    private void following(Harmony chord, int root, TreeMap<Long, Integer> onsets) {
        for (int i = score.firstFrom(chord.at()); i < score.onsets().size(); i++) {
            Onset o = score.onsets().get(i);
            if (o.at() >= chord.end()) {
                break;
            }
            if (struck.at(o.at()) > 0) {
                boolean line = o.notes().size() == 1 && !o.muted();
                onsets.put(o.at(), line ? under(sounding(o.notes().get(0))) : root);
            }
        }
        if (onsets.isEmpty()) {
            onsets.put(chord.at(), root);
        }
    }

    private int sounding(ScoreNote n) {
        return score.board().midi(n.string(), n.fret());
    }

    /** A guitar's pitch an octave lower, by more octaves where that leaves the bass's reach. */
    private int under(int midi) {
        int m = midi - OCTAVE;
        while (m > low + 2 * OCTAVE - 1) {
            m -= OCTAVE;
        }
        while (m < low) {
            m += OCTAVE;
        }
        return m;
    }

    /** The root on the one of the chord, then fifth and octave on eighths that the riff leaves. */
    private void between(Harmony chord, int root, TreeMap<Long, Integer> onsets) {
        onsets.put(chord.at(), root);
        int fifth = (inUse >> (root + 7) % OCTAVE & 1) != 0 ? root + 7 : root + OCTAVE;
        int[] turns = {fifth, root + OCTAVE, fifth, root};
        int n = 0;
        for (long at = chord.at() + Ticks.EIGHTH; at < chord.end(); at += Ticks.EIGHTH) {
            if (struck.at(at) == 0) {
                onsets.put(at, turns[n++ % turns.length]);
            }
        }
    }

    /**
     * The last eighth before another root: a step from it, from the side that it comes from where
     * that rubs with no guitar, else from the other; none where every step rubs.
     */
    private void approach(int i, Harmony chord, TreeMap<Long, Integer> onsets) {
        int next = roots[(i + 1) % roots.length];
        long at = chord.end() - Ticks.EIGHTH;
        if (chord.length() < ROOM || next == roots[i] || at <= chord.at()) {
            return;
        }
        int side = next > roots[i] ? -1 : 1;
        int[] steps = {next + side, next + 2 * side, next - side, next - 2 * side};
        for (boolean inKey : new boolean[] {true, false}) {
            for (int step : steps) {
                boolean fits = step != roots[i] && step >= low && used(step) == inKey;
                if (fits && !rubs(step, at, chord.end())) {
                    onsets.tailMap(at).clear();
                    onsets.put(at, step);
                    return;
                }
            }
        }
    }

    private boolean used(int midi) {
        return (inUse >> Math.floorMod(midi, OCTAVE) & 1) != 0;
    }

    private boolean rubs(int midi, long begin, long end) {
        return Stream.concat(Stream.of(score), second.stream())
                .flatMap(s -> sounding(s, begin, end))
                .anyMatch(m -> Rub.kind(m, midi).isPresent());
    }

    /** What rings or is struck in a time: of each string the last note before its end. */
    private static Stream<Integer> sounding(Score s, long begin, long end) {
        Map<Integer, ScoreNote> last = new TreeMap<>();
        int chord = s.harmonyAt(begin);
        long since = chord < 0 ? begin : s.harmonies().get(chord).at();
        for (int i = s.firstFrom(since); i < s.onsets().size(); i++) {
            Onset o = s.onsets().get(i);
            if (o.at() >= end) {
                break;
            }
            o.notes().forEach(n -> last.put(n.string(), n));
        }
        return last.values().stream()
                .filter(n -> n.rings() || n.end() > begin)
                .map(n -> s.board().midi(n.string(), n.fret()));
    }

    private List<BassNote> figure(BassFigure figure) {
        MeterMap meters = score.time().meters();
        long step = BassFigure.stepTicks();
        for (int bar = meters.bar(from); meters.start(bar) < to; bar++) {
            long begin = bar < 0 ? from : Math.max(from, meters.start(bar));
            long end = Math.min(to, meters.end(bar));
            int i = 0;
            for (long at = begin; at < end; at += step) {
                BassFigure.Step s = figure.steps().get(i++ % figure.steps().size());
                long lasts = Math.min(step, end - at);
                int chord = score.harmonyAt(at);
                boolean holds = s == BassFigure.Step.Still.HOLD && !notes.isEmpty();
                if (s instanceof BassFigure.Step.Note n && chord >= 0) {
                    int midi = pitch(chord, 0) + n.semitones();
                    notes.add(new BassNote(at, lasts, midi, at == begin ? 0.9 : 0.8));
                } else if (holds && end(notes) == at) {
                    BassNote held = notes.remove(notes.size() - 1);
                    long longer = held.length() + lasts;
                    notes.add(new BassNote(held.at(), longer, held.midi(), held.velocity()));
                }
            }
        }
        return List.copyOf(notes);
    }

    private static long end(List<BassNote> notes) {
        BassNote last = notes.get(notes.size() - 1);
        return last.at() + last.length();
    }

    /** A pitch for every chord's root, so that they move as the guitar's move. */
    private int[] roots() {
        List<Harmony> chords = score.harmonies();
        int[] guitar = new int[chords.size()];
        List<double[]> alone = new ArrayList<>();
        for (int i = 0; i < guitar.length; i++) {
            guitar[i] = guitar(chords.get(i));
            alone.add(new double[] {high(pitch(i, 0)), high(pitch(i, 1))});
        }
        int[] out = new int[guitar.length];
        if (out.length == 0) {
            return out;
        }
        LoopPath path =
                LoopPath.around(
                        alone,
                        (i, a, b) -> {
                            int next = (i + 1) % out.length;
                            return way(guitar[i], guitar[next], pitch(i, a), pitch(next, b));
                        });
        for (int i = 0; i < out.length; i++) {
            out[i] = pitch(i, path.taken().get(i));
        }
        return out;
    }

    private int pitch(int chord, int octave) {
        int bass = score.harmonies().get(chord).bass();
        return low + Math.floorMod(bass - low, OCTAVE) + octave * OCTAVE;
    }

    private double high(int midi) {
        return PER_SEMITONE_HIGH * Math.max(0, midi - low - COMFORTABLE);
    }

    private static double way(int guitar, int guitarNext, int midi, int next) {
        boolean known = guitar > 0 && guitarNext > 0;
        boolean along = Integer.signum(guitarNext - guitar) == Integer.signum(next - midi);
        return PER_SEMITONE * Math.abs(next - midi) + (known && !along ? AGAINST : 0);
    }

    /** Where the guitar has a chord's bass: its lowest, else its lowest note; 0 where it rests. */
    private int guitar(Harmony chord) {
        int lowest = Integer.MAX_VALUE;
        int root = Integer.MAX_VALUE;
        for (int i = score.firstFrom(chord.at()); i < score.onsets().size(); i++) {
            Onset o = score.onsets().get(i);
            if (o.at() >= chord.end()) {
                break;
            }
            for (ScoreNote n : o.notes()) {
                int midi = sounding(n);
                lowest = Math.min(lowest, midi);
                root = midi % OCTAVE == chord.bass() ? Math.min(root, midi) : root;
            }
        }
        return root < Integer.MAX_VALUE ? root : lowest < Integer.MAX_VALUE ? lowest : 0;
    }
}
