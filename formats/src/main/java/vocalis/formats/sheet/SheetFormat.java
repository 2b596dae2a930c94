package vocalis.formats.sheet;

import java.util.List;
import java.util.Set;
import vocalis.formats.FormatException;

/** A format of other programs that scores are written to and read from. Stateless. */
public interface SheetFormat {

    /** Largest file read, in bytes. */
    int MOST_BYTES = 32 * 1024 * 1024;

    /** As it is shown. */
    String name();

    /** Endings of its files, the usual one first, such as {@code .musicxml}. */
    List<String> endings();

    /** What it cannot hold. */
    Set<Loss> losses();

    /** Which of them a sheet suffers. */
    default List<Loss> losses(Sheet sheet) {
        return Loss.suffered(sheet, losses());
    }

    /** The file's bytes. */
    byte[] write(Sheet sheet) throws FormatException;

    /**
     * Reads a file.
     *
     * @throws FormatException saying what is wrong, where in the file, and what to do
     */
    Imported read(byte[] bytes) throws FormatException;
}
