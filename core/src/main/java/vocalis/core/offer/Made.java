package vocalis.core.offer;

import vocalis.core.riff.Riff;

/**
 * What a rule makes of a riff.
 *
 * @param setting what it was set to
 * @param riff what it made
 */
public record Made(Setting setting, Riff riff) {}
