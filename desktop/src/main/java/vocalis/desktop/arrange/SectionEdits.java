package vocalis.desktop.arrange;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import javafx.beans.property.IntegerProperty;
import vocalis.core.arrange.Clash;
import vocalis.core.mix.BassFigure;
import vocalis.core.piece.Piece;
import vocalis.core.piece.Section;
import vocalis.core.riff.Riff;
import vocalis.desktop.session.Document;
import vocalis.workbench.document.Edit;

/** What is done to the sections of the piece: each is one edit, or none. */
public final class SectionEdits {

    private final Document session;
    private final SongHearing.Stage arrange;
    private final IntegerProperty field;

    /**
     * @param field the line of the section's card under the caret
     */
    SectionEdits(Document session, SongHearing.Stage arrange, IntegerProperty field) {
        this.session = session;
        this.arrange = arrange;
        this.field = field;
    }

    private int at() {
        return arrange.sectionProperty().get();
    }

    /** A clash is meant, or not any more. */
    void mean(Clash c, boolean on) {
        apply(on ? "clash meant" : "clash not meant", p -> p.meaning(c.key(), on));
    }

    boolean apply(String what, UnaryOperator<Piece> change) {
        return session.apply(new Edit.OfPiece(what, "", change));
    }

    private boolean change(String what, String merge, UnaryOperator<Section> change) {
        int i = at();
        return session.apply(
                new Edit.OfPiece(
                        what,
                        merge.isEmpty() ? "" : merge + i,
                        p -> p.arranged(i, change.apply(p.sections().get(i)))));
    }

    /** Steps the value of the line under the caret. */
    public void step(int by) {
        SectionField f = SectionField.values()[field.get()];
        Piece p = session.piece();
        // Who is not in the band joins it: nothing else of him can be changed.
        if (by > 0 && !f.joined(p).equals(p)) {
            changePiece(f.words() + " into the band", f::joined);
            return;
        }
        change(f.words(), "section-" + f, s -> f.stepped(p, s, by));
    }

    /** Changes the section under the caret. */
    public boolean change(String what, UnaryOperator<Section> how) {
        return change(what, "", how);
    }

    /** The piece with notes of the bass's own under this section, the bass in the band. */
    public Piece withBass(BassFigure figure) {
        int i = at();
        Piece p = session.piece();
        Section s = p.sections().get(i);
        return p.arranged(i, s.with(s.band().withBass(true, Optional.of(figure))))
                .mixed(p.mix().withBass(p.mix().bass().on(true), p.mix().bassLine()));
    }

    /** Changes the piece. */
    public boolean changePiece(String what, UnaryOperator<Piece> how) {
        return apply(what, how);
    }

    /** A section after this one, like it, once. */
    public void add() {
        String name = SectionNames.after(session.piece().sections());
        int from = at();
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
            arrange.sectionProperty().set(at);
        }
    }

    /** Takes the section away, unless it is the only one. */
    public void remove() {
        if (session.piece().sections().size() == 1) {
            session.say("A piece has one section at least.");
            return;
        }
        int i = at();
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
        int i = at();
        int to = i + by;
        if (to < 0 || to >= session.piece().sections().size()) {
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
            arrange.sectionProperty().set(to);
        }
    }

    /** Brings the section's riff before the player in Write. */
    public void work() {
        String id = arrange.current().riff();
        apply("work on another riff", p -> p.working(id));
    }

    /** Another riff into the piece, played by a section of its own after this one. */
    public void bring(Riff riff, String name) {
        int at = at() + 1;
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
            arrange.sectionProperty().set(at);
        }
    }
}
