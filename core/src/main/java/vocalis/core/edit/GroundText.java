package vocalis.core.edit;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import vocalis.core.rhythm.Meter;
import vocalis.core.rhythm.TempoMap;
import vocalis.core.theory.Key;

/**
 * Key, tempo and meter as a line of text: {@code f# dorian 132 5/4}, in any order, each of them
 * once or not at all.
 *
 * @param key such as {@code f# dorian}, {@code bbm}, {@code d} for D major
 * @param tempo quarter notes a minute, 20 to 400
 * @param meter such as {@code 5/4}
 */
public record GroundText(Optional<Key> key, Optional<Integer> tempo, Optional<Meter> meter) {

    /**
     * Reads a line.
     *
     * @throws IllegalArgumentException when a word is none of the three; the message says which
     */
    public static GroundText parse(String text) {
        Optional<Integer> tempo = Optional.empty();
        Optional<Meter> meter = Optional.empty();
        List<String> names = new ArrayList<>();
        for (String word : text.strip().split("[\\s,;]+")) {
            if (word.matches("\\d+/\\d+")) {
                once(meter, "meter", word);
                meter = Optional.of(Meter.parse(word));
            } else if (word.matches("\\d+")) {
                once(tempo, "tempo", word);
                tempo = Optional.of(tempo(word));
            } else if (!word.isEmpty()) {
                names.add(word);
            }
        }
        Optional<Key> key =
                names.isEmpty() ? Optional.empty() : Optional.of(Key.parse(named(names)));
        return new GroundText(key, tempo, meter);
    }

    /** The tonic may be small; it is a note, and no mode begins with one letter. */
    private static String named(List<String> words) {
        String tonic = words.get(0);
        String large =
                tonic.substring(0, 1).toUpperCase(java.util.Locale.ROOT) + tonic.substring(1);
        return String.join(" ", large, String.join(" ", words.subList(1, words.size()))).strip();
    }

    private static int tempo(String word) {
        int bpm = word.length() > 4 ? 0 : Integer.parseInt(word);
        if (bpm < TempoMap.SLOWEST || bpm > TempoMap.FASTEST) {
            throw new IllegalArgumentException(
                    "a tempo is a whole number from "
                            + TempoMap.SLOWEST
                            + " to "
                            + TempoMap.FASTEST
                            + ", not "
                            + word);
        }
        return bpm;
    }

    private static void once(Optional<?> before, String what, String word) {
        if (before.isPresent()) {
            throw new IllegalArgumentException("\"" + word + "\" is a second " + what);
        }
    }
}
