package vocalis.desktop.write;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import javafx.animation.Animation;
import javafx.animation.KeyFrame;
import javafx.animation.Timeline;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.Scene;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Control;
import javafx.scene.control.Label;
import javafx.scene.control.Slider;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import javafx.stage.Stage;
import javafx.util.Duration;
import javafx.util.StringConverter;
import vocalis.core.riff.Band;
import vocalis.core.riff.Controls;
import vocalis.core.riff.Fader;
import vocalis.core.riff.Feel;
import vocalis.core.riff.Ground;
import vocalis.core.riff.Tone;
import vocalis.core.voicing.Family;
import vocalis.sound.device.AudioOutput;
import vocalis.sound.device.Devices;
import vocalis.workbench.Player;

/** Sheets of the sound: how the guitars are turned, who plays along, where it goes. */
final class SoundSheets {

    private static final String[] AMP = {"gain", "bass", "middle", "treble", "presence", "level"};
    private static final int[] BUFFERS = {1024, 2048, 4096, 8192};

    private SoundSheets() {}

    // Rows.

    private static GridPane grid() {
        GridPane grid = new GridPane();
        grid.setHgap(14);
        grid.setVgap(7);
        return grid;
    }

    private static void row(GridPane grid, String label, Node... nodes) {
        Label l = Sheets.caption(label);
        l.setMinWidth(76);
        int row = grid.getRowCount();
        grid.add(l, 0, row);
        for (int i = 0; i < nodes.length; i++) {
            grid.add(nodes[i], i + 1, row);
        }
        if (nodes.length > 0 && nodes[0] instanceof Control c) {
            l.setLabelFor(c);
            c.setAccessibleText(label);
        }
    }

    /** A slider over whole numbers with its value beside it. */
    private static HBox slider(
            String id, int least, int most, int value, Consumer<Integer> changed) {
        Slider slider = new Slider(least, most, value);
        slider.setId(id);
        slider.setBlockIncrement(1);
        slider.setMajorTickUnit(1);
        slider.setMinorTickCount(0);
        slider.setSnapToTicks(true);
        slider.setPrefWidth(150);
        slider.getStyleClass().add("quiet-slider");
        slider.setAccessibleText(id.replace('-', ' '));
        Label number = new Label(signed(value, least));
        number.setMinWidth(26);
        slider.valueProperty()
                .addListener(
                        (o, was, is) -> {
                            int now = (int) Math.round(is.doubleValue());
                            if (now != (int) Math.round(was.doubleValue())) {
                                number.setText(signed(now, least));
                                changed.accept(now);
                            }
                        });
        HBox box = new HBox(8, slider, number);
        box.setAlignment(Pos.CENTER_LEFT);
        return box;
    }

    private static String signed(int value, int least) {
        return least < 0 && value > 0 ? "+" + value : String.valueOf(value).replace("-", "−");
    }

    private static <T> ComboBox<T> choice(
            String id, List<T> all, T now, Function<T, String> words, Consumer<T> chosen) {
        ComboBox<T> box = new ComboBox<>();
        box.setId(id);
        box.getItems().setAll(all);
        box.setConverter(
                new StringConverter<>() {
                    @Override
                    public String toString(T t) {
                        return t == null ? "" : words.apply(t);
                    }

                    @Override
                    public T fromString(String s) {
                        throw new UnsupportedOperationException(
                                "this list is chosen from, not typed");
                    }
                });
        box.setValue(now);
        box.setPrefWidth(190);
        box.valueProperty().addListener(o -> chosen.accept(box.getValue()));
        return box;
    }

    // Tone.

    /** How both guitars are turned. */
    static void tone(WriteModel model, Scene owner) {
        VBox first =
                new VBox(
                        10,
                        Sheets.head("Guitar"),
                        controls(
                                "first",
                                band(model).controls(),
                                c -> change(model, "tone", b -> b.withControls(c)),
                                () -> band(model).controls()));
        row0(first, tones("first-tone", ground(model).tone(), t -> setTone(model, t)));
        VBox second = new VBox(10, Sheets.head("Second guitar"));
        if (band(model).second().on()) {
            second.getChildren()
                    .add(
                            controls(
                                    "second",
                                    band(model).secondControls(),
                                    c -> change(model, "tone", b -> secondControls(b, c)),
                                    () -> band(model).secondControls()));
            row0(
                    second,
                    tones(
                            "second-tone",
                            band(model).secondTone(),
                            t -> change(model, "tone", b -> secondTone(b, t))));
        } else {
            second.getChildren().add(Sheets.caption("It does not play. W lets it."));
        }
        HBox both = new HBox(40, first, second);
        VBox content =
                new VBox(
                        14,
                        both,
                        Sheets.caption(
                                "Steps from the tone's own setting; gain by 3 dB, level by 2. Everything is"
                                        + " heard at once and can be undone."));
        content.getStyleClass().add("help");
        Sheets.open(model, owner, "Tone", content, 640, 410);
    }

