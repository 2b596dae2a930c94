package vocalis.desktop.writing;

import java.util.List;
import java.util.Optional;
import javafx.beans.property.IntegerProperty;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyLongProperty;
import javafx.beans.property.ReadOnlyLongWrapper;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.SimpleIntegerProperty;
import javafx.beans.property.SimpleObjectProperty;
import vocalis.core.choice.Candidate;
import vocalis.core.choice.Card;
import vocalis.core.hands.Fingering;
import vocalis.core.hands.IdleFingers;
import vocalis.core.instrument.Fretboard;
import vocalis.core.instrument.Shape;
import vocalis.core.names.Around;
import vocalis.core.names.Readout;
import vocalis.core.theory.Key;
import vocalis.core.voicing.Family;
import vocalis.core.voicing.Voicing;
import vocalis.desktop.session.Session;

/**
 * What neck and readout show for the chord under the caret: what the riff has, a card that was
 * walked to, or a shape that is being built by hand.
 */
public final class ShownChord {

    /** Index of the card that holds a shape built by hand. */
    public static final int BY_HAND = -1;

    private final Session session;
    private final ObjectProperty<Family> family = new SimpleObjectProperty<>(Family.POWER);
    private final ReadOnlyObjectWrapper<List<Card>> cards = new ReadOnlyObjectWrapper<>(List.of());
    private final IntegerProperty card = new SimpleIntegerProperty();
    private final IntegerProperty place = new SimpleIntegerProperty();
    private final ObjectProperty<Shape> draft = new SimpleObjectProperty<>();
    private final ReadOnlyObjectWrapper<Voicing> shown = new ReadOnlyObjectWrapper<>();
    private final ReadOnlyObjectWrapper<Readout> readout = new ReadOnlyObjectWrapper<>();

    private final ReadOnlyLongWrapper changed = new ReadOnlyLongWrapper();

    /** Whether the cards were searched for, on any root. */
    private boolean anyRoot;

    private Key shownKey;
    private Around shownAround;

    ShownChord(Session session) {
        this.session = session;
        family.set(treatmentFamily());
    }

    /** The family whose cards are walked. */
    public ObjectProperty<Family> familyProperty() {
        return family;
    }

    public ReadOnlyObjectProperty<List<Card>> cardsProperty() {
        return cards.getReadOnlyProperty();
    }

    public IntegerProperty cardProperty() {
        return card;
    }

    public IntegerProperty placeProperty() {
        return place;
    }

    /** The shape that is being built by hand, null where none is. */
    public ObjectProperty<Shape> draftProperty() {
        return draft;
    }

    public ReadOnlyObjectProperty<Voicing> voicingProperty() {
        return shown.getReadOnlyProperty();
    }

    public Voicing voicing() {
        return shown.get();
    }

    public ReadOnlyObjectProperty<Readout> readoutProperty() {
        return readout.getReadOnlyProperty();
    }

    /** Counts up when voicing and readout are others. */
    ReadOnlyLongProperty changedProperty() {
        return changed.getReadOnlyProperty();
    }

    /** The family that the chord under the caret is voiced in now. */
    public Family treatmentFamily() {
        var all = session.now().treatments();
        return all.get(Math.min(session.caret().chord(), all.size() - 1)).family();
    }

    private Candidate inRiff() {
        return session.currentChord().candidate();
    }

    /** The shape built by hand: the draft, or the one in the riff. */
    public Optional<Shape> handShape() {
        if (draft.get() != null) {
            return Optional.of(draft.get());
        }
        boolean inRiff = session.currentChord().byHand() && treatmentFamily() == family.get();
        return inRiff ? Optional.of(inRiff().voicing().shape()) : Optional.empty();
    }

    /** Fingering of what is shown, empty where no hand of the set size holds it. */
    public Optional<Fingering> fingering() {
        Candidate c = inRiff();
        boolean same =
                shown.get().shape().equals(c.voicing().shape())
                        && shown.get().board().equals(c.voicing().board())
                        && Double.isFinite(c.fingering().effort());
        return same
                ? Optional.of(c.fingering())
                : Fingering.of(shown.get().board(), shown.get().shape(), session.hand());
    }

