package galecrest.core.planner.repair;

import galecrest.core.plan.Plan;
import galecrest.core.plan.Score;
import galecrest.core.planner.network.ActivityNetwork;
import galecrest.core.planner.network.CriticalPath;
import galecrest.core.planner.problem.Activity;
import galecrest.core.planner.problem.CrewMode;
import galecrest.core.planner.problem.SchedulingProblem;
import galecrest.core.planner.search.ElitePool;
import galecrest.core.planner.search.Evaluator;
import galecrest.core.planner.sgs.SerialScheduler.Displaced;
import java.util.ArrayList;
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
 * it saves are worth what moves ({@link RepairCost}). It is also tried with what follows the disturbed kept in its place
 * as long as that can be, and with somebody else taking over where somebody is missing. Ahead of all that, and where all
 * that leaves a date late or moves many, a few are looked for that take one another's places ({@link EjectionChain}).
 * Deterministic: no luck is in it.
 */
public final class Repair {
    /** So many that are late are helped, each by trying so many that could make room. */
    private static final int TRIED = 6;
    /** A job that could be so many working slots later has time enough: two weeks. */
    private static final double ENOUGH = 2 * CriticalPath.WEEK;
    /** An hour, in slots: what waits less than that for people hardly waits. */
    private static final int HOUR = 12;
    /** Places that are looked at for a chain of few moves at first, and where all else is no good. */
    private static final long FIRST_LOOKS = 320_000;

    private static final long MOST_LOOKS = 1_200_000;
    /** Of more than so many that cannot stay no chain is looked for: for each of them one more would have to be found. */
    private static final int MOST_UNSETTLED = 5;

    private final RepairAttempt attempt;
    private final SchedulingProblem problem;
    private final Evaluator evaluator;
    private final StandingOrder standing;
    private final CriticalPath urgency;
    private final RepairCost cost;

    private Repair(RepairAttempt attempt) {
        this.attempt = attempt;
        problem = attempt.problem;
        evaluator = attempt.evaluator;
        standing = attempt.standing;
        urgency = attempt.urgency;
        cost = attempt.cost;
    }

    /**
     * The plan that stands, mended; its schedule is the evaluator's last.
     *
     * @param letGo builds whose work need not stay: it takes what room is left, sooner or later
     * @param steps schedules that are made at most, at least one
     */
    public static ElitePool.Member of(
            SchedulingProblem problem, Evaluator evaluator, Plan plan, Set<Integer> letGo, long steps) {
        Repair repair = new Repair(new RepairAttempt(problem, evaluator, plan, letGo, steps));
        // Who asks what would help a car lets it go; its work is not to stay, so nothing makes room for that.
        @Nullable EjectionChain chain = letGo.isEmpty() && repair.attempt.disturbs ? repair.chain(plan) : null;
        boolean chained = chain != null && repair.moveBy(chain, FIRST_LOOKS);
        repair.improve();
        repair.againFrom(Displaced.SLIDES, false);
        repair.againFrom(Displaced.ANYBODY, false);
        repair.againFrom(Displaced.WAITS, true);
        if (chain != null && !chained && repair.isTooMuch()) {
            repair.moveBy(chain, MOST_LOOKS);
        }
        return repair.attempt.explained();
    }

    private boolean isTooMuch() {
        attempt.remake();
        return cost.isTooMuch(evaluator.schedule);
    }

    private @Nullable EjectionChain chain(Plan plan) {
        Unsettled unsettled = Unsettled.of(plan, problem, evaluator.schedule, attempt.ranks);
        return unsettled.nodes().size() > MOST_UNSETTLED ? null : new EjectionChain(unsettled, urgency, cost);
    }

    /** Looks for a chain, and moves work by it where that costs less than the best so far. */
    private boolean moveBy(EjectionChain chain, long looks) {
        List<Timetable.Place> places = chain.find(looks);
        return !places.isEmpty() && attempt.moves(places);
    }

