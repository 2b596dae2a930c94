package vocalis.sound.listen;

/**
 * A stroke as heard.
 *
 * @param seconds when it begins
 * @param length seconds until it has died away, is stopped or the next begins
 * @param notes its pitches
 * @param levelDb how strong its beginning is, under full scale
 * @param fellDb how far it has fallen after an eighth of a second; NaN where the next comes sooner
 */
public record HeardStroke(
        double seconds, double length, HeardNotes notes, double levelDb, double fellDb) {

    private static final double MUTED_DB = 13;
    private static final double OPEN_DB = 6;

    /** Whether the palm or the fretting hand stops it. */
    public boolean muted() {
        return fellDb > MUTED_DB;
    }

    /** Whether it rings freely. */
    public boolean open() {
        return fellDb < OPEN_DB;
    }

    /** The same, ended at a time. */
    HeardStroke until(double at) {
        return new HeardStroke(seconds, at - seconds, notes, levelDb, fellDb);
    }
}
