package vocalis.desktop;

import java.time.Clock;
import java.util.List;
import vocalis.desktop.arrange.ArrangeCommands;
import vocalis.desktop.arrange.ArrangeModel;
import vocalis.desktop.keys.Keyboard;
import vocalis.desktop.listening.Following;
import vocalis.desktop.listening.Source;
import vocalis.desktop.practise.PracticeModel;
import vocalis.desktop.revoice.RevoiceCommands;
import vocalis.desktop.revoice.RevoiceModel;
import vocalis.desktop.session.Hearing;
import vocalis.desktop.session.OpenDocument;
import vocalis.desktop.session.Whereabouts;
import vocalis.desktop.view.Background;
import vocalis.desktop.write.WriteCommands;
import vocalis.desktop.writing.WriteModel;
import vocalis.desktop.writing.WritePlace;
import vocalis.workbench.document.Workspace;
import vocalis.workbench.library.OwnShapes;
import vocalis.workbench.playing.Player;

/** The models of a window's screens, each made of what it needs. */
final class Models implements AutoCloseable {

    private final OpenDocument session;
    private final Whereabouts whereabouts = new Whereabouts(WritePlace.BAND);
    private final Hearing hearing;
    private final WriteModel write;
    private final RevoiceModel revoice;
    private final ArrangeModel arrange;
    private final PracticeModel practice;
    private final Source source = new Source();
    private final Following following;

    Models(Workspace workspace, Player player, Background background, OwnShapes ownShapes) {
        session = new OpenDocument(workspace, player, background);
        hearing = new Hearing(session);
        write = new WriteModel(session, whereabouts, hearing, ownShapes);
        revoice = new RevoiceModel(session, write.gain(), write.chords(), hearing);
        arrange = new ArrangeModel(session);
        practice = new PracticeModel(session, arrange, Clock.systemUTC());
        following = new Following(session, practice, source);
        whereabouts.screens(List.of(write, revoice, arrange, practice));
        session.afterDerived(() -> whereabouts.screen().riffChanged());
    }

    OpenDocument session() {
        return session;
    }

    Whereabouts whereabouts() {
        return whereabouts;
    }

    Hearing hearing() {
        return hearing;
    }

    WriteModel write() {
        return write;
    }

    /** Every treatment of the riff side by side. */
    RevoiceModel revoice() {
        return revoice;
    }

    /** The sections of the piece. */
    ArrangeModel arrange() {
        return arrange;
    }

    /** Practising a stretch of it. */
    PracticeModel practice() {
        return practice;
    }

    /** Whom the program listens to. */
    Source source() {
        return source;
    }

    /** Listens to what is practised. */
    Following following() {
        return following;
    }

    /** The keys that are held on the screens. */
    void holds(Keyboard keyboard) {
        WriteCommands.holds(keyboard, write);
        RevoiceCommands.holds(keyboard, revoice);
        ArrangeCommands.holds(keyboard, arrange);
    }

    @Override
    public void close() {
        source.close();
        session.close();
        practice.close();
        arrange.close();
        revoice.close();
        write.close();
    }
}
