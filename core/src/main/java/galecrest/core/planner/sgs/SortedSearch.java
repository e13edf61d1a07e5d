package galecrest.core.planner.sgs;

/** Binary search in the first values of a sorted column, without a branch that a processor could guess wrong. */
final class SortedSearch {
    /** So far around a place that was found before is looked first. */
    private static final int NEAR = 8;

    private SortedSearch() {}

    /**
     * The last of the first {@code count} values that is no greater than the slot; −1 where there is none.
     *
     * @param near where it is likely to be, for example where the one before it was found; any number is right
     */
    static int last(int[] column, int count, int slot, int near) {
        int low = 0;
        int end = count;
        if (near >= 0 && near < count) {
            if (column[near] <= slot) {
                low = near;
                end = near + NEAR < count && column[near + NEAR] > slot ? near + NEAR : count;
            } else {
                end = near;
                low = near >= NEAR && column[near - NEAR] <= slot ? near - NEAR : 0;
            }
        }
        for (int left = end - low; left > 1; ) {
            int half = left >> 1;
            low = column[low + half] <= slot ? low + half : low;
            left -= half;
        }
        return end > 0 && column[low] <= slot ? low : -1;
    }
}
