package vocalis.desktop;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;
import java.util.function.Supplier;
import javafx.scene.Node;
import javafx.scene.Scene;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import vocalis.desktop.arrange.ArrangeCommands;
import vocalis.desktop.arrange.ArrangePane;
import vocalis.desktop.arrange.ArrangePlace;
import vocalis.desktop.begin.BeginDesk;
import vocalis.desktop.begin.BeginModel;
import vocalis.desktop.begin.BeginPane;
import vocalis.desktop.begin.NextStep;
import vocalis.desktop.ear.EarCommand;
import vocalis.desktop.frame.StatusLine;
import vocalis.desktop.keys.ActionStrip;
import vocalis.desktop.keys.CommandSearch;
import vocalis.desktop.keys.Commands;
import vocalis.desktop.keys.Finding;
import vocalis.desktop.keys.Keyboard;
import vocalis.desktop.listening.ListeningCommands;
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
import vocalis.desktop.sheets.ExplainSheet;
import vocalis.desktop.sounding.AlongSheet;
import vocalis.desktop.sounding.OutputSheet;
import vocalis.desktop.view.Sheets;
import vocalis.desktop.write.GroundBar;
import vocalis.desktop.write.Transport;
import vocalis.desktop.write.WritePane;
import vocalis.desktop.writing.WritePlace;
import vocalis.workbench.library.Library;
import vocalis.workbench.library.OwnFigures;

/** What stands around the screens: ground and transport above, the status line below. */
final class Frame extends BorderPane implements FrameCommands.Around {

    /** A screen as it is drawn: its node, and what follows the player on it. */
    private record Shown(Screen screen, Node node, Transport.Follower follower) {}

    private final Models models;
    private final OpenDocument session;
    private final Whereabouts whereabouts;
    private final Commands commands;
    private final Finding finding;
    private final BeginModel beginning;
    private final BeginPane beginPane;
    private final Supplier<Sheets> host;
    private final GroundBar ground;
    private final Transport transport;
    private final WritePane write;
    private final List<Shown> screens = new ArrayList<>();
    private final Map<Place, Node> places = new HashMap<>();
    private final StackPane stack = new StackPane();
    private final ActionStrip strip;
    private final StatusLine status;

    /**
     * @param library where riffs lie that can be brought into a song
     * @param commands takes what the screens do
     * @param search finds what they do
     * @param host shows their sheets, when it is there
     * @param others finds riffs that can be gone on with instead of beginning one
     */
    Frame(
            Models models,
            Library library,
            OwnFigures ownFigures,
            Commands commands,
            CommandSearch search,
            Supplier<Sheets> host,
            Consumer<Consumer<List<BeginPane.Riffs>>> others) {
        this.models = models;
        this.commands = commands;
        this.host = host;
        session = models.session();
        whereabouts = models.whereabouts();
        beginning = new BeginModel(session);
        finding = new Finding(commands, search, session, whereabouts, host, this::lead);
        getStyleClass().add("write");
        ground = new GroundBar(session, this::along);
        transport = new Transport(session, whereabouts, this::output, List.of(this::showNow));
        FrameCommands.addTo(commands, models, host, this);
        write = new WritePane(models.write(), ownFigures, commands, host, this::go);
        screens.add(new Shown(models.write(), write, write::showNow));
        places.putAll(write.places());
        addRevoice();
        addArrange(library);
        addPractise(library);
        strip = new ActionStrip(commands, finding, finding::asked);
        setTop(top());
        beginPane =
                new BeginPane(
                        session,
                        beginning,
                        new BeginDesk(models.write(), host, this::go, finding::run, others));
        setCenter(stack);
        NextStep next = new NextStep(beginning, x -> finding.run(x.command()));
        status = new StatusLine(session.saidProperty(), next);
        setBottom(new VBox(strip, status));
        followAll();
        showScreen();
        showStatus();
    }

    private void followAll() {
        whereabouts.screenProperty().addListener(o -> showScreen());
        whereabouts.placeProperty().addListener(o -> focusPlace());
        whereabouts.placeProperty().addListener(o -> write.fit(getWidth(), getHeight()));
        places.forEach(this::follow);
        widthProperty().addListener(o -> write.fit(getWidth(), getHeight()));
        heightProperty().addListener(o -> write.fit(getWidth(), getHeight()));
        beginning.openProperty().addListener(o -> showScreen());
    }

    private void addRevoice() {
        RevoicePane pane = new RevoicePane(session, models.revoice());
        screens.add(new Shown(models.revoice(), pane, pane.grid()::showNow));
        places.put(RevoicePlace.GRID, pane.grid());
        RevoiceCommands.addTo(
                commands,
                models.revoice(),
                () -> {
                    if (whereabouts.place() != RevoicePlace.GRID) {
                        models.revoice().columnProperty().set(session.caret().chord());
                    }
                    go(RevoicePlace.GRID);
                },
                () -> BlindSheet.show(session, models.revoice(), models.hearing(), host.get()));
    }

