package vocalis.workbench.base;

/** Ends a listening; ending it twice does nothing more. */
@FunctionalInterface
public interface Subscription extends AutoCloseable {

    @Override
    void close();

    /** All of these in one. */
    static Subscription all(Subscription... some) {
        return () -> {
            for (Subscription s : some) {
                s.close();
            }
        };
    }
}
