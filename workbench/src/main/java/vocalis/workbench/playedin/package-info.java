/** A take written down: strokes on a grid, with what is unsure and what else it may be. */
package vocalis.workbench.playedin;
