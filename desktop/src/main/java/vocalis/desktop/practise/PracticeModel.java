package vocalis.desktop.practise;

import java.time.Clock;
import java.util.List;
import java.util.Optional;
import javafx.beans.property.ReadOnlyLongProperty;
import javafx.beans.property.ReadOnlyLongWrapper;
import vocalis.core.arrange.Song;
import vocalis.core.piece.Piece;
import vocalis.core.practice.Entry;
import vocalis.core.practice.Load;
import vocalis.core.practice.Rounds;
import vocalis.core.rhythm.TempoMap;
import vocalis.desktop.arrange.ArrangeModel;
import vocalis.desktop.heard.Ears;
import vocalis.desktop.session.Place;
import vocalis.desktop.session.Screen;
import vocalis.desktop.session.Session;
import vocalis.workbench.library.PracticeLog;
import vocalis.workbench.playing.Drill;
import vocalis.workbench.playing.Heard;
import vocalis.workbench.words.PracticeWords;

/**
 * Practising: a stretch of the song round and round, counted in, at its own tempo or up a ladder;
 * what was played is kept in a log. Used on the FX thread; the log is written on a worker.
 */
public final class PracticeModel implements Screen, AutoCloseable {

    /** Seconds that sound until a rest is suggested; common practice, no source. */
    private static final double UNTIL_A_REST = 20 * 60;

    private final Session session;
    private final ArrangeModel arrange;
    private final Clock clock;
    private final PracticeDiary diary = new PracticeDiary(this::tell);
    private final ReadOnlyLongWrapper changed = new ReadOnlyLongWrapper();
    private final Aiming aiming;
    private final Pace pace;
    private final Verdicts verdicts;
    private final DrillSettings settings;
    private int entered = -1;
    private final Counting counting;
    private Optional<Sitting> sitting = Optional.empty();
    private double sounded;
    private boolean rested;
    private boolean open;

    /**
     * @param arrange what its caret is on is practised
     */
    public PracticeModel(Session session, ArrangeModel arrange, Clock clock) {
        this.session = session;
        this.arrange = arrange;
        settings =
                new DrillSettings(
                        session,
                        () -> song().flatMap(Song::second).isPresent(),
                        this::publish,
                        this::tell);
        counting = new Counting(settings);
        aiming = new Aiming(session, settings::secondShown, new Around());
        pace = new Pace(session, this::song, aiming::aim, this::publish, this::tell);
        verdicts = new Verdicts(session, pace, this::tell);
        arrange.onSong(this::songChanged);
        this.clock = clock;
    }

    /** Those that listen now. */
    public Optional<Ears> ears() {
        return verdicts.ears();
    }

