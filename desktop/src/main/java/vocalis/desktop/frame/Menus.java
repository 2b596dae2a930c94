package vocalis.desktop.frame;

import javafx.scene.control.Menu;
import javafx.scene.control.MenuBar;
import javafx.scene.control.MenuItem;
import javafx.scene.control.SeparatorMenuItem;
import javafx.scene.layout.Region;
import vocalis.core.hands.Hand;
import vocalis.core.piece.Piece;
import vocalis.core.rhythm.Meter;
import vocalis.core.rhythm.Ticks;
import vocalis.desktop.desks.FileDesk;
import vocalis.desktop.explore.Explore;
import vocalis.desktop.keys.Commands;
import vocalis.desktop.session.Place;
import vocalis.desktop.session.Session;
import vocalis.desktop.session.Whereabouts;
import vocalis.desktop.writing.WritePlace;
import vocalis.workbench.demo.Demo;
import vocalis.workbench.document.Edits;
import vocalis.workbench.document.Workspace;

/** The menus: commands by theme, and what is set seldom. */
public final class Menus {

    private final MenuBar bar = new MenuBar();
    private final MenuItem undo = new MenuItem();
    private final MenuItem redo = new MenuItem();
    private final Commands commands;
    private final Session session;
    private final Whereabouts whereabouts;
    private final Workspace workspace;
    private final FileDesk desk;
    private final Runnable close;

    /**
     * @param close closes the window, when that may be
     */
    public Menus(
            Commands commands,
            Session session,
            Whereabouts whereabouts,
            FileDesk desk,
            Runnable close) {
        this.commands = commands;
        this.session = session;
        this.whereabouts = whereabouts;
        this.workspace = session.workspace();
        this.desk = desk;
        this.close = close;
        fill();
        refresh();
    }

    /** What stands in the window. */
    MenuBar bar() {
        return bar;
    }

    /** Closes what is open, the innermost first: a window that goes takes none of them along. */
    public void hide() {
        bar.getMenus().forEach(Menus::hide);
    }

    private static void hide(MenuItem item) {
        if (item instanceof Menu m) {
            m.getItems().forEach(Menus::hide);
            if (m.isShowing()) {
                m.hide();
            }
        }
    }

    /** Opens the first. */
    public void show() {
        bar.getMenus().get(0).show();
    }

    /** Says what undo and redo would do. */
    public void refresh() {
        undo.setText(workspace.undoLabel().map(l -> "Undo: " + l).orElse("Undo") + "\tCtrl Z");
        undo.setDisable(workspace.undoLabel().isEmpty());
        redo.setText(
                workspace.redoLabel().map(l -> "Redo: " + l).orElse("Redo") + "\tShift Ctrl Z");
        redo.setDisable(workspace.redoLabel().isEmpty());
    }

    private void fill() {
        Menu all = new Menu("_Menu");
        all.getItems()
                .addAll(
                        riff(),
                        edit(),
                        menu("In and out", "export", "import", "copy-tab", "paste-tab", "catch"),
                        view(),
                        write(),
                        versions(),
                        explore(),
                        menu("Sound", "along", "tone", "tune", "output", "mute", "pure"),
                        menu("Listening", "listen", "play-in", "takes", "latency"),
                        menu("Help", "help", "search", "explain"));
        bar.getMenus().setAll(all);
        bar.setId("menus");
        bar.setMinWidth(Region.USE_PREF_SIZE);
    }

    private Menu riff() {
        Menu riff = menu("Riff", "new", "begin", "open", "logbook");
        riff.getItems().addAll(demoMenu(), new SeparatorMenuItem());
        add(riff, "save", "rename", "save-copy");
        riff.getItems().addAll(new SeparatorMenuItem(), item("Close", close));
        return riff;
    }

    private Menu edit() {
        Menu edit = new Menu("Change");
        undo.setOnAction(e -> workspace.undo());
        redo.setOnAction(e -> workspace.redo());
        edit.getItems().addAll(undo, redo, new SeparatorMenuItem(), meterMenu(), pickupMenu());
        edit.getItems().addAll(new SeparatorMenuItem(), commands.item("instrument"), handMenu());
        return edit;
    }

