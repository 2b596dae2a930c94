package vocalis.workbench.exchange;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import vocalis.core.arrange.Song;
import vocalis.core.choice.Catalogue;
import vocalis.core.hands.Hand;
import vocalis.core.harmony.Context;
import vocalis.core.instrument.Fretboard;
import vocalis.core.mix.Mix;
import vocalis.core.piece.Piece;
import vocalis.core.riff.Ground;
import vocalis.core.score.Score;
import vocalis.core.score.ScoreNote;
import vocalis.core.theory.Key;
import vocalis.core.theory.Mode;
import vocalis.core.unpick.Unpicked;
import vocalis.core.unpick.Unpicker;
import vocalis.formats.FormatException;
import vocalis.formats.midi.MidiFile;
import vocalis.formats.musicxml.MusicXml;
import vocalis.formats.sheet.Imported;
import vocalis.formats.sheet.NoteDraft;
import vocalis.formats.sheet.Played;
import vocalis.formats.sheet.Sheet;
import vocalis.formats.sheet.SheetFormat;
import vocalis.formats.tab.TabText;
import vocalis.workbench.document.Deriving;
import vocalis.workbench.library.PieceFiles;
import vocalis.workbench.playing.Songs;

/** Takes riffs away to other programs and to paper, and brings in what others wrote. */
public final class Exchange {

    private final Catalogue catalogue;
    private final Hand hand;

    public Exchange(Catalogue catalogue, Hand hand) {
        this.catalogue = catalogue;
        this.hand = hand;
    }

    /** What a piece comes to, derived once, to be taken away; long enough for a worker. */
    public Export away(Piece piece) {
        Deriving deriving = new Deriving(catalogue, Runnable::run, Runnable::run, a -> {});
        return new Export(deriving.derive(0, piece, hand));
    }

    /** The same of the whole piece, its sections played through. */
    public Export song(Piece piece) {
        Deriving deriving = new Deriving(catalogue, Runnable::run, Runnable::run, a -> {});
        Song song = new Songs(catalogue).of(piece, hand);
        return new Export(deriving.derive(0, piece, hand), Optional.of(song));
    }

    /**
     * Reads a file of another program, by its content.
     *
     * @throws FormatException saying what is wrong, where, and what to do
     */
    public static Imported read(byte[] bytes) throws FormatException {
        boolean midi = bytes.length > 4 && bytes[0] == 'M' && bytes[1] == 'T' && bytes[2] == 'h';
        boolean zip = bytes.length > 4 && bytes[0] == 'P' && bytes[1] == 'K';
        Optional<String> other = OtherFiles.told(bytes);
        if (other.isPresent()) {
            throw new FormatException(other.get());
        }
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

    /** Takes an import apart, its second guitar over the roots of the first; long: on a worker. */
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
            Unpicker unpicker = new Unpicker(catalogue, hand);
            List<Score> scores = playing(imported);
            Unpicked first = unpicker.unpick(scores.get(0), ground, roots);
            return scores.size() < 2
                    ? first
                    : first.with(unpicker.second(scores.get(1), first.riff()));
        } catch (IllegalArgumentException e) {
            throw new FormatException("this cannot be taken apart: " + e.getMessage(), e);
        }
    }

    /** The guitars that play anything: the two that a riff holds come first. */
    private static List<Sheet.Guitar> guitars(Imported imported) {
        List<Sheet.Guitar> all =
                imported.sheet().guitars().stream()
                        .filter(g -> !g.score().notes().isEmpty())
                        .toList();
        return all.isEmpty() ? List.of(imported.sheet().guitars().get(0)) : all;
    }

    /** Names of guitars that a riff has no room for. */
    public static List<String> leftOut(Imported imported) {
        return guitars(imported).stream().skip(2).map(Sheet.Guitar::name).toList();
    }

    /** The scores of the first two, on one instrument, of one length. */
    private static List<Score> playing(Imported imported) {
        List<Sheet.Guitar> two = guitars(imported).stream().limit(2).toList();
        Score first = two.get(0).score();
        long length = two.stream().mapToLong(g -> g.score().length()).max().orElse(0);
        List<Score> scores = new ArrayList<>();
        for (Sheet.Guitar g : two) {
            Score s = g.score();
            List<ScoreNote> notes = s.notes();
            if (!s.board().equals(first.board())) {
                notes = fingered(s, first.board());
            }
            scores.add(new Score(first.board(), first.time(), length, notes, s.harmonies()));
        }
        return scores;
    }

    /** A score's notes where another neck has them; what is done to them on the way stays away. */
    private static List<ScoreNote> fingered(Score score, Fretboard board) {
        List<Played> played =
                score.notes().stream()
                        .map(
                                n ->
                                        new Played(
                                                score.board().midi(n.string(), n.fret()),
                                                n.at(),
                                                n.length(),
                                                n.dynamics()))
                        .toList();
        List<NoteDraft> drafts = new ArrayList<>();
        Played.place(played, board, score.time().meters(), drafts);
        return NoteDraft.apart(drafts);
    }

    /** A piece of what was taken apart, both guitars in it. */
    public static Piece piece(Imported imported, Unpicked unpicked, String id) {
        String about =
                unpicked.lines() == 0 ? "" : "Imported; " + unpicked.lines() + " notes are lines.";
        Piece alone = Piece.of(id, imported.sheet().title(), about, unpicked.riff());
        if (unpicked.second().isEmpty()) {
            return alone;
        }
        Mix mix = alone.mix();
        return alone.withSecondRiff(unpicked.second().get().riff())
                .mixed(
                        mix.withSecond(
                                mix.second().on(true),
                                mix.secondTone(),
                                mix.secondControls(),
                                mix.spread()));
    }
}
