package vocalis.desktop.write;

import java.util.ArrayList;
import java.util.List;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import javafx.application.Platform;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Control;
import javafx.scene.control.Label;
import javafx.scene.control.Spinner;
import javafx.scene.control.SpinnerValueFactory;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import javafx.util.StringConverter;
import vocalis.core.instrument.Tuning;
import vocalis.core.mix.Mix;
import vocalis.core.rhythm.Meter;
import vocalis.core.rhythm.TempoMap;
import vocalis.core.riff.Ground;
import vocalis.core.riff.Riff;
import vocalis.core.riff.Tone;
import vocalis.core.theory.Key;
import vocalis.core.theory.Mode;
import vocalis.core.theory.Spelling;
import vocalis.desktop.session.Document;
import vocalis.desktop.view.Choices;
import vocalis.desktop.view.Explain;
import vocalis.workbench.base.Subscription;
import vocalis.workbench.document.Edit;
import vocalis.workbench.document.Edits;

/** The first layer: tuning, capo, key and mode, tempo, tone. */
public final class GroundBar extends HBox {

    private static final List<String> TONICS =
            List.of(
                    "C", "C#", "Db", "D", "D#", "Eb", "E", "F", "F#", "Gb", "G", "G#", "Ab", "A",
                    "A#", "Bb", "B");

    private static final List<String> METERS =
            List.of(
                    "4/4", "3/4", "2/4", "5/4", "6/4", "7/4", "3/8", "5/8", "6/8", "7/8", "9/8",
                    "11/8", "12/8");

    private final Document session;
    private final ComboBox<Tuning> tuning = new ComboBox<>();
    private final ComboBox<Integer> capo = new ComboBox<>();
    private final ComboBox<Spelling> tonic = new ComboBox<>();
    private final ComboBox<Mode> mode = new ComboBox<>();
    private final Spinner<Integer> tempo = new Spinner<>();
    private final ComboBox<Tone> tone = new ComboBox<>();
    private final ComboBox<Meter> meter = new ComboBox<>();
    private final Button band = new Button();
    private final Subscription listening;
    private boolean refreshing;

    /**
     * @param openBand opens the sheet of who plays along
     */
    public GroundBar(Document session, Runnable openBand) {
        this.session = session;
        getStyleClass().add("ground-bar");
        setAlignment(Pos.CENTER_LEFT);
        tuning.getItems().setAll(Tuning.offered());
        Choices.words(
                tuning,
                t -> t.name().equals("standard") ? t.letters() : t.letters() + "  " + t.name());
        capo.getItems().setAll(IntStream.rangeClosed(0, 9).boxed().toList());
        Choices.words(capo, c -> c == 0 ? "none" : "fret " + c);
        tonic.getItems().setAll(TONICS.stream().map(Spelling::parse).toList());
        Choices.words(tonic, Spelling::symbol);
        mode.getItems().setAll(Mode.builtIn());
        Choices.words(mode, Mode::name);
        meter.getItems().setAll(METERS.stream().map(Meter::parse).toList());
        Choices.words(meter, Meter::symbol);
        tone.getItems().setAll(Tone.values());
        Choices.words(tone, Tone::label);
        tempo.setValueFactory(
                new SpinnerValueFactory.IntegerSpinnerValueFactory(
                        TempoMap.SLOWEST, TempoMap.FASTEST, 100, 2));
        tempo.setEditable(true);
        tempo.getValueFactory().setConverter(tempoConverter());
        getChildren().addAll(pitches());
        getChildren().addAll(times());
        band.getStyleClass().add("band-button");
        band.setOnAction(e -> openBand.run());
        wire();
        refresh();
        listening = session.onChange(this::refresh);
    }

    private List<Node> pitches() {
        return List.of(
                field(
                        "tuning",
                        "tuning",
                        tuning,
                        new double[] {92, 158},
                        "The open strings, lowest first; Instrument and hand, in the menu, sets them by their notes."),
                field(
                        "capo",
                        "capo",
                        capo,
                        new double[] {58, 84},
                        "Fret of the capo; frets are counted from it."),
                field(
                        "key",
                        "key-tonic",
                        tonic,
                        new double[] {52, 66},
                        "The tonic. Roots are steps of the key and move with it; Explore reads the riff"
                                + " in another key without moving a note."),
                field(
                        "mode",
                        "key-mode",
                        mode,
                        new double[] {98, 152},
                        "The scale over the tonic."));
    }

    private List<Node> times() {
        return List.of(
                field(
                        "tempo",
                        "tempo",
                        tempo,
                        new double[] {62, 78},
                        "Quarter notes a minute, 20 to 400."),
                field(
                        "meter",
                        "meter",
                        meter,
                        new double[] {54, 68},
                        "Beats in a bar. Chords and figures of whole bars keep their bars."),
                field(
                        "tone",
                        "tone",
                        tone,
                        new double[] {60, 78},
                        "The amplifier: clean, edge or gain; Tone, in the menu Sound, turns its controls."),
                field(
                        "band",
                        "along",
                        band,
                        new double[] {64, 120},
                        "Second guitar, bass, kit and click (W)."));
    }

