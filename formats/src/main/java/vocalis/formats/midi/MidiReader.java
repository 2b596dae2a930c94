package vocalis.formats.midi;

import java.nio.charset.StandardCharsets;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.Deque;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import javax.sound.midi.MetaMessage;
import javax.sound.midi.MidiEvent;
import javax.sound.midi.MidiMessage;
import javax.sound.midi.Sequence;
import javax.sound.midi.ShortMessage;
import javax.sound.midi.Track;
import vocalis.core.instrument.Fretboard;
import vocalis.core.instrument.Instrument;
import vocalis.core.instrument.Tuning;
import vocalis.core.names.ChordSymbol;
import vocalis.core.pattern.Limits;
import vocalis.core.rhythm.Meter;
import vocalis.core.rhythm.MeterMap;
import vocalis.core.rhythm.TempoMap;
import vocalis.core.rhythm.Ticks;
import vocalis.core.rhythm.TimeLine;
import vocalis.core.riff.Ground;
import vocalis.core.riff.Tone;
import vocalis.core.score.Harmony;
import vocalis.core.score.Score;
import vocalis.core.score.Technique;
import vocalis.core.theory.Key;
import vocalis.core.theory.Spelling;
import vocalis.core.unpick.Placer;
import vocalis.formats.FormatException;
import vocalis.formats.sheet.Imported;
import vocalis.formats.sheet.NoteDraft;
import vocalis.formats.sheet.Played;
import vocalis.formats.sheet.Sheet;

/** Reads the notes of a sequence: strings and frets as its text says, otherwise chosen here. */
final class MidiReader {

    private static final int DRUMS = 9;
    private static final int MOST_NOTES = 4 * Limits.MOST_STRUCK;

    /** Controller that sets the wheel's range, after its parameter was chosen. */
    private static final int RANGE = 6;

    private static final int LEAST_BEND = 25;
    private static final int MOST_BEND = 400;

    /** More places within a beat than this is a hand, not a score. */
    private static final int WRITTEN_PLACES = 24;

    /** What a played file is brought to: sixteenths and triplets both lie on it. */
    private static final long GRID = Ticks.QUARTER / 12;

    /** A note as it sounds. */
    private record Heard(int channel, int midi, long at, long end, int velocity) {}

    /** Where a channel's wheel stands from a tick on, in cents at the usual range. */
    private final Map<Integer, TreeMap<Long, Integer>> wheels = new HashMap<>();

    /** Semitones that a channel's wheel goes; two unless the file says otherwise. */
    private final Map<Integer, Integer> ranges = new HashMap<>();

    private final Sequence sequence;
    private final Set<String> remarks = new LinkedHashSet<>();
    private final TreeMap<Long, Integer> tempos = new TreeMap<>();
    private final TreeMap<Long, Meter> meters = new TreeMap<>();
    private final TreeMap<Long, String> markers = new TreeMap<>();
    private String title = "";
    private Key key = Key.parse("C major");
    private boolean fingered = true;
    private boolean keyed;

    /** Ticks before the first bar as the file says; −1 where it says nothing. */
    private long saysPickup = -1;

    MidiReader(Sequence sequence) {
        this.sequence = sequence;
    }

    Imported read() throws FormatException {
        Map<String, List<Heard>> guitars = new LinkedHashMap<>();
        Map<String, String> strings = new HashMap<>();
        for (int i = 0; i < sequence.getTracks().length; i++) {
            track(i, sequence.getTracks()[i], guitars, strings);
        }
        if (guitars.isEmpty()) {
            throw new FormatException("the MIDI file holds no notes but those of drums");
        }
        snap(guitars);
        long last = last(guitars.values());
        TimeLine time = time(last);
        long length = time.meters().end(Math.max(0, time.meters().bars(last) - 1));
        List<Sheet.Guitar> all = new ArrayList<>();
        for (Map.Entry<String, List<Heard>> g : guitars.entrySet()) {
            if (all.size() < Sheet.MOST_GUITARS) {
                Score score = score(g.getValue(), strings.get(g.getKey()), time, length);
                all.add(new Sheet.Guitar(g.getKey(), score));
            } else {
                remarks.add("Tracks past the eighth were left out.");
            }
        }
        Fretboard board = all.get(0).score().board();
        Ground ground;
        try {
            ground = new Ground(board.instrument(), board.capo(), key, Tone.GAIN, 440);
        } catch (IllegalArgumentException e) {
            throw new FormatException("the MIDI file is for no guitar: " + e.getMessage(), e);
        }
        if (!fingered) {
            remarks.add("MIDI says no strings: strings and frets were chosen here.");
        }
        boolean chords = !all.get(0).score().harmonies().isEmpty();
        String name =
                title.isBlank() ? "Imported" : title.substring(0, Math.min(200, title.length()));
        return new Imported(
                new Sheet(name, ground, all), List.copyOf(remarks), fingered, chords, keyed);
    }

