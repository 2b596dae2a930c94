package vocalis.core.score;

/** How a stroke's strings are left to sound, or kept from it. */
public enum Manner {
    PLAIN("plain", ""),
    LET_RING("let ring", "ring"),
    STACCATO("staccato", "stac"),
    PALM_LIGHT("light palm mute", "pm–"),
    PALM("palm mute", "pm"),
    PALM_HEAVY("heavy palm mute", "pm+"),
    DEAD("dead note", "dead");

    private final String words;
    private final String mark;

    Manner(String words, String mark) {
        this.words = words;
        this.mark = mark;
    }

    /** As it is said. */
    public String words() {
        return words;
    }

    /** As it stands under the tab; empty for a plain stroke. */
    public String mark() {
        return mark;
    }

    /** Whether the palm lies on the strings. */
    public boolean palm() {
        return this == PALM_LIGHT || this == PALM || this == PALM_HEAVY;
    }
}
