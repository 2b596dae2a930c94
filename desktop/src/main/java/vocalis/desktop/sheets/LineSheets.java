package vocalis.desktop.sheets;

import java.util.List;
import java.util.stream.Collectors;
import vocalis.core.derive.Derived;
import vocalis.core.instrument.Fretboard;
import vocalis.core.names.Readout;
import vocalis.core.scale.Fill;
import vocalis.core.theory.Key;
import vocalis.core.vary.InnerLine;
import vocalis.core.voicing.Voicing;
import vocalis.desktop.view.Sheets;
import vocalis.desktop.writing.BoxModel;
import vocalis.desktop.writing.WriteModel;
import vocalis.workbench.document.Edits;
import vocalis.workbench.words.FillWords;

/** Sheets that offer lines: fills to the next root, a voice that moves inside a held chord. */
public final class LineSheets {

    private LineSheets() {}

    /** Short runs out of the box that lead from the lane's caret to the next root. */
    public static void fills(WriteModel model, Sheets host) {
        Derived derived = model.derived();
        model.boxes().fills(fills -> fills(model, host, derived, fills));
    }

    private static void fills(WriteModel model, Sheets host, Derived of, List<Fill> fills) {
        Key scale = model.boxes().scale();
        List<PickSheet.Row> rows = fills.stream().map(f -> fill(model, of, scale, f)).toList();
        PickSheet.show(
                host,
                "A fill to the next root",
                "From the caret, out of "
                        + model.boxes().box().map(BoxModel::words).orElse(scale.symbol())
                        + ". Hold H to hear it in the riff, Enter writes it.",
                "No room: a fill needs two steps before the next root. Step back with ←, or make"
                        + " steps finer with the full stop.",
                rows,
                model.hearing()::endPreview);
    }

    private static PickSheet.Row fill(WriteModel model, Derived of, Key scale, Fill f) {
        int strings = of.riff().ground().board().strings();
        String degrees =
                f.spots().stream()
                        .map(s -> scale.degree(s.midi()).symbol())
                        .collect(Collectors.joining(" · "));
        String places =
                f.spots().stream()
                        .map(s -> (strings - s.string()) + ":" + s.fret())
                        .collect(Collectors.joining("  "));
        return new PickSheet.Row(
                FillWords.of(f) + ", " + f.spots().size() + " notes",
                degrees
                        + "  to  "
                        + scale.say(f.target()).symbol()
                        + ",  string and fret  "
                        + places,
                () -> model.boxes().hear(f),
                () -> model.boxes().take(f, of),
                null);
    }

    /** One voice of the chord under the caret goes on by steps while the others stay. */
    public static void inner(WriteModel model, Sheets host) {
        Derived derived = model.derived();
        int chord = model.caret().chord();
        model.session()
                .ask(
                        "looking for lines",
                        () -> InnerLine.of(derived, chord),
                        lines -> inner(model, host, derived, lines));
    }

    private static void inner(
            WriteModel model, Sheets host, Derived of, List<InnerLine.Offer> lines) {
        Fretboard board = of.riff().ground().board();
        List<PickSheet.Row> rows = lines.stream().map(o -> inner(model, of, board, o)).toList();
        PickSheet.show(
                host,
                "A line inside the chord",
                "One voice moves, the others stay. Hold H to hear it in the riff, Enter divides the"
                        + " chord so.",
                "No line: the chord needs two voices, a quarter of time, and fingers that can"
                        + " move.",
                rows,
                model.hearing()::endPreview);
    }

    private static PickSheet.Row inner(
            WriteModel model, Derived of, Fretboard board, InnerLine.Offer o) {
        Key key = model.key();
        int root = of.chord(model.caret().chord()).root();
        String notes =
                o.shapes().stream()
                        .map(s -> key.say(board.midi(o.string(), s.fret(o.string()))).symbol())
                        .collect(Collectors.joining(" "));
        String names =
                o.shapes().stream()
                        .map(s -> Readout.of(new Voicing(s, board, root), key).name().symbol())
                        .collect(Collectors.joining(" · "));
        return new PickSheet.Row(
                notes + (o.against() ? ", the bass against it" : ""),
                "string " + (board.strings() - o.string()) + ":  " + names,
                () -> model.hearing().preview(o.riff()),
                () -> model.session().apply(Edits.vary("line inside a chord", of.riff(), o.riff())),
                null);
    }
}
