package vocalis.formats.tab;

import java.util.Set;
import vocalis.core.instrument.Fretboard;
import vocalis.core.rhythm.Ticks;
import vocalis.core.score.Dynamics;
import vocalis.core.score.Manner;
import vocalis.core.score.Technique;
import vocalis.formats.sheet.NoteDraft;

/** What marks around a fret do to its note: those beside it, and those in the rows beneath. */
final class TabMarks {

    /** How long a slide takes of which nothing is said. */
    static final long USUAL_WAY = Ticks.SIXTEENTH / 2;

    private static final int USUAL_VIBRATO_CENTS = 30;

    private final Fretboard board;
    private final Set<String> remarks;

    TabMarks(Fretboard board, Set<String> remarks) {
        this.board = board;
        this.remarks = remarks;
    }

    /** What the rows beneath say of a column. */
    void around(TabSystem s, int column, NoteDraft d) {
        for (TabSystem.Word w : s.row(TabWriter.MARK, column, column + 1)) {
            for (String mark : w.text().split(",")) {
                mark(mark, d);
            }
        }
        for (TabSystem.Word w : s.row(TabWriter.HIT, column, column + 1)) {
            for (String hit : w.text().split(",")) {
                if (meant(hit, d)) {
                    d.dynamics =
                            switch (hit.charAt(0)) {
                                case '>' -> Dynamics.ACCENT;
                                case '.' -> Dynamics.SOFT;
                                case 'o' -> Dynamics.GHOST;
                                case '=' -> Dynamics.PLAIN;
                                default -> d.dynamics;
                            };
                }
            }
        }
        for (TabSystem.Word w : s.row(TabWriter.PICK, column, column + 1)) {
            d.plucked = w.text().equals("f");
            d.down = !w.text().equals("u");
        }
    }

    /** Whether a mark is for a note's string. */
    private boolean meant(String mark, NoteDraft d) {
        int colon = mark.indexOf(':');
        String number = String.valueOf(board.instrument().tuning().number(d.string));
        return !mark.isEmpty() && (colon < 0 || mark.substring(colon + 1).equals(number));
    }

    private void mark(String mark, NoteDraft d) {
        if (!meant(mark, d)) {
            return;
        }
        String said = mark.split(":")[0];
        switch (said) {
            case "pm-" -> d.manner = Manner.PALM_LIGHT;
            case "pm" -> d.manner = Manner.PALM;
            case "pm+" -> d.manner = Manner.PALM_HEAVY;
            case "ring" -> d.manner = Manner.LET_RING;
            case "stac" -> d.manner = Manner.STACCATO;
            default -> {
                if (said.matches("trem([2-9]|1[0-6])")) {
                    d.add(Technique.Kind.TREMOLO, Integer.parseInt(said.substring(4)), 0, 0);
                } else if (said.matches("pinch[2-8]")) {
                    d.add(Technique.Kind.PINCH, said.charAt(5) - '0', 0, 0);
                }
            }
        }
    }

    void lead(NoteDraft before, TabToken t, long at) {
        long after = at - before.at;
        boolean slide = t.before() == '/' || t.before() == '\\' || t.before() == 's';
        if (slide) {
            long way = Math.min(USUAL_WAY, after);
            before.add(Technique.Kind.SLIDE, t.fret(), after - way, way);
        } else {
            boolean up = t.fret() >= before.endFret();
            before.add(up ? Technique.Kind.HAMMER : Technique.Kind.PULL, t.fret(), after, 0);
        }
    }

    /** Bends, releases, vibrato and slides out of a note. */
    void after(NoteDraft d, TabToken t, long from, long length) {
        String marks = t.after();
        int i = 0;
        long when = from;
        while (i < marks.length()) {
            char c = marks.charAt(i++);
            int begins = i;
            while (i < marks.length() && "0123456789.".indexOf(marks.charAt(i)) >= 0) {
                i++;
            }
            String number = marks.substring(begins, i);
            long way = Math.max(1, Math.min(Ticks.SIXTEENTH, length / 2));
            switch (c) {
                case 'b' -> {
                    double to = number.isEmpty() ? t.fret() + 2 : Double.parseDouble(number);
                    int cents = (int) Math.round(100 * (to - t.fret()));
                    if (cents >= 25 && cents <= 400) {
                        d.add(Technique.Kind.BEND, cents, when, way);
                        when += length / 2;
                    } else {
                        remarks.add("Bends of more than four frets were left out.");
                    }
                }
                case 'r' -> d.add(Technique.Kind.RELEASE, 0, when, way);
                case '~' -> d.add(Technique.Kind.VIBRATO, USUAL_VIBRATO_CENTS, from, 0);
                case '/', '\\' -> {
                    int to = t.fret() + (c == '/' ? 3 : -3);
                    if (to >= 0 && to <= board.frets()) {
                        long slide = Math.max(1, length / 2);
                        d.add(Technique.Kind.SLIDE, to, from + length - slide, slide);
                    }
                }
                default -> {}
            }
        }
    }
}
