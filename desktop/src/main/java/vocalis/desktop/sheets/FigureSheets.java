package vocalis.desktop.sheets;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import javafx.scene.control.Label;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.VBox;
import vocalis.core.edit.FigureBook;
import vocalis.core.edit.Figures;
import vocalis.core.edit.Tapping;
import vocalis.core.pattern.Event;
import vocalis.core.pattern.Figure;
import vocalis.core.pattern.Limits;
import vocalis.core.pattern.Pass;
import vocalis.core.pattern.Stroke;
import vocalis.core.rhythm.Ticks;
import vocalis.core.riff.Riff;
import vocalis.core.score.Dynamics;
import vocalis.core.score.Manner;
import vocalis.desktop.session.Document;
import vocalis.desktop.view.Choices;
import vocalis.desktop.view.Sheets;
import vocalis.desktop.writing.WriteModel;
import vocalis.workbench.document.Edits;
import vocalis.workbench.library.OwnFigures;
import vocalis.workbench.library.PieceFiles;

/** Sheets for figures: those at hand and the player's own, and one that is tapped. */
public final class FigureSheets {

    private static final int MOST_SHOWN = 48;

    private FigureSheets() {}

    /** Figures to lay in place of the one under the caret. */
    public static void book(WriteModel model, OwnFigures own, Sheets host) {
        long tick = model.lane().caretProperty().get();
        Riff riff = model.session().now();
        List<PickSheet.Row> rows = new ArrayList<>();
        try {
            for (Figure f : own.all()) {
                rows.add(row(model, riff, tick, f, "your own · "));
            }
        } catch (PieceFiles.PieceFileException e) {
            model.session().say(e.getMessage());
        }
        for (Figure f : FigureBook.fitting(riff.meters().meter(riff.meters().bar(tick)))) {
            rows.add(row(model, riff, tick, f, ""));
        }
        rows.add(
                new PickSheet.Row(
                        "Tap one …",
                        "tap a rhythm on a key",
                        () -> {},
                        () -> tap(model, host),
                        null));
        rows.add(
                new PickSheet.Row(
                        "Keep this one …",
                        "the figure under the caret as your own, for every riff",
                        () -> {},
                        () -> keep(model.session(), own, host, riff.passAt(tick)),
                        null));
        PickSheet.show(
                host,
                "Figures",
                "↑ ↓ choose, hold H to hear the riff with it, Enter lays it in place of the figure under"
                        + " the caret.",
                "",
                rows,
                model.hearing()::endPreview);
    }

    private static PickSheet.Row row(
            WriteModel model, Riff riff, long tick, Figure f, String whose) {
        return new PickSheet.Row(
                f.name(),
                whose + steps(f),
                () -> model.hearing().preview(Figures.replace(riff, tick, f)),
                () -> {
                    model.session()
                            .apply(Edits.riff("lay a figure", r -> Figures.replace(r, tick, f)));
                    model.session().say(f.name() + " laid.");
                },
                null);
    }

    /**
     * A figure as a row of steps, in the finest of eighths, sixteenths and triplets that it has.
     */
    static String steps(Figure f) {
        long step = Ticks.SIXTEENTH;
        for (long grain : new long[] {Ticks.EIGHTH, Ticks.SIXTEENTH, Ticks.QUARTER / 3}) {
            boolean fits = f.length() % grain == 0;
            for (Event e : f.events()) {
                fits &= e.at() % grain == 0;
            }
            if (fits) {
                step = grain;
                break;
            }
        }
        StringBuilder out = new StringBuilder();
        int beat = (int) Math.max(1, Ticks.QUARTER / step);
        for (int i = 0; i * step < f.length() && i < MOST_SHOWN; i++) {
            out.append(i > 0 && i % beat == 0 ? " " : "").append(sign(f, i * step));
        }
        return out.toString();
    }

    /** The steps of the first bar that is struck otherwise than in another riff; empty for none. */
    static String changed(Riff of, Riff made) {
        for (int bar = 0; bar < Math.min(of.bars(), made.bars()); bar++) {
            String now = steps(bar(made, bar));
            if (!now.equals(steps(bar(of, bar)))) {
                return "bar " + (bar + 1) + ": " + now;
            }
        }
        return "";
    }

