package vocalis.desktop.writing;

import vocalis.desktop.session.Drawn;
import vocalis.desktop.session.Hearing;
import vocalis.desktop.session.Session;

/** What looks at one chord closely needs: the chord that is shown, to hear it and to use it. */
public interface Showing extends Drawn {

    Session session();

    ShownChord shown();

    Hearing hearing();

    GainModel gain();

    /** Puts what is shown into the riff. */
    void useShown();

    /** How often the loop comes back to the chord in a minute. */
    long returnsPerMinute();
}
