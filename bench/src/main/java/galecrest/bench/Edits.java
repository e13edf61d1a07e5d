package galecrest.bench;

import galecrest.core.build.BuildId;
import galecrest.core.parts.PartLine;
import galecrest.core.people.Person;
import galecrest.core.people.ShiftChange;
import galecrest.core.plan.Plan;
import galecrest.core.plan.ShopSnapshot;
import galecrest.core.time.Arrival;
import galecrest.core.work.Estimate;
import galecrest.core.work.Hold;
import galecrest.core.work.Job;
import galecrest.core.work.Pin;
import galecrest.core.work.PinId;
import galecrest.core.work.ReasonTag;
import galecrest.core.work.Status;
import galecrest.core.work.Work;
import galecrest.core.work.WorkId;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;

/** Edits of a day in a shop, made by a seed: half of them on cars whose dates have room, the other half on any. */
final class Edits {
    /** A date with more margin than that has room: two working days, in minutes. */
    private static final long ROOM_MINUTES = 16 * 60;
    /** Edits are made to work of the next so many days, as people do. */
    private static final Duration SOON = Duration.ofDays(10);

    /**
     * An edit.
     *
     * @param what in words, for the log
     * @param build the car it is made to; empty for leave
     * @param shop the shop with it
     */
    record Edit(String what, Optional<BuildId> build, ShopSnapshot shop) {}

    private final ShopSnapshot shop;
    private final Plan plan;
    private final Random random;
    private final Map<WorkId, Plan.Placed> placed;
    private final Set<BuildId> roomy = new HashSet<>();

    private Edits(ShopSnapshot shop, Plan plan, long seed) {
        this.shop = shop;
        this.plan = plan;
        this.random = new Random(seed);
        this.placed = plan.byWork();
        shop.builds().forEach(b -> roomy.add(b.id()));
        for (Plan.Outlook outlook : plan.outlooks()) {
            if (outlook.margin().map(m -> m.value() < ROOM_MINUTES).orElse(true)) {
                shop.commitments().stream()
                        .filter(c -> c.id().equals(outlook.commitment()))
                        .forEach(c -> roomy.remove(c.build()));
            }
        }
    }

    /** So many edits, each of the shop as it is, by the seed. */
    static List<Edit> of(ShopSnapshot shop, Plan plan, int number, long seed) {
        Edits edits = new Edits(shop, plan, seed);
        List<Edit> made = new ArrayList<>();
        while (made.size() < number) {
            edits.make(made.size() % 8, made.size() % 16 < 8).ifPresent(made::add);
        }
        return made;
    }

    private Optional<Edit> make(int kind, boolean withRoom) {
        return switch (kind) {
            case 0 -> latePart(withRoom);
            case 1 -> Optional.of(leave());
            case 2 -> job(withRoom).map(this::held);
            case 3 -> job(withRoom).map(this::finding);
            case 4 -> job(withRoom).map(this::done);
            case 5 -> job(withRoom).map(this::pinned);
            case 6 -> job(withRoom).map(this::newJob);
            default -> job(withRoom).map(this::longer);
        };
    }

    /** A job that is to be done within the next days, of a car with room or of any. */
    private Optional<Job> job(boolean withRoom) {
        List<Job> jobs = shop.works().stream()
                .filter(w -> w instanceof Job && w.status() == Status.TODO && placed.containsKey(w.id()))
                .map(Job.class::cast)
                .filter(j -> !withRoom || roomy.contains(j.build()))
                .filter(j -> placed.get(j.id()).start().isBefore(shop.now().plus(SOON)))
                .sorted(Comparator.comparing(j -> j.id().value()))
                .toList();
        return jobs.isEmpty() ? Optional.empty() : Optional.of(jobs.get(random.nextInt(jobs.size())));
    }

    private Edit with(String what, Job job, Work other) {
        return new Edit(
                what + " " + job.name(),
                Optional.of(job.build()),
                shop.withWorks(shop.works().stream()
                        .map(w -> w.id().equals(job.id()) ? other : w)
                        .toList()));
    }

