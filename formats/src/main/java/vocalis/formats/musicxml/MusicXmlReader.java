package vocalis.formats.musicxml;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import vocalis.core.instrument.Fretboard;
import vocalis.core.instrument.Gauge;
import vocalis.core.instrument.Instrument;
import vocalis.core.instrument.Tuning;
import vocalis.core.pattern.Limits;
import vocalis.core.rhythm.MeterMap;
import vocalis.core.rhythm.TempoMap;
import vocalis.core.rhythm.TimeLine;
import vocalis.core.riff.Ground;
import vocalis.core.riff.Tone;
import vocalis.core.score.Harmony;
import vocalis.core.score.Score;
import vocalis.core.theory.Key;
import vocalis.core.unpick.Placer;
import vocalis.formats.FormatException;
import vocalis.formats.sheet.Imported;
import vocalis.formats.sheet.NoteDraft;
import vocalis.formats.sheet.Played;
import vocalis.formats.sheet.Sheet;

/** Reads MusicXML, whoever wrote it: tab where there is one, else notes that are fingered here. */
final class MusicXmlReader {

    private static final int USUAL_TEMPO = 120;
    private static final int MOST_NOTES = Limits.MOST_STRUCK * 4;

    private final XmlElement root;
    private final Map<String, String> fields = new LinkedHashMap<>();
    private final Set<String> remarks = new LinkedHashSet<>();
    private Key key;
    private boolean fingered = true;
    private boolean harmonies;
    private boolean keyed;

    MusicXmlReader(XmlElement root) {
        this.root = root;
    }

    Imported read() throws FormatException {
        if (root.name().equals("score-timewise")) {
            throw root.wrong("is written bar by bar; export it as score-partwise, which is usual");
        }
        if (!root.name().equals("score-partwise")) {
            throw root.wrong("is no score; a MusicXML file begins with <score-partwise>");
        }
        readFields();
        Map<String, String> names = names();
        List<Sheet.Guitar> guitars = new ArrayList<>();
        Ground ground = null;
        for (XmlElement p : root.all("part")) {
            MusicXmlPart part = new MusicXmlPart(p, remarks);
            boolean empty = part.notes().isEmpty() && part.tuning().isEmpty();
            if (empty || guitars.size() == Sheet.MOST_GUITARS) {
                continue;
            }
            guitars.add(guitar(p, part, names, guitars.size() + 1));
            Fretboard board = guitars.get(guitars.size() - 1).score().board();
            ground = ground == null ? ground(p, board) : ground;
        }
        if (guitars.isEmpty()) {
            throw root.wrong("holds no part with notes");
        }
        Sheet sheet = new Sheet(title(), ground, guitars);
        if (!fingered) {
            remarks.add("The file has no tab: strings and frets were chosen here.");
        }
        return new Imported(sheet, List.copyOf(remarks), fingered, harmonies, keyed);
    }

    private void readFields() throws FormatException {
        for (XmlElement misc : root.all("identification")) {
            for (XmlElement m : misc.all("miscellaneous")) {
                for (XmlElement f : m.all("miscellaneous-field")) {
                    f.attribute("name").ifPresent(n -> fields.put(n, f.text()));
                }
            }
        }
    }

    /** The names of the parts by their ids, as the file lists them. */
    private Map<String, String> names() throws FormatException {
        Map<String, String> names = new LinkedHashMap<>();
        for (XmlElement p :
                root.find("part-list").map(l -> l.all("score-part")).orElse(List.of())) {
            String id = p.attribute("id").orElse("");
            names.put(id, p.find("part-name").map(XmlElement::text).orElse(id));
        }
        return names;
    }

