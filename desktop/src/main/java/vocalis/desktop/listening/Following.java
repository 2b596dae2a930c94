package vocalis.desktop.listening;

import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.stream.LongStream;
import vocalis.core.practice.Rounds;
import vocalis.core.riff.Ground;
import vocalis.core.score.Score;
import vocalis.desktop.heard.Ears;
import vocalis.desktop.practise.PracticeModel;
import vocalis.desktop.session.Session;
import vocalis.sound.listen.OnsetFinder;
import vocalis.sound.listen.Take;
import vocalis.workbench.listening.Ear;
import vocalis.workbench.listening.FollowWords;
import vocalis.workbench.listening.FollowedPass;
import vocalis.workbench.listening.Follower;
import vocalis.workbench.listening.Listener;
import vocalis.workbench.listening.Played;
import vocalis.workbench.listening.StandIn;
import vocalis.workbench.listening.Written;
import vocalis.workbench.playing.Player;
import vocalis.workbench.takes.TakeShelf;

/**
 * Follows what is practised: each pass is held against the stretch as it is written, told in a line
 * and marked on the tab. Used on the FX thread; the reading is done on a worker.
 */
public final class Following implements Ears {

    private static final double BEFORE = 0.15;
    private static final double AFTER = 0.25;
    private static final int LEAST_CLICKS = 3;
    private static final double ON_CLICK_SECONDS = 0.03;
    private static final String BLEEDS =
            "The input hears the program's own clicks: take headphones, or plug the guitar in."
                    + " Nothing is judged.";

    /** A pass whose strokes lie further apart from their beats than this is not clean, in ms. */
    private static final double CLEAN_MS = 30;

    private final Session session;
    private final PracticeModel practice;
    private final Source source;
    private final Alignment alignment = new Alignment();
    private final List<FollowedPass> passes = new ArrayList<>();
    private Optional<FollowWords> words = Optional.empty();
    private List<Double> countedIn = List.of();
    private boolean bleeds;
    private Optional<Pass> last = Optional.empty();
    private Optional<Written> written = Optional.empty();

    /** A pass with its sound, the piece that it is of, and what is told of it. */
    private record Pass(FollowedPass heard, Take take, String piece, String told) {}

