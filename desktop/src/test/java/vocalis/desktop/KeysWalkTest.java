package vocalis.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import javafx.event.Event;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.control.ComboBoxBase;
import javafx.scene.control.MenuButton;
import javafx.scene.control.Spinner;
import javafx.scene.control.TextInputControl;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.stage.Stage;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.framework.junit5.Start;
import org.testfx.util.WaitForAsyncUtils;
import vocalis.core.riff.Riff;
import vocalis.desktop.keys.Command;
import vocalis.desktop.session.Place;
import vocalis.desktop.session.Whereabouts;
import vocalis.desktop.writing.WritePlace;
import vocalis.workbench.base.Log;
import vocalis.workbench.base.Subscription;

/** Keys belong to what has the focus: every focusable control, every key. */
@ExtendWith(ApplicationExtension.class)
class KeysWalkTest extends WindowDriver {

    /** Keys that a field must keep for itself, whatever they do elsewhere. */
    private static final List<KeyCode> PLAIN = new ArrayList<>();

    static {
        for (char c = 'A'; c <= 'Z'; c++) {
            PLAIN.add(KeyCode.valueOf(String.valueOf(c)));
        }
        for (int d = 0; d <= 9; d++) {
            PLAIN.add(KeyCode.valueOf("DIGIT" + d));
            PLAIN.add(KeyCode.valueOf("NUMPAD" + d));
        }
        PLAIN.addAll(
                List.of(
                        KeyCode.LEFT,
                        KeyCode.RIGHT,
                        KeyCode.UP,
                        KeyCode.DOWN,
                        KeyCode.HOME,
                        KeyCode.END,
                        KeyCode.DELETE,
                        KeyCode.BACK_SPACE,
                        KeyCode.SLASH,
                        KeyCode.PLUS,
                        KeyCode.MINUS,
                        KeyCode.COMMA,
                        KeyCode.PERIOD));
    }

    private final List<Command> fired = new ArrayList<>();
    private final List<String> failures = new ArrayList<>();
    private Subscription told;

    @Start
    void start(Stage stage) {
        open(stage);
        shell.keyboard().watch(fired::add);
        told = Log.tell(failures::add);
    }

    private static void collect(Node n, List<Node> out) {
        if (n.isFocusTraversable() && n.isVisible() && !n.isDisabled()) {
            out.add(n);
        }
        if (n instanceof Parent p && n.isVisible()) {
            p.getChildrenUnmodifiable().forEach(c -> collect(c, out));
        }
    }

    private List<Node> focusable() {
        List<Node> all = new ArrayList<>();
        fx(
                () -> {
                    collect(stage.getScene().getRoot(), all);
                    return null;
                });
        return all;
    }

    private static KeyEvent event(KeyCode code, boolean ctrl, boolean shift, boolean alt) {
        String text = code.isLetterKey() || code.isDigitKey() ? code.getChar().toLowerCase() : "";
        return new KeyEvent(KeyEvent.KEY_PRESSED, text, text, code, shift, ctrl, alt, false);
    }

    /** Presses and releases a key on whatever has the focus, without the robot's pauses. */
    private void key(Node on, KeyCode code, boolean ctrl, boolean shift, boolean alt) {
        KeyEvent pressed = event(code, ctrl, shift, alt);
        Event.fireEvent(on, pressed);
        String text = pressed.getText();
        if (!text.isEmpty() && !ctrl && !alt) {
            Event.fireEvent(
                    on,
                    new KeyEvent(
                            KeyEvent.KEY_TYPED,
                            text,
                            "",
                            KeyCode.UNDEFINED,
                            shift,
                            false,
                            false,
                            false));
        }
        Event.fireEvent(
                on, new KeyEvent(KeyEvent.KEY_RELEASED, text, text, code, shift, ctrl, alt, false));
    }

    private boolean drawn(Node n) {
        return Set.of("voice-band", "lane", "cards", "neck").contains(String.valueOf(n.getId()));
    }

