package vocalis.desktop.sounding;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import javafx.animation.Animation;
import javafx.animation.KeyFrame;
import javafx.animation.Timeline;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.VBox;
import javafx.util.Duration;
import vocalis.desktop.session.Hearing;
import vocalis.desktop.session.Session;
import vocalis.desktop.view.Choices;
import vocalis.desktop.view.Sheets;
import vocalis.sound.device.AudioOutput;
import vocalis.sound.device.Devices;
import vocalis.workbench.playing.Player;

/** Where the sound goes, how late it comes, and whether it is muted. */
public final class OutputSheet {

    private static final int[] BUFFERS = {1024, 2048, 4096, 8192};

    private OutputSheet() {}

    /** Opens it. */
    public static void show(Session session, Hearing hearing, Sheets host) {
        AudioOutput output = session.player().output();
        ComboBox<String> devices =
                Choices.choice(
                        "device", List.of(hearing.device()), hearing.device(), d -> d, d -> {});
        devices.setPrefWidth(320);
        ComboBox<Integer> buffers =
                Choices.choice(
                        "buffer",
                        Arrays.stream(BUFFERS).boxed().toList(),
                        output.bufferFrames(),
                        f -> Math.round(f / Player.RATE * 1000) + " ms",
                        f -> hearing.useDevice(devices.getValue(), f));
        CheckBox muted = new CheckBox("muted");
        muted.setId("muted");
        muted.setSelected(output.muted());
        muted.setOnAction(e -> output.mute(muted.isSelected()));
        Label state = Choices.text(state(output));
        state.setId("output-state");
        GridPane grid = Choices.grid();
        Choices.row(grid, "device", devices);
        Choices.row(grid, "buffer", buffers);
        Choices.row(grid, "sound", muted);
        VBox content =
                new VBox(
                        14,
                        grid,
                        state,
                        Choices.caption(
                                "Another device may be far louder, so the output is muted after every change"
                                        + " until you let it sound. Listen no longer and no louder than you must, and"
                                        + " give your ears rests: Vocalis cannot measure how loud it is at the ear."));
        content.getStyleClass().add("help");
        watch(state, muted, output, host.open("Where the sound goes", content, 600));
        session.ask(
                "looking for sound devices",
                Devices::names,
                names -> offer(devices, names, hearing, buffers));
    }

    /** Tells what becomes of the device while the sheet is open. */
    private static void watch(Label state, CheckBox muted, AudioOutput output, Sheets.Sheet sheet) {
        Timeline clock =
                new Timeline(
                        new KeyFrame(
                                Duration.millis(250),
                                e -> {
                                    state.setText(state(output));
                                    muted.setSelected(output.muted());
                                }));
        clock.setCycleCount(Animation.INDEFINITE);
        clock.play();
        sheet.onClosed(clock::stop);
    }

    private static void offer(
            ComboBox<String> devices,
            List<String> names,
            Hearing hearing,
            ComboBox<Integer> buffers) {
        devices.getItems().setAll(names);
        devices.setValue(names.contains(hearing.device()) ? hearing.device() : names.get(0));
        devices.valueProperty()
                .addListener(o -> hearing.useDevice(devices.getValue(), buffers.getValue()));
    }

    private static String state(AudioOutput output) {
        String where =
                switch (output.sink()) {
                    case DEVICE -> output.muted() ? "Playing into silence: muted." : "Sounding.";
                    case SILENT ->
                            "No device: the riff plays on silently, and a device is looked for every"
                                    + " four seconds.";
                    case FROZEN ->
                            "The device does not answer: the riff plays on silently, and the device is"
                                    + " tried again every four seconds.";
                    case STARTING -> "Starting.";
                };
        String late =
                String.format(
                        Locale.ROOT,
                        " At most %.0f ms from a key to the device",
                        output.latencySeconds() * 1000);
        if (output.sink() != AudioOutput.Sink.DEVICE) {
            return where + late + ".";
        }
        long dry = output.underruns();
        String ran =
                switch ((int) Math.min(2, dry)) {
                    case 0 -> "; the buffer never ran empty.";
                    case 1 -> "; the buffer ran empty once.";
                    default -> "; the buffer ran empty " + dry + " times";
                };
        boolean grown = output.heldFrames() > output.bufferFrames();
        String so = dry < 2 ? "" : grown ? ", so it holds more for now." : ".";
        return where + late + ran + so;
    }
}
