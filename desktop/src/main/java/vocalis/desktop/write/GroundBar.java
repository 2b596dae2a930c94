package vocalis.desktop.write;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;
import java.util.stream.IntStream;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.Spinner;
import javafx.scene.control.SpinnerValueFactory;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import javafx.util.StringConverter;
import vocalis.core.instrument.Tuning;
import vocalis.core.riff.Band;
import vocalis.core.riff.Ground;
import vocalis.core.riff.Tone;
import vocalis.core.theory.Key;
import vocalis.core.theory.Mode;
import vocalis.core.theory.Spelling;

/** The first layer: tuning, capo, key and mode, tempo, tone. */
final class GroundBar extends HBox {

    private static final List<String> TONICS =
            List.of(
                    "C", "C#", "Db", "D", "D#", "Eb", "E", "F", "F#", "Gb", "G", "G#", "Ab", "A",
                    "A#", "Bb", "B");

    private final WriteModel model;
    private final ComboBox<Tuning> tuning = new ComboBox<>();
    private final ComboBox<Integer> capo = new ComboBox<>();
    private final ComboBox<Spelling> tonic = new ComboBox<>();
    private final ComboBox<Mode> mode = new ComboBox<>();
    private final Spinner<Integer> tempo = new Spinner<>();
    private final ComboBox<Tone> tone = new ComboBox<>();
    private final Button band = new Button();
    private boolean refreshing;

    /**
     * @param openBand opens the sheet of who plays along
     */
    GroundBar(WriteModel model, Runnable openBand) {
        this.model = model;
        getStyleClass().add("ground-bar");
        setAlignment(Pos.CENTER_LEFT);
        tuning.getItems().setAll(Tuning.offered());
        show(
                tuning,
                t -> t.name().equals("standard") ? t.letters() : t.letters() + "  " + t.name());
        capo.getItems().setAll(IntStream.rangeClosed(0, 9).boxed().toList());
        show(capo, c -> c == 0 ? "none" : "fret " + c);
        tonic.getItems().setAll(TONICS.stream().map(Spelling::parse).toList());
        show(tonic, Spelling::symbol);
        mode.getItems().setAll(Mode.builtIn());
        show(mode, Mode::name);
        tone.getItems().setAll(Tone.values());
        show(tone, Tone::label);
        tempo.setValueFactory(
                new SpinnerValueFactory.IntegerSpinnerValueFactory(
                        Ground.SLOWEST, Ground.FASTEST, 100, 2));
        tempo.setEditable(true);
        tempo.getValueFactory().setConverter(tempoConverter());
        getChildren()
                .addAll(
                        field("tuning", "tuning", tuning, 158),
                        field("capo", "capo", capo, 80),
                        field("key", "key-tonic", tonic, 66),
                        field("mode", "key-mode", mode, 152),
                        field("tempo", "tempo", tempo, 82),
                        field("tone", "tone", tone, 82),
                        field("plays along", "band", band, 128));
        band.getStyleClass().add("band-button");
        band.setTooltip(new Tooltip("Second guitar, bass, kit and click (W)"));
        band.setOnAction(e -> openBand.run());
        wire();
        refresh();
        model.scoreProperty().addListener(o -> refresh());
    }

    /** Puts the caret on the first field. */
    void focusFirst() {
        tuning.requestFocus();
    }

    private static <T> void show(ComboBox<T> box, Function<T, String> text) {
        box.setConverter(
                new StringConverter<>() {
                    @Override
                    public String toString(T value) {
                        return value == null ? "" : text.apply(value);
                    }

                    @Override
                    public T fromString(String string) {
                        throw new UnsupportedOperationException(
                                "this list is chosen from, not typed");
                    }
                });
        box.setVisibleRowCount(14);
    }

    /** Text that is no tempo leaves the tempo as it was. */
    private StringConverter<Integer> tempoConverter() {
        return new StringConverter<>() {
            @Override
            public String toString(Integer value) {
                return String.valueOf(value);
            }

            @Override
            public Integer fromString(String text) {
                try {
                    int bpm = Integer.parseInt(text.strip());
                    return Math.max(Ground.SLOWEST, Math.min(Ground.FASTEST, bpm));
                } catch (NumberFormatException e) {
                    return model.riff().ground().tempo();
                }
            }
        };
    }

    private static Node field(
            String caption, String id, javafx.scene.control.Control control, double width) {
        Label label = new Label(caption);
        label.getStyleClass().add("caption");
        label.setLabelFor(control);
        control.setId(id);
        control.setPrefWidth(width);
        control.setMinWidth(width);
        control.getStyleClass().add("ground-field");
        control.setAccessibleText(caption);
        return new VBox(0, label, control);
    }

    private void wire() {
        tuning.valueProperty()
                .addListener(o -> edit("tuning", g -> g.withTuning(tuning.getValue())));
        capo.valueProperty().addListener(o -> edit("capo", g -> g.withCapo(capo.getValue())));
        tonic.valueProperty().addListener(o -> edit("key", this::withKey));
        mode.valueProperty().addListener(o -> edit("mode", this::withKey));
        tone.valueProperty().addListener(o -> edit("tone", g -> g.withTone(tone.getValue())));
        tempo.valueProperty().addListener(o -> edit("tempo", g -> g.withTempo(tempo.getValue())));
        tempo.focusedProperty()
                .addListener(
                        o -> {
                            if (!tempo.isFocused()) {
                                tempo.commitValue();
                            }
                        });
    }

    private Ground withKey(Ground g) {
        return g.withKey(new Key(tonic.getValue(), mode.getValue()));
    }

    private void edit(String what, Function<Ground, Ground> change) {
        if (!refreshing) {
            Ground before = model.riff().ground();
            Ground after = change.apply(before);
            if (!after.equals(before)) {
                model.setGround(after, what);
            }
        }
    }

    private void refresh() {
        refreshing = true;
        Ground g = model.riff().ground();
        offer(tuning, g.instrument().tuning());
        offer(capo, g.capo());
        offer(tonic, g.key().tonic());
        offer(mode, g.key().mode());
        tone.setValue(g.tone());
        band.setText(alongWith(g.band()));
        tempo.getValueFactory().setValue(g.tempo());
        refreshing = false;
    }

    private static String alongWith(Band b) {
        List<String> who = new ArrayList<>();
        who.add(b.second().on() ? "guitar" : "");
        who.add(b.bass().on() ? "bass" : "");
        who.add(b.kit().on() ? "kit" : "");
        who.add(b.click().on() ? "click" : "");
        who.removeIf(String::isEmpty);
        return who.isEmpty() ? "nobody" : String.join(", ", who);
    }

    /** Shows a value, adding it to the list when a file brought one that is not offered. */
    private static <T> void offer(ComboBox<T> box, T value) {
        if (!box.getItems().contains(value)) {
            box.getItems().add(value);
        }
        box.setValue(value);
    }
}
