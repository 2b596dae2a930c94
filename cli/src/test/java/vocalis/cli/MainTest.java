package vocalis.cli;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.TreeMap;
import javax.sound.sampled.AudioSystem;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import vocalis.core.piece.Piece;
import vocalis.core.riff.Riff;
import vocalis.formats.json.Extras;
import vocalis.workbench.demo.Demo;
import vocalis.workbench.library.PieceFiles;

class MainTest {

    @TempDir Path folder;

    @Test
    void aRiffIsRenderedToAFileThatTheJdkPlays() throws Exception {
        Path riff = folder.resolve("r.vocalis.json");
        Path wav = folder.resolve("r.wav");
        PieceFiles.write(Demo.pieces().get(1), Extras.NONE, riff, null);
        assertThat(Main.run("render", riff.toString(), "-o", wav.toString(), "--tone", "clean"))
                .isZero();
        var format = AudioSystem.getAudioFileFormat(wav.toFile());
        assertThat(format.getFormat().getSampleSizeInBits()).isEqualTo(24);
        assertThat(format.getFrameLength()).isGreaterThan(48000 * 7);
    }

    /** Pitch class and length of every root: MIDI knows major and minor keys alone. */
    private static List<String> roots(Riff riff) {
        return riff.roots().stream()
                .map(r -> r.root().pitchClass(riff.ground().key()) + " " + r.length())
                .toList();
    }

    /** Out in every format that is read back, in again: the same roots and shapes. */
    @Test
    void riffsAreExportedAndImported() throws Exception {
        Path out = java.nio.file.Files.createDirectory(folder.resolve("out"));
        Path back = java.nio.file.Files.createDirectory(folder.resolve("back"));
        Path one = folder.resolve("one.vocalis.json");
        Path two = folder.resolve("two.vocalis.json");
        PieceFiles.write(Demo.pieces().get(0), Extras.NONE, one, null);
        PieceFiles.write(Demo.pieces().get(1), Extras.NONE, two, null);
        for (String format : List.of("musicxml", "mxl", "midi", "tab", "pdf", "csv", "flac")) {
            assertThat(
                            Main.run(
                                    "export",
                                    one.toString(),
                                    two.toString(),
                                    "-o",
                                    out.toString(),
                                    "--to",
                                    format))
                    .isZero();
        }
        try (var all = Files.list(out)) {
            assertThat(all.count()).isEqualTo(14);
        }
        for (String ending : List.of(".musicxml", ".mxl", ".mid", ".tab.txt")) {
            Path to = back.resolve("one" + ending.replace(".", "-") + ".vocalis.json");
            assertThat(
                            Main.run(
                                    "import",
                                    out.resolve("one" + ending).toString(),
                                    "-o",
                                    to.toString()))
                    .isZero();
            Riff riff = PieceFiles.read(to).piece().riff();
            Riff before = Demo.pieces().get(0).riff();
            assertThat(roots(riff)).isEqualTo(roots(before));
            assertThat(riff.length()).isEqualTo(before.length());
        }
        // A song on paper or as a table would be the riff alone.
        for (String ending : List.of("pdf", "csv")) {
            Path to = folder.resolve("song." + ending);
            assertThat(Main.run("export", one.toString(), "--song", "-o", to.toString()))
                    .isEqualTo(2);
            assertThat(to).doesNotExist();
        }
        // Over a file that is there, of a file that is none, in no format: refused.
        Path bad = Files.writeString(folder.resolve("bad.mid"), "MThd");
        String there = back.resolve("one-musicxml.vocalis.json").toString();
        assertThat(Main.run("import", out.resolve("one.mid").toString(), "-o", there)).isEqualTo(2);
        assertThat(Main.run("import", bad.toString(), "-o", back.resolve("x").toString()))
                .isEqualTo(2);
        assertThat(Main.run("export", one.toString(), "-o", folder.resolve("x.doc").toString()))
                .isEqualTo(2);
        assertThat(Main.run("export", one.toString(), "-o", one.toString(), "--to", "tab"))
                .isEqualTo(2);
        assertThat(back.resolve("x.vocalis.json")).doesNotExist();
    }

