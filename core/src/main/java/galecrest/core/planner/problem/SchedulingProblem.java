package galecrest.core.planner.problem;

import galecrest.core.planner.calendar.Calendars;
import galecrest.core.planner.calendar.TimeGrid;
import galecrest.core.planner.calendar.WorkingWindows;
import galecrest.core.planner.network.ActivityNetwork;
import galecrest.core.planner.network.ReleaseDates;
import galecrest.core.planner.sgs.BackwardPass;
import galecrest.core.work.Commitment;
import galecrest.core.work.Job;
import galecrest.core.work.Outwork;
import galecrest.core.work.Status;
import java.time.Instant;
import java.util.Arrays;

/**
 * The network as numbers, ready to be scheduled many times over: tasks, arcs and the figures that a trial of a
 * simulation draws anew. Two of the same network can stand side by side: as it is, and mirrored in time.
 */
public final class SchedulingProblem {
    public static final int NO_SLOT = Integer.MIN_VALUE;

    public final ActivityNetwork network;
    public final TimeGrid grid;
    public final Calendars calendars;
    public final ResourcePools pools;
    public final int size;
    public final int slots;
    public final boolean mirror;
    public final Activity[] activities;
    public final ActivityNetwork.Arc[][] before;
    public final ActivityNetwork.Arc[][] after;
    /** 0: is away, a fact; 1: has started; 2: leads to what is pinned or frozen; 3: all else. */
    public final int[] rank;
    /** Working slots of each job, and as it was planned: a trial draws only the first anew. */
    public final int[] work;

    public final int[] planned;
    /** The slot before which the node cannot start, and which of its bounds says so (−1: none). */
    public final int[] boundSlot;

    public final int[] boundIndex;
    /** The slot that people were told the node starts at; −1 where they were not, or it has passed. A repair that moves it
     * sets it anew. */
    public final int[] told;
    /** The slot before which a node of a replayed or mended plan does not start, though it could; 0 for none. */
    public final int[] waits;
    /** Of each at-risk link, by its number: slots of work to be done again once its risk is known; 0 for none. */
    public final int[] rework;
    /**
     * Whether work also goes into the hours that other work of the same people leaves between its own. A search for a plan
     * passes such places over, to be quick; a replay must find whatever place the plan has.
     */
    public boolean interleaves;
    /** How far a job in one go may run beyond its crew's hours, in slots; negative where none may, as in a plan. */
    public int stayOn = -1;
    /** Vendor working days of outwork in the queue. */
    public final int[] turnaround;
    /** When outwork that is away is back. */
    public final int[] back;
    /** The crews and stations that are tried for a job. */
    public final CrewMode[][] crews;

    public final int[][] stations;
    /** The same, whatever people were told. */
    public final CrewMode[][] listedCrews;

    public final int[][] listedStations;
    public final java.util.Map<galecrest.core.work.PinId, String> brokenPins;
    /** Claims of what is done and still cures: build, hold, zone, to, number of the work. */
    public final int[][] stillCuring;

    /** Stays of stations that go along to a date: station, from, to, build, number of the commitment. */
    public final int[][] takenAlong;

    /** Prepares the problem of a network: modes, pools, ranks and what people were told. */
    public SchedulingProblem(ActivityNetwork network) {
        this(network, new ResourcePools(network.shop, network.calendars));
    }

    private SchedulingProblem(ActivityNetwork network, ResourcePools pools) {
        this.network = network;
        this.grid = network.grid;
        this.calendars = network.calendars;
        this.pools = pools;
        this.size = network.size();
        this.slots = grid.slots();
        this.mirror = false;
        ActivityFactory prepare = new ActivityFactory(network, pools);
        activities = new Activity[size];
        Arrays.setAll(activities, prepare::of);
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
        crews = new CrewMode[size][];
        stations = new int[size][];
        listedCrews = new CrewMode[size][];
        listedStations = new int[size][];
        ReleaseDates outside = new ReleaseDates(network.shop, grid, calendars);
        for (int node = 0; node < size; node++) {
            bound(node);
            var piece = network.works.get(node);
            if (activities[node] instanceof Activity.JobActivity activity) {
                work[node] = ActivityNetwork.slots((Job) piece);
                crews[node] = activity.crews();
                stations[node] = activity.stations();
                listedCrews[node] = activity.listedCrews();
                listedStations[node] = activity.listedStations();
            } else if (piece instanceof Outwork outwork) {
                turnaround[node] = outwork.turnaround().likely();
                back[node] =
                        network.shop.expected(outwork).map(outside::expected).orElse(0);
            }
        }
        planned = work.clone();
        rank = ranks();
        stillCuring = curing();
        takenAlong = takenAlong();
    }

