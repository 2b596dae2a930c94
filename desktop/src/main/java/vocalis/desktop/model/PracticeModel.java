package vocalis.desktop.model;

import java.time.Clock;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.beans.property.ReadOnlyLongProperty;
import javafx.beans.property.ReadOnlyLongWrapper;
import vocalis.core.arrange.Song;
import vocalis.core.practice.Entry;
import vocalis.core.practice.HardChange;
import vocalis.core.practice.Ladder;
import vocalis.core.practice.Load;
import vocalis.core.practice.Rounds;
import vocalis.core.practice.Vanishing;
import vocalis.core.rhythm.MeterMap;
import vocalis.core.rhythm.TempoMap;
import vocalis.core.rhythm.Ticks;
import vocalis.workbench.ArrangeWords;
import vocalis.workbench.Drill;
import vocalis.workbench.PracticeLog;
import vocalis.workbench.PracticeWords;

/**
 * Practising: a stretch of the song round and round, counted in, at its own tempo or up a ladder;
 * what was played is kept in a log. Used on the FX thread; the log is written on a worker.
 */
public final class PracticeModel implements AutoCloseable {

    /** Seconds that sound until a rest is suggested; common practice, no source. */
    private static final double UNTIL_A_REST = 20 * 60;

    private static final Vanishing[] VANISHINGS = {
        Vanishing.NEVER, new Vanishing(2, 2), new Vanishing(4, 4), new Vanishing(2, 6)
    };

    private static final long[] FINEST = {Ticks.QUARTER, Ticks.EIGHTH, Ticks.SIXTEENTH};

    private final WriteModel model;
    private final Clock clock;
    private final PracticeDiary diary = new PracticeDiary(this::tell);
    private final ReadOnlyLongWrapper changed = new ReadOnlyLongWrapper();
    private Optional<Song> song = Optional.empty();
    private long from;
    private long to;
    private String what = "";
    private double hundredths = 100;

    /** What goes at a tempo of its own keeps it while others are practised. */
    private final Map<String, Double> tempos = new HashMap<>();

    private Optional<Ladder.Climb> climb = Optional.empty();
    private int countIn = 1;
    private boolean click = true;
    private int vanishing;
    private int finest = 1;
    private Drill.Who who = Drill.Who.ALL;
    private boolean secondShown;
    private int hard = -1;
    private int entered;
    private Optional<Rounds> rounds = Optional.empty();
    private double last = -1;
    private boolean failing;
    private int passes;
    private int failed;
    private int best;
    private long begun = -1;
    private double sounded;
    private boolean rested;

    PracticeModel(WriteModel model, Clock clock) {
        this.model = model;
        this.clock = clock;
    }

    /** Where practice is written down. */
    public void keepIn(PracticeLog where) {
        diary.keepIn(where);
    }

    /** Counts what there is to show anew. */
    public ReadOnlyLongProperty changedProperty() {
        return changed.getReadOnlyProperty();
    }

    private void tell() {
        changed.set(changed.get() + 1);
    }

    /** The song played through, when it is known. */
    public Optional<Song> song() {
        return song;
    }

    /** First tick of what is practised. */
    public long from() {
        return from;
    }

    /** Tick past its last. */
    public long to() {
        return to;
    }

    /** What is practised, in words. */
    public String what() {
        return what;
    }

    /** The ladder, when it is climbed. */
    public Optional<Ladder.Climb> climb() {
        return climb;
    }

    /** Passes since play began, and how many of them failed. */
    public int passes() {
        return passes;
    }

    public int failed() {
        return failed;
    }

    /** Whether the pass that plays was said to fail. */
    public boolean failing() {
        return failing;
    }

    public boolean secondShown() {
        return secondShown && song.flatMap(Song::second).isPresent();
    }

    /** What has been practised of this piece, oldest first. */
    public List<Entry> entries() {
        return diary.of(model.workspace().content().id());
    }

    /** Length of what is counted. */
    public long finest() {
        return FINEST[finest];
    }

    public Drill.Who who() {
        return who;
    }

    public int countIn() {
        return countIn;
    }

