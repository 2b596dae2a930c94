package vocalis.core.derive;

import java.util.List;
import vocalis.core.pattern.Touch;
import vocalis.core.score.Technique;

/**
 * What a touch does to a note, one thing after the other; nothing where it changes the note itself.
 */
final class TouchParts implements Touch.Cases<List<TouchPart>> {

    private static final TouchParts PARTS = new TouchParts();

    private TouchParts() {}

    /** What a touch does; empty where it changes the note itself. */
    static List<TouchPart> parts(Touch touch) {
        return touch.say(PARTS);
    }

    @Override
    public List<TouchPart> legato(Touch.Legato touch) {
        return touch.steps().stream().map(s -> step(touch, s)).toList();
    }

    private static TouchPart step(Touch touch, Touch.Step s) {
        Technique.Kind kind = s.frets() > 0 ? Technique.Kind.HAMMER : Technique.Kind.PULL;
        return new TouchPart(touch, s.frets(), new Technique(kind, 0, s.after(), 0));
    }

    @Override
    public List<TouchPart> slide(Touch.Slide s) {
        Technique t = new Technique(Technique.Kind.SLIDE, 0, s.after(), s.lasting());
        return List.of(new TouchPart(s, s.frets(), t));
    }

    @Override
    public List<TouchPart> bend(Touch.Bend b) {
        TouchPart up = still(b, Technique.Kind.BEND, b.cents(), b.after(), b.lasting());
        if (b.release().isEmpty()) {
            return List.of(up);
        }
        long back = b.release().getAsLong();
        return List.of(up, still(b, Technique.Kind.RELEASE, 0, back, b.lasting()));
    }

    @Override
    public List<TouchPart> vibrato(Touch.Vibrato v) {
        Technique t = new Technique(Technique.Kind.VIBRATO, v.cents(), v.after(), 0, v.hz());
        return List.of(new TouchPart(v, 0, t));
    }

    @Override
    public List<TouchPart> tremolo(Touch.Tremolo t) {
        return List.of(still(t, Technique.Kind.TREMOLO, t.strokes(), 0, 0));
    }

    @Override
    public List<TouchPart> pinch(Touch.Pinch p) {
        return List.of(still(p, Technique.Kind.PINCH, p.partial(), 0, 0));
    }

    @Override
    public List<TouchPart> level(Touch.Level l) {
        return List.of();
    }

    @Override
    public List<TouchPart> moved(Touch.Moved m) {
        return List.of();
    }

    @Override
    public List<TouchPart> pinned(Touch.Pinned p) {
        return List.of();
    }

    static TouchPart still(Touch touch, Technique.Kind kind, int to, long after, long lasting) {
        return new TouchPart(touch, 0, new Technique(kind, to, after, lasting));
    }
}
