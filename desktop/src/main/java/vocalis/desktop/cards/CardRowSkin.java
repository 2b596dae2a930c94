package vocalis.desktop.cards;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;
import javafx.scene.text.Font;
import javafx.scene.text.TextAlignment;
import vocalis.core.choice.Card;
import vocalis.core.instrument.Fretboard;
import vocalis.core.names.ChordNamer;
import vocalis.core.names.Readout;
import vocalis.core.names.WorkingName;
import vocalis.core.voicing.Sounding;
import vocalis.core.voicing.Voicing;
import vocalis.desktop.view.CanvasSkin;
import vocalis.desktop.view.VoiceTick;
import vocalis.desktop.writing.ShownChord;
import vocalis.desktop.writing.WriteModel;
import vocalis.workbench.words.ShapeWords;

/** Paints the cards and takes their mouse. */
public final class CardRowSkin extends CanvasSkin<CardRow> {

    private static final double LEAST_WIDTH = 168;
    private static final double GAP = 8;

    private final WriteModel model;
    private int firstShown = ShownChord.BY_HAND;
    private int shown;
    private double cardWidth = LEAST_WIDTH;

    public CardRowSkin(CardRow row) {
        super(row);
        model = row.model();
        watch(
                model.shown().cardsProperty(),
                model.shown().cardProperty(),
                model.shown().placeProperty(),
                model.shown().draftProperty(),
                model.shown().voicingProperty(),
                model.offer().lookingProperty(),
                model.looks().passingNames());
        row.setOnMousePressed(this::pressed);
        row.setOnMouseReleased(e -> model.hearing().endHearing());
        row.setOnScroll(e -> model.shown().moveCard(e.getDeltaY() < 0 ? 1 : -1));
    }

    @Override
    public void dispose() {
        CardRow row = getSkinnable();
        if (row != null) {
            row.setOnMousePressed(null);
            row.setOnMouseReleased(null);
            row.setOnScroll(null);
        }
        super.dispose();
    }

    private int first() {
        return model.shown().handShape().isPresent() ? ShownChord.BY_HAND : 0;
    }

    @Override
    public void paint(GraphicsContext g, double w, double h) {
        CardRow c = getSkinnable();
        int fits = Math.max(1, (int) ((w + GAP) / (LEAST_WIDTH + GAP)));
        cardWidth = (w + GAP) / fits - GAP;
        int last = model.shown().cardsProperty().get().size() - 1;
        int selected = model.shown().cardProperty().get();
        shown = fits;
        firstShown = Math.max(first(), Math.min(firstShown, last - fits + 1));
        if (selected < firstShown) {
            firstShown = selected;
        } else if (selected >= firstShown + fits) {
            firstShown = selected - fits + 1;
        }
        if (last < 0 && first() == 0) {
            String none =
                    model.offer().lookingProperty().get()
                            ? "Looking along the neck …"
                            : "No voicing of this family can be held here. Another family, root or"
                                    + " tuning has some.";
            text(g, none, 4, h / 2, c.textFont(), c.dim(), TextAlignment.LEFT);
            return;
        }
        for (int i = 0; i < fits && firstShown + i <= last; i++) {
            paintCard(g, firstShown + i, i * (cardWidth + GAP), h);
        }
    }

    private Optional<Voicing> voicing(int card) {
        if (card == ShownChord.BY_HAND) {
            return model.shown()
                    .handShape()
                    .filter(s -> !s.sounded().isEmpty())
                    .map(
                            s ->
                                    new Voicing(
                                            s,
                                            model.riff().ground().board(),
                                            model.currentChord().root()));
        }
        List<Card> cards = model.shown().cardsProperty().get();
        if (card >= cards.size()) {
            return Optional.empty();
        }
        int place =
                card == model.shown().cardProperty().get()
                        ? model.shown().placeProperty().get()
                        : 0;
        List<vocalis.core.choice.Candidate> places = cards.get(card).places();
        return Optional.of(places.get(Math.min(place, places.size() - 1)).voicing());
    }

    private void paintCard(GraphicsContext g, int card, double x, double h) {
        CardRow c = getSkinnable();
        Voicing v = voicing(card).orElse(null);
        if (v == null) {
            return;
        }
        boolean selected = card == model.shown().cardProperty().get();
        g.setFill(c.raised());
        g.fillRoundRect(x + 1, 1, cardWidth - 2, h - 2, 8, 8);
        if (selected) {
            g.setStroke(c.isFocused() ? c.ink() : c.line());
            g.setLineWidth(c.isFocused() ? 2 : 1.5);
            g.strokeRoundRect(x + 1, 1, cardWidth - 2, h - 2, 8, 8);
        }
        String exact = name(v);
        String name = model.looks().called(v, exact, model.key());
        String shape = v.shape().text();
        // A long name has the line to itself; the shape then stands at the foot.
        boolean beside =
                width(name, c.boldFont()) <= cardWidth - 33 - width(shape, c.smallMonoFont());
        String fitting = fit(name, cardWidth - 23, c.boldFont());
        text(g, fitting, x + 12, 18, c.boldFont(), c.ink(), TextAlignment.LEFT);
        if (beside) {
            text(g, shape, x + cardWidth - 11, 18, c.smallMonoFont(), c.dim(), TextAlignment.RIGHT);
        }
        paintStrip(g, v, x + 12, x + cardWidth - 12, 42);
        paintFoot(g, card, v, x, h, beside ? "" : shape);
        means(
                x,
                0,
                cardWidth,
                h,
                exact
                        + " as "
                        + shape
                        + inPassing(v)
                        + ": one shape with its places on the neck. The bar shows its voices on one scale that"
                        + " all cards share, low at the left.");
    }

