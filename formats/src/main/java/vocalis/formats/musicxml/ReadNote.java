package vocalis.formats.musicxml;

import vocalis.core.score.Dynamics;

/**
 * A note as it stands, its time in the whole part.
 *
 * @param element where it was read
 * @param string number from the highest, 0 where there is none
 */
record ReadNote(
        XmlElement element,
        int midi,
        int string,
        int fret,
        long at,
        long length,
        boolean tieStop,
        Dynamics dynamics) {
    boolean onTab() {
        return string > 0;
    }

    ReadNote moved(long by) {
        return new ReadNote(element, midi, string, fret, at + by, length, tieStop, dynamics);
    }
}
