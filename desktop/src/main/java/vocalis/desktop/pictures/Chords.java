package vocalis.desktop.pictures;

import java.util.ArrayList;
import java.util.List;
import vocalis.core.choice.Catalogue;
import vocalis.core.derive.Derived;
import vocalis.core.derive.Deriver;
import vocalis.core.hands.Hand;
import vocalis.core.rhythm.Meter;
import vocalis.core.rhythm.TimeLine;
import vocalis.core.riff.Member;
import vocalis.core.riff.Riff;
import vocalis.core.riff.Root;
import vocalis.core.riff.RootSpan;
import vocalis.core.riff.Treatment;
import vocalis.core.theory.Key;
import vocalis.core.voicing.Family;
import vocalis.core.voicing.Voicing;

/** Single voicings as chords of a riff, a bar each, for a picture of them. */
public final class Chords {

    private Chords() {}

    /**
     * The voicings as a riff.
     *
     * @param open the riff whose instrument and figures they take
     */
    public static Derived of(
            List<Voicing> voicings, Riff open, Key key, Hand hand, Catalogue catalogue) {
        List<RootSpan> roots = new ArrayList<>();
        List<Treatment> treatments = new ArrayList<>();
        for (Voicing v : voicings) {
            roots.add(new RootSpan(Root.of(key, v.root()), Meter.COMMON.barTicks()));
            treatments.add(
                    Treatment.best(Family.POWER)
                            .with(Family.POWER, new Member.ByHand(v.shape(), v.root())));
        }
        Riff riff =
                new Riff(
                        open.ground().withKey(key),
                        TimeLine.of(Meter.COMMON, open.tempo()),
                        roots,
                        treatments,
                        open.pattern(),
                        List.of());
        return Deriver.once(riff, hand, catalogue);
    }
}
