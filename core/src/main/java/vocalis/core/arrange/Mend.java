package vocalis.core.arrange;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Function;
import vocalis.core.choice.Candidate;
import vocalis.core.choice.Catalogue;
import vocalis.core.derive.Derived;
import vocalis.core.derive.Deriver;
import vocalis.core.edit.Scope;
import vocalis.core.edit.Strokes;
import vocalis.core.hands.Hand;
import vocalis.core.instrument.Shape;
import vocalis.core.mix.BassFigure;
import vocalis.core.pattern.LineNote;
import vocalis.core.piece.Piece;
import vocalis.core.piece.Section;
import vocalis.core.revoice.Rub;
import vocalis.core.riff.Lines;
import vocalis.core.riff.Member;
import vocalis.core.riff.Riff;
import vocalis.core.riff.Treatment;
import vocalis.core.voicing.Sounding;
import vocalis.core.voicing.Voicing;

/**
 * A change that takes a clash away, tried before it is offered: afterwards the clash is gone and
 * there are not more than before.
 *
 * @param how what is changed
 * @param shape the shape that the second guitar takes, where it takes another
 * @param piece the piece changed
 * @param left clashes that are left in the whole arrangement
 */
public record Mend(How how, Optional<Shape> shape, Piece piece, int left) {

    /** What is changed. */
    public enum How {
        /** The second guitar takes another shape of its family. */
        OTHER_SHAPE,
        /** The second guitar leaves the note out of its shape. */
        THINNER,
        /** The second guitar's line moves by a step. */
        LINE_STEP,
        /** The bass plays the chord's own bass in this section. */
        BASS_FOLLOWS,
        /** The bass is silent in this section. */
        BASS_RESTS
    }

    /** Most shapes that are tried. */
    private static final int MOST_SHAPES = 12;

    public Mend {
        Objects.requireNonNull(how, "how");
        Objects.requireNonNull(shape, "shape");
        Objects.requireNonNull(piece, "piece");
    }

    /** What mends a clash, the one that leaves fewest others first. */
    public static List<Mend> of(Song song, Clash clash, Hand hand, Catalogue catalogue) {
        Deriver deriver = new Deriver(catalogue);
        Function<Riff, Derived> derive = r -> deriver.derive(r, hand);
        List<Mend> tried = new ArrayList<>();
        if (clash.between() == Clash.Between.GUITARS
                || clash.between() == Clash.Between.SECOND_AND_BASS) {
            tried.addAll(second(song, clash, hand, catalogue));
        }
        if (clash.between() != Clash.Between.GUITARS) {
            tried.addAll(bass(song, clash));
        }
        int before = Clashes.of(song).size();
        List<Mend> good = new ArrayList<>();
        for (Mend m : tried) {
            List<Clash> after = Clashes.of(Song.of(m.piece, derive));
            boolean gone = after.stream().noneMatch(c -> c.key().equals(clash.key()));
            if (gone && after.size() <= before) {
                good.add(new Mend(m.how, m.shape, m.piece, after.size()));
            }
        }
        good.sort(Comparator.comparingInt(Mend::left));
        return good;
    }

    private static List<Mend> second(Song song, Clash clash, Hand hand, Catalogue catalogue) {
        Song.Passage p = song.passageAt(clash.from());
        String riffId = clash.key().riff();
        Riff own = song.piece().secondOf(riffId, Optional.empty());
        long tick = Math.min(own.length() - 1, clash.key().at());
        int chord = own.chordAt(tick);
        Derived now = p.second().orElse(p.first());
        if (chord >= now.chords().size()) {
            return List.of();
        }
        if (Strokes.at(own, tick).filter(e -> e instanceof LineNote).isPresent()) {
            return stepped(song, riffId, own, tick);
        }
        int note = clash.between() == Clash.Between.GUITARS ? clash.two() : clash.one();
        Voicing held = now.chords().get(chord).candidate().voicing();
        List<Mend> all = new ArrayList<>(thinner(song, riffId, own, chord, held, note));
        int last = p.first().chords().size() - 1;
        Voicing against = p.first().chords().get(Math.min(chord, last)).candidate().voicing();
        all.addAll(otherShapes(song, riffId, own, chord, held, against, hand, catalogue));
        return all;
    }

    /** A note of a line stepped along the scale, up and down. */
    private static List<Mend> stepped(Song song, String riffId, Riff own, long tick) {
        List<Mend> all = new ArrayList<>();
        for (int by : new int[] {-1, 1, -2, 2}) {
            Riff moved =
                    Strokes.change(
                            own,
                            tick,
                            e ->
                                    e instanceof LineNote n
                                            ? n.sounding(Lines.stepped(own.ground(), n.pitch(), by))
                                            : e,
                            Scope.THIS_PASS);
            all.add(mend(How.LINE_STEP, Optional.empty(), song, riffId, moved));
        }
        return all;
    }

    /** The shape without the note that clashes. */
    private static List<Mend> thinner(
            Song song, String riffId, Riff own, int chord, Voicing held, int note) {
        List<Mend> all = new ArrayList<>();
        Treatment t = own.treatments().get(chord);
        for (Sounding s : held.soundings()) {
            if (s.midi() == note && held.voices() > 1) {
                Shape thin = held.shape().with(s.string(), Shape.SILENT);
                Member m = new Member.ByHand(thin, held.root());
                Riff thinner = own.withTreatment(chord, t.with(t.family(), m));
                all.add(mend(How.THINNER, Optional.of(thin), song, riffId, thinner));
            }
        }
        return all;
    }

    /** Other shapes of the family that do not clash with the first guitar's. */
    private static List<Mend> otherShapes(
            Song song,
            String riffId,
            Riff own,
            int chord,
            Voicing held,
            Voicing against,
            Hand hand,
            Catalogue catalogue) {
        List<Mend> all = new ArrayList<>();
        Treatment t = own.treatments().get(chord);
        for (Candidate c : catalogue.leading(held.board(), hand, t.family(), held.root())) {
            Voicing v = c.voicing();
            boolean quiet = Rub.between(against, v).isEmpty();
            if (quiet && !v.shape().equals(held.shape()) && all.size() < MOST_SHAPES) {
                Riff other = own.withTreatment(chord, t.with(t.family(), Member.OfClass.of(v)));
                all.add(mend(How.OTHER_SHAPE, Optional.of(v.shape()), song, riffId, other));
            }
        }
        return all;
    }

    private static Mend mend(How how, Optional<Shape> shape, Song song, String riffId, Riff own) {
        return new Mend(how, shape, song.piece().withSecond(riffId, own), 0);
    }

    private static List<Mend> bass(Song song, Clash clash) {
        Section s = song.piece().sections().get(clash.section());
        List<Mend> all = new ArrayList<>();
        Section follows = s.with(s.band().withBass(true, Optional.of(BassFigure.parse("1"))));
        Section rests = s.with(s.band().withBass(false, s.band().line()));
        all.add(of(How.BASS_FOLLOWS, song, clash, follows));
        all.add(of(How.BASS_RESTS, song, clash, rests));
        return all;
    }

    private static Mend of(How how, Song song, Clash clash, Section changed) {
        return new Mend(how, Optional.empty(), song.piece().arranged(clash.section(), changed), 0);
    }
}
