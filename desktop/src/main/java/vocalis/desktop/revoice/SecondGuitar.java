package vocalis.desktop.revoice;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import java.util.function.UnaryOperator;
import vocalis.core.mix.Fader;
import vocalis.core.mix.Mix;
import vocalis.core.piece.Guitar;
import vocalis.core.piece.Piece;
import vocalis.core.piece.Version;
import vocalis.core.revoice.Row;
import vocalis.core.revoice.Rub;
import vocalis.core.riff.Member;
import vocalis.core.riff.Riff;
import vocalis.core.riff.Treatment;
import vocalis.core.voicing.Family;
import vocalis.core.voicing.Voicing;
import vocalis.desktop.session.Session;
import vocalis.workbench.document.Edit;
import vocalis.workbench.words.RevoiceWords;

/** The second guitar's treatment of the riff, made from the same rows over the first guitar's. */
public final class SecondGuitar {

    /** What its own row is called. */
    static final String NAME = "Guitar two";

    private final Session session;
    private final Runnable switched;
    private final Supplier<List<Row>> rows;
    private boolean on;

    /**
     * @param switched when rows go to the other guitar
     * @param rows found so far, the mix the first
     */
    SecondGuitar(Session session, Runnable switched, Supplier<List<Row>> rows) {
        this.session = session;
        this.switched = switched;
        this.rows = rows;
    }

    /** Whether rows and cells go to the second guitar. */
    public boolean on() {
        return on && !written();
    }

    /** Whether guitar two is what is written: then every row is of its part. */
    boolean written() {
        return session.workspace().written() == Guitar.TWO;
    }

    /** What stands over the rows: whose they are, where they are not the first guitar's. */
    String head() {
        return written() ? "guitar two" : on ? "second guitar" : "";
    }

    /** Goes over to the second guitar, or back to the first. */
    public void toggle() {
        if (written()) {
            session.say(
                    "Guitar two is written: each row is for it already. Ctrl Shift G in Write goes back.");
            return;
        }
        on = !on;
        session.say(
                on
                        ? "Rows for the second guitar over what is written: Enter gives it the cell, Ctrl Enter the row."
                        : "Rows for the riff itself.");
        switched.run();
    }

    /** The versions of a piece that have rows, what the second guitar has of its own the last. */
    List<Version> beside(Piece piece) {
        if (written()) {
            List<Version> own = new ArrayList<>(piece.versions(Guitar.TWO));
            own.add(new Version("first", "Guitar one", "", piece.riff()));
            return own;
        }
        List<Version> all = new ArrayList<>(piece.versions());
        boolean plays = on || piece.mix().second().on();
        if (plays && !piece.secondRiff().equals(piece.riff())) {
            all.add(new Version("second", NAME, "", piece.secondRiff()));
        }
        return all;
    }

    /** The piece with a row played by the second guitar. */
    Piece over(Row r) {
        return playing(session.piece(), own -> r.riff());
    }

    private static Piece playing(Piece piece, UnaryOperator<Riff> change) {
        Mix mix = piece.mix();
        Fader fader = mix.second().on(true);
        Riff own = change.apply(piece.secondRiff());
        return piece.withSecondRiff(own)
                .mixed(mix.withSecond(fader, mix.secondTone(), mix.secondControls(), mix.spread()));
    }

    private boolean apply(String what, String merging, UnaryOperator<Riff> change) {
        return session.apply(new Edit.OfPiece(what, merging, p -> playing(p, change)));
    }

    void takeRow(Row r) {
        if (apply("row for the second guitar", "", own -> r.riff())) {
            session.say("The second guitar plays " + RevoiceWords.name(r) + ".");
        }
    }

    void takeCell(Row r, int chord) {
        if (chord >= r.derived().chords().size()) {
            return;
        }
        Treatment t = r.riff().treatments().get(chord);
        Voicing v = r.derived().chords().get(chord).candidate().voicing();
        Treatment taken =
                t.member().isPresent() || t.bass().isPresent()
                        ? t
                        : t.with(t.family(), Member.OfClass.of(v));
        if (apply("cell for the second guitar", "", own -> own.withTreatment(chord, taken))) {
            session.say(
                    "The second guitar plays "
                            + r.derived().score().harmonies().get(chord).symbol()
                            + " from "
                            + RevoiceWords.name(r)
                            + ".");
        }
    }

    /** Gives it a member of a family at a chord. */
    void choose(int chord, Family family, Member m) {
        apply(
                "another shape for the second guitar",
                "second-member:" + chord + family,
                own -> own.withTreatment(chord, own.treatments().get(chord).with(family, m)));
    }

    /** Gives it a family, at one chord or at all. */
    public void voice(Family f, Optional<Integer> chord) {
        apply(
                "family of the second guitar",
                "",
                own -> {
                    Riff changed = own;
                    for (int i = 0; i < own.treatments().size(); i++) {
                        Treatment t = changed.treatments().get(i);
                        boolean asked = chord.isEmpty() || chord.get() == i;
                        changed = asked ? changed.withTreatment(i, t.in(f)) : changed;
                    }
                    return changed;
                });
        session.say("The second guitar: " + f.label() + (chord.isPresent() ? " here." : "."));
    }

    /** What rubs between the mix and a row at a chord, while rows are for the second guitar. */
    public List<Rub> rubs(Row r, int chord) {
        List<Row> all = rows.get();
        boolean there =
                on
                        && !all.isEmpty()
                        && !r.mix()
                        && chord < r.derived().chords().size()
                        && chord < all.get(0).derived().chords().size();
        return there
                ? Rub.between(
                        all.get(0).derived().chords().get(chord).candidate().voicing(),
                        r.derived().chords().get(chord).candidate().voicing())
                : List.of();
    }
}
