package vocalis.cli.options;

import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.Optional;
import vocalis.core.hands.Fingering;
import vocalis.core.hands.Hand;
import vocalis.core.hands.Muting;
import vocalis.core.voicing.Voicing;
import vocalis.workbench.words.HandWords;

/** How a voicing is held, for words and for machines. */
public final class Hands {

    private Hands() {}

    /** Fingering, reach and muting in one line; why no hand holds it otherwise. */
    public static String words(Voicing v, Hand hand) {
        Optional<Fingering> f = Fingering.of(v.board(), v.shape(), hand);
        if (f.isEmpty()) {
            return refusal(v, hand);
        }
        String fingers = f.get().presses().isEmpty() ? "open strings" : HandWords.of(f.get());
        String muting = HandWords.of(Muting.of(v.shape(), f.get()));
        return fingers
                + ", reach "
                + Math.round(f.get().reachMm())
                + " mm"
                + (muting.isEmpty() ? "" : "; " + muting);
    }

    private static String refusal(Voicing v, Hand hand) {
        return Fingering.refusal(v.board(), v.shape(), hand)
                .map(HandWords::of)
                .orElse("cannot be held");
    }

    /** The same as fields. */
    public static void put(ObjectNode to, Voicing v, Hand hand) {
        Optional<Fingering> f = Fingering.of(v.board(), v.shape(), hand);
        if (f.isEmpty()) {
            to.put("refusal", refusal(v, hand));
            return;
        }
        to.put("fingers", HandWords.of(f.get()));
        to.put("reachMm", Math.round(f.get().reachMm()));
        to.put("muting", HandWords.of(Muting.of(v.shape(), f.get())));
    }
}
