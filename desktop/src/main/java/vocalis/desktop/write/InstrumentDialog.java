package vocalis.desktop.write;

import java.util.Optional;
import javafx.scene.control.ButtonType;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Dialog;
import javafx.scene.control.Label;
import javafx.scene.control.Spinner;
import javafx.scene.control.TextField;
import javafx.scene.layout.GridPane;
import javafx.stage.Window;
import vocalis.core.hands.Hand;
import vocalis.core.instrument.Fretboard;
import vocalis.core.instrument.Instrument;
import vocalis.core.instrument.Tuning;
import vocalis.core.theory.Note;
import vocalis.core.theory.Spelling;

/** The instrument by its notes, scale and frets, and the player's hand, chosen or measured. */
public final class InstrumentDialog extends Dialog<InstrumentDialog.Answer> {

    private static final int INDEX_FRET = 5;

    /** What the dialog gives. */
    public record Answer(Instrument instrument, Hand hand) {}

    private final TextField tuning = new TextField();
    private final Spinner<Integer> frets = new Spinner<>(12, 27, 24);
    private final Spinner<Double> scale = new Spinner<>(300.0, 900.0, 648.0, 1.0);
    private final CheckBox leftHanded = new CheckBox("left-handed neck");
    private final ComboBox<String> hand = new ComboBox<>();
    private final Spinner<Integer> little = new Spinner<>(6, 12, 8);
    private final Label trouble = new Label();
    private final Instrument before;
    private final Hand handBefore;

    public InstrumentDialog(Window owner, Instrument instrument, Hand now) {
        before = instrument;
        handBefore = now;
        initOwner(owner);
        setTitle("Instrument and hand");
        setHeaderText("Instrument and hand");
        setGraphic(null);
        tuning.setId("tuning-notes");
        tuning.setPrefColumnCount(26);
        tuning.setText(notes(instrument.tuning()));
        frets.getValueFactory().setValue(instrument.frets());
        scale.setEditable(true);
        scale.getValueFactory().setValue(instrument.scaleMm());
        leftHanded.setSelected(instrument.leftHanded());
        Hand.offered().forEach(h -> hand.getItems().add(h.name()));
        hand.getItems().add("measured");
        hand.setValue(hand.getItems().contains(now.name()) ? now.name() : "measured");
        hand.setId("hand");
        little.setId("little-finger");
        GridPane grid = new GridPane();
        grid.getStyleClass().add("figures");
        grid.addRow(0, new Label("strings, lowest first"), tuning);
        grid.addRow(1, new Label("frets"), frets);
        grid.addRow(2, new Label("scale length, mm"), scale);
        grid.addRow(3, new Label(""), leftHanded);
        grid.addRow(4, new Label("hand"), hand);
        grid.addRow(
                5,
                new Label(
                        "measured: index on fret "
                                + INDEX_FRET
                                + ",\nlittle finger at ease on fret"),
                little);
        trouble.getStyleClass().add("warning");
        trouble.setWrapText(true);
        grid.add(trouble, 0, 6, 2, 1);
        getDialogPane().setContent(grid);
        getDialogPane().getButtonTypes().addAll(ButtonType.OK, ButtonType.CANCEL);
        getDialogPane()
                .lookupButton(ButtonType.OK)
                .addEventFilter(
                        javafx.event.ActionEvent.ACTION,
                        e -> {
                            if (answer().isEmpty()) {
                                e.consume();
                            }
                        });
        setResultConverter(b -> b == ButtonType.OK ? answer().orElse(null) : null);
    }

    private static String notes(Tuning t) {
        return String.join(
                " ", t.open().stream().map(m -> Spelling.plain(m).at(m)).map(Note::ascii).toList());
    }

    /** What is entered, or empty with the trouble said. */
    private Optional<Answer> answer() {
        try {
            Tuning entered = Tuning.parse("own", tuning.getText());
            Tuning named =
                    Tuning.offered().stream()
                            .filter(t -> t.open().equals(entered.open()))
                            .findFirst()
                            .orElse(
                                    entered.open().equals(before.tuning().open())
                                            ? before.tuning()
                                            : entered);
            Instrument made =
                    new Instrument(
                            named, frets.getValue(), scale.getValue(), leftHanded.isSelected());
            return Optional.of(new Answer(made, hand(made)));
        } catch (IllegalArgumentException e) {
            trouble.setText(e.getMessage());
            return Optional.empty();
        }
    }

    private Hand hand(Instrument made) {
        for (Hand h : Hand.offered()) {
            if (h.name().equals(hand.getValue())) {
                return h;
            }
        }
        double mm = new Fretboard(made, 0).spanMm(INDEX_FRET, little.getValue());
        return handBefore.name().equals("measured") && mm == handBefore.comfortMm()
                ? handBefore
                : new Hand("measured", Math.max(50, mm));
    }
}
