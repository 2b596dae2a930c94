package vocalis.desktop.desks;

import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.File;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.FileSystemException;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;
import java.util.concurrent.Callable;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.atomic.AtomicReference;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.function.Supplier;
import javafx.scene.Scene;
import javafx.scene.control.Label;
import javafx.scene.control.ProgressBar;
import javafx.scene.input.Clipboard;
import javafx.scene.input.ClipboardContent;
import javafx.scene.input.TransferMode;
import javafx.scene.layout.VBox;
import javafx.stage.Stage;
import javax.imageio.ImageIO;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.rendering.PDFRenderer;
import vocalis.core.derive.Deriver;
import vocalis.core.edit.Splice;
import vocalis.core.hands.Hand;
import vocalis.core.piece.Piece;
import vocalis.core.rhythm.Meter;
import vocalis.core.riff.Riff;
import vocalis.core.unpick.Unpicked;
import vocalis.desktop.exchange.ExportSheet;
import vocalis.desktop.exchange.UnpickSheet;
import vocalis.desktop.exchange.WritesDown;
import vocalis.desktop.session.Hearing;
import vocalis.desktop.session.Session;
import vocalis.desktop.session.Whereabouts;
import vocalis.desktop.sheets.Ask;
import vocalis.desktop.view.Background;
import vocalis.desktop.view.Choices;
import vocalis.desktop.view.Sheets;
import vocalis.formats.FormatException;
import vocalis.formats.sheet.Imported;
import vocalis.formats.tab.TabText;
import vocalis.formats.wav.WavReader;
import vocalis.sound.listen.Take;
import vocalis.workbench.base.Log;
import vocalis.workbench.document.Edits;
import vocalis.workbench.exchange.Exchange;
import vocalis.workbench.exchange.Export;
import vocalis.workbench.exchange.Target;
import vocalis.workbench.library.Library;
import vocalis.workbench.library.PieceFiles;
import vocalis.workbench.playedin.Draft;
import vocalis.workbench.playedin.PlayIn;
import vocalis.workbench.takes.TakeShelf;

/** Takes riffs away and brings them in: export, import, the clipboard, files dropped. */
public final class ExchangeDesk implements WritesDown, AutoCloseable {

    private static final float PREVIEW_DPI = 110;
    private static final String RECORDINGS = ".*\\.(wav|aiff?|au)";
    private static final String WRITTEN = "What the riff was written down from.";

    private final Stage stage;
    private final Session session;
    private final Whereabouts whereabouts;
    private final Hearing hearing;
    private final Sheets host;
    private final Prompts prompts;
    private final FileDesk files;
    private final TakeShelf shelf;
    private final Background background = new Background("vocalis-exchange");

    public ExchangeDesk(
            Stage stage,
            Session session,
            Whereabouts whereabouts,
            Hearing hearing,
            Sheets host,
            Prompts prompts,
            FileDesk files,
            TakeShelf shelf) {
        this.stage = stage;
        this.session = session;
        this.whereabouts = whereabouts;
        this.hearing = hearing;
        this.host = host;
        this.prompts = prompts;
        this.files = files;
        this.shelf = shelf;
    }

    private Exchange exchange() {
        return new Exchange(session.catalogue(), session.hand());
    }

    /** What the riff can be taken away as. */
    public void export() {
        Piece piece = session.piece();
        boolean song = whereabouts.screen().ofSong();
        Supplier<Export> away = away(piece, song);
        ExportSheet.show(
                song ? piece.title() + ", the whole song" : piece.title(),
                away,
                background,
                ExchangeDesk::firstPage,
                host,
                t -> export(piece, away, t));
    }

    /** The riff goes, or from the screens of the song the whole of it. */
    private Supplier<Export> away(Piece piece, boolean song) {
        Exchange exchange = exchange();
        return () -> song ? exchange.song(piece) : exchange.away(piece);
    }

