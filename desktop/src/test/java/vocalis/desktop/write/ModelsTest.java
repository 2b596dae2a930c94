package vocalis.desktop.write;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import javafx.stage.Stage;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.framework.junit5.Start;
import org.testfx.util.WaitForAsyncUtils;
import vocalis.core.choice.Catalogue;
import vocalis.core.instrument.Shape;
import vocalis.core.rhythm.Ticks;
import vocalis.core.riff.Manner;
import vocalis.core.riff.Riff;
import vocalis.core.riff.Score;
import vocalis.core.riff.Struck;
import vocalis.core.riff.Touch;
import vocalis.core.voicing.Family;
import vocalis.desktop.view.Background;
import vocalis.sound.device.Clock;
import vocalis.sound.device.OutputLine;
import vocalis.workbench.Demo;
import vocalis.workbench.Player;
import vocalis.workbench.Workspace;

/** What keys and mouse do, without any control. */
@ExtendWith(ApplicationExtension.class)
class ModelsTest {

    private static final OutputLine.Opener NONE =
            (rate, frames) -> {
                throw new OutputLine.NoDevice("none here", null);
            };

    private final Background background = new Background();
    private final Riff first = Demo.riffs().get(0).riff();
    private Workspace workspace;
    private Player player;
    private WriteModel model;

    @Start
    void start(Stage stage) {
        // The toolkit runs; no window is needed.
    }

    @BeforeEach
    void model() {
        workspace = new Workspace(new Catalogue(), Demo.riffs().get(0));
        player = new Player(workspace.score(), NONE, Clock.system(), 1);
        fx(() -> model = new WriteModel(workspace, player, background));
    }

    @AfterEach
    void close() {
        model.gain().close();
        background.close();
        player.close();
    }

    private static void fx(Runnable r) {
        WaitForAsyncUtils.waitForAsyncFx(
                10_000,
                () -> {
                    r.run();
                    return null;
                });
    }

    private Score.Strike strike(int i) {
        return model.score().strikes().get(i);
    }

    @Test
    void strokesAreAddedLengthenedAndTakenAway() {
        fx(
                () -> {
                    LaneModel lane = model.lane();
                    int before = model.score().strikes().size();
                    lane.setCaret(Ticks.SIXTEENTH);
                    assertThat(lane.strokeAtCaret()).isPresent();
                    lane.setCaret(0);
                    lane.deleteStroke();
                    assertThat(model.score().strikes()).hasSize(before - 1);
                    lane.toggleStroke();
                    assertThat(strike(0).at()).isZero();
                    assertThat(strike(0).stroke().struck()).isEqualTo(Struck.Named.ALL);
                    long length = strike(0).length();
                    lane.lengthenStroke(-100);
                    assertThat(strike(0).length()).isEqualTo(LaneModel.STEP);
                    lane.lengthenStroke(100);
                    assertThat(strike(0).length()).isEqualTo(length);
                    lane.moveToStroke(1);
                    assertThat(lane.caretProperty().get()).isEqualTo(strike(1).at());
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
                        lane.cyclePalm();
                        assertThat(strike(0).stroke().manner()).isEqualTo(m);
                    }
                    lane.play(Manner.STACCATO);
                    lane.play(Manner.LET_RING);
                    assertThat(strike(0).stroke().manner()).isEqualTo(Manner.LET_RING);
                    lane.play(Manner.LET_RING);
                    assertThat(strike(0).stroke().manner()).isEqualTo(Manner.PLAIN);
                    lane.toggleMute();
                    assertThat(strike(0).stroke().manner()).isEqualTo(Manner.PALM);
                    boolean accent = strike(0).stroke().accent();
                    lane.toggleAccent();
                    assertThat(strike(0).stroke().accent()).isNotEqualTo(accent);
                });
    }

    @Test
    void ornamentsTakeEachOthersPlaceAndAreTakenAway() {
        fx(
                () -> {
                    LaneModel lane = model.lane();
                    for (Touch.Kind kind : Touch.Kind.values()) {
                        int amount =
                                switch (kind) {
                                    case HAMMER, SLIDE -> 2;
                                    case PULL -> 1;
                                    case BEND, BEND_RELEASE -> 100;
                                    case VIBRATO -> 40;
                                };
                        lane.ornament(kind, amount);
                        assertThat(model.riff().touches()).as(kind.words()).hasSize(1);
                        // The first chord is open strings: nothing can be pulled off from them.
                        assertThat(strike(0).ornaments()).hasSize(kind == Touch.Kind.PULL ? 0 : 1);
                    }
                    assertThat(Embellish.menu(lane).getItems())
                            .anyMatch(i -> "Plain note again".equals(i.getText()))
                            .noneMatch(i -> i.getText() != null && i.getText().startsWith("Pull"));
                    lane.plain();
                    assertThat(model.riff()).isEqualTo(first);
                    lane.setCaret(model.riff().length() - LaneModel.STEP);
                    assertThat(Embellish.menu(lane).getItems().get(0).isDisable()).isTrue();
                });
    }

    @Test
    void voicesStruckAreChosenByNameOrStringByString() {
        fx(
                () -> {
                    LaneModel lane = model.lane();
                    lane.setStruck(Struck.Named.LOW);
                    assertThat(strike(0).notes()).hasSize(1);
                    lane.toggleStruckString(2);
                    assertThat(strike(0).notes()).hasSize(2);
                    lane.toggleStruckString(5);
                    assertThat(strike(0).notes()).hasSize(2);
                    lane.cycleStruck(1);
                    lane.changeNote(3);
                    int top = strike(0).notes().size() - 1;
                    assertThat(strike(0).notes().get(top).fret()).isEqualTo(3);
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
                        Riff before = model.riff();
                        int chord = model.chordProperty().get();
                        model.workspace().seal();
                        edit.run();
                        assertThat(model.riff()).isNotEqualTo(before);
                        model.workspace().undo();
                        assertThat(model.riff()).isEqualTo(before);
                        model.chordProperty().set(chord);
                    }
                });
    }

    @Test
    void aShapeIsBuiltThinnedAndGivenUp() {
        fx(
                () -> {
                    Shape before = model.shownProperty().get().shape();
                    model.toggleFret(0, 5);
                    assertThat(model.shownProperty().get().shape().fret(0)).isEqualTo(5);
                    assertThat(model.shownIsInRiff()).isFalse();
                    model.thin(1);
                    model.thin(9);
                    assertThat(model.shownProperty().get().voices()).isEqualTo(2);
                    model.silenceString(0);
                    assertThat(model.shownProperty().get().voices()).isEqualTo(1);
                    model.silenceString(1);
                    assertThat(model.shownProperty().get().voices()).isEqualTo(1);
                    model.dropDraft();
                    assertThat(model.shownProperty().get().shape()).isEqualTo(before);
                    model.moveNeckCaret(99, 99);
                    assertThat(model.neckStringProperty().get()).isEqualTo(5);
                    assertThat(model.neckFretProperty().get()).isEqualTo(24);
                    model.useShown();
                    assertThat(model.riff().treatments().get(0).member()).isPresent();
                });
    }
}
