package galecrest.core.planner.objective;

import static galecrest.core.plan.Shops.shop;
import static org.assertj.core.api.Assertions.assertThat;

import galecrest.core.plan.PlanOptions;
import galecrest.core.plan.RandomShops;
import galecrest.core.plan.Score;
import galecrest.core.plan.ShopSnapshot;
import galecrest.core.plan.Shops;
import galecrest.core.planner.calendar.TimeGrid;
import galecrest.core.planner.network.ActivityNetwork;
import galecrest.core.planner.problem.Decisions;
import galecrest.core.planner.problem.SchedulingProblem;
import galecrest.core.planner.sgs.ActivityList;
import galecrest.core.planner.sgs.SerialScheduler;
import galecrest.core.work.Commitment;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.LongRange;
import org.junit.jupiter.api.Test;

/** A schedule is left unfinished only where it would have been worse, and that does come up. */
class LatenessBoundTest {
    private int leftUnfinished;

    @Property(tries = 150)
    void onlyWhatIsWorseIsLeftUnfinished(@ForAll @LongRange(min = 0) long seed) {
        compare(RandomShops.shop(seed, 25), seed);
    }

    /** One person, three cars, each due before it can be done. */
    @Test
    void hopelessOrdersAreLeftUnfinished() {
        Shops late = shop().person("ada", "fit");
        for (int car = 0; car < 3; car++) {
            for (int job = 0; job < 4; job++) {
                late.job(car + "." + job, "car " + car, 120 + 60 * car, "fit");
            }
            late.due("date " + car, "car " + car, Commitment.Kind.EVENT, late.instant(0, 10, 0), 1 + car);
        }
        for (long seed = 0; seed < 10; seed++) {
            compare(late.snapshot(), seed);
        }
        assertThat(leftUnfinished).isGreaterThan(20);
    }

    private void compare(ShopSnapshot shop, long seed) {
        SchedulingProblem problem = new SchedulingProblem(
                new ActivityNetwork(shop, new TimeGrid(shop.now(), shop.zone(), PlanOptions.HORIZON)));
        Objective objective = new Objective(problem);
        LatenessBound floor = new LatenessBound(problem, objective);
        SerialScheduler schedule = new SerialScheduler(problem);
        Random random = new Random(seed);
        Score limit = null;
        for (int round = 0; round < 12; round++) {
            int[] order = ActivityList.by(
                    problem, random.doubles(Math.max(1, problem.size)).toArray());
            schedule.generate(order, Decisions.none(problem));
            Score whole = objective.score(schedule);
            if (limit != null) {
                floor.begin(limit);
                if (schedule.generate(order, Decisions.none(problem), floor)) {
                    assertThat(objective.score(schedule)).isEqualTo(whole);
                } else {
                    leftUnfinished++;
                    assertThat(whole).isGreaterThan(limit);
                }
            }
            limit = limit == null || whole.compareTo(limit) < 0 ? whole : limit;
        }
    }
}
