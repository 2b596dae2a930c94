package vocalis.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.lang.ref.WeakReference;
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
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.framework.junit5.Start;
import org.testfx.util.WaitForAsyncUtils;
import vocalis.desktop.view.Background;
import vocalis.desktop.write.DrawnControls;
import vocalis.desktop.write.WriteModel;
import vocalis.sound.device.Clock;
import vocalis.workbench.Demo;

/** A disposed skin lets go of the model it listened to, so that it can be collected. */
@ExtendWith(ApplicationExtension.class)
class SkinsTest {

    private final Tap tap = new Tap(true);
    private final Background background = new Background();
    private Shell.Prepared prepared;
    private WriteModel model;
    private Stage stage;

    @Start
    void start(Stage shared) {
        stage = new Stage();
        prepared = Shell.Prepared.of(Demo.riffs().get(0), tap, Clock.system(), 5);
        model = new WriteModel(prepared.workspace(), prepared.player(), background);
        stage.setScene(new Scene(new Pane(), 900, 500));
        stage.show();
    }

    @AfterEach
    void close() {
        WaitForAsyncUtils.waitForAsyncFx(
                10_000,
                () -> {
                    stage.hide();
                    return null;
                });
        background.close();
        prepared.player().close();
    }

    @Test
    void skinsAreCollectedAfterDisposal() {
        List<WeakReference<Skin<?>>> skins = new ArrayList<>();
        WaitForAsyncUtils.waitForAsyncFx(
                10_000,
                () -> {
                    for (Control c : DrawnControls.all(model)) {
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
        assertThat(skins).hasSize(4);
        long end = System.nanoTime() + 20_000_000_000L;
        while (skins.stream().anyMatch(s -> s.get() != null)) {
            assertThat(System.nanoTime())
                    .as("still held: %s", skins.stream().map(WeakReference::get).toList())
                    .isLessThan(end);
            System.gc();
            WaitForAsyncUtils.waitForFxEvents();
        }
        assertThat(model.score().chords()).isNotEmpty();
    }
}
