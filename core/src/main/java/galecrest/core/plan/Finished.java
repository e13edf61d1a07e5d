package galecrest.core.plan;

import galecrest.core.build.LinkId;
import galecrest.core.build.Pin;
import galecrest.core.build.PinId;
import galecrest.core.build.Work;
import galecrest.core.shop.StationId;
import galecrest.core.time.Span;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeSet;

/** Makes a schedule into a plan that explains itself: names, instants, reasons, chains. */
final class Finished {
    private final Model model;
    private final Schedule schedule;
    private final Scorer scorer;
    private final People people;
    private final Reasons reasons;
    private final Map<PinId, String> brokenPins;
    private final List<Plan.Thawed> thawed = new ArrayList<>();

    private Finished(Schedule schedule, Scorer scorer) {
        this.scorer = scorer;
        this.model = schedule.model;
        this.schedule = schedule;
        this.people = new People(schedule);
        this.reasons = new Reasons(schedule, people);
        this.brokenPins = new LinkedHashMap<>(model.brokenPins);
    }

    static Plan plan(Schedule schedule, Scorer scorer) {
        return new Finished(schedule, scorer).plan(scorer.score(schedule));
    }

    private Plan plan(Score score) {
        List<Plan.Placed> placed = new ArrayList<>();
        List<Plan.Unplanned> unplanned = new ArrayList<>();
        TreeSet<LinkId> early = new TreeSet<>();
        for (int node = 0; node < model.size; node++) {
            if (schedule.planned(node)) {
                placed.add(placed(node));
            } else {
                unplanned.add(new Plan.Unplanned(model.network.works.get(node).id(), whyNot(node)));
            }
            fixed(node);
            for (Network.Arc arc : model.before[node]) {
                if (schedule.startsEarly(arc)) {
                    early.add(arc.link().orElseThrow());
                }
            }
        }
        placed.sort(Comparator.comparing(Plan.Placed::start).thenComparing(Plan.Placed::work));
        return new Plan(
                model.grid.instant(0),
                placed,
                unplanned,
                brokenPins.entrySet().stream()
                        .map(e -> new Plan.BrokenPin(e.getKey(), e.getValue()))
                        .toList(),
                List.copyOf(early),
                thawed,
                new Outlooks(schedule).all(),
                score);
    }

    private String whyNot(int node) {
        String why = schedule.whyNot[node];
        return why != null
                ? why
                : "It waits for "
                        + model.network.works.get(schedule.waitsFor[node]).name() + ", which cannot be planned.";
    }

    private Plan.Placed placed(int node) {
        Grid grid = model.grid;
        int station = model.tasks[node] instanceof Task.JobTask ? schedule.station[node] : -1;
        Optional<StationId> where = station < 0
                ? Optional.empty()
                : Optional.of(model.network.shop.stations().get(station).id());
        return new Plan.Placed(
                model.network.works.get(node).id(),
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
        Grid grid = model.grid;
        int from = schedule.start[node];
        int to = schedule.end[node];
        List<Span> stretches = new ArrayList<>();
        Crew crew = schedule.crew[node];
        if (crew != null) {
            SlotWindows hours = crew.hours(schedule.station[node], false);
            for (int w = hours.windowAfter(from); w < hours.count() && hours.startOf(w) < to; w++) {
                stretches.add(grid.span(Math.max(from, hours.startOf(w)), Math.min(to, hours.endOf(w))));
            }
        } else if (model.tasks[node] instanceof Task.DriveTask) {
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
        Task task = model.tasks[node];
        Work work = model.network.works.get(node);
        if (task instanceof Task.JobTask job) {
            Cause missed = schedule.missed[node];
            boolean broke = missed != null && schedule.planned(node) && missed.kind != Cause.Kind.NOTHING;
            if (broke && job.exactly() != null) {
                String when = missed.kind == Cause.Kind.AFTER || missed.kind == Cause.Kind.BOUND
                        ? "before that instant it cannot start: "
                        : "it cannot start exactly then: ";
                missed(node, when + said(node, missed));
            } else if (broke && job.told() != null && job.told().frozen()) {
                thawed.add(new Plan.Thawed(work.id(), said(node, missed)));
            }
        } else if (task instanceof Task.TripTask trip && trip.exactly() != null) {
            missed(node, trip.exactly(), "it cannot leave exactly then.");
        } else if (task instanceof Task.DriveTask drive && drive.exactly() != null) {
            missed(node, drive.exactly(), "the first drive cannot start exactly then.");
        }
        if (schedule.whyNot[node] != null && !(task instanceof Task.JobTask)) {
            model.network.pins.get(node).forEach(p -> brokenPins.put(p.id(), work.name() + " cannot be planned."));
        }
    }

    private void missed(int node, Task.Exactly exactly, String why) {
        if (schedule.planned(node) && schedule.start[node] != exactly.slot()) {
            missed(node, why);
        }
    }

    /** Says it of all pins to an exact start; of those to another instant it has been said already. */
    private void missed(int node, String why) {
        model.network.pins.get(node).stream()
                .filter(p -> p instanceof Pin.Exactly)
                .forEach(p -> brokenPins.putIfAbsent(p.id(), why));
    }

    private String said(int node, Cause cause) {
        if (cause.kind == Cause.Kind.PASSED) {
            return "that instant has passed.";
        }
        return new Sentences(model.network.shop).reason(reasons.of(node, cause));
    }
}
