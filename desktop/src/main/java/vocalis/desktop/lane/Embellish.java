package vocalis.desktop.lane;

import javafx.scene.control.ContextMenu;
import javafx.scene.control.MenuItem;
import javafx.scene.control.SeparatorMenuItem;
import vocalis.core.pattern.Stroke;
import vocalis.core.pattern.Touch;
import vocalis.core.score.Manner;
import vocalis.core.score.ScoreNote;
import vocalis.desktop.writing.LaneModel;

/** The menu of what fingers and palm can do to the stroke under the caret. */
final class Embellish {

    private static final int SEMITONE = 100;
    private static final int WIDE_CENTS = 90;
    private static final double SLOW_HZ = 3.8;

    private Embellish() {}

    /** The menu for the stroke as it stands; one line where there is none. */
    static ContextMenu menu(LaneModel lane) {
        ContextMenu menu = new ContextMenu();
        ScoreNote top = lane.topAtCaret().orElse(null);
        if (top == null) {
            MenuItem none = new MenuItem("No stroke here: Enter puts one");
            none.setDisable(true);
            menu.getItems().add(none);
            return menu;
        }
        int fret = top.endFret();
        add(menu, "Hammer on to " + (fret + 1), () -> lane.touches().legato(1));
        add(menu, "Hammer on to " + (fret + 2), () -> lane.touches().legato(2));
        for (int down : new int[] {1, 2}) {
            if (fret > down) {
                add(menu, "Pull off to " + (fret - down), () -> lane.touches().legato(-down));
            }
        }
        if (fret > 0) {
            add(menu, "Pull off to the open string", () -> lane.touches().legato(-fret));
        }
        add(menu, "Slide up to " + (fret + 2), () -> lane.touches().slide(2));
        if (fret > 2) {
            add(menu, "Slide down to " + (fret - 2), () -> lane.touches().slide(-2));
        }
        if (fret > 2) {
            add(menu, "Slide in from " + (fret - 2), () -> lane.touches().slideIn(2));
        }
        if (fret > 1) {
            int down = Math.min(5, fret - 1);
            add(menu, "Slide out to " + (fret - down), () -> lane.touches().slideOut(-down));
        }
        add(menu, "Bend a semitone", () -> lane.touches().bend(SEMITONE, false));
        add(menu, "Bend a semitone and release", () -> lane.touches().bend(SEMITONE, true));
        add(menu, "Bend a whole step", () -> lane.touches().bend(2 * SEMITONE, false));
        add(menu, "Bend a whole step and release", () -> lane.touches().bend(2 * SEMITONE, true));
        add(menu, "Bend a step and a half", () -> lane.touches().bend(3 * SEMITONE, false));
        add(menu, "Vibrato", lane.touches()::vibrato);
        add(
                menu,
                "Vibrato, wide",
                () -> lane.touches().vibrato(WIDE_CENTS, Touch.Vibrato.USUAL_HZ));
        add(menu, "Vibrato, wide and slow", () -> lane.touches().vibrato(WIDE_CENTS, SLOW_HZ));
        add(menu, "Tremolo in sixteenths", () -> lane.touches().tremolo(4));
        add(menu, "Tremolo in thirty-seconds", () -> lane.touches().tremolo(8));
        add(menu, "Pinch harmonic, an octave up", () -> lane.touches().pinch(2));
        add(menu, "Pinch harmonic, two octaves up", () -> lane.touches().pinch(4));
        if (!top.techniques().isEmpty()) {
            add(menu, "Plain note again", lane.touches()::plain);
        }
        menu.getItems().add(new SeparatorMenuItem());
        Manner now = lane.strokeAtCaret().map(Stroke::manner).orElse(Manner.PLAIN);
        for (Manner m : Manner.values()) {
            if (m != Manner.PLAIN) {
                String words = Character.toUpperCase(m.words().charAt(0)) + m.words().substring(1);
                add(menu, words + (now == m ? "  ✓" : ""), () -> lane.strokes().play(m));
            }
        }
        return menu;
    }

    private static void add(ContextMenu menu, String text, Runnable action) {
        MenuItem item = new MenuItem(text);
        item.setMnemonicParsing(false);
        item.setOnAction(e -> action.run());
        menu.getItems().add(item);
    }
}
