package galecrest.core.planner.repair;

import galecrest.core.plan.Plan;
import galecrest.core.plan.Score;
import galecrest.core.planner.network.ActivityNetwork;
import galecrest.core.planner.network.CriticalPath;
import galecrest.core.planner.problem.Activity;
import galecrest.core.planner.problem.CrewMode;
import galecrest.core.planner.problem.Decisions;
import galecrest.core.planner.problem.SchedulingProblem;
import galecrest.core.planner.repair.Timetable.Place;
import galecrest.core.planner.search.ElitePool;
import galecrest.core.planner.search.Evaluator;
import galecrest.core.planner.sgs.ActivityList;
import galecrest.core.planner.sgs.SerialScheduler.Displaced;
import galecrest.core.work.LinkId;
import java.nio.ByteBuffer;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * A repair in the making: what is set of each piece of work, the schedule that comes of it, and what that costs; whatever
 * is set stays so only where it helps. {@link Repair} knows what is worth trying.
 */
final class RepairAttempt {
    /** So many crews are tried for what is pinned to a time. */
    private static final int MOST_CREWS = 12;
    /** The key of what goes ahead of all that stands, in the order in which it follows one another. */
    private static final double AHEAD = -1;

    final SchedulingProblem problem;
    final Evaluator evaluator;
    final StandingOrder standing;
    final CriticalPath urgency;
    final RepairCost cost;
    private long steps;
    int[] ranks;
    private final boolean[] choices;
    /** Of each node, whether it cannot stay, or need not. */
    final boolean[] atOnce;
    /** Of each node, whether its build was let go, so that it may also come sooner. */
    final boolean[] free;
    /** What becomes of each node that cannot stay. */
    Displaced[] displaced;
    /** Whether the room that is left goes to the most urgent first, instead of to who stood there first. */
    boolean byUrgency;
    /** Whether what follows something that waits keeps its place where it can; else it waits too. */
    boolean reserved;

    double least;
    /** Whether the best so far harms a date, or moves work that the edit is not about; else there is nothing to improve. */
    boolean disturbs;
    /** What each setting that was tried costs: tried again it would cost the same. */
    private final Map<ByteBuffer, Double> tried = new HashMap<>();
    /** What was set at first: all that cannot stay waits. */
    private final Setting beginning;

