package vocalis.core.pattern;

import java.util.ArrayList;
import java.util.List;

/**
 * Which voices of a shape a stroke strikes, counted from the lowest, so that the pattern stays when
 * the shape changes. A voice that a thinner shape lacks is its highest.
 */
public sealed interface Struck {

    /**
     * Indices of the voices struck in a shape of {@code voices} voices, ascending, without
     * doublings; for strings picked one by one, as if each voice lay on a string of its own.
     */
    List<Integer> of(int voices);

    /** Whether it names strings, not voices. */
    default boolean byString() {
        return false;
    }

    /** A short word for the lane. */
    String label();

    /** The selections that have a name. */
    enum Named implements Struck {
        ALL("all"),
        LOW("low"),
        SECOND("2nd"),
        THIRD("3rd"),
        TOP("top"),
        LOW_PAIR("low 2"),
        TOP_PAIR("top 2"),
        UPPER("upper");

        private final String label;

        Named(String label) {
            this.label = label;
        }

        @Override
        public List<Integer> of(int voices) {
            int top = voices - 1;
            return switch (this) {
                case ALL -> range(0, top);
                case LOW -> range(0, 0);
                case SECOND -> range(Math.min(1, top), Math.min(1, top));
                case THIRD -> range(Math.min(2, top), Math.min(2, top));
                case TOP -> range(top, top);
                case LOW_PAIR -> range(0, Math.min(1, top));
                case TOP_PAIR -> range(Math.max(0, top - 1), top);
                case UPPER -> range(Math.min(1, top), top);
            };
        }

        @Override
        public String label() {
            return label;
        }

        private static List<Integer> range(int from, int to) {
            List<Integer> all = new ArrayList<>();
            for (int i = from; i <= to; i++) {
                all.add(i);
            }
            return all;
        }
    }

    /**
     * Voices picked one by one.
     *
     * @param mask bit n set for voice n from the lowest; not zero, at most nine voices
     */
    record Picked(int mask) implements Struck {
        public Picked {
            if (mask <= 0 || mask >= 1 << 9) {
                throw new IllegalArgumentException(
                        "picked voices must be one to nine bits, but are " + mask);
            }
        }

        @Override
        public List<Integer> of(int voices) {
            List<Integer> all = new ArrayList<>();
            for (int bit = 0; bit < 9; bit++) {
                int voice = Math.min(bit, voices - 1);
                if ((mask & (1 << bit)) != 0 && !all.contains(voice)) {
                    all.add(voice);
                }
            }
            return all;
        }

        @Override
        public String label() {
            StringBuilder text = new StringBuilder();
            for (int bit = 0; bit < 9; bit++) {
                if ((mask & (1 << bit)) != 0) {
                    text.append(text.isEmpty() ? "" : "+").append(bit + 1);
                }
            }
            return text.toString();
        }
    }

    /**
     * Strings picked one by one, whether the shape sounds them or not: a string that it leaves
     * silent is struck open.
     *
     * @param mask bit n set for string n from the lowest; not zero, at most nine strings
     */
    record Strings(int mask) implements Struck {
        public Strings {
            if (mask <= 0 || mask >= 1 << 9) {
                throw new IllegalArgumentException(
                        "picked strings must be one to nine bits, but are " + mask);
            }
        }

        @Override
        public List<Integer> of(int voices) {
            return new Picked(mask).of(voices);
        }

        @Override
        public boolean byString() {
            return true;
        }

        /** Whether a string is struck. */
        public boolean strikes(int string) {
            return (mask & (1 << string)) != 0;
        }

        @Override
        public String label() {
            return "str " + new Picked(mask).label();
        }
    }

    /** A picked set, under its name where a shape of {@code voices} voices gives it one. */
    static Struck picked(List<Integer> indices, int voices) {
        for (Named named : Named.values()) {
            if (named.of(voices).equals(indices)) {
                return named;
            }
        }
        int mask = 0;
        for (int i : indices) {
            mask |= 1 << i;
        }
        return new Picked(mask);
    }
}
