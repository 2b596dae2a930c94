package vocalis.desktop.sheets;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import vocalis.core.arrange.Mend;
import vocalis.core.arrange.SecondParts;
import vocalis.core.arrange.SectionChange;
import vocalis.core.mix.BassFigure;
import vocalis.core.piece.Part;
import vocalis.core.piece.Piece;
import vocalis.core.piece.Section;
import vocalis.core.theory.Key;
import vocalis.core.theory.Note;
import vocalis.desktop.model.ArrangeModel;
import vocalis.desktop.model.SectionField;
import vocalis.desktop.model.WriteModel;
import vocalis.desktop.view.SheetHost;
import vocalis.workbench.demo.Demo;
import vocalis.workbench.library.Library;
import vocalis.workbench.library.LibraryEntry;
import vocalis.workbench.library.PieceFiles;
import vocalis.workbench.words.ArrangeWords;

/** Sheets of the Arrange screen. */
public final class ArrangeSheets {

    private static final int MOST_RIFFS = 200;
    private static final String HOW = "↑↓ choose, hold H to hear, Enter takes it.";

    private ArrangeSheets() {}

    /** Asks for what the line under the caret says, or steps it. */
    public static void edit(WriteModel model, SheetHost host) {
        ArrangeModel a = model.arrange();
        SectionField f = SectionField.values()[a.fieldProperty().get()];
        Section s = a.current();
        switch (f) {
            case NAME ->
                    Ask.line(
                            host,
                            "Name of the section",
                            s.name(),
                            200,
                            t -> a.change("rename the section", x -> x.named(t)));
            case BASS ->
                    Ask.remark(
                            host,
                            "The bass's own notes in eighths: degrees over the chord's bass (1 b3 5 8),"
                                    + " - holds, . rests; empty for the line of the piece",
                            s.band().line().map(BassFigure::text).orElse(""),
                            200,
                            t -> bass(model, t));
            case WORDS ->
                    Ask.remark(
                            host,
                            "What is sung over it, bar by bar with | between",
                            s.words(),
                            20_000,
                            t -> a.change("words of the section", x -> x.singing(t)));
            default -> a.step(1);
        }
    }

    private static void bass(WriteModel model, String text) {
        try {
            Optional<BassFigure> line =
                    text.isBlank() ? Optional.empty() : Optional.of(BassFigure.parse(text));
            model.arrange()
                    .change("bass of the section", x -> x.with(x.band().withBass(true, line)));
        } catch (IllegalArgumentException e) {
            model.say("Not done: " + e.getMessage() + ".");
        }
    }

    /** What could set the section off from the one before. */
    public static void vary(WriteModel model, SheetHost host) {
        ArrangeModel a = model.arrange();
        List<PickSheet.Row> rows = new ArrayList<>();
        for (SectionChange c : a.variations()) {
            rows.add(
                    new PickSheet.Row(
                            ArrangeWords.name(c),
                            ArrangeWords.what(c),
                            () -> a.hear(c),
                            () -> a.take(c),
                            null));
        }
        PickSheet.show(
                host,
                "Set " + a.current().name() + " off",
                "The same roots otherwise, kept as a version of the riff that this section alone plays. "
                        + HOW,
                "This riff gives it nothing to vary.",
                rows,
                a.hearing()::endHearing);
    }

    private static PickSheet.Row row(
            WriteModel model, String name, String what, Piece piece, String label) {
        ArrangeModel a = model.arrange();
        return new PickSheet.Row(
                name,
                what,
                () -> {
                    a.hearing().beginPreview();
                    a.hearing().preview(piece);
                },
                () -> {
                    if (a.changePiece(label, p -> piece)) {
                        model.say(name + ": " + what + ".");
                    }
                },
                null);
    }

    /** What would mend the clash under the caret. */
    public static void mend(WriteModel model, SheetHost host) {
        ArrangeModel a = model.arrange();
        a.mends(
                all -> {
                    List<PickSheet.Row> rows = new ArrayList<>();
                    int n = 0;
                    for (Mend m : all) {
                        n++;
                        rows.add(
                                row(
                                        model,
                                        "Way " + n,
                                        ArrangeWords.of(m),
                                        m.piece(),
                                        "mend a clash"));
                    }
                    PickSheet.show(
                            host,
                            "Mend",
                            "Each was tried: the clash is gone after it. " + HOW,
                            "Nothing that is offered mends it without bringing another: M says that it"
                                    + " is meant, or change the part itself.",
                            rows,
                            a.hearing()::endHearing);
                });
    }

