package vocalis.desktop.listening;

import java.util.function.Consumer;
import java.util.function.Supplier;
import vocalis.core.instrument.Shape;
import vocalis.desktop.exchange.WritesDown;
import vocalis.desktop.keys.Commands;
import vocalis.desktop.practise.PracticeModel;
import vocalis.desktop.practise.PractisePlace;
import vocalis.desktop.session.Hearing;
import vocalis.desktop.session.Session;
import vocalis.desktop.view.Sheets;
import vocalis.desktop.writing.WriteModel;
import vocalis.workbench.takes.TakeShelf;

/** The commands with which the program listens. */
public final class ListeningCommands {

    private ListeningCommands() {}

    /**
     * Adds them to a registry.
     *
     * @param riff takes what was heard
     * @param toRiff goes to its chords
     * @param write has takes written down
     */
    public static void add(
            Commands commands,
            Session session,
            Hearing hearing,
            Source source,
            Following following,
            TakeShelf shelf,
            Supplier<Sheets> host,
            WriteModel riff,
            Runnable toRiff,
            WritesDown write) {
        Consumer<Shape> use =
                shape -> {
                    riff.shown().take(shape);
                    riff.useShown();
                    toRiff.run();
                };
        Consumer<Shape> compare =
                shape -> {
                    toRiff.run();
                    riff.shown().take(shape);
                    commands.get("explore").action().run();
                };
        commands.add("listen", "what you play: a strum named, strings tuned")
                .keys("F11")
                .does(() -> PlayedSheet.show(session, hearing, source, host.get(), use, compare));
        commands.add("latency", "how late what you play comes in: measure it")
                .does(() -> LateSheet.show(session, source, host.get()));
        commands.add("takes", "takes of this riff: hear them against it")
                .does(() -> TakesSheet.show(session, hearing, shelf, host.get()));
        commands.add("keep-take", "keep the pass that was heard last")
                .in(PractisePlace.PAGE)
                .keys("ctrl shift K")
                .does(() -> following.keep(shelf));
        commands.add("play-in", "play a riff in: it is written down as heard")
                .keys("F12")
                .does(() -> PlayInSheet.show(session, source, host.get(), write));
    }

    /** Adds those of Practise. */
    public static void along(Commands commands, PracticeModel practice, Following following) {
        practice.verdicts().listenWith(following);
        commands.add("listen-along", "listen while I practise: each pass is told")
                .in(PractisePlace.PAGE)
                .keys("shift F8")
                .button("Listen")
                .lit(following::on)
                .does(following::toggle);
        commands.add("overrule", "the pass that was heard to fail counts after all")
                .in(PractisePlace.PAGE)
                .keys("shift BACK_SPACE")
                .does(practice.verdicts()::overrule);
    }
}
