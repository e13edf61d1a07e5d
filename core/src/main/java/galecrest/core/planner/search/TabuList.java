package galecrest.core.planner.search;

import java.util.SplittableRandom;

/** The pairs of work that must not change places for a while, so that a search does not go in a circle (Glover, 1989). */
final class TabuList {
    private static final int LEAST = 8;
    private static final int MOST = 12;

    private final SplittableRandom random;
    private final int[] waiters = new int[MOST];
    private final int[] blockers = new int[MOST];
    private int count;
    private int last;

    TabuList(SplittableRandom random) {
        this.random = random;
    }

    void clear() {
        count = 0;
    }

    /** From now on the one must not go ahead of the other. */
    void add(int waiter, int blocker) {
        last = (last + 1) % MOST;
        waiters[last] = waiter;
        blockers[last] = blocker;
        count = Math.min(count + 1, LEAST + random.nextInt(MOST - LEAST + 1));
    }

    boolean holds(int waiter, int blocker) {
        for (int i = 0; i < count; i++) {
            int at = (last - i + MOST) % MOST;
            if (waiters[at] == waiter && blockers[at] == blocker) {
                return true;
            }
        }
        return false;
    }
}
