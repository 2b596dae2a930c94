package vocalis.desktop.model;

import java.time.Clock;
import java.util.List;
import java.util.Optional;
import java.util.TreeSet;
import javafx.beans.property.BooleanProperty;
import javafx.beans.property.IntegerProperty;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.ReadOnlyStringProperty;
import javafx.beans.property.ReadOnlyStringWrapper;
import javafx.beans.property.SimpleBooleanProperty;
import javafx.beans.property.SimpleIntegerProperty;
import javafx.beans.property.SimpleObjectProperty;
import vocalis.core.choice.Candidate;
import vocalis.core.choice.Card;
import vocalis.core.choice.Catalogue;
import vocalis.core.choice.Filter;
import vocalis.core.derive.Derived;
import vocalis.core.hands.Fingering;
import vocalis.core.hands.Hand;
import vocalis.core.hands.IdleFingers;
import vocalis.core.instrument.Shape;
import vocalis.core.names.Around;
import vocalis.core.names.Readout;
import vocalis.core.piece.Piece;
import vocalis.core.rhythm.Ticks;
import vocalis.core.riff.Member;
import vocalis.core.riff.Riff;
import vocalis.core.theory.Key;
import vocalis.core.voicing.Family;
import vocalis.core.voicing.Voicing;
import vocalis.desktop.view.Background;
import vocalis.workbench.base.Subscription;
import vocalis.workbench.document.Edit;
import vocalis.workbench.document.Edits;
import vocalis.workbench.document.Workspace;
import vocalis.workbench.library.OwnFigures;
import vocalis.workbench.library.OwnShapes;
import vocalis.workbench.playing.Player;

/**
 * What the Write screen shows and does, without any control: where the caret is, which cards are
 * offered, what the neck shows, and the actions that keys and mouse share. Used on the FX thread
 * alone.
 */
public final class WriteModel implements Session, AutoCloseable {

    /** Index of the card that holds a shape built by hand. */
    public static final int BY_HAND = -1;

    private final Workspace workspace;
    private final Player player;
    private final Background background;
    private final OwnShapes ownShapes;
    private final OwnFigures ownFigures;
    private final Subscription listening;

    private final ReadOnlyObjectWrapper<Derived> derived = new ReadOnlyObjectWrapper<>();
    private final ReadOnlyStringWrapper said = new ReadOnlyStringWrapper("");
    private final IntegerProperty chord = new SimpleIntegerProperty();
    private final ObjectProperty<Family> family = new SimpleObjectProperty<>(Family.POWER);
    private final ReadOnlyObjectWrapper<List<Card>> cards = new ReadOnlyObjectWrapper<>(List.of());
    private final IntegerProperty card = new SimpleIntegerProperty();
    private final IntegerProperty place = new SimpleIntegerProperty();
    private final ObjectProperty<Shape> draft = new SimpleObjectProperty<>();
    private final IntegerProperty neckString = new SimpleIntegerProperty();
    private final IntegerProperty neckFret = new SimpleIntegerProperty(5);
    private final ReadOnlyObjectWrapper<Voicing> shown = new ReadOnlyObjectWrapper<>();
    private final ReadOnlyObjectWrapper<Readout> readout = new ReadOnlyObjectWrapper<>();
    private final BooleanProperty noteNames = new SimpleBooleanProperty();
    private final ObjectProperty<Page> page = new SimpleObjectProperty<>(Page.NOTES);
    private final BooleanProperty support = new SimpleBooleanProperty();
    private final BooleanProperty scaleSteps = new SimpleBooleanProperty();
    private final ObjectProperty<Zone> zone = new SimpleObjectProperty<>(Zone.BAND);
    private final ViewModel view;
    private final CardOffer offer;
    private final Hearing hearing;
    private final LaneModel lane;
    private final TypingModel typing;
    private final RevoiceModel revoice;
    private final ArrangeModel arrange;
    private final PracticeModel practice;
    private final ChordEdits chords;
    private final GainModel gain;
    private Key shownKey;
    private Around shownAround;
    private long session;
    private boolean keepCards;
    private boolean begun;
    private boolean applying;
    private Voicing thinnedFrom;
    private Shape thinnedTo;
    private TreeSet<Integer> leftOut = new TreeSet<>();
    private final CaretMemory carets;
    private Zone screen = Zone.BAND;

