package vocalis.workbench.playing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import vocalis.core.arrange.Song;
import vocalis.core.arrange.Stretch;
import vocalis.core.choice.Catalogue;
import vocalis.core.hands.Hand;
import vocalis.core.piece.Piece;
import vocalis.core.practice.Entry;
import vocalis.core.practice.Rounds;
import vocalis.core.practice.Vanishing;
import vocalis.core.rhythm.Ticks;
import vocalis.formats.FormatException;
import vocalis.formats.json.PracticeCodec;
import vocalis.sound.engine.Program;
import vocalis.workbench.demo.Demo;
import vocalis.workbench.library.PracticeLog;

/** What is heard while one practises, and what is written down of it. */
class DrillTest {

    private final Song song = new Songs(new Catalogue()).of(Demo.pieces().get(1), Hand.MEDIUM);

    private Drill drill(Vanishing v, boolean click, Drill.Who who) {
        return new Drill(song.start(1), song.end(1), 80, 2, click, v, who);
    }

    /** Ticks of the clicks in a program. */
    private static List<Long> clicks(Program p) {
        List<Long> all = new ArrayList<>();
        int click = vocalis.sound.band.Piece.CLICK.ordinal();
        int one = vocalis.sound.band.Piece.CLICK_ONE.ordinal();
        for (int i = 0; i < p.events(); i++) {
            String d = p.describe(i);
            if (d.startsWith("hit " + click + " ") || d.startsWith("hit " + one + " ")) {
                all.add(p.at(i));
            }
        }
        return all;
    }

    /** Two bars are counted in, then the loop comes back to what follows; at eight tenths. */
    @Test
    void theLoopIsCountedIn() {
        Heard h = drill(Vanishing.NEVER, true, Drill.Who.ALL).heard(song);
        long bar = Ticks.WHOLE;
        assertThat(h.clicks().loopFrom()).isEqualTo(2 * bar);
        assertThat(h.score().length()).isEqualTo(2 * bar + song.end(1) - song.start(1));
        assertThat(h.score().notes()).allMatch(n -> n.at() >= 2 * bar);
        assertThat(h.score().time().tempos().first()).isEqualTo(Math.round(126 * 0.8));
        Program p = SoundEvents.program(h);
        assertThat(p.loopFrom()).isEqualTo(2 * bar);
        assertThat(clicks(p)).hasSize(4 * 10);
    }

    /** Two bars with, two without: the clicks of every other pair of bars are missing. */
    @Test
    void theClickVanishesBarByBar() {
        Program p =
                SoundEvents.program(drill(new Vanishing(2, 2), true, Drill.Who.ALL).heard(song));
        for (long at : clicks(p)) {
            long bar = at / Ticks.WHOLE - 2;
            assertThat(bar < 0 || bar % 4 < 2).as("click in bar %d", bar).isTrue();
        }
        assertThat(clicks(p)).hasSize(4 * (2 + 4));
        Program silent =
                SoundEvents.program(drill(Vanishing.NEVER, false, Drill.Who.ALL).heard(song));
        assertThat(clicks(silent)).hasSize(8);
    }

    /** A loop of eight bars under a click of two and one is laid three times to fit. */
    @Test
    void roundsFitTheVanishingClick() {
        Drill d = drill(new Vanishing(2, 1), true, Drill.Who.ALL);
        Rounds r = d.rounds(song);
        Heard h = d.heard(song);
        long once = song.end(1) - song.start(1);
        assertThat(h.score().length()).isEqualTo(2 * Ticks.WHOLE + 3 * once);
        assertThat(r.round(0)).isEqualTo(-1);
        assertThat(r.round(2 * Ticks.WHOLE + once)).isEqualTo(1);
        assertThat(r.whole(2 * Ticks.WHOLE + once + 5)).isEqualTo(song.start(1) + 5);
        for (Stretch s : h.stretches()) {
            assertThat(s.section()).isEqualTo(1);
            assertThat(s.to() - s.from()).isEqualTo(once);
        }
    }

    /** Guitar alone, band alone, both. */
    @Test
    void whoIsHeard() {
        Heard alone = drill(Vanishing.NEVER, true, Drill.Who.FIRST).heard(song);
        assertThat(alone.second()).isEmpty();
        assertThat(alone.mix().kit().on() || alone.mix().bass().on()).isFalse();
        assertThat(alone.score().notes()).isNotEmpty();
        Heard band = drill(Vanishing.NEVER, true, Drill.Who.BAND).heard(song);
        assertThat(band.score().notes()).isEmpty();
        assertThat(band.second()).isEmpty();
        assertThat(band.mix().kit().on() && band.mix().bass().on()).isTrue();
        Program p = SoundEvents.program(band);
        for (int i = 0; i < p.events(); i++) {
            assertThat(p.strikes(i, 0) || p.strikes(i, 1)).isFalse();
        }
        Heard two = drill(Vanishing.NEVER, true, Drill.Who.SECOND).heard(song);
        assertThat(two.score().notes()).isEmpty();
        assertThat(two.second()).isPresent();
    }

