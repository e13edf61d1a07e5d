package galecrest.core.planner.calendar;

import galecrest.core.time.Span;
import java.util.Arrays;
import java.util.List;

/**
 * When something is open: sorted, disjoint windows of slots, with the open time summed up before each window so that
 * working time can be counted and walked in logarithmic time. Immutable.
 */
public final class WorkingWindows {
    /** A slot that never comes. */
    public static final int NEVER = 1 << 29;
    /** Windows are looked up by blocks of 64 slots, a third of a day. */
    private static final int BLOCK_BITS = 6;

    private final int[] start;
    private final int[] end;
    private final int[] before;
    /** Of each block of slots, the first window that ends in it or later. */
    private final int[] firstOf;

    private WorkingWindows(int[] start, int[] end) {
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

    static WorkingWindows always(int slots) {
        return new WorkingWindows(new int[] {0}, new int[] {slots});
    }

    /** Windows that cover the spans, as far as they lie in slots 0 to {@code grid.slots()}; spans may overlap. */
    public static WorkingWindows of(List<Span> spans, TimeGrid grid) {
        int[][] windows = spans.stream()
                .map(s -> new int[] {
                    Math.max(0, grid.atOrAfter(s.from())), Math.min(grid.slots(), grid.atOrBefore(s.to()))
                })
                .filter(w -> w[0] < w[1])
                .sorted((a, b) -> Integer.compare(a[0], b[0]))
                .toArray(int[][]::new);
        return merged(windows);
    }

    private static WorkingWindows merged(int[][] sorted) {
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
        return new WorkingWindows(Arrays.copyOf(start, count), Arrays.copyOf(end, count));
    }

    /** Open when both are. */
    WorkingWindows and(WorkingWindows other) {
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
        return new WorkingWindows(Arrays.copyOf(from, count), Arrays.copyOf(to, count));
    }

    /** Open when either is. */
    WorkingWindows or(WorkingWindows other) {
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

    /** Whether there is no window at all. */
    public boolean isEmpty() {
        return start.length == 0;
    }

    /** How many windows there are. */
    public int count() {
        return start.length;
    }

    /** The slot at which a window ends. */
    public int endOf(int window) {
        return end[window];
    }

    /** The slot at which a window begins. */
    public int startOf(int window) {
        return start[window];
    }

    /** The first window that ends after the slot; {@link #count()} where there is none. */
    public int windowAfter(int slot) {
        int block = slot >> BLOCK_BITS;
        int window = block < 0 ? 0 : block < firstOf.length ? firstOf[block] : start.length;
        while (window < start.length && end[window] <= slot) {
            window++;
        }
        return window;
    }

    /** The first open slot at or after this one, or {@link #NEVER}. */
    public int next(int slot) {
        int window = windowAfter(slot);
        return window == start.length ? NEVER : Math.max(slot, start[window]);
    }

    /** Where the window that holds this open slot ends. */
    public int windowEnd(int openSlot) {
        return end[windowAfter(openSlot)];
    }

    /** Open slots before this one. */
    public int workBefore(int slot) {
        int window = windowAfter(slot);
        return window == start.length ? before[window] : before[window] + Math.max(0, slot - start[window]);
    }

    /** The same windows with time running backwards from the slot. */
    public WorkingWindows mirrored(int slots) {
        int[] from = new int[start.length];
        int[] to = new int[start.length];
        for (int i = 0; i < start.length; i++) {
            from[i] = slots - end[start.length - 1 - i];
            to[i] = slots - start[start.length - 1 - i];
        }
        return new WorkingWindows(from, to);
    }

    /** {@link #finish(int, int)} for an open slot of a window. */
    public int finish(int window, int from, int work) {
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
    public int finish(int from, int work) {
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
        return other instanceof WorkingWindows w && Arrays.equals(start, w.start) && Arrays.equals(end, w.end);
    }

    @Override
    public int hashCode() {
        return 31 * Arrays.hashCode(start) + Arrays.hashCode(end);
    }

    /** Whether it is open at any time from one slot to before another. */
    public boolean opensWithin(int from, int to) {
        return next(from) < to;
    }
}
