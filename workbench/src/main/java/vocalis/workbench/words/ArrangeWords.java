package vocalis.workbench.words;

import java.util.Locale;
import vocalis.core.arrange.Clash;
import vocalis.core.arrange.Lift;
import vocalis.core.arrange.Mend;
import vocalis.core.arrange.PartOffer;
import vocalis.core.arrange.SectionChange;
import vocalis.core.arrange.Song;
import vocalis.core.arrange.SongFinding;
import vocalis.core.mix.BassOffers;
import vocalis.core.revoice.Rub;
import vocalis.core.rhythm.MeterMap;
import vocalis.core.theory.Key;

/** What an arrangement comes to, in words. */
public final class ArrangeWords {

    private ArrangeWords() {}

    /** A place in a song as musicians count: bar and beat. */
    public static String place(Song song, long tick) {
        MeterMap.Place p = song.score().time().meters().place(tick);
        String past = p.ticks() == 0 ? "" : "+";
        return (p.bar() == 0 ? "pickup" : "bar " + p.bar()) + " beat " + p.beat() + past;
    }

    /** A clash in one line, without its place. */
    public static String of(Clash c, Song song) {
        Key key = song.passageAt(c.from()).turn().riff().ground().key();
        String one = key.note(c.one()).symbol();
        String two = key.note(c.two()).symbol();
        String who =
                switch (c.between()) {
                    case GUITARS -> one + " of guitar one, " + two + " of guitar two";
                    case FIRST_AND_BASS -> one + " of guitar one, " + two + " of the bass";
                    case SECOND_AND_BASS -> one + " of guitar two, " + two + " of the bass";
                };
        return kind(c.kind(), Math.abs(c.one() - c.two())) + ": " + who;
    }

    /** What lies between two notes that rub. */
    public static String kind(Rub.Kind kind, int apart) {
        return switch (kind) {
            case SECOND -> apart % 12 == 1 ? "a semitone" : "a whole tone";
            case SEVENTH -> apart % 12 == 11 ? "a major seventh" : "a minor seventh";
            case TRITONE -> "a tritone";
            case LOW_THIRD -> "a third down low";
        };
    }

    /** What an arrangement's check found. */
    public static String of(SongFinding f, Song song) {
        Key key = song.passageAt(f.at()).turn().riff().ground().key();
        if (f instanceof SongFinding.Rubs r) {
            int times = r.clash().times();
            return of(r.clash(), song) + (times == 1 ? "" : ", " + times + " times in all");
        } else if (f instanceof SongFinding.OutOfRegister o) {
            return o.part().name()
                    + " leaves its register with "
                    + key.note(o.midi()).symbol()
                    + (o.notes() == 1 ? "" : " and " + (o.notes() - 1) + " more")
                    + "; take another place, or move its floor or ceiling";
        }
        return "nothing tells this section from the one before; vary it, or make it one with it";
    }

    /** What would mend a clash. */
    public static String of(Mend m) {
        String left =
                m.left() == 0
                        ? "; no other clash then"
                        : "; "
                                + m.left()
                                + (m.left() == 1 ? " clash is left" : " clashes are left");
        String what =
                switch (m.how()) {
                    case OTHER_SHAPE ->
                            "guitar two takes " + m.shape().orElseThrow().text() + " there";
                    case THINNER ->
                            "guitar two leaves that note out: " + m.shape().orElseThrow().text();
                    case LINE_STEP -> "guitar two's line moves by a step there";
                    case BASS_FOLLOWS -> "the bass plays the chord's own bass in this section";
                    case BASS_RESTS -> "the bass is silent in this section";
                };
        return what + left;
    }

    /** What a line for the bass is called. */
    public static String name(BassOffers.Why why) {
        return switch (why) {
            case ON_THE_ACCENTS -> "On the accents";
            case ROOT_AND_FIFTH -> "Root and fifth";
            case OCTAVES -> "Octaves";
            case TURNS_ON_A_DEGREE -> "A turn at the end";
            case CLIMBS -> "A climb";
            case HELD -> "Held";
        };
    }

