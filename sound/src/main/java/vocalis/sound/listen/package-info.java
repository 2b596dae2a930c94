/**
 * What a guitarist plays, heard: onsets, single notes, the notes of a chord. Streams of frames come
 * in, typed findings go out; where the riff is known its score informs them.
 */
package vocalis.sound.listen;
