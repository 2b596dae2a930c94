package vocalis.desktop.writing;

import vocalis.desktop.session.Drawn;
import vocalis.desktop.session.Screen;

/** What the voice band needs: the chords, what is shown, and how they look. */
public interface BandScreen extends Drawn, Screen {

    ChordEdits chords();

    ShownChord shown();

    Looks looks();

    GainModel gain();

    /** Gives the keys to a place of the screen. */
    void go(WritePlace place);
}
