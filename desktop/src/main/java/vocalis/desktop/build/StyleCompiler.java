package vocalis.desktop.build;

import atlantafx.base.theme.PrimerDark;
import atlantafx.base.theme.PrimerLight;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import javafx.css.Stylesheet;

/**
 * Run by the build: turns the style sheets into JavaFX's binary form, which the window reads in a
 * twentieth of the time that parsing takes.
 */
public final class StyleCompiler {

    private StyleCompiler() {}

    /** Takes the folder of the compiled classes of this module. */
    public static void main(String[] args) throws IOException {
        Path folder = Path.of(args[0], "vocalis", "desktop");
        fromLibrary(new PrimerDark().getUserAgentStylesheet(), folder.resolve("base-dark.bss"));
        fromLibrary(new PrimerLight().getUserAgentStylesheet(), folder.resolve("base-light.bss"));
        for (String name : new String[] {"tokens-dark", "tokens-light", "components"}) {
            convert(folder.resolve(name + ".css"), folder.resolve(name + ".bss"));
        }
    }

    private static void fromLibrary(String resource, Path binary) throws IOException {
        Path css = Files.createTempFile("base", ".css");
        try (InputStream in = PrimerDark.class.getResourceAsStream(resource)) {
            Files.copy(in, css, StandardCopyOption.REPLACE_EXISTING);
            convert(css, binary);
        } finally {
            Files.delete(css);
        }
    }

    private static void convert(Path css, Path binary) throws IOException {
        Stylesheet.convertToBinary(css.toFile(), binary.toFile());
    }
}
