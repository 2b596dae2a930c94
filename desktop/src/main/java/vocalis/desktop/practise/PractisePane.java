package vocalis.desktop.practise;

import javafx.geometry.Insets;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import vocalis.desktop.view.Choices;

/** The Practise screen: the page, and what the hands should be spared. */
public final class PractisePane extends VBox {

    private final PracticePage page;
    private final PracticeSide side;

    public PractisePane(PracticeModel model) {
        page = new PracticePage(model);
        page.setId("practice-page");
        page.setMinHeight(0);
        page.setMinWidth(0);
        side = new PracticeSide(model);
        side.setId("practice-side");
        side.setMinHeight(0);
        HBox.setHgrow(page, Priority.ALWAYS);
        HBox both = new HBox(page, side);
        both.setMinHeight(0);
        VBox.setVgrow(both, Priority.ALWAYS);
        Label care = Choices.text("", "caption");
        care.setId("practice-care");
        care.setPadding(new Insets(4, 20, 8, 50));
        care.setMinHeight(USE_PREF_SIZE);
        getStyleClass().add("arrange");
        getChildren().addAll(both, care);
        model.changedProperty()
                .addListener(
                        o -> {
                            String words = model.care();
                            care.setText(words);
                            care.setVisible(!words.isEmpty());
                            care.setManaged(!words.isEmpty());
                        });
    }

    /** Follows the player; passes are counted by it. */
    public void showNow(boolean playing, double tick) {
        page.showNow(playing, tick);
        side.showNow(playing, tick);
    }

    /** What has the keys. */
    public PracticePage page() {
        return page;
    }
}
