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

    /** A pass is over; where somebody listens it counts when it was heard. */
    void passDone(Sitting now, boolean clean) {
        heardToFail = Optional.empty();
        if (clean && ears().isPresent()) {
            ears().get().passDone(heard -> heard(now, heard));
        } else {
            step(now, clean);
        }
    }

    private void heard(Sitting now, boolean clean) {
        if (!clean) {
            now.heardToFail(true);
            heardToFail = Optional.of(now);
        }
        step(now, clean);
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
        step(now, true);
        session.say("It counts.");
        changed.run();
    }
}