    /** Which passes count. */
    public Verdicts verdicts() {
        return verdicts;
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
    @Override
    public Optional<Song> song() {
        return aiming.song();
    }

    /** Which stretch is practised. */
    public Aiming aiming() {
        return aiming;
    }

    /** How fast it goes. */
    public Pace pace() {
        return pace;
    }

    /** Another stretch ends what is played, and is heard at its own pace. */
    private final class Around implements Aiming.Told {
        @Override
        public void leaving(Aim from, Aim to) {
            stopAndKeep();
            pace.leaving(from, to);
        }

        @Override
        public void aimed() {
            publish();
        }

        @Override
        public void tell() {
            PracticeModel.this.tell();
        }
    }

    /** First tick of what is practised. */
    public long from() {
        return aiming.aim().from();
    }

    /** Tick past its last. */
    public long to() {
        return aiming.aim().to();
    }

    /** What is practised, in words. */
    public String what() {
        return aiming.aim().what();
    }

    /** Who is heard, what is counted, whose tab is read. */
    public DrillSettings settings() {
        return settings;
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

    /** What has been practised of this piece, oldest first. */
    public List<Entry> entries() {
        return diary.of(session.piece().id());
    }

    /** What was practised, of all pieces. */
    public PracticeDiary diary() {
        return diary;
    }

    /** What is counted of what plays. */
    public Counting counting() {
        return counting;
    }

    /** The tick of the song that a tick of the player is. */
    @Override
    public double tick(double ofPlayer) {
        return counting.whole(ofPlayer);
    }

    // The screen.

    @Override
    public boolean has(Place place) {
        return place instanceof PractisePlace;
    }

    @Override
    public boolean ofSong() {
        return true;
    }

    @Override
    public void riffChanged() {
        arrange.refresh();
    }

    /** Nothing is heard by itself here. */
    @Override
    public boolean beginHearing(Place place) {
        return false;
    }

    @Override
    public String spoken(Place place) {
        return what()
                + " at "
                + pace.tempo()
                + (pace.onLadder() ? ", up the ladder" : "")
                + "; "
                + passes()
                + " passes, "
                + failed()
                + " failed";
    }

    @Override
    public void endHearing() {
        // Nothing was begun.
    }

    // What is practised.

    /** Another song, or another state of it: the same stretch of it is practised, if it has it. */
    private void songChanged() {
        String before = song().map(s -> s.piece().id()).orElse("");
        Optional<Song> now = arrange.song();
        if (now.filter(s -> !before.equals(s.piece().id())).isPresent()) {
            stopAndKeep();
            aiming.begin(s -> Aim.section(s, arrange.sectionProperty().get()));
        }
        aiming.songIs(now);
        if (now.isPresent()) {
            publish();
        }
        tell();
    }

    private Drill drill() {
        return new Drill(
                aiming.aim().from(),
                aiming.aim().to(),
                pace.hundredths(),
                settings.countIn(),
                settings.click(),
                settings.vanishing(),
                settings.who());
    }

    private void publish() {
        if (open) {
            heard().ifPresent(session.player()::show);
        }
    }

    /** What is to be heard; the rounds that it comes in are followed from now on. */
    private Optional<Heard> heard() {
        return song().filter(s -> aiming.aim().to() > aiming.aim().from())
                .map(
                        s -> {
                            Drill d = drill();
                            Rounds r = d.rounds(s);
                            counting.of(r);
                            return d.heard(s, r);
                        });
    }

    // Playing.

    /** Counts in and plays, or stops and writes down what was played. */
    @Override
    public void togglePlay() {
        if (session.playing()) {
            stopAndKeep();
        } else {
            heard().ifPresent(
                            h -> {
                                Piece piece = session.piece();
                                sitting = Optional.of(new Sitting(piece, clock.millis()));
                                ears().ifPresent(Ears::begin);
                                session.player().showAndPlay(h, 0);
                            });
        }
        tell();
    }

    /** The pass that plays failed: the player says so. */
    public void fail() {
        // A player that was told to stop may still play a block.
        if (!session.playing() || sitting.filter(Sitting::goesOn).isEmpty()) {
            session.say("Nothing plays: a pass fails while it is played.");
            return;
        }
        boolean fails = sitting.filter(Sitting::toggleFailing).isPresent();
        session.say(fails ? "This pass does not count." : "This pass counts again.");
        tell();
    }

    /** Follows the player: counts passes. */
    public void follow(boolean plays, double ofPlayer) {
        if (!plays || counting.rounds().isEmpty() || sitting.filter(Sitting::goesOn).isEmpty()) {
            return;
        }
        Rounds r = counting.rounds().get();
        boolean comes =
                r.round(ofPlayer) >= 0
                        && sitting.get()
                                .comesRound(
                                        r.whole(ofPlayer), aiming.aim().to() - aiming.aim().from());
        if (comes) {
            passDone(sitting.get());
        }
        // The ears are told of a pass that is over before they follow the next.
        ears().ifPresent(e -> e.pulse(r, ofPlayer));
        if (r.round(ofPlayer) < 0) {
            sitting.get().countedIn();
        }
    }

    private void passDone(Sitting now) {
        double lasted = song().map(this::seconds).orElse(0.0) * 100 / pace.hundredths();
        sounded += lasted;
        boolean clean = now.passDone(lasted);
        verdicts.passDone(now, clean);
        if (sounded > UNTIL_A_REST && !rested) {
            rested = true;
            session.say(PracticeWords.REST);
        }
        tell();
    }

    private double seconds(Song s) {
        TempoMap tempos = s.score().time().tempos();
        return tempos.seconds(aiming.aim().to()) - tempos.seconds(aiming.aim().from());
    }

    /** Stops; what was played at least once through is written down. */
    private void stopAndKeep() {
        if (session.playing()) {
            session.player().stop();
        }
        sitting.filter(Sitting::goesOn).ifPresent(verdicts::settle);
        sitting.filter(Sitting::end)
                .ifPresent(
                        now -> {
                            int goal = pace.climb().map(c -> c.ladder().goal()).orElse(0);
                            diary.write(now.entry(aiming.aim().what(), goal, pace.tempo()));
                        });
    }

    /** What the riff asks of the hands at this tempo, in words; empty where it is little. */
    public String care() {
        return song().map(
                        s ->
                                PracticeWords.of(
                                        Load.of(
                                                s.passageAt(aiming.aim().from()).first(),
                                                pace.hundredths()),
                                        pace.tempo()))
                .orElse("");
    }

    /** Comes to practise: what is under the arrangement's caret. */
    @Override
    public void enter() {
        open = true;
        session.player().stop();
        arrange.refresh();
        aiming.hardestFirst();
        int now = arrange.sectionProperty().get();
        if (now != entered) {
            aiming.begin(s -> Aim.section(s, now));
        }
        entered = now;
        songChanged();
        if (sounded == 0) {
            session.say(PracticeWords.WARM_UP);
        }
    }

    /** Leaves: what was played is written down, the riff sounds again. */
    @Override
    public void leave() {
        open = false;
        ears().ifPresent(Ears::left);
        stopAndKeep();
        session.player().stop();
        counting.none();
        session.player().show(session.workspace().heard());
    }

    @Override
    public void close() {
        stopAndKeep();
        diary.close();
    }
}