    private boolean on;
    private int run;
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
            Prepared.soon(session);
            session.say(
                    source.standIn()
                            ? "Listening to the stand-in: every pass is told. F11 chooses an input."
                            : "Listening: every pass is told. Play alone; clean is heard best.");
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
        run++;
        passes.clear();
        words = Optional.empty();
        number = 0;
        bleeds = false;
        countedIn = List.of();
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
        } else {
            var tempos = rounds.time().tempos();
            double zero = engine - tempos.seconds((long) now.tick());
            long beat = rounds.time().meters().meter(0).beatTicks();
            countedIn =
                    LongStream.range(0, rounds.loopFrom() / beat)
                            .mapToObj(i -> zero + tempos.seconds(i * beat))
                            .toList();
        }
    }

    /** Whether the clicks of the count-in are heard in the input: then it hears the program. */
    private static boolean hearsItself(Listener listener, List<Double> clicks) {
        if (clicks.size() < LEAST_CLICKS) {
            return false;
        }
        double from = clicks.get(0) - BEFORE;
        Take take = listener.take(from, clicks.get(clicks.size() - 1) + AFTER);
        List<Double> onsets = OnsetFinder.of(take);
        return clicks.stream()
                .allMatch(
                        c ->
                                onsets.stream()
                                        .anyMatch(o -> Math.abs(from + o - c) < ON_CLICK_SECONDS));
    }

    @Override
    public void passDone(Consumer<Optional<Boolean>> clean) {
        Optional<Score> asked = practice.aiming().asked(practice.pace().hundredths());
        if (asked.isEmpty() || asked.get().onsets().isEmpty()) {
            clean.accept(Optional.of(true));
            return;
        }
        Score score = asked.get();
        Ground ground = session.now().ground();
        Written of = written(score, ground);
        int pass = ++number;
        double lasts = score.time().tempos().seconds(score.length());
        Optional<Listener> listener = source.listener();
        if (!source.standIn() && !listener.map(Listener::hearing).orElse(false)) {
            openAgain(listener);
            clean.accept(Optional.of(true));
            return;
        }
        double at =
                alignment.heard(began)
                        + source.late().orElse(session.player().output().latencySeconds());
        long error = seed + pass;
        int mine = run;
        FollowWords saying = saying(score, ground);
        String piece = session.piece().id();
        String what = practice.what() + " at " + practice.pace().tempo() + ": ";
        List<Double> clicks =
                pass > 1 ? List.of() : countedIn.stream().map(c -> at - began + c).toList();
        var hand = session.hand();
        session.ask(
                "hearing a pass",
                () -> {
                    if (listener.isPresent() && hearsItself(listener.get(), clicks)) {
                        return Optional.<Pass>empty();
                    }
                    Take take =
                            listener.map(l -> took(l, at, at + lasts))
                                    .orElseGet(() -> standIn(score, ground, error));
                    double begins = listener.isPresent() ? BEFORE : 0;
                    Ear ear =
                            new Ear(
                                    score.board(),
                                    ground.a4Hz(),
                                    hand,
                                    session.catalogue(),
                                    Optional.of(ground.key()));
                    FollowedPass told = Follower.once(of, take, begins, ear, pass);
                    return Optional.of(new Pass(told, take, piece, what + saying.of(told)));
                },
                heard -> {
                    if (mine == run) {
                        bleeds = bleeds || heard.isEmpty();
                        heard.filter(p -> !bleeds)
                                .ifPresentOrElse(p -> told(p, saying), () -> session.say(BLEEDS));
                        clean.accept(
                                bleeds
                                        ? Optional.of(true)
                                        : heard.map(Pass::heard).flatMap(Following::clean));
                    }
                });
    }

    private void openAgain(Optional<Listener> listener) {
        session.say(
                listener.map(l -> l.level().words())
                        .orElse("The input was closed meanwhile: the next pass is told."));
        source.close();
        source.open();
        alignment.clear();
    }

    private static Take standIn(Score score, Ground ground, long seed) {
        return StandIn.play(score, ground, StandIn.Errors.LEARNING, seed);
    }

    private static Take took(Listener listener, double from, double to) {
        waitFor(listener, to + AFTER);
        return listener.take(from - BEFORE, to + AFTER);
    }

    /** The same as for the pass before, so that its sound is made once. */
    private Written written(Score score, Ground ground) {
        if (written.isEmpty()
                || !written.get().score().equals(score)
                || !written.get().ground().equals(ground)) {
            written = Optional.of(new Written(score, ground));
        }
        return written.get();
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

    /** Keeps the sound of the last pass, with what is told of it. */
    void keep(TakeShelf shelf) {
        if (last.isEmpty()) {
            session.say("No pass was heard yet: let it listen while you practise.");
            return;
        }
        Pass pass = last.get();
        session.attempt(
                "keeping a take",
                () -> shelf.keep(pass.piece(), LocalDateTime.now(), pass.told(), pass.take()),
                kept -> session.say("Kept as " + kept.when() + "."),
                why -> session.say("Not kept: " + why));
    }

    private FollowWords saying(Score score, Ground ground) {
        var song = practice.song();
        int first = song.map(s -> s.score().time().meters().bar(practice.from())).orElse(0) + 1;
        return new FollowWords(score.time().meters(), score.board(), ground.key(), first);
    }

    private void told(Pass pass, FollowWords saying) {
        String told = "Pass " + pass.heard().number() + ": " + saying.of(pass.heard());
        if (pass.heard().silent()) {
            session.say(told + " It does not count.");
            return;
        }
        last = Optional.of(pass);
        words = Optional.of(saying);
        passes.add(pass.heard());
        session.say(told);
    }

    private static Optional<Boolean> clean(FollowedPass pass) {
        if (pass.silent()) {
            return Optional.empty();
        }
        boolean otherwise =
                pass.faults().stream()
                        .anyMatch(
                                p ->
                                        p.state() != Played.State.EARLY
                                                && p.state() != Played.State.LATE);
        return Optional.of(!otherwise && pass.spreadMs() <= CLEAN_MS);
    }

    @Override
    public void left() {
        source.close();
    }

    @Override
    public String remark() {
        return bleeds ? BLEEDS : "Each pass is told when it is over.";
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
