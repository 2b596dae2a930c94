package vocalis.workbench.listening;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Collectors;
import vocalis.core.choice.Catalogue;
import vocalis.core.hands.Hand;
import vocalis.core.instrument.Fretboard;
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
import vocalis.core.theory.Key;
import vocalis.formats.sheet.Imported;
import vocalis.formats.sheet.NoteDraft;
import vocalis.formats.sheet.Sheet;
import vocalis.sound.listen.GripReader.Likely;
import vocalis.sound.listen.HeardStroke;
import vocalis.sound.listen.Take;

/**
 * Writes down a take: strokes on the grid of a tempo, their notes on the strings of the likeliest
 * grips, palm mutes and accents with them.
 */
public final class PlayIn {

    /** Grids that onsets are laid on, in steps to a quarter. */
    private static final int[] GRIDS = {4, 3};

    /** What triplets must better the error by. */
    private static final double WORTH = 0.6;

    /** A stroke so far over the middle one is accented, in dB. */
    private static final double ACCENT_DB = 2.5;

    private static final int MOST_TOLD = 4;

    /** A shape less sure than this is a guess. */
    private static final double UNSURE = 0.5;

    private final Ground ground;
    private final Optional<Key> key;
    private final Ear ear;

    /**
     * @param ground the instrument that is played
     * @param key that is played in, where it is known; else it is found from the notes
     */
    public PlayIn(Ground ground, Optional<Key> key, Hand hand, Catalogue catalogue) {
        this.ground = key.map(ground::withKey).orElse(ground);
        this.key = key;
        ear = new Ear(ground.board(), ground.a4Hz(), hand, catalogue, key);
    }

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

    /** A take written down. */
    public record Draft(Imported sheet, List<HeardNote> notes, double tempo) {}

    /**
     * The take on paper.
     *
     * @param tempo quarter notes a minute; found where it is not given, and then the key is not
     *     known either: the ground's stands only where one plays to it
     * @param one when the first bar begins, in seconds; with the first stroke where it is not given
     * @throws IllegalArgumentException when nothing is struck in it
     */
    public Draft of(
            Take take, Optional<Double> tempo, OptionalDouble one, Meter meter, String title) {
        Fretboard board = ground.board();
        List<Ear.Stroke> read =
                ear.strokes(take).stream().filter(x -> !x.grips().isEmpty()).toList();
        if (read.isEmpty()) {
            throw new IllegalArgumentException("nothing is struck in this take");
        }
        List<HeardNote> notes = notes(read);
        List<HeardStroke> strokes = read.stream().map(Ear.Stroke::heard).toList();
        List<Double> times = strokes.stream().map(HeardStroke::seconds).toList();
        double found = tempo.orElseGet(() -> times.size() < 2 ? 110 : TempoFinder.of(times));
        List<String> remarks = new ArrayList<>();
        if (tempo.isEmpty()) {
            remarks.add("The tempo was found from the strokes: " + Math.round(found) + ".");
        }
        double begins =
                one.isPresent() ? settled(times, one.getAsDouble(), 60 / found) : times.get(0);
        unsure(read, begins, found, meter).ifPresent(remarks::add);
        Score score = score(strokes, notes, found, begins, meter, board);
        Sheet sheet = new Sheet(title, ground, List.of(new Sheet.Guitar("guitar", score)));
        return new Draft(new Imported(sheet, remarks, true, false, key.isPresent()), notes, found);
    }

    /** The beginning of the bar as the strokes have it: they may all be late by the same. */
    private static double settled(List<Double> times, double one, double quarter) {
        double step = quarter / GRIDS[0];
        double x = 0;
        double y = 0;
        for (double t : times) {
            double turn = 2 * Math.PI * (t - one) / step;
            x += Math.cos(turn);
            y += Math.sin(turn);
        }
        return one + step * Math.atan2(y, x) / (2 * Math.PI);
    }

