package vocalis.workbench;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import vocalis.core.arrange.Clash;
import vocalis.core.arrange.Clashes;
import vocalis.core.arrange.Lift;
import vocalis.core.arrange.Mend;
import vocalis.core.arrange.PartOffer;
import vocalis.core.arrange.SecondParts;
import vocalis.core.arrange.SectionChange;
import vocalis.core.arrange.Song;
import vocalis.core.arrange.SongFinding;
import vocalis.core.choice.Catalogue;
import vocalis.core.hands.Hand;
import vocalis.core.instrument.Shape;
import vocalis.core.mix.Mix;
import vocalis.core.piece.Part;
import vocalis.core.piece.Piece;
import vocalis.core.piece.Section;
import vocalis.core.practice.ChangeToPractise;
import vocalis.core.practice.Ladder;
import vocalis.core.practice.Load;
import vocalis.core.practice.Vanishing;
import vocalis.core.revoice.Rub;
import vocalis.core.theory.Key;
import vocalis.workbench.demo.Demo;
import vocalis.workbench.playing.Drill;
import vocalis.workbench.playing.Songs;
import vocalis.workbench.words.ArrangeWords;
import vocalis.workbench.words.PracticeWords;

/** What a song's screens and commands say: for everything something, for different things other. */
class SongWordsTest {

    private static final Catalogue CATALOGUE = new Catalogue();
    private final Piece piece = Demo.pieces().get(1);

    private static Song song(Piece p) {
        return new Songs(CATALOGUE).of(p, Hand.MEDIUM);
    }

    private static void said(String words) {
        assertThat(words).isNotBlank().doesNotContain("null").doesNotContain("Optional[");
    }

    /** Every way to set a section off has a name of its own and says what it does. */
    @Test
    void everyChangeOfASectionIsNamed() {
        Set<String> names = new HashSet<>();
        for (SectionChange c : SectionChange.all()) {
            said(ArrangeWords.name(c));
            said(ArrangeWords.what(c));
            assertThat(names.add(ArrangeWords.name(c))).as(ArrangeWords.name(c)).isTrue();
            assertThat(ArrangeWords.name(c).length()).isLessThanOrEqualTo(200);
        }
    }

    /** Intervals as players say them. */
    @Test
    void intervalsAreSaid() {
        assertThat(ArrangeWords.kind(Rub.Kind.SECOND, 1)).isEqualTo("a semitone");
        assertThat(ArrangeWords.kind(Rub.Kind.SECOND, 13)).isEqualTo("a semitone");
        assertThat(ArrangeWords.kind(Rub.Kind.SECOND, 14)).isEqualTo("a whole tone");
        assertThat(ArrangeWords.kind(Rub.Kind.SEVENTH, 23)).isEqualTo("a major seventh");
        assertThat(ArrangeWords.kind(Rub.Kind.SEVENTH, 10)).isEqualTo("a minor seventh");
        assertThat(ArrangeWords.kind(Rub.Kind.TRITONE, 6)).isEqualTo("a tritone");
        assertThat(ArrangeWords.kind(Rub.Kind.LOW_THIRD, 4)).contains("third");
    }

    /** Clashes name both players and both notes; each way to mend says what is left. */
    @Test
    void clashesAndMendsAreSaid() {
        Song s = song(piece);
        List<Clash> all = Clashes.of(s);
        assertThat(all).isNotEmpty();
        Key key = piece.riff().ground().key();
        for (Clash c : all) {
            String words = ArrangeWords.of(c, s);
            said(words);
            assertThat(words).contains(key.note(c.one()).symbol(), key.note(c.two()).symbol());
            assertThat(words).contains(" of guitar");
            said(ArrangeWords.place(s, c.from()));
            for (Mend m : Mend.of(s, c, Hand.MEDIUM, CATALOGUE)) {
                said(ArrangeWords.of(m));
                assertThat(ArrangeWords.of(m))
                        .contains(m.left() == 0 ? "no other clash" : String.valueOf(m.left()));
            }
        }
        for (Mend.How how : Mend.How.values()) {
            Optional<Shape> shape = Optional.of(Shape.parse("x-5-7-x-x-x"));
            said(ArrangeWords.of(new Mend(how, shape, piece, 1)));
            assertThat(ArrangeWords.of(new Mend(how, shape, piece, 1))).contains("1 clash is left");
            assertThat(ArrangeWords.of(new Mend(how, shape, piece, 2)))
                    .contains("2 clashes are left");
        }
    }

