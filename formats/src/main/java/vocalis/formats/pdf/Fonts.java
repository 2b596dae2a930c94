package vocalis.formats.pdf;

import java.net.URL;

/** The fonts that ship with the program (SIL Open Font License, texts beside them). */
public final class Fonts {

    public static final String TEXT = "VocalisSans-Regular.ttf";
    public static final String BOLD = "VocalisSans-Bold.ttf";
    public static final String MONO = "Iosevka-Regular.ttf";

    private Fonts() {}

    /** Where a font's file lies. */
    public static URL resource(String name) {
        URL url = Fonts.class.getResource("/vocalis/formats/fonts/" + name);
        if (url == null) {
            throw new IllegalStateException("the font " + name + " is missing from the program");
        }
        return url;
    }
}
