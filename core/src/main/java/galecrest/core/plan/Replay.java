package galecrest.core.plan;

import galecrest.core.build.LinkId;
import galecrest.core.build.WorkId;
import java.util.Arrays;
import java.util.HashSet;
import java.util.Map;
import java.util.Set;

/**
 * The policy that a plan is, for work that takes longer or shorter than was planned: everything in the order of the
 * plan's starts, by the plan's people at the plan's stations, as early as what comes before it lets it; what waits in the
 * plan although it need not (because people were told so, or it is pinned) waits here too. With the values that the plan
 * was made with, that is the plan itself, start by start.
 */
final class Replay {
    /** Figures that may be drawn anew; see {@link Model#copy}. */
    final Model policy;
    /** The planned work, in the order in which it is placed. */
    final int[] order;

    final boolean[] choices;

    Replay(Model model, Plan plan) {
        Map<WorkId, Plan.Placed> placed = plan.byWork();
        double[] starts = new double[model.size];
        Arrays.fill(starts, Double.MAX_VALUE);
        int[] planned = new int[model.size];
        Arrays.fill(planned, -1);
        Task[] tasks = model.tasks.clone();
        policy = model.copy(tasks);
        policy.interleaves = true;
        Crews crews = new Crews(model.network.shop, model.calendars, model.pools);
        for (int node = 0; node < model.size; node++) {
            Plan.Placed where = placed.get(model.network.works.get(node).id());
            if (where == null) {
                continue;
            }
            starts[node] = model.grid.atOrAfter(where.start());
            planned[node] = (int) starts[node];
            if (tasks[node] instanceof Task.JobTask job) {
                tasks[node] = job.free();
                int[] crew =
                        where.crew().stream().mapToInt(model.network::person).toArray();
                policy.crews[node] = new Crew[] {crews.just(crew)};
                policy.stations[node] =
                        new int[] {where.station().map(model.network::station).orElse(-1)};
            } else if (tasks[node] instanceof Task.TripTask trip && where.slotMissed()) {
                tasks[node] = trip.queueing();
            } else if (tasks[node] instanceof Task.DriveTask drive) {
                tasks[node] = drive.asPlanned(
                        model.pools.of(model.network.person(where.crew().get(0))),
                        where.at().stream()
                                .flatMapToInt(s -> Arrays.stream(
                                        new int[] {model.grid.atOrAfter(s.from()), model.grid.atOrBefore(s.to())}))
                                .toArray());
            }
        }
        order = Arrays.stream(Order.by(model, starts, new int[model.size]))
                .filter(node -> starts[node] != Double.MAX_VALUE)
                .toArray();
        choices = choices(model, plan);
        wait(planned);
    }

    /** At-risk links as the plan uses them; running-in keeps to its days where it can. */
    private boolean[] choices(Model model, Plan plan) {
        boolean[] all = Choices.none(model);
        Set<LinkId> early = new HashSet<>(plan.startedAtRisk());
        for (Network.Arc[] arcs : model.before) {
            for (Network.Arc arc : arcs) {
                if (arc.risk() >= 0) {
                    all[arc.risk()] = early.contains(arc.link().orElseThrow());
                }
            }
        }
        for (int node : order) {
            all[model.network.risks + node] = policy.tasks[node] instanceof Task.DriveTask;
        }
        return all;
    }

    /** Finds out what waits in the plan although it need not, by letting everything keep to its planned start once. */
    private void wait(int[] planned) {
        boolean[] keep = choices.clone();
        for (int node : order) {
            keep[policy.network.risks + node] = true;
        }
        System.arraycopy(planned, 0, policy.told, 0, planned.length);
        Schedule likely = schedule(policy);
        likely.generate(order, keep);
        for (int node : order) {
            boolean drive = policy.tasks[node] instanceof Task.DriveTask;
            if (likely.cause[node].kind == Cause.Kind.TOLD && !drive) {
                policy.waits[node] = planned[node];
            }
            policy.told[node] = drive ? planned[node] : -1;
        }
    }

    /** A schedule for the policy or a copy of it, in which what is not planned is not there. */
    static Schedule schedule(Model model) {
        Schedule schedule = new Schedule(model);
        Arrays.fill(schedule.start, SlotWindows.NEVER);
        return schedule;
    }
}
