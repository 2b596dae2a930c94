package vocalis.core.memory;

import java.util.Iterator;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.ToLongFunction;

/**
 * Answers remembered, up to a weight in all; those not asked for longest are given up first. Safe
 * for use by several threads.
 *
 * @param <Q> what was asked; with equals and hashCode
 * @param <A> what was answered; never null
 */
public final class Memory<Q, A> {

    private final Map<Q, A> known = new LinkedHashMap<>(64, 0.75f, true);
    private final long most;
    private final ToLongFunction<A> weight;
    private long held;

    /** Remembers so many answers. */
    public Memory(int most) {
        this(most, a -> 1);
    }

    /**
     * Remembers answers that weigh so much in all; the newest stays however much it weighs.
     *
     * @param weight of one answer, at least 0
     */
    public Memory(long most, ToLongFunction<A> weight) {
        this.most = most;
        this.weight = weight;
    }

    /** What was answered, if it is still known. */
    public synchronized Optional<A> get(Q q) {
        return Optional.ofNullable(known.get(q));
    }

    /** Remembers an answer. */
    public synchronized void put(Q q, A answer) {
        A before = known.put(q, answer);
        held += weight.applyAsLong(answer) - (before == null ? 0 : weight.applyAsLong(before));
        Iterator<A> oldest = known.values().iterator();
        while (held > most && known.size() > 1) {
            held -= weight.applyAsLong(oldest.next());
            oldest.remove();
        }
    }

    /**
     * What is known, or else what the question comes to. Nobody waits for another's question: two
     * who ask the same at once both work it out.
     */
    public A of(Q q, Function<? super Q, ? extends A> question) {
        Optional<A> before = get(q);
        if (before.isPresent()) {
            return before.get();
        }
        A answer = question.apply(q);
        put(q, answer);
        return answer;
    }

    /** Forgets all. */
    public synchronized void clear() {
        known.clear();
        held = 0;
    }
}
