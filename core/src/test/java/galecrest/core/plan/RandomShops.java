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
import galecrest.core.planner.Planner;
import galecrest.core.shop.HouseRules;
import galecrest.core.shop.Station;
import galecrest.core.shop.StationId;
import galecrest.core.time.Arrival;
import galecrest.core.time.Closure;
import galecrest.core.time.Minutes;
import galecrest.core.time.Shift;
import galecrest.core.time.Span;
import galecrest.core.vendor.Offer;
import galecrest.core.vendor.Vendor;
import galecrest.core.vendor.VendorId;
import galecrest.core.vendor.VendorRecord;
import galecrest.core.work.Commitment;
import galecrest.core.work.CommitmentId;
import galecrest.core.work.CrewPlace;
import galecrest.core.work.CureLock;
import galecrest.core.work.Estimate;
import galecrest.core.work.Hold;
import galecrest.core.work.Job;
import galecrest.core.work.Link;
import galecrest.core.work.LinkId;
import galecrest.core.work.Outwork;
import galecrest.core.work.Pin;
import galecrest.core.work.PinId;
import galecrest.core.work.ReasonTag;
import galecrest.core.work.RunningIn;
import galecrest.core.work.Status;
import galecrest.core.work.Work;
import galecrest.core.work.WorkId;
import java.math.BigDecimal;
import java.time.DayOfWeek;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.stream.IntStream;

/** Random shops in which every rule of the planner comes up; the same seed gives the same shop. */
public final class RandomShops {
    private static final List<String> SKILLS = List.of("fit", "weld", "wire", "engines");
    private static final List<String> KINDS = List.of("lift", "bay", "bench");
    private static final List<ZoneId> ZONES =
            List.of(ZoneId.of("Europe/Berlin"), ZoneId.of("America/New_York"), ZoneId.of("Australia/Lord_Howe"));
    /** Days near which the clocks change in one of the zones, and a leap day. */
    private static final List<LocalDate> DAYS = List.of(
            LocalDate.of(2027, 3, 26),
            LocalDate.of(2027, 10, 29),
            LocalDate.of(2027, 11, 5),
            LocalDate.of(2028, 2, 28),
            LocalDate.of(2027, 4, 2),
            LocalDate.of(2026, 12, 30));

    private final Random random;
    private final ZoneId zone;
    private final Instant now;
    private final List<Work> works = new ArrayList<>();
    private final List<PartLine> parts = new ArrayList<>();
    private final List<Person> people = new ArrayList<>();
    private final List<Station> stations = new ArrayList<>();
    private final Set<PersonId> atWork = new HashSet<>();

    private RandomShops(long seed) {
        random = new Random(seed);
        zone = pick(ZONES);
        now = pick(DAYS)
                .atTime(random.nextInt(24), random.nextInt(60))
                .atZone(zone)
                .toInstant();
    }

    /** A shop with about so many pieces of work. */
    public static ShopSnapshot shop(long seed, int size) {
        ShopSnapshot shop = new RandomShops(seed).make(size);
        ShopSnapshot told = seed % 3 == 0 ? shop.withPublished(Planner.plan(shop, PlanOptions.once())) : shop;
        return RandomDates.withLaterDates(told, new Random(seed * 7919));
    }

    private <T> T pick(List<T> from) {
        return from.get(random.nextInt(from.size()));
    }

    private boolean chance(double p) {
        return random.nextDouble() < p;
    }

    private ShopSnapshot make(int size) {
        for (int i = 0; i < 1 + random.nextInt(5); i++) {
            people.add(person(i));
        }
        for (int i = 0; i < 1 + random.nextInt(4); i++) {
            List<Closure> closures =
                    chance(0.2) ? List.of(new Closure(day(1), day(1 + random.nextInt(3)), "repair")) : List.of();
            stations.add(new Station(new StationId("s" + i), "Station " + i, pick(KINDS), closures));
        }
        List<Vendor> vendors = List.of(vendor(0), vendor(1));
        List<Build> builds = new ArrayList<>();
        for (int i = 0; i < 1 + random.nextInt(4); i++) {
            Map<Zone, Integer> limits = chance(0.3) ? Map.of(Zone.COCKPIT, 1, Zone.REAR, 3) : Map.of();
            builds.add(new Build(new BuildId("b" + i), "" + i, "Car " + i, 0.5 + random.nextDouble(), limits));
        }
        for (int i = 0; i < 4; i++) {
            parts.add(part(i));
        }
        for (int i = 0; i < size; i++) {
            works.add(work(i, pick(builds).id(), vendors));
        }
        return new ShopSnapshot(
                zone,
                now,
                people,
                stations,
                vendors,
                builds,
                works,
                links(),
                parts,
                commitments(builds),
                pins(),
                HouseRules.defaults(),
                Optional.empty(),
                Optional.empty());
    }

