package galecrest.core.planner.search;

import galecrest.core.plan.Plan;
import galecrest.core.plan.Score;
import galecrest.core.planner.network.ActivityNetwork;
import galecrest.core.planner.network.CriticalPath;
import galecrest.core.planner.problem.Activity;
import galecrest.core.planner.problem.CrewMode;
import galecrest.core.planner.problem.Decisions;
import galecrest.core.planner.problem.SchedulingProblem;
import galecrest.core.planner.sgs.ActivityList;
import galecrest.core.planner.sgs.SerialScheduler.Displaced;
import galecrest.core.work.LinkId;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.IntPredicate;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;

/**
 * Mends the plan that stands after an edit. What still can stay keeps its people and its start. What cannot (because of a
 * bound, of what it follows, of who is away, or because it is new) first takes the room that is left, by any crew, so that
 * nothing else moves at all. Where that harms a date, each of it is tried in its turn: it pushes away what stands there,
 * which in turn takes the room that is left or is tried likewise. That is kept only where the lateness and the margin that
 * it saves are worth what moves ({@link RepairCost}). Deterministic: no luck is in it.
 */
public final class Repair {
    /** So many that are late are helped, each by trying so many that could make room. */
    private static final int TRIED = 6;
    /** A job that could be so many working slots later has time enough: two weeks. */
    private static final double ENOUGH = 2 * CriticalPath.WEEK;
    /** So many crews are tried for what is pinned to a time. */
    private static final int MOST_CREWS = 12;
    /** The key of what goes ahead of all that stands, in the order in which it follows one another. */
    private static final double AHEAD = -1;
    /** An hour, in slots: what waits less than that for people hardly waits. */
    private static final int HOUR = 12;

    private final SchedulingProblem problem;
    private final Evaluator evaluator;
    private final StandingOrder standing;
    private final CriticalPath urgency;
    private final RepairCost cost;
    private final long steps;
    private int[] ranks;
    private final boolean[] choices;
    /** Of each node, whether it cannot stay, or need not. */
    private final boolean[] atOnce;
    /** Of each node, whether its build was let go, so that it may also come sooner. */
    private final boolean[] free;
    /** What becomes of each node that cannot stay. */
    private Displaced[] displaced;
    /** Whether the room that is left goes to the most urgent first, instead of to who stood there first. */
    private boolean byUrgency;

    private ElitePool.Member best;
    private double least;

    private Repair(SchedulingProblem problem, Evaluator evaluator, Plan plan, Set<Integer> letGo, long steps) {
        this.problem = problem;
        this.evaluator = evaluator;
        this.steps = steps;
        urgency = new CriticalPath(problem.network);
        standing = new StandingOrder(problem, urgency, plan);
        // Who asks what would help a car wants to know it, though more must move for it than an edit may impose.
        cost = new RepairCost(problem, evaluator.objective, plan, standing, letGo.isEmpty());
        ranks = ranks(false);
        choices = choices(plan, letGo);
        atOnce = new boolean[problem.size];
        free = new boolean[problem.size];
        for (int node = 0; node < problem.size; node++) {
            free[node] = letGo.contains(problem.activities[node].build());
            atOnce[node] = !standing.stays(node) || free[node];
        }
        displaced = displacedByRank();
        Score score = make();
        if (breaksAPin()) {
            ranks = ranks(true);
            displaced = displacedByRank();
            score = make();
        }
        least = cost.of(evaluator.schedule, score);
        best = made(score);
        pinnedPeople();
    }

    /** Of what is newly pinned to a time, the people whose other work suffers least by it. */
    private void pinnedPeople() {
        for (int node = 0; node < problem.size; node++) {
            Activity.Exactly pin = pin(node);
            boolean anew = ranks[node] == 2 && pin != null && pinned(node) && problem.told[node] != pin.slot();
            if (anew && problem.activities[node] instanceof Activity.JobActivity) {
                cheapestCrew(node, pin.slot());
            }
        }
    }

    private void cheapestCrew(int node, int slot) {
        CrewMode[] all = problem.crews[node];
        CrewMode[] chosen = all;
        for (int i = 0; i < Math.min(MOST_CREWS, all.length) && evaluator.steps() < steps; i++) {
            problem.crews[node] = new CrewMode[] {all[i]};
            Score score = make();
            double its = cost.of(evaluator.schedule, score);
            if (its < least - Score.NOISE && evaluator.schedule.start[node] == slot) {
                least = its;
                chosen = problem.crews[node];
            }
        }
        problem.crews[node] = chosen;
    }