    private String inPassing(Voicing v) {
        List<String> called = WorkingName.of(v, Optional.of(model.key()));
        return called.isEmpty() ? "" : ", in passing " + called.get(0);
    }

    private void paintFoot(
            GraphicsContext g, int card, Voicing v, double x, double h, String shape) {
        CardRow c = getSkinnable();
        boolean inRiff = v.shape().equals(model.currentChord().candidate().voicing().shape());
        String left = inRiff ? "in the riff" : apart(card, v);
        if (card == ShownChord.BY_HAND) {
            left = inRiff ? "by hand, in the riff" : "by hand";
        }
        String places = card >= 0 ? places(card, !shape.isEmpty()) : "";
        double room = cardWidth - 43 - width(places, c.smallFont());
        if (width(left, c.smallFont()) > room) {
            left = left.substring(left.lastIndexOf(',') + 1).strip();
        }
        if (!shape.isEmpty()) {
            Font mono = c.smallMonoFont();
            boolean fits = width(left, c.smallFont()) + 10 + width(shape, mono) <= room;
            // Where not all has room, the shape says in its colour that it is in the riff.
            double from = left.isEmpty() || !fits ? 0 : width(left, c.smallFont()) + 10;
            left = fits ? left : "";
            var colour = inRiff && !fits ? c.ink() : c.dim();
            text(g, shape, x + 12 + from, h - 13, mono, colour, TextAlignment.LEFT);
        }
        text(
                g,
                left,
                x + 12,
                h - 13,
                c.smallFont(),
                inRiff ? c.ink() : c.dim(),
                TextAlignment.LEFT);
        text(g, places, x + cardWidth - 11, h - 13, c.smallFont(), c.dim(), TextAlignment.RIGHT);
    }

    private String name(Voicing v) {
        return ChordNamer.name(
                        v, Optional.of(model.key()), model.currentChord().around().on(v.root()))
                .symbol();
    }

    /** What sets a card apart from those of the same name beside it. */
    private String apart(int card, Voicing v) {
        List<Voicing> others = new ArrayList<>();
        int last = Math.min(firstShown + shown, model.shown().cardsProperty().get().size());
        for (int i = firstShown; i < last; i++) {
            if (i != card) {
                voicing(i).filter(o -> name(o).equals(name(v))).ifPresent(others::add);
            }
        }
        return ShapeWords.apart(v, others);
    }

    private String places(int card, boolean brief) {
        int n = model.shown().cardsProperty().get().get(card).places().size();
        boolean selected = card == model.shown().cardProperty().get();
        if (n == 1) {
            return "1 place";
        }
        String which = model.shown().placeProperty().get() + 1 + " of " + n;
        return selected ? (brief ? "↕ " : "↕ place ") + which : n + " places";
    }

    /**
     * The voices on one scale that all cards share, from the lowest open string to the highest
     * fret.
     */
    private void paintStrip(GraphicsContext g, Voicing v, double left, double right, double y) {
        CardRow c = getSkinnable();
        Fretboard b = v.board();
        int low = b.midi(0, 0) - 1;
        int high = b.midi(b.strings() - 1, Math.min(20, b.frets())) + 1;
        stroke(g, c.line(), 1, left, y + 0.5, right, y + 0.5);
        int heard = Readout.of(v, model.key()).root();
        for (Sounding s : v.soundings()) {
            double x =
                    left + Math.min(1, (double) (s.midi() - low) / (high - low)) * (right - left);
            boolean root = s.pitchClass() == heard;
            VoiceTick.paint(g, c, x, y + 1, 5, 4, root, s.open());
        }
    }

    private void pressed(MouseEvent e) {
        getSkinnable().requestFocus();
        int card = firstShown + (int) (e.getX() / (cardWidth + GAP));
        if (e.getButton() != MouseButton.PRIMARY
                || card >= model.shown().cardsProperty().get().size()
                || voicing(card).isEmpty()) {
            return;
        }
        if (card != model.shown().cardProperty().get()) {
            model.shown().placeProperty().set(0);
            model.shown().cardProperty().set(card);
        }
        if (e.getClickCount() == 2) {
            model.useShown();
        }
        model.beginHearingShown();
    }
}