    private LocalDate day(int ahead) {
        return now.atZone(zone).toLocalDate().plusDays(ahead);
    }

    private Person person(int i) {
        Map<String, Level> skills = new HashMap<>();
        for (String skill : SKILLS) {
            if (chance(0.6)) {
                skills.put(skill, pick(List.of(Level.values())));
            }
        }
        List<Shift> shifts = new ArrayList<>();
        boolean nights = chance(0.1);
        for (DayOfWeek day : DayOfWeek.values()) {
            if (day.getValue() < 6 || chance(0.2)) {
                if (nights) {
                    shifts.add(new Shift(day, LocalTime.of(20, 0), LocalTime.MIDNIGHT));
                    shifts.add(new Shift(day, LocalTime.MIDNIGHT, LocalTime.of(4, 0)));
                } else {
                    shifts.add(new Shift(day, LocalTime.of(7 + random.nextInt(2), 30), LocalTime.of(12, 0)));
                    shifts.add(new Shift(day, LocalTime.of(12, 30), LocalTime.of(16, 5 * random.nextInt(12))));
                }
            }
        }
        List<ShiftChange> changes = new ArrayList<>();
        if (chance(0.4)) {
            int from = random.nextInt(5);
            changes.add(ShiftChange.leave(day(from), day(from + random.nextInt(4)), "away"));
        }
        if (chance(0.2)) {
            changes.add(new ShiftChange(
                    ShiftChange.Kind.EXTRA, day(2), day(3), LocalTime.of(16, 0), LocalTime.of(20, 0), "late"));
        }
        if (chance(0.2)) {
            changes.add(new ShiftChange(
                    ShiftChange.Kind.LEAVE, day(1), day(6), LocalTime.of(13, 0), LocalTime.MIDNIGHT, "half days"));
        }
        boolean never = chance(0.05);
        return new Person(
                new PersonId("p" + i), "Person " + i, skills, never ? List.of() : shifts, changes, BigDecimal.TEN);
    }

    private Vendor vendor(int i) {
        List<Shift> hours = new ArrayList<>();
        for (int d = 1; d <= 5; d++) {
            if (i == 0 || d % 2 == 1) {
                hours.add(new Shift(DayOfWeek.of(d), LocalTime.of(8, 0), LocalTime.of(17, 0)));
            }
        }
        List<Closure> closures = chance(0.3) ? List.of(new Closure(day(2), day(8), "holiday")) : List.of();
        return new Vendor(
                new VendorId("v" + i), "Vendor " + i, "coating", "", hours, closures, record(), offers(i), List.of());
    }

    /** Some of the parts are on the price list. */
    private static List<Offer> offers(int vendor) {
        return IntStream.range(0, 3)
                .mapToObj(i -> new Offer("Part " + (2 * i + vendor % 2), Optional.empty(), i, i + 1, i + 1 + vendor))
                .toList();
    }

    private Optional<VendorRecord> record() {
        List<VendorRecord.Kept> kept = new ArrayList<>();
        for (int i = random.nextInt(5); i > 0; i--) {
            kept.add(new VendorRecord.Kept(now, now.plus(random.nextInt(200) - 50, ChronoUnit.HOURS)));
        }
        return kept.isEmpty() ? Optional.empty() : Optional.of(new VendorRecord(kept));
    }

    private Instant ahead(int hours) {
        return now.plus(random.nextInt(hours * 12) * 5L, ChronoUnit.MINUTES).truncatedTo(ChronoUnit.MINUTES);
    }

