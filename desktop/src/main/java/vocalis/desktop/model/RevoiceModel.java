package vocalis.desktop.model;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import javafx.animation.PauseTransition;
import javafx.application.Platform;
import javafx.beans.property.IntegerProperty;
import javafx.beans.property.LongProperty;
import javafx.beans.property.SimpleIntegerProperty;
import javafx.beans.property.SimpleLongProperty;
import javafx.util.Duration;
import vocalis.core.choice.Candidate;
import vocalis.core.choice.Card;
import vocalis.core.choice.Ranking;
import vocalis.core.derive.Derived;
import vocalis.core.hands.Hand;
import vocalis.core.instrument.Fretboard;
import vocalis.core.piece.Version;
import vocalis.core.revoice.Difference;
import vocalis.core.revoice.Intent;
import vocalis.core.revoice.Row;
import vocalis.core.riff.Member;
import vocalis.core.riff.Riff;
import vocalis.core.riff.RootSpan;
import vocalis.core.riff.Treatment;
import vocalis.core.voicing.Family;
import vocalis.core.voicing.Voicing;
import vocalis.desktop.view.Background;
import vocalis.workbench.document.Edit;
import vocalis.workbench.document.Edits;
import vocalis.workbench.document.Revoicing;
import vocalis.workbench.words.RevoiceWords;

/**
 * The riff in every treatment, row by row, and what the player does with them. Rows are found on a
 * worker and come as they are found; what gain makes of them follows.
 */
public final class RevoiceModel implements AutoCloseable {

    private final WriteModel model;

    /** How long after a change the neck is looked over: nobody waits for it yet. */
    private static final Duration SETTLED = Duration.seconds(2);

    private final Background background = new Background("vocalis-revoice");
    private final Background choosing = new Background("vocalis-revoice-shape");
    private final Grinding grinding;
    private final List<Row> rows = new ArrayList<>();

    private final Set<Integer> locked = new HashSet<>();
    private final IntegerProperty row = new SimpleIntegerProperty();
    private final IntegerProperty column = new SimpleIntegerProperty();
    private final LongProperty changed = new SimpleLongProperty();
    private volatile long newest;
    private long seed = 1;
    private Riff of;
    private List<RootSpan> roots;
    private List<Version> versions = List.of();
    private Revoicing revoicing;
    private Hand hand;
    private boolean other;
    private boolean finding;
    private int found;
    private final SecondGuitar second;

    RevoiceModel(WriteModel model) {
        this.model = model;
        PauseTransition settled = new PauseTransition(SETTLED);
        settled.setOnFinished(o -> prepare());
        model.derivedProperty().addListener(o -> settled.playFromStart());
        second = new SecondGuitar(model, this);
        grinding = new Grinding(model.gain(), this::show);
        row.addListener(o -> endOther());
        model.zoneProperty()
                .addListener(
                        o -> {
                            if (model.zoneProperty().get() == Zone.REVOICE) {
                                refresh();
                            } else {
                                leave();
                            }
                        });
    }

    /** What all families need of the neck is found while the player still writes. */
    private void prepare() {
        Fretboard board = model.now().ground().board();
        Hand held = model.hand();
        background.run(
                "looking over the neck", () -> model.catalogue().prepare(board, held), () -> {});
    }

    /** Nobody looks any more: what is still being found is given up, and found anew next time. */
    private void leave() {
        endOther();
        newest++;
        grinding.forget();
        finding = false;
        of = null;
    }

    /** The rows found so far: the riff as it stands, the families, the intents. */
    public List<Row> rows() {
        return rows;
    }

    /** Counts up whenever something is shown otherwise. */
    public LongProperty changedProperty() {
        return changed;
    }

    /** Row of the caret. */
    public IntegerProperty rowProperty() {
        return row;
    }

    /** Chord of the caret. */
    public IntegerProperty columnProperty() {
        return column;
    }

    /** Whether intents leave a chord as it is. */
    public boolean locked(int chord) {
        return locked.contains(chord);
    }

    /** What gain makes of a row, where it is known already. */
    public Optional<Grinding.Grind> grind(Row r) {
        return grinding.of(r);
    }

    void show() {
        changed.set(changed.get() + 1);
    }

    /** Finds the rows of the riff as it is now, unless they are there. */
    public void refresh() {
        Riff riff = model.now();
        List<Version> kept = second.beside(model.workspace().content());
        if (riff.equals(of) && kept.equals(versions)) {
            return;
        }
        endOther();
        // Versions stand before the families: where one comes or goes, the caret goes along.
        int before = beside(versions, riff);
        int moved = beside(kept, riff) - before;
        versions = kept;
        if (row.get() > before) {
            row.set(row.get() + moved);
        }
        boolean rerooted = roots != null && !roots.equals(riff.roots());
        of = riff;
        roots = riff.roots();
        if (rerooted) {
            locked.clear();
        }
        if (rerooted || moved != 0) {
            rows.clear();
            grinding.clear();
        }
        find();
    }

    /** How many versions have rows beside a riff. */
    private static int beside(List<Version> versions, Riff riff) {
        return (int) versions.stream().filter(v -> v.riff().roots().equals(riff.roots())).count();
    }

