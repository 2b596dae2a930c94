package vocalis.desktop.listening;

import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.TreeMap;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import vocalis.sound.device.Devices;
import vocalis.sound.device.InputLine;
import vocalis.workbench.listening.Listener;

/**
 * Whom the program listens to: the stand-in player until the player chooses an input, which is
 * remembered. Nothing is opened before it is asked for. Used on the FX thread.
 */
public final class Source implements AutoCloseable {

    /** Stands for the player that needs no cable. */
    public static final String STAND_IN = "stand-in player";

    private static final String CHOSEN = "chosen ";

    private final Function<String, InputLine.Opener> openers;
    private String name = STAND_IN;
    private Optional<Listener> listener = Optional.empty();
    private final Map<String, Double> late = new TreeMap<>();

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

    /** How late what is played comes in, in seconds, where that was measured for this input. */
    public OptionalDouble late() {
        Double known = late.get(name);
        return known == null ? OptionalDouble.empty() : OptionalDouble.of(known);
    }

    /** Keeps what was measured for this input. */
    void late(double seconds) {
        late.put(name, seconds);
    }

    /** Who is listened to and what was measured, by input, as it is kept to the next day. */
    public String written() {
        Stream<String> measured =
                late.entrySet().stream()
                        .map(e -> Math.round(1e4 * e.getValue()) + " " + e.getKey());
        return Stream.concat(standIn() ? Stream.of() : Stream.of(CHOSEN + name), measured)
                .collect(Collectors.joining("\n"));
    }

    /** Takes up what was kept; what cannot be read is left out. */
    public void read(String written) {
        for (String line : written.split("\n")) {
            if (line.startsWith(CHOSEN) && line.length() > CHOSEN.length()) {
                use(line.substring(CHOSEN.length()));
            }
            if (line.matches("-?\\d{1,6} .+")) {
                int gap = line.indexOf(' ');
                late.put(line.substring(gap + 1), Integer.parseInt(line.substring(0, gap)) / 1e4);
            }
        }
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
