package vocalis.desktop.practise;

import java.util.Optional;
import vocalis.core.practice.Rounds;
import vocalis.core.rhythm.MeterMap;

/** Where in the rounds that are played one is: counted in, on which beat, with the click or not. */
public final class Counting {

    private final DrillSettings settings;
    private Optional<Rounds> rounds = Optional.empty();

    Counting(DrillSettings settings) {
        this.settings = settings;
    }

    void of(Rounds played) {
        rounds = Optional.of(played);
    }

    void none() {
        rounds = Optional.empty();
    }

    Optional<Rounds> rounds() {
        return rounds;
    }

    /** Whether the click is heard in the bar that plays. */
    public boolean clickHeard(double ofPlayer) {
        if (rounds.isEmpty() || !settings.click()) {
            return rounds.isPresent() && rounds.get().round(ofPlayer) < 0;
        }
        Rounds r = rounds.get();
        if (r.round(ofPlayer) < 0) {
            return true;
        }
        MeterMap meters = r.time().meters();
        int bar = meters.bar((long) ofPlayer) - meters.bar(r.loopFrom());
        return settings.vanishing().heard(bar);
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
    double whole(double ofPlayer) {
        return rounds.map(r -> (double) r.whole(ofPlayer)).orElse(ofPlayer);
    }
}
