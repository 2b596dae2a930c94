package vocalis.desktop.listening;

import java.util.Optional;
import vocalis.core.riff.Ground;
import vocalis.desktop.session.Session;
import vocalis.workbench.listening.Ear;

/** Makes ready to listen while the player takes the guitar. */
final class Prepared {

    private Prepared() {}

    /** The ear for the open riff; what was made before is not made again. */
    static void soon(Session session) {
        Ground ground = session.now().ground();
        var hand = session.hand();
        var catalogue = session.catalogue();
        session.ask(
                "making ready to listen",
                () -> {
                    var key = Optional.of(ground.key());
                    new Ear(ground.board(), ground.a4Hz(), hand, catalogue, key).prepare();
                    return true;
                },
                done -> {});
    }
}
