package vocalis.core.arrange;

import java.util.Optional;
import vocalis.core.riff.Riff;
import vocalis.core.voicing.Family;

/**
 * A part that could be played.
 *
 * @param above over the first guitar, or under it
 * @param family whose shapes it strikes; empty for single notes
 * @param riff the second guitar's own, on the first's roots
 * @param lowest MIDI number of its lowest note
 * @param highest of its highest
 * @param inGaps share of its strokes and notes that fall where the first strikes none, 0 to 1
 * @param clashes how often it rubs with the first guitar
 * @param cost what it is ranked by, the least first
 */
public record PartOffer(
        PartKind kind,
        boolean above,
        Optional<Family> family,
        Riff riff,
        int lowest,
        int highest,
        double inGaps,
        int clashes,
        double cost) {}
