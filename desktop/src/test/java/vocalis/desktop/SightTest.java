package vocalis.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import javafx.scene.Node;
import javafx.scene.control.Control;
import javafx.scene.control.Label;
import javafx.scene.image.PixelReader;
import javafx.scene.image.WritableImage;
import javafx.scene.paint.Color;
import javafx.scene.paint.Paint;
import javafx.stage.Stage;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.framework.junit5.Start;
import org.testfx.util.WaitForAsyncUtils;
import vocalis.core.edit.Chords;
import vocalis.core.piece.Piece;
import vocalis.core.piece.Section;
import vocalis.core.riff.Riff;
import vocalis.desktop.arrange.ArrangePlace;
import vocalis.desktop.practise.PractisePlace;
import vocalis.desktop.session.Place;
import vocalis.desktop.view.CanvasSkin;
import vocalis.desktop.view.Written;
import vocalis.desktop.writing.WritePlace;
import vocalis.workbench.demo.Demo;

/**
 * What the window looks like, measured from its pixels: contrast after WCAG 2.1 (relative
 * luminance, success criteria 1.4.3 and 1.4.11), texts that neither collide nor are cut, in both
 * themes and at the sizes that it must serve.
 */
@ExtendWith(ApplicationExtension.class)
class SightTest extends WindowDriver {

    private static final String[] DRAWN = {"#voice-band", "#lane", "#cards", "#neck", "#overview"};
    private static final double[][] SIZES = {{1920, 1080}, {1280, 800}, {1040, 700}};

    @Override
    boolean large() {
        return true;
    }

    @Start
    void start(Stage stage) {
        open(stage);
    }

    private CanvasSkin<?> skin(String id) {
        return (CanvasSkin<?>) ((Control) stage.getScene().lookup(id)).getSkin();
    }

    // Contrast.

    private static double luminance(int argb) {
        double[] c = new double[3];
        for (int i = 0; i < 3; i++) {
            double v = (argb >> (16 - 8 * i) & 255) / 255.0;
            c[i] = v <= 0.04045 ? v / 12.92 : Math.pow((v + 0.055) / 1.055, 2.4);
        }
        return 0.2126 * c[0] + 0.7152 * c[1] + 0.0722 * c[2];
    }

    private static double contrast(double a, double b) {
        return (Math.max(a, b) + 0.05) / (Math.min(a, b) + 0.05);
    }

    /** The commonest colour of a stretch: its ground. */
    private static double ground(PixelReader pixels, int x, int y, int w, int h) {
        Map<Integer, Integer> counts = new HashMap<>();
        for (int i = x; i < x + w; i++) {
            for (int j = y; j < y + h; j++) {
                counts.merge(pixels.getArgb(i, j), 1, Integer::sum);
            }
        }
        return luminance(
                counts.entrySet().stream()
                        .max(Map.Entry.comparingByValue())
                        .orElseThrow()
                        .getKey());
    }

    /** What of a stretch's pixels differs most from its ground. */
    private static double contrast(PixelReader pixels, int x, int y, int w, int h) {
        double ground = ground(pixels, x, y, w, h);
        double most = 1;
        for (int i = x; i < x + w; i++) {
            for (int j = y; j < y + h; j++) {
                most = Math.max(most, contrast(luminance(pixels.getArgb(i, j)), ground));
            }
        }
        return most;
    }

    /** Text is measured by its colour: smoothed small digits reach it nowhere. */
    private static double luminance(Paint paint) {
        Color c = (Color) paint;
        return luminance(
                (int) Math.round(c.getRed() * 255) << 16
                        | (int) Math.round(c.getGreen() * 255) << 8
                        | (int) Math.round(c.getBlue() * 255));
    }

