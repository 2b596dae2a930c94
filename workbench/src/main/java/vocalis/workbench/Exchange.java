package vocalis.workbench;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.BooleanSupplier;
import vocalis.core.arrange.Part;
import vocalis.core.arrange.Piece;
import vocalis.core.check.Caution;
import vocalis.core.check.Check;
import vocalis.core.choice.Catalogue;
import vocalis.core.hands.Fingering;
import vocalis.core.hands.Hand;
import vocalis.core.hands.Muting;
import vocalis.core.harmony.Context;
import vocalis.core.harmony.Readout;
import vocalis.core.instrument.Shape;
import vocalis.core.rhythm.MeterMap;
import vocalis.core.riff.Derived;
import vocalis.core.riff.Ground;
import vocalis.core.score.Score;
import vocalis.core.score.ScoreNote;
import vocalis.core.theory.Key;
import vocalis.core.theory.Mode;
import vocalis.core.unpick.Unpicked;
import vocalis.core.unpick.Unpicker;
import vocalis.core.voicing.Voicing;
import vocalis.formats.FormatException;
import vocalis.formats.csv.CsvTable;
import vocalis.formats.midi.MidiFile;
import vocalis.formats.musicxml.MusicXml;
import vocalis.formats.pdf.PdfSheet;
import vocalis.formats.pdf.StandSheet;
import vocalis.formats.sheet.Imported;
import vocalis.formats.sheet.Loss;
import vocalis.formats.sheet.Sheet;
import vocalis.formats.sheet.SheetFormat;
import vocalis.formats.tab.TabText;

/** Takes riffs away to other programs and to paper, and brings in what others wrote. */
public final class Exchange {

    /** What a riff can be written as. */
    public enum Target {
        MUSICXML("MusicXML, for notation programs", MusicXml.PLAIN, ".musicxml"),
        MXL("MusicXML, compressed", MusicXml.COMPRESSED, ".mxl"),
        MIDI("Standard MIDI File, for recording programs", MidiFile.FORMAT, ".mid"),
        TAB("Tab as plain text", TabText.FORMAT, ".tab.txt"),
        PDF("Riff sheet for the stand, PDF", null, ".pdf"),
        WAV("Sound, WAV of 24 bits", null, ".wav"),
        FLAC("Sound, FLAC of 24 bits", null, ".flac"),
        CSV("Table of its chords, CSV", null, ".csv");

        private final String words;
        private final SheetFormat format;
        private final String ending;

        Target(String words, SheetFormat format, String ending) {
            this.words = words;
            this.format = format;
            this.ending = ending;
        }

        /** As it is shown. */
        public String words() {
            return words;
        }

        /** How its files end. */
        public String ending() {
            return ending;
        }

        /** Whether it is rendered, which takes a while. */
        public boolean sound() {
            return this == WAV || this == FLAC;
        }

        /** The target of a file's ending. */
        public static Optional<Target> of(Path file) {
            String name = file.getFileName().toString().toLowerCase(Locale.ROOT);
            if (name.endsWith(".xml")) {
                return Optional.of(MUSICXML);
            }
            if (name.endsWith(".txt") || name.endsWith(".tab")) {
                return Optional.of(TAB);
            }
            return Arrays.stream(values()).filter(t -> name.endsWith(t.ending)).findFirst();
        }
    }

    private static final double TAIL_SECONDS = 2.5;

    private final Catalogue catalogue;
    private final Hand hand;

    public Exchange(Catalogue catalogue, Hand hand) {
        this.catalogue = catalogue;
        this.hand = hand;
    }

    /** The scores of a piece's riff: the first guitar's and, where it plays, the second's. */
    public Sheet sheet(Piece piece) {
        return sheet(piece, deriving().derive(0, piece, hand));
    }

    private Deriving deriving() {
        return new Deriving(catalogue, Runnable::run, Runnable::run, a -> {});
    }

    private static Sheet sheet(Piece piece, Deriving.Answer a) {
        List<Sheet.Guitar> guitars = new ArrayList<>();
        guitars.add(new Sheet.Guitar(piece.parts().get(0).name(), a.first().score()));
        a.second()
                .ifPresent(
                        d ->
                                guitars.add(
                                        new Sheet.Guitar(
                                                piece.second().map(Part::name).orElse("Guitar two"),
                                                d.score())));
        return new Sheet(piece.title(), piece.riff().ground(), guitars);
    }

