package galecrest.server.plan;

import galecrest.core.build.Pin;
import galecrest.core.plan.Guide;
import galecrest.core.plan.Plan;
import galecrest.core.plan.PlanDifference;
import galecrest.core.plan.PlanOptions;
import galecrest.core.plan.Planner;
import galecrest.core.plan.Sentences;
import galecrest.core.plan.ShopSnapshot;
import galecrest.server.access.ManagerOnly;
import galecrest.server.access.Who;
import galecrest.server.journal.Journal;
import galecrest.server.problem.BadInput;
import java.time.Clock;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionSynchronizationManager;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * The plan of the shop as it is now. It is derived, never stored: the same record and the same five minutes give the
 * same plan on every instance; what is kept here only saves making it again.
 */
@Service
public class PlanService {
    private static final int GRID_MINUTES = 5;

    private final SnapshotRepository snapshots;
    private final PublishedRepository published;
    private final Journal journal;
    private final Clock clock;
    private final Who who;
    private final TransactionTemplate reading;
    private @Nullable Current current;

    PlanService(
            SnapshotRepository snapshots,
            PublishedRepository published,
            Journal journal,
            Clock clock,
            Who who,
            org.springframework.transaction.PlatformTransactionManager transactions) {
        this.snapshots = snapshots;
        this.published = published;
        this.journal = journal;
        this.clock = clock;
        this.who = who;
        this.reading = new TransactionTemplate(transactions);
        reading.setReadOnly(true);
        reading.setIsolationLevel(org.springframework.transaction.TransactionDefinition.ISOLATION_REPEATABLE_READ);
    }

    /**
     * The record and the plan made of it.
     *
     * @param change the last change that is in it
     * @param guide what the plan was made of
     */
    public record Current(long change, ShopSnapshot shop, Plan plan, Guide guide) {}

    /**
     * The plan of this moment; of what is in the record, so it is asked for before a change and not within one.
     *
     * @throws IllegalStateException within a change, whose half-done state would be taken for the record
     */
    public synchronized Current current() {
        if (TransactionSynchronizationManager.isActualTransactionActive()
                && !TransactionSynchronizationManager.isCurrentTransactionReadOnly()) {
            throw new IllegalStateException("The plan was asked for within a change; ask for it before.");
        }
        Instant now = now();
        Current known = current;
        if (known != null
                && known.change() == journal.last()
                && known.shop().now().equals(now)) {
            return known;
        }
        Current fresh = reading.execute(status -> make(now));
        current = fresh;
        return fresh;
    }

    /** The record with what the open change has written. */
    public ShopSnapshot shopAsWritten() {
        return snapshots.snapshot(now());
    }

    /** The plan as it would be with what the open transaction has written; it may still be rolled back. */
    public Current asWritten() {
        return make(now());
    }

    /** The plan of the record as the open transaction sees it. */
    private Current make(Instant now) {
        long change = journal.last();
        ShopSnapshot shop = snapshots.snapshot(now);
        Planner.Thought thought = think(shop);
        return new Current(change, shop, thought.plan(), thought.guide());
    }

    /** The plan of a shop, beginning from what the last long thinking came to. */
    private Planner.Thought think(ShopSnapshot shop) {
        return Planner.think(shop, PlanOptions.interactive(shop).from(published.guide()), (steps, best) -> true);
    }

    /** Lets all plans begin from an order that long thinking came to. */
    public void beginFrom(Guide guide, String summary) {
        journal.draft(summary, () -> published.saveGuide(guide));
    }

    /** Throws away all that was only about the plan since it was published: pins, tried moves, what was thought out. */
    @ManagerOnly
    public void discard() {
        Instant told = published.lastPublished().map(Published::at).orElse(Instant.EPOCH);
        journal.discardDraft(told);
    }

    /** The present five minutes; the plan changes with them and with the record, nothing else. */
    private Instant now() {
        Instant minute = clock.instant().truncatedTo(ChronoUnit.MINUTES);
        return minute.minusSeconds(Math.floorMod(minute.getEpochSecond(), GRID_MINUTES * 60L));
    }

    /** What differs between the plan of an earlier record, made again for the same moment, and the present one. */
    public PlanDifference since(Current before, Current after) {
        if (before.shop().now().equals(after.shop().now())) {
            return PlanDifference.between(before.plan(), after.plan());
        }
        ShopSnapshot shop = before.shop().at(after.shop().now());
        return PlanDifference.between(think(shop).plan(), after.plan());
    }

    /** What differs between what people were told and the present plan; empty before anything was published. */
    public Optional<PlanDifference> unpublished(Current now) {
        return now.shop()
                .published()
                .map(told ->
                        PlanDifference.between(StillOpen.of(told, now.shop()), StillOpen.of(now.plan(), now.shop())));
    }

    /** Tells people the present plan. */
    @ManagerOnly
    public void publish() {
        Current now = current();
        journal.change("published the plan", () -> {
            published.publish(now.plan(), clock.instant(), who.name());
            published.saveGuide(now.guide());
        });
    }

    /** The present record with the plan that hands see: only what they have been told. */
    public Current told() {
        Current now = current();
        return new Current(now.change(), now.shop(), ToldPlan.of(now.shop(), now.plan()), now.guide());
    }

    /**
     * What changed in the published plan since an account last looked.
     *
     * @param difference empty where it has seen the last one, or none before
     */
    public record News(Optional<Instant> publishedAt, Optional<PlanDifference> difference) {}

    public News newsFor(String username) {
        Optional<PublishedRepository.Told> last = published.last();
        Optional<PublishedRepository.Told> seen = published.seenBy(username);
        ShopSnapshot shop = current().shop();
        return new News(
                last.map(PublishedRepository.Told::at), last.flatMap(l -> seen.filter(s -> !s.id().equals(l.id()))
                        .map(s -> PlanDifference.between(StillOpen.of(s.plan(), shop), StillOpen.of(l.plan(), shop)))));
    }

    /** The account has seen what is published now. */
    public void saw(String username) {
        published.last().ifPresent(l -> published.saw(username, l.id(), clock.instant()));
    }

    /** When the plan was last published, and by whom. */
    public record Published(Instant at, String by) {}

    public Optional<Published> lastPublished() {
        return published.lastPublished();
    }

    /**
     * Refuses a pin that the plan could not hold. To be called last within the change that has written
     * it; the plan that is made here is kept, so that it need not be made again once the change is in.
     *
     * @throws BadInput with the planner's reason
     */
    public void mustHold(Pin pin) {
        Current next = make(now());
        for (Plan.BrokenPin broken : next.plan().brokenPins()) {
            if (broken.pin().equals(pin.id())) {
                String name = new Sentences(next.shop()).work(pin.work());
                throw new BadInput("pin", "The pin on " + name + " cannot hold: " + broken.reason());
            }
        }
        keep(next);
    }

    /** Its number is that of a change not yet in, so that nobody is given it before it is. */
    private synchronized void keep(Current made) {
        current = made;
    }
}
