package vocalis.workbench.listening;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.DoubleUnaryOperator;
import vocalis.core.rhythm.Ticks;
import vocalis.core.riff.Ground;
import vocalis.core.riff.Tone;
import vocalis.core.score.Onset;
import vocalis.core.score.Score;
import vocalis.sound.learnt.NoteEar;
import vocalis.sound.learnt.StrokeEar;
import vocalis.sound.learnt.StrokePicture;
import vocalis.sound.listen.ChangeTrack;
import vocalis.sound.listen.ChangeTrack.Grain;
import vocalis.sound.listen.Take;

/**
 * A riff as it is written and as it would sound, clean and driven, so that a take can be laid
 * beside it. Renders what is asked for once.
 */
public final class Written {

    /** What is so like its rendering is not rendered anew. */
    private static final double SAME = 0.95;

    /** From here on the tone of a take is known. */
    private static final double SURE = 0.5;

    /** What is hardly like its rendering is left where it is written. */
    private static final double MOVED = 0.1;

    private static final double ROOM_SECONDS = 0.05;

    /** So often a driven take is rendered anew with the strokes where they were found. */
    private static final int AGAIN = 2;

    /** How near a stroke's time a net hears it begin, in hops of its picture. */
    private static final int NEAR_HOPS = 5;

    private record Grained(Tone tone, Grain grain) {}

    /**
     * What nets hear of a stroke where it is played as written.
     *
     * @param notes the odds of its notes
     * @param begins how likely a stroke begins there, 0 to 1
     */
    record Expected(NoteEar.Struck notes, double begins) {}

    private final Score score;
    private final Ground ground;
    private final List<Onset> strokes;
    private final Map<Grained, ChangeTrack> tracks = new HashMap<>();
    private final Map<Tone, Double> matches = new EnumMap<>(Tone.class);
    private final Map<Tone, List<Expected>> expected = new EnumMap<>(Tone.class);
    private Optional<Tone> tone = Optional.empty();
    private Optional<Tone> nearest = Optional.empty();

    /**
     * @param score one guitar's, as long as a pass
     */
    public Written(Score score, Ground ground) {
        this.score = score;
        this.ground = ground;
        strokes = score.onsets().stream().filter(o -> !o.tied()).toList();
    }

    public Score score() {
        return score;
    }

    public Ground ground() {
        return ground;
    }

    /** What is struck, by time. */
    List<Onset> strokes() {
        return strokes;
    }

    /** When a stroke is written, in seconds from the beginning. */
    double at(int stroke) {
        return score.time().tempos().seconds(strokes.get(stroke).at());
    }

    /** How far from a stroke another may be: not past the middle to its neighbours. */
    double room(int stroke, double most) {
        double room = most;
        if (stroke > 0) {
            room = Math.min(room, (at(stroke) - at(stroke - 1)) / 2);
        }
        if (stroke + 1 < strokes.size()) {
            room = Math.min(room, (at(stroke + 1) - at(stroke)) / 2);
        }
        return room;
    }

    /**
     * Where the strokes lie in a take; then once more beside a rendering with the strokes where
     * they were found, so that what still rings below them is the same. Of a driven take also in
     * which tone it is: the one most like it, which then stays.
     *
     * @param begins when the riff begins in the take, in seconds, give or take a twentieth
     * @param likely how likely a stroke begins at a time of the take, as far as others hear it
     */
    synchronized ChangeTrack.Fit[] find(
            ChangeTrack take, double begins, Grain grain, DoubleUnaryOperator likely) {
        if (grain == Grain.CLEAN) {
            return found(take, begins, new Grained(Tone.CLEAN, grain), 1, likely);
        }
        Tone liked = tone.orElseGet(() -> mostAlike(take, begins, grain, likely));
        ChangeTrack.Fit[] best = found(take, begins, new Grained(liked, grain), AGAIN, likely);
        nearest = Optional.of(liked);
        tone = likeness(best) >= SURE ? Optional.of(liked) : Optional.empty();
        return best;
    }

