package vocalis.core.arrange;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;
import vocalis.core.edit.Times;
import vocalis.core.mix.Fader;
import vocalis.core.mix.Groove;
import vocalis.core.mix.Mix;
import vocalis.core.piece.Piece;
import vocalis.core.piece.Section;
import vocalis.core.practice.Rounds;
import vocalis.core.rhythm.Meter;
import vocalis.core.rhythm.MeterMap;
import vocalis.core.rhythm.TempoMap;
import vocalis.core.rhythm.Ticks;
import vocalis.core.riff.Riff;
import vocalis.core.riff.Riffs;
import vocalis.core.riff.Tone;
import vocalis.core.score.Harmony;
import vocalis.core.score.Score;
import vocalis.core.score.ScoreNote;

/** What holds of every song, whatever its sections: random pieces. */
class SongLawsTest {

    private static final int PIECES = 60;

    /**
     * A piece of one to three riffs, with versions, pickups, other meters, and up to five sections.
     */
    static Piece random(Random r) {
        List<Riff> riffs = new ArrayList<>();
        for (int i = 0; i <= r.nextInt(3); i++) {
            Riff riff = Riffs.random(r);
            riff = r.nextInt(3) == 0 ? Times.pickup(riff, Ticks.EIGHTH * (1 + r.nextInt(3))) : riff;
            riff = r.nextInt(4) == 0 ? Times.meter(riff, new Meter(7, 8)) : riff;
            riffs.add(Times.tempo(riff, 60 + r.nextInt(120)));
        }
        Piece p = Piece.of("p", "piece", "", riffs.get(0));
        for (Riff riff : riffs.subList(1, riffs.size())) {
            p = p.adding(riff);
        }
        p = p.keeping("as it was").with(Riffs.random(r));
        List<Section> sections = new ArrayList<>();
        for (int i = 0; i <= r.nextInt(5); i++) {
            String riff = "riff-" + (1 + r.nextInt(riffs.size()));
            Section s = new Section("s" + i, "section " + i, riff, 1 + r.nextInt(3));
            if (riff.equals("riff-1") && r.nextBoolean()) {
                s = s.playing(riff, Optional.of("version-1"));
            }
            if (riff.equals("riff-1") && r.nextInt(3) == 0) {
                s = s.ending(Optional.of("version-1"));
            }
            s = s.at(80 + r.nextInt(40));
            if (r.nextInt(4) == 0) {
                s = s.with("guitar-2", new Section.Playing(false, Optional.empty()));
            }
            if (r.nextInt(3) == 0) {
                Tone t = Tone.values()[r.nextInt(3)];
                s = s.with("guitar-1", new Section.Playing(true, Optional.of(t)));
            }
            sections.add(s);
        }
        Piece arranged = p.arranged(sections);
        return r.nextBoolean() ? SongTest.playingBoth(arranged) : arranged;
    }

    private interface Law {
        void check(Piece p, Song s, String which);
    }

    private static void everywhere(Law law) {
        Random r = new Random(20);
        for (int i = 0; i < PIECES; i++) {
            Piece p = random(r);
            law.check(p, SongTest.song(p), "piece " + i);
        }
    }

    private static List<Score> scores(Song s) {
        List<Score> all = new ArrayList<>(List.of(s.score()));
        s.second().ifPresent(all::add);
        return all;
    }

    /** The song lasts as long as its turns, in bars, in ticks, and in seconds. */
    @Test
    void itLastsAsLongAsItsTurns() {
        everywhere(
                (p, s, which) -> {
                    long ticks = s.passages().get(0).turn().riff().loopStart();
                    int bars = 0;
                    double seconds = 0;
                    for (Song.Passage q : s.passages()) {
                        Riff riff = q.turn().riff();
                        Section section = p.sections().get(q.turn().section());
                        ticks += riff.length() - riff.loopStart();
                        bars += riff.bars();
                        TempoMap t = riff.time().tempos().scaled(section.tempo());
                        boolean first = q == s.passages().get(0);
                        seconds +=
                                t.seconds(riff.length())
                                        - (first ? 0 : t.seconds(riff.loopStart()));
                    }
                    assertThat(s.length()).as(which).isEqualTo(ticks);
                    MeterMap meters = s.score().time().meters();
                    assertThat(meters.bars(s.length())).as(which).isEqualTo(bars);
                    assertThat(meters.end(bars - 1)).as(which).isEqualTo(s.length());
                    assertThat(s.score().time().tempos().seconds(s.length()))
                            .as(which)
                            .isCloseTo(seconds, within(1e-6));
                });
    }

    /** Sections follow each other without a gap; stretches cover them. */
    @Test
    void sectionsAndStretchesFollowEachOther() {
        everywhere(
                (p, s, which) -> {
                    for (int i = 1; i < p.sections().size(); i++) {
                        assertThat(s.start(i)).as(which).isEqualTo(s.end(i - 1));
                    }
                    assertThat(s.end(p.sections().size() - 1)).as(which).isEqualTo(s.length());
                    long at = s.passages().get(0).turn().start();
                    for (Stretch x : s.stretches()) {
                        assertThat(x.from()).as(which).isEqualTo(at);
                        at = x.to();
                        assertThat(s.sectionAt(x.from())).isEqualTo(x.section());
                    }
                    assertThat(at).as(which).isEqualTo(s.length());
                    assertThat(s.stretches().stream().filter(Stretch::turns).count())
                            .isEqualTo(p.sections().size());
                });
    }

