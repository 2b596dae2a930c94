package vocalis.core.offer;

import java.util.ArrayList;
import java.util.List;
import vocalis.core.choice.Catalogue;
import vocalis.core.derive.Derived;
import vocalis.core.edit.Chords;
import vocalis.core.riff.Riff;
import vocalis.core.vary.NextRoot;

/** A riff answered: twice, the second time a share of it and then other roots to another end. */
final class Answer {

    private static final int[] SHARES = {75, 50};

    private Answer() {}

    static List<Made> of(Derived derived, Catalogue catalogue) {
        Riff riff = derived.riff();
        int n = riff.roots().size();
        List<Made> all = new ArrayList<>();
        for (int share : SHARES) {
            int others = n - n * share / 100;
            if (n < 2 || others < 1 || all.stream().anyMatch(o -> others == changed(o, n))) {
                continue;
            }
            Riff out = Chords.copy(riff, 0, n - 1, n);
            for (int i = 2 * n - others; i < 2 * n; i++) {
                out = Chords.bestMember(NextRoot.at(out, i).get(0).in(out, i), i);
            }
            all.add(new Made(new Setting.Kept(share), out));
        }
        return all;
    }

    private static int changed(Made o, int n) {
        return n - n * ((Setting.Kept) o.setting()).hundredths() / 100;
    }
}
