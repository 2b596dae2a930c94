package vocalis.formats.musicxml;

/** A chord symbol in its place. */
record ReadChord(long at, int root, int bass, String symbol) {}
