package vocalis.desktop.ear;

import java.time.Clock;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import vocalis.core.ear.EarKind;
import vocalis.core.ear.EarQuestion;
import vocalis.desktop.pictures.RiffPicture;
import vocalis.desktop.practise.PracticeDiary;
import vocalis.desktop.session.Hearing;
import vocalis.desktop.session.Session;
import vocalis.desktop.view.Choices;
import vocalis.desktop.view.HoldToHear;
import vocalis.desktop.view.Sheets;
import vocalis.workbench.library.Library;
import vocalis.workbench.words.EarWords;

/** A round for the ear: one or two voicings are heard, a question answered, the notes shown. */
public final class EarSheet {

    private static final double WIDTH = 640;
    private static final double PICTURE = 250;

    private final EarModel model;
    private final Hearing hearing;
    private final Clock clock;
    private final Label count = Choices.caption("");
    private final Label question = Choices.text("…", "help-head");
    private final HBox sounds = new HBox(10);
    private final HBox answers = new HBox(10);
    private final Label result = Choices.text("");
    private final RiffPicture picture = new RiffPicture(true);
    private final Button next = new Button("Next question  ⏎");
    private Sheets.Sheet sheet;
    private Optional<EarModel.Ready> now = Optional.empty();
    private boolean told;

    private EarSheet(EarModel model, Hearing hearing, Clock clock) {
        this.model = model;
        this.hearing = hearing;
        this.clock = clock;
    }

    /** Opens a round on the roots of the open riff and of the logbook. */
    public static void show(
            Session session, PracticeDiary diary, Library library, Hearing hearing, Sheets host) {
        Clock clock = Clock.systemUTC();
        EarModel model = new EarModel(session, diary, library, clock.millis());
        new EarSheet(model, hearing, clock).open(host);
    }

    private void open(Sheets host) {
        question.setId("ear-question");
        result.setId("ear-result");
        result.setWrapText(true);
        result.setMinHeight(42);
        picture.setMinHeight(PICTURE);
        picture.setPrefHeight(PICTURE);
        next.setId("ear-next");
        next.getStyleClass().add("use-button");
        next.setOnAction(e -> ask());
        VBox body =
                new VBox(
                        14,
                        Choices.caption(
                                "Roots of your own riffs, voiced on this instrument, all equally loud."
                                        + " Hold H for the first, J for the second; the digits answer."),
                        count,
                        question,
                        sounds,
                        answers,
                        result,
                        picture,
                        new HBox(next));
        body.getStyleClass().add("help");
        body.setFocusTraversable(true);
        body.addEventHandler(KeyEvent.KEY_PRESSED, this::pressed);
        body.addEventHandler(KeyEvent.KEY_RELEASED, this::released);
        sheet = host.open("For the ear", body, WIDTH);
        sheet.onClosed(
                () -> {
                    hearing.endHearing();
                    model.keep(clock.millis());
                });
        sheet.focus(body);
        ask();
    }

    private void ask() {
        hearing.endHearing();
        if (model.asked() == EarModel.QUESTIONS) {
            sheet.close();
            return;
        }
        now = Optional.empty();
        told = false;
        question.setText("…");
        sounds.getChildren().clear();
        answers.getChildren().clear();
        result.setText("");
        picture.setVisible(false);
        next.setDisable(true);
        model.next(this::asked);
    }

    private void asked(Optional<EarModel.Ready> ready) {
        now = ready;
        count.setText("Question " + model.asked() + " of " + EarModel.QUESTIONS);
        if (ready.isEmpty()) {
            question.setText("This instrument has nothing to ask for here.");
            return;
        }
        EarQuestion q = ready.get().question();
        question.setText(EarWords.question(q.kind()));
        String[] names =
                q.voicings().size() == 1
                        ? new String[] {"Hear it  H"}
                        : new String[] {"Hear the first  H", "Hear the second  J"};
        for (int i = 0; i < names.length; i++) {
            int which = i;
            Button b = new Button(names[i]);
            b.setId("ear-hear-" + (i + 1));
            b.setFocusTraversable(false);
            HoldToHear.mouse(b, () -> hear(which), hearing::endHearing);
            sounds.getChildren().add(b);
        }
        for (int i = 0; i < q.answers().size(); i++) {
            int which = i;
            Button b = new Button((i + 1) + "  " + EarWords.answer(q.answers().get(i)));
            b.setId("ear-answer-" + (i + 1));
            b.setFocusTraversable(false);
            b.setOnAction(e -> answer(which));
            answers.getChildren().add(b);
        }
        answers.setAlignment(Pos.CENTER_LEFT);
    }

    private boolean hear(int which) {
        return now.filter(n -> which < n.question().voicings().size())
                .map(n -> hearing.hear(n.question().voicings().get(which), new double[0]))
                .orElse(false);
    }

    private void answer(int which) {
        if (now.isEmpty() || told || which >= now.get().question().answers().size()) {
            return;
        }
        told = true;
        EarQuestion q = now.get().question();
        boolean right = which == q.right();
        model.answered(q.kind(), right);
        String truth = EarWords.answer(q.answers().get(q.right()));
        result.setText(
                (right ? "Yes. " : "No: " + truth.toLowerCase(java.util.Locale.ROOT) + ". ")
                        + EarWords.reason(q, now.get().key())
                        + " The root is from "
                        + now.get().from()
                        + "; hear it again if you like."
                        + (model.asked() == EarModel.QUESTIONS ? " " + end() : ""));
        picture.show(now.get().picture(), RiffPicture.range(now.get().picture()));
        picture.setVisible(true);
        next.setDisable(false);
        next.setText(
                model.asked() == EarModel.QUESTIONS ? "That was the round  ⏎" : "Next question  ⏎");
    }

    private String end() {
        List<EarKind> hard = model.hard();
        return hard.isEmpty()
                ? "Nothing was missed this time."
                : "What was missed comes again soon: "
                        + hard.stream().map(EarSheet::called).collect(Collectors.joining(", "))
                        + ".";
    }

    private static String called(EarKind kind) {
        return switch (kind) {
            case FOURTH -> "inverted fourths";
            case THIRD -> "thirds";
            case ROOT -> "where the root lies";
            case MOVED -> "voices that move";
            case OPEN_STRING -> "open strings";
        };
    }

    private void pressed(KeyEvent e) {
        KeyCode k = e.getCode();
        if (k == KeyCode.H || k == KeyCode.J) {
            hear(k == KeyCode.H ? 0 : 1);
        } else if (k == KeyCode.ENTER && told) {
            ask();
        } else if (k.isDigitKey() && !k.getName().isEmpty()) {
            int digit = k.getName().charAt(k.getName().length() - 1) - '1';
            if (digit < 0) {
                return;
            }
            answer(digit);
        } else {
            return;
        }
        e.consume();
    }

    private void released(KeyEvent e) {
        if (e.getCode() == KeyCode.H || e.getCode() == KeyCode.J) {
            hearing.endHearing();
            e.consume();
        }
    }
}
