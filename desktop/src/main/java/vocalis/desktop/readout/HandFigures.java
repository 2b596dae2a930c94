package vocalis.desktop.readout;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import vocalis.core.hands.Fingering;
import vocalis.core.hands.Move;
import vocalis.core.hands.Muting;
import vocalis.core.names.Readout;
import vocalis.desktop.writing.Showing;
import vocalis.workbench.words.HandWords;

/** What the hands do for the voicing shown: fingers, silences, reach, effort, what comes before. */
public final class HandFigures {

    private final Showing model;
    private final Figures figures;

    public HandFigures(Showing model, Figures figures) {
        this.model = model;
        this.figures = figures;
    }

    public void refresh() {
        figures.begin();
        fill();
        figures.end();
    }

    private void fill() {
        Fingering f = model.shown().fingering().orElse(null);
        if (f == null) {
            unplayable();
            return;
        }
        figures.row(
                "fingers",
                f.presses().isEmpty() ? "open strings alone" : HandWords.of(f),
                "The easiest fingering found: finger and fret.");
        Muting muting = Muting.of(model.shown().voicing().shape(), f);
        if (!muting.silences().isEmpty()) {
            figures.row(
                    "silence",
                    HandWords.of(muting),
                    "What keeps each string quiet that is not meant to sound.");
        }
        figures.row(
                "strike",
                muting.schools().isEmpty() ? "none that is clean" : strikes(muting),
                "The ways of striking that leave the unwanted strings quiet.");
        if (!f.presses().isEmpty()) {
            figures.row(
                    "reach",
                    f.reachMm() == 0
                            ? "none, one fret"
                            : Math.round(f.reachMm())
                                    + " mm of "
                                    + Math.round(model.session().hand().comfortMm())
                                    + " in comfort",
                    "Distance along the neck between the outermost fingers, at this scale length and fret.");
        }
        figures.row(
                "effort",
                effortInWords(f),
                "Unitless; docs/figures.md has the weights of its parts.");
        careRows(f);
    }

    private void unplayable() {
        var v = model.shown().voicing();
        figures.row(
                "hand",
                "unplayable: "
                        + Fingering.refusal(v.board(), v.shape(), model.session().hand())
                                .map(HandWords::of)
                                .orElse(""),
                "No fingering was found. Instrument and hand, in the menu Change, holds the size of the hand.");
    }

    private static String effortInWords(Fingering f) {
        Fingering.Effort e = f.parts();
        List<String> parts = new ArrayList<>();
        part(parts, "fingers", e.fingers());
        part(parts, "barre", e.barres());
        part(parts, "spread", e.spread());
        part(parts, "reach", e.reach());
        part(parts, "silences", e.silences());
        part(parts, "thumb", e.thumb());
        String sum = String.format(Locale.ROOT, "%.1f", e.total());
        return parts.size() < 2 ? sum : sum + ": " + String.join(", ", parts);
    }

    private static void part(List<String> parts, String name, double value) {
        if (value >= 0.05) {
            parts.add(name + String.format(Locale.ROOT, " %.1f", value));
        }
    }

    private String strikes(Muting muting) {
        String plucked = HandWords.pluckedBy(model.shown().voicing().shape());
        return muting.schools().stream()
                .map(
                        s ->
                                s == Muting.School.PLUCK && !plucked.isEmpty()
                                        ? "pluck: " + plucked
                                        : HandWords.of(s))
                .collect(Collectors.joining("; "));
    }

    /**
     * A wide reach with the easier shape of the same name, and what the hand does from the chord
     * before.
     */
    private void careRows(Fingering f) {
        double comfort = model.session().hand().comfortMm();
        if (f.reachMm() > comfort) {
            figures.row(
                    "caution",
                    "past comfort by "
                            + Math.round(f.reachMm() - comfort)
                            + " mm, "
                            + model.returnsPerMinute()
                            + " times a minute"
                            + easier(f),
                    "A reach past comfort tires the hand when it returns often. Stop where it hurts.");
        }
        int n = model.derived().chords().size();
        if (n > 1) {
            int before = (model.caret().chord() + n - 1) % n;
            var held = model.derived().chords().get(before).candidate();
            var from = held.voicing();
            var to = model.shown().voicing();
            if (from.board().equals(to.board())) {
                Move move = Move.between(to.board(), from.shape(), held.fingering(), to.shape(), f);
                figures.row(
                        "from before",
                        Stream.of(
                                        HandWords.of(move, from.board().strings()),
                                        "hand moves " + Math.round(move.travelMm()) + " mm")
                                .filter(t -> !t.isEmpty())
                                .collect(Collectors.joining(", ")),
                        "Fingers that stay or slide, and how far the hand travels.");
            }
        }
    }

    private String easier(Fingering f) {
        String name = model.shown().readoutProperty().get().name().symbol();
        return model.shown().cardsProperty().get().stream()
                .flatMap(c -> c.places().stream())
                .filter(c -> c.fingering().reachMm() < 0.8 * f.reachMm())
                .filter(c -> Readout.nameOf(c.voicing(), model.key()).symbol().equals(name))
                .findFirst()
                .map(c -> "; easier: " + c.voicing().shape().text())
                .orElse("");
    }
}
