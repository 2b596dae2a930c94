package vocalis.desktop.session;

import java.util.concurrent.Callable;
import java.util.function.Consumer;
import java.util.function.Supplier;
import vocalis.desktop.view.Background;

/** Has questions answered on a worker; answers come back on the FX thread. */
public interface Asking {

    /**
     * Asks.
     *
     * @param what the work is, for the log: such as "looking for voicings"
     */
    <T> void ask(String what, Supplier<T> question, Consumer<T> answer);

    /** The same for what can fail, such as with the disk: then what was wrong is told in words. */
    <T> void attempt(
            String what, Callable<T> question, Consumer<T> answer, Consumer<String> trouble);

    /** A kind of question of which only the newest answer counts. */
    <T> Background.Channel<T> channel(String what, Consumer<T> answer);
}
