package vocalis.desktop.heard;

import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import vocalis.core.practice.Rounds;
import vocalis.workbench.listening.FollowWords;
import vocalis.workbench.listening.FollowedPass;

/** Those that hear what is played meanwhile. */
public interface Ears {

    /** Whether they listen. */
    boolean on();

    /** The player is here now. */
    void pulse(Rounds rounds, double ofPlayer);

    /** Counting in, from the start. */
    void begin();

    /** The player leaves the screen: nothing is heard until it plays again. */
    void left();

    /**
     * A pass is over; whether it was clean is told later, if it can be; empty where nothing of it
     * was played.
     */
    void passDone(Consumer<Optional<Boolean>> clean);

    /** What is to be said while nothing was judged. */
    String remark();

    /** What was heard so far, pass by pass. */
    List<FollowedPass> passes();

    /** What is said of the last pass. */
    Optional<FollowWords> words();
}
