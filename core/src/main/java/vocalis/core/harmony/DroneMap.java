package vocalis.core.harmony;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;
import vocalis.core.instrument.Tuning;
import vocalis.core.theory.Key;
import vocalis.core.theory.Mode;
import vocalis.core.theory.Spelling;

/**
 * Which open strings suit which key, for every capo: an open string is the key's root, its fifth, a
 * colour (another note of the scale) or a rub (outside the scale). Common practice among players
 * who let strings ring.
 *
 * @param tuning the tuning
 * @param mode the mode that all keys share
 * @param rows one per capo, from none up
 */
public record DroneMap(Tuning tuning, Mode mode, List<Row> rows) {

    /** Highest capo in the map. */
    public static final int MOST_CAPO = 7;

    /** What an open string is to a key. */
    public enum Role {
        ROOT,
        FIFTH,
        COLOUR,
        RUB
    }

    /** The twelve keys over one capo. */
    public record Row(int capo, List<Cell> cells) {
        public Row {
            cells = List.copyOf(cells);
        }
    }

    /**
     * One key over one capo.
     *
     * @param capo fret of the capo
     * @param key tonic and mode
     * @param roles per string, lowest first
     */
    public record Cell(int capo, Key key, List<Role> roles) {
        public Cell {
            roles = List.copyOf(roles);
        }

        /** How many open strings are in the scale. */
        public int fits() {
            return (int) roles.stream().filter(r -> r != Role.RUB).count();
        }

        /**
         * How well the open strings carry the key: 3 for a root, 2 for a fifth, 1 for a colour, −2
         * for a rub.
         */
        public int score() {
            return roles.stream()
                    .mapToInt(
                            r ->
                                    switch (r) {
                                        case ROOT -> 3;
                                        case FIFTH -> 2;
                                        case COLOUR -> 1;
                                        case RUB -> -2;
                                    })
                    .sum();
        }
    }

    public DroneMap {
        rows = List.copyOf(rows);
    }

    /** The map of a tuning for a mode on all twelve tonics. */
    public static DroneMap of(Tuning tuning, Mode mode) {
        List<Row> rows = new ArrayList<>();
        for (int capo = 0; capo <= MOST_CAPO; capo++) {
            int fret = capo;
            rows.add(
                    new Row(
                            capo,
                            IntStream.range(0, 12)
                                    .mapToObj(
                                            pc ->
                                                    cell(
                                                            tuning,
                                                            fret,
                                                            new Key(Spelling.plain(pc), mode)))
                                    .toList()));
        }
        return new DroneMap(tuning, mode, rows);
    }

    /** The roles of the open strings of a tuning over a capo in a key. */
    public static Cell cell(Tuning tuning, int capo, Key key) {
        return new Cell(
                capo, key, tuning.open().stream().map(open -> role(key, open + capo)).toList());
    }

    private static Role role(Key key, int midi) {
        int above = Math.floorMod(midi - key.tonic().pitchClass(), 12);
        if (above == 0) {
            return Role.ROOT;
        }
        if (!key.contains(midi)) {
            return Role.RUB;
        }
        return above == 7 ? Role.FIFTH : Role.COLOUR;
    }

    /** How much better a capo must carry a tonic than open strings do to be worth its while. */
    private static final int MARGIN = 3;

    /**
     * The capo with which the open strings carry a tonic best; the lowest of several, and none
     * where no capo is better than the bare neck by {@link #MARGIN}.
     */
    public int rescue(int tonic) {
        int best = 0;
        for (Row r : rows) {
            if (r.cells().get(tonic).score() > rows.get(best).cells().get(tonic).score()) {
                best = r.capo();
            }
        }
        int gained =
                rows.get(best).cells().get(tonic).score() - rows.get(0).cells().get(tonic).score();
        return gained < MARGIN ? 0 : best;
    }
}
