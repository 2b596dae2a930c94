package vocalis.desktop.frame;

import java.util.ArrayList;
import java.util.List;
import javafx.css.PseudoClass;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.layout.HBox;
import vocalis.desktop.keys.Command;
import vocalis.desktop.keys.Commands;
import vocalis.desktop.session.Screen;
import vocalis.desktop.session.Whereabouts;
import vocalis.desktop.view.Explain;

/** The screens in the order of the work, always in sight: each a button, the open one lit. */
public final class ScreenKeys extends HBox {

    private static final PseudoClass CHOSEN = PseudoClass.getPseudoClass("chosen");

    /* Rows: command | name | what it is for. The logbook lies over the screen that is open. */
    private static final String[][] ROWS = {
        {"write", "Write", "Roots, rhythm and the shape of every chord"},
        {"revoice", "Revoice", "The whole riff in every family, side by side"},
        {"arrange", "Arrange", "Sections, a second guitar, the song"},
        {"practise", "Practise", "A stretch round and round, slower, then faster"},
        {"logbook", "Logbook", "All riffs and ideas that are kept"}
    };

    private final List<Button> buttons = new ArrayList<>();
    private final Whereabouts whereabouts;
    private final List<Screen> screens;

    /**
     * @param screens in the order of the rows
     */
    public ScreenKeys(Commands commands, Whereabouts whereabouts, List<Screen> screens) {
        this.whereabouts = whereabouts;
        this.screens = screens;
        setAlignment(Pos.CENTER_LEFT);
        setSpacing(2);
        setId("screens");
        for (String[] row : ROWS) {
            Command command = commands.get(row[0]);
            Button b = new Button(row[1]);
            b.setId("screen-" + row[0]);
            b.getStyleClass().add("screen-key");
            b.setFocusTraversable(false);
            b.setMinWidth(USE_PREF_SIZE);
            b.setOnAction(e -> command.action().run());
            Explain.means(b, row[2] + " (" + command.printedKey() + ")");
            getChildren().add(b);
            buttons.add(b);
        }
        whereabouts.screenProperty().addListener(o -> refresh());
        refresh();
    }

    private void refresh() {
        for (int i = 0; i < screens.size(); i++) {
            boolean open = screens.get(i) == whereabouts.screen();
            buttons.get(i).pseudoClassStateChanged(CHOSEN, open);
        }
    }
}
