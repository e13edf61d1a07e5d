package galecrest.core.insight;

import galecrest.core.people.Level;
import galecrest.core.plan.ShopSnapshot;
import galecrest.core.planner.calendar.TimeGrid;
import galecrest.core.planner.calendar.WorkingWindows;
import galecrest.core.planner.network.ActivityNetwork;
import galecrest.core.work.Commitment;
import galecrest.core.work.CrewPlace;
import galecrest.core.work.Job;
import galecrest.core.work.Link;
import galecrest.core.work.Status;
import galecrest.core.work.Work;
import java.util.HashMap;
import java.util.Locale;
import java.util.Map;

/** What no plan of a shop can beat, whatever it does; far from tight where people are short. */
public final class LowerBound {
    private LowerBound() {}

    /**
     * The least minutes from now until all jobs are done: the longest chain of finish-start links, or the work of a
     * skill shared among all who have it, whichever is more. Hours, stations, parts and outwork are left out.
     */
    public static long makespan(ShopSnapshot shop) {
        Map<Object, Long> finish = new HashMap<>();
        long longest = 0;
        ActivityNetwork network =
                new ActivityNetwork(shop, new TimeGrid(shop.now(), shop.zone(), java.time.Duration.ofDays(30)));
        for (int node : network.inOrder()) {
            long start = 0;
            for (ActivityNetwork.Arc arc : network.before.get(node)) {
                if (arc.type() == Link.Type.FINISH_START && !arc.risky()) {
                    start = Math.max(start, finish.get(arc.from()));
                }
            }
            long end = start + minutes(network.works.get(node));
            finish.put(node, end);
            longest = Math.max(longest, end);
        }
        Map<String, Long> bySkill = new HashMap<>();
        for (Work work : network.works) {
            if (work instanceof Job job) {
                for (CrewPlace place : job.crew()) {
                    bySkill.merge(place.skill(), minutes(work), Long::sum);
                }
            }
        }
        for (var skill : bySkill.entrySet()) {
            long able = shop.people().stream()
                    .filter(p -> p.can(skill.getKey(), Level.LEARNER))
                    .count();
            longest = Math.max(longest, able == 0 ? 0 : (skill.getValue() + able - 1) / able);
        }
        return longest;
    }

    private static long minutes(Work work) {
        return work instanceof Job job && job.status() != Status.DONE
                ? (long) TimeGrid.SLOT_MINUTES * ActivityNetwork.slots(job)
                : 0;
    }

    /**
     * Hard and promised lateness that no plan can beat, as "hard/promised" in weighted shop hours: each date alone, as
     * if its car had the shop to itself, with the critical path in shop hours of jobs only.
     */
    public static String lateness(ShopSnapshot shop) {
        ActivityNetwork network =
                new ActivityNetwork(shop, new TimeGrid(shop.now(), shop.zone(), java.time.Duration.ofDays(500)));
        WorkingWindows open = network.calendars.shopHours();
        double[] finish = new double[network.size()];
        for (int node : network.inOrder()) {
            double start = 0;
            for (ActivityNetwork.Bound bound : network.bounds.get(node)) {
                start = Math.max(start, open.workBefore(bound.slot()));
            }
            for (ActivityNetwork.Arc arc : network.before.get(node)) {
                if (arc.type() == Link.Type.FINISH_START && !arc.risky()) {
                    start = Math.max(start, finish[arc.from()]);
                }
            }
            finish[node] = start + (network.works.get(node) instanceof Job job ? ActivityNetwork.slots(job) : 0);
        }
        double hard = 0;
        double promised = 0;
        for (int c = 0; c < network.due.length; c++) {
            Commitment commitment = network.shop.commitments().get(c);
            double last = 0;
            for (int node = 0; node < network.size(); node++) {
                last = commitment.needs(network.works.get(node)) ? Math.max(last, finish[node]) : last;
            }
            int ready = last > 0 ? open.finish(0, (int) Math.ceil(last)) : 0;
            int margin = network.calendars.margin(ready, network.due[c]);
            double late = commitment.weight() * Math.max(0, -margin) * TimeGrid.SLOT_MINUTES / 60;
            hard += commitment.kind().hard() ? late : 0;
            promised += commitment.kind().hard() ? 0 : late;
        }
        return String.format(Locale.ROOT, "%.2f/%.2f", hard, promised);
    }
}
