package galecrest.core.insight;

import static org.assertj.core.api.Assertions.assertThat;

import galecrest.core.people.PersonId;
import galecrest.core.plan.Plan;
import galecrest.core.plan.PlanOptions;
import galecrest.core.plan.RandomShops;
import galecrest.core.plan.ShopSnapshot;
import galecrest.core.planner.Planner;
import galecrest.core.time.Span;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.LongRange;

/** Loads against a count by the minute, in random shops whose days the clocks change on. */
class LoadTest {
    private static final int DAYS = 12;

    private static boolean works(Plan.Placed placed, Load load) {
        return load.person().map(placed.crew()::contains).orElse(false)
                || load.station().isPresent() && load.station().equals(placed.station());
    }

    /** Minutes of the plan that fall on the day by the calendar of java.time, counted one after another. */
    private static long counted(ShopSnapshot shop, Plan plan, Load load) {
        long minutes = 0;
        for (Plan.Placed placed : plan.placed()) {
            if (works(placed, load)) {
                for (Span span : placed.at()) {
                    for (Instant at = span.from(); at.isBefore(span.to()); at = at.plusSeconds(60)) {
                        if (at.atZone(shop.zone()).toLocalDate().equals(load.day())) {
                            minutes++;
                        }
                    }
                }
            }
        }
        return minutes;
    }

    @Property(tries = 40)
    void plannedMinutesAreThoseOfTheDay(@ForAll @LongRange(min = 0) long seed) {
        ShopSnapshot shop = RandomShops.shop(seed, 20);
        Plan plan = Planner.plan(shop, PlanOptions.once());
        List<Load> loads = Load.of(shop, plan, DAYS);
        assertThat(loads)
                .hasSize(DAYS * (shop.people().size() + shop.stations().size()))
                .allSatisfy(load -> assertThat(load.planned()).isEqualTo((int) counted(shop, plan, load)));
    }

    /** Nobody is planned for longer than they are in, on any day. */
    @Property(tries = 40)
    void peopleAreInWhileTheyWork(@ForAll @LongRange(min = 0) long seed) {
        ShopSnapshot shop = RandomShops.shop(seed, 20);
        Plan plan = Planner.plan(shop, PlanOptions.once());
        LocalDate today = shop.now().atZone(shop.zone()).toLocalDate();
        assertThat(Load.of(shop, plan, DAYS))
                .filteredOn(load -> load.person().isPresent())
                .allSatisfy(load -> {
                    assertThat(load.planned()).isLessThanOrEqualTo(load.there());
                    assertThat(load.away() && load.there() > 0).isFalse();
                    assertThat(load.day()).isBetween(today, today.plusDays(DAYS - 1));
                });
    }

    /** What is done ahead of the first midnight belongs to today, and what is beyond the last day to none. */
    @Property(tries = 20)
    void withDaysEnoughNothingIsLost(@ForAll @LongRange(min = 0) long seed) {
        ShopSnapshot shop = RandomShops.shop(seed, 12);
        Plan plan = Planner.plan(shop, PlanOptions.once());
        Instant last = plan.placed().stream()
                .map(Plan.Placed::end)
                .max(Instant::compareTo)
                .orElse(shop.now());
        int days = (int) Duration.between(shop.now(), last).toDays() + 3;
        var byPerson = Load.of(shop, plan, days).stream()
                .filter(load -> load.person().isPresent())
                .collect(Collectors.groupingBy(Load::person, Collectors.summingLong(Load::planned)));
        for (var person : shop.people()) {
            assertThat(byPerson.get(Optional.of(person.id()))).isEqualTo(all(plan, person.id()));
        }
    }

    private static long all(Plan plan, PersonId person) {
        return plan.placed().stream()
                .filter(p -> p.crew().contains(person))
                .flatMap(p -> p.at().stream())
                .mapToLong(s -> Duration.between(s.from(), s.to()).toMinutes())
                .sum();
    }
}
