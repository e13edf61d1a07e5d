package galecrest.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.junit.jupiter.params.provider.Arguments.arguments;

import galecrest.core.build.Zone;
import galecrest.core.parts.PartId;
import galecrest.core.people.PersonId;
import galecrest.core.shop.StationId;
import galecrest.core.time.Arrival;
import galecrest.core.vendor.VendorId;
import galecrest.core.work.CommitmentId;
import galecrest.core.work.Outwork;
import galecrest.core.work.PinId;
import galecrest.core.work.ReasonTag;
import galecrest.core.work.WorkId;
import java.time.Instant;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

class ReasonTextTest {
    private static final Shops SHOPS = Shops.shop()
            .person("Bo", "fit")
            .station("lift 1", "lift")
            .part("flange", Shops.shop().instant(2, 12, 0), 0)
            .wanted("hose")
            .job("fit exhaust", "Six", 60, "fit", Shops.JobShape.needs("flange"))
            .job("hang doors", "Nine", 60, "fit")
            .outwork("coat header", "Six", false, 3)
            .due("hill climb", "Six", Shops.shop().instant(2, 8, 0));
    private static final ShopSnapshot SHOP = SHOPS.snapshot();
    private static final ReasonText SAY = new ReasonText(SHOP);
    private static final Instant THURSDAY = SHOPS.instant(3, 14, 0);
    private static final WorkId DOORS = new WorkId("hang doors");
    private static final WorkId COAT = new WorkId("coat header");
    private static final PersonId BO = new PersonId("Bo");

    static Stream<Arguments> reasons() {
        return Stream.of(
                arguments(new Because.Nothing(), "nothing holds it", "the manager"),
                arguments(new Because.Shift(), "the people it takes are not in before", "the manager"),
                arguments(new Because.NotBefore(THURSDAY), "it is not wanted before Thu 14:00", "the manager"),
                arguments(new Because.Pinned(new PinId("p")), "it is pinned", "the manager"),
                arguments(new Because.Told(), "the plan has it then, and nothing else holds it", "the manager"),
                arguments(
                        new Because.Held(ReasonTag.DECIDE, "which colour", THURSDAY),
                        "it is held: which colour (expected Thu 14:00)",
                        "the customer"),
                arguments(
                        new Because.Held(ReasonTag.HANDS, "strip first", THURSDAY),
                        "it is held: strip first (expected Thu 14:00)",
                        "the lead of the build"),
                arguments(
                        new Because.Part(new PartId("flange"), THURSDAY, false),
                        "the part flange is ready Thu 14:00",
                        "who brings it"),
                arguments(
                        new Because.Part(new PartId("hose"), THURSDAY, true),
                        "the part hose has no date, taken as Thu 14:00",
                        "whoever orders it from vendor"),
                arguments(
                        new Because.After(DOORS, false, false, true),
                        "it comes after hang doors and a wait",
                        "nobody: it must cure"),
                arguments(
                        new Because.After(DOORS, false, true, false),
                        "hang doors must cure first",
                        "nobody: it must cure"),
                arguments(
                        new Because.After(COAT, true, false, false), "it waits for coat header to come back", "vendor"),
                arguments(new Because.PersonBusy(BO, DOORS, THURSDAY), "Bo is on hang doors until Thu 14:00", "Bo"),
                arguments(
                        new Because.PersonAway(BO, THURSDAY),
                        "Bo is away until Thu 14:00",
                        "the manager: another hand, or an extra shift"),
                arguments(
                        new Because.StationTaken(new StationId("lift 1"), DOORS, THURSDAY),
                        "lift 1 is taken by Nine Nine until Thu 14:00",
                        "the manager"),
                arguments(
                        new Because.CarElsewhere(DOORS, THURSDAY),
                        "the car stands elsewhere for hang doors until Thu 14:00",
                        "the manager"),
                arguments(
                        new Because.ZoneFull(Zone.ENGINE_BAY, DOORS, THURSDAY),
                        "no one else fits in the engine bay beside hang doors until Thu 14:00",
                        "the manager"),
                arguments(
                        new Because.WholeCar(DOORS, THURSDAY),
                        "the car is taken by hang doors until Thu 14:00",
                        "the manager"),
                arguments(
                        new Because.Curing(DOORS, THURSDAY),
                        "hang doors cures until Thu 14:00",
                        "nobody: it must cure"),
                arguments(
                        new Because.CuresInto(DOORS, THURSDAY),
                        "it would cure into hang doors, which is at the car until Thu 14:00",
                        "the manager"),
                arguments(
                        new Because.VendorShut(new VendorId("vendor"), THURSDAY),
                        "vendor takes nothing in before Thu 14:00",
                        "vendor"),
                arguments(
                        new Because.CarAway(COAT, THURSDAY),
                        "the car is away for coat header until Thu 14:00",
                        "vendor"),
                arguments(
                        new Because.AtDate(new CommitmentId("hill climb"), Optional.empty(), THURSDAY),
                        "the car is away at hill climb until Thu 14:00",
                        "the manager"),
                arguments(
                        new Because.AtDate(
                                new CommitmentId("hill climb"), Optional.of(new StationId("lift 1")), THURSDAY),
                        "lift 1 is away with Six Six at hill climb until Thu 14:00",
                        "the manager"),
                arguments(
                        new Because.DoneThere(new CommitmentId("hill climb")),
                        "it is done at hill climb",
                        "the manager"),
                arguments(new Because.Slot(THURSDAY), "the slot is booked for Thu 14:00", "the manager"));
    }