    /**
     * A place is a bar and a beat as players count; past the beat it says so; pickups have a name.
     */
    @Test
    void placesAreSaid() {
        Song s = song(piece);
        assertThat(ArrangeWords.place(s, 0)).isEqualTo("bar 1 beat 1");
        assertThat(ArrangeWords.place(s, s.start(1))).isEqualTo("bar 5 beat 1");
        assertThat(ArrangeWords.place(s, s.start(1) + 1)).isEqualTo("bar 5 beat 1+");
    }

    /** Findings of each kind, with how often and what to do. */
    @Test
    void findingsAreSaid() {
        Part two = piece.second().orElseThrow().keepingTo(new Part.Register(40, 45));
        Section same = piece.sections().get(1);
        Piece p =
                piece.with(two).arranged(List.of(same, same.as("again"), piece.sections().get(3)));
        Song s = song(p);
        Set<Class<?>> kinds = new HashSet<>();
        for (SongFinding f : SongFinding.of(s)) {
            said(ArrangeWords.of(f, s));
            kinds.add(f.getClass());
            if (f instanceof SongFinding.OutOfRegister o) {
                assertThat(ArrangeWords.of(f, s)).startsWith("Guitar two leaves its register");
                assertThat(ArrangeWords.of(f, s)).contains((o.notes() - 1) + " more");
            }
        }
        assertThat(kinds)
                .containsExactlyInAnyOrder(
                        SongFinding.Rubs.class,
                        SongFinding.OutOfRegister.class,
                        SongFinding.NoLift.class);
    }

    /** What rises is told before what does not; nothing is told where nothing moves. */
    @Test
    void liftIsSaid() {
        Lift low = new Lift(2, 45, 57, 10, 4);
        Lift high = new Lift(4, 52, 69, 30, 8);
        assertThat(ArrangeWords.lift(low, high, -20, -17.4))
                .isEqualTo("2.6 dB louder, thicker, higher, tenser, busier");
        assertThat(ArrangeWords.lift(high, low, -17.4, -20))
                .isEqualTo("2.6 dB softer, thinner, lower, calmer, sparser");
        assertThat(ArrangeWords.lift(low, low, -20, -20)).startsWith("no lift");
        assertThat(ArrangeWords.lift(low, low, -20, -19.6)).startsWith("no lift");
        assertThat(ArrangeWords.lift(low, high, Double.NaN, Double.NaN))
                .isEqualTo("thicker, higher, tenser, busier");
        assertThat(ArrangeWords.lift(low, high, Double.NEGATIVE_INFINITY, -20))
                .doesNotContain("dB");
    }

    /** Every part that is found says its range, where it falls, and whether it rubs. */
    @Test
    void secondPartsAreSaid() {
        Piece alone = piece.mixed(Mix.ALONE);
        List<String> names = new ArrayList<>();
        Key key = alone.riff().ground().key();
        for (PartOffer o : SecondParts.of(alone, "riff-1", Hand.MEDIUM, CATALOGUE, true)) {
            said(ArrangeWords.name(o));
            String why = ArrangeWords.why(o, key);
            said(why);
            assertThat(why).contains(key.note(o.lowest()).symbol());
            assertThat(why.contains("no clash")).isEqualTo(o.clashes() == 0);
            names.add(ArrangeWords.name(o));
        }
        assertThat(names).isNotEmpty().doesNotHaveDuplicates();
    }

    /** Practising: the ladder, the click, the change, and cautions only where there is load. */
    @Test
    void practiceIsSaid() {
        assertThat(PracticeWords.of(new Ladder(80, 120, 5, 1)))
                .isEqualTo("80 to 120 by 5 after every clean pass; two failed go back.");
        assertThat(PracticeWords.of(new Ladder(80, 120, 5, 3))).contains("after 3 clean passes");
        assertThat(PracticeWords.of(Vanishing.NEVER)).isEqualTo("The click stays.");
        assertThat(PracticeWords.of(new Vanishing(2, 6))).contains("6 bars after 2");
        for (ChangeToPractise h : ChangeToPractise.of(song(piece), false)) {
            assertThat(PracticeWords.of(h)).contains(h.toShape().text()).contains(" mm in ");
        }
        assertThat(PracticeWords.of(new Load(0, 0, 4, 3), 100)).isEmpty();
        assertThat(PracticeWords.of(new Load(6, 0.8, 32, 9), 100))
                .contains("6 times a minute")
                .contains("80 %")
                .contains("32 muted strokes");
        assertThat(PracticeWords.of(new Load(0, 0, 32, 3), 100)).as("slow").isEmpty();
        assertThat(PracticeWords.REST).contains("clinician");
        Set<String> who = new HashSet<>();
        for (Drill.Who w : Drill.Who.values()) {
            assertThat(who.add(w.words())).isTrue();
            assertThat(w.next(false)).isNotEqualTo(Drill.Who.SECOND);
        }
    }
}
