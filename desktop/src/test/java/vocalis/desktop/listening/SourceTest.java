package vocalis.desktop.listening;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;

/** Whom one listens to, from one day to the next. */
class SourceTest {

    private static Source never() {
        return new Source(
                n -> {
                    throw new AssertionError(n + " is opened before anybody asked");
                });
    }

    private static Source nextDay(String written) {
        Source next = never();
        next.read(written);
        return next;
    }

    /** Nobody chooses his cable anew each day, nor measures it. */
    @Test
    void theInputAndItsDelayAreRemembered() {
        Source first = never();
        first.use("line 2 of a box");
        first.late(0.0123);
        Source next = nextDay(first.written());
        assertThat(next.name()).isEqualTo("line 2 of a box");
        assertThat(next.late().orElseThrow()).isEqualTo(0.0123);
        assertThat(next.listener()).isEmpty();
        next.use(Source.STAND_IN);
        assertThat(nextDay(next.written()).standIn()).isTrue();
    }

    /** What cannot be read is left out, and leaves the stand-in. */
    @Test
    void whatCannotBeReadIsLeftOut() {
        for (String bad : new String[] {"", "chosen ", "12", "x y", "99999999 a"}) {
            Source s = nextDay(bad);
            assertThat(s.standIn()).as(bad).isTrue();
            assertThat(s.late()).isEmpty();
        }
    }
}
