package vocalis.desktop;

import javafx.application.Application;

/** Starts the window. Not an Application itself, so that it runs from the class path too. */
public final class Launcher {

    private Launcher() {}

    /** Takes {@code [FILE]} or {@code --demo}. */
    public static void main(String[] args) {
        VocalisApp.prepare(args);
        Application.launch(VocalisApp.class, args);
    }
}
