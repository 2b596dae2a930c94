/** Passes that the player keeps: their sound, beside the riff that they are of. */
package vocalis.workbench.takes;
