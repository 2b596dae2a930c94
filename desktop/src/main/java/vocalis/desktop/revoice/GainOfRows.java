package vocalis.desktop.revoice;

import java.util.ArrayList;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import vocalis.core.derive.Derived;
import vocalis.core.mix.Controls;
import vocalis.core.names.Readout;
import vocalis.core.revoice.Row;
import vocalis.core.voicing.Voicing;
import vocalis.desktop.view.Background;
import vocalis.desktop.writing.GainModel;
import vocalis.sound.gain.Ghost;
import vocalis.workbench.playing.GainReadings;

/** What gain makes of the rows of the Revoice screen, found row by row on a worker. */
public final class GainOfRows implements AutoCloseable {

    /**
     * What gain makes of a row, averaged over its chords.
     *
     * @param growl against plain power chords
     * @param mud roughness below 250 Hz, unitless
     * @param biteHz spectral centroid
     * @param ghosts of each chord, the loud ones
     */
    public record Grind(double growl, double mud, double biteHz, List<List<Ghost>> ghosts) {}

    /** Ghosts further under the strongest line are not told. */
    private static final double GHOST_DB = -20;

    private final GainModel gain;
    private final Runnable changed;
    private final Background background = new Background("vocalis-revoice-gain");

    /** By the very row: to compare two whole riffs would take longer than to paint them. */
    private final Map<Row, Grind> known = new IdentityHashMap<>();

    private volatile long newest;

    /**
     * @param changed told when more is known
     */
    GainOfRows(GainModel gain, Runnable changed) {
        this.gain = gain;
        this.changed = changed;
    }

    /** What is known of a row. */
    Optional<Grind> of(Row r) {
        return Optional.ofNullable(known.get(r));
    }

    /** What is under way is given up. */
    void forget() {
        newest++;
    }

    void clear() {
        known.clear();
    }

    /** Finds it for rows; what is known of others is dropped. */
    void find(List<Row> all) {
        long mine = ++newest;
        known.keySet().removeIf(r -> all.stream().noneMatch(x -> x == r));
        Controls turned = gain.controls();
        for (Row r : all) {
            if (!known.containsKey(r)) {
                background.ask(
                        "what gain makes of a treatment",
                        () ->
                                newest == mine
                                        ? Optional.of(grindOf(r, turned))
                                        : Optional.<Grind>empty(),
                        made ->
                                made.filter(g -> newest == mine)
                                        .ifPresent(
                                                g -> {
                                                    known.put(r, g);
                                                    changed.run();
                                                }));
            }
        }
    }

    private Grind grindOf(Row r, Controls turned) {
        double growl = 0;
        double mud = 0;
        double bite = 0;
        int n = r.derived().chords().size();
        List<List<Ghost>> ghosts = new ArrayList<>();
        for (Derived.Chord c : r.derived().chords()) {
            Voicing v = c.candidate().voicing();
            int heard = Readout.of(v, r.riff().ground().key()).root();
            GainReadings.Against a = gain.of(v, heard, r.riff().ground(), turned);
            growl += a.growl() / n;
            mud += a.reading().mud() / n;
            bite += a.reading().biteHz() / n;
            ghosts.add(a.reading().ghosts().stream().filter(x -> x.db() > GHOST_DB).toList());
        }
        return new Grind(growl, mud, bite, List.copyOf(ghosts));
    }

    @Override
    public void close() {
        newest++;
        background.close();
    }
}
