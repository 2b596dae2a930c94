package vocalis.desktop.write;

import vocalis.desktop.explore.Explore;

/** What the screen does that is not the model's alone. */
public interface WriteSheets {
    void find();

    void filter();

    void keepShape();

    void ownShapes();

    /** Opens the panel that explores the chord at one of its pages. */
    void explore(Explore page);

    void modeFinder();

    void fingers();

    void dronesHeld();

    void scales();

    void fills();

    void innerLines();

    void embellish();

    void prove();

    void findings();

    void roots();

    void nextRoot();

    void variations();

    void ideas();

    void sparks();

    void versions();

    void keepVersion();

    void keepNamed();

    void check();

    void ways();

    void figures();

    void tapFigure();
}
