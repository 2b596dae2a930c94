package vocalis.desktop.sheets;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.VBox;
import vocalis.core.check.Caution;
import vocalis.core.check.Check;
import vocalis.core.choice.Filter;
import vocalis.core.derive.Derived;
import vocalis.core.derive.Deriver;
import vocalis.core.derive.HandPath;
import vocalis.core.edit.Progression;
import vocalis.core.piece.Version;
import vocalis.core.riff.Riff;
import vocalis.core.theory.Key;
import vocalis.core.vary.Endings;
import vocalis.core.vary.NextRoot;
import vocalis.core.vary.Variation;
import vocalis.desktop.view.Choices;
import vocalis.desktop.view.Sheets;
import vocalis.desktop.writing.WriteModel;
import vocalis.workbench.document.Edits;
import vocalis.workbench.words.CheckWords;
import vocalis.workbench.words.HandWords;
import vocalis.workbench.words.VariationWords;

/** Sheets for writing: roots as text, what could come next, variations, versions, the check. */
public final class WritingSheets {

    /** Longest note asked for in one line. */
    private static final int NOTE = 400;

    private static final String HOW =
            "↑ ↓ choose; hold H, or press and hold, to hear the riff with it; Enter or a click takes it.";

    private WritingSheets() {}

    /** The roots of the riff as a line of text. */
    public static void roots(WriteModel model, Sheets host) {
        Key key = model.session().now().ground().key();
        String before = Progression.of(model.session().now());
        TextField field = new TextField(before);
        field.setId("roots-line");
        field.getStyleClass().add("find");
        field.setAccessibleText("roots");
        Label said =
                Choices.caption(
                        "Notes (a f c/e) or degrees of "
                                + key.symbol()
                                + " (1 b6 3). :2 lasts two bars, :1/2 half a bar, :3b three beats."
                                + " Enter takes them; each keeps the voicing of the chord in its place.");
        said.setWrapText(true);
        VBox body = new VBox(10, field, said);
        body.getStyleClass().add("help");
        Sheets.Sheet sheet = host.open("Roots of the riff", body, 620);
        field.setOnAction(
                e -> {
                    try {
                        Progression typed = Progression.parse(field.getText(), key);
                        boolean same = field.getText().strip().equals(before);
                        if (same || model.session().apply(Edits.roots(typed))) {
                            sheet.close();
                        }
                    } catch (IllegalArgumentException wrong) {
                        said.setText(wrong.getMessage());
                    }
                });
        sheet.focus(field);
        field.selectAll();
    }

    /** What could stand in the place of the chord under the caret: roots of the key. */
    public static void next(WriteModel model, Sheets host) {
        Riff riff = model.session().now();
        int chord = model.caret().chord();
        boolean seam = chord == riff.roots().size() - 1 && chord > 0;
        String head =
                (seam
                                ? "What could end the riff: it leads over the seam into the first chord. "
                                : "What could stand here, between the chords before and after. ")
                        + HOW;
        List<PickSheet.Row> rows = roots(model, true);
        rows.add(
                new PickSheet.Row(
                        "Outside the key …",
                        "roots that are no note of " + riff.ground().key().symbol(),
                        () -> {},
                        () -> roots(model, host, HOW, roots(model, false)),
                        null));
        roots(model, host, head, rows);
    }

    private static void roots(
            WriteModel model, Sheets host, String head, List<PickSheet.Row> rows) {
        PickSheet.show(host, "Roots", head, "", rows, model.hearing()::endPreview);
    }

    private static List<PickSheet.Row> roots(WriteModel model, boolean inside) {
        Riff riff = model.session().now();
        Key key = riff.ground().key();
        int chord = model.caret().chord();
        List<PickSheet.Row> rows = new ArrayList<>();
        for (NextRoot r : NextRoot.at(riff, chord)) {
            if (r.inside() == inside) {
                rows.add(
                        new PickSheet.Row(
                                VariationWords.root(r, key),
                                VariationWords.why(r, key, riff.treatments().get(chord).family()),
                                () -> model.hearing().preview(r.in(riff, chord)),
                                () ->
                                        model.session()
                                                .apply(
                                                        Edits.riff(
                                                                "change root",
                                                                now -> r.in(now, chord))),
                                null));
            }
        }
        return rows;
    }

    /** The named moves that change this riff and leave it as playable as it was. */
    public static void variations(WriteModel model, Sheets host) {
        Derived derived = model.derived();
        int chord = model.caret().chord();
        Deriver deriver = new Deriver(model.session().catalogue());
        model.session()
                .ask(
                        "trying variations",
                        () -> {
                            Map<Variation, Riff> made = new EnumMap<>(Variation.class);
                            for (Variation v : Variation.values()) {
                                v.offered(derived, chord, deriver).ifPresent(r -> made.put(v, r));
                            }
                            return made;
                        },
                        made -> variations(model, host, made));
    }

    private static void variations(WriteModel model, Sheets host, Map<Variation, Riff> made) {
        List<PickSheet.Row> rows = new ArrayList<>();
        made.forEach(
                (v, varied) ->
                        rows.add(
                                row(
                                        model,
                                        VariationWords.name(v),
                                        VariationWords.what(v),
                                        model.session().now(),
                                        varied)));
        String head = HOW + " Each is one step to undo; open this again to add another.";
        PickSheet.show(
                host,
                "Variations",
                head,
                "This riff gives them nothing to work on yet.",
                rows,
                model.hearing()::endPreview);
    }

    private static PickSheet.Row row(
            WriteModel model, String name, String what, Riff of, Riff varied) {
        return new PickSheet.Row(
                name,
                what,
                () -> model.hearing().preview(varied),
                () -> {
                    if (model.session()
                            .apply(Edits.vary(name.toLowerCase(Locale.ROOT), of, varied))) {
                        model.session().say(name + ": " + what + ".");
                    }
                },
                null);
    }

