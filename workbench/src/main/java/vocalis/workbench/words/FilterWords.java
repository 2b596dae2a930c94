package vocalis.workbench.words;

import vocalis.core.choice.Filter;

/** What a filter of voicings lets through, in words. */
public final class FilterWords {

    private FilterWords() {}

    public static String of(Filter.Top top) {
        return switch (top) {
            case ANY -> "any note on top";
            case ROOT -> "root on top";
            case THIRD -> "third on top";
            case FIFTH -> "fifth on top";
            case SEVENTH -> "sixth or seventh on top";
            case COLOUR -> "second or fourth on top";
        };
    }

    public static String of(Filter.Colour colour) {
        return switch (colour) {
            case ANY -> "of any colour";
            case UNISON -> "with a unison";
            case DARK -> "dark: ♭5, ♭9 or ♭6 on the root, with its fifth at most";
        };
    }

    public static String of(Filter.Open open) {
        return switch (open) {
            case ANY -> "with or without open strings";
            case WITH -> "with open strings";
            case WITHOUT -> "without open strings";
        };
    }

    public static String of(Filter.Position position) {
        return switch (position) {
            case ANY -> "anywhere on the neck";
            case LOW -> "frets 0 to 4";
            case MIDDLE -> "frets 5 to 9";
            case HIGH -> "from fret 10";
        };
    }

    public static String of(Filter.Thickness thickness) {
        return switch (thickness) {
            case ANY -> "of any thickness";
            case TWO -> "two strings";
            case THREE -> "three strings";
            case MORE -> "four strings and more";
        };
    }

    public static String of(Filter.Strings strings) {
        return switch (strings) {
            case ANY -> "on any strings";
            case THICK -> "with the two thickest";
            case THIN -> "without the two thickest";
        };
    }
}
