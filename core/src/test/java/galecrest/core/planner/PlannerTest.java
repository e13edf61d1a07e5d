package galecrest.core.planner;

import static galecrest.core.plan.Shops.JobShape.bench;
import static galecrest.core.plan.Shops.JobShape.cures;
import static galecrest.core.plan.Shops.JobShape.hands;
import static galecrest.core.plan.Shops.JobShape.inOneGo;
import static galecrest.core.plan.Shops.JobShape.needs;
import static galecrest.core.plan.Shops.JobShape.station;
import static galecrest.core.plan.Shops.JobShape.zone;
import static galecrest.core.plan.Shops.shop;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import galecrest.core.audit.PlanAudit;
import galecrest.core.build.Zone;
import galecrest.core.insight.CarStatus;
import galecrest.core.insight.Load;
import galecrest.core.people.PersonId;
import galecrest.core.people.ShiftChange;
import galecrest.core.plan.Because;
import galecrest.core.plan.Plan;
import galecrest.core.plan.PlanDifference;
import galecrest.core.plan.PlanOptions;
import galecrest.core.plan.ReasonText;
import galecrest.core.plan.Score;
import galecrest.core.plan.ShopSnapshot;
import galecrest.core.plan.Shops;
import galecrest.core.shop.StationId;
import galecrest.core.time.Minutes;
import galecrest.core.work.Commitment;
import galecrest.core.work.CureLock;
import galecrest.core.work.Job;
import galecrest.core.work.Link;
import galecrest.core.work.Pin;
import galecrest.core.work.PinId;
import galecrest.core.work.ReasonTag;
import galecrest.core.work.WorkId;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** What a shop would expect of a plan, one rule a test; every plan is audited. */
class PlannerTest {
    private static Plan plan(Shops shops) {
        ShopSnapshot shop = shops.snapshot();
        Plan plan = Planner.plan(shop, PlanOptions.interactive(shop));
        assertThat(PlanAudit.violations(shop, plan)).isEmpty();
        return plan;
    }

