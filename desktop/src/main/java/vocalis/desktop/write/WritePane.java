package vocalis.desktop.write;

import java.util.List;
import java.util.function.Supplier;
import javafx.geometry.Pos;
import javafx.geometry.Side;
import javafx.scene.Node;
import javafx.scene.Scene;
import javafx.scene.control.ContextMenu;
import javafx.scene.control.Label;
import javafx.scene.control.MenuItem;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import vocalis.core.choice.Filter;
import vocalis.core.hands.IdleFingers;
import vocalis.core.names.Readout;
import vocalis.core.voicing.Family;
import vocalis.core.voicing.Voicing;
import vocalis.desktop.arrange.ArrangePane;
import vocalis.desktop.band.VoiceBand;
import vocalis.desktop.cards.CardRow;
import vocalis.desktop.cards.FamilyBar;
import vocalis.desktop.keys.Command;
import vocalis.desktop.keys.Commands;
import vocalis.desktop.keys.Keyboard;
import vocalis.desktop.keys.SongCommands;
import vocalis.desktop.keys.WriteCommands;
import vocalis.desktop.lane.Lane;
import vocalis.desktop.lane.Overview;
import vocalis.desktop.model.WriteModel;
import vocalis.desktop.model.Zone;
import vocalis.desktop.neck.Neck;
import vocalis.desktop.neck.NeckGeometry;
import vocalis.desktop.practise.PractisePane;
import vocalis.desktop.readout.ReadoutPane;
import vocalis.desktop.revoice.RevoicePane;
import vocalis.desktop.sheets.AlongSheet;
import vocalis.desktop.sheets.BlindSheet;
import vocalis.desktop.sheets.Compare;
import vocalis.desktop.sheets.ExplainSheet;
import vocalis.desktop.sheets.FigureSheets;
import vocalis.desktop.sheets.FindingsSheet;
import vocalis.desktop.sheets.ListenSheets;
import vocalis.desktop.sheets.OutputSheet;
import vocalis.desktop.sheets.Sheets;
import vocalis.desktop.sheets.ToneSheet;
import vocalis.desktop.sheets.WritingSheets;
import vocalis.desktop.view.SheetHost;

/** The Write screen: ground and transport, voice band, lane, voicings with the neck, readout. */
public final class WritePane extends BorderPane {

    private static final int MOST_IDLE = 18;
    private static final String[] FINGERS = {"", "index", "middle", "ring", "little", "thumb"};

    private final WriteModel model;
    private final Commands commands;
    private final Supplier<SheetHost> host;
    private final GroundBar ground;
    private final Transport transport;
    private final VoiceBand band;
    private final Overview overview;
    private final Lane lane;
    private final CardRow cards;
    private final Neck neck;
    private final RevoicePane revoice;
    private final ArrangePane arrange;
    private final PractisePane practise;
    private final ReadoutPane readout;
    private final Compare compare;
    private final FamilyBar families;
    private final Label status = new Label();
    private final Label message = new Label();

    /**
     * @param commands takes what the screen does
     * @param host shows its sheets, when it is there
     */
    public WritePane(WriteModel model, Commands commands, Supplier<SheetHost> host) {
        this.model = model;
        this.commands = commands;
        this.host = host;
        getStyleClass().add("write");
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
        revoice = new RevoicePane(model);
        arrange = new ArrangePane(model);
        practise = new PractisePane(model);
        readout = new ReadoutPane(model);
        compare = new Compare(model);
        families = new FamilyBar(model, () -> go(Zone.CARDS));
        ground = new GroundBar(model, () -> AlongSheet.show(model, host()));
        transport =
                new Transport(model, () -> OutputSheet.show(model, host()), List.of(this::showNow));
        WriteCommands.addTo(commands, model, new Deeds());
        SongCommands.addTo(commands, model, new SongDeeds(model, host, this::go));
        setTop(top());
        setCenter(middle());
        setBottom(statusLine());
        model.zoneProperty().addListener(o -> focusZone());
        model.saidProperty().addListener(o -> message.setText(model.saidProperty().get()));
        follow(band, Zone.BAND);
        lane.focusedProperty()
                .addListener(
                        o -> {
                            if (lane.isFocused() && model.zoneProperty().get() != Zone.TYPING) {
                                model.zoneProperty().set(Zone.LANE);
                            }
                        });
        follow(cards, Zone.CARDS);
        follow(neck, Zone.NECK);
        follow(revoice.grid(), Zone.REVOICE);
        follow(arrange.strip(), Zone.ARRANGE);
        follow(practise.page(), Zone.PRACTISE);
        band.menu(this::chordMenu);
        band.setOnContextMenuRequested(
                e -> {
                    if (e.isKeyboardTrigger()) {
                        band.showMenu(e.getScreenX(), e.getScreenY());
                    }
                });
        showStatus();
    }

