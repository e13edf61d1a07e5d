package galecrest.core.planner.repair;

import static org.assertj.core.api.Assertions.assertThat;

import galecrest.core.plan.Plan;
import galecrest.core.plan.PlanOptions;
import galecrest.core.plan.RandomShops;
import galecrest.core.plan.ShopSnapshot;
import galecrest.core.planner.Planner;
import galecrest.core.planner.calendar.TimeGrid;
import galecrest.core.planner.network.ActivityNetwork;
import galecrest.core.planner.problem.SchedulingProblem;
import galecrest.core.planner.search.Evaluator;
import galecrest.core.planner.sgs.SerialScheduler;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;

class RepairAttemptTest {
    /** What is made for comparing only is the very schedule that is made with its reasons. */
    @Test
    void aScheduleIsTheSameWithItsReasonsAndWithout() {
        int late = 0;
        for (int seed = 0; seed < 120; seed++) {
            ShopSnapshot shop = RandomShops.shop(seed, 20 + seed % 30);
            Plan told = Planner.plan(shop, PlanOptions.interactive(shop));
            ShopSnapshot later =
                    shop.withPublished(told).at(shop.now().plus(Duration.ofHours(new Random(seed).nextInt(60))));
            SchedulingProblem problem = new SchedulingProblem(
                    new ActivityNetwork(later, new TimeGrid(later.now(), later.zone(), PlanOptions.HORIZON)));
            Evaluator evaluator = new Evaluator(problem);
            RepairAttempt attempt = new RepairAttempt(problem, evaluator, told, Set.of(), 64);
            for (SerialScheduler.Displaced how : SerialScheduler.Displaced.values()) {
                attempt.beginWith(how);
                attempt.remake();
                List<Object> without = places(evaluator.schedule, problem.size);
                attempt.explained();
                assertThat(places(evaluator.schedule, problem.size))
                        .as("seed %d, %s", seed, how)
                        .isEqualTo(without);
            }
            late += attempt.disturbs ? 1 : 0;
        }
        assertThat(late).as("shops in which something cannot stay").isGreaterThan(20);
    }

    private static List<Object> places(SerialScheduler schedule, int size) {
        List<Object> all = new ArrayList<>();
        for (int node = 0; node < size; node++) {
            all.add(List.of(
                    schedule.start[node],
                    schedule.end[node],
                    schedule.station[node],
                    schedule.crew[node] == null ? "nobody" : schedule.crew[node]));
        }
        return all;
    }
}
