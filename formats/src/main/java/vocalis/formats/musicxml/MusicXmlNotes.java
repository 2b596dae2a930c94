package vocalis.formats.musicxml;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import vocalis.core.instrument.Fretboard;
import vocalis.core.rhythm.MeterMap;
import vocalis.core.rhythm.Ticks;
import vocalis.core.score.Manner;
import vocalis.core.score.Technique;
import vocalis.formats.FormatException;
import vocalis.formats.sheet.NoteDraft;

/** Makes notes of tab: ties joined, hammer-ons, pull-offs and slides made part of their note. */
final class MusicXmlNotes {

    private static final int USUAL_VIBRATO_CENTS = 30;
    private static final long USUAL_SLIDE = Ticks.SIXTEENTH / 2;
    private static final long USUAL_BEND = Ticks.SIXTEENTH;

    private final Fretboard board;
    private final MeterMap meters;

    MusicXmlNotes(Fretboard board, MeterMap meters) {
        this.board = board;
        this.meters = meters;
    }

    void drafts(List<ReadNote> read, XmlElement part, List<NoteDraft> to) throws FormatException {
        List<ReadNote> inTime = new ArrayList<>(read);
        inTime.sort(Comparator.comparingLong(ReadNote::at));
        Map<Long, Integer> struck = new HashMap<>();
        inTime.forEach(n -> struck.merge(n.at(), 1, Integer::sum));
        Map<Integer, NoteDraft> last = new HashMap<>();
        Map<Integer, Boolean> exact = new HashMap<>();
        Map<Integer, Integer> fret = new HashMap<>();
        for (ReadNote n : inTime) {
            int string = board.strings() - n.string();
            if (string < 0) {
                throw n.element()
                        .wrong(
                                "lies on string "
                                        + n.string()
                                        + ", but there are "
                                        + board.strings());
            }
            NoteDraft before = last.get(string);
            boolean follows = before != null && before.end() == n.at();
            Optional<Technique.Kind> move = follows ? arrives(n.element()) : Optional.empty();
            boolean goesOn =
                    follows
                            && n.tieStop()
                            && fret.get(string) == n.fret()
                            && !has(n.element(), "vocalis-tied");
            if (goesOn || move.isPresent()) {
                if (move.isPresent() && !exact.getOrDefault(string, false)) {
                    move(before, move.get(), n);
                }
                before.length += n.length();
                fret.put(string, n.fret());
                continue;
            }
            NoteDraft d = new NoteDraft(string, n.fret(), n.at(), n.length());
            exact.put(string, marks(d, n, struck.get(n.at()) > 1));
            d.tied = follows && n.tieStop();
            last.put(string, d);
            fret.put(string, n.fret());
            to.add(d);
        }
    }

    private static void move(NoteDraft before, Technique.Kind kind, ReadNote n) {
        long arrives = n.at() - before.at;
        boolean slide = kind == Technique.Kind.SLIDE;
        long lasting = slide ? Math.min(USUAL_SLIDE, arrives) : 0;
        Technique.Kind way =
                slide
                        ? kind
                        : n.fret() >= before.endFret()
                                ? Technique.Kind.HAMMER
                                : Technique.Kind.PULL;
        before.add(way, n.fret(), arrives - lasting, lasting);
    }

    /** The move that ends at a note. */
    private static Optional<Technique.Kind> arrives(XmlElement note) {
        for (XmlElement n : note.all("notations")) {
            for (XmlElement s : n.all("slide")) {
                if (s.is("type", "stop")) {
                    return Optional.of(Technique.Kind.SLIDE);
                }
            }
            for (XmlElement t : n.all("technical")) {
                for (XmlElement e : t.children()) {
                    boolean legato = e.name().equals("hammer-on") || e.name().equals("pull-off");
                    if (legato && e.is("type", "stop")) {
                        return Optional.of(Technique.Kind.HAMMER);
                    }
                }
            }
        }
        return Optional.empty();
    }

    private static boolean has(XmlElement note, String type) {
        return note.all("play").stream()
                .flatMap(p -> p.all("other-play").stream())
                .anyMatch(o -> o.is("type", type));
    }

