package vocalis.formats.json;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * What stood in a file and is not known here: kept, and written back where it stood, so that a file
 * that another program or a later version added to loses nothing. Entries of lists are found again
 * by their "id" or, without one, by their place; what belonged to something deleted goes with it.
 */
public final class Extras {

    /** Nothing unknown. */
    public static final Extras NONE = new Extras(List.of());

    private record Extra(List<String> path, String name, JsonNode value) {}

    private final List<Extra> all;

    private Extras(List<Extra> all) {
        this.all = List.copyOf(all);
    }

    /** Whether there is anything. */
    public boolean isEmpty() {
        return all.isEmpty();
    }

    /** Where the unknown fields stood, for messages and tests. */
    public List<String> names() {
        return all.stream()
                .map(e -> String.join(".", e.path()) + (e.path().isEmpty() ? "" : ".") + e.name())
                .toList();
    }

    /**
     * The fields of a tree that were not asked for.
     *
     * @param asked per object read, the names asked for
     */
    static Extras of(JsonNode top, Map<JsonNode, Set<String>> asked) {
        List<Extra> found = new ArrayList<>();
        collect(top, new ArrayList<>(), asked, found);
        return found.isEmpty() ? NONE : new Extras(found);
    }

    /** The same, where all that stood in a place of the tree now stands in another. */
    Extras moved(Set<String> tops, List<String> to) {
        List<Extra> out = new ArrayList<>();
        for (Extra e : all) {
            boolean moves = !e.path().isEmpty() && tops.contains(e.path().get(0));
            List<String> path = new ArrayList<>(moves ? to : List.of());
            path.addAll(e.path());
            out.add(new Extra(path, e.name(), e.value()));
        }
        return new Extras(out);
    }

    private static void collect(
            JsonNode node, List<String> path, Map<JsonNode, Set<String>> asked, List<Extra> found) {
        if (node.isObject() && asked.containsKey(node)) {
            for (Map.Entry<String, JsonNode> f : node.properties()) {
                if (asked.get(node).contains(f.getKey())) {
                    collect(f.getValue(), joined(path, f.getKey()), asked, found);
                } else {
                    found.add(new Extra(List.copyOf(path), f.getKey(), f.getValue().deepCopy()));
                }
            }
        } else if (node.isArray()) {
            for (int i = 0; i < node.size(); i++) {
                collect(node.get(i), joined(path, key(node.get(i), i)), asked, found);
            }
        }
    }

    private static List<String> joined(List<String> path, String more) {
        List<String> out = new ArrayList<>(path);
        out.add(more);
        return out;
    }

    private static String key(JsonNode item, int index) {
        JsonNode id = item.get("id");
        return id != null && id.isValueNode() ? "[id " + id.asText() + "]" : "[" + index + "]";
    }

    /** Puts what was unknown back into a tree. */
    void into(ObjectNode top) {
        for (Extra e : all) {
            JsonNode at = top;
            for (String step : e.path()) {
                at = at == null ? null : next(at, step);
            }
            if (at instanceof ObjectNode o && !o.has(e.name())) {
                o.set(e.name(), e.value());
            }
        }
    }

    private static JsonNode next(JsonNode at, String step) {
        if (at instanceof ArrayNode list) {
            for (int i = 0; i < list.size(); i++) {
                if (key(list.get(i), i).equals(step)) {
                    return list.get(i);
                }
            }
            return null;
        }
        return at.get(step);
    }
}
