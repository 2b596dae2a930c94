package vocalis.core.pattern;

import java.util.List;
import java.util.Objects;
import java.util.OptionalLong;
import vocalis.core.score.Dynamics;
import vocalis.core.score.Technique;

/**
 * The fifth layer: what is done by hand on top of what the other four give. Every touch belongs to
 * a note of an event; frets are counted from the fret that the note has reached by then.
 */
public sealed interface Touch {

    Anchor anchor();

    /** The same touch on another note. */
    Touch on(Anchor other);

    /** Where a touch begins, ticks after the stroke; 0 for one that changes the note itself. */
    long after();

    /** What this kind of touch has to say; a new kind does not compile until each says it. */
    <T> T say(Cases<T> cases);

    /**
     * One answer for each kind of touch.
     *
     * @param <T> what is answered
     */
    interface Cases<T> {
        T legato(Legato touch);

        T slide(Slide touch);

        T bend(Bend touch);

        T vibrato(Vibrato touch);

        T level(Level touch);

        T tremolo(Tremolo touch);

        T pinch(Pinch touch);

        T moved(Moved touch);

        T pinned(Pinned touch);
    }

    /**
     * One step of a chain of hammer-ons and pull-offs.
     *
     * @param frets up (hammer-on) or down (pull-off), not 0
     * @param after ticks from the stroke
     */
    record Step(int frets, long after) {
        public Step {
            if (frets == 0 || Math.abs(frets) > 36) {
                throw new IllegalArgumentException(
                        "a hammer-on or pull-off goes 1 to 36 frets, not " + frets);
            }
            times(after, 0);
        }
    }

    /**
     * Hammer-ons and pull-offs, one after another without the pick.
     *
     * @param steps 1 to {@link Limits#MOST_STEPS}, ascending in time
     */
    record Legato(Anchor anchor, List<Step> steps) implements Touch {
        public Legato {
            Objects.requireNonNull(anchor, "anchor");
            steps = List.copyOf(steps);
            if (steps.isEmpty() || steps.size() > Limits.MOST_STEPS) {
                throw new IllegalArgumentException(
                        "a chain has 1 to " + Limits.MOST_STEPS + " steps, not " + steps.size());
            }
            for (int i = 1; i < steps.size(); i++) {
                if (steps.get(i).after() < steps.get(i - 1).after()) {
                    throw new IllegalArgumentException("the steps of a chain follow each other");
                }
            }
        }

        @Override
        public Legato on(Anchor other) {
            return new Legato(other, steps);
        }

        @Override
        public <T> T say(Cases<T> cases) {
            return cases.legato(this);
        }

        @Override
        public long after() {
            return steps.get(0).after();
        }
    }

    /**
     * A slide to another fret.
     *
     * @param frets up or down, not 0
     * @param after ticks from the stroke to where it begins
     * @param lasting ticks that it takes
     */
    record Slide(Anchor anchor, int frets, long after, long lasting) implements Touch {
        public Slide {
            Objects.requireNonNull(anchor, "anchor");
            times(after, lasting);
            if (frets == 0 || Math.abs(frets) > 36) {
                throw new IllegalArgumentException("a slide goes 1 to 36 frets, not " + frets);
            }
        }

        @Override
        public Slide on(Anchor other) {
            return new Slide(other, frets, after, lasting);
        }

        @Override
        public <T> T say(Cases<T> cases) {
            return cases.slide(this);
        }
    }

    /**
     * A bend.
     *
     * @param cents 25 to 400
     * @param after ticks from the stroke to where it begins
     * @param lasting ticks that the way up takes, and the way back
     * @param release ticks from the stroke to where it is let back; empty where it is held
     */
    record Bend(Anchor anchor, int cents, long after, long lasting, OptionalLong release)
            implements Touch {
        public Bend {
            Objects.requireNonNull(anchor, "anchor");
            times(after, lasting);
            if (cents < 25 || cents > 400) {
                throw new IllegalArgumentException("a bend goes 25 to 400 cents, not " + cents);
            }
            if (release.isPresent() && release.getAsLong() < after) {
                throw new IllegalArgumentException("a bend is let back after it began");
            }
        }

        @Override
        public Bend on(Anchor other) {
            return new Bend(other, cents, after, lasting, release);
        }

        @Override
        public <T> T say(Cases<T> cases) {
            return cases.bend(this);
        }
    }

    /**
     * Vibrato.
     *
     * @param cents how wide, 5 to 200
     * @param hz how fast, 2 to 10 a second
     * @param after ticks from the stroke to where it begins
     */
    record Vibrato(Anchor anchor, int cents, double hz, long after) implements Touch {

        /** How fast the simulated hand shakes by itself. */
        public static final double USUAL_HZ = Technique.USUAL_HZ;

