package vocalis.desktop.arrange;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.atomic.AtomicLong;
import java.util.function.Consumer;
import javafx.beans.property.IntegerProperty;
import javafx.beans.property.ReadOnlyLongProperty;
import javafx.beans.property.ReadOnlyLongWrapper;
import javafx.beans.property.SimpleIntegerProperty;
import vocalis.core.arrange.Clash;
import vocalis.core.arrange.Clashes;
import vocalis.core.arrange.Lift;
import vocalis.core.arrange.Mend;
import vocalis.core.arrange.PartOffer;
import vocalis.core.arrange.SecondParts;
import vocalis.core.arrange.SectionChange;
import vocalis.core.arrange.Song;
import vocalis.core.derive.Derived;
import vocalis.core.hands.Hand;
import vocalis.core.piece.Piece;
import vocalis.core.piece.Section;
import vocalis.core.revoice.Revoicer;
import vocalis.desktop.session.Place;
import vocalis.desktop.session.Screen;
import vocalis.desktop.session.Session;
import vocalis.desktop.view.Background;
import vocalis.workbench.playing.SectionLevels;
import vocalis.workbench.playing.Songs;
import vocalis.workbench.words.ArrangeWords;

/**
 * The sections of the piece played through: where the caret is, what rubs, how sections lift, and
 * what is heard of it. Used on the FX thread; the song is played through on a worker.
 */
public final class ArrangeModel implements Screen, SongHearing.Stage, AutoCloseable {

    /** What is known of the piece played through. */
    private record Played(Song song, List<Clash> clashes, List<Lift> lifts) {}

    /** What came of playing it through, or why nothing did. */
    private record Attempt(Optional<Played> played, Optional<String> wrong) {
        static final Attempt NONE = new Attempt(Optional.empty(), Optional.empty());
    }

    private final Session session;
    private final Background background = new Background("vocalis-arrange");
    private final Background measuring = new Background("vocalis-arrange-levels");
    private final Songs songs;
    private final SongHearing hearing;
    private final SectionEdits edits;
    private final AtomicLong newest = new AtomicLong();
    private final ReadOnlyLongWrapper changed = new ReadOnlyLongWrapper();
    private final IntegerProperty section = new SimpleIntegerProperty();
    private final IntegerProperty field = new SimpleIntegerProperty();
    private Optional<Played> played = Optional.empty();
    private List<Double> loudness = List.of();
    private Optional<String> wrong = Optional.empty();
    private final ClashCaret clash;
    private boolean open;
    private Runnable toldOfSong = () -> {};

    public ArrangeModel(Session session) {
        this.session = session;
        songs = new Songs(session.catalogue());
        clash =
                new ClashCaret(
                        session, this::clashes, this::lookAt, (c, on) -> edits().mean(c, on));
        hearing = new SongHearing(this, session, songs, background);
        edits = new SectionEdits(session, this, field);
        section.addListener(o -> sectionMoved());
    }

    /** Counts what there is to show anew. */
    public ReadOnlyLongProperty changedProperty() {
        return changed.getReadOnlyProperty();
    }

    /** The section under the caret. */
    @Override
    public IntegerProperty sectionProperty() {
        return section;
    }

    /** The line of the section's card under the caret. */
    public IntegerProperty fieldProperty() {
        return field;
    }

    /** The piece as it is now. */
    public Piece piece() {
        return session.piece();
    }

    /** The section under the caret as it is now. */
    @Override
    public Section current() {
        List<Section> all = piece().sections();
        return all.get(Math.min(section.get(), all.size() - 1));
    }

    /** The piece played through, as last reckoned. */
    @Override
    public Optional<Song> song() {
        return played.map(Played::song);
    }

    /** What rubs in it, meant or not. */
    public List<Clash> clashes() {
        return played.map(Played::clashes).orElse(List.of());
    }

    /** What each section has of what lifts. */
    public List<Lift> lifts() {
        return played.map(Played::lifts).orElse(List.of());
    }

    /** How loud each section is in LKFS; empty while it is measured. */
    public List<Double> loudness() {
        return loudness;
    }

    /** Why it cannot be played through, where it cannot. */
    public Optional<String> wrong() {
        return wrong;
    }

    /** What is done to the sections. */
    public SectionEdits edits() {
        return edits;
    }

    /** What is heard of the song. */
    public SongHearing hearing() {
        return hearing;
    }

    /** Plays the piece through anew, on a worker, and lets it be heard. */
    public void refresh() {
        long mine = newest.incrementAndGet();
        Piece piece = piece();
        Hand hand = session.hand();
        background.ask(
                "playing the piece through",
                () -> newest.get() == mine ? playedThrough(piece, hand) : Attempt.NONE,
                made -> {
                    if (newest.get() == mine) {
                        arrived(made, mine);
                    }
                });
    }

    private Attempt playedThrough(Piece piece, Hand hand) {
        try {
            Song s = songs.of(piece, hand);
            Played p = new Played(s, Clashes.of(s), Lift.of(s));
            return new Attempt(Optional.of(p), Optional.empty());
        } catch (IllegalArgumentException e) {
            return new Attempt(Optional.empty(), Optional.of(e.getMessage()));
        }
    }

    private void arrived(Attempt made, long mine) {
        played = made.played();
        wrong = made.wrong();
        section.set(Math.min(section.get(), piece().sections().size() - 1));
        clash.stayInside();
        hearing.songChanged();
        toldOfSong.run();
        tell();
        played.ifPresent(p -> measure(p.song(), mine));
    }

