package vocalis.desktop.sounding;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Slider;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import vocalis.core.mix.Fader;
import vocalis.core.mix.Feel;
import vocalis.core.mix.Mix;
import vocalis.core.mix.Timing;
import vocalis.core.piece.Part;
import vocalis.core.voicing.Family;
import vocalis.desktop.session.Document;
import vocalis.desktop.view.Choices;
import vocalis.desktop.view.Sheets;
import vocalis.workbench.document.Edits;

/** Who plays along, how loud, and what. */
public final class AlongSheet {

    private final Document session;
    private final GridPane grid = Choices.grid();

    private AlongSheet(Document session) {
        this.session = session;
    }

    /** Opens it. */
    public static void show(Document session, Sheets host) {
        AlongSheet sheet = new AlongSheet(session);
        sheet.rows();
        VBox content =
                new VBox(
                        14,
                        Choices.caption(
                                "Stand-ins for bandmates. They come in with the next stroke, and go with the"
                                        + " riff into its file and its WAV. Swung moves the guitars' off-beats"
                                        + " too. Enter ticks a box, Space plays."),
                        sheet.grid);
        content.getStyleClass().add("help");
        host.open("Who plays along", content, 860);
    }

    private Mix mix() {
        return session.piece().mix();
    }

    private void change(String what, UnaryOperator<Mix> change) {
        session.apply(Edits.mix(what, change));
    }

    private void rows() {
        guitarAndBass();
        kitAndClick();
        hands();
        timing();
    }

    private void guitarAndBass() {
        BiFunction<Mix, Fader, Mix> second =
                (m, f) -> m.withSecond(f, m.secondTone(), m.secondControls(), m.spread());
        BiFunction<Mix, Fader, Mix> bass = (m, f) -> m.withBass(f, m.bassLine());
        Choices.row(
                grid,
                "second guitar",
                on("second", Mix::second, second),
                level("second", Mix::second, second),
                families(),
                spread());
        Choices.row(
                grid,
                "bass",
                on("bass", Mix::bass, bass),
                level("bass", Mix::bass, bass),
                Choices.choice(
                        "bass-line",
                        List.of(Mix.BassLine.values()),
                        mix().bassLine(),
                        Mix.BassLine::label,
                        l -> change("bass", m -> m.withBass(m.bass(), l))),
                Choices.choice(
                        "bass-hand",
                        List.of(Mix.BassHand.values()),
                        mix().bassHand(),
                        Mix.BassHand::label,
                        h -> change("bass", m -> m.withBassHand(h))));
    }

    private void kitAndClick() {
        BiFunction<Mix, Fader, Mix> kit = (m, f) -> m.withKit(f, m.feel());
        Choices.row(
                grid,
                "kit",
                on("kit", Mix::kit, kit),
                level("kit", Mix::kit, kit),
                Choices.choice(
                        "feel",
                        List.of(Feel.values()),
                        mix().feel(),
                        Feel::label,
                        f -> change("feel", m -> m.withKit(m.kit(), f))));
        Choices.row(
                grid,
                "click",
                on("click", Mix::click, Mix::withClick),
                level("click", Mix::click, Mix::withClick));
    }

    private void hands() {
        Choices.row(
                grid,
                "hands",
                Choices.caption("machines at 0"),
                Choices.slider(
                        "hands",
                        0,
                        10,
                        mix().hands(),
                        v -> change("hands", m -> m.withHands(v, m.room()))));
    }

    private void timing() {
        Choices.row(
                grid,
                "swing",
                Choices.caption("straight at 50, triplets at 67"),
                Choices.slider(
                        "swing",
                        50,
                        75,
                        mix().timing().swing(),
                        v -> timed("swing", m -> new Timing(m.hands(), v, m.timing().behind()))));
        Choices.row(
                grid,
                "guitars behind",
                Choices.caption("ms; below 0 they push"),
                Choices.slider(
                        "behind",
                        -30,
                        30,
                        mix().timing().behind(),
                        v ->
                                timed(
                                        "push and pull",
                                        m -> new Timing(m.hands(), m.timing().swing(), v))));
        Choices.row(
                grid,
                "room",
                Choices.caption("none at 0"),
                Choices.slider(
                        "room",
                        0,
                        10,
                        mix().room(),
                        v -> change("room", m -> m.withHands(m.hands(), v))));
    }

    private void timed(String what, Function<Mix, Timing> timing) {
        change(what, m -> m.timed(timing.apply(m)));
    }

    private javafx.scene.Node families() {
        List<Optional<Family>> families = new ArrayList<>(List.of(Optional.<Family>empty()));
        Arrays.stream(Family.values()).forEach(f -> families.add(Optional.of(f)));
        return Choices.choice(
                "second-family",
                families,
                session.piece().second().flatMap(Part::family),
                f -> f.map(x -> x.label().toLowerCase(Locale.ROOT)).orElse("the same as the first"),
                f -> session.apply(Edits.secondFamily(f)));
    }

    private HBox spread() {
        HBox box =
                Choices.slider(
                        "spread",
                        0,
                        10,
                        mix().spread(),
                        v ->
                                change(
                                        "spread",
                                        m ->
                                                m.withSecond(
                                                        m.second(),
                                                        m.secondTone(),
                                                        m.secondControls(),
                                                        v)));
        box.getChildren().add(0, Choices.caption("apart"));
        ((Slider) box.getChildren().get(1)).setPrefWidth(90);
        return box;
    }

    private CheckBox on(String id, Function<Mix, Fader> get, BiFunction<Mix, Fader, Mix> set) {
        CheckBox box = new CheckBox("plays");
        box.setId(id + "-on");
        box.setSelected(get.apply(mix()).on());
        box.selectedProperty()
                .addListener(o -> change(id, m -> set.apply(m, get.apply(m).on(box.isSelected()))));
        return box;
    }

    private HBox level(String id, Function<Mix, Fader> get, BiFunction<Mix, Fader, Mix> set) {
        return Choices.slider(
                id + "-level",
                0,
                10,
                get.apply(mix()).level(),
                v -> change(id + " level", m -> set.apply(m, get.apply(m).at(v))));
    }
}
