package vocalis.core.vary;

import java.util.ArrayList;
import java.util.List;
import vocalis.core.riff.Riff;

/** Three endings for one riff: the three roots that lead best into its beginning. */
public final class Endings {

    private static final int THREE = 3;

    private Endings() {}

    /** The riff with each of the three; empty for a riff of one chord. */
    public static List<Riff> of(Riff riff) {
        List<Riff> all = new ArrayList<>();
        for (int i = 0; i < THREE && riff.roots().size() > 1; i++) {
            all.add(Orders.ended(riff, i));
        }
        return all;
    }
}
