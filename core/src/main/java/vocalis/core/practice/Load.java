package vocalis.core.practice;

import java.util.List;
import vocalis.core.derive.Derived;
import vocalis.core.hands.Fingering;
import vocalis.core.rhythm.TempoMap;
import vocalis.core.score.Onset;

/**
 * What a riff asks of the hands while it goes round: how often a wide reach comes, how long a barre
 * is held, how fast the longest run under the palm is.
 *
 * @param widePerMinute chords beyond the hand's comfort per minute of the loop
 * @param barreShare share of the time in which a barre of four strings and more is held, 0 to 1
 * @param mutedRun strokes in a row under the palm, without a rest
 * @param mutedPerSecond how fast those come
 */
public record Load(double widePerMinute, double barreShare, int mutedRun, double mutedPerSecond) {

    private static final int BARRE_STRINGS = 4;

    /** The load of a riff at a tempo. */
    public static Load of(Derived d, double hundredths) {
        TempoMap tempos = d.riff().time().tempos().scaled(hundredths);
        double seconds = tempos.seconds(d.riff().length());
        int wide = 0;
        double barred = 0;
        for (Derived.Chord c : d.chords()) {
            Fingering f = c.candidate().fingering();
            wide += f.reachMm() > d.hand().comfortMm() ? 1 : 0;
            boolean barre =
                    f.presses().stream()
                            .anyMatch(p -> p.highString() - p.lowString() + 1 >= BARRE_STRINGS);
            barred += barre ? tempos.seconds(c.end()) - tempos.seconds(c.start()) : 0;
        }
        int longest = 0;
        double fastest = 0;
        List<Onset> onsets = d.score().onsets();
        int run = 0;
        for (int i = 0; i < onsets.size(); i++) {
            boolean goesOn = i > 0 && onsets.get(i - 1).end() >= onsets.get(i).at();
            run = onsets.get(i).manner().palm() ? (goesOn ? run + 1 : 1) : 0;
            if (run > longest) {
                longest = run;
                int from = i - run + 1;
                double lasts =
                        tempos.seconds(onsets.get(i).at()) - tempos.seconds(onsets.get(from).at());
                fastest = run > 1 ? (run - 1) / lasts : 0;
            }
        }
        return new Load(wide * 60 / seconds, barred / seconds, longest, fastest);
    }
}
