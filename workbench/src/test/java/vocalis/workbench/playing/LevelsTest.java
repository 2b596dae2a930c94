package vocalis.workbench.playing;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.IntStream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import vocalis.core.choice.Catalogue;
import vocalis.core.hands.Hand;
import vocalis.core.mix.Mix;
import vocalis.core.piece.Piece;
import vocalis.core.revoice.Row;
import vocalis.sound.dsp.Loudness;
import vocalis.workbench.demo.Demo;
import vocalis.workbench.document.Revoicing;
import vocalis.workbench.document.Workspace;

/** Treatments compared are equally loud, measured as broadcasters measure it (ITU-R BS.1770). */
class LevelsTest {

    /** Least difference that is held to be heard between programmes, in LU (by memory). */
    private static final double EQUAL_LU = 0.5;

    /** One under gain; all five in the long run. */
    static IntStream riffs() {
        boolean all = Boolean.getBoolean("vocalis.long");
        return all ? IntStream.range(0, Demo.pieces().size()) : IntStream.of(0);
    }

    /**
     * Every family and every intent of a demo riff, through its amplifier, struck by an even hand:
     * what an uneven one adds is chance.
     */
    @ParameterizedTest
    @MethodSource("riffs")
    void allRowsOfARiffAreEquallyLoud(int riff) {
        Piece piece = Demo.pieces().get(riff);
        Mix alone = Mix.ALONE.withControls(piece.mix().controls()).withHands(0, 0);
        Catalogue catalogue = new Catalogue();
        List<Row> rows = new ArrayList<>();
        new Revoicing(catalogue, Hand.MEDIUM)
                .rows(piece.riff(), List.of(), Set.of(), 1, () -> false, rows::add);
        assertThat(rows).hasSizeGreaterThanOrEqualTo(19);
        double[] lkfs =
                rows.parallelStream()
                        .mapToDouble(r -> lkfs(catalogue, piece.with(r.riff()).mixed(alone)))
                        .toArray();
        double low = IntStream.range(0, lkfs.length).mapToDouble(i -> lkfs[i]).min().orElseThrow();
        double high = IntStream.range(0, lkfs.length).mapToDouble(i -> lkfs[i]).max().orElseThrow();
        System.out.printf("%s: rows within %.2f LU%n", piece.title(), high - low);
        assertThat(high - low).as(piece.title()).isLessThanOrEqualTo(EQUAL_LU);
    }

    private static double lkfs(Catalogue catalogue, Piece piece) {
        OfflineRender made = OfflineRender.of(new Workspace(catalogue, piece).heard(), 1, 0);
        return Loudness.integrated(made.samples(), made.samples().length / 2);
    }
}
