package vocalis.desktop.lane;

import java.util.List;
import java.util.TreeSet;
import java.util.stream.IntStream;
import javafx.scene.control.ContextMenu;
import javafx.scene.control.Menu;
import javafx.scene.control.MenuItem;
import vocalis.core.pattern.Stroke;
import vocalis.core.pattern.Touch;
import vocalis.core.score.Manner;
import vocalis.core.score.ScoreNote;
import vocalis.desktop.writing.FingerVoices;
import vocalis.desktop.writing.LaneModel;
import vocalis.desktop.writing.TouchEdits;
import vocalis.workbench.words.TechniqueWords;

/** The menu of what fingers and palm can do to the stroke under the caret. */
final class Embellish {

    private static final int SEMITONE = 100;
    private static final int WIDE_CENTS = 90;
    private static final double SLOW_HZ = 3.8;

    private Embellish() {}

    /**
     * The menu for the stroke as it stands; one line where there is none.
     *
     * @param again shows it anew once another voice was chosen
     */
    static ContextMenu menu(LaneModel lane, Runnable again) {
        ContextMenu menu = new ContextMenu();
        TouchEdits touches = lane.touches();
        ScoreNote top = touches.voices().chosen().stream().findFirst().orElse(null);
        if (top == null) {
            MenuItem none = new MenuItem("No stroke here: Enter puts one");
            none.setDisable(true);
            menu.getItems().add(none);
            return menu;
        }
        int fret = top.endFret();
        boolean several = touches.voices().chosen().size() > 1;
        add(
                menu.getItems(),
                several ? "Hammer on a fret up" : "Hammer on to " + (fret + 1),
                () -> touches.legato(1));
        add(
                menu.getItems(),
                several ? "Hammer on two frets up" : "Hammer on to " + (fret + 2),
                () -> touches.legato(2));
        if (touches.voices().here().size() > 1) {
            menu.getItems().add(0, on(touches.voices(), again));
            menu.getItems().add(whole(touches));
        }
        menu.getItems()
                .addAll(pull(touches, fret), slide(touches, fret), bend(touches), vibrato(touches));
        menu.getItems().addAll(picked(touches), manner(lane));
        if (touches.voices().here().stream().anyMatch(n -> !n.techniques().isEmpty())) {
            add(menu.getItems(), "Plain notes again", touches::plain);
        }
        return menu;
    }

    /** Which notes of the stroke it is for. */
    private static Menu on(FingerVoices voices, Runnable again) {
        Menu menu = new Menu("On " + voices.inWords());
        menu.setId("embellish-on");
        List<ScoreNote> all = voices.here();
        List<Integer> ranks = IntStream.range(0, all.size()).boxed().toList();
        choice(menu, "All " + all.size() + " notes", voices, ranks, again);
        for (int r = 0; r < all.size(); r++) {
            choice(menu, voices.inWords(r), voices, List.of(r), again);
        }
        if (all.size() > 3) {
            choice(menu, "The upper three", voices, List.of(0, 1, 2), again);
        }
        return menu;
    }

    private static void choice(
            Menu menu, String words, FingerVoices voices, List<Integer> ranks, Runnable again) {
        boolean now = voices.ranksProperty().get().equals(new TreeSet<>(ranks));
        add(
                menu.getItems(),
                words + (now ? "  ✓" : ""),
                () -> {
                    voices.choose(ranks);
                    again.run();
                });
    }

    /** What the hand does with the whole shape. */
    private static Menu whole(TouchEdits touches) {
        Menu menu = new Menu("The whole shape");
        menu.setId("embellish-whole");
        add(menu.getItems(), "Slide it into the next stroke", touches::slideToNext);
        add(menu.getItems(), "Lift it off, the strings ring open", () -> touches.liftAll(9));
        if (touches.voices().here().size() > 3) {
            add(menu.getItems(), "Lift off the upper three", () -> touches.liftAll(3));
        }
        return menu;
    }

    private static Menu pull(TouchEdits touches, int fret) {
        Menu pull = new Menu("Pull off, come and go");
        for (int down : new int[] {1, 2}) {
            if (fret > down) {
                add(pull.getItems(), "To fret " + (fret - down), () -> touches.legato(-down));
            }
        }
        if (fret > 0) {
            add(pull.getItems(), "To the open string", touches::lift);
        }
        add(pull.getItems(), "A note above comes and goes, a fret up", () -> touches.comeAndGo(1));
        add(pull.getItems(), "A note above comes and goes, two up", () -> touches.comeAndGo(2));
        return pull;
    }

    private static Menu slide(TouchEdits touches, int fret) {
        Menu slide = new Menu("Slide");
        add(slide.getItems(), "Up to " + (fret + 2), () -> touches.slide(2));
        if (fret > 2) {
            add(slide.getItems(), "Down to " + (fret - 2), () -> touches.slide(-2));
            add(slide.getItems(), "In from " + (fret - 2), () -> touches.slideIn(2));
        }
        if (fret > 1) {
            int down = Math.min(5, fret - 1);
            add(slide.getItems(), "Out to " + (fret - down), () -> touches.slideOut(-down));
        }
        return slide;
    }

    private static Menu bend(TouchEdits touches) {
        Menu bend = new Menu("Bend");
        add(bend.getItems(), "A semitone", () -> touches.bend(SEMITONE, false));
        add(bend.getItems(), "A semitone and release", () -> touches.bend(SEMITONE, true));
        add(bend.getItems(), "A whole step", () -> touches.bend(2 * SEMITONE, false));
        add(bend.getItems(), "A whole step and release", () -> touches.bend(2 * SEMITONE, true));
        add(bend.getItems(), "A step and a half", () -> touches.bend(3 * SEMITONE, false));
        return bend;
    }

    private static Menu vibrato(TouchEdits touches) {
        Menu vibrato = new Menu("Vibrato");
        add(vibrato.getItems(), "Vibrato", touches::vibrato);
        add(vibrato.getItems(), "Wide", () -> touches.vibrato(WIDE_CENTS, Touch.Vibrato.USUAL_HZ));
        add(vibrato.getItems(), "Wide and slow", () -> touches.vibrato(WIDE_CENTS, SLOW_HZ));
        return vibrato;
    }

    private static Menu picked(TouchEdits touches) {
        Menu picked = new Menu("Tremolo, pinch harmonic");
        add(picked.getItems(), "Tremolo in sixteenths", () -> touches.tremolo(4));
        add(picked.getItems(), "Tremolo in thirty-seconds", () -> touches.tremolo(8));
        for (int k = 2; k <= Touch.Pinch.HIGHEST; k++) {
            int partial = k;
            add(picked.getItems(), capital(TechniqueWords.pinch(k)), () -> touches.pinch(partial));
        }
        return picked;
    }

    private static Menu manner(LaneModel lane) {
        Menu manners = new Menu("Mute, ring, cut short");
        Manner now = lane.strokeAtCaret().map(Stroke::manner).orElse(Manner.PLAIN);
        for (Manner m : Manner.values()) {
            if (m != Manner.PLAIN) {
                String words = capital(m.words());
                add(
                        manners.getItems(),
                        words + (now == m ? "  ✓" : ""),
                        () -> lane.strokes().play(m));
            }
        }
        return manners;
    }

    private static String capital(String words) {
        return Character.toUpperCase(words.charAt(0)) + words.substring(1);
    }

    private static void add(List<MenuItem> to, String text, Runnable action) {
        MenuItem item = new MenuItem(text);
        item.setMnemonicParsing(false);
        item.setOnAction(e -> action.run());
        to.add(item);
    }
}
