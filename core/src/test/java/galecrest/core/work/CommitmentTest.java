package galecrest.core.work;

import static org.assertj.core.api.Assertions.assertThat;

import galecrest.core.build.Build;
import galecrest.core.build.BuildId;
import galecrest.core.build.Gate;
import galecrest.core.plan.Plan;
import galecrest.core.plan.PlanOptions;
import galecrest.core.plan.ShopSnapshot;
import galecrest.core.plan.Shops;
import galecrest.core.planner.Planner;
import galecrest.core.time.Minutes;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** What a date waits for: its own work and that of earlier dates, no list for a later one. */
class CommitmentTest {
    private static final Instant FRIDAY = Instant.parse("2026-11-27T16:00:00Z");
    private static final Instant NEXT_FRIDAY = Instant.parse("2026-12-04T16:00:00Z");

    private static Shops twoNights(boolean withSecondList) {
        Shops shops = Shops.shop()
                .at(LocalDateTime.of(2026, 11, 25, 8, 0), ZoneId.of("Europe/Berlin"))
                .person("ana", "fit")
                .job("first list", "car", 240, "fit");
        if (withSecondList) {
            for (int i = 0; i < 6; i++) {
                shops.job("second list " + i, "car", 480, "fit");
            }
        }
        return shops.due("night one", "car", FRIDAY).due("night two", "car", NEXT_FRIDAY);
    }

    private static Plan.Outlook outlook(ShopSnapshot shop, String date) {
        return Planner.plan(shop, PlanOptions.interactive(shop)).outlooks().stream()
                .filter(o -> o.commitment().value().equals(date))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void aListForALaterDateMakesTheEarlierOneNoLater() {
        ShopSnapshot mixed = twoNights(true).snapshot();
        assertThat(outlook(mixed, "night one").late()).as("all of it for both").isTrue();
        ShopSnapshot parted = leaving(mixed, "night one", "second list");
        assertThat(outlook(parted, "night one").margin())
                .as("as if the second list were not there")
                .isEqualTo(outlook(twoNights(false).snapshot(), "night one").margin());
        assertThat(outlook(parted, "night two").finish().orElseThrow())
                .as("the later date waits for the first list and for its own")
                .isAfterOrEqualTo(outlook(mixed, "night one").finish().orElseThrow());
    }

    private static ShopSnapshot leaving(ShopSnapshot shop, String date, String beginning) {
        Set<WorkId> later = new HashSet<>();
        shop.works().stream().filter(w -> w.name().startsWith(beginning)).forEach(w -> later.add(w.id()));
        return shop.withCommitments(shop.commitments().stream()
                .map(c -> c.id().value().equals(date) ? c.leaving(later) : c)
                .toList());
    }

    /** Whoever books an hour outside must be ready by then; what is not before it does not matter. */
    @Test
    void aBookedSlotWaitsForWhatGoesBeforeItAlone() {
        ShopSnapshot shop = twoNights(true).snapshot();
        WorkId outwork = new WorkId("second list 0");
        List<Commitment> dates = new ArrayList<>(shop.commitments());
        for (Set<WorkId> before : List.of(Set.of(new WorkId("first list")), Set.<WorkId>of())) {
            Commitment slot = new Commitment(
                    new CommitmentId("slot"),
                    new BuildId("car"),
                    "slot",
                    Commitment.Kind.SLOT,
                    FRIDAY,
                    Gate.EVENT,
                    before,
                    1,
                    Set.of(),
                    Optional.of(outwork),
                    Optional.empty());
            List<Work> needed = shop.works().stream().filter(slot::needs).toList();
            assertThat(needed).extracting(Work::id).containsExactlyElementsOf(before);
            assertThat(shop.works()).noneMatch(slot::desires);
            dates.add(slot);
            assertThat(outlook(shop.withCommitments(dates), "slot").late()).isFalse();
            dates.remove(slot);
        }
    }

    /** A strip with an even chance of eight hours more takes four from a promise, none from an event, none once it is done. */
    @Test
    void aPromiseKeepsTimeForWhatMayBeFound() {
        for (Commitment.Kind kind : Commitment.Kind.values()) {
            ShopSnapshot shop =
                    twoNights(false).due("asked", "car", kind, NEXT_FRIDAY, 1).snapshot();
            ShopSnapshot strip = shop.withWorks(shop.works().stream()
                    .map(w -> (Work) ((Job) w).withFindings(new Findings(0.5, Minutes.ofHours(8))))
                    .toList());
            long without = outlook(shop, "asked").margin().orElseThrow().value();
            long with = outlook(strip, "asked").margin().orElseThrow().value();
            assertThat(without - with).as(kind.toString()).isEqualTo(kind.hard() ? 0 : 4 * 60);
            ShopSnapshot done = strip.withWorks(strip.works().stream()
                    .map(w -> (Work) ((Job) w).asDone(strip.now()))
                    .toList());
            Commitment asked = done.commitments().stream()
                    .filter(c -> c.kind() == kind && c.id().value().equals("asked"))
                    .findFirst()
                    .orElseThrow();
            assertThat(done.works()).allMatch(w -> asked.allowance(w).value() == 0);
        }
    }

    @Test
    void aParkedCarLeavesThePlanAndComesBackAsItWas() {
        ShopSnapshot shop = twoNights(true).job("elsewhere", "other", 60, "fit").snapshot();
        ShopSnapshot parked = shop.withBuilds(parked(shop, Optional.empty()));
        Plan without = Planner.plan(parked, PlanOptions.interactive(parked));
        assertThat(without.placed()).extracting(p -> p.work().value()).containsExactly("elsewhere");
        assertThat(without.unplanned()).isEmpty();
        assertThat(without.outlooks()).isEmpty();
        ShopSnapshot until = shop.withBuilds(parked(shop, Optional.of(NEXT_FRIDAY)));
        Plan later = Planner.plan(until, PlanOptions.interactive(until));
        assertThat(later.placed()).hasSize(shop.works().size());
        assertThat(later.placed())
                .filteredOn(p -> !p.work().value().equals("elsewhere"))
                .allMatch(p -> !p.start().isBefore(NEXT_FRIDAY));
        assertThat(until.at(NEXT_FRIDAY).inPlan()).as("the day has come").isEqualTo(until.at(NEXT_FRIDAY));
        assertThat(shop.inPlan()).isSameAs(shop);
    }

    private static List<Build> parked(ShopSnapshot shop, Optional<Instant> until) {
        return shop.builds().stream()
                .map(b -> b.id().value().equals("car") ? b.withParked(Optional.of(new Build.Parked(until))) : b)
                .toList();
    }
}