    private static Plan.Placed placed(Plan plan, String work) {
        return plan.placed().stream()
                .filter(p -> p.work().equals(new WorkId(work)))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void aJobSplitsAtTheEndOfTheShiftAndGoesOnTheNextMorning() {
        Shops shops = shop().person("bo", "fit").job("long", "car", 600, "fit");
        Plan.Placed job = placed(plan(shops), "long");
        assertThat(job.at()).hasSize(2);
        assertThat(job.end()).isEqualTo(shops.instant(1, 10, 0));
    }

    @Test
    void whatMustBeDoneInOneGoWaitsForAShiftThatLeavesEnough() {
        Shops shops = shop().person("bo", "fit")
                .job("first", "car", 240, "fit")
                .job("fire", "car", 300, "fit", inOneGo())
                .after("first", "fire");
        assertThat(placed(plan(shops), "fire").start()).isEqualTo(shops.instant(1, 8, 0));
    }

    @Test
    void twoHandsAreBroughtTogether() {
        Shops shops = shop().person("bo", "fit")
                .person("ina", "fit", LocalTime.of(12, 0), LocalTime.of(20, 0))
                .job("bleed", "car", 120, "fit", hands(2));
        Plan.Placed job = placed(plan(shops), "bleed");
        assertThat(job.start()).isEqualTo(shops.instant(0, 12, 0));
        assertThat(job.crew()).hasSize(2);
    }

    @Test
    void curingRunsThroughTheNightAndLocksItsZoneOnly() {
        Shops shops = shop().person("bo", "fit")
                .person("kit", "wire")
                .job("bond", "car", 120, "fit", cures(Duration.ofHours(24), CureLock.ZONE))
                .job("wire front", "car", 60, "wire")
                .job("wire rear", "car", 600, "wire", zone(Zone.REAR))
                .after("bond", "wire front")
                .due("event", "car", Commitment.Kind.EVENT, shop().instant(4, 9, 0), 1);
        Plan plan = plan(shops);
        assertThat(placed(plan, "wire front").start()).isEqualTo(shops.instant(1, 10, 0));
        assertThat(placed(plan, "wire front").because().tag()).contains(ReasonTag.CURE);
        assertThat(placed(plan, "wire rear").start()).isEqualTo(shops.instant(0, 8, 0));
    }

    @Test
    void oneCarAtAStationAndTheReasonNamesTheOther() {
        Shops shops = shop().person("bo", "fit")
                .person("ina", "fit")
                .station("lift 1", "lift")
                .job("a", "car 1", 180, "fit", station("lift"))
                .job("b", "car 2", 180, "fit", station("lift"));
        Plan plan = plan(shops);
        Plan.Placed second = plan.placed().get(1);
        assertThat(second.start()).isEqualTo(shops.instant(0, 11, 0));
        assertThat(second.because()).isInstanceOf(Because.StationTaken.class);
    }

    @Test
    void aPartHoldsItsJobUntilItIsHereAndInspected() {
        Shops shops = shop().person("bo", "fit");
        shops.part("flange", shops.instant(2, 12, 0), 45).job("fit exhaust", "car", 60, "fit", needs("flange"));
        Plan.Placed job = placed(plan(shops), "fit exhaust");
        assertThat(job.start()).isEqualTo(shops.instant(2, 12, 45));
        assertThat(job.because().tag()).contains(ReasonTag.PART);
    }

    @Test
    void halfAPairWaitsForTheOther() {
        Shops shops = shop().person("bo", "fit");
        shops.part("left", shops.instant(0, 9, 0), 0)
                .part("right", shops.instant(3, 9, 0), 0)
                .pair("left", "right")
                .job("shaft", "car", 60, "fit", needs("left"));
        assertThat(placed(plan(shops), "shaft").start()).isEqualTo(shops.instant(3, 9, 0));
    }

    @Test
    void aCarThatIsAwayIsNotWorkedOnButItsEngineIs() {
        Shops shops = shop().person("bo", "fit")
                .job("before", "car", 60, "fit")
                .outwork("paint", "car", true, 1)
                .job("on the car", "car", 60, "fit")
                .job("engine", "car", 120, "fit", bench())
                .after("before", "paint")
                .after("paint", "on the car");
        Plan plan = plan(shops);
        // Brought Monday before closing, ready at closing time (17:00) of the next working day, an hour's drive home.
        assertThat(placed(plan, "paint").end()).isEqualTo(shops.instant(1, 18, 0));
        assertThat(placed(plan, "on the car").start()).isEqualTo(shops.instant(2, 8, 0));
        assertThat(placed(plan, "on the car").because().tag()).contains(ReasonTag.OUT);
        assertThat(placed(plan, "engine").start()).isBefore(shops.instant(1, 8, 0));
    }

    @Test
    void leaveOfTheOnlyWelderIsTheReason() {
        Shops shops = shop();
        LocalDate monday = Shops.MONDAY.toLocalDate();
        shops.person("ina", "weld", ShiftChange.leave(monday, monday.plusDays(1), "leave"))
                .person("bo", "fit")
                .job("cage", "car", 60, "weld");
        Plan.Placed job = placed(plan(shops), "cage");
        assertThat(job.start()).isEqualTo(shops.instant(2, 8, 0));
        assertThat(job.because()).isEqualTo(new Because.PersonAway(new PersonId("ina"), shops.instant(2, 8, 0)));
    }

    @Test
    void whatNobodyCanDoIsListedWithTheReasonAndSoIsWhatWaitsForIt() {
        Shops shops = shop().person("bo", "fit")
                .job("loom", "car", 60, "wire")
                .job("test", "car", 60, "fit")
                .after("loom", "test")
                .due("event", "car", Commitment.Kind.EVENT, shop().instant(4, 9, 0), 1);
        Plan plan = plan(shops);
        assertThat(plan.unplanned()).extracting(Plan.Unplanned::reason).anyMatch(r -> r.contains("skill wire"));
        assertThat(plan.unplanned()).extracting(Plan.Unplanned::reason).anyMatch(r -> r.contains("waits for loom"));
        assertThat(plan.outlooks().get(0).missing()).hasSize(2);
    }

    @Test
    void anAtRiskStartIsUsedOnlyWhereItSavesADate() {
        Optional<Link.Risk> risk = Optional.of(new Link.Risk(0.2, Minutes.of(60)));
        Shops tight = shop().person("bo", "fit")
                .person("ina", "weld")
                .job("mock-up", "car", 420, "weld")
                .job("bolt-on", "car", 420, "fit", zone(Zone.REAR))
                .link("mock-up", "bolt-on", Link.Type.FINISH_START, Link.Lag.NONE, risk)
                .due("event", "car", Commitment.Kind.EVENT, shop().instant(0, 16, 0), 1);
        assertThat(plan(tight).startedAtRisk()).hasSize(1);
        Shops easy = shop().person("bo", "fit")
                .person("ina", "weld")
                .job("mock-up", "car", 420, "weld")
                .job("bolt-on", "car", 420, "fit", zone(Zone.REAR))
                .link("mock-up", "bolt-on", Link.Type.FINISH_START, Link.Lag.NONE, risk)
                .due("event", "car", Commitment.Kind.EVENT, shop().instant(4, 16, 0), 1);
        assertThat(plan(easy).startedAtRisk()).isEmpty();
    }

    @Test
    void theChainLeadsFromTheDateToWhatCanBeActedOn() {
        Shops shops = shop().person("bo", "fit");
        shops.part("flange", shops.instant(2, 12, 0), 0)
                .job("exhaust", "car", 120, "fit", needs("flange"))
                .job("load", "car", 60, "fit")
                .job("unrelated", "other", 30, "fit")
                .after("exhaust", "load")
                .due("race", "car", Commitment.Kind.EVENT, shops.instant(2, 13, 0), 1);
        ShopSnapshot shop = shops.snapshot();
        Plan plan = plan(shops);
        Plan.Outlook race = plan.outlooks().get(0);
        assertThat(race.margin()).contains(Minutes.of(-120));
        assertThat(race.chain()).containsExactly(new WorkId("load"), new WorkId("exhaust"));
        assertThat(new ReasonText(shop).chain(shop.commitments().get(0), race, plan.byWork()))
                .isEqualTo("race, Wed 13:00, has −2 h of margin: exhaust waits: the part flange is ready Wed 12:00,"
                        + " then load.");
    }

    @Test
    void pinsHoldOrSayWhyNot() {
        Shops shops = shop().person("bo", "fit")
                .person("ina", "fit")
                .person("kit", "wire")
                .job("a", "car", 60, "fit")
                .job("b", "car", 60, "fit");
        shops.pin(new Pin.Exactly(new PinId("exact"), new WorkId("a"), shops.instant(1, 10, 0)))
                .pin(new Pin.ToPerson(new PinId("ina"), new WorkId("a"), new PersonId("ina")))
                .pin(new Pin.ToPerson(new PinId("kit"), new WorkId("b"), new PersonId("kit")));
        Plan plan = plan(shops);
        assertThat(placed(plan, "a").start()).isEqualTo(shops.instant(1, 10, 0));
        assertThat(placed(plan, "a").crew()).containsExactly(new PersonId("ina"));
        assertThat(plan.brokenPins()).singleElement().satisfies(b -> {
            assertThat(b.pin()).isEqualTo(new PinId("kit"));
            assertThat(b.reason()).contains("kit does not have a skill");
        });
    }

    @Test
    void aCircleOfLinksIsNamedAndNotPlanned() {
        Shops shops = shop().person("bo", "fit")
                .job("seat", "car", 60, "fit")
                .job("pedals", "car", 60, "fit")
                .after("seat", "pedals")
                .after("pedals", "seat");
        assertThatThrownBy(() -> Planner.plan(shops.snapshot(), PlanOptions.once()))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("seat → pedals → seat");
    }

    /** On 28 March 2027 Berlin's clocks go from 2:00 to 3:00 (IANA time zone database): a night shift loses an hour. */
    @Test
    void theNightOfTheClockChangeHasAnHourLess() {
        Shops shops = shop().at(LocalDateTime.of(2027, 3, 28, 0, 0), Shops.ZONE)
                .person("night", "fit", LocalTime.MIDNIGHT, LocalTime.MIDNIGHT)
                .job("long", "car", 240, "fit");
        assertThat(placed(plan(shops), "long").end()).isEqualTo(shops.instant(0, 5, 0));
    }

    /** On 7 November 2027 New York's clocks go back from 2:00 to 1:00 (IANA time zone database). */
    @Test
    void theNightOfTheOtherClockChangeHasAnHourMore() {
        Shops shops = shop().at(LocalDateTime.of(2027, 11, 7, 0, 0), ZoneId.of("America/New_York"))
                .person("night", "fit", LocalTime.MIDNIGHT, LocalTime.MIDNIGHT)
                .job("long", "car", 240, "fit");
        assertThat(placed(plan(shops), "long").end()).isEqualTo(shops.instant(0, 3, 0));
    }

    @Test
    void theLeapDayIsAWorkingDay() {
        Shops shops = shop().at(LocalDateTime.of(2028, 2, 28, 8, 0), Shops.ZONE)
                .person("bo", "fit")
                .job("long", "car", 960, "fit");
        assertThat(placed(plan(shops), "long").end()).isEqualTo(Instant.parse("2028-02-29T15:00:00Z"));
    }

    @Test
    void anEmptyShopAndOneWithoutShiftsHavePlansToo() {
        assertThat(plan(shop()).placed()).isEmpty();
        Shops idle = shop().job("a", "car", 60, "fit");
        assertThat(plan(idle).unplanned()).hasSize(1);
    }

    @Test
    void theDifferenceOfTwoPlansNamesWhatMovedAndWhomToTell() {
        Shops before = shop().person("bo", "fit");
        before.part("flange", before.instant(1, 12, 0), 0)
                .job("exhaust", "car", 60, "fit", needs("flange"))
                .job("other", "car", 60, "fit")
                .due("race", "car", Commitment.Kind.EVENT, before.instant(4, 9, 0), 1);
        Shops after = shop().person("bo", "fit");
        after.part("flange", after.instant(2, 12, 0), 0)
                .job("exhaust", "car", 60, "fit", needs("flange"))
                .job("other", "car", 60, "fit")
                .due("race", "car", Commitment.Kind.EVENT, after.instant(4, 9, 0), 1);
        PlanDifference difference = PlanDifference.between(plan(before), plan(after));
        assertThat(difference.moved()).extracting(PlanDifference.Moved::work).containsExactly(new WorkId("exhaust"));
        assertThat(difference.concerned()).containsExactly(new PersonId("bo"));
        assertThat(difference.margins()).singleElement().satisfies(m -> assertThat(
                        m.before().orElseThrow().minus(m.after().orElseThrow()))
                .isEqualTo(Minutes.of(480)));
        assertThat(List.copyOf(difference.moved())).hasSize(1);
    }

    @Test
    void amongTheMarginsThoseOfDatesThatAreLateComeFirst() {
        List<Plan> plans = new ArrayList<>();
        for (int day : new int[] {1, 2}) {
            Shops shops = shop().person("bo", "fit");
            shops.part("flange", shops.instant(day, 12, 0), 0)
                    .job("exhaust", "car", 60, "fit", needs("flange"))
                    .due("race", "car", Commitment.Kind.EVENT, shops.instant(4, 9, 0), 1)
                    .due("open day", "car", Commitment.Kind.PROMISE, shops.instant(2, 9, 0), 1);
            plans.add(plan(shops));
        }
        assertThat(PlanDifference.between(plans.get(0), plans.get(1)).margins())
                .extracting(m -> m.commitment().value())
                .containsExactly("open day", "race");
    }

    @Test
    void linksTieStartsAndFinishesWithLagsOfBothKinds() {
        Link.Lag twoWorking = new Link.Lag(Minutes.of(120), true);
        Link.Lag twoElapsed = new Link.Lag(Minutes.of(120), false);
        Shops shops = shop().person("bo", "fit")
                .person("kit", "wire")
                .person("ina", "weld")
                .job("a", "car", 450, "fit")
                .job("ss", "car", 60, "wire", zone(Zone.REAR))
                .job("ff", "car", 60, "weld", zone(Zone.COCKPIT))
                .job("fs", "car", 60, "wire", zone(Zone.UNDERSIDE))
                .link("a", "ss", Link.Type.START_START, twoElapsed, Optional.empty())
                .link("a", "ff", Link.Type.FINISH_FINISH, Link.Lag.NONE, Optional.empty())
                .link("a", "fs", Link.Type.FINISH_START, twoWorking, Optional.empty());
        Plan plan = plan(shops);
        assertThat(placed(plan, "ss").start()).isEqualTo(shops.instant(0, 10, 0));
        assertThat(placed(plan, "ff").end()).isEqualTo(shops.instant(0, 15, 30));
        // Done at 15:30, half an hour of shop hours left that day, the other hour and a half the next morning.
        assertThat(placed(plan, "fs").start()).isEqualTo(shops.instant(1, 9, 30));
    }

    @Test
    void onlySoManyFitInAZoneAndTheWholeCarIsForOne() {
        Shops shops = shop();
        for (String id : List.of("p1", "p2", "p3")) {
            shops.person(id, "fit");
        }
        shops.job("one", "car", 60, "fit")
                .job("two", "car", 60, "fit")
                .job("three", "car", 60, "fit")
                .job("elsewhere", "car", 30, "fit", zone(Zone.REAR));
        Plan plan = plan(shops);
        assertThat(plan.placed().stream()
                        .filter(p -> p.start().equals(shops.instant(0, 8, 0)))
                        .filter(p -> !p.work().value().equals("elsewhere")))
                .hasSize(2);
        assertThat(plan.placed())
                .anyMatch(p -> p.because() instanceof Because.ZoneFull || p.because() instanceof Because.PersonBusy);
    }

    @Test
    void startedWorkGoesOnWithWhoStartedItAndWhatIsLeft() {
        ShopSnapshot shop = shop().person("bo", "fit")
                .person("ina", "fit")
                .job("going", "car", 240, "fit")
                .job("other", "car 2", 60, "fit")
                .snapshot();
        Job job = (Job) shop.works().get(0);
        Job started = job.asStarted(
                Optional.of(Minutes.of(90)),
                new Job.Started(shop.now().minusSeconds(3600), List.of(new PersonId("ina")), Optional.empty()));
        ShopSnapshot going = shop.withWorks(List.of(started, shop.works().get(1)));
        Plan plan = Planner.plan(going, PlanOptions.interactive(going));
        assertThat(PlanAudit.violations(going, plan)).isEmpty();
        assertThat(placed(plan, "going").crew()).containsExactly(new PersonId("ina"));
        assertThat(placed(plan, "going").end()).isEqualTo(shop.now().plus(Duration.ofMinutes(90)));
    }

    @Test
    void hardDatesComeBeforePromisesWhereBothCannotBeKept() {
        Shops shops = shop().person("bo", "fit")
                .job("for the race", "a", 300, "fit")
                .job("for the customer", "b", 300, "fit");
        shops.due("promise", "b", Commitment.Kind.PROMISE, shops.instant(0, 13, 0), 5)
                .due("race", "a", Commitment.Kind.EVENT, shops.instant(0, 14, 0), 1);
        Plan plan = plan(shops);
        assertThat(placed(plan, "for the race").start()).isEqualTo(shops.instant(0, 8, 0));
        assertThat(plan.score().hardLateness()).isZero();
        assertThat(plan.score().promisedLateness()).isPositive();
    }

    @Test
    void aPlanThatTellsFewerPeopleOtherwiseIsBetter() {
        Score calm = new Score(0, 0, 0, 0, 0, 0, 2, 1, 1);
        Score restless = new Score(0, 0, 0, 0, 0, 0, 4, 1, 1);
        Score late = new Score(0, 1, 0, 0, 0, 0, 0, 0, 0);
        assertThat(calm).isLessThan(restless);
        assertThat(restless).isLessThan(late);
        assertThat(new Score(1, 0, 0, 0, 0, 0, 0, 0, 0)).isGreaterThan(late);
    }

    @Test
    void theCarReportSaysWhatItDoesAndWhatHoldsIt() {
        Shops shops = shop().person("bo", "fit").station("lift 1", "lift");
        shops.part("flange", shops.instant(2, 12, 0), 0)
                .job("exhaust", "car", 120, "fit", needs("flange"), station("lift"))
                .job("load", "car", 60, "fit")
                .job("wash", "car", 30, "fit", station("lift"), zone(Zone.REAR))
                .after("exhaust", "load")
                .due("race", "car", Commitment.Kind.EVENT, shops.instant(4, 9, 0), 1);
        ShopSnapshot shop = shops.snapshot();
        Plan plan = plan(shops);
        CarStatus report = CarStatus.all(shop, plan).get(0);
        assertThat(report.doing()).isEmpty();
        assertThat(report.next()).contains(new WorkId("wash"));
        assertThat(report.station()).contains(new StationId("lift 1"));
        assertThat(report.held().orElseThrow().tag()).isEqualTo(ReasonTag.PART);
        assertThat(report.held().orElseThrow().work()).isEqualTo(new WorkId("exhaust"));
    }

    @Test
    void loadIsWhatIsPlannedOfWhatIsThere() {
        Shops shops = shop();
        LocalDate monday = Shops.MONDAY.toLocalDate();
        shops.person("bo", "fit", ShiftChange.leave(monday.plusDays(1), monday.plusDays(1), "leave"))
                .job("a", "car", 600, "fit");
        ShopSnapshot shop = shops.snapshot();
        List<Load> loads = Load.of(shop, plan(shops), 3);
        assertThat(loads).extracting(Load::planned).containsExactly(480, 0, 120);
        assertThat(loads).extracting(Load::there).containsExactly(480, 0, 480);
        assertThat(loads).extracting(Load::away).containsExactly(false, true, false);
    }
}
