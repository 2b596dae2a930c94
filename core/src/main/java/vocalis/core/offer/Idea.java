package vocalis.core.offer;

import java.util.List;
import vocalis.core.choice.Catalogue;
import vocalis.core.derive.Derived;

/** A rule that makes something of a riff, in several settings. Words are made where it is shown. */
public enum Idea {
    /** A muted low string with dyads of the scale on its accents. */
    PEDAL_RIFF(PedalRiff::of),
    /** The riff, then a share of it and another landing. */
    ANSWER(Answer::of),
    /** How the last bar stops. */
    ENDING(LastBar::of),
    /** A group of strokes that runs over the bar lines, set right at the end. */
    ACROSS_THE_BAR(Grouping::across),
    /** A bar that comes round an eighth early. */
    CUT_AN_EIGHTH(Grouping::cut),
    /** The fret below or above each accented root, just before it. */
    APPROACH(Approaches::of),
    /** Single notes made two. */
    THICKEN(Thickening::of);

    private interface Rule {
        List<Made> of(Derived derived, Catalogue catalogue);
    }

    private final Rule rule;

    Idea(Rule rule) {
        this.rule = rule;
    }

    /**
     * What it makes of a riff, setting by setting; empty where the riff gives it nothing to work
     * on. Whether a player would stumble is not asked here: see the offers.
     */
    public List<Made> of(Derived derived, Catalogue catalogue) {
        return rule.of(derived, catalogue).stream()
                .filter(o -> !o.riff().equals(derived.riff()))
                .toList();
    }
}
