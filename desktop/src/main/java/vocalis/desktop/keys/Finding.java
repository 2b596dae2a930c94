package vocalis.desktop.keys;

import java.util.Comparator;
import java.util.function.Consumer;
import java.util.function.Supplier;
import vocalis.desktop.session.Place;
import vocalis.desktop.session.Teller;
import vocalis.desktop.session.Whereabouts;
import vocalis.desktop.view.Sheets;

/**
 * The search over every command, and the buttons of the place that has the keys: whatever is asked
 * for is done where it can be done, and its key is told for the next time.
 */
public final class Finding implements ActionStrip.Window {

    private final Commands commands;
    private final CommandSearch search;
    private final Teller session;
    private final Whereabouts whereabouts;
    private final Supplier<Sheets> host;
    private final Consumer<Place> go;
    private Consumer<Command> asked = c -> {};

    /**
     * @param host shows the search, when it is there
     * @param go puts the keys on a place, ready for what is done there
     */
    public Finding(
            Commands commands,
            CommandSearch search,
            Teller session,
            Whereabouts whereabouts,
            Supplier<Sheets> host,
            Consumer<Place> go) {
        this.commands = commands;
        this.search = search;
        this.session = session;
        this.whereabouts = whereabouts;
        this.host = host;
        this.go = go;
    }

    /** Told of every command that was asked for. */
    public void onAsked(Consumer<Command> told) {
        asked = told;
    }

    /** Counts a command that a button asked for. */
    public void asked(Command c) {
        asked.accept(c);
    }

    /** Searches every command. */
    public void open() {
        Place here = whereabouts.place();
        FindSheet.show(host.get(), "Find a command", typed -> search.find(typed, here), this::take);
    }

    @Override
    public void all(Place place) {
        FindSheet.show(
                host.get(),
                "What can be done here: " + place.words(),
                typed ->
                        search.find(typed, place).stream()
                                .filter(c -> c.places().contains(place))
                                .sorted(Comparator.comparing(c -> typed.isBlank() && c.repeats()))
                                .toList(),
                this::take);
    }

    /** Does a command as if its button had been pressed. */
    public void run(String id) {
        take(commands.get(id));
    }

    private void take(Command c) {
        if (!c.worksIn(whereabouts.place())) {
            go.accept(c.places().iterator().next());
        }
        asked.accept(c);
        c.action().run();
        String key = c.printedKey();
        boolean quiet = host.get().top().isEmpty() && session.quiet();
        if (!key.isEmpty() && quiet) {
            session.say("Next time: " + key + ".");
        }
    }

    @Override
    public boolean beginHearing(Place place) {
        return whereabouts.screen().beginHearing(place);
    }

    @Override
    public void endHearing() {
        whereabouts.screen().endHearing();
    }

    @Override
    public boolean marked(Place place) {
        return whereabouts.screen().marked(place);
    }

    @Override
    public String detail(Place place) {
        return whereabouts.screen().detail(place);
    }

    @Override
    public void keysTo(Place place) {
        session.say("");
        go.accept(place);
    }
}
