package vocalis.core.vary;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import vocalis.core.derive.Derived;
import vocalis.core.edit.Scope;
import vocalis.core.edit.Strokes;
import vocalis.core.edit.Touches;
import vocalis.core.hands.Fingering;
import vocalis.core.instrument.Fretboard;
import vocalis.core.pattern.Anchor;
import vocalis.core.pattern.Event;
import vocalis.core.pattern.EventOverride;
import vocalis.core.pattern.Figure;
import vocalis.core.pattern.LineNote;
import vocalis.core.pattern.LinePitch;
import vocalis.core.pattern.Pass;
import vocalis.core.pattern.Pattern;
import vocalis.core.pattern.Stroke;
import vocalis.core.pattern.Touch;
import vocalis.core.rhythm.Ticks;
import vocalis.core.riff.Lines;
import vocalis.core.riff.Riff;
import vocalis.core.scale.Fills;
import vocalis.core.score.Manner;
import vocalis.core.score.Onset;
import vocalis.core.score.ScoreNote;
import vocalis.core.theory.Key;
import vocalis.core.theory.Mode;

/** Moves that play the same chords otherwise. */
final class Patterns {

    private Patterns() {}

    private static Riff everyFigure(Riff riff, UnaryOperator<Event> change) {
        Pattern p = riff.pattern();
        List<Figure> figures = new ArrayList<>();
        for (Figure f : p.figures()) {
            figures.add(f.playing(f.events().stream().map(change).toList()));
        }
        List<EventOverride> overrides = new ArrayList<>();
        for (EventOverride o : p.overrides()) {
            overrides.add(new EventOverride(o.figure(), o.pass(), change.apply(o.event())));
        }
        return riff.withPattern(
                new Pattern(figures, p.order(), p.offset(), p.restart(), overrides));
    }

    /** What rang under the palm, what was muted ringing. */
    static Riff ringingOrMuted(Riff riff) {
        return everyFigure(riff, Patterns::palmOnOrOff);
    }

    private static Event palmOnOrOff(Event e) {
        if (e instanceof Stroke s && s.manner() != Manner.DEAD) {
            return s.played(s.muted() ? Manner.PLAIN : Manner.PALM);
        }
        if (e instanceof LineNote n && n.manner() != Manner.DEAD) {
            return n.played(n.manner() == Manner.PALM ? Manner.PLAIN : Manner.PALM);
        }
        return e;
    }

    /** An eighth late. */
    static Riff displaced(Riff riff) {
        Pattern p = riff.pattern();
        return riff.withPattern(p.late(p.offset() + Ticks.EIGHTH));
    }

    /** Each pass of a figure plays its line a step of the scale higher, four steps around. */
    static Riff sequenced(Riff riff) {
        Riff out = riff;
        java.util.Map<String, Integer> played = new java.util.HashMap<>();
        for (Pass pass : riff.passes()) {
            int nth = played.merge(pass.figure().id(), 1, Integer::sum) - 1;
            for (Event e : pass.events()) {
                if (e instanceof LineNote n && nth % 4 > 0) {
                    LinePitch up = Lines.stepped(riff.ground(), n.pitch(), nth % 4);
                    out =
                            Strokes.change(
                                    out,
                                    pass.start() + e.at(),
                                    x -> n.sounding(up),
                                    Scope.THIS_PASS);
                }
            }
        }
        return out;
    }

    /** The line of every figure turned upside down about its first note. */
    static Riff mirrored(Riff riff) {
        Pattern p = riff.pattern();
        List<Figure> figures = new ArrayList<>();
        for (Figure f : p.figures()) {
            Optional<LinePitch.Degree> first =
                    f.events().stream()
                            .filter(
                                    e ->
                                            e instanceof LineNote n
                                                    && n.pitch() instanceof LinePitch.Degree)
                            .map(e -> (LinePitch.Degree) ((LineNote) e).pitch())
                            .findFirst();
            figures.add(
                    first.isEmpty()
                            ? f
                            : f.playing(
                                    f.events().stream()
                                            .map(e -> mirrored(riff, e, first.get()))
                                            .toList()));
        }
        return riff.withPattern(
                new Pattern(figures, p.order(), p.offset(), p.restart(), p.overrides()));
    }

