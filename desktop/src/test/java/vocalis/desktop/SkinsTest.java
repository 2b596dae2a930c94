package vocalis.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.lang.ref.WeakReference;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import javafx.scene.Scene;
import javafx.scene.control.Control;
import javafx.scene.control.Skin;
import javafx.scene.layout.Pane;
import javafx.stage.Stage;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.framework.junit5.Start;
import org.testfx.util.WaitForAsyncUtils;
import vocalis.desktop.band.VoiceBand;
import vocalis.desktop.cards.CardRow;
import vocalis.desktop.lane.Lane;
import vocalis.desktop.lane.Overview;
import vocalis.desktop.neck.Neck;
import vocalis.desktop.view.Background;
import vocalis.desktop.writing.WriteModel;
import vocalis.sound.device.Clock;
import vocalis.workbench.base.Places;
import vocalis.workbench.demo.Demo;
import vocalis.workbench.library.OwnShapes;

/** A disposed skin lets go of the model it listened to, so that it can be collected. */
@ExtendWith(ApplicationExtension.class)
class SkinsTest {

    private final Tap tap = new Tap(true);
    @TempDir Path folder;
    private Shell.Prepared prepared;
    private Models models;
    private WriteModel model;
    private Stage stage;

    @Start
    void start(Stage shared) {
        stage = new Stage();
        prepared =
                Shell.Prepared.of(
                        WindowDriver.CATALOGUE,
                        WindowDriver.MEASURED,
                        Demo.pieces().get(0),
                        tap,
                        Clock.system(),
                        5,
                        Places.in(folder),
                        Background.HOME);
        models =
                new Models(
                        prepared.workspace(),
                        prepared.player(),
                        prepared.background(),
                        new OwnShapes(folder));
        model = models.write();
        stage.setScene(new Scene(new Pane(), 900, 500));
        stage.show();
    }

    @AfterEach
    void close() {
        WaitForAsyncUtils.waitForAsyncFx(
                120_000,
                () -> {
                    stage.hide();
                    return null;
                });
        models.close();
        prepared.background().close();
        prepared.player().close();
    }

    private List<Control> drawn() {
        return List.of(
                new VoiceBand(model),
                new Overview(model),
                new Lane(model),
                new CardRow(model),
                new Neck(model));
    }

    @Test
    void skinsAreCollectedAfterDisposal() {
        List<WeakReference<Skin<?>>> skins = new ArrayList<>();
        WaitForAsyncUtils.waitForAsyncFx(
                120_000,
                () -> {
                    for (Control c : drawn()) {
                        ((Pane) stage.getScene().getRoot()).getChildren().setAll(c);
                        c.resize(800, 400);
                        c.applyCss();
                        c.layout();
                        skins.add(new WeakReference<>(c.getSkin()));
                        c.setSkin(null);
                    }
                    ((Pane) stage.getScene().getRoot()).getChildren().clear();
                    return null;
                });
        assertThat(skins).hasSize(5);
        long end = System.nanoTime() + 180_000_000_000L;
        while (skins.stream().anyMatch(s -> s.get() != null)) {
            assertThat(System.nanoTime())
                    .as("still held: %s", skins.stream().map(WeakReference::get).toList())
                    .isLessThan(end);
            System.gc();
            WaitForAsyncUtils.waitForFxEvents();
        }
        assertThat(model.derived().chords()).isNotEmpty();
    }
}
