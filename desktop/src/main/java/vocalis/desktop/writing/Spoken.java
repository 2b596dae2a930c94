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

/** What the caret is on in the places of the Write screen, for those who hear the screen. */
final class Spoken {

    private final WriteModel model;

    Spoken(WriteModel model) {
        this.model = model;
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
        List<Derived.Chord> all = model.derived().chords();
        int i = Math.min(model.caret().chord(), all.size() - 1);
        Voicing v = all.get(i).candidate().voicing();
        MeterMap.Place p = model.riff().meters().place(model.riff().start(i));
        return "chord "
                + (i + 1)
                + " of "
                + all.size()
                + ": "
                + name(v, all.get(i))
                + ", "
                + shape(v)
                + ", "
                + model.riff().treatments().get(i).family().label()
                + ", "
                + place(p);
    }

    private String name(Voicing v, Derived.Chord c) {
        return ChordNamer.name(v, Optional.of(model.key()), c.around()).symbol();
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
        long tick = model.lane().caretProperty().get();
        MeterMap.Place p = model.riff().meters().place(tick);
        String where = place(p) + (p.ticks() > 0 ? " and " + p.ticks() + " ticks" : "");
        Optional<Onset> here =
                model.derived().score().onsets().stream().filter(o -> o.at() == tick).findFirst();
        return where + ": " + here.map(this::onset).orElse("nothing struck");
    }

    private String onset(Onset o) {
        Fretboard b = model.riff().ground().board();
        String notes = o.notes().stream().map(n -> note(n, b)).collect(Collectors.joining(", "));
        String struck =
                model.lane()
                        .strokeAtCaret()
                        .map(Stroke::struck)
                        .map(s -> ", " + s.label())
                        .orElse("");
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
        Voicing v = model.shown().voicing();
        Readout r = model.shown().readoutProperty().get();
        List<Card> all = model.shown().cardsProperty().get();
        int i = model.shown().cardProperty().get();
        String which = i < 0 ? "shape by hand" : "shape " + (i + 1) + " of " + all.size();
        String places =
                i >= 0 && i < all.size()
                        ? ", place "
                                + (model.shown().placeProperty().get() + 1)
                                + " of "
                                + all.get(i).places().size()
                        : "";
        return which
                + ": "
                + r.name().symbol()
                + ", "
                + shape(v)
                + places
                + (model.shown().isInRiff() ? ", in the riff" : "");
    }

    private String fret() {
        Fretboard b = model.riff().ground().board();
        int string = model.neck().stringProperty().get();
        int fret = model.neck().fretProperty().get();
        Voicing v = model.shown().voicing();
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
                + model.key().note(b.midi(string, fret)).symbol()
                + ": "
                + held;
    }
}
