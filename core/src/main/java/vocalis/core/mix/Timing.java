package vocalis.core.mix;

/**
 * How the players keep time: heard, and never written into the tab.
 *
 * @param hands how freely they keep time and force and how much of their fingers is heard, 0
 *     (machines) to 10; 5 is usual
 * @param swing where the second eighth of a quarter falls, in hundredths of it: 50 (straight) to 75
 * @param behind how far the guitars play behind the band in milliseconds, −30 (ahead: they push) to
 *     30 (they pull)
 */
public record Timing(int hands, int swing, int behind) {

    public Timing {
        if (hands < 0 || hands > 10) {
            throw new IllegalArgumentException("hands lie from 0 to 10, not at " + hands);
        }
        if (swing < 50 || swing > 75) {
            throw new IllegalArgumentException(
                    "the second eighth falls 50 to 75 hundredths into a quarter, not " + swing);
        }
        if (behind < -30 || behind > 30) {
            throw new IllegalArgumentException(
                    "guitars lie up to 30 ms behind or ahead, not " + behind);
        }
    }
}
