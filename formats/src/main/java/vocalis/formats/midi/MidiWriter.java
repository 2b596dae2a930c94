package vocalis.formats.midi;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import javax.sound.midi.InvalidMidiDataException;
import javax.sound.midi.MetaMessage;
import javax.sound.midi.MidiEvent;
import javax.sound.midi.Sequence;
import javax.sound.midi.ShortMessage;
import javax.sound.midi.Track;
import vocalis.core.rhythm.Meter;
import vocalis.core.rhythm.MeterMap;
import vocalis.core.rhythm.TempoMap;
import vocalis.core.rhythm.Ticks;
import vocalis.core.riff.Tone;
import vocalis.core.score.Dynamics;
import vocalis.core.score.Harmony;
import vocalis.core.score.Manner;
import vocalis.core.score.Score;
import vocalis.core.score.ScoreNote;
import vocalis.core.score.Technique;
import vocalis.core.theory.Degree;
import vocalis.core.theory.Key;
import vocalis.formats.sheet.Sheet;

/** Writes a sheet as a sequence of events, time in this program's own ticks. */
final class MidiWriter {

    static final int TEMPO = 0x51;
    static final int METER = 0x58;
    static final int KEY = 0x59;
    static final int TEXT = 0x01;
    static final int NAME = 0x03;
    static final int MARKER = 0x06;

    /** Says which channel is which string: "strings 0:40 1:45 …", channel from 0 and open note. */
    static final String STRINGS = "strings";

    /** Says how many ticks lie before the first bar: "pickup 0". */
    static final String PICKUP = "pickup";

    /** Semitones that a full pitch bend goes. */
    static final int BEND_RANGE = 12;

    private static final int DRUMS = 9;
    private static final int CENTER = 8192;
    private static final int STEPS = 12;
    private static final double SHORTENED = 0.6;
    private static final double LEGATO = 0.75;

    /** Semitones from a note to its partials, in equal temperament. */
    private static final int[] TO_PARTIAL = {0, 0, 12, 19, 24, 28, 31, 34, 36};

    private final Sheet sheet;
    private final Sequence sequence;

    MidiWriter(Sheet sheet) throws InvalidMidiDataException {
        this.sheet = sheet;
        this.sequence = new Sequence(Sequence.PPQ, (int) Ticks.QUARTER);
    }

    Sequence sequence() throws InvalidMidiDataException {
        conductor(sequence.createTrack(), sheet.score());
        int free = 0;
        int strings = sheet.guitars().stream().mapToInt(g -> g.score().board().strings()).sum();
        for (Sheet.Guitar g : sheet.guitars()) {
            int own = strings <= 15 ? g.score().board().strings() : 1;
            int[] channels = new int[g.score().board().strings()];
            for (int s = 0; s < channels.length; s++) {
                int c = free + (own == 1 ? 0 : s);
                channels[s] = (c >= DRUMS ? c + 1 : c) % 16;
            }
            free += own;
            guitar(sequence.createTrack(), g, channels, own > 1);
        }
        return sequence;
    }

    private static void meta(Track t, long at, int type, byte... data)
            throws InvalidMidiDataException {
        t.add(new MidiEvent(new MetaMessage(type, data, data.length), at));
    }

    private static void text(Track t, long at, int type, String text)
            throws InvalidMidiDataException {
        meta(t, at, type, text.getBytes(StandardCharsets.UTF_8));
    }

    private void conductor(Track t, Score score) throws InvalidMidiDataException {
        text(t, 0, NAME, sheet.title());
        for (TempoMap.Change c : score.time().tempos().changes()) {
            int micros = Math.round(60_000_000f / c.tempo());
            if (c.at() < score.length()) {
                meta(t, c.at(), TEMPO, bytes(micros >> 16, micros >> 8, micros));
            }
        }
        MeterMap meters = score.time().meters();
        text(t, 0, TEXT, PICKUP + " " + meters.pickup());
        if (meters.pickup() > 0) {
            pickup(t, meters.pickup());
        }
        for (MeterMap.Change c : meters.changes()) {
            long at = meters.start(c.bar());
            if (at < score.length()) {
                meter(t, at, c.meter());
            }
        }
        Key key = sheet.ground().key();
        boolean minor = key.mode().degrees().contains(new Degree(3, -1));
        meta(t, 0, KEY, bytes(fifths(key, minor), minor ? 1 : 0));
        for (Harmony h : score.harmonies()) {
            if (!h.symbol().isEmpty()) {
                text(t, h.at(), MARKER, h.symbol());
            }
        }
        meta(t, score.length(), 0x2F);
    }

