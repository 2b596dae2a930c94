package vocalis.desktop.write;

import java.util.Map;
import java.util.function.Consumer;
import java.util.function.Supplier;
import javafx.scene.Node;
import javafx.scene.control.ContextMenu;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import vocalis.desktop.band.VoiceBand;
import vocalis.desktop.cards.CardRow;
import vocalis.desktop.cards.FamilyBar;
import vocalis.desktop.keys.Command;
import vocalis.desktop.keys.Commands;
import vocalis.desktop.lane.Lane;
import vocalis.desktop.lane.LaneGeometry;
import vocalis.desktop.lane.Overview;
import vocalis.desktop.neck.Neck;
import vocalis.desktop.readout.ReadoutPane;
import vocalis.desktop.session.Place;
import vocalis.desktop.view.Sheets;
import vocalis.desktop.writing.WriteModel;
import vocalis.desktop.writing.WritePlace;
import vocalis.workbench.library.OwnFigures;

/** The Write screen: voice band, lane, voicings with the neck, readout. */
public final class WritePane extends VBox {

    /** In a narrower frame the figures give way, in a lower one shapes and neck take turns. */
    private static final double WIDE = 1000;

    private static final double HIGH = 520;

    /** The same where the lane shows what the other guitar plays, too. */
    private static final double BOTH = 600;

    /** A higher frame gives the tab more room. */
    private static final double ROOMY = 800;

    private final WriteModel model;
    private final Commands commands;
    private final VoiceBand band;
    private final Overview overview;
    private final Lane lane;
    private final CardRow cards;
    private final Neck neck;
    private final ReadoutPane readout;
    private final ScrollPane figures;
    private final FamilyBar families;
    private double width;
    private double height;

    /**
     * @param commands takes what the screen does
     * @param host shows its sheets, when it is there
     * @param go puts the keys on a place
     */
    public WritePane(
            WriteModel model,
            OwnFigures ownFigures,
            Commands commands,
            Supplier<Sheets> host,
            Consumer<Place> go) {
        this.model = model;
        this.commands = commands;
        band = new VoiceBand(model);
        band.setId("voice-band");
        overview = new Overview(model);
        overview.setId("overview");
        lane = new Lane(model);
        lane.setId("lane");
        cards = new CardRow(model);
        cards.setId("cards");
        neck = new Neck(model);
        neck.setId("neck");
        readout = new ReadoutPane(model);
        figures = readout.scrolling();
        families = new FamilyBar(model, () -> go.accept(WritePlace.CARDS));
        WriteCommands.addTo(
                commands, model, new WriteActions(model, ownFigures, host, families, lane, neck));
        lay();
        model.derivedProperty().addListener(o -> refit());
        band.menu(this::chordMenu);
        band.setOnContextMenuRequested(
                e -> {
                    if (e.isKeyboardTrigger()) {
                        band.showMenu(e.getScreenX(), e.getScreenY());
                    }
                });
    }

    private void lay() {
        VBox.setVgrow(band, Priority.ALWAYS);
        band.setMinHeight(106);
        band.setPrefHeight(220);
        lane.setMinHeight(Region.USE_PREF_SIZE);
        cards.setMinHeight(70);
        cards.setPrefHeight(78);
        neck.setMinHeight(108);
        neck.setPrefHeight(158);
        VBox voicings = new VBox(families, cards, neck);
        voicings.getStyleClass().add("voicings");
        voicings.setMinWidth(0);
        VBox.setVgrow(neck, Priority.ALWAYS);
        HBox.setHgrow(voicings, Priority.ALWAYS);
        figures.setPrefWidth(350);
        figures.setMinWidth(300);
        figures.setMinHeight(100);
        figures.setPrefHeight(100);
        HBox lower = new HBox(voicings, figures);
        lower.getStyleClass().add("lower");
        getChildren().addAll(overview, band, lane, lower);
    }

    /** Readout and neck get their share of a frame of this size. */
    public void fit(double width, double height) {
        boolean wide = width >= WIDE;
        this.width = width;
        this.height = height;
        boolean high = height >= (lane.besideShown() ? BOTH : HIGH);
        boolean onNeck = model.whereabouts().place() == WritePlace.NECK;
        shown(figures, wide);
        shown(neck, high || onNeck);
        shown(cards, high || !onNeck);
        lane.gap(LaneGeometry.GAP + (height - ROOMY) / 50);
        figures.setPrefWidth(Math.max(310, Math.min(460, width * 0.27)));
        neck.setPrefHeight(Math.max(110, Math.min(230, height * 0.19)));
    }

    private void refit() {
        if (width > 0) {
            fit(width, height);
        }
    }

    private static void shown(Node node, boolean now) {
        node.setVisible(now);
        node.setManaged(now);
    }

    /** The controls of its places. */
    public Map<Place, Node> places() {
        return Map.of(
                WritePlace.BAND, band,
                WritePlace.LANE, lane,
                WritePlace.TYPING, lane,
                WritePlace.CARDS, cards,
                WritePlace.NECK, neck);
    }

    /** What explains the chord shown. */
    public ReadoutPane readout() {
        return readout;
    }

    /** Where the loop is. */
    public void showNow(boolean playing, double tick) {
        band.showNow(playing, tick);
        lane.showNow(playing, tick);
        overview.showNow(playing, tick);
    }

    /** Gives up what was begun and not taken. */
    public void drop() {
        if (model.shown().draftProperty().get() != null) {
            model.shown().dropDraft();
        }
        model.lane().markProperty().set(java.util.OptionalLong.empty());
        model.chords().markProperty().set(-1);
    }

    private ContextMenu chordMenu() {
        ContextMenu menu = new ContextMenu();
        for (Command c : commands.all()) {
            boolean walks = c.id().startsWith("chord-before") || c.id().startsWith("chord-next");
            boolean ofChords = c.places().contains(WritePlace.BAND) && c.label().isPresent();
            if (ofChords && !walks && !c.keys().isEmpty()) {
                menu.getItems().add(commands.item(c.id()));
            }
        }
        return menu;
    }
}