    private void find() {
        of = of == null ? model.now() : of;
        long mine = ++newest;
        grinding.forget();
        Riff riff = of;
        Set<Integer> kept = Set.copyOf(locked);
        long chance = seed;
        List<Row> made = new ArrayList<>();
        finding = true;
        found = 0;
        List<Version> beside = versions;
        if (revoicing == null || !model.hand().equals(hand)) {
            hand = model.hand();
            revoicing = new Revoicing(model.catalogue(), hand);
        }
        Revoicing by = revoicing;
        background.run(
                "revoicing",
                () ->
                        by.rows(
                                riff,
                                beside,
                                kept,
                                chance,
                                () -> newest != mine,
                                r -> Platform.runLater(() -> arrived(mine, made, r))),
                () -> {
                    if (newest == mine) {
                        finding = false;
                        complete(List.copyOf(made));
                    }
                });
    }

    /** The old rows stay to be seen until the new ones take their places one by one. */
    private void arrived(long mine, List<Row> made, Row r) {
        if (newest != mine) {
            return;
        }
        made.add(r);
        found = made.size();
        int at = found - 1;
        if (at < rows.size()) {
            rows.set(at, r);
        } else {
            rows.add(r);
        }
        column.set(Math.min(column.get(), r.derived().chords().size() - 1));
        show();
    }

    /** Every row is there: those of before go, and what gain makes of these follows. */
    private void complete(List<Row> all) {
        while (rows.size() > all.size()) {
            rows.remove(rows.size() - 1);
        }
        row.set(Math.min(row.get(), rows.size() - 1));
        show();
        grinding.find(all);
    }

    /** The row under the caret, when there is one. */
    public Optional<Row> current() {
        return row.get() < rows.size() ? Optional.of(rows.get(row.get())) : Optional.empty();
    }

    /** The same when it is a row of the riff as it is now: cells of another are not taken. */
    private Optional<Row> ready() {
        Optional<Row> ready = current().filter(r -> r.riff().roots().equals(model.now().roots()));
        if (ready.isEmpty()) {
            model.say("Still looking for the ways to voice this riff.");
        }
        return ready;
    }

    /** Moves the caret. */
    public void move(int down, int right) {
        row.set(Math.max(0, Math.min(rows.size() - 1, row.get() + down)));
        int last = model.now().roots().size() - 1;
        column.set(Math.max(0, Math.min(last, column.get() + right)));
        model.moveChordCaretTo(column.get());
        show();
    }

    /** Puts the caret on a cell. */
    public void caret(int atRow, int atColumn) {
        row.set(atRow);
        column.set(atColumn);
        move(0, 0);
    }

    /** Takes the cell under the caret into the mix. */
    public void takeCell() {
        int chord = column.get();
        if (second.on()) {
            ready().ifPresent(r -> second.takeCell(r, chord));
            return;
        }
        ready().ifPresent(
                        r -> {
                            if (r.mix() || chord >= r.derived().chords().size()) {
                                model.say("This is the mix itself: choose a cell of another row.");
                                return;
                            }
                            Treatment t = r.riff().treatments().get(chord);
                            Derived.Chord c = r.derived().chords().get(chord);
                            Edit take =
                                    t.member().isPresent() || t.bass().isPresent()
                                            ? Edits.riff(
                                                    "take a cell", x -> x.withTreatment(chord, t))
                                            : Edits.choose(
                                                    chord,
                                                    t.family(),
                                                    Member.Found.of(c.candidate().voicing()));
                            if (model.apply(take)) {
                                model.say(
                                        "Took "
                                                + r.derived()
                                                        .score()
                                                        .harmonies()
                                                        .get(chord)
                                                        .symbol()
                                                + " from "
                                                + RevoiceWords.name(r)
                                                + ".");
                            }
                        });
    }

    /** Takes the whole row for the mix. */
    public void takeRow() {
        if (second.on()) {
            ready().ifPresent(second::takeRow);
            return;
        }
        ready().filter(r -> !r.mix())
                .ifPresent(
                        r ->
                                model.apply(
                                        Edits.riff(
                                                "take a row",
                                                x -> x.withTreatments(r.riff().treatments()))));
    }

    /** Intents leave the chord under the caret as the mix has it, or may change it again. */
    public void lock() {
        int chord = column.get();
        boolean on = locked.add(chord) || !locked.remove(chord);
        model.say(
                on
                        ? "Intents keep this chord as your mix has it."
                        : "Intents may change this chord.");
        find();
    }

    /** Another surprise. */
    public void surprise() {
        seed++;
        find();
    }

    /** The next member of the row's family for the chord under the caret, or the one before. */
    public void member(int by) {
        choose(by, true);
    }

    /** The same member in its next place on the neck: another string set, another octave. */
    public void place(int by) {
        choose(by, false);
    }

