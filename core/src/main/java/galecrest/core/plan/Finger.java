package galecrest.core.plan;

/**
 * Finger search (after Bentley and Yao, 1976): a place in a sorted column is looked for from the one found last, in
 * steps that double, because whoever searches for room goes from one place to a near one.
 */
final class Finger {
    private int at;

    void reset() {
        at = 0;
    }

    /** The last of the first {@code count} values that is no greater than the slot; −1 where there is none. */
    int last(int[] column, int count, int slot) {
        int low = Math.min(at, count - 1);
        int high = low;
        if (low >= 0 && column[low] > slot) {
            for (int step = 1; low >= 0 && column[low] > slot; step <<= 1) {
                high = low - 1;
                low -= step;
            }
            low = Math.max(-1, low);
        } else {
            for (int step = 1; high + 1 < count && column[high + 1] <= slot; step <<= 1) {
                low = high + 1;
                high = Math.min(high + step, count - 1);
            }
        }
        while (low < high) {
            int mid = (low + high + 1) >> 1;
            if (column[mid] <= slot) {
                low = mid;
            } else {
                high = mid - 1;
            }
        }
        at = low;
        return low;
    }
}