    /** What is struck in a bar, as a figure of its length. */
    static Figure bar(Riff riff, int bar) {
        long start = riff.meters().start(bar);
        long end = riff.meters().end(bar);
        List<Event> events = new ArrayList<>();
        for (Pass pass : riff.passes()) {
            for (Event e : pass.events()) {
                long at = pass.start() + e.at();
                if (at >= start && at + Limits.SHORTEST_EVENT <= end) {
                    long length = Math.min(e.length(), end - at);
                    events.add(e.beginning(at - start).lasting(length).numbered(events.size()));
                }
            }
        }
        return new Figure("bar", "bar", end - start, events);
    }

    private static String sign(Figure f, long at) {
        Event e = f.sounding(at).orElse(null);
        if (e == null || !e.sounds()) {
            return "·";
        }
        if (e.at() != at) {
            return "–";
        }
        if (!(e instanceof Stroke s)) {
            return "♪";
        }
        return s.manner() == Manner.DEAD
                ? "x"
                : s.dynamics() == Dynamics.GHOST ? "g" : s.muted() ? "m" : s.accented() ? "A" : "a";
    }

    private static void keep(Document session, OwnFigures own, Sheets host, Pass pass) {
        Ask.line(
                host,
                "A name for the figure",
                pass.figure().name(),
                80,
                name -> {
                    try {
                        own.keep(pass.figure(), name);
                        session.say("Kept " + name + " among your own figures.");
                    } catch (PieceFiles.PieceFileException e) {
                        session.say(e.getMessage());
                    }
                });
    }

    /** A figure tapped on a key at the riff's tempo. */
    public static void tap(WriteModel model, Sheets host) {
        long tick = model.lane().caretProperty().get();
        List<Double> taps = new ArrayList<>();
        Set<KeyCode> down = EnumSet.noneOf(KeyCode.class);
        Label understood = Choices.text("Nothing tapped yet.");
        understood.setId("tapped");
        understood.setWrapText(true);
        VBox body =
                new VBox(
                        12,
                        Choices.caption(
                                "Tap J (or any letter) at "
                                        + model.session().now().tempo()
                                        + " quarters a minute; the first tap is the one. Backspace begins"
                                        + " anew, Enter lays the figure in place of the one under the caret."),
                        understood);
        body.getStyleClass().add("help");
        body.setFocusTraversable(true);
        Sheets.Sheet sheet = host.open("Tap a figure", body, 560);
        body.addEventHandler(
                KeyEvent.KEY_PRESSED,
                e -> {
                    pressed(e, model, taps, down, understood, () -> lay(model, tick, taps, sheet));
                });
        body.addEventHandler(KeyEvent.KEY_RELEASED, e -> down.remove(e.getCode()));
        sheet.focus(body);
    }

    private static void pressed(
            KeyEvent e,
            WriteModel model,
            List<Double> taps,
            Set<KeyCode> down,
            Label understood,
            Runnable done) {
        if (e.getCode() == KeyCode.ENTER && !taps.isEmpty()) {
            done.run();
        } else if (e.getCode() == KeyCode.BACK_SPACE) {
            taps.clear();
            understood.setText("Nothing tapped yet.");
        } else if (e.getCode().isLetterKey()) {
            e.consume();
            if (!down.add(e.getCode())) {
                return;
            }
            taps.add(System.nanoTime() / 1e9);
            understood.setText(inWords(tapped(model, taps)));
        } else {
            return;
        }
        e.consume();
    }

    private static void lay(WriteModel model, long tick, List<Double> taps, Sheets.Sheet sheet) {
        Figure f = tapped(model, taps).figure();
        sheet.close();
        model.session().apply(Edits.riff("tapped figure", r -> Figures.replace(r, tick, f)));
    }

    private static Tapping tapped(WriteModel model, List<Double> taps) {
        int bar =
                Math.max(0, model.session().now().meters().bar(model.lane().caretProperty().get()));
        return Tapping.of(
                taps, model.session().now().tempo(), model.session().now().meters().meter(bar));
    }

    private static String inWords(Tapping t) {
        String grid =
                switch (t.grid()) {
                    case 2 -> "eighths";
                    case 3 -> "triplets";
                    default -> "sixteenths";
                };
        return String.format(
                "Understood in %s: %s  (taps lay %.0f ms off)",
                grid, String.join(" ", t.counts()), 1000 * t.offSeconds());
    }
}