    private void measure(Song song, long mine) {
        measuring.ask(
                "measuring how loud sections are",
                () ->
                        newest.get() == mine
                                ? SectionLevels.of(
                                        song, session.player().levels(), () -> newest.get() != mine)
                                : List.<Double>of(),
                all -> {
                    if (newest.get() == mine) {
                        loudness = all;
                        tell();
                    }
                });
    }

    @Override
    public void tell() {
        changed.set(changed.get() + 1);
    }

    /** Told whenever the song has been played through anew. */
    public void onSong(Runnable told) {
        toldOfSong = told;
    }

    @Override
    public boolean has(Place place) {
        return place instanceof ArrangePlace;
    }

    @Override
    public boolean ofSong() {
        return true;
    }

    @Override
    public void enter() {
        open = true;
        session.player().stop();
        refresh();
    }

    @Override
    public void riffChanged() {
        refresh();
    }

    @Override
    public void togglePlay() {
        hearing.togglePlay();
    }

    @Override
    public boolean beginHearing(Place place) {
        return hearing.beginHearing();
    }

    @Override
    public void endHearing() {
        hearing.endHearing();
    }

    @Override
    public String spoken(Place place) {
        return SectionField.values()[field.get()].spoken(piece(), section.get(), current());
    }

    @Override
    public double tick(double ofPlayer) {
        return hearing.tick(ofPlayer);
    }

    /** What is under way is given up; the riff sounds again. */
    @Override
    public void leave() {
        open = false;
        newest.incrementAndGet();
        hearing.leave();
    }

    /** Whether the song, not the riff, is what sounds. */
    @Override
    public boolean sounds() {
        return open;
    }

    private void lookAt(Clash c) {
        section.set(c.section());
        tell();
    }

    private void sectionMoved() {
        hearing.sectionMoved();
        tell();
    }

    /** Goes to another section. */
    public void move(int by) {
        section.set(Math.max(0, Math.min(piece().sections().size() - 1, section.get() + by)));
    }

    /** Goes to another line of the card. */
    public void moveField(int by) {
        field.set(Math.floorMod(field.get() + by, SectionField.values().length));
    }

    /** The clash that is looked at. */
    public ClashCaret clash() {
        return clash;
    }

    /** The clash under the caret. */
    @Override
    public Optional<Clash> clashNow() {
        return clash.now();
    }

    /** What would mend the clash under the caret, found on a worker. */
    public void mends(Consumer<List<Mend>> then) {
        Optional<Clash> c = clashNow();
        Optional<Song> s = song();
        if (c.isEmpty() || s.isEmpty()) {
            session.say("No clash here.");
            return;
        }
        session.say("Trying what would mend it …");
        background.ask(
                "looking for what mends a clash",
                () -> Mend.of(s.get(), c.get(), session.hand(), session.catalogue()),
                found -> {
                    if (sounds()) {
                        session.say("");
                        then.accept(found);
                    }
                });
    }

    // What is found.

    /** What could set the section off from the one before; each is made when it is asked for. */
    public List<SectionChange> variations() {
        Optional<Derived> now = sectionNow();
        List<SectionChange> all = new ArrayList<>();
        for (SectionChange c : now.isPresent() ? SectionChange.all() : List.<SectionChange>of()) {
            boolean quick = !(c instanceof SectionChange.ByIntent);
            if (!quick || c.of(now.get(), null).isPresent()) {
                all.add(c);
            }
        }
        return all;
    }

    private Optional<Derived> sectionNow() {
        int i = section.get();
        return song().filter(s -> i < s.piece().sections().size()).map(s -> s.first(i).first());
    }

    /** Makes a variation of the section on a worker and gives the piece that plays it. */
    private void vary(SectionChange c, Consumer<Piece> then) {
        Optional<Derived> now = sectionNow();
        Piece p = piece();
        int i = section.get();
        background.ask(
                "varying a section",
                () ->
                        now.flatMap(d -> c.of(d, new Revoicer(session.catalogue(), session.hand())))
                                .map(r -> SectionChange.taken(p, i, r, ArrangeWords.name(c))),
                made -> made.ifPresent(then));
    }

    /** Plays the section varied until the preview ends. */
    public void hear(SectionChange c) {
        hearing.beginPreview();
        vary(c, hearing::preview);
    }

    /** Takes a variation of the section. */
    public void take(SectionChange c) {
        int i = section.get();
        vary(
                c,
                p -> {
                    if (i == section.get() && edits.apply("vary the section", x -> p)) {
                        session.say(ArrangeWords.name(c) + ": " + ArrangeWords.what(c) + ".");
                    }
                });
    }

    /** Parts that a second guitar could play under the section, found on a worker. */
    public void secondParts(boolean clashesToo, Consumer<List<PartOffer>> then) {
        Piece p = piece();
        String riff = current().riff();
        session.say("Looking for what a second guitar could play …");
        background.ask(
                "looking for a second part",
                () -> SecondParts.of(p, riff, session.hand(), session.catalogue(), clashesToo),
                all -> {
                    if (sounds()) {
                        session.say("");
                        then.accept(all);
                    }
                });
    }

    /** The piece with a second part played. */
    public Piece with(PartOffer o) {
        var m = piece().mix();
        return piece().withSecond(current().riff(), o.riff())
                .mixed(
                        m.withSecond(
                                m.second().on(true),
                                m.secondTone(),
                                m.secondControls(),
                                m.spread()));
    }

    @Override
    public void close() {
        newest.incrementAndGet();
        background.close();
        measuring.close();
    }
}
