package vocalis.desktop.practise;

import java.util.function.Supplier;
import vocalis.desktop.keys.Commands;
import vocalis.desktop.session.Place;
import vocalis.desktop.view.SheetHost;

/** The keys of the Practise screen. */
public final class PractiseCommands {

    private final Commands commands;
    private final PracticeModel model;
    private final Runnable toggle;
    private final Supplier<SheetHost> host;

    private PractiseCommands(
            Commands commands, PracticeModel model, Runnable toggle, Supplier<SheetHost> host) {
        this.commands = commands;
        this.model = model;
        this.toggle = toggle;
        this.host = host;
    }

    /**
     * Adds them to a registry.
     *
     * @param toggle goes to the screen, and back
     */
    public static void addTo(
            Commands commands, PracticeModel model, Runnable toggle, Supplier<SheetHost> host) {
        new PractiseCommands(commands, model, toggle, host).add();
    }

    private void add() {
        PracticeModel p = model;
        Place z = PractisePlace.PAGE;
        commands.add("practise", "practise: a stretch round and round")
                .keys("ctrl F12")
                .does(toggle);
        commands.add("pass-failed", "this pass failed")
                .in(z)
                .keys("X")
                .brief("X this pass failed")
                .does(p::fail);
        commands.add("ladder", "up the ladder, or one tempo")
                .in(z)
                .keys("L")
                .brief("L ladder")
                .does(p.pace()::toggleLadder);
        commands.add("tempo-up", "faster; on the ladder a higher goal")
                .in(z)
                .keys("UP")
                .brief("↑↓ tempo")
                .repeats()
                .does(() -> p.pace().tempo(1));
        commands.walk(z, "tempo-down", "slower; a lower goal", "DOWN", () -> p.pace().tempo(-1));
        commands.walk(z, "tempo-up-ten", "faster by ten", "PAGE_UP", () -> p.pace().tempo(10));
        commands.walk(z, "tempo-down-ten", "slower by ten", "PAGE_DOWN", () -> p.pace().tempo(-10));
        commands.walk(
                z, "foot-up", "a higher foot of the ladder", "shift UP", () -> p.pace().foot(1));
        commands.walk(z, "foot-down", "a lower foot", "shift DOWN", () -> p.pace().foot(-1));
        commands.once(
                z, "rung-passes", "clean passes that a rung takes", "R", p.pace()::rungPasses);
        commands.add("stretch-left", "the stretch a bar earlier")
                .in(z)
                .keys("LEFT")
                .brief("←→ bars")
                .repeats()
                .does(() -> p.aiming().moveStretch(-1, false));
        commands.walk(
                z, "stretch-right", "a bar later", "RIGHT", () -> p.aiming().moveStretch(1, false));
        commands.walk(
                z,
                "stretch-less",
                "a bar less",
                "shift LEFT",
                () -> p.aiming().moveStretch(-1, true));
        commands.walk(
                z,
                "stretch-more",
                "a bar more",
                "shift RIGHT",
                () -> p.aiming().moveStretch(1, true));
        commands.add("stretch-section", "the next section")
                .in(z)
                .keys("S")
                .brief("S section, A all, T hard")
                .does(() -> p.aiming().nextSection(1));
        commands.once(z, "stretch-all", "the whole song", "A", p.aiming()::whole);
        commands.once(
                z,
                "stretch-hard",
                "the hardest change alone, then the next",
                "T",
                p.aiming()::hardChange);
        commands.add("click-on", "the click after the count-in")
                .in(z)
                .keys("C")
                .brief("C click, V vanishing")
                .does(p.settings()::toggleClick);
        commands.once(
                z,
                "click-vanish",
                "the click goes out for some bars",
                "V",
                p.settings()::nextVanishing);
        commands.once(
                z, "count-in", "bars counted in: none, one, two", "N", p.settings()::nextCountIn);
        commands.once(
                z,
                "count-fine",
                "count quarters, off-beats, sixteenths",
                "O",
                p.settings()::nextFinest);
        commands.add("who-heard", "who is heard: all, guitar alone, band alone")
                .in(z)
                .keys("G")
                .brief("G who is heard")
                .does(p.settings()::nextWho);
        commands.once(z, "other-part", "the other guitar's tab", "P", p.settings()::otherPart);
        commands.once(
                z,
                "practice-log",
                "what was practised",
                "K",
                () -> PracticeSheet.show(model, host.get()));
    }
}
