package vocalis.desktop.sheets;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import vocalis.core.arrange.PartOffer;
import vocalis.core.arrange.SecondParts;
import vocalis.core.derive.Derived;
import vocalis.core.edit.Strokes;
import vocalis.core.hands.Hand;
import vocalis.core.mix.Mix;
import vocalis.core.offer.Idea;
import vocalis.core.offer.Offer;
import vocalis.core.offer.Sparks;
import vocalis.core.piece.Piece;
import vocalis.core.riff.Riff;
import vocalis.desktop.session.Session;
import vocalis.desktop.view.Sheets;
import vocalis.desktop.writing.WriteModel;
import vocalis.workbench.document.Edit;
import vocalis.workbench.document.Edits;
import vocalis.workbench.words.ArrangeWords;
import vocalis.workbench.words.IdeaWords;

/** Sheets of what rules make of a riff, and of short riffs made from its ground. */
public final class IdeaSheets {

    private static final String HOW =
            "↑ ↓ choose; hold H, or press and hold, to hear; Enter or a click takes it.";

    private IdeaSheets() {}

    /** The rules; each opens what it makes of this riff. */
    public static void ideas(WriteModel model, Sheets host) {
        List<PickSheet.Row> rows = new ArrayList<>();
        for (Idea i : Idea.values()) {
            rows.add(
                    leads(
                            IdeaWords.name(i) + " …",
                            IdeaWords.what(i),
                            () -> offers(model, host, i)));
        }
        rows.add(
                leads(
                        "Harmonise the line …",
                        "guitar two plays the single notes in thirds, sixths or tenths",
                        () -> harmonies(model, host)));
        rows.add(
                leads(
                        "A ringing pair …",
                        "two strings held through, root and colour beneath",
                        () -> NeckSheets.drones(model, host)));
        rows.add(
                leads(
                        "Lock bass and kick",
                        "both join in and play on the riff's accents and low strokes",
                        () -> lock(model.session())));
        PickSheet.show(
                host,
                "Ideas",
                "Rules that make something of this riff. Enter opens one; nothing is changed yet.",
                "",
                rows,
                model.hearing()::endPreview);
    }

    private static PickSheet.Row leads(String name, String what, Runnable take) {
        return new PickSheet.Row(name, what, () -> {}, take, null);
    }

    /** What an idea makes, and what it changes, in words. */
    private record Told(Offer offer, String what) {}

    private static void offers(WriteModel model, Sheets host, Idea idea) {
        Derived derived = model.derived();
        Session session = model.session();
        session.say("Trying " + IdeaWords.name(idea).toLowerCase(Locale.ROOT) + " …");
        session.ask(
                "trying ideas",
                () ->
                        Offer.playable(idea, derived, session.catalogue()).stream()
                                .map(o -> new Told(o, what(derived.riff(), o.riff())))
                                .toList(),
                all -> {
                    session.say("");
                    List<PickSheet.Row> rows = new ArrayList<>();
                    for (Told t : all) {
                        String name = IdeaWords.setting(t.offer());
                        rows.add(row(model, name, t.what(), derived.riff(), t.offer().riff()));
                    }
                    rows.add(
                            leads(
                                    "Other ideas …",
                                    "back to all of them",
                                    () -> ideas(model, host)));
                    PickSheet.show(
                            host,
                            IdeaWords.name(idea),
                            all.isEmpty()
                                    ? "Nothing came of it. " + IdeaWords.needs(idea)
                                    : sentence(IdeaWords.what(idea)) + HOW,
                            "",
                            rows,
                            model.hearing()::endPreview);
                });
    }

    /** Its roots, or where they stay what is struck otherwise. */
    private static String what(Riff of, Riff made) {
        String struck = of.roots().equals(made.roots()) ? FigureSheets.changed(of, made) : "";
        return struck.isEmpty() ? IdeaWords.roots(made) : struck;
    }

    private static String sentence(String words) {
        return words.substring(0, 1).toUpperCase(Locale.ROOT) + words.substring(1) + ". ";
    }

    private static PickSheet.Row row(
            WriteModel model, String name, String what, Riff of, Riff made) {
        return new PickSheet.Row(
                name,
                what,
                () -> model.hearing().preview(made),
                () -> {
                    if (model.session().apply(Edits.vary("take an idea", of, made))) {
                        model.session().say(name + ": " + what + ". Undo brings back what was.");
                    }
                },
                null);
    }

