/** What was heard of practice, and how it is shown. */
package vocalis.desktop.heard;
