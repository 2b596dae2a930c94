package vocalis.core.arrange;

import java.util.List;
import vocalis.core.revoice.Rub;
import vocalis.core.score.Ringing.Sound;

/** What the first guitar lets sound, as a second part has to hear it. */
final class FirstGuitar {

    private final List<Sound> sounds;

    FirstGuitar(List<Sound> sounds) {
        this.sounds = sounds;
    }

    /**
     * From when on in a stretch nothing sounds that was struck before it; its beginning where that
     * rings into its second half.
     */
    long settled(long from, long to) {
        long end = from;
        for (Sound s : sounds) {
            end = s.from() < from && s.to() > from ? Math.max(end, s.to()) : end;
        }
        return end - from <= (to - from) / 2 ? end : from;
    }

    /** Lowest and highest note of the first guitar in a stretch; empty where it is silent. */
    int[] range(long from, long to) {
        int[] range = {128, -1};
        for (Sound s : sounds) {
            if (s.from() < to && s.to() > from) {
                range[0] = Math.min(range[0], s.midi());
                range[1] = Math.max(range[1], s.midi());
            }
        }
        return range;
    }

    /** Whether a note rubs with what the first guitar lets sound. */
    boolean rubs(int midi, long from, long to) {
        for (Sound s : sounds) {
            boolean together = Math.min(to, s.to()) - Math.max(from, s.from()) > 0;
            if (together && Rub.kind(s.midi(), midi).isPresent() && !has(midi, from, to)) {
                return true;
            }
        }
        return false;
    }

    boolean has(int midi, long from, long to) {
        return sounds.stream()
                .anyMatch(
                        s ->
                                Math.floorMod(s.midi() - midi, 12) == 0
                                        && s.from() <= from
                                        && s.to() >= to);
    }
}