    /**
     * The plan that stands, mended; its schedule is the evaluator's last.
     *
     * @param letGo builds whose work need not stay: it takes what room is left, sooner or later
     * @param steps schedules that are made at most, at least one
     */
    public static ElitePool.Member of(
            SchedulingProblem problem, Evaluator evaluator, Plan plan, Set<Integer> letGo, long steps) {
        Repair repair = new Repair(problem, evaluator, plan, letGo, steps);
        repair.improve();
        repair.againFrom(Displaced.SLIDES);
        repair.againFrom(Displaced.ANYBODY);
        repair.remake();
        return repair.best;
    }

    /** Begins once more, from all that cannot stay dealt with like that, and keeps what comes of it where it costs less. */
    private void againFrom(Displaced how) {
        if (evaluator.steps() >= steps
                || !cost.harms(evaluator.schedule) && cost.othersMoved(evaluator.schedule) == 0) {
            return;
        }
        double before = least;
        Displaced[] were = displaced.clone();
        boolean[] went = atOnce.clone();
        boolean urgent = byUrgency;
        for (int node = 0; node < problem.size; node++) {
            atOnce[node] = !standing.stays(node) || free[node];
            if (ranks[node] == 3 && standing.stood(node) && !standing.stays(node)) {
                displaced[node] = how;
            }
        }
        byUrgency = false;
        least = Double.MAX_VALUE;
        if (helps()) {
            improve();
        }
        if (least >= before - Score.NOISE) {
            least = before;
            displaced = were;
            System.arraycopy(went, 0, atOnce, 0, went.length);
            byUrgency = urgent;
            make();
        }
    }

    private Displaced[] displacedByRank() {
        Displaced[] all = new Displaced[problem.size];
        Arrays.setAll(
                all,
                node -> ranks[node] == 3 && (problem.told[node] >= 0 || !standing.stood(node))
                        ? Displaced.WAITS
                        : Displaced.ANYBODY);
        return all;
    }

    private boolean breaksAPin() {
        for (int node = 0; node < problem.size; node++) {
            Activity.Exactly pin = pin(node);
            if (pin != null && pinned(node) && evaluator.schedule.start[node] != pin.slot()) {
                return true;
            }
        }
        return false;
    }

    /** At-risk starts as they stood, all at the start it stood at; what is let go is free to use both otherwise. */
    private boolean[] choices(Plan plan, Set<Integer> letGo) {
        boolean[] all = Decisions.of(problem, false, true, letGo);
        Set<LinkId> early = new HashSet<>(plan.startedAtRisk());
        for (ActivityNetwork.Arc[] arcs : problem.before) {
            for (ActivityNetwork.Arc arc : arcs) {
                if (arc.risk() >= 0) {
                    all[arc.risk()] = arc.link().map(early::contains).orElse(false)
                            || letGo.contains(problem.network.build[arc.to()]);
                }
            }
        }
        return all;
    }

    /**
     * What is away or goes on goes ahead of all else. What was begun but waits comes where it stood, and what is frozen is so
     * by its key.
     *
     * @param pinsFirst whether what leads to a pin that can hold goes next, whatever it pushes; else it finds its people
     *     among those who have time
     */
    private int[] ranks(boolean pinsFirst) {
        int[] own = new int[problem.size];
        int[] order = problem.network.inOrder();
        for (int i = order.length - 1; i >= 0; i--) {
            int node = order[i];
            boolean leads = Arrays.stream(problem.after[node]).anyMatch(a -> own[a.to()] == 2);
            boolean goesOn = problem.rank[node] == 0
                    || problem.rank[node] == 1 && !(standing.stood(node) && standing.inTurn(node) > 0);
            own[node] = goesOn ? problem.rank[node] : pinsFirst && (leads || pinned(node)) ? 2 : 3;
        }
        return own;
    }

    private boolean pinned(int node) {
        Activity.Exactly pin = pin(node);
        return pin != null && pin.slot() >= problem.boundSlot[node];
    }

    private Activity.@Nullable Exactly pin(int node) {
        Activity activity = problem.activities[node];
        return activity instanceof Activity.JobActivity job
                ? job.exactly()
                : activity instanceof Activity.TripActivity trip
                        ? trip.exactly()
                        : activity instanceof Activity.DriveActivity drive ? drive.exactly() : null;
    }