    /** A bar of its own: as many 64ths, 32nds, … as it has. */
    private static void pickup(Track t, long ticks) throws InvalidMidiDataException {
        for (int unit = 4; unit <= 32; unit *= 2) {
            if (ticks % (Ticks.WHOLE / unit) == 0 && ticks / (Ticks.WHOLE / unit) <= 32) {
                meter(t, 0, new Meter((int) (ticks / (Ticks.WHOLE / unit)), unit));
                return;
            }
        }
    }

    private static void meter(Track t, long at, Meter m) throws InvalidMidiDataException {
        meta(t, at, METER, bytes(m.beats(), Integer.numberOfTrailingZeros(m.unit()), 24, 8));
    }

    private static byte[] bytes(int... values) {
        byte[] b = new byte[values.length];
        for (int i = 0; i < values.length; i++) {
            b[i] = (byte) values[i];
        }
        return b;
    }

    /** Sharps (flats below 0) of the major or minor key on the tonic, −7 to 7. */
    private static int fifths(Key key, boolean minor) {
        int at = "FCGDAEB".indexOf(key.tonic().letter().name()) - 1 + 7 * key.tonic().alter();
        int fifths = minor ? at - 3 : at;
        return fifths > 7 ? fifths - 12 : fifths < -7 ? fifths + 12 : fifths;
    }

    private void guitar(Track t, Sheet.Guitar g, int[] channels, boolean apart)
            throws InvalidMidiDataException {
        Score score = g.score();
        text(t, 0, NAME, g.name());
        StringBuilder says = new StringBuilder(STRINGS);
        for (int s = 0; s < channels.length && apart; s++) {
            says.append(' ').append(channels[s]).append(':').append(score.board().midi(s, 0));
        }
        text(t, 0, TEXT, apart ? says.toString() : "one channel for all strings");
        int program =
                sheet.ground().tone() == Tone.CLEAN
                        ? 27
                        : sheet.ground().tone() == Tone.EDGE ? 29 : 30;
        for (int c : Arrays.stream(channels).distinct().toArray()) {
            message(t, 0, ShortMessage.PROGRAM_CHANGE, c, program, 0);
            int[][] range = {{101, 0}, {100, 0}, {6, BEND_RANGE}, {38, 0}, {101, 127}, {100, 127}};
            for (int[] r : range) {
                message(t, 0, ShortMessage.CONTROL_CHANGE, c, r[0], r[1]);
            }
        }
        for (int s = 0; s < channels.length; s++) {
            for (List<ScoreNote> chain : chains(score, s)) {
                string(t, score, chain, channels[s]);
            }
        }
        meta(t, score.length(), 0x2F);
    }

    /** The notes of a string, those that are tied together in one list. */
    private static List<List<ScoreNote>> chains(Score score, int string) {
        List<List<ScoreNote>> chains = new ArrayList<>();
        for (ScoreNote n : score.notes()) {
            if (n.string() != string) {
                continue;
            }
            List<ScoreNote> last = chains.isEmpty() ? null : chains.get(chains.size() - 1);
            if (n.tied() && last != null && last.get(last.size() - 1).end() == n.at()) {
                last.add(n);
            } else {
                chains.add(new ArrayList<>(List.of(n)));
            }
        }
        return chains;
    }

    private static int velocity(ScoreNote n) {
        return switch (n.dynamics()) {
            case GHOST -> 35;
            case SOFT -> 60;
            case PLAIN -> 85;
            case ACCENT -> 112;
        };
    }

    static Dynamics dynamics(int velocity) {
        return velocity < 46
                ? Dynamics.GHOST
                : velocity < 72 ? Dynamics.SOFT : velocity < 100 ? Dynamics.PLAIN : Dynamics.ACCENT;
    }

    private static void string(Track t, Score score, List<ScoreNote> chain, int channel)
            throws InvalidMidiDataException {
        new Sounded(t, score, chain, channel).write();
    }

    /** Notes of one string tied to each other, as the notes and bends that they are in MIDI. */
    private static final class Sounded {

        private final Track track;
        private final Score score;
        private final List<ScoreNote> chain;
        private final int channel;
        private final ScoreNote first;
        private final long end;
        private int fret;
        private long at;
        private int velocity;
        private boolean bent;

