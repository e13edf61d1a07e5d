package galecrest.core.plan;

import galecrest.core.build.Build;
import galecrest.core.build.BuildId;
import galecrest.core.build.Gate;
import galecrest.core.build.Zone;
import galecrest.core.parts.PartId;
import galecrest.core.parts.PartLine;
import galecrest.core.parts.PartState;
import galecrest.core.people.Level;
import galecrest.core.people.Person;
import galecrest.core.people.PersonId;
import galecrest.core.people.ShiftChange;
import galecrest.core.shop.HouseRules;
import galecrest.core.shop.Station;
import galecrest.core.shop.StationId;
import galecrest.core.time.Arrival;
import galecrest.core.time.Minutes;
import galecrest.core.time.Shift;
import galecrest.core.time.Span;
import galecrest.core.vendor.Offer;
import galecrest.core.vendor.OfferedSlot;
import galecrest.core.vendor.Vendor;
import galecrest.core.vendor.VendorId;
import galecrest.core.work.Commitment;
import galecrest.core.work.CommitmentId;
import galecrest.core.work.CrewPlace;
import galecrest.core.work.CureLock;
import galecrest.core.work.Estimate;
import galecrest.core.work.Job;
import galecrest.core.work.Link;
import galecrest.core.work.LinkId;
import galecrest.core.work.Outwork;
import galecrest.core.work.Pin;
import galecrest.core.work.Status;
import galecrest.core.work.Work;
import galecrest.core.work.WorkId;
import java.math.BigDecimal;
import java.time.DayOfWeek;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** Small shops for tests, written the way one would tell them: Monday 8:00, shifts 8 to 16, one car. */
public final class Shops {
    public static final ZoneId ZONE = ZoneId.of("Europe/Berlin");
    /** A Monday. */
    public static final LocalDateTime MONDAY = LocalDateTime.of(2027, 2, 1, 8, 0);

    private ZoneId zone = ZONE;
    private LocalDateTime now = MONDAY;
    private final List<Person> people = new ArrayList<>();
    private final List<Station> stations = new ArrayList<>();
    private final List<Work> works = new ArrayList<>();
    private final List<Link> links = new ArrayList<>();
    private final List<PartLine> parts = new ArrayList<>();
    private final List<Commitment> commitments = new ArrayList<>();
    private final List<Pin> pins = new ArrayList<>();
    private final List<Offer> offers = new ArrayList<>();
    private final List<OfferedSlot> slots = new ArrayList<>();
    private final Map<String, Build> builds = new LinkedHashMap<>();

    public static Shops shop() {
        return new Shops();
    }

    public Shops at(LocalDateTime moment, ZoneId there) {
        now = moment;
        zone = there;
        return this;
    }

    public Instant instant(int dayAhead, int hour, int minute) {
        return now.toLocalDate()
                .plusDays(dayAhead)
                .atTime(hour, minute)
                .atZone(zone)
                .toInstant();
    }

    public Shops person(String id, String skill, ShiftChange... changes) {
        return person(id, skill, LocalTime.of(8, 0), LocalTime.of(16, 0), changes);
    }

    public Shops person(String id, String skill, LocalTime from, LocalTime to, ShiftChange... changes) {
        List<Shift> shifts = Arrays.stream(DayOfWeek.values())
                .filter(d -> d.getValue() < 6 || from.equals(to))
                .map(d -> new Shift(d, from, to))
                .toList();
        people.add(
                new Person(new PersonId(id), id, Map.of(skill, Level.ABLE), shifts, List.of(changes), BigDecimal.TEN));
        return this;
    }

    public Shops station(String id, String kind) {
        stations.add(new Station(new StationId(id), id, kind, List.of()));
        return this;
    }

    public Shops part(String id, Instant arrives, int inspection) {
        parts.add(new PartLine(
                new PartId(id),
                id,
                PartState.ORDERED,
                Optional.of(Arrival.exactly(arrives)),
                Minutes.of(inspection),
                Optional.empty(),
                Optional.empty(),
                Optional.empty()));
        return this;
    }

    /** A part that is not ordered yet, to come from the vendor. */
    public Shops wanted(String id) {
        parts.add(new PartLine(
                new PartId(id),
                id,
                PartState.WANTED,
                Optional.empty(),
                Minutes.ZERO,
                Optional.empty(),
                Optional.empty(),
                Optional.of(new VendorId("vendor"))));
        return this;
    }

    /** The vendor has it on its price list, always within so many of its working days. */
    public Shops offer(String what, int days) {
        offers.add(new Offer(what, Optional.empty(), days, days, days));
        return this;
    }

    /** The vendor offers a time of an hour. */
    public Shops offerSlot(String id, Instant from) {
        slots.add(new OfferedSlot(id, new Span(from, from.plusSeconds(3600))));
        return this;
    }

    public Shops pair(String one, String other) {
        parts.replaceAll(p -> p.id().value().equals(one)
                ? new PartLine(
                        p.id(),
                        p.name(),
                        p.state(),
                        p.arrival(),
                        p.inspection(),
                        Optional.of(new PartId(other)),
                        Optional.empty(),
                        Optional.empty())
                : p);
        return this;
    }

    /** A job of a build; shaped further by {@link JobShape}. */
    public Shops job(String id, String build, int minutes, String skill, JobShape... shapes) {
        builds.computeIfAbsent(build, b -> new Build(new BuildId(b), b, b, 1, Map.of()));
        JobShape shape = Arrays.stream(shapes).reduce(JobShape.PLAIN, JobShape::and);
        works.add(new Job(
                new WorkId(id),
                new BuildId(build),
                id,
                shape.zone(),
                shape.onCar(),
                shape.wholeCar(),
                Estimate.ofMinutes(minutes, minutes, minutes),
                Optional.empty(),
                java.util.Collections.nCopies(shape.hands(), new CrewPlace(skill, Level.ABLE)),
                shape.station(),
                shape.oneGo(),
                shape.cure(),
                shape.lock(),
                shape.parts(),
                Gate.EVENT,
                true,
                Status.TODO,
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty()));
        return this;
    }

