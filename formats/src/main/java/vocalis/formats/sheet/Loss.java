package vocalis.formats.sheet;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import vocalis.core.score.Dynamics;
import vocalis.core.score.Harmony;
import vocalis.core.score.Manner;
import vocalis.core.score.Score;
import vocalis.core.score.ScoreNote;
import vocalis.core.score.Technique;

/** What a format cannot hold. */
public enum Loss {
    /** Where each note lies on the neck. */
    FINGERING("where each note lies on the neck"),
    /** Chord names. */
    CHORDS("the chords' names"),
    /** Palm mutes and dead notes. */
    MUTES("palm mutes and dead notes as such; they are only shorter"),
    /** Hammer-ons and pull-offs. */
    LEGATO("hammer-ons and pull-offs as such; they are softer notes"),
    /** How long bends and slides take, how wide and fast a vibrato is. */
    SHAPES("how long bends and slides take, how wide and fast a vibrato is"),
    /** Pinch harmonics and tremolo. */
    SPECIAL("pinch harmonics and tremolo as such"),
    /** Whether a single note rings on. */
    RINGING("whether a single note may ring on past its value"),
    /** Which way the pick goes. */
    STROKES("which way the pick goes"),
    /** Four degrees of loudness. */
    DYNAMICS("soft and ghost notes"),
    /** The mode, where it is none of the common ones. */
    MODE("the name of the mode; the key signature stays"),
    /** Scale length, gauge, tone. */
    INSTRUMENT("scale length, gauge and tone"),
    /** A second guitar. */
    SECOND("the second guitar"),
    /** The recipe itself: roots, families, figures. */
    RECIPE("the recipe; it is taken apart again when the file is read");

    private final String words;

    Loss(String words) {
        this.words = words;
    }

    /** As it is said. */
    public String words() {
        return words;
    }

    /** Which of some losses a sheet really suffers. */
    static List<Loss> suffered(Sheet sheet, Set<Loss> possible) {
        Set<Loss> there = EnumSet.of(RECIPE, INSTRUMENT, STROKES, FINGERING, RINGING);
        if (sheet.guitars().size() > 1) {
            there.add(SECOND);
        }
        if (sheet.ground().key().mode().size() != 7) {
            there.add(MODE);
        }
        for (Sheet.Guitar g : sheet.guitars()) {
            of(g.score(), there);
        }
        List<Loss> suffered = new ArrayList<>();
        for (Loss l : possible) {
            if (there.contains(l)) {
                suffered.add(l);
            }
        }
        return List.copyOf(suffered);
    }

    private static void of(Score score, Set<Loss> there) {
        for (Harmony h : score.harmonies()) {
            if (!h.symbol().isEmpty()) {
                there.add(CHORDS);
            }
        }
        for (ScoreNote n : score.notes()) {
            if (n.manner() != Manner.PLAIN) {
                there.add(MUTES);
            }
            if (n.dynamics() == Dynamics.SOFT || n.dynamics() == Dynamics.GHOST) {
                there.add(DYNAMICS);
            }
            for (Technique t : n.techniques()) {
                there.add(
                        switch (t.kind()) {
                            case HAMMER, PULL -> LEGATO;
                            case TREMOLO, PINCH -> SPECIAL;
                            case SLIDE, BEND, RELEASE, VIBRATO -> SHAPES;
                        });
            }
        }
    }
}