    /** A place of the window as it stands before its ground. */
    private WritableImage picture(Node node) {
        return fx(
                () -> {
                    WritableImage all = stage.getScene().snapshot(null);
                    var at = node.localToScene(0, 0);
                    int x = (int) Math.round(at.getX());
                    int y = (int) Math.round(at.getY());
                    int w = (int) Math.min(node.getLayoutBounds().getWidth(), all.getWidth() - x);
                    int h = (int) Math.min(node.getLayoutBounds().getHeight(), all.getHeight() - y);
                    return new WritableImage(all.getPixelReader(), x, y, w, h);
                });
    }

    /** All text at least 4.5 to 1, in the drawn places and on every label. */
    @Test
    void textStandsOutInBothThemes(FxRobot robot) {
        await("cards", () -> fx(() -> !model().shown().cardsProperty().get().isEmpty()));
        for (String theme : new String[] {"dark", "light"}) {
            List<String> weak = new ArrayList<>();
            int measured = 0;
            for (String id : DRAWN) {
                measured += weak(theme + " ", id, weak);
            }
            WritableImage all = fx(() -> stage.getScene().snapshot(null));
            for (Label l : robot.lookup(".label").queryAllAs(Label.class)) {
                measured += label(l, all, theme, weak) ? 1 : 0;
            }
            assertThat(weak).isEmpty();
            assertThat(measured).isGreaterThan(120);
            fx(
                    () -> {
                        shell.look().switchTheme();
                        return null;
                    });
            WaitForAsyncUtils.waitForFxEvents();
        }
    }

    private int weak(String id, List<String> weak) {
        return weak("", id, weak);
    }

    /** Measures the texts of a drawn place; tells those that stand out too little. */
    private int weak(String theme, String id, List<String> weak) {
        Node node = fx(() -> stage.getScene().lookup(id));
        WritableImage image = picture(node);
        int measured = 0;
        for (Written t : fx(() -> skin(id).written())) {
            boolean inside =
                    t.x() >= 0
                            && t.y() >= 0
                            && t.x() + t.width() < image.getWidth()
                            && t.y() + t.height() < image.getHeight();
            if (!inside || t.text().isBlank() || t.width() < 2) {
                continue;
            }
            measured++;
            double c =
                    contrast(
                            luminance(t.paint()),
                            ground(
                                    image.getPixelReader(),
                                    (int) t.x(),
                                    (int) t.y(),
                                    (int) Math.ceil(t.width()),
                                    (int) Math.ceil(t.height())));
            if (c < 4.5) {
                weak.add(theme + id + " \"" + t.text() + "\" " + c);
            }
        }
        return measured;
    }

    private boolean label(Label l, WritableImage all, String theme, List<String> weak) {
        var b = fx(() -> l.localToScene(l.getBoundsInLocal()));
        boolean seen =
                fx(
                        () ->
                                l.isVisible()
                                        && !l.isDisabled()
                                        && l.getScene() == stage.getScene()
                                        && !l.getText().isBlank()
                                        && within(l, "readout"));
        boolean inside =
                b.getMinX() >= 0
                        && b.getMinY() >= 0
                        && b.getMaxX() < all.getWidth()
                        && b.getMaxY()
                                < fx(
                                        () ->
                                                stage.getScene()
                                                        .lookup("#status")
                                                        .localToScene(0, 0)
                                                        .getY());
        if (!seen || !inside || b.getWidth() < 3) {
            return false;
        }
        double c =
                contrast(
                        luminance(fx(l::getTextFill)),
                        ground(
                                all.getPixelReader(),
                                (int) b.getMinX(),
                                (int) b.getMinY(),
                                (int) b.getWidth(),
                                (int) b.getHeight()));
        if (c < 4.5) {
            weak.add(theme + " label \"" + l.getText() + "\" " + c);
        }
        return true;
    }

    private static boolean within(Node n, String style) {
        for (Node p = n; p != null; p = p.getParent()) {
            if (p.getStyleClass().contains(style)) {
                return true;
            }
        }
        return false;
    }

