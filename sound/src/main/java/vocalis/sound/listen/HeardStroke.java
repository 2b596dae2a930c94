package vocalis.sound.listen;

/**
 * A stroke as heard.
 *
 * @param seconds when it begins
 * @param notes its pitches
 * @param levelDb how strong its beginning is, under full scale
 */
public record HeardStroke(double seconds, HeardNotes notes, double levelDb) {}
