package vocalis.desktop.exchange;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.concurrent.atomic.AtomicLong;
import java.util.function.BooleanSupplier;
import java.util.function.Consumer;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.image.Image;
import javafx.scene.image.ImageView;
import javafx.scene.input.Clipboard;
import javafx.scene.input.ClipboardContent;
import javafx.scene.input.Dragboard;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.TransferMode;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import vocalis.desktop.view.Background;
import vocalis.desktop.view.Choices;
import vocalis.desktop.view.Sheets;
import vocalis.formats.FormatException;
import vocalis.formats.tab.TabText;
import vocalis.workbench.exchange.Export;
import vocalis.workbench.exchange.Target;

/**
 * What a riff can be taken away as: each with a preview and what it leaves out. Enter writes it, C
 * copies the tab; the preview can be dragged to another program.
 */
public final class ExportSheet {

    private static final double WIDTH = 1000;
    private static final double HEIGHT = 420;
    private static final int SHOWN_LINES = 400;

    /** What a preview needs, made on a worker. */
    private record Preview(
            String text, byte[] picture, List<String> losses, String tab, Optional<Path> file) {}

    private final String title;
    private final Supplier<Export> deriving;

    /** Given up when another preview is wanted, or none. */
    private final AtomicLong wanted = new AtomicLong();

    private Export away;
    private Path folder;
    private String tab = "";
    private final Background.Channel<Preview> previews;
    private final Label losses = Choices.caption("");
    private final Label text = Choices.mono("");
    private final ImageView picture = new ImageView();
    private final ScrollPane scroll = new ScrollPane(text);
    private final List<Button> buttons = new ArrayList<>();
    private Target now = Target.TAB;

    /** What the preview shows, as a file that can be given away. */
    private Optional<Path> file = Optional.empty();

    /** Draws the first page of a PDF as PNG. */
    public interface Pages {
        byte[] first(byte[] pdf);
    }

    private final Pages pages;

    private ExportSheet(
            String title, Supplier<Export> deriving, Background background, Pages pages) {
        this.title = title;
        this.deriving = deriving;
        this.pages = pages;
        this.previews = background.channel("a preview of an export", this::show);
    }

    /**
     * Opens it.
     *
     * @param deriving what is taken away; asked on a worker
     * @param then writes what was chosen; the sheet closes before
     */
    public static void show(
            String title,
            Supplier<Export> deriving,
            Background background,
            Pages pages,
            Sheets host,
            Consumer<Target> then) {
        new ExportSheet(title, deriving, background, pages).open(host, then);
    }

    private void open(Sheets host, Consumer<Target> then) {
        VBox list = new VBox(4);
        list.setMinWidth(330);
        fields();
        VBox right = new VBox(10, losses, scroll);
        HBox.setHgrow(right, Priority.ALWAYS);
        HBox body = new HBox(20, list, right);
        Label head =
                Choices.caption(
                        "↑ ↓ choose, Enter writes the file, C copies the tab; the preview can be dragged away.");
        VBox all = new VBox(12, head, body);
        all.getStyleClass().add("help");
        Sheets.Sheet sheet = host.open("Export " + title, all, WIDTH);
        for (Target t : Target.values()) {
            list.getChildren()
                    .add(
                            format(
                                    t,
                                    () -> {
                                        sheet.close();
                                        then.accept(t);
                                    }));
        }
        sheet.onClosed(
                () -> {
                    wanted.incrementAndGet();
                    previews.forget();
                });
        sheet.focus(buttons.get(Target.TAB.ordinal()));
    }

    private void fields() {
        text.setWrapText(false);
        losses.setId("export-losses");
        losses.setWrapText(true);
        text.setId("export-preview");
        picture.setPreserveRatio(true);
        scroll.setPrefHeight(HEIGHT);
        scroll.setFocusTraversable(false);
        scroll.getStyleClass().add("rows");
        scroll.setOnDragDetected(
                e -> {
                    drag(scroll);
                    e.consume();
                });
    }

