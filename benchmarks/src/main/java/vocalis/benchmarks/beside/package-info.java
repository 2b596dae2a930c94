/** Our strings, amplifier and kit beside the recorded ones of a sound font, in figures. */
package vocalis.benchmarks.beside;
