package vocalis.core.ear;

import java.util.List;
import vocalis.core.voicing.Voicing;

/**
 * One thing to listen for.
 *
 * @param voicings one or two, in the order in which they are heard
 * @param answers what can be answered, in an order that gives nothing away
 * @param right index of the answer that is true of the notes
 */
public record EarQuestion(
        EarKind kind, List<Voicing> voicings, List<EarAnswer> answers, int right) {

    public EarQuestion {
        voicings = List.copyOf(voicings);
        answers = List.copyOf(answers);
        if (voicings.isEmpty() || right < 0 || right >= answers.size()) {
            throw new IllegalArgumentException("a question has notes and an answer to them");
        }
    }
}
