package vocalis.workbench.playing;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.function.LongUnaryOperator;
import java.util.function.ToDoubleFunction;
import vocalis.core.arrange.Song;
import vocalis.core.arrange.Stretch;
import vocalis.core.mix.Bassist;
import vocalis.core.mix.Drummer;
import vocalis.core.mix.Feel;
import vocalis.core.mix.Groove;
import vocalis.core.mix.Mix;
import vocalis.core.rhythm.MeterMap;
import vocalis.core.rhythm.TempoMap;
import vocalis.core.rhythm.Ticks;
import vocalis.core.riff.Tone;
import vocalis.core.score.Dynamics;
import vocalis.core.score.Manner;
import vocalis.core.score.Onset;
import vocalis.core.score.Score;
import vocalis.core.score.ScoreNote;
import vocalis.core.score.Technique;
import vocalis.sound.band.Piece;
import vocalis.sound.engine.Program;
import vocalis.sound.engine.ProgramBuilder;
import vocalis.sound.strings.Damping;

/**
 * Turns a score into what the engine plays. A ringing stroke rings on until its strings are struck
 * again, the chord changes, a muted stroke lays the palm on the strings, or a rest damps them; one
 * that is let ring sounds through the next chord too. A string that no hand can silence is left
 * free to answer.
 */
public final class SoundEvents {

    private static final double ACCENTED = 0.98;
    private static final double PLAIN = 0.78;
    private static final double UNDER_PALM = 0.72;
    private static final double SOFT = 0.55;
    private static final double GHOSTED = 0.3;

    /** The strokes of a tremolo against the first; chosen by hand. */
    private static final double AGAIN = 0.92;

    private SoundEvents() {}

    /** The loop of a score with who plays along. */
    public static Program program(Heard heard) {
        return program(heard, true, t -> 1);
    }

    /**
     * The same without the first guitar, where it is rendered elsewhere.
     *
     * @param levels what brings a tone to the loudness of the ground's own
     */
    static Program program(Heard heard, boolean first, ToDoubleFunction<Tone> levels) {
        Score score = heard.score();
        Mix mix = heard.mix();
        long length = score.length();
        ProgramBuilder b = new ProgramBuilder(length, Ticks.QUARTER, score.board().strings());
        b.loopFrom(heard.clicks().loopFrom());
        List<TempoMap.Change> tempos = score.time().tempos().changes();
        for (TempoMap.Change t : tempos) {
            if (tempos.size() > 1 && t.at() < length) {
                b.tempo(t.at(), t.tempo());
            }
        }
        int behind = mix.timing().behind();
        LongUnaryOperator guitars = late(score, swing(heard), Math.max(0, behind));
        LongUnaryOperator band = late(score, swing(heard), Math.max(0, -behind));
        if (first) {
            guitar(b, 0, score, guitars);
        }
        heard.second().ifPresent(s -> guitar(b, 1, s, guitars));
        tones(b, heard, levels);
        along(b, heard, band);
        return b.build();
    }

    /** Sections and their tones, a moment before what is played with them. */
    private static void tones(ProgramBuilder b, Heard heard, ToDoubleFunction<Tone> levels) {
        Mix mix = heard.mix();
        boolean before = true;
        for (Stretch s : heard.stretches()) {
            long at = before ? 0 : s.from();
            before = false;
            b.section(at, s.section());
            b.tone(
                    0,
                    at,
                    Gear.amp(s.first(), mix.controls()).louder(levels.applyAsDouble(s.first())));
            Tone second = s.second().orElse(mix.secondTone());
            double level = levels.applyAsDouble(second) / levels.applyAsDouble(mix.secondTone());
            b.tone(
                    1,
                    at,
                    Gear.amp(second, mix.secondControls())
                            .through(Gear.otherCabinet(mix.secondControls()))
                            .louder(level));
        }
    }

    private static LongUnaryOperator swing(Heard heard) {
        int swing = heard.mix().timing().swing();
        return t ->
                feelAt(heard, t) == Feel.SWUNG
                        ? Groove.swung(t)
                        : swing == 50 ? t : Groove.swung(t, swing, 100);
    }

    /** When something written is played: swung, and so many milliseconds late. */
    private static LongUnaryOperator late(Score score, LongUnaryOperator swing, int ms) {
        long last = score.length() - 1;
        TempoMap tempos = score.time().tempos();
        return t -> {
            long ticks = Math.round(ms / 1000.0 * tempos.at(t) / 60 * Ticks.QUARTER);
            return Math.min(last, swing.applyAsLong(t) + ticks);
        };
    }

