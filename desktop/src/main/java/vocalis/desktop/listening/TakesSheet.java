package vocalis.desktop.listening;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.VBox;
import vocalis.desktop.session.Hearing;
import vocalis.desktop.session.Session;
import vocalis.desktop.view.Choices;
import vocalis.desktop.view.HoldToHear;
import vocalis.desktop.view.Sheets;
import vocalis.sound.device.Devices;
import vocalis.workbench.takes.TakePlayer;
import vocalis.workbench.takes.TakeShelf;

/** The takes of the open riff: heard one against another, and against the riff as it is written. */
final class TakesSheet {

    private static final double WIDTH = 760;

    private final Session session;
    private final Hearing hearing;
    private final TakeShelf shelf;
    private final GridPane rows = Choices.grid();
    private final Label state = Choices.caption("");
    private final List<Button> buttons = new ArrayList<>();
    private List<TakeShelf.Kept> kept = List.of();
    private Optional<TakePlayer> playing = Optional.empty();
    private boolean asked;

    private TakesSheet(Session session, Hearing hearing, TakeShelf shelf) {
        this.session = session;
        this.hearing = hearing;
        this.shelf = shelf;
    }

    static void show(Session session, Hearing hearing, TakeShelf shelf, Sheets host) {
        new TakesSheet(session, hearing, shelf).open(host);
    }

    private void open(Sheets host) {
        state.setId("takes-state");
        VBox body =
                new VBox(
                        14,
                        Choices.caption(
                                "Hold a take, or H, to hear it; hold J to hear the riff as it is written."
                                        + " ↑ ↓ choose, Delete throws one away."),
                        rows,
                        state);
        body.getStyleClass().add("help");
        body.setFocusTraversable(true);
        body.addEventHandler(KeyEvent.KEY_PRESSED, this::pressed);
        body.addEventHandler(
                KeyEvent.KEY_RELEASED,
                e -> {
                    if (e.getCode() == KeyCode.H) {
                        silence();
                    } else if (e.getCode() == KeyCode.J) {
                        hearing.endPreview();
                    }
                });
        Sheets.Sheet sheet = host.open("Takes of " + session.piece().title(), body, WIDTH);
        sheet.onClosed(
                () -> {
                    silence();
                    hearing.endPreview();
                });
        sheet.focus(body);
        look();
    }

    private void look() {
        String piece = session.piece().id();
        session.attempt("looking for takes", () -> shelf.all(piece), this::fill, state::setText);
    }

    private void fill(List<TakeShelf.Kept> all) {
        kept = all;
        rows.getChildren().clear();
        buttons.clear();
        state.setText(
                all.isEmpty()
                        ? "None yet. In Practise let it listen, then keep a pass that was told."
                        : "");
        for (TakeShelf.Kept k : all) {
            Button b = new Button(k.when());
            b.setId("take-" + (buttons.size() + 1));
            b.getStyleClass().addAll("quiet-button", "mono");
            HoldToHear.mouse(b, () -> hear(k), this::silence);
            buttons.add(b);
            Label words = Choices.text(k.words());
            words.setMaxWidth(WIDTH - 260);
            rows.addRow(rows.getRowCount(), b, words);
        }
        if (!buttons.isEmpty()) {
            buttons.get(0).requestFocus();
        }
    }

    private boolean hear(TakeShelf.Kept k) {
        var player = session.player();
        if (player.output().muted()) {
            state.setText("The sound is muted: Ctrl M lets it sound.");
            return false;
        }
        if (playing.isEmpty() && !asked) {
            asked = true;
            session.attempt(
                    "reading a take",
                    () -> TakeShelf.read(k),
                    take -> {
                        if (asked) {
                            playing =
                                    Optional.of(
                                            new TakePlayer(
                                                    take,
                                                    Devices.opener(hearing.device()),
                                                    player.volume()));
                        }
                    },
                    state::setText);
        }
        return true;
    }

    private void silence() {
        asked = false;
        playing.ifPresent(TakePlayer::close);
        playing = Optional.empty();
    }

    private int at() {
        for (int i = 0; i < buttons.size(); i++) {
            if (buttons.get(i).isFocused()) {
                return i;
            }
        }
        return buttons.isEmpty() ? -1 : 0;
    }

    private void pressed(KeyEvent e) {
        int at = at();
        switch (e.getCode()) {
            case UP, DOWN -> {
                if (at >= 0) {
                    int by = e.getCode() == KeyCode.UP ? -1 : 1;
                    buttons.get(Math.max(0, Math.min(buttons.size() - 1, at + by))).requestFocus();
                }
            }
            case H -> {
                if (at >= 0) {
                    hear(kept.get(at));
                }
            }
            case J -> {
                if (!hearing.previewing()) {
                    hearing.preview(session.piece());
                }
            }
            case DELETE, BACK_SPACE -> {
                if (at >= 0) {
                    throwAway(kept.get(at));
                }
            }
            default -> {
                return;
            }
        }
        e.consume();
    }

    private void throwAway(TakeShelf.Kept k) {
        silence();
        session.attempt(
                "throwing a take away",
                () -> {
                    TakeShelf.delete(k);
                    return k;
                },
                gone -> {
                    session.say("The take of " + gone.when() + " is gone.");
                    look();
                },
                state::setText);
    }
}
