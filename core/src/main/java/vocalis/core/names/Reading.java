package vocalis.core.names;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import vocalis.core.theory.Degree;
import vocalis.core.theory.Key;
import vocalis.core.theory.Spelling;
import vocalis.core.voicing.Sounding;
import vocalis.core.voicing.Voicing;

/**
 * One way to read a voicing.
 *
 * @param kind exact, working or from the lowest note
 * @param name the symbol
 * @param root root of this reading, spelled
 * @param bass lowest note, spelled
 * @param degrees each sounding note from the lowest string up, as a degree of this root
 * @param omitted degrees that the symbol promises and the voicing does not sound
 * @param beyond degrees that sound and the symbol does not say
 * @param heard whether its root is one that is heard
 */
public record Reading(
        Kind kind,
        String name,
        Spelling root,
        Spelling bass,
        List<Degree> degrees,
        List<Degree> omitted,
        List<Degree> beyond,
        boolean heard) {

    /** How a reading relates to what sounds. */
    public enum Kind {
        /** Says every sounding pitch class and none other, except as an explicit omission. */
        EXACT,
        /** A simpler chord that the voicing stands in for. */
        WORKING,
        /** Built on the lowest note, as an interval is usually read. */
        LOWEST
    }

    private static final int MOST_EXACT = 4;
    private static final int MOST_WORKING = 3;

    public Reading {
        degrees = List.copyOf(degrees);
        omitted = List.copyOf(omitted);
        beyond = List.copyOf(beyond);
    }

    /** The readings of a voicing by itself, best first: exact, working, then the lowest note's. */
    public static List<Reading> all(Voicing v, Optional<Key> key) {
        HeardRoot heard = HeardRoot.of(v, key);
        List<ChordName> names = ChordNamer.names(v, key);
        List<Reading> out = new ArrayList<>();
        int shown = 0;
        for (ChordName n : names) {
            // The heard root's own name is never left out.
            boolean heards = n.root().pitchClass() == heard.root();
            if (shown >= MOST_EXACT && !(heards && out.stream().noneMatch(r -> r.on(heard)))) {
                continue;
            }
            shown++;
            out.add(make(Kind.EXACT, n.symbol(), v, heard));
        }
        out.addAll(working(v, key, names, heard));
        int bass = Math.floorMod(v.bass(), 12);
        names.stream()
                .filter(n -> n.root().pitchClass() == bass && n.bass().isEmpty())
                .findFirst()
                .map(n -> make(Kind.LOWEST, n.symbol(), v, heard))
                .ifPresent(out::add);
        return List.copyOf(out);
    }

    /** Chords that it stands in for: simpler ones first, then fuller ones. */
    private static List<Reading> working(
            Voicing v, Optional<Key> key, List<ChordName> names, HeardRoot heard) {
        ChordName exact = names.get(0);
        Set<String> symbols = new LinkedHashSet<>(WorkingName.of(v, key));
        symbols.addAll(simpler(exact));
        for (ChordName n : names.subList(0, Math.min(2, names.size()))) {
            symbols.addAll(fuller(v, n));
        }
        names.forEach(n -> symbols.remove(n.symbol()));
        List<Reading> out = new ArrayList<>();
        for (String symbol : symbols) {
            if (out.size() < MOST_WORKING) {
                out.add(make(Kind.WORKING, symbol, v, heard));
            }
        }
        return out;
    }

    private boolean on(HeardRoot heard) {
        return root.pitchClass() == heard.root();
    }

    /** Omissions unsaid, then additions dropped, then a seventh for a ninth and more. */
    private static List<String> simpler(ChordName exact) {
        List<String> suffixes = new ArrayList<>();
        String suffix = exact.suffix();
        int open = suffix.lastIndexOf('(');
        String stem = suffix;
        if (open >= 0 && suffix.endsWith(")")) {
            List<String> kept = new ArrayList<>();
            for (String m : suffix.substring(open + 1, suffix.length() - 1).split(",")) {
                if (!m.startsWith("no")) {
                    kept.add(m);
                }
            }
            stem = suffix.substring(0, open);
            suffixes.add(kept.isEmpty() ? stem : stem + "(" + String.join(",", kept) + ")");
            suffixes.add(stem);
        } else if (suffix.startsWith("add")) {
            stem = "";
            suffixes.add(stem);
        }
        if (stem.matches("m?6/9")) {
            suffixes.add(stem.startsWith("m") ? "m" : "");
        } else if (stem.matches("(m?)(maj)?(9|11|13)(sus4)?")) {
            suffixes.add(stem.replaceFirst("(9|11|13)", "7"));
        }
        return suffixes.stream().map(s -> withBass(exact, s)).toList();
    }

    /** The name with another suffix, over its bass, spelled as the new symbol spells that note. */
    private static String withBass(ChordName exact, String suffix) {
        String stem = exact.root().symbol() + suffix;
        ChordSymbol c = ChordSymbol.parse(stem);
        return exact.bass()
                .map(b -> c.spelled(b.pitchClass()).orElse(b))
                .map(b -> stem + "/" + b.symbol())
                .orElse(stem);
    }

    /** Fuller chords on the root of a name. */
    private static List<String> fuller(Voicing v, ChordName exact) {
        int root = exact.root().pitchClass();
        Set<Integer> above = new TreeSet<>();
        v.pitchClasses().forEach(pc -> above.add(Math.floorMod(pc - root, 12)));
        return Fuller.of(above).stream().map(s -> withBass(exact, s)).toList();
    }

    /** Degrees, bass and omissions as the symbol says them. */
    private static Reading make(Kind kind, String name, Voicing v, HeardRoot heard) {
        ChordSymbol symbol = ChordSymbol.parse(name);
        int root = symbol.root().pitchClass();
        List<Degree> degrees = new ArrayList<>();
        Set<Degree> beyond = new LinkedHashSet<>();
        for (Sounding s : v.soundings()) {
            degrees.add(said(symbol, s.midi() - root));
            if (!symbol.pitchClasses().contains(s.pitchClass())) {
                beyond.add(said(symbol, s.midi() - root));
            }
        }
        Spelling bass =
                symbol.bass().orElseGet(() -> symbol.root().above(said(symbol, v.bass() - root)));
        return new Reading(
                kind,
                name,
                symbol.root(),
                bass,
                degrees,
                omitted(symbol, v.pitchClasses()),
                List.copyOf(beyond),
                heard.mayBe(root));
    }

    private static Degree said(ChordSymbol symbol, int semitones) {
        return symbol.degree(semitones).orElseGet(() -> Degree.above(semitones));
    }

    /** What the symbol says and nothing sounds; an explicit "no3" is an omission of the third. */
    private static List<Degree> omitted(ChordSymbol symbol, List<Integer> sounding) {
        List<Degree> missing = new ArrayList<>();
        for (int i : new TreeSet<>(symbol.intervals())) {
            if (!sounding.contains((symbol.root().pitchClass() + i) % 12)) {
                missing.add(said(symbol, i));
            }
        }
        missing.addAll(symbol.without());
        return missing;
    }
}
