package vocalis.cli.ears;

import java.io.IOException;
import java.io.PrintWriter;
import java.nio.file.Path;
import java.util.Locale;
import vocalis.cli.options.Takes;
import vocalis.sound.listen.Take;

/** Reads a take, and says of a long one that hearing it goes on for a while. */
final class LongTake {

    private static final double LONG_SECONDS = 20;

    private LongTake() {}

    /**
     * @param err where it is said
     */
    static Take read(Path file, PrintWriter err) throws IOException {
        Take take = Takes.read(file);
        if (take.seconds() >= LONG_SECONDS) {
            int s = (int) take.seconds();
            err.printf(
                    Locale.ROOT,
                    "Listening to %d:%02d of playing. This takes a while; Ctrl C ends it.%n",
                    s / 60,
                    s % 60);
            err.flush();
        }
        return take;
    }
}