    private SheetHost host() {
        return host.get();
    }

    /** Where the player is, for the screen that shows it. */
    private void showNow(boolean playing, double tick) {
        Zone zone = model.screen();
        boolean riff = playing && !model.ofSong();
        double at = model.ofSong() ? 0 : tick;
        band.showNow(riff, at);
        lane.showNow(riff, at);
        overview.showNow(riff, at);
        revoice.grid().showNow(riff, at);
        arrange.showNow(playing && zone == Zone.ARRANGE, tick);
        practise.showNow(playing && zone == Zone.PRACTISE, tick);
    }

    private Node top() {
        HBox.setHgrow(ground, Priority.ALWAYS);
        HBox bar = new HBox(ground, transport);
        bar.getStyleClass().add("ground-row");
        return bar;
    }

    private Node middle() {
        VBox.setVgrow(band, Priority.ALWAYS);
        band.setMinHeight(112);
        band.setPrefHeight(220);
        lane.setMinHeight(Region.USE_PREF_SIZE);
        cards.setMinHeight(70);
        cards.setPrefHeight(78);
        neck.setMinHeight(118);
        neck.setPrefHeight(158);
        VBox voicings = new VBox(families, cards, neck);
        voicings.getStyleClass().add("voicings");
        voicings.setMinWidth(0);
        VBox.setVgrow(neck, Priority.ALWAYS);
        HBox.setHgrow(voicings, Priority.ALWAYS);
        ScrollPane figures = readout.scrolling();
        figures.setPrefWidth(350);
        figures.setMinWidth(300);
        figures.setMinHeight(100);
        figures.setPrefHeight(100);
        HBox lower = new HBox(voicings, figures);
        lower.getStyleClass().add("lower");
        widthProperty()
                .addListener(
                        o -> figures.setPrefWidth(Math.max(310, Math.min(460, getWidth() * 0.27))));
        heightProperty()
                .addListener(
                        o -> neck.setPrefHeight(Math.max(124, Math.min(230, getHeight() * 0.2))));
        VBox writing = new VBox(overview, band, lane, lower);
        model.zoneProperty()
                .addListener(
                        o -> {
                            Zone now = model.zoneProperty().get();
                            if (now != Zone.GROUND) {
                                boolean song = now == Zone.ARRANGE || now == Zone.PRACTISE;
                                writing.setVisible(now != Zone.REVOICE && !song);
                                revoice.setVisible(now == Zone.REVOICE);
                                arrange.setVisible(now == Zone.ARRANGE);
                                practise.setVisible(now == Zone.PRACTISE);
                            }
                        });
        for (Node other : List.of(revoice, arrange, practise)) {
            other.setVisible(false);
        }
        return new javafx.scene.layout.StackPane(writing, revoice, arrange, practise);
    }

    private Node statusLine() {
        status.getStyleClass().add("status");
        status.setId("status");
        message.getStyleClass().add("message");
        message.setId("message");
        Region gap = new Region();
        HBox.setHgrow(gap, Priority.ALWAYS);
        Label constant =
                new Label("Space play · F12 revoice, Shift arrange, Ctrl practise · F1 help");
        constant.getStyleClass().add("status");
        constant.setMinWidth(USE_PREF_SIZE);
        HBox line = new HBox(status, message, gap, constant);
        line.setAlignment(Pos.CENTER_LEFT);
        line.getStyleClass().add("status-line");
        message.textProperty()
                .addListener(
                        o -> {
                            boolean said = !message.getText().isEmpty();
                            status.setVisible(!said);
                            status.setManaged(!said);
                        });
        return line;
    }

    private void follow(Node node, Zone zone) {
        node.focusedProperty()
                .addListener(
                        o -> {
                            if (node.isFocused()) {
                                model.zoneProperty().set(zone);
                            }
                        });
    }

