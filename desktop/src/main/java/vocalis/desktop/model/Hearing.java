package vocalis.desktop.model;

import java.util.Optional;
import vocalis.core.instrument.Shape;
import vocalis.core.piece.Piece;
import vocalis.core.riff.Riff;
import vocalis.core.voicing.Voicing;
import vocalis.sound.device.Devices;

/** What sounds at the player's word: the loop, one voicing while a key is held, another device. */
public final class Hearing {

    private final WriteModel model;
    private boolean hearing;
    private String device = Devices.DEFAULT;

    public Hearing(WriteModel model) {
        this.model = model;
    }

    /** Name of the sound device. */
    public String device() {
        return device;
    }

    /** Goes over to another device or buffer; it is muted until the player lets it sound. */
    public void useDevice(String name, int bufferFrames) {
        device = name;
        model.player().output().use(Devices.opener(name), bufferFrames);
    }

    /** Takes the device that was chosen another time; as at every start, it is not muted. */
    public void remember(String name, int bufferFrames) {
        boolean other =
                !name.equals(device) || bufferFrames != model.player().output().bufferFrames();
        if (other) {
            useDevice(name, bufferFrames);
        }
    }

    /** Starts the loop at the chord under the caret, or stops it. */
    public void togglePlay() {
        Zone zone = model.screen();
        if (zone == Zone.ARRANGE) {
            model.arrange().hearing().togglePlay();
        } else if (zone == Zone.PRACTISE) {
            model.practice().togglePlay();
        } else if (model.player().telemetry().latest().playing()) {
            model.player().stop();
        } else {
            long at = model.currentChord().start();
            var meters = model.riff().meters();
            int bar = meters.bar(at);
            model.player().play(bar <= 0 ? 0 : meters.start(bar));
        }
    }

    /**
     * Sounds what is under the caret until {@link #endHearing}; repeated calls while held do
     * nothing.
     *
     * @return whether something is heard now
     */
    public boolean beginHearing() {
        if (model.zoneProperty().get() == Zone.REVOICE) {
            return model.revoice().hearRow();
        }
        if (model.screen() == Zone.ARRANGE) {
            return model.arrange().hearing().beginHearing();
        }
        if (model.screen() == Zone.PRACTISE) {
            return false;
        }
        if (!hearing) {
            hearing = true;
            boolean looking =
                    model.zoneProperty().get() == Zone.CARDS
                            || model.zoneProperty().get() == Zone.NECK;
            Voicing v =
                    looking
                            ? model.shownProperty().get()
                            : model.currentChord().candidate().voicing();
            model.player().hear(v.shape(), model.gain().cents(v), Optional.empty());
        }
        return hearing;
    }

    /** Sounds a shape. */
    public void hear(Shape shape) {
        if (!hearing) {
            hearing = true;
            model.player().hear(shape);
        }
    }

    /** Sounds what the neck shows with a string let ring that it silences: the miss. */
    public boolean beginHearingMiss(int string) {
        Shape shape = model.shownProperty().get().shape();
        if (!hearing && !shape.sounds(string)) {
            hearing = true;
            model.player().hear(shape.with(string, 0));
        }
        return hearing;
    }

    /** Sounds what the neck shows. */
    public void beginHearingShown() {
        if (!hearing) {
            hearing = true;
            model.player()
                    .hear(
                            model.shownProperty().get().shape(),
                            model.gain().cents(model.shownProperty().get()),
                            Optional.empty());
        }
    }

    public void endHearing() {
        if (model.screen() == Zone.ARRANGE) {
            model.arrange().hearing().endHearing();
        }
        if (model.zoneProperty().get() == Zone.REVOICE && !model.revoice().otherSounds()) {
            endPreview();
        }
        if (hearing) {
            hearing = false;
            model.player().release();
        }
    }

    private boolean previewing;
    private boolean startedForIt;

    /** Plays the loop as another riff until {@link #endPreview}. */
    public void preview(Riff riff) {
        preview(model.workspace().content().with(riff));
    }

    /** Plays the loop of another piece until {@link #endPreview}. */
    public void preview(Piece piece) {
        previewing = true;
        model.workspace()
                .preview(
                        piece,
                        heard -> {
                            if (previewing) {
                                model.player().show(heard);
                                if (!model.player().telemetry().latest().playing()) {
                                    startedForIt = true;
                                    model.player().play(0);
                                }
                            }
                        });
    }

    /** Plays the riff of the document again; what was started for another stops. */
    public void endPreview() {
        if (previewing) {
            previewing = false;
            if (startedForIt) {
                startedForIt = false;
                model.player().stop();
            }
            model.player().show(model.workspace().heard());
        }
    }
}
