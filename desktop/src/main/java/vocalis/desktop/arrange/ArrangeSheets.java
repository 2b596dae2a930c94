package vocalis.desktop.arrange;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BiConsumer;
import java.util.function.Function;
import vocalis.core.arrange.Arrangement;
import vocalis.core.arrange.Clashes;
import vocalis.core.arrange.Mend;
import vocalis.core.arrange.PartOffer;
import vocalis.core.arrange.SectionChange;
import vocalis.core.choice.Catalogue;
import vocalis.core.derive.Derived;
import vocalis.core.derive.Deriver;
import vocalis.core.hands.Hand;
import vocalis.core.mix.BassFigure;
import vocalis.core.mix.BassOffers;
import vocalis.core.piece.Part;
import vocalis.core.piece.Piece;
import vocalis.core.piece.Section;
import vocalis.core.riff.Riff;
import vocalis.core.theory.Key;
import vocalis.core.theory.Note;
import vocalis.desktop.session.Hearing;
import vocalis.desktop.session.Session;
import vocalis.desktop.sheets.Ask;
import vocalis.desktop.sheets.PickSheet;
import vocalis.desktop.view.Sheets;
import vocalis.workbench.demo.Demo;
import vocalis.workbench.library.Library;
import vocalis.workbench.library.LibraryEntry;
import vocalis.workbench.library.PieceFiles;
import vocalis.workbench.words.ArrangeWords;

/** Sheets of the Arrange screen. */
public final class ArrangeSheets {

    private static final int MOST_RIFFS = 200;
    private static final String HOW =
            "↑ ↓ choose; hold H, or press and hold, to hear; Enter or a click takes it.";

    private ArrangeSheets() {}

    /** Asks for what the line under the caret says, or steps it. */
    public static void edit(Session session, ArrangeModel a, Sheets host) {
        SectionField f = SectionField.values()[a.fieldProperty().get()];
        Section s = a.current();
        switch (f) {
            case NAME ->
                    Ask.line(
                            host,
                            "Name of the section",
                            s.name(),
                            200,
                            t -> a.edits().change("rename the section", x -> x.named(t)));
            case BASS ->
                    Ask.remark(
                            host,
                            "The bass's own notes in eighths: degrees over the chord's bass (1 b3 5 8),"
                                    + " - holds, . rests; empty for the line of the piece",
                            s.band().line().map(BassFigure::text).orElse(""),
                            200,
                            t -> bass(session, a, t));
            case WORDS ->
                    Ask.remark(
                            host,
                            "What is sung over it, bar by bar with | between",
                            s.words(),
                            20_000,
                            t -> a.edits().change("words of the section", x -> x.singing(t)));
            default -> a.edits().step(1);
        }
    }

    private static void bass(Session session, ArrangeModel a, String text) {
        try {
            Optional<BassFigure> line =
                    text.isBlank() ? Optional.empty() : Optional.of(BassFigure.parse(text));
            if (line.isPresent()) {
                Piece with = a.edits().withBass(line.get());
                a.edits().changePiece("bass of the section", p -> with);
                return;
            }
            a.edits().change("bass of the section", x -> x.with(x.band().withBass(true, line)));
        } catch (IllegalArgumentException e) {
            session.say("Not done: " + e.getMessage() + ".");
        }
    }

    /** A line and how often it rubs with the guitars. */
    private record BassLine(BassOffers.Offer line, int clashes) {}

    /** Those that rub with nothing first. */
    private static List<BassLine> bassLines(
            Piece piece, Section section, Riff riff, Hand hand, Catalogue catalogue) {
        Map<Riff, Derived> known = new HashMap<>();
        Function<Riff, Derived> derive =
                r -> known.computeIfAbsent(r, x -> Deriver.once(x, hand, catalogue));
        return BassOffers.of(derive.apply(riff).score(), riff.ground().key()).stream()
                .map(o -> new BassLine(o, Clashes.ofBass(piece, section, o.figure(), derive)))
                .sorted(Comparator.comparing(b -> b.clashes() > 0))
                .toList();
    }

    /** Lines that the bass could play under the section, each with what speaks for it. */
    public static void bassLines(Session session, ArrangeModel a, Sheets host) {
        Piece piece = a.piece();
        Section section = a.current();
        Riff riff = Arrangement.on(piece.riff().ground(), piece.riff(section.riff()).riff());
        Hand hand = session.hand();
        session.ask(
                "looking for bass lines",
                () -> bassLines(piece, section, riff, hand, session.catalogue()),
                all -> {
                    List<PickSheet.Row> rows = new ArrayList<>();
                    for (BassLine b : all) {
                        rows.add(
                                row(
                                        session,
                                        a,
                                        ArrangeWords.name(b.line().why()),
                                        ArrangeWords.what(b.line(), b.clashes()),
                                        a.edits().withBass(b.line().figure()),
                                        "a line for the bass"));
                    }
                    PickSheet.show(
                            host,
                            "Bass under " + a.current().name(),
                            "Degrees over each chord's bass, in eighths; - holds. " + HOW,
                            "The section's bars are no whole number of eighths.",
                            rows,
                            a.hearing()::endHearing);
                });
    }

