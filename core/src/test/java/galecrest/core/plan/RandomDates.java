package galecrest.core.plan;

import galecrest.core.build.Build;
import galecrest.core.people.Person;
import galecrest.core.shop.Station;
import galecrest.core.time.Minutes;
import galecrest.core.work.Commitment;
import galecrest.core.work.Findings;
import galecrest.core.work.Job;
import galecrest.core.work.Outing;
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
import java.util.stream.Stream;

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
                        luck.nextInt(8) == 0 ? Optional.of(shop.works().get(0).id()) : Optional.empty(),
                        Optional.empty()))
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

    /** The shop, where some cars are away for their dates, with people and stations, and with work to be done there. */
    public static ShopSnapshot withOutings(ShopSnapshot shop, long seed) {
        Random luck = new Random(seed * 17);
        List<Commitment> dates = shop.commitments().stream()
                .map(c -> luck.nextInt(3) > 0 || c.slotOf().isPresent()
                        ? c
                        : c.taking(Optional.of(new Outing(
                                c.due().plus(luck.nextInt(100) - 10, ChronoUnit.HOURS),
                                some(shop.people(), luck).map(Person::id).collect(Collectors.toSet()),
                                some(shop.stations(), luck).map(Station::id).collect(Collectors.toSet()),
                                some(shop.works(), luck)
                                        .filter(w -> w instanceof Job job
                                                && job.started().isEmpty())
                                        .filter(w -> w.build().equals(c.build()) && luck.nextBoolean())
                                        .map(Work::id)
                                        .collect(Collectors.toSet())))))
                .toList();
        return shop.withCommitments(dates);
    }

    private static <T> Stream<T> some(List<T> all, Random luck) {
        return all.stream().filter(t -> luck.nextInt(3) == 0);
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