    /** No string plays two notes at once, no chord lies over another, a tie goes on from a note. */
    @Test
    void notesAndChordsAreInOrder() {
        everywhere(
                (p, s, which) -> {
                    for (Score score : scores(s)) {
                        Map<Integer, ScoreNote> last = new HashMap<>();
                        for (ScoreNote n : score.notes()) {
                            assertThat(n.at() + n.length())
                                    .as("%s, note at %d", which, n.at())
                                    .isLessThanOrEqualTo(score.length());
                            ScoreNote before = last.put(n.string(), n);
                            assertThat(before == null || before.at() < n.at())
                                    .as("%s, string %d at %d", which, n.string(), n.at())
                                    .isTrue();
                            if (n.tied()) {
                                assertThat(before).as("%s, tie at %d", which, n.at()).isNotNull();
                                assertThat(before.endFret()).isEqualTo(n.fret());
                            }
                        }
                        long end = 0;
                        for (Harmony h : score.harmonies()) {
                            assertThat(h.at()).as(which).isGreaterThanOrEqualTo(end);
                            end = h.end();
                        }
                        assertThat(end).as(which).isEqualTo(score.length());
                    }
                });
    }

    /** Cut at every section and laid end to end, the notes are the song's. */
    @Test
    void cutAndJoinedItIsTheSame() {
        everywhere(
                (p, s, which) -> {
                    for (Score score : scores(s)) {
                        List<String> whole = new ArrayList<>();
                        score.notes().forEach(n -> whole.add(told(n, 0)));
                        List<String> parts = new ArrayList<>();
                        for (int i = 0; i < p.sections().size(); i++) {
                            long from = s.start(i);
                            score.between(from, s.end(i))
                                    .notes()
                                    .forEach(n -> parts.add(told(n, from)));
                        }
                        assertThat(parts).as(which).isEqualTo(whole);
                    }
                });
    }

    private static String told(ScoreNote n, long later) {
        return (n.at() + later) + " " + n.string() + " " + n.fret() + " " + n.manner();
    }

    /** Rounds of a stretch: as many copies, counted in, in the right bars, and back to the song. */
    @Test
    void roundsAreCopies() {
        Random r = new Random(21);
        everywhere(
                (p, s, which) -> {
                    MeterMap meters = s.score().time().meters();
                    int bars = meters.bars(s.length());
                    int a = r.nextInt(bars);
                    int b = a + 1 + r.nextInt(bars - a);
                    long from = meters.start(a);
                    long to = b == bars ? s.length() : meters.start(b);
                    int times = 1 + r.nextInt(4);
                    int in = r.nextInt(3);
                    Rounds rounds = new Rounds(s.score().time(), from, to, times, in, 75);
                    Score laid = rounds.of(s.score());
                    Score once = s.score().between(from, to);
                    assertThat(rounds.bars()).as(which).isEqualTo(b - a);
                    assertThat(laid.notes()).as(which).hasSize(times * once.notes().size());
                    assertThat(laid.time().meters().bars(laid.length()))
                            .as(which)
                            .isEqualTo(in + times * (b - a));
                    for (ScoreNote n : laid.notes()) {
                        assertThat(n.at()).isGreaterThanOrEqualTo(rounds.loopFrom());
                        long there = rounds.whole(n.at());
                        assertThat(once.notes())
                                .anyMatch(
                                        x ->
                                                x.at() + from == there
                                                        && x.string() == n.string()
                                                        && x.fret() == n.fret());
                    }
                    double slow = laid.time().tempos().seconds(laid.length());
                    double counted = laid.time().tempos().seconds(rounds.loopFrom());
                    double plain = once.time().tempos().scaled(75).seconds(once.length());
                    assertThat((slow - counted) / times).as(which).isCloseTo(plain, within(1e-6));
                });
    }

    /**
     * The whole bass lies in its stretches, its notes within the song; chords begin on their bass,
     * and what is no bass of its chord is the step before another.
     */
    @Test
    void theBassStaysInside() {
        everywhere(
                (p, s, which) -> {
                    Piece loud = p.mixed(p.mix().withBass(Fader.ON, Mix.BassLine.ROOTS));
                    Song played = SongTest.song(loud);
                    long at = -1;
                    for (Groove.BassNote n : played.bass()) {
                        assertThat(n.at()).as(which).isGreaterThan(at);
                        assertThat(n.at() + n.length()).isLessThanOrEqualTo(played.length());
                        int chord = played.score().harmonyAt(n.at());
                        var harmony = played.score().harmonies().get(chord);
                        boolean steps = n.at() + n.length() == harmony.end();
                        assertThat(steps || n.midi() % 12 == harmony.bass()).as(which).isTrue();
                        boolean begins = n.at() == harmony.at();
                        assertThat(begins && n.midi() % 12 != harmony.bass()).as(which).isFalse();
                        at = n.at();
                    }
                    assertThat(at).isPositive();
                });
    }
}
