package vocalis.formats.musicxml;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import vocalis.core.pattern.Limits;
import vocalis.core.rhythm.Meter;
import vocalis.core.rhythm.TempoMap;
import vocalis.core.theory.Spelling;
import vocalis.formats.FormatException;

/**
 * One part of a MusicXML file as it is played: bars in their order, repeats and endings written
 * out.
 */
final class MusicXmlPart {

    private static final int MOST_ROUNDS = 32;

    private final Set<String> remarks;
    private final List<ReadBar> written = new ArrayList<>();
    private final List<ReadNote> notes = new ArrayList<>();
    private final List<ReadChord> chords = new ArrayList<>();
    private final TreeMap<Long, Integer> tempos = new TreeMap<>();
    private final List<Meter> meters = new ArrayList<>();
    private final Map<Integer, Integer> lines = new HashMap<>();
    private long divisions = 1;
    private boolean divided;
    private Meter meter = Meter.COMMON;
    private int fifths;
    private String mode = "major";
    private boolean keyed;
    private int transpose;
    private int capo;
    private long pickup;
    private long length;
    private List<Integer> ending = List.of();
    private XmlElement leader;
    private final PalmRows palms = new PalmRows();

    MusicXmlPart(XmlElement part, Set<String> remarks) throws FormatException {
        this.remarks = remarks;
        for (XmlElement m : part.all("measure")) {
            written.add(bar(m));
        }
        play(part);
    }

    List<ReadNote> notes() {
        return notes;
    }

    List<ReadChord> chords() {
        return chords;
    }

    TreeMap<Long, Integer> tempos() {
        return tempos;
    }

    List<Meter> meters() {
        return meters;
    }

    long pickup() {
        return pickup;
    }

    long length() {
        return length;
    }

    int fifths() {
        return fifths;
    }

    String mode() {
        return mode;
    }

    boolean keyed() {
        return keyed;
    }

    int capo() {
        return capo;
    }

    /** Open strings from the lowest; empty where the file says none. */
    List<Integer> tuning() {
        List<Integer> open = new ArrayList<>();
        for (int line = 1; lines.containsKey(line); line++) {
            open.add(lines.get(line));
        }
        return open.size() >= 4 ? open : List.of();
    }

    private ReadBar bar(XmlElement measure) throws FormatException {
        ReadBar bar = new ReadBar();
        bar.implicit = measure.is("implicit", "yes");
        long at = 0;
        long last = 0;
        palms.barBegins();
        for (XmlElement e : measure.children()) {
            switch (e.name()) {
                case "attributes" -> attributes(e);
                case "backup" -> at = Math.max(0, at - duration(e));
                case "forward" -> at += duration(e);
                case "direction" -> direction(e, at, bar);
                case "sound" -> sound(e, at, bar);
                case "harmony" -> harmony(e, at, bar);
                case "barline" -> barline(e, bar);
                case "note" -> {
                    if (e.has("grace") || e.has("cue")) {
                        remarks.add("Grace and cue notes were left out.");
                        continue;
                    }
                    long lasts = duration(e);
                    long begins = e.has("chord") ? last : at;
                    leader = e.has("chord") && leader != null ? leader : e;
                    note(e, begins, lasts, bar);
                    if (!e.has("chord")) {
                        last = at;
                        at += lasts;
                    }
                }
                default -> {}
            }
            bar.length = Math.max(bar.length, at);
        }
        palms.barEnds(bar);
        bar.meter = meter;
        bar.endings = bar.endings.isEmpty() ? ending : bar.endings;
        if (bar.length > meter.barTicks()) {
            throw measure.wrong(
                    "holds more than its " + meter.symbol() + ": the values in it are too long");
        }
        bar.length = bar.length == 0 ? meter.barTicks() : bar.length;
        endingAfter(measure, bar);
        return bar;
    }

    private void endingAfter(XmlElement measure, ReadBar bar) throws FormatException {
        for (XmlElement b : measure.all("barline")) {
            for (XmlElement en : b.all("ending")) {
                ending = en.is("type", "start") ? bar.endings : List.of();
            }
        }
    }

    private long duration(XmlElement e) throws FormatException {
        double d = e.get("duration").number(0, 1e9);
        if (!divided) {
            remarks.add(
                    "The file does not say what its durations are counted in (no divisions): 1 was"
                            + " taken as a quarter.");
        }
        long ticks = MusicXmlValues.ticks(d, divisions);
        if (ticks > Limits.LONGEST_FIGURE) {
            throw e.wrong("lasts longer than a riff can");
        }
        return ticks;
    }

