package vocalis.workbench.words;

import vocalis.core.pattern.Touch;

/** What each kind of touch is called. */
final class TouchNames implements Touch.Cases<String> {

    static final TouchNames NAMES = new TouchNames();

    private TouchNames() {}

    @Override
    public String legato(Touch.Legato touch) {
        boolean up = touch.steps().get(0).frets() > 0;
        return touch.steps().size() > 1 ? "chain" : up ? "hammer-on" : "pull-off";
    }

    @Override
    public String slide(Touch.Slide touch) {
        return "slide";
    }

    @Override
    public String bend(Touch.Bend touch) {
        return touch.release().isPresent() ? "bend and release" : "bend";
    }

    @Override
    public String vibrato(Touch.Vibrato touch) {
        return "vibrato";
    }

    @Override
    public String level(Touch.Level touch) {
        return "level of a voice";
    }

    @Override
    public String tremolo(Touch.Tremolo touch) {
        return "tremolo";
    }

    @Override
    public String pinch(Touch.Pinch touch) {
        return "pinch harmonic";
    }

    @Override
    public String moved(Touch.Moved touch) {
        return "changed note";
    }

    @Override
    public String pinned(Touch.Pinned touch) {
        return "changed note";
    }
}
