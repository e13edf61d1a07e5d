package galecrest.core.planner.network;

import galecrest.core.build.BuildId;
import galecrest.core.people.PersonId;
import galecrest.core.plan.Because;
import galecrest.core.plan.LinkIndex;
import galecrest.core.plan.Plan;
import galecrest.core.plan.ShopSnapshot;
import galecrest.core.planner.calendar.Calendars;
import galecrest.core.planner.calendar.TimeGrid;
import galecrest.core.shop.StationId;
import galecrest.core.work.Commitment;
import galecrest.core.work.Job;
import galecrest.core.work.Link;
import galecrest.core.work.LinkId;
import galecrest.core.work.Outwork;
import galecrest.core.work.Pin;
import galecrest.core.work.PinId;
import galecrest.core.work.Status;
import galecrest.core.work.Work;
import galecrest.core.work.WorkId;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BiPredicate;
import java.util.function.Function;
import java.util.stream.IntStream;

/**
 * The open work of a snapshot, but for that of parked cars, as a network: numbered nodes, the arcs between them, and what bounds each from outside.
 * Links to done work have become bounds; order pins that close a circle have become broken pins.
 */
public final class ActivityNetwork {
    /** What the network was made of. */
    public final ShopSnapshot shop;

    public final TimeGrid grid;
    public final Calendars calendars;
    /** The open work, by node. */
    public final List<Work> works;
    /** The done work; numbered on after the nodes. */
    public final List<Work> done;

    public final List<List<Arc>> before = new ArrayList<>();
    public final List<List<Arc>> after = new ArrayList<>();
    public final List<List<Bound>> bounds = new ArrayList<>();
    public final List<List<Pin>> pins = new ArrayList<>();
    public final List<Plan.BrokenPin> brokenPins = new ArrayList<>();
    private final LinkIndex ends;
    /** The node of each piece of work as the snapshot lists it; −1 where it is done. */
    private final int[] nodeOf;
    /** The number of each node's build. */
    public final int[] build;
    /** Of each commitment, the nodes that must be ready by its date, and those that can follow. */
    public final int[][] needs;

    public final int[][] desired;
    /** Of each commitment, the slot by which it must be ready: a promise keeps time for what may still be found. */
    public final int[] due;

    /** The dates at which, or up to which, a car is still to be away. */
    public final List<Commitment> outings;
    /** Of each node, the number of the commitment at which it is done, away from the shop; −1 for none. */
    public final int[] there;

    public int risks;
    private final int[] inOrder;
    private final Map<PersonId, Integer> people;
    private final Map<StationId, Integer> stations;
    private final Map<BuildId, Integer> builds;

    /** An arc between open work; {@code lag} in slots, {@code risk} the number of its at-risk link or −1. */
    public record Arc(int from, int to, Link.Type type, int lag, boolean workingLag, Optional<LinkId> link, int risk) {
        /** Whether work may start before this link is certain. */
        public boolean risky() {
            return risk >= 0;
        }
    }

    /** Not before this slot, and why. */
    public record Bound(int slot, Because because) {}

    /** The network of the open work of a shop. */
    public ActivityNetwork(ShopSnapshot shop, TimeGrid grid) {
        this(shop, grid, LinkIndex.of(shop.works(), shop.links()));
    }

