package galecrest.core.planner.result;

import galecrest.core.plan.Plan;
import galecrest.core.plan.ReasonText;
import galecrest.core.plan.Score;
import galecrest.core.planner.calendar.TimeGrid;
import galecrest.core.planner.calendar.WorkingWindows;
import galecrest.core.planner.network.ActivityNetwork;
import galecrest.core.planner.objective.Objective;
import galecrest.core.planner.problem.Activity;
import galecrest.core.planner.problem.CrewMode;
import galecrest.core.planner.problem.SchedulingProblem;
import galecrest.core.planner.sgs.BindingConstraint;
import galecrest.core.planner.sgs.Schedule;
import galecrest.core.shop.StationId;
import galecrest.core.time.Span;
import galecrest.core.work.LinkId;
import galecrest.core.work.Pin;
import galecrest.core.work.PinId;
import galecrest.core.work.Work;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeSet;

/** Makes a schedule into a plan that explains itself: names, instants, reasons, chains. */
public final class PlanBuilder {
    private final SchedulingProblem problem;
    private final Schedule schedule;
    private final Objective objective;
    private final PersonAssignment people;
    private final ReasonBuilder reasons;
    private final Map<PinId, String> brokenPins;
    private final List<Plan.Thawed> thawed = new ArrayList<>();

    private PlanBuilder(Schedule schedule, Objective objective) {
        this.objective = objective;
        this.problem = schedule.problem;
        this.schedule = schedule;
        this.people = new PersonAssignment(schedule);
        this.reasons = new ReasonBuilder(schedule, people);
        this.brokenPins = new LinkedHashMap<>(problem.brokenPins);
    }

    /** The plan of a schedule, with who does what, why nothing starts sooner and what it means for the dates. */
    public static Plan plan(Schedule schedule, Objective objective) {
        return new PlanBuilder(schedule, objective).plan(objective.score(schedule));
    }

    private Plan plan(Score score) {
        List<Plan.Placed> placed = new ArrayList<>();
        List<Plan.Unplanned> unplanned = new ArrayList<>();
        TreeSet<LinkId> early = new TreeSet<>();
        for (int node = 0; node < problem.size; node++) {
            if (schedule.planned(node)) {
                placed.add(placed(node));
            } else {
                unplanned.add(new Plan.Unplanned(problem.network.works.get(node).id(), whyNot(node)));
            }
            fixed(node);
            for (ActivityNetwork.Arc arc : problem.before[node]) {
                if (schedule.startsEarly(arc)) {
                    early.add(arc.link().orElseThrow());
                }
            }
        }
        placed.sort(Comparator.comparing(Plan.Placed::start).thenComparing(Plan.Placed::work));
        return new Plan(
                problem.grid.instant(0),
                placed,
                unplanned,
                brokenPins.entrySet().stream()
                        .map(e -> new Plan.BrokenPin(e.getKey(), e.getValue()))
                        .toList(),
                List.copyOf(early),
                thawed,
                new CommitmentOutlooks(schedule).all(),
                score);
    }

    private String whyNot(int node) {
        String why = schedule.whyNot[node];
        return why != null
                ? why
                : "It waits for "
                        + problem.network.works.get(schedule.waitsFor[node]).name() + ", which cannot be planned.";
    }

    private Plan.Placed placed(int node) {
        TimeGrid grid = problem.grid;
        int station = problem.activities[node] instanceof Activity.JobActivity ? schedule.station[node] : -1;
        Optional<StationId> where = station < 0
                ? Optional.empty()
                : Optional.of(problem.network.shop.stations().get(station).id());
        return new Plan.Placed(
                problem.network.works.get(node).id(),
                grid.instant(schedule.start[node]),
                grid.instant(schedule.end[node]),
                grid.instant(schedule.ready[node]),
                stretches(node),
                people.of(node),
                where,
                schedule.slotMissed[node],
                reasons.of(node));
    }

    private List<Span> stretches(int node) {
        TimeGrid grid = problem.grid;
        int from = schedule.start[node];
        int to = schedule.end[node];
        List<Span> stretches = new ArrayList<>();
        CrewMode crew = schedule.crew[node];
        if (crew != null) {
            WorkingWindows hours = crew.hours(schedule.station[node], false);
            for (int w = hours.windowAfter(from); w < hours.count() && hours.startOf(w) < to; w++) {
                stretches.add(grid.span(Math.max(from, hours.startOf(w)), Math.min(to, hours.endOf(w))));
            }
        } else if (problem.activities[node] instanceof Activity.DriveActivity) {
            int[] drives = schedule.drives[node];
            for (int i = 0; i < drives.length; i += 2) {
                stretches.add(grid.span(drives[i], drives[i + 1]));
            }
        } else {
            stretches.add(grid.span(from, to));
        }
        return stretches;
    }

    /** Notes pins to an exact start, and what people were told, where they could not hold. */
    private void fixed(int node) {
        Activity activity = problem.activities[node];
        Work work = problem.network.works.get(node);
        if (activity instanceof Activity.JobActivity job) {
            BindingConstraint missed = schedule.missed[node];
            boolean broke = missed != null && schedule.planned(node) && missed.kind != BindingConstraint.Kind.NOTHING;
            if (broke && job.exactly() != null) {
                String when = missed.kind == BindingConstraint.Kind.AFTER || missed.kind == BindingConstraint.Kind.BOUND
                        ? "before that instant it cannot start: "
                        : "it cannot start exactly then: ";
                missed(node, when + said(node, missed));
            } else if (broke && job.told() != null && job.told().frozen()) {
                thawed.add(new Plan.Thawed(work.id(), said(node, missed)));
            }
        } else if (activity instanceof Activity.TripActivity trip && trip.exactly() != null) {
            missed(node, trip.exactly(), "it cannot leave exactly then.");
        } else if (activity instanceof Activity.DriveActivity drive && drive.exactly() != null) {
            missed(node, drive.exactly(), "the first drive cannot start exactly then.");
        }
        if (schedule.whyNot[node] != null && !(activity instanceof Activity.JobActivity)) {
            problem.network.pins.get(node).forEach(p -> brokenPins.put(p.id(), work.name() + " cannot be planned."));
        }
    }

    private void missed(int node, Activity.Exactly exactly, String why) {
        if (schedule.planned(node) && schedule.start[node] != exactly.slot()) {
            missed(node, why);
        }
    }

    /** Says it of all pins to an exact start; of those to another instant it has been said already. */
    private void missed(int node, String why) {
        problem.network.pins.get(node).stream()
                .filter(p -> p instanceof Pin.Exactly)
                .forEach(p -> brokenPins.putIfAbsent(p.id(), why));
    }

    private String said(int node, BindingConstraint cause) {
        if (cause.kind == BindingConstraint.Kind.PASSED) {
            return "that instant has passed.";
        }
        return new ReasonText(problem.network.shop).reason(reasons.of(node, cause));
    }
}
