package vocalis.core.derive;

import java.util.List;
import vocalis.core.pattern.Touch;
import vocalis.core.score.Technique;

/** What a touch does to a note, one thing after the other. */
final class TouchParts {

    private TouchParts() {}

    /** What a touch does; empty where it changes the note itself. */
    static List<TouchPart> parts(Touch touch) {
        if (touch instanceof Touch.Legato legato) {
            return legato.steps().stream()
                    .map(
                            s ->
                                    new TouchPart(
                                            touch,
                                            s.frets(),
                                            new Technique(
                                                    s.frets() > 0
                                                            ? Technique.Kind.HAMMER
                                                            : Technique.Kind.PULL,
                                                    0,
                                                    s.after(),
                                                    0)))
                    .toList();
        }
        if (touch instanceof Touch.Slide s) {
            return List.of(
                    new TouchPart(
                            touch,
                            s.frets(),
                            new Technique(Technique.Kind.SLIDE, 0, s.after(), s.lasting())));
        }
        if (touch instanceof Touch.Bend b) {
            TouchPart up = still(touch, Technique.Kind.BEND, b.cents(), b.after(), b.lasting());
            return b.release().isEmpty()
                    ? List.of(up)
                    : List.of(
                            up,
                            still(
                                    touch,
                                    Technique.Kind.RELEASE,
                                    0,
                                    b.release().getAsLong(),
                                    b.lasting()));
        }
        if (touch instanceof Touch.Tremolo t) {
            return List.of(still(touch, Technique.Kind.TREMOLO, t.strokes(), 0, 0));
        }
        if (touch instanceof Touch.Pinch p) {
            return List.of(still(touch, Technique.Kind.PINCH, p.partial(), 0, 0));
        }
        if (touch instanceof Touch.Vibrato v) {
            return List.of(
                    new TouchPart(
                            touch,
                            0,
                            new Technique(
                                    Technique.Kind.VIBRATO, v.cents(), v.after(), 0, v.hz())));
        }
        return List.of();
    }

    static TouchPart still(Touch touch, Technique.Kind kind, int to, long after, long lasting) {
        return new TouchPart(touch, 0, new Technique(kind, to, after, lasting));
    }
}