    /** The same, where the ends of the links are known already. */
    public ActivityNetwork(ShopSnapshot record, TimeGrid grid, LinkIndex endsOfRecord) {
        shop = record.inPlan();
        ends = shop == record ? endsOfRecord : LinkIndex.of(shop.works(), shop.links());
        this.grid = grid;
        this.calendars = new Calendars(shop, grid);
        this.people = numbered(shop.people(), p -> p.id());
        this.stations = numbered(shop.stations(), s -> s.id());
        this.builds = numbered(shop.builds(), b -> b.id());
        this.works =
                shop.works().stream().filter(w -> w.status() != Status.DONE).toList();
        this.done = shop.works().stream().filter(w -> w.status() == Status.DONE).toList();
        nodeOf = new int[shop.works().size()];
        for (int i = 0, nodes = 0; i < nodeOf.length; i++) {
            nodeOf[i] = shop.works().get(i).status() == Status.DONE ? -1 : nodes++;
        }
        for (int i = 0; i < works.size(); i++) {
            before.add(new ArrayList<>());
            after.add(new ArrayList<>());
            pins.add(new ArrayList<>());
        }
        ReleaseDates outside = new ReleaseDates(shop, grid, calendars);
        works.forEach(w -> bounds.add(outside.of(w)));
        outings = shop.commitments().stream()
                .filter(c -> c.away().map(a -> grid.atOrAfter(a.to()) > 0).orElse(false))
                .toList();
        there = works.stream().mapToInt(this::doneAt).toArray();
        for (int node = 0; node < there.length; node++) {
            if (there[node] >= 0) {
                Commitment date = shop.commitments().get(there[node]);
                bounds.get(node).add(new Bound(grid.atOrBefore(date.due()), new Because.DoneThere(date.id())));
            }
        }
        for (int i = 0; i < shop.links().size(); i++) {
            link(shop.links().get(i), ends.from()[i], ends.to()[i], outside);
        }
        shop.pins().forEach(this::pin);
        inOrder = sorted();
        build = works.stream().mapToInt(w -> buildOf(w.build())).toArray();
        needs = nodesOf(Commitment::needs);
        desired = nodesOf(Commitment::desires);
        due = new int[needs.length];
        for (int c = 0; c < due.length; c++) {
            Commitment commitment = shop.commitments().get(c);
            long allowed = IntStream.of(needs[c])
                    .mapToLong(node -> commitment.allowance(works.get(node)).value())
                    .sum();
            due[c] = calendars.leaving(TimeGrid.slotsFor(allowed), grid.atOrBefore(commitment.due()));
        }
    }

    /** The date that has the work done where the car then is; once it is back, what is left is done in the shop. */
    private int doneAt(Work work) {
        for (Commitment date : outings) {
            if (date.there(work)) {
                return shop.commitments().indexOf(date);
            }
        }
        return -1;
    }

    private static <T, I> Map<I, Integer> numbered(List<T> things, Function<T, I> id) {
        Map<I, Integer> numbers = new HashMap<>(2 * things.size());
        for (T thing : things) {
            numbers.put(id.apply(thing), numbers.size());
        }
        return numbers;
    }

    /** How many nodes there are. */
    public int size() {
        return works.size();
    }

    /** A piece of work by its number: a node, or beyond the nodes a done one. */
    public Work work(int number) {
        return number < works.size() ? works.get(number) : done.get(number - works.size());
    }

    /** The node of open work; −1 where it is done, or not of this shop. */
    public int node(WorkId id) {
        Integer number = ends.numbers().get(id);
        return number == null || ends.unknown(number) ? -1 : nodeOf[number];
    }

    /** The number of a person, in the order of the snapshot. */
    public int person(PersonId id) {
        return people.get(id);
    }

    /** The number of a station. */
    public int station(StationId id) {
        return stations.get(id);
    }

    /** The number of a build. */
    public int buildOf(BuildId id) {
        return builds.get(id);
    }

    private void link(Link link, int first, int then, ReleaseDates outside) {
        int from = nodeOf[first];
        int to = nodeOf[then];
        if (to < 0) {
            return;
        }
        boolean alreadyGoing = works.get(to).status() == Status.STARTED && link.type() != Link.Type.FINISH_FINISH;
        if (alreadyGoing || isAway(to)) {
            return;
        }
        if (from < 0) {
            if (link.risk().isEmpty() && link.type() != Link.Type.FINISH_FINISH) {
                outside.afterDone(shop.works().get(first), link).ifPresent(bounds.get(to)::add);
            }
            return;
        }
        int lag = TimeGrid.slotsFor(link.lag().minutes().value());
        int risk = link.risk().isPresent() ? risks++ : -1;
        connect(new Arc(from, to, link.type(), lag, link.lag().working(), Optional.of(link.id()), risk));
    }

    /** Whether the node is outwork that has left: where it is, is a fact. */
    public boolean isAway(int node) {
        return works.get(node) instanceof Outwork outwork && outwork.away().isPresent();
    }

