package galecrest.core.insight;

import static org.assertj.core.api.Assertions.assertThat;

import galecrest.core.parts.PartState;
import galecrest.core.plan.Plan;
import galecrest.core.plan.PlanOptions;
import galecrest.core.plan.ShopSnapshot;
import galecrest.core.plan.Shops;
import galecrest.core.planner.Planner;
import galecrest.core.time.Arrival;
import galecrest.core.vendor.VendorRecord;
import galecrest.core.work.CommitmentId;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class DelayImpactTest {
    private static final Instant PROMISED = Instant.parse("2026-05-04T08:00:00Z");

    private static VendorRecord late(int... days) {
        return new VendorRecord(IntStream.of(days)
                .mapToObj(d -> new VendorRecord.Kept(PROMISED, PROMISED.plus(Duration.ofDays(d))))
                .toList());
    }

    /** Quantiles by linear interpolation (method 7 of Hyndman and Fan, 1996): 0, 1, 2, 3, 10 → median 2, 90 % 7.2. */
    @Test
    void aRecordHasItsUsualAndItsBadSlip() {
        VendorRecord record = late(10, 0, 3, 1, 2);
        assertThat(record.usualSlip()).isEqualTo(Duration.ofDays(2));
        assertThat(record.badSlip()).isEqualTo(Duration.ofMinutes(Math.round(7.2 * 24 * 60)));
    }

    @Test
    void aPromiseIsWorthAsMuchAsTheRecordTeachesAndNeverMore() {
        Arrival promise = new Arrival(PROMISED, PROMISED, PROMISED.plus(Duration.ofDays(1)));
        assertThat(VendorRecord.NONE.correct(promise)).isEqualTo(promise);
        assertThat(late(-3, -4, -2).correct(promise)).isEqualTo(promise);
        Arrival half = late(4, 4, 4).correct(promise);
        assertThat(half.likely()).isEqualTo(PROMISED.plus(Duration.ofDays(2)));
        assertThat(half.high()).isEqualTo(PROMISED.plus(Duration.ofDays(3)));
        assertThat(late(4, 4, 4, 4, 4, 4, 4, 4, 4).correct(promise).likely())
                .isEqualTo(PROMISED.plus(Duration.ofDays(3)));
    }

    @ParameterizedTest
    @CsvSource({
        "WANTED, ARRIVED, false, false", "WANTED, ARRIVED, true, true", "ORDERED, ARRIVED, false, true",
        "ARRIVED, REFUSED, false, true", "ORDERED, REFUSED, false, false", "REFUSED, ORDERED, false, true",
        "ARRIVED, FITTED, false, false", "ACCEPTED, FITTED_FOR_NOW, false, true", "REFUSED, RETURNED, false, true",
        "WANTED, FITTED, true, false", "FITTED, WANTED, false, true"
    })
    void aPartGoesItsWayStepByStep(PartState from, PartState to, boolean own, boolean may) {
        assertThat(from.problem(to, own).isEmpty()).isEqualTo(may);
    }

    /** A day of eight hours: the part that the date hangs on costs those, the one with days in hand nothing. */
    @Test
    void oneMoreDayCostsWhatThePlanLoses() {
        Shops shops = Shops.shop().person("bo", "fit");
        ShopSnapshot shop = shops.part("near", shops.instant(1, 8, 0), 0)
                .part("far", shops.instant(1, 8, 0), 0)
                .job("first", "car", 60, "fit", Shops.JobShape.needs("near"))
                .job("other", "spare", 60, "fit", Shops.JobShape.needs("far"))
                .due("race", "car", shops.instant(1, 9, 0))
                .due("club day", "spare", shops.instant(9, 16, 0))
                .snapshot();
        Plan base = Planner.plan(shop, PlanOptions.interactive(shop));
        List<DelayImpact.OfThing> harm = DelayImpact.of(shop, base, () -> true).orElseThrow();
        assertThat(harm).extracting(DelayImpact.OfThing::id).containsExactly("near", "far");
        assertThat(harm.get(0).hardHours()).isGreaterThan(0);
        assertThat(harm.get(0).hardest()).map(CommitmentId::value).contains("race");
        assertThat(harm.get(1).marginLost().value()).isZero();
        assertThat(harm.get(1).inHand()).isGreaterThan(Duration.ofDays(5));
        assertThat(DelayImpact.of(shop, base, () -> false)).isEqualTo(Optional.empty());
    }

    /** The tuner has the car for two days, and the date is two hours after it is back: a day more is late by most of one. */
    @Test
    void oneMoreDayAtAnotherFirmCostsItsDateAndNothingWhereThereIsTime() {
        Shops shops = Shops.shop().person("bo", "fit");
        ShopSnapshot shop = shops.outwork("tune", "car", true, 2)
                .outwork("coat", "spare", false, 2)
                .job("load", "car", 60, "fit")
                .job("hang", "spare", 60, "fit")
                .after("tune", "load")
                .after("coat", "hang")
                .due("race", "car", shops.instant(3, 10, 0))
                .due("club day", "spare", shops.instant(20, 16, 0))
                .snapshot();
        Plan base = Planner.plan(shop, PlanOptions.interactive(shop));
        List<DelayImpact.OfThing> harm = DelayImpact.of(shop, base, () -> true).orElseThrow();
        assertThat(harm).extracting(DelayImpact.OfThing::id).containsExactly("tune", "coat");
        assertThat(harm.get(0).hardHours()).isGreaterThan(0);
        assertThat(harm.get(0).hardest()).map(CommitmentId::value).contains("race");
        assertThat(harm.get(0).need()).as("only parts are needed").isEmpty();
        assertThat(harm.get(1).hardHours()).isZero();
        assertThat(harm.get(1).inHand()).isGreaterThan(Duration.ofDays(7));
        int[] asked = {0};
        assertThat(DelayImpact.of(shop, base, () -> asked[0]++ == 0))
                .as("told to stop at the second")
                .isEmpty();
    }
}
