package vocalis.desktop.keys;

import java.util.EnumMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.BooleanSupplier;
import java.util.function.Consumer;
import java.util.function.Supplier;
import javafx.scene.Node;
import javafx.scene.Scene;
import javafx.scene.control.ComboBoxBase;
import javafx.scene.control.ContextMenu;
import javafx.scene.control.MenuBar;
import javafx.scene.control.Spinner;
import javafx.scene.control.TextInputControl;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.stage.Window;
import vocalis.desktop.session.Place;

/**
 * Obeys the keys of a window. Keys belong to what has the focus: in the drawn places (chords, lane,
 * voicings, neck) every command holds; in a field none that the field could want, in an open list
 * or menu none at all. Space plays and stops wherever it is not typed. A held key repeats only what
 * is made to be repeated. A key held to hear ends with its release, with any move of the focus, and
 * with Esc.
 */
public final class Keyboard {

    /** Something that lasts while its key is held. */
    private record Hold(Place only, BooleanSupplier begin) {}

    private final Commands commands;
    private final Supplier<Place> place;
    private final BooleanSupplier sheetOpen;
    private final Map<KeyCode, Hold[]> holds = new EnumMap<>(KeyCode.class);
    private final Set<KeyCode> down = new HashSet<>();
    private final Map<Node, Place> nodes = new java.util.HashMap<>();
    private Runnable endHold = () -> {};
    private KeyCode held;
    private boolean obeyed;
    private Consumer<Command> watcher = c -> {};

    /**
     * @param sheetOpen whether a sheet lies over the screen
     */
    public Keyboard(Commands commands, Supplier<Place> place, BooleanSupplier sheetOpen) {
        this.commands = commands;
        this.place = place;
        this.sheetOpen = sheetOpen;
    }

    /** A drawn control whose keys are commands. */
    public void place(Node node, Place of) {
        nodes.put(node, of);
    }

    /**
     * A key that something lasts with.
     *
     * @param only the place where it does; null for every drawn place
     * @param begin begins it, again and again while the key repeats; says whether it did
     */
    public void hold(KeyCode code, Place only, BooleanSupplier begin) {
        Hold[] before = holds.getOrDefault(code, new Hold[0]);
        Hold[] more = java.util.Arrays.copyOf(before, before.length + 1);
        more[before.length] = new Hold(only, begin);
        holds.put(code, more);
    }

    /** What ends whatever is held. */
    public void endHold(Runnable end) {
        endHold = end;
    }

    /** Told of every command that a key asked for. */
    public void watch(Consumer<Command> told) {
        watcher = watcher.andThen(told);
    }

    /** Obeys the keys of a scene. */
    public void install(Scene scene) {
        scene.addEventFilter(KeyEvent.KEY_PRESSED, e -> pressed(scene, e));
        scene.addEventFilter(KeyEvent.KEY_TYPED, e -> typed(scene, e));
        scene.addEventFilter(KeyEvent.KEY_RELEASED, this::released);
        scene.focusOwnerProperty().addListener(o -> letGo());
    }

    /** Ends what is held, and forgets which keys are down: the window lost them. */
    public void letGo() {
        if (held != null) {
            held = null;
            endHold.run();
        }
    }

    /** Forgets all keys: the window is no longer in front. */
    public void windowLeft() {
        letGo();
        down.clear();
    }

    private void released(KeyEvent e) {
        down.remove(e.getCode());
        if (e.getCode() == held) {
            letGo();
        }
    }

    /** A key that was a command is not typed as well, into a field or a list that it opened. */
    private void typed(Scene scene, KeyEvent e) {
        if (obeyed) {
            e.consume();
            return;
        }
        if (" ".equals(e.getCharacter()) && holder(scene) != Holder.FIELD && !busy(scene)) {
            e.consume();
        }
    }

    /** What has the keys. */
    private enum Holder {
        /** A drawn place: its keys are commands. */
        PLACE,
        /** Text is typed into it. */
        FIELD,
        /** Letters and arrows choose in it. */
        LIST,
        /** A button, a box, a slider: Enter and arrows work it. */
        CONTROL
    }

    private Holder holder(Scene scene) {
        Node n = scene.getFocusOwner();
        if (n == null || nodes.containsKey(n)) {
            return Holder.PLACE;
        }
        if (n instanceof TextInputControl || n instanceof Spinner) {
            return Holder.FIELD;
        }
        return n instanceof ComboBoxBase ? Holder.LIST : Holder.CONTROL;
    }

    /** Whether a menu or a list is open, or the menu bar has the keys: they take them all. */
    private static boolean busy(Scene scene) {
        for (Window w : Window.getWindows()) {
            if (w instanceof ContextMenu m && m.isShowing()) {
                return true;
            }
        }
        Node owner = scene.getFocusOwner();
        if (owner instanceof ComboBoxBase<?> c && c.isShowing()) {
            return true;
        }
        for (Node n = owner; n != null; n = n.getParent()) {
            if (n instanceof MenuBar) {
                return true;
            }
        }
        return false;
    }

    private void pressed(Scene scene, KeyEvent e) {
        obeyed = false;
        if (busy(scene)) {
            return;
        }
        boolean repeated = !down.add(e.getCode());
        Combo combo = Combo.of(e);
        Holder holder = holder(scene);
        boolean sheet = sheetOpen.getAsBoolean();
        if (holder == Holder.PLACE && !sheet && heldKey(combo, repeated)) {
            e.consume();
            return;
        }
        Optional<Command> command = asked(combo, holder, sheet);
        if (command.isEmpty()) {
            return;
        }
        e.consume();
        obeyed = true;
        if (!repeated || command.get().repeats()) {
            watcher.accept(command.get());
            command.get().action().run();
        }
    }

    private boolean heldKey(Combo combo, boolean repeated) {
        if (combo.ctrl() || combo.shift() || combo.alt()) {
            return false;
        }
        for (Hold h : holds.getOrDefault(combo.code(), new Hold[0])) {
            if (h.only() == null || h.only() == place.get()) {
                if (!repeated && h.begin().getAsBoolean()) {
                    held = combo.code();
                }
                return true;
            }
        }
        return false;
    }

    private Optional<Command> asked(Combo combo, Holder holder, boolean sheet) {
        if (!sheet && holder == Holder.PLACE) {
            return commands.find(combo, place.get());
        }
        Optional<Command> command = commands.everywhere(combo);
        boolean plainSpace =
                combo.code() == KeyCode.SPACE && !combo.ctrl() && !combo.alt() && !combo.shift();
        boolean outside =
                switch (holder) {
                    case FIELD ->
                            combo.code() == KeyCode.ESCAPE
                                    || combo.function()
                                    || combo.ctrl() && !combo.edits();
                    case LIST ->
                            combo.code() == KeyCode.ESCAPE
                                    || combo.function() && combo.code() != KeyCode.F4
                                    || combo.ctrl() && !combo.code().isNavigationKey()
                                    || plainSpace;
                    case CONTROL ->
                            combo.code() == KeyCode.ESCAPE
                                    || combo.function()
                                    || combo.ctrl() && !combo.code().isNavigationKey()
                                    || plainSpace;
                    case PLACE -> sheet;
                };
        boolean needed = holder == Holder.CONTROL && combo.code().isArrowKey();
        return command.filter(c -> outside && !needed && (!sheet || c.inSheets()));
    }
}
