package vocalis.formats.musicxml;

import java.util.ArrayList;
import java.util.List;
import vocalis.core.instrument.Fretboard;
import vocalis.core.instrument.Instrument;
import vocalis.core.names.ChordSymbol;
import vocalis.core.rhythm.Meter;
import vocalis.core.rhythm.MeterMap;
import vocalis.core.rhythm.Notation;
import vocalis.core.rhythm.TempoMap;
import vocalis.core.rhythm.Ticks;
import vocalis.core.score.Dynamics;
import vocalis.core.score.Harmony;
import vocalis.core.score.Manner;
import vocalis.core.score.Score;
import vocalis.core.score.ScoreNote;
import vocalis.core.theory.Key;
import vocalis.core.theory.Note;
import vocalis.core.theory.Spelling;
import vocalis.formats.sheet.Sheet;
import vocalis.formats.sheet.Written;

/**
 * Writes MusicXML 4.0: each guitar as one part with a staff of notes and one of tab. What MusicXML
 * has no element for stands in {@code <other-play>} beside the nearest that it has.
 */
final class MusicXmlWriter {

    static final String DOCTYPE =
            "<!DOCTYPE score-partwise PUBLIC \"-//Recordare//DTD MusicXML 4.0 Partwise//EN\""
                    + " \"http://www.musicxml.org/dtds/partwise.dtd\">";

    /** Voices of the tab staff are numbered from here, as is usual. */
    private static final int TAB_VOICE = 5;

    private final XmlWriter x = new XmlWriter(DOCTYPE);
    private final MusicXmlNotations notations = new MusicXmlNotations(x);
    private final Sheet sheet;
    private final Key key;
    private MusicXmlPalms palms;

    MusicXmlWriter(Sheet sheet) {
        this.sheet = sheet;
        this.key = sheet.ground().key();
    }

    byte[] write() {
        x.open("score-partwise", "version", "4.0");
        x.open("work").leaf("work-title", sheet.title()).close();
        identification();
        x.open("part-list");
        for (int i = 0; i < sheet.guitars().size(); i++) {
            x.open("score-part", "id", "P" + (i + 1));
            x.leaf("part-name", sheet.guitars().get(i).name()).close();
        }
        x.close();
        for (int i = 0; i < sheet.guitars().size(); i++) {
            x.open("part", "id", "P" + (i + 1));
            palms = new MusicXmlPalms(x, sheet.guitars().get(i).score());
            part(sheet.guitars().get(i).score());
            x.close();
        }
        return x.close().bytes();
    }

    private void identification() {
        Instrument i = sheet.ground().instrument();
        x.open("identification").open("encoding").leaf("software", "Vocalis");
        x.empty("supports", "element", "accidental", "type", "no");
        x.empty("supports", "element", "beam", "type", "no");
        x.close().open("miscellaneous");
        field("vocalis-key", Names.written(key));
        field("vocalis-tuning", i.tuning().name());
        field("vocalis-frets", i.frets());
        field("vocalis-scale-mm", i.scaleMm());
        field("vocalis-left-handed", i.leftHanded());
        field("vocalis-gauge", i.gauge().name());
        field("vocalis-tone", sheet.ground().tone().name());
        field("vocalis-a4", sheet.ground().a4Hz());
        x.close().close();
    }

    private void field(String name, Object value) {
        x.leaf("miscellaneous-field", value, "name", name);
    }

    private void part(Score score) {
        MeterMap meters = score.time().meters();
        List<List<Written.Item>> voices = Written.voices(score);
        if (voices.isEmpty()) {
            voices.add(new ArrayList<>());
        }
        int bars = meters.bars(score.length());
        int first = meters.pickup() > 0 ? MeterMap.PICKUP_BAR : 0;
        for (int bar = first; bar < bars; bar++) {
            if (bar < 0) {
                x.open("measure", "number", "0", "implicit", "yes");
            } else {
                x.open("measure", "number", String.valueOf(bar + 1));
            }
            attributes(score, bar, bar == first);
            long start = meters.start(bar);
            long end = Math.min(score.length(), meters.end(bar));
            measure(score, voices, start, end);
            if (bar == bars - 1) {
                x.open("barline", "location", "right").leaf("bar-style", "light-heavy").close();
            }
            x.close();
        }
    }

