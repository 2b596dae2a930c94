package vocalis.desktop.arrange;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import vocalis.core.mix.Feel;
import vocalis.core.mix.Mix;
import vocalis.core.piece.Part;
import vocalis.core.piece.Piece;
import vocalis.core.piece.PieceRiff;
import vocalis.core.piece.Section;
import vocalis.core.piece.Version;
import vocalis.core.riff.Tone;

/** The lines of a section's card: what each says, and what stepping it does. */
public enum SectionField {
    NAME("name"),
    PLAYS("plays"),
    TIMES("times"),
    ENDING("last time"),
    TEMPO("tempo"),
    FIRST("guitar one"),
    SECOND("guitar two"),
    KIT("kit"),
    FILL("fill at the end"),
    BASS("bass"),
    WORDS("words sung");

    private final String words;

    SectionField(String words) {
        this.words = words;
    }

    /** What the line is called. */
    public String words() {
        return words;
    }

    /** Whether Enter asks for a text. */
    public boolean typed() {
        return this == NAME || this == BASS || this == WORDS;
    }

    /** What the line says of a section. */
    public String value(Piece p, Section s) {
        return switch (this) {
            case NAME -> s.name();
            case PLAYS -> riffName(p, s.riff()) + ", " + version(p, s, s.version(), "as it stands");
            case TIMES -> s.times() == 1 ? "once" : s.times() + " times";
            case ENDING -> version(p, s, s.ending(), "the same again");
            case TEMPO -> tempo(p, s);
            case FIRST -> part(p, s, 0);
            case SECOND ->
                    p.parts().size() < 2
                            ? "none yet"
                            : p.mix().second().on() ? part(p, s, 1) : "not in the band (+)";
            case KIT ->
                    !p.mix().kit().on()
                            ? "not in the band (+)"
                            : s.band().kit()
                                    ? s.band().feel().map(Feel::label).orElse("as the piece")
                                    : "silent";
            case FILL -> s.band().fill() ? "yes" : "no";
            case BASS ->
                    !p.mix().bass().on()
                            ? "not in the band (+)"
                            : s.band().bass()
                                    ? s.band().line().map(l -> l.text()).orElse("as the piece")
                                    : "silent";
            case WORDS -> s.words().isEmpty() ? "none" : s.words();
        };
    }

    /** A section and this line of it, for those who hear the screen. */
    String spoken(Piece p, int index, Section s) {
        return "section "
                + (index + 1)
                + " of "
                + p.sections().size()
                + ", "
                + s.name()
                + "; "
                + words
                + ": "
                + value(p, s);
    }

    private static String riffName(Piece p, String id) {
        int i = p.riffs().stream().map(PieceRiff::id).sorted().toList().indexOf(id);
        return "riff " + (char) ('A' + i);
    }

    private static String version(Piece p, Section s, Optional<String> id, String otherwise) {
        return id.flatMap(
                        x ->
                                p.riff(s.riff()).versions().stream()
                                        .filter(v -> v.id().equals(x))
                                        .findFirst())
                .map(Version::name)
                .orElse(otherwise);
    }

    private static String tempo(Piece p, Section s) {
        int own = p.riff(s.riff()).at(s.version()).tempo();
        long now = Math.round(own * s.tempo() / 100.0);
        return s.tempo() == 100
                ? now + ", the riff's own"
                : now + ", " + s.tempo() + " % of the riff's";
    }

    private static String part(Piece p, Section s, int index) {
        Part part = p.parts().get(index);
        Section.Playing now = s.playing(part.id());
        return now.plays() ? now.tone().map(Tone::label).orElse("as the piece") : "silent";
    }

    /** Most values that are offered at once. */
    private static final int MOST_CHOICES = 10;

    /** The section with each value that the line can have, from the one it has now on. */
    List<Section> choices(Piece p, Section now) {
        List<Section> all = new ArrayList<>(List.of(now));
        Section s = now;
        while (all.size() < MOST_CHOICES) {
            s = stepped(p, s, 1);
            if (s.equals(now) || all.contains(s)) {
                break;
            }
            all.add(s);
        }
        return all;
    }

