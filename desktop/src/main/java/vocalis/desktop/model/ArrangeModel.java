package vocalis.desktop.model;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.atomic.AtomicLong;
import java.util.function.Consumer;
import java.util.function.UnaryOperator;
import javafx.beans.property.IntegerProperty;
import javafx.beans.property.ReadOnlyLongProperty;
import javafx.beans.property.ReadOnlyLongWrapper;
import javafx.beans.property.SimpleIntegerProperty;
import vocalis.core.arrange.Clash;
import vocalis.core.arrange.Clashes;
import vocalis.core.arrange.Lift;
import vocalis.core.arrange.Mend;
import vocalis.core.arrange.SecondParts;
import vocalis.core.arrange.SectionChange;
import vocalis.core.arrange.Song;
import vocalis.core.derive.Derived;
import vocalis.core.piece.Piece;
import vocalis.core.piece.Section;
import vocalis.core.revoice.Revoicer;
import vocalis.core.riff.Riff;
import vocalis.desktop.view.Background;
import vocalis.workbench.document.Edit;
import vocalis.workbench.playing.SectionLevels;
import vocalis.workbench.playing.Songs;
import vocalis.workbench.words.ArrangeWords;

/**
 * The sections of the piece played through: where the caret is, what rubs, how sections lift, and
 * what is heard of it. Used on the FX thread; the song is played through on a worker.
 */
public final class ArrangeModel implements AutoCloseable {

    /** What is known of the piece played through. */
    private record Played(Song song, List<Clash> clashes, List<Lift> lifts) {}

    private final WriteModel model;
    private final Background background = new Background("vocalis-arrange");
    private final Background measuring = new Background("vocalis-arrange-levels");
    private final Songs songs;
    private final SongHearing hearing;
    private final AtomicLong newest = new AtomicLong();
    private final ReadOnlyLongWrapper changed = new ReadOnlyLongWrapper();
    private final IntegerProperty section = new SimpleIntegerProperty();
    private final IntegerProperty field = new SimpleIntegerProperty();
    private Optional<Played> played = Optional.empty();
    private List<Double> loudness = List.of();
    private Optional<String> wrong = Optional.empty();
    private int clash;

    ArrangeModel(WriteModel model) {
        this.model = model;
        songs = new Songs(model.catalogue());
        hearing = new SongHearing(this, model, songs, background);
        section.addListener(o -> sectionMoved());
    }

    /** Counts what there is to show anew. */
    public ReadOnlyLongProperty changedProperty() {
        return changed.getReadOnlyProperty();
    }

    /** The section under the caret. */
    public IntegerProperty sectionProperty() {
        return section;
    }

    /** The line of the section's card under the caret. */
    public IntegerProperty fieldProperty() {
        return field;
    }

    /** The piece as it is now. */
    public Piece piece() {
        return model.workspace().content();
    }

    /** The section under the caret as it is now. */
    public Section current() {
        List<Section> all = piece().sections();
        return all.get(Math.min(section.get(), all.size() - 1));
    }

    /** The piece played through, as last reckoned. */
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

    /** What is heard of the song. */
    public SongHearing hearing() {
        return hearing;
    }

    /** Plays the piece through anew, on a worker, and lets it be heard. */
    public void refresh() {
        long mine = newest.incrementAndGet();
        Piece piece = piece();
        Played[] made = new Played[1];
        String[] why = new String[1];
        background.run(
                "playing the piece through",
                () -> {
                    if (newest.get() == mine) {
                        try {
                            Song s = songs.of(piece, model.hand());
                            made[0] = new Played(s, Clashes.of(s), Lift.of(s));
                        } catch (IllegalArgumentException e) {
                            why[0] = e.getMessage();
                        }
                    }
                },
                () -> {
                    if (newest.get() == mine) {
                        arrived(Optional.ofNullable(made[0]), Optional.ofNullable(why[0]), mine);
                    }
                });
    }

    private void arrived(Optional<Played> what, Optional<String> why, long mine) {
        played = what;
        wrong = why;
        section.set(Math.min(section.get(), piece().sections().size() - 1));
        clash = Math.max(0, Math.min(clash, clashes().size() - 1));
        hearing.songChanged();
        model.practice().songChanged();
        tell();
        what.ifPresent(p -> measure(p.song(), mine));
    }