    private PartLine part(int i) {
        Instant low = ahead(100).minus(1, ChronoUnit.DAYS);
        Instant likely = low.plus(random.nextInt(40), ChronoUnit.HOURS);
        Optional<Arrival> arrival = chance(0.8)
                ? Optional.of(new Arrival(low, likely, likely.plus(30, ChronoUnit.HOURS)))
                : Optional.empty();
        Optional<PartId> pair = i == 1 ? Optional.of(new PartId("part0")) : Optional.empty();
        Optional<String> override = chance(0.3) ? Optional.of("fits alone") : Optional.empty();
        return new PartLine(
                new PartId("part" + i),
                "Part " + i,
                pick(List.of(PartState.values())),
                arrival,
                Minutes.of(random.nextInt(3) * 20L),
                pair,
                override,
                chance(0.5) ? Optional.of(new VendorId("v" + random.nextInt(3))) : Optional.empty());
    }

    private Work work(int i, BuildId build, List<Vendor> vendors) {
        WorkId id = new WorkId("w" + i);
        Gate gate = pick(List.of(Gate.values()));
        boolean essential = chance(0.8);
        Optional<Instant> notBefore = chance(0.15) ? Optional.of(ahead(80)) : Optional.empty();
        Optional<Hold> hold = chance(0.08)
                ? Optional.of(
                        new Hold(ReasonTag.DECIDE, "ask", chance(0.5) ? Optional.of(ahead(60)) : Optional.empty()))
                : Optional.empty();
        double kind = random.nextDouble();
        if (kind < 0.1) {
            return outwork(id, build, pick(vendors), gate, essential, notBefore, hold);
        }
        if (kind < 0.15) {
            CrewPlace driver = new CrewPlace(pick(SKILLS), Level.LEARNER);
            return new RunningIn(
                    id,
                    build,
                    "Run in " + i,
                    300,
                    random.nextInt(200),
                    120,
                    Minutes.of(90),
                    driver,
                    true,
                    gate,
                    essential,
                    Status.TODO,
                    notBefore,
                    hold,
                    Optional.empty());
        }
        return job(id, build, gate, essential, notBefore, hold);
    }

    private Outwork outwork(
            WorkId id,
            BuildId build,
            Vendor vendor,
            Gate gate,
            boolean essential,
            Optional<Instant> notBefore,
            Optional<Hold> hold) {
        Instant from = ahead(150);
        Optional<Span> slot =
                chance(0.4) ? Optional.of(new Span(from, from.plus(6, ChronoUnit.HOURS))) : Optional.empty();
        boolean gone = chance(0.2);
        Instant back = ahead(70).minus(10, ChronoUnit.HOURS);
        Optional<Outwork.Away> away = gone
                ? Optional.of(new Outwork.Away(
                        now.minus(26, ChronoUnit.HOURS),
                        new Arrival(back, back.plus(5, ChronoUnit.HOURS), back.plus(20, ChronoUnit.HOURS))))
                : Optional.empty();
        return new Outwork(
                id,
                build,
                "Outwork " + id,
                vendor.id(),
                chance(0.5),
                Duration.ofMinutes(5L * random.nextInt(40)),
                slot,
                new Outwork.Turnaround(0, random.nextInt(4), 5),
                Duration.ofMinutes(5L * random.nextInt(40)),
                Minutes.of(random.nextInt(2) * 30L),
                gate,
                essential,
                gone ? Status.STARTED : Status.TODO,
                notBefore,
                hold,
                away,
                Optional.empty());
    }

