package vocalis.desktop.listening;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import vocalis.core.practice.Rounds;
import vocalis.core.riff.Ground;
import vocalis.core.score.Score;
import vocalis.desktop.heard.Ears;
import vocalis.desktop.practise.PracticeModel;
import vocalis.desktop.session.Session;
import vocalis.sound.listen.Take;
import vocalis.workbench.listening.Ear;
import vocalis.workbench.listening.FollowWords;
import vocalis.workbench.listening.FollowedPass;
import vocalis.workbench.listening.Follower;
import vocalis.workbench.listening.Listener;
import vocalis.workbench.listening.Played;
import vocalis.workbench.listening.StandIn;
import vocalis.workbench.playing.Player;

/**
 * Follows what is practised: each pass is held against the stretch as it is written, told in a line
 * and marked on the tab. Used on the FX thread; the reading is done on a worker.
 */
public final class Following implements Ears {

    private static final double BEFORE = 0.15;
    private static final double AFTER = 0.25;

    /** A pass whose strokes lie further apart from their beats than this is not clean, in ms. */
    private static final double CLEAN_MS = 30;

    private final Session session;
    private final PracticeModel practice;
    private final Source source;
    private final Alignment alignment = new Alignment();
    private final List<FollowedPass> passes = new ArrayList<>();
    private Optional<FollowWords> words = Optional.empty();
    private boolean on;
    private double began;
    private int number;
    private long seed;

    public Following(Session session, PracticeModel practice, Source source) {
        this.session = session;
        this.practice = practice;
        this.source = source;
    }

    /** Listens while one practises, or no longer. */
    public void toggle() {
        on = !on;
        if (on) {
            source.open();
            session.say(
                    source.standIn()
                            ? "Listening to the stand-in: every pass is told. F11 chooses an input."
                            : "Listening: every pass is told. Play clean and alone.");
        } else {
            source.close();
            session.say("Not listening any more.");
        }
        begin();
        practice.verdicts().heardMore();
    }

    @Override
    public boolean on() {
        return on;
    }

    @Override
    public void begin() {
        passes.clear();
        words = Optional.empty();
        number = 0;
        seed = System.nanoTime();
        alignment.clear();
        if (on) {
            source.open();
        }
    }

    @Override
    public void pulse(Rounds rounds, double ofPlayer) {
        var now = session.player().telemetry().latest();
        double engine = now.frames() / Player.RATE;
        source.listener().ifPresent(l -> alignment.add(engine, l.seconds()));
        if (rounds.round(now.tick()) >= 0) {
            began = engine - rounds.secondsIn(now.tick());
        }
    }

    @Override
    public void passDone(Consumer<Boolean> clean) {
        Optional<Score> asked = practice.aiming().asked(practice.pace().hundredths());
        if (asked.isEmpty() || asked.get().onsets().isEmpty()) {
            clean.accept(true);
            return;
        }
        Score score = asked.get();
        Ground ground = session.now().ground();
        int pass = ++number;
        double lasts = score.time().tempos().seconds(score.length());
        Optional<Listener> listener = source.listener();
        double at = alignment.heard(began) + session.player().output().latencySeconds();
        long error = seed + pass;
        var hand = session.hand();
        session.ask(
                "hearing a pass",
                () -> {
                    Take take;
                    double begins;
                    if (listener.isEmpty()) {
                        take = StandIn.play(score, ground, StandIn.Errors.LEARNING, error);
                        begins = 0;
                    } else {
                        waitFor(listener.get(), at + lasts + AFTER);
                        take = listener.get().take(at - BEFORE, at + lasts + AFTER);
                        begins = BEFORE;
                    }
                    Ear ear =
                            new Ear(
                                    score.board(),
                                    ground.a4Hz(),
                                    hand,
                                    session.catalogue(),
                                    Optional.of(ground.key()));
                    return Follower.once(score, take, begins, ground.a4Hz(), ear, pass);
                },
                heard -> {
                    told(heard, score, ground);
                    clean.accept(clean(heard));
                });
    }

    /** What follows the pass by a moment has to be heard too. */
    private static void waitFor(Listener listener, double until) {
        for (int i = 0; i < 100 && listener.seconds() < until; i++) {
            try {
                Thread.sleep(10);
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
                return;
            }
        }
    }

    private void told(FollowedPass heard, Score score, Ground ground) {
        var song = practice.song();
        int first = song.map(s -> s.score().time().meters().bar(practice.from())).orElse(0) + 1;
        FollowWords now =
                new FollowWords(score.time().meters(), score.board(), ground.key(), first);
        words = Optional.of(now);
        passes.add(heard);
        session.say("Pass " + heard.number() + ": " + now.of(heard));
    }

    private static boolean clean(FollowedPass pass) {
        boolean otherwise =
                pass.faults().stream()
                        .anyMatch(
                                p ->
                                        p.state() != Played.State.EARLY
                                                && p.state() != Played.State.LATE);
        return !otherwise && pass.spreadMs() <= CLEAN_MS;
    }

    @Override
    public List<FollowedPass> passes() {
        return List.copyOf(passes);
    }

    @Override
    public Optional<FollowWords> words() {
        return words;
    }
}
