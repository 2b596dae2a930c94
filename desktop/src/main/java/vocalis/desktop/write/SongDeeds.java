package vocalis.desktop.write;

import java.util.function.Consumer;
import java.util.function.Supplier;
import vocalis.desktop.keys.SongCommands;
import vocalis.desktop.model.WriteModel;
import vocalis.desktop.model.Zone;
import vocalis.desktop.sheets.AlongSheet;
import vocalis.desktop.sheets.ArrangeSheets;
import vocalis.desktop.sheets.PracticeSheet;
import vocalis.desktop.view.SheetHost;

/** What the screens of the song do that is not their models' alone. */
final class SongDeeds implements SongCommands.Screen {

    private final WriteModel model;
    private final Supplier<SheetHost> host;
    private final Consumer<Zone> go;

    /**
     * @param go puts the keys on a place
     */
    SongDeeds(WriteModel model, Supplier<SheetHost> host, Consumer<Zone> go) {
        this.model = model;
        this.host = host;
        this.go = go;
    }

    @Override
    public void arrange() {
        go.accept(model.zoneProperty().get() == Zone.ARRANGE ? Zone.BAND : Zone.ARRANGE);
    }

    @Override
    public void practise() {
        go.accept(model.zoneProperty().get() == Zone.PRACTISE ? Zone.BAND : Zone.PRACTISE);
    }

    @Override
    public void editField() {
        ArrangeSheets.edit(model, host.get());
    }

    @Override
    public void vary() {
        ArrangeSheets.vary(model, host.get());
    }

    @Override
    public void mend() {
        ArrangeSheets.mend(model, host.get());
    }

    @Override
    public void second(boolean clashesToo) {
        ArrangeSheets.second(model, host.get(), clashesToo);
    }

    @Override
    public void bring() {
        ArrangeSheets.bring(model, host.get());
    }

    @Override
    public void register(int part) {
        ArrangeSheets.register(model, host.get(), part);
    }

    @Override
    public void practiceLog() {
        PracticeSheet.show(model, host.get());
    }

    @Override
    public void along() {
        AlongSheet.show(model, host.get());
    }
}
