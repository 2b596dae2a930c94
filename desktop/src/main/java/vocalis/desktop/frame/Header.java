package vocalis.desktop.frame;

import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import vocalis.desktop.keys.Command;
import vocalis.desktop.keys.Commands;
import vocalis.desktop.view.Explain;
import vocalis.workbench.document.Workspace;

/** The first row of the window: the riff's name and state, the screens, the search, the menu. */
public final class Header extends HBox {

    private final Workspace workspace;
    private final Label title = new Label();
    private final Label state = new Label();
    private final Button save = new Button("Save");
    private final Label unkept = new Label("unsaved work is not kept");

    public Header(Workspace workspace, Menus menus, ScreenKeys screens, Commands commands) {
        this.workspace = workspace;
        title.getStyleClass().add("title");
        title.setId("title");
        title.setMinWidth(60);
        title.setOnMouseClicked(e -> commands.get("rename").action().run());
        Explain.means(title, "The working title; F2 or a click renames it");
        state.getStyleClass().add("caption");
        state.setId("saved-state");
        state.setMinWidth(40);
        does(save, "save-now", "strip-button", commands.get("save"));
        Explain.means(save, "What you changed is not saved yet; this keeps it (Ctrl S)");
        unkept.setId("unkept");
        unkept.getStyleClass().add("warning");
        unkept.setMinWidth(Region.USE_PREF_SIZE);
        kept(Optional.empty());
        Button find = new Button("find a command");
        does(find, "find-key", "find-key", commands.get("search"));
        find.setMinWidth(90);
        find.setPrefWidth(170);
        Explain.means(find, "Search everything that the program does, by any word for it (F3)");
        Region gap = new Region();
        HBox.setHgrow(gap, Priority.ALWAYS);
        Label mark = new Label("Vocalis");
        mark.getStyleClass().add("wordmark");
        mark.setMinWidth(Region.USE_PREF_SIZE);
        getChildren().addAll(named(), unkept, screens, find, gap, menus.bar(), mark);
        setAlignment(Pos.CENTER_LEFT);
        getStyleClass().add("header");
    }

    /** Always a fifth of the row, so that the screens stay where they are whatever the name. */
    private HBox named() {
        HBox named = new HBox(14, title, state, save);
        named.setAlignment(Pos.CENTER_LEFT);
        named.minWidthProperty().bind(widthProperty().multiply(0.2));
        named.maxWidthProperty().bind(named.minWidthProperty());
        return named;
    }

    private static void does(Button b, String id, String style, Command command) {
        b.setId(id);
        b.getStyleClass().add(style);
        b.setFocusTraversable(false);
        b.setMinWidth(Region.USE_PREF_SIZE);
        b.setOnAction(e -> command.action().run());
    }

    /** Says as long as it is so that what is not saved would be lost, and why. */
    public void kept(Optional<String> trouble) {
        unkept.setVisible(trouble.isPresent());
        unkept.setManaged(trouble.isPresent());
        trouble.ifPresent(
                why ->
                        Explain.means(
                                unkept,
                                "If Vocalis ended now, what you have not saved would be lost: "
                                        + why
                                        + ". Save it yourself (Ctrl S)."));
    }

    /** Shows the title, and whether all of it is saved. */
    public void refresh() {
        boolean changed = workspace.changed();
        title.setText(workspace.content().title());
        save.setVisible(changed);
        save.setManaged(changed);
        state.setManaged(!changed);
        state.setVisible(!changed);
        state.setText(!changed && workspace.file().isPresent() ? "saved" : "");
    }
}
