package vocalis.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.BooleanSupplier;
import java.util.function.Supplier;
import javafx.stage.Stage;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.framework.junit5.Start;
import org.testfx.util.WaitForAsyncUtils;
import vocalis.core.arrange.Clash;
import vocalis.core.arrange.Mend;
import vocalis.core.arrange.PartOffer;
import vocalis.core.arrange.SectionChange;
import vocalis.core.arrange.Song;
import vocalis.core.choice.Catalogue;
import vocalis.core.piece.Piece;
import vocalis.core.piece.Section;
import vocalis.core.practice.Entry;
import vocalis.core.practice.Ladder;
import vocalis.core.practice.Rounds;
import vocalis.core.rhythm.MeterMap;
import vocalis.core.rhythm.Ticks;
import vocalis.core.riff.Riff;
import vocalis.desktop.arrange.ArrangeModel;
import vocalis.desktop.arrange.ArrangePlace;
import vocalis.desktop.arrange.SectionField;
import vocalis.desktop.practise.PracticeModel;
import vocalis.desktop.practise.PractisePlace;
import vocalis.desktop.session.Whereabouts;
import vocalis.desktop.view.Background;
import vocalis.desktop.writing.WritePlace;
import vocalis.sound.device.Clock;
import vocalis.sound.device.OutputLine;
import vocalis.workbench.demo.Demo;
import vocalis.workbench.document.Workspace;
import vocalis.workbench.library.OwnShapes;
import vocalis.workbench.library.PracticeLog;
import vocalis.workbench.playing.Drill;
import vocalis.workbench.playing.Player;

/** What keys do on the screens of the song, without any control; the silent stand-in plays. */
@ExtendWith(ApplicationExtension.class)
class SongModelsTest {

    private static final OutputLine.Opener NONE =
            (rate, frames) -> {
                throw new OutputLine.NoDevice("none here", null);
            };

    private static final Catalogue CATALOGUE = new Catalogue();

    @TempDir Path folder;
    private final Background background = new Background("test");
    private Workspace workspace;
    private Player player;
    private Models models;

    @Start
    void start(Stage stage) {
        // The toolkit runs; no window is needed.
    }

    @BeforeEach
    void model() {
        workspace = new Workspace(CATALOGUE, Demo.pieces().get(1));
        player = new Player(workspace.heard(), NONE, Clock.system(), 1);
        player.start();
        fx(() -> models = new Models(workspace, player, background, new OwnShapes(folder)));
        fx(() -> models.whereabouts().placeProperty().set(ArrangePlace.STRIP));
        played();
    }

    @AfterEach
    void close() {
        fx(models::close);
        background.close();
        player.close();
    }

    private static void fx(Runnable r) {
        get(
                () -> {
                    r.run();
                    return null;
                });
    }

    private static <T> T get(Supplier<T> s) {
        return WaitForAsyncUtils.waitForAsyncFx(120_000, s::get);
    }

    private static void await(String what, BooleanSupplier condition) {
        long end = System.nanoTime() + 180_000_000_000L;
        while (!condition.getAsBoolean()) {
            assertThat(System.nanoTime()).as("waited too long for " + what).isLessThan(end);
            WaitForAsyncUtils.waitForFxEvents();
        }
    }

    private ArrangeModel arrange() {
        return models.arrange();
    }

    private PracticeModel practice() {
        return models.practice();
    }

    private Piece piece() {
        return get(() -> workspace.content());
    }

    private List<String> names() {
        return piece().sections().stream().map(Section::name).toList();
    }

    private Song played() {
        await(
                "the song",
                () -> get(() -> arrange().song().filter(s -> s.piece() == piece()).isPresent()));
        return get(() -> arrange().song().orElseThrow());
    }

    private void practising() {
        fx(() -> models.whereabouts().placeProperty().set(PractisePlace.PAGE));
        played();
        await("the stretch", () -> get(() -> practice().to() > practice().from()));
    }

    // Arrange.