    /** Ends listening to the document. */
    public void dispose() {
        listening.close();
    }

    /** Puts the caret on the first field. */
    public void focusFirst() {
        tuning.requestFocus();
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
                String typed = text.strip();
                int bpm = typed.matches("\\d{1,4}") ? Integer.parseInt(typed) : 0;
                if (bpm >= TempoMap.SLOWEST && bpm <= TempoMap.FASTEST) {
                    return bpm;
                }
                session.say(
                        "Tempo: \""
                                + typed
                                + "\" is not a whole number from "
                                + TempoMap.SLOWEST
                                + " to "
                                + TempoMap.FASTEST
                                + "; it stays at "
                                + session.now().tempo()
                                + ".");
                return session.now().tempo();
            }
        };
    }

    private void commitTempo() {
        tempo.commitValue();
        tempo.getEditor().setText(String.valueOf(tempo.getValue()));
    }

    private static Node field(
            String caption, String id, Control control, double[] widths, String meaning) {
        Label label = new Label(caption);
        label.getStyleClass().add("caption");
        label.setLabelFor(control);
        control.setId(id);
        control.setMinWidth(widths[0]);
        control.setPrefWidth(widths[1]);
        control.setMaxWidth(widths[1]);
        control.getStyleClass().add("ground-field");
        control.setAccessibleText(caption);
        Explain.means(label, meaning);
        Explain.means(control, meaning);
        VBox box = new VBox(0, label, control);
        HBox.setHgrow(box, Priority.SOMETIMES);
        box.setMaxWidth(widths[1]);
        return box;
    }

    private void wire() {
        tuning.valueProperty()
                .addListener(o -> edit("tuning", g -> g.withTuning(tuning.getValue())));
        capo.valueProperty().addListener(o -> edit("capo", g -> g.withCapo(capo.getValue())));
        tonic.valueProperty().addListener(o -> editKey("key"));
        mode.valueProperty().addListener(o -> editKey("mode"));
        tone.valueProperty().addListener(o -> edit("tone", g -> g.withTone(tone.getValue())));
        meter.valueProperty().addListener(o -> apply(Edits.meter(meter.getValue())));
        tempo.valueProperty().addListener(o -> apply(Edits.tempo(tempo.getValue())));
        tempo.focusedProperty()
                .addListener(
                        o -> {
                            if (tempo.isFocused()) {
                                // A spinner's editor does not select its text by itself.
                                Platform.runLater(tempo.getEditor()::selectAll);
                            } else {
                                commitTempo();
                            }
                        });
    }

    /** Roots are steps of the key: when it changes they move along, and that is said. */
    private void editKey(String what) {
        if (refreshing) {
            return;
        }
        String before = roots();
        edit(what, this::withKey);
        String after = roots();
        if (!before.equals(after)) {
            session.say(
                    "The roots moved with the key: "
                            + before
                            + " became "
                            + after
                            + ". Ctrl Z takes it back.");
        }
    }

    private String roots() {
        Riff r = session.now();
        Key key = r.ground().key();
        String all =
                r.roots().stream()
                        .limit(8)
                        .map(s -> key.say(s.root().pitchClass(key)).symbol())
                        .collect(Collectors.joining(" "));
        return r.roots().size() > 8 ? all + " …" : all;
    }

    private Ground withKey(Ground g) {
        return g.withKey(new Key(tonic.getValue(), mode.getValue()));
    }

    private void edit(String what, UnaryOperator<Ground> change) {
        apply(Edits.ground(what, change));
    }

    /** An edit that is refused puts the field back to what the riff has. */
    private void apply(Edit edit) {
        if (!refreshing && !session.apply(edit)) {
            Platform.runLater(this::refresh);
        }
    }

    private void refresh() {
        refreshing = true;
        Riff r = session.now();
        Ground g = r.ground();
        offer(tuning, g.instrument().tuning());
        offer(capo, g.capo());
        offer(tonic, g.key().tonic());
        offer(mode, g.key().mode());
        offer(meter, r.meters().meter(0));
        tone.setValue(g.tone());
        band.setText(alongWith(session.piece().mix()));
        if (!tempo.isFocused() || !tempo.getEditor().isFocused()) {
            tempo.getValueFactory().setValue(r.tempo());
        } else if (!tempo.getValue().equals(r.tempo())) {
            tempo.getValueFactory().setValue(r.tempo());
        }
        refreshing = false;
    }

    private static String alongWith(Mix b) {
        List<String> who = new ArrayList<>();
        who.add(b.second().on() ? "guitar" : "");
        who.add(b.bass().on() ? "bass" : "");
        who.add(b.kit().on() ? "kit" : "");
        who.add(b.click().on() ? "click" : "");
        who.removeIf(String::isEmpty);
        return who.isEmpty() ? "off" : String.join(", ", who);
    }

    /** Shows a value, adding it to the list when a file brought one that is not offered. */
    private static <T> void offer(ComboBox<T> box, T value) {
        if (!box.getItems().contains(value)) {
            box.getItems().add(value);
        }
        box.setValue(value);
    }
}