    private void measure(Song song, long mine) {
        List<Double> all = new ArrayList<>();
        measuring.run(
                "measuring how loud sections are",
                () -> {
                    if (newest.get() == mine) {
                        all.addAll(
                                SectionLevels.of(
                                        song, model.player().levels(), () -> newest.get() != mine));
                    }
                },
                () -> {
                    if (newest.get() == mine) {
                        loudness = all;
                        tell();
                    }
                });
    }

    void tell() {
        changed.set(changed.get() + 1);
    }

    /** What is under way is given up; the riff sounds again. */
    void leave() {
        newest.incrementAndGet();
        hearing.leave();
    }

    /** Whether the song, not the riff, is what sounds. */
    boolean sounds() {
        return model.screen() == Zone.ARRANGE;
    }

    private void sectionMoved() {
        hearing.sectionMoved();
        tell();
    }

    // What is done.

    /** Goes to another section. */
    public void move(int by) {
        section.set(Math.max(0, Math.min(piece().sections().size() - 1, section.get() + by)));
    }

    /** Goes to another line of the card. */
    public void moveField(int by) {
        field.set(Math.floorMod(field.get() + by, SectionField.values().length));
    }

    private boolean apply(String what, UnaryOperator<Piece> change) {
        return model.apply(new Edit.OfPiece(what, "", change));
    }

    private boolean change(String what, String merge, UnaryOperator<Section> change) {
        int i = section.get();
        return model.apply(
                new Edit.OfPiece(
                        what,
                        merge.isEmpty() ? "" : merge + i,
                        p -> p.arranged(i, change.apply(p.sections().get(i)))));
    }

    /** Steps the value of the line under the caret. */
    public void step(int by) {
        SectionField f = SectionField.values()[field.get()];
        Piece p = piece();
        change(f.words(), "section-" + f, s -> f.stepped(p, s, by));
    }

    /** Changes the section under the caret. */
    public boolean change(String what, UnaryOperator<Section> how) {
        return change(what, "", how);
    }

    /** Changes the piece. */
    public boolean changePiece(String what, UnaryOperator<Piece> how) {
        return apply(what, how);
    }

    /** A section after this one, like it, once. */
    public void add() {
        String name = next(model.workspace().content().sections());
        int from = section.get();
        int at = from + 1;
        boolean done =
                apply(
                        "another section",
                        p -> {
                            List<Section> all = new ArrayList<>(p.sections());
                            Section like = all.get(Math.min(from, all.size() - 1));
                            all.add(at, like.as(p.freeSection()).named(name));
                            return p.arranged(all);
                        });
        if (done) {
            section.set(at);
        }
    }

    /** The names that sections usually have, in the order in which they usually come. */
    private static final List<String> NAMES =
            List.of("intro", "verse", "chorus", "breakdown", "ending");

    /** A name for a section behind another one: not an intro. */
    private static String next(List<Section> all) {
        for (String n : NAMES.subList(1, NAMES.size())) {
            if (all.stream().noneMatch(s -> s.name().equals(n))) {
                return n;
            }
        }
        return "part " + (all.size() + 1);
    }

    /** The next of the usual names, from a name on. */
    static String named(String now, int by) {
        return NAMES.get(Math.floorMod(NAMES.indexOf(now) + by, NAMES.size()));
    }

    /** Takes the section away, unless it is the only one. */
    public void remove() {
        if (piece().sections().size() == 1) {
            model.say("A piece has one section at least.");
            return;
        }
        int i = section.get();
        apply(
                "section away",
                p -> {
                    List<Section> all = new ArrayList<>(p.sections());
                    all.remove(i);
                    return p.arranged(all);
                });
    }

    /** Moves the section in the order. */
    public void shift(int by) {
        int i = section.get();
        int to = i + by;
        if (to < 0 || to >= piece().sections().size()) {
            return;
        }
        boolean done =
                apply(
                        "move the section",
                        p -> {
                            List<Section> all = new ArrayList<>(p.sections());
                            all.add(to, all.remove(i));
                            return p.arranged(all);
                        });
        if (done) {
            section.set(to);
        }
    }