    private void connect(Arc arc) {
        before.get(arc.to()).add(arc);
        after.get(arc.from()).add(arc);
    }

    private void pin(Pin pin) {
        int to = node(pin.work());
        if (to < 0) {
            return;
        }
        if (!(pin instanceof Pin.After order)) {
            pins.get(to).add(pin);
            if (pin instanceof Pin.NotBefore notBefore) {
                bounds.get(to).add(new Bound(grid.atOrAfter(notBefore.at()), new Because.Pinned(pin.id())));
            }
            return;
        }
        int from = node(order.first());
        if (from < 0 || works.get(to).status() == Status.STARTED) {
            return;
        }
        List<String> circle = path(to, from);
        if (circle.isEmpty()) {
            connect(new Arc(from, to, Link.Type.FINISH_START, 0, false, Optional.empty(), -1));
        } else {
            broken(pin.id(), "it would close a circle: " + String.join(" → ", circle));
        }
    }

    void broken(PinId pin, String reason) {
        brokenPins.add(new Plan.BrokenPin(pin, reason));
    }

    /** Names of the work on a path along the arcs, both ends included; empty where there is none. */
    private List<String> path(int from, int to) {
        int[] cameFrom = new int[size()];
        java.util.Arrays.fill(cameFrom, -1);
        Deque<Integer> next = new ArrayDeque<>(List.of(from));
        cameFrom[from] = from;
        while (!next.isEmpty()) {
            int at = next.remove();
            if (at == to) {
                break;
            }
            for (Arc arc : after.get(at)) {
                if (cameFrom[arc.to()] < 0) {
                    cameFrom[arc.to()] = at;
                    next.add(arc.to());
                }
            }
        }
        if (cameFrom[to] < 0) {
            return List.of();
        }
        Deque<String> names = new ArrayDeque<>();
        for (int at = to; ; at = cameFrom[at]) {
            names.addFirst(works.get(at).name());
            if (at == from) {
                return List.copyOf(names);
            }
        }
    }

    /** Of each commitment, the nodes that it needs or desires by its date. */
    private int[][] nodesOf(BiPredicate<Commitment, Work> takes) {
        Map<BuildId, List<Integer>> nodes = new HashMap<>();
        for (int node = 0; node < size(); node++) {
            nodes.computeIfAbsent(works.get(node).build(), b -> new ArrayList<>())
                    .add(node);
        }
        return shop.commitments().stream()
                .map(c -> {
                    IntStream about = !c.named()
                            ? nodes.getOrDefault(c.build(), List.of()).stream().mapToInt(Integer::intValue)
                            : c.works().stream()
                                    .mapToInt(this::node)
                                    .filter(node -> node >= 0)
                                    .sorted();
                    return about.filter(node -> takes.test(c, works.get(node))).toArray();
                })
                .toArray(int[][]::new);
    }

    /** Nodes in an order in which every arc points forward. */
    public int[] inOrder() {
        return inOrder.clone();
    }

    /** Each node after those that it follows, depth first: as near as can be to the order in which the work is listed. */
    private int[] sorted() {
        int[] order = new int[size()];
        int count = 0;
        boolean[] placed = new boolean[size()];
        int[] gone = new int[size()];
        int[] path = new int[size()];
        for (int first = 0; first < size(); first++) {
            int depth = placed[first] ? -1 : 0;
            path[0] = first;
            while (depth >= 0) {
                int node = path[depth];
                List<Arc> arcs = before.get(node);
                if (gone[node] == arcs.size()) {
                    order[count++] = node;
                    placed[node] = true;
                    depth--;
                    continue;
                }
                int from = arcs.get(gone[node]++).from();
                if (!placed[from]) {
                    if (gone[from] > 0) {
                        throw new IllegalArgumentException("The links of the snapshot close a circle; check it first.");
                    }
                    path[++depth] = from;
                }
            }
        }
        return order;
    }

    /** Working slots that a job still takes. */
    public static int slots(Job job) {
        return Math.max(1, TimeGrid.slotsFor(job.toDo().value()));
    }
}
