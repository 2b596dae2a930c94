package vocalis.core.arrange;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;
import vocalis.core.choice.Catalogue;
import vocalis.core.derive.Derived;
import vocalis.core.derive.Deriver;
import vocalis.core.edit.Times;
import vocalis.core.hands.Hand;
import vocalis.core.instrument.Tuning;
import vocalis.core.mix.Fader;
import vocalis.core.mix.Mix;
import vocalis.core.piece.Piece;
import vocalis.core.piece.Section;
import vocalis.core.revoice.Revoicer;
import vocalis.core.revoice.Rub;
import vocalis.core.rhythm.Meter;
import vocalis.core.rhythm.MeterMap;
import vocalis.core.rhythm.TempoMap;
import vocalis.core.rhythm.Ticks;
import vocalis.core.riff.Riff;
import vocalis.core.riff.Riffs;
import vocalis.core.riff.Tone;
import vocalis.core.score.ScoreNote;

/** Sections played one after the other: when, how fast, by whom. */
class SongTest {

    static final Catalogue CATALOGUE = new Catalogue();

    static Derived derive(Riff r) {
        return Deriver.once(r, Hand.MEDIUM, CATALOGUE);
    }

    static Song song(Piece p) {
        return Song.of(p, SongTest::derive);
    }

    static Piece playingBoth(Piece p) {
        Mix m = p.mix();
        return p.mixed(m.withSecond(Fader.ON, m.secondTone(), m.secondControls(), m.spread()));
    }

    private static Piece piece(Riff... riffs) {
        Piece p = Piece.of("p", "piece", "", riffs[0]);
        for (int i = 1; i < riffs.length; i++) {
            p = p.adding(riffs[i]);
        }
        return p;
    }

    /** One section once is the riff itself, whatever the riff. */
    @Test
    void oneSectionIsTheRiff() {
        Random random = new Random(5);
        for (int i = 0; i < 40; i++) {
            Riff r = Riffs.random(random);
            Song s = song(Piece.of("p", "piece", "", r));
            assertThat(s.score()).as("riff %d", i).isEqualTo(derive(r).score());
        }
    }

    /** Repeats: each time the same notes, so many bars later; the pickup is heard once. */
    @Test
    void repeatsWithoutThePickup() {
        Random random = new Random(6);
        for (int i = 0; i < 20; i++) {
            Riff r = Riffs.random(random);
            Piece p = Piece.of("p", "piece", "", r);
            Song s = song(p.arranged(0, p.sections().get(0).repeated(3)));
            long body = r.length() - r.loopStart();
            assertThat(s.length()).isEqualTo(r.loopStart() + 3 * body);
            List<ScoreNote> once = derive(r).score().notes();
            long pickup = once.stream().filter(n -> n.at() < r.loopStart()).count();
            assertThat(s.score().notes()).hasSize((int) (3 * (once.size() - pickup) + pickup));
            for (ScoreNote n : once) {
                if (n.at() >= r.loopStart()) {
                    long at = n.at() + 2 * body;
                    assertThat(s.score().notes())
                            .anyMatch(
                                    x ->
                                            x.at() == at
                                                    && x.string() == n.string()
                                                    && x.fret() == n.fret());
                }
            }
        }
    }

    /** A pickup leads into its section over the end of the one before, which gives way. */
    @Test
    void aLaterPickupTakesTheEndOfTheSectionBefore() {
        Riff one = Riffs.repeating(1, 4);
        Riff two = Times.pickup(Riffs.repeating(6, 7), Ticks.QUARTER);
        Piece p = piece(one, two);
        p =
                p.arranged(
                        List.of(
                                new Section("a", "verse", "riff-1", 1),
                                new Section("b", "chorus", "riff-2", 2)));
        Song s = song(p);
        long turn = one.length();
        assertThat(s.start(1)).isEqualTo(turn);
        assertThat(s.length()).isEqualTo(turn + 2 * (two.length() - Ticks.QUARTER));
        long lead = turn - Ticks.QUARTER;
        Set<Integer> frets = new HashSet<>();
        for (ScoreNote n : s.score().notes()) {
            assertThat(n.at() < lead && n.end() > lead).as("cut at the pickup").isFalse();
            if (n.at() == lead) {
                frets.add(n.fret());
            }
        }
        Set<Integer> led = new HashSet<>();
        derive(two).score().notes().stream()
                .filter(n -> n.at() == 0)
                .forEach(n -> led.add(n.fret()));
        assertThat(led).isNotEmpty();
        assertThat(frets).isEqualTo(led);
        // The second time the verse's place is the chorus's own last beat again.
        long second = s.end(1) - (two.length() - Ticks.QUARTER);
        assertThat(s.score().notes().stream().filter(n -> n.at() == second - Ticks.QUARTER))
                .isNotEmpty();
    }