    /** A file that we wrote ends where its riff does, rests included. */
    private long last(Collection<List<Heard>> guitars) {
        long last = saysPickup >= 0 ? ticks(sequence.getTracks()[0].ticks()) : 0;
        for (List<Heard> notes : guitars) {
            for (Heard n : notes) {
                last = Math.max(last, n.end());
            }
        }
        return last;
    }

    private long ticks(long midiTicks) {
        return Math.round((double) midiTicks * Ticks.QUARTER / sequence.getResolution());
    }

    private static String unique(String name, int index, Set<String> taken) {
        String unique = name.isBlank() ? "Track " + (index + 1) : name;
        while (taken.contains(unique)) {
            unique += " (" + (index + 1) + ")";
        }
        return unique;
    }

    private void within(long midiTicks) throws FormatException {
        if (ticks(midiTicks) > Limits.LONGEST_FIGURE * 2) {
            throw new FormatException(
                    "the MIDI file is longer than "
                            + Limits.MOST_BARS
                            + " bars; export a part of it");
        }
    }

    private void track(
            int index, Track track, Map<String, List<Heard>> guitars, Map<String, String> strings)
            throws FormatException {
        List<Heard> notes = new ArrayList<>();
        Map<Integer, Deque<MidiEvent>> open = new TreeMap<>();
        String name = "";
        String says = "";
        long end = 0;
        for (int i = 0; i < track.size(); i++) {
            MidiEvent e = track.get(i);
            MidiMessage m = e.getMessage();
            end = Math.max(end, e.getTick());
            within(e.getTick());
            if (m instanceof MetaMessage meta) {
                String text = new String(meta.getData(), StandardCharsets.UTF_8).strip();
                if (meta.getType() == MidiWriter.NAME) {
                    name = text;
                    title = index == 0 ? text : title;
                } else if (meta.getType() == MidiWriter.TEXT
                        && text.startsWith(MidiWriter.STRINGS + " ")) {
                    says = text;
                } else if (meta.getType() == MidiWriter.TEXT
                        && text.matches(MidiWriter.PICKUP + " \\d{1,9}")) {
                    saysPickup = Long.parseLong(text.substring(MidiWriter.PICKUP.length() + 1));
                } else {
                    meta(meta, ticks(e.getTick()), text);
                }
            } else if (m instanceof ShortMessage s && s.getChannel() != DRUMS) {
                note(e, s, open, notes);
            } else if (m instanceof ShortMessage s && s.getCommand() == ShortMessage.NOTE_ON) {
                remarks.add("Drums were left out.");
            }
        }
        unended(open, end, notes);
        if (notes.isEmpty() && says.isEmpty()) {
            return;
        }
        if (notes.size() > MOST_NOTES) {
            throw new FormatException(
                    "track " + (index + 1) + " has more than " + MOST_NOTES + " notes");
        }
        String unique = unique(name, index, guitars.keySet());
        guitars.put(unique, notes);
        strings.put(unique, says);
    }

    /** Notes that the file never ends sound to its end, a beat at least. */
    private void unended(Map<Integer, Deque<MidiEvent>> open, long end, List<Heard> notes) {
        int without = 0;
        for (Deque<MidiEvent> same : open.values()) {
            for (MidiEvent on : same) {
                close(on, Math.max(end, on.getTick() + sequence.getResolution()), notes);
                without++;
            }
        }
        if (without > 0) {
            remarks.add(
                    without == 1
                            ? "A note that the file does not end sounds to its end."
                            : without + " notes that the file does not end sound to its end.");
        }
    }

