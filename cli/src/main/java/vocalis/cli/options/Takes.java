package vocalis.cli.options;

import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import vocalis.formats.FormatException;
import vocalis.formats.wav.WavReader;
import vocalis.sound.listen.Take;

/** Recordings that commands listen to. */
public final class Takes {

    private Takes() {}

    /**
     * A recording from a file, or from standard input for {@code -}.
     *
     * @throws IllegalArgumentException saying of which file what is wrong
     */
    public static Take read(Path file) throws IOException {
        try (InputStream in = Standard.is(file) ? System.in : Files.newInputStream(file)) {
            return WavReader.read(in);
        } catch (FormatException e) {
            throw new IllegalArgumentException(file + ": " + e.getMessage(), e);
        }
    }
}
