package galecrest.core.plan;

import java.util.Arrays;
import java.util.SplittableRandom;

/**
 * Improves a plan step by step; a step is one schedule made and scored. It starts from the priority rules and from what
 * is known already, then alternates forward-backward passes with moves in the neighbourhood of the present order:
 * <ul>
 *   <li>something on the chain of a date goes ahead of the work that it waits for,
 *   <li>one build, one person's work, one stretch of time, or what lies about the chain is freed and put in anew.
 * </ul>
 * A neighbour is kept when it is no worse than the present order, or than the one of some steps ago (late acceptance;
 * Burke and Bykov, 2017). Deterministic by seed and number of steps.
 */
final class Search {
    private static final int FIRST_PASSES = 3;

    private final Model model;
    private final Scorer scorer;
    private final Mirror mirror;
    private final Schedule schedule;
    private final SplittableRandom random;
    private final Neighbours neighbours;
    private final Score[] history;
    private int steps;
    private int stale;
    private int[] list;
    private boolean[] early;
    private Score score;
    private int[] bestList;
    private boolean[] bestEarly;
    private Score best;

    Search(Model model, int[] first, boolean[] firstEarly, int memory, long seed) {
        this.model = model;
        this.scorer = new Scorer(model);
        this.mirror = new Mirror(model, scorer);
        this.schedule = new Schedule(model);
        this.random = new SplittableRandom(seed);
        this.neighbours = new Neighbours(model, scorer, random);
        list = first;
        early = firstEarly;
        schedule.generate(list, early);
        score = scorer.score(schedule);
        best = score;
        bestList = list;
        bestEarly = early;
        steps = 1;
        history = new Score[memory];
        Arrays.fill(history, score);
    }

    int steps() {
        return steps;
    }

    Score best() {
        return best;
    }

    int[] bestList() {
        return bestList;
    }

    boolean[] bestEarly() {
        return bestEarly;
    }

    /** Tries another order to start from; the better one stays. */
    void offer(int[] other, boolean[] otherEarly) {
        schedule.generate(other, otherEarly);
        Score its = scorer.score(schedule);
        steps++;
        if (its.compareTo(score) < 0) {
            settle(other, otherEarly, its);
            Arrays.fill(history, its);
        }
    }

    /** Forward-backward passes from the schedule made last, as long as they help. */
    void passes(int most) {
        Score before = score;
        for (int i = 0; i < most; i++) {
            int[] next = Order.by(model, mirror.keys(schedule));
            schedule.generate(next, early);
            Score its = scorer.score(schedule);
            steps += 2;
            if (its.compareTo(score) <= 0) {
                settle(next, early, its);
            }
            if (its.compareTo(before) >= 0) {
                return;
            }
            before = its;
        }
    }

    /** One step in the neighbourhood of the present order. */
    void step() {
        neighbours.change(list, early);
        schedule.generate(neighbours.list, neighbours.early);
        Score its = scorer.score(schedule);
        steps++;
        int at = steps % history.length;
        if (its.compareTo(score) <= 0 || its.compareTo(history[at]) <= 0) {
            stale = its.compareTo(best) < 0 ? 0 : stale + 1;
            settle(neighbours.list.clone(), neighbours.early.clone(), its);
        } else {
            stale++;
        }
        if (score.compareTo(history[at]) < 0) {
            history[at] = score;
        }
    }

    private void settle(int[] newList, boolean[] newEarly, Score its) {
        score = its;
        if (its.compareTo(best) < 0) {
            best = its;
            bestList = newList;
            bestEarly = newEarly;
        }
        early = newEarly;
        list = neighbours.sorted(schedule, newList);
        neighbours.look(schedule, list);
    }

    void start() {
        schedule.generate(list, early);
        settle(list, early, score);
        passes(FIRST_PASSES);
    }
}
