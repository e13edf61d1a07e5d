package galecrest.core.planner.repair;

import galecrest.core.plan.Plan;
import galecrest.core.plan.Score;
import galecrest.core.planner.objective.Objective;
import galecrest.core.planner.problem.Activity;
import galecrest.core.planner.problem.CrewMode;
import galecrest.core.planner.problem.SchedulingProblem;
import galecrest.core.planner.sgs.Schedule;
import galecrest.core.work.CommitmentId;
import java.util.HashMap;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import org.jspecify.annotations.Nullable;

/**
 * What a repair is judged by: lateness and lost margin against what moves, as one sum in weighted hours late at a
 * promise. A search compares lateness first and all else after; a shop does not rearrange thirty jobs for a quarter of an
 * hour. The weights are those of a manager who has to tell people.
 */
final class RepairCost {
    private static final double MISSING = 10_000;
    /** An hour of margin that a date loses, though it is kept, where it has next to none. */
    private static final double MARGIN = 0.1;
    /** With so many working hours in hand, a further one is worth half of the first. */
    private static final double WEEK = 40;
    /** A job of another car that goes to somebody else or by more than an hour to another time. */
    private static final double OTHER_CAR = 1;
    /** The same in parts, where sums are to be whole numbers; and that of a car that the edit disturbed anyway. */
    static final int WHOLE = 5;

    private static final int OWN = 1;
    private static final double OWN_CAR = OTHER_CAR * OWN / WHOLE;
    /** More where that is today or on the next day, which people have in their heads. */
    private static final double SOON = 1.5;
    /** Up to that it is a little move, which counts so much of a whole one: people begin when they are through. */
    private static final int HOUR = 12;

    private static final double LITTLE = 0.5;

    /** To move more jobs of other cars than that is another plan: it is offered, not imposed. */
    private static final int MOST_OTHERS = 10;
    /** What each job beyond that counts, so that lateness seldom pays for it. */
    private static final double EXCESS = 200;

    /** What moving others counts for somebody who asks what would help, against what it counts for a mere edit. */
    private static final double ASKED = 0.15;

    private static final double NEAR_TIE = 1e-3;
    /** Margin below this is not asked after: half an hour. */
    private static final double NOTICED_HOURS = 0.5;

    private final SchedulingProblem problem;
    private final Objective objective;
    private final double[] stoodMargin;
    /** Of each node, the start and the crew as people were told; −1 and null where they were not. */
    private final int[] told;

    private final @Nullable CrewMode[] crews;
    /** Of each node, whether it is of the car that the edit is about, or cannot stay anyway. */
    private final boolean[] own;

    private final boolean[] stood;
    private final int soon;
    private final double excess;
    private final double telling;
    /** Whether somebody asked what would help; a mere edit leaves what is late already to the offers. */
    private final boolean asked;

    RepairCost(SchedulingProblem problem, Objective objective, Plan plan, StandingOrder standing, boolean sparing) {
        excess = sparing ? EXCESS : 0;
        telling = sparing ? 1 : ASKED;
        asked = !sparing;
        this.problem = problem;
        this.objective = objective;
        Map<CommitmentId, Double> margins = new HashMap<>();
        plan.outlooks().forEach(o -> o.margin().ifPresent(m -> margins.put(o.commitment(), m.hours())));
        var commitments = problem.network.shop.commitments();
        stoodMargin = new double[commitments.size()];
        for (int c = 0; c < stoodMargin.length; c++) {
            stoodMargin[c] = margins.getOrDefault(commitments.get(c).id(), 0.0);
        }
        told = problem.told.clone();
        crews = new CrewMode[problem.size];
        stood = new boolean[problem.size];
        own = new boolean[problem.size];
        Set<Integer> disturbed = new TreeSet<>();
        for (int node = 0; node < problem.size; node++) {
            stood[node] = standing.stood(node);
            crews[node] = problem.activities[node] instanceof Activity.JobActivity job && job.told() != null
                    ? job.told().crew()
                    : null;
            if (!standing.stays(node) && problem.told[node] >= 0) {
                disturbed.add(problem.network.build[node]);
            }
        }
        // Where somebody is away, it is about no car, and each that is spared is spared.
        for (int node = 0; disturbed.size() == 1 && node < problem.size; node++) {
            own[node] = disturbed.contains(problem.network.build[node]);
        }
        soon = problem.grid.nextDay(problem.grid.nextDay(0));
    }