    /** The tone in which the riff, as written, is most like a take. */
    private Tone mostAlike(
            ChangeTrack take, double begins, Grain grain, DoubleUnaryOperator likely) {
        double most = -1;
        Tone liked = Tone.CLEAN;
        for (Tone t : Tone.values()) {
            double like = likeness(found(take, begins, new Grained(t, grain), 0, likely));
            if (like > most) {
                most = like;
                liked = t;
            }
        }
        return liked;
    }

    /**
     * What nets hear of each stroke where the riff sounds as written, in the tone that was most
     * like the last driven take; nothing before there was one.
     */
    synchronized List<Expected> expected() {
        return nearest.map(t -> expected.computeIfAbsent(t, this::expected)).orElse(List.of());
    }

    private List<Expected> expected(Tone in) {
        Take take = sound(score, in);
        double[] likely = StrokeEar.likely(take);
        double cents = LearntEar.cents(ground.a4Hz());
        List<Expected> all = new ArrayList<>();
        for (int i = 0; i < strokes.size(); i++) {
            double last = i == 0 ? 1 : at(i) - at(i - 1);
            double end = i + 1 < strokes.size() ? at(i + 1) : take.seconds();
            int hop = (int) Math.round(at(i) / StrokePicture.HOP_SECONDS);
            double begins = 0;
            for (int h = hop - NEAR_HOPS; h <= hop + NEAR_HOPS; h++) {
                begins = h < 0 || h >= likely.length ? begins : Math.max(begins, likely[h]);
            }
            NoteEar.Struck notes = NoteEar.of(take, at(i), last, end - at(i), cents);
            all.add(new Expected(notes, begins));
        }
        return all;
    }

    /** The same in one tone, rendered anew so many times. */
    private ChangeTrack.Fit[] found(
            ChangeTrack take, double begins, Grained in, int again, DoubleUnaryOperator likely) {
        double[] there = new double[strokes.size()];
        Arrays.setAll(there, this::at);
        ChangeTrack track = tracks.computeIfAbsent(in, t -> track(score, t));
        ChangeTrack.Fit[] fits = fits(take, track, there, begins, likely);
        for (int i = 0; i < again && likeness(fits) < SAME; i++) {
            double[] moved = new double[there.length];
            fits = fits(take, track(moved(fits, begins, moved), in), moved, begins, likely);
        }
        return fits;
    }

    private ChangeTrack.Fit[] fits(
            ChangeTrack take,
            ChangeTrack track,
            double[] there,
            double begins,
            DoubleUnaryOperator likely) {
        ChangeTrack.Fit[] fits = new ChangeTrack.Fit[there.length];
        for (int i = 0; i < fits.length; i++) {
            fits[i] = take.find(track, there[i], begins + at(i), room(i, ROOM_SECONDS), likely);
        }
        return fits;
    }

    private static double likeness(ChangeTrack.Fit[] fits) {
        return Arrays.stream(fits).mapToDouble(ChangeTrack.Fit::likeness).average().orElse(0);
    }

    private ChangeTrack track(Score of, Grained asked) {
        return new ChangeTrack(sound(of, asked.tone()), asked.grain());
    }

    private Take sound(Score of, Tone tone) {
        Ground in = ground.withTone(tone);
        // Strokes that are moved leave it as loud as it was.
        double match = matches.computeIfAbsent(tone, t -> StandIn.match(score, in));
        return StandIn.sound(of, in, match);
    }

    /** The score with its strokes where they were found; where they then lie goes into the last. */
    private Score moved(ChangeTrack.Fit[] fits, double begins, double[] there) {
        double ticks = score.time().tempos().first() * Ticks.QUARTER / 60.0;
        Map<Long, Long> to = new HashMap<>();
        for (int i = 0; i < fits.length; i++) {
            long at = strokes.get(i).at();
            double off = fits[i].seconds() - begins - at(i);
            boolean found = fits[i].likeness() >= MOVED;
            long moved = found ? Math.max(0, at + Math.round(off * ticks)) : at;
            to.put(at, Math.min(moved, score.length() - 1));
            there[i] = score.time().tempos().seconds(to.get(at));
        }
        return score.moved(o -> to.get(o.at()));
    }
}
