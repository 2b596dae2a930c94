package vocalis.desktop.keys;

import java.util.Collections;
import java.util.HashMap;
import java.util.Map;
import java.util.stream.Collectors;

/** How often commands were asked for: the search begins with those. */
public final class CommandCounts {

    private static final int MOST = 9999;
    private static final int KEPT = 40;

    private final Map<String, Integer> counts = new HashMap<>();

    /** Reads {@code id:count,id:count}; what cannot be read is left out. */
    public static CommandCounts read(String text) {
        CommandCounts all = new CommandCounts();
        for (String one : text.split(",")) {
            String[] parts = one.split(":");
            if (parts.length == 2 && parts[1].matches("\\d{1,4}")) {
                all.counts.put(parts[0], Integer.parseInt(parts[1]));
            }
        }
        return all;
    }

    /** One more time; walking and playing are not counted, for nobody looks for them. */
    public void count(Command c) {
        if (c.named() && !c.repeats() && !c.id().equals("play") && !c.id().equals("leave")) {
            counts.merge(c.id(), 1, (a, b) -> Math.min(MOST, a + b));
        }
    }

    /** As it stands, by id. */
    public Map<String, Integer> counts() {
        return Collections.unmodifiableMap(counts);
    }

    /** The most used, as {@link #read} reads them. */
    public String written() {
        return counts.entrySet().stream()
                .sorted(Map.Entry.<String, Integer>comparingByValue().reversed())
                .limit(KEPT)
                .map(e -> e.getKey() + ":" + e.getValue())
                .collect(Collectors.joining(","));
    }
}
