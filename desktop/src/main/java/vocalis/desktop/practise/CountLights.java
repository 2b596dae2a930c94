package vocalis.desktop.practise;

import java.util.List;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.paint.Paint;
import javafx.scene.text.Font;
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
        boolean in = playing && practice.counting().countingIn(nowTick);
        Meter meter = meters.meter(Math.max(0, meters.bar((long) at)));
        List<String> all = Counting.bar(meter, practice.settings().finest());
        long part = Math.min(practice.settings().finest(), meter.beatTicks());
        int now = !playing ? -1 : in ? countedIn(meter, part, nowTick) : inBar(meters, at, part);
        boolean heard = playing && practice.counting().clickHeard(nowTick);
        double x = PracticeSkin.LEFT + 26;
        double room = c.getWidth() - 60 - x;
        double step = Math.min(56, room / Math.max(1, all.size()));
        for (int i = 0; i < all.size(); i++) {
            boolean beat = i * part % meter.beatTicks() == 0;
            light(g, all.get(i), x + i * step + 12, beat, i == now, i == 0, heard);
        }
        if (in || playing && practice.settings().click() && !heard) {
            String words = in ? "counting in" : "the click is out";
            double after = x + all.size() * step + 18;
            Paint ink = in ? c.ink() : c.dim();
            skin.text(g, words, after, 48, c.textFont(), ink, TextAlignment.LEFT);
        }
        skin.means(
                x,
                6,
                all.size() * step,
                52,
                "The beats of the bar as they are counted; All … below counts finer or not");
    }

    private int countedIn(Meter meter, long part, double nowTick) {
        return (practice.counting().beatCountedIn(nowTick) - 1) * (int) (meter.beatTicks() / part);
    }

    private static int inBar(MeterMap meters, double at, long part) {
        return (int) ((at - meters.start(meters.bar((long) at))) / part);
    }

    private void light(
            GraphicsContext g,
            String word,
            double x,
            boolean beat,
            boolean on,
            boolean one,
            boolean heard) {
        double size = beat ? 9 : 5;
        if (beat) {
            g.setStroke(c.line());
            g.setLineWidth(1.2);
            g.strokeOval(x - size, 20 - size, 2 * size, 2 * size);
        }
        if (on && (heard || !beat)) {
            g.setFill(one ? c.ink() : c.dim());
            g.fillOval(x - size, 20 - size, 2 * size, 2 * size);
        }
        Font font = on || beat ? c.boldFont() : c.textFont();
        skin.text(g, word, x, 48, font, on ? c.ink() : c.dim(), TextAlignment.CENTER);
    }
}
