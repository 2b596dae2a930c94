package vocalis.desktop.session;

/** Says something short to the player at the foot of the window. Used on the FX thread. */
public interface Teller {

    void say(String text);

    /** Whether nothing is said there now. */
    boolean quiet();
}
