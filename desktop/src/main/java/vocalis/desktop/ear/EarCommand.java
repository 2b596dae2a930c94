package vocalis.desktop.ear;

import java.util.function.Supplier;
import vocalis.desktop.keys.Commands;
import vocalis.desktop.practise.PracticeDiary;
import vocalis.desktop.practise.PractisePlace;
import vocalis.desktop.session.Hearing;
import vocalis.desktop.session.Session;
import vocalis.desktop.view.Sheets;
import vocalis.workbench.library.Library;

/** The command that opens a round for the ear. */
public final class EarCommand {

    private EarCommand() {}

    /** Adds it to the registry, in Practise. */
    public static void add(
            Commands commands,
            Session session,
            PracticeDiary diary,
            Library library,
            Hearing hearing,
            Supplier<Sheets> host) {
        commands.add("ear", "a round for the ear, on the roots of your riffs")
                .in(PractisePlace.PAGE)
                .button("For the ear")
                .does(() -> EarSheet.show(session, diary, library, hearing, host.get()));
    }
}
