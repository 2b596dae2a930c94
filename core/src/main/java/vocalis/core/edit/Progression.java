package vocalis.core.edit;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import vocalis.core.rhythm.Meter;
import vocalis.core.riff.Riff;
import vocalis.core.riff.Root;
import vocalis.core.riff.RootSpan;
import vocalis.core.riff.Treatment;
import vocalis.core.theory.Key;
import vocalis.core.theory.Spelling;

/**
 * Roots as they are typed: {@code a f c:2 g/b} or {@code 1 b6 3:2 5/7}, notes or degrees of the
 * key, with a bass behind a slash, and behind a colon how many bars each lasts ({@code :2}, {@code
 * :1/2}) or how many beats ({@code :3b}); one bar where nothing is said.
 *
 * @param entries in their order, at least one
 */
public record Progression(List<Entry> entries) {

    /**
     * One root.
     *
     * @param root which
     * @param bass what is put under it
     * @param bars how many bars it lasts, 0 where beats are said
     * @param parts into how many parts those bars are divided
     * @param beats how many beats it lasts, 0 where bars are said
     */
    public record Entry(Root root, Optional<Root> bass, int bars, int parts, int beats) {}

    private static final Pattern ENTRY =
            Pattern.compile(
                    "([a-g][#b♯♭]?|[#b♯♭]?[1-7])(?:/([a-g][#b♯♭]?|[#b♯♭]?[1-7]))?"
                            + "(?::(\\d{1,2})(?:/([1-9]\\d?)|(b))?)?");

    /** A note said as a power chord, D5 or f#5; b5 stays the degree. */
    private static final Pattern POWER =
            Pattern.compile("^([AC-Gac-g][#b♯♭]?|B[#b♯♭]?|b[#b♯♭])5(?=$|[:/])");

    public Progression {
        entries = List.copyOf(entries);
        if (entries.isEmpty()) {
            throw new IllegalArgumentException("a progression has at least one root");
        }
    }

    /**
     * Reads roots.
     *
     * @throws IllegalArgumentException saying which word is none and what is meant
     */
    public static Progression parse(String text, Key key) {
        List<Entry> entries = new ArrayList<>();
        String[] words = text.strip().split("[\\s,|]+");
        for (int i = 0; i < words.length; i++) {
            // A capital B is a note, a small b before a digit lowers it: both are read small.
            String word = POWER.matcher(words[i]).replaceFirst("$1");
            Matcher m = ENTRY.matcher(word.toLowerCase(Locale.ROOT));
            if (words[i].isEmpty() || !m.matches()) {
                throw new IllegalArgumentException(
                        "word "
                                + (i + 1)
                                + ", \""
                                + words[i]
                                + "\", is no root: say a note (a, f#, eb) or a degree (1, b6), its"
                                + " bass behind a slash, its bars behind a colon (g/b:2, 5:1/2, d:3b)");
            }
            int count = m.group(3) == null ? 1 : Integer.parseInt(m.group(3));
            if (count == 0) {
                throw new IllegalArgumentException(
                        "word " + (i + 1) + ", \"" + words[i] + "\", lasts no time");
            }
            boolean beats = m.group(5) != null;
            int parts = m.group(4) == null ? 1 : Integer.parseInt(m.group(4));
            entries.add(
                    new Entry(
                            root(m.group(1), key),
                            Optional.ofNullable(m.group(2)).map(b -> root(b, key)),
                            beats ? 0 : count,
                            parts,
                            beats ? count : 0));
        }
        return new Progression(entries);
    }

    private static Root root(String word, Key key) {
        char last = word.charAt(word.length() - 1);
        if (Character.isDigit(last)) {
            int alter =
                    word.length() == 1
                            ? 0
                            : word.charAt(0) == 'b' || word.charAt(0) == '♭' ? -1 : 1;
            Root natural = new Root(last - '0', 0);
            return alter == 0
                    ? natural
                    : Root.of(key, Math.floorMod(natural.pitchClass(key) + alter, 12));
        }
        return Root.of(key, Spelling.parse(capital(word)).pitchClass());
    }

    private static String capital(String word) {
        return word.substring(0, 1).toUpperCase(Locale.ROOT) + word.substring(1);
    }

    /** How the roots of a riff would be typed. */
    public static String of(Riff riff) {
        Key key = riff.ground().key();
        StringBuilder out = new StringBuilder();
        long at = 0;
        for (int i = 0; i < riff.roots().size(); i++) {
            RootSpan span = riff.roots().get(i);
            Meter meter = riff.meters().meter(Math.max(0, riff.meters().bar(at)));
            out.append(out.isEmpty() ? "" : " ").append(note(span.root(), key));
            riff.treatments().get(i).bass().ifPresent(b -> out.append('/').append(note(b, key)));
            out.append(length(span.length(), meter));
            at += span.length();
        }
        return out.toString();
    }

    private static String note(Root root, Key key) {
        return key.spell(root.pitchClass(key))
                .symbol()
                .replace('♯', '#')
                .replace('♭', 'b')
                .toLowerCase(Locale.ROOT);
    }

    private static String length(long ticks, Meter meter) {
        long bar = meter.barTicks();
        if (ticks % bar == 0) {
            return ticks == bar ? "" : ":" + ticks / bar;
        }
        long beat = bar / meter.beats();
        return ticks % beat == 0 ? ":" + ticks / beat + "b" : ":1/" + Math.max(2, bar / ticks);
    }

    /**
     * A riff on these roots, which keeps its time, pattern and touches; each root is voiced as the
     * one that stood in its place, the rest as the last. The last root fills its bar.
     */
    public Riff on(Riff riff) {
        Key key = riff.ground().key();
        List<RootSpan> roots = new ArrayList<>();
        List<Treatment> treatments = new ArrayList<>();
        long at = 0;
        for (int i = 0; i < entries.size(); i++) {
            Entry e = entries.get(i);
            long length = i == 0 ? riff.meters().pickup() : 0;
            for (int bar = 0; bar < e.bars(); bar++) {
                int index = Math.max(0, riff.meters().bar(at + length));
                length += riff.meters().meter(index).barTicks() / e.parts();
            }
            if (e.beats() > 0) {
                Meter meter = riff.meters().meter(Math.max(0, riff.meters().bar(at)));
                length += e.beats() * (meter.barTicks() / meter.beats());
            }
            roots.add(new RootSpan(e.root(), length));
            Treatment before = riff.treatments().get(Math.min(i, riff.treatments().size() - 1));
            boolean same =
                    i < riff.roots().size()
                            && riff.roots().get(i).root().pitchClass(key)
                                    == e.root().pitchClass(key);
            Treatment fresh =
                    same ? before : new Treatment(before.family(), java.util.Map.of(), e.bass());
            treatments.add(fresh.over(e.bass()));
            at += length;
        }
        Rearrangement.fillBars(roots, riff.meters());
        return riff.withRoots(roots, treatments);
    }
}
