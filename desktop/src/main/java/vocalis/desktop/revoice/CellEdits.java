package vocalis.desktop.revoice;

import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import javafx.beans.property.IntegerProperty;
import vocalis.core.choice.Candidate;
import vocalis.core.choice.Card;
import vocalis.core.choice.Ranking;
import vocalis.core.derive.Derived;
import vocalis.core.hands.Hand;
import vocalis.core.revoice.Row;
import vocalis.core.riff.Member;
import vocalis.core.riff.Riff;
import vocalis.core.riff.Treatment;
import vocalis.core.voicing.Family;
import vocalis.core.voicing.ShapeClass;
import vocalis.core.voicing.Voicing;
import vocalis.desktop.session.Session;
import vocalis.desktop.view.Background;
import vocalis.desktop.writing.ChordEdits;
import vocalis.workbench.document.Edit;
import vocalis.workbench.document.Edits;
import vocalis.workbench.words.RevoiceWords;

/** What is taken from the rows into the mix, or given to the second guitar: each is one edit. */
public final class CellEdits implements AutoCloseable {

    private final Session session;
    private final ChordEdits chords;
    private final SecondGuitar second;
    private final IntegerProperty column;
    private final Supplier<Optional<Row>> ready;
    private final Background choosing = new Background("vocalis-revoice-shape");

    /**
     * @param column the chord under the caret
     * @param ready the row under the caret, when its cells can be taken
     */
    CellEdits(
            Session session,
            ChordEdits chords,
            SecondGuitar second,
            IntegerProperty column,
            Supplier<Optional<Row>> ready) {
        this.session = session;
        this.chords = chords;
        this.second = second;
        this.column = column;
        this.ready = ready;
    }

    /** Takes the cell under the caret into the mix. */
    public void takeCell() {
        int chord = column.get();
        if (second.on()) {
            ready.get().ifPresent(r -> second.takeCell(r, chord));
            return;
        }
        ready.get()
                .ifPresent(
                        r -> {
                            if (r.mix() || chord >= r.derived().chords().size()) {
                                session.say(
                                        "This is the mix itself: choose a cell of another row.");
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
                                                    Member.OfClass.of(c.candidate().voicing()));
                            if (session.apply(take)) {
                                session.say(
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
            ready.get().ifPresent(second::takeRow);
            return;
        }
        ready.get()
                .filter(r -> !r.mix())
                .ifPresent(
                        r ->
                                session.apply(
                                        Edits.riff(
                                                "take a row",
                                                x -> x.withTreatments(r.riff().treatments()))));
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
        Row r = ready.get().orElse(null);
        if (r == null || chord >= r.derived().chords().size()) {
            return;
        }
        Family family = r.riff().treatments().get(chord).family();
        Derived.Chord c = r.derived().chords().get(chord);
        Voicing now = c.candidate().voicing();
        Hand held = session.hand();
        choosing.ask(
                "looking for another shape",
                () -> another(now, c.root(), family, held, by, member, r.riff()),
                next -> {
                    if (next.filter(v -> !v.equals(now)).isEmpty()) {
                        session.say("This shape lies nowhere else.");
                    } else if (session.now().roots().equals(r.riff().roots())) {
                        chosen(chord, family, Member.OfClass.of(next.get()), member);
                    }
                });
    }

    /** The next shape class of a family, or the next place of a shape, where there is one. */
    private Optional<Voicing> another(
            Voicing now, int root, Family family, Hand held, int by, boolean member, Riff riff) {
        List<Candidate> leading = session.catalogue().leading(now.board(), held, family, root);
        List<Card> cards = new Ranking(family, List.of(), riff.ground().key()).cards(leading);
        int at = -1;
        for (int i = 0; i < cards.size(); i++) {
            at = cards.get(i).shapeClass().equals(ShapeClass.of(now)) ? i : at;
        }
        if (cards.isEmpty() || at < 0 && !member) {
            return Optional.empty();
        }
        if (member) {
            return Optional.of(cards.get(Math.floorMod(at + by, cards.size())).first().voicing());
        }
        List<Voicing> places = cards.get(at).places().stream().map(Candidate::voicing).toList();
        return Optional.of(places.get(Math.floorMod(places.indexOf(now) + by, places.size())));
    }

    private void chosen(int chord, Family family, Member m, boolean member) {
        if (second.on()) {
            second.choose(chord, family, m);
            return;
        }
        session.apply(
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
            chords.voiceChord(f);
        } else {
            chords.voiceAll(f);
        }
    }

    @Override
    public void close() {
        choosing.close();
    }
}
