package galecrest.core.season;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import galecrest.core.build.Gate;
import galecrest.core.people.Person;
import galecrest.core.people.PersonId;
import galecrest.core.plan.Plan;
import galecrest.core.plan.PlanOptions;
import galecrest.core.plan.RandomShops;
import galecrest.core.plan.ShopSnapshot;
import galecrest.core.planner.Planner;
import galecrest.core.time.Span;
import galecrest.core.work.Commitment;
import galecrest.core.work.CommitmentId;
import galecrest.core.work.Outing;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.LongRange;
import org.junit.jupiter.api.Test;

/** Stretches and hours against a count by the minute, in random shops whose days the clocks change on. */
class StretchTest {
    private static final int DAYS = 30;
    private static final StretchRule RULE = new StretchRule(3, 1, 30, 10);

    /** The minutes of a person by day, and the nights, counted one after another. */
    private record Counted(Map<LocalDate, Integer> minutes, Set<LocalDate> nights) {
        static Counted of(ShopSnapshot shop, Plan plan, PersonId person) {
            Counted counted = new Counted(new HashMap<>(), new HashSet<>());
            plan.placed().stream().filter(p -> p.crew().contains(person)).forEach(p -> {
                for (Span span : p.at()) {
                    for (Instant at = span.from(); at.isBefore(span.to()); at = at.plusSeconds(60)) {
                        var local = at.atZone(shop.zone());
                        counted.minutes.merge(local.toLocalDate(), 1, Integer::sum);
                        if (local.getHour() >= StretchRule.LATE) {
                            counted.nights.add(local.toLocalDate());
                        }
                    }
                }
            });
            return counted;
        }

        int longest(LocalDate from, Set<LocalDate> days) {
            int longest = 0;
            for (int first = 0; first <= DAYS; first++) {
                int run = 0;
                while (first + run <= DAYS && days.contains(from.plusDays(first + run))) {
                    run++;
                }
                longest = Math.max(longest, run);
            }
            return longest;
        }
    }

    @Property(tries = 40)
    void asCountedByTheMinute(@ForAll @LongRange(min = 0) long seed) {
        ShopSnapshot shop = RandomShops.shop(seed, 25);
        Plan plan = Planner.plan(shop, PlanOptions.once());
        LocalDate from = shop.now().atZone(shop.zone()).toLocalDate();
        List<Stretch> stretches = Stretch.of(shop.withCommitments(List.of()), plan, from, from.plusDays(DAYS), RULE);
        for (Stretch stretch : stretches) {
            Counted counted = Counted.of(shop, plan, stretch.person());
            counted.minutes().keySet().removeIf(d -> d.isAfter(from.plusDays(DAYS)));
            assertThat(stretch.days())
                    .isEqualTo(counted.longest(from, counted.minutes().keySet()));
            assertThat(stretch.nights()).isEqualTo(counted.longest(from, counted.nights()));
            int fullest = 0;
            for (LocalDate day = from; !day.isAfter(from.plusDays(DAYS)); day = day.plusDays(1)) {
                int sum = 0;
                for (int i = 0; i < 7; i++) {
                    sum += counted.minutes().getOrDefault(day.plusDays(i), 0);
                }
                fullest = Math.max(fullest, sum);
            }
            assertThat(stretch.hours()).isCloseTo(fullest / 60.0, within(1e-9));
            assertThat(stretch.warnings())
                    .hasSize((stretch.days() > 3 ? 1 : 0)
                            + (stretch.nights() > 1 ? 1 : 0)
                            + (fullest > 30 * 60 ? 1 : 0));
        }
        assertThat(stretches).extracting(Stretch::person).doesNotHaveDuplicates();
    }

    /** Away from Friday to Monday: four days and three nights, ten hours each. */
    @Test
    void anEventCountsDaysAndNights() {
        ShopSnapshot shop = RandomShops.shop(1, 3);
        Person person = shop.people().get(0);
        Instant leaves =
                LocalDate.parse("2027-06-04").atTime(15, 0).atZone(shop.zone()).toInstant();
        Commitment event = new Commitment(
                        new CommitmentId("event"),
                        shop.builds().get(0).id(),
                        "four hours",
                        Commitment.Kind.EVENT,
                        leaves,
                        Gate.EVENT,
                        Set.of(),
                        1)
                .taking(Optional.of(
                        new Outing(leaves.plus(Duration.ofHours(75)), Set.of(person.id()), Set.of(), Set.of())));
        Plan none = Planner.plan(
                shop.withWorks(List.of())
                        .withCommitments(List.of())
                        .withLinks(List.of())
                        .withPins(List.of()),
                PlanOptions.once());
        LocalDate from = LocalDate.parse("2027-06-01");
        List<Stretch> stretches = Stretch.of(shop.withCommitments(List.of(event)), none, from, from.plusDays(14), RULE);
        assertThat(stretches).hasSize(1);
        assertThat(stretches.get(0).days()).isEqualTo(4);
        assertThat(stretches.get(0).nights()).isEqualTo(3);
        assertThat(stretches.get(0).hours()).isEqualTo(40);
        assertThat(stretches.get(0).warnings())
                .containsExactly(
                        "4 days in a row; the house has 3 at most.",
                        "3 nights in a row; the house has 1 at most.",
                        "40 h in seven days; the house has 30 at most.");
    }

    @Property(tries = 30)
    void hoursThereAsCountedByTheMinute(@ForAll @LongRange(min = 0) long seed) {
        ShopSnapshot shop = RandomShops.shop(seed, 15);
        Plan plan = Planner.plan(shop, PlanOptions.once());
        Instant from = shop.now().plus(Duration.ofHours(seed % 50));
        Instant to = from.plus(Duration.ofHours(1 + seed % 70));
        HoursThere hours = HoursThere.of(shop, plan, from, to, Set.of());
        long taken = 0;
        for (Plan.Placed placed : plan.placed()) {
            for (Span span : placed.at()) {
                for (Instant at = span.from(); at.isBefore(span.to()); at = at.plusSeconds(60)) {
                    taken += at.isBefore(from) || !at.isBefore(to)
                            ? 0
                            : placed.crew().size();
                }
            }
        }
        assertThat(hours.taken()).isEqualTo(taken);
        assertThat(hours.free()).isEqualTo(Math.max(0, hours.there() - taken));
        assertThat(HoursThere.of(shop, plan, to, from, Set.of())).isEqualTo(new HoursThere(0, 0));
    }

    @Test
    void ruleHasLimits() {
        List<String> wrong = new ArrayList<>();
        for (int[] r : new int[][] {{0, 1, 1, 1}, {1, 61, 1, 1}, {1, 1, 169, 1}, {1, 1, 1, 25}}) {
            try {
                new StretchRule(r[0], r[1], r[2], r[3]);
            } catch (IllegalArgumentException refused) {
                wrong.add(refused.getMessage());
            }
        }
        assertThat(wrong).hasSize(4);
    }
}
