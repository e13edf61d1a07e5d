package galecrest.core.risk;

import galecrest.core.parts.PartId;
import galecrest.core.parts.PartLine;
import galecrest.core.plan.Because;
import galecrest.core.plan.ShopSnapshot;
import galecrest.core.planner.calendar.TimeGrid;
import galecrest.core.planner.network.ActivityNetwork;
import galecrest.core.planner.network.ReleaseDates;
import galecrest.core.planner.problem.SchedulingProblem;
import galecrest.core.time.Arrival;
import galecrest.core.work.Job;
import galecrest.core.work.Link;
import galecrest.core.work.LinkId;
import galecrest.core.work.Outwork;
import galecrest.core.work.Status;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * All that is uncertain about the open work of a shop, and what it does to the figures of a {@link SchedulingProblem}: how long jobs
 * take, when parts come, how long outside firms take and whether it comes back right, whether a start at risk must be
 * done again.
 */
final class UncertaintyModel {
    private final SchedulingProblem problem;
    private final RiskOptions options;
    private final ReleaseDates outside;
    private final List<Thing> things = new ArrayList<>();
    private final List<PartDates> parts = new ArrayList<>();
    /** For each node, the numbers of the parts that it waits for. */
    private final int[][] partsOf;

    private final int[] otherBounds;
    private final Map<LinkId, Link> links;
    private final List<ActivityNetwork.Arc> risks = new ArrayList<>();

    /** One uncertainty; {@code mark} is what its luck hangs on, {@code node} whom it concerns first. */
    record Thing(RiskProfile.What what, String id, long mark, int node) {}

    private record PartDates(long mark, double low, double likely, double high, int inspection) {}

    UncertaintyModel(SchedulingProblem problem, RiskOptions options) {
        this.problem = problem;
        this.options = options;
        this.outside = new ReleaseDates(problem.network.shop, problem.grid, problem.calendars);
        ShopSnapshot shop = problem.network.shop;
        Map<PartId, PartLine> lines = new HashMap<>();
        shop.parts().forEach(p -> lines.put(p.id(), p));
        Map<PartId, Integer> numbers = new HashMap<>();
        partsOf = new int[problem.size][];
        otherBounds = new int[problem.size];
        links = new HashMap<>();
        shop.links().forEach(l -> links.put(l.id(), l));
        for (int node = 0; node < problem.size; node++) {
            var work = problem.network.works.get(node);
            if (work instanceof Job job) {
                add(RiskProfile.What.WORK, job.id().value(), node);
                if (job.findings().isPresent()) {
                    add(RiskProfile.What.FINDINGS, job.id().value(), node);
                }
                List<Integer> its = new ArrayList<>();
                if (job.status() == Status.TODO) {
                    for (PartId id : job.parts()) {
                        PartLine line = lines.get(id);
                        part(line, numbers, its, node);
                        if (line.waitsForPair()) {
                            part(lines.get(line.pairedWith().orElseThrow()), numbers, its, node);
                        }
                    }
                }
                partsOf[node] = its.stream().mapToInt(Integer::intValue).toArray();
            } else {
                partsOf[node] = new int[0];
                if (work instanceof Outwork) {
                    add(RiskProfile.What.OUTWORK, work.id().value(), node);
                }
            }
            for (ActivityNetwork.Bound bound : problem.network.bounds.get(node)) {
                if (!(bound.because() instanceof Because.Part)) {
                    otherBounds[node] = Math.max(otherBounds[node], bound.slot());
                }
            }
            for (ActivityNetwork.Arc arc : problem.before[node]) {
                if (arc.risk() >= 0) {
                    risks.add(arc);
                    add(RiskProfile.What.AT_RISK, arc.link().orElseThrow().value(), node);
                }
            }
        }
    }

    private void add(RiskProfile.What what, String id, int node) {
        things.add(new Thing(what, id, CommonRandomNumbers.thing(what, id), node));
    }

    private void part(PartLine line, Map<PartId, Integer> numbers, List<Integer> its, int node) {
        if (line.state().here()) {
            return;
        }
        its.add(numbers.computeIfAbsent(line.id(), id -> {
            add(RiskProfile.What.PART, id.value(), node);
            parts.add(dates(line));
            return parts.size() - 1;
        }));
    }

    /** The three dates of a part in slots; with no date known, from half to twice what the house assumes. */
    private PartDates dates(PartLine line) {
        long mark = CommonRandomNumbers.thing(RiskProfile.What.PART, line.id().value());
        int inspection = TimeGrid.slotsFor(line.inspection().value());
        if (line.state().toInspect()) {
            return new PartDates(mark, 0, 0, 0, inspection);
        }
        Optional<Arrival> comes = problem.network.shop.expected(line);
        if (comes.isEmpty()) {
            double assumed = TimeGrid.slotsFor(problem.network.shop.rules().unknownArrival());
            return new PartDates(mark, assumed / 2, assumed, 2 * assumed, inspection);
        }
        double[] three = dates(comes.get());
        return new PartDates(mark, three[0], three[1], three[2], inspection);
    }

