/** What was heard, written down: a take laid on a grid and taken apart, or held against a riff. */
package vocalis.workbench.listening;