    public WriteModel(
            Workspace workspace, Player player, Background background, OwnShapes ownShapes) {
        this.background = background;
        this.workspace = workspace;
        this.player = player;
        this.ownShapes = ownShapes;
        this.ownFigures = new OwnFigures(ownShapes.folder());
        carets = new CaretMemory(workspace.content());
        derived.set(workspace.derived());
        session = workspace.session();
        view = new ViewModel(derived().riff());
        lane = new LaneModel(this);
        typing = new TypingModel(this, lane);
        chords = new ChordEdits(this);
        gain = new GainModel(this);
        offer = new CardOffer(this, this::offered);
        hearing = new Hearing(this);
        revoice = new RevoiceModel(this);
        arrange = new ArrangeModel(this);
        practice = new PracticeModel(this, Clock.systemUTC());
        listening =
                Subscription.all(
                        workspace.onChange(this::documentChanged),
                        workspace.onDerived(this::derivedChanged));
        family.set(treatmentFamily());
        zone.addListener((o, was, is) -> screenChanged(is));
        chord.addListener(o -> chordMoved());
        family.addListener(o -> requestCards());
        offer.filterProperty().addListener(o -> requestCards());
        card.addListener(o -> refreshShown());
        place.addListener(o -> refreshShown());
        draft.addListener(o -> refreshShown());
        refreshShown();
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
        listening.close();
        practice.close();
        arrange.close();
        revoice.close();
        gain.close();
    }

    public Workspace workspace() {
        return workspace;
    }

    public Player player() {
        return player;
    }

    @Override
    public Riff now() {
        return workspace.content().riff();
    }

    @Override
    public ReadOnlyObjectProperty<Derived> derivedProperty() {
        return derived.getReadOnlyProperty();
    }

    @Override
    public boolean apply(Edit edit) {
        Piece before = workspace.content();
        CaretMemory.Place here = new CaretMemory.Place(chord.get(), lane.caretProperty().get());
        applying = true;
        Optional<String> refused = workspace.apply(edit);
        applying = false;
        carets.edited(before, workspace.content(), here);
        refused.ifPresent(why -> say("Not done: " + why + "."));
        return refused.isEmpty();
    }

    @Override
    public Hand hand() {
        return workspace.hand();
    }

    @Override
    public Catalogue catalogue() {
        return workspace.catalogue();
    }

    @Override
    public OwnShapes ownShapes() {
        return ownShapes;
    }

    @Override
    public Background background() {
        return background;
    }

    @Override
    public void say(String text) {
        said.set(text);
    }

    /** What was last said at the foot of the window. */
    public ReadOnlyStringProperty saidProperty() {
        return said.getReadOnlyProperty();
    }

    /** The riff that is drawn: the one last derived. */
    public Riff riff() {
        return derived().riff();
    }

    public Key key() {
        return riff().ground().key();
    }

    public IntegerProperty chordProperty() {
        return chord;
    }

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

    public ObjectProperty<Shape> draftProperty() {
        return draft;
    }

    /** Which stretch of the riff is on the screen. */
    public ViewModel view() {
        return view;
    }

    /** The player's own figures. */
    public OwnFigures ownFigures() {
        return ownFigures;
    }

    /** Finds ways of the hand through a riff on a worker, and gives them here. */
    public void ways(Riff riff, java.util.function.Consumer<List<vocalis.core.derive.Way>> then) {
        List<vocalis.core.derive.Way> found = new java.util.ArrayList<>();
        Filter passing = offer.filterProperty().get();
        background()
                .run(
                        "looking for ways of the hand",
                        () ->
                                found.addAll(
                                        vocalis.core.derive.Way.offered(
                                                riff,
                                                workspace.hand(),
                                                workspace.catalogue(),
                                                passing)),
                        () -> then.accept(found));
    }

