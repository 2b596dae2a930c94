package vocalis.desktop.keys;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.BooleanSupplier;
import java.util.stream.Collectors;
import javafx.scene.control.CustomMenuItem;
import javafx.scene.control.Label;
import javafx.scene.control.MenuItem;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import vocalis.desktop.session.Place;

/**
 * The one registry of commands: keys obey it, menus and help and the status line are made from it.
 */
public final class Commands {

    private final List<Command> all = new ArrayList<>();
    private final Map<Combo, List<Command>> byKey = new HashMap<>();

    /** Collects what a command is; {@link #does} adds it. */
    public final class Builder {
        private final String id;
        private final String words;
        private String partOf;
        private Set<Place> places = Set.of();
        private List<Combo> keys = List.of();
        private String meaning;
        private String label;
        private String marked;
        private String brief;
        private BooleanSupplier lit = () -> false;
        private boolean repeats;
        private boolean inSheets;

        private Builder(String id, String words) {
            this.id = id;
            this.words = words;
            meaning = words;
        }

        /** It can be done in these places alone. */
        public Builder in(Place... where) {
            places = new LinkedHashSet<>(List.of(where));
            return this;
        }

        /** Its keys, such as {@code "ctrl shift S"}. */
        public Builder keys(String... combos) {
            keys = Arrays.stream(combos).map(Combo::of).toList();
            return this;
        }

        /** What its keys mean, where other commands of other places have them too. */
        public Builder means(String what) {
            meaning = what;
            return this;
        }

        /** Search and help name that command in its place: one key of a row of keys. */
        public Builder partOf(String command) {
            partOf = command;
            return this;
        }

        /** Its button in the strip of its place. */
        public Builder button(String text) {
            label = text;
            return this;
        }

        /** Its button while something is marked. */
        public Builder marked(String text) {
            marked = text;
            return this;
        }

        /** How the status line says keys that are no button. */
        public Builder brief(String text) {
            brief = text;
            return this;
        }

        /** Whether what it turns on is on. */
        public Builder lit(BooleanSupplier on) {
            lit = on;
            return this;
        }

        /** A held key does it again and again. */
        public Builder repeats() {
            repeats = true;
            return this;
        }

        /** Its keys hold in sheets too. */
        public Builder inSheets() {
            inSheets = true;
            return this;
        }

        /**
         * Adds the command.
         *
         * @throws IllegalArgumentException when another has one of its keys in the same place, or
         *     means something else by it in another
         */
        public void does(Runnable action) {
            Command one =
                    new Command(
                            id,
                            words,
                            Optional.ofNullable(partOf),
                            Collections.unmodifiableSet(places),
                            keys,
                            meaning,
                            Optional.ofNullable(label),
                            Optional.ofNullable(marked),
                            Optional.ofNullable(brief),
                            lit,
                            repeats,
                            inSheets,
                            action);
            for (Combo key : keys) {
                List<Command> have = byKey.computeIfAbsent(key, k -> new ArrayList<>());
                have.forEach(c -> agree(c, one));
                have.add(one);
            }
            all.add(one);
        }
    }

    /** A key asks for one thing in a place, and means one thing in all. */
    private static void agree(Command there, Command added) {
        boolean same =
                added.places().isEmpty() && there.places().isEmpty()
                        || there.places().stream().anyMatch(added.places()::contains);
        for (Combo key : added.keys()) {
            if (!there.has(key)) {
                continue;
            }
            if (same) {
                throw new IllegalArgumentException(
                        key.printed() + " is asked for by " + there.id() + " and by " + added.id());
            }
            if (!key.asItsPlaceSays() && !there.meaning().equals(added.meaning())) {
                throw new IllegalArgumentException(
                        key.printed()
                                + " would mean \""
                                + there.meaning()
                                + "\" and \""
                                + added.meaning()
                                + "\"");
            }
        }
    }

    /**
     * Begins a command.
     *
     * @param words what it does, lower case
     */
    public Builder add(String id, String words) {
        if (all.stream().anyMatch(c -> c.id().equals(id))) {
            throw new IllegalArgumentException("two commands have the id " + id);
        }
        return new Builder(id, words);
    }

    /** Adds a command of one place with one key. */
    public void once(Place place, String id, String words, String key, Runnable action) {
        add(id, words).in(place).keys(key).does(action);
    }

    /** Adds a command of one place without a key: search and buttons lead to it. */
    public void once(Place place, String id, String words, Runnable action) {
        add(id, words).in(place).does(action);
    }

    /** The same of which a held key does it again and again. */
    public void walk(Place place, String id, String words, String key, Runnable action) {
        add(id, words).in(place).keys(key).repeats().does(action);
    }

    public List<Command> all() {
        return List.copyOf(all);
    }

    /** The command of an id. */
    public Command get(String id) {
        return all.stream()
                .filter(c -> c.id().equals(id))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("no command has the id " + id));
    }

    /** The command that a key asks for in a place: the place's own first. */
    Optional<Command> find(Combo combo, Place place) {
        return all.stream()
                .filter(c -> c.has(combo) && c.places().contains(place))
                .findFirst()
                .or(() -> everywhere(combo));
    }

    /** The command that a key asks for in every place. */
    Optional<Command> everywhere(Combo combo) {
        return all.stream().filter(c -> c.has(combo) && c.places().isEmpty()).findFirst();
    }

    /** The places that have commands of their own, in the order of the work. */
    public List<Place> places() {
        return all.stream().flatMap(c -> c.places().stream()).distinct().toList();
    }

    /** A menu entry that does a command, with its key beside it. */
    public MenuItem item(String id) {
        Command c = get(id);
        Label key = new Label(c.printedKey());
        key.getStyleClass().add("menu-key");
        Region gap = new Region();
        HBox.setHgrow(gap, Priority.ALWAYS);
        HBox both = new HBox(28, new Label(Command.capital(c.words())), gap, key);
        // Wide enough for the longest words: the keys of a menu stand beneath each other.
        both.setPrefWidth(372);
        key.setMinWidth(Region.USE_PREF_SIZE);
        MenuItem item = new CustomMenuItem(both, true);
        item.setId("menu-" + id);
        item.setOnAction(e -> c.action().run());
        return item;
    }

    /** What stands in the strip of a place, in order. */
    public List<Command> strip(Place place) {
        return all.stream()
                .filter(c -> c.places().contains(place) && c.label().isPresent())
                .toList();
    }

    /** What stands there while something is marked, in order. */
    public List<Command> markedStrip(Place place) {
        return all.stream()
                .filter(c -> c.places().contains(place) && c.marked().isPresent())
                .toList();
    }

    /** The line that says what keys mean in a place. */
    public String status(Place place) {
        return all.stream()
                .filter(c -> c.places().contains(place))
                .flatMap(c -> c.brief().stream())
                .collect(Collectors.joining(" · "));
    }
}
