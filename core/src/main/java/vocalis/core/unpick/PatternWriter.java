package vocalis.core.unpick;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.Set;
import java.util.TreeSet;
import vocalis.core.pattern.Anchor;
import vocalis.core.pattern.Direction;
import vocalis.core.pattern.Event;
import vocalis.core.pattern.Figure;
import vocalis.core.pattern.Limits;
import vocalis.core.pattern.LineNote;
import vocalis.core.pattern.LinePitch;
import vocalis.core.pattern.Pattern;
import vocalis.core.pattern.Stroke;
import vocalis.core.pattern.Struck;
import vocalis.core.pattern.Touch;
import vocalis.core.rhythm.MeterMap;
import vocalis.core.rhythm.Ticks;
import vocalis.core.riff.Ground;
import vocalis.core.riff.Lines;
import vocalis.core.score.Onset;
import vocalis.core.score.Score;
import vocalis.core.score.ScoreNote;
import vocalis.core.score.Technique;
import vocalis.core.voicing.Sounding;
import vocalis.core.voicing.Voicing;

/** Writes figures and touches for a score over shapes that are known. */
final class PatternWriter {

    /** A figure's id stands here while it is still to be found whether there is such a one. */
    private static final String OPEN = "open";

    private final Ground ground;
    private final Score score;
    private final List<Span> spans;
    private final List<Voicing> voicings;

    /** Onsets whose line is pinned to string and fret, because its degree lies elsewhere. */
    private final Set<Long> pinned;

    private final List<Figure> figures = new ArrayList<>();
    private final List<String> order = new ArrayList<>();
    private final List<Touch> touches = new ArrayList<>();
    private int lines;

    PatternWriter(
            Ground ground,
            Score score,
            List<Span> spans,
            List<Voicing> voicings,
            Set<Long> pinned) {
        this.ground = ground;
        this.score = score;
        this.spans = spans;
        this.voicings = voicings;
        this.pinned = pinned;
        write();
    }

    Pattern pattern() {
        Pattern all = Pattern.inOrder(figures);
        return new Pattern(figures, order, 0, all.restart(), List.of());
    }

    List<Touch> touches() {
        return touches;
    }

    int lines() {
        return lines;
    }

    /** Where figures begin and end: at bar lines that no note sounds over. */
    private List<Long> cuts() {
        MeterMap meters = score.time().meters();
        TreeSet<Long> lines = new TreeSet<>();
        lines.add(0L);
        for (int b = 0; b < meters.bars(score.length()); b++) {
            lines.add(meters.start(b));
        }
        List<Onset> onsets = score.onsets();
        for (int i = 0; i < onsets.size(); i++) {
            long begin = onsets.get(i).at();
            long end = end(i);
            lines.removeIf(l -> l > begin && l < end);
        }
        lines.add(score.length());
        return List.copyOf(lines);
    }

    /** Where an onset's event ends: with its notes, or where the next begins. */
    private long end(int onset) {
        List<Onset> onsets = score.onsets();
        long next = onset + 1 < onsets.size() ? onsets.get(onset + 1).at() : score.length();
        return Math.min(next, Math.min(score.length(), onsets.get(onset).end()));
    }

    private void write() {
        List<Long> cuts = cuts();
        Map<Object, String> known = new HashMap<>();
        int onset = 0;
        for (int i = 0; i + 1 < cuts.size(); i++) {
            long from = cuts.get(i);
            long to = cuts.get(i + 1);
            List<Event> events = new ArrayList<>();
            List<Touch> done = new ArrayList<>();
            while (onset < score.onsets().size() && score.onsets().get(onset).at() < to) {
                Onset o = score.onsets().get(onset);
                long length = end(onset) - o.at();
                if (length >= Limits.SHORTEST_EVENT) {
                    events.add(event(o, events.size(), o.at() - from, length, done));
                }
                onset++;
            }
            String id =
                    known.computeIfAbsent(
                            List.of(to - from, List.copyOf(events), List.copyOf(done)),
                            k -> figure(to - from, events, done));
            order.add(id);
        }
    }

    private String figure(long length, List<Event> events, List<Touch> done) {
        String id = "figure-" + (figures.size() + 1);
        figures.add(new Figure(id, "", length, events));
        for (Touch t : done) {
            touches.add(t.on(t.anchor().on(id, Optional.empty())));
        }
        return id;
    }

    private int span(long at) {
        int i = 0;
        while (i + 1 < spans.size() && spans.get(i).end() <= at) {
            i++;
        }
        return i;
    }

    private Event event(Onset o, int id, long at, long length, List<Touch> done) {
        int span = span(o.at());
        Voicing v = voicings.get(span);
        boolean all = o.notes().stream().allMatch(n -> v.shape().fret(n.string()) == n.fret());
        if (!all && o.notes().size() == 1) {
            return line(o.notes().get(0), v, id, at, length, done);
        }
        Struck struck = struck(o, v);
        for (ScoreNote n : o.notes()) {
            touches(o, n, id, done);
            int shaped = Math.max(0, v.shape().fret(n.string()));
            if (n.fret() != shaped) {
                done.add(
                        new Touch.Pinned(
                                new Anchor(
                                        OPEN,
                                        id,
                                        Optional.empty(),
                                        new Anchor.Voice.OnString(n.string())),
                                n.fret()));
            }
        }
        ScoreNote first = o.notes().get(0);
        return new Stroke(
                id,
                at,
                length,
                struck,
                first.manner(),
                first.dynamics(),
                direction(o),
                o.notes().stream().anyMatch(ScoreNote::tied));
    }

