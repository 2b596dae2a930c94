package vocalis.benchmarks.hearing;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import vocalis.core.derive.Derived;
import vocalis.core.instrument.Shape;
import vocalis.core.riff.Ground;
import vocalis.core.riff.Tone;
import vocalis.core.score.Dynamics;
import vocalis.core.score.Onset;
import vocalis.core.score.Score;
import vocalis.core.score.ScoreNote;
import vocalis.sound.listen.Take;
import vocalis.workbench.listening.StandIn;
import vocalis.workbench.playing.Heard;
import vocalis.workbench.playing.OfflineRender;
import vocalis.workbench.playing.Player;

/** Shapes and scores as a source plays them: our own strings in a tone, or a recorded guitar. */
final class Sounds {

    /** Programs of the sound font, counted from 0, by the source's name. */
    private static final Map<String, Integer> PROGRAMS =
            Map.of("recorded", 27, "driven", 27, "overdriven", 29, "distorted", 30);

    private static final double BEGINS = 0.1;
    private static final double STRUM_SECONDS = 1.2;
    private static final double PALM_SECONDS = 0.09;

    /** Notes of a strum follow one another so closely, in seconds. */
    private static final double STAGGER = 0.006;

    private final String source;

    private static final double TAIL_SECONDS = 0.7;
    private static final String ALTERED = "altered";

    /** Those of the lessons are above zero. */
    private long amplifier;

    private int taken;
    private Optional<Altering> altering = Optional.empty();

    /**
     * @param source own, edge or gain; altered or altered-gain, each take in the next of the ways
     *     of {@link Altering}, altered-room and so on in one; recorded, driven (the recorded clean
     *     guitar through an amplifier that is none of ours), overdriven or distorted
     */
    Sounds(String source) {
        this.source = source;
    }

    boolean recorded() {
        return PROGRAMS.containsKey(source);
    }

    /**
     * How long after its time a stroke is heard to begin, in seconds: by the first of its notes.
     */
    double late(Score score, Onset o) throws IOException {
        double first = Double.POSITIVE_INFINITY;
        double stagger = 0;
        for (ScoreNote n : o.notes()) {
            if (recorded() && !n.tied()) {
                int midi = score.board().midi(n.string(), n.fret());
                first = Math.min(first, stagger + Recorded.late(midi, PROGRAMS.get(source)));
                stagger += STAGGER / 2;
            }
        }
        return recorded() ? first : 0;
    }

    /** Where a moment of the score, in seconds, lies in the last take. */
    double when(double seconds) {
        return seconds / altering.map(Altering::faster).orElse(1.0);
    }

    private Tone tone() {
        return switch (source) {
            case "edge" -> Tone.EDGE;
            case "gain" -> Tone.GAIN;
            default -> Tone.CLEAN;
        };
    }

    Take strum(Shape shape) throws IOException {
        Ground ground = Material.ground(tone());
        if (recorded()) {
            List<Recorded.Note> notes = new ArrayList<>();
            double at = BEGINS;
            for (int s : shape.sounded()) {
                int midi = ground.board().midi(s, shape.fret(s));
                notes.add(new Recorded.Note(at, STRUM_SECONDS, midi, 90));
                at += STAGGER;
            }
            return amplified(Recorded.of(notes, PROGRAMS.get(source)));
        }
        float[] strum = OfflineRender.of(shape, ground, STRUM_SECONDS).samples();
        float[] later = new float[strum.length + 2 * (int) (BEGINS * Player.RATE)];
        System.arraycopy(strum, 0, later, later.length - strum.length, strum.length);
        return Take.ofStereo(later, Player.RATE);
    }

    /** Each take through another. */
    private Take amplified(Take clean) {
        if (!source.equals("driven")) {
            return clean;
        }
        return new OtherAmplifier(--amplifier, clean.rate(), true).of(clean);
    }

    Take take(Derived d) throws IOException {
        return take(d.score(), d.riff().ground());
    }

    Take take(Score score, Ground of) throws IOException {
        if (source.startsWith(ALTERED)) {
            return altered(score, of.withTone(source.endsWith("gain") ? Tone.GAIN : Tone.CLEAN));
        }
        if (!recorded()) {
            return StandIn.sound(score, of.withTone(tone()));
        }
        List<Recorded.Note> notes = new ArrayList<>();
        for (Onset o : score.onsets()) {
            double stagger = 0;
            for (ScoreNote note : o.notes()) {
                if (!note.tied()) {
                    double from = score.time().tempos().seconds(note.at()) + stagger;
                    double to = score.time().tempos().seconds(note.end());
                    double until = o.muted() ? Math.min(to, from + PALM_SECONDS) : to;
                    int loud = o.dynamics() == Dynamics.ACCENT ? 110 : o.muted() ? 75 : 90;
                    int midi = score.board().midi(note.string(), note.fret());
                    notes.add(new Recorded.Note(from, until - 0.004, midi, loud));
                    stagger += STAGGER / 2;
                }
            }
        }
        return amplified(Recorded.of(notes, PROGRAMS.get(source)));
    }

    private Take altered(Score score, Ground ground) throws IOException {
        Altering[] ways = Altering.values();
        Altering way = ways[taken++ % ways.length];
        for (Altering w : ways) {
            String name = ALTERED + "-" + w.name().toLowerCase(Locale.ROOT).replace('_', '-');
            way = source.equals(name) ? w : way;
        }
        altering = Optional.of(way);
        Heard heard = new Heard(score, Optional.empty(), ground, way.mix());
        float[] samples = OfflineRender.of(heard, 1, TAIL_SECONDS).samples();
        return way.of(Take.ofStereo(samples, Player.RATE));
    }
}
