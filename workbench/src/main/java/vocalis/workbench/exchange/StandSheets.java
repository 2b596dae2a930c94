package vocalis.workbench.exchange;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import vocalis.core.check.Caution;
import vocalis.core.check.Check;
import vocalis.core.choice.Candidate;
import vocalis.core.derive.Derived;
import vocalis.core.hands.Fingering;
import vocalis.core.hands.Muting;
import vocalis.core.instrument.Shape;
import vocalis.core.names.WorkingName;
import vocalis.core.riff.Ground;
import vocalis.core.voicing.Voicing;
import vocalis.formats.pdf.StandSheet;
import vocalis.formats.sheet.Sheet;
import vocalis.workbench.words.CheckWords;
import vocalis.workbench.words.HandWords;

/** Makes the sheet for the stand: ground, shapes, tab, cautions. */
public final class StandSheets {

    private StandSheets() {}

    /** The sheet of a riff. */
    static StandSheet of(Derived d, Sheet scores) {
        Ground g = d.riff().ground();
        String ground =
                g.instrument().tuning().letters()
                        + (g.capo() == 0 ? "" : ", capo " + g.capo())
                        + " · "
                        + g.key().symbol()
                        + " · "
                        + d.riff().tempo()
                        + " beats a minute · "
                        + d.riff().meters().meter(0).symbol()
                        + " · "
                        + g.tone().name().toLowerCase(Locale.ROOT);
        List<StandSheet.Held> shapes = new ArrayList<>();
        Set<Shape> seen = new LinkedHashSet<>();
        for (int i = 0; i < d.chords().size(); i++) {
            Voicing v = d.chords().get(i).candidate().voicing();
            if (seen.add(v.shape())) {
                Fingering f = d.chords().get(i).candidate().fingering();
                List<Integer> fingers = new ArrayList<>();
                for (int s = 0; s < v.shape().strings(); s++) {
                    fingers.add(v.shape().fret(s) > 0 ? f.fingerOn(s) : 0);
                }
                String name =
                        d.score().harmonies().get(i).symbol()
                                + WorkingName.of(v, Optional.of(g.key())).stream()
                                        .findFirst()
                                        .map(n -> "  (" + n + ")")
                                        .orElse("");
                shapes.add(new StandSheet.Held(name, v.shape(), fingers, underShape(d, i)));
            }
        }
        List<String> cautions = new ArrayList<>();
        for (Caution c : Check.of(d)) {
            if (!(c instanceof Caution.Unsilenced)) {
                cautions.add(CheckWords.place(c, d.riff()) + ": " + CheckWords.of(c, d.riff()));
            }
        }
        return new StandSheet(scores, ground, shapes, cautions);
    }

    /** What silences what, and what the fingers do on the way into the shape. */
    private static String underShape(Derived d, int chord) {
        Candidate c = d.chords().get(chord).candidate();
        String muting = HandWords.of(Muting.of(c.voicing().shape(), c.fingering()));
        int strings = c.voicing().shape().strings();
        String from =
                d.moveInto(chord)
                        .map(m -> HandWords.of(m, strings))
                        .filter(t -> !t.isEmpty())
                        .map(t -> "into it: " + t)
                        .orElse("");
        return Stream.of(muting, from).filter(t -> !t.isEmpty()).collect(Collectors.joining("; "));
    }
}
