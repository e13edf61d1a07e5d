package galecrest.core.plan;

import galecrest.core.build.Job;
import galecrest.core.build.Link;
import galecrest.core.build.Outwork;
import galecrest.core.build.Pin;
import galecrest.core.build.Work;
import galecrest.core.build.WorkId;
import galecrest.core.parts.PartLine;
import galecrest.core.shop.Problem;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.function.ToIntFunction;

/** Finds all that is wrong with a snapshot as a whole: names used twice, things that do not exist, circles. */
public final class SnapshotCheck {
    private final ShopSnapshot shop;
    private final List<Problem> problems = new ArrayList<>();

    private SnapshotCheck(ShopSnapshot shop) {
        this.shop = shop;
    }

    /** All problems; empty where the snapshot can be planned. */
    public static List<Problem> problems(ShopSnapshot shop) {
        SnapshotCheck check = new SnapshotCheck(shop);
        check.check();
        return List.copyOf(check.problems);
    }

    private void check() {
        var people = ids("people", shop.people(), p -> p.id());
        var stations = ids("stations", shop.stations(), s -> s.id());
        var vendors = ids("vendors", shop.vendors(), v -> v.id());
        var builds = ids("builds", shop.builds(), b -> b.id());
        var works = ids("works", shop.works(), Work::id);
        var parts = ids("parts", shop.parts(), p -> p.id());
        ids("links", shop.links(), l -> l.id());
        ids("pins", shop.pins(), p -> p.id());
        ids("commitments", shop.commitments(), c -> c.id());
        for (Work work : shop.works()) {
            known("build of ", work.name(), work.build(), builds);
            if (work instanceof Job job) {
                job.parts().forEach(p -> known("part of ", job.name(), p, parts));
                job.started().ifPresent(s -> {
                    s.by().forEach(p -> known("crew of ", job.name(), p, people));
                    s.station().ifPresent(id -> known("station of ", job.name(), id, stations));
                });
            } else if (work instanceof Outwork outwork) {
                known("vendor of ", work.name(), outwork.vendor(), vendors);
            }
        }
        for (PartLine part : shop.parts()) {
            part.pairedWith().ifPresent(p -> known("pair of ", part.name(), p, parts));
        }
        Arcs arcs = Arcs.of(shop.works(), shop.links());
        links(arcs);
        shop.commitments().forEach(c -> {
            known("build of ", c.name(), c.build(), builds);
            c.works().forEach(w -> known("works of ", c.name(), w, works));
        });
        for (var pin : shop.pins()) {
            known("pin", pin.work(), works);
            if (pin instanceof Pin.ToPerson p) {
                known("pin", p.person(), people);
            } else if (pin instanceof Pin.ToStation p) {
                known("pin", p.station(), stations);
            } else if (pin instanceof Pin.After p) {
                known("pin", p.first(), works);
            }
        }
        arcs.circle()
                .ifPresent(names ->
                        problems.add(new Problem("links", "The links close a circle: " + String.join(" → ", names))));
    }

    private void links(Arcs arcs) {
        Set<Long> ties = new HashSet<>(2 * shop.links().size());
        for (int i = 0; i < shop.links().size(); i++) {
            Link link = shop.links().get(i);
            long ends = (long) arcs.from[i] * arcs.names.size() + arcs.to[i];
            if (!ties.add(ends * Link.Type.values().length + link.type().ordinal())) {
                problems.add(
                        new Problem("links", "Two links of one kind tie " + link.first() + " to " + link.then() + "."));
            }
            if (arcs.from[i] >= shop.works().size()) {
                unknown("link", link.first());
            }
            if (arcs.to[i] >= shop.works().size()) {
                unknown("link", link.then());
            }
        }
    }

    private <T, I> Set<I> ids(String field, Collection<T> things, Function<T, I> id) {
        Set<I> ids = new HashSet<>(2 * things.size());
        for (T thing : things) {
            if (!ids.add(id.apply(thing))) {
                problems.add(new Problem(field, "The id " + id.apply(thing) + " is used twice."));
            }
        }
        return ids;
    }

    private <I> void known(String field, I id, Set<I> ids) {
        known(field, "", id, ids);
    }

    private <I> void known(String field, String of, I id, Set<I> ids) {
        if (!ids.contains(id)) {
            unknown(field + of, id);
        }
    }

    private void unknown(String field, Object id) {
        problems.add(new Problem(field, "There is nothing with the id " + id + "."));
    }

    /** Names of the work on a circle that the links close, the first one again at the end; empty where none does. */
    public static Optional<List<String>> circle(Collection<? extends Work> works, Collection<Link> links) {
        return Arcs.of(works, links).circle();
    }

    /** Links by the numbers of the work at their ends; what is not among the work is numbered after it. */
    private record Arcs(List<String> names, int[] from, int[] to) {
        static Arcs of(Collection<? extends Work> works, Collection<Link> links) {
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
            return new Arcs(names, from, to);
        }

        Optional<List<String>> circle() {
            return SnapshotCheck.circle(names.size(), from, to)
                    .map(circle -> Arrays.stream(circle).mapToObj(names::get).toList());
        }
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
