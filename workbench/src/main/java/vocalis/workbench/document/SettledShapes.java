package vocalis.workbench.document;

import java.util.List;
import vocalis.core.choice.Catalogue;
import vocalis.core.derive.Deriver;
import vocalis.core.hands.Hand;
import vocalis.core.piece.Piece;
import vocalis.core.riff.Treatment;

/**
 * Lays a piece by with the shapes that the program took, and takes it up again as it sounded, for a
 * hand. Any thread may ask.
 */
public record SettledShapes(Catalogue catalogue, Hand hand) {

    /** The piece as it is written to a file. */
    public Piece settled(Piece piece) {
        Deriver deriver = new Deriver(catalogue);
        return piece.everyRiff(r -> deriver.settled(r, hand));
    }

    /** The piece as it is worked on. */
    public Piece kept(Piece piece) {
        Deriver deriver = new Deriver(catalogue);
        return piece.everyRiff(r -> deriver.kept(r, hand));
    }

    /** How many chords had their shape chosen for good when a piece was taken up. */
    public static int chosen(Piece rested, Piece kept) {
        List<Treatment> before = rested.riff().treatments();
        List<Treatment> after = kept.riff().treatments();
        int chosen = 0;
        for (int i = 0; i < before.size(); i++) {
            chosen += before.get(i).member().equals(after.get(i).member()) ? 0 : 1;
        }
        return chosen;
    }

    /** One sentence for the player about so many chords, 1 or more. */
    public static String inWords(int chords) {
        return (chords == 1 ? "One chord keeps" : chords + " chords keep")
                + " the shape saved with the riff; Vocalis would now choose another.";
    }
}
