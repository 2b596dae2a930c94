package vocalis.workbench.playedin;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import vocalis.core.derive.Derived;
import vocalis.core.instrument.Shape;
import vocalis.core.rhythm.Meter;
import vocalis.core.rhythm.MeterMap;
import vocalis.core.rhythm.TempoMap;
import vocalis.core.rhythm.Ticks;
import vocalis.core.rhythm.TimeLine;
import vocalis.core.riff.Ground;
import vocalis.core.score.Dynamics;
import vocalis.core.score.Manner;
import vocalis.core.score.Score;
import vocalis.core.unpick.Unpicked;
import vocalis.formats.sheet.Imported;
import vocalis.formats.sheet.NoteDraft;
import vocalis.formats.sheet.Sheet;
import vocalis.sound.listen.GripReader.Likely;
import vocalis.sound.listen.StrokeReader.HeardStroke;
import vocalis.workbench.listening.Ear;

/** A take written down, with what the ear is not sure of and what it may be instead. */
public final class Draft {

    /** The usual grid, in steps to a quarter. */
    static final int SIXTEENTHS = 4;

    static final int TRIPLETS = 3;

    /** What triplets must better the error by. */
    private static final double WORTH = 0.6;

    /** A stroke so far over the middle one is accented, in dB. */
    private static final double ACCENT_DB = 2.5;

    /** A shape less sure than this is a guess. */
    private static final double UNSURE = 0.5;

    /** So many shapes are offered for a guess. */
    private static final int OFFERED = 3;

    private final Reading reading;
    private final Map<Integer, Integer> chosen;
    private final List<HeardNote> notes = new ArrayList<>();
    private final List<Doubt> doubts = new ArrayList<>();
    private final Imported sheet;

    /**
     * What was read of the take.
     *
     * @param strokes by time, each with a shape at least
     * @param tempo quarter notes a minute
     * @param begins when the first bar begins, in seconds
     */
    record Reading(
            String title,
            Ground ground,
            boolean keyed,
            List<Ear.Stroke> strokes,
            double tempo,
            double begins,
            Meter meter,
            List<String> remarks) {}

    /**
     * A note as heard.
     *
     * @param string 0 for the lowest
     * @param sure from 0 to 1
     */
    public record HeardNote(
            int string,
            int fret,
            double onsetSeconds,
            double seconds,
            boolean muted,
            double sure) {}

    /**
     * A stroke whose shape is a guess.
     *
     * @param stroke which of the strokes
     * @param at ticks from the start
     * @param likely what may be struck, likeliest first, at least one
     * @param chosen which of them is written down
     */
    public record Doubt(int stroke, long at, List<Likely> likely, int chosen) {

        /** The shape that is written down. */
        public Shape shape() {
            return likely.get(chosen).shape();
        }

        /** What it may be next; the same where there is no other. */
        public Shape next() {
            return likely.get((chosen + 1) % likely.size()).shape();
        }
    }

    Draft(Reading reading, Map<Integer, Integer> chosen) {
        this.reading = reading;
        this.chosen = Map.copyOf(chosen);
        List<String> remarks = new ArrayList<>(reading.remarks());
        Score score = score();
        if (!clean()) {
            remarks.add("Not clean strings of ours, as it sounds: nothing of it is certain.");
        }
        if (!doubts.isEmpty()) {
            remarks.add(
                    doubts.size()
                            + " of "
                            + reading.strokes().size()
                            + (doubts.size() == 1
                                    ? " strokes is a guess of the ear: it is marked."
                                    : " strokes are guesses of the ear: they are marked.")
                            + " Look the chords through.");
        }
        Sheet.Guitar guitar = new Sheet.Guitar("guitar", score);
        Sheet heard = new Sheet(reading.title(), reading.ground(), List.of(guitar));
        sheet = new Imported(heard, remarks, true, false, reading.keyed());
    }

    public Imported sheet() {
        return sheet;
    }

    public List<HeardNote> notes() {
        return List.copyOf(notes);
    }

    /** Quarter notes a minute. */
    public double tempo() {
        return reading.tempo();
    }

    /** Where the ear is not sure, by time. */
    public List<Doubt> doubts() {
        return List.copyOf(doubts);
    }

    /** Those from one tick until before another. */
    public List<Doubt> doubts(long from, long to) {
        return doubts.stream().filter(d -> d.at() >= from && d.at() < to).toList();
    }

    /** Whether it was played on clean strings of ours; else nothing of it is certain. */
    public boolean clean() {
        return reading.strokes().stream().allMatch(Ear.Stroke::clean);
    }