    /** 4/4 at 100, then 7/8 at 80 played at 125 hundredths: by hand 100, then 100. */
    @Test
    void metersAndTemposFollowTheSections() {
        Riff one = Times.tempo(Riffs.repeating(1, 4), 100);
        Riff two = Times.tempo(Times.meter(Riffs.repeating(1, 4), new Meter(7, 8)), 80);
        Piece p = piece(one, two);
        Section slow = new Section("b", "breakdown", "riff-2", 1);
        Song same = song(p.arranged(List.of(new Section("a", "v", "riff-1", 2), slow.at(125))));
        MeterMap meters = same.score().time().meters();
        int bars = 2 * one.bars();
        assertThat(meters.meter(bars - 1)).isEqualTo(Meter.COMMON);
        assertThat(meters.meter(bars)).isEqualTo(new Meter(7, 8));
        assertThat(same.score().time().tempos().changes())
                .containsExactly(new TempoMap.Change(0, 100));
        Song slower = song(p.arranged(List.of(new Section("a", "v", "riff-1", 2), slow.at(90))));
        assertThat(slower.score().time().tempos().changes())
                .containsExactly(
                        new TempoMap.Change(0, 100), new TempoMap.Change(2 * one.length(), 72));
        double seconds = slower.score().time().tempos().seconds(slower.length());
        double eighths = two.length() / (double) Ticks.EIGHTH;
        assertThat(seconds)
                .isCloseTo(2 * one.bars() * 4 * 60 / 100.0 + eighths * 30 / 72.0, within(1e-9));
    }

    /** Another ending is played the last time, a version instead of the riff throughout. */
    @Test
    void versionsAndEndings() {
        Piece p = Piece.of("p", "piece", "", Riffs.repeating(1, 4)).keeping("kept");
        Riff now = Riffs.repeating(1, 5);
        p = p.with(now);
        Section s = p.sections().get(0).repeated(3).ending(Optional.of("version-1"));
        List<Arrangement.Turn> turns = Arrangement.turns(p.arranged(0, s));
        assertThat(turns.stream().map(Arrangement.Turn::riff))
                .containsExactly(now, now, Riffs.repeating(1, 4));
        s = s.playing("riff-1", Optional.of("version-1")).ending(Optional.empty());
        assertThat(Arrangement.turns(p.arranged(0, s)).get(0).riff())
                .isEqualTo(Riffs.repeating(1, 4));
        Piece kept = p.arranged(0, s);
        assertThatThrownBy(() -> kept.dropping("version-1"))
                .hasMessageContaining("section \"riff\" plays this version");
    }

    /** Both guitars share roots; one that waits has no note in the section. */
    @Test
    void aGuitarCanWait() {
        Piece p = playingBoth(Piece.of("p", "piece", "", Riffs.repeating(1, 4)));
        Section waits =
                new Section("a", "intro", "riff-1", 1)
                        .with("guitar-2", new Section.Playing(false, Optional.empty()));
        Song s = song(p.arranged(List.of(waits, new Section("b", "verse", "riff-1", 1))));
        assertThat(s.second()).isPresent();
        assertThat(s.second().get().notes()).allMatch(n -> n.at() >= s.start(1)).isNotEmpty();
        assertThat(s.score().notes()).anyMatch(n -> n.at() < s.start(1));
        assertThat(song(p.mixed(Mix.ALONE)).second()).isEmpty();
    }

    /** Every riff is played on the instrument of the one that is worked on. */
    @Test
    void oneInstrumentForAll() {
        Riff low = Riffs.repeating(1);
        low = low.withGround(low.ground().withTuning(Tuning.LOW_D));
        Piece p = piece(low, Riffs.repeating(1, 4));
        Song s =
                song(
                        p.arranged(
                                List.of(
                                        new Section("a", "a", "riff-2", 1),
                                        new Section("b", "b", "riff-1", 1))));
        assertThat(s.score().board()).isEqualTo(low.ground().board());
    }