    /** Strings, frets and bar lines at least 3 to 1 against their ground. */
    @Test
    void linesStandOutInBothThemes(FxRobot robot) {
        for (String theme : new String[] {"dark", "light"}) {
            Node neck = robot.lookup("#neck").query();
            var board = riff().ground().board();
            var b = fx(() -> neck.getBoundsInLocal());
            var g = vocalis.desktop.neck.NeckGeometry.of(board, b.getWidth(), b.getHeight());
            WritableImage image = picture(neck);
            int y = (int) (g.y(1) + g.y(0)) / 2;
            for (int fret = 1; fret <= 20; fret++) {
                int x = (int) g.wire(fret);
                assertThat(contrast(image.getPixelReader(), x - 4, y - 2, 9, 4))
                        .as("%s fret %d", theme, fret)
                        .isGreaterThanOrEqualTo(3);
            }
            for (int string = 0; string < 6; string++) {
                int x = (int) (g.wire(1) + g.wire(2)) / 2;
                assertThat(contrast(image.getPixelReader(), x - 2, (int) g.y(string) - 5, 4, 11))
                        .as("%s string %d", theme, string)
                        .isGreaterThanOrEqualTo(3);
            }
            Node lane = robot.lookup("#lane").query();
            WritableImage tab = picture(lane);
            var axis = fx(() -> model().caret().view().axis(lane.getBoundsInLocal().getWidth()));
            int bar = (int) axis.x(riff().meters().start(1)) - 7;
            assertThat(contrast(tab.getPixelReader(), bar - 3, 30, 8, 6))
                    .as("%s bar line", theme)
                    .isGreaterThanOrEqualTo(3);
            fx(
                    () -> {
                        shell.look().switchTheme();
                        return null;
                    });
            WaitForAsyncUtils.waitForFxEvents();
        }
    }

    // Room.

    private void open(Piece piece) {
        fx(
                () -> {
                    shell.workspace().open(piece);
                    return null;
                });
        settle();
        WaitForAsyncUtils.waitForFxEvents();
    }

    private static Piece longer(int bars) {
        Piece p = Demo.pieces().get(0);
        Riff r = p.riff();
        while (r.bars() < bars) {
            r = Chords.copy(r, 0, r.roots().size() - 1, r.roots().size());
        }
        return p.with(r);
    }

    private static Piece oneBar() {
        Piece p = Demo.blank("one");
        Riff r = p.riff();
        while (r.roots().size() > 1) {
            r = Chords.delete(r, 1);
        }
        return p.with(r);
    }

    /** No text lies on another, in one bar or 64, at any of the sizes. */
    @Test
    void labelsNeverCollide() {
        List<String> clashes = new ArrayList<>();
        for (double[] s : SIZES) {
            size(s[0], s[1]);
            for (Piece p :
                    List.of(oneBar(), Demo.pieces().get(0), Demo.pieces().get(1), longer(64))) {
                open(p);
                for (String id : DRAWN) {
                    collisions(p.title() + " " + s[0], id, clashes);
                }
            }
        }
        assertThat(clashes).isEmpty();
    }

    private void collisions(String where, String id, List<String> clashes) {
        List<Written> all = fx(() -> skin(id).written());
        for (int i = 0; i < all.size(); i++) {
            for (int j = i + 1; j < all.size(); j++) {
                if (all.get(i).collides(all.get(j))) {
                    clashes.add(where + " " + id + ": " + all.get(i) + " and " + all.get(j));
                }
            }
        }
    }

    /** A song with a section for every second bar, some of one bar: as dense as songs get. */
    private static Piece dense() {
        Piece p = longer(4);
        List<Section> sections = new ArrayList<>();
        for (int i = 0; i < 24; i++) {
            Section like = p.sections().get(0);
            sections.add(like.as("s" + i).named("part " + i).repeated(1 + i % 3));
        }
        return p.arranged(sections);
    }