    private Menu view() {
        Menu view = menu("View", "zoom-in", "zoom-out", "page-on", "page-back", "follow");
        view.getItems().add(new SeparatorMenuItem());
        Menu neck = new Menu("On band and neck");
        add(
                neck,
                "names",
                "passing-names",
                "root-tune",
                "fingers-from",
                "scale",
                "other-scale",
                "roots-fifths");
        view.getItems().add(neck);
        add(view, "theme", "text-larger", "text-smaller");
        return view;
    }

    private Menu write() {
        return menu(
                "Write",
                "roots",
                "next-root",
                "type",
                "guitar",
                "part-of-rests",
                "all-next",
                "all-before",
                "find",
                "filter",
                "keep",
                "own");
    }

    private Menu versions() {
        return menu(
                "Variations and checks",
                "keep-version",
                "keep-named",
                "versions",
                "variations",
                "ideas",
                "sparks",
                "ways",
                "fingers",
                "drones-held",
                "check",
                "findings");
    }

    private Menu explore() {
        Menu explore = new Menu("Explore");
        for (Explore page : Explore.values()) {
            add(explore, page.id());
        }
        explore.getItems().add(thinMenu());
        add(explore, "prove", "modes", "support", "page");
        return explore;
    }

    private Menu menu(String name, String... ids) {
        Menu menu = new Menu(name);
        add(menu, ids);
        return menu;
    }

    private void add(Menu menu, String... ids) {
        for (String id : ids) {
            menu.getItems().add(commands.item(id));
        }
    }

    private Menu demoMenu() {
        Menu demo = new Menu("Demo riffs");
        for (Piece piece : Demo.pieces()) {
            demo.getItems().add(item(piece.title(), () -> desk.take(piece)));
        }
        return demo;
    }

    private Menu thinMenu() {
        Menu thin = new Menu("Thin this voicing");
        for (int i = 1; i <= 4; i++) {
            thin.getItems().add(commands.item("thin-" + i));
        }
        return thin;
    }

    private Menu meterMenu() {
        Menu meters = new Menu("Meter of this bar");
        for (String m : new String[] {"2/4", "3/4", "4/4", "5/4", "6/8", "7/8", "9/8"}) {
            Meter meter = Meter.parse(m);
            meters.getItems()
                    .add(
                            item(
                                    m,
                                    () ->
                                            session.apply(
                                                    Edits.meterOfBar(
                                                            Math.max(
                                                                    0,
                                                                    session.now()
                                                                            .meters()
                                                                            .bar(caret())),
                                                            meter))));
        }
        return meters;
    }

    private long caret() {
        Place place = whereabouts.place();
        return place == WritePlace.LANE || place == WritePlace.TYPING
                ? session.caret().tickProperty().get()
                : session.now().start(session.caret().chord());
    }

    private Menu pickupMenu() {
        Menu pickup = new Menu("Pickup");
        pickup.getItems().add(item("None", () -> session.apply(Edits.pickup(0))));
        for (int eighths = 1; eighths <= 4; eighths++) {
            long ticks = eighths * Ticks.EIGHTH;
            String words = eighths == 1 ? "One eighth" : eighths + " eighths";
            pickup.getItems().add(item(words, () -> session.apply(Edits.pickup(ticks))));
        }
        return pickup;
    }

    private Menu handMenu() {
        Menu hands = new Menu("Hand");
        for (Hand hand : Hand.offered()) {
            String words = hand.name() + ", " + Math.round(hand.comfortMm()) + " mm in comfort";
            hands.getItems().add(item(words, () -> workspace.setHand(hand)));
        }
        return hands;
    }

    private static MenuItem item(String text, Runnable action) {
        MenuItem item = new MenuItem(text);
        item.setMnemonicParsing(false);
        item.setOnAction(e -> action.run());
        return item;
    }
}