    private static byte[] firstPage(byte[] pdf) {
        try (PDDocument d = Loader.loadPDF(pdf)) {
            BufferedImage page = new PDFRenderer(d).renderImageWithDPI(0, PREVIEW_DPI);
            ByteArrayOutputStream png = new ByteArrayOutputStream();
            ImageIO.write(page, "png", png);
            return png.toByteArray();
        } catch (IOException e) {
            Log.failed("a preview of the page", e);
            return new byte[0];
        }
    }

    private void export(Piece piece, Supplier<Export> away, Target target) {
        String name = Library.stem(piece.title()) + target.ending();
        Optional<Path> file = prompts.fileToExport(stage, name, target.words());
        if (file.isEmpty()) {
            return;
        }
        AtomicBoolean cancelled = new AtomicBoolean();
        Sheets.Sheet busy = target.sound() ? busy(file.get(), cancelled) : null;
        String[] trouble = new String[1];
        background.run(
                "an export",
                () -> {
                    try {
                        away.get().write(target, file.get(), 1, cancelled::get);
                    } catch (IOException e) {
                        trouble[0] = cancelled.get() ? "" : reason(e);
                    } catch (FormatException | IllegalArgumentException e) {
                        trouble[0] = e.getMessage();
                    }
                },
                () -> {
                    if (busy != null) {
                        busy.onClosed(() -> {});
                        busy.close();
                    }
                    if (trouble[0] == null) {
                        session.say("Exported to " + file.get().getFileName() + ".");
                    } else if (trouble[0].isEmpty()) {
                        session.say("The export was cancelled; nothing was written.");
                    } else {
                        Ask.tell(
                                host,
                                "Nothing was exported",
                                file.get().getFileName()
                                        + " was not written: "
                                        + trouble[0]
                                        + ". The riff is as it was.");
                    }
                });
    }

    private static String reason(IOException e) {
        return e instanceof FileSystemException f && f.getReason() != null
                ? f.getReason()
                : e instanceof NoSuchFileException
                        ? "the folder does not exist"
                        : String.valueOf(e.getMessage());
    }

    /** Says that something takes a while; closing it cancels. */
    private Sheets.Sheet busy(Path file, AtomicBoolean cancelled) {
        ProgressBar bar = new ProgressBar();
        bar.setMaxWidth(Double.MAX_VALUE);
        Label words = Choices.text("Rendering " + file.getFileName() + ". Esc cancels.");
        VBox body = new VBox(14, words, bar);
        body.getStyleClass().add("help");
        Sheets.Sheet sheet = host.open("Exporting", body, 480);
        sheet.onClosed(() -> cancelled.set(true));
        return sheet;
    }

    /** The tab of the riff on the clipboard. */
    public void copyTab() {
        Supplier<Export> away = away(session.piece(), whereabouts.screen().ofSong());
        background.ask(
                "copying the riff as tab",
                () -> away.get().tab(TabText.USUAL_WIDTH),
                tab -> {
                    ClipboardContent content = new ClipboardContent();
                    content.putString(tab);
                    Clipboard.getSystemClipboard().setContent(content);
                    session.say("The riff is on the clipboard as tab.");
                });
    }

    /** Takes a tab from the clipboard apart, after what was asked to be copied lies there. */
    public void pasteTab() {
        background.ask("waiting for what is copied", () -> true, copied -> paste());
    }

    private void paste() {
        String text = Clipboard.getSystemClipboard().getString();
        if (text == null || text.isBlank()) {
            session.say("The clipboard holds no text.");
            return;
        }
        unpick(
                "The clipboard holds no tab that can be read",
                () -> Exchange.read(text.getBytes(StandardCharsets.UTF_8)));
    }

    public void importFile() {
        prompts.fileToImport(stage).ifPresent(this::importFile);
    }

    /** Reads a file: a riff is opened, what others wrote is taken apart. */
    public void importFile(Path file) {
        if (file.getFileName().toString().endsWith(PieceFiles.ENDING)) {
            files.leave(() -> files.open(file));
            return;
        }
        if (file.getFileName().toString().toLowerCase(Locale.ROOT).matches(RECORDINGS)) {
            String name = file.getFileName().toString().replaceFirst("\\.\\w+$", "");
            PlayIn in =
                    new PlayIn(
                            session.now().ground(),
                            Optional.empty(),
                            session.hand(),
                            session.catalogue());
            Meter meter = session.now().meters().meter(0);
            writeDown(
                    () -> WavReader.read(new ByteArrayInputStream(Files.readAllBytes(file))),
                    t -> in.of(t, Optional.empty(), OptionalDouble.empty(), meter, name),
                    Optional.empty());
            return;
        }
        unpick("This was not imported", () -> Exchange.read(file));
    }

