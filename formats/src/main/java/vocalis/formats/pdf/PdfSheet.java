package vocalis.formats.pdf;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.logging.Level;
import java.util.logging.Logger;
import org.apache.pdfbox.pdmodel.font.PDFont;
import vocalis.core.rhythm.Meter;
import vocalis.core.rhythm.MeterMap;
import vocalis.core.rhythm.Notation;
import vocalis.core.rhythm.Ticks;
import vocalis.core.score.Dynamics;
import vocalis.core.score.Harmony;
import vocalis.core.score.Manner;
import vocalis.core.score.Score;
import vocalis.core.score.ScoreNote;
import vocalis.core.score.Technique;
import vocalis.core.theory.Spelling;
import vocalis.formats.FormatException;
import vocalis.formats.sheet.Sheet;
import vocalis.formats.sheet.Written;

/**
 * Draws a riff sheet as PDF on A4: the ground, each shape with its fingers and what silences the
 * rest, the tab with its rhythm, cautions. What does not fit on one page goes on on the next.
 */
public final class PdfSheet implements AutoCloseable {

    private static final float LINE = 7.2f;
    private static final float TITLE = 22;
    private static final float TEXT = 9;
    private static final float SMALL = 7.5f;
    private static final float FRET = 7.6f;

    /** Darkness of ink, of what stands behind it, and of thin lines: 0 is black. */
    private static final float INK = 0.08f;

    private static final float DIM = 0.42f;
    private static final float FAINT = 0.72f;

    /** The library complains of a table of our fonts that nobody needs. */
    private static final Logger QUIET = Logger.getLogger("org.apache.fontbox.ttf");

    static {
        QUIET.setLevel(Level.SEVERE);
    }

    private final PdfPage page = new PdfPage();
    private final PDFont text;
    private final PDFont bold;
    private final PDFont mono;

    private PdfSheet() throws IOException {
        text = page.font(Fonts.TEXT);
        bold = page.font(Fonts.BOLD);
        mono = page.font(Fonts.MONO);
    }

    /** The file's bytes. */
    public static byte[] write(StandSheet stand) throws FormatException {
        try (PdfSheet pdf = new PdfSheet()) {
            return pdf.drawn(stand);
        } catch (IOException e) {
            throw new FormatException("the sheet could not be drawn: " + e.getMessage(), e);
        }
    }

    private byte[] drawn(StandSheet stand) throws IOException {
        page.title(stand.sheet().title());
        page.turn();
        page.write(bold, TITLE, INK, PdfPage.MARGIN, page.y - 18, stand.sheet().title());
        page.y -= 34;
        page.write(text, TEXT + 1, DIM, PdfPage.MARGIN, page.y, stand.ground());
        page.y -= 24;
        shapes(stand);
        for (Sheet.Guitar g : stand.sheet().guitars()) {
            if (stand.sheet().guitars().size() > 1) {
                page.room(LINE * 12);
                page.write(bold, TEXT + 1, INK, PdfPage.MARGIN, page.y, g.name());
                page.y -= 8;
            }
            tab(g.score());
        }
        for (String c : stand.cautions()) {
            for (String line :
                    PdfPage.wrapped(text, TEXT, c, PdfPage.right() - PdfPage.MARGIN - 10)) {
                page.room(14);
                page.write(text, TEXT, INK, PdfPage.MARGIN + 10, page.y, line);
                page.y -= 12;
            }
        }
        return page.bytes();
    }

    private static final float BOX = 84;
    private static final float FRETS = 5;

    private void shapes(StandSheet stand) throws IOException {
        int across = (int) ((PdfPage.right() - PdfPage.MARGIN) / BOX);
        for (int from = 0; from < stand.shapes().size(); from += across) {
            List<StandSheet.Held> row =
                    stand.shapes().subList(from, Math.min(stand.shapes().size(), from + across));
            List<List<String>> words = new ArrayList<>();
            int most = 0;
            for (StandSheet.Held h : row) {
                words.add(
                        h.muting().isEmpty()
                                ? List.of()
                                : PdfPage.wrapped(text, SMALL - 0.5f, h.muting(), BOX - 12));
                most = Math.max(most, words.get(words.size() - 1).size());
            }
            page.room(84 + 9 * most);
            for (int i = 0; i < row.size(); i++) {
                float x = PdfPage.MARGIN + i * BOX;
                shape(row.get(i), x);
                for (int l = 0; l < words.get(i).size(); l++) {
                    page.write(
                            text,
                            SMALL - 0.5f,
                            DIM,
                            x,
                            page.y - 78 - 8.5f * l,
                            words.get(i).get(l));
                }
            }
            page.y -= 92 + 8.5f * most;
        }
    }