    /** A stretch of a score is what lies in it, moved to 0: all stretches of bars. */
    @Test
    void aStretchIsWhatLiesInIt() {
        Random random = new Random(8);
        for (int i = 0; i < 15; i++) {
            Riff r = Riffs.random(random);
            Piece p = Piece.of("p", "piece", "", r);
            Song s = song(p.arranged(0, p.sections().get(0).repeated(2)));
            MeterMap meters = s.score().time().meters();
            int bars = meters.bars(s.length());
            for (int a = 0; a < bars; a++) {
                for (int b = a + 1; b <= bars; b++) {
                    long from = meters.start(a);
                    long to = Math.min(s.length(), meters.start(b));
                    var cut = s.score().between(from, to);
                    assertThat(cut.notes())
                            .hasSize(
                                    (int)
                                            s.score().notes().stream()
                                                    .filter(n -> n.at() >= from && n.at() < to)
                                                    .count());
                    assertThat(cut.time().meters().bars(cut.length())).isEqualTo(b - a);
                    double seconds = s.score().time().tempos().seconds(to);
                    seconds -= s.score().time().tempos().seconds(from);
                    assertThat(cut.time().tempos().seconds(cut.length()))
                            .isCloseTo(seconds, within(1e-9));
                }
            }
        }
    }

    /** Tones change where sections do; equal ones in a row are one stretch. */
    @Test
    void tonesBySection() {
        Piece p = Piece.of("p", "piece", "", Riffs.repeating(1, 4));
        Section a = new Section("a", "a", "riff-1", 2);
        Section b =
                new Section("b", "b", "riff-1", 1)
                        .with("guitar-1", new Section.Playing(true, Optional.of(Tone.CLEAN)));
        Song s = song(p.arranged(List.of(a, b)));
        assertThat(s.stretches()).hasSize(2);
        assertThat(s.stretches().get(0).to()).isEqualTo(s.start(1));
        assertThat(s.stretches().get(1).first()).isEqualTo(Tone.CLEAN);
        assertThat(s.stretches()).allMatch(Stretch::turns);
    }

    /** Every change that sets a section off keeps roots and length, and is kept as a version. */
    @Test
    void sectionsAreVariedFromTheOneBefore() {
        Piece p = Piece.of("p", "piece", "", Riffs.fourBars());
        p = p.arranged(List.of(p.sections().get(0), new Section("b", "chorus", "riff-1", 1)));
        Derived d = derive(p.riff());
        Revoicer revoicer = new Revoicer(CATALOGUE, Hand.MEDIUM);
        List<SectionChange> made = new ArrayList<>();
        for (SectionChange c : SectionChange.all()) {
            Optional<Riff> riff = c.of(d, revoicer);
            if (riff.isPresent()) {
                made.add(c);
                assertThat(riff.get().roots()).isEqualTo(p.riff().roots());
                Piece taken = SectionChange.taken(p, 1, riff.get(), "other");
                List<Arrangement.Turn> turns = Arrangement.turns(taken);
                assertThat(turns.get(0).riff()).isEqualTo(p.riff());
                assertThat(turns.get(1).riff()).isEqualTo(riff.get());
            }
        }
        assertThat(made).hasSizeGreaterThan(15);
    }

    /** The length of an arrangement is bounded, and says so. */
    @Test
    void tooLongIsSaid() {
        Piece p = Piece.of("p", "piece", "", Riffs.fourBars());
        List<Section> many = new ArrayList<>();
        for (int i = 0; i < 11; i++) {
            many.add(new Section("s" + i, "s", "riff-1", 99));
        }
        Piece longer = p.arranged(many);
        assertThatThrownBy(() -> Arrangement.turns(longer))
                .hasMessageContaining(String.valueOf(11 * 99 * 4))
                .hasMessageContaining("less often");
    }

    /** The kinds are told by what lies between the notes, in semitones. */
    @Test
    void rubsByInterval() {
        assertThat(Rub.kind(60, 61)).contains(Rub.Kind.SECOND);
        assertThat(Rub.kind(60, 71)).contains(Rub.Kind.SEVENTH);
        assertThat(Rub.kind(60, 66)).contains(Rub.Kind.TRITONE);
        assertThat(Rub.kind(40, 44)).contains(Rub.Kind.LOW_THIRD);
        assertThat(Rub.kind(60, 64)).isEmpty();
        assertThat(Rub.kind(60, 67)).isEmpty();
        assertThat(Rub.kind(60, 72)).isEmpty();
    }
}
