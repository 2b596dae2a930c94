package vocalis.core.arrange;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import vocalis.core.derive.Derived;
import vocalis.core.mix.Bassist;
import vocalis.core.mix.Groove;
import vocalis.core.mix.Mix;
import vocalis.core.piece.Piece;
import vocalis.core.piece.Section;
import vocalis.core.rhythm.Meter;
import vocalis.core.rhythm.MeterMap;
import vocalis.core.rhythm.TempoMap;
import vocalis.core.rhythm.Ticks;
import vocalis.core.rhythm.TimeLine;
import vocalis.core.riff.Riff;
import vocalis.core.riff.Tone;
import vocalis.core.score.Harmony;
import vocalis.core.score.Score;
import vocalis.core.score.ScoreNote;

/**
 * What a piece comes to when its sections are played from first to last: one score for each guitar,
 * and what band and tones do where. Immutable.
 */
public final class Song {

    /**
     * One time through a riff with what it comes to.
     *
     * @param turn when
     * @param first what the first guitar's riff comes to
     * @param second what the second guitar's comes to, where it plays along in the piece
     */
    public record Passage(Arrangement.Turn turn, Derived first, Optional<Derived> second) {}

    private final Piece piece;
    private final List<Passage> passages;
    private final List<Stretch> stretches;
    private final Score score;
    private final Optional<Score> second;

    private Song(Piece piece, List<Passage> passages) {
        this.piece = piece;
        this.passages = List.copyOf(passages);
        TimeLine time = time(piece, passages);
        score = joined(0, time);
        boolean plays = passages.get(0).second().isPresent();
        second = plays ? Optional.of(joined(1, time)) : Optional.empty();
        stretches = stretches(piece, passages);
    }

    /**
     * A piece played through; the second guitar is there when the mix has it on.
     *
     * @param derive what a riff comes to; asked once for each that differs
     * @throws IllegalArgumentException when it is too long
     */
    public static Song of(Piece piece, Function<Riff, Derived> derive) {
        Map<Riff, Derived> known = new HashMap<>();
        boolean two = piece.mix().second().on();
        List<Passage> passages = new ArrayList<>();
        for (Arrangement.Turn t : Arrangement.turns(piece)) {
            Derived first = known.computeIfAbsent(t.riff(), derive);
            Optional<Derived> other =
                    two ? Optional.of(known.computeIfAbsent(t.second(), derive)) : Optional.empty();
            passages.add(new Passage(t, first, other));
        }
        return new Song(piece, passages);
    }

    public Piece piece() {
        return piece;
    }

    /** Every time through a riff, in order. */
    public List<Passage> passages() {
        return passages;
    }

    /** What the first guitar plays from the first section to the last. */
    public Score score() {
        return score;
    }

    /** What the second guitar plays, when the mix has it on. */
    public Optional<Score> second() {
        return second;
    }

    /** Where band and tones are what. */
    public List<Stretch> stretches() {
        return stretches;
    }

    public long length() {
        return score.length();
    }

    /** Where a section begins: its first bar line, or the very start for the first. */
    public long start(int section) {
        return section == 0 ? 0 : first(section).turn().start();
    }

    /** Where a section ends. */
    public long end(int section) {
        long end = 0;
        for (Passage p : passages) {
            end = p.turn().section() <= section ? p.turn().end() : end;
        }
        return end;
    }

    /** The section that plays at a tick. */
    public int sectionAt(long tick) {
        return passageAt(tick).turn().section();
    }

    /** The time through a riff that plays at a tick. */
    public Passage passageAt(long tick) {
        int low = 0;
        int high = passages.size() - 1;
        while (low < high) {
            int mid = (low + high + 1) >>> 1;
            if (passages.get(mid).turn().start() <= tick) {
                low = mid;
            } else {
                high = mid - 1;
            }
        }
        return passages.get(low);
    }

