package vocalis.desktop.listening;

import java.util.List;
import java.util.Optional;
import vocalis.core.mix.Fader;
import vocalis.core.mix.Mix;
import vocalis.core.rhythm.Meter;
import vocalis.core.rhythm.TimeLine;
import vocalis.core.score.Score;
import vocalis.desktop.session.Session;
import vocalis.workbench.listening.Listener;
import vocalis.workbench.playing.Heard;

/**
 * Clicks go out while an input is heard: which moment of the input a moment of the clicks is. The
 * riff sounds again afterwards. Used on the FX thread.
 */
final class Clicks {

    /** Bars that are clicked past the last: what is played there comes in late. */
    private static final int PAST = 2;

    private final Session session;
    private final Source source;
    private final Alignment alignment = new Alignment();
    private TimeLine time = TimeLine.of(Meter.COMMON, 120);
    private boolean running;

    Clicks(Session session, Source source) {
        this.session = session;
        this.source = source;
    }

    /** Opens the input and clicks so many bars. */
    void begin(Meter meter, int tempo, int bars) {
        source.open();
        alignment.clear();
        running = true;
        time = TimeLine.of(meter, tempo);
        var ground = session.now().ground();
        long length = (long) (bars + PAST) * meter.barTicks();
        Score none = new Score(ground.board(), time, length, List.of(), List.of());
        Mix alone = Mix.ALONE.withClick(Fader.ON);
        session.player().showAndPlay(new Heard(none, Optional.empty(), ground, alone), 0);
    }

    boolean running() {
        return running;
    }

    /** Seconds of so many ticks of what is clicked. */
    double seconds(long ticks) {
        return time.tempos().seconds(ticks);
    }

    /** Seconds that were clicked; empty while nothing is. Reads both clocks. */
    Optional<Double> now() {
        var moment = session.player().telemetry().latest();
        Optional<Listener> listener = source.listener();
        if (!running || listener.isEmpty() || !moment.playing()) {
            return Optional.empty();
        }
        double played = seconds((long) moment.tick());
        alignment.add(played, listener.get().seconds());
        return Optional.of(played);
    }

    /** The input's time at which a moment of the clicks went out. */
    double heard(double played) {
        return alignment.heard(played);
    }

    void end() {
        if (running) {
            running = false;
            session.player().stop();
            session.player().show(session.workspace().heard());
        }
    }
}
