package vocalis.desktop.practise;

import java.util.Optional;
import vocalis.desktop.heard.Ears;
import vocalis.desktop.session.Teller;

/**
 * Which passes count: those that the player did not say failed, and that were not heard to fail,
 * where somebody listens. The player has the last word.
 */
public final class Verdicts {

    private final Teller session;
    private final Pace pace;
    private final Runnable changed;
    private Optional<Ears> ears = Optional.empty();
    private Optional<Sitting> heardToFail = Optional.empty();

    /** What a pass came to that steps the ladder when the next is over, not within it. */
    private Optional<Boolean> waiting = Optional.empty();

    Verdicts(Teller session, Pace pace, Runnable changed) {
        this.session = session;
        this.pace = pace;
        this.changed = changed;
    }

    /** Has what is played listened to. */
    public void listenWith(Ears with) {
        ears = Optional.of(with);
    }

    /** More was heard: those that show it are told. */
    public void heardMore() {
        changed.run();
    }

    Optional<Ears> ears() {
        return ears.filter(Ears::on);
    }

    /**
     * A pass is over; where somebody listens it counts when it was heard. The tempo changes only
     * where a pass begins, so that none is half of one and half of another.
     */
    void passDone(Sitting now, boolean clean) {
        Optional<Boolean> before = waiting;
        waiting = Optional.empty();
        heardToFail = Optional.empty();
        boolean listens = clean && ears().isPresent();
        if (listens) {
            // They look at the tempo that was played, so they are asked before it changes.
            ears().get().passDone(heard -> heard(now, heard));
        }
        before.ifPresent(b -> step(now, b));
        if (!listens) {
            step(now, clean);
        }
    }

    /** Takes what still waits. */
    void settle(Sitting now) {
        Optional<Boolean> verdict = waiting;
        waiting = Optional.empty();
        verdict.ifPresent(clean -> step(now, clean));
    }

    private void heard(Sitting now, Optional<Boolean> clean) {
        if (clean.isEmpty()) {
            now.notPlayed();
        } else if (!clean.get()) {
            now.heardToFail(true);
            heardToFail = Optional.of(now);
        }
        if (now.goesOn()) {
            waiting = clean;
        }
        changed.run();
    }

    private void step(Sitting now, boolean clean) {
        if (pace.climb().isPresent()) {
            pace.passed(now, clean);
        } else if (clean) {
            now.cleanAt(pace.tempo());
        }
    }

    /** The pass that was heard to fail counts after all: the player knows better. */
    public void overrule() {
        if (heardToFail.isEmpty()) {
            session.say("No pass was heard to fail.");
            return;
        }
        Sitting now = heardToFail.get();
        heardToFail = Optional.empty();
        now.heardToFail(false);
        if (now.goesOn()) {
            waiting = Optional.of(true);
        }
        session.say("It counts.");
        changed.run();
    }
}
