package galecrest.core.rescue;

import static org.assertj.core.api.Assertions.assertThat;

import galecrest.core.people.Level;
import galecrest.core.people.Person;
import galecrest.core.people.ShiftChange;
import galecrest.core.plan.RandomShops;
import galecrest.core.plan.ShopSnapshot;
import galecrest.core.work.Commitment;
import galecrest.core.work.Job;
import galecrest.core.work.Link;
import galecrest.core.work.Outwork;
import galecrest.core.work.Status;
import galecrest.core.work.Work;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.List;
import java.util.Optional;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.LongRange;

/** Each move changes what it says and nothing else. */
class MoveEffectsTest {
    private static final Duration LATER = Duration.ofDays(20);

    private static ShopSnapshot shop(long seed) {
        return RandomShops.shop(seed, 25);
    }

    /** The same shop but for its works. */
    private static void onlyWorksChange(ShopSnapshot shop, ShopSnapshot after) {
        assertThat(after.withWorks(shop.works())).isEqualTo(shop);
        assertThat(after.works())
                .extracting(Work::id)
                .isEqualTo(shop.works().stream().map(Work::id).toList());
    }

    private static <T> Optional<T> first(List<? super T> all, Class<T> kind) {
        return all.stream().filter(kind::isInstance).map(kind::cast).findFirst();
    }

    /** Two take six tenths of the time of one (common practice); the second need only be a learner. */
    @Property(tries = 60)
    void aSecondHandShortensOneJob(@ForAll @LongRange(min = 0, max = 5000) long seed) {
        ShopSnapshot shop = shop(seed);
        List<Job> alone = shop.works().stream()
                .filter(w -> w instanceof Job j && j.crew().size() == 1)
                .map(Job.class::cast)
                .toList();
        for (Job job : alone) {
            ShopSnapshot after = MoveEffects.apply(shop, new Move.SecondHand(job.id()));
            onlyWorksChange(shop, after);
            for (int i = 0; i < shop.works().size(); i++) {
                if (shop.works().get(i) == job) {
                    Job helped = (Job) after.works().get(i);
                    assertThat(helped.crew()).hasSize(job.crew().size() + 1);
                    assertThat(helped.crew().get(job.crew().size()).least()).isEqualTo(Level.LEARNER);
                    assertThat((double) helped.estimate().likely().value())
                            .isCloseTo(
                                    Math.max(5, 0.6 * job.estimate().likely().value()),
                                    org.assertj.core.data.Offset.offset(1.0));
                } else {
                    assertThat(after.works().get(i)).isEqualTo(shop.works().get(i));
                }
            }
        }
    }

    @Property(tries = 60)
    void parkingABuildHoldsAllOfItThatHasNotBegun(@ForAll @LongRange(min = 0, max = 5000) long seed) {
        ShopSnapshot shop = shop(seed);
        Instant until = shop.now().plus(LATER);
        var build = shop.builds().get(0).id();
        ShopSnapshot after = MoveEffects.apply(shop, new Move.Park(build, until));
        onlyWorksChange(shop, after);
        for (int i = 0; i < shop.works().size(); i++) {
            Work was = shop.works().get(i);
            Work is = after.works().get(i);
            boolean away = was instanceof Outwork o && o.away().isPresent();
            if (was.build().equals(build) && was.status() == Status.TODO && !away) {
                assertThat(is.notBefore().orElseThrow()).isAfterOrEqualTo(until);
            } else {
                assertThat(is).isEqualTo(was);
            }
        }
    }

    @Property(tries = 60)
    void onlyWhatCanFollowIsLetFollow(@ForAll @LongRange(min = 0, max = 5000) long seed) {
        ShopSnapshot shop = shop(seed);
        if (shop.commitments().isEmpty()) {
            return;
        }
        Instant until = shop.now().plus(LATER);
        ShopSnapshot after = MoveEffects.apply(
                shop, new Move.LetFollow(shop.commitments().get(0).id(), until));
        onlyWorksChange(shop, after);
        for (int i = 0; i < shop.works().size(); i++) {
            Work was = shop.works().get(i);
            if (was.essential() || was.status() != Status.TODO) {
                assertThat(after.works().get(i)).isEqualTo(was);
            }
        }
    }

    @Property(tries = 60)
    void anOutsideFirmIsAskedForItsBest(@ForAll @LongRange(min = 0, max = 5000) long seed) {
        ShopSnapshot shop = shop(seed);
        for (Outwork outwork : first(shop.works(), Outwork.class).stream().toList()) {
            ShopSnapshot after = MoveEffects.apply(shop, new Move.AskEarlier(outwork.id()));
            onlyWorksChange(shop, after);
            Outwork sooner = (Outwork) after.works().get(shop.works().indexOf(outwork));
            assertThat(sooner.turnaround().likely())
                    .isEqualTo(outwork.turnaround().low());
            assertThat(sooner.turnaround().high())
                    .isEqualTo(outwork.turnaround().likely());
        }
    }

    @Property(tries = 60)
    void aStartAtRiskCanCostHalfOfTheWorkAgain(@ForAll @LongRange(min = 0, max = 5000) long seed) {
        ShopSnapshot shop = shop(seed);
        for (Link link : shop.links()) {
            if (link.risk().isEmpty()) {
                ShopSnapshot after = MoveEffects.apply(shop, new Move.StartAtRisk(link.id()));
                assertThat(after.withLinks(shop.links())).isEqualTo(shop);
                Link.Risk risk =
                        after.links().get(shop.links().indexOf(link)).risk().orElseThrow();
                assertThat(risk.chance()).isBetween(0.0, 1.0);
                shop.works().stream()
                        .filter(w -> w.id().equals(link.then()) && w instanceof Job)
                        .forEach(w -> assertThat(risk.rework().value())
                                .isEqualTo(((Job) w).estimate().likely().value() / 2));
                return;
            }
        }
    }

    @Property(tries = 30)
    void theEventIsAWeekLaterAndTheShiftIsOnePersons(@ForAll @LongRange(min = 0, max = 5000) long seed) {
        ShopSnapshot shop = shop(seed);
        for (Commitment date : shop.commitments()) {
            ShopSnapshot after = MoveEffects.apply(shop, new Move.SwapEvent(date.id()));
            assertThat(after.withCommitments(shop.commitments())).isEqualTo(shop);
            assertThat(after.commitments().get(shop.commitments().indexOf(date)).due())
                    .isEqualTo(date.due().plus(Duration.ofDays(7)));
        }
        Person person = shop.people().get(0);
        LocalDate day = LocalDate.ofInstant(shop.now(), shop.zone()).plusDays(1);
        Move.ExtraShift shift = new Move.ExtraShift(person.id(), day, LocalTime.of(18, 0), LocalTime.of(20, 0));
        ShopSnapshot after = MoveEffects.apply(shop, shift);
        assertThat(after.withPeople(shop.people())).isEqualTo(shop);
        assertThat(after.people().get(0).changes())
                .hasSize(person.changes().size() + 1)
                .anyMatch(c -> c.kind() == ShiftChange.Kind.EXTRA && c.covers(day));
        assertThat(MoveEffort.hours(shop, shift)).isEqualTo(2);
    }
}