    /** No plain key, with or without Shift or Alt, is a command outside the drawn places. */
    @Test
    void noCommandFiresFromAnyFieldListOrButton() {
        List<Node> all = focusable();
        assertThat(all.stream().filter(this::drawn)).hasSize(4);
        assertThat(all).hasSizeGreaterThan(12);
        for (Node n : all) {
            if (drawn(n)) {
                continue;
            }
            for (KeyCode code : PLAIN) {
                List<String> wrong =
                        fx(
                                () -> {
                                    fired.clear();
                                    for (int mods = 0; mods < 4; mods++) {
                                        n.requestFocus();
                                        key(n, code, false, (mods & 1) != 0, (mods & 2) != 0);
                                        if (n instanceof ComboBoxBase<?> c) {
                                            c.hide();
                                        }
                                        if (n instanceof MenuButton m) {
                                            m.hide();
                                        }
                                    }
                                    return fired.stream().map(Command::id).toList();
                                });
                assertThat(wrong).as("%s on %s", code, n).isEmpty();
            }
        }
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(failures).isEmpty();
    }

    /** Space plays from lists, sliders and buttons, and is typed in fields. */
    @Test
    void spaceIsTypedInFieldsAndPlaysElsewhere() {
        for (Node n : focusable()) {
            boolean field = n instanceof TextInputControl || n instanceof Spinner;
            boolean menu = n.getStyleClass().contains("menu-button") && !(n instanceof MenuButton);
            if (menu) {
                continue;
            }
            List<String> ids =
                    fx(
                            () -> {
                                n.requestFocus();
                                fired.clear();
                                key(n, KeyCode.SPACE, false, false, false);
                                return fired.stream().map(Command::id).toList();
                            });
            assertThat(ids).as("%s", n).isEqualTo(field ? List.of() : List.of("play"));
        }
    }

    /** Nothing fires while a list is open, nor while the menu bar has the keys. */
    @Test
    void nothingFiresUnderAnOpenListOrMenu(FxRobot robot) {
        Riff before = riff();
        fired.clear();
        for (KeyCode code : List.of(KeyCode.SPACE, KeyCode.Q, KeyCode.DIGIT3, KeyCode.F3)) {
            fx(
                    () -> {
                        ComboBoxBase<?> c = (ComboBoxBase<?>) stage.getScene().lookup("#key-mode");
                        c.requestFocus();
                        // A key before this one may have closed the list.
                        c.show();
                        assertThat(c.isShowing()).isTrue();
                        fired.clear();
                        key(c, code, false, false, false);
                        return null;
                    });
            assertThat(fired).as("%s", code).isEmpty();
        }
        assertThat(fired).isEmpty();
        fx(
                () -> {
                    ((ComboBoxBase<?>) stage.getScene().lookup("#key-mode")).hide();
                    shell.workspace().undo();
                    stage.getScene().lookup("#voice-band").requestFocus();
                    return null;
                });
        robot.push(KeyCode.F10);
        WaitForAsyncUtils.waitForFxEvents();
        fired.clear();
        robot.push(KeyCode.DOWN);
        robot.push(KeyCode.DOWN);
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(fired).isEmpty();
        robot.push(KeyCode.ESCAPE);
        robot.push(KeyCode.ESCAPE);
        assertThat(riff().roots()).isEqualTo(before.roots());
    }

    /** Typing 145 into the tempo sets the tempo and nothing else; letters find keys and modes. */
    @Test
    void fieldsTakeWhatIsTyped(FxRobot robot) {
        Riff before = riff();
        fx(
                () -> {
                    stage.getScene().lookup("#tempo").requestFocus();
                    return null;
                });
        press(robot, KeyCode.CONTROL, KeyCode.A);
        robot.write("145");
        press(robot, KeyCode.ENTER);
        assertThat(riff().tempo()).isEqualTo(145);
        assertThat(riff().treatments()).isEqualTo(before.treatments());
        fx(
                () -> {
                    stage.getScene().lookup("#key-tonic").requestFocus();
                    return null;
                });
        robot.write("e");
        fx(
                () -> {
                    stage.getScene().lookup("#key-mode").requestFocus();
                    return null;
                });
        letters("mixo");
        WaitForAsyncUtils.waitForFxEvents();
        settle();
        assertThat(riff().ground().key().symbol()).startsWith("E").endsWith("mixolydian");
        assertThat(riff().treatments()).isEqualTo(before.treatments());
    }

