package vocalis.desktop.view;

import java.util.function.BooleanSupplier;
import javafx.animation.PauseTransition;
import javafx.event.ActionEvent;
import javafx.scene.Node;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;
import javafx.util.Duration;

/**
 * Press and hold, and it sounds; let go, and it ends. A short click stays a click. On what has the
 * keys, the key H does the same.
 */
public final class HoldToHear {

    /** From here on a press is a hold; a click of a slow hand is shorter. From memory. */
    private static final Duration HOLD = Duration.millis(280);

    private final BooleanSupplier begin;
    private final Runnable end;
    private final PauseTransition pause = new PauseTransition(HOLD);
    private boolean sounds;

    /** Whether the press was a hold, and no click, until what its release does is through. */
    private boolean held;

    private HoldToHear(BooleanSupplier begin, Runnable end) {
        this.begin = begin;
        this.end = end;
        pause.setOnFinished(e -> begin());
    }

    /**
     * Makes a node sound while it is held.
     *
     * @param begin begins the sound; says whether it did
     * @param end ends it
     */
    public static void at(Node node, BooleanSupplier begin, Runnable end) {
        HoldToHear h = onMouse(node, begin, end);
        node.addEventHandler(
                KeyEvent.KEY_PRESSED,
                e -> {
                    if (e.getCode() == KeyCode.H && !e.isShortcutDown()) {
                        if (!h.sounds) {
                            h.begin();
                        }
                        e.consume();
                    }
                });
        node.addEventHandler(
                KeyEvent.KEY_RELEASED,
                e -> {
                    if (e.getCode() == KeyCode.H) {
                        h.letGo();
                    }
                });
        // A press gives a button the keys: that begins a hold, and ends none.
        node.focusedProperty()
                .addListener(
                        (o, was, is) -> {
                            if (!is) {
                                h.letGo();
                            }
                        });
    }

    /** The same by the mouse alone: where the keys of the window already hear. */
    public static void mouse(Node node, BooleanSupplier begin, Runnable end) {
        onMouse(node, begin, end);
    }

    private static HoldToHear onMouse(Node node, BooleanSupplier begin, Runnable end) {
        HoldToHear h = new HoldToHear(begin, end);
        node.addEventHandler(
                MouseEvent.MOUSE_PRESSED,
                e -> {
                    if (e.getButton() == MouseButton.PRIMARY && !e.isShiftDown()) {
                        h.pause.playFromStart();
                    }
                });
        node.addEventHandler(
                MouseEvent.MOUSE_DRAGGED,
                e -> {
                    if (!h.sounds && !e.isStillSincePress()) {
                        h.pause.stop();
                    }
                });
        node.addEventHandler(MouseEvent.MOUSE_RELEASED, e -> h.letGo());
        // What was held to be heard is not clicked as well.
        node.addEventFilter(
                ActionEvent.ACTION,
                e -> {
                    if (h.held) {
                        e.consume();
                    }
                });
        return h;
    }

    private void begin() {
        sounds = begin.getAsBoolean();
        held = sounds;
    }

    private void letGo() {
        pause.stop();
        if (sounds) {
            sounds = false;
            end.run();
            // The click that the release makes comes after it.
            javafx.application.Platform.runLater(() -> held = false);
        }
    }
}
