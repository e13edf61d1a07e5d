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
    private record Entry(LocalSearch search, Evaluator evaluator) {}

    private final List<Entry> entries = new ArrayList<>();
    private int next;

    /** Adds a search with the evaluator it makes its schedules by, which none of the others uses. */
    public void add(LocalSearch search, Evaluator evaluator) {
        entries.add(new Entry(search, evaluator));
    }

    /** The number of schedules that all have made. */
    public long steps() {
        return entries.stream().mapToLong(e -> e.evaluator().steps()).sum();
    }

    /** One step of the next of them. */
    public void step() {
        entries.get(next).search().step();
        next = (next + 1) % entries.size();
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
