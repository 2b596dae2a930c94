package vocalis.formats.musicxml;

import vocalis.core.instrument.Fretboard;
import vocalis.core.score.Dynamics;
import vocalis.core.score.Manner;
import vocalis.core.score.ScoreNote;
import vocalis.core.score.Technique;
import vocalis.formats.sheet.Written;

/** What stands about a note: ties, slides, fingers, and how it sounds exactly. */
final class MusicXmlNotations {

    private final XmlWriter x;

    MusicXmlNotations(XmlWriter x) {
        this.x = x;
    }

    /**
     * Writes them.
     *
     * @param leads whether it is the first of its chord, where signs stand for all of them: readers
     *     take one accent and one direction of the pick a chord
     */
    void write(Fretboard board, Written.Head h, int staff, boolean leads) {
        ScoreNote n = h.note();
        x.open("notations");
        if (h.tiedFrom()) {
            x.empty("tied", "type", "stop");
        }
        if (h.tiedTo()) {
            x.empty("tied", "type", "start");
        }
        if (h.first() && n.manner() == Manner.LET_RING) {
            x.empty("tied", "type", "let-ring");
        }
        if (h.arriving().isPresent() && h.arriving().get().kind() == Technique.Kind.SLIDE) {
            x.empty("slide", "type", "stop", "number", number(n));
        }
        if (h.leaving().isPresent() && h.leaving().get().kind() == Technique.Kind.SLIDE) {
            x.empty("slide", "type", "start", "number", number(n));
        }
        if (h.first()) {
            ornaments(n);
        }
        if (staff == 2) {
            technical(board, h);
        } else if (leads && h.first() && !n.tied()) {
            // Over the notes: readers know no signs of the pick on a tab.
            x.open("technical").empty(n.down() ? "down-bow" : "up-bow").close();
        }
        boolean marked = n.dynamics() == Dynamics.ACCENT || n.manner() == Manner.STACCATO;
        if (staff == 1 && leads && h.first() && marked) {
            x.open("articulations");
            if (n.dynamics() == Dynamics.ACCENT) {
                x.empty("accent");
            }
            if (n.manner() == Manner.STACCATO) {
                x.empty("staccato");
            }
            x.close();
        }
        x.close();
    }

    /** Slurs, slides and hammer-ons of different strings are told apart by number, 1 to 9. */
    private static String number(ScoreNote n) {
        return String.valueOf(Math.min(9, n.string() + 1));
    }

    private void ornaments(ScoreNote n) {
        for (Technique t : n.techniques()) {
            if (t.kind() == Technique.Kind.VIBRATO) {
                x.open("ornaments").empty("wavy-line", "type", "start").close();
                x.open("ornaments").empty("wavy-line", "type", "stop").close();
            }
            if (t.kind() == Technique.Kind.TREMOLO) {
                int marks = Math.max(1, 31 - Integer.numberOfLeadingZeros(t.to()));
                x.open("ornaments").leaf("tremolo", marks, "type", "single").close();
            }
        }
    }

    private void technical(Fretboard board, Written.Head h) {
        ScoreNote n = h.note();
        x.open("technical");
        x.leaf("fret", h.fret()).leaf("string", board.instrument().tuning().number(n.string()));
        h.arriving().ifPresent(t -> legato(t, "stop", n));
        h.leaving().ifPresent(t -> legato(t, "start", n));
        if (h.first()) {
            for (Technique t : n.techniques()) {
                if (t.kind() == Technique.Kind.BEND) {
                    x.open("bend").leaf("bend-alter", t.to() / 100.0).close();
                } else if (t.kind() == Technique.Kind.RELEASE) {
                    x.open("bend").leaf("bend-alter", t.to() / 100.0).empty("release").close();
                } else if (t.kind() == Technique.Kind.PINCH) {
                    x.open("harmonic").empty("artificial").close();
                }
            }
            if (n.plucked()) {
                x.leaf("pluck", "i");
            }
        }
        x.close();
    }

    private void legato(Technique t, String type, ScoreNote n) {
        if (t.kind() == Technique.Kind.HAMMER) {
            x.leaf("hammer-on", type.equals("start") ? "H" : "", "type", type, "number", number(n));
        } else if (t.kind() == Technique.Kind.PULL) {
            x.leaf("pull-off", type.equals("start") ? "P" : "", "type", type, "number", number(n));
        }
    }

    /** How it sounds, exactly. */
    void play(Written.Head h) {
        ScoreNote n = h.note();
        if (!h.first()) {
            return;
        }
        x.open("play");
        if (n.manner().palm()) {
            x.leaf("mute", "palm");
        }
        other("vocalis-manner", n.manner().name());
        other("vocalis-dynamics", n.dynamics().name());
        other("vocalis-rings", n.rings());
        other("vocalis-down", n.down());
        if (n.tied()) {
            other("vocalis-tied", "own");
        }
        for (Technique t : n.techniques()) {
            String exact =
                    String.join(
                            " ",
                            t.kind().name(),
                            String.valueOf(t.to()),
                            String.valueOf(t.after()),
                            String.valueOf(t.lasting()),
                            String.valueOf(t.hz()));
            other("vocalis-technique", exact);
        }
        x.close();
    }

    private void other(String type, Object value) {
        x.leaf("other-play", value, "type", type);
    }
}
