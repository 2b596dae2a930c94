package vocalis.formats.json;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.networknt.schema.JsonSchema;
import com.networknt.schema.JsonSchemaFactory;
import com.networknt.schema.SpecVersion;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;
import vocalis.core.instrument.Instrument;
import vocalis.core.instrument.Shape;
import vocalis.core.instrument.Tuning;
import vocalis.core.rhythm.Meter;
import vocalis.core.rhythm.Ticks;
import vocalis.core.riff.Band;
import vocalis.core.riff.Cell;
import vocalis.core.riff.Controls;
import vocalis.core.riff.Fader;
import vocalis.core.riff.Feel;
import vocalis.core.riff.Ground;
import vocalis.core.riff.Manner;
import vocalis.core.riff.Member;
import vocalis.core.riff.NamedRiff;
import vocalis.core.riff.Pattern;
import vocalis.core.riff.Riff;
import vocalis.core.riff.Root;
import vocalis.core.riff.RootSpan;
import vocalis.core.riff.Stroke;
import vocalis.core.riff.Struck;
import vocalis.core.riff.Tone;
import vocalis.core.riff.Touch;
import vocalis.core.riff.Treatment;
import vocalis.core.theory.Degree;
import vocalis.core.theory.Key;
import vocalis.core.theory.Mode;
import vocalis.core.theory.Spelling;
import vocalis.core.voicing.Family;
import vocalis.core.voicing.Voicing;
import vocalis.formats.FormatException;

class RiffCodecTest {

    /** A riff that uses everything that the format can say. */
    private static NamedRiff everything() {
        Mode own =
                new Mode("my own", List.of(new Degree(1, 0), new Degree(4, 1), new Degree(7, -1)));
        Ground ground =
                new Ground(
                        new Instrument(
                                new Tuning("seven", List.of(35, 40, 45, 50, 55, 59, 64)),
                                22,
                                666,
                                true),
                        3,
                        new Key(Spelling.parse("Gb"), own),
                        73,
                        new Meter(7, 8),
                        Tone.EDGE,
                        442.5,
                        Band.ALONE
                                .withControls(new Controls(1, -2, 3, -4, 5, -5, true, 2, 9))
                                .withSecond(
                                        new Fader(true, 4),
                                        Optional.of(Family.OCTAVE),
                                        Tone.CLEAN,
                                        Controls.USUAL,
                                        9)
                                .withBass(new Fader(true, 3), Band.BassLine.PEDAL)
                                .withKit(new Fader(true, 10), Feel.HALF_TIME)
                                .withClick(new Fader(false, 0)));
        long bar = ground.meter().barTicks();
        Voicing v = new Voicing(Shape.parse("x-3-5-5-x-x-x"), ground.board(), 10);
        Treatment chosen =
                new Treatment(
                        Family.FOURTH,
                        Map.of(
                                Family.POWER,
                                Member.Found.of(v),
                                Family.FOURTH,
                                new Member.ByHand(Shape.parse("x-x-x-9-7-0-0"), 4)));
        Cell cell =
                new Cell(
                        List.of(
                                new Stroke(0, Ticks.EIGHTH, Struck.Named.LOW_PAIR, true, false),
                                new Stroke(
                                        Ticks.EIGHTH,
                                        Ticks.QUARTER / 3,
                                        new Struck.Picked(5),
                                        Manner.LET_RING,
                                        true)));
        return new NamedRiff(
                "Ödegård \"♭\" riff",
                "two\nlines",
                new Riff(
                        ground,
                        List.of(
                                new RootSpan(new Root(2, -1), bar),
                                new RootSpan(new Root(7, 3), 2 * bar)),
                        List.of(
                                chosen.over(Optional.of(new Root(3, -1))),
                                Treatment.best(Family.OCTAVE)),
                        new Pattern(List.of(cell, Cell.REST)),
                        List.of(
                                new Touch.ChangedNote(bar, 2, 7),
                                new Touch.Ornament(bar, 2, Touch.Kind.SLIDE, -3, 10, 5000),
                                new Touch.Ornament(0, 1, Touch.Kind.BEND_RELEASE, 150, 0, 77))));
    }

    @Test
    void whatIsReadEqualsWhatWasWritten() throws FormatException {
        NamedRiff riff = everything();
        assertThat(RiffCodec.read(RiffCodec.write(riff))).isEqualTo(riff);
        assertThat(RiffCodec.write(RiffCodec.read(RiffCodec.write(riff))))
                .isEqualTo(RiffCodec.write(riff));
    }

