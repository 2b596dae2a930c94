package vocalis.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.lang.management.ManagementFactory;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.atomic.AtomicBoolean;
import javafx.event.Event;
import javafx.event.EventType;
import javafx.geometry.Point2D;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.stage.Stage;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.framework.junit5.Start;
import org.testfx.util.WaitForAsyncUtils;
import vocalis.desktop.keys.Combo;
import vocalis.desktop.keys.Command;
import vocalis.sound.device.AudioOutput;
import vocalis.sound.device.Devices;
import vocalis.sound.device.OutputLine;
import vocalis.workbench.base.Log;
import vocalis.workbench.base.Subscription;
import vocalis.workbench.playing.Player;

/**
 * A held key, a monkey at the keyboard, a device that comes and goes: nothing breaks or heaps up.
 */
@ExtendWith(ApplicationExtension.class)
class StressTest extends WindowDriver {

    private final List<String> failures = new ArrayList<>();
    private Subscription told;

    @Start
    void start(Stage stage) {
        open(stage);
        told = Log.tell(failures::add);
    }

    private void press(Combo k) {
        fx(
                () -> {
                    Node on = stage.getScene().getFocusOwner();
                    if (on != null) {
                        Event.fireEvent(on, event(KeyEvent.KEY_PRESSED, k));
                    }
                    return null;
                });
    }

    private static KeyEvent event(EventType<KeyEvent> type, Combo k) {
        return new KeyEvent(type, "", "", k.code(), k.shift(), k.ctrl(), k.alt(), false);
    }

    /** What is used after a collection, once the workers of windows before this one are through. */
    private static long heapAtRest() {
        long before;
        long now = Long.MAX_VALUE;
        do {
            before = now;
            sleep(0.3);
            System.gc();
            System.gc();
            now = ManagementFactory.getMemoryMXBean().getHeapMemoryUsage().getUsed();
        } while (Math.abs(before - now) > 1_000_000);
        return now;
    }

    /**
     * A root stepped on and on: hundreds of presses as fast as they go leave memory flat, and the
     * newest is what stands.
     */
    @Test
    void aHeldKeyHeapsNothingUp() {
        Combo up = Combo.of("UP");
        // Every step searched and remembered once, however fast the presses come after.
        for (int i = 0; i < 18; i++) {
            press(up);
            settle();
        }
        for (int i = 0; i < 90; i++) {
            press(up);
        }
        settle();
        await("gain", () -> fx(() -> !model().gain().reckoning()));
        long before = heapAtRest();
        int step = riff().roots().get(0).root().step();
        for (int i = 0; i < HELD; i++) {
            press(up);
        }
        settle();
        await("gain", () -> fx(() -> !model().gain().reckoning()));
        assertThat(riff().roots().get(0).root().step()).isEqualTo((step - 1 + HELD) % 7 + 1);
        long grown = heapAtRest() - before;
        System.out.printf("%d presses: the heap grew by %.1f MB%n", HELD, grown / 1e6);
        assertThat(grown).isLessThan(40_000_000);
        assertThat(failures).isEmpty();
    }

    /**
     * While keys are pressed, nothing is searched, ranked, derived or reckoned on the FX thread.
     */
    @Test
    void noAnalysisRunsOnTheFxThread() {
        Set<String> onFx = ConcurrentHashMap.newKeySet();
        Set<String> elsewhere = ConcurrentHashMap.newKeySet();
        Thread fxThread = fx(Thread::currentThread);
        AtomicBoolean on = new AtomicBoolean(true);
        Thread sampler =
                new Thread(
                        () -> {
                            while (on.get()) {
                                Thread.getAllStackTraces()
                                        .forEach(
                                                (t, stack) ->
                                                        note(
                                                                stack,
                                                                t == fxThread ? onFx : elsewhere));
                            }
                        });
        sampler.start();
        List<String> keys = List.of("V", "RIGHT", "UP", "3", "ctrl D", "ctrl Z");
        for (int i = 0; i < 180; i++) {
            press(Combo.of(keys.get(i % keys.size())));
        }
        settle();
        on.set(false);
        assertThat(onFx).isEmpty();
        // The sampler is not blind: on the threads of their own it does see them.
        assertThat(elsewhere).isNotEmpty();
    }

    private static void note(StackTraceElement[] stack, Set<String> into) {
        for (StackTraceElement e : stack) {
            if (ANALYSIS.contains(simple(e.getClassName()))) {
                into.add(e.toString());
            }
        }
    }

    private static final Set<String> ANALYSIS =
            Set.of(
                    "VoicingSearch",
                    "Ranking",
                    "Deriver",
                    "Voicer",
                    "ScoreWriter",
                    "GainAnalysis",
                    "Levels",
                    "SoundEvents");

