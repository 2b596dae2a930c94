package vocalis.desktop.write;

import java.util.List;
import java.util.function.Consumer;
import javafx.scene.Node;
import javafx.scene.Scene;
import javafx.scene.control.ComboBox;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import vocalis.core.riff.Band;
import vocalis.core.riff.Controls;
import vocalis.core.riff.Tone;

/** How both guitars are turned: amplifier, pickup, pick. */
final class ToneSheet {

    private static final String[] AMP = {"gain", "bass", "middle", "treble", "presence", "level"};

    private ToneSheet() {}

    /** How both guitars are turned. */
    static void show(WriteModel model, Scene owner) {
        VBox first =
                new VBox(
                        10,
                        Sheets.head("Guitar"),
                        controls(
                                "first",
                                Fields.band(model).controls(),
                                c -> Fields.change(model, "tone", b -> b.withControls(c)),
                                () -> Fields.band(model).controls()));
        row0(first, tones("first-tone", Fields.ground(model).tone(), t -> setTone(model, t)));
        VBox second = new VBox(10, Sheets.head("Second guitar"));
        if (Fields.band(model).second().on()) {
            second.getChildren()
                    .add(
                            controls(
                                    "second",
                                    Fields.band(model).secondControls(),
                                    c -> Fields.change(model, "tone", b -> secondControls(b, c)),
                                    () -> Fields.band(model).secondControls()));
            row0(
                    second,
                    tones(
                            "second-tone",
                            Fields.band(model).secondTone(),
                            t -> Fields.change(model, "tone", b -> secondTone(b, t))));
        } else {
            second.getChildren().add(Sheets.caption("It does not play. W lets it."));
        }
        HBox both = new HBox(40, first, second);
        VBox content =
                new VBox(
                        14,
                        both,
                        Sheets.caption(
                                "Steps from the tone's own setting; gain by 3 dB, level by 2. Everything is"
                                        + " heard at once and can be undone."));
        content.getStyleClass().add("help");
        Sheets.open(model, owner, "Tone", content, 640, 410);
    }

    private static void row0(VBox box, Node node) {
        box.getChildren().add(1, node);
    }

    private static ComboBox<Tone> tones(String id, Tone now, Consumer<Tone> chosen) {
        return Fields.choice(id, List.of(Tone.values()), now, Tone::label, chosen);
    }

    private static GridPane controls(
            String id,
            Controls now,
            Consumer<Controls> set,
            java.util.function.Supplier<Controls> current) {
        GridPane grid = Fields.grid();
        for (int i = 0; i < AMP.length; i++) {
            int which = i;
            Fields.row(
                    grid,
                    AMP[i],
                    Fields.slider(
                            id + "-" + AMP[i],
                            -5,
                            5,
                            now.steps()[i],
                            v -> set.accept(current.get().turned(which, v))));
        }
        Fields.row(
                grid,
                "pickup",
                Fields.choice(
                        id + "-pickup",
                        List.of(false, true),
                        now.neckPickup(),
                        n -> n ? "at the neck" : "at the bridge",
                        n -> set.accept(current.get().withPickup(n))));
        Fields.row(
                grid,
                "pick",
                Fields.slider(
                        id + "-pick",
                        0,
                        10,
                        now.pick(),
                        v -> set.accept(current.get().withPick(v, current.get().hardness()))));
        Fields.row(
                grid,
                "hardness",
                Fields.slider(
                        id + "-hardness",
                        0,
                        10,
                        now.hardness(),
                        v -> set.accept(current.get().withPick(current.get().pick(), v))));
        return grid;
    }

    private static void setTone(WriteModel model, Tone tone) {
        model.setGround(Fields.ground(model).withTone(tone), "tone");
    }

    private static Band secondTone(Band b, Tone t) {
        return b.withSecond(b.second(), b.secondFamily(), t, b.secondControls(), b.spread());
    }

    private static Band secondControls(Band b, Controls c) {
        return b.withSecond(b.second(), b.secondFamily(), b.secondTone(), c, b.spread());
    }
}
