package vocalis.desktop.revoice;

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
import vocalis.core.derive.Derived;
import vocalis.core.hands.Hand;
import vocalis.core.instrument.Fretboard;
import vocalis.core.piece.Version;
import vocalis.core.revoice.Intent;
import vocalis.core.revoice.Row;
import vocalis.core.riff.Riff;
import vocalis.core.riff.RootSpan;
import vocalis.core.voicing.Family;
import vocalis.desktop.session.Hearing;
import vocalis.desktop.session.Place;
import vocalis.desktop.session.Screen;
import vocalis.desktop.session.Session;
import vocalis.desktop.view.Background;
import vocalis.desktop.writing.ChordEdits;
import vocalis.desktop.writing.GainModel;
import vocalis.workbench.document.Revoicing;

/**
 * The riff in every treatment, row by row, and what the player does with them. Rows are found on a
 * worker and come as they are found; what gain makes of them follows.
 */
public final class RevoiceModel implements Screen, AutoCloseable {

    private final Session session;
    private final Hearing hearing;

    /** How long after a change the neck is looked over: nobody waits for it yet. */
    private static final Duration SETTLED = Duration.seconds(2);

    private final Background background = new Background("vocalis-revoice");
    private final GainOfRows gainOfRows;
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
    private final RowHearing rowHearing;
    private boolean finding;
    private int found;
    private final SecondGuitar second;
    private final CellEdits edits;

    public RevoiceModel(Session session, GainModel gain, ChordEdits chords, Hearing hearing) {
        this.session = session;
        this.hearing = hearing;
        PauseTransition settled = new PauseTransition(SETTLED);
        settled.setOnFinished(o -> prepare());
        session.derivedProperty().addListener(o -> settled.playFromStart());
        second = new SecondGuitar(session, this::guitarSwitched, this::rows);
        edits = new CellEdits(session, chords, second, column, this::ready);
        gainOfRows = new GainOfRows(gain, this::show);
        rowHearing = new RowHearing(second, this::current, column::get, hearing, this::show);
        row.addListener(o -> rowHearing.endOther());
    }

    private void guitarSwitched() {
        rowHearing.endOther();
        refresh();
        show();
    }

    @Override
    public boolean has(Place place) {
        return place instanceof RevoicePlace;
    }

    @Override
    public void enter() {
        refresh();
    }

    @Override
    public void riffChanged() {
        session.player().show(session.workspace().heard());
        refresh();
    }

    @Override
    public void togglePlay() {
        hearing.togglePlay();
    }

    @Override
    public boolean beginHearing(Place place) {
        return rowHearing.hearRow();
    }

    @Override
    public void endHearing() {
        if (!rowHearing.otherSounds()) {
            hearing.endPreview();
        }
        hearing.endHearing();
    }

    @Override
    public String spoken(Place place) {
        return RevoiceLines.spoken(current(), row.get(), rows().size(), column.get(), this::locked);
    }

    /** What all families need of the neck is found while the player still writes. */
    private void prepare() {
        Fretboard board = session.now().ground().board();
        Hand held = session.hand();
        background.run(
                "looking over the neck", () -> session.catalogue().prepare(board, held), () -> {});
    }

    /** Nobody looks any more: what is still being found is given up, and found anew next time. */
    @Override
    public void leave() {
        rowHearing.endOther();
        newest++;
        gainOfRows.forget();
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
    public Optional<GainOfRows.Grind> grind(Row r) {
        return gainOfRows.of(r);
    }

    private void show() {
        changed.set(changed.get() + 1);
    }

    /** Finds the rows of the riff as it is now, unless they are there. */
    public void refresh() {
        Riff riff = session.now();
        List<Version> kept = second.beside(session.piece());
        if (riff.equals(of) && kept.equals(versions)) {
            return;
        }
        rowHearing.endOther();
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
            gainOfRows.clear();
        }
        find();
    }

    /** How many versions have rows beside a riff. */
    private static int beside(List<Version> versions, Riff riff) {
        return (int) versions.stream().filter(v -> v.riff().roots().equals(riff.roots())).count();
    }

    private void find() {
        of = of == null ? session.now() : of;
        long mine = ++newest;
        gainOfRows.forget();
        Riff riff = of;
        Set<Integer> kept = Set.copyOf(locked);
        long chance = seed;
        List<Row> made = new ArrayList<>();
        finding = true;
        found = 0;
        List<Version> beside = versions;
        if (revoicing == null || !session.hand().equals(hand)) {
            hand = session.hand();
            revoicing = new Revoicing(session.catalogue(), hand);
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
        gainOfRows.find(all);
    }

    /** The row under the caret, when there is one. */
    public Optional<Row> current() {
        return row.get() < rows.size() ? Optional.of(rows.get(row.get())) : Optional.empty();
    }

    /** The same when it is a row of the riff as it is now: cells of another are not taken. */
    private Optional<Row> ready() {
        Optional<Row> ready = current().filter(r -> r.riff().roots().equals(session.now().roots()));
        if (ready.isEmpty()) {
            session.say("Still looking for the ways to voice this riff.");
        }
        return ready;
    }

    /** Moves the caret. */
    public void move(int down, int right) {
        row.set(Math.max(0, Math.min(rows.size() - 1, row.get() + down)));
        int last = session.now().roots().size() - 1;
        column.set(Math.max(0, Math.min(last, column.get() + right)));
        session.caret().moveTo(column.get());
        show();
    }

    /** Moves a row up or down; from the first to the last, and back. */
    public void turn(int by) {
        caret(Math.floorMod(row.get() + by, rows.size()), column.get());
    }

    /** Puts the caret on a cell. */
    public void caret(int atRow, int atColumn) {
        row.set(atRow);
        column.set(atColumn);
        move(0, 0);
    }

    /** Whether rows by intent leave the chord under the caret as it is written. */
    public boolean locked() {
        return locked(column.get());
    }

    /** Rows by intent keep the chord under the caret, or choose for it again. */
    public void lock() {
        int chord = column.get();
        boolean on = locked.add(chord) || !locked.remove(chord);
        session.say(
                on
                        ? "Rows by intent keep this chord as it is written."
                        : "Intents may change this chord.");
        find();
    }

    /** Another surprise. */
    public void surprise() {
        seed++;
        find();
    }

    /** What is heard of the rows. */
    public RowHearing heard() {
        return rowHearing;
    }

    /** What is taken from the rows. */
    public CellEdits edits() {
        return edits;
    }

    /** Rows tried for the second guitar over the mix. */
    public SecondGuitar second() {
        return second;
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

    /** How many rows have come so far. */
    int found() {
        return found;
    }

    /** How many there will be at most. */
    int expected() {
        return 1 + versions.size() + Family.values().length + Intent.values().length;
    }

    @Override
    public void close() {
        newest++;
        background.close();
        edits.close();
        gainOfRows.close();
    }

    /** Whether a cell is what the riff has already. */
    boolean written(Row r, int chord) {
        List<Derived.Chord> mine = rows().get(0).derived().chords();
        return !r.mix()
                && chord < mine.size()
                && mine.get(chord)
                        .candidate()
                        .voicing()
                        .equals(r.derived().chords().get(chord).candidate().voicing());
    }
}
