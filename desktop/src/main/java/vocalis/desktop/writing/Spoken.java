package vocalis.desktop.writing;

import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import vocalis.core.choice.Card;
import vocalis.core.derive.Derived;
import vocalis.core.instrument.Fretboard;
import vocalis.core.names.ChordNamer;
import vocalis.core.names.Readout;
import vocalis.core.pattern.Stroke;
import vocalis.core.rhythm.MeterMap;
import vocalis.core.score.Dynamics;
import vocalis.core.score.Manner;
import vocalis.core.score.Onset;
import vocalis.core.score.ScoreNote;
import vocalis.core.voicing.Voicing;
import vocalis.desktop.session.Session;

/** What the caret is on in the places of the Write screen, for those who hear the screen. */
final class Spoken {

    private final Session session;
    private final LaneModel lane;
    private final ShownChord shown;
    private final NeckModel neck;

    Spoken(Session session, LaneModel lane, ShownChord shown, NeckModel neck) {
        this.session = session;
        this.lane = lane;
        this.shown = shown;
        this.neck = neck;
    }

    String of(WritePlace place) {
        return switch (place) {
            case BAND -> chord();
            case LANE, TYPING -> step();
            case CARDS -> card();
            case NECK -> fret();
        };
    }

    private String chord() {
        List<Derived.Chord> all = session.derived().chords();
        int i = Math.min(session.caret().chord(), all.size() - 1);
        Voicing v = all.get(i).candidate().voicing();
        MeterMap.Place p = session.now().meters().place(session.now().start(i));
        return "chord "
                + (i + 1)
                + " of "
                + all.size()
                + ": "
                + name(v, all.get(i))
                + ", "
                + shape(v)
                + ", "
                + session.now().treatments().get(i).family().label()
                + ", "
                + place(p);
    }

    private String name(Voicing v, Derived.Chord c) {
        return ChordNamer.name(v, Optional.of(session.now().ground().key()), c.around()).symbol();
    }

    private static String place(MeterMap.Place p) {
        return (p.bar() == 0 ? "pickup" : "bar " + p.bar()) + ", beat " + p.beat();
    }

    /** String by string from the lowest: muted, open, or its fret. */
    private static String shape(Voicing v) {
        StringBuilder said = new StringBuilder("strings from the lowest:");
        for (int s = 0; s < v.shape().strings(); s++) {
            int fret = v.shape().fret(s);
            said.append(!v.shape().sounds(s) ? " muted" : fret == 0 ? " open" : " " + fret);
        }
        return said.toString();
    }

    private String step() {
        long tick = lane.caretProperty().get();
        MeterMap.Place p = session.now().meters().place(tick);
        String where = place(p) + (p.ticks() > 0 ? " and " + p.ticks() + " ticks" : "");
        Optional<Onset> here =
                session.derived().score().onsets().stream().filter(o -> o.at() == tick).findFirst();
        return where + ": " + here.map(this::onset).orElse("nothing struck");
    }

    private String onset(Onset o) {
        Fretboard b = session.now().ground().board();
        String notes = o.notes().stream().map(n -> note(n, b)).collect(Collectors.joining(", "));
        String struck =
                lane.strokeAtCaret().map(Stroke::struck).map(s -> ", " + s.label()).orElse("");
        return "stroke"
                + struck
                + (o.manner() == Manner.PLAIN ? "" : ", " + o.manner().words())
                + (o.dynamics() == Dynamics.PLAIN
                        ? ""
                        : ", " + o.dynamics().name().toLowerCase(java.util.Locale.ROOT))
                + ": "
                + notes;
    }

    private String note(ScoreNote n, Fretboard b) {
        return "string "
                + (b.strings() - n.string())
                + (n.fret() == 0 ? " open" : " fret " + n.fret())
                + (n.techniques().isEmpty()
                        ? ""
                        : " with "
                                + n.techniques().stream()
                                        .map(
                                                t ->
                                                        t.kind()
                                                                .name()
                                                                .toLowerCase(java.util.Locale.ROOT))
                                        .collect(Collectors.joining(" and ")));
    }

    private String card() {
        Voicing v = shown.voicing();
        Readout r = shown.readoutProperty().get();
        List<Card> all = shown.cardsProperty().get();
        int i = shown.cardProperty().get();
        String which = i < 0 ? "shape by hand" : "shape " + (i + 1) + " of " + all.size();
        String places =
                i >= 0 && i < all.size()
                        ? ", place "
                                + (shown.placeProperty().get() + 1)
                                + " of "
                                + all.get(i).places().size()
                        : "";
        return which
                + ": "
                + r.name().symbol()
                + ", "
                + shape(v)
                + places
                + (shown.isInRiff() ? ", in the riff" : "");
    }

    private String fret() {
        Fretboard b = session.now().ground().board();
        int string = neck.stringProperty().get();
        int fret = neck.fretProperty().get();
        Voicing v = shown.voicing();
        boolean there = string < v.shape().strings();
        String held =
                !there || !v.shape().sounds(string)
                        ? "the string is muted"
                        : v.shape().fret(string) == fret
                                ? "sounds"
                                : "the string sounds at fret " + v.shape().fret(string);
        return "string "
                + (b.strings() - string)
                + ", "
                + (fret == 0 ? "open" : "fret " + fret)
                + ", "
                + session.now().ground().key().note(b.midi(string, fret)).symbol()
                + ": "
                + held;
    }
}
