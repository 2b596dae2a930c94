package vocalis.desktop.revoice;

import vocalis.desktop.session.Place;

/** The place of the Revoice screen: the grid of every treatment. */
public enum RevoicePlace implements Place {
    GRID;

    @Override
    public String words() {
        return "Revoice";
    }
}
