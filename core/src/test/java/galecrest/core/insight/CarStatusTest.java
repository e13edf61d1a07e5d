package galecrest.core.insight;

import static org.assertj.core.api.Assertions.assertThat;

import galecrest.core.people.PersonId;
import galecrest.core.plan.Plan;
import galecrest.core.plan.PlanOptions;
import galecrest.core.plan.RandomShops;
import galecrest.core.plan.ShopSnapshot;
import galecrest.core.plan.Shops;
import galecrest.core.planner.Planner;
import galecrest.core.shop.StationId;
import galecrest.core.time.Arrival;
import galecrest.core.work.Commitment;
import galecrest.core.work.Job;
import galecrest.core.work.Outwork;
import galecrest.core.work.ReasonTag;
import galecrest.core.work.Work;
import galecrest.core.work.WorkId;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.LongRange;
import org.junit.jupiter.api.Test;

class CarStatusTest {
    private static List<CarStatus> reports(ShopSnapshot shop) {
        return CarStatus.all(shop, Planner.plan(shop, PlanOptions.once()));
    }

    private static ShopSnapshot with(ShopSnapshot shop, String id, UnaryOperator<Work> change) {
        return shop.withWorks(shop.works().stream()
                .map(w -> w.id().value().equals(id) ? change.apply(w) : w)
                .toList());
    }

    private static Work away(Work work, Arrival back, ShopSnapshot shop) {
        Outwork outwork = (Outwork) work;
        return outwork.withTiming(outwork.turnaround(), Optional.of(new Outwork.Away(shop.now(), back)));
    }

    @Test
    void aCarThatIsAwayStandsNowhereAndItsOutworkHoldsIt() {
        Shops shops = Shops.shop().person("bo", "fit").station("lift 1", "lift");
        ShopSnapshot shop = shops.job("fit", "six", 60, "fit", Shops.JobShape.station("lift"))
                .outwork("tune", "six", true, 2)
                .after("tune", "fit")
                .snapshot();
        CarStatus report = reports(with(shop, "tune", w -> away(w, Arrival.exactly(shops.instant(2, 10, 0)), shop)))
                .get(0);
        assertThat(report.away()).contains(new WorkId("tune"));
        assertThat(report.station()).isEmpty();
        assertThat(report.doing()).isEmpty();
        assertThat(report.held().orElseThrow().work()).isEqualTo(new WorkId("tune"));
        assertThat(report.held().orElseThrow().tag()).isEqualTo(ReasonTag.OUT);
        assertThat(report.next()).contains(new WorkId("fit"));
    }

    @Test
    void ofTwoCarsAtOneStationOnlyTheOneThatIsThereStandsThere() {
        Shops shops = Shops.shop().person("bo", "fit").person("al", "fit").station("lift 1", "lift");
        ShopSnapshot shop = shops.job("a", "six", 120, "fit", Shops.JobShape.station("lift"))
                .job("b", "nine", 120, "fit", Shops.JobShape.station("lift"))
                .snapshot();
        ShopSnapshot going = with(shop, "b", w -> started((Job) w, shop, "bo"));
        List<CarStatus> reports = reports(going);
        assertThat(reports.get(0).station()).isEmpty();
        assertThat(reports.get(1).station()).contains(new StationId("lift 1"));
        assertThat(reports.get(1).doing()).containsExactly(new WorkId("b"));
        assertThat(reports.get(1).next()).isEmpty();
        assertThat(reports.get(0).held().orElseThrow().tag()).isEqualTo(ReasonTag.STATION);
    }

    private static Job started(Job job, ShopSnapshot shop, String by) {
        return job.asStarted(
                Optional.empty(),
                new Job.Started(shop.now(), List.of(new PersonId(by)), Optional.of(new StationId("lift 1"))));
    }

    @Test
    void theHoldOnTheChainOfThePressingDateComesBeforeAnEarlierOne() {
        Shops shops = Shops.shop().person("bo", "fit").person("al", "wire");
        ShopSnapshot shop = shops.part("seat", shops.instant(1, 12, 0), 0)
                .part("loom", shops.instant(4, 12, 0), 0)
                .job("fit seat", "six", 30, "fit", Shops.JobShape.needs("seat"))
                .job("lay loom", "six", 300, "wire", Shops.JobShape.needs("loom"))
                .due("race", "six", shops.instant(5, 16, 0))
                .snapshot();
        CarStatus report = reports(shop).get(0);
        assertThat(report.held().orElseThrow().work()).isEqualTo(new WorkId("lay loom"));
        assertThat(report.held().orElseThrow().tag()).isEqualTo(ReasonTag.PART);
    }

    @Test
    void whatJustComesNextInItsOrderHoldsNothing() {
        ShopSnapshot shop = Shops.shop()
                .person("bo", "fit")
                .job("a", "six", 60, "fit")
                .job("b", "six", 60, "fit")
                .after("a", "b")
                .snapshot();
        assertThat(reports(shop).get(0).held()).isEmpty();
    }

    @Test
    void theDateWithTheLeastMarginIsTheOneToKnow() {
        Shops shops = Shops.shop().person("bo", "fit");
        ShopSnapshot shop = shops.job("a", "six", 60, "fit")
                .due("test", "six", Commitment.Kind.SLOT, shops.instant(9, 12, 0), 1)
                .due("shakedown", "six", Commitment.Kind.SLOT, shops.instant(3, 12, 0), 1)
                .snapshot();
        assertThat(reports(shop).get(0).nextDate().orElseThrow().value()).isEqualTo("shakedown");
    }

    /** What is true of every shop: a station holds one car, what a car does has started, what comes next is planned. */
    @Property(tries = 150)
    void reportsFitThePlan(@ForAll @LongRange(min = 0, max = 1_000_000) long seed) {
        ShopSnapshot shop = RandomShops.shop(seed, 25);
        Plan plan = Planner.plan(shop, PlanOptions.once());
        List<CarStatus> reports = CarStatus.all(shop, plan);
        assertThat(reports)
                .extracting(CarStatus::build)
                .isEqualTo(shop.builds().stream().map(b -> b.id()).toList());
        assertThat(reports.stream().flatMap(r -> r.station().stream())).doesNotHaveDuplicates();
        for (CarStatus report : reports) {
            List<Work> its = shop.works().stream()
                    .filter(w -> w.build().equals(report.build()))
                    .toList();
            assertThat(its).extracting(Work::id).containsAll(report.doing());
            report.next().ifPresent(next -> {
                Plan.Placed first = plan.byWork().get(next);
                assertThat(report.doing()).doesNotContain(next);
                assertThat(its.stream()
                                .filter(w -> !report.doing().contains(w.id()))
                                .map(w -> plan.byWork().get(w.id()))
                                .filter(p -> p != null && p.start().isAfter(shop.now())))
                        .allMatch(p -> !p.start().isBefore(first.start()));
            });
            report.held().ifPresent(held -> assertThat(plan.byWork()).containsKey(held.work()));
        }
    }
}
