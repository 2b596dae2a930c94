package vocalis.desktop.sheets;

import java.util.Optional;
import java.util.function.BiConsumer;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.Spinner;
import javafx.scene.control.TextField;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.VBox;
import vocalis.core.hands.Hand;
import vocalis.core.instrument.Fretboard;
import vocalis.core.instrument.Gauge;
import vocalis.core.instrument.Instrument;
import vocalis.core.instrument.Tuning;
import vocalis.core.theory.Note;
import vocalis.core.theory.Spelling;
import vocalis.desktop.session.Session;
import vocalis.desktop.view.Choices;
import vocalis.desktop.view.Sheets;
import vocalis.workbench.document.Edits;

/** The instrument by its notes, scale and frets, and the player's hand, chosen or measured. */
public final class InstrumentSheet {

    private static final int INDEX_FRET = 5;

    private final TextField tuning = new TextField();
    private final Spinner<Integer> frets = new Spinner<>(12, 27, 24);
    private final Spinner<Double> scale = new Spinner<>(300.0, 900.0, 648.0, 1.0);
    private final CheckBox leftHanded = new CheckBox("left-handed neck");
    private final ComboBox<Gauge> gauge = new ComboBox<>();
    private final ComboBox<String> hand = new ComboBox<>();
    private final Spinner<Integer> little = new Spinner<>(6, 12, 8);
    private final Label trouble = new Label();
    private final Instrument before;
    private final Hand handBefore;

    private InstrumentSheet(Instrument instrument, Hand now) {
        before = instrument;
        handBefore = now;
        tuning.setId("tuning-notes");
        tuning.setPrefColumnCount(26);
        tuning.getStyleClass().add("find");
        tuning.setText(notes(instrument.tuning()));
        frets.getValueFactory().setValue(instrument.frets());
        scale.setEditable(true);
        scale.getValueFactory().setValue(instrument.scaleMm());
        leftHanded.setSelected(instrument.leftHanded());
        gauge.getItems().addAll(Gauge.values());
        Choices.words(gauge, Gauge::label);
        gauge.setValue(instrument.gauge());
        gauge.setId("gauge");
        Hand.offered().forEach(h -> hand.getItems().add(h.name()));
        hand.getItems().add("measured");
        Choices.words(hand, h -> h);
        hand.setValue(hand.getItems().contains(now.name()) ? now.name() : "measured");
        hand.setId("hand");
        little.setId("little-finger");
        trouble.getStyleClass().add("warning");
        trouble.setWrapText(true);
    }

    /** Opens it for the riff and the hand as they are; what is taken changes both. */
    public static void show(Session session, Sheets host) {
        show(
                host,
                session.now().ground().instrument(),
                session.hand(),
                (instrument, hand) -> {
                    session.workspace().setHand(hand);
                    session.apply(
                            Edits.ground(
                                    "instrument",
                                    g ->
                                            g.capo() > instrument.frets() - 12
                                                    ? g.withCapo(0).withInstrument(instrument)
                                                    : g.withInstrument(instrument)));
                });
    }

    /** Opens it; what is entered is given when the player takes it. */
    private static void show(
            Sheets host, Instrument instrument, Hand now, BiConsumer<Instrument, Hand> taken) {
        InstrumentSheet s = new InstrumentSheet(instrument, now);
        GridPane grid = Choices.grid();
        Choices.row(grid, "tuned, lowest string first", s.tuning);
        Choices.row(grid, "frets", s.frets);
        Choices.row(grid, "scale length, mm", s.scale);
        Choices.row(grid, "strings", s.gauge);
        Choices.row(grid, "", s.leftHanded);
        Choices.row(grid, "hand", s.hand);
        Choices.row(
                grid,
                "measured: index on fret " + INDEX_FRET + ", little finger at ease on fret",
                s.little);
        Button take = new Button("Take it  ⏎");
        take.setId("instrument-take");
        take.getStyleClass().add("use-button");
        VBox content = new VBox(14, grid, s.trouble, take);
        content.getStyleClass().add("help");
        Sheets.Sheet sheet = host.open("Instrument and hand", content, 600);
        Runnable accept =
                () ->
                        s.instrument()
                                .ifPresent(
                                        made -> {
                                            sheet.close();
                                            taken.accept(made, s.hand(made));
                                        });
        take.setOnAction(e -> accept.run());
        s.tuning.setOnAction(e -> accept.run());
    }

    private static String notes(Tuning t) {
        return String.join(
                " ",
                t.open().stream()
                        .map(m -> Note.at(Spelling.plain(m), m))
                        .map(Note::ascii)
                        .toList());
    }

    /** What is entered, or empty with the trouble said. */
    private Optional<Instrument> instrument() {
        try {
            scale.commitValue();
            Tuning entered = Tuning.parse("own", tuning.getText());
            Tuning named =
                    Tuning.offered().stream()
                            .filter(t -> t.open().equals(entered.open()))
                            .findFirst()
                            .orElse(
                                    entered.open().equals(before.tuning().open())
                                            ? before.tuning()
                                            : entered);
            return Optional.of(
                    new Instrument(
                            named,
                            frets.getValue(),
                            scale.getValue(),
                            leftHanded.isSelected(),
                            gauge.getValue()));
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