    /** What a target cannot hold of a piece, each as it is said. */
    public List<String> losses(Piece piece, Target target) {
        if (target.format == null) {
            return switch (target) {
                case PDF -> List.of("it is for the eye: nothing reads it back");
                case CSV -> List.of("the rhythm and everything that is done to single notes");
                default -> List.of("everything but the sound");
            };
        }
        return target.format.losses(sheet(piece)).stream().map(Loss::words).toList();
    }

    /** The riff as text tab. */
    public String tab(Piece piece, int width) {
        return new TabText(width).text(sheet(piece));
    }

    /**
     * A file's bytes; sound is written with {@link #write} instead.
     *
     * @throws FormatException when the format cannot hold it at all
     */
    public byte[] bytes(Piece piece, Target target) throws FormatException {
        Deriving.Answer a = deriving().derive(0, piece, hand);
        return switch (target) {
            case PDF -> PdfSheet.write(stand(piece, a));
            case CSV -> table(a.first());
            case WAV, FLAC -> throw new IllegalArgumentException("sound is written as it comes");
            default -> target.format.write(sheet(piece, a));
        };
    }

    /**
     * Writes a file, whole or not at all.
     *
     * @param times rounds of the loop that are rendered
     * @param cancelled asked while sound is rendered; then nothing is left
     */
    public void write(Piece piece, Target target, Path file, int times, BooleanSupplier cancelled)
            throws IOException, FormatException {
        if (!target.sound()) {
            SafeFiles.write(file, bytes(piece, target));
            return;
        }
        Heard heard = new Workspace(catalogue, piece).heard();
        OfflineRender render = OfflineRender.of(heard, times, TAIL_SECONDS);
        SafeFiles.write(
                file,
                out -> {
                    if (target == Target.WAV) {
                        render.wav(out, cancelled);
                    } else {
                        render.flac(out, cancelled);
                    }
                });
    }

    /** A file to be given to another program, in the system's place for what does not last. */
    public Path lent(Piece piece, Target target) throws IOException, FormatException {
        Path folder = Files.createTempDirectory("vocalis");
        folder.toFile().deleteOnExit();
        String stem = piece.title().replaceAll("[^\\p{L}\\p{N}]+", "-");
        Path file = folder.resolve((stem.isBlank() ? "riff" : stem) + target.ending());
        write(piece, target, file, 1, () -> false);
        file.toFile().deleteOnExit();
        return file;
    }

    private StandSheet stand(Piece piece, Deriving.Answer a) {
        Derived d = a.first();
        Ground g = d.riff().ground();
        String ground =
                g.instrument().tuning().letters()
                        + (g.capo() == 0 ? "" : ", capo " + g.capo())
                        + " · "
                        + g.key().symbol()
                        + " · "
                        + d.riff().tempo()
                        + " beats a minute · "
                        + d.riff().meters().meter(0).symbol()
                        + " · "
                        + g.tone().name().toLowerCase(Locale.ROOT);
        List<StandSheet.Held> shapes = new ArrayList<>();
        Set<Shape> seen = new LinkedHashSet<>();
        for (int i = 0; i < d.chords().size(); i++) {
            Voicing v = d.chords().get(i).candidate().voicing();
            if (seen.add(v.shape())) {
                Fingering f = d.chords().get(i).candidate().fingering();
                List<Integer> fingers = new ArrayList<>();
                for (int s = 0; s < v.shape().strings(); s++) {
                    fingers.add(v.shape().fret(s) > 0 ? f.fingerOn(s) : 0);
                }
                String name = d.score().harmonies().get(i).symbol();
                shapes.add(
                        new StandSheet.Held(
                                name, v.shape(), fingers, Muting.of(v.shape(), f).inWords()));
            }
        }
        List<String> cautions = new ArrayList<>();
        for (Caution c : Check.of(d)) {
            if (!(c instanceof Caution.Unsilenced)) {
                cautions.add(CheckWords.place(c, d.riff()) + ": " + CheckWords.of(c, d.riff()));
            }
        }
        return new StandSheet(sheet(piece, a), ground, shapes, cautions);
    }

