package vocalis.core.arrange;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import vocalis.core.derive.Derived;
import vocalis.core.mix.BassFigure;
import vocalis.core.mix.Groove;
import vocalis.core.mix.Mix;
import vocalis.core.piece.Meant;
import vocalis.core.piece.Piece;
import vocalis.core.piece.Section;
import vocalis.core.revoice.Rub;
import vocalis.core.rhythm.TempoMap;
import vocalis.core.rhythm.Ticks;
import vocalis.core.riff.Riff;
import vocalis.core.score.Ringing;
import vocalis.core.score.Ringing.Sound;
import vocalis.core.score.Score;

/**
 * Finds where two guitars, or one and the bass, rub against each other: seconds, sevenths, tritones
 * and low thirds that sound together for a sixteenth or longer, and for 120 ms at least. What one
 * player has in his own chord is colour, not a clash: a pair of which one player sounds both notes
 * at that time is left out.
 */
public final class Clashes {

    /** Shortest that is told, in ticks. */
    public static final long LEAST_TICKS = Ticks.SIXTEENTH;

    /** Shortest that is told, in seconds. */
    public static final double LEAST_SECONDS = 0.12;

    private final Song song;
    private final Map<Meant, Clash> found = new HashMap<>();

    private Clashes(Song song) {
        this.song = song;
    }

    /** All of them by time; one that comes again with its riff is told where it comes first. */
    public static List<Clash> of(Song song) {
        Clashes c = new Clashes(song);
        Score first = song.score();
        List<Sound> one = Ringing.of(first);
        List<Sound> bass = song.piece().mix().bass().on() ? bass(song) : List.of();
        c.between(one, bass, Clash.Between.FIRST_AND_BASS);
        song.second()
                .ifPresent(
                        s -> {
                            List<Sound> two = Ringing.of(s);
                            c.between(one, two, Clash.Between.GUITARS);
                            c.between(two, bass, Clash.Between.SECOND_AND_BASS);
                        });
        List<Clash> all = new ArrayList<>(c.found.values());
        all.sort(
                Comparator.comparingLong(Clash::from)
                        .thenComparing(Clash::between)
                        .thenComparing(Clash::kind)
                        .thenComparingInt(Clash::one)
                        .thenComparingInt(Clash::two));
        return all;
    }

    /** The same without those that are meant. */
    public static List<Clash> open(Song song) {
        return of(song).stream().filter(c -> !song.piece().meant().contains(c.key())).toList();
    }

    /**
     * How many the bass would make with the guitars of a section, were it to play a line.
     *
     * @param derive how a riff is worked out
     */
    public static int ofBass(
            Piece piece, Section section, BassFigure line, Function<Riff, Derived> derive) {
        Mix mix = piece.mix();
        Piece alone =
                piece.mixed(mix.withBass(mix.bass().on(true), mix.bassLine()))
                        .arranged(
                                List.of(
                                        section.with(
                                                section.band().withBass(true, Optional.of(line)))));
        return (int)
                of(Song.of(alone, derive)).stream()
                        .filter(c -> c.between() != Clash.Between.GUITARS)
                        .count();
    }

    private static List<Sound> bass(Song song) {
        List<Sound> all = new ArrayList<>();
        for (Groove.BassNote n : song.bass()) {
            all.add(new Sound(n.midi(), n.at(), n.at() + n.length(), null));
        }
        return all;
    }

    private void between(List<Sound> ones, List<Sound> twos, Clash.Between who) {
        long longest = 0;
        for (Sound s : twos) {
            longest = Math.max(longest, s.to() - s.from());
        }
        List<Clash> pairs = new ArrayList<>();
        for (Sound a : ones) {
            for (int i = from(twos, a.from() - longest); i < twos.size(); i++) {
                Sound b = twos.get(i);
                if (b.from() >= a.to()) {
                    break;
                }
                Optional<Rub.Kind> kind = Rub.kind(a.midi(), b.midi());
                if (a.together(b) > 0 && kind.isPresent() && !colour(a, b, ones, twos)) {
                    pairs.add(clash(a, b, kind.get(), who));
                }
            }
        }
        pairs.sort(
                Comparator.comparingInt(Clash::one)
                        .thenComparingInt(Clash::two)
                        .thenComparingLong(Clash::from));
        Comparator<Clash> byTime = Comparator.comparingLong(Clash::from);
        Set<Place> told = new HashSet<>();
        joined(pairs).stream()
                .filter(this::lastsLong)
                .sorted(byTime.thenComparingInt(c -> Math.abs(c.one() - c.two())))
                .filter(c -> told.add(new Place(c.key(), c.from())))
                .forEach(c -> found.merge(c.key(), c, (x, y) -> x.again()));
    }

    /** One clash at one time: the same notes in other octaves are no other, the nearest stands. */
    private record Place(Meant key, long from) {}

    /** Pairs that are struck again without a gap are one. */
    private static List<Clash> joined(List<Clash> pairs) {
        List<Clash> all = new ArrayList<>();
        for (Clash c : pairs) {
            Clash last = all.isEmpty() ? null : all.get(all.size() - 1);
            boolean goesOn =
                    last != null
                            && last.one() == c.one()
                            && last.two() == c.two()
                            && last.section() == c.section()
                            && c.from() <= last.to()
                            && c.key().at() > last.key().at();
            if (goesOn) {
                all.set(all.size() - 1, last.until(Math.max(last.to(), c.to())));
            } else {
                all.add(c);
            }
        }
        return all;
    }

    private boolean lastsLong(Clash c) {
        TempoMap tempos = song.score().time().tempos();
        double seconds = tempos.seconds(c.to()) - tempos.seconds(c.from());
        return c.to() - c.from() >= LEAST_TICKS && seconds >= LEAST_SECONDS;
    }

    private Clash clash(Sound a, Sound b, Rub.Kind kind, Clash.Between who) {
        long from = Math.max(a.from(), b.from());
        Arrangement.Turn t = song.passageAt(from).turn();
        String riff = song.piece().sections().get(t.section()).riff();
        Meant key =
                new Meant(
                        riff,
                        Math.max(0, from - t.shift()),
                        Math.floorMod(a.midi(), 12),
                        Math.floorMod(b.midi(), 12));
        return new Clash(
                from, Math.min(a.to(), b.to()), kind, who, a.midi(), b.midi(), t.section(), key, 1);
    }

    /** Whether one player alone has both pitch classes while the pair sounds. */
    private static boolean colour(Sound a, Sound b, List<Sound> ones, List<Sound> twos) {
        long from = Math.max(a.from(), b.from());
        long to = Math.min(a.to(), b.to());
        return sounds(ones, b.midi(), from, to) || sounds(twos, a.midi(), from, to);
    }

    private static boolean sounds(List<Sound> all, int midi, long from, long to) {
        int oldest = Math.max(0, from(all, from) - NEAR);
        for (int i = from(all, to) - 1; i >= oldest; i--) {
            Sound s = all.get(i);
            if (Math.floorMod(s.midi() - midi, 12) == 0 && s.from() < to && s.to() > from) {
                return true;
            }
        }
        return false;
    }

    /** How many sounds before a moment may still ring: more than a guitar has strings. */
    private static final int NEAR = 64;

    /** Index of the first sound that begins at a tick or later. */
    private static int from(List<Sound> all, long tick) {
        int low = 0;
        int high = all.size();
        while (low < high) {
            int mid = (low + high) >>> 1;
            if (all.get(mid).from() < tick) {
                low = mid + 1;
            } else {
                high = mid;
            }
        }
        return low;
    }
}
