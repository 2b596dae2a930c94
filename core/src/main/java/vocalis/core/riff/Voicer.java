package vocalis.core.riff;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import vocalis.core.choice.BassUnder;
import vocalis.core.choice.Candidate;
import vocalis.core.choice.Catalogue;
import vocalis.core.choice.Ranking;
import vocalis.core.hands.Fingering;
import vocalis.core.hands.Hand;
import vocalis.core.hands.Muting;
import vocalis.core.instrument.Fretboard;
import vocalis.core.instrument.Shape;
import vocalis.core.theory.Key;
import vocalis.core.voicing.Family;
import vocalis.core.voicing.Voicing;

/**
 * The first stage of derivation: which voicing each chord takes. A chord whose member was chosen
 * takes the voicing of that shape class nearest to the chosen place; one without takes the best
 * ranked beside the chord before it. What the ground no longer allows is replaced by the best that
 * it does, and found. Answers are remembered by all that they depend on, so an edit looks up what
 * it left alone. Used by one thread at a time.
 */
final class Voicer {

    private static final double OTHER_STRING = 5;
    private static final int REMEMBERED = 8192;

    /** All that the choice of a voicing depends on. */
    private record Ask(
            Fretboard board,
            Key key,
            Hand hand,
            Family family,
            Optional<Member> member,
            int root,
            Optional<Integer> bass,
            Optional<Shape> before) {}

    /** What a problem is, before it is known which chord has it. */
    private interface Trouble {
        Finding at(int chord);
    }

    /**
     * A voicing chosen.
     *
     * @param own its shape before a bass was put under it
     * @param free strings that no hand silences
     * @param silent whether it stands for a chord that cannot be played
     */
    record Voiced(
            Candidate candidate,
            Shape own,
            boolean byHand,
            List<Integer> free,
            boolean silent,
            List<Trouble> troubles) {

        void find(int chord, List<Finding> findings) {
            troubles.forEach(t -> findings.add(t.at(chord)));
        }
    }

    private final Catalogue catalogue;
    private final Map<Ask, Voiced> known =
            new LinkedHashMap<>(256, 0.75f, true) {
                @Override
                protected boolean removeEldestEntry(Map.Entry<Ask, Voiced> eldest) {
                    return size() > REMEMBERED;
                }
            };

    Voicer(Catalogue catalogue) {
        this.catalogue = catalogue;
    }

    /** The voicings of a riff's chords, in their order. */
    List<Voiced> voiced(Riff riff, Hand hand) {
        List<Voiced> all = new ArrayList<>();
        for (int i = 0; i < riff.roots().size(); i++) {
            all.add(voiced(riff, hand, i, riff.treatments().get(i), all));
        }
        return all;
    }

    private Voiced voiced(Riff riff, Hand hand, int chord, Treatment t, List<Voiced> before) {
        Key key = riff.ground().key();
        boolean beside = chord > 0 && t.member().isEmpty();
        Ask ask =
                new Ask(
                        riff.ground().board(),
                        key,
                        hand,
                        t.family(),
                        t.member(),
                        riff.roots().get(chord).root().pitchClass(key),
                        t.bass().map(b -> b.pitchClass(key)),
                        beside
                                ? Optional.of(before.get(chord - 1).candidate().voicing().shape())
                                : Optional.empty());
        return known.computeIfAbsent(ask, a -> new Choice(a).made());
    }

    /**
     * A riff worked on again after it was at rest: where the program would now take another shape
     * than the one settled, and the hand holds that one, it becomes the chord's member; by its
     * class where the family has it, else as if built by hand.
     */
    Riff kept(Riff riff, Hand hand) {
        Fretboard board = riff.ground().board();
        List<Treatment> kept = new ArrayList<>();
        List<Voiced> all = new ArrayList<>();
        for (int i = 0; i < riff.roots().size(); i++) {
            Treatment at = riff.treatments().get(i);
            Treatment t = at.settled(Optional.empty());
            Voiced now = voiced(riff, hand, i, t, all);
            Optional<Shape> was =
                    at.settled()
                            .filter(s -> t.member().isEmpty() && !s.equals(now.own))
                            .filter(s -> mayBeHeld(s, board, hand));
            if (was.isPresent()) {
                int root = riff.roots().get(i).root().pitchClass(riff.ground().key());
                Member.Found found = Member.Found.of(new Voicing(was.get(), board, root));
                Voiced again = voiced(riff, hand, i, t.with(t.family(), found), all);
                boolean same = again.own.equals(was.get());
                Member member = same ? found : new Member.ByHand(was.get(), root);
                kept.add(t.with(t.family(), member));
            } else {
                kept.add(t);
            }
            all.add(voiced(riff, hand, i, kept.get(i), all));
        }
        return riff.withTreatments(kept);
    }

    private static boolean mayBeHeld(Shape shape, Fretboard board, Hand hand) {
        return shape.strings() == board.strings()
                && shape.voices() > 0
                && shape.highestFretted() <= board.frets()
                && Fingering.of(board, shape, hand).isPresent();
    }

