package vocalis.cli.options;

import java.util.Optional;
import picocli.CommandLine.Option;
import vocalis.core.theory.Key;

/** The option that says in what key. */
public final class KeyOption {

    @Option(
            names = "--key",
            paramLabel = "K",
            description = "Such as Gm, \"G minor\" or \"F# dorian\".")
    private String key;

    public Optional<Key> key() {
        return Optional.ofNullable(key).map(Key::parse);
    }

    /** What the answer assumes, in words. */
    public String assumed() {
        return key().map(k -> "in " + k.symbol()).orElse("without a key");
    }
}
