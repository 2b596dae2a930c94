package vocalis.desktop.model;

import java.time.Clock;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import java.util.stream.IntStream;
import javafx.beans.property.ReadOnlyLongProperty;
import javafx.beans.property.ReadOnlyLongWrapper;
import vocalis.core.arrange.Song;
import vocalis.core.piece.Piece;
import vocalis.core.practice.Entry;
import vocalis.core.practice.HardChange;
import vocalis.core.practice.Ladder;
import vocalis.core.practice.Load;
import vocalis.core.practice.Rounds;
import vocalis.core.practice.Vanishing;
import vocalis.core.rhythm.MeterMap;
import vocalis.core.rhythm.TempoMap;
import vocalis.core.rhythm.Ticks;
import vocalis.workbench.library.PracticeLog;
import vocalis.workbench.playing.Drill;
import vocalis.workbench.playing.Heard;
import vocalis.workbench.words.PracticeWords;

/**
 * Practising: a stretch of the song round and round, counted in, at its own tempo or up a ladder;
 * what was played is kept in a log. Used on the FX thread; the log is written on a worker.
 */
public final class PracticeModel implements AutoCloseable {

    /** Seconds that sound until a rest is suggested; common practice, no source. */
    private static final double UNTIL_A_REST = 20 * 60;

    /** How many of the hardest changes are gone through. */
    private static final int HARD_CHANGES = 5;

    private static final Vanishing[] VANISHINGS = {
        Vanishing.NEVER, new Vanishing(2, 2), new Vanishing(4, 4), new Vanishing(2, 6)
    };

    private static final long[] FINEST = {Ticks.QUARTER, Ticks.EIGHTH, Ticks.SIXTEENTH};

