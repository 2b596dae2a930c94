package vocalis.core.arrange;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import vocalis.core.piece.Part;
import vocalis.core.piece.Section;
import vocalis.core.score.Ringing;
import vocalis.core.score.Score;

/** Something in an arrangement that its players would stumble over. */
public sealed interface SongFinding {

    /** Where, ticks from the start of the song. */
    long at();

    /** Two players rub against each other. */
    record Rubs(Clash clash) implements SongFinding {
        @Override
        public long at() {
            return clash.from();
        }
    }

    /**
     * A guitar leaves the register that it is to keep to.
     *
     * @param at the first such note of the section
     * @param part which guitar
     * @param section index of the section
     * @param midi that note
     * @param notes how many such notes the section has
     */
    record OutOfRegister(long at, Part part, int section, int midi, int notes)
            implements SongFinding {}

    /**
     * A section that is told apart from the one before by nothing: neither thickness nor register,
     * tension or strokes, riff, tone or band.
     *
     * @param at where it begins
     * @param section its index
     */
    record NoLift(long at, int section) implements SongFinding {}

    /** Everything that is found, by time; clashes that are meant are left out. */
    static List<SongFinding> of(Song song) {
        List<SongFinding> all = new ArrayList<>();
        Clashes.open(song).forEach(c -> all.add(new Rubs(c)));
        List<Part> parts = song.piece().parts();
        all.addAll(outside(song, parts.get(0), song.score()));
        Optional<Score> second = song.second();
        if (parts.size() > 1 && second.isPresent()) {
            all.addAll(outside(song, parts.get(1), second.get()));
        }
        List<Section> sections = song.piece().sections();
        for (int s = 1; s < sections.size(); s++) {
            if (same(sections.get(s - 1), sections.get(s))) {
                all.add(new NoLift(song.start(s), s));
            }
        }
        all.sort(Comparator.comparingLong(SongFinding::at));
        return all;
    }

    private static boolean same(Section a, Section b) {
        return a.riff().equals(b.riff())
                && a.version().equals(b.version())
                && a.tempo() == b.tempo()
                && a.band().equals(b.band())
                && a.parts().equals(b.parts());
    }

    private static List<SongFinding> outside(Song song, Part part, Score score) {
        List<SongFinding> all = new ArrayList<>();
        int[] counts = new int[song.piece().sections().size()];
        OutOfRegister[] first = new OutOfRegister[counts.length];
        for (Ringing.Sound s : Ringing.of(score)) {
            if (!part.register().has(s.midi())) {
                int section = song.sectionAt(s.from());
                counts[section]++;
                if (first[section] == null) {
                    first[section] = new OutOfRegister(s.from(), part, section, s.midi(), 1);
                }
            }
        }
        for (int i = 0; i < counts.length; i++) {
            if (first[i] != null) {
                all.add(new OutOfRegister(first[i].at(), part, i, first[i].midi(), counts[i]));
            }
        }
        return all;
    }
}
