package vocalis.desktop.sheets;

import java.util.List;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.VBox;
import vocalis.desktop.keys.Command;
import vocalis.desktop.keys.Commands;
import vocalis.desktop.session.Place;
import vocalis.desktop.view.Choices;
import vocalis.desktop.view.SheetHost;

/** Help: the order of the work, all keys from the registry that obeys them, a short glossary. */
public final class HelpSheet {

    /*
     * Rows: step | how. The order in which a riff is made; pattern and chords in either order.
     */
    private static final String WORK =
            """
            Set the ground | F6 or a click goes to the fields on top: tuning, capo, key and mode, tempo, meter, tone. Letters find an entry.
            Write the roots | On the chords: ↑↓ steps a root along the scale, Shift ←→ makes it longer, Ctrl D copies it.
            Write the pattern | F6 to the lane: Enter puts a stroke, ↑↓ chooses the voices struck, M mutes, A accents, E embellishes. An edit holds at every pass of the figure; O makes it hold here alone.
            Choose the voicings | Back on the chords: 1 to 9 voices a chord, Ctrl with the digit the whole riff. Enter goes in to the shapes.
            Hear it | Space plays. H held sounds what the caret is on.
            Make it a song | Shift F12: N adds a section, arrows walk its lines, + and − change them; V sets it off from the one before, F finds a part for a second guitar, C goes to what rubs.
            Practise it | Ctrl F12: Space counts in, L climbs a ladder, X says that the pass failed, T takes the hardest change alone.
            Keep it | Ctrl S saves. Ctrl Z takes back anything.
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
            ghost | a tone that no string plays: the amplifier's gain makes it of two that do
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
    public static void show(Commands commands, SheetHost host) {
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

    private static FlowPane keys(Commands commands) {
        FlowPane columns = new FlowPane(36, 20);
        columns.setPrefWrapLength(1060);
        VBox held =
                list(
                        "Everywhere",
                        commands.all().stream().filter(c -> c.places().isEmpty()).toList());
        GridPane grid = (GridPane) held.getChildren().get(1);
        row(grid, "H held", "hear what the caret is on, until released");
        row(grid, "M held", "on the neck: with the silenced string let ring");
        row(grid, "J held", "in Arrange: the clash alone; in Revoice: the cell");
        columns.getChildren().add(held);
        for (Place p : commands.places()) {
            List<Command> own =
                    commands.all().stream()
                            .filter(c -> c.places().contains(p) && !c.words().isEmpty())
                            .toList();
            if (!own.isEmpty()) {
                columns.getChildren().add(list(p.words(), own));
            }
        }
        return columns;
    }

    private static VBox list(String title, List<Command> commands) {
        GridPane grid = new GridPane();
        grid.getStyleClass().add("figures");
        for (Command c : commands) {
            int colon = c.words().indexOf(": ");
            boolean several = colon > 0 && c.words().substring(0, colon).endsWith("1 to 9");
            if (several) {
                row(grid, c.words().substring(0, colon), c.words().substring(colon + 2));
            } else if (!c.words().isEmpty() && !c.keys().isEmpty()) {
                row(grid, c.printedKey(), c.words());
            }
        }
        return new VBox(6, Choices.head(title), grid);
    }

    private static void row(GridPane grid, String key, String does) {
        Label k = new Label(key);
        k.getStyleClass().add("help-key");
        grid.addRow(grid.getRowCount(), k, new Label(does));
    }
}
