package vocalis.desktop.write;

import java.util.List;
import java.util.function.Supplier;
import javafx.geometry.Side;
import javafx.scene.control.ContextMenu;
import javafx.scene.control.MenuItem;
import vocalis.core.choice.Filter;
import vocalis.core.hands.IdleFingers;
import vocalis.core.names.Readout;
import vocalis.core.voicing.Family;
import vocalis.core.voicing.Voicing;
import vocalis.desktop.cards.FamilyBar;
import vocalis.desktop.lane.Lane;
import vocalis.desktop.neck.Neck;
import vocalis.desktop.neck.NeckGeometry;
import vocalis.desktop.sheets.Compare;
import vocalis.desktop.sheets.FigureSheets;
import vocalis.desktop.sheets.FindingsSheet;
import vocalis.desktop.sheets.ListenSheets;
import vocalis.desktop.sheets.Sheets;
import vocalis.desktop.sheets.WritingSheets;
import vocalis.desktop.view.SheetHost;
import vocalis.desktop.writing.WriteModel;
import vocalis.workbench.library.OwnFigures;

/** What the Write screen does that is not its model's alone: its sheets and menus. */
final class WriteActions implements WriteCommands.Screen {

    private static final int MOST_IDLE = 18;
    private static final String[] FINGERS = {"", "index", "middle", "ring", "little", "thumb"};

    private final WriteModel model;
    private final OwnFigures ownFigures;
    private final Supplier<SheetHost> host;
    private final FamilyBar families;
    private final Lane lane;
    private final Neck neck;
    private final Compare compare;

    WriteActions(
            WriteModel model,
            OwnFigures ownFigures,
            Supplier<SheetHost> host,
            FamilyBar families,
            Lane lane,
            Neck neck) {
        this.model = model;
        this.ownFigures = ownFigures;
        this.host = host;
        this.families = families;
        this.lane = lane;
        this.neck = neck;
        compare = new Compare(model);
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
        compare.show(host.get());
    }

    @Override
    public void droneMap() {
        Sheets.droneMap(model, host.get());
    }

    @Override
    public void series() {
        Sheets.series(model, host.get());
    }

    @Override
    public void dark() {
        var filter = model.offer().filterProperty();
        boolean on = filter.get().colour() == Filter.Colour.DARK;
        model.shown().familyProperty().set(Family.EXTENDED);
        filter.set(filter.get().with(on ? Filter.Colour.ANY : Filter.Colour.DARK));
    }

    @Override
    public void bassSweep() {
        Sheets.bassSweep(model, host.get());
    }

    @Override
    public void embellish() {
        lane.embellish();
    }

    @Override
    public void prove() {
        ListenSheets.prove(model, host.get());
    }

    @Override
    public void modeFinder() {
        Sheets.modeFinder(model, host.get());
    }

    @Override
    public void findings() {
        FindingsSheet.show(model.session(), host.get());
    }

    @Override
    public void roots() {
        WritingSheets.roots(model, host.get());
    }

    @Override
    public void nextRoot() {
        WritingSheets.next(model, host.get());
    }

    @Override
    public void variations() {
        WritingSheets.variations(model, host.get());
    }

    @Override
    public void versions() {
        WritingSheets.versions(model, host.get());
    }

    @Override
    public void keepVersion() {
        WritingSheets.keep(model);
    }

    @Override
    public void ways() {
        WritingSheets.ways(model, host.get());
    }

    @Override
    public void figures() {
        FigureSheets.book(model, ownFigures, host.get());
    }

    @Override
    public void tapFigure() {
        FigureSheets.tap(model, host.get());
    }

    @Override
    public void keepNamed() {
        WritingSheets.keepNamed(model, host.get());
    }

    @Override
    public void check() {
        WritingSheets.check(model, host.get());
    }

    /** What the idle fingers can add, each with what it makes of the chord. */
    private ContextMenu idleMenu() {
        ContextMenu menu = new ContextMenu();
        int strings = model.riff().ground().board().strings();
        List<IdleFingers.Addition> all = model.shown().idleFingers();
        for (IdleFingers.Addition a : all.subList(0, Math.min(MOST_IDLE, all.size()))) {
            Voicing v = model.shown().voicing();
            Voicing with = new Voicing(a.shape(), v.board(), v.root());
            String name = Readout.nameOf(with, model.key()).symbol();
            String where =
                    FINGERS[a.finger()]
                            + " on string "
                            + (strings - a.string())
                            + ", fret "
                            + a.fret();
            MenuItem item = new MenuItem(where + "  →  " + name);
            item.setOnAction(e -> model.shown().take(a.shape()));
            menu.getItems().add(item);
        }
        if (menu.getItems().isEmpty()) {
            MenuItem none = new MenuItem("No idle finger reaches another note here");
            none.setDisable(true);
            menu.getItems().add(none);
        }
        return menu;
    }
}
