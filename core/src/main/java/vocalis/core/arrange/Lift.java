package vocalis.core.arrange;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import vocalis.core.derive.Derived;
import vocalis.core.harmony.Context;
import vocalis.core.score.Ringing;
import vocalis.core.score.Ringing.Sound;
import vocalis.core.score.Score;
import vocalis.core.theory.Key;

/**
 * How much a section has of what makes one section lift over another, from its notes; how loud it
 * is must be measured from its sound.
 *
 * @param thickness notes of the guitars that sound together, on average over the time
 * @param register mean MIDI number of those notes, each weighted by how long it sounds
 * @param top highest MIDI number
 * @param tension mean tension of the first guitar's chords in the key, 0 to 100, by their length
 * @param strokes strokes of the guitars per bar
 */
public record Lift(double thickness, double register, int top, double tension, double strokes) {

    /** The figures of each section in order. */
    public static List<Lift> of(Song song) {
        List<Lift> all = new ArrayList<>();
        List<Sound> one = Ringing.of(song.score());
        Optional<List<Sound>> two = song.second().map(Ringing::of);
        for (int s = 0; s < song.piece().sections().size(); s++) {
            all.add(of(song, s, one, two));
        }
        return all;
    }

    private static Lift of(Song song, int section, List<Sound> one, Optional<List<Sound>> two) {
        long from = song.start(section);
        long to = song.end(section);
        List<Sound> sounds = new ArrayList<>(within(one, from, to));
        two.ifPresent(t -> sounds.addAll(within(t, from, to)));
        double ticks = 0;
        double weighted = 0;
        int top = 0;
        for (Sound s : sounds) {
            long lasts = Math.min(to, s.to()) - Math.max(from, s.from());
            ticks += lasts;
            weighted += (double) lasts * s.midi();
            top = Math.max(top, s.midi());
        }
        double strokes = struck(song.score(), from, to);
        strokes += song.second().map(x -> struck(x, from, to)).orElse(0.0);
        int bars = 0;
        for (Song.Passage p : song.passages()) {
            bars += p.turn().section() == section ? p.turn().riff().bars() : 0;
        }
        return new Lift(
                ticks / (to - from),
                ticks == 0 ? 0 : weighted / ticks,
                top,
                tension(song, section),
                strokes / bars);
    }

    private static List<Sound> within(List<Sound> all, long from, long to) {
        return all.stream().filter(s -> s.from() < to && s.to() > from).toList();
    }

    private static double struck(Score score, long from, long to) {
        Set<Long> at = new HashSet<>();
        for (int i = score.firstFrom(from); i < score.onsets().size(); i++) {
            if (score.onsets().get(i).at() < to && !score.onsets().get(i).tied()) {
                at.add(score.onsets().get(i).at());
            }
        }
        return at.size();
    }

    private static double tension(Song song, int section) {
        double sum = 0;
        double ticks = 0;
        for (Song.Passage p : song.passages()) {
            if (p.turn().section() == section) {
                Key key = p.turn().riff().ground().key();
                for (Derived.Chord c : p.first().chords()) {
                    sum += (double) c.length() * Context.tension(c.candidate().voicing(), key);
                    ticks += c.length();
                }
            }
        }
        return sum / ticks;
    }
}