        Sounded(Track track, Score score, List<ScoreNote> chain, int channel) {
            this.track = track;
            this.score = score;
            this.chain = chain;
            this.channel = channel;
            first = chain.get(0);
            end = end(Math.min(score.length(), chain.get(chain.size() - 1).end()));
            fret = first.fret();
            at = first.at();
            velocity = MidiWriter.velocity(first);
        }

        private long end(long written) {
            if (first.manner() == Manner.DEAD) {
                return first.at()
                        + Math.max(1, Math.min(Ticks.SIXTEENTH / 4, written - first.at()));
            }
            boolean cut = first.manner().palm() || first.manner() == Manner.STACCATO;
            return cut
                    ? first.at() + Math.max(1, (long) (SHORTENED * (written - first.at())))
                    : written;
        }

        void write() throws InvalidMidiDataException {
            for (ScoreNote n : chain) {
                for (Technique k : n.techniques()) {
                    if (k.kind() == Technique.Kind.PINCH && k.to() < TO_PARTIAL.length) {
                        fret += TO_PARTIAL[k.to()];
                    }
                    if (n.at() + k.after() < end) {
                        done(n, k, n.at() + k.after());
                    }
                }
            }
            if (end > at) {
                sound(track, score, first, channel, fret, at, end, velocity);
            }
            if (bent) {
                bend(track, channel, end, 0);
            }
        }

        private void done(ScoreNote n, Technique k, long when) throws InvalidMidiDataException {
            long arrives = Math.min(end, when + k.lasting());
            switch (k.kind()) {
                case HAMMER, PULL, SLIDE -> arrive(n, k, when, arrives);
                case BEND -> {
                    ramp(track, channel, when, arrives, 0, k.to());
                    bent = true;
                }
                case RELEASE -> ramp(track, channel, when, arrives, up(n), k.to());
                case VIBRATO -> {
                    int depth = Math.min(127, 2 * k.to());
                    message(track, when, ShortMessage.CONTROL_CHANGE, channel, 1, depth);
                    message(track, end, ShortMessage.CONTROL_CHANGE, channel, 1, 0);
                }
                case TREMOLO -> {
                    long every = Ticks.QUARTER / k.to();
                    while (at + every < end) {
                        sound(track, score, n, channel, fret, at, at + every, velocity);
                        at += every;
                    }
                }
                case PINCH -> {}
            }
        }

        /** Another fret without another stroke: bent there, and a softer note from then on. */
        private void arrive(ScoreNote n, Technique k, long when, long arrives)
                throws InvalidMidiDataException {
            if (k.lasting() > 0) {
                ramp(track, channel, when, arrives, 0, 100 * (k.to() - fret));
            }
            if (arrives > at) {
                sound(track, score, n, channel, fret, at, arrives, velocity);
            }
            if (k.lasting() > 0) {
                bend(track, channel, arrives, 0);
            }
            at = arrives;
            fret = k.to();
            velocity = Math.max(1, (int) (LEGATO * MidiWriter.velocity(first)));
        }
    }

    private static int up(ScoreNote n) {
        int cents = 0;
        for (Technique k : n.techniques()) {
            cents = k.kind() == Technique.Kind.BEND ? k.to() : cents;
        }
        return cents;
    }

    private static void sound(
            Track t,
            Score score,
            ScoreNote n,
            int channel,
            int fret,
            long at,
            long end,
            int velocity)
            throws InvalidMidiDataException {
        int midi = Math.max(0, Math.min(127, score.board().midi(n.string(), 0) + fret));
        message(t, at, ShortMessage.NOTE_ON, channel, midi, velocity);
        message(t, end, ShortMessage.NOTE_OFF, channel, midi, 0);
    }

    /** A way of the pitch, in steps. */
    private static void ramp(Track t, int channel, long from, long to, int cents, int toCents)
            throws InvalidMidiDataException {
        for (int i = 1; i <= STEPS; i++) {
            long at = from + (to - from) * i / STEPS;
            bend(t, channel, at, cents + (toCents - cents) * i / STEPS);
        }
    }

    private static void bend(Track t, int channel, long at, int cents)
            throws InvalidMidiDataException {
        long value = CENTER + Math.round(cents * (double) CENTER / (100 * BEND_RANGE));
        int v = (int) Math.max(0, Math.min(2 * CENTER - 1, value));
        message(t, at, ShortMessage.PITCH_BEND, channel, v & 127, v >> 7);
    }

    private static void message(Track t, long at, int command, int channel, int a, int b)
            throws InvalidMidiDataException {
        t.add(new MidiEvent(new ShortMessage(command, channel, a, b), at));
    }
}
