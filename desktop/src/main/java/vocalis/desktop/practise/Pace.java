package vocalis.desktop.practise;

import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.function.Supplier;
import java.util.function.UnaryOperator;
import java.util.stream.IntStream;
import vocalis.core.arrange.Song;
import vocalis.core.practice.Ladder;
import vocalis.core.rhythm.TempoMap;
import vocalis.desktop.session.Teller;
import vocalis.workbench.words.PracticeWords;

/** How fast a stretch goes: a part of its own tempo, or up a ladder. */
public final class Pace {

    private final Teller session;
    private final Supplier<Optional<Song>> song;
    private final Supplier<Aim> aim;
    private final Runnable heardOtherwise;
    private final Runnable changed;

    /** Of the song's own tempo. */
    private double hundredths = 100;

    /** What goes at a tempo of its own keeps it while others are practised. */
    private final Map<String, Double> tempos = new HashMap<>();

    private Optional<Ladder.Climb> climb = Optional.empty();

    /**
     * @param heardOtherwise told when what is heard is another
     * @param changed told when something is shown otherwise
     */
    Pace(
            Teller session,
            Supplier<Optional<Song>> song,
            Supplier<Aim> aim,
            Runnable heardOtherwise,
            Runnable changed) {
        this.session = session;
        this.song = song;
        this.aim = aim;
        this.heardOtherwise = heardOtherwise;
        this.changed = changed;
    }

    /** The ladder, when it is climbed. */
    public Optional<Ladder.Climb> climb() {
        return climb;
    }

    /** Another stretch goes at its own tempo, or from the ladder's foot. */
    void leaving(Aim from, Aim to) {
        tempos.put(from.what(), hundredths);
        hundredths = tempos.getOrDefault(to.what(), 100.0);
        climb = climb.map(c -> c.ladder().foot());
    }

    /** A pass of the ladder is over. */
    void passed(Sitting now, boolean clean) {
        Ladder.Climb before = climb.orElseThrow();
        Ladder.Climb after = clean ? before.passed() : before.failedPass();
        climb = Optional.of(after);
        now.cleanAt(after.best());
        if (after.tempo() != before.tempo()) {
            heardOtherwise.run();
            session.say(
                    after.tempo() > before.tempo()
                            ? "Up to " + after.tempo() + "."
                            : "Two failed: back to " + after.tempo() + ".");
        } else if (after.reached() && !before.reached()) {
            session.say("The goal is reached, every pass clean at " + after.best() + ".");
        }
    }

    /** The tempo that it goes at, quarter notes per minute. */
    public int tempo() {
        return song.get().map(s -> (int) Math.round(own(s) * hundredths() / 100)).orElse(0);
    }

    private int own(Song s) {
        return s.score().time().tempos().at(aim.get().from());
    }

    /** The tempo in hundredths of the stretch's own. */
    public double hundredths() {
        return song.get()
                .filter(s -> climb.isPresent())
                .map(s -> 100.0 * climb.get().tempo() / own(s))
                .orElse(hundredths);
    }

    /** Steps the tempo: on the ladder its goal, else the tempo itself. */
    public void tempo(int by) {
        song.get()
                .ifPresent(
                        s -> {
                            if (climb.isPresent()) {
                                climbed(l -> l.upTo(l.goal() + by));
                            } else {
                                int now = tempo() + by;
                                int inside =
                                        Math.max(TempoMap.SLOWEST, Math.min(TempoMap.FASTEST, now));
                                hundredths = 100.0 * inside / own(s);
                                heardOtherwise.run();
                                changed.run();
                            }
                        });
    }

    /** Whether a ladder is climbed. */
    public boolean onLadder() {
        return climb.isPresent();
    }

    /** Two thirds of the stretch's own tempo, where a part is learnt; the ladder is left. */
    public void twoThirds() {
        song.get()
                .ifPresent(
                        s -> {
                            climb = Optional.empty();
                            hundredths = 200.0 / 3;
                            heardOtherwise.run();
                            changed.run();
                        });
    }

    /** The ladder's foot. */
    public void foot(int by) {
        climbed(l -> l.startingAt(l.start() + by));
    }

    /** Clean passes that a rung takes: 1, 2, 3, 4, 6, 8, and again. */
    public void rungPasses() {
        climbed(
                l ->
                        l.taking(
                                IntStream.of(1, 2, 3, 4, 6, 8)
                                        .filter(n -> n > l.passes())
                                        .findFirst()
                                        .orElse(1)));
    }

    /** Another ladder, from its foot. */
    private void climbed(UnaryOperator<Ladder> change) {
        climb = climb.map(c -> change.apply(c.ladder()).foot());
        heardOtherwise.run();
        changed.run();
    }

    /** Climbs a ladder up to the song's tempo, or no more. */
    public void toggleLadder() {
        song.get()
                .ifPresent(
                        s -> {
                            climb =
                                    climb.isPresent()
                                            ? Optional.empty()
                                            : Optional.of(Ladder.to(own(s)).foot());
                            heardOtherwise.run();
                            session.say(
                                    climb.isPresent()
                                            ? "Up the ladder: "
                                                    + PracticeWords.of(climb.get().ladder())
                                            : "One tempo again.");
                            changed.run();
                        });
    }
}
