package vocalis.formats.tab;

/** A string's line: where its body begins and what letters stood before it. */
record TabLine(int number, String label, String text, int from) {}
