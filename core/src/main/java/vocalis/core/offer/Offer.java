package vocalis.core.offer;

import java.util.List;
import vocalis.core.check.Check;
import vocalis.core.choice.Catalogue;
import vocalis.core.derive.Derived;
import vocalis.core.derive.Deriver;
import vocalis.core.riff.Riff;

/**
 * A riff that an idea makes of another.
 *
 * @param idea the rule
 * @param setting what it was set to
 * @param riff what it made
 */
public record Offer(Idea idea, Setting setting, Riff riff) {

    /** All that is made of a riff by a rule and that a player can play as well as before. */
    public static List<Offer> playable(Idea idea, Derived derived, Catalogue catalogue) {
        Deriver deriver = new Deriver(catalogue);
        return idea.of(derived, catalogue).stream()
                .filter(m -> Check.noWorse(derived, deriver.derive(m.riff(), derived.hand())))
                .map(m -> new Offer(idea, m.setting(), m.riff()))
                .toList();
    }
}
