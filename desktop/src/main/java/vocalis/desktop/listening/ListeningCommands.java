package vocalis.desktop.listening;

import java.util.concurrent.Callable;
import java.util.function.Consumer;
import java.util.function.Supplier;
import vocalis.core.instrument.Shape;
import vocalis.desktop.keys.Commands;
import vocalis.desktop.practise.PracticeModel;
import vocalis.desktop.practise.PractisePlace;
import vocalis.desktop.session.Hearing;
import vocalis.desktop.session.Session;
import vocalis.desktop.view.SheetHost;
import vocalis.formats.sheet.Imported;

/** The commands with which the program listens. */
public final class ListeningCommands {

    private ListeningCommands() {}

    /**
     * Adds them to a registry.
     *
     * @param take puts a shape that was heard into the riff
     * @param compare shows it beside what stands there
     * @param unpick has a take written down on a worker and shows what it is made of
     */
    public static void add(
            Commands commands,
            Session session,
            Hearing hearing,
            Source source,
            Supplier<SheetHost> host,
            Consumer<Shape> take,
            Consumer<Shape> compare,
            Consumer<Callable<Imported>> unpick) {
        commands.add("listen", "what you play: a strum named, strings tuned, by ear")
                .keys("F11")
                .does(() -> PlayedSheet.show(session, hearing, source, host.get(), take, compare));
        commands.add("latency", "how late what you play comes in: measure it")
                .does(() -> LateSheet.show(session, source, host.get()));
        commands.add("play-in", "play a riff in: it is written down as heard")
                .keys("F12")
                .does(() -> PlayInSheet.show(session, source, host.get(), unpick));
    }

    /** Adds those of Practise. */
    public static void along(Commands commands, PracticeModel practice, Following following) {
        practice.verdicts().listenWith(following);
        commands.add("listen-along", "listen while I practise: each pass is told")
                .in(PractisePlace.PAGE)
                .keys("ctrl shift L")
                .button("Listen to me")
                .lit(following::on)
                .does(following::toggle);
        commands.add("overrule", "the pass that was heard to fail counts after all")
                .in(PractisePlace.PAGE)
                .keys("shift BACK_SPACE")
                .does(practice.verdicts()::overrule);
    }
}