    double of(Schedule schedule, Score score) {
        double moves = 0;
        for (int node = 0; node < problem.size; node++) {
            double far = moves(schedule, node) ? 1 : shifts(schedule, node) ? LITTLE : 0;
            double weight = own[node] ? OWN_CAR : OTHER_CAR;
            moves += far * weight * (isSoon(schedule, node) ? 1 + SOON : 1);
        }
        double beyond = excess * Math.max(0, othersMoved(schedule) - MOST_OTHERS);
        double lost = 0;
        for (int c = 0; c < stoodMargin.length; c++) {
            double now = worth(objective.marginHours(c, schedule));
            lost += objective.weight(c) * Math.max(0, worth(stoodMargin[c]) - now);
        }
        return MISSING * score.missing()
                + score.lateness()
                + score.atRisk()
                + MARGIN * lost
                + telling * moves
                + beyond
                + NEAR_TIE * (score.carsInBits() + score.finishing());
    }

    /** What margin is worth, in hours of the first kind: each further hour is worth less. */
    private static double worth(double hours) {
        return WEEK * Math.log1p(Math.max(0, hours) / WEEK);
    }

    /** How many jobs move that the edit is not about. */
    int othersMoved(Schedule schedule) {
        int moved = 0;
        for (int node = 0; node < problem.size; node++) {
            moved += !own[node] && moves(schedule, node) ? 1 : 0;
        }
        return moved;
    }

    /** Whether a date is worse off than it stood, or late where somebody asked what would help. */
    boolean harms(Schedule schedule) {
        return !harmed(schedule).isEmpty();
    }

    /** Whether more moves than an edit may impose, or dates are later by more than a working week, weighted. */
    boolean isTooMuch(Schedule schedule) {
        return othersMoved(schedule) > MOST_OTHERS || later(schedule) > WEEK;
    }

    /** By how many weighted hours dates are late that were not, or are later. */
    private double later(Schedule schedule) {
        double later = 0;
        for (int c = 0; c < stoodMargin.length; c++) {
            double lost = Math.min(0, stoodMargin[c]) - objective.marginHours(c, schedule);
            later += objective.weight(c) * Math.max(0, lost);
        }
        return later;
    }

    /** The builds with a date that has lost margin, or is late where somebody asked what would help. */
    Set<Integer> harmed(Schedule schedule) {
        Set<Integer> harmed = new TreeSet<>();
        for (int c = 0; c < stoodMargin.length; c++) {
            double margin = objective.marginHours(c, schedule);
            if (margin < stoodMargin[c] - NOTICED_HOURS || asked && margin < 0) {
                harmed.addAll(objective.builds(c));
            }
        }
        return harmed;
    }

    /** What is not where it stood, or never stood. */
    boolean[] moved(Schedule schedule) {
        boolean[] moved = new boolean[problem.size];
        for (int node = 0; node < problem.size; node++) {
            moved[node] = !stood[node] || moves(schedule, node);
        }
        return moved;
    }

    private boolean moves(Schedule schedule, int node) {
        return told[node] >= 0 && (!schedule.planned(node) || moves(node, schedule.start[node], schedule.crew[node]));
    }

    /** Whether a start by a crew is another for people than the one they were told. */
    boolean moves(int node, int start, @Nullable CrewMode crew) {
        return told[node] >= 0
                && (Math.abs(start - told[node]) > HOUR || crews[node] != null && !crews[node].equals(crew));
    }

    /** What it counts that a node moves, in parts of {@link #WHOLE}; nothing for what people were not told. */
    int weight(int node) {
        return told[node] < 0 ? 0 : own[node] ? OWN : WHOLE;
    }

    private boolean shifts(Schedule schedule, int node) {
        return told[node] >= 0 && schedule.start[node] != told[node];
    }

    private boolean isSoon(Schedule schedule, int node) {
        return told[node] < soon || schedule.planned(node) && schedule.start[node] < soon;
    }
}