    /** The mirrored model, or a copy whose figures may be changed; see {@link BackwardPass} and the simulation. */
    public SchedulingProblem(
            SchedulingProblem of,
            boolean mirror,
            Activity[] activities,
            ActivityNetwork.Arc[][] before,
            ActivityNetwork.Arc[][] after,
            int[] boundSlot) {
        network = of.network;
        grid = of.grid;
        calendars = of.calendars;
        pools = of.pools;
        size = of.size;
        slots = of.slots;
        this.mirror = mirror;
        this.activities = activities;
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
        takenAlong = mirror ? new int[0][] : of.takenAlong;
    }

    /** A copy, perhaps with other tasks, whose figures may be changed without touching this one's. */
    public SchedulingProblem copy(Activity[] others) {
        return new SchedulingProblem(this, false, others, before, after, boundSlot.clone());
    }

    private static ActivityNetwork.Arc[][] arcs(java.util.List<java.util.List<ActivityNetwork.Arc>> lists) {
        return lists.stream().map(l -> l.toArray(ActivityNetwork.Arc[]::new)).toArray(ActivityNetwork.Arc[][]::new);
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

    private static boolean frozen(Activity.JobActivity job) {
        return job.told() != null && job.told().frozen();
    }

    private int[] ranks() {
        int[] ranks = new int[size];
        int[] order = network.inOrder();
        for (int i = order.length - 1; i >= 0; i--) {
            int node = order[i];
            boolean leads = Arrays.stream(after[node]).anyMatch(a -> ranks[a.to()] == 2);
            boolean fixed =
                    activities[node] instanceof Activity.JobActivity job && (job.exactly() != null || frozen(job))
                            || activities[node] instanceof Activity.TripActivity trip && trip.exactly() != null
                            || activities[node] instanceof Activity.DriveActivity drive && drive.exactly() != null;
            ranks[node] = network.isAway(node)
                    ? 0
                    : network.works.get(node).status() == Status.STARTED ? 1 : fixed || leads ? 2 : 3;
        }
        return ranks;
    }

    private int[][] takenAlong() {
        java.util.List<int[]> stays = new java.util.ArrayList<>();
        for (int c = 0; c < network.shop.commitments().size(); c++) {
            Commitment date = network.shop.commitments().get(c);
            if (date.away().isPresent() && grid.atOrAfter(date.away().get().to()) > 0) {
                int from = Math.max(0, grid.atOrBefore(date.due()));
                int to = grid.atOrAfter(date.away().get().to());
                for (var station : date.outing().orElseThrow().takes()) {
                    stays.add(new int[] {network.station(station), from, to, network.buildOf(date.build()), c});
                }
            }
        }
        return stays.toArray(int[][]::new);
    }

    private int[][] curing() {
        java.util.List<int[]> claims = new java.util.ArrayList<>();
        for (int i = 0; i < network.done.size(); i++) {
            if (network.done.get(i) instanceof Job job
                    && job.onCar()
                    && job.cureLock() != galecrest.core.work.CureLock.NOTHING) {
                Instant done = job.doneAt().orElse(network.shop.now());
                int to = grid.atOrAfter(done.plus(job.cure()));
                if (to > 0) {
                    claims.add(new int[] {
                        network.buildOf(job.build()),
                        ActivityFactory.cureHold(job),
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
    public int shortestWork() {
        int least = Integer.MAX_VALUE;
        for (int slots : work) {
            least = slots > 0 && slots < least ? slots : least;
        }
        return least;
    }

    WorkingWindows shopHours() {
        return mirror ? calendars.mirroredShopHours() : calendars.shopHours();
    }

    /** The slot with the lag of the arc added: elapsed, or in the hours of the shop. */
    public int lagged(int slot, ActivityNetwork.Arc arc) {
        if (arc.lag() == 0 || !arc.workingLag()) {
            return slot + arc.lag();
        }
        int left = slot >= 0 || mirror ? arc.lag() : arc.lag() - calendars.openSince(slot);
        return left <= 0 ? 0 : shopHours().finish(Math.max(slot, 0), left);
    }
}