    private static void row0(VBox box, Node node) {
        box.getChildren().add(1, node);
    }

    private static ComboBox<Tone> tones(String id, Tone now, Consumer<Tone> chosen) {
        return choice(id, List.of(Tone.values()), now, Tone::label, chosen);
    }

    private static GridPane controls(
            String id,
            Controls now,
            Consumer<Controls> set,
            java.util.function.Supplier<Controls> current) {
        GridPane grid = grid();
        for (int i = 0; i < AMP.length; i++) {
            int which = i;
            row(
                    grid,
                    AMP[i],
                    slider(
                            id + "-" + AMP[i],
                            -5,
                            5,
                            now.steps()[i],
                            v -> set.accept(current.get().turned(which, v))));
        }
        row(
                grid,
                "pickup",
                choice(
                        id + "-pickup",
                        List.of(false, true),
                        now.neckPickup(),
                        n -> n ? "at the neck" : "at the bridge",
                        n -> set.accept(current.get().withPickup(n))));
        row(
                grid,
                "pick",
                slider(
                        id + "-pick",
                        0,
                        10,
                        now.pick(),
                        v -> set.accept(current.get().withPick(v, current.get().hardness()))));
        row(
                grid,
                "hardness",
                slider(
                        id + "-hardness",
                        0,
                        10,
                        now.hardness(),
                        v -> set.accept(current.get().withPick(current.get().pick(), v))));
        return grid;
    }

    // Band.

    /** Who plays along, how loud, and what. */
    static void band(WriteModel model, Scene owner) {
        Band now = band(model);
        GridPane grid = grid();
        List<Optional<Family>> families =
                new java.util.ArrayList<>(List.of(Optional.<Family>empty()));
        Arrays.stream(Family.values()).forEach(f -> families.add(Optional.of(f)));
        row(
                grid,
                "second guitar",
                on("second", now.second(), f -> change(model, "second guitar", b -> second(b, f))),
                level("second", now.second(), model, Band::second, SoundSheets::second),
                choice(
                        "second-family",
                        families,
                        now.secondFamily(),
                        f ->
                                f.map(x -> x.label().toLowerCase(Locale.ROOT))
                                        .orElse("the same as the first"),
                        f -> change(model, "second guitar", b -> secondFamily(b, f))),
                spread(model, now));
        row(
                grid,
                "bass",
                on(
                        "bass",
                        now.bass(),
                        f -> change(model, "bass", b -> b.withBass(f, b.bassLine()))),
                level("bass", now.bass(), model, Band::bass, (b, f) -> b.withBass(f, b.bassLine())),
                choice(
                        "bass-line",
                        List.of(Band.BassLine.values()),
                        now.bassLine(),
                        Band.BassLine::label,
                        l -> change(model, "bass", b -> b.withBass(b.bass(), l))));
        row(
                grid,
                "kit",
                on("kit", now.kit(), f -> change(model, "kit", b -> b.withKit(f, b.feel()))),
                level("kit", now.kit(), model, Band::kit, (b, f) -> b.withKit(f, b.feel())),
                choice(
                        "feel",
                        List.of(Feel.values()),
                        now.feel(),
                        Feel::label,
                        f -> change(model, "feel", b -> b.withKit(b.kit(), f))));
        row(
                grid,
                "click",
                on("click", now.click(), f -> change(model, "click", b -> b.withClick(f))),
                level("click", now.click(), model, Band::click, Band::withClick));
        VBox content =
                new VBox(
                        14,
                        Sheets.head("Who plays along"),
                        Sheets.caption(
                                "Stand-ins for bandmates. They come in with the next stroke, and go with the"
                                        + " riff into its file and its WAV. Swung moves the guitars' off-beats too."),
                        grid);
        content.getStyleClass().add("help");
        Sheets.open(model, owner, "Band", content, 830, 285);
    }

    private static HBox spread(WriteModel model, Band now) {
        HBox box =
                slider(
                        "spread",
                        0,
                        10,
                        now.spread(),
                        v ->
                                change(
                                        model,
                                        "spread",
                                        b ->
                                                b.withSecond(
                                                        b.second(),
                                                        b.secondFamily(),
                                                        b.secondTone(),
                                                        b.secondControls(),
                                                        v)));
        box.getChildren().add(0, Sheets.caption("apart"));
        ((Slider) box.getChildren().get(1)).setPrefWidth(90);
        return box;
    }