    private void addArrange(Library library) {
        ArrangeActions actions = new ArrangeActions(models, library, host, this::go);
        ArrangePane pane = new ArrangePane(session, models.arrange(), actions::editField);
        screens.add(new Shown(models.arrange(), pane, pane::showNow));
        places.put(ArrangePlace.STRIP, pane.strip());
        ArrangeCommands.addTo(commands, models.arrange(), actions);
    }

    private void addPractise(Library library) {
        PractisePane pane = new PractisePane(models.practice());
        screens.add(new Shown(models.practice(), pane, pane::showNow));
        places.put(PractisePlace.PAGE, pane.page());
        PractiseCommands.addTo(commands, models.practice(), () -> go(PractisePlace.PAGE), host);
        ListeningCommands.along(commands, models.practice(), models.following());
        var diary = models.practice().diary();
        EarCommand.add(commands, session, diary, library, models.hearing(), host);
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
        screens.forEach(s -> show(s.node(), s.screen() == whereabouts.screen()));
        show(beginPane, beginning());
        strip.setVisible(!beginning());
        showStatus();
    }

    /**
     * What was never looked at is not in the window: it would be styled before the first picture.
     */
    private void show(Node node, boolean seen) {
        node.setVisible(seen);
        if (seen && node.getParent() == null) {
            stack.getChildren().add(node);
        }
    }

    /** Whether the place to begin is in sight. */
    private boolean beginning() {
        return beginning.openProperty().get() && whereabouts.screen() == models.write();
    }

    /** A document was opened: an empty one begins at the beginning. */
    void opened() {
        beginning.opened();
    }

    /** Opens the place to begin, over what is written. */
    @Override
    public void callBegin() {
        go(WritePlace.BAND);
        beginning.call();
    }

    private Node top() {
        HBox.setHgrow(ground, Priority.ALWAYS);
        HBox bar = new HBox(ground, transport);
        bar.getStyleClass().add("ground-row");
        return bar;
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
        scene.addEventHandler(KeyEvent.KEY_RELEASED, e -> tell());
        scene.addEventHandler(MouseEvent.MOUSE_RELEASED, e -> tell());
        models.write().derivedProperty().addListener(o -> tell());
        session.caret().tickProperty().addListener(o -> tell());
    }

    /** The strip shows what is on under the caret, and the place says what it is on. */
    private void tell() {
        strip.refresh();
        Place place = whereabouts.place();
        Node node = places.get(place);
        if (node != null && whereabouts.screen().has(place)) {
            node.setAccessibleText(place.words() + ": " + whereabouts.screen().spoken(place));
        }
    }

    /** Puts the keys on a place, also when the caret was there and a field had the keys. */
    @Override
    public void go(Place place) {
        whereabouts.placeProperty().set(place);
        focusPlace();
    }

    /** Puts the keys on a place that a command works in; writing begins where it is one. */
    @Override
    public void lead(Place place) {
        if (beginning()) {
            beginning.leave();
        }
        if (place == WritePlace.TYPING) {
            models.write().typing().begin();
        } else {
            go(place);
        }
    }

    /** The search over every command, and what asks for them. */
    @Override
    public Finding finding() {
        return finding;
    }

    /** To the first field of the ground. */
    @Override
    public void toGround() {
        ground.focusFirst();
    }

    private void focusPlace() {
        session.workspace().seal();
        showStatus();
        if (beginning()) {
            beginPane.focusFirst();
            return;
        }
        Node target = places.get(whereabouts.place());
        if (target != null) {
            target.requestFocus();
        } else if (places.values().stream().anyMatch(Node::isFocused)) {
            ground.focusFirst();
        }
    }

    private void showStatus() {
        status.keys(
                beginning()
                        ? "Tab goes on to the next way in · Esc: four plain bars"
                        : commands.status(whereabouts.place()));
        strip.show(whereabouts.place());
        tell();
    }

    /** Out again, one step after the other, back to the chords. */
    @Override
    public void leave() {
        whereabouts.screen().endHearing();
        if (beginning()) {
            beginning.leave();
            return;
        }
        write.drop();
        go(whereabouts.place() == WritePlace.TYPING ? WritePlace.LANE : WritePlace.BAND);
    }

    /** The next (last) place of the Write screen. */
    @Override
    public void place(int direction) {
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

    @Override
    public void explain() {
        Node node = places.getOrDefault(whereabouts.place(), getScene().getFocusOwner());
        ExplainSheet.show(host.get(), node, write.readout());
    }

    private void along() {
        AlongSheet.show(session, host.get());
    }

    private void output() {
        OutputSheet.show(session, models.hearing(), host.get());
    }

    double volume() {
        return transport.volumeProperty().get();
    }

    void volume(double decibels) {
        transport.volumeProperty().set(decibels);
    }

    /** Ends what follows document and engine. */
    void dispose() {
        ground.dispose();
        transport.dispose();
    }
}