    /** A stretch between bar lines becomes a bar of its own: four beats from the third on. */
    @Test
    void aChangeAcrossABarLineIsABar() {
        long from = song.start(1) + 2 * Ticks.QUARTER;
        Drill d = new Drill(from, from + Ticks.WHOLE, 100, 1, true, Vanishing.NEVER, Drill.Who.ALL);
        Heard h = d.heard(song);
        assertThat(h.score().time().meters().bars(h.score().length())).isEqualTo(2);
        assertThat(h.score().length()).isEqualTo(2 * Ticks.WHOLE);
    }

    /** Every section is as loud as it is played: the chorus louder than the intro, all measured. */
    @Test
    void sectionsHaveTheirLoudness() {
        List<Double> all = SectionLevels.of(song, new Levels(), () -> false);
        assertThat(all).hasSize(5).allMatch(d -> d > -40 && d < 0);
        assertThat(all.get(2)).isGreaterThan(all.get(0) + 1);
        assertThat(SectionLevels.of(song, new Levels(), () -> true)).isEmpty();
    }

    /** Tones of sections come at one loudness: the same riff clean and under gain within 1.5 LU. */
    @Test
    void tonesOfSectionsAreLevelled() {
        Piece p = Demo.pieces().get(1).mixed(vocalis.core.mix.Mix.ALONE);
        var clean =
                p.sections()
                        .get(0)
                        .as("a")
                        .with(
                                "guitar-1",
                                new vocalis.core.piece.Section.Playing(
                                        true, java.util.Optional.of(vocalis.core.riff.Tone.CLEAN)));
        var gain =
                clean.as("b")
                        .with(
                                "guitar-1",
                                new vocalis.core.piece.Section.Playing(
                                        true, java.util.Optional.of(vocalis.core.riff.Tone.GAIN)));
        Song s = new Songs(new Catalogue()).of(p.arranged(List.of(clean, gain)), Hand.MEDIUM);
        List<Double> db = SectionLevels.of(s, new Levels(), () -> false);
        System.out.printf(Locale.ROOT, "clean %.2f, gain %.2f LKFS%n", db.get(0), db.get(1));
        assertThat(db.get(1)).isCloseTo(db.get(0), within(1.5));
    }

    @TempDir Path folder;

    /** Lines are added; one cut off by a crash is left and told, and harms none after it. */
    @Test
    void theLogOutlivesACutLine() throws IOException {
        PracticeLog log = new PracticeLog(folder);
        List<Entry> all = Demo.practice();
        log.add(all.get(0));
        log.add(all.get(1));
        byte[] bytes = Files.readAllBytes(log.file());
        Files.write(log.file(), java.util.Arrays.copyOf(bytes, bytes.length - 20));
        log.add(all.get(2));
        PracticeLog.Content back = log.read();
        assertThat(back.unread()).isEqualTo(1);
        assertThat(back.entries().stream().map(Entry::best))
                .containsExactly(all.get(0).best(), all.get(2).best());
        assertThat(Files.readString(log.file())).contains(all.get(1).title());
    }

    /**
     * An entry read back is the entry, to a tenth of a second. A line cut short is one clear error;
     * a byte changed is refused, or read as what the line says then.
     */
    @Test
    void entriesReadBack() throws FormatException {
        java.util.Random random = new java.util.Random(4);
        for (Entry e : Demo.practice()) {
            byte[] line = PracticeCodec.line(e);
            String text = new String(line, StandardCharsets.UTF_8);
            assertThat(text).endsWith("\n").doesNotContain("\n\n");
            Entry back = PracticeCodec.read(text.strip());
            assertThat(back.seconds()).isCloseTo(e.seconds(), within(0.05));
            assertThat(back.at()).isEqualTo(e.at());
            assertThat(back.what()).isEqualTo(e.what());
            String whole = text.strip();
            for (int cut = 0; cut < whole.length(); cut++) {
                String part = whole.substring(0, cut);
                assertThatThrownBy(() -> PracticeCodec.read(part))
                        .isInstanceOf(FormatException.class)
                        .message()
                        .hasSizeGreaterThan(15);
            }
            for (int i = 0; i < 200; i++) {
                byte[] hurt = line.clone();
                hurt[random.nextInt(hurt.length)] = (byte) random.nextInt(256);
                try {
                    PracticeCodec.read(new String(hurt, StandardCharsets.UTF_8));
                } catch (FormatException wrong) {
                    assertThat(wrong.getMessage()).hasSizeGreaterThan(15);
                }
            }
        }
    }

    @Test
    void drillsAreChecked() {
        assertThatThrownBy(() -> new Drill(5, 5, 100, 1, true, Vanishing.NEVER, Drill.Who.ALL))
                .hasMessageContaining("from 5 to 5");
        assertThatThrownBy(() -> new Drill(0, 5, 100, 9, true, Vanishing.NEVER, Drill.Who.ALL))
                .hasMessageContaining("9");
    }
}