    /** The first time through a section's riff. */
    public Passage first(int section) {
        return passages.stream()
                .filter(p -> p.turn().section() == section)
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("no section " + section));
    }

    /** The notes of the bass, where it plays. */
    public List<Groove.BassNote> bass() {
        return bass(score, second, stretches, piece.mix().bassLine());
    }

    /** The notes of the bass over a score and what a second guitar plays. */
    public static List<Groove.BassNote> bass(
            Score score, Optional<Score> second, List<Stretch> stretches, Mix.BassLine line) {
        List<Groove.BassNote> all = new ArrayList<>();
        for (Stretch s : stretches) {
            if (s.band().bass()) {
                all.addAll(
                        s.band()
                                .line()
                                .map(f -> Bassist.of(score, s.from(), s.to(), f))
                                .orElseGet(
                                        () ->
                                                Bassist.of(
                                                        score, second, s.from(), s.to(), line,
                                                        s.tonic())));
            }
        }
        return all;
    }

    private static List<Stretch> stretches(Piece piece, List<Passage> passages) {
        List<Stretch> all = new ArrayList<>();
        for (int i = 0; i < passages.size(); i++) {
            Arrangement.Turn t = passages.get(i).turn();
            Section s = piece.sections().get(t.section());
            boolean turns =
                    i + 1 == passages.size() || passages.get(i + 1).turn().section() != t.section();
            Tone own = playing(piece, s, 0).tone().orElse(t.riff().ground().tone());
            Stretch next =
                    new Stretch(
                            t.section(),
                            t.start(),
                            t.end(),
                            s.band(),
                            own,
                            playing(piece, s, 1).tone(),
                            t.riff().ground().key().tonic().pitchClass(),
                            turns);
            Stretch before = all.isEmpty() ? null : all.get(all.size() - 1);
            if (before != null && before.goesOnIn(next)) {
                all.set(all.size() - 1, before.until(next.to(), turns));
            } else {
                all.add(next);
            }
        }
        return List.copyOf(all);
    }

    private static Section.Playing playing(Piece piece, Section s, int part) {
        return part < piece.parts().size()
                ? s.playing(piece.parts().get(part).id())
                : Section.Playing.USUAL;
    }

    /** The bars and tempos of all turns, one after the other. */
    private static TimeLine time(Piece piece, List<Passage> passages) {
        List<Meter> bars = new ArrayList<>();
        List<TempoMap.Change> tempos = new ArrayList<>();
        for (Passage p : passages) {
            Arrangement.Turn t = p.turn();
            Riff r = t.riff();
            bars.addAll(r.meters().listed(r.bars()));
            int hundredths = piece.sections().get(t.section()).tempo();
            TempoMap scaled = r.time().tempos().scaled(hundredths);
            boolean first = tempos.isEmpty();
            long from = first ? 0 : t.start();
            change(tempos, from, scaled.at(first ? 0 : r.loopStart()));
            for (TempoMap.Change c : scaled.changes()) {
                if (c.at() + t.shift() > from) {
                    change(tempos, c.at() + t.shift(), c.tempo());
                }
            }
        }
        long pickup = passages.get(0).turn().riff().loopStart();
        return new TimeLine(MeterMap.ofBars(bars, pickup), new TempoMap(tempos));
    }

    private static void change(List<TempoMap.Change> tempos, long at, int tempo) {
        if (tempos.isEmpty() || tempos.get(tempos.size() - 1).tempo() != tempo) {
            tempos.add(new TempoMap.Change(at, tempo));
        }
    }

    private Score joined(int part, TimeLine time) {
        List<ScoreNote> notes = new ArrayList<>();
        List<Harmony> chords = new ArrayList<>();
        for (Passage p : passages) {
            Arrangement.Turn t = p.turn();
            Derived d = part == 0 ? p.first() : p.second().orElseThrow();
            boolean plays = playing(piece, piece.sections().get(t.section()), part).plays();
            long lead = plays ? t.lead() : t.start();
            cut(notes, lead);
            for (Harmony h : d.score().harmonies()) {
                chord(chords, h, Math.max(lead, h.at() + t.shift()), h.end() + t.shift());
            }
            for (ScoreNote n : d.score().notes()) {
                long at = n.at() + t.shift();
                if (plays && at >= lead) {
                    ScoreNote moved = n.beginning(at);
                    notes.add(n.tied() && !goesOn(notes, moved) ? moved.tied(false) : moved);
                }
            }
        }
        long length = passages.get(passages.size() - 1).turn().end();
        return new Score(passages.get(0).first().score().board(), time, length, notes, chords);
    }

    /** What begins after a tick goes, what sounds over it ends there. */
    private static void cut(List<ScoreNote> notes, long at) {
        for (int i = notes.size() - 1; i >= 0 && notes.get(i).end() > at - MOST_REACH; i--) {
            ScoreNote n = notes.get(i);
            if (n.at() >= at) {
                notes.remove(i);
            } else if (n.end() > at) {
                notes.set(i, n.lasting(at - n.at()));
            }
        }
    }

    /** How far back notes are looked at that may reach over the beginning of the next turn. */
    private static final long MOST_REACH = 64 * Ticks.WHOLE;

    private static void chord(List<Harmony> chords, Harmony h, long from, long to) {
        if (to <= from) {
            return;
        }
        while (!chords.isEmpty() && chords.get(chords.size() - 1).end() > from) {
            Harmony last = chords.remove(chords.size() - 1);
            if (last.at() < from) {
                chords.add(
                        new Harmony(
                                last.at(),
                                from - last.at(),
                                last.root(),
                                last.bass(),
                                last.symbol(),
                                last.free()));
            }
        }
        chords.add(new Harmony(from, to - from, h.root(), h.bass(), h.symbol(), h.free()));
    }

    /** Whether a tied note has one before it to go on from. */
    private static boolean goesOn(List<ScoreNote> notes, ScoreNote n) {
        for (int i = notes.size() - 1; i >= 0; i--) {
            ScoreNote before = notes.get(i);
            if (before.string() == n.string() && before.at() < n.at()) {
                return before.endFret() == n.fret() && before.end() >= n.at();
            }
        }
        return false;
    }
}
