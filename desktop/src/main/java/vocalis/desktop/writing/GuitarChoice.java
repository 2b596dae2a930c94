package vocalis.desktop.writing;

import vocalis.core.piece.Guitar;
import vocalis.desktop.session.Session;
import vocalis.workbench.document.Edits;

/** Which guitar is written, and how a part of the second guitar's own begins. */
public final class GuitarChoice {

    private final Session session;

    GuitarChoice(Session session) {
        this.session = session;
    }

    /** Whether guitar two is written. */
    public boolean second() {
        return session.workspace().written() == Guitar.TWO;
    }

    /** Goes over to the other guitar; the second one plays along from then on. */
    public void toggle() {
        Guitar to = session.workspace().written().other();
        boolean waited = !session.piece().mix().second().on();
        if (to == Guitar.TWO && waited) {
            session.apply(Edits.secondPlays());
        }
        session.workspace().write(to);
        session.say(
                to == Guitar.ONE
                        ? "Guitar one is written."
                        : "Guitar two is written over the same roots"
                                + (waited ? ", and plays along from now on." : "."));
    }

    /** Has guitar two rest all along, so that a part of its own is written into it. */
    public void beginWithRests() {
        if (!second()) {
            toggle();
        }
        if (session.apply(Edits.silence())) {
            session.say("Guitar two rests. Enter puts a stroke, L writes notes as they are typed.");
        }
    }
}
