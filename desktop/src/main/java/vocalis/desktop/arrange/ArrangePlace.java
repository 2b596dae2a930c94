package vocalis.desktop.arrange;

import vocalis.desktop.session.Place;

/** The place of the Arrange screen: the sections of the piece. */
public enum ArrangePlace implements Place {
    STRIP;

    @Override
    public String words() {
        return "Arrange";
    }
}
