package vocalis.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import javafx.scene.control.Menu;
import javafx.scene.control.MenuBar;
import javafx.scene.input.KeyCode;
import javafx.stage.Stage;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.framework.junit5.Start;
import org.testfx.util.WaitForAsyncUtils;
import vocalis.core.edit.Scope;
import vocalis.core.pattern.Touch;
import vocalis.core.piece.Piece;
import vocalis.core.score.ScoreNote;
import vocalis.core.score.Technique;
import vocalis.workbench.demo.Demo;

/** Bars, their pattern, touches and meter in the real window, from an empty riff, by keyboard. */
@ExtendWith(ApplicationExtension.class)
class PatternWindowTest extends WindowDriver {

    @Start
    void start(Stage stage) {
        open(stage);
    }

    @Override
    Piece first() {
        return Demo.blank("pattern");
    }

    /** How many notes with a technique each bar of the score has. */
    private Map<Integer, Integer> legato() {
        settle();
        Map<Integer, Integer> perBar = new TreeMap<>();
        for (ScoreNote n : fx(() -> model().derived().score().notes())) {
            if (n.techniques().stream().anyMatch(t -> t.kind() == Technique.Kind.HAMMER)) {
                perBar.merge(riff().meters().bar(n.at()), 1, Integer::sum);
            }
        }
        return perBar;
    }

    /** The bar's strokes with their hammer-on come along, and Ctrl Z takes them away again. */
    @Test
    void aBarIsPastedWithItsTouches(FxRobot robot) {
        press(robot, KeyCode.CONTROL, KeyCode.TAB);
        press(robot, KeyCode.O);
        assertThat(fx(() -> model().lane().scopeProperty().get())).isEqualTo(Scope.THIS_PASS);
        press(robot, KeyCode.E);
        press(robot, KeyCode.DOWN);
        press(robot, KeyCode.ENTER);
        assertThat(riff().touches()).singleElement().isInstanceOf(Touch.Legato.class);
        Map<Integer, Integer> before = legato();
        assertThat(before).containsOnlyKeys(0);
        press(robot, KeyCode.CONTROL, KeyCode.C);
        press(robot, KeyCode.END);
        press(robot, KeyCode.END);
        press(robot, KeyCode.CONTROL, KeyCode.V);
        assertThat(legato()).containsOnlyKeys(0, 2);
        assertThat(legato().get(2)).isEqualTo(before.get(0));
        press(robot, KeyCode.CONTROL, KeyCode.Z);
        assertThat(legato()).isEqualTo(before);
    }

    /** Alt with its letter opens the menu. */
    @Test
    void altWithItsLetterOpensTheMenu(FxRobot robot) {
        MenuBar bar = (MenuBar) fx(() -> stage.getScene().lookup("#menus"));
        robot.push(KeyCode.ALT, KeyCode.M);
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(showing(bar)).containsExactly("_Menu");
        robot.push(KeyCode.ESCAPE);
        robot.push(KeyCode.ESCAPE);
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(showing(bar)).isEmpty();
    }

    private static List<String> showing(MenuBar bar) {
        return fx(
                () -> bar.getMenus().stream().filter(Menu::isShowing).map(Menu::getText).toList());
    }

    /** The meter of the bar at the caret, from the menu: only that bar gets shorter. */
    @Test
    void aBarGetsItsOwnMeter() {
        long length = riff().length();
        MenuBar bar = (MenuBar) fx(() -> stage.getScene().lookup("#menus"));
        fx(
                () -> {
                    Menu edit =
                            (Menu)
                                    bar.getMenus().get(0).getItems().stream()
                                            .filter(i -> "Change".equals(i.getText()))
                                            .findFirst()
                                            .orElseThrow();
                    Menu meters =
                            (Menu)
                                    edit.getItems().stream()
                                            .filter(i -> "Meter of this bar".equals(i.getText()))
                                            .findFirst()
                                            .orElseThrow();
                    meters.getItems().stream()
                            .filter(i -> i.getText().equals("3/4"))
                            .findFirst()
                            .orElseThrow()
                            .fire();
                    return null;
                });
        settle();
        assertThat(riff().meters().meter(0).symbol()).isEqualTo("3/4");
        assertThat(riff().meters().meter(1).symbol()).isEqualTo("4/4");
        assertThat(riff().length()).isEqualTo(length - 20160);
    }
}
