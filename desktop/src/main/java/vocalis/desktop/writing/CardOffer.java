package vocalis.desktop.writing;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyBooleanProperty;
import javafx.beans.property.ReadOnlyBooleanWrapper;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
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
import vocalis.core.voicing.ShapeClass;
import vocalis.core.voicing.Voicing;
import vocalis.desktop.session.Session;
import vocalis.desktop.view.Background;
import vocalis.workbench.library.OwnShapes;
import vocalis.workbench.library.PieceFiles;

/**
 * Which voicings are offered for the chord under the caret: a family's, what was searched for, or
 * the player's own shapes. All of it is found off the FX thread.
 */
public final class CardOffer {

    private final Session session;
    private final OwnShapes ownShapes;
    private final ObjectProperty<Family> family;
    private final Background.Channel<List<Card>> channel;
    private final ObjectProperty<Filter> filter = new SimpleObjectProperty<>(Filter.NONE);
    private final ReadOnlyBooleanWrapper looking = new ReadOnlyBooleanWrapper();
    private final ReadOnlyObjectWrapper<List<Card>> offered =
            new ReadOnlyObjectWrapper<>(List.of());
    private String found;

    /** Written by the worker before it hands over its cards. */
    private volatile int all;

    /**
     * @param family whose voicings are offered
     */
    CardOffer(Session session, OwnShapes ownShapes, ObjectProperty<Family> family) {
        this.session = session;
        this.ownShapes = ownShapes;
        this.family = family;
        channel =
                session.channel(
                        "looking for voicings",
                        cards -> {
                            looking.set(false);
                            // A list of its own: two empty answers after each other are two
                            // answers.
                            offered.set(new ArrayList<>(cards));
                        });
        // Dark voicings were asked for in one family; in the next they would hide nearly all.
        family.addListener(
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

    /** What was found last; the card that the family's digit takes leads. */
    ReadOnlyObjectProperty<List<Card>> offeredProperty() {
        return offered.getReadOnlyProperty();
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
     * @return the shape, when one was named; else what is found is offered
     * @throws IllegalArgumentException when the text is none of these
     */
    Optional<Shape> find(String text) {
        Finder.Query query = Finder.parse(text, session.riff().ground().board());
        if (query.shape().isPresent()) {
            return query.shape();
        }
        found = query.text();
        Ground ground = session.riff().ground();
        List<Shape> near = neighbours();
        Family nearest = family.get();
        looking.set(true);
        channel.request(
                () -> {
                    List<Candidate> some = Finder.candidates(query, ground.board(), session.hand());
                    all = some.size();
                    return new Ranking(nearest, near, ground.key()).cards(some);
                });
        return Optional.empty();
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
                        new Deriver(session.catalogue())
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
        Ground ground = session.riff().ground();
        Family wanted = family.get();
        int root = session.currentChord().root();
        List<Shape> near = neighbours();
        Filter passing = filter.get();
        Hand hand = session.hand();
        Riff riff = session.riff();
        int chord = session.caret().chord();
        looking.set(true);
        channel.request(
                () -> {
                    Catalogue catalogue = session.catalogue();
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

    /** Keeps a voicing as one of the player's own shapes. */
    void keep(Voicing v, String name) throws PieceFiles.PieceFileException {
        ownShapes.keep(new OwnShape(name, ShapeClass.of(v)));
    }

    /** Shows the player's own shapes on this root. */
    void browseOwn() throws PieceFiles.PieceFileException {
        List<OwnShape> own = ownShapes.all();
        found = "own shapes";
        Ground ground = session.riff().ground();
        int root = session.currentChord().root();
        List<Shape> near = neighbours();
        Hand hand = session.hand();
        Family nearest = family.get();
        channel.request(
                () -> {
                    List<Candidate> all = new ArrayList<>();
                    own.forEach(o -> all.addAll(o.places(ground.board(), hand, root)));
                    return new Ranking(nearest, near, ground.key()).cards(all);
                });
    }

    private List<Shape> neighbours() {
        List<Shape> near = new ArrayList<>();
        int n = session.derived().chords().size();
        int chord = session.caret().chord();
        if (n > 1) {
            near.add(shape((chord + n - 1) % n));
            near.add(shape((chord + 1) % n));
        }
        return near;
    }

    private Shape shape(int chord) {
        return session.derived().chord(chord).candidate().voicing().shape();
    }
}