    /** Tells the keyboard which controls are places; the ground's fields count as one. */
    public void install(Scene scene, Keyboard keyboard) {
        keyboard.place(band, Zone.BAND);
        keyboard.place(lane, Zone.LANE);
        keyboard.place(cards, Zone.CARDS);
        keyboard.place(neck, Zone.NECK);
        keyboard.place(revoice.grid(), Zone.REVOICE);
        keyboard.place(arrange.strip(), Zone.ARRANGE);
        keyboard.place(practise.page(), Zone.PRACTISE);
        WriteCommands.holds(keyboard, model);
        SongCommands.holds(keyboard, model);
        scene.focusOwnerProperty()
                .addListener(
                        (o, was, is) -> {
                            for (Node n = is; n != null; n = n.getParent()) {
                                if (n == ground || n == transport) {
                                    model.zoneProperty().set(Zone.GROUND);
                                }
                            }
                        });
    }

    /**
     * Every key takes away what the one before it said. Before the keys are answered, or a key's
     * own answer would be taken away too.
     */
    public void listen(Scene scene) {
        scene.addEventFilter(
                javafx.scene.input.KeyEvent.KEY_PRESSED,
                e -> {
                    if (!e.getCode().isModifierKey()) {
                        model.say("");
                        transport.wake();
                    }
                });
    }

    /** Puts the keys on a place, also when the caret was there and a field had the keys. */
    private void go(Zone zone) {
        model.zoneProperty().set(zone);
        focusZone();
    }

    private void focusZone() {
        model.workspace().seal();
        showStatus();
        Node target =
                switch (model.zoneProperty().get()) {
                    case BAND -> band;
                    case LANE, TYPING -> lane;
                    case CARDS -> cards;
                    case NECK -> neck;
                    case REVOICE -> revoice.grid();
                    case ARRANGE -> arrange.strip();
                    case PRACTISE -> practise.page();
                    case GROUND -> null;
                };
        if (target != null) {
            target.requestFocus();
        } else if (band.isFocused() || lane.isFocused() || cards.isFocused() || neck.isFocused()) {
            ground.focusFirst();
        }
    }

    private void showStatus() {
        status.setText(commands.status(model.zoneProperty().get()));
    }

    /** The control of the place where the caret is. */
    private Node placeNode() {
        return switch (model.zoneProperty().get()) {
            case BAND -> band;
            case LANE, TYPING -> lane;
            case CARDS -> cards;
            case NECK -> neck;
            case REVOICE -> revoice.grid();
            case ARRANGE -> arrange.strip();
            case PRACTISE -> practise.page();
            case GROUND -> getScene().getFocusOwner();
        };
    }

    private final class Deeds implements WriteCommands.Screen {
        @Override
        public void leave() {
            model.hearing().endHearing();
            if (model.draftProperty().get() != null) {
                model.dropDraft();
            }
            model.lane().markProperty().set(java.util.OptionalLong.empty());
            model.chords().markProperty().set(-1);
            go(model.zoneProperty().get() == Zone.TYPING ? Zone.LANE : Zone.BAND);
        }

        @Override
        public void find() {
            families.focusFind();
        }

        @Override
        public void filter() {
            families.showFilters();
        }

        @Override
        public void keepShape() {
            families.keepShown();
        }

        @Override
        public void ownShapes() {
            families.browseOwn();
        }

        @Override
        public void idleFingers() {
            idleMenu().show(neck, Side.TOP, NeckGeometry.BEFORE_NUT, 0);
        }

        @Override
        public void compare() {
            compare.show(host());
        }

        @Override
        public void droneMap() {
            Sheets.droneMap(model, host());
        }

        @Override
        public void series() {
            Sheets.series(model, host());
        }

        @Override
        public void dark() {
            var filter = model.offer().filterProperty();
            boolean on = filter.get().colour() == Filter.Colour.DARK;
            model.familyProperty().set(Family.EXTENDED);
            filter.set(filter.get().with(on ? Filter.Colour.ANY : Filter.Colour.DARK));
        }

        @Override
        public void bassSweep() {
            Sheets.bassSweep(model, host());
        }

        @Override
        public void embellish() {
            lane.embellish();
        }