    private Sheet.Guitar guitar(
            XmlElement p, MusicXmlPart part, Map<String, String> names, int number)
            throws FormatException {
        if (part.notes().size() > MOST_NOTES) {
            throw p.wrong("has more than " + MOST_NOTES + " notes");
        }
        if (key == null) {
            key = key(part);
        }
        Score score = score(p, part);
        String id = p.attribute("id").orElse("");
        if (!names.containsKey(id)) {
            remarks.add(
                    "The part \""
                            + id
                            + "\" does not stand in the file's list of parts; it was read.");
        }
        String name = names.getOrDefault(id, "");
        return new Sheet.Guitar(name.isBlank() ? "Guitar " + number : name, score);
    }

    private String title() {
        String title =
                root.find("work", "work-title")
                        .or(() -> root.find("movement-title"))
                        .map(XmlElement::text)
                        .orElse("");
        return title.isBlank() ? "Imported" : title.substring(0, Math.min(200, title.length()));
    }

    private Key key(MusicXmlPart part) {
        keyed = part.keyed() || fields.containsKey("vocalis-key");
        return Optional.ofNullable(fields.get("vocalis-key"))
                .flatMap(Names::readKey)
                .orElseGet(() -> Names.key(part.fifths(), part.mode()));
    }

    private Ground ground(XmlElement part, Fretboard board) throws FormatException {
        Tone tone = Tone.GAIN;
        double a4 = 440;
        try {
            tone = Tone.valueOf(fields.getOrDefault("vocalis-tone", "GAIN"));
            a4 = Double.parseDouble(fields.getOrDefault("vocalis-a4", "440"));
        } catch (IllegalArgumentException e) {
            remarks.add("Tone and tuning standard could not be read.");
        }
        try {
            return new Ground(board.instrument(), board.capo(), key, tone, a4);
        } catch (IllegalArgumentException e) {
            throw part.wrong("cannot be played here: " + e.getMessage());
        }
    }

    private Score score(XmlElement p, MusicXmlPart part) throws FormatException {
        MeterMap meters = MeterMap.ofBars(part.meters(), part.pickup());
        boolean tab = part.notes().isEmpty() || part.notes().stream().anyMatch(ReadNote::onTab);
        List<NoteDraft> drafts = new ArrayList<>();
        Fretboard board;
        if (tab) {
            board = board(p, part);
            List<ReadNote> read = part.notes().stream().filter(ReadNote::onTab).toList();
            new MusicXmlNotes(board, meters).drafts(read, p, drafts);
            disagreeing(read, board, meters);
        } else {
            board = fingered(p, part, meters, drafts);
        }
        try {
            TempoMap tempos = tempos(part);
            return new Score(
                    board,
                    new TimeLine(meters, tempos),
                    part.length(),
                    NoteDraft.apart(drafts),
                    harmonies(part));
        } catch (IllegalArgumentException e) {
            throw p.wrong("cannot be read as a score: " + e.getMessage());
        }
    }

    /** Notes without places on the neck are given to a hand. */
    private Fretboard fingered(
            XmlElement p, MusicXmlPart part, MeterMap meters, List<NoteDraft> drafts)
            throws FormatException {
        Fretboard board;
        fingered = false;
        List<Played> played = new ArrayList<>();
        TreeMap<Integer, Played> open = new TreeMap<>();
        List<ReadNote> inTime = new ArrayList<>(part.notes());
        inTime.sort(Comparator.comparingLong(ReadNote::at));
        for (ReadNote n : inTime) {
            Played before = open.get(n.midi());
            boolean goesOn =
                    n.tieStop() && before != null && before.at() + before.length() == n.at();
            if (goesOn) {
                played.remove(before);
            }
            Played now =
                    goesOn
                            ? new Played(
                                    n.midi(),
                                    before.at(),
                                    before.length() + n.length(),
                                    before.dynamics())
                            : new Played(n.midi(), n.at(), n.length(), n.dynamics());
            played.add(now);
            open.put(n.midi(), now);
        }
        int lowest = played.stream().mapToInt(Played::midi).min().orElse(40);
        board = part.tuning().isEmpty() ? Placer.board(lowest) : board(p, part);
        Played.place(played, board, meters, drafts).ifPresent(remarks::add);
        return board;
    }

