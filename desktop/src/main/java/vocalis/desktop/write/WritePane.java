package vocalis.desktop.write;

import java.util.List;
import java.util.function.Consumer;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.Scene;
import javafx.scene.control.ContextMenu;
import javafx.scene.control.Label;
import javafx.scene.control.MenuItem;
import javafx.scene.control.ScrollPane;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import vocalis.core.hands.IdleFingers;
import vocalis.core.harmony.Readout;
import vocalis.core.voicing.Voicing;

/** The Write screen: ground and transport, voice band, lane, voicings with the neck, readout. */
public final class WritePane extends BorderPane {

    private final WriteModel model;
    private final GroundBar ground;
    private final Transport transport;
    private final VoiceBand band;
    private final Lane lane;
    private final CardRow cards;
    private final Neck neck;
    private final Keys keys;
    private FamilyBar families;
    private final Compare compare;
    private final Label status = new Label();
    private final Label message = new Label();

    public WritePane(WriteModel model) {
        this.model = model;
        getStyleClass().add("write");
        band = new VoiceBand(model);
        band.setId("voice-band");
        lane = new Lane(model);
        lane.setId("lane");
        cards = new CardRow(model);
        cards.setId("cards");
        neck = new Neck(model);
        neck.setId("neck");
        compare = new Compare(model);
        ground = new GroundBar(model, () -> BandSheet.show(model, getScene()));
        transport = new Transport(model, band, lane);
        keys = new Keys(model, new Deeds());
        setTop(top());
        setCenter(middle());
        setBottom(statusLine());
        model.zoneProperty().addListener(o -> focusZone());
        follow(band, Zone.BAND);
        follow(lane, Zone.LANE);
        follow(cards, Zone.CARDS);
        follow(neck, Zone.NECK);
        band.menu(this::chordMenu);
        band.setOnContextMenuRequested(
                e -> {
                    if (e.isKeyboardTrigger()) {
                        band.showMenu(e.getScreenX(), e.getScreenY());
                    }
                });
        showStatus();
    }

    private Node top() {
        HBox.setHgrow(ground, Priority.ALWAYS);
        HBox bar = new HBox(ground, transport);
        bar.getStyleClass().add("ground-row");
        return bar;
    }

    private Node middle() {
        VBox.setVgrow(band, Priority.ALWAYS);
        band.setMinHeight(170);
        band.setPrefHeight(220);
        cards.setMinHeight(78);
        cards.setPrefHeight(78);
        neck.setMinHeight(150);
        neck.setPrefHeight(158);
        families =
                new FamilyBar(
                        model,
                        () -> {
                            model.zoneProperty().set(Zone.CARDS);
                            cards.requestFocus();
                        });
        VBox voicings = new VBox(families, cards, neck);
        voicings.getStyleClass().add("voicings");
        HBox.setHgrow(voicings, Priority.ALWAYS);
        ScrollPane readout = new ReadoutPane(model).scrolling();
        readout.setPrefWidth(350);
        readout.setMinWidth(350);
        readout.setMinHeight(100);
        readout.setPrefHeight(100);
        HBox lower = new HBox(voicings, readout);
        lower.getStyleClass().add("lower");
        return new VBox(band, lane, lower);
    }

