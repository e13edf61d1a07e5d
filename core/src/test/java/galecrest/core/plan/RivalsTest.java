package galecrest.core.plan;

import static galecrest.core.plan.Shops.JobShape.bench;
import static galecrest.core.plan.Shops.JobShape.station;
import static galecrest.core.plan.Shops.shop;
import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.LongRange;
import net.jqwik.api.lifecycle.AfterProperty;
import org.junit.jupiter.api.Test;

/** Work that is not rival to other work may go before or after it in an order: the schedule is the same. */
class RivalsTest {
    private static int swapped;

    private static Model model(ShopSnapshot shop) {
        return new Model(new Network(shop, new Grid(shop.now(), shop.zone(), PlanOptions.HORIZON)));
    }

    @Property(tries = 200)
    void theOrderOfWorkThatIsNotRivalDoesNotMatter(@ForAll @LongRange(min = 0) long seed) {
        Model model = model(RandomShops.shop(seed, 25));
        Rivals rivals = new Rivals(model);
        int[] order = Order.by(
                model, new Random(seed).doubles(Math.max(1, model.size)).toArray());
        Schedule schedule = new Schedule(model);
        schedule.generate(order, Choices.none(model));
        int[] starts = schedule.start.clone();
        int[] ends = schedule.end.clone();
        for (int i = Order.firstFree(model, order); i + 1 < order.length; i++) {
            int first = order[i];
            int second = order[i + 1];
            boolean linked = Arrays.stream(model.before[second]).anyMatch(arc -> arc.from() == first);
            if (!linked && !rivals.rivals(first, second)) {
                swapped++;
                int[] other = order.clone();
                other[i] = second;
                other[i + 1] = first;
                schedule.generate(other, Choices.none(model));
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
        Model model = model(shop().person("bo", "fit")
                .person("ina", "weld")
                .station("lift", "lift")
                .job("bo's", "car", 60, "fit", bench())
                .job("bo's other", "van", 60, "fit", bench())
                .job("ina's", "car", 60, "weld", bench())
                .job("ina's on the lift", "van", 60, "weld", station("lift"))
                .job("bo's on the lift", "car", 60, "fit", station("lift"))
                .job("ina's on the car", "car", 60, "weld")
                .snapshot());
        Rivals rivals = new Rivals(model);
        assertThat(rivals.rivals(0, 1)).as("one person").isTrue();
        assertThat(rivals.rivals(0, 2)).as("another person, off the car").isFalse();
        assertThat(rivals.rivals(3, 4)).as("one station").isTrue();
        assertThat(rivals.rivals(4, 5)).as("one car").isTrue();
        assertThat(rivals.rivals(1, 5)).as("another car, another person").isFalse();
    }
}