    private static String simple(String name) {
        return name.substring(name.lastIndexOf('.') + 1).replaceAll("\\$.*", "");
    }

    /** Keys that the monkey presses; {@code benchmarks/monkey} lets it press many more. */
    private static final int PRESSES = Boolean.getBoolean("vocalis.long") ? 600 : 120;

    /** Presses of V; at the 40 a second of a fast repeat, 24,000 are ten minutes. */
    private static final int HELD = Boolean.getBoolean("vocalis.long") ? 400 : 100;

    /**
     * Whether the window plays through the machine's own sound server, which {@code
     * benchmarks/monkey} kills, freezes and starts again meanwhile.
     */
    private static final boolean SERVER = Boolean.getBoolean("vocalis.server");

    @Override
    OutputLine.Opener device() {
        return SERVER ? Devices.opener(Devices.DEFAULT) : tap;
    }

    /** Presses and lets go the first mouse button somewhere over the window's content. */
    private void click(double x, double y) {
        fx(
                () -> {
                    Node root = stage.getScene().getRoot();
                    double sceneX = x * root.getScene().getWidth();
                    double sceneY = y * root.getScene().getHeight();
                    Node on = topmost(root, sceneX, sceneY);
                    Point2D screen = root.localToScreen(sceneX, sceneY);
                    for (var type : CLICK) {
                        Event.fireEvent(
                                on, mouse(type, on.sceneToLocal(sceneX, sceneY), screen, 1));
                    }
                    return null;
                });
    }

    /** The deepest visible node over a place of the scene, the last drawn of several. */
    private static Node topmost(Node n, double sceneX, double sceneY) {
        if (n instanceof Parent p) {
            List<Node> children = p.getChildrenUnmodifiable();
            for (int i = children.size() - 1; i >= 0; i--) {
                Node c = children.get(i);
                if (c.isVisible()
                        && !c.isMouseTransparent()
                        && c.contains(c.sceneToLocal(sceneX, sceneY))) {
                    return topmost(c, sceneX, sceneY);
                }
            }
        }
        return n;
    }

    /** A seeded monkey: keys of all places, clicks, undo, a device lost and found. */
    @Test
    void aMonkeyFindsNoException() {
        Random random = new Random(20);
        Set<String> askers = Set.of("open", "save", "save-copy", "new");
        List<Command> all =
                fx(() -> shell.commands().all()).stream()
                        .filter(c -> !c.keys().isEmpty() && !askers.contains(c.id()))
                        .toList();
        KeyCode[] plain = {
            KeyCode.TAB,
            KeyCode.ENTER,
            KeyCode.ESCAPE,
            KeyCode.UP,
            KeyCode.DOWN,
            KeyCode.LEFT,
            KeyCode.RIGHT,
            KeyCode.DELETE,
            KeyCode.SPACE
        };
        Set<AudioOutput.Sink> sinks = EnumSet.noneOf(AudioOutput.Sink.class);
        for (int i = 0; i < PRESSES; i++) {
            if (random.nextInt(6) == 0) {
                click(random.nextDouble(), random.nextDouble());
            }
            Combo k =
                    random.nextInt(3) == 0
                            ? new Combo(plain[random.nextInt(plain.length)], false, false, false)
                            : all.get(random.nextInt(all.size())).keys().get(0);
            press(k);
            fx(
                    () -> {
                        Node on = stage.getScene().getFocusOwner();
                        if (on != null) {
                            Event.fireEvent(on, event(KeyEvent.KEY_RELEASED, k));
                        }
                        return null;
                    });
            if (i % 150 == 149) {
                tap.present(i % 300 == 299);
            }
            sinks.add(shell.player().output().sink());
            if (riff().bars() > 40) {
                fx(
                        () -> {
                            shell.workspace().undo();
                            return null;
                        });
            }
        }
        for (int i = 0; i < 520; i++) {
            press(Combo.of("ctrl Z"));
        }
        WaitForAsyncUtils.waitForFxEvents();
        settle();
        assertThat(failures).isEmpty();
        assertThat(riff().bars()).isPositive();
        if (SERVER) {
            System.out.printf("the monkey saw the sound go to %s%n", sinks);
            assertThat(sinks)
                    .contains(
                            AudioOutput.Sink.DEVICE,
                            AudioOutput.Sink.SILENT,
                            AudioOutput.Sink.FROZEN);
        }
        tap.present(true);
        // The monkey may have chosen another device.
        fx(
                () -> {
                    shell.player().output().use(device(), Player.BUFFER);
                    return null;
                });
        await("the device again", () -> shell.player().output().sink() == AudioOutput.Sink.DEVICE);
        told.close();
    }
}