    private static String output(String... args) {
        java.io.StringWriter out = new java.io.StringWriter();
        int code = Main.run(new java.io.PrintWriter(out), args);
        assertThat(code).isZero();
        return out.toString();
    }

    /** Two shapes of common practice, in the documented form. */
    @Test
    void shapesAreNamedAsJson() throws Exception {
        JsonNode n = new ObjectMapper().readTree(output("name", "x-9-11-11-0-0", "--json"));
        assertThat(n.get("shape").asText()).isEqualTo("x-9-11-11-0-0");
        assertThat(n.get("notes").toString()).isEqualTo("[\"F#3\",\"C#4\",\"F#4\",\"B3\",\"E4\"]");
        assertThat(n.get("midi").toString()).isEqualTo("[54,61,66,59,64]");
        assertThat(n.get("heardRoot").asText()).isEqualTo("F#");
        assertThat(n.get("ambiguous").asBoolean()).isFalse();
        JsonNode first = n.get("readings").get(0);
        assertThat(first.get("kind").asText()).isEqualTo("exact");
        assertThat(first.get("name").asText()).isEqualTo("F#7sus4");
        assertThat(first.get("degrees").toString()).isEqualTo("[\"1\",\"5\",\"1\",\"4\",\"b7\"]");
        assertThat(output("name", "x-x-4-4-x-x"))
                .contains("B fourth")
                .contains("B5/F♯")
                .contains("upper note")
                .contains("without a key")
                .contains("index 4 laid flat")
                .contains("reach 0 mm");
        assertThat(output("name", "x-0-3-2-x-x", "--root", "F")).contains("working  F/A");
        assertThat(output("name", "x-0-2-2-1-0")).doesNotContain("working  C");
        assertThat(output("name", "x-4-2-x-x-x", "--pedal", "D")).contains("over D");
    }

    @Test
    void voicingsAndDronesAreListed() {
        assertThat(output("voicings", "A", "--family", "power").lines())
                .anyMatch(l -> l.startsWith("5-7-7-x-x-x") && l.contains("A5"));
        assertThat(output("voicings", "A", "--family", "third", "--json").lines())
                .allMatch(l -> l.startsWith("{\"shape\""));
        assertThat(output("drones", "--mode", "minor").lines()).hasSize(12);
        assertThat(output("drones", "--tuning", "D A D G B E", "--json")).contains("bestCapo");
    }

    /** Tunings, keys, shapes and families as players say them (common practice). */
    @Test
    void whatPlayersSayIsUnderstood() throws Exception {
        ObjectMapper mapper = new ObjectMapper();
        String lowest = "/midi/0";
        String[][] rows = {
            {"drop D", "38"},
            {"half step down", "39"},
            {"DADGAD", "38"},
            {"C G C F A D", "36"},
            {"D A D F# A D", "38"},
            {"B E A D G B E", "35"}
        };
        for (String[] row : rows) {
            String shape = row[0].startsWith("B E") ? "0000000" : "000000";
            JsonNode n = mapper.readTree(output("name", shape, "--tuning", row[0], "--json"));
            assertThat(n.at(lowest).asText()).as(row[0]).isEqualTo(row[1]);
        }
        assertThat(output("name", "x02210", "--key", "Am")).contains("Am").contains("A minor");
        assertThat(output("voicings", "G", "--family", "1", "--first", "1"))
                .contains("3-5-5-x-x-x")
                .contains("(assumed)")
                .contains("ring 5");
        assertThat(output("series", "x-5-7-7-0-0", "--key", "Em").lines())
                .hasSizeGreaterThan(15)
                .anyMatch(l -> l.startsWith("x-3-5-5-0-0") && l.contains("Cmaj7"));
    }

