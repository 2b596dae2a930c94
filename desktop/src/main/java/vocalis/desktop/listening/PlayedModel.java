package vocalis.desktop.listening;

import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.function.Consumer;
import vocalis.core.choice.Candidate;
import vocalis.core.derive.Derived;
import vocalis.core.hands.Hand;
import vocalis.core.instrument.Fretboard;
import vocalis.core.instrument.Shape;
import vocalis.core.riff.Ground;
import vocalis.core.riff.Riff;
import vocalis.core.riff.Tone;
import vocalis.core.theory.Key;
import vocalis.core.theory.Spelling;
import vocalis.core.voicing.Family;
import vocalis.core.voicing.Voicing;
import vocalis.desktop.pictures.Chords;
import vocalis.desktop.session.Session;
import vocalis.sound.listen.OnsetFinder;
import vocalis.sound.listen.Take;
import vocalis.workbench.listening.Holding;
import vocalis.workbench.listening.Listener;
import vocalis.workbench.listening.Tuner;
import vocalis.workbench.playing.OfflineRender;
import vocalis.workbench.playing.Player;

/**
 * Names what is strummed and tells how plucked strings are tuned, as it is played. Used on the FX
 * thread; all reading is done on a worker.
 */
final class PlayedModel {

    /** So many shapes are offered. */
    static final int SHAPES = 3;

    /** A stroke is read when it has sounded so long, in seconds. */
    private static final double RIPE = 0.75;

    private static final double BEFORE = 0.1;
    private static final double LOOKED_AT = 2.5;
    private static final double STAND_IN_SECONDS = 1.2;
    private static final double MOST_CENTS_OFF = 14;

    private final Session session;
    private final Random random;
    private double readUntil;
    private boolean reading;

    PlayedModel(Session session, long seed) {
        this.session = session;
        random = new Random(seed);
    }

    /**
     * What was heard last.
     *
     * @param holding the chord; no shapes where none can be made out
     * @param plucked the string, where it was a single open one
     * @param picture the first shapes as chords; empty where there are none
     */
    record Played(Holding holding, Optional<Tuner.Plucked> plucked, Optional<Derived> picture) {}

    /** Reads the newest stroke of an input, if there is one that was not read yet. */
    void look(Listener listener, Consumer<Played> answer) {
        double now = listener.seconds();
        if (reading || now - readUntil < RIPE) {
            return;
        }
        double from = Math.max(readUntil, now - LOOKED_AT);
        Take take = listener.take(from, now);
        reading = true;
        Asked asked = asked();
        session.ask(
                "hearing what is played",
                () -> newest(take, from, asked),
                found -> {
                    reading = false;
                    found.ifPresent(
                            f -> {
                                readUntil = f.until;
                                answer.accept(f.played);
                            });
                });
    }

    private record Asked(Riff riff, Hand hand) {
        Fretboard board() {
            return riff.ground().board();
        }

        double a4Hz() {
            return riff.ground().a4Hz();
        }

        Key key() {
            return riff.ground().key();
        }
    }

    private record Newest(Played played, double until) {}

    private Asked asked() {
        return new Asked(session.now(), session.hand());
    }

    private Optional<Newest> newest(Take take, double from, Asked a) {
        List<Double> onsets = OnsetFinder.of(take);
        for (int i = onsets.size() - 1; i >= 0; i--) {
            double at = onsets.get(i);
            if (take.seconds() - at >= RIPE - 0.1) {
                Take one = take.from(at - BEFORE);
                return Optional.of(new Newest(played(one, a), from + at + RIPE / 2));
            }
        }
        return Optional.empty();
    }

    private Played played(Take take, Asked a) {
        Holding holding =
                Holding.of(
                        take,
                        a.board(),
                        a.a4Hz(),
                        a.hand(),
                        session.catalogue(),
                        Optional.of(a.key()));
        boolean single = holding.midi(a.board()).size() <= 1;
        Optional<Tuner.Plucked> plucked =
                single
                        ? Tuner.of(take, a.board(), a.a4Hz()).stream()
                                .filter(p -> Math.abs(p.cents()) < 50)
                                .findFirst()
                        : Optional.empty();
        return new Played(holding, plucked, picture(holding, a));
    }

    private Optional<Derived> picture(Holding h, Asked a) {
        List<Voicing> voicings =
                h.shapes().stream()
                        .limit(SHAPES)
                        .map(n -> new Voicing(n.shape(), a.board(), n.name().root().pitchClass()))
                        .toList();
        return voicings.isEmpty()
                ? Optional.empty()
                : Optional.of(
                        Chords.of(voicings, a.riff(), a.key(), a.hand(), session.catalogue()));
    }

    /** The stand-in strums a shape of the riff's key that players take. */
    void standInStrums(Consumer<Played> answer) {
        Asked a = asked();
        session.ask("the stand-in strums", () -> strummed(a.riff().ground(), a), answer);
    }

    private synchronized Played strummed(Ground ground, Asked a) {
        Family[] families = {Family.POWER, Family.TRIAD, Family.FOURTH, Family.EXTENDED};
        List<Integer> notes = a.key().scale().stream().map(Spelling::pitchClass).toList();
        List<Candidate> all = List.of();
        while (all.isEmpty()) {
            Family f = families[random.nextInt(families.length)];
            int root = notes.get(random.nextInt(notes.size()));
            all = session.catalogue().likeliest(a.board(), a.hand(), f, root, a.key());
        }
        Shape shape = all.get(random.nextInt(Math.min(4, all.size()))).voicing().shape();
        return played(strum(shape, ground), a);
    }

    private static Take strum(Shape shape, Ground ground) {
        float[] sound =
                OfflineRender.of(shape, ground.withTone(Tone.CLEAN), STAND_IN_SECONDS).samples();
        float[] later = new float[sound.length + 2 * (int) (BEFORE * Player.RATE)];
        System.arraycopy(sound, 0, later, later.length - sound.length, sound.length);
        return Take.ofStereo(later, Player.RATE);
    }

    /** The stand-in plucks an open string that is out of tune. */
    void standInPlucks(int string, Consumer<Played> answer) {
        Asked a = asked();
        double cents = MOST_CENTS_OFF * (2 * random.nextDouble() - 1);
        Ground ground = session.now().ground();
        double a4 = a.a4Hz() * Math.pow(2, cents / 1200);
        Ground off =
                new Ground(ground.instrument(), ground.capo(), ground.key(), ground.tone(), a4);
        Shape open = Shape.silent(a.board().strings()).with(string, 0);
        session.ask("the stand-in tunes", () -> played(strum(open, off), a), answer);
    }
}