    /** Where a shape is a guess, each with what comes next, in words. */
    private static Optional<String> unsure(
            List<Ear.Stroke> read, double begins, double tempo, Meter meter) {
        double bar = meter.barTicks() / (double) Ticks.QUARTER * 60 / tempo;
        List<Ear.Stroke> guessed =
                read.stream().filter(x -> x.grips().get(0).share() < UNSURE).toList();
        if (guessed.isEmpty()) {
            return Optional.empty();
        }
        Set<String> told = new LinkedHashSet<>();
        for (Ear.Stroke x : guessed) {
            int in = 1 + Math.max(0, (int) ((x.heard().seconds() - begins + 0.02) / bar));
            List<Likely> grips = x.grips();
            String next = grips.size() > 1 ? " or " + grips.get(1).shape().text() : "";
            told.add("bar " + in + " " + grips.get(0).shape().text() + next);
        }
        String some = told.stream().limit(MOST_TOLD).collect(Collectors.joining(", "));
        return Optional.of(
                guessed.size()
                        + " of "
                        + read.size()
                        + " strokes are guesses of the ear, however certain they read below: "
                        + some
                        + (told.size() > MOST_TOLD ? " and more." : "."));
    }

    private static List<HeardNote> notes(List<Ear.Stroke> strokes) {
        List<HeardNote> all = new ArrayList<>();
        for (Ear.Stroke x : strokes) {
            HeardStroke s = x.heard();
            Likely best = x.grips().get(0);
            Shape shape = x.struck();
            for (int string : shape.sounded()) {
                all.add(
                        new HeardNote(
                                string,
                                shape.fret(string),
                                s.seconds(),
                                s.length(),
                                s.muted(),
                                best.share()));
            }
        }
        return all;
    }

    private Score score(
            List<HeardStroke> strokes,
            List<HeardNote> notes,
            double tempo,
            double first,
            Meter meter,
            Fretboard board) {
        double quarter = 60 / tempo;
        int grid = grid(strokes, first, quarter);
        long step = Ticks.QUARTER / grid;
        List<Double> levels = strokes.stream().map(HeardStroke::levelDb).sorted().toList();
        double middle = levels.get(levels.size() / 2);
        MeterMap meters = MeterMap.of(meter);
        List<NoteDraft> drafts = new ArrayList<>();
        long last = 0;
        for (int i = 0; i < strokes.size(); i++) {
            HeardStroke s = strokes.get(i);
            long at = Math.max(0, Math.round((s.seconds() - first) * grid / quarter) * step);
            long end = at + Math.max(step, Math.round(s.length() * grid / quarter) * step);
            for (HeardNote n : notes) {
                if (n.onsetSeconds() == s.seconds()) {
                    NoteDraft d = new NoteDraft(n.string(), n.fret(), at, end - at);
                    d.manner = s.muted() ? Manner.PALM : Manner.PLAIN;
                    boolean accent = s.levelDb() > middle + ACCENT_DB;
                    d.dynamics = accent ? Dynamics.ACCENT : Dynamics.PLAIN;
                    d.down = NoteDraft.usuallyDown(at, meters);
                    drafts.add(d);
                }
            }
            last = Math.max(last, end);
        }
        long bar = meter.barTicks();
        long length = Math.max(bar, (last + bar - 1 - step) / bar * bar);
        drafts.forEach(d -> d.length = Math.min(d.length, Math.max(step, length - d.at)));
        drafts.removeIf(d -> d.at >= length);
        TimeLine time = new TimeLine(meters, TempoMap.of((int) Math.round(tempo)));
        return new Score(board, time, length, NoteDraft.apart(drafts), List.of());
    }

    private static int grid(List<HeardStroke> strokes, double first, double quarter) {
        double sixteenths = off(strokes, first, quarter / GRIDS[0]);
        double triplets = off(strokes, first, quarter / GRIDS[1]);
        return triplets < WORTH * sixteenths ? GRIDS[1] : GRIDS[0];
    }

    private static double off(List<HeardStroke> strokes, double first, double step) {
        double sum = 0;
        for (HeardStroke s : strokes) {
            double x = (s.seconds() - first) / step;
            sum += Math.pow((x - Math.round(x)) * step, 2);
        }
        return Math.sqrt(sum / strokes.size());
    }
}
