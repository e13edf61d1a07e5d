package galecrest.core.planner.repair;

import java.util.Arrays;

/**
 * What takes one person, one station or one car, by time: stretches of slots, sorted by their start, each with the greatest
 * end so far, so that what overlaps a stretch is found without looking at all.
 */
final class Lane {
    /** Where a claim has no such node or station. */
    static final int NONE = -1;

    /**
     * Who takes it.
     *
     * @param node the work; {@link #NONE} for something that nobody can move
     * @param build the car it is for
     * @param hold how it claims the car, see {@link galecrest.core.planner.problem.CarClaim}; only in the lane of a car
     * @param zone of the car
     * @param station where the car stands meanwhile; {@link #NONE} for anywhere
     */
    record Claim(int node, int build, int hold, int zone, int station) {}

    /** Looks at what overlaps. */
    interface Visitor {
        /** Whether to go on, now that this was seen. */
        boolean sees(Claim claim, int from, int to);
    }

    private int[] from = new int[16];
    private int[] to = new int[16];
    private int[] greatest = new int[16];
    private Claim[] claims = new Claim[16];
    private int count;

    void add(int start, int end, Claim claim) {
        if (count == from.length) {
            from = Arrays.copyOf(from, count * 2);
            to = Arrays.copyOf(to, count * 2);
            greatest = Arrays.copyOf(greatest, count * 2);
            claims = Arrays.copyOf(claims, count * 2);
        }
        int at = before(start + 1);
        System.arraycopy(from, at, from, at + 1, count - at);
        System.arraycopy(to, at, to, at + 1, count - at);
        System.arraycopy(claims, at, claims, at + 1, count - at);
        System.arraycopy(greatest, at, greatest, at + 1, count - at);
        from[at] = start;
        to[at] = end;
        claims[at] = claim;
        greatest[at] = at == 0 ? end : Math.max(greatest[at - 1], end);
        count++;
        for (int i = at + 1; i < count && greatest[i] < end; i++) {
            greatest[i] = end;
        }
    }

    /** Takes away what the node takes from just that slot on. */
    void remove(int node, int start) {
        for (int i = before(start); i < count && from[i] == start; i++) {
            if (claims[i].node() == node) {
                removeAt(i);
                return;
            }
        }
    }

    private void removeAt(int at) {
        count--;
        System.arraycopy(from, at + 1, from, at, count - at);
        System.arraycopy(to, at + 1, to, at, count - at);
        System.arraycopy(claims, at + 1, claims, at, count - at);
        System.arraycopy(greatest, at + 1, greatest, at, count - at);
        for (int i = at; i < count; i++) {
            int now = i == 0 ? to[0] : Math.max(greatest[i - 1], to[i]);
            if (now == greatest[i]) {
                return;
            }
            greatest[i] = now;
        }
    }

    /** How many begin before the slot. */
    private int before(int slot) {
        int low = 0;
        int high = count;
        while (low < high) {
            int middle = low + high >>> 1;
            if (from[middle] < slot) {
                low = middle + 1;
            } else {
                high = middle;
            }
        }
        return low;
    }

    /** Shows what overlaps the stretch, the last first; false where the visitor ended it. */
    boolean overlaps(int start, int end, Visitor visitor) {
        for (int i = before(end) - 1; i >= 0 && greatest[i] > start; i--) {
            if (to[i] > start && !visitor.sees(claims[i], from[i], to[i])) {
                return false;
            }
        }
        return true;
    }

    /** Adds the slots between two, exclusive, at which something begins or ends, to the first so many of an array. */
    int edges(int after, int until, int[] slots, int many) {
        int added = many;
        for (int i = before(until) - 1; i >= 0 && greatest[i] > after; i--) {
            for (int slot : new int[] {from[i], to[i]}) {
                if (slot > after && slot < until && added < slots.length) {
                    slots[added++] = slot;
                }
            }
        }
        return added;
    }
}
