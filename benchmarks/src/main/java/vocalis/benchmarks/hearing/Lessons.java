package vocalis.benchmarks.hearing;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.TreeMap;
import vocalis.core.derive.Deriver;
import vocalis.core.hands.Hand;
import vocalis.core.instrument.Instrument;
import vocalis.core.instrument.Shape;
import vocalis.core.instrument.Tuning;
import vocalis.core.mix.Controls;
import vocalis.core.mix.Mix;
import vocalis.core.mix.Timing;
import vocalis.core.pattern.Event;
import vocalis.core.pattern.Figure;
import vocalis.core.pattern.Pattern;
import vocalis.core.pattern.Stroke;
import vocalis.core.pattern.Struck;
import vocalis.core.rhythm.Meter;
import vocalis.core.rhythm.Ticks;
import vocalis.core.rhythm.TimeLine;
import vocalis.core.riff.Ground;
import vocalis.core.riff.Riff;
import vocalis.core.riff.Root;
import vocalis.core.riff.RootSpan;
import vocalis.core.riff.Tone;
import vocalis.core.riff.Treatment;
import vocalis.core.score.Manner;
import vocalis.core.score.Onset;
import vocalis.core.score.Score;
import vocalis.core.score.ScoreNote;
import vocalis.core.theory.Key;
import vocalis.core.voicing.Family;
import vocalis.sound.listen.Take;
import vocalis.workbench.playing.Heard;
import vocalis.workbench.playing.OfflineRender;
import vocalis.workbench.playing.Player;

/**
 * What the nets are taught on: random riffs of four bars, half of them with lines and picked chords
 * in place of some bars, in any tuning that is offered, every tone, guitar and amplifier turned at
 * random, later ones through other amplifiers too, strokes early and late. The same for the same
 * number; none of them is used to try the ears.
 */
final class Lessons {

    private static final int BARS = 4;
    private static final double SPREAD_MS = 12;
    private static final double TAIL_SECONDS = 0.7;

    /** From this number on three of four driven lessons go through amplifiers that are not ours. */
    private static final long OTHERS_FROM = 20_000;

    /**
     * From this number on every second stroke that is not under the palm strikes some strings of
     * its chord alone, and one driven lesson in three goes through another amplifier.
     */
    private static final long PICKED_FROM = 30_000;

    private static final List<String> KEYS =
            List.of(
                    "E minor",
                    "G major",
                    "A minor",
                    "C major",
                    "D dorian",
                    "B phrygian",
                    "F# minor",
                    "Bb major",
                    "C# minor",
                    "F lydian",
                    "G# minor",
                    "D mixolydian",
                    "Eb minor",
                    "B minor",
                    "C minor",
                    "A phrygian");

    private static final List<Family> OFTEN =
            List.of(
                    Family.POWER,
                    Family.POWER,
                    Family.FOURTH,
                    Family.TRIAD,
                    Family.OCTAVE,
                    Family.DRONE);

    private static final List<Struck.Named> SOME = List.of(Struck.Named.values());

    private final Random random;
    private final boolean picked;

    private Lessons(long number) {
        random = new Random(number * 7919 + 13);
        picked = number >= PICKED_FROM;
    }

    /** What is played, and how it sounds. */
    record Lesson(Score score, Tone tone, Take take) {}

    /** One by its number. */
    static Lesson of(long number) {
        return new Lessons(number).made(number);
    }

    private Lesson made(long number) {
        int which = random.nextInt(20);
        Tone tone = which < 5 ? Tone.CLEAN : which < 10 ? Tone.EDGE : Tone.GAIN;
        boolean strummed = number % 4 == 3;
        Riff riff = strummed ? strummed(tone) : riff(tone);
        Score written = new Deriver(Material.CATALOGUE).derive(riff, Hand.MEDIUM).score();
        Score score =
                strummed
                        ? anyShape(written)
                        : number % 2 == 0 ? new Lines(written, random).score() : written;
        Score played = Passes.hurried(score, random, SPREAD_MS, new TreeMap<>());
        boolean other =
                number >= OTHERS_FROM
                        && tone != Tone.CLEAN
                        && (picked ? random.nextInt(3) == 0 : random.nextInt(4) > 0);
        Tone through = other ? Tone.CLEAN : tone;
        Heard heard = new Heard(played, Optional.empty(), riff.ground().withTone(through), mix());
        Take take = Take.ofStereo(OfflineRender.of(heard, 1, TAIL_SECONDS).samples(), Player.RATE);
        if (other) {
            take = new OtherAmplifier(number, Player.RATE, tone == Tone.GAIN).of(take);
        }
        return new Lesson(played, tone, take);
    }

