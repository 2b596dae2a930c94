/** What is heard beside the notes: hands on the strings, the mains, the first stage's hiss. */
package vocalis.sound.noise;