    private void shape(StandSheet.Held h, float x) throws IOException {
        int strings = h.shape().strings();
        float apart = Math.min(9, (BOX - 30) / (strings - 1));
        float wide = apart * (strings - 1);
        page.write(bold, TEXT + 1, INK, x, page.y, h.name());
        float top = page.y - 18;
        int low = Math.max(1, h.shape().lowestFretted());
        int first = h.shape().highestFretted() <= FRETS ? 1 : low;
        float tall = 9.5f;
        for (int s = 0; s < strings; s++) {
            page.line(FAINT, 0.6f, x + s * apart, top, x + s * apart, top - FRETS * tall);
            int fret = h.shape().fret(s);
            String mark = fret < 0 ? "×" : fret == 0 ? "o" : "";
            page.centered(text, SMALL, fret < 0 ? DIM : INK, x + s * apart, top + 3, mark);
            if (fret > 0) {
                float at = top - (fret - first + 0.5f) * tall;
                page.dot(INK, x + s * apart, at, 3.5f);
                int finger = h.fingers().get(s);
                String who = finger == 5 ? "T" : finger == 0 ? "" : String.valueOf(finger);
                page.centered(bold, 5.5f, 1, x + s * apart, at - 1.9f, who);
            }
        }
        frets(x, top, wide, tall, first == 1);
        if (first > 1) {
            page.write(
                    text,
                    SMALL,
                    DIM,
                    x + wide + 5,
                    top - 0.5f * tall - 2.5f,
                    String.valueOf(first));
        }
    }

    private void frets(float x, float top, float wide, float tall, boolean atNut)
            throws IOException {
        for (int f = 0; f <= FRETS; f++) {
            boolean nut = f == 0 && atNut;
            page.line(
                    nut ? INK : FAINT,
                    nut ? 1.6f : 0.6f,
                    x,
                    top - f * tall,
                    x + wide,
                    top - f * tall);
        }
    }

    /** A bar with how wide it wants to be. */
    private record Bar(int number, List<Written.Item> items, float width) {}

    private void tab(Score score) throws IOException {
        MeterMap meters = score.time().meters();
        List<List<Written.Item>> voices = Written.voices(score);
        List<Bar> bars = new ArrayList<>();
        int first = meters.pickup() > 0 ? MeterMap.PICKUP_BAR : 0;
        for (int b = first; b < meters.bars(score.length()); b++) {
            List<Written.Item> items = new ArrayList<>();
            long at = meters.start(b);
            long end = Math.min(score.length(), meters.end(b));
            for (Written.Item i : voices.isEmpty() ? List.<Written.Item>of() : voices.get(0)) {
                if (i.at() >= meters.start(b) && i.at() < end) {
                    items.addAll(Written.rests(at, i.at(), meters));
                    items.add(i);
                    at = i.end();
                }
            }
            items.addAll(Written.rests(at, end, meters));
            float wide = 14;
            for (Written.Item i : items) {
                wide += wants(i);
            }
            bars.add(new Bar(b, items, wide));
        }
        float room = PdfPage.right() - PdfPage.MARGIN - 18;
        List<Bar> system = new ArrayList<>();
        float taken = 0;
        for (Bar b : bars) {
            if (!system.isEmpty() && taken + b.width() > room) {
                system(score, system, room / taken);
                system = new ArrayList<>();
                taken = 0;
            }
            system.add(b);
            taken += b.width();
        }
        system(score, system, Math.min(1.35f, room / taken));
    }

    private static float wants(Written.Item i) {
        return 8 + 9 * (float) Math.sqrt((double) i.value().ticks() / Ticks.EIGHTH);
    }

    private void system(Score score, List<Bar> bars, float stretch) throws IOException {
        int strings = score.board().strings();
        float tall = LINE * (strings - 1);
        page.room(tall + 66);
        float top = page.y - 24;
        float x = PdfPage.MARGIN + 18;
        float end = x;
        for (Bar b : bars) {
            end += b.width() * stretch;
        }
        for (int s = 0; s < strings; s++) {
            float at = top - LINE * (strings - 1 - s);
            page.line(FAINT, 0.5f, PdfPage.MARGIN + 12, at, end, at);
            int midi = score.board().instrument().tuning().open().get(s);
            page.write(text, 6.5f, DIM, PdfPage.MARGIN, at - 2.2f, Spelling.plain(midi).symbol());
        }
        page.line(DIM, 0.7f, PdfPage.MARGIN + 12, top, PdfPage.MARGIN + 12, top - tall);
        for (Bar b : bars) {
            bar(score, b, x, top, stretch);
            x += b.width() * stretch;
            boolean last = b.number() == score.time().meters().bars(score.length()) - 1;
            page.line(last ? INK : DIM, last ? 1.6f : 0.7f, x, top, x, top - tall);
        }
        page.y = top - tall - 42;
    }