    private static void along(ProgramBuilder b, Heard heard, LongUnaryOperator time) {
        Mix mix = heard.mix();
        Score score = heard.score();
        MeterMap meters = score.time().meters();
        long length = score.length();
        // A swung kit is written swung: only what comes late is added.
        LongUnaryOperator straight = late(score, t -> t, Math.max(0, -mix.timing().behind()));
        if (mix.click().on()) {
            for (Groove.Hit h : Groove.click(meters, length)) {
                if (clicks(heard, h.at())) {
                    b.hit(
                            straight.applyAsLong(h.at()),
                            Piece.valueOf(h.drum().name()),
                            h.velocity());
                }
            }
        }
        if (mix.kit().on()) {
            for (Groove.Hit h : kit(heard)) {
                boolean swung = feelAt(heard, h.at()) == Feel.SWUNG;
                LongUnaryOperator hits = swung ? straight : time;
                b.hit(hits.applyAsLong(h.at()), Piece.valueOf(h.drum().name()), h.velocity());
            }
        }
        if (mix.bass().on()) {
            for (Groove.BassNote n : bass(heard)) {
                boolean picked = mix.bassHand() == Mix.BassHand.PICK;
                b.bass(time.applyAsLong(n.at()), n.midi(), n.velocity(), picked);
            }
        }
    }

    /** Counting in it is always heard, later unless it has gone out. */
    private static boolean clicks(Heard heard, long at) {
        MeterMap meters = heard.score().time().meters();
        long from = heard.clicks().loopFrom();
        long bar = meters.bar(at) - (long) meters.bar(from);
        return at < from || heard.clicks().vanishing().heard(bar);
    }

    private static List<Groove.Hit> kit(Heard heard) {
        if (heard.stretches().isEmpty()) {
            return Drummer.loop(heard.score(), heard.mix().feel());
        }
        List<Groove.Hit> all = new ArrayList<>();
        boolean filled = false;
        for (Stretch s : heard.stretches()) {
            boolean fill = s.band().kit() && s.turns() && s.band().fill();
            if (s.band().kit()) {
                Feel feel = s.band().feel().orElse(heard.mix().feel());
                all.addAll(Drummer.stretch(heard.score(), s.from(), s.to(), feel, fill, filled));
            }
            filled = fill;
        }
        return all;
    }

    private static Feel feelAt(Heard heard, long at) {
        Feel feel = heard.mix().feel();
        for (Stretch s : heard.stretches()) {
            boolean here = at >= s.from() && at < s.to();
            feel = here ? s.band().feel().orElse(heard.mix().feel()) : feel;
        }
        return feel;
    }

    private static List<Groove.BassNote> bass(Heard heard) {
        Mix mix = heard.mix();
        if (heard.stretches().isEmpty()) {
            int tonic = heard.ground().key().tonic().pitchClass();
            Score score = heard.score();
            return Bassist.of(score, heard.second(), 0, score.length(), mix.bassLine(), tonic);
        }
        return Song.bass(heard.score(), heard.second(), heard.stretches(), mix.bassLine());
    }

    private static void guitar(ProgramBuilder b, int part, Score score, LongUnaryOperator time) {
        long length = score.length();
        List<Onset> onsets = score.onsets();
        for (int i = 0; i < onsets.size(); i++) {
            Onset o = onsets.get(i);
            Onset before = onsets.get((i + onsets.size() - 1) % onsets.size());
            long at = time.applyAsLong(o.at());
            if (!o.tied()) {
                int[] actions = actions(score, o, i == 0, before);
                strike(b, part, at, actions, o);
            }
            for (ScoreNote n : o.notes()) {
                techniques(b, part, n, time, length);
                tremolo(b, part, score, o, n, time);
            }
            long next = i + 1 < onsets.size() ? onsets.get(i + 1).at() : length;
            end(b, part, score, o, next, time);
        }
    }

    /** One stroke; or, plucked or with voices of their own level, one for each string, together. */
    private static void strike(ProgramBuilder b, int part, long at, int[] actions, Onset o) {
        boolean apart =
                o.notes().stream().anyMatch(n -> n.plucked() || n.dynamics() != o.dynamics());
        if (!apart || o.notes().size() == 1) {
            b.strike(part, at, actions, velocity(o), Gear.damping(o.manner()), o.down());
            return;
        }
        int[] now = actions;
        for (ScoreNote n : o.notes()) {
            int[] alone = now.clone();
            for (ScoreNote other : o.notes()) {
                alone[other.string()] = other == n ? actions[n.string()] : Program.KEEP;
            }
            double velocity = velocity(n.dynamics(), o.muted());
            b.strike(part, at, alone, velocity, Gear.damping(o.manner()), o.down());
            now = new int[actions.length];
            Arrays.fill(now, Program.KEEP);
        }
    }

