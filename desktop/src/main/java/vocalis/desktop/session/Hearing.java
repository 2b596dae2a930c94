package vocalis.desktop.session;

import java.util.Optional;
import vocalis.core.edit.Chords;
import vocalis.core.instrument.Shape;
import vocalis.core.piece.Piece;
import vocalis.core.riff.Riff;
import vocalis.core.riff.Treatment;
import vocalis.core.voicing.Family;
import vocalis.core.voicing.Voicing;
import vocalis.sound.device.Devices;

/** What sounds at the player's word: one voicing while a key is held, another riff, a device. */
public final class Hearing {

    private final Session session;
    private boolean hearing;
    private boolean previewing;
    private boolean startedForIt;
    private String device = Devices.DEFAULT;

    public Hearing(Session session) {
        this.session = session;
    }

    /** Name of the sound device. */
    public String device() {
        return device;
    }

    /** Goes over to another device or buffer; it is muted until the player lets it sound. */
    public void useDevice(String name, int bufferFrames) {
        device = name;
        session.player().output().use(Devices.opener(name), bufferFrames);
    }

    /** Takes the device that was chosen another time; as at every start, it is not muted. */
    public void remember(String name, int bufferFrames) {
        boolean other =
                !name.equals(device) || bufferFrames != session.player().output().bufferFrames();
        if (other) {
            useDevice(name, bufferFrames);
        }
    }

    /** Plays from the bar of the chord under the caret, or stops. */
    public void togglePlay() {
        if (session.playing()) {
            session.player().stop();
        } else {
            long at = session.currentChord().start();
            var meters = session.riff().meters();
            int bar = meters.bar(at);
            session.player().play(bar <= 0 ? 0 : meters.start(bar));
        }
    }

    /** Sounds a shape until {@link #endHearing}; while something is heard it goes on. */
    public boolean hear(Shape shape) {
        if (!hearing) {
            hearing = true;
            session.player().hear(shape);
        }
        return hearing;
    }

    /**
     * The same for a voicing drawn in its own intonation.
     *
     * @param cents per string, empty for equal temperament
     */
    public boolean hear(Voicing v, double[] cents) {
        if (!hearing) {
            hearing = true;
            session.player().hear(v.shape(), cents, Optional.empty());
        }
        return hearing;
    }

    /** Ends what is heard. */
    public void endHearing() {
        if (hearing) {
            hearing = false;
            session.player().release();
        }
    }

    /** Plays the loop as another riff until {@link #endPreview}. */
    public void preview(Riff riff) {
        preview(session.workspace().with(riff));
    }

    /** Plays the loop of another piece until {@link #endPreview}. */
    public void preview(Piece piece) {
        previewing = true;
        session.workspace()
                .preview(
                        piece,
                        heard -> {
                            if (previewing) {
                                session.player().show(heard);
                                if (!session.playing()) {
                                    startedForIt = true;
                                    session.player().play(0);
                                }
                            }
                        });
    }

    /** Whether another riff is heard in its place. */
    public boolean previewing() {
        return previewing;
    }

    /** Plays the riff of the document again; what was started for another stops. */
    public void endPreview() {
        if (previewing) {
            previewing = false;
            if (startedForIt) {
                startedForIt = false;
                session.player().stop();
            }
            session.player().show(session.workspace().heard());
        }
    }

    /**
     * Plays the loop with the plain chord on this root in the place of the one that stands here, so
     * that both are heard in one key; asked again, the riff as it is.
     */
    public void hearPlain() {
        if (previewing) {
            endPreview();
            session.say("As it stands.");
            return;
        }
        int chord = session.caret().chord();
        Riff now = session.now();
        preview(
                Chords.family(
                        now.withTreatment(chord, Treatment.best(Family.TRIAD)),
                        chord,
                        Family.TRIAD));
        session.say("With the plain chord here; the same key goes back.");
    }
}
