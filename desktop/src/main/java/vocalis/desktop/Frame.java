package vocalis.desktop;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Supplier;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.Scene;
import javafx.scene.control.Label;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import vocalis.desktop.arrange.ArrangeCommands;
import vocalis.desktop.arrange.ArrangePane;
import vocalis.desktop.arrange.ArrangePlace;
import vocalis.desktop.keys.Commands;
import vocalis.desktop.keys.Keyboard;
import vocalis.desktop.practise.PractiseCommands;
import vocalis.desktop.practise.PractisePane;
import vocalis.desktop.practise.PractisePlace;
import vocalis.desktop.revoice.BlindSheet;
import vocalis.desktop.revoice.RevoiceCommands;
import vocalis.desktop.revoice.RevoicePane;
import vocalis.desktop.revoice.RevoicePlace;
import vocalis.desktop.session.OpenDocument;
import vocalis.desktop.session.Place;
import vocalis.desktop.session.Screen;
import vocalis.desktop.session.Whereabouts;
import vocalis.desktop.sheets.AlongSheet;
import vocalis.desktop.sheets.ExplainSheet;
import vocalis.desktop.sheets.ListenSheets;
import vocalis.desktop.sheets.OutputSheet;
import vocalis.desktop.sheets.ToneSheet;
import vocalis.desktop.view.SheetHost;
import vocalis.desktop.write.GroundBar;
import vocalis.desktop.write.Transport;
import vocalis.desktop.write.WritePane;
import vocalis.desktop.writing.WritePlace;
import vocalis.workbench.library.Library;
import vocalis.workbench.library.OwnFigures;

/** What stands around the screens: ground and transport above, the status line below. */
final class Frame extends BorderPane {

    /** A screen as it is drawn: its node, and what follows the player on it. */
    private record Shown(Screen screen, Node node, Transport.Follower follower) {}

    private final Models models;
    private final OpenDocument session;
    private final Whereabouts whereabouts;
    private final Commands commands;
    private final Supplier<SheetHost> host;
    private final GroundBar ground;
    private final Transport transport;
    private final WritePane write;
    private final List<Shown> screens = new ArrayList<>();
    private final Map<Place, Node> places = new HashMap<>();
    private final Label status = new Label();
    private final Label message = new Label();

    /**
     * @param library where riffs lie that can be brought into a song
     * @param commands takes what the screens do
     * @param host shows their sheets, when it is there
     */
    Frame(
            Models models,
            Library library,
            OwnFigures ownFigures,
            Commands commands,
            Supplier<SheetHost> host) {
        this.models = models;
        this.commands = commands;
        this.host = host;
        session = models.session();
        whereabouts = models.whereabouts();
        getStyleClass().add("write");
        ground = new GroundBar(session, this::along);
        transport = new Transport(session, whereabouts, this::output, List.of(this::showNow));
        FrameCommands.addTo(commands, session, whereabouts, this);
        write = new WritePane(models.write(), ownFigures, commands, host, this::go);
        screens.add(new Shown(models.write(), write, write::showNow));
        places.putAll(write.places());
        addRevoice();
        addArrange(library);
        addPractise();
        FrameCommands.ofSong(commands, this);
        setTop(top());
        StackPane stack = new StackPane();
        screens.forEach(s -> stack.getChildren().add(s.node()));
        setCenter(stack);
        setBottom(statusLine());
        whereabouts.screenProperty().addListener(o -> showScreen());
        whereabouts.placeProperty().addListener(o -> focusPlace());
        session.saidProperty().addListener(o -> message.setText(session.saidProperty().get()));
        places.forEach(this::follow);
        widthProperty().addListener(o -> write.fit(getWidth(), getHeight()));
        heightProperty().addListener(o -> write.fit(getWidth(), getHeight()));
        showScreen();
        showStatus();
    }

    private void addRevoice() {
        RevoicePane pane = new RevoicePane(session, models.revoice());
        screens.add(new Shown(models.revoice(), pane, pane.grid()::showNow));
        places.put(RevoicePlace.GRID, pane.grid());
        RevoiceCommands.addTo(
                commands,
                models.revoice(),
                () -> {
                    models.revoice().columnProperty().set(session.caret().chord());
                    toggle(RevoicePlace.GRID);
                },
                () -> BlindSheet.show(session, models.revoice(), models.hearing(), host.get()));
    }

    private void addArrange(Library library) {
        ArrangePane pane = new ArrangePane(session, models.arrange());
        screens.add(new Shown(models.arrange(), pane, pane::showNow));
        places.put(ArrangePlace.STRIP, pane.strip());
        ArrangeCommands.addTo(
                commands,
                models.arrange(),
                new ArrangeActions(models, library, host, this::go, this::toggle));
    }

