package vocalis.workbench.health;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;

/** Which Vocalis this is: the number that the build was given. */
public final class Version {

    /** Such as {@code 1.0.0}. */
    public static final String NUMBER = read();

    private Version() {}

    private static String read() {
        try (InputStream in = Version.class.getResourceAsStream("version.txt")) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8).strip();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
