package vocalis.core.ear;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import vocalis.core.choice.Catalogue;
import vocalis.core.hands.Hand;
import vocalis.core.instrument.Fretboard;
import vocalis.core.instrument.Instrument;
import vocalis.core.instrument.Tuning;
import vocalis.core.practice.Entry;
import vocalis.core.voicing.Voicing;

/** Rounds for the ear: what is asked is so, worked out again here, and nothing gives it away. */
class EarRoundsTest {

    private static final Catalogue CATALOGUE = new Catalogue();
    private static final List<EarRounds> ROUNDS =
            List.of(
                    new EarRounds(
                            CATALOGUE,
                            new Fretboard(Instrument.of(Tuning.STANDARD), 0),
                            Hand.MEDIUM),
                    new EarRounds(
                            CATALOGUE, new Fretboard(Instrument.of(Tuning.LOW_D), 2), Hand.SMALL));

    private static List<EarQuestion> hundred(EarKind kind) {
        List<EarQuestion> all = new ArrayList<>();
        for (int i = 0; i < 100; i++) {
            Random random = new Random(i * 31L + kind.ordinal());
            ROUNDS.get(i / 50).ask(kind, random.nextInt(12), random).ifPresent(all::add);
        }
        return all;
    }

    private static List<Integer> sorted(Voicing v) {
        return v.midi().stream().sorted().toList();
    }

    private static boolean right(EarQuestion q) {
        Voicing a = q.voicings().get(0);
        Voicing b = q.voicings().get(q.voicings().size() - 1);
        EarAnswer answer = q.answers().get(q.right());
        return switch (q.kind()) {
            case FOURTH -> {
                Voicing fourth = ((EarAnswer.Which) answer).first() ? a : b;
                Voicing power = fourth == a ? b : a;
                yield (fourth.bass() - fourth.root() - 7) % 12 == 0
                        && (power.bass() - power.root()) % 12 == 0
                        && fourth.voices() == power.voices();
            }
            case THIRD -> {
                int other =
                        a.midi().stream().filter(m -> m % 12 != a.root()).findFirst().orElseThrow();
                int above = Math.floorMod(other - a.root(), 12);
                yield above == (((EarAnswer.Third) answer).minor() ? 3 : 4);
            }
            case ROOT -> {
                List<Integer> midi = sorted(a);
                int at =
                        IntStream.range(0, midi.size())
                                .filter(i -> midi.get(i) % 12 == a.root())
                                .findFirst()
                                .orElseThrow();
                yield (answer == EarAnswer.Place.LOWEST) == (at == 0)
                        && (answer == EarAnswer.Place.HIGHEST) == (at == midi.size() - 1);
            }
            case MOVED -> {
                int from = ((EarAnswer.Voice) answer).fromTop();
                List<Integer> x = sorted(a);
                List<Integer> y = sorted(b);
                int changed = 0;
                for (int i = 0; i < x.size(); i++) {
                    changed += x.get(i).equals(y.get(i)) ? 0 : 1;
                }
                int i = x.size() - 1 - from;
                yield changed == 1 && !x.get(i).equals(y.get(i));
            }
            case OPEN_STRING -> {
                List<Integer> more = new ArrayList<>(b.midi());
                a.midi().forEach(more::remove);
                int degree = ((EarAnswer.Added) answer).degree().semitones();
                yield more.size() == 1 && (more.get(0) - b.root() - degree) % 12 == 0;
            }
        };
    }

    /** Of 500 rounds each has the difference that it asks for, and one answer alone is true. */
    @ParameterizedTest
    @EnumSource
    void whatIsAskedIsSo(EarKind kind) {
        List<EarQuestion> all = hundred(kind);
        assertThat(all).hasSizeGreaterThan(60).allMatch(EarRoundsTest::right);
        for (EarQuestion q : all) {
            assertThat(q.answers()).doesNotHaveDuplicates();
            for (int other = 0; other < q.answers().size(); other++) {
                if (other != q.right()) {
                    assertThat(right(new EarQuestion(q.kind(), q.voicings(), q.answers(), other)))
                            .isFalse();
                }
            }
        }
    }

    /** No place among the answers is right much more often than chance has it. */
    @ParameterizedTest
    @EnumSource
    void theOrderGivesNothingAway(EarKind kind) {
        List<EarQuestion> all = hundred(kind);
        Map<Integer, Integer> at = new java.util.TreeMap<>();
        int places = 0;
        for (EarQuestion q : all) {
            at.merge(q.right(), 1, Integer::sum);
            places = Math.max(places, q.answers().size());
        }
        System.out.println(kind + ": " + at + " of " + all.size());
        assertThat(at.size()).as("places that are ever right").isGreaterThanOrEqualTo(2);
        at.values().forEach(n -> assertThat(n).isLessThan(all.size() * 7 / 10));
    }

    @Test
    void whatWasMissedInTheLastWeekComesMoreOften() {
        long now = 1_000_000_000_000L;
        long day = 24L * 3600 * 1000;
        Map<EarKind, Integer> weights = new EnumMap<>(EarKind.class);
        List<Entry> practised =
                List.of(
                        entry(now - 2 * day, EarKind.THIRD, 4, 3),
                        entry(now - 9 * day, EarKind.ROOT, 4, 4),
                        entry(now - day, EarKind.MOVED, 5, 0));
        weights.putAll(EarRounds.weights(practised, now));
        assertThat(weights)
                .containsEntry(EarKind.THIRD, 7)
                .containsEntry(EarKind.ROOT, 1)
                .containsEntry(EarKind.MOVED, 1)
                .containsEntry(EarKind.FOURTH, 1);
        int thirds = 0;
        Random random = new Random(3);
        for (int i = 0; i < 1100; i++) {
            thirds += EarRounds.next(practised, now, random) == EarKind.THIRD ? 1 : 0;
        }
        assertThat(thirds).isBetween(620, 780);
    }

    private static Entry entry(long at, EarKind kind, int passes, int failed) {
        return new Entry(at, "p", "Title", kind.id(), 0, 0, 0, passes, failed, 60);
    }

    @Test
    void aRootThatIsDoubledIsNotAskedFor() {
        Fretboard board = new Fretboard(Instrument.of(Tuning.STANDARD), 0);
        assertThat(EarRounds.place(voicing(board, "3-5-5-x-x-x", 7))).isEmpty();
        assertThat(EarRounds.place(voicing(board, "x-x-9-9-x-x", 4)))
                .isEqualTo(Optional.of(EarAnswer.Place.HIGHEST));
    }

    private static Voicing voicing(Fretboard board, String shape, int root) {
        return new Voicing(vocalis.core.instrument.Shape.parse(shape), board, root);
    }
}