    private void note(
            MidiEvent e, ShortMessage s, Map<Integer, Deque<MidiEvent>> open, List<Heard> notes) {
        int command = s.getCommand();
        if (command == ShortMessage.PITCH_BEND) {
            int value = (s.getData2() << 7 | s.getData1()) - 8192;
            int range = ranges.getOrDefault(s.getChannel(), 2);
            int cents = (int) Math.round(value * 100.0 * range / 8192);
            wheels.computeIfAbsent(s.getChannel(), c -> new TreeMap<>())
                    .put(ticks(e.getTick()), cents);
        } else if (command == ShortMessage.CONTROL_CHANGE && s.getData1() == RANGE) {
            ranges.put(s.getChannel(), Math.max(1, Math.min(24, s.getData2())));
        }
        if (command != ShortMessage.NOTE_ON && command != ShortMessage.NOTE_OFF) {
            return;
        }
        int id = s.getChannel() << 8 | s.getData1();
        Deque<MidiEvent> same = open.computeIfAbsent(id, k -> new ArrayDeque<>());
        if (command == ShortMessage.NOTE_ON && s.getData2() > 0) {
            same.add(e);
        } else if (!same.isEmpty()) {
            // Of several on one key the one that began first ends first.
            close(same.remove(), e.getTick(), notes);
        }
    }

    private void close(MidiEvent on, long end, List<Heard> notes) {
        ShortMessage s = (ShortMessage) on.getMessage();
        long from = ticks(on.getTick());
        long to = ticks(end);
        if (to <= from) {
            remarks.add("Notes without a length last a twelfth of a beat.");
        }
        notes.add(
                new Heard(
                        s.getChannel(),
                        s.getData1(),
                        from,
                        to > from ? to : from + GRID,
                        s.getData2()));
    }

    private void meta(MetaMessage meta, long at, String text) {
        byte[] d = meta.getData();
        if (meta.getType() == MidiWriter.TEMPO && d.length == 3) {
            int micros = (d[0] & 255) << 16 | (d[1] & 255) << 8 | d[2] & 255;
            if (micros == 0) {
                remarks.add("A tempo of nothing was passed over.");
                return;
            }
            long tempo = Math.round(60_000_000.0 / micros);
            long bounded = Math.max(TempoMap.SLOWEST, Math.min(TempoMap.FASTEST, tempo));
            if (bounded != tempo) {
                remarks.add(
                        "A tempo of "
                                + tempo
                                + " is beyond what is played here; it became "
                                + bounded
                                + ".");
            }
            tempos.put(at, (int) bounded);
        } else if (meta.getType() == MidiWriter.METER && d.length >= 2) {
            try {
                meters.put(at, new Meter(d[0] & 255, 1 << Math.min(6, d[1] & 255)));
            } catch (IllegalArgumentException e) {
                remarks.add("A meter that is not known here was passed over.");
            }
        } else if (meta.getType() == MidiWriter.KEY && d.length >= 2 && Math.abs(d[0]) <= 7) {
            boolean minor = d[1] == 1;
            keyed = true;
            int fifth = d[0] + (minor ? 3 : 0) + 1;
            String letter =
                    "FCGDAEB".substring(Math.floorMod(fifth, 7), Math.floorMod(fifth, 7) + 1);
            int alter = Math.floorDiv(fifth, 7);
            String marks = alter > 0 ? "#".repeat(alter) : "b".repeat(-alter);
            key = Key.parse(Spelling.parse(letter + marks).ascii() + (minor ? " minor" : " major"));
        } else if (meta.getType() == MidiWriter.MARKER) {
            markers.put(at, text);
        }
    }

