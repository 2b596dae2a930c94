package vocalis.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import javafx.scene.input.KeyCode;
import javafx.stage.Stage;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.framework.junit5.Start;
import vocalis.core.piece.Piece;
import vocalis.core.voicing.Family;
import vocalis.workbench.demo.Demo;

/** The card that leads is the one that the family's digit takes, in every family. */
@ExtendWith(ApplicationExtension.class)
class LeadingCardTest extends WindowDriver {

    @Start
    void start(Stage stage) {
        open(stage);
    }

    @Override
    Piece first() {
        return Demo.pieces().get(2);
    }

    @Test
    void theFirstCardIsWhatTheDigitTakes(FxRobot robot) {
        press(robot, KeyCode.RIGHT);
        int chord = fx(() -> model().caret().chordProperty().get());
        for (Family f : Family.values()) {
            fx(
                    () -> {
                        model().browse(f);
                        return null;
                    });
            await(
                    "cards of " + f,
                    () ->
                            fx(
                                    () ->
                                            !model().offer().lookingProperty().get()
                                                    && model().shown().familyProperty().get()
                                                            == f));
            String leads =
                    fx(
                            () ->
                                    model().shown()
                                            .cardsProperty()
                                            .get()
                                            .get(0)
                                            .first()
                                            .voicing()
                                            .shape()
                                            .text());
            press(robot, KeyCode.valueOf("DIGIT" + f.digit()));
            assertThat(chord(chord).candidate().voicing().shape().text())
                    .as(f.toString())
                    .isEqualTo(leads);
        }
    }
}
