package galecrest.server.plan;

import galecrest.core.build.BuildId;
import galecrest.core.plan.Plan;
import galecrest.core.plan.PlanDifference;
import galecrest.core.plan.PlanOptions;
import galecrest.core.plan.ReasonText;
import galecrest.core.plan.ShopSnapshot;
import galecrest.core.plan.WarmStart;
import galecrest.core.planner.Planner;
import galecrest.core.work.Pin;
import galecrest.server.access.CurrentUser;
import galecrest.server.access.ManagerOnly;
import galecrest.server.journal.Journal;
import galecrest.server.problem.ValidationException;
import java.time.Clock;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.atomic.AtomicReference;
import java.util.function.Function;
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
    /** So often a record that has changed meanwhile is read again. */
    private static final int TRIES = 3;

    private final SnapshotRepository snapshots;
    private final PublishedRepository published;
    private final Journal journal;
    private final Clock clock;
    private final CurrentUser who;
    private final TransactionTemplate reading;
    /** Whoever makes the plan that is not there yet; nobody waits for it while holding a connection. */
    private final OneAtATime<Current> making = new OneAtATime<>();

    /** The plan made last of what is in the record. */
    private volatile @Nullable Current current;
    /** The plan of a change that is not in yet, and may never be: for nobody who does not see it in the record. */
    private volatile @Nullable Current coming;

    PlanService(
            SnapshotRepository snapshots,
            PublishedRepository published,
            Journal journal,
            Clock clock,
            CurrentUser who,
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
     * @param shop what there is to plan
     * @param from what the search for it began from
     * @param whole the record with the work of parked cars
     */
    public record Current(
            long change, ShopSnapshot shop, Plan plan, WarmStart guide, Optional<WarmStart> from, ShopSnapshot whole) {}

    /**
     * The plan of this moment; of what is in the record, so it is asked for before a change and not within one.
     *
     * @throws IllegalStateException within a transaction: in a change, what is half done would be taken for the record, and
     *     waiting here while holding a connection would keep it from whoever makes the plan
     */
    public Current current() {
        if (TransactionSynchronizationManager.isActualTransactionActive()) {
            throw new IllegalStateException("The plan was asked for within a transaction; ask for it before.");
        }
        long change = journal.last();
        Instant now = now();
        Current known = current;
        if (fits(known, change, now)) {
            return known;
        }
        Current next = coming;
        if (next != null && next.change() == change && next.shop().now().equals(now)) {
            current = next;
            return next;
        }
        return making.make(
                made -> fits(made, change, now),
                () -> fits(current, change, now) ? current : reading.execute(status -> makeCurrent()));
    }

    /** Whether a plan has a change in it, or later ones too, and is of these five minutes. */
    private static boolean fits(@Nullable Current known, long change, Instant now) {
        return known != null && known.change() >= change && known.shop().now().equals(now);
    }

    private Current makeCurrent() {
        Current made = make(now());
        current = made;
        return made;
    }

    /**
     * What is read beside the plan, of the very record that the plan was made of, whatever others write meanwhile.
     *
     * @param read is given the plan and asks for no other
     */
    public <T> T beside(Function<Current, T> read) {
        for (int i = 0; i < TRIES; i++) {
            Current now = current();
            Optional<T> whole = reading.execute(
                    status -> journal.last() == now.change() ? Optional.of(read.apply(now)) : Optional.empty());
            if (whole.isPresent()) {
                return whole.get();
            }
        }
        // Somebody writes faster than plans are made: then both are of what one transaction sees.
        AtomicReference<T> besides = new AtomicReference<>();
        making.make(
                theirs -> false,
                () -> reading.execute(status -> {
                    Current now = makeCurrent();
                    besides.set(read.apply(now));
                    return now;
                }));
        return besides.get();
    }

    /** The record that the present plan is made of, for whoever needs no plan. */
    public ShopSnapshot shop() {
        Current known = current;
        return fits(known, journal.last(), now())
                ? known.shop()
                : Objects.requireNonNull(reading.execute(status -> shopWithinChange()));
    }

    /** The record with what the open change has written. */
    public ShopSnapshot shopWithinChange() {
        return snapshots.snapshot(now()).inPlan();
    }

    /** The plan as it would be with what the open transaction has written; it may still be rolled back. */
    public Current currentWithinChange() {
        return make(now());
    }

    /** The plan of a shop that is not in the record: what it would be. */
    public Current of(ShopSnapshot shop) {
        return made(-1, shop);
    }

    /** The plan of the record as the open transaction sees it. */
    private Current make(Instant now) {
        long change = journal.last();
        ShopSnapshot shop = snapshots.snapshot(now);
        return made(change, shop);
    }

    private Current made(long change, ShopSnapshot whole) {
        ShopSnapshot shop = whole.inPlan();
        Optional<WarmStart> from = published.guide();
        Planner.Thought thought = think(shop, from);
        return new Current(change, shop, thought.plan(), thought.guide(), from, whole);
    }

    /** The plan of a shop, beginning from what the last long thinking came to. */
    private static Planner.Thought think(ShopSnapshot shop, Optional<WarmStart> from) {
        return Planner.think(shop, PlanOptions.interactive(shop).from(from), (steps, best) -> true);
    }

    /** Takes over what people were told, and where plans begin, from another shop; within the change that is open. */
    public void takeOver(Optional<Plan> told, Optional<Plan> taken, Optional<WarmStart> guide) {
        told.ifPresent(plan -> published.publish(plan, clock.instant(), who.name()));
        taken.ifPresent(published::take);
        guide.ifPresent(published::saveGuide);
    }

    /** A plan as it would stand in the shop as it is now: mended with what has changed since it was made. */
    public Plan withTaken(ShopSnapshot shop, Plan plan) {
        ShopSnapshot standing = shop.withTaken(plan);
        return Planner.plan(standing, PlanOptions.interactive(standing));
    }

    /**
     * The plan of the record as the open change has it, from another on, with the work of some builds free to come sooner or
     * later.
     */
    public Plan lettingGo(Plan from, Set<BuildId> builds) {
        return lettingGo(shopWithinChange(), from, builds);
    }

    /** The present plan with the work of some builds free to come sooner or later. */
    public Plan lettingGo(Current now, Set<BuildId> builds) {
        return lettingGo(now.shop(), now.plan(), builds);
    }

    private static Plan lettingGo(ShopSnapshot shop, Plan from, Set<BuildId> builds) {
        ShopSnapshot standing = shop.withTaken(from);
        return Planner.plan(standing, PlanOptions.interactive(standing).lettingGo(builds));
    }

    /** From here on the plan that stands is this one, within the change that is open. */
    public void take(Plan plan) {
        published.take(plan);
    }

    /**
     * Throws away all that was only about the plan since it was published: pins, tried moves, what was thought out.
     *
     * @param looked the last change of what was looked at, null where nobody says; what others drafted since is not dropped
     *     unseen
     */
    @ManagerOnly
    public void discard(@Nullable Long looked) {
        journal.discardDraft(published.lastPublished().map(Published::change).orElse(0L), looked);
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
        return PlanDifference.between(think(shop, after.from()).plan(), after.plan());
    }

    /** What differs between what people were told and the present plan; empty before anything was published. */
    public Optional<PlanDifference> unpublished(Current now) {
        return now.shop()
                .published()
                .map(told ->
                        PlanDifference.between(StillOpen.of(told, now.shop()), StillOpen.of(now.plan(), now.shop())));
    }

    /**
     * Tells people the present plan.
     *
     * @param looked the last change of what was looked at, null where nobody says; what others drafted since is not told
     *     unseen
     */
    @ManagerOnly
    public void publish(@Nullable Long looked) {
        journal.change("published the plan", () -> {
            journal.mustHaveSeenDrafts(looked);
            Current now = currentWithinChange();
            published.publish(now.plan(), clock.instant(), who.name());
            published.clearTaken();
            published.saveGuide(now.guide());
        });
    }

    /** The same record with the plan that everybody may see: only what people have been told. */
    public static Current told(Current now) {
        return new Current(
                now.change(), now.shop(), ToldPlan.of(now.shop(), now.plan()), now.guide(), now.from(), now.whole());
    }

    /** Whether the plan is what people have been told: there is no draft. */
    public boolean isTold(Current now) {
        return unpublished(now).map(d -> d.moved().isEmpty()).orElse(false);
    }

    /**
     * What changed in the published plan since an account last looked.
     *
     * @param difference empty where it has seen the last one, or none before
     */
    public record News(Optional<Instant> publishedAt, Optional<PlanDifference> difference) {}

    public News newsFor(String username) {
        Optional<PublishedRepository.Told> last = published.last();
        Optional<String> seen = published.seenBy(username);
        ShopSnapshot shop = current().shop();
        return new News(last.map(PublishedRepository.Told::at), last.flatMap(l -> seen.filter(id -> !id.equals(l.id()))
                .flatMap(published::find)
                .map(s -> PlanDifference.between(StillOpen.of(s.plan(), shop), StillOpen.of(l.plan(), shop)))));
    }

    /** The account has seen what is published now. */
    public void markSeen(String username) {
        published.last().ifPresent(l -> published.markSeen(username, l.id(), clock.instant()));
    }

    /**
     * When the plan was last published, and by whom.
     *
     * @param change the change that did it; 0 before the first
     */
    public record Published(Instant at, String by, long change) {}

    public Optional<Published> lastPublished() {
        return published.lastPublished();
    }

    /**
     * Refuses a pin that the plan could not hold. To be called last within the change that has written
     * it; the plan that is made here is kept, so that it need not be made again once the change is in.
     *
     * @throws ValidationException with the planner's reason
     */
    public void requireHeld(Pin pin) {
        Current next = make(now());
        for (Plan.BrokenPin broken : next.plan().brokenPins()) {
            if (broken.pin().equals(pin.id())) {
                String name = new ReasonText(next.shop()).work(pin.work());
                throw new ValidationException("pin", "The pin on " + name + " cannot hold: " + broken.reason());
            }
        }
        coming = next;
    }
}
