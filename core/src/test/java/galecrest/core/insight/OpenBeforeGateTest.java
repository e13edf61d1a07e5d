package galecrest.core.insight;

import static org.assertj.core.api.Assertions.assertThat;

import galecrest.core.build.Gate;
import galecrest.core.build.Zone;
import galecrest.core.plan.ShopSnapshot;
import galecrest.core.plan.Shops;
import galecrest.core.work.Job;
import galecrest.core.work.Link;
import galecrest.core.work.Work;
import galecrest.core.work.WorkId;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** Who brings a car to a gate is asked after what is open before it, and nobody else is. */
class OpenBeforeGateTest {
    private static final ShopSnapshot SHOP = Shops.shop()
            .person("bo", "fit")
            .job("oil lines", "car", 60, "fit")
            .job("first fire", "car", 60, "fit", Shops.JobShape.takesTheCar())
            .job("clean", "car", 60, "fit")
            .job("elsewhere", "other", 60, "fit")
            .link("first fire", "clean", Link.Type.FINISH_START, Link.Lag.NONE, Optional.empty())
            .snapshot();

    private static List<String> open(ShopSnapshot shop, String job) {
        return OpenBeforeGate.of(shop, new WorkId(job)).stream().map(Work::name).toList();
    }

    /** The same with another gate for a job. */
    private static ShopSnapshot with(ShopSnapshot shop, String name, Gate gate) {
        return shop.withWorks(shop.works().stream()
                .map(w -> w.name().equals(name) ? (Work) gated((Job) w, gate) : w)
                .toList());
    }

    private static Job gated(Job j, Gate gate) {
        return new Job(
                j.id(),
                j.build(),
                j.name(),
                Zone.FRONT,
                j.onCar(),
                j.wholeCar(),
                j.estimate(),
                j.remaining(),
                j.crew(),
                j.stationKind(),
                j.oneGo(),
                j.cure(),
                j.cureLock(),
                j.parts(),
                gate,
                j.essential(),
                j.status(),
                j.notBefore(),
                j.hold(),
                j.started(),
                j.doneAt(),
                j.findings());
    }

    @Test
    void theFirstFireAsksAfterTheOilLines() {
        ShopSnapshot shop = with(with(SHOP, "oil lines", Gate.FIRST_FIRE), "first fire", Gate.FIRST_FIRE);
        assertThat(open(shop, "first fire")).containsExactly("oil lines");
        assertThat(open(shop, "oil lines")).as("it brings the car nowhere").isEmpty();
        ShopSnapshot done = shop.withWorks(shop.works().stream()
                .map(w -> w.name().equals("oil lines") ? (Work) ((Job) w).asDone(shop.now()) : w)
                .toList());
        assertThat(open(done, "first fire")).isEmpty();
        assertThat(open(SHOP, "first fire"))
                .as("more for the same gate comes after it")
                .isEmpty();
        assertThat(open(shop, "nothing of that name")).isEmpty();
    }
}
