package vocalis.cli;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import vocalis.workbench.library.PieceFiles;

/** The commands that listen, each to what another command of the program rendered. */
class EarsCommandTest {

    private static final ObjectMapper JSON = new ObjectMapper();

    private static final String[] AS_WRITTEN = {
        "e|----------------|----------------|",
        "B|----------------|----------------|",
        "G|8---8---8---8---|----------------|",
        "D|8---8---8---8---|6---6---6---6---|",
        "A|6---6---6---6---|6---6---6---6---|",
        "E|----------------|4---4---4---4---|",
    };

    @TempDir Path folder;

    private record Said(int code, String text) {}

    private static Said run(Object... args) {
        StringWriter out = new StringWriter();
        String[] words = new String[args.length];
        for (int i = 0; i < args.length; i++) {
            words[i] = args[i].toString();
        }
        int code = Main.run(new PrintWriter(out, true), words);
        return new Said(code, out.toString());
    }

    private Path riff(String name, String... tab) throws Exception {
        Path text = Files.writeString(folder.resolve(name + ".txt"), String.join("\n", tab));
        Path to = folder.resolve(name + ".vocalis.json");
        assertThat(run("import", text, "-o", to).code()).isZero();
        return to;
    }

    private Path played(Path riff) {
        Path to = folder.resolve(riff.getFileName() + ".wav");
        assertThat(run("render", riff, "--tone", "clean", "--part", "guitar-1", "-o", to).code())
                .isZero();
        return to;
    }

    private static List<String> names(JsonNode of) {
        List<String> all = new ArrayList<>();
        of.fieldNames().forEachRemaining(all::add);
        return all;
    }

    /** As written it finds nothing; a finger a fret off in one stroke is that one stroke. */
    @Test
    void listenTellsTheStrokeThatIsOtherwise() throws Exception {
        Path riff = riff("riff", AS_WRITTEN);
        Said right = run("listen", riff, played(riff));
        assertThat(right.text()).startsWith("pass 1: as written;");
        assertThat(right.code()).isZero();
        String[] off = AS_WRITTEN.clone();
        off[3] = "D|8---8---8---8---|6---6---7---6---|";
        Said wrong = run("listen", riff, played(riff("off", off)), "--json");
        assertThat(wrong.code()).isEqualTo(1);
        JsonNode pass = JSON.readTree(wrong.text());
        assertThat(names(pass)).containsExactly("pass", "bars", "onOne", "events", "words");
        assertThat(pass.get("pass").asInt()).isEqualTo(1);
        assertThat(pass.get("bars").asInt()).isEqualTo(2);
        assertThat(pass.get("onOne").asBoolean()).isTrue();
        assertThat(pass.get("events")).hasSize(8);
        for (int i = 0; i < 8; i++) {
            JsonNode e = pass.get("events").get(i);
            assertThat(names(e)).containsExactly("bar", "tick", "ms", "state", "strings", "muted");
            assertThat(e.get("bar").asInt()).isEqualTo(i < 4 ? 1 : 2);
            assertThat(e.get("ms").asDouble()).isBetween(-10.0, 10.0);
            assertThat(e.get("state").asText()).isEqualTo(i == 6 ? "wrong" : "right");
        }
        assertThat(pass.get("events").get(6).get("strings").toString())
                .isEqualTo("[{\"string\":4,\"what\":\"off\",\"fret\":7}]");
    }

    /** What is played comes back as notes and as a riff. */
    @Test
    void transcribeWritesDownWhatWasPlayed() throws Exception {
        Path take = played(riff("riff", AS_WRITTEN));
        Path back = folder.resolve("back.vocalis.json");
        Said said = run("transcribe", take, "--tempo", "120", "--json", "-o", back);
        assertThat(said.code()).isZero();
        List<String> notes = new ArrayList<>();
        for (String line : said.text().lines().toList()) {
            JsonNode n = JSON.readTree(line);
            assertThat(names(n)).contains("string", "fret", "onsetSeconds", "seconds", "sure");
            notes.add(n.get("string") + ":" + n.get("fret"));
        }
        assertThat(notes).hasSize(24).containsOnly("5:6", "4:8", "3:8", "6:4", "5:6", "4:6");
        assertThat(PieceFiles.read(back).piece().riff().roots()).hasSize(2);
        Said nowhere = run("transcribe", take);
        assertThat(nowhere.code()).isEqualTo(2);
    }

    /** A chord is named, with the shape that was held first. */
    @Test
    void holdNamesTheChord() throws Exception {
        Path take =
                played(
                        riff(
                                "chord",
                                "e|4---------------|",
                                "B|4---------------|",
                                "G|5---------------|",
                                "D|6---------------|",
                                "A|6---------------|",
                                "E|4---------------|"));
        JsonNode held = JSON.readTree(run("hold", take, "--json").text());
        assertThat(names(held)).containsExactly("midi", "pitchClasses", "shapes", "words");
        assertThat(held.get("midi").toString()).isEqualTo("[44,51,56,60,63,68]");
        assertThat(held.get("pitchClasses")).hasSize(3);
        JsonNode first = held.get("shapes").get(0);
        assertThat(names(first)).containsExactly("shape", "name", "share");
        assertThat(first.get("shape").asText()).isEqualTo("4-6-6-5-4-4");
        double before = 1;
        for (JsonNode s : held.get("shapes")) {
            assertThat(s.get("share").asDouble()).isBetween(0.0, before);
            before = s.get("share").asDouble();
        }
    }

    /** Each string beside its own open note. */
    @Test
    void tuneTellsEachString() throws Exception {
        Path take =
                played(
                        riff(
                                "open",
                                "e|----------------|----------------|0---------------|",
                                "B|----------------|----------------|----------------|",
                                "G|----------------|0---------------|----------------|",
                                "D|----------------|----------------|----------------|",
                                "A|0---------------|----------------|----------------|",
                                "E|----------------|----------------|----------------|"));
        Said said = run("tune", take);
        assertThat(said.code()).isZero();
        assertThat(said.text().lines()).hasSize(3);
        assertThat(said.text()).containsSubsequence("string 5  A", "string 3  G", "string 1  E");
        for (double c : cents(said)) {
            assertThat(c).isBetween(-5.0, 5.0);
        }
        // 1200 log2(443/440) = 11.8 cents lower, all of them.
        for (double c : cents(run("tune", take, "--a4", "443"))) {
            assertThat(c).isBetween(-17.0, -6.0);
        }
    }

    private static double[] cents(Said said) {
        return said.text()
                .lines()
                .mapToDouble(
                        l -> Double.parseDouble(l.replaceAll(".*?([+-][\\d.]+) cents.*", "$1")))
                .toArray();
    }
}
