package vocalis.desktop.view;

import java.util.Optional;
import javafx.scene.Node;

/** Opens sheets over the screen: panels inside the window that take the keys meanwhile. */
public interface Sheets {

    /** A sheet that was opened. */
    interface Sheet {

        /** Called once when the sheet has closed. */
        Sheet onClosed(Runnable then);

        /** Closes the sheet, if it is open. */
        void close();

        boolean isOpen();

        /** Puts the caret on a control of the sheet. */
        Sheet focus(Node node);
    }

    /** Opens a sheet; the caret goes to the first thing that takes it. */
    Sheet open(String title, Node body, double width);

    /** The sheet on top. */
    Optional<Sheet> top();
}
