package vocalis.workbench.playedin;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import vocalis.core.choice.Catalogue;
import vocalis.core.hands.Hand;
import vocalis.core.rhythm.Meter;
import vocalis.core.riff.Ground;
import vocalis.core.theory.Key;
import vocalis.sound.listen.Take;
import vocalis.workbench.listening.Ear;

/**
 * Writes down a take: strokes on the grid of a tempo, their notes on the strings of the likeliest
 * grips, palm mutes and accents with them.
 */
public final class PlayIn {

    private final Ground ground;
    private final Optional<Key> key;
    private final Ear ear;

    /**
     * @param ground the instrument that is played
     * @param key that is played in, where it is known; else it is found from the notes
     */
    public PlayIn(Ground ground, Optional<Key> key, Hand hand, Catalogue catalogue) {
        this.ground = key.map(ground::withKey).orElse(ground);
        this.key = key;
        ear = new Ear(ground.board(), ground.a4Hz(), hand, catalogue, key);
    }

    /**
     * The take on paper.
     *
     * @param tempo quarter notes a minute; found where it is not given, and then the key is not
     *     known either: the ground's stands only where one plays to it
     * @param one when the first bar begins, in seconds; with the first stroke where it is not given
     * @throws IllegalArgumentException when nothing is struck in it
     */
    public Draft of(
            Take take, Optional<Double> tempo, OptionalDouble one, Meter meter, String title) {
        List<Ear.Stroke> read =
                ear.strokes(take).stream().filter(x -> !x.grips().isEmpty()).toList();
        if (read.isEmpty()) {
            throw new IllegalArgumentException("nothing is struck in this take");
        }
        List<Double> times = read.stream().map(x -> x.heard().seconds()).toList();
        double found = tempo.orElseGet(() -> times.size() < 2 ? 110 : TempoFinder.of(times));
        List<String> remarks = new ArrayList<>();
        if (tempo.isEmpty()) {
            remarks.add("The tempo was found from the strokes: " + Math.round(found) + ".");
        }
        double begins = times.get(0);
        if (one.isPresent()) {
            double quarter = 60 / found;
            double settled = Beginning.of(times, one.getAsDouble(), quarter);
            begins = settled + Beginning.delay(times, settled, quarter);
            if (begins != settled) {
                remarks.add(
                        "All of it lay a sixteenth "
                                + (begins > settled ? "behind" : "before")
                                + " the beat: that looks like the delay of the input, so it was"
                                + " moved onto the beat. F3, then \"how late\", measures the delay.");
            }
        }
        return new Draft(
                new Draft.Reading(
                        title, ground, key.isPresent(), read, found, begins, meter, remarks),
                Map.of());
    }
}
