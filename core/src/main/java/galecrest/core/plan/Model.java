package galecrest.core.plan;

import galecrest.core.build.Job;
import galecrest.core.build.Outwork;
import galecrest.core.build.Status;
import java.time.Instant;
import java.util.Arrays;

/**
 * The network as numbers, ready to be scheduled many times over: tasks, arcs and the figures that a trial of a
 * simulation draws anew. Two of the same network can stand side by side: as it is, and mirrored in time.
 */
final class Model {
    static final int NO_SLOT = Integer.MIN_VALUE;

    final Network network;
    final Grid grid;
    final Calendars calendars;
    final Pools pools;
    final int size;
    final int slots;
    final boolean mirror;
    final Task[] tasks;
    final Network.Arc[][] before;
    final Network.Arc[][] after;
    /** 0: is away, a fact; 1: has started; 2: leads to what is pinned or frozen; 3: all else. */
    final int[] rank;
    /** Working slots of each job, and as it was planned: a trial draws only the first anew. */
    final int[] work;

    final int[] planned;
    /** The slot before which the node cannot start, and which of its bounds says so (−1: none). */
    final int[] boundSlot;

    final int[] boundIndex;
    /** The slot that people were told the node starts at; −1 where they were not, or it has passed. */
    final int[] told;
    /** The slot before which a node of a replayed plan does not start, though it could; 0 for none. */
    final int[] waits;
    /** Of each at-risk link, by its number: slots of work to be done again once its risk is known; 0 for none. */
    final int[] rework;
    /**
     * Whether work also goes into the hours that other work of the same people leaves between its own. A search for a plan
     * passes such places over, to be quick; a replay must find whatever place the plan has.
     */
    boolean interleaves;
    /** How far a job in one go may run beyond its crew's hours, in slots; negative where none may, as in a plan. */
    int stayOn = -1;
    /** Vendor working days of outwork in the queue. */
    final int[] turnaround;
    /** When outwork that is away is back. */
    final int[] back;
    /** The crews and stations that are tried for a job. */
    final Crew[][] crews;

    final int[][] stations;
    /** The same, whatever people were told. */
    final Crew[][] listedCrews;

    final int[][] listedStations;
    final java.util.Map<galecrest.core.build.PinId, String> brokenPins;
    /** Claims of what is done and still cures: build, hold, zone, to, number of the work. */
    final int[][] stillCuring;

    Model(Network network) {
        this(network, new Pools(network.shop, network.calendars));
    }

    private Model(Network network, Pools pools) {
        this.network = network;
        this.grid = network.grid;
        this.calendars = network.calendars;
        this.pools = pools;
        this.size = network.size();
        this.slots = grid.slots();
        this.mirror = false;
        Tasks prepare = new Tasks(network, pools);
        tasks = new Task[size];
        Arrays.setAll(tasks, prepare::of);
        brokenPins = prepare.brokenPins;
        before = arcs(network.before);
        after = arcs(network.after);
        work = new int[size];
        boundSlot = new int[size];
        boundIndex = new int[size];
        told = prepare.toldStarts();
        waits = new int[size];
        rework = new int[network.risks];
        turnaround = new int[size];
        back = new int[size];
        crews = new Crew[size][];
        stations = new int[size][];
        listedCrews = new Crew[size][];
        listedStations = new int[size][];
        Bounds outside = new Bounds(network.shop, grid, calendars);
        for (int node = 0; node < size; node++) {
            bound(node);
            var piece = network.works.get(node);
            if (piece instanceof Job job) {
                Task.JobTask task = (Task.JobTask) tasks[node];
                work[node] = Network.slots(job);
                crews[node] = task.crews();
                stations[node] = task.stations();
                listedCrews[node] = task.listedCrews();
                listedStations[node] = task.listedStations();
            } else if (piece instanceof Outwork outwork) {
                turnaround[node] = outwork.turnaround().likely();
                back[node] =
                        network.shop.expected(outwork).map(outside::expected).orElse(0);
            }
        }
        planned = work.clone();
        rank = ranks();
        stillCuring = curing();
    }

