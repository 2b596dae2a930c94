package vocalis.workbench;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import vocalis.core.choice.Catalogue;
import vocalis.core.hands.Hand;
import vocalis.core.mix.Mix;
import vocalis.core.piece.Piece;
import vocalis.core.revoice.Row;
import vocalis.sound.engine.Engine;
import vocalis.sound.engine.Program;
import vocalis.workbench.demo.Demo;
import vocalis.workbench.document.Revoicing;
import vocalis.workbench.document.Workspace;
import vocalis.workbench.playing.Heard;
import vocalis.workbench.playing.OfflineRender;
import vocalis.workbench.playing.Player;
import vocalis.workbench.playing.SoundEvents;

/** Treatments changed while the loop plays, on a clock that runs as fast as it can. */
class SwitchingTest {

    private static final int RATE = (int) Player.RATE;
    private static final int BLOCK = 128;
    private static final int MINUTES = Boolean.getBoolean("vocalis.long") ? 5 : 1;

    private final Catalogue catalogue = new Catalogue();

    private List<Row> rows(Piece piece) {
        List<Row> rows = new ArrayList<>();
        new Revoicing(catalogue, Hand.MEDIUM)
                .rows(piece.riff(), List.of(), Set.of(), 1, () -> false, rows::add);
        return rows;
    }

    /**
     * Another row on every beat for five minutes (one in the short run): the sound never stops for
     * longer than the riff's own rests, and no step from frame to frame is larger than those of
     * plucked attacks without switching.
     */
    @Test
    void minutesOfSwitchingOnEveryBeat() {
        Piece piece = Demo.pieces().get(1).mixed(Mix.ALONE);
        List<Program> programs = new ArrayList<>();
        List<Heard> all = new ArrayList<>();
        for (Row r : rows(piece)) {
            Heard h = new Workspace(catalogue, piece.with(r.riff())).heard();
            all.add(h);
            programs.add(SoundEvents.program(h));
        }
        double steady = 0;
        double longestRest = 0;
        for (int i = 0; i < all.size(); i++) {
            Run run = new Run(all.get(i), programs.subList(i, i + 1), piece.riff().tempo());
            run.play(16);
            steady = Math.max(steady, run.step);
            longestRest = Math.max(longestRest, run.silence);
        }
        Run run = new Run(all.get(0), programs, piece.riff().tempo());
        run.play(MINUTES * 60);
        System.out.printf(
                "largest step switching %.3f, steady %.3f; longest rest %.0f ms, steady %.0f ms%n",
                run.step, steady, 1000 * run.silence, 1000 * longestRest);
        assertThat(run.switches).isGreaterThan(MINUTES * piece.riff().tempo() - 10);
        assertThat(run.step).isLessThanOrEqualTo(1.15 * steady);
        assertThat(run.silence).isLessThanOrEqualTo(longestRest + 0.02);
    }

    /** One engine that plays programs by turns. */
    private static final class Run {
        private static final double QUIET = 1e-4;

        private final Engine engine;
        private final List<Program> programs;
        private final int beat;
        private double step;
        private double silence;
        private int switches;

        Run(Heard first, List<Program> programs, int tempo) {
            this.programs = programs;
            this.beat = 60 * RATE / tempo;
            engine = OfflineRender.engine(first.ground(), first.mix(), tempo);
            engine.publish(programs.get(0));
            engine.play(0);
        }

        void play(int seconds) {
            float[] block = new float[2 * BLOCK];
            double before = 0;
            int quiet = 0;
            int next = beat;
            for (int at = 0; at < seconds * RATE; at += BLOCK) {
                if (at >= next && programs.size() > 1) {
                    switches++;
                    engine.publish(programs.get(switches % programs.size()));
                    next += beat;
                }
                engine.render(block, BLOCK);
                for (int i = 0; i < BLOCK; i++) {
                    double x = block[2 * i];
                    step = Math.max(step, Math.abs(x - before));
                    quiet = Math.abs(x) < QUIET ? quiet + 1 : 0;
                    silence = Math.max(silence, at == 0 ? 0 : (double) quiet / RATE);
                    before = x;
                }
            }
        }
    }
}
