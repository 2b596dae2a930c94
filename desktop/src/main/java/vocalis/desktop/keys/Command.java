package vocalis.desktop.keys;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.BooleanSupplier;
import vocalis.desktop.session.Place;

/**
 * One thing that the program does, wherever it is asked for: by key, menu, button or search.
 *
 * @param id names it
 * @param words what it does, as menu, search and help say it
 * @param partOf the command that search and help name in its place; empty where it stands for
 *     itself
 * @param places where it can be done; empty for everywhere
 * @param keys that ask for it, the first one shown
 * @param meaning what its keys mean wherever they hold
 * @param label its button in the strip of its place; empty where it has none there
 * @param marked its button while something is marked; empty where it has none then
 * @param brief how the status line says keys that are no button, such as arrows
 * @param lit whether what it turns on is on
 * @param repeats whether a held key does it again and again
 * @param inSheets whether its keys hold while a sheet is open
 * @param action does it; on the FX thread
 */
public record Command(
        String id,
        String words,
        Optional<String> partOf,
        Set<Place> places,
        List<Combo> keys,
        String meaning,
        Optional<String> label,
        Optional<String> marked,
        Optional<String> brief,
        BooleanSupplier lit,
        boolean repeats,
        boolean inSheets,
        Runnable action) {

    /** Whether a key asks for it. */
    boolean has(Combo combo) {
        return keys.contains(combo);
    }

    /** Whether it can be done in a place. */
    public boolean worksIn(Place place) {
        return places.isEmpty() || places.contains(place);
    }

    /** Whether it stands for itself in search, menus and help. */
    public boolean named() {
        return partOf.isEmpty();
    }

    /** Its first key as printed; empty where it has none. */
    public String printedKey() {
        return keys.isEmpty() ? "" : keys.get(0).printed();
    }

    /** A sentence's beginning. */
    public static String capital(String s) {
        return s.isEmpty() ? s : Character.toUpperCase(s.charAt(0)) + s.substring(1);
    }
}