    /** Brings what a hand played to a grid; what is written stays as it is. */
    private void snap(Map<String, List<Heard>> guitars) {
        Set<Long> places = new HashSet<>();
        guitars.values().forEach(all -> all.forEach(n -> places.add(n.at() % Ticks.QUARTER)));
        if (saysPickup >= 0 || places.size() <= WRITTEN_PLACES) {
            return;
        }
        remarks.add(
                "It was played freely: every note was brought to the nearest twelfth of a beat.");
        guitars.replaceAll(
                (name, all) -> {
                    List<Heard> snapped = new ArrayList<>();
                    for (Heard n : all) {
                        long at = Math.round((double) n.at() / GRID) * GRID;
                        long end = Math.max(at + GRID, Math.round((double) n.end() / GRID) * GRID);
                        snapped.add(new Heard(n.channel(), n.midi(), at, end, n.velocity()));
                    }
                    return snapped;
                });
    }

    private TimeLine time(long last) throws FormatException {
        List<Meter> bars = new ArrayList<>();
        long at = 0;
        long pickup = 0;
        Meter now = meters.isEmpty() || meters.firstKey() > 0 ? Meter.COMMON : meters.get(0L);
        while (at < last || bars.isEmpty()) {
            Map.Entry<Long, Meter> change = meters.floorEntry(at);
            now = change == null ? now : change.getValue();
            Long next = meters.higherKey(at);
            boolean shorter =
                    bars.isEmpty()
                            && at == 0
                            && saysPickup != 0
                            && next != null
                            && next == now.barTicks();
            Meter after = next == null ? now : meters.get(next);
            if (shorter && now.barTicks() < after.barTicks()) {
                pickup = now.barTicks();
                at = pickup;
                now = after;
                bars.add(after);
                at += after.barTicks();
                continue;
            }
            bars.add(now);
            at += now.barTicks();
            if (bars.size() > Limits.MOST_BARS) {
                throw new FormatException(
                        "the MIDI file is longer than "
                                + Limits.MOST_BARS
                                + " bars; export a part of it");
            }
        }
        List<TempoMap.Change> changes = changes();
        return new TimeLine(MeterMap.ofBars(bars, pickup), new TempoMap(changes));
    }

    private List<TempoMap.Change> changes() {
        List<TempoMap.Change> changes = new ArrayList<>();
        if (tempos.isEmpty() || tempos.firstKey() > 0) {
            changes.add(new TempoMap.Change(0, 120));
            if (tempos.isEmpty()) {
                remarks.add("The file says no tempo; 120, the format's own, was taken.");
            }
        }
        for (Map.Entry<Long, Integer> t : tempos.entrySet()) {
            if (changes.size() < TempoMap.MOST_CHANGES) {
                changes.add(new TempoMap.Change(t.getKey(), t.getValue()));
            }
        }
        return changes;
    }

    private Score score(List<Heard> heard, String strings, TimeLine time, long length)
            throws FormatException {
        List<NoteDraft> drafts = new ArrayList<>();
        heard.sort(Comparator.comparingLong(Heard::at).thenComparingInt(Heard::midi));
        Map<Integer, Integer> open = open(strings);
        Fretboard board;
        try {
            if (open.isEmpty()) {
                fingered = false;
                if (!wheels.isEmpty()) {
                    remarks.add("Bends were left out: the file does not say on which string.");
                }
                List<Played> played = new ArrayList<>();
                for (Heard n : heard) {
                    played.add(
                            new Played(
                                    n.midi(),
                                    n.at(),
                                    n.end() - n.at(),
                                    MidiWriter.dynamics(n.velocity())));
                }
                int lowest = played.stream().mapToInt(Played::midi).min().orElse(40);
                board = Placer.board(lowest);
                Played.place(played, board, time.meters(), drafts).ifPresent(remarks::add);
            } else {
                List<Integer> channels = new ArrayList<>(open.keySet());
                board = board(new ArrayList<>(open.values()));
                strings(heard, channels, board, time.meters(), drafts);
            }
            return new Score(board, time, length, NoteDraft.apart(drafts), harmonies(length));
        } catch (IllegalArgumentException e) {
            throw new FormatException(
                    "the MIDI file cannot be read as a score: " + e.getMessage(), e);
        }
    }