    /**
     * Lays the riff among what the filter lets through, on a worker; gives it as it was and as it
     * is laid. Does nothing without a filter.
     */
    void passing(java.util.function.BiConsumer<Riff, Riff> then) {
        Filter passing = offer.filterProperty().get();
        if (passing.equals(Filter.NONE)) {
            return;
        }
        Riff before = now();
        java.util.concurrent.atomic.AtomicReference<Riff> laid =
                new java.util.concurrent.atomic.AtomicReference<>(before);
        background()
                .run(
                        "looking for what passes the filter",
                        () ->
                                laid.set(
                                        new vocalis.core.derive.Deriver(workspace.catalogue())
                                                .laid(
                                                        before,
                                                        workspace.hand(),
                                                        vocalis.core.hands.Change.USUAL,
                                                        passing)),
                        () -> then.accept(before, laid.get()));
    }

    /** Every treatment of the riff side by side. */
    public RevoiceModel revoice() {
        return revoice;
    }

    /** The sections of the piece. */
    public ArrangeModel arrange() {
        return arrange;
    }

    /** Practising a stretch of it. */
    public PracticeModel practice() {
        return practice;
    }

    /**
     * The song sounds on its own screens, the riff on the others; the ground's fields belong to the
     * screen that they were entered from.
     */
    private void screenChanged(Zone is) {
        if (is == Zone.GROUND || is == screen) {
            return;
        }
        Zone was = screen;
        screen = is;
        if (was == Zone.PRACTISE) {
            practice.leave();
        } else if (was == Zone.ARRANGE) {
            arrange.leave();
        }
        if (ofSong()) {
            player.stop();
            arrange.refresh();
        }
        if (is == Zone.PRACTISE) {
            practice.enter();
        }
    }

    /** The place that the keys are in, or were before the ground's fields. */
    public Zone screen() {
        return screen;
    }

    /** Whether a screen is open on which the whole piece sounds, not the riff alone. */
    public boolean ofSong() {
        return screen == Zone.ARRANGE || screen == Zone.PRACTISE;
    }

    /** Writing in the lane. */
    public TypingModel typing() {
        return typing;
    }

    /** The lane's caret and what it does to strokes. */
    public LaneModel lane() {
        return lane;
    }

    /** What gain makes of what is shown. */
    public GainModel gain() {
        return gain;
    }

    /** What is done to chords and their roots. */
    public ChordEdits chords() {
        return chords;
    }

    public IntegerProperty neckStringProperty() {
        return neckString;
    }

    public IntegerProperty neckFretProperty() {
        return neckFret;
    }

    /** The voicing that neck and readout show. */
    public ReadOnlyObjectProperty<Voicing> shownProperty() {
        return shown.getReadOnlyProperty();
    }

    public ReadOnlyObjectProperty<Readout> readoutProperty() {
        return readout.getReadOnlyProperty();
    }

    public BooleanProperty noteNamesProperty() {
        return noteNames;
    }

    /** The page of figures that the readout shows. */
    public ObjectProperty<Page> pageProperty() {
        return page;
    }

    /** Whether the readout shows the numbers behind the heard root. */
    public BooleanProperty supportProperty() {
        return support;
    }

    public BooleanProperty scaleStepsProperty() {
        return scaleSteps;
    }

    public ObjectProperty<Zone> zoneProperty() {
        return zone;
    }

    /** The chord under the caret as it was last derived. */
    public Derived.Chord currentChord() {
        return derived().chord(chord.get());
    }

    /** The shape built by hand: the draft, or the one in the riff. */
    public Optional<Shape> handShape() {
        if (draft.get() != null) {
            return Optional.of(draft.get());
        }
        boolean inRiff = currentChord().byHand() && treatmentFamily() == family.get();
        return inRiff
                ? Optional.of(currentChord().candidate().voicing().shape())
                : Optional.empty();
    }

    /** Fingering of what is shown, empty where no hand of the set size holds it. */
    public Optional<Fingering> shownFingering() {
        Candidate inRiff = currentChord().candidate();
        boolean same =
                shown.get().shape().equals(inRiff.voicing().shape())
                        && shown.get().board().equals(inRiff.voicing().board())
                        && Double.isFinite(inRiff.fingering().effort());
        return same
                ? Optional.of(inRiff.fingering())
                : Fingering.of(shown.get().board(), shown.get().shape(), workspace.hand());
    }

