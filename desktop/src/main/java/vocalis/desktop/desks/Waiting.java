package vocalis.desktop.desks;

import javafx.scene.control.ProgressBar;
import javafx.scene.layout.VBox;
import vocalis.desktop.view.Choices;
import vocalis.desktop.view.Sheets;

/** A sheet while work goes on that takes seconds; who closes it does not want what comes of it. */
final class Waiting {

    private static final double WIDTH = 420;

    private final Sheets.Sheet sheet;
    private boolean closed;

    Waiting(Sheets host, String what) {
        ProgressBar bar = new ProgressBar();
        bar.setPrefWidth(WIDTH);
        VBox body =
                new VBox(14, bar, Choices.caption("Esc leaves it: the open riff is as it was."));
        body.setId("waiting");
        body.getStyleClass().add("help");
        body.setFocusTraversable(true);
        sheet = host.open(what, body, WIDTH).focus(body);
        sheet.onClosed(() -> closed = true);
    }

    /** The work is done: shows what came of it, unless nobody waits for that. */
    void over(Runnable then) {
        if (!closed) {
            sheet.close();
            then.run();
        }
    }
}
