package vocalis.core.rhythm;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.math.BigInteger;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** Where figures of their own length fall in the bars. */
class LandingTest {

    private static final long EIGHTH = Ticks.EIGHTH;
    private static final List<Long> COMMON = List.of(8 * EIGHTH);

    /** Common practice: five eighths in four quarters, begun on the one and on the "and" of one. */
    @Test
    void fiveEighthsComeRoundAsPlayersCountThem() {
        Landing onOne = Landing.of(5 * EIGHTH, 0, COMMON);
        assertThat(onOne.meets()).hasValue(8);
        assertThat(onOne.meetsBars()).isEqualTo(5);
        assertThat(onOne.backBars()).isEqualTo(5);
        Landing onAnd = Landing.of(5 * EIGHTH, EIGHTH, COMMON);
        assertThat(onAnd.meets()).hasValue(3);
        assertThat(onAnd.meetsBars()).isEqualTo(2);
        assertThat(onAnd.backBars()).isEqualTo(5);
    }

    /** Common practice: an even figure begun between the beats never meets the one. */
    @Test
    void sixEighthsBegunOnAnAndNeverMeetTheOne() {
        assertThat(Landing.of(6 * EIGHTH, EIGHTH, COMMON).meets()).isEmpty();
    }

    /**
     * In bars of one length B a figure of length C begun at o is on the one at the least pass k
     * with o + kC ≡ 0 (mod B), solvable only where gcd(B, C) divides o, and back after B / gcd(B,
     * C).
     */
    @Test
    void constantMetersFollowTheCongruence() {
        int never = 0;
        for (int bar = 1; bar <= 24; bar++) {
            for (int figure = 1; figure <= 40; figure++) {
                for (int offset = 0; offset < bar; offset++) {
                    Landing l = Landing.of(figure, offset, List.of((long) bar));
                    int gcd = gcd(bar, figure);
                    assertThat(l.back()).isEqualTo(bar / gcd);
                    assertThat(l.backBars()).isEqualTo(figure / gcd);
                    if (offset % gcd != 0) {
                        assertThat(l.meets()).isEmpty();
                        never++;
                        continue;
                    }
                    int m = bar / gcd;
                    int k =
                            m == 1
                                    ? 1
                                    : BigInteger.valueOf(-offset / gcd)
                                            .multiply(
                                                    BigInteger.valueOf(figure / gcd)
                                                            .modInverse(BigInteger.valueOf(m)))
                                            .mod(BigInteger.valueOf(m))
                                            .intValue();
                    k = k == 0 ? m : k;
                    assertThat(l.meets()).hasValue(k);
                    assertThat(l.meetsBars() * bar).isEqualTo(offset + (long) k * figure);
                }
            }
        }
        assertThat(never).isPositive();
    }

    /** In changing meters: the same as ticking along a written-out row of bar lines. */
    @Test
    void changingMetersFollowTheBarLines() {
        Random random = new Random(7);
        for (int i = 0; i < 500; i++) {
            List<Long> bars = new ArrayList<>();
            for (int b = 0; b < 1 + random.nextInt(4); b++) {
                bars.add(1L + random.nextInt(9));
            }
            long round = bars.stream().mapToLong(Long::longValue).sum();
            long figure = 1 + random.nextInt(20);
            long offset = random.nextInt((int) round);
            boolean[] line = new boolean[(int) round];
            long at = 0;
            for (long b : bars) {
                line[(int) at] = true;
                at += b;
            }
            Landing l = Landing.of(figure, offset, bars);
            int meets = 0;
            int pass = 1;
            while (Math.floorMod(figure * pass, round) != 0) {
                meets = meets == 0 && line[(int) ((offset + figure * pass) % round)] ? pass : meets;
                pass++;
            }
            meets = meets == 0 && line[(int) offset] ? pass : meets;
            assertThat(l.back()).isEqualTo(pass);
            assertThat(l.meets().orElse(0)).isEqualTo(meets);
        }
    }

    @Test
    void nothingLastsNothing() {
        assertThatThrownBy(() -> Landing.of(0, 0, COMMON))
                .isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> Landing.of(1, 0, List.of()))
                .isInstanceOf(IllegalArgumentException.class);
    }

    private static int gcd(int a, int b) {
        return b == 0 ? a : gcd(b, a % b);
    }
}
