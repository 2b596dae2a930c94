package vocalis.benchmarks;

import java.util.ArrayList;
import java.util.List;
import java.util.function.IntFunction;
import vocalis.core.rhythm.Meter;
import vocalis.core.riff.Riff;
import vocalis.core.riff.Root;
import vocalis.core.riff.RootSpan;
import vocalis.core.riff.Treatment;
import vocalis.core.voicing.Family;
import vocalis.workbench.demo.Demo;

/** A riff of many chords in A minor, a bar each, over all seven roots, no shape chosen. */
final class LongRiff {

    private LongRiff() {}

    /** So many chords, the family of each by its place. */
    static Riff of(int chords, IntFunction<Family> family) {
        List<RootSpan> roots = new ArrayList<>();
        List<Treatment> treatments = new ArrayList<>();
        for (int i = 0; i < chords; i++) {
            roots.add(new RootSpan(new Root(1 + i * 3 % 7, 0), Meter.COMMON.barTicks()));
            treatments.add(Treatment.best(family.apply(i)));
        }
        return Demo.blank().riff().withRoots(roots, treatments);
    }
}
