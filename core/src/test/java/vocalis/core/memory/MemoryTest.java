package vocalis.core.memory;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** What is remembered, against the same said with a plain list. */
class MemoryTest {

    @Test
    void theOnesNotAskedForLongestGo() {
        Random random = new Random(7);
        for (int run = 0; run < 50; run++) {
            int most = 1 + random.nextInt(9);
            Memory<Integer, String> memory = new Memory<>(most, s -> (long) s.length());
            Map<Integer, String> plain = new LinkedHashMap<>();
            for (int step = 0; step < 200; step++) {
                int q = random.nextInt(8);
                if (random.nextBoolean()) {
                    String a = "x".repeat(random.nextInt(5));
                    memory.put(q, a);
                    plain.remove(q);
                    plain.put(q, a);
                    shrink(plain, most);
                } else {
                    assertThat(memory.get(q).orElse(null)).isEqualTo(plain.get(q));
                    if (plain.containsKey(q)) {
                        plain.put(q, plain.remove(q));
                    }
                }
            }
        }
    }

    private static void shrink(Map<Integer, String> plain, int most) {
        while (plain.size() > 1 && plain.values().stream().mapToInt(String::length).sum() > most) {
            plain.remove(plain.keySet().iterator().next());
        }
    }

    @Test
    void aQuestionIsWorkedOutOnceWhileItsAnswerIsKnown() {
        Memory<Integer, Integer> memory = new Memory<>(2);
        List<Integer> worked = new ArrayList<>();
        for (int q : new int[] {1, 2, 1, 3, 1, 2}) {
            int answer =
                    memory.of(
                            q,
                            n -> {
                                worked.add(n);
                                return n * n;
                            });
            assertThat(answer).isEqualTo(q * q);
        }
        assertThat(worked).containsExactly(1, 2, 3, 2);
        memory.clear();
        assertThat(memory.get(1)).isEmpty();
    }
}
