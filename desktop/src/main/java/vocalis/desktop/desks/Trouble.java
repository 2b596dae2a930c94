package vocalis.desktop.desks;

import java.util.Arrays;
import java.util.HashSet;
import java.util.Optional;
import java.util.Set;
import java.util.function.Supplier;
import javafx.scene.input.Clipboard;
import javafx.scene.input.ClipboardContent;
import vocalis.desktop.session.Session;
import vocalis.desktop.sheets.Ask;
import vocalis.desktop.view.Background;
import vocalis.desktop.view.Sheets;
import vocalis.workbench.base.Log;
import vocalis.workbench.base.Subscription;
import vocalis.workbench.health.TroubleReport;

/**
 * Says what fails in the line below, and shows what nobody expected to: what happened, that the
 * riff is safe and where, and a report to send. The same failure is shown once; after that it is
 * said in the line below.
 */
public final class Trouble implements AutoCloseable {

    private final Sheets host;
    private final Session session;
    private final Supplier<String> safety;
    private final Runnable save;
    private final Set<String> shown = new HashSet<>();
    private final Subscription caught;
    private final Subscription told;
    private boolean open;

    /**
     * @param safety where unsaved work is kept, or why it is not, in a sentence
     * @param save saves the riff as the menu does
     */
    public Trouble(Sheets host, Session session, Supplier<String> safety, Runnable save) {
        this.host = host;
        this.session = session;
        this.safety = safety;
        this.save = save;
        told = Log.tell(text -> Background.HOME.execute(() -> session.say(text)));
        caught = Log.caught((where, e) -> Background.HOME.execute(() -> show(where, e)));
    }

    private void show(String where, Throwable e) {
        if (open || !shown.add(kind(e))) {
            session.say("Something went wrong again while " + where + ". The log says more.");
            return;
        }
        open = true;
        String what =
                "It failed while "
                        + where
                        + ": "
                        + e.getClass().getSimpleName()
                        + Optional.ofNullable(e.getMessage()).map(m -> ", " + m).orElse("")
                        + ".";
        Ask.question(
                        host,
                        "Something went wrong",
                        what
                                + "\n\nYour riff is as it was. "
                                + safety.get()
                                + "\n\nA report says what happened and on which Java and system."
                                + " It names none of your files or folders.",
                        new Ask.Answer("trouble-copy", "Copy a report  ⏎", () -> copy(where, e)),
                        new Ask.Answer("trouble-save", "Save the riff", save),
                        new Ask.Answer("trouble-on", "Go on", () -> {}))
                .onClosed(() -> open = false);
    }

    /** Two failures are the same that come from the same place. */
    private static String kind(Throwable e) {
        StackTraceElement[] trace = e.getStackTrace();
        return e.getClass()
                + Arrays.toString(Arrays.copyOfRange(trace, 0, Math.min(4, trace.length)));
    }

    private void copy(String where, Throwable e) {
        ClipboardContent content = new ClipboardContent();
        content.putString(TroubleReport.of(where, e));
        Clipboard.getSystemClipboard().setContent(content);
        session.say("The report is on the clipboard.");
    }

    @Override
    public void close() {
        caught.close();
        told.close();
    }
}