    public boolean click() {
        return click;
    }

    public Vanishing vanishing() {
        return VANISHINGS[vanishing];
    }

    /** The tempo that it goes at, quarter notes per minute. */
    public int tempo() {
        return song.map(s -> (int) Math.round(own(s) * hundredths() / 100)).orElse(0);
    }

    private int own(Song s) {
        return s.score().time().tempos().at(from);
    }

    private double hundredths() {
        return song.filter(s -> climb.isPresent())
                .map(s -> 100.0 * climb.get().tempo() / own(s))
                .orElse(hundredths);
    }

    /** Whether the click is heard in the bar that plays. */
    public boolean clickHeard(double ofPlayer) {
        if (rounds.isEmpty() || !click) {
            return rounds.isPresent() && rounds.get().round(ofPlayer) < 0;
        }
        Rounds r = rounds.get();
        if (r.round(ofPlayer) < 0) {
            return true;
        }
        MeterMap meters = r.time().meters();
        int bar = meters.bar((long) ofPlayer) - meters.bar(r.loopFrom());
        return vanishing().heard(bar);
    }

    /** Whether bars are counted in at a tick of the player. */
    public boolean countingIn(double ofPlayer) {
        return rounds.filter(r -> r.round(ofPlayer) < 0).isPresent();
    }

    /** The beat that is counted in, from 1. */
    public int beatCountedIn(double ofPlayer) {
        return rounds.map(r -> r.time().meters().place((long) ofPlayer).beat()).orElse(1);
    }

    /** The tick of the song that a tick of the player is. */
    public double tick(double ofPlayer) {
        return rounds.map(r -> (double) r.whole(ofPlayer)).orElse(ofPlayer);
    }

    // What is practised.

    /** Another song, or another state of it. */
    void songChanged() {
        boolean first = song.isEmpty();
        song = model.arrange().song();
        song.ifPresent(
                s -> {
                    if (first || to <= from || to > s.length()) {
                        section(model.arrange().sectionProperty().get());
                    }
                    publish();
                });
        tell();
    }

    /** Practises a section. */
    public void section(int index) {
        song.ifPresent(
                s -> {
                    int i = Math.min(index, s.piece().sections().size() - 1);
                    long begin = i == 0 ? s.score().time().meters().pickup() : s.start(i);
                    aim(begin, s.end(i), s.piece().sections().get(i).name());
                });
    }

    /** Practises the next (last) section. */
    public void nextSection(int by) {
        song.ifPresent(
                s -> {
                    int n = s.piece().sections().size();
                    int now = s.sectionAt(from);
                    section(Math.floorMod(now + by, n));
                });
    }

    /** Practises everything. */
    public void whole() {
        song.ifPresent(s -> aim(s.score().time().meters().pickup(), s.length(), "the whole song"));
    }

    /** Practises the hardest change alone, then the next hardest. */
    public void hardChange() {
        song.ifPresent(
                s -> {
                    List<HardChange> all = HardChange.of(s, secondShown());
                    if (all.isEmpty()) {
                        model.say("The hand stays where it is: no change is hard here.");
                        return;
                    }
                    hard = (hard + 1) % Math.min(5, all.size());
                    HardChange h = all.get(hard);
                    aim(
                            h.from(),
                            h.to(),
                            "change to "
                                    + h.toShape().text()
                                    + " in "
                                    + ArrangeWords.place(s, h.at()));
                    model.say(PracticeWords.of(h));
                });
    }

    /** Moves the stretch by bars, or its end alone. */
    public void moveStretch(int bars, boolean endOnly) {
        song.ifPresent(
                s -> {
                    MeterMap meters = s.score().time().meters();
                    int all = meters.bars(s.length());
                    int a = Math.max(0, meters.bar(from));
                    int b = meters.bar(Math.max(0, to - 1)) + 1;
                    int newA = endOnly ? a : Math.max(0, Math.min(all - (b - a), a + bars));
                    int newB = endOnly ? Math.max(a + 1, Math.min(all, b + bars)) : newA + b - a;
                    aim(
                            meters.start(newA),
                            Math.min(s.length(), meters.start(newB)),
                            newB - newA == 1
                                    ? "bar " + (newA + 1)
                                    : "bars " + (newA + 1) + " to " + newB);
                });
    }