    /** The screens of the song: no text on another, every text 4.5 to 1, in both themes. */
    @Test
    void songScreensCanBeRead(FxRobot robot) {
        Map<Place, String> screens =
                Map.of(ArrangePlace.STRIP, "#song-strip", PractisePlace.PAGE, "#practice-page");
        List<Piece> pieces = List.of(Demo.pieces().get(1), longer(64), oneBar(), dense());
        List<Piece> tried = Boolean.getBoolean("vocalis.long") ? pieces : pieces.subList(0, 2);
        for (double[] s : SIZES) {
            size(s[0], s[1]);
            boolean largest = s == SIZES[0];
            for (Piece p : tried) {
                songScreens(p, screens, s[0] + " wide", largest);
            }
        }
    }

    /** Opens a piece and reads the song's screens; contrast where that is asked. */
    private void songScreens(Piece p, Map<Place, String> screens, String at, boolean contrast) {
        open(p);
        List<String> clashes = new ArrayList<>();
        List<String> weak = new ArrayList<>();
        int measured = 0;
        for (Place zone : screens.keySet()) {
            fx(
                    () -> {
                        shell.models().whereabouts().placeProperty().set(zone);
                        return null;
                    });
            String id = screens.get(zone);
            await(
                    "the song",
                    () ->
                            fx(
                                    () ->
                                            shell.models()
                                                    .arrange()
                                                    .song()
                                                    .filter(s -> s.piece().equals(p))
                                                    .isPresent()));
            if (zone == PractisePlace.PAGE) {
                run("ladder");
            }
            collisions(p.title() + " " + at, id, clashes);
            if (zone == PractisePlace.PAGE) {
                collisions(p.title() + " " + at, "#practice-side", clashes);
            }
            for (int theme = 0; theme < 2 && contrast; theme++) {
                measured += weak(id, weak);
                measured += zone == PractisePlace.PAGE ? weak("#practice-side", weak) : 0;
                fx(
                        () -> {
                            shell.look().switchTheme();
                            return null;
                        });
                WaitForAsyncUtils.waitForFxEvents();
            }
        }
        fx(
                () -> {
                    shell.models().whereabouts().placeProperty().set(WritePlace.BAND);
                    return null;
                });
        assertThat(clashes).isEmpty();
        assertThat(weak).isEmpty();
        assertThat(measured).isGreaterThan(contrast ? 20 : -1);
    }

    /** At every size all places, menus and transport are inside the window, whole. */
    @Test
    void nothingIsCutAtAnySize() {
        for (double[] s : SIZES) {
            size(s[0], s[1]);
            for (Piece p : List.of(oneBar(), longer(64))) {
                open(
                        p.withTitle(
                                "A title of quite some length, which must give way to the menus "
                                        .repeat(3)));
                for (String id :
                        List.of(
                                "#menus",
                                "#play",
                                "#position",
                                "#volume",
                                "#sink",
                                "#tuning",
                                "#along",
                                "#voice-band",
                                "#overview",
                                "#lane",
                                "#cards",
                                "#neck",
                                "#find",
                                "#use-voicing",
                                "#status")) {
                    Node n = fx(() -> stage.getScene().lookup(id));
                    var b = fx(() -> n.localToScene(n.getLayoutBounds()));
                    assertThat(b.getMinX()).as("%s at %s", id, s[0]).isGreaterThanOrEqualTo(0);
                    assertThat(b.getMinY()).as("%s at %s", id, s[0]).isGreaterThanOrEqualTo(0);
                    assertThat(b.getMaxX())
                            .as("%s at %s", id, s[0])
                            .isLessThanOrEqualTo(stage.getScene().getWidth() + 0.5);
                    assertThat(b.getMaxY())
                            .as("%s at %s", id, s[0])
                            .isLessThanOrEqualTo(stage.getScene().getHeight() + 0.5);
                }
                Control lane = (Control) fx(() -> stage.getScene().lookup("#lane"));
                assertThat(fx(lane::getHeight))
                        .isGreaterThanOrEqualTo(fx(() -> lane.prefHeight(-1)));
            }
        }
    }
}
