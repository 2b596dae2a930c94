package vocalis.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import javafx.scene.AccessibleRole;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.control.CustomMenuItem;
import javafx.scene.control.Label;
import javafx.scene.control.Labeled;
import javafx.scene.control.Menu;
import javafx.scene.control.MenuBar;
import javafx.scene.control.MenuItem;
import javafx.scene.control.SeparatorMenuItem;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Pane;
import javafx.stage.Stage;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.framework.junit5.Start;
import vocalis.desktop.arrange.ArrangePlace;
import vocalis.desktop.keys.Combo;
import vocalis.desktop.keys.Command;
import vocalis.desktop.keys.CommandSearch;
import vocalis.desktop.keys.OtherWords;
import vocalis.desktop.practise.PractisePlace;
import vocalis.desktop.revoice.RevoicePlace;
import vocalis.desktop.session.Place;
import vocalis.desktop.session.Whereabouts;
import vocalis.desktop.writing.WritePlace;

/** A walk over all that the program does: named, found, in sight, one key one meaning, heard. */
@ExtendWith(ApplicationExtension.class)
class EveryCommandTest extends WindowDriver {

    private static final Map<Place, String> SCREENS = new LinkedHashMap<>();

    static {
        SCREENS.put(WritePlace.BAND, "write");
        SCREENS.put(RevoicePlace.GRID, "revoice");
        SCREENS.put(ArrangePlace.STRIP, "arrange");
        SCREENS.put(PractisePlace.PAGE, "practise");
    }

    @Override
    boolean large() {
        return true;
    }

    @Start
    void start(Stage stage) {
        open(stage);
    }

    private List<Command> all() {
        return fx(() -> shell.commands().all());
    }

    @Test
    void eachHasANameOtherWordsAndAPlaceInTheSearch() {
        OtherWords other = OtherWords.ofProgram();
        CommandSearch search = new CommandSearch(shell.commands(), other, Map.of());
        Set<String> names = new HashSet<>();
        List<String> silent = new ArrayList<>();
        for (Command c : all()) {
            assertThat(c.words()).as(c.id()).isNotBlank();
            if (!c.named()) {
                Command of = fx(() -> shell.commands().get(c.partOf().orElseThrow()));
                assertThat(of.named()).as(c.id()).isTrue();
                continue;
            }
            Place at = c.places().isEmpty() ? WritePlace.BAND : c.places().iterator().next();
            assertThat(names.add(c.words() + c.places())).as(c.words()).isTrue();
            List<Command> found = fx(() -> search.find(c.words(), at));
            assertThat(found.subList(0, Math.min(2, found.size()))).as(c.words()).contains(c);
            if (other.of(c).isBlank()) {
                silent.add(c.id());
            }
        }
        assertThat(silent).as("without other words").isEmpty();
    }

    /** Words of the trade lead where they should; common practice, no source. */
    @Test
    void theWordsOfThePlayersFind() {
        CommandSearch search =
                new CommandSearch(shell.commands(), OtherWords.ofProgram(), Map.of());
        Map<String, String> wanted =
                Map.ofEntries(
                        Map.entry("chug", "palm"),
                        Map.entry("pm", "palm"),
                        Map.entry("louder", "accent"),
                        Map.entry("capo", "ground-fields"),
                        Map.entry("transpose", "root-up"),
                        Map.entry("undo", "undo"),
                        Map.entry("metronome", "click-on"),
                        Map.entry("drums", "along"),
                        Map.entry("tuner", "tune"),
                        Map.entry("hammer", "embellish"),
                        Map.entry("verse", "arrange"),
                        Map.entry("pdf", "export"),
                        Map.entry("slow", "practise"));
        wanted.forEach(
                (typed, id) -> {
                    List<String> found =
                            fx(() -> search.find(typed, WritePlace.LANE)).stream()
                                    .limit(4)
                                    .map(Command::id)
                                    .toList();
                    assertThat(found).as(typed).contains(id);
                });
    }

    /** A key has one meaning, but for arrows and their like, digits, Enter, Esc and Delete. */
    @Test
    void aKeyMeansOneThing() {
        Map<String, Set<String>> meanings = new TreeMap<>();
        Set<Combo> combos = new HashSet<>();
        for (Command c : all()) {
            for (Combo k : c.keys()) {
                combos.add(k);
                if (!k.asItsPlaceSays()) {
                    meanings.computeIfAbsent(k.printed(), x -> new HashSet<>()).add(c.meaning());
                }
            }
        }
        meanings.forEach((k, m) -> assertThat(m).as(k).hasSize(1));
        List<String> bare = meanings.keySet().stream().filter(k -> k.matches("[A-Z]")).toList();
        System.out.printf(
                "keys: %d combinations, %d letters alone %s%n", combos.size(), bare.size(), bare);
        assertThat(bare).hasSizeLessThan(22).doesNotContain("V", "H", "J");
    }

