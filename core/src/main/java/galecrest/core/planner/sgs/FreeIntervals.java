package galecrest.core.planner.sgs;

import galecrest.core.planner.calendar.WorkingWindows;
import java.util.Arrays;

/**
 * Where one person is free for so much work at all: the stretches between what is taken, with the working time in them.
 * It only lets a search skip what is too short; whether a place is really free is for {@link ResourceProfile} to say. Stretches
 * too short for the shortest work are left out.
 */
final class FreeIntervals {
    private static final int BLOCK_BITS = 4;

    private int[] from = new int[16];
    private int[] to = new int[16];
    private int[] workFrom = new int[16];
    private int[] workTo = new int[16];
    /** Of each block of gaps, no less work than there is in the largest of it; known of so many blocks. */
    private int[] most = new int[1];

    private int mostKnown;
    private int count;
    /** Where something was found last. */
    private int near;

    private int shortest;
    private int found;
    private final WorkingWindows hours;
    private final int slots;

    FreeIntervals(WorkingWindows hours, int slots) {
        this.hours = hours;
        this.slots = slots;
    }

    /** Everything is free again; no work is shorter than so many slots. */
    void clear(int shortestWork) {
        shortest = shortestWork;
        from[0] = Integer.MIN_VALUE;
        to[0] = slots;
        workFrom[0] = 0;
        workTo[0] = hours.workBefore(slots);
        count = 1;
        mostKnown = 0;
    }

    /** The last gap that begins at the slot or before; −1 where there is none. */
    private int at(int slot) {
        near = SortedSearch.last(from, count, slot, near);
        return near;
    }

    void take(int a, int b) {
        int gap = at(a);
        if (gap < 0 || to[gap] < b) {
            return;
        }
        int workA = hours.workBefore(a);
        int workB = hours.workBefore(b);
        boolean left = workA - workFrom[gap] >= shortest;
        boolean right = workTo[gap] - workB >= shortest;
        if (left && right) {
            insert(gap);
            to[gap] = a;
            workTo[gap] = workA;
            from[gap + 1] = b;
            workFrom[gap + 1] = workB;
        } else if (left) {
            to[gap] = a;
            workTo[gap] = workA;
        } else if (right) {
            from[gap] = b;
            workFrom[gap] = workB;
        } else {
            remove(gap);
        }
    }

    private void insert(int gap) {
        if (count == from.length) {
            from = Arrays.copyOf(from, count * 2);
            to = Arrays.copyOf(to, count * 2);
            workFrom = Arrays.copyOf(workFrom, count * 2);
            workTo = Arrays.copyOf(workTo, count * 2);
        }
        for (int[] column : new int[][] {from, to, workFrom, workTo}) {
            System.arraycopy(column, gap, column, gap + 1, count - gap);
        }
        count++;
        mostKnown = Math.min(mostKnown, gap >> BLOCK_BITS);
    }

    private void remove(int gap) {
        count--;
        for (int[] column : new int[][] {from, to, workFrom, workTo}) {
            System.arraycopy(column, gap + 1, column, gap, count - gap);
        }
        mostKnown = Math.min(mostKnown, gap >> BLOCK_BITS);
    }

    /** The gap that was found last, from which a search for a later place may go on. */
    int found() {
        return found;
    }

    int endOf(int gap) {
        return to[gap];
    }

    /** The first slot at or after this one from which the person is free for so much work; or {@link WorkingWindows#NEVER}. */
    int next(int slot, int work) {
        return next(Math.max(0, at(slot)), slot, work);
    }

    /** The same, where no gap before that one reaches beyond the slot. */
    int next(int first, int slot, int work) {
        int gap = first;
        while (gap < count) {
            int blockEnd = Math.min(count, (gap >> BLOCK_BITS) + 1 << BLOCK_BITS);
            if (most(gap >> BLOCK_BITS) < work) {
                gap = blockEnd;
            }
            for (; gap < blockEnd; gap++) {
                if (workTo[gap] - workFrom[gap] >= work
                        && to[gap] > slot
                        && (from[gap] >= slot || workTo[gap] - hours.workBefore(slot) >= work)) {
                    found = gap;
                    return Math.max(from[gap], slot);
                }
            }
        }
        return WorkingWindows.NEVER;
    }

    private int most(int block) {
        if (most.length <= block) {
            most = Arrays.copyOf(most, 2 * block + 1);
        }
        for (; mostKnown <= block; mostKnown++) {
            int largest = 0;
            int end = Math.min(count, mostKnown + 1 << BLOCK_BITS);
            for (int gap = mostKnown << BLOCK_BITS; gap < end; gap++) {
                largest = Math.max(largest, workTo[gap] - workFrom[gap]);
            }
            most[mostKnown] = largest;
        }
        return most[block];
    }
}
