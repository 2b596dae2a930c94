package vocalis.core.offer;

import java.util.ArrayList;
import java.util.Collections;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.SplittableRandom;
import vocalis.core.check.Check;
import vocalis.core.choice.Catalogue;
import vocalis.core.derive.Derived;
import vocalis.core.derive.Deriver;
import vocalis.core.edit.FigureBook;
import vocalis.core.edit.FigureText;
import vocalis.core.edit.Scope;
import vocalis.core.edit.Strokes;
import vocalis.core.hands.Hand;
import vocalis.core.pattern.Event;
import vocalis.core.pattern.Figure;
import vocalis.core.pattern.Pattern;
import vocalis.core.rhythm.Meter;
import vocalis.core.rhythm.MeterMap;
import vocalis.core.rhythm.Ticks;
import vocalis.core.rhythm.TimeLine;
import vocalis.core.riff.Ground;
import vocalis.core.riff.Riff;
import vocalis.core.riff.Root;
import vocalis.core.riff.RootSpan;
import vocalis.core.riff.Treatment;
import vocalis.core.vary.NextRoot;
import vocalis.core.voicing.Family;

/**
 * Short riffs made by rule from the ground that stands: roots that lead to one another in the mode,
 * a family, a figure that fits the meter, and one twist. Never from stored riffs; the same for the
 * same seed. The check finds nothing in any of them.
 */
public final class Sparks {

    /** As many are offered at a time. */
    public static final int SIX = 6;

    private static final int MOST_TRIES = 60;
    private static final int LIKELY = 4;

    /** How often which family comes, a place for each turn. */
    private static final List<Family> FAMILIES =
            List.of(
                    Family.POWER,
                    Family.POWER,
                    Family.POWER,
                    Family.FOURTH,
                    Family.FOURTH,
                    Family.THIRD,
                    Family.OCTAVE,
                    Family.TRIAD,
                    Family.TRIAD,
                    Family.SUSPENDED,
                    Family.DRONE);

    private static final List<Idea> TWISTS =
            List.of(Idea.APPROACH, Idea.ENDING, Idea.PEDAL_RIFF, Idea.ACROSS_THE_BAR);

    /** What may lie between accents, a place for each turn. */
    private static final List<String> BETWEEN = List.of("m-", "m-", "m-", "a-", "--", "..");

    /** Sixteenths under the palm are played up to this tempo; set by hand. */
    private static final int FASTEST_SIXTEENTHS = 150;

    private final Ground ground;
    private final Meter meter;
    private final int tempo;
    private final Hand hand;
    private final Catalogue catalogue;
    private final Deriver deriver;

    /**
     * Sparks for a ground.
     *
     * @param time its first meter and tempo hold throughout
     */
    public Sparks(Ground ground, TimeLine time, Hand hand, Catalogue catalogue) {
        this.ground = ground;
        meter = time.meters().meter(0);
        tempo = time.tempos().first();
        this.hand = hand;
        this.catalogue = catalogue;
        deriver = new Deriver(catalogue);
    }

    /**
     * A riff and what made it.
     *
     * @param family of all its chords
     * @param figure what it strikes is called
     * @param twist what was done to it besides
     */
    public record Spark(Riff riff, Family family, String figure, Optional<Offer> twist) {}

    /**
     * Six that differ, also from those of the two seeds before; fewer where the ground has no more.
     */
    public List<Spark> of(long seed) {
        // Ten in a row reach into the two seeds before.
        Set<Riff> before = new HashSet<>();
        for (int back = 1; back <= 2; back++) {
            SplittableRandom earlier = new SplittableRandom(seed - back);
            for (int i = 0; i < MOST_TRIES; i++) {
                before.add(spark(earlier).riff());
            }
        }
        SplittableRandom chance = new SplittableRandom(seed);
        List<Spark> all = new ArrayList<>();
        Set<Object> seen = new HashSet<>();
        for (int i = 0; i < MOST_TRIES && all.size() < SIX; i++) {
            Spark s = spark(chance);
            boolean fresh = !before.contains(s.riff()) && !seen.contains(s.riff());
            if (fresh
                    && Check.of(deriver.derive(s.riff(), hand)).isEmpty()
                    && seen.add(List.of(s.family(), s.figure()))) {
                seen.add(s.riff());
                all.add(s);
            }
        }
        return List.copyOf(all);
    }

    private Spark spark(SplittableRandom chance) {
        Family family = FAMILIES.get(chance.nextInt(FAMILIES.size()));
        List<Long> lengths = lengths(chance);
        List<RootSpan> spans = new ArrayList<>();
        List<Treatment> treatments = new ArrayList<>();
        for (long length : lengths) {
            spans.add(new RootSpan(new Root(1, 0), length));
            treatments.add(Treatment.best(family));
        }
        long whole = lengths.stream().mapToLong(l -> l).sum();
        Figure figure = figure(whole, chance);
        Riff riff =
                new Riff(
                        ground,
                        TimeLine.of(meter, tempo),
                        spans,
                        treatments,
                        Pattern.of(figure),
                        List.of());
        for (int i = 1; i < lengths.size(); i++) {
            List<NextRoot> next =
                    NextRoot.at(riff, i).stream()
                            .filter(r -> r.inside() && !r.diminished())
                            .filter(r -> r.reached() != NextRoot.Motion.STAYS)
                            .limit(LIKELY)
                            .toList();
            riff = next.get(chance.nextInt(next.size())).in(riff, i);
        }
        return twisted(riff, family, figure, chance);
    }

