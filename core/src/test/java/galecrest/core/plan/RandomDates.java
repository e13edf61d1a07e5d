package galecrest.core.plan;

import galecrest.core.build.Build;
import galecrest.core.time.Minutes;
import galecrest.core.work.Commitment;
import galecrest.core.work.Findings;
import galecrest.core.work.Job;
import galecrest.core.work.Status;
import galecrest.core.work.Work;
import galecrest.core.work.WorkId;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;

/** What random shops have of dates besides: work for later ones, booked slots, parked cars, what may be found. */
public final class RandomDates {
    private RandomDates() {}

    /** The shop with some dates that are booked slots, and some work for a later date or for after all; by luck of its own. */
    static ShopSnapshot withLaterDates(ShopSnapshot shop, Random luck) {
        List<Commitment> dates = shop.commitments().stream()
                .map(c -> new Commitment(
                        c.id(),
                        c.build(),
                        c.name(),
                        c.kind(),
                        c.due(),
                        c.gate(),
                        c.works(),
                        c.weight(),
                        Set.of(),
                        luck.nextInt(8) == 0 ? Optional.of(shop.works().get(0).id()) : Optional.empty()))
                .toList();
        Map<WorkId, Instant> wanted = new HashMap<>();
        Map<WorkId, Commitment> its = new HashMap<>();
        for (Work work : shop.works()) {
            List<Commitment> ofCar = dates.stream()
                    .filter(c -> c.build().equals(work.build()) && !c.named())
                    .toList();
            if (work.status() != Status.DONE && luck.nextInt(4) == 0) {
                int which = luck.nextInt(ofCar.size() + 1);
                wanted.put(
                        work.id(),
                        which == ofCar.size() ? Instant.MAX : ofCar.get(which).due());
                if (which < ofCar.size()) {
                    its.put(work.id(), ofCar.get(which));
                }
            }
        }
        return shop.withCommitments(dates.stream()
                .map(c -> c.leaving(shop.works().stream()
                        .filter(w -> w.build().equals(c.build()) && wanted.containsKey(w.id()))
                        .filter(w -> !c.equals(its.get(w.id())) && !c.due().isAfter(wanted.get(w.id())))
                        .map(Work::id)
                        .collect(Collectors.toSet())))
                .toList());
    }

    /** A random shop with some cars parked. */
    public static ShopSnapshot withParkedCars(long seed, int size) {
        ShopSnapshot shop = RandomShops.shop(seed, size);
        Random luck = new Random(seed * 31);
        return shop.withBuilds(shop.builds().stream()
                .map(b -> luck.nextInt(4) > 0
                        ? b
                        : b.withParked(Optional.of(new Build.Parked(
                                luck.nextBoolean()
                                        ? Optional.empty()
                                        : Optional.of(shop.now().plus(luck.nextInt(20), ChronoUnit.DAYS))))))
                .toList());
    }

    /** The shop, where some jobs may bring something to light. */
    public static ShopSnapshot withFindings(ShopSnapshot shop, long seed) {
        Random luck = new Random(seed * 131);
        return shop.withWorks(shop.works().stream()
                .map(w -> w instanceof Job job && luck.nextInt(4) == 0
                        ? job.withFindings(new Findings(luck.nextDouble(), Minutes.of(luck.nextInt(900))))
                        : w)
                .toList());
    }
}
