package galecrest.core.rehearse;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import galecrest.core.audit.PlanAudit;
import galecrest.core.people.PersonId;
import galecrest.core.plan.RandomShops;
import galecrest.core.plan.ShopSnapshot;
import galecrest.core.plan.Shops;
import galecrest.core.rescue.Move;
import galecrest.core.work.Job;
import galecrest.core.work.Status;
import galecrest.core.work.Work;
import galecrest.core.work.WorkId;
import java.time.Instant;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class RehearsalTest {
    private static final Luck USUAL = new Luck(7, Luck.Weather.USUAL);

    private static Shops shops() {
        return new Shops().person("ann", "fit").person("bea", "weld");
    }

    private static Job job(ShopSnapshot shop, String id) {
        return (Job) shop.works().stream()
                .filter(w -> w.id().equals(new WorkId(id)))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void theSameWeekComesOfTheSameLuckAndAnotherOfAnother() {
        ShopSnapshot shop = RandomShops.shop(3, 12);
        List<Event> first = week(shop, USUAL);
        assertThat(week(shop, USUAL)).isEqualTo(first);
        assertThat(week(shop, new Luck(8, Luck.Weather.ROUGH))).isNotEqualTo(first);
    }

    private static List<Event> week(ShopSnapshot shop, Luck luck) {
        Rehearsal week = new Rehearsal(shop, luck);
        List<Event> all = new ArrayList<>();
        for (int turn = 0; turn < 6; turn++) {
            all.addAll(week.playOn());
        }
        return all;
    }

    /** Whatever comes, every plan on the way passes the audit, nobody is on two jobs, and nothing is undone. */
    @ParameterizedTest
    @ValueSource(ints = {1, 2, 3, 4, 5, 6, 7, 8})
    void everyPlanOnTheWayHolds(int seed) {
        ShopSnapshot shop = RandomShops.shop(seed, 12);
        Rehearsal week = new Rehearsal(shop, new Luck(seed, Luck.Weather.ROUGH));
        Map<WorkId, Status> before = new HashMap<>();
        for (int turn = 0; turn < 6; turn++) {
            Instant now = week.shop().now();
            week.playOn();
            assertThat(week.shop().now()).isAfter(now);
            assertThat(PlanAudit.violations(week.shop(), week.plan())).isEmpty();
            Map<PersonId, Integer> on = new HashMap<>();
            for (Work work : week.shop().works()) {
                Status was = before.getOrDefault(work.id(), work.status());
                assertThat(work.status()).as(work.name()).isGreaterThanOrEqualTo(was);
                before.put(work.id(), work.status());
                if (work instanceof Job job && job.status() == Status.STARTED) {
                    job.started().orElseThrow().by().forEach(p -> on.merge(p, 1, Integer::sum));
                }
            }
            assertThat(on.values()).allMatch(many -> many == 1);
        }
        assertThat(shop.now())
                .as("the shop it began with is as it was")
                .isEqualTo(RandomShops.shop(seed, 12).now());
    }

    /** Eight hours that luck makes of four to sixteen: it is finished when that is over, to a tick of a quarter of an hour. */
    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6})
    void aJobTakesAsLongAsLuckHasIt(long seed) {
        ShopSnapshot shop = shops().job("a", "car", 120, "fit").snapshot();
        Luck luck = new Luck(seed, Luck.Weather.CALM);
        double takes = luck.takes(new WorkId("a"), job(shop, "a").estimate());
        Rehearsal week = new Rehearsal(shop, luck);
        for (int turn = 0; turn < 4 && job(week.shop(), "a").status() != Status.DONE; turn++) {
            week.playOn();
        }
        Job done = job(week.shop(), "a");
        Instant begun = done.started().orElseThrow().at();
        double worked = galecrest.core.people.WorkedTime.of(
                        week.shop().people().get(0), begun, done.doneAt().orElseThrow(), shop.zone())
                .value();
        assertThat(worked).isCloseTo(takes, within(16.0));
    }

    @Test
    void aPartThatComesLateMakesItsJobLateAndADecisionHelps() {
        Shops shops = shops();
        Instant due = shops.instant(1, 17, 0);
        ShopSnapshot shop =
                shops.job("a", "car", 900, "fit").due("date", "car", due).snapshot();
        Luck luck = new Luck(4, Luck.Weather.CALM);
        Rehearsal idle = Week.after(shop, luck, List.of(), 4);
        var shift = new Move.ExtraShift(
                new PersonId("ann"),
                java.time.LocalDate.ofInstant(shop.now(), shop.zone()),
                LocalTime.of(18, 0),
                LocalTime.of(22, 0));
        Week.Decision more = new Week.Decision(0, List.of(shift), "an extra shift");
        Rehearsal decided = Week.after(shop, luck, List.of(more), 4);
        assertThat(decided.lateness()).isLessThanOrEqualTo(idle.lateness());
        Week.Comparison end = Week.compare(shop, luck, List.of(more), 4, () -> true);
        assertThat(end.idle().lateness()).isEqualTo(idle.lateness());
        assertThat(end.yours().lateness()).isEqualTo(decided.lateness());
        assertThat(end.costs()).hasSize(1);
        assertThat(end.costs().get(0).hours()).isCloseTo(decided.lateness() - idle.lateness(), within(1e-9));
        assertThat(end.planners().lateness()).isLessThanOrEqualTo(idle.lateness() + 1e-9);
    }

    /** Of many people and days as many are ill as the weather says: a binomial, within four standard deviations. */
    @Test
    void asManyAreIllAsTheWeatherSays() {
        int ill = 0;
        int all = 0;
        for (int person = 0; person < 200; person++) {
            for (int day = 0; day < 100; day++) {
                ill += new Luck(5, Luck.Weather.ROUGH)
                                .ill(
                                        new PersonId("p" + person),
                                        java.time.LocalDate.of(2026, 1, 1).plusDays(day))
                        ? 1
                        : 0;
                all++;
            }
        }
        assertThat(ill / (double) all).isCloseTo(0.04, within(4 * Math.sqrt(0.04 * 0.96 / all)));
    }
}
