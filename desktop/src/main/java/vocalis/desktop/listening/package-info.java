/** What the guitarist plays, heard: named, tuned, written down, held against the riff. */
package vocalis.desktop.listening;
