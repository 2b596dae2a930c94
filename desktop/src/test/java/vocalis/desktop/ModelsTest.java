package vocalis.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import javafx.stage.Stage;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.framework.junit5.Start;
import org.testfx.util.WaitForAsyncUtils;
import vocalis.core.choice.Catalogue;
import vocalis.core.edit.Scope;
import vocalis.core.instrument.Shape;
import vocalis.core.pattern.Event;
import vocalis.core.pattern.Figure;
import vocalis.core.pattern.Pattern;
import vocalis.core.pattern.Stroke;
import vocalis.core.pattern.Struck;
import vocalis.core.rhythm.Ticks;
import vocalis.core.riff.Riff;
import vocalis.core.score.Dynamics;
import vocalis.core.score.Manner;
import vocalis.core.score.Onset;
import vocalis.core.voicing.Family;
import vocalis.desktop.session.Viewport;
import vocalis.desktop.view.Background;
import vocalis.desktop.writing.ChordEdits;
import vocalis.desktop.writing.LaneModel;
import vocalis.desktop.writing.WriteModel;
import vocalis.sound.device.Clock;
import vocalis.sound.device.OutputLine;
import vocalis.workbench.demo.Demo;
import vocalis.workbench.document.Workspace;
import vocalis.workbench.library.OwnShapes;
import vocalis.workbench.playing.Player;

/** What keys and mouse do, without any control. */
@ExtendWith(ApplicationExtension.class)
class ModelsTest {

    private static final OutputLine.Opener NONE =
            (rate, frames) -> {
                throw new OutputLine.NoDevice("none here", null);
            };

    @TempDir java.nio.file.Path folder;
    private final Background background = new Background("test");
    private final Riff first = Demo.pieces().get(0).riff();
    private Workspace workspace;
    private Player player;
    private Models models;
    private WriteModel model;

    @Start
    void start(Stage stage) {
        // The toolkit runs; no window is needed.
    }

    @BeforeEach
    void model() {
        workspace = new Workspace(new Catalogue(), Demo.pieces().get(0));
        player = new Player(workspace.heard(), NONE, Clock.system(), 1);
        fx(() -> models = new Models(workspace, player, background, new OwnShapes(folder)));
        model = models.write();
    }

    @AfterEach
    void close() {
        models.close();
        background.close();
        player.close();
    }

    private static void fx(Runnable r) {
        WaitForAsyncUtils.waitForAsyncFx(
                120_000,
                () -> {
                    r.run();
                    return null;
                });
    }

    private Onset onset(int i) {
        return model.derived().score().onsets().get(i);
    }

    private Stroke stroke() {
        return model.lane().strokeAtCaret().orElseThrow();
    }

    @Test
    void strokesAreAddedLengthenedAndTakenAway() {
        fx(
                () -> {
                    LaneModel lane = model.lane();
                    int before = model.derived().score().onsets().size();
                    lane.setCaret(Ticks.SIXTEENTH);
                    assertThat(lane.strokeAtCaret()).isPresent();
                    lane.setCaret(0);
                    lane.deleteStroke();
                    assertThat(model.derived().score().onsets()).hasSize(before - 1);
                    lane.toggleStroke();
                    assertThat(onset(0).at()).isZero();
                    assertThat(stroke().struck()).isEqualTo(Struck.Named.ALL);
                    long length = onset(0).length();
                    lane.strokes().lengthenStroke(-100);
                    assertThat(onset(0).length()).isEqualTo(Ticks.EIGHTH);
                    lane.strokes().lengthenStroke(100);
                    assertThat(onset(0).length()).isEqualTo(length);
                    lane.moveToStroke(1);
                    assertThat(lane.caretProperty().get()).isEqualTo(onset(1).at());
                    lane.moveToStroke(-1);
                    assertThat(lane.caretProperty().get()).isZero();
                    lane.moveCaret(-5);
                    assertThat(lane.caretProperty().get()).isZero();
                });
    }

    @Test
    void thePalmGoesThroughItsDegreesAndMannersReplaceEachOther() {
        fx(
                () -> {
                    LaneModel lane = model.lane();
                    Manner[] wanted = {
                        Manner.PALM_LIGHT, Manner.PALM, Manner.PALM_HEAVY, Manner.PLAIN
                    };
                    for (Manner m : wanted) {
                        lane.strokes().cyclePalm();
                        assertThat(stroke().manner()).isEqualTo(m);
                    }
                    lane.strokes().play(Manner.STACCATO);
                    lane.strokes().play(Manner.LET_RING);
                    assertThat(stroke().manner()).isEqualTo(Manner.LET_RING);
                    lane.strokes().play(Manner.LET_RING);
                    assertThat(stroke().manner()).isEqualTo(Manner.PLAIN);
                    lane.strokes().toggleMute();
                    assertThat(stroke().manner()).isEqualTo(Manner.PALM);
                    boolean accent = stroke().accented();
                    lane.strokes().toggleAccent();
                    assertThat(stroke().accented()).isNotEqualTo(accent);
                });
    }

