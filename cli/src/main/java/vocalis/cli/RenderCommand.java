package vocalis.cli;

import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.FileSystemException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.Callable;
import picocli.CommandLine;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import vocalis.cli.options.FamilyConverter;
import vocalis.cli.options.NeckOptions;
import vocalis.cli.options.Standard;
import vocalis.core.arrange.Song;
import vocalis.core.choice.Catalogue;
import vocalis.core.edit.Chords;
import vocalis.core.hands.Hand;
import vocalis.core.instrument.Shape;
import vocalis.core.mix.Fader;
import vocalis.core.mix.Mix;
import vocalis.core.piece.Piece;
import vocalis.core.piece.Section;
import vocalis.core.revoice.Intent;
import vocalis.core.riff.Ground;
import vocalis.core.riff.Riff;
import vocalis.core.riff.Tone;
import vocalis.core.theory.Key;
import vocalis.core.theory.Pitch;
import vocalis.core.voicing.Family;
import vocalis.core.voicing.Voicing;
import vocalis.workbench.base.SafeFiles;
import vocalis.workbench.document.Revoicing;
import vocalis.workbench.document.SettledShapes;
import vocalis.workbench.document.Workspace;
import vocalis.workbench.library.PieceFiles;
import vocalis.workbench.playing.Heard;
import vocalis.workbench.playing.OfflineRender;
import vocalis.workbench.playing.Songs;
import vocalis.workbench.words.FindingWords;

/** Renders a riff, or one strummed shape, to a WAV file. */
@Command(
        name = "render",
        mixinStandardHelpOptions = true,
        description =
                "Render a riff, or one strummed shape, to a 24-bit WAV file, faster than real time.")
final class RenderCommand implements Callable<Integer> {

    private static final double TAIL_SECONDS = 2.5;

    @CommandLine.Spec private CommandLine.Model.CommandSpec spec;

    @Parameters(
            paramLabel = "FILE",
            arity = "0..1",
            description = "The riff, a .vocalis.json file; - reads one from standard input.")
    private Path file;

    @Option(
            names = "-o",
            required = true,
            paramLabel = "X.wav",
            description = "Where the sound goes; - is standard output.")
    private Path out;

    @Option(
            names = "--shape",
            paramLabel = "S",
            description = "One strummed shape instead of a riff: x-5-7-7-x-x.")
    private String shape;

    @Option(
            names = "--seconds",
            defaultValue = "4",
            paramLabel = "N",
            description = "How long a shape is left to ring.")
    private double seconds;

    @Mixin private NeckOptions options;

    @Option(
            converter = FamilyConverter.class,
            names = "--treatment",
            paramLabel = "F",
            description = "A family for every chord: power, fourth, third, octave, triad, …")
    private Family family;

    @Option(
            names = "--intent",
            paramLabel = "I",
            converter = RevoiceCommand.IntentConverter.class,
            description = "The riff voiced by intent: smooth-top, darkest, … (see revoice).")
    private Intent intent;

    @Option(
            names = "--tone",
            paramLabel = "T",
            description = "clean, edge or gain instead of the riff's own.")
    private Tone tone;

    @Option(
            names = "--times",
            defaultValue = "1",
            paramLabel = "N",
            description = "Rounds of the loop.")
    private int times;

    @Option(
            names = "--song",
            description = "All sections as they are arranged, instead of the riff worked on.")
    private boolean song;

    @Option(
            names = "--section",
            paramLabel = "NAME",
            description = "One section of the arrangement, by its name or its number from 1.")
    private String section;

    @Option(
            names = "--part",
            paramLabel = "P",
            description = "Only guitar-1, guitar-2, bass or kit.")
    private String part;

    @Option(
            names = "--stems",
            description = "Each guitar, bass and kit into a file of its own: X-guitar-1.wav, …")
    private boolean stems;

    @Override
    public Integer call() throws Exception {
        if ((file == null) == (shape == null)) {
            throw new IllegalArgumentException(
                    "name a riff's file, or a shape with --shape, and not both");
        }
        refuse(file != null, "a riff's file", "--tuning", "--capo", "--seconds");
        refuse(
                shape != null,
                "--shape",
                "--treatment",
                "--intent",
                "--times",
                "--stems",
                "--song",
                "--section",
                "--part");
        if (stems && Standard.is(out)) {
            throw new IllegalArgumentException("stems are several files; name one after -o");
        }
        if (file != null && SafeFiles.same(file, out)) {
            throw new IllegalArgumentException(
                    "the sound would be written over the riff " + file + "; name another file");
        }
        try {
            if (file == null) {
                write(out, shape());
            } else {
                riff();
            }
        } catch (FileSystemException e) {
            String why = e.getReason() == null ? "the folder does not exist" : e.getReason();
            throw new IllegalArgumentException(out + " was not written: " + why, e);
        }
        return 0;
    }

    /** Options that would do nothing are refused. */
    private void refuse(boolean given, String beside, String... options) {
        for (String o : options) {
            if (given && spec.commandLine().getParseResult().hasMatchedOption(o)) {
                throw new IllegalArgumentException(o + " does nothing beside " + beside);
            }
        }
    }

    private static void write(Path to, OfflineRender sound) throws IOException {
        if (Standard.is(to)) {
            OutputStream raw = new BufferedOutputStream(System.out);
            sound.wav(raw);
            raw.flush();
        } else {
            SafeFiles.write(to, sound::wav);
        }
    }

