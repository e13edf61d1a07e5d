package galecrest.core.plan;

import static org.assertj.core.api.Assertions.assertThat;

import galecrest.core.people.PersonId;
import galecrest.core.planner.calendar.TimeGrid;
import galecrest.core.planner.network.ActivityNetwork;
import galecrest.core.planner.network.CriticalPath;
import galecrest.core.planner.objective.Objective;
import galecrest.core.planner.problem.Decisions;
import galecrest.core.planner.problem.SchedulingProblem;
import galecrest.core.planner.result.PlanBuilder;
import galecrest.core.planner.search.PriorityRule;
import galecrest.core.planner.sgs.ActivityList;
import galecrest.core.planner.sgs.SerialScheduler;
import galecrest.core.work.WorkId;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.LongRange;
import org.junit.jupiter.api.Test;

/** What moved between two plans: nothing between a plan and itself, and the same both ways. */
class PlanDifferenceTest {
    private static Plan by(ShopSnapshot shop, PriorityRule rule) {
        SchedulingProblem model = new SchedulingProblem(
                new ActivityNetwork(shop, new TimeGrid(shop.now(), shop.zone(), PlanOptions.HORIZON)));
        CriticalPath urgency = new CriticalPath(model.network);
        double[] keys = new double[model.size];
        java.util.Arrays.setAll(keys, node -> rule.key(urgency, node));
        SerialScheduler schedule = new SerialScheduler(model);
        schedule.generate(ActivityList.by(model, keys), Decisions.none(model));
        return PlanBuilder.plan(schedule, new Objective(model));
    }

    @Property(tries = 50)
    void nothingMovesBetweenAPlanAndItself(@ForAll @LongRange(min = 0) long seed) {
        ShopSnapshot shop = RandomShops.shop(seed, 15);
        Plan plan = by(shop, PriorityRule.LATEST_START);
        PlanDifference difference = PlanDifference.between(plan, plan);
        assertThat(difference.moved()).isEmpty();
        assertThat(difference.margins()).isEmpty();
        assertThat(difference.concerned()).isEmpty();
    }

    @Property(tries = 100)
    void thereAndBackIsTheSame(@ForAll @LongRange(min = 0) long seed) {
        ShopSnapshot shop = RandomShops.shop(seed, 15);
        Plan one = by(shop, PriorityRule.LATEST_START);
        Plan other = by(shop, PriorityRule.NEAREST_DATE);
        PlanDifference there = PlanDifference.between(one, other);
        PlanDifference back = PlanDifference.between(other, one);
        assertThat(there.concerned()).isEqualTo(back.concerned());
        assertThat(works(there)).isEqualTo(works(back));
        assertThat(there.margins()).hasSameSizeAs(back.margins());
        for (PlanDifference.Moved moved : there.moved()) {
            assertThat(back.moved()).anySatisfy(m -> assertThat(m.work().equals(moved.work())
                            && m.before().equals(moved.after())
                            && m.after().equals(moved.before())
                            && m.concerns().equals(moved.concerns()))
                    .isTrue());
        }
    }

    private static Set<WorkId> works(PlanDifference difference) {
        Set<WorkId> works = new HashSet<>();
        difference.moved().forEach(m -> works.add(m.work()));
        return works;
    }

    /** Who is told: those who lose the work, those who get it, and nobody else. */
    @Test
    void aJobThatChangesHandsConcernsBoth() {
        Shops shops = Shops.shop()
                .person("bo", "fit")
                .person("ina", "fit")
                .person("kit", "fit")
                .job("bleed", "car", 60, "fit");
        ShopSnapshot shop = shops.snapshot();
        Plan plan = by(shop, PriorityRule.LATEST_START);
        PersonId had = plan.placed().get(0).crew().get(0);
        PersonId gets = new PersonId(had.value().equals("ina") ? "kit" : "ina");
        Plan other = with(plan, plan.placed().get(0).start(), List.of(gets));
        PlanDifference difference = PlanDifference.between(plan, other);
        assertThat(difference.concerned()).containsExactlyInAnyOrder(had, gets);
        assertThat(difference.moved()).singleElement().satisfies(m -> assertThat(m.before())
                .isEqualTo(m.after()));
        assertThat(new ReasonText(shop).moved(difference.moved().get(0))).contains("bleed");
    }

    /** A change is told where it touches today or the next day at work; on Friday that is Monday, and so from both sides. */
    @Test
    void onlyTodayAndTheNextDayAtWorkAreTold() {
        ShopSnapshot shop = Shops.shop()
                .at(LocalDateTime.of(2026, 11, 27, 9, 0), ZoneId.of("Europe/Berlin"))
                .person("bo", "fit")
                .job("bleed", "car", 60, "fit")
                .snapshot();
        Plan plan = by(shop, PriorityRule.LATEST_START);
        PersonId bo = new PersonId("bo");
        for (int day = 0; day < 10; day++) {
            for (int other = day + 1; other < 11; other++) {
                Plan before = with(plan, shop.now().plus(Duration.ofDays(day)), List.of(bo));
                Plan after = with(plan, shop.now().plus(Duration.ofDays(other)), List.of(bo));
                Set<PersonId> expected = day <= 3 ? Set.of(bo) : Set.of();
                assertThat(PlanDifference.between(before, after).toTell(shop)).isEqualTo(expected);
                assertThat(PlanDifference.between(after, before).toTell(shop)).isEqualTo(expected);
            }
        }
    }

    @Test
    void aJobThatIsLaterConcernsItsOwnCrewOnly() {
        ShopSnapshot shop = Shops.shop()
                .person("bo", "fit")
                .person("ina", "fit")
                .job("bleed", "car", 60, "fit")
                .snapshot();
        Plan plan = by(shop, PriorityRule.LATEST_START);
        Plan.Placed was = plan.placed().get(0);
        Plan later = with(plan, was.start().plus(Duration.ofHours(2)), was.crew());
        assertThat(PlanDifference.between(plan, later).concerned()).containsExactlyElementsOf(was.crew());
        Plan gone = with(plan, null, List.of());
        PlanDifference difference = PlanDifference.between(plan, gone);
        assertThat(difference.moved()).singleElement().satisfies(m -> assertThat(m.after())
                .isEqualTo(Optional.empty()));
        assertThat(difference.concerned()).containsExactlyElementsOf(was.crew());
    }

    /** The plan with its only job at another time or with other hands; without it where there is no time. */
    private static Plan with(Plan plan, @org.jspecify.annotations.Nullable Instant start, List<PersonId> crew) {
        Plan.Placed was = plan.placed().get(0);
        List<Plan.Placed> placed = start == null
                ? List.of()
                : List.of(new Plan.Placed(
                        was.work(),
                        start,
                        was.end(),
                        was.ready(),
                        was.at(),
                        crew,
                        was.station(),
                        was.slotMissed(),
                        was.because()));
        return plan.withPlaced(placed);
    }
}
