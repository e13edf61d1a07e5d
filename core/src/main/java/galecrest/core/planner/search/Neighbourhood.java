package galecrest.core.planner.search;

import galecrest.core.planner.network.ActivityNetwork;
import galecrest.core.planner.objective.Objective;
import galecrest.core.planner.problem.CrewMode;
import galecrest.core.planner.problem.Decisions;
import galecrest.core.planner.problem.SchedulingProblem;
import galecrest.core.planner.sgs.ActivityList;
import galecrest.core.planner.sgs.Schedule;
import galecrest.core.work.Commitment;
import java.util.Arrays;
import java.util.SplittableRandom;
import java.util.stream.IntStream;

/** Makes neighbours of an order: see {@link LocalSearch}. */
final class Neighbourhood {
    /** How often another of equally good crews is tried, and how often a build moves where part of it would be freed. */
    private static final double OTHERS = 0.03;

    private static final double WHOLE_BUILD = 0.6;
    /** How often several are kept to what people were told, where one choice would be turned. */
    private static final double KEPT_TOGETHER = 0.4;

    private static final int AHEAD = 0;
    private static final int SHIFT = 1;
    private static final int FREE = 2;
    private static final double LEAST = 0.1;
    /** So often another node is looked for that could go past a rival. */
    private static final int SHIFTS = 5;

    private final SchedulingProblem problem;
    private final SplittableRandom random;
    private final int[] position;
    private final boolean[] marked;
    private final boolean plainOrder;
    private final boolean flips;
    private final boolean putsBack;
    /** Whether there is only the order to choose: one crew and one station a job, each doing one thing at a time. */
    final boolean oneByOne;

    /**
     * Whether an order may be put in the order of the starts that it leads to: not where more than one crew could do a
     * job, for then who does it hangs on what is placed before.
     */
    final boolean sorts;

    /** The jobs that more than one crew could do. */
    private final int[] severalCrews;
    /** Whether several builds have dates of their own; only then is a build worth moving as a whole. */
    final boolean datesOfBuilds;

    private final double[] keys;
    final CriticalWaits waits;
    private int free;

    /** The neighbour made last. */
    int[] list;

    boolean[] choices;
    private int kind;
    private final OperatorSelection favours;
    private final SharedResources rivals;

    /** Makes the neighbour in which what waits goes ahead of what it waits for. */
    void ahead(int[] of, boolean[] picked, int wait) {
        System.arraycopy(of, 0, list, 0, of.length);
        System.arraycopy(picked, 0, choices, 0, picked.length);
        ahead(waits.waiter(wait), waits.blocker(wait));
    }

    /** Says whether the neighbour made last was better than what it was made of. */
    void tried(boolean better) {
        if (kind >= 0) {
            favours.tried(kind, better);
        }
    }

    /** @param free whether the orders began free of what people were told, so that much could be put back to that */
    Neighbourhood(SchedulingProblem problem, Objective objective, SplittableRandom random, boolean free) {
        this.problem = problem;
        this.random = random;
        rivals = new SharedResources(problem);
        favours = new OperatorSelection(3, LEAST, 0.002, random);
        position = new int[problem.size];
        marked = new boolean[problem.size];
        keys = new double[problem.size];
        list = new int[problem.size];
        choices = Decisions.none(problem);
        boolean plain = true;
        for (ActivityNetwork.Arc[] arcs : problem.before) {
            for (ActivityNetwork.Arc arc : arcs) {
                plain &= arc.type() == galecrest.core.work.Link.Type.FINISH_START && arc.risk() < 0;
            }
        }
        plainOrder = plain;
        boolean told = Arrays.stream(problem.told).anyMatch(t -> t >= 0);
        flips = problem.network.risks > 0 || told;
        putsBack = told && free;
        severalCrews = IntStream.range(0, problem.size)
                .filter(node -> problem.crews[node] != null && problem.crews[node].length > 1)
                .toArray();
        sorts = severalCrews.length == 0;
        oneByOne = !flips
                && sorts
                && IntStream.range(0, problem.pools.count()).allMatch(pool -> problem.pools.size(pool) == 1)
                && Arrays.stream(problem.stations).allMatch(its -> its == null || its.length <= 1);
        waits = new CriticalWaits(problem, objective, !oneByOne);
        datesOfBuilds = problem.network.shop.commitments().stream()
                        .map(Commitment::build)
                        .distinct()
                        .count()
                > 1;
    }

