package vocalis.desktop.write;

import javafx.scene.control.ContextMenu;
import javafx.scene.control.MenuItem;
import javafx.scene.control.SeparatorMenuItem;
import vocalis.core.riff.Manner;
import vocalis.core.riff.Score;
import vocalis.core.riff.Touch;

/** The menu of what fingers and palm can do to the stroke under the caret. */
final class Embellish {

    private static final int SEMITONE = 100;
    private static final int VIBRATO_CENTS = 40;

    private Embellish() {}

    /** The menu for the stroke as it stands; one line where there is none. */
    static ContextMenu menu(LaneModel lane) {
        ContextMenu menu = new ContextMenu();
        Score.Strike strike = lane.strikeAtCaret().orElse(null);
        if (strike == null || strike.notes().isEmpty()) {
            MenuItem none = new MenuItem("No stroke here: Enter puts one");
            none.setDisable(true);
            menu.getItems().add(none);
            return menu;
        }
        int fret = strike.notes().get(strike.notes().size() - 1).fret();
        add(menu, "Hammer on to " + (fret + 1), () -> lane.ornament(Touch.Kind.HAMMER, 1));
        add(menu, "Hammer on to " + (fret + 2), () -> lane.ornament(Touch.Kind.HAMMER, 2));
        for (int down : new int[] {1, 2}) {
            if (fret > down) {
                add(
                        menu,
                        "Pull off to " + (fret - down),
                        () -> lane.ornament(Touch.Kind.PULL, down));
            }
        }
        if (fret > 0 && fret <= 12) {
            add(menu, "Pull off to the open string", () -> lane.ornament(Touch.Kind.PULL, fret));
        }
        add(menu, "Slide up to " + (fret + 2), () -> lane.ornament(Touch.Kind.SLIDE, 2));
        if (fret > 2) {
            add(menu, "Slide down to " + (fret - 2), () -> lane.ornament(Touch.Kind.SLIDE, -2));
        }
        add(menu, "Bend a semitone", () -> lane.ornament(Touch.Kind.BEND, SEMITONE));
        add(menu, "Bend a whole step", () -> lane.ornament(Touch.Kind.BEND, 2 * SEMITONE));
        add(
                menu,
                "Bend a whole step and release",
                () -> lane.ornament(Touch.Kind.BEND_RELEASE, 2 * SEMITONE));
        add(menu, "Vibrato", () -> lane.ornament(Touch.Kind.VIBRATO, VIBRATO_CENTS));
        if (!strike.ornaments().isEmpty()) {
            add(menu, "Plain note again", lane::plain);
        }
        menu.getItems().add(new SeparatorMenuItem());
        for (Manner m : Manner.values()) {
            if (m != Manner.PLAIN) {
                String now = strike.stroke().manner() == m ? "  ✓" : "";
                String words = Character.toUpperCase(m.words().charAt(0)) + m.words().substring(1);
                add(menu, words + now, () -> lane.play(m));
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
