package vocalis.desktop.sheets;

import java.util.function.Consumer;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import vocalis.desktop.view.Choices;
import vocalis.desktop.view.Sheets;

/** Short questions and messages, as sheets of the window. */
public final class Ask {

    private static final double WIDTH = 520;

    private Ask() {}

    /** An answer that can be given. */
    public record Answer(String id, String words, Runnable then) {}

    /** Asks with buttons; the first is the usual answer. Esc gives none of them. */
    public static Sheets.Sheet question(Sheets host, String title, String text, Answer... answers) {
        HBox buttons = new HBox(10);
        buttons.setAlignment(Pos.CENTER_LEFT);
        VBox body = new VBox(16, Choices.text(text), buttons);
        body.getStyleClass().add("help");
        Sheets.Sheet sheet = host.open(title, body, WIDTH);
        for (Answer a : answers) {
            Button b = new Button(a.words());
            b.setId(a.id());
            b.getStyleClass().add(buttons.getChildren().isEmpty() ? "use-button" : "quiet-button");
            b.setOnAction(
                    e -> {
                        sheet.close();
                        a.then().run();
                    });
            buttons.getChildren().add(b);
        }
        sheet.focus(buttons.getChildren().get(0));
        return sheet;
    }

    /** Says something that must be read. */
    public static void tell(Sheets host, String title, String text) {
        question(host, title, text, new Answer("ask-ok", "All right  ⏎", () -> {}));
    }

    /** Asks for a line of text that is not empty; Enter takes it, Esc leaves it. */
    public static void line(
            Sheets host, String title, String now, int longest, Consumer<String> then) {
        line(host, title, now, longest, false, then);
    }

    /** Asks for a line of text that may be empty; Enter takes it, Esc leaves it. */
    public static void remark(
            Sheets host, String title, String now, int longest, Consumer<String> then) {
        line(host, title, now, longest, true, then);
    }

    private static void line(
            Sheets host,
            String title,
            String now,
            int longest,
            boolean mayBeEmpty,
            Consumer<String> then) {
        TextField field = new TextField(now);
        field.setId("ask-line");
        field.getStyleClass().add("find");
        field.setAccessibleText(title);
        Button take = new Button("Take it  ⏎");
        take.setId("ask-take");
        take.getStyleClass().add("use-button");
        HBox foot = new HBox(14, take, Choices.caption("At most " + longest + " characters."));
        foot.setAlignment(Pos.CENTER_LEFT);
        VBox body = new VBox(12, field, foot);
        body.getStyleClass().add("help");
        Sheets.Sheet sheet = host.open(title, body, WIDTH);
        Runnable taken =
                () -> {
                    String text = field.getText().strip();
                    if ((mayBeEmpty || !text.isEmpty()) && text.length() <= longest) {
                        sheet.close();
                        then.accept(text);
                    }
                };
        field.setOnAction(e -> taken.run());
        take.setOnAction(e -> taken.run());
        sheet.focus(field);
        field.selectAll();
    }
}
