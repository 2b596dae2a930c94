package vocalis.desktop.revoice;

import java.util.List;
import java.util.Random;
import javafx.scene.control.Label;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.VBox;
import vocalis.core.revoice.Row;
import vocalis.desktop.session.Hearing;
import vocalis.desktop.session.Teller;
import vocalis.desktop.view.Choices;
import vocalis.desktop.view.Sheets;
import vocalis.workbench.words.RevoiceWords;

/**
 * Two treatments heard without knowing which is which: 1 and 2 sound them, Enter prefers the one
 * that sounds, then chance deals anew; closing tells what was preferred.
 */
public final class BlindSheet {

    private final Teller session;
    private final RevoiceModel revoice;
    private final Hearing hearing;
    private final Random chance = new Random();
    private final Label state = Choices.text("");
    private List<Row> dealt;
    private int sounding = -1;
    private int forMix;
    private int rounds;

    private BlindSheet(Teller session, RevoiceModel revoice, Hearing hearing) {
        this.session = session;
        this.revoice = revoice;
        this.hearing = hearing;
    }

    /** Opens it for the mix and the row under the caret. */
    public static void show(Teller session, RevoiceModel revoice, Hearing hearing, Sheets host) {
        BlindSheet sheet = new BlindSheet(session, revoice, hearing);
        if (!sheet.deal()) {
            session.say(
                    "Choose a row beside As written: blind hearing sets the two against each other.");
            return;
        }
        sheet.open(host);
    }

    private boolean deal() {
        dealt = revoice.blind(chance).orElse(null);
        sounding = -1;
        return dealt != null;
    }

    private void open(Sheets host) {
        state.setId("blind");
        VBox body =
                new VBox(
                        12,
                        Choices.caption(
                                "Your mix and "
                                        + RevoiceWords.name(revoice.current().orElseThrow())
                                        + ", at one loudness, dealt by chance. 1 and 2 sound them from the"
                                        + " next stroke, Enter prefers the one that sounds. Esc ends and tells."),
                        state);
        body.getStyleClass().add("help");
        body.setFocusTraversable(true);
        String other = RevoiceWords.name(revoice.current().orElseThrow());
        Sheets.Sheet sheet = host.open("Blind", body, 560);
        sheet.onClosed(
                () -> {
                    hearing.endPreview();
                    session.say(
                            rounds == 0
                                    ? "Nothing was preferred."
                                    : "Of "
                                            + rounds
                                            + (rounds == 1 ? " choice " : " choices ")
                                            + forMix
                                            + " for as written, "
                                            + (rounds - forMix)
                                            + " for "
                                            + other
                                            + ".");
                });
        body.addEventHandler(KeyEvent.KEY_PRESSED, this::pressed);
        say();
        sheet.focus(body);
    }

    private void pressed(KeyEvent e) {
        if (e.getCode() == KeyCode.DIGIT1 || e.getCode() == KeyCode.DIGIT2) {
            sounding = e.getCode() == KeyCode.DIGIT1 ? 0 : 1;
            hearing.preview(dealt.get(sounding).riff());
        } else if (e.getCode() == KeyCode.ENTER && sounding >= 0) {
            forMix += dealt.get(sounding).mix() ? 1 : 0;
            rounds++;
            deal();
        } else {
            return;
        }
        say();
        e.consume();
    }

    private void say() {
        state.setText(
                (sounding < 0 ? "Press 1 or 2." : sounding == 0 ? "1 sounds." : "2 sounds.")
                        + (rounds == 0 ? "" : "  Choices so far: " + rounds + "."));
    }
}
