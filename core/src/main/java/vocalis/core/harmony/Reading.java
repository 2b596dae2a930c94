package vocalis.core.harmony;

import java.util.ArrayList;
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
 * One way to read a voicing, with its reason.
 *
 * @param kind exact, working or from the lowest note
 * @param name the symbol
 * @param root root of this reading, spelled
 * @param bass lowest note, spelled
 * @param degrees each sounding note from the lowest string up, as a degree of this root
 * @param omitted degrees that the symbol promises and the voicing does not sound
 * @param beyond degrees that sound and the symbol does not say
 * @param reason in plain words
 */
public record Reading(
        Kind kind,
        String name,
        Spelling root,
        Spelling bass,
        List<Degree> degrees,
        List<Degree> omitted,
        List<Degree> beyond,
        String reason) {

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

    /** The readings of a voicing, best first: exact ones, working ones, then the lowest note's. */
    public static List<Reading> all(Voicing v, Optional<Key> key) {
        HeardRoot heard = HeardRoot.of(v, key);
        List<ChordName> names = ChordNamer.names(v, key);
        List<Reading> out = new ArrayList<>();
        for (ChordName n : names.subList(0, Math.min(MOST_EXACT, names.size()))) {
            String why =
                    heard.mayBe(n.root().pitchClass())
                            ? "on the root that is heard"
                            : "says the same notes from another root";
            out.add(make(Kind.EXACT, n.symbol(), v, key, why));
        }
        out.addAll(working(v, key, names.get(0)));
        int bass = Math.floorMod(v.bass(), 12);
        names.stream()
                .filter(n -> n.root().pitchClass() == bass && n.bass().isEmpty())
                .findFirst()
                .ifPresent(
                        n ->
                                out.add(
                                        make(
                                                Kind.LOWEST,
                                                n.symbol(),
                                                v,
                                                key,
                                                "read from the lowest note up")));
        return List.copyOf(out);
    }

    /** Simpler chords on the same root: omissions unsaid, then additions dropped. */
    private static List<Reading> working(Voicing v, Optional<Key> key, ChordName exact) {
        List<Reading> out = new ArrayList<>();
        String slash = exact.bass().map(b -> "/" + b.symbol()).orElse("");
        String suffix = exact.suffix();
        List<String> simpler = new ArrayList<>();
        int open = suffix.lastIndexOf('(');
        if (open >= 0 && suffix.endsWith(")")) {
            List<String> kept = new ArrayList<>();
            for (String m : suffix.substring(open + 1, suffix.length() - 1).split(",")) {
                if (!m.startsWith("no")) {
                    kept.add(m);
                }
            }
            String stem = suffix.substring(0, open);
            simpler.add(kept.isEmpty() ? stem : stem + "(" + String.join(",", kept) + ")");
            simpler.add(stem);
        }
        String stem = open >= 0 ? suffix.substring(0, open) : suffix;
        if (stem.startsWith("6/9") || stem.startsWith("m6/9")) {
            simpler.add(stem.startsWith("m") ? "m" : "");
        } else if (stem.matches("(m?)(maj)?(9|11|13)(sus4)?")) {
            simpler.add(stem.replaceFirst("(9|11|13)", "7"));
        }
        for (String s : simpler) {
            String name = exact.root().symbol() + s + slash;
            boolean known =
                    name.equals(exact.symbol())
                            || out.stream().anyMatch(r -> r.name().equals(name));
            if (!known && out.size() < MOST_WORKING) {
                Reading r = make(Kind.WORKING, name, v, key, "");
                out.add(
                        new Reading(
                                r.kind,
                                r.name,
                                r.root,
                                r.bass,
                                r.degrees,
                                r.omitted,
                                r.beyond,
                                leftOut(r)));
            }
        }
        return out;
    }

    private static String leftOut(Reading r) {
        List<String> parts = new ArrayList<>();
        if (!r.omitted.isEmpty()) {
            parts.add("without its " + join(r.omitted));
        }
        if (!r.beyond.isEmpty()) {
            parts.add(join(r.beyond) + " unsaid");
        }
        return "used as " + r.name + (parts.isEmpty() ? "" : ", " + String.join(", ", parts));
    }

    private static String join(List<Degree> degrees) {
        return String.join(" and ", degrees.stream().map(Degree::symbol).toList());
    }

    private static Reading make(
            Kind kind, String name, Voicing v, Optional<Key> key, String reason) {
        ChordSymbol symbol = ChordSymbol.parse(name);
        int root = symbol.root().pitchClass();
        Set<Integer> sounding = new TreeSet<>();
        List<Degree> degrees = new ArrayList<>();
        for (Sounding s : v.soundings()) {
            sounding.add(s.pitchClass());
            degrees.add(Degree.above(s.midi() - root));
        }
        List<Degree> beyond = new ArrayList<>();
        for (int pc : sounding) {
            if (!symbol.pitchClasses().contains(pc)) {
                beyond.add(Degree.above(pc - root));
            }
        }
        int bass = Math.floorMod(v.bass(), 12);
        Spelling spelledBass =
                symbol.bass()
                        .orElseGet(() -> key.map(k -> k.spell(bass)).orElse(Spelling.plain(bass)));
        return new Reading(
                kind,
                name,
                symbol.root(),
                spelledBass,
                degrees,
                omitted(symbol, sounding, name),
                beyond,
                reason);
    }

    /** What the symbol says and nothing sounds; an explicit "no3" is an omission of the third. */
    private static List<Degree> omitted(ChordSymbol symbol, Set<Integer> sounding, String name) {
        List<Degree> missing = new ArrayList<>();
        for (int i : new TreeSet<>(symbol.intervals())) {
            if (!sounding.contains((symbol.root().pitchClass() + i) % 12)) {
                missing.add(Degree.above(i));
            }
        }
        if (name.contains("no3")) {
            missing.add(new Degree(3, 0));
        }
        if (name.contains("no5")) {
            missing.add(new Degree(5, 0));
        }
        return missing;
    }
}
