package vocalis.cli.options;

import java.util.Arrays;
import java.util.Locale;
import java.util.stream.Collectors;
import picocli.CommandLine.ITypeConverter;
import picocli.CommandLine.TypeConversionException;
import vocalis.core.voicing.Family;

/** A family by its digit or its name. */
public final class FamilyConverter implements ITypeConverter<Family> {

    @Override
    public Family convert(String text) {
        String wanted = text.strip().toLowerCase(Locale.ROOT);
        for (Family f : Family.values()) {
            if (wanted.equals(String.valueOf(f.digit()))
                    || wanted.equals(f.name().toLowerCase(Locale.ROOT))
                    || wanted.equals(f.label().toLowerCase(Locale.ROOT))) {
                return f;
            }
        }
        throw new TypeConversionException(
                "\""
                        + text
                        + "\" is no family; known are "
                        + Arrays.stream(Family.values())
                                .map(f -> f.digit() + " " + f.name().toLowerCase(Locale.ROOT))
                                .collect(Collectors.joining(", ")));
    }
}
