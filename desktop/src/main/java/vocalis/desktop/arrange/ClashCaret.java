package vocalis.desktop.arrange;

import java.util.List;
import java.util.Optional;
import java.util.function.BiConsumer;
import java.util.function.Consumer;
import java.util.function.Supplier;
import vocalis.core.arrange.Clash;
import vocalis.desktop.session.Document;

/** Which clash is looked at, and whether it is meant. */
public final class ClashCaret {

    private final Document session;
    private final Supplier<List<Clash>> clashes;
    private final Consumer<Clash> looked;
    private final BiConsumer<Clash, Boolean> mean;
    private int clash;

    /**
     * @param looked told when another clash is looked at
     * @param mean makes a clash meant, or not any more
     */
    ClashCaret(
            Document session,
            Supplier<List<Clash>> clashes,
            Consumer<Clash> looked,
            BiConsumer<Clash, Boolean> mean) {
        this.session = session;
        this.clashes = clashes;
        this.looked = looked;
        this.mean = mean;
    }

    /** Others rub now: the caret stays among them. */
    void stayInside() {
        clash = Math.max(0, Math.min(clash, clashes.get().size() - 1));
    }

    /** The clash under the caret. */
    Optional<Clash> now() {
        List<Clash> all = clashes.get();
        return clash < all.size() ? Optional.of(all.get(clash)) : Optional.empty();
    }

    /** Goes to a clash, and to its section. */
    public void to(Clash c) {
        int at = clashes.get().indexOf(c);
        if (at >= 0 && at != clash) {
            clash = at;
            looked.accept(c);
        }
    }

    /** Goes to the next clash that is not meant, and to its section. */
    public void next() {
        List<Clash> all = clashes.get();
        for (int i = 1; i <= all.size(); i++) {
            int at = (clash + i) % all.size();
            boolean first = i == all.size();
            if (!session.piece().meant().contains(all.get(at).key()) || first) {
                clash = at;
                looked.accept(all.get(at));
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
                            mean.accept(c, on);
                            session.say(on ? "Meant: it is told no more." : "Told again.");
                        });
    }
}