    private Node statusLine() {
        status.getStyleClass().add("status");
        status.setId("status");
        message.getStyleClass().add("message");
        message.setId("message");
        Region gap = new Region();
        HBox.setHgrow(gap, Priority.ALWAYS);
        Label constant = new Label("Space play · hold H to hear · F1 all keys");
        constant.getStyleClass().add("status");
        constant.setMinWidth(USE_PREF_SIZE);
        HBox line = new HBox(status, gap, message, constant);
        line.setAlignment(Pos.CENTER_LEFT);
        line.getStyleClass().add("status-line");
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

    /** Watches where the caret goes, so that the ground's fields count as a zone. */
    public void install(Scene scene, Consumer<Keys> more) {
        more.accept(keys);
        keys.install(scene);
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

    Keys keys() {
        return keys;
    }

    private void focusZone() {
        model.workspace().seal();
        showStatus();
        Node target =
                switch (model.zoneProperty().get()) {
                    case BAND -> band;
                    case LANE -> lane;
                    case CARDS -> cards;
                    case NECK -> neck;
                    case GROUND -> null;
                };
        if (target != null) {
            target.requestFocus();
        } else if (band.isFocused() || lane.isFocused() || cards.isFocused() || neck.isFocused()) {
            ground.focusFirst();
        }
    }

    private void showStatus() {
        status.setText(Keys.status(model.zoneProperty().get()));
    }

    /** Esc: ends hearing, gives up a draft, goes back to the chords. */
    private void leave() {
        model.hearing().endHearing();
        if (model.draftProperty().get() != null) {
            model.dropDraft();
        }
        model.zoneProperty().set(Zone.BAND);
        band.requestFocus();
    }

    private final class Deeds implements Keys.Actions {
        @Override
        public void leave() {
            WritePane.this.leave();
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
            idleMenu().show(neck, javafx.geometry.Side.TOP, NeckGeometry.BEFORE_NUT, 0);
        }

        @Override
        public void compare() {
            compare.add(model.shownProperty().get());
            compare.show(getScene());
        }

        @Override
        public void droneMap() {
            Sheets.droneMap(model, getScene());
        }

        @Override
        public void bassSweep() {
            Sheets.bassSweep(model, getScene());
        }

        @Override
        public void embellish() {
            if (lane.getSkin() instanceof LaneSkin skin) {
                skin.embellish();
            }
        }

        @Override
        public void prove() {
            ListenSheets.prove(model, getScene());
        }

        @Override
        public void tone() {
            ToneSheet.show(model, getScene());
        }

        @Override
        public void band() {
            BandSheet.show(model, getScene());
        }

        @Override
        public void output() {
            OutputSheet.show(model, getScene());
        }

        @Override
        public void tune() {
            ListenSheets.tune(model, getScene());
        }

        @Override
        public void modeFinder() {
            Sheets.modeFinder(model, getScene());
        }
    }

    /** What the idle fingers can add, each with what it makes of the chord. */
    private ContextMenu idleMenu() {
        ContextMenu menu = new ContextMenu();
        int strings = model.riff().ground().board().strings();
        for (IdleFingers.Addition a : model.idleFingers()) {
            Voicing v = model.shownProperty().get();
            Voicing with = new Voicing(a.shape(), v.board(), v.root());
            String name = Readout.nameOf(with, model.key()).symbol();
            String[] fingers = {"", "index", "middle", "ring", "little", "thumb"};
            String where =
                    fingers[a.finger()]
                            + " on string "
                            + (strings - a.string())
                            + ", fret "
                            + a.fret();
            MenuItem item = new MenuItem(where + "  →  " + name);
            item.setOnAction(e -> model.take(a.shape()));
            menu.getItems().add(item);
            if (menu.getItems().size() == 18) {
                break;
            }
        }
        if (menu.getItems().isEmpty()) {
            MenuItem none = new MenuItem("No idle finger reaches another note here");
            none.setDisable(true);
            menu.getItems().add(none);
        }
        return menu;
    }

    /** Opens a sheet of the screen; for the menus. */
    public Keys.Binding binding(KeyCode code) {
        return keys.bindings().stream()
                .filter(b -> b.zone() == null && b.code() == code && !b.ctrl() && !b.shift())
                .findFirst()
                .orElseThrow();
    }

    /** Says something short at the foot of the window. */
    public void say(String text) {
        message.setText(text);
    }

    /** Puts the caret on the chords. */
    public void begin() {
        band.requestFocus();
    }

    public void dispose() {
        model.gain().close();
        transport.dispose();
    }

    private ContextMenu chordMenu() {
        ContextMenu menu = new ContextMenu();
        for (Keys.Binding b : keys.bindings()) {
            boolean mainKey = b.zone() == Zone.BAND && !b.does().isEmpty();
            if (mainKey && !List.of(KeyCode.LEFT, KeyCode.RIGHT).contains(b.code())
                    || mainKey && (b.shift() || b.alt())) {
                MenuItem item = new MenuItem(capital(b.does()) + "\t" + b.keys());
                item.setOnAction(e -> b.action().run());
                menu.getItems().add(item);
            }
        }
        return menu;
    }

    private static String capital(String s) {
        return Character.toUpperCase(s.charAt(0)) + s.substring(1);
    }
}
