package vocalis.workbench.exchange;

import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.BooleanSupplier;
import vocalis.core.arrange.Song;
import vocalis.core.piece.Part;
import vocalis.core.piece.Piece;
import vocalis.formats.FormatException;
import vocalis.formats.pdf.PdfSheet;
import vocalis.formats.sheet.Loss;
import vocalis.formats.sheet.Sheet;
import vocalis.formats.tab.TabText;
import vocalis.workbench.base.SafeFiles;
import vocalis.workbench.document.Deriving;
import vocalis.workbench.document.Workspace;
import vocalis.workbench.library.Library;
import vocalis.workbench.playing.Heard;
import vocalis.workbench.playing.OfflineRender;

/**
 * A piece on its way to another program or to paper: its scores, derived once, in every format,
 * with what each leaves out. Any thread may ask.
 */
public final class Export {

    private static final double TAIL_SECONDS = 2.5;

    private final Deriving.Answer derived;
    private final Optional<Song> song;
    private final Sheet sheet;

    /** The riff that is worked on. */
    Export(Deriving.Answer derived) {
        this(derived, Optional.empty());
    }

    /**
     * @param song the whole piece played through, which goes instead of the riff; the sheet for the
     *     stand and the table are the riff's in any case
     */
    Export(Deriving.Answer derived, Optional<Song> song) {
        this.derived = derived;
        this.song = song;
        this.sheet = song.map(Export::scores).orElseGet(() -> scores(derived));
    }

    private static Sheet scores(Song s) {
        Piece piece = s.piece();
        List<Sheet.Guitar> guitars = new ArrayList<>();
        guitars.add(new Sheet.Guitar(piece.parts().get(0).name(), s.score()));
        s.second()
                .ifPresent(
                        x ->
                                guitars.add(
                                        new Sheet.Guitar(
                                                piece.second().map(Part::name).orElse("Guitar two"),
                                                x)));
        return new Sheet(piece.title(), piece.riff().ground(), guitars);
    }

    private static Sheet scores(Deriving.Answer a) {
        Piece piece = a.piece();
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

    /** The scores: the first guitar's and, where it plays, the second's. */
    public Sheet sheet() {
        return sheet;
    }

    /** What a target leaves out, each as it is said. */
    public List<String> losses(Target target) {
        return target.format()
                .map(f -> f.losses(sheet).stream().map(Loss::words).toList())
                .orElseGet(
                        () ->
                                switch (target) {
                                    case PDF -> List.of("it is for the eye: nothing reads it back");
                                    case CSV ->
                                            List.of(
                                                    "the rhythm and everything that is done to single"
                                                            + " notes");
                                    default -> List.of("everything but the sound");
                                });
    }

    /** The riff as text tab. */
    public String tab(int width) {
        return new TabText(width).text(sheet);
    }

    /**
     * A file's bytes; sound is written with {@link #write} instead.
     *
     * @throws FormatException when the format cannot hold it at all
     */
    public byte[] bytes(Target target) throws FormatException {
        return switch (target) {
            case PDF -> PdfSheet.write(StandSheets.of(derived.first(), scores(derived)));
            case CSV -> ChordTable.csv(derived.first());
            case WAV, FLAC -> throw new IllegalArgumentException("sound is written as it comes");
            default -> target.format().orElseThrow().write(sheet);
        };
    }

    /**
     * Writes a file, whole or not at all.
     *
     * @param times rounds of the loop that are rendered
     * @param cancelled asked while sound is rendered; then nothing is left
     */
    public void write(Target target, Path file, int times, BooleanSupplier cancelled)
            throws IOException, FormatException {
        if (!target.sound()) {
            SafeFiles.write(file, bytes(target));
            return;
        }
        OfflineRender render =
                OfflineRender.of(
                        song.map(Heard::of).orElseGet(() -> Workspace.heard(derived)),
                        times,
                        TAIL_SECONDS);
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

    /** A file in a folder under the piece's name, to be given to another program. */
    public Path lent(Target target, Path folder, BooleanSupplier cancelled)
            throws IOException, FormatException {
        Path file = folder.resolve(Library.stem(sheet.title()) + target.ending());
        write(target, file, 1, cancelled);
        return file;
    }
}
