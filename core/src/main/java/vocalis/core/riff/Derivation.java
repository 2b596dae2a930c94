package vocalis.core.riff;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.ToDoubleFunction;
import vocalis.core.choice.BassUnder;
import vocalis.core.choice.Candidate;
import vocalis.core.choice.Catalogue;
import vocalis.core.choice.Ranking;
import vocalis.core.hands.Fingering;
import vocalis.core.hands.Hand;
import vocalis.core.instrument.Fretboard;
import vocalis.core.instrument.Shape;
import vocalis.core.rhythm.Ticks;
import vocalis.core.theory.Key;
import vocalis.core.voicing.Family;
import vocalis.core.voicing.Sounding;
import vocalis.core.voicing.Voicing;

/**
 * Makes the score of a riff. The same riff, hand and catalogue always give the same score.
 *
 * <p>A chord whose member was chosen takes the voicing of that shape class nearest to the chosen
 * place; one without takes the best ranked beside the chord before it. What the ground no longer
 * allows is replaced by the best that it does, and said in the score's remarks.
 */
public final class Derivation {

    private static final double OTHER_STRING = 5;
    private static final double OTHER_CLASS = 1000;

    private final Riff riff;
    private final Hand hand;
    private final Catalogue catalogue;
    private final Fretboard board;
    private final Key key;
    private final List<String> remarks = new ArrayList<>();

    private Derivation(Riff riff, Hand hand, Catalogue catalogue) {
        this.riff = riff;
        this.hand = hand;
        this.catalogue = catalogue;
        this.board = riff.ground().board();
        this.key = riff.ground().key();
    }

    /** The score of a riff for a hand. */
    public static Score score(Riff riff, Hand hand, Catalogue catalogue) {
        Derivation d = new Derivation(riff, hand, catalogue);
        List<Score.Chord> chords = d.chords();
        List<Score.Strike> strikes = d.strikes(chords);
        return new Score(riff, chords, strikes, d.remarks);
    }

    private List<Score.Chord> chords() {
        List<Score.Chord> chords = new ArrayList<>();
        long start = 0;
        for (int i = 0; i < riff.roots().size(); i++) {
            RootSpan span = riff.roots().get(i);
            Treatment treatment = riff.treatments().get(i);
            int root = span.root().pitchClass(key);
            List<Shape> before =
                    i == 0 ? List.of() : List.of(chords.get(i - 1).candidate().voicing().shape());
            Optional<Candidate> byHand = byHand(i, treatment, root);
            Candidate candidate =
                    over(i, byHand.orElseGet(() -> found(treatment, root, before)), treatment);
            chords.add(new Score.Chord(start, span.length(), root, candidate, byHand.isPresent()));
            start += span.length();
        }
        return chords;
    }

    private Candidate over(int chord, Candidate c, Treatment treatment) {
        if (treatment.bass().isEmpty()) {
            return c;
        }
        int bass = treatment.bass().get().pitchClass(key);
        Optional<Candidate> put = BassUnder.put(c, bass, hand);
        if (put.isEmpty()) {
            remarks.add(
                    "No bass "
                            + key.spell(bass)
                            + " can be held under chord "
                            + (chord + 1)
                            + " here; it is played without.");
        }
        return put.orElse(c);
    }

    private Candidate found(Treatment treatment, int root, List<Shape> before) {
        Family family = treatment.family();
        List<Candidate> all = catalogue.candidates(board, hand, family, root);
        if (all.isEmpty()) {
            return fallback(family, root);
        }
        if (treatment.member().orElse(null) instanceof Member.Found chosen) {
            ToDoubleFunction<Candidate> distance = c -> distance(c, chosen);
            Candidate nearest =
                    all.stream()
                            .min(
                                    Comparator.comparingDouble(distance)
                                            .thenComparing(c -> c.voicing().shape().text()))
                            .orElseThrow();
            if (distance(nearest, chosen) < OTHER_CLASS) {
                return nearest;
            }
            remarks.add(
                    "The "
                            + family.label().toLowerCase(java.util.Locale.ROOT)
                            + " chosen on "
                            + key.spell(root)
                            + " cannot be held here; the best one is played instead.");
        }
        return new Ranking(family, before, key).best(all).orElseThrow();
    }

    private static double distance(Candidate c, Member.Found chosen) {
        double far = c.voicing().shapeClass().equals(chosen.shapeClass()) ? 0 : OTHER_CLASS;
        return far
                + OTHER_STRING * Math.abs(c.lowString() - chosen.lowString())
                + Math.abs(c.position() - chosen.nearFret());
    }