    private void attributes(XmlElement e) throws FormatException {
        if (e.has("divisions")) {
            divided = true;
            divisions = Math.max(1, Math.round(e.get("divisions").number(1, 1e6)));
        }
        if (e.has("key", "fifths")) {
            fifths = e.get("key").get("fifths").integer(-7, 7);
            keyed = true;
            mode = e.find("key", "mode").map(XmlElement::text).orElse("major");
        }
        if (e.has("time", "beats")) {
            meter = MusicXmlValues.meter(e.get("time"));
        }
        if (e.has("transpose")) {
            XmlElement t = e.get("transpose");
            transpose = t.has("chromatic") ? (int) t.get("chromatic").number(-36, 36) : 0;
            transpose += t.has("octave-change") ? 12 * t.get("octave-change").integer(-3, 3) : 0;
        }
        for (XmlElement d : e.all("staff-details")) {
            for (XmlElement t : d.all("staff-tuning")) {
                int line = 0;
                try {
                    line = Integer.parseInt(t.attribute("line").orElse("0"));
                } catch (NumberFormatException x) {
                    throw t.wrong("must number its line");
                }
                lines.put(
                        line,
                        MusicXmlValues.midi(t, "tuning-step", "tuning-alter", "tuning-octave"));
            }
            if (d.has("capo")) {
                capo = d.get("capo").integer(0, 12);
            }
        }
    }

    private void direction(XmlElement e, long at, ReadBar bar) throws FormatException {
        long offset = offset(e);
        palms.read(e, at + offset, bar);
        for (XmlElement s : e.all("sound")) {
            sound(s, at + offset, bar);
        }
        for (XmlElement t : e.all("direction-type")) {
            Optional<XmlElement> minute = t.find("metronome", "per-minute");
            boolean quarter =
                    t.find("metronome", "beat-unit")
                            .filter(u -> u.text().equals("quarter"))
                            .isPresent();
            if (minute.isPresent()
                    && quarter
                    && minute.get().text().matches("\\d{1,4}(\\.\\d+)?")) {
                tempo(Double.parseDouble(minute.get().text()), at + offset, bar);
            }
        }
    }

    private long offset(XmlElement e) throws FormatException {
        return e.has("offset")
                ? Math.max(0, MusicXmlValues.ticks(e.get("offset").number(-1e9, 1e9), divisions))
                : 0;
    }

    private void sound(XmlElement e, long at, ReadBar bar) {
        String tempo = e.attribute("tempo").orElse("");
        if (tempo.matches("\\d{1,4}(\\.\\d{1,9})?")) {
            tempo(Double.parseDouble(tempo), at, bar);
        }
        if (e.attribute("dacapo").isPresent()
                || e.attribute("dalsegno").isPresent()
                || e.attribute("tocoda").isPresent()) {
            remarks.add("Jumps to a sign or to the beginning are not followed.");
        }
    }

    private static void tempo(double tempo, long at, ReadBar bar) {
        long whole = Math.round(tempo);
        bar.tempos.put(at, (int) Math.max(TempoMap.SLOWEST, Math.min(TempoMap.FASTEST, whole)));
    }

    private void harmony(XmlElement e, long at, ReadBar bar) throws FormatException {
        if (!e.has("root", "root-step")) {
            return;
        }
        Spelling root = MusicXmlValues.spelling(e.get("root"), "root-step", "root-alter");
        XmlElement kind = e.get("kind");
        Optional<Spelling> bass = Optional.empty();
        if (e.has("bass", "bass-step")) {
            bass = Optional.of(MusicXmlValues.spelling(e.get("bass"), "bass-step", "bass-alter"));
        }
        String suffix = kind.attribute("text").orElseGet(() -> Names.suffix(kind.text()));
        String symbol =
                kind.text().equals("none")
                        ? ""
                        : root.symbol() + suffix + bass.map(b -> "/" + b.symbol()).orElse("");
        int low = bass.map(Spelling::pitchClass).orElse(root.pitchClass());
        bar.chords.add(new ReadChord(at + offset(e), root.pitchClass(), low, symbol));
    }

