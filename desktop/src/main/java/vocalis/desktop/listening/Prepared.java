package vocalis.desktop.listening;

import java.util.Optional;
import vocalis.core.riff.Ground;
import vocalis.desktop.session.Session;
import vocalis.desktop.view.Background;
import vocalis.workbench.listening.Ear;

/** Makes ready to listen while the player takes the guitar. */
final class Prepared {

    /** Not the worker that derives the riff: who closes the sheet at once writes on unhindered. */
    private static final Background OWN = new Background("vocalis-ready-to-listen");

    private Prepared() {}

    /** The ear for the open riff; what was made before is not made again. */
    static void soon(Session session) {
        Ground ground = session.now().ground();
        var hand = session.hand();
        var catalogue = session.catalogue();
        OWN.ask(
                "making ready to listen",
                () -> {
                    var key = Optional.of(ground.key());
                    new Ear(ground.board(), ground.a4Hz(), hand, catalogue, key).prepare();
                    return true;
                },
                done -> {});
    }
}
