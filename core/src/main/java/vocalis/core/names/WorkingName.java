package vocalis.core.names;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import vocalis.core.theory.Key;
import vocalis.core.theory.PitchClassSet;
import vocalis.core.theory.Spelling;
import vocalis.core.voicing.Voicing;

/**
 * What a player calls a chord in passing: the chord that it stands for on the root that was chosen.
 * Added tones and suspensions over the same third go first, then the seventh; a diminished or
 * augmented triad keeps its word. Common practice, no source.
 */
public final class WorkingName {

    private WorkingName() {}

    /**
     * The names in passing, the fullest first; empty where nothing shorter is said. The bass is
     * named only where the notes by themselves say another root.
     */
    public static List<String> of(Voicing v, Optional<Key> key) {
        ChordName exact = ChordNamer.name(v, key);
        int root = v.pitchClasses().contains(v.root()) ? v.root() : exact.root().pitchClass();
        boolean own = exact.root().pitchClass() == root;
        Spelling said = own ? exact.root() : key.map(k -> k.say(root)).orElse(Spelling.plain(root));
        int bass = Math.floorMod(v.bass(), 12);
        boolean slash = !own && bass != root;
        PitchClassSet above =
                PitchClassSet.of(v.pitchClasses().stream().mapToInt(pc -> pc).toArray())
                        .above(root);
        List<String> all = new ArrayList<>();
        for (String suffix : suffixes(above)) {
            String name = said.symbol() + suffix;
            name += slash ? "/" + under(name, bass, key) : "";
            if (!name.equals(exact.symbol())) {
                all.add(name);
            }
        }
        // What the exact name says already is not said again a little fuller.
        return own && exact.bass().isEmpty() && suffixes(above).contains(exact.suffix())
                ? all.stream().filter(n -> n.length() < exact.symbol().length()).toList()
                : List.copyOf(all);
    }

    /** The bass as the chord spells it, else as the key does. */
    private static String under(String symbol, int bass, Optional<Key> key) {
        return ChordSymbol.parse(symbol)
                .spelled(bass)
                .or(() -> key.map(k -> k.say(bass)))
                .orElse(Spelling.plain(bass))
                .symbol();
    }

    /** What a chord symbol comes to in passing, such as {@code F♯m7} and {@code F♯m} for F♯m11. */
    static List<String> of(String symbol) {
        ChordSymbol c = ChordSymbol.parse(symbol);
        PitchClassSet above = PitchClassSet.of(c.intervals().stream().mapToInt(i -> i).toArray());
        return suffixes(above).stream().map(s -> c.root().symbol() + s).toList();
    }

    /**
     * The chord with its seventh, and the triad.
     *
     * @param above semitones above the root
     */
    private static List<String> suffixes(PitchClassSet above) {
        Quality q = Quality.of(above);
        boolean minor = q.third() == Quality.Third.MINOR;
        boolean diminished = minor && q.fifth() == Quality.Fifth.FLAT;
        boolean augmented = q.third() == Quality.Third.MAJOR && q.fifth() == Quality.Fifth.SHARP;
        String m = minor ? "m" : "";
        List<String> all = new ArrayList<>();
        switch (q.seventh()) {
            case FLAT -> all.add(diminished ? "m7♭5" : m + "7");
            case MAJOR -> all.add(minor ? "m(maj7)" : "maj7");
            case DIMINISHED -> all.add("dim7");
            case SIXTH, NONE -> {}
        }
        all.add(diminished ? "dim" : augmented && all.isEmpty() ? "aug" : m);
        return all;
    }
}
