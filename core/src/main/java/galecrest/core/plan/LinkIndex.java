package galecrest.core.plan;

import galecrest.core.work.Link;
import galecrest.core.work.Work;
import galecrest.core.work.WorkId;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.ToIntFunction;

/**
 * Links by the numbers of the work at their ends, as it is listed; what is not among the work is numbered after it.
 *
 * @param works how many pieces of work there are
 * @param numbers of all ids that came up
 * @param names by number
 * @param from the number of the first of each link
 * @param to and of what follows it
 */
public record LinkIndex(int works, Map<WorkId, Integer> numbers, List<String> names, int[] from, int[] to) {
    /** The index of these links; work that a link names and that is not there gets a number past those of the works. */
    public static LinkIndex of(Collection<? extends Work> works, Collection<Link> links) {
        Map<WorkId, Integer> numbers = new HashMap<>(2 * works.size());
        List<String> names = new ArrayList<>();
        works.forEach(w -> {
            numbers.put(w.id(), names.size());
            names.add(w.name());
        });
        ToIntFunction<WorkId> number = id -> numbers.computeIfAbsent(id, unknown -> {
            names.add(unknown.value());
            return names.size() - 1;
        });
        int[] from = links.stream().map(Link::first).mapToInt(number).toArray();
        int[] to = links.stream().map(Link::then).mapToInt(number).toArray();
        return new LinkIndex(works.size(), numbers, names, from, to);
    }

    /** Whether every id of the work is used once, and no link names another. */
    boolean clear() {
        return names.size() == works && numbers.size() == works;
    }

    /** Whether a number is that of no work. */
    public boolean unknown(int number) {
        return number >= works;
    }

    /** Names of the work on a circle, the first one again at the end; empty where the links close none. */
    Optional<List<String>> circle() {
        return circle(names.size(), from, to)
                .map(circle -> Arrays.stream(circle).mapToObj(names::get).toList());
    }

    /** A circle of arcs between numbered nodes, depth first without recursion, since chains may be long. */
    private static Optional<int[]> circle(int nodes, int[] from, int[] to) {
        int[] ways = new int[nodes + 1];
        for (int node : from) {
            ways[node + 1]++;
        }
        for (int node = 0; node < nodes; node++) {
            ways[node + 1] += ways[node];
        }
        int[] next = new int[from.length];
        int[] way = ways.clone();
        for (int arc = 0; arc < from.length; arc++) {
            next[way[from[arc]]++] = to[arc];
        }
        // From here on the way that each node goes next; all gone is clear.
        System.arraycopy(ways, 0, way, 0, way.length);
        boolean[] onPath = new boolean[nodes];
        int[] path = new int[nodes + 1];
        for (int start = 0; start < nodes; start++) {
            int depth = 0;
            path[depth] = start;
            while (depth >= 0) {
                int at = path[depth];
                onPath[at] = way[at] < ways[at + 1];
                if (!onPath[at]) {
                    depth--;
                    continue;
                }
                int then = next[way[at]++];
                path[++depth] = then;
                if (onPath[then]) {
                    int first = 0;
                    while (path[first] != then) {
                        first++;
                    }
                    return Optional.of(Arrays.copyOfRange(path, first, depth + 1));
                }
            }
        }
        return Optional.empty();
    }
}