    /** Brings the section's riff before the player in Write. */
    public void work() {
        String id = current().riff();
        apply("work on another riff", p -> p.working(id));
    }

    // Clashes.

    /** The clash under the caret. */
    public Optional<Clash> clashNow() {
        List<Clash> all = clashes();
        return clash < all.size() ? Optional.of(all.get(clash)) : Optional.empty();
    }

    /** Goes to the next clash that is not meant, and to its section. */
    public void nextClash() {
        List<Clash> all = clashes();
        for (int i = 1; i <= all.size(); i++) {
            int at = (clash + i) % all.size();
            boolean first = i == all.size();
            if (!piece().meant().contains(all.get(at).key()) || first) {
                clash = at;
                section.set(all.get(at).section());
                tell();
                return;
            }
        }
        model.say("Nothing rubs between the guitars, or with the bass.");
    }

    /** The clash under the caret is meant, or not any more. */
    public void toggleMeant() {
        clashNow()
                .ifPresent(
                        c -> {
                            boolean on = !piece().meant().contains(c.key());
                            apply(
                                    on ? "clash meant" : "clash not meant",
                                    p -> p.meaning(c.key(), on));
                            model.say(on ? "Meant: it is told no more." : "Told again.");
                        });
    }

    /** What would mend the clash under the caret, found on a worker. */
    public void mends(Consumer<List<Mend>> then) {
        Optional<Clash> c = clashNow();
        Optional<Song> s = song();
        if (c.isEmpty() || s.isEmpty()) {
            model.say("Nothing rubs here.");
            return;
        }
        List<Mend> found = new ArrayList<>();
        model.say("Trying what would mend it …");
        background.run(
                "looking for what mends a clash",
                () -> found.addAll(Mend.of(s.get(), c.get(), model.hand(), model.catalogue())),
                () -> {
                    if (sounds()) {
                        model.say("");
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
        List<Piece> made = new ArrayList<>();
        background.run(
                "varying a section",
                () ->
                        now.flatMap(d -> c.of(d, new Revoicer(model.catalogue(), model.hand())))
                                .ifPresent(
                                        r ->
                                                made.add(
                                                        SectionChange.taken(
                                                                p, i, r, ArrangeWords.name(c)))),
                () -> made.forEach(then));
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
                    if (i == section.get() && apply("vary the section", x -> p)) {
                        model.say(ArrangeWords.name(c) + ": " + ArrangeWords.what(c) + ".");
                    }
                });
    }

    /** Parts that a second guitar could play under the section, found on a worker. */
    public void secondParts(boolean clashesToo, Consumer<List<SecondParts.Offer>> then) {
        List<SecondParts.Offer> all = new ArrayList<>();
        Piece p = piece();
        String riff = current().riff();
        model.say("Looking for what a second guitar could play …");
        background.run(
                "looking for a second part",
                () ->
                        all.addAll(
                                SecondParts.of(
                                        p, riff, model.hand(), model.catalogue(), clashesToo)),
                () -> {
                    if (sounds()) {
                        model.say("");
                        then.accept(all);
                    }
                });
    }

    /** The piece with a second part played. */
    public Piece with(SecondParts.Offer o) {
        var m = piece().mix();
        return piece().withSecond(current().riff(), o.riff())
                .mixed(
                        m.withSecond(
                                m.second().on(true),
                                m.secondTone(),
                                m.secondControls(),
                                m.spread()));
    }

    /** Another riff into the piece, played by a section of its own after this one. */
    public void bring(Riff riff, String name) {
        int at = section.get() + 1;
        boolean done =
                apply(
                        "another riff",
                        p -> {
                            Piece more = p.adding(riff);
                            String id = more.riffs().get(more.riffs().size() - 1).id();
                            List<Section> all = new ArrayList<>(more.sections());
                            all.add(at, new Section(more.freeSection(), name, id, 1));
                            return more.arranged(all);
                        });
        if (done) {
            section.set(at);
        }
    }

    @Override
    public void close() {
        newest.incrementAndGet();
        background.close();
        measuring.close();
    }
}