    RepairAttempt(SchedulingProblem problem, Evaluator evaluator, Plan plan, Set<Integer> letGo, long steps) {
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
        Score score = make(false);
        if (breaksAPin()) {
            ranks = ranks(true);
            displaced = displacedByRank();
            score = make(false);
        }
        least = cost.of(evaluator.schedule, score);
        disturbs = disturbs();
        pinnedPeople();
        beginning = setting();
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
        for (int i = 0; i < Math.min(MOST_CREWS, all.length) && hasSteps(); i++) {
            problem.crews[node] = new CrewMode[] {all[i]};
            Score score = make(false);
            double its = cost.of(evaluator.schedule, score);
            if (its < least - Score.NOISE && evaluator.schedule.start[node] == slot) {
                least = its;
                chosen = problem.crews[node];
            }
        }
        problem.crews[node] = chosen;
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

    private Score make(boolean explains) {
        double[] keys = new double[problem.size];
        for (int node = 0; node < problem.size; node++) {
            boolean waits = atOnce[node] && displaced[node] == Displaced.WAITS;
            keys[node] = waits && (byUrgency || reserved && standing.stays(node) && !free[node])
                    ? CriticalPath.FAR + urgency.latestStart(node)
                    : free[node] && !waits ? AHEAD : standing.inTurn(node);
        }
        return evaluator.makeAround(
                ActivityList.by(problem, keys, ranks), choices, displaced, atOnce, reserved, explains);
    }

    private ElitePool.Member made(Score score) {
        return evaluator.made(evaluator.schedule.order, choices, score);
    }

    /** Makes the best so far again, to look where everything is. */
    void remake() {
        make(false);
    }

    /** Makes the best so far again, with what binds each start; it is the evaluator's last schedule then. */
    ElitePool.Member explained() {
        return made(make(true));
    }

    /** Keeps what was set where it costs less than the best so far. */
    boolean helps() {
        if (!hasSteps()) {
            return false;
        }
        ByteBuffer setting = packed();
        Double known = tried.get(setting);
        if (known != null && known >= least - Score.NOISE) {
            // It counts as made, so that what can be tried does not hang on how much of it is the same.
            evaluator.count(1);
            return false;
        }
        Score score = make(false);
        double its = cost.of(evaluator.schedule, score);
        tried.put(setting, its);
        if (its >= least - Score.NOISE) {
            return false;
        }
        least = its;
        disturbs = disturbs();
        return true;
    }

    /** All that a schedule is made by and that differs from one attempt to the next. */
    private ByteBuffer packed() {
        byte[] all = new byte[problem.size + 1];
        for (int node = 0; node < problem.size; node++) {
            all[node] = (byte) (displaced[node].ordinal() << 1 | (atOnce[node] ? 1 : 0));
        }
        all[problem.size] = (byte) ((byUrgency ? 2 : 0) | (reserved ? 1 : 0));
        return ByteBuffer.wrap(all);
    }

    /** Half as many schedules more may be made as it began with. */
    void moreSteps() {
        steps += steps / 2;
    }

    /** Whether a schedule more may be made. */
    boolean hasSteps() {
        return evaluator.steps() < steps;
    }

    private boolean disturbs() {
        return cost.harms(evaluator.schedule) || cost.othersMoved(evaluator.schedule) > 0;
    }

    /** Moves work to the places of a chain, and all else back to where it stood; kept where it costs less than the best so far. */
    boolean moves(List<Place> places) {
        Setting before = setting();
        backTo(beginning);
        reserved = true;
        least = before.least();
        steps = Math.max(steps, evaluator.steps() + 1);
        List<Runnable> undo = new ArrayList<>();
        places.forEach(place -> undo.add(move(place)));
        tried.clear();
        if (helps()) {
            return true;
        }
        undo.forEach(Runnable::run);
        tried.clear();
        backTo(before);
        return false;
    }

    /** What had a place has the other as if people had been told so; what is new or frozen comes no sooner than that. */
    private Runnable move(Place place) {
        int node = place.node();
        Activity.JobActivity was = (Activity.JobActivity) problem.activities[node];
        int slot = problem.told[node];
        if (was.told() != null && !was.told().frozen()) {
            Activity.Told other = new Activity.Told(place.start(), place.crew(), place.station(), false);
            problem.activities[node] = was.toldAs(other);
            problem.told[node] = place.start();
            return () -> {
                problem.activities[node] = was;
                problem.told[node] = slot;
            };
        }
        CrewMode[] crews = problem.crews[node];
        int[] stations = problem.stations[node];
        problem.crews[node] = new CrewMode[] {place.crew()};
        problem.stations[node] = new int[] {place.station()};
        problem.waits[node] = place.start();
        return () -> {
            problem.crews[node] = crews;
            problem.stations[node] = stations;
            problem.waits[node] = 0;
        };
    }

    /** All that cannot stay dealt with like that, whatever was set before. */
    void beginWith(Displaced how) {
        for (int node = 0; node < problem.size; node++) {
            atOnce[node] = !standing.stays(node) || free[node];
            if (ranks[node] == 3 && standing.stood(node) && !standing.stays(node)) {
                displaced[node] = how;
            }
        }
        byUrgency = false;
        least = Double.MAX_VALUE;
    }

    /** What is set: what becomes of each node, and who the room that is left goes to. */
    record Setting(
            Displaced[] displaced,
            boolean[] atOnce,
            boolean byUrgency,
            boolean reserved,
            double least,
            boolean disturbs) {}

    Setting setting() {
        return new Setting(displaced.clone(), atOnce.clone(), byUrgency, reserved, least, disturbs);
    }

    /** Goes back to what was set, and makes it again. */
    void backTo(Setting before) {
        displaced = before.displaced();
        System.arraycopy(before.atOnce(), 0, atOnce, 0, atOnce.length);
        byUrgency = before.byUrgency();
        reserved = before.reserved();
        least = before.least();
        disturbs = before.disturbs();
    }
}
