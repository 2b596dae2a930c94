package vocalis.desktop.keys;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import vocalis.desktop.session.Place;

/**
 * One thing that the program does, wherever it is asked for: by key, menu, or button.
 *
 * @param id names it
 * @param words what it does, as menu and help say it
 * @param places where its keys hold; empty for every place of the Write screen
 * @param keys that ask for it, the first one shown
 * @param brief how the status line says it, keys included; empty where it does not
 * @param repeats whether a held key does it again and again
 * @param inSheets whether its keys hold while a sheet is open
 * @param action does it; on the FX thread
 */
public record Command(
        String id,
        String words,
        Set<Place> places,
        List<Combo> keys,
        Optional<String> brief,
        boolean repeats,
        boolean inSheets,
        Runnable action) {

    /** Whether a key asks for it. */
    boolean has(Combo combo) {
        return keys.contains(combo);
    }

    /** Its first key as printed; empty where it has none. */
    public String printedKey() {
        return keys.isEmpty() ? "" : keys.get(0).printed();
    }
}
