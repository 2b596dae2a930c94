package vocalis.core.arrange;

/**
 * A stretch of the arrangement: one riff, some times.
 *
 * @param id names it in the piece
 * @param name as it is shown, such as "verse"
 * @param riff id of the riff that is played
 * @param times how often, 1 to 99
 */
public record Section(String id, String name, String riff, int times) {
    public Section {
        Ids.check("a section", id);
        Texts.title(name);
        if (times < 1 || times > 99) {
            throw new IllegalArgumentException("a section is played 1 to 99 times, not " + times);
        }
    }
}
