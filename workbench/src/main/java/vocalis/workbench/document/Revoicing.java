package vocalis.workbench.document;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.BooleanSupplier;
import java.util.function.Consumer;
import vocalis.core.choice.Catalogue;
import vocalis.core.derive.Derived;
import vocalis.core.derive.Deriver;
import vocalis.core.edit.Chords;
import vocalis.core.hands.Hand;
import vocalis.core.piece.Version;
import vocalis.core.revoice.Intent;
import vocalis.core.revoice.Revoicer;
import vocalis.core.revoice.Row;
import vocalis.core.riff.Riff;
import vocalis.core.voicing.Family;

/**
 * Every treatment of a riff, row by row: as it stands, in each family, by each intent. Long: on a
 * worker.
 */
public final class Revoicing {

    private final Hand hand;
    private final Revoicer revoicer;
    private final Deriver deriver;

    public Revoicing(Catalogue catalogue, Hand hand) {
        this.hand = hand;
        this.revoicer = new Revoicer(catalogue, hand);
        this.deriver = new Deriver(catalogue);
    }

    /**
     * Gives the rows as they are found: the riff as it stands, versions of it with the same roots,
     * families, intents.
     *
     * @param versions kept of the riff
     * @param locked chords that intents leave as they are
     * @param seed of the surprise
     * @param cancelled asked before each row
     */
    public void rows(
            Riff riff,
            List<Version> versions,
            Set<Integer> locked,
            long seed,
            BooleanSupplier cancelled,
            Consumer<Row> found) {
        Derived now = deriver.derive(riff, hand);
        found.accept(Row.of(Optional.empty(), Optional.empty(), now));
        for (Version v : versions) {
            // Beside a riff only what has its roots can be read column by column.
            if (v.riff().roots().equals(riff.roots())) {
                found.accept(Row.of(v.name(), deriver.derive(v.riff(), hand)));
            }
        }
        for (Family f : Family.values()) {
            if (cancelled.getAsBoolean()) {
                return;
            }
            found.accept(of(riff, f));
        }
        for (Intent i : Intent.values()) {
            if (cancelled.getAsBoolean()) {
                return;
            }
            by(now, i, locked, seed).ifPresent(found);
        }
    }

    /** The row of a family. */
    public Row of(Riff riff, Family family) {
        Derived d = deriver.derive(Chords.familyOfAll(riff, family), hand);
        return Row.of(Optional.of(family), Optional.empty(), d);
    }

    /** The row of an intent, where it can be had. */
    public Optional<Row> by(Riff riff, Intent intent, Set<Integer> locked, long seed) {
        return by(deriver.derive(riff, hand), intent, locked, seed);
    }

    private Optional<Row> by(Derived now, Intent intent, Set<Integer> locked, long seed) {
        return revoicer.voiced(now, intent, locked, seed)
                .map(r -> deriver.derive(r, hand))
                .map(d -> Row.of(Optional.empty(), Optional.of(intent), d));
    }
}