    private static void harmonies(WriteModel model, Sheets host) {
        Session session = model.session();
        Piece piece = session.piece();
        String riff = piece.riffs().get(0).id();
        Hand hand = session.hand();
        session.ask(
                "looking for a harmony",
                () -> SecondParts.of(piece, riff, hand, session.catalogue(), true),
                all -> {
                    List<PickSheet.Row> rows = new ArrayList<>();
                    for (PartOffer o : all) {
                        if (o.kind().steps() > 0) {
                            rows.add(harmony(model, riff, o, o.riff(), ""));
                            rows.add(harmony(model, riff, o, late(o.riff()), ", second half"));
                        }
                    }
                    PickSheet.show(
                            host,
                            "Harmonise the line",
                            "Guitar two plays along. " + HOW,
                            "The riff has no line of four single notes and more.",
                            rows,
                            model.hearing()::endPreview);
                });
    }

    /** A part that comes in with the second half of its bars. */
    private static Riff late(Riff part) {
        return Strokes.emptied(part, 0, part.meters().start(part.bars() / 2));
    }

    private static PickSheet.Row harmony(
            WriteModel model, String riff, PartOffer o, Riff part, String when) {
        String name = ArrangeWords.name(o) + when;
        String what =
                o.clashes() == 0
                        ? "nothing rubs"
                        : "rubs " + o.clashes() + " times with guitar one";
        return new PickSheet.Row(
                name,
                what,
                () -> model.hearing().preview(part),
                () -> {
                    model.session()
                            .apply(
                                    new Edit.OfPiece(
                                            "harmonise the line",
                                            "",
                                            p -> playing(p.withSecond(riff, part))));
                    model.session().say(name + ": guitar two plays it.");
                },
                null);
    }

    private static Piece playing(Piece p) {
        return p.mixed(p.mix().withSecond(p.mix().second().on(true)));
    }

    private static void lock(Session session) {
        session.apply(
                Edits.mix(
                        "bass and kick",
                        m ->
                                m.withBass(m.bass().on(true), Mix.BassLine.LOCKED)
                                        .withKit(m.kit().on(true), m.feel())));
        session.say("Bass and kick play on the riff's accents and low strokes.");
    }

    private static final String FILLS_THE_BAR =
            "The bar under the caret is empty: six ways to fill it. ";

    private static final String TAKES_THE_RIFFS_PLACE =
            "Six short riffs from the key, tuning, tempo and meter that stand. They take the riff's"
                    + " place. ";

    /** Six short riffs from this ground, or six ways to fill the bar under the caret if empty. */
    public static void sparks(WriteModel model, Sheets host) {
        sparks(model, host, System.nanoTime());
    }

    private static void sparks(WriteModel model, Sheets host, long seed) {
        Derived derived = model.derived();
        Riff riff = derived.riff();
        Session session = model.session();
        int bar = Math.max(0, riff.meters().bar(model.lane().caretProperty().get()));
        boolean fills = !derived.score().onsets().isEmpty() && Sparks.empty(derived, bar);
        Hand hand = session.hand();
        session.ask(
                "making sparks",
                () -> {
                    Sparks s = new Sparks(riff.ground(), riff.time(), hand, session.catalogue());
                    return fills ? s.bar(derived, bar, seed) : s.of(seed);
                },
                all -> {
                    List<PickSheet.Row> rows = new ArrayList<>();
                    for (Sparks.Spark s : all) {
                        String name = fills ? s.figure() : IdeaWords.name(s);
                        String what =
                                fills
                                        ? FigureSheets.steps(FigureSheets.bar(s.riff(), bar))
                                        : IdeaWords.why(s);
                        rows.add(row(model, name, what, riff, s.riff()));
                    }
                    rows.add(
                            leads(
                                    "Six others …",
                                    "another throw",
                                    () -> sparks(model, host, seed + 1)));
                    PickSheet.show(
                            host,
                            "Sparks",
                            (fills ? FILLS_THE_BAR : TAKES_THE_RIFFS_PLACE) + HOW,
                            "",
                            rows,
                            model.hearing()::endPreview);
                });
    }
}