    /** A riff at rest: with the shape that each chord takes where no member is chosen. */
    Riff settled(Riff riff, Hand hand) {
        List<Voiced> all = voiced(riff, hand);
        List<Treatment> settled = new ArrayList<>();
        for (int i = 0; i < all.size(); i++) {
            Treatment t = riff.treatments().get(i);
            Shape own = all.get(i).own;
            settled.add(
                    t.settled(
                            t.member().isEmpty() && !all.get(i).silent
                                    ? Optional.of(own)
                                    : Optional.empty()));
        }
        return riff.withTreatments(settled);
    }

    /** One choice being made. */
    private final class Choice {
        private final Ask ask;
        private final List<Trouble> troubles = new ArrayList<>();
        private boolean silent;

        Choice(Ask ask) {
            this.ask = ask;
        }

        Voiced made() {
            Optional<Candidate> byHand = byHand();
            Candidate alone = byHand.orElseGet(this::found);
            Candidate c = over(alone);
            return new Voiced(
                    c,
                    alone.voicing().shape(),
                    byHand.isPresent(),
                    free(c),
                    silent,
                    List.copyOf(troubles));
        }

        /** Strings that the shape leaves unsounded and that no hand can silence. */
        private List<Integer> free(Candidate c) {
            return Muting.of(c.voicing().shape(), c.fingering()).silences().stream()
                    .filter(s -> s.by() == Muting.By.NOTHING)
                    .map(Muting.Silence::string)
                    .toList();
        }

        private Candidate over(Candidate c) {
            if (ask.bass.isEmpty() || silent) {
                return c;
            }
            int bass = ask.bass.get();
            Optional<Candidate> put = BassUnder.put(c, bass, ask.hand);
            if (put.isEmpty()) {
                troubles.add(chord -> new Finding.NoBass(chord, bass));
            }
            return put.orElse(c);
        }

        private Candidate found() {
            List<Candidate> leading = catalogue.leading(ask.board, ask.hand, ask.family, ask.root);
            if (leading.isEmpty()) {
                return fallback();
            }
            if (ask.member.orElse(null) instanceof Member.Found chosen) {
                Optional<Candidate> nearest = nearest(chosen);
                if (nearest.isPresent()) {
                    return nearest.get();
                }
                troubles.add(chord -> new Finding.MemberGone(chord, ask.family, ask.root));
            }
            List<Shape> near = ask.before.map(List::of).orElse(List.of());
            return new Ranking(ask.family, near, ask.key).best(leading).orElseThrow();
        }

        /** The place of a shape class that lies nearest to where it was chosen. */
        private Optional<Candidate> nearest(Member.Found chosen) {
            Candidate best = null;
            double least = Double.POSITIVE_INFINITY;
            int strings = chosen.shapeClass().steps().size();
            for (Candidate c : catalogue.candidates(ask.board, ask.hand, ask.family, ask.root)) {
                double far =
                        OTHER_STRING * Math.abs(c.lowString() - chosen.lowString())
                                + Math.abs(c.position() - chosen.nearFret());
                if (far < least
                        && c.voicing().voices() == strings
                        && c.voicing().shapeClass().equals(chosen.shapeClass())) {
                    best = c;
                    least = far;
                }
            }
            return Optional.ofNullable(best);
        }

        private Optional<Candidate> byHand() {
            if (!(ask.member.orElse(null) instanceof Member.ByHand built)) {
                return Optional.empty();
            }
            int up = Math.floorMod(ask.root - built.root(), 12);
            for (int by : up > 6 ? new int[] {up - 12, up} : new int[] {up, up - 12}) {
                Optional<Candidate> moved =
                        built.shape().strings() != ask.board.strings()
                                ? Optional.empty()
                                : built.shape().moved(by, ask.board.frets()).flatMap(this::held);
                if (moved.isPresent()) {
                    return moved;
                }
            }
            troubles.add(chord -> new Finding.ShapeGone(chord, built.shape()));
            return Optional.empty();
        }

        private Optional<Candidate> held(Shape shape) {
            if (shape.frets().stream().anyMatch(f -> f > ask.board.frets())) {
                return Optional.empty();
            }
            Fingering fingering =
                    Fingering.of(ask.board, shape, ask.hand)
                            .orElseGet(
                                    () ->
                                            new Fingering(
                                                    List.of(),
                                                    Fingering.Effort.IMPOSSIBLE,
                                                    ask.board.spanMm(
                                                            shape.lowestFretted(),
                                                            shape.highestFretted())));
            return Optional.of(new Candidate(new Voicing(shape, ask.board, ask.root), fingering));
        }

        /** The root alone on the lowest string that has it; silence where no string has. */
        private Candidate fallback() {
            Fretboard board = ask.board;
            for (int string = 0; string < board.strings(); string++) {
                int fret = Math.floorMod(ask.root - board.midi(string, 0), 12);
                if (fret <= board.frets()) {
                    troubles.add(chord -> new Finding.FamilyEmpty(chord, ask.family, ask.root));
                    return held(Shape.silent(board.strings()).with(string, fret)).orElseThrow();
                }
            }
            silent = true;
            troubles.add(chord -> new Finding.RootOutOfReach(chord, ask.root));
            return held(Shape.silent(board.strings()).with(0, 0)).orElseThrow();
        }
    }
}
