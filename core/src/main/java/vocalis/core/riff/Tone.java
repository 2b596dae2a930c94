package vocalis.core.riff;

/** How the amplifier is set. */
public enum Tone {
    CLEAN("clean"),
    EDGE("edge"),
    GAIN("gain");

    private final String label;

    Tone(String label) {
        this.label = label;
    }

    /** As it is shown and written in files. */
    public String label() {
        return label;
    }
}
