package vocalis.core.vary;

import java.util.ArrayList;
import java.util.List;
import vocalis.core.riff.Riff;

/** Three endings for one riff: its own, and the two roots that lead best into its beginning. */
public final class Endings {

    private static final int OTHERS = 2;

    private Endings() {}

    /** The riff as it stands, then with each of the two; empty for a riff of one chord. */
    public static List<Riff> of(Riff riff) {
        List<Riff> all = new ArrayList<>();
        if (riff.roots().size() > 1) {
            all.add(riff);
            for (int i = 0; i < OTHERS; i++) {
                all.add(Orders.ended(riff, i));
            }
        }
        return all;
    }
}