    /** The section with the line's value stepped. */
    Section stepped(Piece p, Section s, int by) {
        return switch (this) {
            case NAME -> s.named(SectionNames.next(s.name(), by));
            case PLAYS -> plays(p, s, by);
            case TIMES -> s.repeated(Math.max(1, Math.min(99, s.times() + by)));
            case ENDING -> ending(p, s, by);
            case TEMPO ->
                    s.at(Math.max(Section.SLOWEST, Math.min(Section.FASTEST, s.tempo() + by)));
            case FIRST -> part(p, s, 0, by);
            case SECOND -> p.parts().size() < 2 ? s : part(p, s, 1, by);
            case KIT -> kit(s, by);
            case FILL -> s.with(s.band().filling(!s.band().fill()));
            case BASS -> s.with(s.band().withBass(!s.band().bass(), s.band().line()));
            case WORDS -> s;
        };
    }

    /**
     * The piece with what the line is about in the band; the same where it is, or where there is
     * nothing to join.
     */
    Piece joined(Piece p) {
        Mix mix = p.mix();
        return switch (this) {
            case SECOND ->
                    p.parts().size() < 2 ? p : p.mixed(mix.withSecond(mix.second().on(true)));
            case KIT -> p.mixed(mix.withKit(mix.kit().on(true), mix.feel()));
            case BASS -> p.mixed(mix.withBass(mix.bass().on(true), mix.bassLine()));
            default -> p;
        };
    }

    /** What can be played: each riff as it stands, then its versions. */
    private static Section plays(Piece p, Section s, int by) {
        List<String> riffs = new ArrayList<>();
        List<Optional<String>> versions = new ArrayList<>();
        int now = 0;
        for (String id : p.riffs().stream().map(PieceRiff::id).sorted().toList()) {
            List<Optional<String>> all = new ArrayList<>();
            all.add(Optional.empty());
            p.riff(id).versions().forEach(v -> all.add(Optional.of(v.id())));
            for (Optional<String> v : all) {
                now = id.equals(s.riff()) && v.equals(s.version()) ? riffs.size() : now;
                riffs.add(id);
                versions.add(v);
            }
        }
        int next = Math.floorMod(now + by, riffs.size());
        return s.playing(riffs.get(next), versions.get(next));
    }

    private static Section ending(Piece p, Section s, int by) {
        List<Optional<String>> all = new ArrayList<>();
        all.add(Optional.empty());
        p.riff(s.riff()).versions().forEach(v -> all.add(Optional.of(v.id())));
        int next = Math.floorMod(all.indexOf(s.ending()) + by, all.size());
        return s.ending(all.get(next));
    }

    private static Section part(Piece p, Section s, int index, int by) {
        String id = p.parts().get(index).id();
        List<Section.Playing> all = new ArrayList<>();
        all.add(Section.Playing.USUAL);
        for (Tone t : Tone.values()) {
            all.add(new Section.Playing(true, Optional.of(t)));
        }
        all.add(new Section.Playing(false, Optional.empty()));
        int now = Math.max(0, all.indexOf(s.playing(id)));
        return s.with(id, all.get(Math.floorMod(now + by, all.size())));
    }

    private static Section kit(Section s, int by) {
        List<Optional<Feel>> all = new ArrayList<>();
        all.add(Optional.empty());
        for (Feel f : Feel.values()) {
            all.add(Optional.of(f));
        }
        int silent = all.size();
        int now = s.band().kit() ? all.indexOf(s.band().feel()) : silent;
        int next = Math.floorMod(now + by, silent + 1);
        return s.with(
                next == silent
                        ? s.band().withKit(false, Optional.empty())
                        : s.band().withKit(true, all.get(next)));
    }

    /** As an id. */
    public String id() {
        return "field-" + name().toLowerCase(Locale.ROOT);
    }
}