    /** What could set the section off from the one before. */
    public static void vary(Session session, ArrangeModel a, Sheets host) {
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
            Session session, ArrangeModel a, String name, String what, Piece piece, String label) {
        return new PickSheet.Row(
                name,
                what,
                () -> {
                    a.hearing().beginPreview();
                    a.hearing().preview(piece);
                },
                () -> {
                    if (a.edits().changePiece(label, p -> piece)) {
                        session.say(name + ": " + what + ".");
                    }
                },
                null);
    }

    /** What would mend the clash under the caret. */
    public static void mend(Session session, ArrangeModel a, Sheets host) {
        a.mends(
                all -> {
                    List<PickSheet.Row> rows = new ArrayList<>();
                    int n = 0;
                    for (Mend m : all) {
                        n++;
                        rows.add(
                                row(
                                        session,
                                        a,
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
    public static void second(Session session, ArrangeModel a, Sheets host, boolean clashesToo) {
        a.secondParts(
                clashesToo,
                all -> {
                    Key key = session.key();
                    List<PickSheet.Row> rows = new ArrayList<>();
                    for (PartOffer o : all) {
                        rows.add(
                                row(
                                        session,
                                        a,
                                        ArrangeWords.name(o),
                                        ArrangeWords.why(o, key),
                                        a.with(o),
                                        "a part for the second guitar"));
                    }
                    PickSheet.show(
                            host,
                            "A part for the second guitar",
                            (clashesToo
                                            ? "Parts that clash are among them. "
                                            : "In the register that guitar one leaves free; none of them"
                                                    + " clashes. ")
                                    + HOW,
                            "Guitar one leaves no register free between floor and ceiling"
                                    + (clashesToo
                                            ? "."
                                            : ", or everything there clashes: All … below looks among those too."),
                            rows,
                            a.hearing()::endHearing);
                });
    }

    /** Another riff into the piece: of this piece, of the logbook, of the demo. */
    public static void bring(
            Session session, ArrangeModel a, Hearing hearing, Library library, Sheets host) {
        session.ask(
                "reading the logbook",
                () ->
                        library.remembered().stream()
                                .filter(LibraryEntry::readable)
                                .limit(MOST_RIFFS)
                                .toList(),
                entries -> offer(session, a, hearing, host, library, entries));
    }

    private static PickSheet.Row ofLogbook(
            Session session, ArrangeModel a, Library library, LibraryEntry e) {
        return new PickSheet.Row(
                e.title(),
                "of the logbook, on this piece's instrument",
                () -> {},
                () ->
                        session.ask(
                                "reading a riff",
                                () -> read(library, e),
                                taken -> taken.accept(session, a)),
                null);
    }

    /** A riff that was read is brought in; one that was not is told. */
    private static BiConsumer<Session, ArrangeModel> read(Library library, LibraryEntry e) {
        try {
            Piece p = PieceFiles.read(library.file(e)).piece();
            return (session, a) -> a.edits().bring(p.riff(), p.title());
        } catch (PieceFiles.PieceFileException x) {
            return (session, a) -> session.say(x.getMessage());
        }
    }

    private static void offer(
            Session session,
            ArrangeModel a,
            Hearing hearing,
            Sheets host,
            Library library,
            List<LibraryEntry> entries) {
        List<PickSheet.Row> rows = new ArrayList<>();
        newOnes(a, rows);
        entries.forEach(e -> rows.add(ofLogbook(session, a, library, e)));
        for (Piece p : Demo.pieces()) {
            rows.add(
                    new PickSheet.Row(
                            p.title(),
                            "of the demo set, on this piece's instrument",
                            () -> hearing.preview(p),
                            () -> a.edits().bring(p.riff(), p.title()),
                            null));
        }
        PickSheet.show(
                host,
                "Another riff into the piece",
                "It gets a section of its own after this one. " + HOW,
                "",
                rows,
                hearing::endPreview);
    }

    private static void newOnes(ArrangeModel a, List<PickSheet.Row> rows) {
        rows.add(
                new PickSheet.Row(
                        "Like this one",
                        "a copy of the section's riff, to be changed by itself",
                        () -> {},
                        () ->
                                a.edits()
                                        .bring(
                                                a.piece().riff(a.current().riff()).riff(),
                                                a.current().name() + " 2"),
                        null));
        rows.add(
                new PickSheet.Row(
                        "Blank",
                        "four bars of the tonic, on this piece's ground",
                        () -> {},
                        () ->
                                a.edits()
                                        .bring(
                                                Demo.blank("x")
                                                        .riff()
                                                        .withGround(a.piece().riff().ground()),
                                                "new"),
                        null));
    }

    /** Floor and ceiling of a guitar. */
    public static void register(Session session, ArrangeModel a, Sheets host, int part) {
        List<Part> parts = a.piece().parts();
        if (part >= parts.size()) {
            return;
        }
        Part p = parts.get(part);
        Key key = session.key();
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
                t -> keep(session, a, p, t));
    }

    private static void keep(Session session, ArrangeModel a, Part p, String text) {
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
            a.edits().changePiece("register", x -> x.with(p.keepingTo(kept)));
        } catch (IllegalArgumentException e) {
            session.say("Not done: " + e.getMessage() + ".");
        }
    }
}
