package vocalis.desktop.arrange;

import vocalis.core.derive.Derived;
import vocalis.core.score.ScoreNote;

/** Which chords of a riff are struck, and its notes' range; found once for each. */
record StruckChords(boolean[] chords, int lowest, int highest) {

    static StruckChords of(Derived d) {
        boolean[] chords = new boolean[d.chords().size()];
        int low = 127;
        int high = 0;
        for (ScoreNote n : d.score().notes()) {
            int midi = d.score().board().midi(n.string(), n.fret());
            low = Math.min(low, midi);
            high = Math.max(high, midi);
            if (n.rings()) {
                chords[d.riff().chordAt(n.at())] = true;
            }
        }
        for (int i = 0; i < chords.length; i++) {
            if (chords[i]) {
                for (int midi : d.chords().get(i).candidate().voicing().midi()) {
                    low = Math.min(low, midi);
                    high = Math.max(high, midi);
                }
            }
        }
        return new StruckChords(chords, low, high);
    }
}
