package vocalis.core.offer;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import vocalis.core.choice.Catalogue;
import vocalis.core.derive.Derived;
import vocalis.core.pattern.Event;
import vocalis.core.pattern.Figure;
import vocalis.core.pattern.LineNote;
import vocalis.core.pattern.LinePitch;
import vocalis.core.pattern.Pattern;
import vocalis.core.pattern.Stroke;
import vocalis.core.pattern.Struck;
import vocalis.core.rhythm.MeterMap;
import vocalis.core.rhythm.Ticks;
import vocalis.core.riff.Member;
import vocalis.core.riff.Riff;
import vocalis.core.riff.Root;
import vocalis.core.riff.RootSpan;
import vocalis.core.riff.Treatment;
import vocalis.core.score.Dynamics;
import vocalis.core.score.Manner;
import vocalis.core.theory.Key;
import vocalis.core.voicing.Family;
import vocalis.core.voicing.Voicing;

/**
 * A low string struck under the palm from grid to grid, dyads of the scale on every so many of its
 * strokes: each chord begins on its root and steps away from it and back. Common practice, no
 * source.
 */
final class PedalRiff {

    private static final List<Family> FAMILIES = List.of(Family.POWER, Family.FOURTH, Family.THIRD);

    /** Steps of the scale from the chord's root, accent by accent. */
    private static final int[] STEPS = {0, 1, 2, 1, 0, -1, 0, 2};

    /** Sixteenths under the palm are played up to this tempo. */
    private static final int FASTEST_SIXTEENTHS = 160;

    private static final int LOW_STRINGS = 2;
    private static final int FIFTH = 7;

    private final Derived derived;
    private final Catalogue catalogue;
    private final Setting.Pedal setting;
    private final List<RootSpan> roots = new ArrayList<>();
    private final List<Treatment> treatments = new ArrayList<>();
    private final List<Event> events = new ArrayList<>();

    private PedalRiff(Derived derived, Catalogue catalogue, Setting.Pedal setting) {
        this.derived = derived;
        this.catalogue = catalogue;
        this.setting = setting;
    }

    static List<Made> of(Derived derived, Catalogue catalogue) {
        Riff riff = derived.riff();
        int string = pedal(derived);
        List<Made> all = new ArrayList<>();
        if (string < 0 || riff.meters().pickup() > 0) {
            return all;
        }
        for (Family f : FAMILIES) {
            for (long grid : new long[] {Ticks.EIGHTH, Ticks.SIXTEENTH}) {
                for (int group : new int[] {4, 3}) {
                    var s = new Setting.Pedal(string, grid, group, f);
                    boolean slow = grid == Ticks.EIGHTH || riff.tempo() <= FASTEST_SIXTEENTHS;
                    if (slow) {
                        new PedalRiff(derived, catalogue, s)
                                .made()
                                .ifPresent(r -> all.add(new Made(s, r)));
                    }
                }
            }
        }
        return all;
    }

    /** Which of the low strings is open on the tonic, else on the fifth; -1 for none. */
    private static int pedal(Derived d) {
        Key key = d.riff().ground().key();
        for (int above : new int[] {0, FIFTH}) {
            for (int s = 0; s < LOW_STRINGS; s++) {
                int open = d.riff().ground().board().midi(s, 0);
                if (Math.floorMod(open - key.tonic().pitchClass(), 12) == above) {
                    return s;
                }
            }
        }
        return -1;
    }

    private Optional<Riff> made() {
        Riff riff = derived.riff();
        MeterMap meters = riff.meters();
        Optional<Voicing> before = Optional.empty();
        for (int bar = 0; bar < riff.bars(); bar++) {
            long end = meters.end(bar);
            int stroke = 0;
            for (long at = meters.start(bar); at < end; at += setting.grid()) {
                long lasts = Math.min(setting.grid(), end - at);
                if (stroke++ % setting.group() != 0) {
                    events.add(low(at, lasts));
                    continue;
                }
                long span = Math.min(setting.group() * setting.grid(), end - at);
                Optional<Voicing> v = chord(at, before);
                if (v.isEmpty()) {
                    return Optional.empty();
                }
                before = v;
                roots.add(new RootSpan(Root.of(riff.ground().key(), v.get().root()), span));
                treatments.add(
                        Treatment.best(setting.family())
                                .with(setting.family(), Member.OfClass.of(v.get())));
                events.add(
                        new Stroke(events.size() + 1, at, lasts, Struck.Named.ALL).accented(true));
            }
        }
        Figure figure = new Figure("pedal", "pedal", riff.length(), events);
        return Optional.of(
                new Riff(
                        riff.ground(),
                        riff.time(),
                        roots,
                        treatments,
                        Pattern.of(figure),
                        List.of()));
    }

    /** The low string, open and under the palm. */
    private LineNote low(long at, long lasts) {
        LinePitch pitch = new LinePitch.Place(setting.string(), 0);
        return new LineNote(
                events.size() + 1, at, lasts, pitch, Manner.PALM, Dynamics.PLAIN, false);
    }

    /** The dyad of an accent: so many in its chord of old say which step it stands on. */
    private Optional<Voicing> chord(long at, Optional<Voicing> before) {
        Riff riff = derived.riff();
        Key key = riff.ground().key();
        int chord = riff.chordAt(at);
        long since = 0;
        long from = 0;
        for (RootSpan r : roots) {
            since += from >= riff.start(chord) ? 1 : 0;
            from += r.length();
        }
        Root root = riff.roots().get(chord).root();
        int steps = STEPS[(int) (since % STEPS.length)];
        for (int i = 0; i < Math.abs(steps); i++) {
            root = root.step(key, Integer.signum(steps));
        }
        return Dyads.near(
                derived,
                catalogue,
                setting.family(),
                root.pitchClass(key),
                before,
                v -> v.shape().lowestSounded() > setting.string());
    }
}
