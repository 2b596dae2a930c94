package vocalis.desktop.sheets;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.VBox;
import vocalis.desktop.keys.Combo;
import vocalis.desktop.keys.Command;
import vocalis.desktop.keys.Commands;
import vocalis.desktop.session.Place;
import vocalis.desktop.view.Choices;
import vocalis.desktop.view.Sheets;

/** Help: the order of the work, all keys from the registry that obeys them, a short glossary. */
public final class HelpSheet {

    /*
     * Rows: step | how. The order in which a riff is made; pattern and chords in either order.
     */
    private static final String WORK =
            """
            Begin | An empty riff offers four ways in: type the roots, lay a rhythm, find a drone, start from a shape. A line takes key, tempo and meter: f# dorian 132 5/4.
            Voice it | On the chords 1 to 9 voice one, with Ctrl the whole riff. Revoice (F6) sets every family side by side. Hold H, or the mouse, to hear.
            Strike it | In the rhythm Enter puts a stroke, M palm mutes, A accents, E slides and hammers. A change holds at every repeat; O makes it hold only here. L writes notes as they are typed.
            Round it off | The menu Versions keeps states, offers endings, and checks what a player would stumble over.
            Make it a song | Arrange (F7): sections, a second guitar, clashes. Every action stands in the strip below.
            Practise it | Practise (F8): Space counts in, Backspace says that the pass failed.
            Keep it | Ctrl S asks the name, and the riff is in the logbook (F9). Ctrl Z takes back anything.
            Find anything | F3 searches every command by any word for it.
            """;

    /* Rows: what | why. Common practice; general advice, no medical one. */
    private static final String CARE =
            """
            Warm up | A few minutes slowly before anything fast. Press no harder than the note needs: more makes it sharp and tires the hand.
            Rest | Five minutes after every twenty. After two failed passes in a row the ladder goes back by itself.
            Pain | Stop at pain. If it stays, see a clinician.
            Reach | A wide reach that returns often is load: a place higher up the neck, or a thinner shape, is narrower.
            Ears | Gain at length is loud. Safe listening (WHO and ITU, H.870) is a matter of level and time together; Vocalis cannot measure the sound pressure at your ear.
            """;

    /* Rows: word | meaning. Standard terms; the plain meanings are ours. */
    private static final String GLOSSARY =
            """
            voicing | which notes of a chord sound, in which order, on which strings
            degree | a note counted from the root: 1 the root, ♭3 the minor third, 5 the fifth
            heard root | the note that the ear takes as the root, which need not be the lowest
            inverted fourth | root and fifth with the fifth below: a fourth, heard from its upper note
            drone | an open string that rings on above, below or inside a moved shape
            figure | the unit of the pattern: strokes over a length of its own, laid again and again
            pass | one laying of a figure
            added by distortion | a tone that no string plays: the amplifier's gain makes it of two that do
            growl | how much rougher than the plain power chord a shape is under gain
            mud | how much of that roughness lies low, below 250 Hz
            bite | where the middle of the spectrum lies after the cabinet
            seam | the change from the last chord of the loop to its first
            clash | two notes of two players that rub for longer than a passing moment
            lift | what sets a section off from the one before: loudness, thickness, register, tension
            palm mute | the striking hand laid on the strings at the bridge
            """;

    private HelpSheet() {}

    /** Opens it. */
    public static void show(Commands commands, Sheets host) {
        VBox content =
                new VBox(
                        16,
                        section("The order of the work", table(WORK, 1040, "help-step")),
                        keys(commands),
                        section("Hands and ears", table(CARE, 1040, "help-step")),
                        section("Words", table(GLOSSARY, 1040, "help-key")));
        content.getStyleClass().add("help");
        host.open("Help", content, 1140);
    }

    private static VBox section(String title, Node body) {
        return new VBox(6, Choices.head(title), body);
    }

    private static GridPane table(String rows, double width, String style) {
        GridPane grid = new GridPane();
        grid.getStyleClass().add("figures");
        for (String row : rows.split("\n")) {
            String[] cells = row.split("\\|");
            Label a = new Label(cells[0].strip());
            a.getStyleClass().add(style);
            a.setMinWidth(140);
            Label b = Choices.text(cells[1].strip());
            b.setMaxWidth(width - 170);
            grid.addRow(grid.getRowCount(), a, b);
        }
        return grid;
    }

    /** Every key with its one meaning; below, what arrows and digits say place by place. */
    private static VBox keys(Commands commands) {
        Map<String, String> meanings = new TreeMap<>(String.CASE_INSENSITIVE_ORDER);
        for (Command c : commands.all()) {
            c.keys().stream()
                    .filter(k -> !k.asItsPlaceSays())
                    .findFirst()
                    .ifPresent(k -> meanings.putIfAbsent(k.printed(), c.meaning()));
        }
        meanings.put("H", "held: hear what the caret is on");
        meanings.put("J", "held: hear just this: the cell, the clash, the silent string ringing");
        FlowPane one = columns();
        List<Map.Entry<String, String>> all = new ArrayList<>(meanings.entrySet());
        int half = (all.size() + 1) / 2;
        for (int from = 0; from < all.size(); from += half) {
            GridPane grid = figures();
            all.subList(from, Math.min(all.size(), from + half))
                    .forEach(e -> row(grid, e.getKey(), e.getValue()));
            one.getChildren().add(grid);
        }
        FlowPane places = inPlaces(commands);
        return new VBox(
                16,
                section("Keys: one meaning each, on every screen", one),
                section(
                        "What arrows, digits, Enter, Delete and Backspace say in each place",
                        places));
    }

    /** What the keys that every place has mean in each. */
    private static FlowPane inPlaces(Commands commands) {
        FlowPane places = columns();
        GridPane everywhere = figures();
        commands.all().stream()
                .filter(c -> c.places().isEmpty() && c.named())
                .filter(c -> c.keys().stream().anyMatch(Combo::asItsPlaceSays))
                .forEach(c -> row(everywhere, c.printedKey(), c.words()));
        places.getChildren().add(new VBox(6, Choices.head("Everywhere"), everywhere));
        for (Place p : commands.places()) {
            GridPane grid = figures();
            commands.all().stream()
                    .filter(c -> c.places().contains(p) && c.named())
                    .filter(c -> c.keys().stream().anyMatch(Combo::asItsPlaceSays))
                    .forEach(c -> row(grid, c.printedKey(), c.words()));
            if (!grid.getChildren().isEmpty()) {
                places.getChildren().add(new VBox(6, Choices.head(p.words()), grid));
            }
        }
        return places;
    }

    private static FlowPane columns() {
        FlowPane columns = new FlowPane(36, 20);
        columns.setPrefWrapLength(1060);
        return columns;
    }

    private static GridPane figures() {
        GridPane grid = new GridPane();
        grid.getStyleClass().add("figures");
        return grid;
    }

    private static void row(GridPane grid, String key, String does) {
        Label k = new Label(key);
        k.getStyleClass().add("help-key");
        grid.addRow(grid.getRowCount(), k, new Label(does));
    }
}
