package vocalis.workbench.words;

import vocalis.core.voicing.Family;

/** What voicing families do to a riff (common practice). */
public final class FamilyWords {

    private FamilyWords() {}

    /** In one line. */
    public static String effect(Family family) {
        return switch (family) {
            case POWER -> "root and fifth: steady under gain, the key decides minor or major";
            case FOURTH -> "the fifth below its root: lean, mobile, heard from above";
            case THIRD -> "says minor or major with two notes; rougher than a fifth under gain";
            case OCTAVE -> "one note twice across a silenced string: a line with weight";
            case TRIAD -> "root, third and fifth: the chord's quality at little effort";
            case SUSPENDED -> "motion inside one chord";
            case EXTENDED -> "colour, and tension that wants to move";
            case DRONE -> "large; the strings that ring tie the chords together";
            case SUBSTITUTE -> "surprise: another chord in the place of this one";
        };
    }
}
