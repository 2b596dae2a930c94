package vocalis.core.offer;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.TreeMap;
import vocalis.core.choice.Catalogue;
import vocalis.core.derive.Derived;
import vocalis.core.pattern.Event;
import vocalis.core.pattern.EventOverride;
import vocalis.core.pattern.Figure;
import vocalis.core.pattern.LineNote;
import vocalis.core.pattern.Pass;
import vocalis.core.pattern.Pattern;
import vocalis.core.pattern.Stroke;
import vocalis.core.pattern.Struck;
import vocalis.core.riff.Lines;
import vocalis.core.riff.Member;
import vocalis.core.riff.Riff;
import vocalis.core.riff.Root;
import vocalis.core.riff.RootSpan;
import vocalis.core.riff.Treatment;
import vocalis.core.score.Dynamics;
import vocalis.core.voicing.Family;
import vocalis.core.voicing.Voicing;

/**
 * Single notes made two: each becomes a chord of its own, a fifth, a fourth or an octave, at the
 * pitch that it has.
 */
final class Thickening {

    private static final List<Family> FAMILIES =
            List.of(Family.POWER, Family.FOURTH, Family.OCTAVE);

    private Thickening() {}

    static List<Made> of(Derived derived, Catalogue catalogue) {
        List<Made> all = new ArrayList<>();
        for (boolean accents : new boolean[] {false, true}) {
            for (Family f : FAMILIES) {
                var s = new Setting.Thick(f, accents);
                made(derived, catalogue, s).ifPresent(r -> all.add(new Made(s, r)));
            }
        }
        return all;
    }

    private static boolean meant(Event e, boolean accents) {
        return e instanceof LineNote n && (!accents || n.dynamics() == Dynamics.ACCENT);
    }

    private static Optional<Riff> made(
            Derived derived, Catalogue catalogue, Setting.Thick setting) {
        Riff riff = derived.riff();
        TreeMap<Long, Voicing> dyads = new TreeMap<>();
        TreeMap<Long, Long> ends = new TreeMap<>();
        Optional<Voicing> before = Optional.empty();
        for (Pass pass : riff.passes()) {
            for (Event e : pass.events()) {
                long at = pass.start() + e.at();
                if (!meant(e, setting.accents()) || at < 0 || at >= riff.length()) {
                    continue;
                }
                int midi = Lines.midi(riff, ((LineNote) e).pitch(), at);
                boolean over = setting.family() == Family.FOURTH;
                Optional<Voicing> v =
                        Dyads.near(
                                derived,
                                catalogue,
                                setting.family(),
                                midi % 12,
                                before,
                                x -> x.midi().get(over ? 1 : 0) == midi);
                if (v.isEmpty()) {
                    return Optional.empty();
                }
                before = v;
                dyads.put(at, v.get());
                ends.put(at, Math.min(riff.length(), at + e.length()));
            }
        }
        return dyads.isEmpty() ? Optional.empty() : Optional.of(spans(riff, setting, dyads, ends));
    }

    /** The riff's chords cut where a thickened note begins and ends. */
    private static Riff spans(
            Riff riff,
            Setting.Thick setting,
            TreeMap<Long, Voicing> dyads,
            TreeMap<Long, Long> ends) {
        List<RootSpan> roots = new ArrayList<>();
        List<Treatment> treatments = new ArrayList<>();
        long at = 0;
        while (at < riff.length()) {
            int chord = riff.chordAt(at);
            long until = riff.start(chord) + riff.roots().get(chord).length();
            Voicing v = dyads.get(at);
            Long next = dyads.higherKey(at);
            long end = v != null ? ends.get(at) : until;
            end = next == null ? end : Math.min(end, next);
            if (v != null) {
                roots.add(new RootSpan(Root.of(riff.ground().key(), v.root()), end - at));
                treatments.add(
                        Treatment.best(setting.family())
                                .with(setting.family(), Member.OfClass.of(v)));
            } else {
                roots.add(new RootSpan(riff.roots().get(chord).root(), end - at));
                treatments.add(riff.treatments().get(chord));
            }
            at = end;
        }
        return new Riff(
                riff.ground(),
                riff.time(),
                roots,
                treatments,
                pattern(riff.pattern(), setting.accents()),
                riff.touches());
    }

    private static Pattern pattern(Pattern p, boolean accents) {
        List<Figure> figures = new ArrayList<>();
        for (Figure f : p.figures()) {
            figures.add(f.playing(f.events().stream().map(e -> struck(e, accents)).toList()));
        }
        List<EventOverride> overrides =
                p.overrides().stream()
                        .map(
                                o ->
                                        new EventOverride(
                                                o.figure(), o.pass(), struck(o.event(), accents)))
                        .toList();
        return new Pattern(figures, p.order(), p.offset(), p.restart(), overrides);
    }

    private static Event struck(Event e, boolean accents) {
        if (!meant(e, accents)) {
            return e;
        }
        LineNote n = (LineNote) e;
        return new Stroke(n.id(), n.at(), n.length(), Struck.Named.ALL)
                .played(n.manner())
                .with(n.dynamics());
    }
}
