package vocalis.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.lang.management.ManagementFactory;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.atomic.AtomicBoolean;
import javafx.event.Event;
import javafx.scene.Node;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.stage.Stage;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.framework.junit5.Start;
import org.testfx.util.WaitForAsyncUtils;
import vocalis.core.riff.Riff;
import vocalis.desktop.keys.Combo;
import vocalis.desktop.keys.Command;
import vocalis.workbench.Log;
import vocalis.workbench.Subscription;

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

    private static KeyEvent event(javafx.event.EventType<KeyEvent> type, Combo k) {
        return new KeyEvent(type, "", "", k.code(), k.shift(), k.ctrl(), k.alt(), false);
    }

    private static long heapAfterCollection() {
        System.gc();
        System.gc();
        return ManagementFactory.getMemoryMXBean().getHeapMemoryUsage().getUsed();
    }

    /**
     * V held: hundreds of presses as fast as they go leave memory flat, and the newest is what
     * stands.
     */
    @Test
    void aHeldKeyHeapsNothingUp() {
        Combo v = Combo.of("V");
        for (int i = 0; i < 90; i++) {
            press(v);
        }
        settle();
        await("gain", () -> fx(() -> !model().gain().reckoning()));
        long before = heapAfterCollection();
        int family = fx(() -> model().treatmentFamily().ordinal());
        for (int i = 0; i < HELD; i++) {
            press(v);
        }
        settle();
        await("gain", () -> fx(() -> !model().gain().reckoning()));
        assertThat(fx(() -> model().treatmentFamily().ordinal())).isEqualTo((family + HELD) % 9);
        long grown = heapAfterCollection() - before;
        System.out.printf("%d presses of V: the heap grew by %.1f MB%n", HELD, grown / 1e6);
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
    private static final int PRESSES = Integer.getInteger("vocalis.monkey", 600);

    /** Presses of V; at the 40 a second of a fast repeat, 24,000 are ten minutes. */
    private static final int HELD = Integer.getInteger("vocalis.held", 400);

    /** A seeded monkey: keys of all places, undo, a device lost and found. */
    @Test
    void aMonkeyFindsNoException() {
        Random random = new Random(20);
        Set<String> askers = Set.of("open", "save", "save-as", "new");
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
        for (int i = 0; i < PRESSES; i++) {
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
        Riff end = riff();
        assertThat(end.bars()).isPositive();
        told.close();
    }
}
