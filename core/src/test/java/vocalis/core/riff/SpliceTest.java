package vocalis.core.riff;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;
import vocalis.core.choice.Catalogue;
import vocalis.core.derive.Derived;
import vocalis.core.derive.Deriver;
import vocalis.core.edit.Splice;
import vocalis.core.hands.Hand;
import vocalis.core.pattern.Event;
import vocalis.core.pattern.Pass;
import vocalis.core.pattern.Touch;
import vocalis.core.theory.Key;

/** Bars of one riff that become those of another. */
class SpliceTest {

    private static final Catalogue CATALOGUE = new Catalogue();

    /** What is struck from one tick until before another, cut at both, with what is done to it. */
    private static List<String> played(Riff riff, long from, long to) {
        List<String> all = new ArrayList<>();
        for (Pass p : riff.passes()) {
            for (Event e : p.events()) {
                long at = p.start() + e.at();
                if (e.sounds() && at >= from && at < to) {
                    String root = riff.roots().get(riff.chordAt(at)).root().toString();
                    List<String> touches =
                            riff.touches().stream()
                                    .filter(t -> holds(t, p, e))
                                    .map(t -> t.getClass().getSimpleName() + t.after())
                                    .sorted()
                                    .toList();
                    Event cut = e.numbered(0).beginning(at - from);
                    all.add(
                            root
                                    + cut.lasting(Math.min(e.length(), to - at))
                                    + touches
                                    + riff.treatments().get(riff.chordAt(at)));
                }
            }
        }
        return all;
    }

    private static boolean holds(Touch t, Pass p, Event e) {
        return t.anchor().holds(p.figure().id(), e.id(), p.index());
    }

    /** Inside it is the other riff, outside what it was, whatever figures and passes there are. */
    @Property(tries = 400)
    void insideItIsTheOtherAndOutsideWhatItWas(@ForAll Random random) {
        Riff riff = Riffs.random(random);
        Riff other = Riffs.random(random).withGround(riff.ground());
        int first = random.nextInt(riff.bars());
        int last = first + random.nextInt(riff.bars() - first);
        long from = riff.meters().start(first);
        long to = riff.meters().end(last);
        Riff in = Splice.of(riff, first, last, other);
        assertThat(in.length()).isEqualTo(riff.length());
        assertThat(played(in, 0, from)).isEqualTo(played(riff, 0, from));
        assertThat(played(in, to, in.length())).isEqualTo(played(riff, to, riff.length()));
        long until = Math.min(to - from, other.length());
        assertThat(played(in, from, from + until)).isEqualTo(played(other, 0, until));
        assertThat(played(in, from + until, to)).isEmpty();
    }

    /** Chords outside lie where they lay, though the hand's way through the whole is another. */
    @Property(tries = 60)
    void chordsOutsideKeepTheirShapes(@ForAll Random random) {
        Riff riff = Riffs.random(random);
        Riff other = Riffs.random(random).withGround(riff.ground());
        int bar = random.nextInt(riff.bars());
        Deriver deriver = new Deriver(CATALOGUE);
        Riff in = Splice.keeping(deriver, Hand.MEDIUM, riff, bar, bar, other);
        long from = riff.meters().start(bar);
        long to = riff.meters().end(bar);
        Derived before = deriver.derive(riff, Hand.MEDIUM);
        Derived after = deriver.derive(in, Hand.MEDIUM);
        for (Derived.Chord c : after.chords()) {
            if (c.end() <= from || c.start() >= to) {
                Derived.Chord was = before.chord(riff.chordAt(c.start()));
                assertThat(c.candidate().voicing().shape())
                        .isEqualTo(was.candidate().voicing().shape());
            }
        }
    }

    @Test
    void barsThatAreNotThereAndOtherKeysAreRefused() {
        Riff riff = Riffs.fourBars();
        assertThatThrownBy(() -> Splice.of(riff, 3, 4, riff))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessage("the riff has bars 1 to 4, not 4 to 5");
        Riff other = riff.withGround(riff.ground().withKey(Key.parse("F# dorian")));
        assertThatThrownBy(() -> Splice.of(riff, 0, 0, other))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("same key");
    }
}