    /** The caret stops at the ends; lines of the card come round. */
    @Test
    void theCaretStaysInside() {
        fx(() -> arrange().move(-3));
        assertThat(get(() -> arrange().sectionProperty().get())).isZero();
        fx(() -> arrange().move(99));
        assertThat(get(() -> arrange().sectionProperty().get())).isEqualTo(4);
        fx(() -> arrange().moveField(-1));
        assertThat(get(() -> arrange().fieldProperty().get()))
                .isEqualTo(SectionField.values().length - 1);
        fx(() -> arrange().moveField(1));
        assertThat(get(() -> arrange().fieldProperty().get())).isZero();
    }

    /** Sections are added with the usual names that are free, moved, and taken away to the last. */
    @Test
    void sectionsComeAndGo() {
        List<String> before = names();
        fx(() -> arrange().edits().add());
        assertThat(names()).hasSize(6).startsWith("intro", "part 6", "verse");
        assertThat(piece().sections().stream().map(Section::id)).doesNotHaveDuplicates();
        fx(() -> arrange().edits().shift(1));
        assertThat(names()).startsWith("intro", "verse", "part 6");
        fx(() -> arrange().edits().shift(99));
        assertThat(names().get(2)).as("past the end nothing moves").isEqualTo("part 6");
        fx(() -> arrange().edits().remove());
        assertThat(names()).isEqualTo(before);
        for (int i = 0; i < 9; i++) {
            fx(() -> arrange().move(-1));
            fx(() -> arrange().edits().remove());
        }
        assertThat(names()).hasSize(1);
        assertThat(get(() -> models.session().saidProperty().get()))
                .contains("one section at least");
        fx(() -> arrange().edits().add());
        assertThat(names()).hasSize(2);
        fx(workspace::undo);
        assertThat(names()).hasSize(1);
    }

    /** Steps of one line in a row are undone together, those of another line by themselves. */
    @Test
    void stepsAreUndoneTogether() {
        Piece before = piece();
        fx(() -> arrange().fieldProperty().set(SectionField.TIMES.ordinal()));
        for (int i = 0; i < 4; i++) {
            fx(() -> arrange().edits().step(1));
        }
        assertThat(piece().sections().get(0).times()).isEqualTo(5);
        fx(() -> arrange().fieldProperty().set(SectionField.TEMPO.ordinal()));
        fx(() -> arrange().edits().step(-1));
        fx(() -> arrange().edits().step(-1));
        assertThat(piece().sections().get(0).tempo()).isEqualTo(98);
        fx(workspace::undo);
        assertThat(piece().sections().get(0).times()).isEqualTo(5);
        assertThat(piece().sections().get(0).tempo()).isEqualTo(100);
        fx(workspace::undo);
        assertThat(piece()).isEqualTo(before);
    }

    /** A riff that is brought in gets a section; working on it brings it to Write. */
    @Test
    void aRiffIsBroughtInAndWorkedOn() {
        Riff other = Demo.pieces().get(2).riff();
        fx(() -> arrange().edits().bring(other, "bridge"));
        assertThat(names()).startsWith("intro", "bridge", "verse");
        Section bridge = piece().sections().get(1);
        assertThat(piece().riff(bridge.riff()).riff()).isEqualTo(other);
        Song s = played();
        assertThat(s.first(1).turn().riff().ground().instrument())
                .as("on this piece's instrument")
                .isEqualTo(piece().riff().ground().instrument());
        fx(() -> arrange().edits().work());
        assertThat(piece().riff().roots()).isEqualTo(other.roots());
        assertThat(names()).startsWith("intro", "bridge", "verse");
    }