    private void barline(XmlElement e, ReadBar bar) throws FormatException {
        for (XmlElement r : e.all("repeat")) {
            if (r.is("direction", "forward")) {
                bar.begins = true;
            } else {
                String times = r.attribute("times").orElse("2");
                bar.rounds = times.matches("\\d{1,3}") ? Integer.parseInt(times) : 2;
                if (bar.rounds > MOST_ROUNDS) {
                    throw r.wrong("is played more than " + MOST_ROUNDS + " times");
                }
            }
        }
        for (XmlElement en : e.all("ending")) {
            if (en.is("type", "start")) {
                List<Integer> numbers = new ArrayList<>();
                for (String n : en.attribute("number").orElse("1").split("[,\\s]+")) {
                    if (n.matches("\\d{1,2}")) {
                        numbers.add(Integer.parseInt(n));
                    }
                }
                bar.endings = numbers;
                ending = numbers;
            }
        }
    }

    private void note(XmlElement e, long at, long lasts, ReadBar bar) throws FormatException {
        if (e.has("rest")) {
            return;
        }
        if (!e.has("pitch")) {
            remarks.add("Notes without a pitch, as of drums, were left out.");
            return;
        }
        if (lasts <= 0) {
            return;
        }
        int midi = MusicXmlValues.midi(e.get("pitch"), "step", "alter", "octave") + transpose;
        int string = 0;
        int fret = 0;
        for (XmlElement n : e.all("notations")) {
            for (XmlElement t : n.all("technical")) {
                if (t.has("string") && t.has("fret")) {
                    string = t.get("string").integer(1, 9);
                    fret = t.get("fret").integer(0, 36);
                }
            }
        }
        bar.notes.add(ReadNote.of(e, leader, midi, string, fret, at, lasts));
    }

    /** Lays the bars in the order in which they are played. */
    private void play(XmlElement part) throws FormatException {
        int from = 0;
        int round = 1;
        int at = 0;
        while (at < written.size()) {
            ReadBar bar = written.get(at);
            if (bar.begins && from != at) {
                from = at;
                round = 1;
            }
            if (bar.endings.isEmpty() || bar.endings.contains(round)) {
                lay(bar, at == 0, part);
            }
            boolean back = bar.rounds > 0 && (bar.endings.isEmpty() || bar.endings.contains(round));
            boolean more =
                    bar.endings.isEmpty() ? round < bar.rounds : hasEnding(at, round + 1, bar);
            if (back && more) {
                round++;
                at = from;
            } else {
                if (back) {
                    from = at + 1;
                    round = bar.endings.isEmpty() ? 1 : round;
                }
                at++;
                if (at < written.size()
                        && written.get(at).endings.isEmpty()
                        && !bar.endings.isEmpty()) {
                    from = at;
                    round = 1;
                }
            }
        }
        if (meters.isEmpty()) {
            throw part.wrong("has no bars");
        }
    }

    private boolean hasEnding(int at, int round, ReadBar bar) {
        for (int i = at + 1; i < written.size() && !written.get(i).endings.isEmpty(); i++) {
            if (written.get(i).endings.contains(round)) {
                return true;
            }
        }
        return bar.endings.contains(round);
    }

    /** Lays one bar; what is not full is filled up with silence, but for a pickup. */
    private void lay(ReadBar bar, boolean first, XmlElement part) throws FormatException {
        boolean isPickup = first && bar.length < bar.meter.barTicks() && length == 0;
        if (isPickup && written.size() > 1) {
            pickup = bar.length;
        } else {
            meters.add(bar.meter);
        }
        if (meters.size() > Limits.MOST_BARS) {
            throw part.wrong(
                    "has more than "
                            + Limits.MOST_BARS
                            + " bars, repeats counted; export a part of it");
        }
        if (!isPickup && bar.length < bar.meter.barTicks()) {
            remarks.add("Bars that are not full were filled up with silence.");
        }
        long start = length;
        bar.notes.forEach(n -> notes.add(n.moved(start)));
        bar.chords.forEach(
                c -> {
                    if (c.at() < bar.meter.barTicks()) {
                        chords.add(new ReadChord(start + c.at(), c.root(), c.bass(), c.symbol()));
                    }
                });
        bar.tempos.forEach((t, tempo) -> tempos.put(start + t, tempo));
        length += isPickup && written.size() > 1 ? bar.length : bar.meter.barTicks();
    }
}
