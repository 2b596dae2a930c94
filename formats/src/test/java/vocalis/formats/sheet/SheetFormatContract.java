package vocalis.formats.sheet;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Random;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;
import vocalis.core.score.Score;
import vocalis.core.score.ScoreNote;
import vocalis.formats.FormatException;

/** What every format of other programs must do, whatever it can hold. */
public abstract class SheetFormatContract {

    private static final int SHEETS = 500;
    private static final int MUTATED = Boolean.getBoolean("vocalis.long") ? 10_000 : 2000;

    protected abstract SheetFormat format();

    /** A note as far as the format can hold it. */
    protected abstract ScoreNote held(ScoreNote note);

    /** A sheet as far as the format can hold it. */
    protected Sheet holdable(Sheet sheet) {
        return sheet;
    }

    @Test
    void whatIsWrittenIsReadAsFarAsItCanBeHeld() throws FormatException {
        for (int seed = 0; seed < SHEETS; seed++) {
            Sheet sheet = holdable(Sheets.random(seed));
            Imported read = format().read(format().write(sheet));
            assertThat(read.fingered()).isTrue();
            assertThat(read.sheet().guitars()).hasSameSizeAs(sheet.guitars());
            for (int g = 0; g < sheet.guitars().size(); g++) {
                Score expected = sheet.guitars().get(g).score();
                Score actual = read.sheet().guitars().get(g).score();
                String which = "sheet " + seed + ", guitar " + g;
                assertThat(actual.time().meters()).as(which).isEqualTo(expected.time().meters());
                assertThat(actual.time().tempos()).as(which).isEqualTo(expected.time().tempos());
                assertThat(actual.length()).as(which).isEqualTo(expected.length());
                assertThat(held(actual.notes())).as(which).isEqualTo(held(expected.notes()));
                assertThat(actual.harmonies().stream().map(h -> h.at() + h.symbol()).toList())
                        .as(which)
                        .isEqualTo(
                                expected.harmonies().stream()
                                        .map(h -> h.at() + h.symbol())
                                        .toList());
            }
        }
    }

    private List<ScoreNote> held(List<ScoreNote> notes) {
        return notes.stream().map(this::held).toList();
    }

    /** Bytes changed, cut, doubled or put in: read or refused in a line, nothing else. */
    @Test
    @Timeout(value = 240, unit = TimeUnit.SECONDS)
    void manyDamagedFilesAreReadOrRefused() throws FormatException {
        Random r = new Random(11);
        // The smallest of many: what is damaged stands beside what it breaks.
        List<byte[]> all = new ArrayList<>();
        for (int i = 0; i < 120; i++) {
            all.add(format().write(holdable(Sheets.random(i))));
        }
        all.sort(Comparator.comparingInt(b -> b.length));
        byte[][] whole = all.subList(0, 20).toArray(byte[][]::new);
        int refused = 0;
        long slowest = 0;
        for (int i = 0; i < MUTATED; i++) {
            byte[] damaged = damaged(whole[r.nextInt(whole.length)], r);
            long from = System.nanoTime();
            try {
                Imported read = format().read(damaged);
                assertThat(read.sheet().guitars()).isNotEmpty();
            } catch (FormatException e) {
                refused++;
                assertThat(e.getMessage()).isNotBlank().doesNotContain("\n");
            }
            slowest = Math.max(slowest, System.nanoTime() - from);
        }
        System.out.printf(
                "%s: %d of %d damaged files refused, the slowest took %d ms%n",
                format().name(), refused, MUTATED, slowest / 1_000_000);
        assertThat(refused).isPositive();
    }

    private static byte[] damaged(byte[] whole, Random r) {
        byte[] b = whole.clone();
        int changes = 1 + r.nextInt(8);
        for (int c = 0; c < changes && b.length > 2; c++) {
            int at = r.nextInt(b.length);
            switch (r.nextInt(5)) {
                case 0 -> b[at] = (byte) r.nextInt(256);
                case 1 -> b = java.util.Arrays.copyOf(b, at + 1);
                case 2 -> b[at] ^= (byte) (1 << r.nextInt(8));
                case 3 -> {
                    int n = Math.min(b.length - at, 1 + r.nextInt(40));
                    byte[] more = new byte[b.length + n];
                    System.arraycopy(b, 0, more, 0, at + n);
                    System.arraycopy(b, at, more, at + n, b.length - at);
                    b = more;
                }
                default -> {
                    int n = Math.min(b.length - at, 1 + r.nextInt(40));
                    byte[] less = new byte[b.length - n];
                    System.arraycopy(b, 0, less, 0, at);
                    System.arraycopy(b, at + n, less, at, b.length - at - n);
                    b = less;
                }
            }
        }
        return b;
    }

    @Test
    void emptyAndForeignFilesAreRefusedInWords() {
        for (String text : new String[] {"", " ", "hello", "{}", "\u0000\u0001", "<a/>", "|"}) {
            try {
                format().read(text.getBytes(java.nio.charset.StandardCharsets.UTF_8));
                org.assertj.core.api.Assertions.fail("read \"" + text + "\"");
            } catch (FormatException e) {
                assertThat(e.getMessage()).isNotBlank();
            }
        }
    }
}
