package vocalis.desktop.practise;

import java.util.List;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.text.TextAlignment;
import vocalis.core.arrange.Song;
import vocalis.core.practice.Counting;
import vocalis.core.rhythm.Meter;
import vocalis.core.rhythm.MeterMap;

/** Paints the beats of the bar as they are counted, and which of them is now. */
final class CountLights {

    private final PracticeSkin skin;
    private final PracticePage c;
    private final PracticeModel practice;

    CountLights(PracticeSkin skin, PracticePage c) {
        this.skin = skin;
        this.c = c;
        this.practice = c.model();
    }

    /** What is practised, lights and the count. */
    void paint(GraphicsContext g, Song s, double at, boolean playing, double nowTick) {
        MeterMap meters = s.score().time().meters();
        boolean in = playing && practice.countingIn(nowTick);
        Meter meter = meters.meter(Math.max(0, meters.bar((long) at)));
        List<String> all = Counting.bar(meter, practice.settings().finest());
        long part = Math.min(practice.settings().finest(), meter.beatTicks());
        int now =
                !playing
                        ? -1
                        : in
                                ? (practice.beatCountedIn(nowTick) - 1)
                                        * (int) (meter.beatTicks() / part)
                                : (int) ((at - meters.start(meters.bar((long) at))) / part);
        boolean heard = playing && practice.clickHeard(nowTick);
        double x = PracticeSkin.LEFT + 26;
        double room = c.getWidth() - 60 - x;
        double step = Math.min(56, room / Math.max(1, all.size()));
        for (int i = 0; i < all.size(); i++) {
            boolean beat = i * part % meter.beatTicks() == 0;
            boolean on = i == now;
            double cx = x + i * step + 12;
            double size = beat ? 9 : 5;
            if (beat) {
                g.setStroke(c.line());
                g.setLineWidth(1.2);
                g.strokeOval(cx - size, 20 - size, 2 * size, 2 * size);
            }
            if (on && (heard || !beat)) {
                g.setFill(i == 0 ? c.ink() : c.dim());
                g.fillOval(cx - size, 20 - size, 2 * size, 2 * size);
            }
            skin.text(
                    g,
                    all.get(i),
                    cx,
                    48,
                    on || beat ? c.boldFont() : c.textFont(),
                    on ? c.ink() : c.dim(),
                    TextAlignment.CENTER);
        }
        if (in) {
            skin.text(
                    g,
                    "counting in",
                    x + all.size() * step + 18,
                    48,
                    c.textFont(),
                    c.ink(),
                    TextAlignment.LEFT);
        } else if (playing && practice.settings().click() && !heard) {
            skin.text(
                    g,
                    "the click is out",
                    x + all.size() * step + 18,
                    48,
                    c.textFont(),
                    c.dim(),
                    TextAlignment.LEFT);
        }
        skin.means(
                x,
                6,
                all.size() * step,
                52,
                "The beats of the bar as they are counted; O counts finer or not");
    }
}
