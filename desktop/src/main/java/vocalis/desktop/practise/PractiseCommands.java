package vocalis.desktop.practise;

import java.util.function.Supplier;
import vocalis.desktop.keys.Commands;
import vocalis.desktop.session.Place;
import vocalis.desktop.view.Sheets;

/** The keys of the Practise screen. */
public final class PractiseCommands {

    private static final Place PAGE = PractisePlace.PAGE;

    private final Commands commands;
    private final PracticeModel model;
    private final Runnable toggle;
    private final Supplier<Sheets> host;

    private PractiseCommands(
            Commands commands, PracticeModel model, Runnable toggle, Supplier<Sheets> host) {
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
            Commands commands, PracticeModel model, Runnable toggle, Supplier<Sheets> host) {
        new PractiseCommands(commands, model, toggle, host).add();
    }

    private void add() {
        commands.add("practise", "Practise: a stretch round and round").keys("F8").does(toggle);
        tempo();
        passes();
        stretch();
        click();
        heard();
    }

    private void tempo() {
        Pace pace = model.pace();
        commands.add("tempo-up", "faster; on the ladder a higher goal")
                .in(PAGE)
                .keys("UP")
                .brief("↑ ↓ tempo · ← → bars, Shift fewer, more · Backspace: this pass failed")
                .repeats()
                .does(() -> pace.tempo(1));
        commands.walk(PAGE, "tempo-down", "slower; a lower goal", "DOWN", () -> pace.tempo(-1));
        commands.add("tempo-up-ten", "faster by ten")
                .in(PAGE)
                .keys("alt UP")
                .button("Faster")
                .repeats()
                .does(() -> pace.tempo(10));
        commands.add("tempo-down-ten", "slower by ten")
                .in(PAGE)
                .keys("alt DOWN")
                .button("Slower")
                .repeats()
                .does(() -> pace.tempo(-10));
        commands.add("tempo-two-thirds", "two thirds of the tempo")
                .in(PAGE)
                .button("Two thirds")
                .does(pace::twoThirds);
        commands.add("ladder", "up the ladder, or one tempo")
                .in(PAGE)
                .button("Ladder")
                .lit(pace::onLadder)
                .does(pace::toggleLadder);
        commands.walk(
                PAGE, "foot-up", "a higher foot of the ladder", "shift UP", () -> pace.foot(1));
        commands.walk(
                PAGE, "foot-down", "a lower foot of the ladder", "shift DOWN", () -> pace.foot(-1));
        commands.once(PAGE, "rung-passes", "clean passes that a rung takes", pace::rungPasses);
    }

    private void passes() {
        commands.add("pass-failed", "this pass failed")
                .in(PAGE)
                .keys("BACK_SPACE", "DELETE")
                .button("Failed")
                .does(model::fail);
        commands.add("practice-log", "what was practised")
                .in(PAGE)
                .button("Log")
                .does(() -> PracticeSheet.show(model, host.get()));
    }

    private void stretch() {
        Aiming a = model.aiming();
        commands.walk(
                PAGE,
                "stretch-left",
                "the stretch a bar earlier",
                "LEFT",
                () -> a.moveStretch(-1, false));
        commands.walk(
                PAGE,
                "stretch-right",
                "the stretch a bar later",
                "RIGHT",
                () -> a.moveStretch(1, false));
        commands.walk(
                PAGE, "stretch-less", "a bar less", "shift LEFT", () -> a.moveStretch(-1, true));
        commands.walk(
                PAGE, "stretch-more", "a bar more", "shift RIGHT", () -> a.moveStretch(1, true));
        commands.add("stretch-section", "practise the next section")
                .in(PAGE)
                .button("Section")
                .does(() -> a.nextSection(1));
        commands.add("stretch-all", "practise the whole song")
                .in(PAGE)
                .button("All of it")
                .does(a::whole);
        commands.add("stretch-hard", "the hardest change alone, then the next")
                .in(PAGE)
                .button("Hardest")
                .does(a::hardChange);
    }

    private void click() {
        DrillSettings s = model.settings();
        commands.add("click-on", "the click after the count-in")
                .in(PAGE)
                .button("Click")
                .lit(s::click)
                .does(s::toggleClick);
        commands.once(PAGE, "click-vanish", "the click goes out for some bars", s::nextVanishing);
        commands.once(PAGE, "count-in", "bars counted in: none, one, two", s::nextCountIn);
        commands.once(PAGE, "count-fine", "count quarters, off-beats, sixteenths", s::nextFinest);
    }

    private void heard() {
        DrillSettings s = model.settings();
        commands.add("who-heard", "who is heard: all, guitar alone, band alone")
                .in(PAGE)
                .button("Who plays")
                .does(s::nextWho);
        commands.once(PAGE, "other-part", "the other guitar's tab", s::otherPart);
    }
}
