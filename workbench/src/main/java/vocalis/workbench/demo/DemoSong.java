package vocalis.workbench.demo;

import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import vocalis.core.edit.Chords;
import vocalis.core.edit.FigureText;
import vocalis.core.mix.BassFigure;
import vocalis.core.mix.Fader;
import vocalis.core.mix.Feel;
import vocalis.core.mix.Mix;
import vocalis.core.pattern.Event;
import vocalis.core.pattern.Figure;
import vocalis.core.pattern.LineNote;
import vocalis.core.pattern.LinePitch;
import vocalis.core.pattern.Pattern;
import vocalis.core.piece.Part;
import vocalis.core.piece.Piece;
import vocalis.core.piece.Section;
import vocalis.core.practice.Entry;
import vocalis.core.rhythm.Ticks;
import vocalis.core.riff.Riff;
import vocalis.core.riff.Tone;
import vocalis.core.voicing.Family;

/** One piece of the demo set as a whole song, and how it was practised. */
public final class DemoSong {

    private static final String ONE = "guitar-1";
    private static final String TWO = "guitar-2";

    private DemoSong() {}

    /** Five sections of one riff: versions, another ending, two guitars, bass and kit. */
    static Piece arranged(Piece alone) {
        Riff riff = alone.riff();
        Riff chorus = Chords.familyOfAll(riff, Family.POWER);
        Riff still =
                riff.withPattern(
                        Pattern.of(FigureText.of("still", "still", Ticks.QUARTER, "l-s-t-s-")));
        Piece kept =
                alone.with(chorus)
                        .keeping("Full", "the chorus: everything in power chords")
                        .with(still)
                        .keeping("One by one", "voices picked, for the breakdown")
                        .with(riff);
        Mix mix =
                Mix.ALONE
                        .withSecond(Fader.OFF.on(true).at(5), Tone.CLEAN, Mix.ALONE.controls(), 7)
                        .withBass(Fader.ON, Mix.BassLine.ROOTS)
                        .withKit(Fader.OFF.on(true).at(6), Feel.EIGHTHS);
        Piece playing = kept.withSecondRiff(floating(riff)).mixed(mix);
        Part two = playing.second().orElseThrow();
        return playing.with(two.keepingTo(new Part.Register(59, 83))).arranged(sections());
    }

    private static List<Section> sections() {
        Section.Playing waits = new Section.Playing(false, Optional.empty());
        Section.Band band = Section.Band.USUAL;
        return List.of(
                new Section("intro", "intro", "riff-1", 1)
                        .with(TWO, waits)
                        .with(band.withKit(false, Optional.empty())),
                new Section("verse", "verse", "riff-1", 2)
                        .singing("Rain on the | lower road | and the lamp goes |" + " out again"),
                new Section("chorus", "chorus", "riff-1", 2)
                        .playing("riff-1", Optional.of("version-1"))
                        .with(ONE, new Section.Playing(true, Optional.of(Tone.GAIN)))
                        .with(band.withKit(true, Optional.of(Feel.SIXTEENTHS)))
                        .singing("Hold on to | what the water | left | "),
                new Section("breakdown", "breakdown", "riff-1", 1)
                        .playing("riff-1", Optional.of("version-2"))
                        .at(92)
                        .with(ONE, new Section.Playing(true, Optional.of(Tone.CLEAN)))
                        .with(
                                band.withKit(true, Optional.of(Feel.HALF_TIME))
                                        .withBass(
                                                true,
                                                Optional.of(BassFigure.parse("1 - - 5 - - 8 -")))),
                new Section("ending", "ending", "riff-1", 2)
                        .ending(Optional.of("version-1"))
                        .with(ONE, new Section.Playing(true, Optional.of(Tone.GAIN))));
    }

    /** The second guitar: a line of long notes over the same roots, two octaves up. */
    private static Riff floating(Riff riff) {
        int[][] degreesAndBeats = {{5, 2, 6}, {2, 10, 6}, {4, 18, 6}, {1, 24, 4}, {7, 28, 4}};
        List<Event> notes = new ArrayList<>();
        for (int i = 0; i < degreesAndBeats.length; i++) {
            int[] n = degreesAndBeats[i];
            LinePitch pitch = new LinePitch.Degree(LinePitch.Above.KEY, n[0], 0, n[0] < 4 ? 2 : 1);
            long half = Ticks.QUARTER / 2;
            notes.add(new LineNote(i + 1, n[1] * half, n[2] * half, pitch));
        }
        return riff.withPattern(Pattern.of(new Figure("float", "float", riff.length(), notes)));
    }

    /** Eleven evenings on the way to 126. */
    static List<Entry> practice() {
        int[] best = {88, 92, 92, 96, 100, 98, 104, 108, 112, 116, 118};
        int[] failed = {3, 2, 4, 1, 2, 5, 2, 1, 3, 2, 2};
        List<Entry> all = new ArrayList<>();
        Instant first = Instant.parse("2026-10-19T17:30:00Z");
        for (int i = 0; i < best.length; i++) {
            int passes = 14 + 3 * (i % 4);
            all.add(
                    new Entry(
                            first.plus(2L * i + i / 3, ChronoUnit.DAYS).toEpochMilli(),
                            "demo-wet-slate",
                            "Wet Slate",
                            i % 3 == 1 ? "chorus" : "verse",
                            126,
                            best[i],
                            best[i] + (failed[i] > 2 ? 0 : 4),
                            passes,
                            failed[i],
                            passes * 7.6 * 126 / best[i]));
        }
        return all;
    }
}