    /** The place to play from goes by bars through all sections; a stretch from it is looped. */
    @Test
    void placesAndStretches() {
        Song s = played();
        MeterMap meters = s.score().time().meters();
        fx(() -> arrange().hearing().movePlace(1));
        assertThat(get(() -> arrange().hearing().placeNow())).hasValue(meters.start(1));
        fx(() -> arrange().hearing().movePlace(5));
        assertThat(get(() -> arrange().sectionProperty().get())).isEqualTo(1);
        fx(() -> arrange().hearing().movePlace(999));
        assertThat(get(() -> arrange().hearing().placeNow()))
                .hasValue(meters.start(meters.bars(s.length()) - 1));
        fx(() -> arrange().hearing().movePlace(-999));
        fx(() -> arrange().hearing().movePlace(2));
        fx(() -> arrange().hearing().moveStretch(1));
        fx(() -> arrange().hearing().moveStretch(1));
        assertThat(get(() -> arrange().hearing().stretchNow())).hasValue(meters.start(4));
        fx(() -> arrange().hearing().toggleLoop());
        double one = meters.start(3) - meters.start(2);
        assertThat(get(() -> arrange().hearing().round(0))).contains(1);
        assertThat(get(() -> arrange().hearing().round(2 * one))).contains(2);
        assertThat(get(() -> arrange().hearing().round(7 * one))).contains(4);
        assertThat(get(() -> arrange().hearing().tick(2 * one + 5))).isEqualTo(meters.start(2) + 5);
        fx(() -> arrange().hearing().moveStretch(-2));
        assertThat(get(() -> arrange().hearing().stretchNow())).isEmpty();
        fx(() -> arrange().hearing().toggleLoop());
        assertThat(get(() -> arrange().hearing().round(0))).isEmpty();
    }

    /** Guitar one is held only while it loops, and let go when another section is gone to. */
    @Test
    void guitarOneIsHeldWhileItLoops() {
        fx(() -> arrange().hearing().toggleHold());
        assertThat(get(() -> arrange().hearing().holding() && arrange().hearing().looping()))
                .isTrue();
        fx(() -> arrange().move(1));
        assertThat(get(() -> arrange().hearing().holding())).isFalse();
        fx(() -> arrange().hearing().toggleHold());
        fx(() -> arrange().hearing().toggleHold());
        assertThat(get(() -> arrange().hearing().holding())).isFalse();
    }

    /** Clashes are walked, meant, told again; each way to mend that is given takes it away. */
    @Test
    void clashesAreWalkedMeantAndMended() {
        List<Clash> all = get(() -> arrange().clashes());
        assertThat(all).isNotEmpty();
        fx(() -> arrange().clash().next());
        Clash c = get(() -> arrange().clashNow().orElseThrow());
        fx(() -> arrange().clash().toggleMeant());
        assertThat(piece().meant()).containsExactly(c.key());
        fx(() -> arrange().clash().toggleMeant());
        assertThat(piece().meant()).isEmpty();
        List<Mend> mends = new ArrayList<>();
        played();
        fx(() -> arrange().mends(mends::addAll));
        await("mends", () -> get(() -> !mends.isEmpty()));
        Piece mended = mends.get(0).piece();
        fx(() -> arrange().edits().changePiece("mend", p -> mended));
        played();
        assertThat(get(() -> arrange().clashes())).noneMatch(x -> x.key().equals(c.key()));
    }

    /** Variations are offered by name; one that is taken is a version that this section plays. */
    @Test
    void aSectionIsVaried() {
        fx(() -> arrange().move(1));
        List<SectionChange> all = get(() -> arrange().variations());
        assertThat(all).hasSizeGreaterThan(12).doesNotHaveDuplicates();
        int versions = piece().riff("riff-1").versions().size();
        fx(() -> arrange().take(all.get(0)));
        await("the version", () -> piece().riff("riff-1").versions().size() == versions + 1);
        assertThat(piece().sections().get(1).version()).isPresent();
        assertThat(piece().sections().get(0).version()).isEmpty();
    }