    private Optional<Candidate> byHand(int chord, Treatment treatment, int root) {
        if (!(treatment.member().orElse(null) instanceof Member.ByHand built)) {
            return Optional.empty();
        }
        int up = Math.floorMod(root - built.root(), 12);
        for (int by : up > 6 ? new int[] {up - 12, up} : new int[] {up, up - 12}) {
            Optional<Candidate> moved =
                    built.shape().strings() != board.strings()
                            ? Optional.empty()
                            : built.shape().moved(by, board.frets()).flatMap(s -> held(s, root));
            if (moved.isPresent()) {
                return moved;
            }
        }
        remarks.add(
                "The shape "
                        + built.shape()
                        + " built for chord "
                        + (chord + 1)
                        + " does not fit here; the best one is played instead.");
        return Optional.empty();
    }

    private Optional<Candidate> held(Shape shape, int root) {
        if (shape.frets().stream().anyMatch(f -> f > board.frets())) {
            return Optional.empty();
        }
        Fingering fingering =
                Fingering.of(board, shape, hand)
                        .orElseGet(
                                () ->
                                        new Fingering(
                                                List.of(),
                                                Fingering.Effort.IMPOSSIBLE,
                                                board.spanMm(
                                                        shape.lowestFretted(),
                                                        shape.highestFretted())));
        return Optional.of(new Candidate(new Voicing(shape, board, root), fingering));
    }

    /** The root alone on the lowest string that has it, where a family has no voicing at all. */
    private Candidate fallback(Family family, int root) {
        remarks.add(
                "No "
                        + family.label().toLowerCase(java.util.Locale.ROOT)
                        + " on "
                        + key.spell(root)
                        + " can be held in this tuning; its root is played alone.");
        for (int string = 0; string < board.strings(); string++) {
            int fret = Math.floorMod(root - board.midi(string, 0), 12);
            if (fret <= board.frets()) {
                Shape one = Shape.silent(board.strings()).with(string, fret);
                return held(one, root).orElseThrow();
            }
        }
        throw new IllegalStateException("no string reaches pitch class " + root);
    }

    private List<Score.Strike> strikes(List<Score.Chord> chords) {
        List<Score.Strike> strikes = new ArrayList<>();
        Set<Touch> used = new HashSet<>();
        long bar = riff.ground().meter().barTicks();
        for (int b = 0; b < riff.bars(); b++) {
            for (Stroke stroke : riff.pattern().bar(b).strokes()) {
                long at = b * bar + stroke.at();
                int chord = riff.chordAt(at);
                List<Sounding> notes =
                        struck(chords.get(chord).candidate().voicing(), stroke.struck());
                List<Sounding> touched = touched(at, notes, used);
                boolean down = stroke.muted() || stroke.at() % Ticks.EIGHTH == 0;
                List<Touch.Ornament> ornaments = ornaments(at, touched, used);
                strikes.add(
                        new Score.Strike(
                                at, stroke.length(), chord, touched, stroke, down, ornaments));
            }
        }
        for (Touch t : riff.touches()) {
            if (!used.contains(t)) {
                remarks.add(unplaced(t, bar));
            }
        }
        return strikes;
    }

    private static String unplaced(Touch touch, long bar) {
        String what = touch instanceof Touch.Ornament o ? o.kind().words() : "changed note";
        return "A "
                + what
                + " in bar "
                + (touch.at() / bar + 1)
                + " has no stroke to belong to now; it is kept and comes back with it.";
    }

    private static List<Sounding> struck(Voicing voicing, Struck which) {
        List<Sounding> byPitch = new ArrayList<>(voicing.soundings());
        byPitch.sort(Comparator.comparingInt(Sounding::midi));
        List<Sounding> notes = new ArrayList<>();
        for (int i : which.of(byPitch.size())) {
            notes.add(byPitch.get(i));
        }
        notes.sort(Comparator.comparingInt(Sounding::string));
        return notes;
    }

    /** The ornaments of a stroke, in time order, where its notes and the neck allow them. */
    private List<Touch.Ornament> ornaments(long at, List<Sounding> notes, Set<Touch> used) {
        List<Touch.Ornament> out = new ArrayList<>();
        for (Touch t : riff.touches()) {
            if (t instanceof Touch.Ornament o && o.at() == at) {
                boolean fits =
                        notes.stream()
                                .filter(n -> n.string() == o.string())
                                .map(n -> o.endFret(n.fret()))
                                .anyMatch(f -> f >= 0 && f <= board.frets());
                if (fits) {
                    out.add(o);
                    used.add(t);
                }
            }
        }
        out.sort(Comparator.comparingLong(Touch.Ornament::after));
        return out;
    }

    private List<Sounding> touched(long at, List<Sounding> notes, Set<Touch> used) {
        List<Sounding> out = new ArrayList<>();
        for (Sounding n : notes) {
            Sounding sounding = n;
            for (Touch t : riff.touches()) {
                if (t instanceof Touch.ChangedNote c
                        && c.at() == at
                        && c.string() == n.string()
                        && c.fret() <= board.frets()) {
                    sounding = new Sounding(c.string(), c.fret(), board.midi(c.string(), c.fret()));
                    used.add(t);
                }
            }
            out.add(sounding);
        }
        return out;
    }
}
