package vocalis.formats.musicxml;

import java.util.Arrays;
import java.util.Optional;
import vocalis.core.rhythm.Meter;
import vocalis.core.rhythm.Ticks;
import vocalis.core.score.Dynamics;
import vocalis.core.theory.Letter;
import vocalis.core.theory.Note;
import vocalis.core.theory.Spelling;
import vocalis.formats.FormatException;

/** Values of single elements of MusicXML. */
final class MusicXmlValues {

    private MusicXmlValues() {}

    /**
     * How loud a note is.
     *
     * @param leader the first note of its chord, where an accent stands for all of them
     */
    static Dynamics dynamics(XmlElement e, XmlElement leader) {
        Optional<Dynamics> exact =
                e.all("play").stream()
                        .flatMap(p -> p.all("other-play").stream())
                        .filter(o -> o.is("type", "vocalis-dynamics"))
                        .flatMap(o -> named(o.text()).stream())
                        .findFirst();
        if (exact.isPresent()) {
            return exact.get();
        }
        boolean accent = accented(e) || accented(leader);
        String loud = e.attribute("dynamics").orElse("");
        if (accent) {
            return Dynamics.ACCENT;
        }
        if (e.find("notehead").filter(h -> h.is("parentheses", "yes")).isPresent()) {
            return Dynamics.GHOST;
        }
        if (loud.matches("\\d{1,4}(\\.\\d{1,6})?")) {
            double level = Double.parseDouble(loud);
            // A staff that is not to sound says nothing of how hard its notes are struck.
            return level == 0
                    ? Dynamics.PLAIN
                    : level < 50
                            ? Dynamics.GHOST
                            : level < 80
                                    ? Dynamics.SOFT
                                    : level < 115 ? Dynamics.PLAIN : Dynamics.ACCENT;
        }
        return Dynamics.PLAIN;
    }

    private static boolean accented(XmlElement e) {
        return e.find("notations", "articulations")
                .filter(a -> a.has("accent") || a.has("strong-accent"))
                .isPresent();
    }

    private static Optional<Dynamics> named(String name) {
        return Arrays.stream(Dynamics.values()).filter(d -> d.name().equals(name)).findFirst();
    }

    static Spelling spelling(XmlElement e, String step, String alter) throws FormatException {
        XmlElement letter = e.get(step);
        String text = letter.text();
        if (!text.matches("[A-G]")) {
            throw letter.wrong("must be a letter A to G, but is \"" + text + "\"");
        }
        int by = e.has(alter) ? (int) Math.round(e.get(alter).number(-2, 2)) : 0;
        return Spelling.parse(text + (by > 0 ? "#".repeat(by) : "b".repeat(-by)));
    }

    /** The MIDI number of a pitch element. */
    static int midi(XmlElement pitch, String step, String alter, String octave)
            throws FormatException {
        XmlElement letter = pitch.get(step);
        if (!letter.text().matches("[A-G]")) {
            throw letter.wrong("must be a letter A to G, but is \"" + letter.text() + "\"");
        }
        int altered = 0;
        if (pitch.has(alter)) {
            altered = (int) Math.round(pitch.get(alter).number(-3, 3));
        }
        int oct = pitch.get(octave).integer(-1, 9);
        Letter l = Letter.valueOf(letter.text());
        return new Note(new Spelling(l, 0), oct).midi() + altered;
    }

    static long ticks(double divisions, long perQuarter) {
        return Math.round(divisions * Ticks.QUARTER / perQuarter);
    }

    /** A meter of an element. */
    static Meter meter(XmlElement time) throws FormatException {
        XmlElement beats = time.get("beats");
        int sum = 0;
        for (String part : beats.text().split("\\+")) {
            if (!part.strip().matches("\\d{1,2}")) {
                throw beats.wrong("must be a number of beats, but is \"" + beats.text() + "\"");
            }
            sum += Integer.parseInt(part.strip());
        }
        try {
            return new Meter(sum, time.get("beat-type").integer(1, 32));
        } catch (IllegalArgumentException e) {
            throw time.wrong("is no meter that is known here: " + e.getMessage());
        }
    }
}
