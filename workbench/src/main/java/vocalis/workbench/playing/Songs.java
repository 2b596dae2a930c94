package vocalis.workbench.playing;

import java.util.LinkedHashMap;
import java.util.Map;
import vocalis.core.arrange.Song;
import vocalis.core.choice.Catalogue;
import vocalis.core.derive.Derived;
import vocalis.core.derive.Deriver;
import vocalis.core.hands.Hand;
import vocalis.core.piece.Piece;
import vocalis.core.riff.Riff;

/**
 * Plays pieces through; remembers what riffs come to, so that one section's change derives one
 * riff. Used by one thread at a time.
 */
public final class Songs {

    private static final int REMEMBERED = 64;

    private final Deriver deriver;
    private final Map<Riff, Derived> known =
            new LinkedHashMap<>(REMEMBERED, 0.75f, true) {
                @Override
                protected boolean removeEldestEntry(Map.Entry<Riff, Derived> eldest) {
                    return size() > REMEMBERED;
                }
            };
    private Hand hand;

    public Songs(Catalogue catalogue) {
        deriver = new Deriver(catalogue);
    }

    /**
     * A piece played through.
     *
     * @throws IllegalArgumentException when it is too long
     */
    public synchronized Song of(Piece piece, Hand held) {
        if (!held.equals(hand)) {
            known.clear();
            hand = held;
        }
        return Song.of(piece, this::derived);
    }

    private Derived derived(Riff riff) {
        Derived d = known.get(riff);
        if (d == null) {
            d = deriver.derive(riff, hand);
            known.put(riff, d);
        }
        return d;
    }
}
