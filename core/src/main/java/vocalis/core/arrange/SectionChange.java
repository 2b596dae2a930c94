package vocalis.core.arrange;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import vocalis.core.derive.Derived;
import vocalis.core.edit.Chords;
import vocalis.core.piece.Piece;
import vocalis.core.piece.PieceRiff;
import vocalis.core.piece.Section;
import vocalis.core.revoice.Intent;
import vocalis.core.revoice.Revoicer;
import vocalis.core.riff.Riff;
import vocalis.core.vary.Variation;
import vocalis.core.voicing.Family;

/** What can set a section off from the one before: the same riff treated otherwise. */
public sealed interface SectionChange {

    /** Every root in another family. */
    record InFamily(Family family) implements SectionChange {}

    /** Voiced for an intent over all families. */
    record ByIntent(Intent intent) implements SectionChange {}

    /** One of the named moves. */
    record Moved(Variation move) implements SectionChange {}

    /** The moves that keep chords and length, so that the section stays the same song. */
    List<Variation> MOVES =
            List.of(
                    Variation.OCTAVE_UP,
                    Variation.THINNED,
                    Variation.RINGING_OR_MUTED,
                    Variation.HELD_BASS,
                    Variation.FIFTH_IN_BASS,
                    Variation.HAMMERED_INTO,
                    Variation.DISPLACED);

    /** Everything that is offered: moves first, then families, then intents. */
    static List<SectionChange> all() {
        List<SectionChange> all = new ArrayList<>();
        MOVES.forEach(m -> all.add(new Moved(m)));
        for (Family f : Family.values()) {
            all.add(new InFamily(f));
        }
        for (Intent i : Intent.values()) {
            all.add(new ByIntent(i));
        }
        return List.copyOf(all);
    }

    /** The riff changed; empty where it would stay as it is. */
    default Optional<Riff> of(Derived derived, Revoicer revoicer) {
        Riff riff = derived.riff();
        Optional<Riff> made;
        if (this instanceof InFamily f) {
            made = Optional.of(Chords.familyOfAll(riff, f.family()));
        } else if (this instanceof ByIntent i) {
            made = revoicer.voiced(derived, i.intent(), Set.of(), 1);
        } else {
            made = ((Moved) this).move().of(derived, 0);
        }
        return made.filter(r -> !r.equals(riff));
    }

    /** The piece in which a section plays a riff that is kept as a version of its own. */
    static Piece taken(Piece piece, int section, Riff riff, String name) {
        Section s = piece.sections().get(section);
        PieceRiff kept = piece.riff(s.riff()).keeping(name, "", riff);
        String version = kept.versions().get(kept.versions().size() - 1).id();
        return piece.replacing(kept).arranged(section, s.playing(s.riff(), Optional.of(version)));
    }
}
