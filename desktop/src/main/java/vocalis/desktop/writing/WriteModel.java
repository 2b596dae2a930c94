package vocalis.desktop.writing;

import java.util.List;
import java.util.function.Consumer;
import javafx.beans.property.BooleanProperty;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.SimpleBooleanProperty;
import javafx.beans.property.SimpleObjectProperty;
import vocalis.core.choice.Filter;
import vocalis.core.derive.Derived;
import vocalis.core.derive.HandPath;
import vocalis.core.hands.Hand;
import vocalis.core.rhythm.Ticks;
import vocalis.core.riff.Member;
import vocalis.core.riff.Riff;
import vocalis.core.theory.Key;
import vocalis.core.voicing.Family;
import vocalis.core.voicing.Voicing;
import vocalis.desktop.session.Caret;
import vocalis.desktop.session.Hearing;
import vocalis.desktop.session.Place;
import vocalis.desktop.session.Session;
import vocalis.desktop.session.Whereabouts;
import vocalis.workbench.document.Edits;
import vocalis.workbench.library.OwnShapes;
import vocalis.workbench.library.PieceFiles;

/**
 * What the Write screen shows and does, without any control: its parts, what they have in common,
 * and what is done with the chord that is shown. Used on the FX thread alone.
 */
public final class WriteModel implements Showing, LaneScreen, BandScreen, AutoCloseable {

    private final Session session;
    private final Whereabouts whereabouts;
    private final Hearing hearing;
    private final ShownChord shown;
    private final NeckModel neck;
    private final LaneModel lane;
    private final TypingModel typing;
    private final CardOffer offer;
    private final ChordEdits chords;
    private final GuitarChoice guitar;
    private final BoxModel boxes;
    private final Looks looks = new Looks();
    private final GainModel gain;
    private final Thinning thinning = new Thinning();
    private final ObjectProperty<Page> page = new SimpleObjectProperty<>(Page.NOTES);
    private final BooleanProperty support = new SimpleBooleanProperty();
    private long opened;
    private boolean keepCards;
    private boolean begun;

    public WriteModel(
            Session session, Whereabouts whereabouts, Hearing hearing, OwnShapes ownShapes) {
        this.session = session;
        this.whereabouts = whereabouts;
        this.hearing = hearing;
        opened = session.workspace().session();
        shown = new ShownChord(session);
        neck = new NeckModel(session, shown);
        lane = new LaneModel(session);
        typing = new TypingModel(session, whereabouts, lane);
        offer = new CardOffer(session, ownShapes, shown.familyProperty());
        chords = new ChordEdits(session, shown.familyProperty(), offer.filterProperty());
        gain = new GainModel(session, shown);
        guitar = new GuitarChoice(session);
        boxes = new BoxModel(session, looks, lane, typing, hearing);
        shown.refresh();
        session.caret().chordProperty().addListener(o -> chordMoved());
        session.onChange(this::documentChanged);
        session.afterDerived(this::derivedChanged);
        offer.offeredProperty()
                .addListener(
                        o ->
                                shown.offered(
                                        offer.offeredProperty().get(), offer.found().isPresent()));
        shown.familyProperty().addListener(o -> requestCards());
        offer.filterProperty().addListener(o -> requestCards());
        shown.cardProperty().addListener(o -> shown.refresh());
        shown.placeProperty().addListener(o -> shown.refresh());
        shown.draftProperty().addListener(o -> shown.refresh());
        shown.changedProperty().addListener((o, was, is) -> shownChanged());
    }

    /** Begins to look for cards; until then the screen shows what the riff has. */
    public void begin() {
        begun = true;
        requestCards();
        gain.refresh();
        gain.refreshChords();
    }

    @Override
    public void close() {
        gain.close();
    }

    /** The document that the screen is about. */
    @Override
    public Session session() {
        return session;
    }

    @Override
    public ReadOnlyObjectProperty<Derived> derivedProperty() {
        return session.derivedProperty();
    }

    @Override
    public Caret caret() {
        return session.caret();
    }

    /** Which place has the keys. */
    @Override
    public Whereabouts whereabouts() {
        return whereabouts;
    }

    /** Gives the keys to a place of this screen. */
    @Override
    public void go(WritePlace place) {
        whereabouts.placeProperty().set(place);
    }

    /** What neck and readout show. */
    @Override
    public ShownChord shown() {
        return shown;
    }

    /** The caret on the neck. */
    public NeckModel neck() {
        return neck;
    }

    /** The lane's caret and what it does to strokes. */
    @Override
    public LaneModel lane() {
        return lane;
    }

    /** Writing in the lane. */
    @Override
    public TypingModel typing() {
        return typing;
    }

    /** What is offered: searched for, filtered, or the player's own. */
    public CardOffer offer() {
        return offer;
    }

    /** What is done to chords and their roots. */
    @Override
    public ChordEdits chords() {
        return chords;
    }

    /** Which guitar is written. */
    public GuitarChoice guitar() {
        return guitar;
    }

    /** The box of a scale under the hand. */
    public BoxModel boxes() {
        return boxes;
    }

    /** What gain makes of what is shown. */
    @Override
    public GainModel gain() {
        return gain;
    }

    /** What sounds at the player's word. */
    @Override
    public Hearing hearing() {
        return hearing;
    }

    /** The page of figures that the readout shows. */
    public ObjectProperty<Page> pageProperty() {
        return page;
    }

    /** How band, cards and neck show what there is. */
    @Override
    public Looks looks() {
        return looks;
    }

