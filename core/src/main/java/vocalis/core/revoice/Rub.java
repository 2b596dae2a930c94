package vocalis.core.revoice;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import vocalis.core.voicing.Sounding;
import vocalis.core.voicing.Voicing;

/**
 * Two notes of two guitars that rub while both sound: a second, a seventh or a tritone between
 * neighbouring registers, or a third down low.
 *
 * @param one MIDI number of the first guitar's note
 * @param two MIDI number of the second's
 * @param kind what lies between them
 */
public record Rub(int one, int two, Kind kind) {

    /** Past two octaves and a half notes rub no more; set by hand. */
    private static final int FAR = 30;

    /** Under C3 thirds are mud (common practice, no source). */
    private static final int LOW = 48;

    /** What rubs. */
    public enum Kind {
        SECOND,
        SEVENTH,
        TRITONE,
        LOW_THIRD
    }

    /** What rubs between two voicings, the roughest first. */
    public static List<Rub> between(Voicing first, Voicing second) {
        List<Rub> all = new ArrayList<>();
        for (Sounding a : first.soundings()) {
            for (Sounding b : second.soundings()) {
                kind(a.midi(), b.midi())
                        .ifPresent(kind -> all.add(new Rub(a.midi(), b.midi(), kind)));
            }
        }
        Comparator<Rub> roughest = Comparator.comparing(Rub::kind);
        all.sort(roughest.thenComparing(r -> Math.abs(r.two() - r.one())));
        return List.copyOf(all);
    }

    /** What rubs between two notes, if anything does. */
    public static Optional<Kind> kind(int one, int two) {
        int apart = Math.abs(two - one);
        if (apart > FAR) {
            return Optional.empty();
        }
        boolean low = Math.max(one, two) < LOW;
        Kind kind =
                switch (apart % 12) {
                    case 1, 2 -> Kind.SECOND;
                    case 10, 11 -> Kind.SEVENTH;
                    case 6 -> Kind.TRITONE;
                    case 3, 4 -> low && apart < 12 ? Kind.LOW_THIRD : null;
                    default -> null;
                };
        return Optional.ofNullable(kind);
    }
}
