package vocalis.sound.listen;

/**
 * A stroke as heard.
 *
 * @param seconds when it begins
 * @param length seconds until it has died away, is stopped or the next begins
 * @param notes its pitches
 * @param levelDb how strong its beginning is, under full scale
 * @param muted whether the palm or the fretting hand stops it
 * @param sure from 0 to 1
 */
public record HeardStroke(
        double seconds,
        double length,
        HeardNotes notes,
        double levelDb,
        boolean muted,
        double sure) {}
