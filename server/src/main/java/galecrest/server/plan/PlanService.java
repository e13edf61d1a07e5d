package galecrest.server.plan;

import galecrest.core.build.Pin;
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
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * The plan of the shop as it is now. It is derived, never stored: the same record and the same five minutes give the
 * same plan on every instance; what is kept here only saves making it again.
 */
@Service
public class PlanService {
    private static final int GRID_MINUTES = 5;

    private final SnapshotRepository snapshots;
    private final Journal journal;
    private final Clock clock;
    private final Who who;
    private final TransactionTemplate reading;
    private @Nullable Current current;

    PlanService(
            SnapshotRepository snapshots,
            Journal journal,
            Clock clock,
            Who who,
            org.springframework.transaction.PlatformTransactionManager transactions) {
        this.snapshots = snapshots;
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
     */
    public record Current(long change, ShopSnapshot shop, Plan plan) {}

    /** The plan of this moment. */
    public synchronized Current current() {
        Instant now = now();
        Current known = current;
        if (known != null
                && known.change() == journal.last()
                && known.shop().now().equals(now)) {
            return known;
        }
        Current fresh = reading.execute(status -> {
            long change = journal.last();
            ShopSnapshot shop = snapshots.snapshot(now);
            return new Current(change, shop, Planner.plan(shop, PlanOptions.interactive(shop)));
        });
        current = fresh;
        return fresh;
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
        return PlanDifference.between(Planner.plan(shop, PlanOptions.interactive(shop)), after.plan());
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
        Plan plan = current().plan();
        journal.change("published the plan", () -> snapshots.publish(plan, clock.instant(), who.name()));
    }

    /** When the plan was last published, and by whom. */
    public record Published(Instant at, String by) {}

    public Optional<Published> lastPublished() {
        return snapshots.lastPublished();
    }

    /**
     * Refuses a pin that the plan could not hold.
     *
     * @throws BadInput with the planner's reason
     */
    public void mustHold(Pin pin) {
        ShopSnapshot shop = snapshots.snapshot(now());
        List<Pin> pins = new ArrayList<>(shop.pins());
        pins.removeIf(p -> p.id().equals(pin.id()));
        pins.add(pin);
        Plan plan = Planner.plan(shop.withPins(pins), PlanOptions.interactive(shop));
        for (Plan.BrokenPin broken : plan.brokenPins()) {
            if (broken.pin().equals(pin.id())) {
                String name = new Sentences(shop).work(pin.work());
                throw new BadInput("pin", "The pin on " + name + " cannot hold: " + broken.reason());
            }
        }
    }
}