    /** The mirrored model, or a copy whose figures may be changed; see {@link Mirror} and the simulation. */
    Model(Model of, boolean mirror, Task[] tasks, Network.Arc[][] before, Network.Arc[][] after, int[] boundSlot) {
        network = of.network;
        grid = of.grid;
        calendars = of.calendars;
        pools = of.pools;
        size = of.size;
        slots = of.slots;
        this.mirror = mirror;
        this.tasks = tasks;
        this.before = before;
        this.after = after;
        this.boundSlot = boundSlot;
        boundIndex = of.boundIndex;
        told = of.told.clone();
        if (mirror) {
            Arrays.fill(told, -1);
        }
        rank = mirror ? new int[size] : of.rank;
        work = mirror ? of.work : of.work.clone();
        planned = of.planned;
        waits = mirror ? new int[size] : of.waits.clone();
        rework = new int[network.risks];
        stayOn = mirror ? -1 : of.stayOn;
        interleaves = of.interleaves;
        turnaround = mirror ? of.turnaround : of.turnaround.clone();
        back = mirror ? of.back : of.back.clone();
        crews = mirror ? of.crews : of.crews.clone();
        stations = mirror ? of.stations : of.stations.clone();
        listedCrews = mirror ? of.listedCrews : of.listedCrews.clone();
        listedStations = mirror ? of.listedStations : of.listedStations.clone();
        brokenPins = of.brokenPins;
        stillCuring = mirror ? new int[0][] : of.stillCuring;
    }

    /** A copy, perhaps with other tasks, whose figures may be changed without touching this one's. */
    Model copy(Task[] others) {
        return new Model(this, false, others, before, after, boundSlot.clone());
    }

    private static Network.Arc[][] arcs(java.util.List<java.util.List<Network.Arc>> lists) {
        return lists.stream().map(l -> l.toArray(Network.Arc[]::new)).toArray(Network.Arc[][]::new);
    }

    private void bound(int node) {
        boundIndex[node] = -1;
        var bounds = network.bounds.get(node);
        for (int i = 0; i < bounds.size(); i++) {
            if (bounds.get(i).slot() > boundSlot[node]) {
                boundSlot[node] = bounds.get(i).slot();
                boundIndex[node] = i;
            }
        }
    }

    private static boolean frozen(Task.JobTask job) {
        return job.told() != null && job.told().frozen();
    }

    private int[] ranks() {
        int[] ranks = new int[size];
        int[] order = network.inOrder();
        for (int i = order.length - 1; i >= 0; i--) {
            int node = order[i];
            boolean leads = Arrays.stream(after[node]).anyMatch(a -> ranks[a.to()] == 2);
            boolean fixed = tasks[node] instanceof Task.JobTask job && (job.exactly() != null || frozen(job))
                    || tasks[node] instanceof Task.TripTask trip && trip.exactly() != null
                    || tasks[node] instanceof Task.DriveTask drive && drive.exactly() != null;
            ranks[node] = network.isAway(node)
                    ? 0
                    : network.works.get(node).status() == Status.STARTED ? 1 : fixed || leads ? 2 : 3;
        }
        return ranks;
    }

    private int[][] curing() {
        java.util.List<int[]> claims = new java.util.ArrayList<>();
        for (int i = 0; i < network.done.size(); i++) {
            if (network.done.get(i) instanceof Job job
                    && job.onCar()
                    && job.cureLock() != galecrest.core.build.CureLock.NOTHING) {
                Instant done = job.doneAt().orElse(network.shop.now());
                int to = grid.atOrAfter(done.plus(job.cure()));
                if (to > 0) {
                    claims.add(new int[] {
                        network.buildOf(job.build()),
                        Tasks.cureHold(job),
                        job.zone().ordinal(),
                        to,
                        size + i
                    });
                }
            }
        }
        return claims.toArray(int[][]::new);
    }

    /** The least that any job takes; running-in does not look for gaps. */
    int shortestWork() {
        int least = Integer.MAX_VALUE;
        for (int slots : work) {
            least = slots > 0 && slots < least ? slots : least;
        }
        return least;
    }

    SlotWindows shopHours() {
        return mirror ? calendars.mirroredShopHours() : calendars.shopHours();
    }

    int lagged(int slot, Network.Arc arc) {
        if (arc.lag() == 0 || !arc.workingLag()) {
            return slot + arc.lag();
        }
        int left = slot >= 0 || mirror ? arc.lag() : arc.lag() - calendars.openSince(slot);
        return left <= 0 ? 0 : shopHours().finish(Math.max(slot, 0), left);
    }
}