    private void bar(Score score, Bar b, float from, float top, float stretch) throws IOException {
        int strings = score.board().strings();
        float under = top - LINE * (strings - 1);
        MeterMap meters = score.time().meters();
        Meter m = meters.meter(b.number());
        if (b.number() == 0 || b.number() > 0 && !m.equals(meters.meter(b.number() - 1))) {
            page.write(text, 6, DIM, from + 1, top + 4, m.symbol());
        }
        float x = from + 10 * stretch;
        Notation.TiedValue before = null;
        float beforeX = 0;
        String mark = "";
        List<Written.Item> items = b.items();
        for (int n = 0; n < items.size(); n++) {
            Written.Item i = items.get(n);
            for (Harmony h : score.harmonies()) {
                if (h.at() >= i.at() && h.at() < i.end()) {
                    page.write(bold, TEXT, INK, x - 3, top + 14, h.symbol());
                }
            }
            heads(i, x, top, strings);
            Notation.TiedValue part = new Notation.TiedValue(i.at(), i.value(), false);
            int joined = n == 0 ? 0 : joined(items.get(n - 1), i, meters);
            joined =
                    Math.max(
                            joined, n + 1 < items.size() ? joined(i, items.get(n + 1), meters) : 0);
            rhythm(i, x, under - 5, joined);
            if (before != null && !i.heads().isEmpty()) {
                int beams = Notation.joined(before, part, meters);
                for (int k = 0; k < beams; k++) {
                    float at = under - 19 + 2.6f * k;
                    page.line(INK, 1.4f, beforeX, at, x, at);
                }
            }
            before = i.heads().isEmpty() ? null : part;
            beforeX = x;
            String now = i.heads().isEmpty() ? "" : mark(i);
            if (!now.isEmpty() && !now.equals(mark)) {
                page.write(text, 6.2f, DIM, x - 3, under - 29, now);
            }
            mark = now;
            x += wants(i) * stretch;
        }
    }

    /** Beams between two neighbours; none to or from a rest. */
    private static int joined(Written.Item a, Written.Item b, MeterMap meters) {
        return a.heads().isEmpty() || b.heads().isEmpty()
                ? 0
                : Notation.joined(
                        new Notation.TiedValue(a.at(), a.value(), false),
                        new Notation.TiedValue(b.at(), b.value(), false),
                        meters);
    }

    private static String mark(Written.Item i) {
        ScoreNote n = i.heads().get(0).note();
        String manner = n.manner().mark();
        return n.dynamics() == Dynamics.ACCENT ? (manner + " >").strip() : manner;
    }

    private void heads(Written.Item i, float x, float top, int strings) throws IOException {
        for (Written.Head h : i.heads()) {
            float at = top - LINE * (strings - 1 - h.note().string());
            String said = said(h);
            float wide = PdfPage.width(mono, FRET, said);
            page.box(1f, x - wide / 2 - 0.8f, at - 3, wide + 1.6f, 6);
            page.centered(mono, FRET, h.tiedFrom() ? DIM : INK, x, at - 2.6f, said);
        }
    }

    private static String said(Written.Head h) {
        String fret =
                h.note().manner() == Manner.DEAD && h.first() ? "×" : String.valueOf(h.fret());
        if (h.tiedFrom()) {
            return "(" + fret + ")";
        }
        String before = "";
        if (h.arriving().isPresent()) {
            Technique t = h.arriving().get();
            before =
                    switch (t.kind()) {
                        case HAMMER -> "h";
                        case PULL -> "p";
                        default -> "/";
                    };
        }
        StringBuilder after = new StringBuilder();
        for (Technique t : h.first() ? h.note().techniques() : List.<Technique>of()) {
            switch (t.kind()) {
                case BEND -> after.append('b');
                case RELEASE -> after.append('r');
                case VIBRATO -> after.append('~');
                default -> {}
            }
        }
        return before + fret + after;
    }

    /** Stem, flags, dots and tuplet under the strings; a short bar for a rest. */
    private void rhythm(Written.Item i, float x, float from, int joined) throws IOException {
        Notation.Value v = i.value();
        if (i.heads().isEmpty()) {
            page.box(DIM, x - 2.5f, from - 9, 5, v.plain() >= Ticks.HALF ? 2.4f : 1.4f);
            return;
        }
        if (!v.stemless()) {
            page.line(INK, 0.7f, x, v.open() ? from - 8 : from, x, from - 14);
        }
        for (int k = joined; k < v.beams(); k++) {
            page.line(INK, 1.4f, x, from - 14 + 2.6f * k, x + 3.4f, from - 14 + 2.6f * k);
        }
        for (int d = 0; d < v.dots(); d++) {
            page.dot(INK, x + 3 + 2.4f * d, from - 5, 0.8f);
        }
        if (v.tuplet() != 1) {
            page.centered(text, 5.5f, DIM, x, from - 21, String.valueOf(v.tuplet()));
        }
    }

    @Override
    public void close() throws IOException {
        page.close();
    }
}