    /** Whether the readout shows the numbers behind the heard root. */
    public BooleanProperty supportProperty() {
        return support;
    }

    private void documentChanged() {
        if (!keepCards) {
            shown.familyProperty().set(shown.treatmentFamily());
        }
    }

    private void derivedChanged() {
        if (opened != session.workspace().session()) {
            opened = session.workspace().session();
            shown.draftProperty().set(null);
        }
        lane.stayInside();
        neck.stayInside();
        shown.stayInside();
        if (begun) {
            gain.refreshChords();
        }
        requestCards();
        shown.refresh();
    }

    private void chordMoved() {
        shown.draftProperty().set(null);
        shown.familyProperty().set(shown.treatmentFamily());
        requestCards();
        shown.refresh();
    }

    private void shownChanged() {
        if (begun) {
            Voicing v = shown.voicing();
            gain.refresh();
            session.player().prepare(v.shape(), gain.cents(v));
        }
    }

    private void requestCards() {
        if (begun) {
            offer.request();
        }
    }

    // The screen.

    @Override
    public boolean has(Place place) {
        return place instanceof WritePlace;
    }

    @Override
    public void riffChanged() {
        session.player().show(session.workspace().heard());
    }

    @Override
    public void togglePlay() {
        hearing.togglePlay();
    }

    @Override
    public boolean beginHearing(Place place) {
        boolean looking = place == WritePlace.CARDS || place == WritePlace.NECK;
        Voicing v = looking ? shown.voicing() : currentChord().candidate().voicing();
        return hearing.hear(v, gain.cents(v));
    }

    /** Sounds what the neck shows. */
    public void beginHearingShown() {
        hearing.hear(shown.voicing(), gain.cents(shown.voicing()));
    }

    /** Sounds what the neck shows with a string let ring that it silences: the miss. */
    public boolean beginHearingMiss(int string) {
        return !shown.voicing().shape().sounds(string)
                && hearing.hear(shown.voicing().shape().with(string, 0));
    }

    @Override
    public void endHearing() {
        hearing.endHearing();
    }

    @Override
    public boolean marked(Place place) {
        return place == WritePlace.LANE && lane.markProperty().get().isPresent()
                || place == WritePlace.BAND && chords.markProperty().get() >= 0;
    }

    @Override
    public String detail(Place place) {
        return place == WritePlace.LANE || place == WritePlace.TYPING ? lane.grainInWords() : "";
    }

    @Override
    public String spoken(Place place) {
        return place instanceof WritePlace p ? new Spoken(session, lane, shown, neck).of(p) : "";
    }

    // What is done with the chord that is shown. Each is one edit, or none.

    /** Shows the cards of a family without changing the riff. */
    public void browse(Family other) {
        shown.draftProperty().set(null);
        if (offer.found().isPresent() && shown.familyProperty().get() == other) {
            requestCards();
        }
        shown.familyProperty().set(other);
    }

    /**
     * Shows a shape, or the voicings of a name or of notes.
     *
     * @throws IllegalArgumentException when the text is none of these
     */
    public void find(String text) {
        offer.find(text).ifPresentOrElse(shown::take, () -> shown.draftProperty().set(null));
    }

    /** Keeps what is shown as one of the player's own shapes. */
    public void keepShown() throws PieceFiles.PieceFileException {
        offer.keep(shown.voicing(), shown.readoutProperty().get().name().symbol());
    }

    /** Shows the player's own shapes on this root. */
    public void browseOwn() throws PieceFiles.PieceFileException {
        offer.browseOwn();
        shown.draftProperty().set(null);
    }

    /** Puts what is shown into the riff. */
    @Override
    public void useShown() {
        Voicing v = shown.voicing();
        boolean byHand = shown.cardProperty().get() == ShownChord.BY_HAND;
        Member member = byHand ? new Member.ByHand(v.shape(), v.root()) : Member.OfClass.of(v);
        keepCards = true;
        session.apply(Edits.choose(caret().chord(), shown.familyProperty().get(), member));
        keepCards = false;
        shown.draftProperty().set(null);
    }

    /**
     * Leaves out a voice of what is shown, counted from the top as players do; 1 is the highest.
     */
    public void thin(int voiceFromTop) {
        thinning.without(shown.voicing(), voiceFromTop)
                .ifPresentOrElse(
                        shown::take,
                        () ->
                                session.say(
                                        "This voicing has no voice "
                                                + voiceFromTop
                                                + " from the top to leave out."));
    }

    /** How often the hand comes to what is shown in a minute of the loop at its tempo. */
    @Override
    public long returnsPerMinute() {
        long times =
                derived().chords().stream()
                        .filter(
                                c ->
                                        c.candidate()
                                                .voicing()
                                                .shape()
                                                .equals(shown.voicing().shape()))
                        .count();
        double quarters = riff().length() / (double) Ticks.QUARTER;
        return Math.round(Math.max(1, times) * riff().tempo() / quarters);
    }

    /** Takes another key without moving a note: roots and chosen shapes are restated in it. */
    public void reinterpret(Key other) {
        session.apply(Edits.readIn(other, derived()));
    }

    /** Finds ways of the hand through a riff on a worker, and gives them here. */
    public void ways(Riff riff, Consumer<List<HandPath>> then) {
        Filter passing = offer.filterProperty().get();
        Hand hand = session.hand();
        session.ask(
                "looking for ways of the hand",
                () -> HandPath.offered(riff, hand, session.catalogue(), passing),
                then);
    }
}
