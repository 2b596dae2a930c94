package vocalis.formats.musicxml;

import java.util.regex.Pattern;

/** Reads where strokes lie under the palm: "P.M." over one of them, or with dashes over some. */
final class PalmRows {

    /** How other programs write it over their notes. */
    private static final Pattern WORDS =
            Pattern.compile(
                    "\\s*(p\\.? ?m\\.?|palm mut(e|ed|ing))[\\s.-]*", Pattern.CASE_INSENSITIVE);

    private static final long NOWHERE = -1;

    /** Where the row began that is open, in its bar. */
    private long from = NOWHERE;

    /** A row that is open goes on in the next bar. */
    void barBegins() {
        from = from == NOWHERE ? NOWHERE : 0;
    }

    void barEnds(ReadBar bar) {
        if (from != NOWHERE) {
            bar.palms.add(new long[] {from, Long.MAX_VALUE});
        }
        bar.notes.replaceAll(n -> n.underPalm(bar.underPalm(n.at())));
    }

    /** Reads a direction. */
    void read(XmlElement e, long at, ReadBar bar) {
        boolean words = false;
        boolean starts = false;
        boolean stops = false;
        for (XmlElement t : e.all("direction-type")) {
            words |= t.find("words").filter(w -> WORDS.matcher(w.text()).matches()).isPresent();
            for (XmlElement line : t.children()) {
                boolean dashes = line.name().equals("dashes") || line.name().equals("bracket");
                starts |= dashes && line.is("type", "start");
                stops |= dashes && line.is("type", "stop");
            }
        }
        if (stops && from != NOWHERE) {
            bar.palms.add(new long[] {from, at});
            from = NOWHERE;
        }
        if (words && starts) {
            from = at;
        } else if (words) {
            bar.palms.add(new long[] {at, at + 1});
        }
    }
}
