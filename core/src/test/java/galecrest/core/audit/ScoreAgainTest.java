package galecrest.core.audit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import galecrest.core.build.Build;
import galecrest.core.plan.EditedShops;
import galecrest.core.plan.Plan;
import galecrest.core.plan.PlanOptions;
import galecrest.core.plan.RandomDates;
import galecrest.core.plan.RandomShops;
import galecrest.core.plan.Score;
import galecrest.core.plan.ShopSnapshot;
import galecrest.core.planner.Planner;
import galecrest.core.work.Commitment;
import galecrest.core.work.Job;
import galecrest.core.work.Status;
import galecrest.core.work.Work;
import java.util.ArrayList;
import java.util.List;
import java.util.function.ToDoubleFunction;
import java.util.stream.LongStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/**
 * The score of a plan, reckoned again from what the plan shows, in minutes and by the audit's calendars. Only what was told
 * otherwise is left out: it is judged by whoever of equal hands comes first, before people are assigned.
 */
class ScoreAgainTest {
    /** A shop with its plan. */
    private static final class Again {
        private static final double HOUR = 60;
        private static final double DAY = 24 * HOUR;
        /** Can-follow work that cannot be planned counts as a week. */
        private static final double NEVER = 40;

        private final ShopSnapshot shop;
        private final Plan plan;
        private final AuditCase audit;

        Again(ShopSnapshot shop) {
            this.shop = shop;
            plan = Planner.plan(shop, PlanOptions.interactive(shop).withSteps(25));
            audit = new AuditCase(shop, plan);
            plan.placed().forEach(p -> audit.placed.put(p.work(), p));
        }

        private List<Work> open(java.util.function.Predicate<Work> which) {
            return shop.works().stream()
                    .filter(w -> w.status() != Status.DONE)
                    .filter(which)
                    .toList();
        }

        private long ready(Work work) {
            return AuditCase.at(audit.placed.get(work.id()).ready());
        }

        private boolean planned(Work work) {
            return audit.placed.containsKey(work.id());
        }

        /** Regular hours between a finish and a date, negative where it is late, by a slot at least. */
        private double hoursInHand(long finish, Commitment date) {
            long due = audit.dueAt(date);
            long from = Math.max(audit.now, finish);
            if (finish > Math.max(due, audit.now)) {
                return -Math.max(AuditCase.GRID, audit.regularHours.minutesBetween(Math.max(audit.now, due), from))
                        / HOUR;
            }
            return due < from ? 0 : audit.regularHours.minutesBetween(from, due) / HOUR;
        }

        Score again() {
            int missing = 0;
            double hard = 0;
            double promised = 0;
            double eaten = 0;
            double follow = 0;
            for (Commitment date : shop.commitments()) {
                List<Work> needed = open(date::needs);
                long lacking = needed.stream().filter(w -> !planned(w)).count();
                missing += (int) lacking;
                long finish = needed.stream()
                        .filter(this::planned)
                        .mapToLong(this::ready)
                        .max()
                        .orElse(audit.now);
                double hand = hoursInHand(finish, date);
                if (lacking == 0 && hand < 0) {
                    hard += date.kind().hard() ? -hand * date.weight() : 0;
                    promised += date.kind().hard() ? 0 : -hand * date.weight();
                } else if (lacking == 0 && !needed.isEmpty()) {
                    eaten += date.weight() * Math.max(0, shop.rules().buffer().hours() - hand);
                }
                for (Work work : open(date::desires)) {
                    follow += planned(work) ? Math.max(0, -hoursInHand(ready(work), date)) : NEVER;
                }
            }
            double inBits = 0;
            double finishing = 0;
            for (Build build : shop.builds()) {
                List<Plan.Placed> its = open(w -> w.build().equals(build.id()) && planned(w)).stream()
                        .map(w -> audit.placed.get(w.id()))
                        .toList();
                List<Plan.Placed> onCar = its.stream()
                        .filter(p -> audit.works.get(p.work()) instanceof Job job && job.onCar())
                        .toList();
                finishing += build.weight()
                        * its.stream()
                                .mapToLong(p -> AuditCase.at(p.ready()) - audit.now)
                                .map(m -> Math.max(0, m))
                                .max()
                                .orElse(0)
                        / DAY;
                if (!onCar.isEmpty()) {
                    inBits += (onCar.stream()
                                            .mapToLong(p -> AuditCase.at(p.end()))
                                            .max()
                                            .orElseThrow()
                                    - onCar.stream()
                                            .mapToLong(p -> AuditCase.at(p.start()))
                                            .min()
                                            .orElseThrow())
                            / DAY;
                }
            }
            return new Score(
                    missing,
                    hard,
                    promised,
                    eaten,
                    follow,
                    shop.rules().atRiskStart() * plan.startedAtRisk().size(),
                    0,
                    shop.rules().carInBits() * inBits,
                    shop.rules().finishDay() * finishing);
        }
    }

    private static Stream<ShopSnapshot> shops() {
        return Stream.concat(
                LongStream.range(0, 120)
                        .mapToObj(seed -> RandomDates.withOutings(
                                RandomDates.withFindings(RandomShops.shop(seed, 8 + (int) (seed % 30)), seed), seed)),
                LongStream.range(0, 60).mapToObj(EditedShops::shop));
    }

    @Test
    void theScoreIsWhatThePlanShows() {
        List<Score> seen = new ArrayList<>();
        for (ShopSnapshot shop : shops().toList()) {
            Again one = new Again(shop);
            Score told = one.plan.score();
            Score again = one.again();
            assertThat(again.missing()).isEqualTo(told.missing());
            assertThat(again.hardLateness()).isCloseTo(told.hardLateness(), within(1e-6));
            assertThat(again.promisedLateness()).isCloseTo(told.promisedLateness(), within(1e-6));
            assertThat(again.bufferEaten()).isCloseTo(told.bufferEaten(), within(1e-6));
            assertThat(again.followLate()).isCloseTo(told.followLate(), within(1e-6));
            assertThat(again.atRisk()).isCloseTo(told.atRisk(), within(1e-6));
            assertThat(again.carsInBits()).isCloseTo(told.carsInBits(), within(1e-6));
            assertThat(again.finishing()).isCloseTo(told.finishing(), within(1e-6));
            seen.add(told);
        }
        for (ToDoubleFunction<Score> figure : List.<ToDoubleFunction<Score>>of(
                Score::hardLateness,
                Score::promisedLateness,
                Score::bufferEaten,
                Score::followLate,
                Score::atRisk,
                Score::carsInBits)) {
            assertThat(seen.stream().filter(s -> figure.applyAsDouble(s) > 0).count())
                    .as("shops in which each figure counts")
                    .isGreaterThan(3);
        }
    }
}
