package vocalis.formats.musicxml;

import vocalis.core.score.Dynamics;

/**
 * A note as it stands, its time in the whole part.
 *
 * @param element where it was read
 * @param leader the first note of its chord, itself where it is alone: signs stand once a chord
 * @param palm whether words over it say so
 * @param string number from the highest, 0 where there is none
 */
record ReadNote(
        XmlElement element,
        XmlElement leader,
        int midi,
        int string,
        int fret,
        long at,
        long length,
        boolean tieStop,
        Dynamics dynamics,
        boolean palm) {
    /** A note with what stands about it. */
    static ReadNote of(
            XmlElement e, XmlElement leader, int midi, int string, int fret, long at, long length) {
        boolean stop = e.all("tie").stream().anyMatch(t -> t.is("type", "stop"));
        return new ReadNote(
                e,
                leader,
                midi,
                string,
                fret,
                at,
                length,
                stop,
                MusicXmlValues.dynamics(e, leader),
                false);
    }

    boolean onTab() {
        return string > 0;
    }

    ReadNote moved(long by) {
        return new ReadNote(
                element, leader, midi, string, fret, at + by, length, tieStop, dynamics, palm);
    }

    ReadNote underPalm(boolean under) {
        return new ReadNote(
                element, leader, midi, string, fret, at, length, tieStop, dynamics, under);
    }
}