    private void attributes(Score score, int bar, boolean first) {
        MeterMap meters = score.time().meters();
        Meter m = meters.meter(bar);
        boolean changes = bar > 0 && !m.equals(meters.meter(bar - 1));
        if (!first && !changes) {
            return;
        }
        x.open("attributes");
        if (first) {
            x.leaf("divisions", Ticks.QUARTER).open("key").leaf("fifths", Names.fifths(key));
            String like = Names.like(key.mode());
            x.leaf("mode", like).close();
        }
        x.open("time").leaf("beats", m.beats()).leaf("beat-type", m.unit()).close();
        if (first) {
            x.leaf("staves", 2);
            x.open("clef", "number", "1").leaf("sign", "G").leaf("line", 2);
            x.leaf("clef-octave-change", -1).close();
            x.open("clef", "number", "2").leaf("sign", "TAB").leaf("line", 5).close();
            tuning(score.board());
        }
        x.close();
    }

    private void tuning(Fretboard board) {
        x.open("staff-details", "number", "2").leaf("staff-lines", board.strings());
        for (int s = 0; s < board.strings(); s++) {
            Note open = note(board.instrument().tuning().open().get(s));
            x.open("staff-tuning", "line", String.valueOf(s + 1));
            x.leaf("tuning-step", open.spelling().letter().name());
            if (open.spelling().alter() != 0) {
                x.leaf("tuning-alter", open.spelling().alter());
            }
            x.leaf("tuning-octave", open.octave()).close();
        }
        if (board.capo() > 0) {
            x.leaf("capo", board.capo());
        }
        x.close();
    }

    private Note note(int midi) {
        return key.note(midi);
    }

    private void measure(Score score, List<List<Written.Item>> voices, long start, long end) {
        for (int staff = 1; staff <= 2; staff++) {
            for (int v = 0; v < voices.size(); v++) {
                if (staff > 1 || v > 0) {
                    x.open("backup").leaf("duration", end - start).close();
                }
                int number = v + (staff == 1 ? 1 : TAB_VOICE);
                boolean leads = staff == 1 && v == 0;
                voice(score, voices.get(v), start, end, number, staff, leads);
            }
        }
    }

    private void voice(
            Score score,
            List<Written.Item> items,
            long start,
            long end,
            int voice,
            int staff,
            boolean leads) {
        List<Written.Item> all = new ArrayList<>();
        long at = start;
        MeterMap meters = score.time().meters();
        for (Written.Item i : items) {
            if (i.at() >= start && i.at() < end) {
                all.addAll(Written.rests(at, i.at(), meters));
                all.add(i);
                at = i.end();
            }
        }
        all.addAll(Written.rests(at, end, meters));
        boolean second = voice != 1 && voice != TAB_VOICE;
        for (Written.Item i : all) {
            if (leads) {
                tempos(score, i);
                harmonies(score, i);
            }
            if (i.heads().isEmpty() && second) {
                x.open("forward").leaf("duration", i.value().ticks());
                x.leaf("voice", voice).leaf("staff", staff).close();
            } else if (i.heads().isEmpty()) {
                x.open("note").empty("rest").leaf("duration", i.value().ticks());
                x.leaf("voice", voice);
                value(i.value());
                x.leaf("staff", staff).close();
            } else {
                if (staff == 2) {
                    palms.before(i);
                }
                for (int h = 0; h < i.heads().size(); h++) {
                    note(score.board(), i, h, voice, staff);
                }
                if (staff == 2) {
                    palms.after(i);
                }
            }
        }
    }