    private void aim(long begin, long end, String words) {
        if (begin != from || end != to) {
            stopAndKeep();
            tempos.put(what, hundredths);
            from = begin;
            to = end;
            what = words;
            hundredths = tempos.getOrDefault(words, 100.0);
            climb = climb.map(c -> c.ladder().foot());
            publish();
        }
        tell();
    }

    // How.

    /** Steps the tempo: of the rung's ladder the goal, else the tempo itself. */
    public void tempo(int by) {
        song.ifPresent(
                s -> {
                    if (climb.isPresent()) {
                        Ladder l = climb.get().ladder();
                        int goal = Math.max(l.start(), Math.min(TempoMap.FASTEST, l.goal() + by));
                        climb =
                                Optional.of(
                                        new Ladder(l.start(), goal, l.step(), l.passes()).foot());
                    } else {
                        int now =
                                Math.max(
                                        TempoMap.SLOWEST, Math.min(TempoMap.FASTEST, tempo() + by));
                        hundredths = 100.0 * now / own(s);
                    }
                    publish();
                    tell();
                });
    }

    /** The ladder's foot. */
    public void foot(int by) {
        climb.ifPresent(
                c -> {
                    Ladder l = c.ladder();
                    int start = Math.max(TempoMap.SLOWEST, Math.min(l.goal(), l.start() + by));
                    climb = Optional.of(new Ladder(start, l.goal(), l.step(), l.passes()).foot());
                    publish();
                    tell();
                });
    }

    /** Clean passes that a rung takes: 1, 2, 3, 4, 6, 8, and again. */
    public void rungPasses() {
        int[] all = {1, 2, 3, 4, 6, 8};
        climb.ifPresent(
                c -> {
                    Ladder l = c.ladder();
                    int next = all[0];
                    for (int n : all) {
                        next = n > l.passes() ? n : next;
                        if (n > l.passes()) {
                            break;
                        }
                    }
                    climb = Optional.of(new Ladder(l.start(), l.goal(), l.step(), next).foot());
                    tell();
                });
    }

    /** Climbs a ladder up to the song's tempo, or no more. */
    public void toggleLadder() {
        song.ifPresent(
                s -> {
                    climb =
                            climb.isPresent()
                                    ? Optional.empty()
                                    : Optional.of(Ladder.to(own(s)).foot());
                    publish();
                    model.say(
                            climb.isPresent()
                                    ? "Up the ladder: " + PracticeWords.of(climb.get().ladder())
                                    : "One tempo again.");
                    tell();
                });
    }

    /** The pass that plays failed: the player says so. */
    public void fail() {
        if (!playing()) {
            model.say("Nothing plays: a pass fails while it is played.");
            return;
        }
        failing = !failing;
        model.say(failing ? "This pass does not count." : "This pass counts again.");
        tell();
    }

    public void toggleClick() {
        click = !click;
        again(click ? "The click is heard." : "The click counts in, then you are alone.");
    }

    public void nextVanishing() {
        vanishing = (vanishing + 1) % VANISHINGS.length;
        again(PracticeWords.of(vanishing()));
    }

    public void nextWho() {
        who = who.next(song.flatMap(Song::second).isPresent());
        again("You hear " + who.words() + ".");
    }

    public void nextCountIn() {
        countIn = (countIn + 1) % 3;
        again(
                countIn == 0
                        ? "No count-in."
                        : countIn == 1 ? "One bar counted in." : "Two bars counted in.");
    }

    public void nextFinest() {
        finest = (finest + 1) % FINEST.length;
        tell();
    }

    public void otherPart() {
        if (song.flatMap(Song::second).isEmpty()) {
            model.say("The second guitar does not play along (B).");
            return;
        }
        secondShown = !secondShown;
        tell();
    }

    private void again(String words) {
        publish();
        model.say(words);
        tell();
    }

    private Drill drill() {
        return new Drill(from, to, hundredths(), countIn, click, vanishing(), who);
    }