    /** Parts that are found are heard over guitar one when taken; a found part adds no clash. */
    @Test
    void aSecondPartIsTaken() {
        int before = get(() -> arrange().clashes()).size();
        List<PartOffer> found = new ArrayList<>();
        boolean[] told = {false};
        fx(
                () ->
                        arrange()
                                .secondParts(
                                        false,
                                        o -> {
                                            found.addAll(o);
                                            told[0] = true;
                                        }));
        await("parts", () -> get(() -> told[0]));
        assertThat(found).isNotEmpty();
        Piece with = get(() -> arrange().with(found.get(0)));
        fx(() -> arrange().edits().changePiece("part", p -> with));
        Song s = played();
        assertThat(s.second()).isPresent();
        assertThat(
                        get(() -> arrange().clashes()).stream()
                                .filter(c -> c.between() == Clash.Between.GUITARS)
                                .filter(
                                        c ->
                                                s.first(c.section())
                                                        .turn()
                                                        .riff()
                                                        .equals(piece().riff())))
                .isEmpty();
        assertThat(before).isPositive();
    }

    /** Away from the screen nothing arrives any more, and the riff sounds again. */
    @Test
    void outsideNothingArrives() {
        boolean[] told = {false};
        fx(() -> arrange().secondParts(false, o -> told[0] = true));
        fx(() -> models.whereabouts().placeProperty().set(WritePlace.BAND));
        assertThat(get(() -> models.whereabouts().screen().ofSong())).isFalse();
        fx(() -> models.whereabouts().placeProperty().set(Whereabouts.Around.GROUND));
        assertThat(get(() -> models.whereabouts().screen().ofSong())).isFalse();
        fx(() -> models.whereabouts().placeProperty().set(ArrangePlace.STRIP));
        fx(() -> models.whereabouts().placeProperty().set(Whereabouts.Around.GROUND));
        assertThat(get(() -> models.whereabouts().screen().ofSong()))
                .as("the ground's fields belong to the screen")
                .isTrue();
        assertThat(told[0]).isFalse();
    }

    // Practise.

    /** What is practised moves by bars, never past the song. */
    @Test
    void theStretchMovesByBars() {
        practising();
        Song s = played();
        MeterMap meters = s.score().time().meters();
        int bars = meters.bars(s.length());
        for (int i = 0; i < 9; i++) {
            fx(() -> practice().aiming().moveStretch(-1, true));
        }
        assertThat(get(() -> practice().what())).isEqualTo("bar 1");
        fx(() -> practice().aiming().moveStretch(1, false));
        assertThat(get(() -> practice().what())).isEqualTo("bar 2");
        fx(() -> practice().aiming().moveStretch(2, true));
        assertThat(get(() -> practice().what())).isEqualTo("bars 2 to 4");
        fx(() -> practice().aiming().moveStretch(999, false));
        assertThat(get(() -> practice().to())).isEqualTo(s.length());
        assertThat(get(() -> practice().what())).isEqualTo("bars " + (bars - 2) + " to " + bars);
        fx(() -> practice().aiming().whole());
        assertThat(get(() -> practice().what())).isEqualTo("the whole song");
        fx(() -> practice().aiming().section(2));
        assertThat(get(() -> practice().what())).isEqualTo("chorus");
        fx(() -> practice().aiming().nextSection(1));
        assertThat(get(() -> practice().what())).isEqualTo("breakdown");
    }

    /** Any tempo from 20 to 400, and each stretch keeps its own. */
    @Test
    void everyStretchKeepsItsTempo() {
        practising();
        fx(() -> practice().pace().tempo(-1000));
        assertThat(get(() -> practice().pace().tempo())).isEqualTo(20);
        fx(() -> practice().pace().tempo(1000));
        assertThat(get(() -> practice().pace().tempo())).isEqualTo(400);
        fx(() -> practice().pace().tempo(-300));
        assertThat(get(() -> practice().pace().tempo())).isEqualTo(100);
        fx(() -> practice().aiming().hardChange());
        assertThat(get(() -> practice().what())).startsWith("change to ");
        assertThat(get(() -> practice().pace().tempo())).isEqualTo(126);
        fx(() -> practice().pace().tempo(-60));
        fx(() -> practice().aiming().section(0));
        assertThat(get(() -> practice().pace().tempo())).as("of the intro").isEqualTo(100);
    }