    private final WriteModel model;
    private final Clock clock;
    private final PracticeDiary diary = new PracticeDiary(this::tell);
    private final ReadOnlyLongWrapper changed = new ReadOnlyLongWrapper();
    private Optional<Song> song = Optional.empty();
    private Function<Song, Aim> aiming = s -> Aim.section(s, 0);
    private Aim aim = Aim.NONE;
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
    private int entered = -1;
    private Optional<Rounds> rounds = Optional.empty();
    private Optional<Sitting> sitting = Optional.empty();
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
        return aim.from();
    }

    /** Tick past its last. */
    public long to() {
        return aim.to();
    }

    /** What is practised, in words. */
    public String what() {
        return aim.what();
    }

    /** The ladder, when it is climbed. */
    public Optional<Ladder.Climb> climb() {
        return climb;
    }

    /** Passes since play began, and how many of them failed. */
    public int passes() {
        return sitting.map(Sitting::passes).orElse(0);
    }

    public int failed() {
        return sitting.map(Sitting::failed).orElse(0);
    }

    /** Whether the pass that plays was said to fail. */
    public boolean failing() {
        return sitting.filter(Sitting::failing).isPresent();
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
        return s.score().time().tempos().at(aim.from());
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

    /** Another song, or another state of it: the same stretch of it is practised, if it has it. */
    void songChanged() {
        String before = song.map(s -> s.piece().id()).orElse("");
        song = model.arrange().song();
        song.ifPresent(
                s -> {
                    if (!before.equals(s.piece().id())) {
                        stopAndKeep();
                        aiming = x -> Aim.section(x, model.arrange().sectionProperty().get());
                    }
                    aimAgain(s);
                    publish();
                });
        tell();
    }

    private void aimAt(Function<Song, Aim> at) {
        song.ifPresent(
                s -> {
                    aiming = at;
                    if (aimAgain(s)) {
                        publish();
                    }
                    tell();
                });
    }

    /** Takes the stretch of a song that is aimed at; says whether it is another. */
    private boolean aimAgain(Song s) {
        Aim next = aiming.apply(s);
        if (next.equals(aim)) {
            return false;
        }
        stopAndKeep();
        tempos.put(aim.what(), hundredths);
        aim = next;
        hundredths = tempos.getOrDefault(next.what(), 100.0);
        climb = climb.map(c -> c.ladder().foot());
        return true;
    }

    /** Practises a section. */
    public void section(int index) {
        aimAt(s -> Aim.section(s, index));
    }

    /** Practises the next (last) section. */
    public void nextSection(int by) {
        song.ifPresent(
                s ->
                        section(
                                Math.floorMod(
                                        s.sectionAt(aim.from()) + by,
                                        s.piece().sections().size())));
    }

    /** Practises everything. */
    public void whole() {
        aimAt(Aim::whole);
    }

    /** Practises the hardest change alone, then the next hardest. */
    public void hardChange() {
        List<HardChange> all = song.map(s -> HardChange.of(s, secondShown())).orElse(List.of());
        if (all.isEmpty()) {
            model.say("The hand stays where it is: no change is hard here.");
            return;
        }
        hard = (hard + 1) % Math.min(HARD_CHANGES, all.size());
        HardChange h = all.get(hard);
        aimAt(s -> Aim.change(s, h));
        model.say(PracticeWords.of(h));
    }

    /** Moves the stretch by bars, or its end alone. */
    public void moveStretch(int bars, boolean endOnly) {
        song.ifPresent(
                s -> {
                    MeterMap meters = s.score().time().meters();
                    int a = Math.max(0, meters.bar(aim.from()));
                    int length = meters.bar(Math.max(0, aim.to() - 1)) + 1 - a;
                    int last = meters.bars(s.length()) - length;
                    int first = endOnly ? a : Math.max(0, Math.min(last, a + bars));
                    int past = first + length + (endOnly ? bars : 0);
                    aimAt(x -> Aim.bars(x, first, past));
                });
    }

    // How.

    /** Steps the tempo: on the ladder its goal, else the tempo itself. */
    public void tempo(int by) {
        song.ifPresent(
                s -> {
                    if (climb.isPresent()) {
                        climbed(l -> l.upTo(l.goal() + by));
                    } else {
                        int now = tempo() + by;
                        int inside = Math.max(TempoMap.SLOWEST, Math.min(TempoMap.FASTEST, now));
                        hundredths = 100.0 * inside / own(s);
                        publish();
                        tell();
                    }
                });
    }

    /** The ladder's foot. */
    public void foot(int by) {
        climbed(l -> l.startingAt(l.start() + by));
    }

    /** Clean passes that a rung takes: 1, 2, 3, 4, 6, 8, and again. */
    public void rungPasses() {
        climbed(
                l ->
                        l.taking(
                                IntStream.of(1, 2, 3, 4, 6, 8)
                                        .filter(n -> n > l.passes())
                                        .findFirst()
                                        .orElse(1)));
    }

    /** Another ladder, from its foot. */
    private void climbed(UnaryOperator<Ladder> change) {
        climb = climb.map(c -> change.apply(c.ladder()).foot());
        publish();
        tell();
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
        // A player that was told to stop may still play a block.
        if (!playing() || sitting.filter(Sitting::goesOn).isEmpty()) {
            model.say("Nothing plays: a pass fails while it is played.");
            return;
        }
        boolean fails = sitting.filter(Sitting::toggleFailing).isPresent();
        model.say(fails ? "This pass does not count." : "This pass counts again.");
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
        return new Drill(aim.from(), aim.to(), hundredths(), countIn, click, vanishing(), who);
    }

    private void publish() {
        if (model.screen() == Zone.PRACTISE) {
            heard().ifPresent(model.player()::show);
        }
    }

    /** What is to be heard; the rounds that it comes in are followed from now on. */
    private Optional<Heard> heard() {
        return song.filter(s -> aim.to() > aim.from())
                .map(
                        s -> {
                            Drill d = drill();
                            Rounds r = d.rounds(s);
                            rounds = Optional.of(r);
                            return d.heard(s, r);
                        });
    }

    // Playing.

    private boolean playing() {
        return model.player().telemetry().latest().playing();
    }

    /** Counts in and plays, or stops and writes down what was played. */
    void togglePlay() {
        if (playing()) {
            stopAndKeep();
        } else {
            heard().ifPresent(
                            h -> {
                                Piece piece = model.workspace().content();
                                sitting = Optional.of(new Sitting(piece, clock.millis()));
                                model.player().showAndPlay(h, 0);
                            });
        }
        tell();
    }

    /** Follows the player: counts passes. */
    public void follow(boolean plays, double ofPlayer) {
        if (!plays || rounds.isEmpty() || sitting.filter(Sitting::goesOn).isEmpty()) {
            return;
        }
        Rounds r = rounds.get();
        if (r.round(ofPlayer) < 0) {
            sitting.get().countedIn();
        } else if (sitting.get().comesRound(r.whole(ofPlayer), aim.to() - aim.from())) {
            passDone(sitting.get());
        }
    }

    private void passDone(Sitting now) {
        double lasted = song.map(this::seconds).orElse(0.0) * 100 / hundredths();
        sounded += lasted;
        boolean clean = now.passDone(lasted);
        if (climb.isPresent()) {
            climbed(now, climb.get(), clean);
        } else if (clean) {
            now.cleanAt(tempo());
        }
        if (sounded > UNTIL_A_REST && !rested) {
            rested = true;
            model.say(PracticeWords.REST);
        }
        tell();
    }

    private void climbed(Sitting now, Ladder.Climb before, boolean clean) {
        Ladder.Climb after = clean ? before.passed() : before.failedPass();
        climb = Optional.of(after);
        now.cleanAt(after.best());
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

    private double seconds(Song s) {
        TempoMap tempos = s.score().time().tempos();
        return tempos.seconds(aim.to()) - tempos.seconds(aim.from());
    }

    /** Stops; what was played at least once through is written down. */
    void stopAndKeep() {
        if (playing()) {
            model.player().stop();
        }
        sitting.filter(Sitting::end)
                .ifPresent(
                        now -> {
                            int goal = climb.map(c -> c.ladder().goal()).orElse(0);
                            diary.write(now.entry(aim.what(), goal, tempo()));
                        });
    }

    /** What the riff asks of the hands at this tempo, in words; empty where it is little. */
    public String care() {
        return song.map(
                        s ->
                                PracticeWords.of(
                                        Load.of(s.passageAt(aim.from()).first(), hundredths()),
                                        tempo()))
                .orElse("");
    }

    /** Comes to practise: what is under the arrangement's caret. */
    void enter() {
        hard = -1;
        int now = model.arrange().sectionProperty().get();
        if (now != entered) {
            aiming = s -> Aim.section(s, now);
        }
        entered = now;
        songChanged();
        if (sounded == 0) {
            model.say(PracticeWords.WARM_UP);
        }
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