    private void publish() {
        if (model.screen() == Zone.PRACTISE && song.isPresent() && to > from) {
            Drill d = drill();
            rounds = Optional.of(d.rounds(song.get()));
            model.player().show(d.heard(song.get()));
        }
    }

    // Playing.

    private boolean playing() {
        return model.player().telemetry().latest().playing();
    }

    /** Counts in and plays, or stops and writes down what was played. */
    void togglePlay() {
        if (playing()) {
            stopAndKeep();
        } else if (song.isPresent()) {
            passes = 0;
            failed = 0;
            best = 0;
            failing = false;
            last = -1;
            begun = clock.millis();
            Drill d = drill();
            rounds = Optional.of(d.rounds(song.get()));
            model.player().showAndPlay(d.heard(song.get()), 0);
        }
        tell();
    }

    /** Follows the player: counts passes. */
    public void follow(boolean plays, double ofPlayer) {
        if (!plays || rounds.isEmpty() || begun < 0) {
            return;
        }
        Rounds r = rounds.get();
        if (r.round(ofPlayer) < 0) {
            last = -1;
            return;
        }
        double now = r.whole(ofPlayer);
        boolean round = last >= 0 && now < last - (to - from) / 2.0;
        last = now;
        if (round) {
            passDone();
        }
    }

    private void passDone() {
        passes++;
        int at = tempo();
        sounded += song.map(s -> seconds(s) * 100 / hundredths()).orElse(0.0);
        if (failing) {
            failed++;
        } else if (climb.isEmpty()) {
            best = Math.max(best, at);
        }
        boolean fell = failing;
        failing = false;
        if (climb.isPresent()) {
            Ladder.Climb before = climb.get();
            Ladder.Climb after = fell ? before.failedPass() : before.passed();
            climb = Optional.of(after);
            best = Math.max(best, after.best());
            if (after.tempo() != before.tempo()) {
                publish();
                model.say(
                        after.tempo() > before.tempo()
                                ? "Up to " + after.tempo() + "."
                                : "Two failed: back to " + after.tempo() + ".");
            } else if (after.reached() && !before.reached()) {
                model.say("The goal is reached, every pass clean at " + after.best() + ".");
            }
        }
        if (sounded > UNTIL_A_REST && !rested) {
            rested = true;
            model.say(PracticeWords.REST);
        }
        tell();
    }

    private double seconds(Song s) {
        TempoMap tempos = s.score().time().tempos();
        return tempos.seconds(to) - tempos.seconds(from);
    }

    /** Stops; what was played at least once through is written down. */
    void stopAndKeep() {
        if (playing()) {
            model.player().stop();
        }
        if (begun >= 0 && passes > 0) {
            Entry e =
                    new Entry(
                            begun,
                            model.workspace().content().id(),
                            model.workspace().content().title(),
                            what,
                            climb.map(c -> c.ladder().goal()).orElse(0),
                            best,
                            tempo(),
                            passes,
                            failed,
                            song.map(s -> passes * seconds(s) * 100 / hundredths()).orElse(0.0));
            diary.write(e);
        }
        begun = -1;
    }

    /** What the riff asks of the hands at this tempo, in words; empty where it is little. */
    public String care() {
        return song.map(
                        s ->
                                PracticeWords.of(
                                        Load.of(s.passageAt(from).first(), hundredths()), tempo()))
                .orElse("");
    }

    /** Comes to practise: what is under the arrangement's caret. */
    void enter() {
        hard = -1;
        song = model.arrange().song();
        if (song.isPresent()) {
            int now = model.arrange().sectionProperty().get();
            if (now != entered) {
                section(now);
            }
            publish();
        }
        entered = model.arrange().sectionProperty().get();
        if (sounded == 0) {
            model.say(PracticeWords.WARM_UP);
        }
        tell();
    }

    /** Leaves: what was played is written down, the riff sounds again. */
    void leave() {
        stopAndKeep();
        model.player().stop();
        rounds = Optional.empty();
        model.player().show(model.workspace().heard());
    }

    @Override
    public void close() {
        stopAndKeep();
        diary.close();
    }
}