    /**
     * Three dates in slots, the middle one as the plan takes it: what has passed its likely date is expected at its last
     * one, what has passed that too tomorrow, and within twice as long again after that.
     */
    private double[] dates(Arrival arrival) {
        double expected = outside.expected(arrival);
        double high = problem.grid.atOrAfter(arrival.high());
        if (high <= 0) {
            return new double[] {expected, expected, 3 * expected};
        }
        return new double[] {Math.max(0, problem.grid.atOrAfter(arrival.low())), expected, high};
    }

    List<Thing> things() {
        return things;
    }

    /** Draws the figures of a trial into a copy of the problem. */
    void draw(SchedulingProblem trial, int number) {
        long seed = options.seed();
        int[] ready = new int[parts.size()];
        for (int p = 0; p < ready.length; p++) {
            PartDates part = parts.get(p);
            int arrives = slot(part.mark, number, part.low, part.likely, part.high);
            ready[p] = part.inspection == 0
                    ? arrives
                    : problem.calendars.shopHours().finish(arrives, part.inspection);
        }
        for (int node = 0; node < problem.size; node++) {
            int bound = otherBounds[node];
            for (int part : partsOf[node]) {
                bound = Math.max(bound, ready[part]);
            }
            trial.boundSlot[node] = bound;
            var work = problem.network.works.get(node);
            if (work instanceof Job job) {
                trial.work[node] = work(job, problem.planned[node], number);
            } else if (work instanceof Outwork outwork) {
                outwork(trial, node, outwork, number);
            }
        }
        for (ActivityNetwork.Arc arc : risks) {
            Link.Risk risk = links.get(arc.link().orElseThrow()).risk().orElseThrow();
            long mark = CommonRandomNumbers.thing(
                    RiskProfile.What.AT_RISK, arc.link().orElseThrow().value());
            boolean wrong = CommonRandomNumbers.of(seed, number, mark) < risk.chance();
            trial.rework[arc.risk()] = wrong ? TimeGrid.slotsFor(risk.rework().value()) : 0;
        }
    }

    private int slot(long mark, int number, double low, double likely, double high) {
        return (int) Math.round(
                options.draw().value(CommonRandomNumbers.of(options.seed(), number, mark), low, likely, high));
    }

    /** The slots that a job takes: what is planned for it, longer or shorter as its estimate comes out. */
    private int work(Job job, int planned, int number) {
        var estimate = job.estimate();
        double u = CommonRandomNumbers.of(
                options.seed(),
                number,
                CommonRandomNumbers.thing(RiskProfile.What.WORK, job.id().value()));
        double minutes = options.draw()
                .value(
                        u,
                        estimate.low().value(),
                        estimate.likely().value(),
                        estimate.high().value());
        double share = minutes / estimate.likely().value();
        return Math.max(1, (int) Math.round(planned * share)) + found(job, number);
    }

    /** The slots that what a job brings to light takes. */
    private int found(Job job, int number) {
        long mark =
                CommonRandomNumbers.thing(RiskProfile.What.FINDINGS, job.id().value());
        return job.findings()
                .filter(f -> CommonRandomNumbers.of(options.seed(), number, mark) > 1 - f.chance())
                .map(f -> TimeGrid.slotsFor(f.work().value()))
                .orElse(0);
    }

    /** A turnaround, or a return; one that comes back wrong goes out again for as long as it took at best. */
    private void outwork(SchedulingProblem trial, int node, Outwork outwork, int number) {
        long mark =
                CommonRandomNumbers.thing(RiskProfile.What.OUTWORK, outwork.id().value());
        double wrong = CommonRandomNumbers.of(options.seed() + 1, number, mark);
        boolean again = wrong < problem.network.shop.rules().returnWrong();
        var days = outwork.turnaround();
        trial.turnaround[node] =
                slot(mark, number, days.low(), days.likely(), days.high()) + (again ? Math.max(1, days.low()) : 0);
        Optional<Arrival> expected = problem.network.shop.expected(outwork);
        if (expected.isPresent()) {
            double[] three = dates(expected.get());
            int back = slot(mark, number, three[0], three[1], three[2]);
            trial.back[node] = again
                    ? Math.min(problem.slots, back + Math.max(1, days.low()) * 24 * 60 / TimeGrid.SLOT_MINUTES)
                    : back;
        }
    }
}
