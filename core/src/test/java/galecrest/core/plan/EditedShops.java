package galecrest.core.plan;

import galecrest.core.people.Person;
import galecrest.core.people.ShiftChange;
import galecrest.core.planner.Planner;
import galecrest.core.time.Arrival;
import galecrest.core.work.Estimate;
import galecrest.core.work.Hold;
import galecrest.core.work.Job;
import galecrest.core.work.Pin;
import galecrest.core.work.PinId;
import galecrest.core.work.ReasonTag;
import galecrest.core.work.Status;
import galecrest.core.work.Work;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;

/** Random shops in use: a plan was published, then something happened, as in any shop on any day. */
public final class EditedShops {
    private EditedShops() {}

    /** A shop in use: its plan was published, then something happened, some of it hours later. */
    public static ShopSnapshot shop(long seed) {
        ShopSnapshot shop = RandomShops.shop(seed, 8 + (int) (seed % 32));
        Random random = new Random(seed);
        ShopSnapshot now = shop.withPublished(
                        Planner.plan(shop, PlanOptions.interactive(shop).withSteps(20)))
                .at(shop.now().plusSeconds(random.nextInt(3) * 7200L));
        for (int i = 0; i <= random.nextInt(3); i++) {
            now = edit(now, random);
        }
        return now;
    }

    private static ShopSnapshot edit(ShopSnapshot shop, Random random) {
        Instant later = shop.now().plus(Duration.ofHours(1 + random.nextInt(120)));
        List<Work> works = new ArrayList<>(shop.works());
        int at = random.nextInt(works.size());
        return switch (random.nextInt(5)) {
            case 0 ->
                shop.withParts(shop.parts().stream()
                        .map(p -> p.withArrival(Optional.of(Arrival.exactly(later))))
                        .toList());
            case 1 -> {
                List<Pin> pins = new ArrayList<>(shop.pins());
                pins.add(new Pin.NotBefore(
                        new PinId("later" + pins.size()), works.get(at).id(), later));
                yield shop.withPins(pins);
            }
            case 2 -> {
                Person first = shop.people().get(0);
                List<ShiftChange> changes = new ArrayList<>(first.changes());
                var day = later.atZone(shop.zone()).toLocalDate();
                changes.add(ShiftChange.leave(day, day.plusDays(1), "ill"));
                List<Person> people = new ArrayList<>(shop.people());
                people.set(
                        0,
                        new Person(
                                first.id(),
                                first.name(),
                                first.skills(),
                                first.shifts(),
                                changes,
                                first.costPerHour()));
                yield shop.withPeople(people);
            }
            case 3 -> {
                if (works.get(at) instanceof Job job && job.status() == Status.TODO) {
                    works.set(at, job.withHold(new Hold(ReasonTag.PART, "fluids", Optional.of(later))));
                }
                yield shop.withWorks(works);
            }
            default -> {
                if (works.get(at) instanceof Job job) {
                    long likely = job.estimate().likely().value() + 60;
                    works.set(at, job.withCrew(job.crew(), Estimate.ofMinutes(likely, likely, 2 * likely)));
                }
                yield shop.withWorks(works);
            }
        };
    }
}
