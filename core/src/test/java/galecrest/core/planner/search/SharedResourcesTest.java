package galecrest.core.planner.search;

import static galecrest.core.plan.Shops.JobShape.bench;
import static galecrest.core.plan.Shops.JobShape.station;
import static galecrest.core.plan.Shops.shop;
import static org.assertj.core.api.Assertions.assertThat;

import galecrest.core.plan.PlanOptions;
import galecrest.core.plan.RandomShops;
import galecrest.core.plan.ShopSnapshot;
import galecrest.core.planner.calendar.TimeGrid;
import galecrest.core.planner.network.ActivityNetwork;
import galecrest.core.planner.problem.Decisions;
import galecrest.core.planner.problem.SchedulingProblem;
import galecrest.core.planner.sgs.ActivityList;
import galecrest.core.planner.sgs.SerialScheduler;
import java.util.Arrays;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.LongRange;
import net.jqwik.api.lifecycle.AfterProperty;
import org.junit.jupiter.api.Test;

/** Work that is not rival to other work may go before or after it in an order: the schedule is the same. */
class SharedResourcesTest {
    private static int swapped;

    private static SchedulingProblem problem(ShopSnapshot shop) {
        return new SchedulingProblem(
                new ActivityNetwork(shop, new TimeGrid(shop.now(), shop.zone(), PlanOptions.HORIZON)));
    }

    @Property(tries = 200)
    void theOrderOfWorkThatIsNotRivalDoesNotMatter(@ForAll @LongRange(min = 0) long seed) {
        SchedulingProblem problem = problem(RandomShops.shop(seed, 25));
        SharedResources rivals = new SharedResources(problem);
        int[] order = ActivityList.by(
                problem, new Random(seed).doubles(Math.max(1, problem.size)).toArray());
        SerialScheduler schedule = new SerialScheduler(problem);
        schedule.generate(order, Decisions.none(problem));
        int[] starts = schedule.start.clone();
        int[] ends = schedule.end.clone();
        for (int i = ActivityList.firstFree(problem, order); i + 1 < order.length; i++) {
            int first = order[i];
            int second = order[i + 1];
            boolean linked = Arrays.stream(problem.before[second]).anyMatch(arc -> arc.from() == first);
            if (!linked && !rivals.rivals(first, second)) {
                swapped++;
                int[] other = order.clone();
                other[i] = second;
                other[i + 1] = first;
                schedule.generate(other, Decisions.none(problem));
                assertThat(schedule.start).isEqualTo(starts);
                assertThat(schedule.end).isEqualTo(ends);
            }
        }
    }

    @AfterProperty
    void someWereSwapped() {
        assertThat(swapped).isGreaterThan(100);
    }

    @Test
    void sharedHandsStationsAndCarsMakeRivals() {
        SchedulingProblem problem = problem(shop().person("bo", "fit")
                .person("ina", "weld")
                .station("lift", "lift")
                .job("bo's", "car", 60, "fit", bench())
                .job("bo's other", "van", 60, "fit", bench())
                .job("ina's", "car", 60, "weld", bench())
                .job("ina's on the lift", "van", 60, "weld", station("lift"))
                .job("bo's on the lift", "car", 60, "fit", station("lift"))
                .job("ina's on the car", "car", 60, "weld")
                .snapshot());
        SharedResources rivals = new SharedResources(problem);
        assertThat(rivals.rivals(0, 1)).as("one person").isTrue();
        assertThat(rivals.rivals(0, 2)).as("another person, off the car").isFalse();
        assertThat(rivals.rivals(3, 4)).as("one station").isTrue();
        assertThat(rivals.rivals(4, 5)).as("one car").isTrue();
        assertThat(rivals.rivals(1, 5)).as("another car, another person").isFalse();
    }
}
