package vocalis.desktop.begin;

import java.util.List;
import java.util.function.Consumer;
import java.util.function.Supplier;
import javafx.scene.layout.VBox;
import vocalis.desktop.explore.DronePage;
import vocalis.desktop.session.Place;
import vocalis.desktop.view.Sheets;
import vocalis.desktop.writing.WriteModel;
import vocalis.desktop.writing.WritePlace;

/** What the place to begin does in the window. */
public final class BeginDesk implements BeginPane.Window {

    private static final double WIDTH = 1040;

    private final WriteModel write;
    private final Supplier<Sheets> host;
    private final Consumer<Place> go;
    private final Consumer<String> run;
    private final Consumer<Consumer<List<BeginPane.Riffs>>> others;

    /**
     * @param host shows sheets, when it is there
     * @param go puts the keys on a place
     * @param run does a command by its id
     * @param others finds riffs that can be gone on with
     */
    public BeginDesk(
            WriteModel write,
            Supplier<Sheets> host,
            Consumer<Place> go,
            Consumer<String> run,
            Consumer<Consumer<List<BeginPane.Riffs>>> others) {
        this.write = write;
        this.host = host;
        this.go = go;
        this.run = run;
        this.others = others;
    }

    @Override
    public void tap() {
        run.accept("tap-figure");
    }

    @Override
    public void figures() {
        run.accept("figures");
    }

    @Override
    public void drones(Runnable taken) {
        Sheets.Sheet[] sheet = new Sheets.Sheet[1];
        DronePage page =
                new DronePage(
                        write,
                        () -> {
                            sheet[0].close();
                            taken.run();
                        });
        VBox body = new VBox(page.show());
        body.getStyleClass().add("help");
        sheet[0] = host.get().open("Find a drone", body, WIDTH);
        sheet[0].focus(page.first());
    }

    @Override
    public void neck() {
        go.accept(WritePlace.NECK);
    }

    @Override
    public void pasteTab() {
        run.accept("paste-tab");
    }

    @Override
    public void playIn() {
        run.accept("play-in");
    }

    @Override
    public void chords() {
        boolean here = write.whereabouts().screen() == write;
        if (host.get() != null && here) {
            go.accept(WritePlace.BAND);
        }
    }

    @Override
    public void others(Consumer<List<BeginPane.Riffs>> then) {
        others.accept(then);
    }
}
