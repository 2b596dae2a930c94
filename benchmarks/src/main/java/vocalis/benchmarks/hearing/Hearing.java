package vocalis.benchmarks.hearing;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.function.Predicate;
import vocalis.core.derive.Derived;
import vocalis.core.hands.Hand;
import vocalis.core.instrument.Fretboard;
import vocalis.core.instrument.Shape;
import vocalis.core.riff.Ground;
import vocalis.core.riff.Tone;
import vocalis.core.score.Onset;
import vocalis.core.score.Score;
import vocalis.core.score.ScoreNote;
import vocalis.sound.learnt.StrokeEar;
import vocalis.sound.listen.Take;
import vocalis.workbench.listening.Holding;
import vocalis.workbench.playedin.Draft;
import vocalis.workbench.playedin.PlayIn;

/**
 * How often the ears are right, on sounds whose notes are known.
 *
 * <pre>
 * held N SOURCE SEED       strums of likely shapes
 * published N FILE SEED    strums of published shapes, own strings
 * played N SOURCE SEED     riffs written down
 * strokes N SOURCE SEED    where strokes are
 * followed N SOURCE SEED   riffs as written, laid beside their score
 * late N SOURCE SEED       riffs with strokes early and late
 * wrong N SOURCE SEED      riffs with one thing otherwise
 * cost N SOURCE SEED       how long takes are read
 * </pre>
 *
 * A source is own, edge or gain (our own strings), altered (own through what lies between a guitar
 * and a file), altered-gain, or recorded, driven (the recorded clean guitar through an amplifier
 * that is none of ours), overdriven or distorted (a sound font's guitars, each note driven by
 * itself).
 */
public final class Hearing {

    private final int n;
    private final String source;
    private final long seed;
    private final Sounds sounds;

    private Hearing(int n, String source, long seed) {
        this.n = n;
        this.source = source;
        this.seed = seed;
        sounds = new Sounds(source);
    }

    public static void main(String[] args) throws IOException {
        if (args.length < 4) {
            System.err.println(
                    "held|published|played|strokes|followed|late|wrong|cost N SOURCE|FILE SEED");
            System.exit(2);
        }
        Hearing h = new Hearing(Integer.parseInt(args[1]), args[2], Long.parseLong(args[3]));
        long from = System.nanoTime();
        switch (args[0]) {
            case "held" -> h.held(Material.shapes(h.n, h.seed));
            case "published" -> h.published();
            case "played" -> h.played();
            case "strokes" -> h.strokes();
            case "followed" -> new Passes(h.n, h.source, h.seed).followed();
            case "late" -> new Passes(h.n, h.source, h.seed).late();
            case "wrong" -> new Passes(h.n, h.source, h.seed).wrong();
            case "cost" -> new Reading(h.n, h.source, h.seed).cost();
            default -> throw new IllegalArgumentException(args[0]);
        }
        System.out.printf("%.0f s%n", (System.nanoTime() - from) / 1e9);
        System.exit(0);
    }

    private static Set<Integer> classes(Shape shape, Fretboard board) {
        Set<Integer> all = new TreeSet<>();
        shape.sounded().forEach(s -> all.add(board.midi(s, shape.fret(s)) % 12));
        return all;
    }

    private static List<Integer> notes(Shape shape, Fretboard board) {
        return shape.sounded().stream()
                .map(s -> board.midi(s, shape.fret(s)))
                .distinct()
                .sorted()
                .toList();
    }

    private void held(List<Shape> shapes) throws IOException {
        Fretboard board = Material.ground(Tone.CLEAN).board();
        int classes = 0;
        int first = 0;
        int three = 0;
        int threeNotes = 0;
        int certain = 0;
        int certainRight = 0;
        for (Shape shape : shapes) {
            Holding h =
                    Holding.of(
                            sounds.strum(shape),
                            board,
                            440,
                            Hand.MEDIUM,
                            Material.CATALOGUE,
                            Optional.empty());
            List<Shape> found = h.shapes().stream().map(Holding.Named::shape).limit(3).toList();
            boolean right = !found.isEmpty() && found.get(0).equals(shape);
            classes +=
                    !found.isEmpty() && classes(found.get(0), board).equals(classes(shape, board))
                            ? 1
                            : 0;
            first += right ? 1 : 0;
            three += found.contains(shape) ? 1 : 0;
            threeNotes +=
                    found.stream().anyMatch(f -> notes(f, board).equals(notes(shape, board)))
                            ? 1
                            : 0;
            if (!found.isEmpty() && h.clear()) {
                certain++;
                certainRight += right ? 1 : 0;
            }
            if (!found.contains(shape) && Boolean.getBoolean("show")) {
                System.out.println(shape.text() + " heard " + found + " " + h.cost());
            }
        }
        System.out.printf(
                "held, %s, %d: pitch classes of the first %d, shape first %d, among three %d,"
                        + " its notes among three %d; told as certain %d, of them right %d%n",
                source, shapes.size(), classes, first, three, threeNotes, certain, certainRight);
    }

    /** Shapes of a data set of one a line, with frets from the lowest string, -1 for silent. */
    private void published() throws IOException {
        ObjectMapper json = new ObjectMapper();
        Set<Shape> all = new LinkedHashSet<>();
        for (String line : Files.readAllLines(Path.of(source), StandardCharsets.UTF_8)) {
            Shape shape = Shape.silent(6);
            int string = 0;
            for (JsonNode fret : json.readTree(line).get("frets")) {
                shape = fret.asInt() < 0 ? shape : shape.with(string, fret.asInt());
                string++;
            }
            all.add(shape);
        }
        List<Shape> shapes = new ArrayList<>(all);
        Collections.shuffle(shapes, new Random(seed));
        held(shapes.subList(0, Math.min(n, shapes.size())));
    }