    private static Event mirrored(Riff riff, Event e, LinePitch.Degree about) {
        if (!(e instanceof LineNote n) || !(n.pitch() instanceof LinePitch.Degree d)) {
            return e;
        }
        int notes = Math.min(7, riff.ground().key().mode().size());
        int up = (d.octave() - about.octave()) * notes + d.degree() - about.degree();
        return n.sounding(Lines.stepped(riff.ground(), about, -up));
    }

    private static Anchor top(Onset o, boolean everyPass) {
        return new Anchor(
                o.origin().orElseThrow().figure(),
                o.origin().orElseThrow().event(),
                everyPass ? Optional.empty() : Optional.of(o.origin().orElseThrow().pass()),
                new Anchor.Voice.FromTop(0));
    }

    private static ScoreNote highest(Onset o, Fretboard board) {
        ScoreNote top = o.notes().get(0);
        for (ScoreNote n : o.notes()) {
            top = board.midi(n.string(), n.fret()) > board.midi(top.string(), top.fret()) ? n : top;
        }
        return top;
    }

    /** The first stroke of each chord: its top note hammered on from the scale note below. */
    static Riff hammeredInto(Riff riff, Derived derived) {
        Fretboard board = riff.ground().board();
        Key key = riff.ground().key();
        Riff out = riff;
        int last = -1;
        for (Onset o : derived.score().onsets()) {
            int chord = derived.score().harmonyAt(o.at());
            if (chord == last || o.origin().isEmpty() || o.muted()) {
                continue;
            }
            last = chord;
            ScoreNote top = highest(o, board);
            int below = key.contains(board.midi(top.string(), top.fret()) - 1) ? 1 : 2;
            if (top.fret() > below && top.techniques().isEmpty()) {
                Anchor a = top(o, false);
                long soon = Math.min(o.length() / 2, Ticks.SIXTEENTH);
                out = Touches.put(out, new Touch.Moved(a, -below));
                out = Touches.put(out, new Touch.Legato(a, List.of(new Touch.Step(below, soon))));
            }
        }
        return out;
    }

    /** Whether the finger on a string holds no other: lifting it lifts one string. */
    private static boolean alone(Derived derived, int chord, int string) {
        return derived.chord(chord).candidate().fingering().presses().stream()
                .filter(p -> p.lowString() <= string && p.highString() >= string)
                .noneMatch(Fingering.Press::barre);
    }

    /** The last stroke of each chord: its top note pulled off to the open string. */
    static Riff pulledToOpen(Riff riff, Derived derived) {
        Fretboard board = riff.ground().board();
        Key key = riff.ground().key();
        Riff out = riff;
        List<Onset> all = derived.score().onsets();
        for (int i = 0; i < all.size(); i++) {
            Onset o = all.get(i);
            int chord = derived.score().harmonyAt(o.at());
            boolean ends =
                    i + 1 == all.size() || derived.score().harmonyAt(all.get(i + 1).at()) != chord;
            ScoreNote top = highest(o, board);
            boolean fits =
                    key.contains(board.midi(top.string(), 0))
                            && alone(derived, chord, top.string());
            if (ends
                    && fits
                    && o.origin().isPresent()
                    && !o.muted()
                    && top.fret() > 0
                    && top.techniques().isEmpty()) {
                Touch.Step off = new Touch.Step(-top.fret(), o.length() / 2);
                out = Touches.put(out, new Touch.Legato(top(o, false), List.of(off)));
            }
        }
        return out;
    }

    /** A fill out of the minor or major five-note scale in the last half bar, to the first root. */
    static Riff pentatonicFill(Derived derived) {
        Riff riff = derived.riff();
        Key key = riff.ground().key();
        boolean minor = key.contains(key.tonic().pitchClass() + 3);
        Mode five = Mode.named(minor ? "minor pentatonic" : "major pentatonic").orElseThrow();
        Key scale = new Key(key.tonic(), five);
        long bar = riff.meters().meter(riff.bars() - 1).barTicks();
        long from = Math.max(riff.start(riff.roots().size() - 1), riff.length() - bar / 2);
        return Fills.box(derived, scale, from)
                .flatMap(
                        b ->
                                Fills.of(derived, b, from, Walks.subdivision(derived)).stream()
                                        .findFirst())
                .map(f -> f.in(riff))
                .orElse(riff);
    }
}