    /**
     * How many chords of what it is taken apart into are certain: the ear guesses none of them, and
     * they were played on clean strings.
     */
    public int certain(Unpicked u) {
        if (!clean()) {
            return 0;
        }
        int certain = 0;
        for (int i = 0; i < u.chords().size(); i++) {
            Derived.Chord c = u.derived().chords().get(i);
            boolean heard = doubts(c.start(), c.end()).isEmpty();
            certain += heard && u.chords().get(i).sure().certain() ? 1 : 0;
        }
        return certain;
    }

    /** The same with the next best shape for some guesses. */
    public Draft next(List<Doubt> which) {
        Map<Integer, Integer> others = new HashMap<>(chosen);
        which.forEach(d -> others.put(d.stroke(), (d.chosen() + 1) % d.likely().size()));
        return new Draft(reading, others);
    }

    private Score score() {
        double quarter = 60 / reading.tempo();
        int grid = grid(quarter);
        long step = Ticks.QUARTER / grid;
        List<Ear.Stroke> strokes = reading.strokes();
        List<Double> levels = strokes.stream().map(x -> x.heard().levelDb()).sorted().toList();
        double accent = levels.get(levels.size() / 2) + ACCENT_DB;
        MeterMap meters = MeterMap.of(reading.meter());
        List<NoteDraft> drafts = new ArrayList<>();
        long last = 0;
        for (int i = 0; i < strokes.size(); i++) {
            HeardStroke s = strokes.get(i).heard();
            double into = (s.seconds() - reading.begins()) / quarter;
            long at = Math.max(0, Math.round(into * grid) * step);
            long end = at + Math.max(step, Math.round(s.length() * grid / quarter) * step);
            for (HeardNote n : notes(i, at)) {
                notes.add(n);
                NoteDraft d = new NoteDraft(n.string(), n.fret(), at, end - at);
                d.manner = s.muted() ? Manner.PALM : Manner.PLAIN;
                d.dynamics = s.levelDb() > accent ? Dynamics.ACCENT : Dynamics.PLAIN;
                d.down = NoteDraft.usuallyDown(at, meters);
                drafts.add(d);
            }
            last = Math.max(last, end);
        }
        long bar = reading.meter().barTicks();
        long length = Math.max(bar, (last + bar - 1 - step) / bar * bar);
        drafts.forEach(d -> d.length = Math.min(d.length, Math.max(step, length - d.at)));
        drafts.removeIf(d -> d.at >= length);
        TimeLine time = new TimeLine(meters, TempoMap.of((int) Math.round(reading.tempo())));
        return new Score(
                reading.ground().board(), time, length, NoteDraft.apart(drafts), List.of());
    }

    /** The notes of a stroke at a tick; where it is a guess, that is noted. */
    private List<HeardNote> notes(int stroke, long at) {
        Ear.Stroke x = reading.strokes().get(stroke);
        List<Likely> likely = likely(x);
        int which = chosen.getOrDefault(stroke, 0);
        if (likely.get(0).share() < UNSURE) {
            doubts.add(new Doubt(stroke, at, likely, which));
        }
        Shape shape = likely.get(which).shape();
        HeardStroke s = x.heard();
        List<HeardNote> all = new ArrayList<>();
        for (int string : shape.sounded()) {
            all.add(
                    new HeardNote(
                            string,
                            shape.fret(string),
                            s.seconds(),
                            s.length(),
                            s.muted(),
                            likely.get(which).share()));
        }
        return all;
    }

    /** What is struck, and what else may be that is not the same. */
    private static List<Likely> likely(Ear.Stroke x) {
        List<Likely> all = new ArrayList<>();
        for (Likely grip : x.grips()) {
            Shape shape = all.isEmpty() ? x.struck() : struck(x, grip.shape());
            if (all.size() < OFFERED && all.stream().noneMatch(l -> l.shape().equals(shape))) {
                all.add(new Likely(shape, grip.share()));
            }
        }
        return all;
    }

    /** Another shape, as far as the stroke goes over the first one's strings. */
    private static Shape struck(Ear.Stroke x, Shape other) {
        if (x.struck().equals(x.grips().get(0).shape())) {
            return other;
        }
        Shape struck = other;
        for (int string : other.sounded()) {
            boolean sounds = x.struck().sounded().contains(string);
            struck = sounds ? struck : struck.with(string, Shape.SILENT);
        }
        return struck.sounded().isEmpty() ? other : struck;
    }

    private int grid(double quarter) {
        double triplets = off(quarter / TRIPLETS);
        return triplets < WORTH * off(quarter / SIXTEENTHS) ? TRIPLETS : SIXTEENTHS;
    }

    private double off(double step) {
        double sum = 0;
        for (Ear.Stroke s : reading.strokes()) {
            double x = (s.heard().seconds() - reading.begins()) / step;
            sum += Math.pow((x - Math.round(x)) * step, 2);
        }
        return Math.sqrt(sum / reading.strokes().size());
    }
}
