package vocalis.workbench.base;

import java.nio.file.Path;
import java.util.Locale;
import java.util.function.UnaryOperator;

/**
 * Where the platform keeps a program's data, settings and log: the XDG base directories on Linux,
 * {@code ~/Library} on macOS, {@code %APPDATA%} on Windows.
 *
 * @param data what the player made: own shapes, the library
 * @param settings what the program remembers between starts
 * @param log where it writes what went wrong
 */
public record Places(Path data, Path settings, Path log) {

    /** All of it in one folder, for tests. */
    public static Places in(Path folder) {
        return new Places(folder, folder, folder);
    }

    /**
     * The platform's places, or those below the folder that the system property {@code
     * vocalis.data} names.
     */
    public static Places ofPlatform() {
        String set = System.getProperty("vocalis.data", "");
        if (!set.isEmpty()) {
            return in(Path.of(set));
        }
        return of(
                System.getProperty("os.name", ""),
                Path.of(System.getProperty("user.home")),
                System::getenv);
    }

    public static Places of(String system, Path home, UnaryOperator<String> environment) {
        String os = system.toLowerCase(Locale.ROOT);
        if (os.contains("mac")) {
            Path library = home.resolve("Library");
            Path own = library.resolve("Application Support").resolve("Vocalis");
            return new Places(own, own, library.resolve("Logs").resolve("Vocalis"));
        }
        if (os.contains("win")) {
            String roaming = environment.apply("APPDATA");
            Path base = roaming == null ? home.resolve("AppData/Roaming") : Path.of(roaming);
            Path own = base.resolve("Vocalis");
            return new Places(own, own, own.resolve("log"));
        }
        return new Places(
                xdg(environment, "XDG_DATA_HOME", home.resolve(".local/share")),
                xdg(environment, "XDG_CONFIG_HOME", home.resolve(".config")),
                xdg(environment, "XDG_STATE_HOME", home.resolve(".local/state")));
    }

    /** A relative path in such a variable is to be ignored (XDG Base Directory 0.8). */
    private static Path xdg(UnaryOperator<String> environment, String name, Path usual) {
        String set = environment.apply(name);
        boolean valid = set != null && !set.isBlank() && Path.of(set).isAbsolute();
        return (valid ? Path.of(set) : usual).resolve("vocalis");
    }
}
