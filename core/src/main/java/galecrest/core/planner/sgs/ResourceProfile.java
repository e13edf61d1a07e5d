package galecrest.core.planner.sgs;

import java.util.Arrays;

/**
 * How many of something are taken at each slot, as a step function: so many of a pool's people, so many hands in a
 * zone. At each step it keeps whose stay ended there, so that a wait can be explained.
 */
final class ResourceProfile {
    private int[] at = new int[16];
    private int[] used = new int[16];
    private int[] ended = new int[16];
    private int count;
    /** Where something was found last. */
    private int near;

    ResourceProfile() {
        clear();
    }

    void clear() {
        at[0] = Integer.MIN_VALUE;
        used[0] = 0;
        ended[0] = -1;
        count = 1;
    }

    /** Takes so many from one slot to before another, for the owner. */
    void add(int from, int to, int many, int owner) {
        int first = step(from);
        int last = step(to);
        ended[last] = owner;
        for (int i = first; i < last; i++) {
            used[i] += many;
        }
    }

    /** The index of the step at just this slot, made where there is none. */
    private int step(int slot) {
        int i = stepAt(slot);
        if (at[i] == slot) {
            return i;
        }
        if (count == at.length) {
            at = Arrays.copyOf(at, count * 2);
            used = Arrays.copyOf(used, count * 2);
            ended = Arrays.copyOf(ended, count * 2);
        }
        i++;
        System.arraycopy(at, i, at, i + 1, count - i);
        System.arraycopy(used, i, used, i + 1, count - i);
        System.arraycopy(ended, i, ended, i + 1, count - i);
        at[i] = slot;
        used[i] = used[i - 1];
        ended[i] = -1;
        count++;
        return i;
    }

    /** Whose stay ended last at the slot or before; −1 where none did. */
    int endedBefore(int slot) {
        int step = stepAt(slot);
        while (step > 0 && ended[step] < 0) {
            step--;
        }
        return ended[step];
    }

    /** The step that the slot lies in. */
    int stepAt(int slot) {
        near = SortedSearch.last(at, count, slot, near);
        return near;
    }

    /** The first step from this one on that begins before the slot and has more than {@code most} taken; or −1. */
    int crowded(int step, int before, int most) {
        for (int i = step; i < count && at[i] < before; i++) {
            if (used[i] > most) {
                return i;
            }
        }
        return -1;
    }

    /** The first step after a crowded one at which no more than {@code most} are taken. */
    int relieved(int crowded, int most) {
        int i = crowded + 1;
        while (used[i] > most) {
            i++;
        }
        return i;
    }

    int slotOf(int step) {
        return at[step];
    }

    /** Whose stay ended at the step. */
    int endedAt(int step) {
        return ended[step];
    }
}
