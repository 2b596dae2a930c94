package vocalis.desktop.exchange;

import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.function.Function;
import vocalis.sound.listen.Take;
import vocalis.workbench.playedin.Draft;

/** Has a take written down on a worker and shows what it is made of. */
public interface WritesDown {

    /**
     * Bars of the open riff, counted from 0.
     *
     * @param last the last of them
     */
    record Bars(int first, int last) {

        /** Such as "bars 3 to 4". */
        public String words() {
            return first == last
                    ? "bar " + (first + 1)
                    : "bars " + (first + 1) + " to " + (last + 1);
        }
    }

    /**
     * Does it. The riff that comes of it is opened when the player says so, or put into bars of the
     * open one.
     *
     * @param bars empty for a riff of its own
     */
    void writeDown(Callable<Take> source, Function<Take, Draft> write, Optional<Bars> bars);
}
