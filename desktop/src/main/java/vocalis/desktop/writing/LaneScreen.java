package vocalis.desktop.writing;

import vocalis.desktop.session.Drawn;
import vocalis.desktop.session.Screen;
import vocalis.desktop.session.Session;
import vocalis.desktop.session.Whereabouts;

/** What the lane needs: its caret and touches, what is typed, and who has the keys. */
public interface LaneScreen extends Drawn, Screen {

    Session session();

    LaneModel lane();

    TypingModel typing();

    Whereabouts whereabouts();
}
