package galecrest.core.insight;

import static galecrest.core.plan.Shops.shop;
import static org.assertj.core.api.Assertions.assertThat;

import galecrest.core.build.Gate;
import galecrest.core.parts.PartId;
import galecrest.core.parts.PartLine;
import galecrest.core.parts.PartState;
import galecrest.core.plan.Plan;
import galecrest.core.plan.PlanOptions;
import galecrest.core.plan.RandomShops;
import galecrest.core.plan.ShopSnapshot;
import galecrest.core.plan.Shops;
import galecrest.core.planner.Planner;
import galecrest.core.risk.MonteCarlo;
import galecrest.core.risk.ReplayTest;
import galecrest.core.risk.RiskOptions;
import galecrest.core.risk.RiskProfile;
import galecrest.core.time.Arrival;
import galecrest.core.work.Commitment;
import galecrest.core.work.CommitmentId;
import galecrest.core.work.Job;
import galecrest.core.work.Status;
import galecrest.core.work.Work;
import galecrest.core.work.WorkId;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

/** Needed-at, order-by, latest starts and the load of skills, reckoned by hand and tried on random shops. */
class LatestDatesTest {
    /** Due Thursday 16:00, four hours of work after the part, 30 min to inspect it: it must be here Thursday 11:30. */
    @Test
    void aPartIsNeededInTimeForInspectionAndWork() {
        Shops shops = shop().person("bo", "fit");
        shops.part("flange", shops.instant(1, 12, 0), 30)
                .job("fit it", "car", 240, "fit", Shops.JobShape.needs("flange"))
                .due("test", "car", shops.instant(3, 16, 0));
        ShopSnapshot shop = shops.snapshot();
        var thought = Planner.think(shop, PlanOptions.interactive(shop), (s, b) -> true);
        LatestDates needs = LatestDates.of(shop, thought.plan());
        assertThat(needs.latestStarts().get(new WorkId("fit it"))).isEqualTo(shops.instant(3, 12, 0));
        assertThat(needs.parts().get(0).neededAt()).isEqualTo(shops.instant(3, 11, 30));
        assertThat(needs.parts().get(0).orderBy()).isEmpty();
    }

