package vocalis.desktop;

import java.util.function.Consumer;
import java.util.function.Supplier;
import vocalis.desktop.arrange.ArrangeCommands;
import vocalis.desktop.arrange.ArrangeModel;
import vocalis.desktop.arrange.ArrangePlace;
import vocalis.desktop.arrange.ArrangeSheets;
import vocalis.desktop.session.Place;
import vocalis.desktop.session.Session;
import vocalis.desktop.view.Sheets;
import vocalis.desktop.writing.WritePlace;
import vocalis.workbench.library.Library;

/** What the Arrange screen does that is not its model's alone: its sheets, and ways out of it. */
final class ArrangeActions implements ArrangeCommands.Screen {

    private final Models models;
    private final Session session;
    private final ArrangeModel model;
    private final Library library;
    private final Supplier<Sheets> host;
    private final Consumer<Place> go;

    /**
     * @param go puts the keys on a place
     */
    ArrangeActions(Models models, Library library, Supplier<Sheets> host, Consumer<Place> go) {
        this.models = models;
        this.session = models.session();
        this.model = models.arrange();
        this.library = library;
        this.host = host;
        this.go = go;
    }

    @Override
    public void arrange() {
        go.accept(ArrangePlace.STRIP);
    }

    @Override
    public void work() {
        model.edits().work();
        go.accept(WritePlace.BAND);
    }

    @Override
    public void editField() {
        ArrangeSheets.edit(session, model, host.get());
    }

    @Override
    public void vary() {
        ArrangeSheets.vary(session, model, host.get());
    }

    @Override
    public void mend() {
        ArrangeSheets.mend(session, model, host.get());
    }

    @Override
    public void second(boolean clashesToo) {
        ArrangeSheets.second(session, model, host.get(), clashesToo);
    }

    @Override
    public void bassLines() {
        ArrangeSheets.bassLines(session, model, host.get());
    }

    @Override
    public void bring() {
        ArrangeSheets.bring(session, model, models.hearing(), library, host.get());
    }

    @Override
    public void register(int part) {
        ArrangeSheets.register(session, model, host.get(), part);
    }
}