    /** A bad line of standard input is answered in its place, and the next ones too. */
    @Test
    void standardInputIsAnsweredLineByLine() throws Exception {
        java.io.InputStream before = System.in;
        try {
            System.setIn(
                    new java.io.ByteArrayInputStream(
                            "x-0-2-2-1-0\nnonsense\n320003\n"
                                    .getBytes(java.nio.charset.StandardCharsets.UTF_8)));
            java.io.StringWriter out = new java.io.StringWriter();
            assertThat(Main.run(new java.io.PrintWriter(out), "name", "-")).isEqualTo(2);
            java.util.List<String> lines = out.toString().lines().toList();
            assertThat(lines).hasSize(3);
            assertThat(lines.get(0)).contains("\"Am\"");
            assertThat(lines.get(1)).contains("error").contains("nonsense");
            assertThat(lines.get(2)).contains("\"G\"");
        } finally {
            System.setIn(before);
        }
    }

    @Test
    void optionsThatWouldDoNothingAreRefused() throws Exception {
        Path riff = folder.resolve("r.vocalis.json");
        PieceFiles.write(Demo.pieces().get(0), Extras.NONE, riff, null);
        String wav = folder.resolve("x.wav").toString();
        assertThat(Main.run("render", riff.toString(), "-o", wav, "--capo", "2")).isEqualTo(2);
        assertThat(Main.run("render", "--shape", "022100", "-o", wav, "--times", "2")).isEqualTo(2);
        assertThat(Main.run("drones", "--key", "G")).isEqualTo(2);
        assertThat(Main.run("name", "022100", "--capo", "99")).isEqualTo(2);
        assertThat(Main.run("name", "022100", "--capo", "two")).isEqualTo(2);
        assertThat(Main.run("name", "022100", "--tuning", "wobble")).isEqualTo(2);
        assertThat(Main.run("voicings", "G", "--family", "12")).isEqualTo(2);
        assertThat(Files.exists(Path.of(wav))).isFalse();
    }

    @Test
    void badInputIsTwoAndOneLine() throws Exception {
        Path bad = folder.resolve("bad.vocalis.json");
        Files.writeString(bad, "{}");
        assertThat(Main.run("render", bad.toString(), "-o", "x.wav")).isEqualTo(2);
        assertThat(Main.run("render", "nowhere", "-o", "x.wav")).isEqualTo(2);
        assertThat(Main.run("sing")).isEqualTo(2);
        assertThat(Main.run("--version")).isZero();
        assertThat(Main.run("name", "3-z-5")).isEqualTo(2);
        assertThat(Main.run("name", "3-5")).isEqualTo(2);
        assertThat(Main.run("voicings", "Q", "--family", "power")).isEqualTo(2);
        assertThat(Main.run("drones", "--mode", "wobbly")).isEqualTo(2);
    }

    /** A minor third of common practice under gain, and a shape rendered by itself. */
    @Test
    void gainIsToldInWordsAndAsJson() throws Exception {
        JsonNode n = new ObjectMapper().readTree(output("gain", "x-4-2-x-x-x", "--json"));
        assertThat(n.get("ghosts").size()).isGreaterThan(3);
        assertThat(n.get("growl").asDouble()).isGreaterThan(1.2);
        assertThat(n.get("against").asText()).isNotBlank();
        JsonNode power = new ObjectMapper().readTree(output("gain", "5-7-7-x-x-x", "--json"));
        assertThat(power.get("growl").asDouble()).isEqualTo(1);
        String words = output("gain", "x-4-2-x-x-x", "--key", "A major");
        assertThat(words)
                .contains("times as rough")
                .contains("f2 − f1")
                .contains("added by distortion");
        assertThat(output("gain", "x-x-7-6-x-x", "--pure")).contains("13.7 ¢ flat");
    }

