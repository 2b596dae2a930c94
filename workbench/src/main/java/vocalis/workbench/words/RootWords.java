package vocalis.workbench.words;

import java.util.List;
import java.util.Optional;
import vocalis.core.names.HeardRoot;
import vocalis.core.names.RootReason;
import vocalis.core.theory.Key;
import vocalis.core.theory.Spelling;

/** Why a root is heard, in a sentence. */
public final class RootWords {

    private static final String[] TIMES = {"never", "once", "twice", "three times", "often"};

    private RootWords() {}

    /** The sentence with its numbers: {@code D, clearly: … above it (30 against 12 for G).} */
    public static String of(HeardRoot h, Optional<Key> key) {
        String figures = " (" + h.best().weight() + " against " + h.next().weight();
        String rival = h.ambiguous() ? "" : " for " + spell(h.next().pitchClass(), key);
        String said = sentence(h, key);
        return said.substring(0, said.length() - 1) + figures + rival + ").";
    }

    /** Such as {@code D, clearly: it is the lowest note and its fifth sounds above it.} */
    public static String sentence(HeardRoot h, Optional<Key> key) {
        String name = spell(h.root(), key);
        if (h.ambiguous()) {
            return name
                    + " or "
                    + spell(h.next().pitchClass(), key)
                    + ": ambiguous, either can be heard as the root.";
        }
        List<String> facts = h.reasons().stream().map(r -> of(r, key)).toList();
        return name + (h.clearly() ? ", clearly: " : ", by a little: ") + joined(facts) + ".";
    }

    private static String of(RootReason reason, Optional<Key> key) {
        if (reason instanceof RootReason.FifthOverAnotherBass f) {
            return "its fifth supports it, though " + spell(f.bass(), key) + " is the bass";
        }
        if (reason instanceof RootReason.Doubled d) {
            return "it sounds " + TIMES[Math.min(d.times(), TIMES.length - 1)];
        }
        return switch ((RootReason.Fact) reason) {
            case ALONE -> "nothing else sounds";
            case LOWEST_UNDER_ITS_FIFTH -> "it is the lowest note and its fifth sounds above it";
            case OVER_ITS_FIFTH ->
                    "its fifth lies below it, and a fourth is heard from its upper note";
            case LOWEST -> "it is the lowest note";
            case MAJOR_THIRD_SOUNDS -> "its major third sounds";
            case MINOR_SEVENTH_SOUNDS -> "its minor seventh sounds";
            case TONIC -> "it is the tonic";
            case OF_THE_KEY -> "it is a note of the key";
            case NO_OTHER_BETTER -> "no other note is supported better";
        };
    }

    private static String joined(List<String> facts) {
        int last = facts.size() - 1;
        return last == 0
                ? facts.get(0)
                : String.join(", ", facts.subList(0, last)) + " and " + facts.get(last);
    }

    private static String spell(int pitchClass, Optional<Key> key) {
        Spelling s = key.map(k -> k.say(pitchClass)).orElseGet(() -> Spelling.plain(pitchClass));
        return s.symbol();
    }
}
