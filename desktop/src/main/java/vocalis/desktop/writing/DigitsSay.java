package vocalis.desktop.writing;

/** What a digit says. */
enum DigitsSay {
    ROOT("degrees of the root"),
    KEY("degrees of the key"),
    FRET("frets"),
    BOX("degrees of the box");

    private final String words;

    DigitsSay(String words) {
        this.words = words;
    }

    public String words() {
        return words;
    }
}
