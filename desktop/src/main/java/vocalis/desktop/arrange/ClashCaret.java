package vocalis.desktop.arrange;

import java.util.List;
import java.util.Optional;
import vocalis.core.arrange.Clash;
import vocalis.desktop.session.Document;

/** Which clash is looked at, and whether it is meant. */
public final class ClashCaret {

    private final Document session;
    private final ArrangeModel arrange;
    private int clash;

    ClashCaret(Document session, ArrangeModel arrange) {
        this.session = session;
        this.arrange = arrange;
    }

    /** Others rub now: the caret stays among them. */
    void stayInside() {
        clash = Math.max(0, Math.min(clash, arrange.clashes().size() - 1));
    }

    /** The clash under the caret. */
    Optional<Clash> now() {
        List<Clash> all = arrange.clashes();
        return clash < all.size() ? Optional.of(all.get(clash)) : Optional.empty();
    }

    /** Goes to a clash, and to its section. */
    public void to(Clash c) {
        int at = arrange.clashes().indexOf(c);
        if (at >= 0 && at != clash) {
            clash = at;
            arrange.sectionProperty().set(c.section());
            arrange.tell();
        }
    }

    /** Goes to the next clash that is not meant, and to its section. */
    public void next() {
        List<Clash> all = arrange.clashes();
        for (int i = 1; i <= all.size(); i++) {
            int at = (clash + i) % all.size();
            boolean first = i == all.size();
            if (!session.piece().meant().contains(all.get(at).key()) || first) {
                clash = at;
                arrange.sectionProperty().set(all.get(at).section());
                arrange.tell();
                return;
            }
        }
        session.say("No clash between the guitars, or with the bass.");
    }

    /** Whether the clash under the caret is meant. */
    public boolean meant() {
        return now().filter(c -> session.piece().meant().contains(c.key())).isPresent();
    }

    /** The clash under the caret is meant, or not any more. */
    public void toggleMeant() {
        now().ifPresent(
                        c -> {
                            boolean on = !session.piece().meant().contains(c.key());
                            arrange.edits()
                                    .apply(
                                            on ? "clash meant" : "clash not meant",
                                            p -> p.meaning(c.key(), on));
                            session.say(on ? "Meant: it is told no more." : "Told again.");
                        });
    }
}
