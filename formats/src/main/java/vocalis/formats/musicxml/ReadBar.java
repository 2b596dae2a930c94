package vocalis.formats.musicxml;

import java.util.ArrayList;
import java.util.List;
import java.util.TreeMap;
import vocalis.core.rhythm.Meter;

/** A bar as it is written. */
final class ReadBar {
    final List<ReadNote> notes = new ArrayList<>();
    final List<ReadChord> chords = new ArrayList<>();
    final TreeMap<Long, Integer> tempos = new TreeMap<>();
    Meter meter;
    long length;
    boolean implicit;
    boolean begins;
    int rounds;
    List<Integer> endings = List.of();

    /** Where strokes lie under the palm: from the first tick to before the second. */
    final List<long[]> palms = new ArrayList<>();

    boolean underPalm(long at) {
        return palms.stream().anyMatch(p -> at >= p[0] && at < p[1]);
    }
}