    @Test
    void oneShapeIsRendered() throws Exception {
        Path wav = folder.resolve("s.wav");
        assertThat(
                        Main.run(
                                "render",
                                "--shape",
                                "5-7-7-x-x-x",
                                "--seconds",
                                "1.5",
                                "-o",
                                wav.toString()))
                .isZero();
        assertThat(AudioSystem.getAudioFileFormat(wav.toFile()).getFrameLength()).isEqualTo(72000);
        assertThat(Main.run("render", "-o", wav.toString())).isEqualTo(2);
        assertThat(Main.run("render", "--shape", "5-7", "-o", wav.toString())).isEqualTo(2);
    }

    /** A riff is never written over by its own sound, and a file only as a whole. */
    @Test
    void renderingWritesOverNoRiff() throws Exception {
        Path riff = folder.resolve("r.vocalis.json");
        PieceFiles.write(Demo.pieces().get(0), Extras.NONE, riff, null);
        byte[] before = Files.readAllBytes(riff);
        assertThat(Main.run("render", riff.toString(), "-o", riff.toString())).isEqualTo(2);
        Path link = Files.createSymbolicLink(folder.resolve("link.wav"), riff);
        assertThat(Main.run("render", riff.toString(), "-o", link.toString())).isEqualTo(2);
        assertThat(Files.readAllBytes(riff)).isEqualTo(before);
        Path nowhere = folder.resolve("no").resolve("where.wav");
        assertThat(Main.run("render", "--shape", "5-7-7-x-x-x", "-o", nowhere.toString()))
                .isEqualTo(2);
        assertThat(Files.list(folder).map(p -> p.getFileName().toString()))
                .containsExactlyInAnyOrder("r.vocalis.json", "link.wav");
    }

    private Path demo(int which) throws Exception {
        Path riff = folder.resolve("demo-" + which + ".vocalis.json");
        PieceFiles.write(Demo.pieces().get(which), Extras.NONE, riff, null);
        return riff;
    }

    /** Exit 0 where nothing is found, 1 where something is, with its bar and beat. */
    @Test
    void aRiffIsChecked() throws Exception {
        java.io.StringWriter out = new java.io.StringWriter();
        assertThat(Main.run(new java.io.PrintWriter(out), "check", demo(4).toString())).isZero();
        assertThat(out.toString()).contains("nothing to stumble over").contains("4 bars");
        Path still = folder.resolve("still.vocalis.json");
        Piece piece = Demo.pieces().get(4);
        Riff riff =
                vocalis.core.edit.Progression.parse("b e b", piece.riff().ground().key())
                        .on(piece.riff());
        PieceFiles.write(piece.with(riff), Extras.NONE, still, null);
        out = new java.io.StringWriter();
        assertThat(Main.run(new java.io.PrintWriter(out), "check", still.toString(), "--json"))
                .isEqualTo(1);
        JsonNode first =
                new ObjectMapper()
                        .readTree(out.toString().lines().reduce((a, b) -> b).orElseThrow());
        assertThat(first.get("bar").asInt()).isEqualTo(3);
    }

    /** The table has the mix, nine families, the intents; one row is written and reads back. */
    @Test
    void aRiffIsRevoiced() throws Exception {
        String riff = demo(4).toString();
        List<String> all = output("revoice", riff, "--json").lines().toList();
        assertThat(all).hasSizeBetween(22, 23);
        for (String line : all) {
            assertThat(new ObjectMapper().readTree(line).get("cells")).hasSize(4);
        }
        Path out = folder.resolve("held.vocalis.json");
        output("revoice", riff, "--intent", "least-hand", "-o", out.toString());
        Riff voiced = PieceFiles.read(out).piece().riff();
        assertThat(voiced.roots()).isEqualTo(Demo.pieces().get(4).riff().roots());
        assertThat(voiced.treatments()).isNotEqualTo(Demo.pieces().get(4).riff().treatments());
        assertThat(Main.run("revoice", riff, "--row", "drone", "-o", out.toString()))
                .as("written over nothing")
                .isEqualTo(2);
        assertThat(Main.run("revoice", riff, "--row", "drone", "--intent", "darkest")).isEqualTo(2);
        assertThat(Main.run("revoice", riff, "--intent", "loudest")).isEqualTo(2);
        assertThat(Main.run("revoice", riff, "-o", "x")).isEqualTo(2);
        Path wav = folder.resolve("v.wav");
        output("render", riff, "--intent", "smooth-top", "-o", wav.toString());
        assertThat(wav).isNotEmptyFile();
    }

