package vocalis.workbench.playing;

import java.util.Objects;
import java.util.Optional;
import vocalis.core.arrange.Song;
import vocalis.core.mix.Fader;
import vocalis.core.mix.Mix;
import vocalis.core.practice.Rounds;
import vocalis.core.practice.Vanishing;
import vocalis.core.score.Score;

/**
 * What is practised, and how it sounds meanwhile.
 *
 * @param from first tick of the stretch in the whole song
 * @param to tick past its last
 * @param hundredths of the song's tempo
 * @param countIn bars counted in
 * @param click whether the click is heard after that
 * @param vanishing in which bars it goes out
 * @param heard who is heard
 */
public record Drill(
        long from,
        long to,
        double hundredths,
        int countIn,
        boolean click,
        Vanishing vanishing,
        Who heard) {

    /** Most rounds that are laid end to end for a click that goes out. */
    private static final int MOST_ROUNDS = 32;

    /** Who is heard while one practises. */
    public enum Who {
        ALL("guitars and band"),
        FIRST("guitar one alone"),
        SECOND("guitar two alone"),
        BAND("the band alone");

        private final String words;

        Who(String words) {
            this.words = words;
        }

        /** As it is said. */
        public String words() {
            return words;
        }

        /** The next in turn. */
        public Who next(boolean two) {
            Who next = values()[(ordinal() + 1) % values().length];
            return next == SECOND && !two ? BAND : next;
        }
    }

    public Drill {
        Objects.requireNonNull(vanishing, "vanishing");
        Objects.requireNonNull(heard, "heard");
        if (from < 0 || to <= from) {
            throw new IllegalArgumentException(
                    "a stretch to practise lasts some time, not from " + from + " to " + to);
        }
        if (!(hundredths >= 5 && hundredths <= 2000) || countIn < 0 || countIn > 8) {
            throw new IllegalArgumentException(
                    "one practises at 5 to 2000 hundredths of the tempo and counts 0 to 8 bars in,"
                            + " not "
                            + hundredths
                            + " and "
                            + countIn);
        }
    }

    /** The rounds that are laid end to end. */
    public Rounds rounds(Song song) {
        Rounds one = new Rounds(song.score().time(), from, to, 1, countIn, hundredths);
        int rounds = Math.min(MOST_ROUNDS, vanishing.rounds(one.bars()));
        return rounds == 1
                ? one
                : new Rounds(song.score().time(), from, to, rounds, countIn, hundredths);
    }

    /** All that sounding it needs. */
    public Heard heard(Song song) {
        return heard(song, rounds(song));
    }

    /** The same in rounds that are laid already. */
    public Heard heard(Song song, Rounds rounds) {
        boolean one = heard == Who.ALL || heard == Who.FIRST;
        boolean two = heard == Who.ALL || heard == Who.SECOND;
        boolean band = heard == Who.ALL || heard == Who.BAND;
        Score first = rounds.of(song.score());
        Optional<Score> second = two ? song.second().map(rounds::of) : Optional.empty();
        return new Heard(
                one ? first : first.silent(),
                second,
                song.piece().riff().ground(),
                mix(song.piece().mix(), band),
                rounds.of(song.stretches()),
                new Heard.Clicks(rounds.loopFrom(), click ? vanishing : Vanishing.SILENT));
    }

    private static Mix mix(Mix mix, boolean band) {
        Fader click = mix.click().level() == 0 ? Fader.ON : mix.click().on(true);
        return mix.withBass(mix.bass().on(mix.bass().on() && band), mix.bassLine())
                .withKit(mix.kit().on(mix.kit().on() && band), mix.feel())
                .withClick(click);
    }
}
