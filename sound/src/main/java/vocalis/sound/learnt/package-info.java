/**
 * Ears for driven sound. A compressed chord that is struck again gets neither louder nor brighter,
 * and an amplifier that clips adds lines of its own to every chord: no rule that we wrote found its
 * way through. So two small nets were shown thousands of strokes that our own strings and
 * amplifiers played, as {@code benchmarks/ears} does it, and say how likely a stroke begins at a
 * time and which notes are struck in it.
 */
package vocalis.sound.learnt;
