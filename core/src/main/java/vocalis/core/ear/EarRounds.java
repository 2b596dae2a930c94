package vocalis.core.ear;

import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.random.RandomGenerator;
import java.util.stream.IntStream;
import vocalis.core.choice.Candidate;
import vocalis.core.choice.Catalogue;
import vocalis.core.hands.Hand;
import vocalis.core.instrument.Fretboard;
import vocalis.core.instrument.Shape;
import vocalis.core.names.HeardRoot;
import vocalis.core.practice.Entry;
import vocalis.core.theory.Degree;
import vocalis.core.theory.PitchClassSet;
import vocalis.core.voicing.Family;
import vocalis.core.voicing.Sounding;
import vocalis.core.voicing.Voicing;

/**
 * Makes rounds for the ear out of roots that a player uses: two voicings, or one, whose difference
 * is worked out from their notes and never from what they are called.
 */
public final class EarRounds {

    /** How many of a family's best are dealt from. */
    private static final int DEALT_FROM = 24;

    /** Two that are told apart lie no further from each other, in semitones at their lowest. */
    private static final int NEAR = 7;

    private static final long WEEK_MILLIS = 7L * 24 * 3600 * 1000;

    /** A wrong answer of the last week counts as so many more reasons to ask again. */
    private static final int AGAIN = 2;

    private final Catalogue catalogue;
    private final Fretboard board;
    private final Hand hand;

    public EarRounds(Catalogue catalogue, Fretboard board, Hand hand) {
        this.catalogue = catalogue;
        this.board = board;
        this.hand = hand;
    }

    /**
     * What to ask for next: more often what was answered wrongly in the last week.
     *
     * @param now in milliseconds since 1970-01-01T00:00Z
     */
    public static EarKind next(List<Entry> practised, long now, RandomGenerator random) {
        Map<EarKind, Integer> weights = weights(practised, now);
        int left = random.nextInt(weights.values().stream().mapToInt(w -> w).sum());
        for (EarKind kind : EarKind.values()) {
            left -= weights.get(kind);
            if (left < 0) {
                return kind;
            }
        }
        return EarKind.FOURTH;
    }

    static Map<EarKind, Integer> weights(List<Entry> practised, long now) {
        Map<EarKind, Integer> weights = new EnumMap<>(EarKind.class);
        for (EarKind kind : EarKind.values()) {
            int wrong =
                    practised.stream()
                            .filter(e -> e.what().equals(kind.id()) && e.at() > now - WEEK_MILLIS)
                            .mapToInt(Entry::failed)
                            .sum();
            weights.put(kind, 1 + AGAIN * wrong);
        }
        return weights;
    }

    /**
     * A question on a root.
     *
     * @param root pitch class 0 to 11
     * @return empty where the instrument has no notes for it
     */
    public Optional<EarQuestion> ask(EarKind kind, int root, RandomGenerator random) {
        return switch (kind) {
            case FOURTH -> fourth(root, random);
            case THIRD -> third(root, random);
            case ROOT -> rootPlace(root, random);
            case MOVED -> moved(root, random);
            case OPEN_STRING -> openString(root, random);
        };
    }

    private List<Voicing> dealt(Family family, int root, RandomGenerator random) {
        List<Voicing> all =
                new ArrayList<>(
                        catalogue.leading(board, hand, family, root).stream()
                                .map(Candidate::voicing)
                                .limit(DEALT_FROM)
                                .toList());
        shuffle(all, random);
        return all;
    }

    private Optional<EarQuestion> fourth(int root, RandomGenerator random) {
        for (Voicing fourth : dealt(Family.FOURTH, root, random)) {
            for (Voicing power : dealt(Family.POWER, root, random)) {
                boolean alike =
                        power.voices() == fourth.voices()
                                && Math.abs(power.bass() - fourth.bass()) <= NEAR
                                && !power.midi().equals(fourth.midi());
                if (alike && power.bass() % 12 == root) {
                    boolean first = random.nextBoolean();
                    return Optional.of(
                            new EarQuestion(
                                    EarKind.FOURTH,
                                    first ? List.of(fourth, power) : List.of(power, fourth),
                                    List.of(new EarAnswer.Which(true), new EarAnswer.Which(false)),
                                    first ? 0 : 1));
                }
            }
        }
        return Optional.empty();
    }

    private Optional<EarQuestion> third(int root, RandomGenerator random) {
        boolean minor = random.nextBoolean();
        return dealt(Family.THIRD, root, random).stream()
                .filter(v -> above(v).equals(PitchClassSet.of(0, minor ? 3 : 4)))
                .findFirst()
                .map(
                        v ->
                                new EarQuestion(
                                        EarKind.THIRD,
                                        List.of(v),
                                        List.of(
                                                new EarAnswer.Third(true),
                                                new EarAnswer.Third(false)),
                                        minor ? 0 : 1));
    }

    private static PitchClassSet above(Voicing v) {
        return PitchClassSet.of(v.pitchClasses().stream().mapToInt(pc -> pc).toArray())
                .above(v.root());
    }

