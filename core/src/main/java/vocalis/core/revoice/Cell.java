package vocalis.core.revoice;

import java.util.IntSummaryStatistics;
import java.util.Optional;
import vocalis.core.choice.Candidate;
import vocalis.core.names.HeardRoot;
import vocalis.core.voicing.Family;
import vocalis.core.voicing.Voicing;

/**
 * A cell that a chord could take.
 *
 * @param family its family
 * @param candidate voicing and fingering
 * @param plain what it costs as a shape among its family's
 * @param tension in the key, 0 to 100
 * @param top MIDI number of its highest note
 * @param bass MIDI number of its lowest
 * @param mean of its MIDI numbers
 * @param sounds its pitch classes as bits
 * @param heard whether the root that is heard is the one that was asked for
 */
record Cell(
        Family family,
        Candidate candidate,
        double plain,
        int tension,
        int top,
        int bass,
        double mean,
        int sounds,
        boolean heard) {
    static Cell of(Family family, Candidate candidate, double plain, int tension) {
        Voicing v = candidate.voicing();
        IntSummaryStatistics midi =
                v.midi().stream().mapToInt(Integer::intValue).summaryStatistics();
        int bits = 0;
        for (int pc : v.pitchClasses()) {
            bits |= 1 << pc;
        }
        return new Cell(
                family,
                candidate,
                plain,
                tension,
                midi.getMax(),
                midi.getMin(),
                midi.getAverage(),
                bits,
                HeardRoot.of(v, Optional.empty()).root() == v.root());
    }

    Voicing voicing() {
        return candidate.voicing();
    }
}
