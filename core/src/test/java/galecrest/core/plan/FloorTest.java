package galecrest.core.plan;

import static galecrest.core.plan.Shops.shop;
import static org.assertj.core.api.Assertions.assertThat;

import galecrest.core.build.Commitment;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.LongRange;
import org.junit.jupiter.api.Test;

/** A schedule is left unfinished only where it would have been worse, and that does come up. */
class FloorTest {
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
        Model model = new Model(new Network(shop, new Grid(shop.now(), shop.zone(), PlanOptions.HORIZON)));
        Scorer scorer = new Scorer(model);
        Floor floor = new Floor(model, scorer);
        Schedule schedule = new Schedule(model);
        Random random = new Random(seed);
        Score limit = null;
        for (int round = 0; round < 12; round++) {
            int[] order =
                    Order.by(model, random.doubles(Math.max(1, model.size)).toArray());
            schedule.generate(order, Choices.none(model));
            Score whole = scorer.score(schedule);
            if (limit != null) {
                floor.begin(limit);
                if (schedule.generate(order, Choices.none(model), floor)) {
                    assertThat(scorer.score(schedule)).isEqualTo(whole);
                } else {
                    leftUnfinished++;
                    assertThat(whole).isGreaterThan(limit);
                }
            }
            limit = limit == null || whole.compareTo(limit) < 0 ? whole : limit;
        }
    }
}