    /** One at hand that fills whole bars, or by turns one made for the bar. */
    private Figure figure(long whole, SplittableRandom chance) {
        List<Figure> fitting =
                FigureBook.all().stream()
                        .filter(f -> f.length() % meter.barTicks() == 0)
                        .filter(f -> whole % f.length() == 0)
                        .toList();
        boolean own = fitting.isEmpty() || chance.nextInt(2) == 0;
        return own ? made(chance) : fitting.get(chance.nextInt(fitting.size()));
    }

    /**
     * A bar in eighths or, where the tempo lets the hand, with sixteenths in it: an accent on each
     * group, between them palm, stroke, held on or nothing by chance.
     */
    private Figure made(SplittableRandom chance) {
        StringBuilder steps = new StringBuilder();
        long eighths = meter.barTicks() / Ticks.EIGHTH;
        long group = groups(chance);
        for (long i = 0; i < eighths; i++) {
            if (i % group == 0) {
                steps.append("A-");
                continue;
            }
            boolean quick = tempo <= FASTEST_SIXTEENTHS && chance.nextInt(5) == 0;
            steps.append(quick ? "mm" : BETWEEN.get(chance.nextInt(BETWEEN.size())));
        }
        return FigureText.of("made", "Groups of " + group, Ticks.SIXTEENTH, steps.toString());
    }

    private long groups(SplittableRandom chance) {
        boolean threes = meter.unit() == 8 && meter.beats() % 3 == 0;
        return threes ? 3 : 2 + chance.nextInt(3);
    }

    private Spark twisted(Riff riff, Family family, Figure figure, SplittableRandom chance) {
        int turn = chance.nextInt(2 * TWISTS.size());
        if (turn < TWISTS.size()) {
            Derived d = deriver.derive(riff, hand);
            List<Made> made =
                    TWISTS.get(turn).of(d, catalogue).stream()
                            .filter(o -> o.setting() != Setting.Stop.LONGER)
                            .toList();
            if (!made.isEmpty()) {
                Made m = made.get(chance.nextInt(made.size()));
                Offer o = new Offer(TWISTS.get(turn), m.setting(), m.riff());
                return new Spark(o.riff(), family, figure.name(), Optional.of(o));
            }
        }
        return new Spark(riff, family, figure.name(), Optional.empty());
    }

    /** How long each root lasts: four bars, in common time also two, with halves. */
    private List<Long> lengths(SplittableRandom chance) {
        long bar = meter.barTicks();
        List<Long> all = new ArrayList<>();
        boolean halves = meter.equals(Meter.COMMON);
        int bars = !halves || chance.nextInt(2) == 0 ? 4 : 2;
        for (int b = 0; b < bars; b++) {
            boolean two = halves && (bars == 2 ? b == 1 : chance.nextInt(4) == 0);
            if (two) {
                all.add(bar / 2);
                all.add(bar / 2);
            } else {
                all.add(bar);
            }
        }
        return all;
    }

    /** A riff with one bar filled, figure by figure, by chance; for a bar that has nothing. */
    public List<Spark> bar(Derived derived, int bar, long seed) {
        Riff riff = derived.riff();
        MeterMap meters = riff.meters();
        long from = meters.start(bar);
        List<Figure> figures =
                new ArrayList<>(
                        FigureBook.all().stream()
                                .filter(f -> f.length() == meters.end(bar) - from)
                                .toList());
        SplittableRandom chance = new SplittableRandom(seed);
        for (int i = figures.size() - 1; i > 0; i--) {
            Collections.swap(figures, i, chance.nextInt(i + 1));
        }
        List<Spark> all = new ArrayList<>();
        for (Figure f : figures) {
            Riff out = riff;
            for (Event e : f.events()) {
                out = Strokes.put(out, from + e.at(), e, Scope.THIS_PASS);
            }
            boolean fits = Check.noWorse(derived, deriver.derive(out, hand));
            if (fits && all.size() < SIX) {
                Family family = riff.treatments().get(riff.chordAt(from)).family();
                all.add(new Spark(out, family, f.name(), Optional.empty()));
            }
        }
        return List.copyOf(all);
    }

    /** Whether nothing is struck in a bar. */
    public static boolean empty(Derived derived, int bar) {
        MeterMap meters = derived.riff().meters();
        long end = meters.end(bar);
        int i = derived.score().firstFrom(meters.start(bar));
        return i >= derived.score().onsets().size() || derived.score().onsets().get(i).at() >= end;
    }
}