        @Override
        public void prove() {
            ListenSheets.prove(model, host());
        }

        @Override
        public void tone() {
            ToneSheet.show(model, host());
        }

        @Override
        public void along() {
            AlongSheet.show(model, host());
        }

        @Override
        public void output() {
            OutputSheet.show(model, host());
        }

        @Override
        public void tune() {
            ListenSheets.tune(model, host());
        }

        @Override
        public void modeFinder() {
            Sheets.modeFinder(model, host());
        }

        @Override
        public void explain() {
            ExplainSheet.show(host(), placeNode(), readout);
        }

        @Override
        public void findings() {
            FindingsSheet.show(model, host());
        }

        @Override
        public void roots() {
            WritingSheets.roots(model, host());
        }

        @Override
        public void nextRoot() {
            WritingSheets.next(model, host());
        }

        @Override
        public void variations() {
            WritingSheets.variations(model, host());
        }

        @Override
        public void versions() {
            WritingSheets.versions(model, host());
        }

        @Override
        public void keepVersion() {
            WritingSheets.keep(model);
        }

        @Override
        public void ways() {
            WritingSheets.ways(model, host());
        }

        @Override
        public void figures() {
            FigureSheets.book(model, host());
        }

        @Override
        public void tapFigure() {
            FigureSheets.tap(model, host());
        }

        @Override
        public void revoice() {
            boolean there = model.zoneProperty().get() == Zone.REVOICE;
            if (!there) {
                model.revoice().columnProperty().set(model.chordProperty().get());
                model.revoice().refresh();
            }
            go(there ? Zone.BAND : Zone.REVOICE);
        }

        @Override
        public void blind() {
            BlindSheet.show(model, host());
        }

        @Override
        public void keepNamed() {
            WritingSheets.keepNamed(model, host());
        }

        @Override
        public void check() {
            WritingSheets.check(model, host());
        }

        @Override
        public void place(int direction) {
            Zone[] order = {Zone.BAND, Zone.LANE, Zone.CARDS, Zone.NECK, Zone.GROUND};
            Zone zone = model.zoneProperty().get();
            int now = List.of(order).indexOf(zone == Zone.TYPING ? Zone.LANE : zone);
            model.zoneProperty().set(order[Math.floorMod(now + direction, order.length)]);
        }
    }

    /** What the idle fingers can add, each with what it makes of the chord. */
    private ContextMenu idleMenu() {
        ContextMenu menu = new ContextMenu();
        int strings = model.riff().ground().board().strings();
        List<IdleFingers.Addition> all = model.idleFingers();
        for (IdleFingers.Addition a : all.subList(0, Math.min(MOST_IDLE, all.size()))) {
            Voicing v = model.shownProperty().get();
            Voicing with = new Voicing(a.shape(), v.board(), v.root());
            String name = Readout.nameOf(with, model.key()).symbol();
            String where =
                    FINGERS[a.finger()]
                            + " on string "
                            + (strings - a.string())
                            + ", fret "
                            + a.fret();
            MenuItem item = new MenuItem(where + "  →  " + name);
            item.setOnAction(e -> model.take(a.shape()));
            menu.getItems().add(item);
        }
        if (menu.getItems().isEmpty()) {
            MenuItem none = new MenuItem("No idle finger reaches another note here");
            none.setDisable(true);
            menu.getItems().add(none);
        }
        return menu;
    }

    /** Puts the caret on the chords. */
    public void begin() {
        go(Zone.BAND);
    }

    /** Volume in decibels. */
    public double volume() {
        return transport.volumeProperty().get();
    }

    /** Sets the volume in decibels. */
    public void volume(double db) {
        transport.volumeProperty().set(db);
    }

    /** Ends what follows document and engine. */
    public void dispose() {
        ground.dispose();
        transport.dispose();
    }

    private ContextMenu chordMenu() {
        ContextMenu menu = new ContextMenu();
        for (Command c : commands.all()) {
            boolean walks = c.id().startsWith("chord-before") || c.id().startsWith("chord-next");
            boolean ofChords = c.zones().contains(Zone.BAND) && !c.words().isEmpty();
            if (ofChords && !walks && !c.keys().isEmpty()) {
                menu.getItems().add(commands.item(c.id()));
            }
        }
        return menu;
    }
}
