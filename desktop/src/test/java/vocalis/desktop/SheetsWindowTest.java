package vocalis.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.control.ContextMenu;
import javafx.scene.control.Label;
import javafx.scene.control.Menu;
import javafx.scene.control.MenuBar;
import javafx.scene.control.MenuItem;
import javafx.scene.input.KeyCode;
import javafx.stage.Stage;
import javafx.stage.Window;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.framework.junit5.Start;
import org.testfx.util.WaitForAsyncUtils;
import vocalis.desktop.keys.Combo;
import vocalis.desktop.keys.Command;
import vocalis.desktop.session.Place;
import vocalis.desktop.view.Explain;

/** Menus, help, explain and the other sheets: made from one registry, inside the window. */
@ExtendWith(ApplicationExtension.class)
class SheetsWindowTest extends WindowDriver {

    @Start
    void start(Stage stage) {
        open(stage);
    }

    private static boolean menuShows() {
        return Window.getWindows().stream().anyMatch(w -> w instanceof ContextMenu);
    }

    private static void items(List<MenuItem> from, List<MenuItem> to) {
        for (MenuItem i : from) {
            to.add(i);
            if (i instanceof Menu m) {
                items(m.getItems(), to);
            }
        }
    }

    private static void texts(Node n, List<String> to) {
        if (n instanceof Label l && l.getText() != null) {
            to.add(l.getText());
        }
        if (n instanceof Parent p) {
            p.getChildrenUnmodifiable().forEach(c -> texts(c, to));
        }
    }

    private List<String> texts(String id) {
        List<String> all = new ArrayList<>();
        fx(
                () -> {
                    texts(stage.getScene().lookup(id), all);
                    return null;
                });
        return all;
    }

    /** No key means two things in one place, nor one thing here and everywhere another unseen. */
    @Test
    void noKeyMeansTwoThingsInOnePlace() {
        List<Command> all = fx(() -> shell.commands().all());
        for (Place zone : fx(() -> shell.commands().places())) {
            Map<Combo, String> seen = new HashMap<>();
            for (Command c : all) {
                if (c.places().contains(zone)) {
                    c.keys()
                            .forEach(
                                    k ->
                                            assertThat(seen.put(k, c.id()))
                                                    .as("%s in %s", k.printed(), zone)
                                                    .isNull());
                }
            }
        }
        Map<Combo, String> everywhere = new HashMap<>();
        for (Command c : all) {
            if (c.places().isEmpty()) {
                c.keys()
                        .forEach(
                                k ->
                                        assertThat(everywhere.put(k, c.id()))
                                                .as(k.printed())
                                                .isNull());
            }
        }
        assertThat(everywhere).hasSizeGreaterThan(30);
    }

    /** Every menu has a letter of its own, and every entry is a command's or does something. */
    @Test
    void menusHaveLettersAndTheirEntriesAct() {
        MenuBar bar = (MenuBar) fx(() -> stage.getScene().lookup("#menus"));
        Set<Character> letters = new HashSet<>();
        for (Menu m : bar.getMenus()) {
            int at = m.getText().indexOf('_');
            assertThat(at).as(m.getText()).isNotNegative();
            assertThat(letters.add(Character.toLowerCase(m.getText().charAt(at + 1))))
                    .as(m.getText())
                    .isTrue();
        }
        List<MenuItem> all = new ArrayList<>();
        bar.getMenus().forEach(m -> items(m.getItems(), all));
        assertThat(all).hasSizeGreaterThan(40);
        for (MenuItem i : all) {
            boolean rule = i instanceof javafx.scene.control.SeparatorMenuItem;
            if (!rule && !(i instanceof Menu)) {
                assertThat(i.getOnAction()).as(i.getText()).isNotNull();
            }
        }
    }

    @Test
    void f10OpensTheMenusAndEscGivesTheKeysBack(FxRobot robot) {
        var before = riff();
        press(robot, KeyCode.F10);
        await("the first menu", () -> fx(SheetsWindowTest::menuShows));
        press(robot, KeyCode.DIGIT5);
        assertThat(riff().treatments()).isEqualTo(before.treatments());
        press(robot, KeyCode.ESCAPE);
        await("closed", () -> !fx(SheetsWindowTest::menuShows));
        press(robot, KeyCode.DIGIT5);
        assertThat(riff().treatments()).isNotEqualTo(before.treatments());
        press(robot, KeyCode.CONTROL, KeyCode.Z);
        assertThat(riff().treatments()).isEqualTo(before.treatments());
        // Alt alone leaves the keys where they are.
        press(robot, KeyCode.ALT);
        press(robot, KeyCode.DOWN);
        assertThat(riff().roots()).isNotEqualTo(before.roots());
    }

