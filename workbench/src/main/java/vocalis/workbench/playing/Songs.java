package vocalis.workbench.playing;

import vocalis.core.arrange.Song;
import vocalis.core.choice.Catalogue;
import vocalis.core.derive.Derived;
import vocalis.core.derive.Deriver;
import vocalis.core.hands.Hand;
import vocalis.core.memory.Memory;
import vocalis.core.piece.Piece;
import vocalis.core.riff.Riff;

/**
 * Plays pieces through; remembers what riffs come to, so that one section's change derives one
 * riff. Used by one thread at a time.
 */
public final class Songs {

    private static final int REMEMBERED = 64;

    private final Deriver deriver;
    private final Memory<Riff, Derived> known = new Memory<>(REMEMBERED);
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
        return known.of(riff, r -> deriver.derive(r, hand));
    }
}
