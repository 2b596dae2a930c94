package vocalis.desktop.writing;

import vocalis.desktop.session.Place;

/** The places of the Write screen. */
public enum WritePlace implements Place {
    BAND("Chords"),
    LANE("Rhythm"),
    /** The lane, where digits and letters are written as notes and strokes. */
    TYPING("Typing notes"),
    CARDS("Shapes"),
    NECK("Neck");

    private final String words;

    WritePlace(String words) {
        this.words = words;
    }

    @Override
    public String words() {
        return words;
    }
}
