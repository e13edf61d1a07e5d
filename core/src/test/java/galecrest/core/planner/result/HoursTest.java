package galecrest.core.planner.result;

import static galecrest.core.plan.Shops.shop;
import static org.assertj.core.api.Assertions.assertThat;

import galecrest.core.audit.PlanAudit;
import galecrest.core.people.PersonId;
import galecrest.core.people.ShiftChange;
import galecrest.core.plan.Because;
import galecrest.core.plan.Plan;
import galecrest.core.plan.PlanOptions;
import galecrest.core.plan.ShopSnapshot;
import galecrest.core.plan.Shops;
import galecrest.core.planner.Planner;
import galecrest.core.work.Estimate;
import galecrest.core.work.Job;
import galecrest.core.work.Work;
import galecrest.core.work.WorkId;
import java.time.Duration;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Whose hours count where: the vendor's when a car arrives, the shop's regular ones in a margin, room in a crew's day. */
class HoursTest {
    private static Plan plan(ShopSnapshot shop) {
        Plan plan = Planner.plan(shop, PlanOptions.interactive(shop));
        assertThat(PlanAudit.violations(shop, plan)).isEmpty();
        return plan;
    }

    private static Plan.Placed placed(Plan plan, String work) {
        return plan.byWork().get(new WorkId(work));
    }

    /** Ready on Friday 15:00 and two hours on the way, to a vendor who is open until 17:00: it leaves on Monday. */
    @Test
    void outworkLeavesSoAsToArriveWhileTheVendorIsOpen() {
        Shops shops = shop().person("bo", "fit")
                .job("strip", "car", 4 * 480 + 420, "fit")
                .outwork("dyno", "car", true, 0, Duration.ofHours(2))
                .after("strip", "dyno")
                .due("test", "car", shop().instant(14, 16, 0));
        Plan plan = plan(shops.snapshot());
        assertThat(placed(plan, "strip").end()).isEqualTo(shops.instant(4, 15, 0));
        assertThat(placed(plan, "dyno").start())
                .as("the first moment with somebody in the shop, at 8:00, arrives at 10:00")
                .isEqualTo(shops.instant(7, 8, 0));
        assertThat(placed(plan, "dyno").because()).isInstanceOf(Because.VendorShut.class);
        assertThat(plan.outlooks().get(0).chain()).extracting(WorkId::value).containsExactly("dyno", "strip");
    }

    /** An extra shift on Saturday lets the date finish sooner; its margin is no worse for the hours that are counted. */
    @Test
    void anExtraShiftDoesNotMakeAMarginWorse() {
        LocalDate saturday = LocalDate.of(2027, 2, 6);
        ShiftChange extra = new ShiftChange(
                ShiftChange.Kind.EXTRA, saturday, saturday, LocalTime.of(8, 0), LocalTime.of(12, 0), "asked");
        long before = margin(shop().person("bo", "fit"));
        long after = margin(shop().person("bo", "fit", extra));
        assertThat(before).isEqualTo(-480);
        assertThat(after).as("four hours of Saturday save half of Monday").isEqualTo(-240);
        long kits = margin(shop().person("bo", "fit").person("kit", "weld", extra));
        assertThat(kits).as("somebody else's extra shift changes nothing").isEqualTo(before);
    }

    /** Six days of work, due on Friday evening. */
    private static long margin(Shops shops) {
        shops.job("strip", "car", 6 * 480, "fit").due("test", "car", shops.instant(4, 16, 0));
        return plan(shops.snapshot()).outlooks().get(0).margin().orElseThrow().value();
    }

    /** What is ready only by time in which nobody works is late all the same. */
    @Test
    void whatCuresOverItsDateIsLate() {
        Shops shops = shop().person("bo", "fit");
        shops.job(
                        "paint",
                        "car",
                        480,
                        "fit",
                        Shops.JobShape.cures(Duration.ofHours(10), galecrest.core.work.CureLock.WHOLE_CAR))
                .due("test", "car", shops.instant(0, 20, 0));
        assertThat(plan(shops.snapshot()).outlooks().get(0).late()).isTrue();
    }

    /** Bo's day ends at 13:00, Kit's at 16:00: a job of 4 to 6 h that must not be interrupted is rather Kit's. */
    @Test
    void aJobInOneGoIsRatherForWhomItFitsAtItsLongest() {
        Shops shops = shop().person("bo", "fit", LocalTime.of(8, 0), LocalTime.of(13, 0))
                .person("kit", "fit")
                .job("bond", "car", 240, "fit", Shops.JobShape.bench().and(Shops.JobShape.inOneGo()));
        ShopSnapshot plain = shops.due("test", "car", shops.instant(2, 16, 0)).snapshot();
        ShopSnapshot shop = plain.withWorks(List.of((Work) ((Job) plain.works().get(0))
                .withCrew(((Job) plain.works().get(0)).crew(), Estimate.ofMinutes(240, 240, 360))));
        assertThat(placed(plan(shop), "bond").crew()).containsExactly(new PersonId("kit"));
    }
}