    /** Begins once more, from all that cannot stay dealt with like that, and keeps what comes of it where it costs less. */
    private void againFrom(Displaced how, boolean reserved) {
        if (reserved) {
            attempt.moreSteps();
        }
        if (!attempt.hasSteps() || !attempt.disturbs) {
            return;
        }
        RepairAttempt.Setting before = attempt.setting();
        attempt.reserved = reserved;
        attempt.beginWith(how);
        if (attempt.helps()) {
            improve();
        }
        if (attempt.least >= before.least() - Score.NOISE) {
            attempt.backTo(before);
        }
    }

    private void improve() {
        if (!attempt.disturbs) {
            return;
        }
        attempt.byUrgency = true;
        attempt.byUrgency = attempt.helps();
        freeFirst();
        for (boolean helped = true; helped && attempt.hasSteps(); ) {
            helped = false;
            for (List<Integer> group : groups()) {
                helped |= flip(group);
            }
            helped |= pushersWait();
            for (boolean more = true; more && attempt.hasSteps(); helped |= more) {
                more = ejects();
            }
        }
    }

    /** Lets what pushed others from their places wait itself. */
    private boolean pushersWait() {
        boolean helped = false;
        attempt.remake();
        Set<Integer> pushers = new TreeSet<>();
        for (int root : roots()) {
            for (int other = 0; other < problem.size; other++) {
                if (attempt.ranks[other] == 3 && !attempt.atOnce[other] && pushes(other, root)) {
                    pushers.add(other);
                }
            }
        }
        for (int pusher : pushers) {
            attempt.atOnce[pusher] = true;
            if (attempt.helps()) {
                helped = true;
            } else {
                attempt.atOnce[pusher] = false;
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
        attempt.remake();
        boolean[] gone = cost.moved(evaluator.schedule);
        Set<Integer> harmed = cost.harmed(evaluator.schedule);
        List<Late> late = IntStream.range(0, problem.size)
                .filter(node -> attempt.ranks[node] == 3 && harmed.contains(problem.network.build[node]))
                .filter(node -> problem.activities[node] instanceof Activity.JobActivity)
                .filter(node -> gone[node] || attempt.free[node] && waitsForPeople(node))
                .boxed()
                .sorted(Comparator.<Integer>comparingDouble(node -> standing.inTurn(node))
                        .thenComparing(Comparator.naturalOrder()))
                .limit(TRIED)
                .map(this::late)
                .toList();
        for (Late some : late) {
            if (attempt.reserved && takesOver(some.node())) {
                return true;
            }
            for (int victim : victims(some)) {
                if (eject(some.node(), victim)) {
                    return true;
                }
            }
        }
        return false;
    }

    /** What is late: from where it could be done, and where it is done in the best so far. */
    private record Late(int node, double from, int now) {}

    private Late late(int node) {
        double from = attempt.free[node] ? evaluator.schedule.free(node) : standing.inTurn(node);
        return new Late(node, from, evaluator.schedule.start[node]);
    }

    /**
     * Lets somebody else take over the node at the time at which it stood; what they would do then leaves its place and
     * waits.
     */
    private boolean takesOver(int node) {
        int from = problem.told[node];
        if (from < 0) {
            return false;
        }
        List<List<Integer>> ways = new ArrayList<>();
        for (CrewMode crew : problem.listedCrews[node]) {
            int to = crew.hours(-1, false).finish(crew.hours(-1, false).next(from), problem.work[node]);
            ways.add(IntStream.range(0, problem.size)
                    .filter(other -> other != node && attempt.ranks[other] == 3 && !attempt.atOnce[other])
                    .filter(other -> problem.told[other] >= 0 && problem.told[other] < to)
                    .filter(other -> standing.end(other) > from && shares(other, crew))
                    .boxed()
                    .toList());
        }
        ways.sort(Comparator.comparingDouble(way -> -way.stream()
                .mapToDouble(other -> Math.min(slack(other), room(other)))
                .min()
                .orElse(ENOUGH)));
        boolean was = attempt.atOnce[node];
        Displaced how = attempt.displaced[node];
        attempt.atOnce[node] = true;
        attempt.displaced[node] = Displaced.WAITS;
        for (List<Integer> way : ways.subList(0, Math.min(TRIED, ways.size()))) {
            way.forEach(other -> attempt.atOnce[other] = true);
            if (attempt.helps()) {
                return true;
            }
            way.forEach(other -> attempt.atOnce[other] = false);
        }
        attempt.atOnce[node] = was;
        attempt.displaced[node] = how;
        return false;
    }

    private boolean shares(int node, CrewMode crew) {
        return Arrays.stream(pools(node))
                .anyMatch(p -> Arrays.stream(crew.pools).anyMatch(q -> p == q));
    }

    private boolean waitsForPeople(int node) {
        return evaluator.schedule.planned(node)
                && evaluator.schedule.start[node] > evaluator.schedule.free(node) + HOUR;
    }

    /** What has its place before the node is late and could be done later without harm, by people who can do both. */
    private List<Integer> victims(Late late) {
        int node = late.node();
        Set<Integer> able = new HashSet<>();
        for (CrewMode crew : problem.listedCrews[node]) {
            Arrays.stream(crew.pools).forEach(able::add);
        }
        return IntStream.range(0, problem.size)
                .filter(other ->
                        attempt.ranks[other] == 3 && !attempt.atOnce[other] && problem.told[other] >= late.from())
                .filter(other -> problem.told[other] < late.now() && problem.work[other] * 2 >= problem.work[node])
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
        boolean was = attempt.atOnce[node];
        Displaced how = attempt.displaced[node];
        attempt.atOnce[victim] = true;
        attempt.atOnce[node] = true;
        attempt.displaced[node] = Displaced.WAITS;
        if (attempt.helps()) {
            return true;
        }
        attempt.atOnce[victim] = false;
        attempt.atOnce[node] = was;
        attempt.displaced[node] = how;
        return false;
    }

    /** What was let go comes first of all, and what stands in its way makes room. */
    private void freeFirst() {
        Displaced[] before = attempt.displaced.clone();
        boolean any = false;
        for (int node = 0; node < problem.size; node++) {
            if (attempt.free[node] && attempt.displaced[node] == Displaced.WAITS) {
                attempt.displaced[node] = Displaced.ANYBODY;
                any = true;
            }
        }
        if (any && !attempt.helps()) {
            attempt.displaced = before;
        }
    }

    /** Lets the group come sooner, pushing others, or wait. */
    private boolean flip(List<Integer> group) {
        Displaced[] before = attempt.displaced.clone();
        Displaced to = attempt.displaced[group.get(0)] != Displaced.WAITS
                ? Displaced.WAITS
                : standing.stood(group.get(0)) ? Displaced.SLIDES : Displaced.ANYBODY;
        group.forEach(node -> attempt.displaced[node] = to);
        if (attempt.helps()) {
            return true;
        }
        attempt.displaced = before;
        return false;
    }

    /**
     * What to flip. Of what is not where it stood while all that it follows is: the people who do it (their work moves on
     * one after another until there is a gap), the car (which comes later as a whole), and each piece alone.
     */
    private List<List<Integer>> groups() {
        attempt.remake();
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
                .filter(node -> gone[node] && attempt.ranks[node] == 3)
                .filter(node -> Arrays.stream(problem.before[node]).noneMatch(arc -> gone[arc.from()]))
                .boxed()
                .sorted(Comparator.<Integer>comparingDouble(standing::inTurn).thenComparing(Comparator.naturalOrder()))
                .toList();
    }

    private List<Integer> all(IntPredicate which) {
        return IntStream.range(0, problem.size)
                .filter(node -> attempt.ranks[node] == 3 && standing.stood(node) && which.test(node))
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