    private Ground ground(Tone tone) {
        List<Tuning> offered = Tuning.offered();
        Tuning tuning =
                random.nextInt(10) < 6
                        ? Tuning.STANDARD
                        : offered.get(random.nextInt(offered.size()));
        Key key = Key.parse(KEYS.get(random.nextInt(KEYS.size())));
        return new Ground(Instrument.of(tuning), 0, key, tone, 440);
    }

    private Riff riff(Tone tone) {
        long bar = Meter.COMMON.barTicks();
        List<RootSpan> roots = new ArrayList<>();
        List<Treatment> treatments = new ArrayList<>();
        for (int b = 0; b < BARS; b++) {
            int parts = random.nextInt(3) == 0 ? 2 : 1;
            for (int p = 0; p < parts; p++) {
                roots.add(new RootSpan(new Root(1 + random.nextInt(7), 0), bar / parts));
                treatments.add(Treatment.best(family()));
            }
        }
        return new Riff(
                ground(tone),
                TimeLine.of(Meter.COMMON, 70 + random.nextInt(100)),
                roots,
                treatments,
                Pattern.of(figure(bar)),
                List.of());
    }

    /** Four chords a bar, each strummed once: to be held as any of the usual ones. */
    private Riff strummed(Tone tone) {
        long quarter = Meter.COMMON.beatTicks();
        List<RootSpan> roots = new ArrayList<>();
        List<Treatment> treatments = new ArrayList<>();
        List<Event> events = new ArrayList<>();
        for (int i = 0; i < BARS * 4; i++) {
            roots.add(new RootSpan(new Root(1 + random.nextInt(7), 0), quarter));
            treatments.add(Treatment.best(any()));
            events.add(new Stroke(i, i * quarter, quarter, Struck.Named.ALL));
        }
        return new Riff(
                ground(tone),
                TimeLine.of(Meter.COMMON, 60 + random.nextInt(60)),
                roots,
                treatments,
                Pattern.of(new Figure("f", "f", BARS * 4 * quarter, events)),
                List.of());
    }

    /** The same with a usual shape of any family on any root in place of each. */
    private Score anyShape(Score score) {
        List<ScoreNote> notes = new ArrayList<>();
        for (Onset o : score.onsets()) {
            Shape shape = Material.shape(score.board(), random);
            for (int string : shape.sounded()) {
                ScoreNote n = o.notes().get(0);
                notes.add(n.withString(string).withFret(shape.fret(string)).withTied(false));
            }
        }
        return new Score(score.board(), score.time(), score.length(), notes, score.harmonies());
    }

    private Family family() {
        return random.nextInt(3) == 0 ? any() : OFTEN.get(random.nextInt(OFTEN.size()));
    }

    private Family any() {
        return Family.values()[random.nextInt(Family.values().length)];
    }

    /** A bar in one of four manners: mixed, mostly sixteenths and eighths, slow, chugged. */
    private Figure figure(long bar) {
        int manner = random.nextInt(4);
        List<Event> events = new ArrayList<>();
        long at = 0;
        while (at < bar) {
            long length = Math.min(bar - at, length(manner));
            if (at == 0 || random.nextInt(8) > 0) {
                boolean palm = random.nextInt(manner == 3 ? 2 : 4) == 0;
                Struck struck = palm ? Struck.Named.LOW : struck();
                Stroke s = new Stroke(events.size(), at, length, struck);
                Stroke played = palm ? s.played(Manner.PALM) : s;
                events.add(at == 0 || random.nextInt(4) == 0 ? played.accented(true) : played);
            }
            at += length;
        }
        return new Figure("f", "f", bar, events);
    }

    private Struck struck() {
        if (picked && random.nextBoolean()) {
            return SOME.get(random.nextInt(SOME.size()));
        }
        return random.nextInt(6) == 0 ? Struck.Named.LOW : Struck.Named.ALL;
    }

    private long length(int manner) {
        int eighths =
                switch (manner) {
                    case 0 -> random.nextInt(5) == 0 ? 0 : 1 + random.nextInt(3);
                    case 1 -> random.nextInt(3) == 0 ? 0 : 1;
                    case 2 -> 2 + random.nextInt(3);
                    default -> random.nextInt(2);
                };
        return eighths == 0 ? Ticks.EIGHTH / 2 : (long) eighths * Ticks.EIGHTH;
    }

    private Mix mix() {
        Controls controls =
                new Controls(
                        around(5),
                        around(3),
                        around(3),
                        around(3),
                        around(3),
                        0,
                        random.nextInt(3) == 0,
                        random.nextInt(11),
                        2 + random.nextInt(8),
                        random.nextInt(3) == 0,
                        random.nextInt(8),
                        false);
        return Mix.ALONE
                .withControls(controls)
                .withTiming(new Timing(random.nextInt(11), 50, 0))
                .withRoom(random.nextInt(6));
    }

    private int around(int most) {
        return random.nextInt(2 * most + 1) - most;
    }
}
