package galecrest.core.plan;

import galecrest.core.build.PinId;
import galecrest.core.people.PersonId;
import galecrest.core.shop.Problem;
import galecrest.core.shop.StationId;
import galecrest.core.time.Span;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Makes a plan of a shop snapshot. It builds one schedule by each priority rule, with at-risk starts and without, and
 * keeps the best by score; improvement by search starts from there. Deterministic: same snapshot and options, same
 * plan.
 */
public final class Planner {
    private Planner() {}

    /**
     * The best plan found.
     *
     * @throws IllegalArgumentException where {@link SnapshotCheck} finds problems
     */
    public static Plan plan(ShopSnapshot shop, PlanOptions options) {
        List<Problem> problems = SnapshotCheck.problems(shop);
        if (!problems.isEmpty()) {
            throw new IllegalArgumentException("The snapshot cannot be planned: " + problems);
        }
        Grid grid = new Grid(shop.now(), shop.zone(), options.horizon());
        Network network = new Network(shop, grid);
        Urgency urgency = new Urgency(network);
        boolean risky = shop.links().stream().anyMatch(l -> l.risk().isPresent());
        Plan best = null;
        for (PriorityRule rule :
                Arrays.copyOf(PriorityRule.values(), Math.min(options.rules(), PriorityRule.values().length))) {
            for (boolean atRisk : risky ? new boolean[] {false, true} : new boolean[] {false}) {
                Plan plan = build(network, urgency, rule, atRisk);
                best = best == null || plan.score().compareTo(best.score()) < 0 ? plan : best;
            }
        }
        return best;
    }

    private static Plan build(Network network, Urgency urgency, PriorityRule rule, boolean atRisk) {
        double[] keys = new double[network.size()];
        Arrays.setAll(keys, node -> rule.key(urgency, node));
        SerialSchedule schedule = new SerialSchedule(network, atRisk);
        schedule.generate(keys);
        return plan(network, schedule);
    }

    private static Plan plan(Network network, SerialSchedule schedule) {
        List<Plan.Placed> placed = new ArrayList<>();
        List<Plan.Unplanned> unplanned = new ArrayList<>();
        for (int node = 0; node < network.size(); node++) {
            Placement placement = schedule.placed[node];
            if (placement != null) {
                placed.add(placed(network, node, placement));
            } else {
                String reason = Optional.ofNullable(schedule.unplanned[node]).orElse("It waits for itself.");
                unplanned.add(new Plan.Unplanned(network.works.get(node).id(), reason));
            }
        }
        placed.sort(Comparator.comparing(Plan.Placed::start).thenComparing(Plan.Placed::work));
        Map<PinId, String> broken = new LinkedHashMap<>(schedule.brokenPins);
        network.brokenPins.forEach(b -> broken.put(b.pin(), b.reason()));
        List<Plan.Outlook> outlooks = new Outlooks(network, schedule).all();
        Score score = new Scorer(network, schedule, outlooks, placed).score();
        return new Plan(
                network.grid.instant(0),
                placed,
                unplanned,
                broken.entrySet().stream()
                        .map(e -> new Plan.BrokenPin(e.getKey(), e.getValue()))
                        .toList(),
                List.copyOf(schedule.startedAtRisk),
                outlooks,
                score);
    }

    private static Plan.Placed placed(Network network, int node, Placement placement) {
        Grid grid = network.grid;
        List<Span> stretches =
                placement.stretches().stream().map(s -> grid.span(s[0], s[1])).toList();
        List<PersonId> crew = Arrays.stream(placement.crew())
                .mapToObj(p -> network.shop.people().get(p).id())
                .toList();
        Optional<StationId> station = placement.station() < 0
                ? Optional.empty()
                : Optional.of(network.shop.stations().get(placement.station()).id());
        return new Plan.Placed(
                network.works.get(node).id(),
                grid.instant(placement.start()),
                grid.instant(placement.end()),
                grid.instant(placement.ready()),
                stretches,
                crew,
                station,
                placement.slotMissed(),
                placement.because());
    }
}
