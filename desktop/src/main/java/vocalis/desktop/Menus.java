package vocalis.desktop;

import javafx.scene.control.Menu;
import javafx.scene.control.MenuBar;
import javafx.scene.control.MenuItem;
import javafx.scene.control.SeparatorMenuItem;
import javafx.scene.layout.Region;
import vocalis.core.hands.Hand;
import vocalis.core.piece.Piece;
import vocalis.core.rhythm.Meter;
import vocalis.core.rhythm.Ticks;
import vocalis.desktop.keys.Commands;
import vocalis.desktop.session.Place;
import vocalis.desktop.session.Session;
import vocalis.desktop.session.Whereabouts;
import vocalis.desktop.writing.WritePlace;
import vocalis.workbench.demo.Demo;
import vocalis.workbench.document.Edits;
import vocalis.workbench.document.Workspace;

/** The menus: commands by theme, and what is set seldom. */
final class Menus {

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
    Menus(
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

    /** Opens the first. */
    void show() {
        bar.getMenus().get(0).show();
    }

    /** Says what undo and redo would do. */
    void refresh() {
        undo.setText(workspace.undoLabel().map(l -> "Undo: " + l).orElse("Undo") + "\tCtrl Z");
        undo.setDisable(workspace.undoLabel().isEmpty());
        redo.setText(
                workspace.redoLabel().map(l -> "Redo: " + l).orElse("Redo") + "\tShift Ctrl Z");
        redo.setDisable(workspace.redoLabel().isEmpty());
    }

    private void fill() {
        Menu file = menu("_File", "new", "open", "logbook", "catch");
        file.getItems().addAll(demoMenu(), new SeparatorMenuItem());
        add(file, "save", "save-as", "rename");
        file.getItems().add(new SeparatorMenuItem());
        add(file, "export", "import", "copy-tab", "paste-tab");
        file.getItems().addAll(new SeparatorMenuItem(), item("Close", close));
        Menu edit = new Menu("_Edit");
        undo.setOnAction(e -> workspace.undo());
        redo.setOnAction(e -> workspace.redo());
        edit.getItems().addAll(undo, redo, new SeparatorMenuItem(), meterMenu(), pickupMenu());
        edit.getItems().addAll(new SeparatorMenuItem(), commands.item("instrument"), handMenu());
        Menu view =
                menu(
                        "_View",
                        "revoice",
                        "arrange",
                        "practise",
                        "zoom-in",
                        "zoom-out",
                        "page-on",
                        "page-back",
                        "follow");
        view.getItems().add(new SeparatorMenuItem());
        add(view, "names", "scale", "theme", "explain");
        Menu harmony = menu("H_armony", "compare");
        harmony.getItems().add(thinMenu());
        add(harmony, "idle", "series", "dark", "basses", "drones", "modes");
        Menu riff =
                menu(
                        "_Riff",
                        "roots",
                        "next-root",
                        "type",
                        "variations",
                        "keep-version",
                        "keep-named",
                        "versions");
        riff.getItems().add(new SeparatorMenuItem());
        add(riff, "check", "findings");
        Menu sound = menu("_Sound", "tone", "along", "pure", "prove", "tune", "output", "mute");
        Menu help = menu("He_lp", "help", "explain");
        bar.getMenus().setAll(file, edit, view, riff, harmony, sound, help);
        bar.setId("menus");
        bar.setMinWidth(Region.USE_PREF_SIZE);
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