    /**
     * What ends with an onset: all strings at a rest, the strings of a line's notes in any case.
     */
    private static void end(
            ProgramBuilder b, int part, Score score, Onset o, long next, LongUnaryOperator time) {
        int strings = score.board().strings();
        long sounds = o.manner() == Manner.STACCATO ? o.length() / 2 : o.length();
        long end = o.at() + sounds;
        int[] rest = new int[strings];
        if (end < next && o.manner() != Manner.LET_RING) {
            Arrays.fill(rest, Program.DAMP);
            b.strike(part, time.applyAsLong(end), rest, 0, Damping.OPEN, true);
            return;
        }
        Arrays.fill(rest, Program.KEEP);
        boolean any = false;
        int following = score.firstFrom(end);
        for (ScoreNote n : o.notes()) {
            boolean goesOn =
                    following < score.onsets().size()
                            && score.onsets().get(following).at() == end
                            && score.onsets().get(following).note(n.string()).isPresent();
            if (!n.rings() && !goesOn) {
                rest[n.string()] = Program.DAMP;
                any = true;
            }
        }
        if (any && end < score.length()) {
            b.strike(part, time.applyAsLong(end), rest, 0, Damping.OPEN, true);
        }
    }

    private static double velocity(Onset o) {
        return velocity(o.dynamics(), o.muted());
    }

    private static double velocity(Dynamics dynamics, boolean muted) {
        return switch (dynamics) {
            case ACCENT -> ACCENTED;
            case PLAIN -> muted ? UNDER_PALM : PLAIN;
            case SOFT -> SOFT;
            case GHOST -> GHOSTED;
        };
    }

    private static int[] actions(Score score, Onset o, boolean first, Onset before) {
        int chord = score.harmonyAt(o.at());
        boolean newChord = first || score.harmonyAt(before.at()) != chord;
        boolean letRing = before.manner() == Manner.LET_RING;
        int[] actions = new int[score.board().strings()];
        boolean damps = o.muted() || (newChord && !letRing);
        Arrays.fill(actions, damps ? Program.DAMP : Program.KEEP);
        if (newChord && !o.muted() && chord >= 0) {
            score.harmonies().get(chord).free().forEach(s -> actions[s] = Program.FREE);
        }
        for (ScoreNote n : o.notes()) {
            actions[n.string()] = n.tied() ? Program.KEEP : n.fret();
        }
        return actions;
    }

    /** The strokes of a tremolo after the first, by turns up and down, a little softer. */
    private static void tremolo(
            ProgramBuilder b, int part, Score score, Onset o, ScoreNote n, LongUnaryOperator time) {
        for (Technique t : n.techniques()) {
            if (t.kind() != Technique.Kind.TREMOLO) {
                continue;
            }
            long every = Ticks.QUARTER / t.to();
            boolean down = !o.down();
            for (long at = n.at() + every; at < n.end() && at < score.length(); at += every) {
                long now = time.applyAsLong(at);
                int[] again = new int[score.board().strings()];
                Arrays.fill(again, Program.KEEP);
                again[n.string()] = n.fret();
                b.strike(part, now, again, AGAIN * velocity(o), Gear.damping(o.manner()), down);
                pinch(n).ifPresent(
                                p -> b.gesture(part, now, n.string(), Program.Gesture.PINCH, p, 0));
                down = !down;
            }
        }
    }

    /** The partial that a thumb leaves of a note. */
    private static OptionalInt pinch(ScoreNote n) {
        return n.techniques().stream()
                .filter(t -> t.kind() == Technique.Kind.PINCH)
                .mapToInt(Technique::to)
                .findFirst();
    }

    private static void techniques(
            ProgramBuilder b, int part, ScoreNote n, LongUnaryOperator time, long length) {
        for (Technique t : n.techniques()) {
            long at = time.applyAsLong(Math.min(length - 1, n.at() + t.after()));
            gesture(t.kind())
                    .ifPresent(
                            g -> b.gesture(part, at, n.string(), g, t.to(), t.lasting(), t.hz()));
        }
    }

    /** What the string is told; nothing where the strokes or the fret already say it. */
    private static Optional<Program.Gesture> gesture(Technique.Kind kind) {
        return switch (kind) {
            case HAMMER -> Optional.of(Program.Gesture.HAMMER);
            case PULL -> Optional.of(Program.Gesture.PULL);
            case SLIDE -> Optional.of(Program.Gesture.SLIDE);
            case BEND, RELEASE -> Optional.of(Program.Gesture.BEND);
            case VIBRATO -> Optional.of(Program.Gesture.VIBRATO);
            case PINCH -> Optional.of(Program.Gesture.PINCH);
            case TREMOLO -> Optional.empty();
        };
    }
}