    /** The list in order of the starts in its schedule: as good, and nearer to its neighbours. */
    int[] sorted(Schedule schedule, int[] of) {
        for (int i = 0; i < of.length; i++) {
            position[of[i]] = i;
        }
        int from = ActivityList.firstFree(problem, of);
        if (plainOrder) {
            long[] order = new long[of.length - from];
            for (int i = from; i < of.length; i++) {
                order[i - from] = ((long) schedule.start[of[i]] << 24) | i;
            }
            Arrays.sort(order);
            int[] result = of.clone();
            for (int i = 0; i < order.length; i++) {
                result[from + i] = of[(int) (order[i] & 0xFFFFFF)];
            }
            return result;
        }
        for (int node = 0; node < problem.size; node++) {
            keys[node] = schedule.start[node] * 1e-3 + position[node] * 1e-9;
        }
        return ActivityList.by(problem, keys);
    }

    /** Looks at the schedule of the present list, to make neighbours of that. */
    void look(Schedule schedule, int[] present) {
        free = ActivityList.firstFree(problem, present);
        for (int i = 0; i < present.length; i++) {
            position[present[i]] = i;
        }
        waits.look(schedule, position, free);
    }

    /** Makes a neighbour of the order into {@link #list} and {@link #choices}. */
    void change(int[] of, boolean[] picked) {
        System.arraycopy(of, 0, list, 0, of.length);
        System.arraycopy(picked, 0, choices, 0, picked.length);
        kind = -1;
        if (free >= of.length - 1) {
            flip();
            return;
        }
        double what = random.nextDouble();
        if (severalCrews.length > 0 && what > 1 - OTHERS) {
            others();
        } else if (waits.keptCount() > 0 && what < 0.1) {
            flip();
        } else if (flips && what < 0.15) {
            flip();
        } else {
            kind = favours.pick();
            if (kind == AHEAD && waits.count() > 0) {
                int wait = random.nextInt(waits.count());
                ahead(waits.waiter(wait), waits.blocker(wait));
            } else if (kind == FREE) {
                free();
            } else {
                shift();
            }
        }
    }

    /** Lets the other end of equally good crews do a piece of work, by preference one that another waits for. */
    private void others() {
        int node = waits.count() > 0 && random.nextBoolean()
                ? waits.blocker(random.nextInt(waits.count()))
                : severalCrews[random.nextInt(severalCrews.length)];
        int at = problem.network.risks + problem.size + node;
        choices[at] = problem.crews[node] != null && problem.crews[node].length > 1 && !choices[at];
    }

    /** Turns one at-risk start on or off, or lets one piece of work go from what was told or keeps it, or several, to that. */
    private void flip() {
        int risks = problem.network.risks;
        if (putsBack && random.nextDouble() < KEPT_TOGETHER) {
            keep();
        } else if (waits.keptCount() > 0 && random.nextBoolean()) {
            choices[risks + waits.kept(random.nextInt(waits.keptCount()))] = false;
        } else if (risks > 0 && random.nextBoolean()) {
            int risk = random.nextInt(risks);
            choices[risk] = !choices[risk];
        } else if (list.length > 0) {
            int node = list[random.nextInt(list.length)];
            choices[risks + node] = problem.told[node] >= 0 && !choices[risks + node];
        }
    }

    /** Keeps a build, or a stretch of the order, to what people were told. */
    private void keep() {
        int seed = random.nextInt(list.length);
        int build = problem.activities[list[seed]].build();
        boolean whole = random.nextBoolean();
        int width = 1 + random.nextInt(list.length);
        for (int i = 0; i < list.length; i++) {
            boolean chosen = whole ? problem.activities[list[i]].build() == build : Math.abs(i - seed) < width;
            choices[problem.network.risks + list[i]] |= chosen && problem.told[list[i]] >= 0;
        }
    }