    /** Notes whose string and fret sound another note than is written, octaves aside. */
    private void disagreeing(List<ReadNote> read, Fretboard board, MeterMap meters) {
        int count = 0;
        int bar = 0;
        for (ReadNote n : read) {
            int string = board.strings() - n.string();
            boolean there = string >= 0 && string < board.strings() && n.midi() >= 0;
            if (there && (board.midi(string, n.fret()) - n.midi()) % 12 != 0) {
                bar = count++ == 0 ? meters.bar(n.at()) + 1 : bar;
            }
        }
        if (count > 0) {
            remarks.add(
                    (count == 1
                                    ? "A note's fret and its pitch disagree"
                                    : "The fret and the pitch of " + count + " notes disagree")
                            + " (first in bar "
                            + bar
                            + "): the fret was taken.");
        }
    }

    private TempoMap tempos(MusicXmlPart part) {
        List<TempoMap.Change> changes = new ArrayList<>();
        part.tempos()
                .forEach(
                        (at, tempo) -> {
                            if (changes.isEmpty() && at > 0) {
                                changes.add(new TempoMap.Change(0, USUAL_TEMPO));
                            }
                            changes.add(new TempoMap.Change(at, tempo));
                        });
        if (changes.isEmpty()) {
            remarks.add("The file says no tempo; 120 was taken.");
            return TempoMap.of(USUAL_TEMPO);
        }
        return new TempoMap(changes.subList(0, Math.min(TempoMap.MOST_CHANGES, changes.size())));
    }

    private List<Harmony> harmonies(MusicXmlPart part) {
        List<ReadChord> chords = part.chords();
        List<Harmony> all = new ArrayList<>();
        for (int i = 0; i < chords.size(); i++) {
            ReadChord c = chords.get(i);
            long end = i + 1 < chords.size() ? chords.get(i + 1).at() : part.length();
            if (end > c.at()) {
                all.add(
                        new Harmony(
                                c.at(), end - c.at(), c.root(), c.bass(), c.symbol(), List.of()));
            }
        }
        harmonies |= !all.isEmpty();
        return all;
    }

    private Fretboard board(XmlElement p, MusicXmlPart part) throws FormatException {
        try {
            List<Integer> open = part.tuning().isEmpty() ? Tuning.STANDARD.open() : part.tuning();
            if (part.tuning().isEmpty()) {
                remarks.add("The file says no tuning; standard tuning was taken.");
            }
            String named = fields.getOrDefault("vocalis-tuning", "");
            Tuning tuning =
                    Tuning.offered().stream()
                            .filter(
                                    t ->
                                            t.open().equals(open)
                                                    && (named.isEmpty() || t.name().equals(named)))
                            .findFirst()
                            .orElseGet(
                                    () -> {
                                        Tuning t = new Tuning("imported", open);
                                        return new Tuning(
                                                named.isBlank() ? t.letters() : named, open);
                                    });
            Instrument usual = Instrument.of(tuning);
            int highest =
                    part.notes().stream()
                            .filter(ReadNote::onTab)
                            .mapToInt(n -> n.fret() + part.capo())
                            .max()
                            .orElse(0);
            int frets =
                    Math.max(
                            highest,
                            Integer.parseInt(
                                    fields.getOrDefault("vocalis-frets", "" + usual.frets())));
            Instrument instrument =
                    new Instrument(
                            tuning,
                            frets,
                            Double.parseDouble(
                                    fields.getOrDefault("vocalis-scale-mm", "" + usual.scaleMm())),
                            Boolean.parseBoolean(fields.get("vocalis-left-handed")),
                            Gauge.valueOf(fields.getOrDefault("vocalis-gauge", "USUAL")));
            return new Fretboard(instrument, part.capo());
        } catch (IllegalArgumentException e) {
            throw p.wrong("is for an instrument that is not known here: " + e.getMessage());
        }
    }
}