    /** By voice where the shape has all strings, by string otherwise. */
    private Struck struck(Onset o, Voicing v) {
        boolean within = o.notes().stream().allMatch(n -> v.shape().sounds(n.string()));
        if (!within) {
            int mask = 0;
            for (ScoreNote n : o.notes()) {
                mask |= 1 << n.string();
            }
            return new Struck.Strings(mask);
        }
        List<Sounding> byPitch = new ArrayList<>(v.soundings());
        byPitch.sort(Comparator.comparingInt(Sounding::midi));
        List<Integer> voices = new ArrayList<>();
        for (int i = 0; i < byPitch.size(); i++) {
            if (o.note(byPitch.get(i).string()).isPresent()) {
                voices.add(i);
            }
        }
        return Struck.picked(voices, byPitch.size());
    }

    private Direction direction(Onset o) {
        if (o.notes().get(0).plucked()) {
            return Direction.PLUCKED;
        }
        long inBar = o.at() - score.time().meters().start(score.time().meters().bar(o.at()));
        boolean usual = o.muted() || inBar % Ticks.EIGHTH == 0;
        return usual == o.down() ? Direction.ALTERNATE : o.down() ? Direction.DOWN : Direction.UP;
    }

    private Event line(ScoreNote n, Voicing v, int id, long at, long length, List<Touch> done) {
        lines++;
        Onset alone = new Onset(n.at(), List.of(n));
        touches(alone, n, id, done);
        LinePitch pitch = new LinePitch.Place(n.string(), n.fret());
        if (!pinned.contains(n.at())) {
            pitch = degree(score.board().midi(n.string(), n.fret()), v.root()).orElse(pitch);
        }
        return new LineNote(id, at, length, pitch, n.manner(), n.dynamics(), n.tied());
    }

    /** The degree of the root that a note is, where the key has it. */
    private Optional<LinePitch> degree(int midi, int root) {
        for (int octave = 0; octave <= 4; octave++) {
            for (int d = 1; d <= Math.min(7, ground.key().mode().size()); d++) {
                LinePitch p = new LinePitch.Degree(LinePitch.Above.ROOT, d, 0, octave);
                if (Lines.midi(ground, p, root) == midi) {
                    return Optional.of(p);
                }
            }
        }
        return Optional.empty();
    }

    private void touches(Onset o, ScoreNote n, int id, List<Touch> done) {
        int rank = 0;
        int midi = score.board().midi(n.string(), n.fret());
        for (ScoreNote m : o.notes()) {
            int other = score.board().midi(m.string(), m.fret());
            rank += other > midi || other == midi && m.string() > n.string() ? 1 : 0;
        }
        Anchor a = new Anchor(OPEN, id, Optional.empty(), new Anchor.Voice.FromTop(rank));
        if (n.dynamics() != o.dynamics()) {
            done.add(new Touch.Level(a, n.dynamics()));
        }
        List<Touch.Step> steps = techniques(n, a, done);
        if (!steps.isEmpty()) {
            int most = Math.min(steps.size(), Limits.MOST_STEPS);
            done.add(new Touch.Legato(a, steps.subList(0, most)));
        }
    }

    /** What is done to a note, in its order; gives the hammer-ons and pull-offs, one chain. */
    private static List<Touch.Step> techniques(ScoreNote n, Anchor a, List<Touch> done) {
        int fret = n.fret();
        List<Touch.Step> steps = new ArrayList<>();
        for (Technique t : n.techniques()) {
            int by = t.kind().moves() ? t.to() - fret : 0;
            if (by != 0 && t.kind() == Technique.Kind.SLIDE) {
                done.add(new Touch.Slide(a, by, t.after(), t.lasting()));
            } else if (by != 0) {
                steps.add(new Touch.Step(by, t.after()));
            }
            fret += by;
            still(n, t, a).ifPresent(done::add);
        }
        return steps;
    }

    /** What is done without leaving the fret; nothing for what no touch says. */
    private static Optional<Touch> still(ScoreNote n, Technique t, Anchor a) {
        return switch (t.kind()) {
            case BEND ->
                    t.to() >= 25 && t.to() <= 400
                            ? Optional.of(
                                    new Touch.Bend(a, t.to(), t.after(), t.lasting(), back(n, t)))
                            : Optional.empty();
            case VIBRATO -> {
                int cents = Math.max(5, Math.min(200, t.to()));
                double hz = Math.max(2, Math.min(10, t.hz()));
                yield Optional.of(new Touch.Vibrato(a, cents, hz, t.after()));
            }
            case TREMOLO ->
                    t.to() >= 2 && t.to() <= 16
                            ? Optional.of(new Touch.Tremolo(a, t.to()))
                            : Optional.empty();
            case PINCH ->
                    t.to() >= 2 && t.to() <= Touch.Pinch.HIGHEST
                            ? Optional.of(new Touch.Pinch(a, t.to()))
                            : Optional.empty();
            case HAMMER, PULL, SLIDE, RELEASE -> Optional.empty();
        };
    }

    /** When a bend is let back. */
    private static OptionalLong back(ScoreNote n, Technique bend) {
        return n.techniques().stream()
                .filter(r -> r.kind() == Technique.Kind.RELEASE && r.after() >= bend.after())
                .mapToLong(Technique::after)
                .reduce((before, last) -> last);
    }
}
