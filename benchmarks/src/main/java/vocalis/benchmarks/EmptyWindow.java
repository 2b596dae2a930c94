package vocalis.benchmarks;

import javafx.application.Application;
import javafx.application.Platform;
import javafx.scene.Scene;
import javafx.scene.layout.Pane;
import javafx.stage.Stage;

/**
 * An empty JavaFX window of the same size, which ends the process when it is shown: what start-up
 * is held against.
 */
public final class EmptyWindow extends Application {

    @Override
    public void start(Stage stage) {
        stage.setScene(new Scene(new Pane(), 1280, 800));
        stage.setOnShown(e -> Platform.runLater(() -> Runtime.getRuntime().halt(0)));
        stage.show();
    }

    /** Starts it from the class path. */
    public static final class Launcher {
        private Launcher() {}

        public static void main(String[] args) {
            Application.launch(EmptyWindow.class, args);
        }
    }
}
