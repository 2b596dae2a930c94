package vocalis.desktop.write;

import java.util.function.Supplier;
import vocalis.desktop.cards.FamilyBar;
import vocalis.desktop.explore.Explore;
import vocalis.desktop.explore.ExploreSheet;
import vocalis.desktop.lane.Lane;
import vocalis.desktop.neck.Neck;
import vocalis.desktop.sheets.FigureSheets;
import vocalis.desktop.sheets.FindingsSheet;
import vocalis.desktop.sheets.IdeaSheets;
import vocalis.desktop.sheets.LineSheets;
import vocalis.desktop.sheets.ListenSheets;
import vocalis.desktop.sheets.ModeSheet;
import vocalis.desktop.sheets.NeckSheets;
import vocalis.desktop.sheets.WritingSheets;
import vocalis.desktop.view.Sheets;
import vocalis.desktop.writing.WriteModel;
import vocalis.workbench.library.OwnFigures;

/** What the Write screen does that is not its model's alone: its sheets and menus. */
final class WriteActions implements WriteSheets {

    private final WriteModel model;
    private final OwnFigures ownFigures;
    private final Supplier<Sheets> host;
    private final FamilyBar families;
    private final Lane lane;
    private final Neck neck;
    private final ExploreSheet explore;

    WriteActions(
            WriteModel model,
            OwnFigures ownFigures,
            Supplier<Sheets> host,
            FamilyBar families,
            Lane lane,
            Neck neck) {
        this.model = model;
        this.ownFigures = ownFigures;
        this.host = host;
        this.families = families;
        this.lane = lane;
        this.neck = neck;
        explore = new ExploreSheet(model);
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
    public void explore(Explore page) {
        explore.show(host.get(), page);
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
    public void dronesHeld() {
        NeckSheets.drones(model, host.get());
    }

    @Override
    public void scales() {
        NeckSheets.scales(model, host.get());
    }

    @Override
    public void fills() {
        LineSheets.fills(model, host.get());
    }

    @Override
    public void innerLines() {
        LineSheets.inner(model, host.get());
    }

    @Override
    public void fingers() {
        NeckSheets.fingers(model, host.get());
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
        ModeSheet.show(model, host.get());
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
    public void ideas() {
        IdeaSheets.ideas(model, host.get());
    }

    @Override
    public void sparks() {
        IdeaSheets.sparks(model, host.get());
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
}