    /** A line of the bass, what speaks for it, and how often it rubs with the guitars. */
    public static String what(BassOffers.Offer line, int clashes) {
        String rubs =
                clashes == 0
                        ? ""
                        : "; rubs "
                                + clashes
                                + (clashes == 1 ? " time" : " times")
                                + " with the guitars";
        return line.figure().text() + " · " + what(line.why()) + rubs;
    }

    private static String what(BassOffers.Why why) {
        return switch (why) {
            case ON_THE_ACCENTS -> "bass and kick hit with the riff";
            case ROOT_AND_FIFTH -> "steady, and says no third";
            case OCTAVES -> "drives";
            case TURNS_ON_A_DEGREE -> "leads on; in the key under every chord";
            case CLIMBS -> "moves up to the next bar; in the key under every chord";
            case HELD -> "leaves the guitars all room";
        };
    }

    /** What a part for the second guitar is called. */
    public static String name(PartOffer o) {
        String where = o.above() ? " above" : " below";
        return switch (o.kind()) {
            case HELD_LINE -> "Held notes" + where;
            case MOVING_LINE -> "A line in quarters" + where;
            case OCTAVES -> "Octaves" + where;
            case STABS ->
                    "Stabs: "
                            + o.family().orElseThrow().shortLabel().toLowerCase(Locale.ROOT)
                            + where;
            case FILL -> "A fill" + where;
            case THIRDS -> "The line in thirds" + where;
            case SIXTHS -> "The line in sixths" + where;
            case TENTHS -> "The line in tenths" + where;
        };
    }

    /** Why it stands where it does. */
    public static String why(PartOffer o, Key key) {
        String range = key.note(o.lowest()).symbol() + " to " + key.note(o.highest()).symbol();
        long percent = Math.round(100 * o.inGaps());
        String gaps =
                percent == 100
                        ? "only where guitar one strikes nothing"
                        : percent == 0
                                ? "together with guitar one's strokes"
                                : percent + " % of it in guitar one's gaps";
        String rubs =
                o.clashes() == 0
                        ? "no clash"
                        : "clashes " + (o.clashes() == 1 ? "once" : o.clashes() + " times");
        return range + ", " + gaps + ", " + rubs;
    }

    /** What a change of a section is called, as its version is named. */
    public static String name(SectionChange c) {
        if (c instanceof SectionChange.InFamily f) {
            return "All " + f.family().shortLabel().toLowerCase(Locale.ROOT);
        }
        return c instanceof SectionChange.ByIntent i
                ? RevoiceWords.name(i.intent())
                : VariationWords.name(((SectionChange.Moved) c).move());
    }

    /** What it does. */
    public static String what(SectionChange c) {
        if (c instanceof SectionChange.InFamily f) {
            return "every root in the family " + f.family().label().toLowerCase(Locale.ROOT);
        }
        return c instanceof SectionChange.ByIntent i
                ? RevoiceWords.aim(i.intent())
                : VariationWords.what(((SectionChange.Moved) c).move());
    }

    /**
     * How a section stands against the one before: what rises, what falls, or that nothing does.
     */
    public static String lift(Lift before, Lift now, double dbBefore, double dbNow) {
        StringBuilder s = new StringBuilder();
        double db = dbNow - dbBefore;
        if (!Double.isInfinite(db) && !Double.isNaN(db) && Math.abs(db) >= 0.5) {
            s.append(
                    String.format(
                            Locale.ROOT, "%.1f dB %s", Math.abs(db), db > 0 ? "louder" : "softer"));
        }
        part(s, now.thickness() - before.thickness(), 0.3, "thicker", "thinner");
        part(s, now.register() - before.register(), 1, "higher", "lower");
        part(s, now.tension() - before.tension(), 4, "tenser", "calmer");
        part(s, now.strokes() - before.strokes(), 0.5, "busier", "sparser");
        return s.length() == 0 ? "no lift: as the section before" : s.toString();
    }

    private static void part(StringBuilder s, double change, double least, String up, String down) {
        if (Math.abs(change) >= least) {
            s.append(s.length() == 0 ? "" : ", ").append(change > 0 ? up : down);
        }
    }
}