        public Vibrato {
            Objects.requireNonNull(anchor, "anchor");
            times(after, 0);
            if (cents < 5 || cents > 200) {
                throw new IllegalArgumentException(
                        "a vibrato is 5 to 200 cents wide, not " + cents);
            }
            if (!(hz >= 2 && hz <= 10)) {
                throw new IllegalArgumentException("a vibrato has 2 to 10 Hz, not " + hz);
            }
        }

        @Override
        public Vibrato on(Anchor other) {
            return new Vibrato(other, cents, hz, after);
        }

        @Override
        public <T> T say(Cases<T> cases) {
            return cases.vibrato(this);
        }
    }

    /**
     * One voice is softer or harder than its stroke.
     *
     * @param dynamics how hard
     */
    record Level(Anchor anchor, Dynamics dynamics) implements Touch {
        public Level {
            Objects.requireNonNull(anchor, "anchor");
            Objects.requireNonNull(dynamics, "dynamics");
        }

        @Override
        public Level on(Anchor other) {
            return new Level(other, dynamics);
        }

        @Override
        public <T> T say(Cases<T> cases) {
            return cases.level(this);
        }

        @Override
        public long after() {
            return 0;
        }
    }

    /**
     * The note is struck again and again while it lasts.
     *
     * @param strokes to a quarter note, 2 to 16
     */
    record Tremolo(Anchor anchor, int strokes) implements Touch {
        public Tremolo {
            Objects.requireNonNull(anchor, "anchor");
            if (strokes < 2 || strokes > 16) {
                throw new IllegalArgumentException(
                        "a tremolo has 2 to 16 strokes to a quarter, not " + strokes);
            }
        }

        @Override
        public Tremolo on(Anchor other) {
            return new Tremolo(other, strokes);
        }

        @Override
        public <T> T say(Cases<T> cases) {
            return cases.tremolo(this);
        }

        @Override
        public long after() {
            return 0;
        }
    }

    /**
     * A pinch harmonic: the thumb touches the string behind the pick, and a partial sounds in place
     * of the note.
     *
     * @param partial which one, 2 to {@link #HIGHEST}: where the thumb lies
     */
    record Pinch(Anchor anchor, int partial) implements Touch {
        /** The highest partial that a thumb leaves. */
        public static final int HIGHEST = 8;

        public Pinch {
            Objects.requireNonNull(anchor, "anchor");
            if (partial < 2 || partial > HIGHEST) {
                throw new IllegalArgumentException(
                        "a pinch harmonic sounds partial 2 to 8, not " + partial);
            }
        }

        @Override
        public Pinch on(Anchor other) {
            return new Pinch(other, partial);
        }

        @Override
        public <T> T say(Cases<T> cases) {
            return cases.pinch(this);
        }

        @Override
        public long after() {
            return 0;
        }
    }

    /**
     * The note is another than the shape has.
     *
     * @param frets up or down from the shape's, not 0
     */
    record Moved(Anchor anchor, int frets) implements Touch {
        public Moved {
            Objects.requireNonNull(anchor, "anchor");
            if (frets == 0 || Math.abs(frets) > 36) {
                throw new IllegalArgumentException(
                        "a changed note lies 1 to 36 frets off, not " + frets);
            }
        }

        @Override
        public Moved on(Anchor other) {
            return new Moved(other, frets);
        }

        @Override
        public <T> T say(Cases<T> cases) {
            return cases.moved(this);
        }

        @Override
        public long after() {
            return 0;
        }
    }

    /**
     * The note on a string is at a fret of its own, whatever the shape has.
     *
     * @param anchor its voice is a string
     * @param fret fret from the capo
     */
    record Pinned(Anchor anchor, int fret) implements Touch {
        public Pinned {
            if (!(anchor.voice() instanceof Anchor.Voice.OnString)) {
                throw new IllegalArgumentException("a pinned note belongs to a string");
            }
            if (fret < 0 || fret > 36) {
                throw new IllegalArgumentException("a fret lies from 0 to 36, not at " + fret);
            }
        }

        @Override
        public Pinned on(Anchor other) {
            return new Pinned(other, fret);
        }

        @Override
        public <T> T say(Cases<T> cases) {
            return cases.pinned(this);
        }

        @Override
        public long after() {
            return 0;
        }
    }

    private static void times(long after, long lasting) {
        if (after < 0
                || lasting < 0
                || after > Limits.LONGEST_FIGURE
                || lasting > Limits.LONGEST_FIGURE) {
            throw new IllegalArgumentException(
                    "a touch's times lie from 0 to "
                            + Limits.LONGEST_FIGURE
                            + " ticks, but are "
                            + after
                            + " and "
                            + lasting);
        }
    }
}