    private static void items(List<MenuItem> from, Set<String> ids) {
        for (MenuItem i : from) {
            if (i.getId() != null) {
                ids.add(i.getId().replace("menu-", ""));
            }
            if (i instanceof Menu m) {
                assertThat(
                                m.getItems().stream()
                                        .filter(x -> !(x instanceof SeparatorMenuItem))
                                        .toList())
                        .as(m.getText())
                        .hasSizeLessThan(12);
                items(m.getItems(), ids);
            }
        }
    }

    /** The commands that have a line in a menu. */
    private Set<String> inMenus() {
        MenuBar bar = (MenuBar) fx(() -> stage.getScene().lookup("#menus"));
        Set<String> ids = new HashSet<>();
        fx(
                () -> {
                    bar.getMenus().forEach(m -> items(m.getItems(), ids));
                    return null;
                });
        return ids;
    }

    /** What has no button in sight has a line in a menu, or stands behind "All …" of its place. */
    @Test
    void eachIsReachedByTheMouse() {
        Set<String> ids = inMenus();
        ids.addAll(SCREENS.values());
        // Buttons: families, play, the ground's fields, the search itself; walking is clicking.
        List<String> hidden =
                all().stream()
                        .filter(Command::named)
                        .filter(c -> c.places().isEmpty())
                        .map(Command::id)
                        .filter(id -> !ids.contains(id))
                        .filter(id -> !id.matches("all-\\d|play|leave|undo|redo|menus|.*place.*"))
                        .filter(id -> !id.matches("to-rhythm|ground-fields"))
                        .toList();
        assertThat(hidden).isEmpty();
        for (Place p : SCREENS.keySet()) {
            assertThat(fx(() -> shell.commands().strip(p))).as(p.words()).isNotEmpty();
        }
    }

    /** A line of a menu is as wide as its words and their key; each is laid out in the window. */
    @Test
    void noMenuCutsItsWordsOrKeys() {
        Set<String> ids = inMenus();
        List<String> known = all().stream().map(Command::id).filter(ids::contains).toList();
        assertThat(known).hasSizeGreaterThan(50);
        Map<String, String> cut = new TreeMap<>();
        for (String id : known) {
            fx(
                    () -> {
                        CustomMenuItem item = (CustomMenuItem) shell.commands().item(id);
                        HBox line = (HBox) item.getContent();
                        Pane root = (Pane) stage.getScene().lookup("#menus").getParent();
                        line.setManaged(false);
                        root.getChildren().add(line);
                        line.applyCss();
                        line.autosize();
                        line.layout();
                        for (Node n : line.getChildren()) {
                            if (n instanceof Label l && l.getWidth() < l.prefWidth(-1) - 0.5) {
                                cut.put(id, l.getText() + " in " + l.getWidth());
                            }
                        }
                        root.getChildren().remove(line);
                        return null;
                    });
        }
        assertThat(cut).isEmpty();
    }

    /** Each screen is a click away from each other, and its strip shows what its place does. */
    @Test
    void screensAndStripsAreClicked(FxRobot robot) {
        for (Map.Entry<Place, String> e : SCREENS.entrySet()) {
            clickOn(robot, "#screen-" + e.getValue());
            await(e.getValue(), () -> fx(() -> shell.models().whereabouts().place()) == e.getKey());
            List<String> shown =
                    fx(() -> shell.commands().strip(e.getKey())).stream()
                            .filter(c -> visible(robot, "#strip-" + c.id()))
                            .map(Command::id)
                            .toList();
            assertThat(shown).as(e.getValue()).hasSizeGreaterThan(4);
            clickOn(robot, "#strip-all");
            await("all", () -> fx(() -> shell.sheets().top().isPresent()));
            press(robot, KeyCode.ESCAPE);
        }
        clickOn(robot, "#screen-logbook");
        await("logbook", () -> fx(() -> shell.sheets().top().isPresent()));
        press(robot, KeyCode.ESCAPE);
        clickOn(robot, "#screen-write");
        assertThat(fx(() -> shell.models().whereabouts().place())).isEqualTo(WritePlace.BAND);
    }

    private boolean visible(FxRobot robot, String id) {
        return fx(() -> robot.lookup(id).tryQuery().filter(Node::isVisible).isPresent());
    }

    /** What is marked has a few actions of its own; let go, the place has its own again. */
    @Test
    void whatIsMarkedHasItsOwnActions(FxRobot robot) {
        fx(
                () -> {
                    shell.models().whereabouts().placeProperty().set(WritePlace.LANE);
                    return null;
                });
        press(robot, KeyCode.HOME);
        assertThat(visible(robot, "#strip-stroke")).isTrue();
        press(robot, KeyCode.CONTROL, KeyCode.SHIFT, KeyCode.RIGHT);
        await("the actions of a mark", () -> visible(robot, "#strip-softer"));
        assertThat(visible(robot, "#strip-stroke")).isFalse();
        var before = fx(() -> model().lane().strokeAtCaret());
        clickOn(robot, "#strip-softer");
        settle();
        assertThat(fx(() -> model().lane().strokeAtCaret())).isNotEqualTo(before);
        press(robot, KeyCode.ESCAPE);
        press(robot, KeyCode.CONTROL, KeyCode.TAB);
        await("the actions of the place", () -> visible(robot, "#strip-stroke"));
    }