    /** The published schema of the format (JSON Schema 2020-12), by a general-purpose validator. */
    @Test
    void filesAreValidAgainstTheDocumentedSchema() throws IOException {
        JsonSchema schema =
                JsonSchemaFactory.getInstance(SpecVersion.VersionFlag.V202012)
                        .getSchema(Files.readString(Path.of("../docs/vocalis-1.schema.json")));
        ObjectMapper mapper = new ObjectMapper();
        assertThat(schema.validate(mapper.readTree(RiffCodec.write(everything())))).isEmpty();
        JsonNode broken = mapper.readTree("{\"format\":\"vocalis\",\"version\":1}");
        assertThat(schema.validate(broken)).isNotEmpty();
    }

    @Test
    void aNewerFileIsRefusedInWordsThatSayWhatToDo() {
        byte[] newer = "{\"format\":\"vocalis\",\"version\":2}".getBytes(StandardCharsets.UTF_8);
        assertThatThrownBy(() -> RiffCodec.read(newer))
                .isInstanceOf(FormatException.class)
                .hasMessageContaining("newer Vocalis")
                .hasMessageContaining("left as it is");
    }

    @Test
    void damageIsToldWithItsPlace() {
        String text = new String(RiffCodec.write(everything()), StandardCharsets.UTF_8);
        assertThatThrownBy(() -> read(text.substring(0, text.length() / 2)))
                .hasMessageContaining("line");
        assertThatThrownBy(() -> read(text.replace("\"tempo\" : 73", "\"tempo\" : 7300")))
                .hasMessageContaining("ground")
                .hasMessageContaining("7300");
        assertThatThrownBy(() -> read(text.replace("\"alter\" : -1", "\"alter\" : \"x\"")))
                .hasMessageContaining("roots[0].alter");
        assertThatThrownBy(() -> read(text.replace("\"shape\" : \"x-x-x", "\"shape\" : \"x-q-x")))
                .hasMessageContaining("treatments[0].members.fourth")
                .hasMessageContaining("place 2");
        assertThatThrownBy(() -> read("[1,2]")).hasMessageContaining("no Vocalis riff");
        assertThatThrownBy(() -> read("{\"format\":\"vocalis\",\"format\":\"vocalis\"}"))
                .hasMessageContaining("damaged");
        assertThatThrownBy(() -> read("{\"a\":".repeat(2000))).isInstanceOf(FormatException.class);
        assertThatThrownBy(() -> RiffCodec.read(new byte[RiffCodec.MOST_BYTES + 1]))
                .hasMessageContaining("bytes");
    }

    private static NamedRiff read(String text) throws FormatException {
        return RiffCodec.read(text.getBytes(StandardCharsets.UTF_8));
    }

    /**
     * Ten thousand mutated files: each is read as a whole riff or refused with a message, never
     * more.
     */
    @Test
    void mutatedFilesAreReadOrRefused() {
        byte[] good = RiffCodec.write(everything());
        Random random = new Random(42);
        int refused = 0;
        List<String> wrong = new ArrayList<>();
        for (int i = 0; i < 10_000; i++) {
            byte[] bad = mutate(good, random);
            try {
                RiffCodec.read(bad);
            } catch (FormatException e) {
                refused++;
                if (e.getMessage() == null || e.getMessage().isBlank()) {
                    wrong.add("no message");
                }
            } catch (RuntimeException e) {
                wrong.add(e + " on " + new String(bad, StandardCharsets.UTF_8));
            }
        }
        assertThat(wrong).isEmpty();
        assertThat(refused).isGreaterThan(5000);
    }

    private static byte[] mutate(byte[] good, Random random) {
        byte[] bad = good.clone();
        int changes = 1 + random.nextInt(4);
        for (int c = 0; c < changes; c++) {
            int at = random.nextInt(bad.length);
            switch (random.nextInt(4)) {
                case 0 -> bad[at] = (byte) random.nextInt(256);
                case 1 -> bad[at] = (byte) "0123456789-\"{}[],:".charAt(random.nextInt(18));
                case 2 -> bad = java.util.Arrays.copyOf(bad, Math.max(1, at));
                default -> {
                    int from = random.nextInt(bad.length);
                    int n = Math.min(bad.length - Math.max(at, from), random.nextInt(40));
                    if (n > 0) {
                        System.arraycopy(good, from, bad, at, n);
                    }
                }
            }
        }
        return bad;
    }
}
