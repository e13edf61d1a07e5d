package galecrest.core.trackday;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * The plan of a test day: a baseline first, one change at a time, what matters most before what matters less; where rain
 * comes, what needs a dry track before it. Common practice.
 */
public final class TestDay {
    private TestDay() {}

    /**
     * The runs in the order in which they are best driven; what was driven stays in front, in its order.
     *
     * @param rain whether rain is expected later in the day
     */
    public static List<TestRun> order(List<TestRun> runs, boolean rain) {
        List<TestRun> order =
                new ArrayList<>(runs.stream().filter(TestRun::done).toList());
        List<TestRun> open =
                new ArrayList<>(runs.stream().filter(r -> !r.done()).toList());
        boolean based = order.stream().anyMatch(TestRun::isBaseline);
        List<TestRun> baselines = open.stream().filter(TestRun::isBaseline).toList();
        if (!based && !baselines.isEmpty()) {
            order.add(baselines.get(0));
            open.remove(baselines.get(0));
        }
        List<TestRun> again = open.stream().filter(TestRun::isBaseline).toList();
        open.removeAll(again);
        Comparator<TestRun> worth = Comparator.comparingInt(TestRun::value).reversed();
        open.sort(rain ? Comparator.comparing(TestRun::dry).reversed().thenComparing(worth) : worth);
        order.addAll(open);
        order.addAll(again);
        return List.copyOf(order);
    }

    /** What is wrong with a plan, each in a sentence. */
    public static List<String> remarks(List<TestRun> runs) {
        List<String> remarks = new ArrayList<>();
        if (!runs.isEmpty() && !runs.get(0).isBaseline()) {
            remarks.add("There is no baseline first: nothing tells what a change did.");
        }
        for (int i = 0; i < runs.size(); i++) {
            List<String> changes = runs.get(i).changes();
            if (changes.size() > 1) {
                remarks.add("Run " + (i + 1) + " changes " + changes.size()
                        + " things at once: neither can be judged alone.");
            }
        }
        if (runs.size() > 2 && runs.stream().filter(TestRun::isBaseline).count() == 1) {
            remarks.add("No baseline at the end: the track changes over a day, and nothing tells how much.");
        }
        return remarks;
    }
}
