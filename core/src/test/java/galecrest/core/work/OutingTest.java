package galecrest.core.work;

import static org.assertj.core.api.Assertions.assertThat;

import galecrest.core.audit.PlanAudit;
import galecrest.core.people.PersonId;
import galecrest.core.people.ShiftChange;
import galecrest.core.plan.Because;
import galecrest.core.plan.Plan;
import galecrest.core.plan.PlanOptions;
import galecrest.core.plan.ReasonText;
import galecrest.core.plan.ShopSnapshot;
import galecrest.core.plan.Shops;
import galecrest.core.planner.Planner;
import galecrest.core.shop.StationId;
import galecrest.core.time.Span;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** A car that is away for a test day, with people and the trailer. */
class OutingTest {
    private static final Shops WEEK = Shops.shop();
    private static final Instant BACK = WEEK.instant(3, 12, 0);
    private static final ZoneId ZONE = ZoneId.of("Europe/Berlin");

    /** Away from Tuesday 08:00 to Thursday 12:00 of a week in which people are in from 8 to 16, with Bo and the trailer. */
    private static ShopSnapshot shop(Set<WorkId> there) {
        Shops shops = Shops.shop()
                .person("bo", "fit")
                .person("ina", "weld")
                .person("kit", "load")
                .station("trailer", "trailer");
        ShopSnapshot shop = shops.job("ready", "car", 60, "fit")
                .job("other car", "spare", 60 * 12, "fit")
                .job("a day of welding", "spare", 60 * 8, "weld", Shops.JobShape.bench())
                .job("weld", "car", 60, "weld")
                .job("a day of loading", "spare", 60 * 8, "load", Shops.JobShape.bench())
                .job("load", "spare", 60, "load", Shops.JobShape.station("trailer"))
                .job("check", "car", 90, "fit")
                .after("a day of welding", "weld")
                .after("a day of loading", "load")
                .due("test", "car", shops.instant(1, 8, 0))
                .snapshot();
        Outing outing = new Outing(BACK, Set.of(new PersonId("bo")), Set.of(new StationId("trailer")), there);
        return shop.withCommitments(shop.commitments().stream()
                .map(c -> c.leaving(Set.of(new WorkId("weld"), new WorkId("check")))
                        .taking(Optional.of(outing)))
                .toList());
    }

    private static Plan.Placed placed(ShopSnapshot shop, String id) {
        Plan plan = Planner.plan(shop, PlanOptions.interactive(shop));
        assertThat(PlanAudit.violations(shop, plan)).isEmpty();
        return plan.byWork().get(new WorkId(id));
    }

    @Test
    void peopleCarAndTrailerAreAwayTogether() {
        ShopSnapshot shop = shop(Set.of(new WorkId("check")));
        Plan.Placed other = placed(shop, "other car");
        assertThat(other.at()).extracting(Span::from).contains(BACK);
        assertThat(other.end())
                .as("seven hours on Monday, four on Thursday, one")
                .isEqualTo(WEEK.instant(4, 9, 0));
        Plan.Placed weld = placed(shop, "weld");
        assertThat(weld.start()).isEqualTo(BACK);
        assertThat(new ReasonText(shop).reason(weld.because())).isEqualTo("the car is away at test until Thu 12:00");
        Plan.Placed load = placed(shop, "load");
        assertThat(load.start()).isEqualTo(BACK);
        assertThat(new ReasonText(shop).reason(load.because()))
                .isEqualTo("trailer is away with car car at test until Thu 12:00");
    }

    /** What is done there takes nothing of the shop, is not needed by the date, and is through when the car is back. */
    @Test
    void workMayBeDoneThere() {
        ShopSnapshot shop = shop(Set.of(new WorkId("check")));
        Plan.Placed check = placed(shop, "check");
        assertThat(check.at()).containsExactly(new Span(WEEK.instant(1, 8, 0), BACK));
        assertThat(check.crew()).isEmpty();
        assertThat(check.because()).isEqualTo(new Because.DoneThere(new CommitmentId("test")));
        assertThat(placed(shop(Set.of()), "check").start())
                .as("else it is done at home")
                .isEqualTo(WEEK.instant(0, 9, 0));
    }

    /** What the date itself needs goes on where it is late: the car leaves late. */
    @Test
    void whatTheDateNeedsIsNotKeptWaitingByIt() {
        ShopSnapshot shop = shop(Set.of());
        ShopSnapshot late = shop.withCommitments(
                shop.commitments().stream().map(c -> c.leaving(Set.of())).toList());
        assertThat(placed(late, "weld").start()).isEqualTo(WEEK.instant(1, 8, 0));
    }

    /** A date that moves takes its people along; nobody else stays away. */
    @Test
    void thoseWhoAreAwayFollowFromTheDates() {
        ShopSnapshot shop = shop(Set.of()).withCrewsAway();
        assertThat(shop.people()).extracting(p -> p.changes().size()).containsExactly(3, 0, 0);
        assertThat(shop.withCrewsAway()).isSameAs(shop);
        assertThat(shop.withCommitments(List.of()).withCrewsAway().people())
                .allMatch(p -> p.changes().isEmpty());
    }

    /** From Saturday 23:00 to Monday 00:00, over the night in which the clocks change: one hour, and one day. */
    @Test
    void hoursAreTakenDayByDay() {
        Instant leaves = LocalDate.of(2026, 3, 28).atTime(23, 0).atZone(ZONE).toInstant();
        Instant back = LocalDate.of(2026, 3, 30).atStartOfDay(ZONE).toInstant();
        assertThat(new Outing(back, Set.of(), Set.of(), Set.of()).absences(leaves, ZONE, "away"))
                .containsExactly(
                        new ShiftChange(
                                ShiftChange.Kind.AWAY,
                                LocalDate.of(2026, 3, 28),
                                LocalDate.of(2026, 3, 28),
                                LocalTime.of(23, 0),
                                LocalTime.MIDNIGHT,
                                "away"),
                        new ShiftChange(
                                ShiftChange.Kind.AWAY,
                                LocalDate.of(2026, 3, 29),
                                LocalDate.of(2026, 3, 29),
                                LocalTime.MIDNIGHT,
                                LocalTime.MIDNIGHT,
                                "away"));
    }
}