    private void tempos(Score score, Written.Item i) {
        for (TempoMap.Change t : score.time().tempos().changes()) {
            if (t.at() >= i.at() && t.at() < i.end()) {
                x.open("direction", "placement", "above").open("direction-type");
                x.open("metronome").leaf("beat-unit", "quarter");
                x.leaf("per-minute", t.tempo()).close().close();
                offset(t.at() - i.at());
                x.empty("sound", "tempo", String.valueOf(t.tempo())).close();
            }
        }
    }

    private void offset(long ticks) {
        if (ticks > 0) {
            x.leaf("offset", ticks);
        }
    }

    private void harmonies(Score score, Written.Item i) {
        for (Harmony h : score.harmonies()) {
            if (h.at() >= i.at() && h.at() < i.end()) {
                x.open("harmony", "print-frame", "no");
                chord(h);
                offset(h.at() - i.at());
                x.close();
            }
        }
    }

    private void chord(Harmony h) {
        ChordSymbol symbol = null;
        try {
            symbol = ChordSymbol.parse(h.symbol());
        } catch (IllegalArgumentException e) {
            // A chord without a name is its root alone.
        }
        Spelling root = symbol == null ? key.spell(h.root()) : symbol.root();
        x.open("root").leaf("root-step", root.letter().name());
        alter("root-alter", root);
        x.close();
        if (symbol == null) {
            x.leaf("kind", "none");
            return;
        }
        String suffix = h.symbol().substring(root.symbol().length());
        if (symbol.bass().isPresent()) {
            suffix = suffix.substring(0, suffix.lastIndexOf('/'));
        }
        x.leaf("kind", Names.kind(suffix), "text", suffix);
        if (symbol.bass().isPresent()) {
            x.open("bass").leaf("bass-step", symbol.bass().get().letter().name());
            alter("bass-alter", symbol.bass().get());
            x.close();
        }
    }

    private void alter(String element, Spelling s) {
        if (s.alter() != 0) {
            x.leaf(element, s.alter());
        }
    }

    private void note(Fretboard board, Written.Item item, int index, int voice, int staff) {
        Written.Head h = item.heads().get(index);
        ScoreNote n = h.note();
        // The tab says the same once more: it is to be seen and not to be heard.
        x.open("note", "dynamics", staff == 2 ? "0" : loudness(n.dynamics()));
        if (index > 0) {
            x.empty("chord");
        }
        Note pitch = note(board.midi(n.string(), h.fret()));
        x.open("pitch").leaf("step", pitch.spelling().letter().name());
        alter("alter", pitch.spelling());
        x.leaf("octave", pitch.octave()).close();
        x.leaf("duration", item.value().ticks());
        if (h.tiedFrom()) {
            x.empty("tie", "type", "stop");
        }
        if (h.tiedTo()) {
            x.empty("tie", "type", "start");
        }
        x.leaf("voice", voice);
        value(item.value());
        if (n.manner() == Manner.DEAD) {
            x.leaf("notehead", "x");
        } else if (n.dynamics() == Dynamics.GHOST) {
            x.leaf("notehead", "normal", "parentheses", "yes");
        }
        x.leaf("staff", staff);
        notations.write(board, h, staff, index == 0);
        if (staff == 2) {
            notations.play(h);
        }
        x.close();
    }

    private static String loudness(Dynamics d) {
        return switch (d) {
            case GHOST -> "45";
            case SOFT -> "70";
            case PLAIN -> "100";
            case ACCENT -> "120";
        };
    }

    private void value(Notation.Value v) {
        if (!v.exact()) {
            return;
        }
        x.leaf("type", Names.type(v.plain()));
        for (int i = 0; i < v.dots(); i++) {
            x.empty("dot");
        }
        if (v.tuplet() != 1) {
            x.open("time-modification").leaf("actual-notes", v.tuplet());
            x.leaf("normal-notes", Integer.highestOneBit(v.tuplet())).close();
        }
    }
}