    /** Of a part not ordered that always takes two days, from Monday 8:00, the order may wait until Tuesday 12:00. */
    @Test
    void anOrderMayWaitUntilItsLeadTimeIsLeft() {
        Shops shops = shop().person("bo", "fit");
        shops.part("flange", shops.instant(2, 8, 0), 0)
                .job("fit it", "car", 240, "fit", Shops.JobShape.needs("flange"))
                .due("test", "car", shops.instant(3, 16, 0));
        ShopSnapshot shop = shops.snapshot();
        ShopSnapshot wanted = shop.withParts(List.of(new galecrest.core.parts.PartLine(
                shop.parts().get(0).id(),
                "flange",
                PartState.WANTED,
                Optional.of(Arrival.exactly(shops.instant(2, 8, 0))),
                shop.parts().get(0).inspection(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty())));
        var thought = Planner.think(wanted, PlanOptions.interactive(wanted), (s, b) -> true);
        LatestDates.PartNeed need =
                LatestDates.of(wanted, thought.plan()).parts().get(0);
        assertThat(need.orderBy()).contains(shops.instant(1, 12, 0));
        assertThat(need.daysLeft()).contains(2);
    }

    /**
     * Needed on Wednesday at 12:00 and two working days on the vendor's list: ordered by its closing on Friday it is there
     * on Tuesday 17:00; ordered on Monday it would be there on Wednesday 17:00. The weekend does not count.
     */
    @Test
    void aPriceListCountsTheVendorsWorkingDays() {
        Shops shops = shop().person("bo", "fit").offer("Flange", 2);
        shops.wanted("flange")
                .job("fit it", "car", 240, "fit", Shops.JobShape.needs("flange"))
                .due("test", "car", shops.instant(9, 16, 0));
        ShopSnapshot shop = shops.snapshot();
        var thought = Planner.think(shop, PlanOptions.interactive(shop), (s, b) -> true);
        LatestDates.PartNeed need = LatestDates.of(shop, thought.plan()).parts().get(0);
        assertThat(need.neededAt()).isEqualTo(shops.instant(9, 12, 0));
        assertThat(need.orderBy()).contains(shops.instant(4, 17, 0));
        assertThat(need.daysLeft()).contains(5);
        // Ordered now, on Monday morning, it comes on Wednesday at closing time.
        assertThat(shop.expected(shop.parts().get(0))).contains(Arrival.exactly(shops.instant(2, 17, 0)));
    }

    /**
     * A part at its needed-at harms no date, one that comes four days later does, but where it only fits into a place that
     * is there again by then: tried with the part promised for just then.
     */
    @Test
    void neededAtIsTheLastInstantThatHarmsNothing() {
        int harmed = 0;
        int tried = 0;
        for (long seed = 0; seed < 200; seed++) {
            ShopSnapshot shop = everythingDue(ReplayTest.withoutMishaps(RandomShops.shop(seed, 24)));
            var thought = Planner.think(shop, PlanOptions.interactive(shop).withSteps(20), (s, b) -> true);
            for (LatestDates.PartNeed need :
                    LatestDates.of(shop, thought.plan()).parts()) {
                ShopSnapshot then = comes(shop, need.part(), need.neededAt());
                boolean paired = shop.parts().stream()
                        .anyMatch(p -> p.pairedWith().isPresent()
                                && (p.id().equals(need.part())
                                        || p.pairedWith().get().equals(need.part())));
                if (paired
                        || then.equals(shop)
                        || need.neededAt().isAfter(shop.now().plusSeconds(FAR))) {
                    continue;
                }
                tried++;
                assertThat(late(shop, thought.plan(), then))
                        .as("%s in %d", need, seed)
                        .isZero();
                ShopSnapshot later = comes(shop, need.part(), need.neededAt().plusSeconds(4 * 86_400));
                harmed += late(shop, thought.plan(), later) > 0 ? 1 : 0;
            }
        }
        assertThat(tried).isGreaterThan(40);
        assertThat(harmed).as("of %d that came four days later", tried).isGreaterThan(tried * 9 / 10);
    }

    /** The shop with one date for each car, a fortnight ahead, that needs all its work that can be planned. */
    private static ShopSnapshot everythingDue(ShopSnapshot shop) {
        Plan plan = Planner.plan(shop, PlanOptions.once());
        Set<WorkId> planned = plan.byWork().keySet();
        return shop.withCommitments(shop.builds().stream()
                .filter(b -> shop.works().stream().anyMatch(w -> w.build().equals(b.id()) && planned.contains(w.id())))
                .map(b -> new Commitment(
                        new CommitmentId("all " + b.id()),
                        b.id(),
                        "all",
                        Commitment.Kind.EVENT,
                        shop.now().plusSeconds(14 * 86_400),
                        Gate.EVENT,
                        shop.works().stream()
                                .filter(w -> w.build().equals(b.id()) && planned.contains(w.id()))
                                .map(Work::id)
                                .collect(Collectors.toSet()),
                        1))
                .toList());
    }

    private static final long FAR = 300 * 86_400L;

    /** The shop with the part promised for then, by a vendor without a record, as what is on its way. */
    private static ShopSnapshot comes(ShopSnapshot shop, PartId id, Instant at) {
        return shop.withParts(shop.parts().stream()
                .map(p -> p.id().equals(id) && !p.state().toInspect() && at.isAfter(shop.now())
                        ? new PartLine(
                                id,
                                p.name(),
                                PartState.SHIPPED,
                                Optional.of(Arrival.exactly(at)),
                                p.inspection(),
                                p.pairedWith(),
                                p.pairOverride(),
                                Optional.empty())
                        : p)
                .toList());
    }

    /** How many dates the plan, replayed in the other shop, has later than they are due and than it had them. */
    private static long late(ShopSnapshot shop, Plan plan, ShopSnapshot other) {
        RiskProfile chance = MonteCarlo.of(
                        other, plan, new RiskOptions(1, 1, 1, (u, low, likely, high) -> likely), d -> true)
                .orElseThrow();
        long late = 0;
        for (int c = 0; c < shop.commitments().size(); c++) {
            var planned = plan.outlooks().get(c).finish();
            var finish = chance.odds().get(c).p50();
            boolean worse = planned.isPresent()
                    && (finish.isEmpty()
                            || finish.get().isAfter(planned.get())
                                    && finish.get()
                                            .isAfter(shop.commitments().get(c).due()));
            late += worse ? 1 : 0;
        }
        return late;
    }

    /** With one pair of hands two jobs cannot both wait until the last moment. */
    @Test
    void latestStartsKnowThePeople() {
        Shops shops = shop().person("bo", "fit")
                .job("a", "car", 240, "fit", Shops.JobShape.bench())
                .job("b", "car", 240, "fit", Shops.JobShape.bench());
        ShopSnapshot shop = shops.due("test", "car", shops.instant(1, 16, 0)).snapshot();
        var thought = Planner.think(shop, PlanOptions.interactive(shop), (s, b) -> true);
        List<Instant> starts = LatestDates.of(shop, thought.plan()).latestStarts().values().stream()
                .sorted()
                .toList();
        assertThat(starts).containsExactly(shops.instant(1, 8, 0), shops.instant(1, 12, 0));
    }

    @Test
    void nothingNeedsToStartBeforeItIsPlanned() {
        for (long seed = 0; seed < 80; seed++) {
            ShopSnapshot shop = RandomShops.shop(seed, 20);
            var thought = Planner.think(shop, PlanOptions.interactive(shop).withSteps(20), (s, b) -> true);
            LatestDates needs = LatestDates.of(shop, thought.plan());
            for (Plan.Placed placed : thought.plan().placed()) {
                Work work = shop.works().stream()
                        .filter(w -> w.id().equals(placed.work()))
                        .findFirst()
                        .orElseThrow();
                if (work instanceof Job && work.status() == Status.TODO) {
                    assertThat(needs.latestStarts().get(placed.work())).isAfterOrEqualTo(placed.start());
                }
            }
        }
    }

    /** Bo alone welds, 8 h a day: 36 h of a 40 h week is 90 % and makes welding the bottleneck. */
    @Test
    void theFullestSkillIsNamed() {
        Shops shops = shop().person("bo", "weld").person("kit", "fit");
        for (int i = 0; i < 6; i++) {
            shops.job("weld" + i, "car", 360, "weld", Shops.JobShape.bench());
        }
        shops.job("fit", "car", 120, "fit", Shops.JobShape.bench());
        ShopSnapshot shop = shops.snapshot();
        Plan plan = Planner.plan(shop, PlanOptions.interactive(shop));
        List<SkillLoad> loads = SkillLoad.of(shop, plan, 2);
        SkillLoad neck = SkillLoad.bottleneck(loads).orElseThrow();
        assertThat(neck.skill()).isEqualTo("weld");
        assertThat(neck.planned()).isEqualTo(36 * 60);
        assertThat(neck.there()).isEqualTo(40 * 60);
        assertThat(loads.stream()
                        .filter(l -> l.skill().equals("fit"))
                        .mapToInt(SkillLoad::planned)
                        .sum())
                .isEqualTo(120);
    }
}