    /** Help names every command that has words and a key. */
    @Test
    void helpListsEveryCommand(FxRobot robot) {
        press(robot, KeyCode.F1);
        await("help", () -> fx(() -> shell.sheets().top().isPresent()));
        List<String> all = texts(".help");
        String joined = String.join("\n", all).toLowerCase(java.util.Locale.ROOT);
        // The digits stand in rows of their own: 1 to 9.
        List<String> missing =
                fx(() -> shell.commands().all()).stream()
                        .filter(c -> c.named() && !c.keys().isEmpty())
                        .filter(c -> !joined.contains(c.words().toLowerCase(java.util.Locale.ROOT)))
                        .filter(
                                c ->
                                        !joined.contains(
                                                c.meaning().toLowerCase(java.util.Locale.ROOT)))
                        .map(Command::id)
                        .toList();
        assertThat(missing).isEmpty();
        Node owner = fx(() -> stage.getScene().getFocusOwner());
        press(robot, KeyCode.PAGE_DOWN);
        press(robot, KeyCode.ESCAPE);
        assertThat(fx(() -> shell.sheets().top())).isEmpty();
        assertThat(fx(() -> stage.getScene().getFocusOwner())).isNotSameAs(owner).isNotNull();
        assertThat(fx(() -> stage.getScene().getFocusOwner().getId())).isEqualTo("voice-band");
    }

    /** Explain begins with what the caret is on: the chosen chord, its voices, its ghosts. */
    @Test
    void explainSpeaksOfTheCaretFirst(FxRobot robot) {
        press(robot, KeyCode.RIGHT);
        press(robot, KeyCode.SHIFT, KeyCode.SLASH);
        await("explain", () -> robot.lookup("#explain-here").tryQuery().isPresent());
        List<String> here = texts("#explain-here");
        String name = fx(() -> model().shown().readoutProperty().get().name().symbol());
        assertThat(here.get(0)).startsWith(name);
        int voices = fx(() -> model().shown().readoutProperty().get().voices().size());
        assertThat(here.stream().filter(s -> s.contains("of the chord"))).hasSize(voices);
        String other = chord(0).candidate().voicing().shape().text();
        assertThat(here).noneMatch(s -> s.contains(other));
        assertThat(texts("#explain-around")).anyMatch(s -> s.contains(other));
    }

    /** Every figure of every page of the readout says what it means. */
    @Test
    void everyFigureAnswers(FxRobot robot) {
        for (int page = 0; page < 3; page++) {
            await("gain", () -> fx(() -> !model().gain().reckoning()));
            List<String> silent = new ArrayList<>();
            int figures =
                    fx(
                            () -> {
                                Set<Node> labels =
                                        stage.getScene().getRoot().lookupAll(".figure-label");
                                for (Node n : labels) {
                                    boolean said = !((Label) n).getText().isEmpty();
                                    if (said && Explain.of(n).isEmpty()) {
                                        silent.add(((Label) n).getText());
                                    }
                                }
                                return labels.size();
                            });
            assertThat(silent).isEmpty();
            assertThat(figures).isGreaterThan(3);
            run("page");
        }
    }

    /** Tab stays within a sheet; what lies under it cannot be reached. */
    @Test
    void theKeysStayInTheSheet(FxRobot robot) {
        run("tone");
        await("tone", () -> fx(() -> shell.sheets().top().isPresent()));
        for (int i = 0; i < 30; i++) {
            press(robot, KeyCode.TAB);
            boolean inside =
                    fx(
                            () -> {
                                for (Node n = stage.getScene().getFocusOwner();
                                        n != null;
                                        n = n.getParent()) {
                                    if (n.getStyleClass().contains("sheet")) {
                                        return true;
                                    }
                                }
                                return false;
                            });
            assertThat(inside).as("after %d tabs", i + 1).isTrue();
        }
        var before = riff();
        press(robot, KeyCode.DIGIT5);
        assertThat(riff().treatments()).isEqualTo(before.treatments());
        press(robot, KeyCode.ESCAPE);
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(fx(() -> shell.sheets().top())).isEmpty();
    }

    /** Ctrl F twice over with the same text leaves the caret on the cards both times. */
    @Test
    void findGivesTheKeysToTheCards(FxRobot robot) {
        for (int i = 0; i < 2; i++) {
            find(robot, "x-x-4-4-x-x");
            assertThat(fx(() -> stage.getScene().getFocusOwner().getId())).isEqualTo("cards");
        }
    }

    /** A tempo out of range is told, and nothing changes. */
    @Test
    void aTempoOutOfRangeIsTold(FxRobot robot) {
        int before = riff().tempo();
        fx(
                () -> {
                    stage.getScene().lookup("#tempo").requestFocus();
                    return null;
                });
        WaitForAsyncUtils.waitForFxEvents();
        robot.write("9999");
        press(robot, KeyCode.TAB);
        assertThat(riff().tempo()).isEqualTo(before);
        assertThat(readout(robot, "message")).contains("9999").contains("20 to 400");
    }
}
