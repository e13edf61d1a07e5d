package galecrest.core.planner.search;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * Searches that take turns in one thread, each from a beginning of its own. From a plan that stands, one keeps to what
 * people were told and lets go of it bit by bit, which finds small changes; the other begins free of it, which finds what
 * many small changes in turn would not come to.
 */
public final class Portfolio {
    private record Entry(LocalSearch search, Evaluator evaluator, int turns) {}

    private final List<Entry> entries = new ArrayList<>();
    private int next;
    private int made;

    /**
     * Adds a search with the evaluator it makes its schedules by, which none of the others uses.
     *
     * @param turns how many steps it makes before it is another's turn; at least one
     */
    public void add(LocalSearch search, Evaluator evaluator, int turns) {
        entries.add(new Entry(search, evaluator, turns));
    }

    /** The number of schedules that all have made. */
    public long steps() {
        return entries.stream().mapToLong(e -> e.evaluator().steps()).sum();
    }

    /** One step of the one whose turn it is. */
    public void step() {
        Entry entry = entries.get(next);
        entry.search().step();
        if (++made >= entry.turns()) {
            next = (next + 1) % entries.size();
            made = 0;
        }
    }

    /** The best plan so far. */
    public ElitePool.Member best() {
        return leader().search().best();
    }

    /** Who made it. */
    public Evaluator evaluator() {
        return leader().evaluator();
    }

    private Entry leader() {
        return entries.stream()
                .min(Comparator.comparing(e -> e.search().best().score()))
                .orElseThrow();
    }
}