    @Test
    void touchesOfAKindTakeEachOthersPlaceAndAreTakenAway() {
        fx(
                () -> {
                    LaneModel lane = model.lane();
                    lane.scopeProperty().set(Scope.THIS_PASS);
                    List<Runnable> touches =
                            List.of(
                                    () -> lane.touches().legato(2),
                                    () -> lane.touches().slide(2),
                                    () -> lane.touches().bend(100, false),
                                    () -> lane.touches().bend(100, true),
                                    lane.touches()::vibrato);
                    int[] kept = {1, 2, 3, 3, 4};
                    for (int i = 0; i < kept.length; i++) {
                        touches.get(i).run();
                        assertThat(models.session().now().touches()).hasSize(kept[i]);
                        assertThat(lane.topAtCaret().orElseThrow().techniques()).isNotEmpty();
                    }
                    lane.touches().plain();
                    assertThat(models.session().now()).isEqualTo(first);
                    // The first chord is open strings: nothing can be pulled off from them.
                    lane.touches().legato(-1);
                    assertThat(models.session().now()).isEqualTo(first);
                    assertThat(models.session().quiet()).as("it is said why").isFalse();
                    lane.setCaret(model.riff().length() - Ticks.SIXTEENTH);
                    lane.touches().legato(2);
                    assertThat(models.session().now()).isEqualTo(first);
                    assertThat(models.session().saidProperty().get()).contains("No stroke here");
                });
    }

    /** The caret goes from grid line to grid line, and to what begins between them. */
    @Test
    void theCaretWalksThroughATriplet() {
        fx(
                () -> {
                    List<Event> triplet = new java.util.ArrayList<>();
                    long third = Ticks.QUARTER / 3;
                    for (int i = 0; i < 12; i++) {
                        triplet.add(new Stroke(i, i * third, third, Struck.Named.ALL));
                    }
                    Figure f = new Figure("t", "", Ticks.WHOLE, triplet);
                    Riff r = first.withPattern(Pattern.of(f));
                    workspace.open(Demo.pieces().get(0).with(r));
                    LaneModel lane = model.lane();
                    lane.setCaret(0);
                    long before = -1;
                    for (int i = 0; i < 200 && lane.caretProperty().get() > before; i++) {
                        before = lane.caretProperty().get();
                        lane.moveCaret(1);
                    }
                    assertThat(before).isGreaterThan(r.length() - 2 * third);
                    lane.moveToStroke(-1);
                    assertThat(lane.caretProperty().get() % third).isZero();
                });
    }

    /** An edit in a figure laid four times is heard four times, or once where asked. */
    @Test
    void anEditHoldsAtEveryPassOrHereAlone() {
        fx(
                () -> {
                    workspace.open(Demo.blank("test"));
                    LaneModel lane = model.lane();
                    lane.setCaret(0);
                    lane.strokes().toggleAccent();
                    assertThat(accents()).isEqualTo(4);
                    assertThat(models.session().now().pattern().figures()).hasSize(1);
                    lane.toggleScope();
                    lane.setCaret(Ticks.WHOLE);
                    lane.strokes().toggleAccent();
                    assertThat(accents()).isEqualTo(3);
                    assertThat(models.session().now().pattern().figures()).hasSize(1);
                    assertThat(lane.scopeInWords()).contains("one of 4 repeats");
                });
    }

    private long accents() {
        return model.derived().score().onsets().stream()
                .filter(o -> o.dynamics() == Dynamics.ACCENT)
                .count();
    }

    @Test
    void aBarIsCopiedWithItsTouchesAndPasted() {
        fx(
                () -> {
                    LaneModel lane = model.lane();
                    lane.touches().legato(2);
                    lane.copy();
                    lane.setCaret(3 * Ticks.WHOLE + Ticks.QUARTER);
                    lane.paste();
                    List<Onset> all = model.derived().score().onsets();
                    long first = all.stream().filter(o -> o.at() < Ticks.WHOLE).count();
                    long last = all.stream().filter(o -> o.at() >= 3 * Ticks.WHOLE).count();
                    assertThat(last).isEqualTo(first);
                    assertThat(
                                    model.derived().score().notes().stream()
                                            .filter(n -> n.at() == 3 * Ticks.WHOLE)
                                            .filter(n -> !n.techniques().isEmpty()))
                            .hasSize(1);
                    models.session().workspace().undo();
                    lane.setCaret(0);
                    lane.markOn(7);
                    lane.deleteStroke();
                    assertThat(model.derived().score().onsets().get(0).at())
                            .isGreaterThanOrEqualTo(Ticks.HALF);
                });
    }