    private Edit plus(String what, Job job, Job more) {
        List<Work> works = new ArrayList<>(shop.works());
        works.add(more);
        return new Edit(what + " " + job.name(), Optional.of(job.build()), shop.withWorks(works));
    }

    private Optional<Edit> latePart(boolean withRoom) {
        List<PartLine> coming = shop.parts().stream()
                .filter(p -> !p.state().here() && p.arrival().isPresent())
                .filter(p ->
                        carOf(p).filter(b -> !withRoom || roomy.contains(b)).isPresent())
                .toList();
        if (coming.isEmpty()) {
            return job(withRoom).map(this::held);
        }
        PartLine late = coming.get(random.nextInt(coming.size()));
        Duration by = Duration.ofDays(1 + random.nextInt(4));
        Arrival was = late.arrival().orElseThrow();
        Arrival now = new Arrival(
                was.low().plus(by), was.likely().plus(by), was.high().plus(by));
        return Optional.of(new Edit(
                late.name() + " " + by.toDays() + " days late",
                carOf(late),
                shop.withParts(shop.parts().stream()
                        .map(p -> p.id().equals(late.id()) ? p.withArrival(Optional.of(now)) : p)
                        .toList())));
    }

    private Optional<BuildId> carOf(PartLine part) {
        return shop.works().stream()
                .filter(w -> w instanceof Job job && job.parts().contains(part.id()))
                .map(Work::build)
                .findFirst();
    }

    private Edit leave() {
        Person person = shop.people().get(random.nextInt(shop.people().size()));
        LocalDate day = LocalDate.ofInstant(shop.now(), shop.zone()).plusDays(1 + random.nextInt(6));
        List<ShiftChange> changes = new ArrayList<>(person.changes());
        changes.add(new ShiftChange(
                ShiftChange.Kind.LEAVE, day, day, LocalTime.MIDNIGHT, LocalTime.of(13, 0), "a morning"));
        Person away =
                new Person(person.id(), person.name(), person.skills(), person.shifts(), changes, person.costPerHour());
        return new Edit(
                person.name() + " away on " + day,
                Optional.empty(),
                shop.withPeople(
                        shop.people().stream().map(p -> p == person ? away : p).toList()));
    }

    private Edit held(Job job) {
        Instant until = shop.now().plus(Duration.ofHours(24 + random.nextInt(72)));
        return with("held:", job, job.withHold(new Hold(ReasonTag.PART, "a seal", Optional.of(until))));
    }

    private Edit finding(Job job) {
        return plus("found at", job, another(job, "found", 30 + 30 * random.nextInt(5)));
    }

    private Edit newJob(Job job) {
        return plus("new beside", job, another(job, "new", 60 + 60 * random.nextInt(5)));
    }

    private static Job another(Job job, String name, int likely) {
        return job.another(
                new WorkId(job.id().value() + "-" + name),
                name + " at " + job.name(),
                Estimate.ofMinutes(likely / 2, likely, likely * 2));
    }

    private Edit done(Job job) {
        return with("done early:", job, job.asDone(shop.now()));
    }

    private Edit longer(Job job) {
        long likely = job.estimate().likely().value();
        long more = likely + 60 + 30 * random.nextInt(5);
        return with(
                "takes longer:",
                job,
                job.withCrew(
                        job.crew(),
                        Estimate.ofMinutes((int) job.estimate().low().value(), (int) more, (int)
                                Math.max(more, job.estimate().high().value()))));
    }

    private Edit pinned(Job job) {
        Instant at = placed.get(job.id())
                .start()
                .plus(Duration.ofDays(1 + random.nextInt(3)))
                .truncatedTo(ChronoUnit.HOURS);
        List<Pin> pins = new ArrayList<>(shop.pins());
        pins.add(new Pin.NotBefore(new PinId("edit"), job.id(), at));
        return new Edit("not before " + at + ":" + job.name(), Optional.of(job.build()), shop.withPins(pins));
    }
}
