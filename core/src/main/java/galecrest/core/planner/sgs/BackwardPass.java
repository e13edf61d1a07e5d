package galecrest.core.planner.sgs;

import galecrest.core.planner.network.ActivityNetwork;
import galecrest.core.planner.problem.Activity;
import galecrest.core.planner.problem.SchedulingProblem;
import galecrest.core.work.Link;
import java.util.Arrays;

/**
 * The backward pass of forward-backward improvement (Li and Willis, 1992): everything is placed again from its date
 * backwards, each as late as the dates and what comes after allow. How early that still is, is the key by which the
 * forward pass that follows takes the work: a latest start that knows the people and stations.
 *
 * <p>The same schedule generation does it, on the network mirrored in time. Outwork and running-in count as they lie in
 * the forward schedule; locks of curing and the dates that a car is away at are left out. It only makes an order, never a plan.
 */
public final class BackwardPass {
    private static final int UNBOUND = -1;
    private static final int[] NOWHERE = {};

    private final SchedulingProblem problem;
    private final SchedulingProblem mirrored;
    private final SerialScheduler backward;
    private final int commitments;
    private final int[] due;

    /** Prepares the mirrored problem, in which time runs backwards. */
    public BackwardPass(SchedulingProblem problem) {
        this.problem = problem;
        ActivityNetwork.Arc[][] before = new ActivityNetwork.Arc[problem.size][];
        ActivityNetwork.Arc[][] after = new ActivityNetwork.Arc[problem.size][];
        for (int node = 0; node < problem.size; node++) {
            before[node] = Arrays.stream(problem.after[node]).map(this::turned).toArray(ActivityNetwork.Arc[]::new);
            after[node] = Arrays.stream(problem.before[node]).map(this::turned).toArray(ActivityNetwork.Arc[]::new);
        }
        Activity[] activities = new Activity[problem.size];
        for (int node = 0; node < problem.size; node++) {
            activities[node] = problem.activities[node] instanceof Activity.JobActivity job
                    ? plain(job)
                    : problem.activities[node];
        }
        mirrored = new SchedulingProblem(problem, true, activities, before, after, new int[problem.size]);
        backward = new SerialScheduler(mirrored);
        due = problem.network.due;
        commitments = due.length;
    }

    /** The arc as it binds when time runs backwards. */
    private ActivityNetwork.Arc turned(ActivityNetwork.Arc arc) {
        int cure = problem.activities[arc.from()] instanceof Activity.JobActivity job
                        && arc.type() == Link.Type.FINISH_START
                ? job.cure()
                : 0;
        Link.Type type =
                switch (arc.type()) {
                    case FINISH_START -> Link.Type.FINISH_START;
                    case START_START -> Link.Type.FINISH_FINISH;
                    case FINISH_FINISH -> Link.Type.START_START;
                };
        return new ActivityNetwork.Arc(
                arc.to(), arc.from(), type, arc.lag() + cure, arc.workingLag(), arc.link(), arc.risk());
    }

    private static Activity.JobActivity plain(Activity.JobActivity job) {
        return new Activity.JobActivity(
                job.build(),
                job.onCar(),
                job.wholeCar(),
                job.oneGo(),
                job.high(),
                job.zone(),
                job.zoneLimit(),
                job.cure(),
                -1,
                job.crews(),
                job.stations(),
                job.listedCrews(),
                job.listedStations(),
                null,
                null,
                job.never(),
                NOWHERE);
    }

    /** Keys for the forward pass after this schedule: how early each node starts when everything is placed late. */
    public double[] keys(Schedule forward) {
        int horizon = problem.slots;
        int[] bound = mirrored.boundSlot;
        int last = 0;
        for (int node = 0; node < problem.size; node++) {
            last = forward.planned(node) ? Math.max(last, forward.ready[node]) : last;
        }
        Arrays.fill(bound, UNBOUND);
        for (int c = 0; c < commitments; c++) {
            int finish = 0;
            for (int node : problem.network.needs[c]) {
                finish = forward.planned(node) ? Math.max(finish, forward.ready[node]) : finish;
            }
            for (int node : problem.network.needs[c]) {
                bound[node] = Math.max(bound[node], horizon - Math.max(finish, due[c]));
            }
        }
        double[] late = new double[problem.size];
        for (int node = 0; node < problem.size; node++) {
            late[node] = forward.planned(node) ? -forward.ready[node] : 1;
            bound[node] = bound[node] == UNBOUND ? horizon - last : bound[node];
            bound[node] += problem.activities[node] instanceof Activity.JobActivity job ? job.cure() : 0;
            if (!(problem.activities[node] instanceof Activity.JobActivity) && forward.planned(node)) {
                mirrored.activities[node] = block(node, forward);
            }
        }
        backward.generate(ActivityList.by(mirrored, late), forward.choices);
        double[] keys = new double[problem.size];
        for (int node = 0; node < problem.size; node++) {
            boolean both = backward.planned(node) && forward.planned(node);
            keys[node] = both ? horizon - backward.end[node] : forward.planned(node) ? forward.start[node] : horizon;
        }
        return keys;
    }

    private Activity block(int node, Schedule forward) {
        Activity activity = problem.activities[node];
        boolean claims = activity instanceof Activity.DriveActivity
                || activity instanceof Activity.TripActivity trip && trip.wholeCar();
        return new Activity.BlockActivity(activity.build(), forward.ready[node] - forward.start[node], claims);
    }
}
