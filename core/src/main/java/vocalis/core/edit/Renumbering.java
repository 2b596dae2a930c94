package vocalis.core.edit;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import vocalis.core.pattern.EventOverride;
import vocalis.core.pattern.Limits;
import vocalis.core.pattern.Pass;
import vocalis.core.pattern.Restart;
import vocalis.core.pattern.Touch;
import vocalis.core.riff.Riff;

/** Numbers of passes after a change: single overrides and touches keep their music. */
final class Renumbering {

    /** The number of a pass that is none: what belonged to one that is gone is kept there. */
    static final int NOWHERE = Limits.MOST_STRUCK;

    private Renumbering() {}

    /** The same for a riff whose chords changed but not their time. */
    static Riff inPlace(Riff before, Riff after) {
        if (before.pattern().restart() == Restart.RUNS_ON) {
            return after;
        }
        List<Pass> now = after.passes();
        Map<Integer, List<Integer>> becomes = new HashMap<>();
        for (Pass p : before.passes()) {
            int there =
                    now.stream()
                            .filter(
                                    q ->
                                            q.from() == p.from()
                                                    && q.figure().id().equals(p.figure().id()))
                            .findFirst()
                            .map(Pass::index)
                            .orElse(NOWHERE);
            becomes.put(p.index(), List.of(there));
        }
        return renumbered(after, becomes);
    }

    /** Gives overrides and touches of single passes the numbers that their passes have now. */
    static Riff renumbered(Riff riff, Map<Integer, List<Integer>> becomes) {
        List<EventOverride> overrides = new ArrayList<>();
        for (EventOverride o : riff.pattern().overrides()) {
            for (int p : becomes.getOrDefault(o.pass(), List.of(o.pass()))) {
                overrides.add(o.at(o.figure(), p));
            }
        }
        List<Touch> touches = new ArrayList<>();
        for (Touch t : riff.touches()) {
            if (t.anchor().pass().isEmpty()) {
                touches.add(t);
                continue;
            }
            int old = t.anchor().pass().get();
            for (int p : becomes.getOrDefault(old, List.of(old))) {
                touches.add(t.on(t.anchor().on(t.anchor().figure(), Optional.of(p))));
            }
        }
        return riff.withPattern(riff.pattern().overriding(overrides)).withTouches(touches);
    }
}