    private Button format(Target t, Runnable taken) {
        Button b = new Button(t.words());
        b.setId("export-" + t.name().toLowerCase(Locale.ROOT));
        b.getStyleClass().add("quiet-button");
        b.setMaxWidth(Double.MAX_VALUE);
        b.setAlignment(Pos.CENTER_LEFT);
        b.setOnAction(e -> taken.run());
        b.focusedProperty()
                .addListener(
                        o -> {
                            if (b.isFocused()) {
                                preview(t);
                            }
                        });
        b.addEventHandler(KeyEvent.KEY_PRESSED, e -> pressed(e, b));
        buttons.add(b);
        return b;
    }

    private void pressed(KeyEvent e, Button b) {
        int at = buttons.indexOf(b);
        switch (e.getCode()) {
            case UP -> buttons.get(Math.max(0, at - 1)).requestFocus();
            case DOWN -> buttons.get(Math.min(buttons.size() - 1, at + 1)).requestFocus();
            case HOME -> buttons.get(0).requestFocus();
            case END -> buttons.get(buttons.size() - 1).requestFocus();
            case ENTER -> b.fire();
            case C -> copy();
            default -> {
                return;
            }
        }
        e.consume();
    }

    private void copy() {
        if (tab.isEmpty()) {
            return;
        }
        ClipboardContent content = new ClipboardContent();
        content.putString(tab);
        Clipboard.getSystemClipboard().setContent(content);
        losses.setText("The tab is on the clipboard.");
    }

    private void preview(Target t) {
        now = t;
        file = Optional.empty();
        losses.setText("…");
        long mine = wanted.incrementAndGet();
        previews.request(() -> made(t, () -> wanted.get() != mine));
    }

    /** Derived once, on the worker that asks for all previews in turn. */
    private Export away() throws IOException {
        if (away == null) {
            away = deriving.get();
            folder = Files.createTempDirectory("vocalis");
            folder.toFile().deleteOnExit();
        }
        return away;
    }

    private Preview made(Target t, BooleanSupplier cancelled) {
        List<String> lost = List.of();
        try {
            lost = away().losses(t);
            String whole = away().tab(TabText.USUAL_WIDTH);
            Path lent = away().lent(t, folder, cancelled);
            lent.toFile().deleteOnExit();
            Optional<Path> given = Optional.of(lent);
            return switch (t) {
                case TAB, CSV ->
                        new Preview(lines(Files.readString(lent)), null, lost, whole, given);
                case PDF ->
                        new Preview("", pages.first(Files.readAllBytes(lent)), lost, whole, given);
                case WAV, FLAC ->
                        new Preview(
                                "One round of the loop and what rings on, 48 kHz stereo, 24 bits.\n"
                                        + "Stems of each guitar, bass and kit:"
                                        + " ./vocalis render --stems",
                                null,
                                lost,
                                whole,
                                given);
                default ->
                        new Preview(
                                lines(
                                        Files.size(lent) / 1024
                                                + " kB. What it holds, as tab:\n\n"
                                                + whole),
                                null,
                                lost,
                                whole,
                                given);
            };
        } catch (FormatException | IOException | IllegalArgumentException e) {
            return new Preview(String.valueOf(e.getMessage()), null, lost, "", Optional.empty());
        }
    }

    private static String lines(String all) {
        return all.lines().limit(SHOWN_LINES).collect(Collectors.joining("\n"));
    }

    private void show(Preview p) {
        file = p.file();
        tab = p.tab();
        losses.setText(
                p.losses().isEmpty()
                        ? "Nothing is lost."
                        : "It leaves out " + String.join("; ", p.losses()) + ".");
        text.setText(p.text());
        Node shown = text;
        if (p.picture() != null && p.picture().length > 0) {
            picture.setImage(new Image(new ByteArrayInputStream(p.picture())));
            picture.setFitWidth(scroll.getWidth() - 24);
            shown = picture;
        }
        scroll.setContent(shown);
        scroll.setVvalue(0);
    }

    /** Gives the file, and the tab as text, to where it is dropped. */
    private void drag(Node from) {
        if (file.isEmpty()) {
            return;
        }
        ClipboardContent content = new ClipboardContent();
        if (now == Target.TAB) {
            content.putString(tab);
        }
        content.putFiles(List.of(file.get().toFile()));
        Dragboard board = from.startDragAndDrop(TransferMode.COPY);
        board.setContent(content);
    }
}