    private List<double[]> written(Score score) throws IOException {
        List<double[]> all = new ArrayList<>();
        for (Onset o : score.onsets()) {
            for (ScoreNote note : o.notes()) {
                if (!note.tied()) {
                    double at =
                            sounds.when(score.time().tempos().seconds(o.at()))
                                    + sounds.late(score, o);
                    all.add(new double[] {at, score.board().midi(note.string(), note.fret())});
                }
            }
        }
        return all;
    }

    private void played() throws IOException {
        int wanted = 0;
        int heard = 0;
        int right = 0;
        double ratio = 0;
        double worst = 1;
        int[] roots = new int[3];
        for (Derived d : Material.riffs(n, seed)) {
            Ground ground = d.riff().ground();
            Take take = sounds.take(d);
            PlayIn in = Material.playIn(d);
            long from = System.nanoTime();
            Draft draft = Material.written(in, d, take);
            ratio += (System.nanoTime() - from) / 1e9 / take.seconds() / n;
            List<double[]> left = written(d.score());
            int all = left.size();
            int hits = 0;
            for (Draft.HeardNote note : draft.notes()) {
                int midi = ground.board().midi(note.string(), note.fret());
                hits += left.removeIf(firstMatch(note.onsetSeconds(), midi, left)) ? 1 : 0;
            }
            roots(written(d.score()), draft, ground.board(), roots);
            double f = 2.0 * hits / (all + draft.notes().size());
            worst = Math.min(worst, f);
            if (Boolean.getBoolean("show")) {
                System.out.printf("%s %d: F %.3f%n", ground.key(), d.riff().tempo(), f);
            }
            wanted += all;
            heard += draft.notes().size();
            right += hits;
        }
        System.out.printf(
                "played in, %s, %d riffs: of %d notes found %.1f %%, of %d heard right %.1f %%, F"
                        + " %.3f; worst riff %.3f; took %.3f of the takes' time%n",
                source,
                n,
                wanted,
                100.0 * right / wanted,
                heard,
                100.0 * right / heard,
                2.0 * right / (wanted + heard),
                worst,
                ratio);
        System.out.printf(
                "of %d strokes %d begin where they should on their lowest note, of %d heard: F %.3f%n",
                roots[0], roots[2], roots[1], 2.0 * roots[2] / (roots[0] + roots[1]));
    }

    /** Adds the strokes that are written, those heard, and those heard on their lowest note. */
    private static void roots(List<double[]> written, Draft draft, Fretboard board, int[] to) {
        List<double[]> left = lowest(written);
        List<double[]> heard =
                lowest(
                        draft.notes().stream()
                                .map(
                                        n -> {
                                            int midi = board.midi(n.string(), n.fret());
                                            return new double[] {n.onsetSeconds(), midi};
                                        })
                                .toList());
        to[0] += left.size();
        to[1] += heard.size();
        for (double[] h : heard) {
            to[2] += left.removeIf(firstMatch(h[0], (int) h[1], left)) ? 1 : 0;
        }
    }

    /** The lowest note of each time. */
    private static List<double[]> lowest(List<double[]> notes) {
        Map<Double, double[]> all = new TreeMap<>();
        notes.forEach(n -> all.merge(n[0], n, (a, b) -> a[1] <= b[1] ? a : b));
        return new ArrayList<>(all.values());
    }

    /** Whether a note is the first of some that has this pitch and falls within 30 ms. */
    private static Predicate<double[]> firstMatch(double at, int midi, List<double[]> among) {
        double[] first =
                among.stream()
                        .filter(w -> w[1] == midi && Math.abs(w[0] - at) < 0.03)
                        .findFirst()
                        .orElse(null);
        return w -> w == first;
    }

    /** Whether it is one of our own clean strings. */
    private boolean clean() {
        return source.equals("own") || source.startsWith("altered") && !source.endsWith("gain");
    }

    private void strokes() throws IOException {
        int wanted = 0;
        int hidden = 0;
        int found = 0;
        int extra = 0;
        for (Derived d : Material.riffs(n, seed)) {
            Score score = d.score();
            List<Onset> onsets = score.onsets().stream().filter(o -> !o.tied()).toList();
            List<Double> left = new ArrayList<>();
            Take take = sounds.take(d);
            left.addAll(clean() ? StrokeEar.ofClean(take) : StrokeEar.of(take));
            for (int i = 0; i < onsets.size(); i++) {
                Onset o = onsets.get(i);
                double written = score.time().tempos().seconds(o.at());
                double at = sounds.when(written) + sounds.late(score, o);
                boolean hit =
                        left.stream()
                                .filter(t -> Math.abs(t - at) <= 0.01)
                                .findFirst()
                                .map(left::remove)
                                .orElse(false);
                boolean under = i > 0 && o.muted() && !onsets.get(i - 1).muted();
                if (under && !hit) {
                    hidden++;
                } else {
                    wanted++;
                    found += hit ? 1 : 0;
                }
            }
            extra += left.size();
        }
        System.out.printf(
                "strokes, %s, %d riffs: %d of %d within 10 ms (%.1f %%), %d under the palm after"
                        + " a ringing chord not found, %d where nothing is%n",
                source, n, found, wanted, 100.0 * found / wanted, hidden, extra);
    }
}
