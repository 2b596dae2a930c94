package vocalis.desktop.writing;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.beans.property.BooleanProperty;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.SimpleBooleanProperty;
import vocalis.core.derive.Derived;
import vocalis.core.mix.Controls;
import vocalis.core.mix.Mix;
import vocalis.core.names.Readout;
import vocalis.core.piece.Guitar;
import vocalis.core.riff.Ground;
import vocalis.core.voicing.Voicing;
import vocalis.desktop.session.Session;
import vocalis.desktop.view.Background;
import vocalis.workbench.playing.GainReadings;

/**
 * What gain makes of the voicing shown and of the riff's chords, reckoned off the FX thread, and
 * whether thirds are drawn pure.
 */
public final class GainModel implements AutoCloseable {

    /** What was read for a voicing. */
    public record ChordGain(Voicing voicing, double[] cents, GainReadings.Against against) {}

    private final Session session;
    private final ShownChord of;
    private final GainReadings readings;
    private final Background background = new Background("vocalis-gain");
    private final Background.Channel<Optional<ChordGain>> shownChannel;
    private final Background.Channel<List<ChordGain>> chordsChannel;
    private final ReadOnlyObjectWrapper<Optional<ChordGain>> shown =
            new ReadOnlyObjectWrapper<>(Optional.empty());
    private final ReadOnlyObjectWrapper<List<ChordGain>> chords =
            new ReadOnlyObjectWrapper<>(List.of());
    private final BooleanProperty pure = new SimpleBooleanProperty();

    GainModel(Session session, ShownChord of) {
        this.session = session;
        this.of = of;
        readings = session.player().measured().gain();
        shownChannel = background.channel("reckoning gain", shown::set);
        long rest = session.player().measured().restMillis();
        chordsChannel = background.patientChannel("reckoning gain", rest, chords::set);
        pure.addListener(o -> refresh());
    }

    /** The reading of the voicing shown; empty while it is reckoned. */
    public ReadOnlyObjectProperty<Optional<ChordGain>> shownProperty() {
        return shown.getReadOnlyProperty();
    }

    /** The readings of the riff's chords; empty while they are reckoned. */
    public ReadOnlyObjectProperty<List<ChordGain>> chordsProperty() {
        return chords.getReadOnlyProperty();
    }

    /** Whether the voicing shown is still being read. */
    public boolean reckoning() {
        Voicing v = of.voicing();
        return shown.get()
                .filter(r -> r.voicing().equals(v))
                .filter(r -> java.util.Arrays.equals(r.cents(), cents(v)))
                .isEmpty();
    }

    /** Whether thirds are drawn pure where a voicing is heard by itself. */
    public BooleanProperty pureProperty() {
        return pure;
    }

    /** Cents per string of a voicing as the intonation switch stands. */
    public double[] cents(Voicing v) {
        return pure.get()
                ? GainReadings.pure(v, Readout.of(v, session.key()).root())
                : new double[0];
    }

    /** Reads the voicing shown anew. */
    public void refresh() {
        Voicing v = of.voicing();
        int root = of.readoutProperty().get().root();
        Ground ground = toned(session.riff().ground());
        Controls controls = controls();
        double[] cents = cents(v);
        if (shown.get().filter(r -> r.voicing().equals(v)).isEmpty()) {
            shown.set(Optional.empty());
        }
        shownChannel.request(
                () ->
                        Optional.of(
                                new ChordGain(
                                        v, cents, readings.of(v, root, ground, controls, cents))));
    }

    /** Reads the chords of the riff anew. */
    public void refreshChords() {
        Derived derived = session.derived();
        var key = session.key();
        Controls controls = controls();
        chordsChannel.request(
                () -> {
                    List<ChordGain> all = new ArrayList<>();
                    for (Derived.Chord c : derived.chords()) {
                        Voicing v = c.candidate().voicing();
                        int root = Readout.of(v, key).root();
                        Ground ground = toned(derived.riff().ground());
                        double[] none = new double[0];
                        all.add(
                                new ChordGain(
                                        v, none, readings.of(v, root, ground, controls, none)));
                    }
                    return all;
                });
    }

    /** Reads any voicing on the worker: takes about a tenth of a second when new. */
    public void ask(Voicing v, int root, Ground ground, Consumer<GainReadings.Against> answer) {
        Controls turned = controls();
        background.ask("reckoning gain", () -> of(v, root, ground, turned), answer);
    }

    /** Reads any voicing, on the caller's thread, for controls as they were taken up before. */
    public GainReadings.Against of(Voicing v, int root, Ground ground, Controls turned) {
        return readings.of(v, root, ground, turned, new double[0]);
    }

    public Controls controls() {
        Mix mix = session.piece().mix();
        return second() ? mix.secondControls() : mix.controls();
    }

    private boolean second() {
        return session.workspace().written() == Guitar.TWO;
    }

    /** The ground with the tone of the guitar that is written. */
    private Ground toned(Ground ground) {
        return second() ? ground.withTone(session.piece().mix().secondTone()) : ground;
    }

    @Override
    public void close() {
        background.close();
    }
}