    private Score make() {
        double[] keys = new double[problem.size];
        for (int node = 0; node < problem.size; node++) {
            boolean waits = atOnce[node] && displaced[node] == Displaced.WAITS;
            keys[node] = waits && byUrgency
                    ? CriticalPath.FAR + urgency.latestStart(node)
                    : free[node] && !waits ? AHEAD : standing.inTurn(node);
        }
        return evaluator.makeAround(ActivityList.by(problem, keys, ranks), choices, displaced, atOnce);
    }

    private ElitePool.Member made(Score score) {
        return evaluator.made(evaluator.schedule.order, choices, score);
    }

    /** Makes the best so far again, to look at it. */
    private void remake() {
        best = made(make());
    }

    /** Keeps what was set where it costs less than the best so far. */
    private boolean helps() {
        if (evaluator.steps() >= steps) {
            return false;
        }
        Score score = make();
        double its = cost.of(evaluator.schedule, score);
        if (its >= least - Score.NOISE) {
            return false;
        }
        least = its;
        return true;
    }

    private void improve() {
        if (!cost.harms(evaluator.schedule) && cost.othersMoved(evaluator.schedule) == 0) {
            return;
        }
        byUrgency = true;
        byUrgency = helps();
        freeFirst();
        for (boolean helped = true; helped && evaluator.steps() < steps; ) {
            helped = false;
            for (List<Integer> group : groups()) {
                helped |= flip(group);
            }
            helped |= pushersWait();
            for (boolean more = true; more && evaluator.steps() < steps; helped |= more) {
                more = ejects();
            }
        }
    }

    /** Lets what pushed others from their places wait itself. */
    private boolean pushersWait() {
        boolean helped = false;
        remake();
        Set<Integer> pushers = new TreeSet<>();
        for (int root : roots()) {
            for (int other = 0; other < problem.size; other++) {
                if (ranks[other] == 3 && !atOnce[other] && pushes(other, root)) {
                    pushers.add(other);
                }
            }
        }
        for (int pusher : pushers) {
            atOnce[pusher] = true;
            if (helps()) {
                helped = true;
            } else {
                atOnce[pusher] = false;
            }
        }
        return helped;
    }

    /** Whether the one is done by people of the other, at the time at which that was to be. */
    private boolean pushes(int one, int other) {
        int told = problem.told[other];
        return one != other
                && told >= 0
                && evaluator.schedule.planned(one)
                && evaluator.schedule.start[one] < told + problem.work[other]
                && evaluator.schedule.end[one] > told
                && Arrays.stream(pools(one))
                        .anyMatch(p -> Arrays.stream(pools(other)).anyMatch(q -> p == q));
    }

    /**
     * Makes room for what is late of the builds whose dates are harmed: something that has time, of people who could do it
     * instead, leaves its place and waits.
     */
    private boolean ejects() {
        remake();
        boolean[] gone = cost.moved(evaluator.schedule);
        Set<Integer> harmed = cost.harmed(evaluator.schedule);
        List<Integer> late = IntStream.range(0, problem.size)
                .filter(node -> ranks[node] == 3 && harmed.contains(problem.network.build[node]))
                .filter(node -> problem.activities[node] instanceof Activity.JobActivity)
                .filter(node -> gone[node] || free[node] && waitsForPeople(node))
                .boxed()
                .sorted(Comparator.<Integer>comparingDouble(node -> standing.inTurn(node))
                        .thenComparing(Comparator.naturalOrder()))
                .limit(TRIED)
                .toList();
        for (int node : late) {
            for (int victim : victims(node)) {
                if (eject(node, victim)) {
                    return true;
                }
            }
        }
        return false;
    }

    private boolean waitsForPeople(int node) {
        return evaluator.schedule.planned(node)
                && evaluator.schedule.start[node] > evaluator.schedule.free(node) + HOUR;
    }

    /** What has its place before the node is late and could be done later without harm, by people who can do both. */
    private List<Integer> victims(int node) {
        Set<Integer> able = new HashSet<>();
        for (CrewMode crew : problem.listedCrews[node]) {
            Arrays.stream(crew.pools).forEach(able::add);
        }
        double from = free[node] ? evaluator.schedule.free(node) : standing.inTurn(node);
        int now = evaluator.schedule.start[node];
        return IntStream.range(0, problem.size)
                .filter(other -> ranks[other] == 3 && !atOnce[other] && problem.told[other] >= from)
                .filter(other -> problem.told[other] < now && problem.work[other] * 2 >= problem.work[node])
                .filter(other -> problem.network.build[other] != problem.network.build[node])
                .filter(other -> problem.activities[other] instanceof Activity.JobActivity job
                        && job.told() != null
                        && Arrays.stream(job.told().crew().pools).anyMatch(able::contains))
                .boxed()
                .sorted(Comparator.<Integer>comparingDouble(
                                other -> -Math.min(Math.min(slack(other), room(other)), ENOUGH))
                        .thenComparingInt(other -> problem.after[other].length)
                        .thenComparingInt(other -> problem.told[other]))
                .limit(TRIED)
                .toList();
    }

