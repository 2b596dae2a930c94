package vocalis.desktop.listening;

import java.util.Optional;
import java.util.function.Function;
import vocalis.sound.device.Devices;
import vocalis.sound.device.InputLine;
import vocalis.workbench.listening.Listener;

/**
 * Whom the program listens to: the stand-in player until the player chooses an input. Nothing is
 * opened before it is asked for. Used on the FX thread.
 */
public final class Source implements AutoCloseable {

    /** Stands for the player that needs no cable. */
    public static final String STAND_IN = "stand-in player";

    private final Function<String, InputLine.Opener> openers;
    private String name = STAND_IN;
    private Optional<Listener> listener = Optional.empty();

    public Source() {
        this(Devices::input);
    }

    /**
     * @param openers the input of a name
     */
    public Source(Function<String, InputLine.Opener> openers) {
        this.openers = openers;
    }

    /** Name of the input, or {@link #STAND_IN}. */
    public String name() {
        return name;
    }

    public boolean standIn() {
        return name.equals(STAND_IN);
    }

    /** Goes over to another; what was open is closed. */
    public void use(String other) {
        close();
        name = other;
    }

    /** Listens from now on, if it does not yet; empty for the stand-in. */
    public Optional<Listener> open() {
        if (!standIn() && listener.isEmpty()) {
            listener = Optional.of(new Listener(openers.apply(name)));
        }
        return listener;
    }

    /** What listens now. */
    public Optional<Listener> listener() {
        return listener;
    }

    /** Listens no longer. */
    @Override
    public void close() {
        listener.ifPresent(Listener::close);
        listener = Optional.empty();
    }
}