    /** What stands beside a note; gives whether its techniques were told exactly. */
    private boolean marks(NoteDraft d, ReadNote n, boolean chord) {
        XmlElement e = n.element();
        d.dynamics = n.dynamics();
        d.rings = chord;
        d.down = NoteDraft.usuallyDown(n.at(), meters);
        if (e.find("notehead").filter(h -> h.text().equals("x")).isPresent()) {
            d.manner = Manner.DEAD;
        }
        if (n.palm()) {
            d.manner = Manner.PALM;
        }
        n.leader().all("notations").forEach(x -> ofChord(d, x));
        for (XmlElement notations : e.all("notations")) {
            notations(d, notations);
        }
        boolean exact = false;
        for (XmlElement p : e.all("play")) {
            if (p.find("mute").filter(m -> m.text().equals("palm")).isPresent()) {
                d.manner = Manner.PALM;
            }
            for (XmlElement o : p.all("other-play")) {
                exact |= o.is("type", "vocalis-manner");
            }
        }
        if (exact) {
            d.techniques.clear();
            for (XmlElement p : e.all("play")) {
                p.all("other-play").forEach(o -> exactly(d, o));
            }
        }
        return exact;
    }

    private static void exactly(NoteDraft d, XmlElement o) {
        try {
            switch (o.attribute("type").orElse("")) {
                case "vocalis-manner" -> d.manner = Manner.valueOf(o.text());
                case "vocalis-rings" -> d.rings = o.text().equals("true");
                case "vocalis-down" -> d.down = o.text().equals("true");
                case "vocalis-technique" -> {
                    String[] t = o.text().split(" ");
                    d.techniques.add(
                            new Technique(
                                    Technique.Kind.valueOf(t[0]),
                                    Integer.parseInt(t[1]),
                                    Long.parseLong(t[2]),
                                    Long.parseLong(t[3]),
                                    Double.parseDouble(t[4])));
                }
                default -> {}
            }
        } catch (IllegalArgumentException | ArrayIndexOutOfBoundsException e) {
            // Somebody edited it: what the notation itself says stays.
            return;
        }
    }

    /** Signs that stand once for all notes of a chord. */
    private static void ofChord(NoteDraft d, XmlElement notations) {
        for (XmlElement a : notations.all("articulations")) {
            if (a.has("staccato") || a.has("staccatissimo")) {
                d.manner = Manner.STACCATO;
            }
        }
        for (XmlElement t : notations.all("technical")) {
            d.down = t.has("down-bow") || !t.has("up-bow") && d.down;
        }
    }

    private void notations(NoteDraft d, XmlElement notations) {
        if (notations.all("tied").stream().anyMatch(t -> t.is("type", "let-ring"))) {
            d.manner = Manner.LET_RING;
        }
        for (XmlElement o : notations.all("ornaments")) {
            if (o.all("wavy-line").stream().anyMatch(w -> w.is("type", "start"))) {
                d.add(Technique.Kind.VIBRATO, USUAL_VIBRATO_CENTS, 0, 0);
            }
            o.find("tremolo")
                    .filter(t -> t.text().matches("[1-4]"))
                    .ifPresent(
                            t ->
                                    d.add(
                                            Technique.Kind.TREMOLO,
                                            1 << Integer.parseInt(t.text()),
                                            0,
                                            0));
        }
        for (XmlElement t : notations.all("technical")) {
            technical(d, t);
        }
    }

    private static void technical(NoteDraft d, XmlElement t) {
        d.plucked |= t.has("pluck");
        long at = 0;
        for (XmlElement e : t.children()) {
            switch (e.name()) {
                case "bend" -> {
                    double semitones = 0;
                    try {
                        semitones = e.get("bend-alter").number(-12, 12);
                    } catch (FormatException x) {
                        semitones = 2;
                    }
                    int cents = (int) Math.round(100 * Math.abs(semitones));
                    if (e.has("release")) {
                        d.add(Technique.Kind.RELEASE, 0, d.length / 2, USUAL_BEND);
                    } else if (cents > 0) {
                        d.add(Technique.Kind.BEND, cents, at, Math.min(USUAL_BEND, d.length));
                    }
                }
                case "harmonic" -> {
                    if (e.has("artificial")) {
                        d.add(Technique.Kind.PINCH, 2, 0, 0);
                    }
                }
                case "other-technical" -> {
                    String words = e.text().toLowerCase(Locale.ROOT);
                    if (words.contains("palm") || words.equals("p.m.") || words.equals("pm")) {
                        d.manner = Manner.PALM;
                    } else if (words.contains("vibrato")) {
                        d.add(Technique.Kind.VIBRATO, USUAL_VIBRATO_CENTS, 0, 0);
                    }
                }
                default -> {}
            }
        }
    }
}
