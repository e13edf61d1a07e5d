package galecrest.core.plan;

/** Binary search in the first values of a sorted column, without a branch that a processor could guess wrong. */
final class Sorted {
    private Sorted() {}

    /** The last of the first {@code count} values that is no greater than the slot; −1 where there is none. */
    static int last(int[] column, int count, int slot) {
        int low = 0;
        for (int left = count; left > 1; ) {
            int half = left >> 1;
            low = column[low + half] <= slot ? low + half : low;
            left -= half;
        }
        return count > 0 && column[low] <= slot ? low : -1;
    }
}
