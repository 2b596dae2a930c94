package vocalis.desktop.lane;

import java.util.List;
import java.util.Optional;
import vocalis.core.pattern.Event;
import vocalis.core.pattern.Pass;
import vocalis.core.pattern.Stroke;
import vocalis.core.riff.Riff;
import vocalis.core.score.Manner;
import vocalis.core.score.Onset;
import vocalis.core.score.ScoreNote;
import vocalis.desktop.writing.LaneScreen;
import vocalis.workbench.words.TechniqueWords;

/** What the lane says of an onset: the word under it, and what it means. */
final class LaneWords {

    private final LaneScreen model;
    private Riff passesOf;
    private List<Pass> passes = List.of();

    LaneWords(LaneScreen model) {
        this.model = model;
    }

    String meaning(Onset o) {
        StringBuilder said = new StringBuilder();
        said.append(o.manner() == Manner.PLAIN ? "struck" : o.manner().words());
        boolean plucked = o.notes().get(0).plucked();
        said.append(plucked ? ", plucked" : o.down() ? ", downward" : ", upward");
        said.append(
                switch (o.dynamics()) {
                    case ACCENT -> ", accented";
                    case SOFT -> ", softly";
                    case GHOST -> ", ghosted";
                    case PLAIN -> "";
                });
        event(o).filter(Stroke.class::isInstance)
                .map(e -> ((Stroke) e).struck().label())
                .ifPresent(l -> said.append(": ").append(l).append(" of the chord's voices"));
        for (ScoreNote n : o.notes()) {
            String done = TechniqueWords.of(n);
            if (!done.isEmpty()) {
                int string =
                        model.derived().score().board().instrument().tuning().number(n.string());
                said.append("; string ").append(string).append(": ").append(done);
            }
        }
        return said.toString();
    }

    private Optional<Event> event(Onset o) {
        return o.origin()
                .flatMap(
                        k ->
                                model.riff()
                                        .pattern()
                                        .find(k.figure())
                                        .flatMap(f -> f.event(k.event())));
    }

    /** The word under an onset: its manner, or which voices it strikes. */
    String word(Onset o) {
        String mark = o.manner() == Manner.PALM ? "" : o.manner().mark();
        if (!mark.isEmpty()) {
            return mark;
        }
        Event e =
                o.origin()
                        .flatMap(k -> played(k.pass()).flatMap(p -> p.figure().event(k.event())))
                        .orElse(null);
        return e instanceof Stroke s ? s.struck().label() : "";
    }

    private Optional<Pass> played(int pass) {
        List<Pass> all = passes();
        return pass < all.size() ? Optional.of(all.get(pass)) : Optional.empty();
    }

    List<Pass> passes() {
        if (passesOf != model.riff()) {
            passesOf = model.riff();
            passes = passesOf.passes();
        }
        return passes;
    }
}
