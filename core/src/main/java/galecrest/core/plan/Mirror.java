package galecrest.core.plan;

import galecrest.core.build.Link;
import java.util.Arrays;

/**
 * The backward pass of forward-backward improvement (Li and Willis, 1992): everything is placed again from its date
 * backwards, each as late as the dates and what comes after allow. How early that still is, is the key by which the
 * forward pass that follows takes the work: a latest start that knows the people and stations.
 *
 * <p>The same schedule generation does it, on the network mirrored in time. Outwork and running-in count as they lie in
 * the forward schedule; locks of curing are left out. It only makes an order, never a plan.
 */
final class Mirror {
    private static final int UNBOUND = -1;

    private final Model model;
    private final Model mirrored;
    private final Schedule backward;
    private final int commitments;
    private final int[] due;

    Mirror(Model model) {
        this.model = model;
        Network.Arc[][] before = new Network.Arc[model.size][];
        Network.Arc[][] after = new Network.Arc[model.size][];
        for (int node = 0; node < model.size; node++) {
            before[node] = Arrays.stream(model.after[node]).map(this::turned).toArray(Network.Arc[]::new);
            after[node] = Arrays.stream(model.before[node]).map(this::turned).toArray(Network.Arc[]::new);
        }
        Task[] tasks = new Task[model.size];
        for (int node = 0; node < model.size; node++) {
            tasks[node] = model.tasks[node] instanceof Task.JobTask job ? plain(job) : model.tasks[node];
        }
        mirrored = new Model(model, true, tasks, before, after, new int[model.size]);
        backward = new Schedule(mirrored);
        var dates = model.network.shop.commitments();
        commitments = dates.size();
        due = dates.stream().mapToInt(c -> model.grid.atOrBefore(c.due())).toArray();
    }

    /** The arc as it binds when time runs backwards. */
    private Network.Arc turned(Network.Arc arc) {
        int cure = model.tasks[arc.from()] instanceof Task.JobTask job && arc.type() == Link.Type.FINISH_START
                ? job.cure()
                : 0;
        Link.Type type =
                switch (arc.type()) {
                    case FINISH_START -> Link.Type.FINISH_START;
                    case START_START -> Link.Type.FINISH_FINISH;
                    case FINISH_FINISH -> Link.Type.START_START;
                };
        return new Network.Arc(arc.to(), arc.from(), type, arc.lag() + cure, arc.workingLag(), arc.link(), arc.risk());
    }

    private static Task.JobTask plain(Task.JobTask job) {
        return new Task.JobTask(
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
                job.never());
    }

    /** Keys for the forward pass after this schedule: how early each node starts when everything is placed late. */
    double[] keys(Schedule forward) {
        int horizon = model.slots;
        int[] bound = mirrored.boundSlot;
        int last = 0;
        for (int node = 0; node < model.size; node++) {
            last = forward.planned(node) ? Math.max(last, forward.ready[node]) : last;
        }
        Arrays.fill(bound, UNBOUND);
        for (int c = 0; c < commitments; c++) {
            int finish = 0;
            for (int node : model.network.needs[c]) {
                finish = forward.planned(node) ? Math.max(finish, forward.ready[node]) : finish;
            }
            for (int node : model.network.needs[c]) {
                bound[node] = Math.max(bound[node], horizon - Math.max(finish, due[c]));
            }
        }
        double[] late = new double[model.size];
        for (int node = 0; node < model.size; node++) {
            late[node] = forward.planned(node) ? -forward.ready[node] : 1;
            bound[node] = bound[node] == UNBOUND ? horizon - last : bound[node];
            bound[node] += model.tasks[node] instanceof Task.JobTask job ? job.cure() : 0;
            if (!(model.tasks[node] instanceof Task.JobTask) && forward.planned(node)) {
                mirrored.tasks[node] = block(node, forward);
            }
        }
        backward.generate(Order.by(mirrored, late), forward.choices);
        double[] keys = new double[model.size];
        for (int node = 0; node < model.size; node++) {
            boolean both = backward.planned(node) && forward.planned(node);
            keys[node] = both ? horizon - backward.end[node] : forward.planned(node) ? forward.start[node] : horizon;
        }
        return keys;
    }

    private Task block(int node, Schedule forward) {
        Task task = model.tasks[node];
        boolean claims = task instanceof Task.DriveTask || task instanceof Task.TripTask trip && trip.wholeCar();
        return new Task.BlockTask(task.build(), forward.ready[node] - forward.start[node], claims);
    }
}
