package vocalis.workbench.words;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import vocalis.core.riff.Tone;
import vocalis.core.theory.Key;
import vocalis.core.theory.Note;
import vocalis.core.theory.Spelling;
import vocalis.core.voicing.Sounding;
import vocalis.core.voicing.Voicing;
import vocalis.sound.gain.GainReading;
import vocalis.sound.gain.Ghost;
import vocalis.sound.gain.Relation;
import vocalis.workbench.playing.GainReadings;

/** What gain makes of a voicing, in a guitarist's words. */
public final class GainWords {

    private static final double STEADY = 1.15;
    private static final double SAID_BY_NUMBER = 1.25;
    private static final double ROUGH = 1.35;
    private static final double MUDDY = 0.27;

    /** So much more mud than the plain power chord has is told of a chord that is as steady. */
    private static final double MUDDIER = 1.5;

    private static final double LOUD_DB = -18;

    private final Optional<Key> key;
    private final List<Sounding> notes;

    /**
     * @param key spells the notes; empty for the plain spelling
     */
    public GainWords(Voicing v, Optional<Key> key) {
        this.key = key;
        this.notes = v.soundings();
    }

    /** The spelled note of a MIDI number. */
    public Note note(int midi) {
        Spelling s = key.map(k -> k.say(midi)).orElseGet(() -> Spelling.plain(midi));
        return Note.at(s, midi);
    }

    /** Such as {@code A2 +34 ¢}. */
    public String place(Ghost g) {
        long cents = Math.round(g.cents());
        String off = cents == 0 ? "" : (cents > 0 ? " +" : " −") + Math.abs(cents) + " ¢";
        return note(g.midi()).symbol() + off;
    }

    /** Where a ghost comes from, such as {@code f2 − f1 of A and C♯, 67 ¢ sharp of A1}. */
    public String origin(Ghost g) {
        Relation r = g.relation();
        String low = note(notes.get(r.lower()).midi()).spelling().symbol();
        String high = note(notes.get(r.upper()).midi()).spelling().symbol();
        return r.formula() + " of " + low + " and " + high + ", " + against(r);
    }

    /** The same shorter, such as {@code f2 − f1, 67 ¢ sharp of its just A1}. */
    public String shortOrigin(Ghost g) {
        return g.relation().formula() + ", " + against(g.relation());
    }

    /** What gain adds that is no note; empty where it adds no such thing. */
    public static Optional<String> mixture(GainReading r) {
        return r.mixture()
                .map(
                        m ->
                                String.format(
                                        Locale.ROOT,
                                        "%s beside the chord's own notes: upper partials that mix,"
                                                + " %.0f dB under and less",
                                        m.lines() == 1 ? "1 line" : m.lines() + " lines",
                                        -m.db()));
    }

    private String against(Relation r) {
        double lowHz = 440 * Math.pow(2, (notes.get(r.lower()).midi() - 69) / 12.0);
        double share = r.justHz() / lowestHz(r, lowHz);
        int semitones = (int) Math.round(12 * Math.log(share) / Math.log(2));
        String target = note(notes.get(r.lower()).midi() + semitones).symbol();
        long cents = Math.round(r.cents());
        if (Math.abs(cents) < 3) {
            return "on its just " + target;
        }
        return Math.abs(cents) + (cents > 0 ? " ¢ sharp" : " ¢ flat") + " of its just " + target;
    }

    /** The lower note as it sounds; retuned ones lie a little off their MIDI number. */
    private static double lowestHz(Relation r, double nominal) {
        double multiple =
                Math.abs((double) r.a() * r.ratioUpper() + (double) r.b() * r.ratioLower());
        double sounding = r.justHz() * r.ratioLower() / multiple;
        return sounding > 0 ? sounding : nominal;
    }

    /** One or two sentences: steady or rough, and what the ghosts do. */
    public String summary(GainReadings.Against a, Tone tone) {
        List<String> parts = new ArrayList<>();
        double growl = a.growl();
        String than = " as the plain power chord";
        if (notes.size() == 1) {
            parts.add("One note alone: nothing clashes with it.");
        } else if (growl < STEADY) {
            parts.add("As steady" + than + ".");
        } else if (growl < SAID_BY_NUMBER) {
            parts.add("A little rougher than the plain power chord.");
        } else {
            parts.add(
                    String.format(Locale.ROOT, "%.1f times as rough", growl)
                            + than
                            + (growl > ROUGH && tone != Tone.CLEAN ? ": it growls." : "."));
        }
        if (a.reading().ghosts().isEmpty() && notes.size() > 1 && tone != Tone.CLEAN) {
            parts.add("The distortion adds no note that stands out.");
        }
        a.reading().ghosts().stream()
                .filter(g -> g.db() > LOUD_DB)
                .findFirst()
                .ifPresent(g -> parts.add(loudest(g)));
        boolean muddier = a.reading().mud() > MUDDIER * a.plain().mud();
        if (a.reading().mud() > MUDDY && muddier) {
            parts.add("Much of the roughness lies below 250 Hz: mud.");
        }
        return String.join(" ", parts);
    }

    private String loudest(Ghost g) {
        boolean inChord = notes.stream().anyMatch(n -> Math.floorMod(n.midi() - g.midi(), 12) == 0);
        boolean clean = Math.abs(g.cents()) < 15;
        String name = note(g.midi()).symbol();
        if (inChord && clean) {
            return "The loudest tone that distortion adds, "
                    + name
                    + ", is a note of the chord and backs it.";
        }
        if (inChord) {
            return "The loudest tone that distortion adds lies "
                    + Math.abs(Math.round(g.cents()))
                    + " ¢ "
                    + (g.cents() > 0 ? "sharp" : "flat")
                    + " of "
                    + name
                    + " and clashes with it.";
        }
        return "The loudest tone that distortion adds lies near " + name + ", outside the chord.";
    }

    /**
     * What the intonation switch does, for the thirds that a shape has; empty where it has none.
     */
    public static Optional<String> intonation(double[] cents) {
        boolean major = false;
        boolean minor = false;
        for (double c : cents) {
            major |= c < 0;
            minor |= c > 0;
        }
        if (major) {
            return Optional.of(
                    "The major third is drawn 13.7 ¢ flat, to 5:4: the added tones fall into place and the"
                            + " growl goes.");
        }
        return minor
                ? Optional.of(
                        "The minor third is drawn 15.6 ¢ sharp, to 6:5: steady, but its difference tone"
                                + " stays a major third below the lower note, outside the chord.")
                : Optional.empty();
    }
}
