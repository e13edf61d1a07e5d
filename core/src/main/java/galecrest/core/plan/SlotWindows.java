package galecrest.core.plan;

import galecrest.core.time.Span;
import java.util.Arrays;
import java.util.List;

/**
 * When something is open: sorted, disjoint windows of slots, with the open time summed up before each window so that
 * working time can be counted and walked in logarithmic time. Immutable.
 */
final class SlotWindows {
    /** A slot that never comes. */
    static final int NEVER = 1 << 29;
    /** Windows are looked up by blocks of 64 slots, a third of a day. */
    private static final int BLOCK_BITS = 6;

    private final int[] start;
    private final int[] end;
    private final int[] before;
    /** Of each block of slots, the first window that ends in it or later. */
    private final int[] firstOf;

    private SlotWindows(int[] start, int[] end) {
        this.start = start;
        this.end = end;
        this.before = new int[start.length + 1];
        for (int i = 0; i < start.length; i++) {
            before[i + 1] = before[i] + end[i] - start[i];
        }
        int last = start.length == 0 ? -1 : end[start.length - 1] >> BLOCK_BITS;
        this.firstOf = new int[last + 1];
        for (int block = 0, window = 0; block <= last; block++) {
            while (window < start.length && end[window] <= block << BLOCK_BITS) {
                window++;
            }
            firstOf[block] = window;
        }
    }

    static SlotWindows always(int slots) {
        return new SlotWindows(new int[] {0}, new int[] {slots});
    }

    /** Windows that cover the spans, as far as they lie in slots 0 to {@code grid.slots()}; spans may overlap. */
    static SlotWindows of(List<Span> spans, Grid grid) {
        int[][] windows = spans.stream()
                .map(s -> new int[] {
                    Math.max(0, grid.atOrAfter(s.from())), Math.min(grid.slots(), grid.atOrBefore(s.to()))
                })
                .filter(w -> w[0] < w[1])
                .sorted((a, b) -> Integer.compare(a[0], b[0]))
                .toArray(int[][]::new);
        return merged(windows);
    }

    private static SlotWindows merged(int[][] sorted) {
        int[] start = new int[sorted.length];
        int[] end = new int[sorted.length];
        int count = 0;
        for (int[] window : sorted) {
            if (count > 0 && window[0] <= end[count - 1]) {
                end[count - 1] = Math.max(end[count - 1], window[1]);
            } else {
                start[count] = window[0];
                end[count++] = window[1];
            }
        }
        return new SlotWindows(Arrays.copyOf(start, count), Arrays.copyOf(end, count));
    }

    /** Open when both are. */
    SlotWindows and(SlotWindows other) {
        int[] from = new int[start.length + other.start.length];
        int[] to = new int[from.length];
        int count = 0;
        for (int i = 0, j = 0; i < start.length && j < other.start.length; ) {
            int a = Math.max(start[i], other.start[j]);
            int b = Math.min(end[i], other.end[j]);
            if (a < b) {
                from[count] = a;
                to[count++] = b;
            }
            if (end[i] < other.end[j]) {
                i++;
            } else {
                j++;
            }
        }
        return new SlotWindows(Arrays.copyOf(from, count), Arrays.copyOf(to, count));
    }

    /** Open when either is. */
    SlotWindows or(SlotWindows other) {
        int[][] all = new int[start.length + other.start.length][];
        for (int i = 0; i < start.length; i++) {
            all[i] = new int[] {start[i], end[i]};
        }
        for (int i = 0; i < other.start.length; i++) {
            all[start.length + i] = new int[] {other.start[i], other.end[i]};
        }
        Arrays.sort(all, (a, b) -> Integer.compare(a[0], b[0]));
        return merged(all);
    }

    boolean isEmpty() {
        return start.length == 0;
    }

    int count() {
        return start.length;
    }

    int endOf(int window) {
        return end[window];
    }

    int startOf(int window) {
        return start[window];
    }

    /** The first window that ends after the slot; {@link #count()} where there is none. */
    int windowAfter(int slot) {
        int block = slot >> BLOCK_BITS;
        int window = block < 0 ? 0 : block < firstOf.length ? firstOf[block] : start.length;
        while (window < start.length && end[window] <= slot) {
            window++;
        }
        return window;
    }

    /** The first open slot at or after this one, or {@link #NEVER}. */
    int next(int slot) {
        int window = windowAfter(slot);
        return window == start.length ? NEVER : Math.max(slot, start[window]);
    }

    /** Where the window that holds this open slot ends. */
    int windowEnd(int openSlot) {
        return end[windowAfter(openSlot)];
    }

    /** Open slots before this one. */
    int workBefore(int slot) {
        int window = windowAfter(slot);
        return window == start.length ? before[window] : before[window] + Math.max(0, slot - start[window]);
    }

    /** The same windows with time running backwards from the slot. */
    SlotWindows mirrored(int slots) {
        int[] from = new int[start.length];
        int[] to = new int[start.length];
        for (int i = 0; i < start.length; i++) {
            from[i] = slots - end[start.length - 1 - i];
            to[i] = slots - start[start.length - 1 - i];
        }
        return new SlotWindows(from, to);
    }

    /** {@link #finish(int, int)} for an open slot of a window. */
    int finish(int window, int from, int work) {
        if (end[window] - from >= work) {
            return from + work;
        }
        int target = before[window] + from - start[window] + work;
        if (target > before[start.length]) {
            return NEVER;
        }
        int low = window + 1;
        while (before[low + 1] < target) {
            low++;
        }
        return start[low] + target - before[low];
    }

    /** The end of the slot in which so much work, at least 1, is done when begun at a slot; or {@link #NEVER}. */
    int finish(int from, int work) {
        int target = workBefore(from) + work;
        if (target > before[start.length]) {
            return NEVER;
        }
        int low = 0;
        int high = start.length - 1;
        while (low < high) {
            int mid = (low + high) >>> 1;
            if (before[mid + 1] >= target) {
                high = mid;
            } else {
                low = mid + 1;
            }
        }
        return start[low] + target - before[low];
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof SlotWindows w && Arrays.equals(start, w.start) && Arrays.equals(end, w.end);
    }

    @Override
    public int hashCode() {
        return 31 * Arrays.hashCode(start) + Arrays.hashCode(end);
    }

    boolean opensWithin(int from, int to) {
        return next(from) < to;
    }
}