    /** Of voicings in which the root sounds once and is clearly heard. */
    private Optional<EarQuestion> rootPlace(int root, RandomGenerator random) {
        EarAnswer.Place[] places = EarAnswer.Place.values();
        EarAnswer.Place wanted = places[random.nextInt(places.length)];
        List<Voicing> all = new ArrayList<>();
        for (Family f : List.of(Family.FOURTH, Family.TRIAD, Family.THIRD, Family.POWER)) {
            all.addAll(dealt(f, root, random));
        }
        shuffle(all, random);
        return all.stream()
                .filter(v -> v.voices() > 1 && place(v).filter(wanted::equals).isPresent())
                .findFirst()
                .map(
                        v ->
                                new EarQuestion(
                                        EarKind.ROOT,
                                        List.of(v),
                                        List.of(places),
                                        wanted.ordinal()));
    }

    /** Where the root lies; empty where it sounds more than once or another is heard. */
    static Optional<EarAnswer.Place> place(Voicing v) {
        List<Integer> midi = v.midi().stream().sorted().toList();
        List<Integer> at =
                IntStream.range(0, midi.size())
                        .filter(i -> midi.get(i) % 12 == v.root())
                        .boxed()
                        .toList();
        HeardRoot heard = HeardRoot.of(v, Optional.empty());
        if (at.size() != 1 || heard.root() != v.root() || heard.ambiguous()) {
            return Optional.empty();
        }
        int i = at.get(0);
        return Optional.of(
                i == 0
                        ? EarAnswer.Place.LOWEST
                        : i == midi.size() - 1 ? EarAnswer.Place.HIGHEST : EarAnswer.Place.BETWEEN);
    }

    /** Two chords of three or four notes on the same strings, of which one goes a step. */
    private Optional<EarQuestion> moved(int root, RandomGenerator random) {
        List<Voicing> all = new ArrayList<>();
        for (Family f : List.of(Family.TRIAD, Family.SUSPENDED, Family.EXTENDED)) {
            all.addAll(dealt(f, root, random));
        }
        all.removeIf(v -> v.voices() < 3 || v.voices() > 4);
        shuffle(all, random);
        int wanted = random.nextInt(3);
        Optional<EarQuestion> any = Optional.empty();
        for (Voicing a : all) {
            for (Voicing b : all) {
                Optional<Integer> rank = movedVoice(a, b);
                if (rank.isPresent()) {
                    EarQuestion q = movedQuestion(a, b, rank.get());
                    if (rank.get() == Math.min(wanted, a.voices() - 1)) {
                        return Optional.of(q);
                    }
                    any = any.isPresent() ? any : Optional.of(q);
                }
            }
        }
        return any;
    }

    private static EarQuestion movedQuestion(Voicing a, Voicing b, int rank) {
        List<EarAnswer> voices = new ArrayList<>();
        for (int i = 0; i < a.voices(); i++) {
            voices.add(new EarAnswer.Voice(i, a.voices()));
        }
        return new EarQuestion(EarKind.MOVED, List.of(a, b), voices, rank);
    }

    /** Which voice, counted from the top, goes one or two semitones while the others stay. */
    static Optional<Integer> movedVoice(Voicing a, Voicing b) {
        List<Integer> x = a.midi().stream().sorted().toList();
        List<Integer> y = b.midi().stream().sorted().toList();
        if (x.size() != y.size()) {
            return Optional.empty();
        }
        int moved = -1;
        for (int i = 0; i < x.size(); i++) {
            int by = Math.abs(x.get(i) - y.get(i));
            if (by > 2 || by > 0 && moved >= 0) {
                return Optional.empty();
            }
            moved = by > 0 ? i : moved;
        }
        return moved < 0 ? Optional.empty() : Optional.of(x.size() - 1 - moved);
    }

    /** A shape, then the same with one open string. */
    private Optional<EarQuestion> openString(int root, RandomGenerator random) {
        for (Voicing with : dealt(Family.DRONE, root, random)) {
            List<Sounding> open = with.soundings().stream().filter(Sounding::open).toList();
            if (open.size() != 1 || with.voices() < 3) {
                continue;
            }
            Shape shut = with.shape().with(open.get(0).string(), -1);
            Voicing without = new Voicing(shut, board, root);
            PitchClassSet own = above(without);
            int added = Math.floorMod(open.get(0).pitchClass() - root, 12);
            if (own.has(added)) {
                continue;
            }
            List<Integer> others = new ArrayList<>();
            for (int d = 1; d < 12; d++) {
                if (d != added && !own.has(d)) {
                    others.add(d);
                }
            }
            shuffle(others, random);
            List<Integer> three = new ArrayList<>(others.subList(0, 2));
            three.add(added);
            Collections.sort(three);
            return Optional.of(
                    new EarQuestion(
                            EarKind.OPEN_STRING,
                            List.of(without, with),
                            three.stream()
                                    .<EarAnswer>map(d -> new EarAnswer.Added(Degree.above(d)))
                                    .toList(),
                            three.indexOf(added)));
        }
        return Optional.empty();
    }

    /** After R. Durstenfeld, 1964. */
    private static <T> void shuffle(List<T> all, RandomGenerator random) {
        for (int i = all.size() - 1; i > 0; i--) {
            Collections.swap(all, i, random.nextInt(i + 1));
        }
    }
}
