package vocalis.core.score;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * How long notes sound, not how long they are written: a struck string rings on until it is struck
 * again, the chord changes, the palm lies down or a rest damps it; one that is let ring sounds
 * through the next chord too. This is what the sound does.
 */
public final class Ringing {

    /**
     * A pitch that sounds.
     *
     * @param midi MIDI number
     * @param from ticks from the start
     * @param to where it is damped, struck again, or moved to another fret
     * @param note what was struck
     */
    public record Sound(int midi, long from, long to, ScoreNote note) {

        /** How many ticks two sound together. */
        public long together(Sound other) {
            return Math.min(to, other.to) - Math.max(from, other.from);
        }
    }

    private Ringing() {}

    /** Every pitch of a score by its beginning; dead notes have none. */
    public static List<Sound> of(Score score) {
        List<Sound> all = new ArrayList<>();
        List<Onset> onsets = score.onsets();
        for (int i = 0; i < onsets.size(); i++) {
            for (ScoreNote n : onsets.get(i).notes()) {
                if (n.manner() != Manner.DEAD) {
                    pitches(score, n, end(score, i, n), all);
                }
            }
        }
        all.sort(Comparator.comparingLong(Sound::from).thenComparingInt(Sound::midi));
        return all;
    }

    private static void pitches(Score score, ScoreNote n, long end, List<Sound> all) {
        long from = n.at();
        int fret = n.fret();
        for (Technique t : n.techniques()) {
            long at = n.at() + t.after();
            if (t.kind().moves() && at > from && at < end) {
                all.add(new Sound(score.board().midi(n.string(), fret), from, at, n));
                from = at;
            }
            fret = t.kind().moves() ? t.to() : fret;
        }
        all.add(new Sound(score.board().midi(n.string(), fret), from, end, n));
    }

    private static long end(Score score, int index, ScoreNote n) {
        List<Onset> onsets = score.onsets();
        Onset own = onsets.get(index);
        long written = n.manner() == Manner.STACCATO ? n.at() + n.length() / 2 : n.end();
        boolean letRing = n.manner() == Manner.LET_RING;
        if (!n.rings() && !letRing) {
            return Math.min(score.length(), written);
        }
        long reached = own.manner() == Manner.STACCATO ? written : own.end();
        for (int i = index + 1; i < onsets.size(); i++) {
            Onset o = onsets.get(i);
            if (reached < o.at() && onsets.get(i - 1).manner() != Manner.LET_RING) {
                return Math.min(score.length(), Math.max(n.at() + 1, reached));
            }
            boolean newChord = score.harmonyAt(o.at()) != score.harmonyAt(onsets.get(i - 1).at());
            boolean damped = o.muted() || newChord && onsets.get(i - 1).manner() != Manner.LET_RING;
            if (damped || o.note(n.string()).filter(x -> !x.tied()).isPresent()) {
                return o.at();
            }
            reached =
                    Math.max(
                            reached,
                            o.manner() == Manner.STACCATO ? o.at() + o.length() / 2 : o.end());
        }
        return Math.min(score.length(), Math.max(reached, written));
    }
}
