package vocalis.workbench;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import vocalis.core.choice.Catalogue;
import vocalis.core.mix.Mix;
import vocalis.core.piece.Piece;
import vocalis.core.score.Manner;
import vocalis.core.score.Ringing;
import vocalis.core.score.Score;
import vocalis.core.score.ScoreNote;
import vocalis.core.vary.Variation;
import vocalis.sound.engine.Program;
import vocalis.workbench.demo.Demo;
import vocalis.workbench.document.Workspace;
import vocalis.workbench.playing.SoundEvents;

/**
 * How long notes are said to ring, against what the engine is told: the program's events are
 * stepped through string by string, by a reckoning of its own.
 */
class RingingTest {

    /**
     * Where strings are struck and where that ends, read off the program: "string fret from to".
     */
    private static List<String> ofProgram(Program p, Score score) {
        int strings = score.board().strings();
        long[] since = new long[strings];
        int[] fret = new int[strings];
        Arrays.fill(fret, -1);
        List<String> all = new ArrayList<>();
        for (int e = 0; e < p.events(); e++) {
            if (!p.strikes(e, 0)) {
                continue;
            }
            for (int s = 0; s < strings; s++) {
                int action = p.action(e, s);
                if (action == Program.KEEP) {
                    continue;
                }
                if (fret[s] >= 0 && p.at(e) > since[s]) {
                    all.add(s + " " + fret[s] + " " + since[s] + " " + p.at(e));
                }
                fret[s] = action >= 0 ? action : -1;
                since[s] = p.at(e);
            }
        }
        for (int s = 0; s < strings; s++) {
            if (fret[s] >= 0) {
                all.add(s + " " + fret[s] + " " + since[s] + " " + score.length());
            }
        }
        all.sort(null);
        return all;
    }

    private static List<String> ofRinging(Score score) {
        List<String> all = new ArrayList<>();
        for (Ringing.Sound s : Ringing.of(score)) {
            ScoreNote n = s.note();
            all.add(n.string() + " " + n.fret() + " " + s.from() + " " + s.to());
        }
        all.sort(null);
        return all;
    }

    private static boolean plain(Score score) {
        return score.notes().stream()
                .allMatch(n -> n.techniques().isEmpty() && !n.tied() && n.manner() != Manner.DEAD);
    }

    /** Demo riffs and their variations, as far as nothing is done to single notes. */
    @Test
    void notesRingAsLongAsTheEngineLetsThem() {
        Catalogue catalogue = new Catalogue();
        Random random = new Random(3);
        int compared = 0;
        int rang = 0;
        for (Piece demo : Demo.pieces()) {
            List<Piece> all = new ArrayList<>(List.of(demo.mixed(Mix.ALONE)));
            Workspace w = new Workspace(catalogue, demo.mixed(Mix.ALONE));
            for (Variation v : Variation.values()) {
                v.of(w.derived(), random.nextInt(4))
                        .ifPresent(r -> all.add(demo.mixed(Mix.ALONE).with(r)));
            }
            for (Piece p : all) {
                Workspace one = new Workspace(catalogue, p);
                Score score = one.score();
                if (plain(score)) {
                    compared++;
                    List<String> heard = ofProgram(SoundEvents.program(one.heard()), score);
                    assertThat(ofRinging(score)).as(p.title()).isEqualTo(heard);
                    rang +=
                            (int)
                                    Ringing.of(score).stream()
                                            .filter(s -> s.to() > s.note().end())
                                            .count();
                }
            }
        }
        assertThat(compared).isGreaterThan(30);
        assertThat(rang).as("notes that ring past what is written").isGreaterThan(50);
    }
}
