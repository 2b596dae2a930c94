package vocalis.desktop.session;

import java.util.List;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.SimpleObjectProperty;

/** Which place has the keys, and which screen is open because of it. */
public final class Whereabouts {

    /** The fields of the ground belong to the screen that they were entered from. */
    public enum Around implements Place {
        GROUND;

        @Override
        public String words() {
            return "Ground";
        }

        @Override
        public boolean canBeHeard() {
            return false;
        }
    }

    private final ObjectProperty<Place> place;
    private final ReadOnlyObjectWrapper<Screen> screen = new ReadOnlyObjectWrapper<>();
    private List<Screen> all = List.of();

    public Whereabouts(Place first) {
        place = new SimpleObjectProperty<>(first);
        place.addListener((o, was, is) -> moved(is));
    }

    /** The screens that there are; the first is open. */
    public void screens(List<Screen> screens) {
        all = List.copyOf(screens);
        screen.set(all.get(0));
    }

    /** The screens in the order of the work. */
    public List<Screen> screens() {
        return all;
    }

    public ObjectProperty<Place> placeProperty() {
        return place;
    }

    public Place place() {
        return place.get();
    }

    /** The screen that is open. */
    public ReadOnlyObjectProperty<Screen> screenProperty() {
        return screen.getReadOnlyProperty();
    }

    public Screen screen() {
        return screen.get();
    }

    private void moved(Place to) {
        Screen was = screen.get();
        for (Screen s : all) {
            if (s.has(to) && s != was) {
                was.leave();
                screen.set(s);
                s.enter();
            }
        }
    }
}