    /**
     * Every command of a place in that place, those of all places in one after the other by turns,
     * by their own keys: no exception, a caret.
     */
    @Test
    void everyCommandDoesNoHarm() {
        Set<String> askers = Set.of("open", "save", "save-copy", "new");
        List<Place> zones =
                fx(
                        () ->
                                shell.commands().places().stream()
                                        .filter(p -> p != Whereabouts.Around.GROUND)
                                        .toList());
        List<Command> all = fx(() -> shell.commands().all());
        for (Place zone : zones) {
            for (Command c : all) {
                boolean turn = zones.get(all.indexOf(c) % zones.size()) == zone;
                boolean here = c.places().isEmpty() ? turn : c.places().contains(zone);
                if (!here || c.keys().isEmpty() || askers.contains(c.id())) {
                    continue;
                }
                fx(
                        () -> {
                            shell.sheets().closeAll();
                            shell.models().whereabouts().placeProperty().set(zone);
                            return null;
                        });
                WaitForAsyncUtils.waitForFxEvents(1);
                var k = c.keys().get(0);
                fx(
                        () -> {
                            Node on = stage.getScene().getFocusOwner();
                            key(on, k.code(), k.ctrl(), k.shift(), k.alt());
                            hideMenus();
                            return null;
                        });
                WaitForAsyncUtils.waitForFxEvents(1);
                assertThat(fx(() -> stage.getScene().getFocusOwner()))
                        .as("caret after %s in %s", c.id(), zone)
                        .isNotNull();
            }
        }
        settle();
        assertThat(failures).isEmpty();
        fx(
                () -> {
                    shell.sheets().closeAll();
                    return null;
                });
    }

    private static void hideMenus() {
        List.copyOf(javafx.stage.Window.getWindows()).stream()
                .filter(w -> w instanceof javafx.scene.control.ContextMenu)
                .forEach(javafx.stage.Window::hide);
    }

    /** Keys that a place does not know do nothing at all there: every letter and function key. */
    @Test
    void keysWithoutAMeaningDoNothing() {
        Riff before = riff();
        List<Command> all = shell.commands().all();
        int tried = 0;
        for (Place zone :
                List.of(
                        WritePlace.BAND,
                        WritePlace.LANE,
                        WritePlace.TYPING,
                        WritePlace.CARDS,
                        WritePlace.NECK)) {
            for (KeyCode code : KeyCode.values()) {
                boolean plain = code.isLetterKey() || code.isFunctionKey();
                boolean held = code == KeyCode.H || code == KeyCode.J;
                boolean known =
                        all.stream()
                                .filter(c -> c.places().isEmpty() || c.places().contains(zone))
                                .flatMap(c -> c.keys().stream())
                                .anyMatch(
                                        k ->
                                                k.code() == code
                                                        && !k.ctrl()
                                                        && !k.shift()
                                                        && !k.alt());
                if (!plain || known || held || code == KeyCode.F10) {
                    continue;
                }
                tried++;
                fx(
                        () -> {
                            shell.models().whereabouts().placeProperty().set(zone);
                            fired.clear();
                            key(stage.getScene().getFocusOwner(), code, false, false, false);
                            return null;
                        });
                assertThat(fired).as("%s in %s", code, zone).isEmpty();
            }
        }
        assertThat(tried).isGreaterThan(20);
        assertThat(riff()).isEqualTo(before);
        told.close();
    }
}