    private Job job(
            WorkId id, BuildId build, Gate gate, boolean essential, Optional<Instant> notBefore, Optional<Hold> hold) {
        boolean onCar = chance(0.75);
        boolean wholeCar = onCar && chance(0.15);
        boolean oneGo = chance(0.15);
        long likely = oneGo ? 5L * (1 + random.nextInt(30)) : 5L * (1 + random.nextInt(150));
        List<CrewPlace> crew = new ArrayList<>();
        for (int i = 0; i < (chance(0.2) ? 2 : chance(0.03) ? 0 : 1); i++) {
            crew.add(new CrewPlace(pick(SKILLS), chance(0.2) ? Level.LEAD : chance(0.5) ? Level.ABLE : Level.LEARNER));
        }
        List<PartId> needs = chance(0.15) ? List.of(pick(parts).id()) : List.of();
        Duration cure = chance(0.15) ? Duration.ofMinutes(5L * random.nextInt(400)) : Duration.ZERO;
        Optional<String> kind = chance(0.6) ? Optional.of(pick(KINDS)) : Optional.empty();
        Status status = chance(0.1) ? Status.DONE : Status.TODO;
        Optional<Job.Started> started = Optional.empty();
        Optional<Minutes> remaining = Optional.empty();
        Person someone = pick(people);
        if (status == Status.TODO && chance(0.08) && atWork.add(someone.id())) {
            status = Status.STARTED;
            remaining = Optional.of(Minutes.of(5L + random.nextInt((int) likely)));
            Optional<StationId> at = kind.flatMap(k -> stations.stream()
                    .filter(s -> s.kind().equals(k))
                    .map(Station::id)
                    .findFirst());
            kind = at.isPresent() ? kind : Optional.empty();
            List<PersonId> by = chance(0.8) ? List.of(someone.id()) : List.of();
            started = Optional.of(new Job.Started(now.minus(1, ChronoUnit.HOURS), by, at));
        }
        Optional<Instant> doneAt = status == Status.DONE
                ? Optional.of(now.minus(random.nextInt(300), ChronoUnit.MINUTES))
                : Optional.empty();
        return new Job(
                id,
                build,
                "Job " + id,
                pick(List.of(Zone.values())),
                onCar,
                wholeCar,
                Estimate.ofMinutes(likely, likely, likely * 2),
                remaining,
                crew,
                kind,
                oneGo,
                cure,
                pick(List.of(CureLock.values())),
                needs,
                gate,
                essential,
                status,
                notBefore,
                hold,
                started,
                doneAt,
                Optional.empty());
    }

    /** Links from lower to higher numbers, so that they never close a circle. */
    private List<Link> links() {
        List<Link> links = new ArrayList<>();
        for (int to = 1; to < works.size(); to++) {
            for (int i = 0; i < random.nextInt(3); i++) {
                int from = Math.max(0, to - 1 - random.nextInt(6));
                Link.Lag lag = chance(0.2) ? new Link.Lag(Minutes.of(random.nextInt(400)), chance(0.5)) : Link.Lag.NONE;
                Optional<Link.Risk> risk =
                        chance(0.12) ? Optional.of(new Link.Risk(0.2, Minutes.of(60))) : Optional.empty();
                Link.Type type = chance(0.75)
                        ? Link.Type.FINISH_START
                        : chance(0.5) ? Link.Type.START_START : Link.Type.FINISH_FINISH;
                Link link = new Link(
                        new LinkId("l" + links.size()),
                        works.get(from).id(),
                        works.get(to).id(),
                        type,
                        lag,
                        risk);
                boolean there = links.stream()
                        .anyMatch(l ->
                                l.first().equals(link.first()) && l.then().equals(link.then()) && l.type() == type);
                if (!there) {
                    links.add(link);
                }
            }
        }
        return links;
    }

    private List<Commitment> commitments(List<Build> builds) {
        List<Commitment> commitments = new ArrayList<>();
        for (Build build : builds) {
            for (int i = 0; i < random.nextInt(3); i++) {
                Set<WorkId> named = chance(0.2) ? Set.of(pick(works).id()) : Set.of();
                commitments.add(new Commitment(
                        new CommitmentId("c" + commitments.size()),
                        build.id(),
                        "Date " + commitments.size(),
                        pick(List.of(Commitment.Kind.values())),
                        ahead(300).plus(1, ChronoUnit.DAYS),
                        pick(List.of(Gate.values())),
                        named,
                        0.5 + random.nextDouble()));
            }
        }
        return commitments;
    }

    private List<Pin> pins() {
        List<Pin> pins = new ArrayList<>();
        for (int i = 0; i < random.nextInt(5); i++) {
            PinId id = new PinId("pin" + i);
            WorkId work = pick(works).id();
            WorkId other = pick(works).id();
            pins.add(
                    switch (random.nextInt(5)) {
                        case 0 -> new Pin.ToPerson(id, work, pick(people).id());
                        case 1 -> new Pin.ToStation(id, work, pick(stations).id());
                        case 2 -> new Pin.NotBefore(id, work, ahead(90));
                        case 3 -> new Pin.After(id, work, other);
                        default ->
                            new Pin.Exactly(
                                    id,
                                    work,
                                    now.atZone(zone)
                                            .toLocalDate()
                                            .plusDays(random.nextInt(6))
                                            .atTime(8 + random.nextInt(6), 5 * random.nextInt(12))
                                            .atZone(zone)
                                            .toInstant());
                    });
        }
        return pins;
    }
}
