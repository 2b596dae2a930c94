package vocalis.desktop.sounding;

import java.util.List;
import java.util.function.Consumer;
import java.util.function.Supplier;
import java.util.function.UnaryOperator;
import javafx.scene.Node;
import javafx.scene.control.ComboBox;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import vocalis.core.mix.Controls;
import vocalis.core.mix.Mix;
import vocalis.core.riff.Tone;
import vocalis.desktop.session.Document;
import vocalis.desktop.view.Choices;
import vocalis.desktop.view.Sheets;
import vocalis.workbench.document.Edits;

/** How both guitars are turned: amplifier, pickup, pick. */
public final class ToneSheet {

    private static final String[] AMP = {"gain", "bass", "middle", "treble", "presence", "level"};

    private ToneSheet() {}

    /** How both guitars are turned. */
    public static void show(Document session, Sheets host) {
        VBox first =
                new VBox(
                        10,
                        Choices.head("Guitar"),
                        controls(
                                "first",
                                mix(session).controls(),
                                c -> change(session, b -> b.withControls(c)),
                                () -> mix(session).controls()));
        row0(first, tones("first-tone", session.now().ground().tone(), t -> setTone(session, t)));
        VBox second = second(session);
        HBox both = new HBox(40, first, second);
        VBox content =
                new VBox(
                        14,
                        both,
                        Choices.caption(
                                "Steps from the tone's own setting; gain by 3 dB, level by 2. The microphone stands"
                                        + " before the speaker's middle at 0, at its edge at 10. Everything is heard at"
                                        + " once and can be undone."));
        content.getStyleClass().add("help");
        host.open("Tone", content, 700);
    }

    private static VBox second(Document session) {
        VBox second = new VBox(10, Choices.head("Second guitar"));
        if (mix(session).second().on()) {
            second.getChildren()
                    .add(
                            controls(
                                    "second",
                                    mix(session).secondControls(),
                                    c -> change(session, b -> secondControls(b, c)),
                                    () -> mix(session).secondControls()));
            row0(
                    second,
                    tones(
                            "second-tone",
                            mix(session).secondTone(),
                            t -> change(session, b -> secondTone(b, t))));
        } else {
            second.getChildren().add(Choices.caption("It does not play. W lets it."));
        }
        return second;
    }

    private static void row0(VBox box, Node node) {
        box.getChildren().add(1, node);
    }

    private static ComboBox<Tone> tones(String id, Tone now, Consumer<Tone> chosen) {
        return Choices.choice(id, List.of(Tone.values()), now, Tone::label, chosen);
    }

    private static GridPane controls(
            String id, Controls now, Consumer<Controls> set, Supplier<Controls> current) {
        GridPane grid = Choices.grid();
        Consumer<UnaryOperator<Controls>> change = c -> set.accept(c.apply(current.get()));
        for (int i = 0; i < AMP.length; i++) {
            int which = i;
            Choices.row(
                    grid,
                    AMP[i],
                    Choices.slider(
                            id + "-" + AMP[i],
                            -5,
                            5,
                            now.steps()[i],
                            v -> change.accept(c -> c.turned(which, v))));
        }
        guitar(grid, id, now, change);
        cabinet(grid, id, now, change);
        return grid;
    }

    private static void guitar(
            GridPane grid, String id, Controls now, Consumer<UnaryOperator<Controls>> change) {
        Choices.row(
                grid,
                "pickup",
                Choices.choice(
                        id + "-pickup",
                        List.of(false, true),
                        now.neckPickup(),
                        n -> n ? "at the neck" : "at the bridge",
                        n -> change.accept(c -> c.withPickup(n))));
        Choices.row(
                grid,
                "pick",
                Choices.slider(
                        id + "-pick",
                        0,
                        10,
                        now.pick(),
                        v -> change.accept(c -> c.withPick(v, c.hardness()))));
        Choices.row(
                grid,
                "hardness",
                Choices.slider(
                        id + "-hardness",
                        0,
                        10,
                        now.hardness(),
                        v -> change.accept(c -> c.withPick(c.pick(), v))));
    }

    private static void cabinet(
            GridPane grid, String id, Controls now, Consumer<UnaryOperator<Controls>> change) {
        Choices.row(
                grid,
                "cabinet",
                Choices.choice(
                        id + "-cabinet",
                        List.of(false, true),
                        now.closedCabinet(),
                        closed -> closed ? "closed, darker" : "open, brighter",
                        closed -> change.accept(c -> c.withCabinet(closed, c.microphone()))));
        Choices.row(
                grid,
                "microphone",
                Choices.slider(
                        id + "-microphone",
                        0,
                        10,
                        now.microphone(),
                        v -> change.accept(c -> c.withCabinet(c.closedCabinet(), v))));
        Choices.row(
                grid,
                "feedback",
                Choices.choice(
                        id + "-feedback",
                        List.of(false, true),
                        now.feedback(),
                        asked -> asked ? "held notes come back" : "none",
                        asked -> change.accept(c -> c.withFeedback(asked))));
    }

    private static void setTone(Document session, Tone tone) {
        session.apply(Edits.ground("tone", g -> g.withTone(tone)));
    }

    private static Mix mix(Document session) {
        return session.piece().mix();
    }

    private static void change(Document session, UnaryOperator<Mix> change) {
        session.apply(Edits.mix("tone", change));
    }

    private static Mix secondTone(Mix m, Tone t) {
        return m.withSecond(m.second(), t, m.secondControls(), m.spread());
    }

    private static Mix secondControls(Mix m, Controls c) {
        return m.withSecond(m.second(), m.secondTone(), c, m.spread());
    }
}
