package vocalis.desktop.view;

import java.util.Optional;

/** A control that answers, point by point, what is shown there. */
public interface Explained {

    /** What stands at a point of the control; empty where nothing answers. */
    Optional<String> explain(double x, double y);
}
