/** What a guitar is made of, as far as its sound goes: strings, pickups, where the pick strikes. */
package vocalis.sound.guitar;
