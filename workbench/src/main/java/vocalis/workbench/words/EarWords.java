package vocalis.workbench.words;

import vocalis.core.ear.EarAnswer;
import vocalis.core.ear.EarKind;
import vocalis.core.ear.EarQuestion;
import vocalis.core.theory.Key;
import vocalis.core.voicing.Voicing;

/** What the ear is asked, what can be answered, and why it was so. */
public final class EarWords {

    private EarWords() {}

    /** The question. */
    public static String question(EarKind kind) {
        return switch (kind) {
            case FOURTH -> "Which of the two is the inverted fourth?";
            case THIRD -> "Which third is it?";
            case ROOT -> "Where is the root?";
            case MOVED -> "Which voice moved from the first to the second?";
            case OPEN_STRING -> "The second has an open string more. What did it add?";
        };
    }

    /** One of the answers. */
    public static String answer(EarAnswer answer) {
        if (answer instanceof EarAnswer.Which w) {
            return w.first() ? "The first" : "The second";
        } else if (answer instanceof EarAnswer.Third t) {
            return t.minor() ? "Minor" : "Major";
        } else if (answer instanceof EarAnswer.Voice v) {
            return v.fromTop() == 0
                    ? "The highest"
                    : v.fromTop() == v.of() - 1
                            ? "The lowest"
                            : v.of() == 3
                                    ? "The middle one"
                                    : v.fromTop() == 1 ? "The second from the top" : "The third";
        } else if (answer instanceof EarAnswer.Added a) {
            return "The " + a.degree().symbol();
        }
        return switch ((EarAnswer.Place) answer) {
            case LOWEST -> "The lowest note";
            case BETWEEN -> "A note between";
            case HIGHEST -> "The highest note";
        };
    }

    /** Why the right answer is right, from the notes. */
    public static String reason(EarQuestion q, Key key) {
        Voicing a = q.voicings().get(0);
        Voicing b = q.voicings().get(q.voicings().size() - 1);
        String root = key.say(a.root()).symbol();
        return switch (q.kind()) {
            case FOURTH -> {
                Voicing fourth = q.right() == 0 ? a : b;
                yield fourth.shape().text()
                        + " has its root "
                        + root
                        + " above the fifth: a fourth is heard from its upper note.";
            }
            case THIRD ->
                    a.shape().text()
                            + ": "
                            + root
                            + " and "
                            + key.say(other(a)).symbol()
                            + ", "
                            + (q.right() == 0 ? "three" : "four")
                            + " semitones apart, or what is left of an octave.";
            case ROOT ->
                    a.shape().text()
                            + " on "
                            + root
                            + ": "
                            + answer(q.answers().get(q.right())).toLowerCase(java.util.Locale.ROOT)
                            + " is the root.";
            case MOVED -> a.shape().text() + " goes to " + b.shape().text() + ".";
            case OPEN_STRING ->
                    b.shape().text()
                            + ": "
                            + answer(q.answers().get(q.right())).toLowerCase(java.util.Locale.ROOT)
                            + " of "
                            + root
                            + " rings open.";
        };
    }

    private static int other(Voicing v) {
        return v.pitchClasses().stream().filter(pc -> pc != v.root()).findFirst().orElse(v.root());
    }
}
