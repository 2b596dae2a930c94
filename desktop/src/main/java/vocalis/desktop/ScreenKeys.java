package vocalis.desktop;

import java.util.LinkedHashMap;
import java.util.Map;
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
final class ScreenKeys extends HBox {

    private static final PseudoClass CHOSEN = PseudoClass.getPseudoClass("chosen");

    private final Map<Screen, Button> buttons = new LinkedHashMap<>();
    private final Commands commands;
    private final Whereabouts whereabouts;

    ScreenKeys(Commands commands, Models models) {
        this.commands = commands;
        whereabouts = models.whereabouts();
        setAlignment(Pos.CENTER_LEFT);
        setSpacing(2);
        setId("screens");
        add(models.write(), "Write", "write", "Roots, rhythm and the shape of every chord");
        add(models.revoice(), "Revoice", "revoice", "The whole riff in every family, side by side");
        add(models.arrange(), "Arrange", "arrange", "Sections, a second guitar, the song");
        add(
                models.practice(),
                "Practise",
                "practise",
                "A stretch round and round, slower, then faster");
        add(null, "Logbook", "logbook", "All riffs and ideas that are kept");
        whereabouts.screenProperty().addListener(o -> refresh());
        refresh();
    }

    private void add(Screen screen, String name, String id, String what) {
        Command command = commands.get(id);
        Button b = new Button(name);
        b.setId("screen-" + id);
        b.getStyleClass().add("screen-key");
        b.setFocusTraversable(false);
        b.setMinWidth(USE_PREF_SIZE);
        b.setOnAction(e -> command.action().run());
        Explain.means(b, what + " (" + command.printedKey() + ")");
        getChildren().add(b);
        buttons.put(screen, b);
    }

    private void refresh() {
        buttons.forEach(
                (s, b) ->
                        b.pseudoClassStateChanged(CHOSEN, s != null && s == whereabouts.screen()));
    }
}