    /** The family that the chord under the caret is voiced in now. */
    public Family treatmentFamily() {
        Riff r = now();
        return r.treatments().get(Math.min(chord.get(), r.treatments().size() - 1)).family();
    }

    private void documentChanged() {
        int last = now().roots().size() - 1;
        if (chord.get() > last) {
            chord.set(last);
        }
        if (!applying) {
            carets.returned(workspace.content())
                    .ifPresent(
                            p -> {
                                moveChordCaretTo(p.chord());
                                lane.setCaret(p.tick());
                            });
        }
        if (!keepCards) {
            family.set(treatmentFamily());
        }
    }

    private void derivedChanged() {
        if (session != workspace.session()) {
            session = workspace.session();
            draft.set(null);
        }
        derived.set(workspace.derived());
        view.riff(riff());
        lane.stayInside();
        int strings = riff().ground().board().strings();
        neckString.set(Math.min(neckString.get(), strings - 1));
        neckFret.set(Math.min(neckFret.get(), riff().ground().board().frets()));
        if (draft.get() != null && draft.get().strings() != strings) {
            draft.set(null);
        }
        if (ofSong()) {
            arrange.refresh();
        } else {
            player.show(workspace.heard());
        }
        if (begun) {
            gain.refreshChords();
        }
        requestCards();
        refreshShown();
        if (zone.get() == Zone.REVOICE) {
            revoice.refresh();
        }
    }

    private void chordMoved() {
        draft.set(null);
        lane.toChord();
        family.set(treatmentFamily());
        // From the document: what is drawn may not have the chord yet.
        view.show(now().start(chord.get()));
        requestCards();
        refreshShown();
    }

    /** What is offered: searched for, filtered, or the player's own. */
    public CardOffer offer() {
        return offer;
    }

    /** What sounds at the player's word. */
    public Hearing hearing() {
        return hearing;
    }

    private void requestCards() {
        if (begun) {
            offer.request();
        }
    }

    private void offered(List<Card> all) {
        cards.set(all);
        selectInRiff();
        refreshShown();
    }

