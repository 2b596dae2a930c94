package vocalis.workbench.words;

import vocalis.core.scale.Fill;

/** What a fill is called. */
public final class FillWords {

    private FillWords() {}

    /** Such as {@code Down the scale}. */
    public static String of(Fill f) {
        return switch (f.kind()) {
            case UP -> "Up the scale";
            case DOWN -> "Down the scale";
            case AROUND -> "Around the root";
            case SKIPS_UP -> "Up in thirds";
            case SKIPS_DOWN -> "Down in thirds";
            case CHORD -> "Through the chord";
        };
    }
}