    private void addPractise() {
        PractisePane pane = new PractisePane(models.practice());
        screens.add(new Shown(models.practice(), pane, pane::showNow));
        places.put(PractisePlace.PAGE, pane.page());
        PractiseCommands.addTo(commands, models.practice(), () -> toggle(PractisePlace.PAGE), host);
    }

    /** Where the player is, for the screen that shows it. */
    private void showNow(boolean playing, double tick) {
        Screen open = whereabouts.screen();
        for (Shown s : screens) {
            boolean here = s.screen().ofSong() ? s.screen() == open : !open.ofSong();
            s.follower().now(playing && here, here ? tick : 0);
        }
    }

    private void showScreen() {
        screens.forEach(s -> s.node().setVisible(s.screen() == whereabouts.screen()));
    }

    private Node top() {
        HBox.setHgrow(ground, Priority.ALWAYS);
        HBox bar = new HBox(ground, transport);
        bar.getStyleClass().add("ground-row");
        return bar;
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

    /** A place has the keys when its control has; writing goes on in the lane. */
    private void follow(Place place, Node node) {
        if (place == WritePlace.TYPING) {
            return;
        }
        node.focusedProperty()
                .addListener(
                        o -> {
                            boolean typing =
                                    place == WritePlace.LANE
                                            && whereabouts.place() == WritePlace.TYPING;
                            if (node.isFocused() && !typing) {
                                whereabouts.placeProperty().set(place);
                            }
                        });
    }

    /** Tells the keyboard which controls are places; the ground's fields count as one. */
    void install(Scene scene, Keyboard keyboard) {
        places.forEach(
                (place, node) -> {
                    if (place != WritePlace.TYPING) {
                        keyboard.place(node, place);
                    }
                });
        FrameCommands.holds(keyboard, whereabouts);
        models.holds(keyboard);
        scene.focusOwnerProperty()
                .addListener(
                        (o, was, is) -> {
                            for (Node n = is; n != null; n = n.getParent()) {
                                if (n == ground || n == transport) {
                                    whereabouts.placeProperty().set(Whereabouts.Around.GROUND);
                                }
                            }
                        });
    }

    /**
     * Every key takes away what the one before it said. Before the keys are answered, or a key's
     * own answer would be taken away too.
     */
    void listen(Scene scene) {
        scene.addEventFilter(
                KeyEvent.KEY_PRESSED,
                e -> {
                    if (!e.getCode().isModifierKey()) {
                        session.say("");
                        transport.wake();
                    }
                });
    }

    /** Puts the keys on a place, also when the caret was there and a field had the keys. */
    private void go(Place place) {
        whereabouts.placeProperty().set(place);
        focusPlace();
    }

    /** Goes to a screen by its place, and from there back to the chords. */
    private void toggle(Place place) {
        go(whereabouts.place() == place ? WritePlace.BAND : place);
    }

    private void focusPlace() {
        session.workspace().seal();
        showStatus();
        Node target = places.get(whereabouts.place());
        if (target != null) {
            target.requestFocus();
        } else if (places.values().stream().anyMatch(Node::isFocused)) {
            ground.focusFirst();
        }
    }

    private void showStatus() {
        status.setText(commands.status(whereabouts.place()));
    }

    /** Out again, one step after the other, back to the chords. */
    void leave() {
        whereabouts.screen().endHearing();
        write.drop();
        go(whereabouts.place() == WritePlace.TYPING ? WritePlace.LANE : WritePlace.BAND);
    }

    /** The next (last) place of the Write screen. */
    void place(int direction) {
        List<Place> order =
                List.of(
                        WritePlace.BAND,
                        WritePlace.LANE,
                        WritePlace.CARDS,
                        WritePlace.NECK,
                        Whereabouts.Around.GROUND);
        Place now = whereabouts.place();
        int at = order.indexOf(now == WritePlace.TYPING ? WritePlace.LANE : now);
        whereabouts.placeProperty().set(order.get(Math.floorMod(at + direction, order.size())));
    }

    void explain() {
        Node node = places.getOrDefault(whereabouts.place(), getScene().getFocusOwner());
        ExplainSheet.show(host.get(), node, write.readout());
    }

    void tone() {
        ToneSheet.show(session, host.get());
    }

    void along() {
        AlongSheet.show(session, host.get());
    }

    void output() {
        OutputSheet.show(session, models.hearing(), host.get());
    }

    void tune() {
        ListenSheets.tune(models.write(), host.get());
    }

    /** Puts the caret on the chords. */
    void begin() {
        go(WritePlace.BAND);
    }

    /** Volume in decibels. */
    double volume() {
        return transport.volumeProperty().get();
    }

    /** Sets the volume in decibels. */
    void volume(double db) {
        transport.volumeProperty().set(db);
    }

    /** Ends what follows document and engine. */
    void dispose() {
        ground.dispose();
        transport.dispose();
    }
}