    /** Sections, clashes, lift; a clash that is meant is told no more. */
    @Test
    void anArrangementIsChecked() throws Exception {
        java.io.StringWriter out = new java.io.StringWriter();
        assertThat(Main.run(new java.io.PrintWriter(out), "check", demo(1).toString()))
                .isEqualTo(1);
        assertThat(out.toString())
                .contains("breakdown, bar 24 beat 3: a minor seventh")
                .contains("chorus against before: ")
                .contains("louder")
                .contains("verse against before: ");
        out = new java.io.StringWriter();
        Main.run(new java.io.PrintWriter(out), "check", demo(1).toString(), "--json");
        JsonNode found = new ObjectMapper().readTree(out.toString().lines().findFirst().get());
        assertThat(found.get("kind").asText()).isEqualTo("Rubs");
        assertThat(found.get("section").asText()).isEqualTo("breakdown");
        assertThat(found.get("bar").asInt()).isEqualTo(24);
        Piece piece = Demo.pieces().get(1);
        var song =
                new vocalis.workbench.playing.Songs(new vocalis.core.choice.Catalogue())
                        .of(piece, vocalis.core.hands.Hand.MEDIUM);
        for (var c : vocalis.core.arrange.Clashes.of(song)) {
            piece = piece.meaning(c.key(), true);
        }
        Path meant = folder.resolve("meant.vocalis.json");
        PieceFiles.write(piece, Extras.NONE, meant, null);
        assertThat(Main.run("check", meant.toString())).isZero();
        var register =
                piece.with(
                        piece.second()
                                .orElseThrow()
                                .keepingTo(new vocalis.core.piece.Part.Register(40, 50)));
        PieceFiles.write(register, Extras.NONE, meant, PieceFiles.read(meant).stamp());
        out = new java.io.StringWriter();
        assertThat(Main.run(new java.io.PrintWriter(out), "check", meant.toString())).isEqualTo(1);
        assertThat(out.toString()).contains("Guitar two leaves its register");
    }

    /** A song, a section, a part: as long as their bars say, and refused where there is none. */
    @Test
    void songsSectionsAndPartsAreRendered() throws Exception {
        String riff = demo(1).toString();
        Path wav = folder.resolve("s.wav");
        output("render", riff, "--section", "Intro", "--part", "guitar-1", "-o", wav.toString());
        double bars = 4 * 4 * 60.0 / 126;
        assertThat(seconds(wav)).isBetween(bars + 2, bars + 3);
        output("render", riff, "--section", "4", "--part", "kit", "-o", wav.toString());
        assertThat(seconds(wav)).isBetween(16 * 60.0 / 116 + 2, 16 * 60.0 / 116 + 3);
        assertThat(Main.run("render", riff, "--section", "bridge", "-o", wav.toString()))
                .isEqualTo(2);
        assertThat(Main.run("render", riff, "--part", "drums", "-o", wav.toString())).isEqualTo(2);
        assertThat(Main.run("render", riff, "--song", "--section", "1", "-o", wav.toString()))
                .isEqualTo(2);
        String alone = demo(0).toString();
        assertThat(Main.run("render", alone, "--part", "guitar-2", "-o", wav.toString()))
                .isEqualTo(2);
        assertThat(Main.run("render", alone, "--part", "bass", "-o", wav.toString())).isEqualTo(2);
    }

    private static double seconds(Path wav) throws Exception {
        return AudioSystem.getAudioFileFormat(wav.toFile()).getFrameLength() / 48000.0;
    }

