package vocalis.desktop.keys;

import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;

/**
 * A key with what is held beside it.
 *
 * @param code key; the digits of row and number pad are one
 * @param ctrl with Ctrl (Command on a Mac)
 * @param shift with Shift
 * @param alt with Alt
 */
public record Combo(KeyCode code, boolean ctrl, boolean shift, boolean alt) {

    /** Reads {@code ctrl shift S}. */
    public static Combo of(String text) {
        String[] parts = text.split(" ");
        String key = parts[parts.length - 1];
        KeyCode code =
                key.length() == 1 && Character.isDigit(key.charAt(0))
                        ? KeyCode.valueOf("DIGIT" + key)
                        : KeyCode.valueOf(key);
        return new Combo(
                code, text.contains("ctrl "), text.contains("shift "), text.contains("alt "));
    }

    /** What a key event presses. */
    static Combo of(KeyEvent e) {
        return new Combo(code(e), e.isShortcutDown(), e.isShiftDown(), e.isAltDown());
    }

    /** What the unshifted digit row types on a French layout, from 1 to 0. */
    private static final String AZERTY = "&é\"'(-è_çà";

    private static KeyCode code(KeyEvent e) {
        String name = e.getCode().name();
        if (name.startsWith("NUMPAD") && name.length() == 7) {
            return KeyCode.valueOf("DIGIT" + name.substring(6));
        }
        int french = e.getText().isEmpty() ? -1 : AZERTY.indexOf(e.getText());
        if (french >= 0 && !e.isShiftDown() && !e.getCode().isLetterKey()) {
            return KeyCode.valueOf("DIGIT" + (french + 1) % 10);
        }
        return e.getCode();
    }

    /** Whether it types nothing: a function key. */
    boolean function() {
        return code.isFunctionKey();
    }

    /**
     * Whether it means what its place says: arrows and their like walk or change what the caret is
     * on, digits choose, Enter goes in, Esc out, Delete takes away. Every other key has one
     * meaning.
     */
    public boolean asItsPlaceSays() {
        return code.isArrowKey()
                || code.isDigitKey()
                || switch (code) {
                    case HOME, END, ENTER, ESCAPE, DELETE, BACK_SPACE, PAGE_UP, PAGE_DOWN -> true;
                    default -> false;
                };
    }

    /** Whether a field needs it for its own text: undo, copy, paste, select, move. */
    boolean edits() {
        return switch (code) {
            case Z, Y, C, V, X, A, LEFT, RIGHT, UP, DOWN, HOME, END, DELETE, BACK_SPACE, INSERT ->
                    true;
            default -> false;
        };
    }

    /** As menus and help print it. */
    public String printed() {
        String name =
                switch (code) {
                    case LEFT -> "←";
                    case RIGHT -> "→";
                    case UP -> "↑";
                    case DOWN -> "↓";
                    case ESCAPE -> "Esc";
                    case PAGE_UP -> "Page Up";
                    case PAGE_DOWN -> "Page Down";
                    case PLUS, EQUALS -> "+";
                    case MINUS -> "−";
                    case SLASH -> "?";
                    case PERIOD -> ".";
                    case COMMA -> ",";
                    case DELETE -> "Del";
                    case INSERT -> "Ins";
                    default -> code.getName();
                };
        String shifted = shift && code != KeyCode.SLASH ? "Shift " : "";
        return (ctrl ? "Ctrl " : "") + shifted + (alt ? "Alt " : "") + name;
    }
}