    /** Outwork at a vendor who is open 8 to 17 on weekdays, an hour away. */
    public Shops outwork(String id, String build, boolean wholeCar, int days) {
        return outwork(id, build, wholeCar, days, Duration.ofHours(1));
    }

    /** The same with another way there. */
    public Shops outwork(String id, String build, boolean wholeCar, int days, Duration out) {
        works.add(new Outwork(
                new WorkId(id),
                new BuildId(build),
                id,
                new VendorId("vendor"),
                wholeCar,
                out,
                Optional.empty(),
                new Outwork.Turnaround(days, days, days),
                Duration.ofHours(1),
                Minutes.ZERO,
                Gate.EVENT,
                true,
                Status.TODO,
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty()));
        return this;
    }

    public Shops after(String first, String then) {
        return link(first, then, Link.Type.FINISH_START, Link.Lag.NONE, Optional.empty());
    }

    public Shops link(String first, String then, Link.Type type, Link.Lag lag, Optional<Link.Risk> risk) {
        links.add(new Link(new LinkId("l" + links.size()), new WorkId(first), new WorkId(then), type, lag, risk));
        return this;
    }

    public Shops due(String id, String build, Instant at) {
        return due(id, build, Commitment.Kind.EVENT, at, 1);
    }

    public Shops due(String id, String build, Commitment.Kind kind, Instant at, double weight) {
        builds.computeIfAbsent(build, b -> new Build(new BuildId(b), b, b, 1, Map.of()));
        commitments.add(
                new Commitment(new CommitmentId(id), new BuildId(build), id, kind, at, Gate.EVENT, Set.of(), weight));
        return this;
    }

    public Shops pin(Pin pin) {
        pins.add(pin);
        return this;
    }

    public ShopSnapshot snapshot() {
        List<Shift> open = Arrays.stream(DayOfWeek.values())
                .filter(d -> d.getValue() < 6)
                .map(d -> new Shift(d, LocalTime.of(8, 0), LocalTime.of(17, 0)))
                .toList();
        return new ShopSnapshot(
                zone,
                now.atZone(zone).toInstant(),
                people,
                stations,
                List.of(new Vendor(
                        new VendorId("vendor"),
                        "vendor",
                        "coating",
                        "",
                        open,
                        List.of(),
                        Optional.empty(),
                        offers,
                        slots)),
                List.copyOf(builds.values()),
                works,
                links,
                parts,
                commitments,
                pins,
                HouseRules.defaults(),
                Optional.empty(),
                Optional.empty());
    }

    /** How a job differs from a plain one: one hand, on the car, at the front, no station. */
    public record JobShape(
            Zone zone,
            boolean onCar,
            boolean wholeCar,
            int hands,
            Optional<String> station,
            boolean oneGo,
            Duration cure,
            CureLock lock,
            List<PartId> parts) {
        public static final JobShape PLAIN = new JobShape(
                Zone.FRONT, true, false, 1, Optional.empty(), false, Duration.ZERO, CureLock.NOTHING, List.of());

        public static JobShape zone(Zone zone) {
            return new JobShape(
                    zone, true, false, 1, Optional.empty(), false, Duration.ZERO, CureLock.NOTHING, List.of());
        }

        public static JobShape bench() {
            return new JobShape(
                    Zone.FRONT, false, false, 1, Optional.empty(), false, Duration.ZERO, CureLock.NOTHING, List.of());
        }

        public static JobShape takesTheCar() {
            return new JobShape(
                    Zone.FRONT, true, true, 1, Optional.empty(), false, Duration.ZERO, CureLock.NOTHING, List.of());
        }

        public static JobShape hands(int hands) {
            return new JobShape(
                    Zone.FRONT,
                    true,
                    false,
                    hands,
                    Optional.empty(),
                    false,
                    Duration.ZERO,
                    CureLock.NOTHING,
                    List.of());
        }

        public static JobShape station(String kind) {
            return new JobShape(
                    Zone.FRONT, true, false, 1, Optional.of(kind), false, Duration.ZERO, CureLock.NOTHING, List.of());
        }

        public static JobShape inOneGo() {
            return new JobShape(
                    Zone.FRONT, true, false, 1, Optional.empty(), true, Duration.ZERO, CureLock.NOTHING, List.of());
        }

        public static JobShape cures(Duration cure, CureLock lock) {
            return new JobShape(Zone.FRONT, true, false, 1, Optional.empty(), false, cure, lock, List.of());
        }

        public static JobShape needs(String part) {
            return new JobShape(
                    Zone.FRONT,
                    true,
                    false,
                    1,
                    Optional.empty(),
                    false,
                    Duration.ZERO,
                    CureLock.NOTHING,
                    List.of(new PartId(part)));
        }

        /** Both differences from the plain job. */
        public JobShape and(JobShape o) {
            return new JobShape(
                    o.zone != PLAIN.zone ? o.zone : zone,
                    onCar && o.onCar,
                    wholeCar || o.wholeCar,
                    Math.max(hands, o.hands),
                    o.station.isPresent() ? o.station : station,
                    oneGo || o.oneGo,
                    o.cure.isZero() ? cure : o.cure,
                    o.lock == CureLock.NOTHING ? lock : o.lock,
                    o.parts.isEmpty() ? parts : o.parts);
        }
    }
}
