package vocalis.desktop.build;

import atlantafx.base.theme.PrimerDark;
import atlantafx.base.theme.PrimerLight;
import java.io.ByteArrayOutputStream;
import java.io.DataOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import javafx.css.Stylesheet;

/**
 * Run by the build: turns the style sheets into JavaFX's binary form, which the window reads in a
 * twentieth of the time that parsing takes.
 */
public final class StyleCompiler {

    private static final Pattern COMMENT = Pattern.compile("/\\*.*?\\*/", Pattern.DOTALL);
    private static final Pattern RULE = Pattern.compile("([^{}]+)\\{([^{}]*)\\}");

    /** Style classes of controls that the program does not use. */
    private static final Pattern UNUSED =
            Pattern.compile(
                    "\\.(?:accordion|alert|area-legend|bar-chart|bar-legend|bb-code|breadcrumbs"
                            + "|bubble-legend|calendar|card\\b|chart|choice-box|choice-dialog|color-p"
                            + "|custom-color|custom-text-field|date-picker|default-color|dialog"
                            + "|html-editor|hyperlink|message\\b|modal|notification|pagination"
                            + "|password|pie-legend|popover|progress-indicator|radio-button|ring-progress"
                            + "|split-menu-button|split-pane|stacked-bar|tab-|table-|text-area"
                            + "|text-input-dialog|tile\\b|tile-|titled-pane|toggle-button"
                            + "|toggle-switch|tool-bar|tree-)");

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
            Files.writeString(css, without(new String(in.readAllBytes(), StandardCharsets.UTF_8)));
            convert(css, binary);
            Files.write(binary, elsewhere(Files.readAllBytes(binary), css));
        } finally {
            Files.delete(css);
        }
    }

    /** A sheet without the rules for controls that no window of ours has. */
    static String without(String css) {
        StringBuilder out = new StringBuilder();
        Matcher rule = RULE.matcher(COMMENT.matcher(css).replaceAll(""));
        while (rule.find()) {
            String kept =
                    Arrays.stream(rule.group(1).split(","))
                            .filter(s -> !UNUSED.matcher(s).find())
                            .collect(Collectors.joining(","));
            if (!kept.isBlank()) {
                out.append(kept).append('{').append(rule.group(2)).append("}\n");
            }
        }
        return out.toString();
    }

    /**
     * The binary form holds where its source lay, as a string with its length before it: a file
     * that is gone, of another name each time. The same sources are to make the same bytes.
     */
    private static byte[] elsewhere(byte[] binary, Path css) throws IOException {
        byte[] was = string(css.toUri().toURL().toString());
        byte[] is = string("file:/base.css");
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        for (int i = 0; i < binary.length; ) {
            int end = Math.min(binary.length, i + was.length);
            if (Arrays.equals(binary, i, end, was, 0, was.length)) {
                out.writeBytes(is);
                i += was.length;
            } else {
                out.write(binary[i++]);
            }
        }
        return out.toByteArray();
    }

    private static byte[] string(String text) throws IOException {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        new DataOutputStream(bytes).writeUTF(text);
        return bytes.toByteArray();
    }

    private static void convert(Path css, Path binary) throws IOException {
        Stylesheet.convertToBinary(css.toFile(), binary.toFile());
    }
}
