package vocalis.core.arrange;

import java.util.Objects;
import vocalis.core.piece.Meant;
import vocalis.core.revoice.Rub;

/**
 * Two notes of two players that rub for longer than a passing moment, where neither alone has both
 * in its chord.
 *
 * @param from tick from which both sound
 * @param to tick to which both sound
 * @param kind what lies between them
 * @param between whose they are
 * @param one MIDI number: the first guitar's note, or the second's where it rubs with the bass
 * @param two MIDI number: the second guitar's note, or the bass's
 * @param section index of the section
 * @param key names it for good, so that it can be meant
 * @param times how often it comes in the whole arrangement
 */
public record Clash(
        long from,
        long to,
        Rub.Kind kind,
        Between between,
        int one,
        int two,
        int section,
        Meant key,
        int times) {

    /** Whose notes rub. */
    public enum Between {
        GUITARS,
        FIRST_AND_BASS,
        SECOND_AND_BASS
    }

    public Clash {
        Objects.requireNonNull(kind, "kind");
        Objects.requireNonNull(between, "between");
        Objects.requireNonNull(key, "key");
    }

    Clash again() {
        return new Clash(from, to, kind, between, one, two, section, key, times + 1);
    }

    Clash until(long tick) {
        return new Clash(from, tick, kind, between, one, two, section, key, times);
    }
}
