package vocalis.desktop.explore;

import javafx.scene.Node;

/** A page of the panel. */
interface ExplorePage {

    /** What it shows, made anew for the chord as it is now. */
    Node show();

    /** What the caret stands on when it opens; the page itself where nothing can be chosen. */
    Node first();
}
