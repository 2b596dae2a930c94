package vocalis.desktop;

import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.CompletableFuture;
import javafx.animation.AnimationTimer;
import javafx.animation.PauseTransition;
import javafx.application.Application;
import javafx.application.Platform;
import javafx.scene.Scene;
import javafx.scene.image.Image;
import javafx.scene.layout.Pane;
import javafx.stage.Stage;
import javafx.util.Duration;
import vocalis.core.choice.Catalogue;
import vocalis.desktop.desks.Prompts;
import vocalis.desktop.frame.WindowBounds;
import vocalis.desktop.view.Background;
import vocalis.sound.device.Clock;
import vocalis.sound.device.Devices;
import vocalis.workbench.base.Log;
import vocalis.workbench.base.Places;
import vocalis.workbench.base.Preferences;
import vocalis.workbench.demo.Demo;
import vocalis.workbench.playing.Measured;

/** The desktop program: {@code [FILE]} opens a riff, {@code --demo} the demo library's first. */
public final class VocalisApp extends Application {

    /** For checks and benchmarks of starting: closes the window by itself. */
    private static void closeAfter(int seconds, Stage stage) {
        if (Boolean.getBoolean("vocalis.endWhenShown")) {
            // What is measured ends here: nothing is put away, which would take its own time.
            afterPicture(() -> Runtime.getRuntime().halt(0));
        }
        if (seconds > 0) {
            PauseTransition pause = new PauseTransition(Duration.seconds(seconds));
            pause.setOnFinished(e -> stage.close());
            pause.play();
        }
    }

    private static final int[] ICONS = {16, 24, 32, 48, 64, 128, 256};

    private static CompletableFuture<Shell.Prepared> prepared;

    /** Begins, on another thread, what the window will need; called before the toolkit starts. */
    static void prepare(String[] args) {
        boolean demo = List.of(args).contains("--demo");
        Places places = Places.ofPlatform();
        Log.to(places.log());
        Thread.setDefaultUncaughtExceptionHandler(
                (t, e) -> Log.unexpected("working on " + t.getName(), e));
        prepared =
                CompletableFuture.supplyAsync(
                        () ->
                                Shell.Prepared.of(
                                        new Catalogue(),
                                        new Measured(),
                                        demo ? Demo.pieces().get(0) : Demo.blank(),
                                        Devices.opener(Devices.DEFAULT),
                                        Clock.system(),
                                        System.nanoTime(),
                                        places,
                                        Background.HOME));
    }

    @Override
    public void start(Stage stage) {
        Thread.currentThread()
                .setUncaughtExceptionHandler((t, e) -> Log.unexpected("showing the window", e));
        Preferences preferences = Preferences.in(Places.ofPlatform().settings());
        // The window stands at once, in its colour; what fills it takes three times as long.
        stage.setScene(new Scene(new Pane(), 1280, 800, Theme.of(preferences).back()));
        stage.setTitle("Vocalis");
        WindowBounds bounds = new WindowBounds(stage, preferences);
        bounds.place();
        stage.show();
        bounds.least();
        if ("opening".equals(System.getProperty("vocalis.endWhenShown"))) {
            Platform.runLater(() -> Runtime.getRuntime().halt(0));
        }
        afterPicture(() -> fill(stage));
    }

    /** Once what is shown was laid out and handed to be drawn. */
    private static void afterPicture(Runnable then) {
        new AnimationTimer() {
            private int pictures;

            @Override
            public void handle(long now) {
                pictures++;
                if (pictures == 2) {
                    stop();
                    then.run();
                }
            }
        }.start();
    }

    private void fill(Stage stage) {
        if (!stage.isShowing()) {
            // Closed before anything was in it.
            return;
        }
        for (int size : ICONS) {
            String icon = "icons/" + size + ".png";
            stage.getIcons().add(new Image(VocalisApp.class.getResourceAsStream(icon)));
        }
        Theme.loadFonts();
        List<String> args = getParameters().getRaw();
        Shell shell = new Shell(stage, prepared.join(), Prompts.system());
        if (args.contains("--light")) {
            shell.look().switchTheme();
        }
        if (args.contains("--demo")) {
            Platform.runLater(shell.keeping()::keepDemo);
        }
        closeAfter(Integer.getInteger("vocalis.closeAfterSeconds", 0), stage);
        args.stream()
                .filter(a -> !a.startsWith("--"))
                .findFirst()
                .ifPresent(file -> Platform.runLater(() -> shell.open(Path.of(file))));
    }
}
