package vocalis.desktop.session;

import java.util.Optional;
import vocalis.core.arrange.Song;

/**
 * What a screen is to the window around it. It owns its models and its places, and says what sounds
 * while it is open.
 */
public interface Screen {

    /** Whether a place is one of this screen's. */
    boolean has(Place place);

    /** Whether the whole piece sounds here, not the riff alone. */
    default boolean ofSong() {
        return false;
    }

    /** The song that sounds here, as last played through; empty where the riff sounds. */
    default Optional<Song> song() {
        return Optional.empty();
    }

    /** The tick of what is shown that a tick of the player is. */
    default double tick(double ofPlayer) {
        return ofPlayer;
    }

    /** It is shown now. */
    default void enter() {}

    /** Another is shown now. */
    default void leave() {}

    /** A change of the document has been derived while this is the screen. */
    void riffChanged();

    /** Plays from its caret, or stops. */
    void togglePlay();

    /**
     * Sounds what is under the caret until {@link #endHearing}; repeated calls while the key is
     * held do nothing more.
     *
     * @return whether something is heard now
     */
    boolean beginHearing(Place place);

    void endHearing();

    /** Whether several things are marked in a place, to be changed together. */
    default boolean marked(Place place) {
        return false;
    }

    /** What the strip of a place says besides its name, such as the step of the caret. */
    default String detail(Place place) {
        return "";
    }

    /** What the caret is on, in words: for those who hear the screen instead of seeing it. */
    String spoken(Place place);
}