    /** Puts the card caret on what the riff has, or on the best card. */
    private void selectInRiff() {
        if (draft.get() != null || handShape().isPresent()) {
            card.set(BY_HAND);
            return;
        }
        Shape inRiff = currentChord().candidate().voicing().shape();
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

    /** The fretted additions that free fingers can make to what is shown. */
    public List<IdleFingers.Addition> idleFingers() {
        Voicing v = shown.get();
        return shownFingering()
                .map(f -> IdleFingers.of(v.board(), v.shape(), f, workspace.hand()))
                .orElse(List.of());
    }

    /**
     * Leaves out a voice of what is shown, counted from the top as players do; 1 is the highest.
     */
    public void thin(int voiceFromTop) {
        // Voices keep their numbers while one after another is left out, or put back.
        boolean goesOn = thinnedTo != null && shown.get().shape().equals(thinnedTo);
        Voicing v = goesOn ? thinnedFrom : shown.get();
        TreeSet<Integer> out = goesOn ? new TreeSet<>(leftOut) : new TreeSet<>();
        if (!out.remove(voiceFromTop)) {
            out.add(voiceFromTop);
        }
        if (voiceFromTop <= v.voices() && out.size() < v.voices()) {
            Voicing thin = v;
            for (int rank : out.descendingSet()) {
                thin = thin.thinned(rank);
            }
            thinnedFrom = v;
            leftOut = out;
            thinnedTo = thin.shape();
            take(thin.shape());
        } else {
            say("This voicing has no voice " + voiceFromTop + " from the top to leave out.");
        }
    }

    /** Takes a shape as built by hand. */
    public void take(Shape shape) {
        draft.set(shape);
        card.set(BY_HAND);
        refreshShown();
    }

    private void refreshShown() {
        Voicing v = currentChord().candidate().voicing();
        if (card.get() == BY_HAND) {
            Shape hand = handShape().orElse(null);
            if (hand != null
                    && !hand.sounded().isEmpty()
                    && hand.strings() == riff().ground().board().strings()
                    && hand.highestFretted() <= riff().ground().board().frets()) {
                v = new Voicing(hand, riff().ground().board(), currentChord().root());
            }
        } else if (card.get() < cards.get().size()) {
            List<Candidate> places = cards.get().get(card.get()).places();
            Voicing offered = places.get(Math.min(place.get(), places.size() - 1)).voicing();
            if ((offer.found().isPresent() || offered.root() == currentChord().root())
                    && offered.board().equals(v.board())) {
                v = offered;
            }
        }
        Around around = currentChord().around().on(v.root());
        if (v.equals(shown.get()) && key().equals(shownKey) && around.equals(shownAround)) {
            return;
        }
        shownKey = key();
        shownAround = around;
        readout.set(Readout.of(v, key(), around));
        shown.set(v);
        if (begun) {
            gain.refresh();
            player.prepare(v.shape(), gain.cents(v));
        }
    }

    /** How often the hand comes to what is shown in a minute of the loop at its tempo. */
    public long returnsPerMinute() {
        long times =
                derived().chords().stream()
                        .filter(c -> c.candidate().voicing().shape().equals(shown.get().shape()))
                        .count();
        double quarters = riff().length() / (double) Ticks.QUARTER;
        return Math.round(Math.max(1, times) * riff().tempo() / quarters);
    }

    /** Whether what is shown is what the riff has. */
    public boolean shownIsInRiff() {
        return shown.get().shape().equals(currentChord().candidate().voicing().shape());
    }

    // Actions. Each is one edit, or none.

    /** Moves the chord caret; it stops at the ends. */
    public void moveChordCaret(int by) {
        moveChordCaretTo(chord.get() + by);
    }

    /** Puts the chord caret somewhere, as near as there is a chord. */
    public void moveChordCaretTo(int to) {
        chord.set(Math.max(0, Math.min(now().roots().size() - 1, to)));
    }

    /** Shows the cards of a family without changing the riff. */
    public void browse(Family other) {
        draft.set(null);
        if (offer.found().isPresent() && family.get() == other) {
            requestCards();
        }
        family.set(other);
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

    /** Puts what is shown into the riff. */
    public void useShown() {
        Voicing v = shown.get();
        Member member =
                card.get() == BY_HAND ? new Member.ByHand(v.shape(), v.root()) : Member.Found.of(v);
        Family chosen = family.get();
        keepCards = true;
        apply(Edits.choose(chord.get(), chosen, member));
        keepCards = false;
        draft.set(null);
    }

    /**
     * Clicks a fret of the neck: sounds it there, or silences the string when it sounds there
     * already.
     */
    public void toggleFret(int string, int fret) {
        Shape base = draft.get() != null ? draft.get() : shown.get().shape();
        Shape changed = base.with(string, base.fret(string) == fret ? Shape.SILENT : fret);
        neckString.set(string);
        neckFret.set(fret);
        if (changed.sounded().isEmpty()) {
            say("One string at least sounds.");
            return;
        }
        draft.set(changed);
        card.set(BY_HAND);
        refreshShown();
    }

    /** Silences a string in the shape built by hand. */
    public void silenceString(int string) {
        Shape base = draft.get() != null ? draft.get() : shown.get().shape();
        if (base.sounds(string)) {
            toggleFret(string, base.fret(string));
        }
    }

    /** Gives up the shape built by hand. */
    public void dropDraft() {
        draft.set(null);
        selectInRiff();
        refreshShown();
    }

    public void moveNeckCaret(int strings, int frets) {
        int n = riff().ground().board().strings();
        neckString.set(Math.max(0, Math.min(n - 1, neckString.get() + strings)));
        int last = riff().ground().board().frets();
        neckFret.set(Math.max(0, Math.min(last, neckFret.get() + frets)));
    }

    /** Takes another key without moving a note: roots and chosen shapes are restated in it. */
    public void reinterpret(Key other) {
        apply(Edits.readIn(other, derived()));
    }
}