    /** F3, a word, Enter: done in its own place, and the key is told for the next time. */
    @Test
    void whatIsFoundIsDoneWhereItWorks(FxRobot robot) {
        press(robot, KeyCode.F3);
        await("the search", () -> robot.lookup("#find-command").tryQuery().isPresent());
        robot.write("palm");
        press(robot, KeyCode.ENTER);
        assertThat(fx(() -> shell.models().whereabouts().place())).isEqualTo(WritePlace.LANE);
        assertThat(fx(() -> model().lane().strokeAtCaret().orElseThrow().muted())).isTrue();
        assertThat(readout(robot, "message")).isEqualTo("Next time: M.");
        press(robot, KeyCode.CONTROL, KeyCode.Z);
    }

    /** Every step of the caret in every painted place says where it is, and no two say the same. */
    @Test
    void paintedPlacesSayWhatTheCaretIsOn(FxRobot robot) {
        Map<Place, String> nodes =
                Map.of(
                        WritePlace.BAND, "#voice-band",
                        WritePlace.LANE, "#lane",
                        WritePlace.CARDS, "#cards",
                        WritePlace.NECK, "#neck");
        await("cards", () -> fx(() -> model().shown().cardsProperty().get().size() > 3));
        nodes.forEach((p, id) -> said(robot, p, id));
        said(robot, RevoicePlace.GRID, "#revoice");
        said(robot, ArrangePlace.STRIP, "#song-strip");
    }

    private void said(FxRobot robot, Place place, String id) {
        fx(
                () -> {
                    shell.models().whereabouts().placeProperty().set(place);
                    return null;
                });
        Node node = robot.lookup(id).query();
        await("focus on " + id, () -> fx(node::isFocused));
        assertThat(fx(node::getAccessibleRole)).as(id).isNotEqualTo(AccessibleRole.NODE);
        Set<String> heard = new HashSet<>();
        int steps = 4;
        for (int i = 0; i < steps; i++) {
            String text = fx(node::getAccessibleText);
            assertThat(text).as(id).startsWith(place.words() + ": ").hasSizeGreaterThan(20);
            heard.add(text);
            press(robot, KeyCode.RIGHT);
        }
        if (place != ArrangePlace.STRIP) {
            assertThat(heard).as(id).hasSize(steps);
        }
    }

    private static void texts(Node n, List<Labeled> out) {
        if (!n.isVisible()) {
            return;
        }
        if (n instanceof Labeled l && !l.getText().isEmpty() && l.getWidth() > 0) {
            out.add(l);
        }
        if (n instanceof Parent p) {
            p.getChildrenUnmodifiable().forEach(c -> texts(c, out));
        }
    }

    /** At every size of text, on every screen: no button's words are cut, and bars lead to all. */
    @Test
    void largerTextFits() {
        for (double[] size : new double[][] {{1920, 1080}, {1280, 800}, {1040, 700}}) {
            size(size[0], size[1]);
            for (int percent : new int[] {100, 130, 160}) {
                fx(
                        () -> {
                            shell.look().size(percent);
                            return null;
                        });
                for (Place p : SCREENS.keySet()) {
                    fx(
                            () -> {
                                shell.models().whereabouts().placeProperty().set(p);
                                return null;
                            });
                    await("laid out", () -> fx(() -> !stage.getScene().getRoot().isNeedsLayout()));
                    List<String> cut = fx(this::cut);
                    assertThat(cut).as("%s at %s, %d %%", p.words(), size[0], percent).isEmpty();
                }
            }
        }
        fx(
                () -> {
                    shell.look().size(100);
                    shell.models().whereabouts().placeProperty().set(Whereabouts.Around.GROUND);
                    return null;
                });
    }

    private List<String> cut() {
        List<Labeled> all = new ArrayList<>();
        texts(stage.getScene().getRoot(), all);
        List<String> cut = new ArrayList<>();
        for (Labeled l : all) {
            boolean button =
                    l.getStyleClass().stream()
                            .anyMatch(s -> s.endsWith("-button") || s.endsWith("-key"));
            boolean field = l.getStyleClass().contains("ground-field");
            boolean wraps = l instanceof Label t && t.isWrapText();
            if (button && !field && !wraps && l.getWidth() < Math.floor(l.prefWidth(-1)) - 1) {
                cut.add(l.getText());
            }
        }
        return cut;
    }
}
