package vocalis.desktop.view;

import java.util.Optional;
import javafx.animation.PauseTransition;
import javafx.scene.Node;
import javafx.scene.Scene;
import javafx.scene.control.Tooltip;
import javafx.scene.input.MouseEvent;
import javafx.util.Duration;

/**
 * What everything means: a node carries its meaning as a property, a painted control answers by
 * point, and one hint for the whole window shows it when the pointer rests. One hint, not one a
 * label: hints are windows, and a thousand of them are too many.
 */
public final class Explain {

    private static final String MEANING = "vocalis.meaning";
    private static final Duration REST = Duration.millis(450);
    private static final double WIDEST = 380;

    private final Tooltip hint = new Tooltip();
    private final PauseTransition rest = new PauseTransition(REST);
    private double x;
    private double y;
    private Node over;

    /** Answers for all of a scene. */
    public Explain(Scene scene) {
        hint.setWrapText(true);
        hint.setMaxWidth(WIDEST);
        scene.addEventFilter(MouseEvent.MOUSE_MOVED, this::moved);
        scene.addEventFilter(MouseEvent.MOUSE_PRESSED, e -> hide());
        scene.addEventFilter(MouseEvent.MOUSE_EXITED_TARGET, e -> hide());
        scene.addEventFilter(javafx.scene.input.KeyEvent.KEY_PRESSED, e -> hide());
        rest.setOnFinished(e -> show());
    }

    /** Gives a node its meaning. */
    public static <N extends Node> N means(N node, String meaning) {
        node.getProperties().put(MEANING, meaning);
        return node;
    }

    /** The meaning that a node itself carries. */
    public static Optional<String> of(Node node) {
        return Optional.ofNullable((String) node.getProperties().get(MEANING));
    }

    /** The meaning at a point of the scene: of the node there, or of what it lies in. */
    public static Optional<String> at(Node picked, double sceneX, double sceneY) {
        for (Node n = picked; n != null; n = n.getParent()) {
            if (n instanceof Explained e) {
                var p = n.sceneToLocal(sceneX, sceneY);
                Optional<String> answer = e.explain(p.getX(), p.getY());
                if (answer.isPresent()) {
                    return answer;
                }
            }
            Optional<String> own = of(n);
            if (own.isPresent()) {
                return own;
            }
        }
        return Optional.empty();
    }

    private void moved(MouseEvent e) {
        if (Math.abs(e.getSceneX() - x) + Math.abs(e.getSceneY() - y) > 3) {
            hide();
        }
        x = e.getSceneX();
        y = e.getSceneY();
        over = e.getPickResult().getIntersectedNode();
        rest.playFromStart();
    }

    private void show() {
        if (over == null || over.getScene() == null || !over.getScene().getWindow().isFocused()) {
            return;
        }
        at(over, x, y)
                .ifPresent(
                        text -> {
                            hint.setText(text);
                            var window = over.getScene().getWindow();
                            hint.show(
                                    window,
                                    window.getX() + over.getScene().getX() + x + 12,
                                    window.getY() + over.getScene().getY() + y + 18);
                        });
    }

    private void hide() {
        rest.stop();
        hint.hide();
    }
}
