package vocalis.formats.musicxml;

import vocalis.core.score.Dynamics;
import vocalis.core.theory.Spelling;
import vocalis.formats.FormatException;

/** Values of single elements of MusicXML. */
final class MusicXmlValues {

    private MusicXmlValues() {}

    static Dynamics dynamics(XmlElement e) {
        boolean accent =
                e.find("notations", "articulations")
                        .filter(a -> a.has("accent") || a.has("strong-accent"))
                        .isPresent();
        String loud = e.attribute("dynamics").orElse("");
        if (accent) {
            return Dynamics.ACCENT;
        }
        if (e.find("notehead").filter(h -> h.is("parentheses", "yes")).isPresent()) {
            return Dynamics.GHOST;
        }
        if (loud.matches("\\d{1,4}(\\.\\d{1,6})?")) {
            double level = Double.parseDouble(loud);
            return level < 50
                    ? Dynamics.GHOST
                    : level < 80 ? Dynamics.SOFT : level < 115 ? Dynamics.PLAIN : Dynamics.ACCENT;
        }
        return Dynamics.PLAIN;
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
}