    private OfflineRender shape() {
        if (!(seconds > 0 && seconds <= 120)) {
            throw new IllegalArgumentException(
                    "--seconds lies above 0 and up to 120, but is " + seconds);
        }
        Voicing v = new Voicing(Shape.parse(shape), options.board(), 0);
        Ground ground =
                new Ground(
                        options.instrument(),
                        options.capo(),
                        Key.parse("C major"),
                        Optional.ofNullable(tone).orElse(Tone.GAIN),
                        Pitch.STANDARD_A4_HZ);
        return OfflineRender.of(v.shape(), ground, seconds);
    }

    private void riff() throws PieceFiles.PieceFileException, IOException {
        if (times < 1 || times > 100) {
            throw new IllegalArgumentException("--times lies between 1 and 100, but is " + times);
        }
        Catalogue catalogue = new Catalogue();
        Piece piece = new SettledShapes(catalogue, Hand.MEDIUM).kept(Standard.read(file).piece());
        Riff riff = piece.riff();
        if (family != null && intent != null) {
            throw new IllegalArgumentException("name a treatment or an intent, not both");
        }
        if (family != null) {
            riff = Chords.familyOfAll(riff, family);
        }
        if (intent != null) {
            riff = RevoiceCommand.by(new Revoicing(catalogue, Hand.MEDIUM), riff, intent, 1).riff();
        }
        if (tone != null) {
            riff = riff.withGround(riff.ground().withTone(tone));
        }
        Workspace workspace = new Workspace(catalogue, piece.with(riff));
        workspace
                .derived()
                .findings()
                .forEach(
                        f ->
                                spec.commandLine()
                                        .getErr()
                                        .println(FindingWords.of(f, workspace.content().riff())));
        Heard heard =
                song || section != null
                        ? arranged(new Songs(catalogue).of(workspace.content(), Hand.MEDIUM))
                        : workspace.heard();
        if (stems) {
            stems(heard);
        } else {
            write(out, OfflineRender.of(heard, times, TAIL_SECONDS, stem(heard)));
        }
    }

    private Heard arranged(Song whole) {
        if (song && section != null) {
            throw new IllegalArgumentException("name the song or a section of it, not both");
        }
        if (song) {
            return Heard.of(whole);
        }
        List<Section> all = whole.piece().sections();
        int found = -1;
        for (int i = 0; i < all.size(); i++) {
            boolean named = all.get(i).name().equalsIgnoreCase(section.strip());
            found =
                    found < 0 && (named || section.strip().equals(String.valueOf(i + 1)))
                            ? i
                            : found;
        }
        if (found < 0) {
            throw new IllegalArgumentException(
                    "no section \""
                            + section
                            + "\"; there are "
                            + String.join(", ", all.stream().map(Section::name).toList()));
        }
        return Heard.of(whole, whole.start(found), whole.end(found));
    }

    private OfflineRender.Stem stem(Heard heard) {
        if (part == null) {
            return OfflineRender.Stem.ALL;
        }
        return switch (part) {
            case "guitar-1" -> OfflineRender.Stem.FIRST;
            case "guitar-2" -> {
                if (heard.second().isEmpty()) {
                    throw new IllegalArgumentException("the second guitar does not play along");
                }
                yield OfflineRender.Stem.SECOND;
            }
            case "bass" -> along("bass", heard.mix().bass(), OfflineRender.Stem.BASS);
            case "kit" -> along("kit", heard.mix().kit(), OfflineRender.Stem.KIT);
            default ->
                    throw new IllegalArgumentException(
                            "\"" + part + "\" is no part; write guitar-1, guitar-2, bass or kit");
        };
    }

    private static OfflineRender.Stem along(String who, Fader f, OfflineRender.Stem stem) {
        if (!f.on()) {
            throw new IllegalArgumentException("the " + who + " does not play along");
        }
        return stem;
    }

    /** Each who plays into a file of its own, named after the file that was asked for. */
    private void stems(Heard heard) throws IOException {
        Mix mix = heard.mix();
        Map<OfflineRender.Stem, String> wanted = new EnumMap<>(OfflineRender.Stem.class);
        wanted.put(OfflineRender.Stem.FIRST, "guitar-1");
        if (heard.second().isPresent()) {
            wanted.put(OfflineRender.Stem.SECOND, "guitar-2");
        }
        if (mix.bass().on()) {
            wanted.put(OfflineRender.Stem.BASS, "bass");
        }
        if (mix.kit().on()) {
            wanted.put(OfflineRender.Stem.KIT, "kit");
        }
        String name = out.getFileName().toString().replaceFirst("\\.wav$", "");
        List<IOException> failed = Collections.synchronizedList(new ArrayList<>());
        // Two parts on two processors.
        wanted.entrySet().parallelStream()
                .forEach(
                        e -> {
                            Path to = out.resolveSibling(name + "-" + e.getValue() + ".wav");
                            try {
                                write(to, OfflineRender.of(heard, times, TAIL_SECONDS, e.getKey()));
                            } catch (IOException x) {
                                failed.add(x);
                            }
                        });
        if (!failed.isEmpty()) {
            throw failed.get(0);
        }
    }
}