    /** What a second guitar could play. */
    public static void second(WriteModel model, SheetHost host, boolean clashesToo) {
        ArrangeModel a = model.arrange();
        a.secondParts(
                clashesToo,
                all -> {
                    Key key = model.key();
                    List<PickSheet.Row> rows = new ArrayList<>();
                    for (SecondParts.Offer o : all) {
                        rows.add(
                                row(
                                        model,
                                        ArrangeWords.name(o),
                                        ArrangeWords.why(o, key),
                                        a.with(o),
                                        "a part for the second guitar"));
                    }
                    PickSheet.show(
                            host,
                            "A part for the second guitar",
                            (clashesToo
                                            ? "Parts that rub are among them. "
                                            : "In the register that guitar one leaves free; none of them"
                                                    + " rubs. ")
                                    + HOW,
                            "Guitar one leaves no register free between floor and ceiling"
                                    + (clashesToo
                                            ? "."
                                            : ", or everything there rubs: Shift F looks among those too."),
                            rows,
                            a.hearing()::endHearing);
                });
    }

    /** Another riff into the piece: of this piece, of the logbook, of the demo. */
    public static void bring(WriteModel model, SheetHost host) {
        Library library =
                new Library(
                        model.ownShapes().folder().resolve("riffs"), model.ownShapes().folder());
        List<LibraryEntry> entries = new ArrayList<>();
        model.background()
                .run(
                        "reading the logbook",
                        () ->
                                library.remembered().stream()
                                        .filter(LibraryEntry::readable)
                                        .limit(MOST_RIFFS)
                                        .forEach(entries::add),
                        () -> bring(model, host, library, entries));
    }

    private static PickSheet.Row ofLogbook(WriteModel model, Library library, LibraryEntry e) {
        return new PickSheet.Row(
                e.title(),
                "of the logbook, on this piece's instrument",
                () -> {},
                () -> {
                    List<Piece> read = new ArrayList<>();
                    List<String> why = new ArrayList<>();
                    model.background()
                            .run(
                                    "reading a riff",
                                    () -> {
                                        try {
                                            read.add(PieceFiles.read(library.file(e)).piece());
                                        } catch (PieceFiles.PieceFileException x) {
                                            why.add(x.getMessage());
                                        }
                                    },
                                    () -> {
                                        read.forEach(
                                                p -> model.arrange().bring(p.riff(), p.title()));
                                        why.forEach(model::say);
                                    });
                },
                null);
    }

    private static void bring(
            WriteModel model, SheetHost host, Library library, List<LibraryEntry> entries) {
        ArrangeModel a = model.arrange();
        List<PickSheet.Row> rows = new ArrayList<>();
        rows.add(
                new PickSheet.Row(
                        "Like this one",
                        "a copy of the section's riff, to be changed by itself",
                        () -> {},
                        () ->
                                a.bring(
                                        a.piece().riff(a.current().riff()).riff(),
                                        a.current().name() + " 2"),
                        null));
        rows.add(
                new PickSheet.Row(
                        "Blank",
                        "four bars of the tonic, on this piece's ground",
                        () -> {},
                        () ->
                                a.bring(
                                        Demo.blank("x")
                                                .riff()
                                                .withGround(a.piece().riff().ground()),
                                        "new"),
                        null));
        entries.forEach(e -> rows.add(ofLogbook(model, library, e)));
        for (Piece p : Demo.pieces()) {
            rows.add(
                    new PickSheet.Row(
                            p.title(),
                            "of the demo set, on this piece's instrument",
                            () -> model.hearing().preview(p),
                            () -> a.bring(p.riff(), p.title()),
                            null));
        }
        PickSheet.show(
                host,
                "Another riff into the piece",
                "It gets a section of its own after this one. " + HOW,
                "",
                rows,
                model.hearing()::endPreview);
    }

    /** Floor and ceiling of a guitar. */
    public static void register(WriteModel model, SheetHost host, int part) {
        List<Part> parts = model.arrange().piece().parts();
        if (part >= parts.size()) {
            return;
        }
        Part p = parts.get(part);
        Key key = model.key();
        boolean all = p.register().equals(Part.Register.ALL);
        String now =
                all
                        ? ""
                        : key.note(p.register().floor()).ascii()
                                + " "
                                + key.note(p.register().ceiling()).ascii();
        Ask.remark(
                host,
                "Lowest and highest note that "
                        + p.name().toLowerCase(java.util.Locale.ROOT)
                        + " keeps to, such as E3 B4; empty for any",
                now,
                40,
                t -> keep(model, p, t));
    }

    private static void keep(WriteModel model, Part p, String text) {
        try {
            Part.Register r = Part.Register.ALL;
            if (!text.isBlank()) {
                String[] both = text.strip().split("[\\s,;–-]+");
                if (both.length != 2) {
                    throw new IllegalArgumentException("write two notes, such as E3 B4");
                }
                r = new Part.Register(Note.parse(both[0]).midi(), Note.parse(both[1]).midi());
            }
            Part.Register kept = r;
            model.arrange().changePiece("register", x -> x.with(p.keepingTo(kept)));
        } catch (IllegalArgumentException e) {
            model.say("Not done: " + e.getMessage() + ".");
        }
    }
}