    /** Writes down what is played in a take; the take is kept beside the riff that comes of it. */
    @Override
    public void writeDown(Callable<Take> source, Function<Take, Draft> write, Optional<Bars> bars) {
        AtomicReference<Take> take = new AtomicReference<>();
        String id = bars.isPresent() ? session.piece().id() : UUID.randomUUID().toString();
        Waiting waiting = new Waiting(host, "Writing down what was heard");
        background.attempt(
                "an import",
                () -> {
                    take.set(source.call());
                    return write.apply(take.get());
                },
                draft ->
                        waiting.over(
                                () ->
                                        show(
                                                draft.sheet(),
                                                Optional.of(draft),
                                                bars,
                                                u -> {
                                                    taken(draft.sheet(), u, id, bars);
                                                    keep(id, take.get());
                                                })),
                why -> waiting.over(() -> refused("Nothing was written down", why)));
    }

    private void taken(Imported read, Unpicked u, String id, Optional<Bars> bars) {
        bars.ifPresentOrElse(
                b -> putIn(u.riff(), b), () -> files.takeUnsaved(Exchange.piece(read, u, id)));
    }

    /**
     * Puts what was played into bars of the guitar that is written; the other goes on as it was.
     */
    private void putIn(Riff played, Bars bars) {
        Riff now = session.now();
        Hand hand = session.hand();
        Deriver deriver = new Deriver(session.catalogue());
        background.attempt(
                "putting bars in",
                () -> {
                    try {
                        return Splice.keeping(
                                deriver, hand, now, bars.first(), bars.last(), played);
                    } catch (IllegalArgumentException e) {
                        throw new FormatException(e.getMessage());
                    }
                },
                in -> session.apply(Edits.vary(bars.words() + " played in", now, in)),
                session::say);
    }

    private void keep(String id, Take take) {
        background.attempt(
                "keeping a take",
                () -> shelf.keep(id, LocalDateTime.now(), WRITTEN, take),
                kept -> {},
                session::say);
    }

    private void unpick(String failed, Callable<Imported> source) {
        String id = UUID.randomUUID().toString();
        background.attempt(
                "an import",
                source,
                read ->
                        show(
                                read,
                                Optional.empty(),
                                Optional.empty(),
                                u -> taken(read, u, id, Optional.empty())),
                why -> refused(failed, why));
    }

    private void show(
            Imported read, Optional<Draft> draft, Optional<Bars> bars, Consumer<Unpicked> then) {
        UnpickSheet.show(session, hearing, exchange(), read, draft, bars, host, then);
    }

    private void refused(String failed, String why) {
        String said = Character.toUpperCase(why.charAt(0)) + why.substring(1);
        Ask.tell(host, failed, said + ". The open riff is as it was.");
    }

    /** Files may be dropped on the window. */
    public void accept(Scene scene) {
        scene.setOnDragOver(
                e -> {
                    if (e.getGestureSource() == null
                            && (e.getDragboard().hasFiles() || e.getDragboard().hasString())) {
                        e.acceptTransferModes(TransferMode.COPY);
                        e.consume();
                    }
                });
        scene.setOnDragDropped(
                e -> {
                    List<File> dropped = e.getDragboard().getFiles();
                    if (!dropped.isEmpty()) {
                        importFile(dropped.get(0).toPath());
                    } else if (e.getDragboard().hasString()) {
                        String text = e.getDragboard().getString();
                        unpick(
                                "What was dropped is no tab that can be read",
                                () -> Exchange.read(text.getBytes(StandardCharsets.UTF_8)));
                    }
                    e.setDropCompleted(true);
                    e.consume();
                });
    }

    @Override
    public void close() {
        background.close();
    }
}
