package vocalis.desktop.readout;

import java.util.Locale;
import java.util.Optional;
import javafx.scene.control.Label;
import javafx.scene.layout.VBox;
import vocalis.desktop.view.Explain;
import vocalis.desktop.writing.GainModel;
import vocalis.desktop.writing.Showing;
import vocalis.sound.gain.GainReading;
import vocalis.sound.gain.Ghost;
import vocalis.workbench.playing.GainReadings;
import vocalis.workbench.words.GainWords;

/** What gain adds to the voicing shown: in words first, then ghost by ghost, then the figures. */
public final class GainFigures {

    private static final int MOST_GHOSTS = 3;

    private final Showing model;
    private final Figures figures;

    public GainFigures(Showing model, Figures figures) {
        this.model = model;
        this.figures = figures;
    }

    public void refresh() {
        figures.begin();
        fill();
        figures.end();
    }

    private void fill() {
        Optional<GainModel.ChordGain> read = model.gain().shownProperty().get();
        if (read.isEmpty()) {
            figures.row("gain", "being reckoned …", "A test tone goes through the amplifier.");
            return;
        }
        GainReadings.Against a = read.get().against();
        GainReading r = a.reading();
        GainWords words = new GainWords(read.get().voicing(), Optional.of(model.key()));
        figures.sentence("gain-summary", words.summary(a, model.riff().ground().tone()));
        GainWords.intonation(read.get().cents())
                .ifPresent(s -> figures.sentence("gain-intonation", s));
        figures.row(
                "added",
                ghosts(r, words),
                "Tones that the distortion adds: no partial of any string. Level under the strongest line.");
        figures.row(
                "growl",
                number(a.growl()) + " times the plain power chord",
                "Ratio of the roughness under this amplifier (Plomp and Levelt, Sethares).");
        figures.row(
                "roughness",
                number(r.roughGain()) + ", of the bare strings " + number(r.roughClean()),
                "Relative units; lines up to 1.2 kHz.");
        figures.row(
                "mud",
                String.format(Locale.ROOT, "%.2f of it below 250 Hz", r.mud()),
                "The roughness that lies low: it falls as a chord rises.");
        figures.row(
                "bite",
                String.format(Locale.ROOT, "%.1f kHz", r.biteHz() / 1000),
                "Centre of the spectrum after the cabinet.");
        pulses(r, words);
    }

    /** The slowest beats, and the common fundamental. */
    private void pulses(GainReading r, GainWords words) {
        r.beatsHz()
                .ifPresent(
                        b ->
                                figures.row(
                                        "beats",
                                        number(b) + " a second, the slowest",
                                        "Two strong lines so close that they pulse."));
        r.commonHz()
                .ifPresent(
                        c ->
                                figures.row(
                                        "common",
                                        "all partials of " + note(c, words),
                                        "The one fundamental that all notes are multiples of, within 28 cents."));
    }

    private static String note(double hz, GainWords words) {
        int midi = (int) Math.round(69 + 12 * Math.log(hz / 440) / Math.log(2));
        return words.note(midi).symbol() + String.format(Locale.ROOT, ", %.1f Hz", hz);
    }

    private static VBox ghosts(GainReading r, GainWords words) {
        VBox box = new VBox(1);
        box.setId("figure-ghosts");
        if (r.ghosts().isEmpty()) {
            Label none = new Label("no note");
            none.getStyleClass().add("figure-value");
            box.getChildren().add(none);
        }
        for (Ghost g : r.ghosts().subList(0, Math.min(MOST_GHOSTS, r.ghosts().size()))) {
            Label l = new Label(words.place(g) + ", " + Math.round(-g.db()) + " dB under");
            l.getStyleClass().add("figure-value");
            Label from = new Label(words.shortOrigin(g));
            from.getStyleClass().add("caption");
            Explain.means(from, words.origin(g));
            box.getChildren().addAll(l, from);
        }
        GainWords.mixture(r)
                .ifPresent(
                        m -> {
                            Label besides = new Label(m);
                            besides.getStyleClass().add("caption");
                            besides.setWrapText(true);
                            box.getChildren().add(besides);
                        });
        return box;
    }

    private static String number(double x) {
        return String.format(Locale.ROOT, x < 10 ? "%.1f" : "%.0f", x);
    }
}