    /** The ladder's foot, goal and passes; its passes are counted from where the player is. */
    @Test
    void aLadderIsClimbedByWhereThePlayerIs() {
        practising();
        for (int i = 0; i < 9; i++) {
            fx(() -> practice().aiming().moveStretch(-1, true));
        }
        fx(() -> practice().pace().toggleLadder());
        fx(() -> practice().pace().foot(2));
        fx(() -> practice().pace().tempo(-6));
        while (get(() -> practice().pace().climb().orElseThrow().ladder().passes()) != 2) {
            fx(() -> practice().pace().rungPasses());
        }
        Ladder l = get(() -> practice().pace().climb().orElseThrow().ladder());
        assertThat(l).isEqualTo(new Ladder(90, 120, 4, 2));
        fx(() -> practice().keepIn(new PracticeLog(folder)));
        fx(() -> practice().togglePlay());
        Song s = played();
        Rounds r = new Rounds(s.score().time(), 0, Ticks.WHOLE, 1, 1, 71.4);
        // Counting in, then three rounds of the bar, a step every eighth.
        for (long at = 0; at < r.loopFrom(); at += Ticks.EIGHTH) {
            long tick = at;
            fx(() -> practice().follow(true, tick));
        }
        assertThat(get(() -> practice().passes())).isZero();
        for (int round = 0; round < 4; round++) {
            for (long at = 0; at < Ticks.WHOLE; at += Ticks.EIGHTH) {
                long tick = r.loopFrom() + at;
                fx(() -> practice().follow(true, tick));
            }
        }
        assertThat(get(() -> practice().passes())).isEqualTo(3);
        assertThat(get(() -> practice().pace().tempo())).isEqualTo(94);
        assertThat(get(() -> practice().pace().climb().orElseThrow().clean())).isEqualTo(1);
        fx(() -> practice().leave());
        List<Entry> kept = get(() -> practice().entries());
        assertThat(kept).hasSize(1);
        assertThat(kept.get(0).passes()).isEqualTo(3);
        assertThat(kept.get(0).best()).isEqualTo(90);
        assertThat(kept.get(0).goal()).isEqualTo(120);
    }

    /** Nothing is written down where no pass was played through. */
    @Test
    void halfAPassIsNotWrittenDown() {
        practising();
        fx(() -> practice().togglePlay());
        fx(() -> practice().follow(true, Ticks.WHOLE + 5));
        fx(() -> practice().leave());
        assertThat(get(() -> practice().entries())).isEmpty();
        fx(() -> practice().fail());
        assertThat(get(() -> practice().failing())).as("nothing plays").isFalse();
        assertThat(get(() -> models.session().saidProperty().get())).contains("Nothing plays");
    }

    /** What is set with one key comes round, and says what it is. */
    @Test
    void settingsComeRound() {
        practising();
        List<String> who = new ArrayList<>();
        for (Drill.Who w = null; w != Drill.Who.ALL; w = get(() -> practice().settings().who())) {
            fx(() -> practice().settings().nextWho());
            who.add(get(() -> practice().settings().who().words()));
        }
        assertThat(who).hasSize(4).doesNotHaveDuplicates();
        List<Integer> counts = new ArrayList<>();
        for (int i = 0; i < 3; i++) {
            fx(() -> practice().settings().nextCountIn());
            counts.add(get(() -> practice().settings().countIn()));
        }
        assertThat(counts).containsExactly(2, 0, 1);
        List<Long> finest = new ArrayList<>();
        for (int i = 0; i < 3; i++) {
            fx(() -> practice().settings().nextFinest());
            finest.add(get(() -> practice().settings().finest()));
        }
        assertThat(finest).containsExactly(Ticks.SIXTEENTH, Ticks.QUARTER, Ticks.EIGHTH);
        for (int i = 0; i < 4; i++) {
            fx(() -> practice().settings().nextVanishing());
        }
        assertThat(get(() -> practice().settings().vanishing().without())).isZero();
        fx(() -> practice().settings().otherPart());
        assertThat(get(() -> practice().settings().secondShown())).isTrue();
        Optional<String> care = Optional.of(get(() -> practice().care()));
        assertThat(care).isPresent();
    }
}