    private void choose(int by, boolean member) {
        int chord = column.get();
        Row r = ready().orElse(null);
        if (r == null || chord >= r.derived().chords().size()) {
            return;
        }
        Family family = r.riff().treatments().get(chord).family();
        Derived.Chord c = r.derived().chords().get(chord);
        Voicing now = c.candidate().voicing();
        Hand held = model.hand();
        Voicing[] next = new Voicing[1];
        choosing.run(
                "looking for another shape",
                () -> next[0] = another(now, c.root(), family, held, by, member, r.riff()),
                () -> {
                    if (next[0] == null || next[0].equals(now)) {
                        model.say("This shape lies nowhere else.");
                    } else if (model.now().roots().equals(r.riff().roots())) {
                        chosen(chord, family, Member.Found.of(next[0]), member);
                    }
                });
    }

    /** The next shape class of a family, or the next place of a shape; null where there is none. */
    private Voicing another(
            Voicing now, int root, Family family, Hand held, int by, boolean member, Riff riff) {
        List<Candidate> leading = model.catalogue().leading(now.board(), held, family, root);
        List<Card> cards = new Ranking(family, List.of(), riff.ground().key()).cards(leading);
        int at = -1;
        for (int i = 0; i < cards.size(); i++) {
            at = cards.get(i).shapeClass().equals(now.shapeClass()) ? i : at;
        }
        if (cards.isEmpty() || at < 0 && !member) {
            return null;
        }
        if (member) {
            return cards.get(Math.floorMod(at + by, cards.size())).first().voicing();
        }
        List<Voicing> places = cards.get(at).places().stream().map(Candidate::voicing).toList();
        return places.get(Math.floorMod(places.indexOf(now) + by, places.size()));
    }

    private void chosen(int chord, Family family, Member m, boolean member) {
        if (second.on()) {
            second.choose(chord, family, m);
            return;
        }
        model.apply(
                Edits.merging(
                        member ? "another shape of the family" : "another place",
                        "member:" + chord + family,
                        x -> {
                            Treatment t = x.treatments().get(chord);
                            return x.withTreatment(chord, t.with(family, m).in(t.family()));
                        }));
    }

    /** Switches what rows are for to a family: the whole riff, or the chord under the caret. */
    public void voice(Family f, boolean one) {
        if (second.on()) {
            second.voice(f, one ? Optional.of(column.get()) : Optional.empty());
        } else if (one) {
            model.chords().voiceChord(f);
        } else {
            model.chords().voiceAll(f);
        }
    }

    /** Plays the row under the caret until {@link Hearing#endPreview}. */
    public boolean hearRow() {
        current()
                .ifPresent(
                        r -> {
                            if (second.on()) {
                                model.hearing().preview(second.over(r));
                            } else {
                                model.hearing().preview(r.riff());
                            }
                        });
        return true;
    }

    /** Rows tried for the second guitar over the mix. */
    public SecondGuitar second() {
        return second;
    }

    /** The chord under the caret as the row has it. */
    public boolean hearCell() {
        current()
                .filter(r -> column.get() < r.derived().chords().size())
                .ifPresent(
                        r ->
                                model.hearing()
                                        .hear(
                                                r.derived()
                                                        .chords()
                                                        .get(column.get())
                                                        .candidate()
                                                        .voicing()
                                                        .shape()));
        return true;
    }

    /** From the mix to the row under the caret and back, while it plays on. */
    public void toggleOther() {
        if (other) {
            endOther();
        } else {
            other = true;
            hearRow();
            show();
        }
    }

    /** Whether the row under the caret sounds in place of the mix. */
    public boolean otherSounds() {
        return other;
    }

    void endOther() {
        if (other) {
            other = false;
            model.hearing().endPreview();
            show();
        }
    }

    /** The mix and the row under the caret in an order that chance decides, for blind hearing. */
    public Optional<List<Row>> blind(Random chance) {
        Row r = current().orElse(null);
        if (r == null || r.mix()) {
            return Optional.empty();
        }
        return Optional.of(
                chance.nextBoolean() ? List.of(rows.get(0), r) : List.of(r, rows.get(0)));
    }

    /** Whether rows are still being found. */
    public boolean finding() {
        return finding;
    }

    private int expected() {
        return 1 + versions.size() + Family.values().length + Intent.values().length;
    }

    /** What the row does and what it changes at the chord under the caret, in two lines. */
    public List<String> inWords() {
        Row r = current().orElse(null);
        if (r == null) {
            return List.of("Looking for every way to voice this riff …", "");
        }
        String change =
                r.mix() || column.get() >= r.derived().chords().size()
                        ? "Choose another row to see what it would change here."
                        : "Against your mix at this chord: "
                                + RevoiceWords.of(
                                        Difference.at(
                                                rows.get(0).derived(), r.derived(), column.get()),
                                        r.riff().ground().key())
                                + ".";
        String does = RevoiceWords.what(r);
        if (finding()) {
            does += "; still looking, " + found + " of about " + expected() + " ways so far";
        }
        if (second.on()) {
            change =
                    "Second guitar over your mix at this chord: "
                            + RevoiceWords.of(second.rubs(r, column.get()), r.riff().ground().key())
                            + ".";
        }
        return List.of(Character.toUpperCase(does.charAt(0)) + does.substring(1) + ".", change);
    }

    @Override
    public void close() {
        newest++;
        background.close();
        choosing.close();
        grinding.close();
    }
}
