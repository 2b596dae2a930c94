package vocalis.core.piece;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.TreeMap;
import vocalis.core.mix.BassFigure;
import vocalis.core.mix.Feel;
import vocalis.core.riff.Tone;

/**
 * A stretch of the arrangement: one riff, some times.
 *
 * @param id names it in the piece
 * @param name as it is shown, such as "verse"
 * @param riff id of the riff that is played
 * @param version id of the version of it that is played; empty for the riff as it stands
 * @param times how often, 1 to 99
 * @param ending id of the version that is played the last time instead; empty for the same
 * @param tempo hundredths of the riff's own tempo, 50 to 200
 * @param band what bass and kit do here
 * @param parts what guitars do here, by the part's id; one that is not named plays as it always
 *     does
 * @param words what is sung over it, a bar's after the other with {@code |} between; may be empty
 */
@RecordBuilder
public record Section(
        String id,
        String name,
        String riff,
        Optional<String> version,
        int times,
        Optional<String> ending,
        int tempo,
        Band band,
        Map<String, Playing> parts,
        String words)
        implements SectionBuilder.With {

    /** Slowest and fastest against the riff's own tempo, in hundredths. */
    public static final int SLOWEST = 50;

    public static final int FASTEST = 200;

    /**
     * What a guitar does in a section.
     *
     * @param plays whether it plays
     * @param tone its amplifier; empty for the one that it always has
     */
    public record Playing(boolean plays, Optional<Tone> tone) {

        /** As it always does. */
        public static final Playing USUAL = new Playing(true, Optional.empty());

        public Playing {
            Objects.requireNonNull(tone, "tone");
        }
    }

    /**
     * What bass and kit do in a section, where they play at all.
     *
     * @param kit whether the kit plays
     * @param feel what it plays; empty for the feel of the piece
     * @param fill whether it fills at the section's end
     * @param bass whether the bass plays
     * @param line its own notes; empty for the line of the piece
     */
    public record Band(
            boolean kit,
            Optional<Feel> feel,
            boolean fill,
            boolean bass,
            Optional<BassFigure> line) {

        /** As in the whole piece, with a fill at the end. */
        public static final Band USUAL =
                new Band(true, Optional.empty(), true, true, Optional.empty());

        public Band {
            Objects.requireNonNull(feel, "feel");
            Objects.requireNonNull(line, "line");
        }

        public Band withKit(boolean on, Optional<Feel> other) {
            return new Band(on, other, fill, bass, line);
        }

        public Band filling(boolean on) {
            return new Band(kit, feel, on, bass, line);
        }

        public Band withBass(boolean on, Optional<BassFigure> other) {
            return new Band(kit, feel, fill, on, other);
        }
    }

    public Section {
        Ids.check("a section", id);
        Texts.title(name);
        Texts.about(words);
        Objects.requireNonNull(version, "version");
        Objects.requireNonNull(ending, "ending");
        Objects.requireNonNull(band, "band");
        Map<String, Playing> telling = new TreeMap<>(parts);
        telling.values().removeIf(Playing.USUAL::equals);
        parts = Map.copyOf(telling);
        if (times < 1 || times > 99) {
            throw new IllegalArgumentException("a section is played 1 to 99 times, not " + times);
        }
        if (tempo < SLOWEST || tempo > FASTEST) {
            throw new IllegalArgumentException(
                    "a section goes at 50 to 200 hundredths of its riff's tempo, not " + tempo);
        }
    }

    /** A riff as it stands, some times, as the piece has it. */
    public Section(String id, String name, String riff, int times) {
        this(
                id,
                name,
                riff,
                Optional.empty(),
                times,
                Optional.empty(),
                100,
                Band.USUAL,
                Map.of(),
                "");
    }

    /** What a guitar does here. */
    public Playing playing(String part) {
        return parts.getOrDefault(part, Playing.USUAL);
    }

    public Section as(String otherId) {
        return withId(otherId);
    }

    public Section named(String other) {
        return withName(other);
    }

    /** Another riff or version of one; an ending of another riff does not go along. */
    public Section playing(String otherRiff, Optional<String> otherVersion) {
        Optional<String> kept = otherRiff.equals(riff) ? ending : Optional.empty();
        return with(b -> b.riff(otherRiff).version(otherVersion).ending(kept));
    }

    public Section repeated(int often) {
        return withTimes(often);
    }

    public Section ending(Optional<String> other) {
        return withEnding(other);
    }

    public Section at(int hundredths) {
        return withTempo(hundredths);
    }

    public Section with(Band other) {
        return withBand(other);
    }

    public Section with(String part, Playing other) {
        Map<String, Playing> changed = new TreeMap<>(parts);
        changed.put(part, other);
        return withParts(changed);
    }

    public Section singing(String others) {
        return withWords(others);
    }

    /** What is sung over a bar of it, counted from 0; empty where nothing is. */
    public String words(int bar) {
        String[] bars = words.split("\\|", -1);
        return bar < bars.length ? bars[bar].strip() : "";
    }

    /** Throws when its riff, or a version that it plays, is none of these. */
    void playsOneOf(List<PieceRiff> riffs) {
        PieceRiff played =
                riffs.stream()
                        .filter(r -> r.id().equals(riff))
                        .findFirst()
                        .orElseThrow(
                                () ->
                                        new IllegalArgumentException(
                                                "section \""
                                                        + name
                                                        + "\" plays the riff \""
                                                        + riff
                                                        + "\", which"
                                                        + " the piece does not have"));
        for (Optional<String> wanted : List.of(version, ending)) {
            boolean there =
                    wanted.isEmpty()
                            || played.versions().stream()
                                    .anyMatch(v -> v.id().equals(wanted.get()));
            if (!there) {
                throw new IllegalArgumentException(
                        "section \""
                                + name
                                + "\" plays the version \""
                                + wanted.get()
                                + "\", which its riff does not have");
            }
        }
    }
}
