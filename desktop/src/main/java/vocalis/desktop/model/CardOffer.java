package vocalis.desktop.model;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyBooleanProperty;
import javafx.beans.property.ReadOnlyBooleanWrapper;
import javafx.beans.property.SimpleObjectProperty;
import vocalis.core.choice.Candidate;
import vocalis.core.choice.Card;
import vocalis.core.choice.Catalogue;
import vocalis.core.choice.Filter;
import vocalis.core.choice.Finder;
import vocalis.core.choice.OwnShape;
import vocalis.core.choice.Ranking;
import vocalis.core.derive.Deriver;
import vocalis.core.edit.Chords;
import vocalis.core.hands.Hand;
import vocalis.core.instrument.Shape;
import vocalis.core.riff.Ground;
import vocalis.core.riff.Riff;
import vocalis.core.voicing.Family;
import vocalis.core.voicing.Voicing;
import vocalis.desktop.view.Background;
import vocalis.workbench.library.PieceFiles;

/**
 * Which voicings are offered for the chord under the caret: a family's, what was searched for, or
 * the player's own shapes. All of it is found off the FX thread.
 */
public final class CardOffer {

    private final WriteModel model;
    private final Background.Channel<List<Card>> channel;
    private final ObjectProperty<Filter> filter = new SimpleObjectProperty<>(Filter.NONE);
    private final ReadOnlyBooleanWrapper looking = new ReadOnlyBooleanWrapper();
    private String found;

    /** Written by the worker before it hands over its cards. */
    private volatile int all;

    CardOffer(WriteModel model, Consumer<List<Card>> offered) {
        this.model = model;
        this.channel =
                model.background()
                        .channel(
                                "looking for voicings",
                                cards -> {
                                    looking.set(false);
                                    offered.accept(cards);
                                });
        // Dark voicings were asked for in one family; in the next they would hide nearly all.
        model.familyProperty()
                .addListener(
                        o -> {
                            if (filter.get().colour() == Filter.Colour.DARK) {
                                filter.set(filter.get().with(Filter.Colour.ANY));
                            }
                        });
    }

    /** Whether what is asked is still being looked for: the cards are those asked for before. */
    public ReadOnlyBooleanProperty lookingProperty() {
        return looking.getReadOnlyProperty();
    }

    /** What is let through of the cards. */
    public ObjectProperty<Filter> filterProperty() {
        return filter;
    }

    /** How many voicings there are for what is asked, of which the best are offered. */
    public int all() {
        return all;
    }

    /** What was searched for, while its answers stand in the row. */
    public Optional<String> found() {
        return Optional.ofNullable(found);
    }

    /**
     * Finds a shape ({@code x-9-11-11-0-0}), the voicings of a name ({@code F#7sus4}) or of notes
     * ({@code F# C# B E}).
     *
     * @throws IllegalArgumentException when the text is none of these
     */
    public void find(String text) {
        Finder.Query query = Finder.parse(text, model.riff().ground().board());
        if (query.shape().isPresent()) {
            model.take(query.shape().get());
            return;
        }
        found = query.text();
        model.draftProperty().set(null);
        Ground ground = model.riff().ground();
        List<Shape> near = neighbours();
        Family nearest = model.familyProperty().get();
        looking.set(true);
        channel.request(
                () -> {
                    List<Candidate> some = Finder.candidates(query, ground.board(), model.hand());
                    all = some.size();
                    return new Ranking(nearest, near, ground.key()).cards(some);
                });
    }

    /** The shape that a chord takes in a family when nobody chooses one: the way's. */
    private Optional<Shape> taken(Riff riff, int chord, Family wanted, Hand hand) {
        if (chord >= riff.roots().size()) {
            return Optional.empty();
        }
        boolean chosen = riff.treatments().get(chord).members().containsKey(wanted);
        Riff asked = Chords.family(riff, chord, wanted);
        return chosen
                ? Optional.empty()
                : Optional.of(
                        new Deriver(model.catalogue())
                                .derive(asked, hand)
                                .chords()
                                .get(chord)
                                .candidate()
                                .voicing()
                                .shape());
    }

    /** The card that has a shape first, that place of it before its others. */
    private static List<Card> leading(List<Card> cards, Optional<Shape> shape) {
        for (int c = 0; c < cards.size() && shape.isPresent(); c++) {
            List<Candidate> places = new ArrayList<>(cards.get(c).places());
            for (int p = 0; p < places.size(); p++) {
                if (places.get(p).voicing().shape().equals(shape.get())) {
                    places.add(0, places.remove(p));
                    List<Card> out = new ArrayList<>(cards);
                    out.remove(c);
                    out.add(0, new Card(cards.get(c).shapeClass(), places));
                    return out;
                }
            }
        }
        return cards;
    }

    /** Offers the voicings of the chosen family on the chord's root, as the filter lets through. */
    public void request() {
        // The card that leads is the one that the family's digit takes.
        found = null;
        Ground ground = model.riff().ground();
        Family wanted = model.familyProperty().get();
        int root = model.currentChord().root();
        List<Shape> near = neighbours();
        Filter passing = filter.get();
        Hand hand = model.hand();
        Riff riff = model.riff();
        int chord = model.chordProperty().get();
        looking.set(true);
        channel.request(
                () -> {
                    Catalogue catalogue = model.catalogue();
                    Ranking ranking = new Ranking(wanted, near, ground.key());
                    if (passing.equals(Filter.NONE)) {
                        all = catalogue.candidates(ground.board(), hand, wanted, root).size();
                        List<Card> cards =
                                ranking.cards(
                                        catalogue.leading(ground.board(), hand, wanted, root));
                        return leading(cards, taken(riff, chord, wanted, hand));
                    }
                    List<Candidate> kept =
                            catalogue.candidates(ground.board(), hand, wanted, root).stream()
                                    .filter(c -> passing.accepts(c, hand))
                                    .toList();
                    all = kept.size();
                    return ranking.cards(Catalogue.leading(kept));
                });
    }

    /** Keeps what is shown as one of the player's own shapes. */
    public void keepShown() throws PieceFiles.PieceFileException {
        Voicing v = model.shownProperty().get();
        model.ownShapes()
                .keep(new OwnShape(model.readoutProperty().get().name().symbol(), v.shapeClass()));
    }

    /** Shows the player's own shapes on this root. */
    public void browseOwn() throws PieceFiles.PieceFileException {
        List<OwnShape> own = model.ownShapes().all();
        found = "own shapes";
        model.draftProperty().set(null);
        Ground ground = model.riff().ground();
        int root = model.currentChord().root();
        List<Shape> near = neighbours();
        Hand hand = model.hand();
        Family nearest = model.familyProperty().get();
        channel.request(
                () -> {
                    List<Candidate> all = new ArrayList<>();
                    own.forEach(o -> all.addAll(o.places(ground.board(), hand, root)));
                    return new Ranking(nearest, near, ground.key()).cards(all);
                });
    }

    private List<Shape> neighbours() {
        List<Shape> near = new ArrayList<>();
        int n = model.derived().chords().size();
        int chord = model.chordProperty().get();
        if (n > 1) {
            near.add(shape((chord + n - 1) % n));
            near.add(shape((chord + 1) % n));
        }
        return near;
    }

    private Shape shape(int chord) {
        return model.derived().chord(chord).candidate().voicing().shape();
    }
}