    /** Working slots by which the node could start later than it stood, as far as its dates go. */
    private double slack(int node) {
        return urgency.latestStart(node) - problem.calendars.shopHours().workBefore(problem.told[node]);
    }

    /** Working slots by which the node could start later than it stood before what follows it must move. */
    private double room(int node) {
        int next = Integer.MAX_VALUE;
        for (ActivityNetwork.Arc arc : problem.after[node]) {
            if (problem.told[arc.to()] >= 0) {
                next = Math.min(next, problem.told[arc.to()]);
            }
        }
        if (next == Integer.MAX_VALUE) {
            return ENOUGH;
        }
        return problem.calendars.shopHours().workBefore(next)
                - problem.calendars.shopHours().workBefore(problem.told[node])
                - problem.work[node];
    }

    private boolean eject(int node, int victim) {
        boolean was = atOnce[node];
        Displaced how = displaced[node];
        atOnce[victim] = true;
        atOnce[node] = true;
        displaced[node] = Displaced.WAITS;
        if (helps()) {
            return true;
        }
        atOnce[victim] = false;
        atOnce[node] = was;
        displaced[node] = how;
        return false;
    }

    /** What was let go comes first of all, and what stands in its way makes room. */
    private void freeFirst() {
        Displaced[] before = displaced.clone();
        boolean any = false;
        for (int node = 0; node < problem.size; node++) {
            if (free[node] && displaced[node] == Displaced.WAITS) {
                displaced[node] = Displaced.ANYBODY;
                any = true;
            }
        }
        if (any && !helps()) {
            displaced = before;
        }
    }

    /** Lets the group come sooner, pushing others, or wait. */
    private boolean flip(List<Integer> group) {
        Displaced[] before = displaced.clone();
        Displaced to = displaced[group.get(0)] != Displaced.WAITS
                ? Displaced.WAITS
                : standing.stood(group.get(0)) ? Displaced.SLIDES : Displaced.ANYBODY;
        group.forEach(node -> displaced[node] = to);
        if (helps()) {
            return true;
        }
        displaced = before;
        return false;
    }

    /**
     * What to flip. Of what is not where it stood while all that it follows is: the people who do it (their work moves on
     * one after another until there is a gap), the car (which comes later as a whole), and each piece alone.
     */
    private List<List<Integer>> groups() {
        remake();
        List<Integer> roots = roots();
        Set<List<Integer>> groups = new LinkedHashSet<>();
        for (int root : roots) {
            for (int pool : pools(root)) {
                groups.add(all(node -> Arrays.stream(pools(node)).anyMatch(p -> p == pool)));
            }
        }
        for (int root : roots) {
            int build = problem.network.build[root];
            groups.add(all(node -> problem.network.build[node] == build));
        }
        roots.forEach(root -> groups.add(List.of(root)));
        groups.remove(List.of());
        return List.copyOf(groups);
    }

    /** What is not where it stood while all that it follows is, the soonest first. */
    private List<Integer> roots() {
        boolean[] gone = cost.moved(evaluator.schedule);
        return IntStream.range(0, problem.size)
                .filter(node -> gone[node] && ranks[node] == 3)
                .filter(node -> Arrays.stream(problem.before[node]).noneMatch(arc -> gone[arc.from()]))
                .boxed()
                .sorted(Comparator.<Integer>comparingDouble(standing::inTurn).thenComparing(Comparator.naturalOrder()))
                .toList();
    }

    private List<Integer> all(IntPredicate which) {
        return IntStream.range(0, problem.size)
                .filter(node -> ranks[node] == 3 && standing.stood(node) && which.test(node))
                .boxed()
                .toList();
    }

    /** Who did it as the plan stood. */
    private int[] pools(int node) {
        return problem.activities[node] instanceof Activity.JobActivity job && job.told() != null
                ? job.told().crew().pools
                : new int[0];
    }
}
