package vocalis.desktop.write;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.Function;
import javafx.scene.Node;
import javafx.scene.Scene;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Slider;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import vocalis.core.riff.Band;
import vocalis.core.riff.Fader;
import vocalis.core.riff.Feel;
import vocalis.core.voicing.Family;

/** Who plays along, how loud, and what. */
final class BandSheet {

    private BandSheet() {}

    /** Who plays along, how loud, and what. */
    static void show(WriteModel model, Scene owner) {
        Band now = Fields.band(model);
        GridPane grid = Fields.grid();
        List<Optional<Family>> families =
                new java.util.ArrayList<>(List.of(Optional.<Family>empty()));
        Arrays.stream(Family.values()).forEach(f -> families.add(Optional.of(f)));
        Fields.row(
                grid,
                "second guitar",
                on(
                        "second",
                        now.second(),
                        f -> Fields.change(model, "second guitar", b -> second(b, f))),
                level("second", now.second(), model, Band::second, BandSheet::second),
                Fields.choice(
                        "second-family",
                        families,
                        now.secondFamily(),
                        f ->
                                f.map(x -> x.label().toLowerCase(Locale.ROOT))
                                        .orElse("the same as the first"),
                        f -> Fields.change(model, "second guitar", b -> secondFamily(b, f))),
                spread(model, now));
        Fields.row(
                grid,
                "bass",
                on(
                        "bass",
                        now.bass(),
                        f -> Fields.change(model, "bass", b -> b.withBass(f, b.bassLine()))),
                level("bass", now.bass(), model, Band::bass, (b, f) -> b.withBass(f, b.bassLine())),
                Fields.choice(
                        "bass-line",
                        List.of(Band.BassLine.values()),
                        now.bassLine(),
                        Band.BassLine::label,
                        l -> Fields.change(model, "bass", b -> b.withBass(b.bass(), l))));
        Fields.row(
                grid,
                "kit",
                on("kit", now.kit(), f -> Fields.change(model, "kit", b -> b.withKit(f, b.feel()))),
                level("kit", now.kit(), model, Band::kit, (b, f) -> b.withKit(f, b.feel())),
                Fields.choice(
                        "feel",
                        List.of(Feel.values()),
                        now.feel(),
                        Feel::label,
                        f -> Fields.change(model, "feel", b -> b.withKit(b.kit(), f))));
        Fields.row(
                grid,
                "click",
                on("click", now.click(), f -> Fields.change(model, "click", b -> b.withClick(f))),
                level("click", now.click(), model, Band::click, Band::withClick));
        VBox content =
                new VBox(
                        14,
                        Sheets.head("Who plays along"),
                        Sheets.caption(
                                "Stand-ins for bandmates. They come in with the next stroke, and go with the"
                                        + " riff into its file and its WAV. Swung moves the guitars' off-beats too."),
                        grid);
        content.getStyleClass().add("help");
        Sheets.open(model, owner, "Band", content, 830, 285);
    }

    private static HBox spread(WriteModel model, Band now) {
        HBox box =
                Fields.slider(
                        "spread",
                        0,
                        10,
                        now.spread(),
                        v ->
                                Fields.change(
                                        model,
                                        "spread",
                                        b ->
                                                b.withSecond(
                                                        b.second(),
                                                        b.secondFamily(),
                                                        b.secondTone(),
                                                        b.secondControls(),
                                                        v)));
        box.getChildren().add(0, Sheets.caption("apart"));
        ((Slider) box.getChildren().get(1)).setPrefWidth(90);
        return box;
    }

    private static CheckBox on(String id, Fader fader, Consumer<Fader> set) {
        CheckBox box = new CheckBox("plays");
        box.setId(id + "-on");
        box.setSelected(fader.on());
        box.selectedProperty()
                .addListener(
                        o ->
                                set.accept(
                                        new Fader(
                                                box.isSelected(), lastLevel(box, fader.level()))));
        return box;
    }

    /** The level as the slider beside a box has it. */
    private static int lastLevel(CheckBox box, int otherwise) {
        Node slider =
                box.getScene() == null
                        ? null
                        : box.getScene().lookup("#" + box.getId().replace("-on", "-level"));
        return slider instanceof Slider s ? (int) Math.round(s.getValue()) : otherwise;
    }

    private static HBox level(
            String id,
            Fader now,
            WriteModel model,
            Function<Band, Fader> get,
            java.util.function.BiFunction<Band, Fader, Band> set) {
        return Fields.slider(
                id + "-level",
                0,
                10,
                now.level(),
                v -> Fields.change(model, id + " level", b -> set.apply(b, get.apply(b).at(v))));
    }

    private static Band second(Band b, Fader f) {
        return b.withSecond(f, b.secondFamily(), b.secondTone(), b.secondControls(), b.spread());
    }

    private static Band secondFamily(Band b, Optional<Family> f) {
        return b.withSecond(b.second(), f, b.secondTone(), b.secondControls(), b.spread());
    }
}