    /** The fretted additions that free fingers can make to what is shown. */
    public List<IdleFingers.Addition> idleFingers() {
        Voicing v = shown.get();
        return fingering()
                .map(f -> IdleFingers.of(v.board(), v.shape(), f, session.hand()))
                .orElse(List.of());
    }

    /** Whether what is shown is what the riff has. */
    public boolean isInRiff() {
        return shown.get().shape().equals(inRiff().voicing().shape());
    }

    /** Other cards are offered; the caret goes to what the riff has, or to the best. */
    void offered(List<Card> all, boolean onAnyRoot) {
        anyRoot = onAnyRoot;
        cards.set(all);
        select();
        refresh();
    }

    /** Puts the card caret on what the riff has, or on the best card. */
    private void select() {
        if (draft.get() != null || handShape().isPresent()) {
            card.set(BY_HAND);
            return;
        }
        Shape inRiff = inRiff().voicing().shape();
        List<Card> all = cards.get();
        for (int c = 0; c < all.size(); c++) {
            List<Candidate> places = all.get(c).places();
            for (int p = 0; p < places.size(); p++) {
                if (places.get(p).voicing().shape().equals(inRiff)) {
                    card.set(c);
                    place.set(p);
                    return;
                }
            }
        }
        card.set(0);
        place.set(0);
    }

    /** Takes a shape as built by hand. */
    public void take(Shape shape) {
        draft.set(shape);
        card.set(BY_HAND);
        refresh();
    }

    /** Gives up the shape built by hand. */
    public void dropDraft() {
        draft.set(null);
        select();
        refresh();
    }

    /** A shape built for a neck of other strings is none for this one. */
    void stayInside() {
        if (draft.get() != null && draft.get().strings() != board().strings()) {
            draft.set(null);
        }
    }

    private Fretboard board() {
        return session.riff().ground().board();
    }

    /** Walks the cards. */
    public void moveCard(int by) {
        int least = handShape().isPresent() ? BY_HAND : 0;
        int to = Math.max(least, Math.min(cards.get().size() - 1, card.get() + by));
        if (to != card.get()) {
            place.set(0);
            card.set(to);
        }
    }

    /** Walks the places of a card on the neck. */
    public void movePlace(int by) {
        if (card.get() >= 0 && card.get() < cards.get().size()) {
            int n = cards.get().get(card.get()).places().size();
            place.set(Math.floorMod(place.get() + by, n));
        }
    }

    /** Shows what the carets are on now. */
    void refresh() {
        Voicing v = chosen();
        Around around = session.currentChord().around().on(v.root());
        if (v.equals(shown.get()) && session.key().equals(shownKey) && around.equals(shownAround)) {
            return;
        }
        shownKey = session.key();
        shownAround = around;
        readout.set(Readout.of(v, shownKey, around));
        shown.set(v);
        changed.set(changed.get() + 1);
    }

    private Voicing chosen() {
        Voicing v = inRiff().voicing();
        if (card.get() == BY_HAND) {
            return handShape()
                    .filter(this::onThisNeck)
                    .map(s -> new Voicing(s, board(), session.currentChord().root()))
                    .orElse(v);
        }
        if (card.get() < cards.get().size()) {
            List<Candidate> places = cards.get().get(card.get()).places();
            Voicing offered = places.get(Math.min(place.get(), places.size() - 1)).voicing();
            boolean here = anyRoot || offered.root() == session.currentChord().root();
            return here && offered.board().equals(v.board()) ? offered : v;
        }
        return v;
    }

    private boolean onThisNeck(Shape hand) {
        return !hand.sounded().isEmpty()
                && hand.strings() == board().strings()
                && hand.highestFretted() <= board().frets();
    }
}