    @ParameterizedTest
    @MethodSource("reasons")
    void everyReasonIsSaidAndWhoCanReleaseIt(Because because, String said, String released) {
        assertThat(SAY.reason(because)).isEqualTo(said);
        assertThat(SAY.release(because)).isEqualTo(released);
    }

    @Test
    void noReasonIsLeftOut() {
        Set<Class<?>> said = reasons().map(a -> a.get()[0].getClass()).collect(Collectors.toSet());
        assertThat(said).isEqualTo(Set.of(Because.class.getPermittedSubclasses()));
    }

    /** Now is Monday 1 February 2027, 8:00. */
    @ParameterizedTest
    @CsvSource({
        "0, 14:05",
        "1, Tue 14:05",
        "5, Sat 14:05",
        "6, Sun 7 Feb 14:05",
        "30, Wed 3 Mar 14:05",
        "-1, Sun 31 Jan 14:05"
    })
    void timesAreSaidTheShorterTheNearer(int daysAhead, String said) {
        assertThat(SAY.time(SHOPS.instant(daysAhead, 14, 5))).isEqualTo(said);
    }

    @Test
    void whatIsGoneFromTheShopIsAQuestionMark() {
        assertThat(SAY.work(new WorkId("gone"))).isEqualTo("?");
        assertThat(SAY.person(new PersonId("gone"))).isEqualTo("?");
        assertThat(SAY.reason(new Because.Part(new PartId("gone"), THURSDAY, false)))
                .startsWith("the part ? is");
    }

    @Test
    void outworkThatIsAwayIsSaidWithItsVendorAndDay() {
        ShopSnapshot away = SHOP.withWorks(SHOP.works().stream()
                .map(w -> w instanceof Outwork o
                        ? o.withTiming(
                                o.turnaround(), Optional.of(new Outwork.Away(SHOP.now(), Arrival.exactly(THURSDAY))))
                        : w)
                .toList());
        assertThat(new ReasonText(away).held(COAT, new Because.Nothing()))
                .isEqualTo("coat header is at vendor, back Thu 14:00");
        assertThat(SAY.held(DOORS, new Because.Told()))
                .isEqualTo("hang doors: the plan has it then, and nothing else holds it");
    }

    @Test
    void whatMovedIsSaidWithBothTimes() {
        assertThat(SAY.moved(new PlanDifference.Moved(
                        DOORS, Optional.of(SHOPS.instant(0, 9, 0)), Optional.of(THURSDAY), true, Set.of())))
                .isEqualTo("Nine Nine: hang doors from 09:00 to Thu 14:00, by others");
        assertThat(SAY.moved(new PlanDifference.Moved(DOORS, Optional.empty(), Optional.of(THURSDAY), false, Set.of())))
                .isEqualTo("Nine Nine: hang doors new, to Thu 14:00");
        assertThat(SAY.moved(new PlanDifference.Moved(DOORS, Optional.of(THURSDAY), Optional.empty(), false, Set.of())))
                .isEqualTo("Nine Nine: hang doors from Thu 14:00 no longer planned");
    }
}