    /** The practice log as a table: all of it, or of one piece. */
    @Test
    void practiceIsExported() throws Exception {
        String before = System.getProperty("vocalis.data");
        System.setProperty("vocalis.data", folder.toString());
        try {
            var log =
                    new vocalis.workbench.library.PracticeLog(
                            vocalis.workbench.base.Places.ofPlatform().data());
            for (var e : Demo.practice()) {
                log.add(e);
            }
            Path csv = folder.resolve("log.csv");
            assertThat(Main.run("export", "--practice", "-o", csv.toString())).isZero();
            List<String> lines = Files.readAllLines(csv);
            assertThat(lines).hasSize(12);
            assertThat(lines.get(0)).startsWith("begun,title,what,goal tempo");
            assertThat(lines.get(1)).contains("Wet Slate,verse,126,88");
            assertThat(Main.run("export", demo(0).toString(), "--practice", "-o", csv.toString()))
                    .isZero();
            assertThat(Files.readAllLines(csv)).hasSize(1);
            assertThat(Main.run("export", "-o", csv.toString())).isEqualTo(2);
            assertThat(Main.run("export", "--practice", "--to", "midi", "-o", csv.toString()))
                    .isEqualTo(2);
        } finally {
            if (before == null) {
                System.clearProperty("vocalis.data");
            } else {
                System.setProperty("vocalis.data", before);
            }
        }
    }

    /** One that is asked for is read in alone: it must be the one that help lists. */
    @Test
    void everyCommandThatHelpListsIsFoundByItsName() {
        var listed = new picocli.CommandLine(new Commands()).getSubcommands();
        assertThat(listed.keySet()).hasSizeGreaterThan(Main.EXAMPLES.size());
        for (var e : listed.entrySet()) {
            if (!e.getKey().equals("help")) {
                Object made = e.getValue().getCommandSpec().userObject();
                assertThat(Main.command(e.getKey()).orElseThrow().isInstance(made))
                        .as(e.getKey())
                        .isTrue();
            }
        }
        assertThat(Main.command("help")).isEmpty();
    }

    /** What is listed in no order of its own comes out otherwise in every manual. */
    @Test
    void exitCodesAreListedInTheirOrder() throws Exception {
        assertThat(output("name", "--help")).containsSubsequence("  0   ", "  1   ", "  2   ");
    }

    /**
     * Help of each command has its exit codes and an example, and the example runs: every one in
     * the long run, every other in the short one.
     */
    @Test
    void examplesRunAsTheyStand() throws Exception {
        PieceFiles.write(
                Demo.pieces().get(0), Extras.NONE, folder.resolve("riff.vocalis.json"), null);
        assertThat(
                        Main.run(
                                "export",
                                folder.resolve("riff.vocalis.json").toString(),
                                "-o",
                                folder.resolve("riff.mid").toString()))
                .isZero();
        String chord = folder.resolve("chord.wav").toString();
        assertThat(Main.run("render", "--shape", "x-3-5-5-x-x", "-o", chord)).isZero();
        Files.copy(Path.of(chord), folder.resolve("strings.wav"));
        Files.copy(Path.of(chord), folder.resolve("take.wav"));
        int number = 0;
        for (var e : new TreeMap<>(Main.EXAMPLES).entrySet()) {
            assertThat(output("help", e.getKey()))
                    .contains("Example: ./vocalis " + e.getValue())
                    .contains("Exit codes:");
            number++;
            if (number % 2 == 0 && !Boolean.getBoolean("vocalis.long")) {
                continue;
            }
            String[] args = e.getValue().split(" ");
            for (int i = 0; i < args.length; i++) {
                if (args[i].matches("(riff|chord|strings|take|heard)[.].*")) {
                    boolean written = i > 0 && args[i - 1].equals("-o");
                    args[i] = folder.resolve((written ? "new-" : "") + args[i]).toString();
                }
            }
            assertThat(Main.run(args)).as(e.getValue()).isIn(0, 1);
        }
    }
}
