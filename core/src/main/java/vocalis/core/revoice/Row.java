package vocalis.core.revoice;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import vocalis.core.derive.Derived;
import vocalis.core.derive.HandPath;
import vocalis.core.harmony.Context;
import vocalis.core.riff.Riff;
import vocalis.core.voicing.Family;

/**
 * One treatment of a riff, in figures.
 *
 * @param version the name of the version that it is; empty for all else
 * @param family the family of all its cells; empty for the riff as it stands and for an intent
 * @param intent what it is after; empty for the riff as it stands and for a family
 * @param derived what it comes to
 * @param tension of each chord in the key, 0 to 100
 * @param way of the hand
 */
public record Row(
        Optional<String> version,
        Optional<Family> family,
        Optional<Intent> intent,
        Derived derived,
        List<Integer> tension,
        HandPath way) {

    public Row {
        tension = List.copyOf(tension);
    }

    /** A row of what a riff comes to. */
    public static Row of(Optional<Family> family, Optional<Intent> intent, Derived derived) {
        return of(Optional.empty(), family, intent, derived);
    }

    /** The row of a version that is kept. */
    public static Row of(String version, Derived derived) {
        return of(Optional.of(version), Optional.empty(), Optional.empty(), derived);
    }

    private static Row of(
            Optional<String> version,
            Optional<Family> family,
            Optional<Intent> intent,
            Derived derived) {
        List<Integer> tension = new ArrayList<>();
        for (Derived.Chord c : derived.chords()) {
            tension.add(Context.tension(c.candidate().voicing(), derived.riff().ground().key()));
        }
        return new Row(version, family, intent, derived, tension, HandPath.of(derived));
    }

    /** The riff as it stands. */
    public boolean mix() {
        return version.isEmpty() && family.isEmpty() && intent.isEmpty();
    }

    public Riff riff() {
        return derived.riff();
    }
}