    @Test
    void severalChordsAreMarkedVoicedCopiedAndDeleted() {
        fx(
                () -> {
                    ChordEdits chords = model.chords();
                    model.caret().chordProperty().set(1);
                    chords.markOn(1);
                    chords.voiceChord(Family.OCTAVE);
                    assertThat(models.session().now().treatments())
                            .extracting(t -> t.family())
                            .startsWith(Family.POWER, Family.OCTAVE, Family.OCTAVE);
                    chords.markOn(-1);
                    chords.markOn(1);
                    chords.copy();
                    model.caret().moveTo(5);
                    chords.paste();
                    assertThat(models.session().now().roots()).hasSize(8);
                    assertThat(models.session().now().roots().get(6))
                            .isEqualTo(first.roots().get(1));
                    model.caret().moveTo(6);
                    chords.markOn(1);
                    chords.deleteChord();
                    assertThat(models.session().now().roots()).hasSize(6);
                });
    }

    /** Delete on the last chord, and on the only one, does no harm. */
    @Test
    void theLastChordIsDeletedWithoutHarm() {
        fx(
                () -> {
                    model.caret().moveTo(99);
                    for (int i = 0; i < 10; i++) {
                        model.chords().deleteChord();
                    }
                    assertThat(models.session().now().roots()).hasSize(1);
                    assertThat(model.caret().chordProperty().get()).isZero();
                    assertThat(models.session().saidProperty().get()).contains("last chord stays");
                });
    }

    /** Bars on a page by zoom; pages turn with the caret. */
    @Test
    void pagesTurnWithTheCaretAndZoom() {
        fx(
                () -> {
                    Viewport view = model.caret().view();
                    assertThat(view.shownProperty().get().to()).isEqualTo(4 * Ticks.WHOLE);
                    view.zoom(-1);
                    assertThat(view.shownProperty().get().to()).isEqualTo(2 * Ticks.WHOLE);
                    model.caret().moveTo(5);
                    assertThat(view.shownProperty().get())
                            .isEqualTo(new Viewport.Range(2 * Ticks.WHOLE, 4 * Ticks.WHOLE));
                    view.page(-1);
                    assertThat(view.shownProperty().get().from()).isZero();
                    for (int i = 0; i < 9; i++) {
                        view.zoom(1);
                    }
                    assertThat(view.barsProperty().get()).isEqualTo(32);
                });
    }

    @Test
    void voicesStruckAreChosenByNameOrStringByString() {
        fx(
                () -> {
                    LaneModel lane = model.lane();
                    lane.strokes().setStruck(Struck.Named.LOW);
                    assertThat(onset(0).notes()).hasSize(1);
                    lane.strokes().toggleStruckString(2);
                    assertThat(onset(0).notes()).hasSize(2);
                    lane.strokes().toggleStruckString(5);
                    assertThat(onset(0).notes()).hasSize(2);
                    lane.strokes().cycleStruck(1);
                    lane.touches().changeNote(3);
                    int top = onset(0).notes().size() - 1;
                    assertThat(onset(0).notes().get(top).fret()).isEqualTo(3);
                });
    }

    @Test
    void chordsAreEditedAndEveryEditIsOneStepBack() {
        fx(
                () -> {
                    ChordEdits chords = model.chords();
                    List<Runnable> edits =
                            List.of(
                                    () -> chords.stepRoot(1),
                                    () -> chords.transposeRoot(-1),
                                    () -> chords.setRoot(8),
                                    () -> chords.stepBass(1),
                                    () -> chords.voiceChord(Family.TRIAD),
                                    () -> chords.voiceAllNext(1),
                                    chords::copyChord,
                                    chords::deleteChord,
                                    chords::splitChord,
                                    () -> chords.lengthenChord(1),
                                    () -> chords.moveChord(1));
                    for (Runnable edit : edits) {
                        Riff before = models.session().now();
                        int chord = model.caret().chordProperty().get();
                        models.session().workspace().seal();
                        edit.run();
                        assertThat(models.session().now()).isNotEqualTo(before);
                        models.session().workspace().undo();
                        assertThat(models.session().now()).isEqualTo(before);
                        model.caret().chordProperty().set(chord);
                    }
                });
    }

    @Test
    void aShapeIsBuiltThinnedAndGivenUp() {
        fx(
                () -> {
                    Shape before = model.shown().voicing().shape();
                    model.neck().toggle(0, 5);
                    assertThat(model.shown().voicing().shape().fret(0)).isEqualTo(5);
                    assertThat(model.shown().isInRiff()).isFalse();
                    model.thin(1);
                    model.thin(9);
                    assertThat(model.shown().voicing().voices()).isEqualTo(2);
                    model.neck().silence(0);
                    assertThat(model.shown().voicing().voices()).isEqualTo(1);
                    model.neck().silence(1);
                    assertThat(model.shown().voicing().voices()).isEqualTo(1);
                    model.shown().dropDraft();
                    assertThat(model.shown().voicing().shape()).isEqualTo(before);
                    model.neck().move(99, 99);
                    assertThat(model.neck().stringProperty().get()).isEqualTo(5);
                    assertThat(model.neck().fretProperty().get()).isEqualTo(24);
                    model.useShown();
                    assertThat(model.riff().treatments().get(0).member()).isPresent();
                });
    }
}
