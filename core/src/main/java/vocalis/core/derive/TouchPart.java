package vocalis.core.derive;

import vocalis.core.pattern.Touch;
import vocalis.core.score.Technique;

/**
 * One thing done to a note: a chain of hammer-ons is several.
 *
 * @param frets that it moves the note by; 0 where it does not
 */
record TouchPart(Touch touch, int frets, Technique technique) {

    Technique reaching(int fret) {
        return new Technique(
                technique.kind(), fret, technique.after(), technique.lasting(), technique.hz());
    }
}