    /** The versions that are kept, and three endings to try. */
    public static void versions(WriteModel model, Sheets host) {
        List<PickSheet.Row> rows = new ArrayList<>();
        List<Version> kept = versions(model);
        for (int i = kept.size() - 1; i >= 0; i--) {
            Version v = kept.get(i);
            rows.add(kept(model, host, v));
        }
        int n = 0;
        Riff now = model.session().now();
        for (Riff r : Endings.of(now)) {
            n++;
            Key key = r.ground().key();
            String last =
                    key.say(r.roots().get(r.roots().size() - 1).root().pitchClass(key)).symbol();
            String what = r.equals(now) ? "as it stands, on " : "the same, ending on ";
            rows.add(row(model, "Ending " + n, what + last, now, r));
        }
        PickSheet.show(
                host,
                "Versions and endings",
                "↑ ↓ choose, hold H to hear, Enter works on it, C compares, Delete forgets a"
                        + " version.",
                "Nothing is kept yet: the menu Variations and checks keeps the riff as it stands.",
                rows,
                model.hearing()::endPreview);
    }

    /** What is kept of the guitar that is written. */
    private static List<Version> versions(WriteModel model) {
        return model.session().piece().versions(model.session().workspace().written());
    }

    private static PickSheet.Row kept(WriteModel model, Sheets host, Version v) {
        boolean same = v.riff().equals(model.session().now());
        return new PickSheet.Row(
                v.name(),
                Progression.of(v.riff())
                        + (same ? ", as it stands" : "")
                        + (v.note().isEmpty() ? "" : " · " + v.note()),
                () -> model.hearing().preview(v.riff()),
                () -> {
                    model.session().apply(Edits.takeVersion(v.id()));
                    model.session().say("Took " + v.name() + "; undo goes back.");
                },
                () -> {
                    model.session().apply(Edits.dropVersion(v.id()));
                    model.session().say("Forgot " + v.name() + "; undo brings it back.");
                },
                () -> VersionSheet.show(model.session(), model.hearing(), host, v));
    }

    /** Three ways of the hand through the riff, beside the one that it goes. */
    public static void ways(WriteModel model, Sheets host) {
        Derived now = model.derived();
        model.ways(
                now.riff(),
                offered -> {
                    String[] names = {
                        "Easy hands",
                        "Between",
                        "Same string tone",
                        "One grip for all roots",
                        "One position"
                    };
                    List<PickSheet.Row> rows = new ArrayList<>();
                    // Wishes that come to one way are one row.
                    Map<Riff, String> called = new LinkedHashMap<>();
                    for (int i = 0; i < offered.size(); i++) {
                        called.merge(
                                offered.get(i).riff(),
                                names[i],
                                (a, b) -> a + ", " + b.toLowerCase(Locale.ROOT));
                    }
                    for (HandPath w : offered) {
                        String name = called.remove(w.riff());
                        if (name != null) {
                            rows.add(row(model, name, walk(w), now.riff(), w.riff()));
                        }
                    }
                    HandPath as = HandPath.of(now);
                    String head =
                            "As it is: "
                                    + walk(as)
                                    + ". Shapes that you chose keep their places"
                                    + (model.offer().filterProperty().get().equals(Filter.NONE)
                                            ? ". "
                                            : "; the others pass the filter. ")
                                    + HOW;
                    PickSheet.show(
                            host, "The hand's way", head, "", rows, model.hearing()::endPreview);
                });
    }

    private static String walk(HandPath w) {
        int n = w.riff().roots().size();
        return String.format(
                "%s%s, %d %s change, effort %.1f",
                HandWords.shifts(w.shapes()),
                w.hardestMm() == 0
                        ? ""
                        : String.format(
                                " (chord %d to %d)", w.hardest() + 1, (w.hardest() + 1) % n + 1),
                w.otherStrings(),
                w.otherStrings() == 1 ? "string" : "strings",
                w.effort());
    }

    /** Keeps the riff as it stands. */
    public static void keep(WriteModel model) {
        int n = versions(model).size() + 1;
        String name = "Version " + n;
        keep(model, name, "");
    }

    private static void keep(WriteModel model, String name, String note) {
        if (model.session().apply(Edits.keepVersion(name, note))) {
            model.session()
                    .say(
                            "Kept as "
                                    + name
                                    + ". The menu Variations and checks shows what is kept.");
        }
    }

    /** Keeps it under a name, with a note. */
    public static void keepNamed(WriteModel model, Sheets host) {
        int n = versions(model).size() + 1;
        Ask.line(
                host,
                "A name for the version",
                "Version " + n,
                200,
                name ->
                        Ask.remark(
                                host,
                                "A note for " + name + "; it may stay empty",
                                "",
                                NOTE,
                                note -> keep(model, name, note)));
    }

    /** What a player would stumble over, each with a way to it. */
    public static void check(WriteModel model, Sheets host) {
        Derived derived = model.derived();
        List<PickSheet.Row> rows = new ArrayList<>();
        for (Caution c : Check.of(derived)) {
            rows.add(
                    new PickSheet.Row(
                            CheckWords.place(c, derived.riff()),
                            CheckWords.of(c, derived.riff()),
                            () -> {},
                            () -> model.lane().setCaret(c.at()),
                            null));
        }
        PickSheet.show(
                host,
                "Check",
                CheckWords.landing(derived.riff()) + " Enter goes to the place.",
                "Nothing to stumble over. " + CheckWords.landing(derived.riff()),
                rows,
                () -> {});
    }
}
