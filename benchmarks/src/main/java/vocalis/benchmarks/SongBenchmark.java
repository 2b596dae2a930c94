package vocalis.benchmarks;

import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Param;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;
import vocalis.core.arrange.Song;
import vocalis.core.choice.Catalogue;
import vocalis.core.hands.Hand;
import vocalis.core.piece.Piece;
import vocalis.core.piece.Section;
import vocalis.core.practice.Rounds;
import vocalis.workbench.demo.Demo;
import vocalis.workbench.playing.Heard;
import vocalis.workbench.playing.Songs;

/**
 * What a keystroke in a long song costs: the song written out again from riffs that stand, on a
 * worker; and what is done on the window's own thread, all of it made ready to be heard and its
 * first section looped.
 */
@State(Scope.Thread)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
@Warmup(iterations = 4, time = 1)
@Measurement(iterations = 5, time = 1)
@Fork(1)
public class SongBenchmark {

    @Param({"64", "512", "4096"})
    public int bars;

    private final Songs songs = new Songs(new Catalogue());
    private Piece piece;
    private Song song;

    @Setup
    public void songs() {
        Piece arranged =
                Demo.pieces().stream()
                        .filter(p -> p.sections().size() > 1 && p.second().isPresent())
                        .findFirst()
                        .orElseThrow();
        int each = arranged.riff().bars();
        int turns = bars / each;
        int times = (turns + Piece.MOST - 1) / Piece.MOST;
        List<Section> sections = new ArrayList<>();
        for (int i = 0; i < turns / times; i++) {
            sections.add(new Section("s" + i, "Section " + i, arranged.riffs().get(0).id(), times));
        }
        piece = arranged.arranged(sections);
        song = songs.of(piece, Hand.MEDIUM);
    }

    @Benchmark
    public Song song() {
        return songs.of(piece, Hand.MEDIUM);
    }

    @Benchmark
    public Heard whole() {
        return Heard.of(song);
    }

    @Benchmark
    public Object looped() {
        Rounds r = new Rounds(song.score().time(), song.start(0), song.end(0), 4, 0, 100);
        return List.of(
                r.of(song.score()), r.of(song.second().orElseThrow()), r.of(song.stretches()));
    }
}