    private static CheckBox on(String id, Fader fader, Consumer<Fader> set) {
        CheckBox box = new CheckBox("plays");
        box.setId(id + "-on");
        box.setSelected(fader.on());
        box.selectedProperty()
                .addListener(
                        o ->
                                set.accept(
                                        new Fader(
                                                box.isSelected(), lastLevel(box, fader.level()))));
        return box;
    }

    /** The level as the slider beside a box has it. */
    private static int lastLevel(CheckBox box, int otherwise) {
        Node slider =
                box.getScene() == null
                        ? null
                        : box.getScene().lookup("#" + box.getId().replace("-on", "-level"));
        return slider instanceof Slider s ? (int) Math.round(s.getValue()) : otherwise;
    }

    private static HBox level(
            String id,
            Fader now,
            WriteModel model,
            Function<Band, Fader> get,
            java.util.function.BiFunction<Band, Fader, Band> set) {
        return slider(
                id + "-level",
                0,
                10,
                now.level(),
                v -> change(model, id + " level", b -> set.apply(b, get.apply(b).at(v))));
    }

    private static Band second(Band b, Fader f) {
        return b.withSecond(f, b.secondFamily(), b.secondTone(), b.secondControls(), b.spread());
    }

    private static Band secondFamily(Band b, Optional<Family> f) {
        return b.withSecond(b.second(), f, b.secondTone(), b.secondControls(), b.spread());
    }

    private static Band secondTone(Band b, Tone t) {
        return b.withSecond(b.second(), b.secondFamily(), t, b.secondControls(), b.spread());
    }

    private static Band secondControls(Band b, Controls c) {
        return b.withSecond(b.second(), b.secondFamily(), b.secondTone(), c, b.spread());
    }

    private static Ground ground(WriteModel model) {
        return model.riff().ground();
    }

    private static Band band(WriteModel model) {
        return ground(model).band();
    }

    private static void change(WriteModel model, String what, UnaryOperator<Band> change) {
        Ground g = ground(model);
        model.setGround(g.withBand(change.apply(g.band())), what);
    }

    private static void setTone(WriteModel model, Tone tone) {
        model.setGround(ground(model).withTone(tone), "tone");
    }

    // Output.

    /** Where the sound goes, how late it comes, and whether it is muted. */
    static void output(WriteModel model, Scene owner) {
        AudioOutput output = model.player().output();
        ComboBox<String> devices =
                choice("device", List.of(model.device()), model.device(), d -> d, d -> {});
        devices.setPrefWidth(320);
        ComboBox<Integer> buffers =
                choice(
                        "buffer",
                        Arrays.stream(BUFFERS).boxed().toList(),
                        output.bufferFrames(),
                        f -> Math.round(f / Player.RATE * 1000) + " ms",
                        f -> model.useDevice(devices.getValue(), f));
        CheckBox muted = new CheckBox("muted");
        muted.setId("muted");
        muted.setSelected(output.muted());
        muted.setOnAction(e -> output.mute(muted.isSelected()));
        Label state = new Label();
        state.setId("output-state");
        state.setWrapText(true);
        GridPane grid = grid();
        row(grid, "device", devices);
        row(grid, "buffer", buffers);
        row(grid, "sound", muted);
        VBox content =
                new VBox(
                        14,
                        Sheets.head("Where the sound goes"),
                        grid,
                        state,
                        Sheets.caption(
                                "Another device may be far louder, so the output is muted after every change"
                                        + " until you let it sound. Listen no longer and no louder than you must, and"
                                        + " give your ears rests: Vocalis cannot measure how loud it is at the ear."));
        content.getStyleClass().add("help");
        Stage stage = Sheets.open(model, owner, "Output", content, 560, 330);
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
        state.setText(state(output));
        stage.setOnHidden(e -> clock.stop());
        model.background()
                .channel((List<String> names) -> offer(devices, names, model, buffers))
                .request(Devices::names);
    }

    private static void offer(
            ComboBox<String> devices,
            List<String> names,
            WriteModel model,
            ComboBox<Integer> buffers) {
        devices.getItems().setAll(names);
        devices.setValue(names.contains(model.device()) ? model.device() : names.get(0));
        devices.valueProperty()
                .addListener(o -> model.useDevice(devices.getValue(), buffers.getValue()));
    }

    private static String state(AudioOutput output) {
        String where =
                switch (output.sink()) {
                    case DEVICE -> output.muted() ? "Playing into silence: muted." : "Sounding.";
                    case SILENT ->
                            "No device: the riff plays on silently, and a device is looked for every"
                                    + " four seconds.";
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
        return where
                + late
                + (dry == 0
                        ? "; the buffer never ran empty."
                        : "; the buffer ran empty "
                                + dry
                                + (dry == 1 ? " time." : " times: take a larger one."));
    }
}