    private static Fretboard board(List<Integer> open) {
        Tuning tuning =
                Tuning.offered().stream()
                        .filter(t -> t.open().equals(open))
                        .findFirst()
                        .orElseGet(() -> new Tuning(new Tuning("x", open).letters(), open));
        return new Fretboard(Instrument.of(tuning), 0);
    }

    /** Notes on the channels of their strings. */
    private void strings(
            List<Heard> heard,
            List<Integer> channels,
            Fretboard board,
            MeterMap meters,
            List<NoteDraft> drafts) {
        Map<Long, Integer> together = new HashMap<>();
        heard.forEach(n -> together.merge(n.at(), 1, Integer::sum));
        for (Heard n : heard) {
            int s = channels.indexOf(n.channel());
            int fret = s < 0 ? -1 : n.midi() - board.midi(s, 0);
            if (fret < 0 || fret > board.frets()) {
                remarks.add("Notes that their string does not have were left out.");
                continue;
            }
            NoteDraft d = new NoteDraft(s, fret, n.at(), n.end() - n.at());
            d.rings = together.get(n.at()) > 1;
            d.dynamics = MidiWriter.dynamics(n.velocity());
            d.down = NoteDraft.usuallyDown(n.at(), meters);
            bend(d, n.channel());
            drafts.add(d);
        }
    }

    /** A bend, and its release, where the string's own channel has them. */
    private void bend(NoteDraft d, int channel) {
        TreeMap<Long, Integer> wheel = wheels.getOrDefault(channel, new TreeMap<>());
        long from = -1;
        long top = -1;
        long back = -1;
        int most = 0;
        for (Map.Entry<Long, Integer> w : wheel.subMap(d.at, true, d.end(), false).entrySet()) {
            int cents = w.getValue();
            if (cents > most && cents >= LEAST_BEND) {
                from = from < 0 ? w.getKey() : from;
                top = w.getKey();
                most = cents;
            } else if (top >= 0 && back < 0 && cents < most) {
                back = w.getKey();
            }
        }
        if (most == 0) {
            return;
        }
        if (most > MOST_BEND) {
            remarks.add("Bends of more than four semitones were left out.");
            return;
        }
        long way = Math.max(1, top - from);
        d.add(Technique.Kind.BEND, most, from - d.at, way);
        if (back >= 0) {
            d.add(Technique.Kind.RELEASE, 0, back - d.at, way);
        }
    }

    /** Channel to open note, as the text of a track says; empty where it says nothing. */
    private static Map<Integer, Integer> open(String strings) {
        Map<Integer, Integer> open = new LinkedHashMap<>();
        if (strings == null || strings.isEmpty()) {
            return open;
        }
        for (String pair : strings.substring(MidiWriter.STRINGS.length()).strip().split(" ")) {
            if (!pair.matches("\\d{1,2}:\\d{1,3}")) {
                return Map.of();
            }
            String[] two = pair.split(":");
            open.put(Integer.parseInt(two[0]), Integer.parseInt(two[1]));
        }
        return open.size() < 4 ? Map.of() : open;
    }

    private List<Harmony> harmonies(long length) {
        List<Harmony> all = new ArrayList<>();
        List<Map.Entry<Long, String>> named = new ArrayList<>();
        for (Map.Entry<Long, String> m : markers.entrySet()) {
            try {
                ChordSymbol.parse(m.getValue());
                named.add(m);
            } catch (IllegalArgumentException e) {
                remarks.add("Markers that are no chords were passed over.");
            }
        }
        for (int i = 0; i < named.size(); i++) {
            long at = named.get(i).getKey();
            long end = i + 1 < named.size() ? named.get(i + 1).getKey() : length;
            ChordSymbol symbol = ChordSymbol.parse(named.get(i).getValue());
            int root = symbol.root().pitchClass();
            int bass = symbol.bass().map(Spelling::pitchClass).orElse(root);
            if (at < length && Math.min(end, length) > at) {
                all.add(
                        new Harmony(
                                at,
                                Math.min(end, length) - at,
                                root,
                                bass,
                                named.get(i).getValue(),
                                List.of()));
            }
        }
        return all;
    }
}