    /** Puts a node, and what it follows, ahead of another that it does not follow. */
    private void ahead(int node, int other) {
        int from = position[other];
        int to = position[node];
        if (from >= to) {
            return;
        }
        Arrays.fill(marked, false);
        marked[node] = true;
        for (int i = to; i >= from; i--) {
            if (marked[list[i]]) {
                for (ActivityNetwork.Arc arc : problem.before[list[i]]) {
                    marked[arc.from()] = true;
                }
            }
        }
        if (marked[other]) {
            return;
        }
        int[] rest = new int[to - from + 1];
        int kept = 0;
        int at = from;
        for (int i = from; i <= to; i++) {
            if (marked[list[i]]) {
                list[at++] = list[i];
            } else {
                rest[kept++] = list[i];
            }
        }
        System.arraycopy(rest, 0, list, at, kept);
    }

    /** Moves one node past a rival, somewhere between what it follows and what follows it. */
    private void shift() {
        for (int tries = 0; tries < SHIFTS; tries++) {
            int at = free + random.nextInt(list.length - free);
            int to = pastRival(at);
            if (to != at) {
                int node = list[at];
                if (to < at) {
                    System.arraycopy(list, to, list, to + 1, at - to);
                } else {
                    System.arraycopy(list, at + 1, list, at, to - at);
                }
                list[to] = node;
                return;
            }
        }
    }

    /** A position at random to which the node at one may go, or less far, just past a rival; its own where there is none. */
    private int pastRival(int at) {
        int node = list[at];
        int low = free;
        int high = list.length - 1;
        for (ActivityNetwork.Arc arc : problem.before[node]) {
            low = Math.max(low, position[arc.from()] + 1);
        }
        for (ActivityNetwork.Arc arc : problem.after[node]) {
            high = Math.min(high, position[arc.to()] - 1);
        }
        if (low >= high) {
            return at;
        }
        int to = low + random.nextInt(high - low + 1);
        int step = to < at ? 1 : -1;
        while (to != at && !rivals.rivals(list[to], node)) {
            to += step;
        }
        return to;
    }

    /** Frees part of the order and puts it in anew: a build, a pool's work, or a stretch of the list. */
    private void free() {
        int size = list.length;
        if (datesOfBuilds && random.nextDouble() < WHOLE_BUILD) {
            build();
            return;
        }
        double spread = 1 + random.nextDouble() * Math.min(40, 0.25 * (size - free));
        int seed = list[free + random.nextInt(size - free)];
        double kind = random.nextDouble();
        int width = 4 + random.nextInt(Math.max(1, Math.min(60, (size - free) / 2)));
        for (int i = 0; i < size; i++) {
            int node = list[i];
            boolean chosen =
                    switch ((int) (kind * 3)) {
                        case 0 ->
                            problem.activities[node].build() == problem.activities[seed].build()
                                    && Math.abs(i - position[seed]) < 2 * width;
                        case 1 -> shares(node, seed) && Math.abs(i - position[seed]) < 3 * width;
                        default -> Math.abs(i - position[seed]) < width;
                    };
            keys[node] = i + (chosen && random.nextInt(3) > 0 ? spread * (random.nextDouble() * 2 - 1) : 0);
        }
        System.arraycopy(ActivityList.by(problem, keys), 0, list, 0, size);
    }

    /** Moves all of a build sooner or later together. */
    private void build() {
        int size = list.length;
        int build = problem.activities[list[free + random.nextInt(size - free)]].build();
        double reach = random.nextBoolean() ? 10 : 0.5 * (size - free);
        double by = reach * (random.nextDouble() * 2 - 1);
        for (int i = 0; i < size; i++) {
            int node = list[i];
            keys[node] = i + (problem.activities[node].build() == build ? by : 0);
        }
        System.arraycopy(ActivityList.by(problem, keys), 0, list, 0, size);
    }

    private boolean shares(int a, int b) {
        CrewMode[] first = problem.crews[a];
        CrewMode[] second = problem.crews[b];
        return first != null
                && second != null
                && first.length > 0
                && second.length > 0
                && first[0].pools.length > 0
                && second[0].pools.length > 0
                && first[0].pools[0] == second[0].pools[0];
    }
}