    private static byte[] table(Derived d) {
        List<List<Object>> rows = new ArrayList<>();
        Key key = d.riff().ground().key();
        MeterMap meters = d.riff().meters();
        for (int i = 0; i < d.chords().size(); i++) {
            Derived.Chord c = d.chords().get(i);
            Voicing v = c.candidate().voicing();
            Readout r = Readout.of(v, key, c.around());
            MeterMap.Place at = meters.place(c.start());
            rows.add(
                    List.of(
                            at.bar(),
                            at.beat(),
                            key.spell(c.root()).ascii(),
                            d.score().harmonies().get(i).symbol(),
                            d.riff().treatments().get(i).family().shortLabel(),
                            v.shape().text(),
                            String.join(
                                    " ", v.midi().stream().map(m -> key.note(m).ascii()).toList()),
                            key.spell(r.root()).ascii(),
                            Context.tension(v, key),
                            Math.round(10 * c.candidate().fingering().effort()) / 10.0,
                            Math.round(c.candidate().fingering().reachMm())));
        }
        return CsvTable.write(
                List.of(
                        "bar",
                        "beat",
                        "root",
                        "chord",
                        "family",
                        "shape",
                        "notes",
                        "heard root",
                        "tension",
                        "effort",
                        "reach mm"),
                rows);
    }

    /**
     * Reads a file of another program, by its content.
     *
     * @throws FormatException saying what is wrong, where, and what to do
     */
    public static Imported read(byte[] bytes) throws FormatException {
        boolean midi = bytes.length > 4 && bytes[0] == 'M' && bytes[1] == 'T' && bytes[2] == 'h';
        boolean zip = bytes.length > 4 && bytes[0] == 'P' && bytes[1] == 'K';
        if (midi) {
            return MidiFile.FORMAT.read(bytes);
        }
        return zip || MusicXml.looksLike(bytes)
                ? MusicXml.PLAIN.read(bytes)
                : TabText.FORMAT.read(bytes);
    }

    /** The same of a file on disk. */
    public static Imported read(Path file) throws PieceFiles.PieceFileException {
        try {
            if (Files.isDirectory(file) || Files.exists(file) && !Files.isRegularFile(file)) {
                throw new PieceFiles.PieceFileException(file + " is no ordinary file", null);
            }
            if (Files.size(file) > SheetFormat.MOST_BYTES) {
                throw new PieceFiles.PieceFileException(
                        file.getFileName() + " is far too large for a riff", null);
            }
            return read(Files.readAllBytes(file));
        } catch (FormatException e) {
            throw new PieceFiles.PieceFileException(file.getFileName() + ": " + e.getMessage(), e);
        } catch (NoSuchFileException e) {
            throw new PieceFiles.PieceFileException(file + " does not exist", e);
        } catch (IOException e) {
            throw new PieceFiles.PieceFileException(
                    file + " cannot be read: " + PieceFiles.reason(e), e);
        }
    }

    /** The ground of an import: its own key, or the one that its notes fit best. */
    public static Ground ground(Imported imported) {
        Ground g = imported.sheet().ground();
        return imported.keyed() ? g : g.withKey(fitting(imported.sheet().score()));
    }

    private static Key fitting(Score score) {
        double[] time = new double[12];
        for (ScoreNote n : score.notes()) {
            time[score.board().midi(n.string(), n.fret()) % 12] += n.length();
        }
        if (score.notes().isEmpty()) {
            return Key.parse("E minor");
        }
        int first = lowest(score, score.onsets().get(0).notes());
        int last = lowest(score, score.onsets().get(score.onsets().size() - 1).notes());
        List<Mode> seven = Mode.builtIn().stream().filter(m -> m.size() == 7).toList();
        return Context.modes(time, first, last, seven).get(0).key();
    }

    private static int lowest(Score score, List<ScoreNote> notes) {
        return notes.stream()
                        .mapToInt(n -> score.board().midi(n.string(), n.fret()))
                        .min()
                        .orElse(0)
                % 12;
    }

    /** Takes the first guitar of an import apart; long: on a worker. */
    public Unpicked unpick(Imported imported) throws FormatException {
        return unpick(imported, ground(imported));
    }

    /** The same in another key than was read. */
    public Unpicked unpick(Imported imported, Ground ground) throws FormatException {
        return unpick(imported, ground, Map.of());
    }

    /** The same with roots that the player knows better, by where their chord begins. */
    public Unpicked unpick(Imported imported, Ground ground, Map<Long, Integer> roots)
            throws FormatException {
        try {
            return new Unpicker(catalogue, hand).unpick(imported.sheet().score(), ground, roots);
        } catch (IllegalArgumentException e) {
            throw new FormatException("this cannot be taken apart: " + e.getMessage(), e);
        }
    }

    /** A piece of what was taken apart. */
    public static Piece piece(Imported imported, Unpicked unpicked, String id) {
        String about =
                unpicked.lines() == 0 ? "" : "Imported; " + unpicked.lines() + " notes are lines.";
        return Piece.of(id, imported.sheet().title(), about, unpicked.riff());
    }
}
