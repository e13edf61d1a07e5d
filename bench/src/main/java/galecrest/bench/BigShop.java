package galecrest.bench;

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
import galecrest.core.plan.ShopSnapshot;
import galecrest.core.shop.HouseRules;
import galecrest.core.shop.Station;
import galecrest.core.shop.StationId;
import galecrest.core.time.Arrival;
import galecrest.core.time.Minutes;
import galecrest.core.time.Shift;
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
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;

/**
 * A large shop for measuring, all of it invented: eight people, eight stations, and builds whose jobs run in strands by
 * zone up to their gates, with parts, outwork, cures, leave and dates that are just about to be kept.
 */
public final class BigShop {
    private static final ZoneId ZONE = ZoneId.of("Europe/Berlin");
    private static final LocalDateTime MONDAY = LocalDateTime.of(2027, 2, 1, 8, 0);
    private static final double WORK_HOURS_A_DAY = 8 * 8 * 0.62;
    private static final String[] SKILLS = {"fit", "fit", "fit", "weld", "wire", "engines", "setup", "paint"};
    private static final String[] KINDS = {"lift", "lift", "bay", "bay", "flat patch", "table", "engine room", "wash"};

    private final Random random;
    private final List<Work> works = new ArrayList<>();
    private final List<Link> links = new ArrayList<>();
    private final List<PartLine> parts = new ArrayList<>();
    private final List<Commitment> commitments = new ArrayList<>();
    private final java.util.Set<String> tied = new java.util.HashSet<>();
    private double hours;

    private BigShop(long seed) {
        random = new Random(seed);
    }

    /** A shop of so many builds of so many jobs each. */
    public static ShopSnapshot of(int builds, int jobs, long seed) {
        return new BigShop(seed).make(builds, jobs);
    }

    private ShopSnapshot make(int buildCount, int jobs) {
        List<Build> builds = new ArrayList<>();
        for (int b = 0; b < buildCount; b++) {
            builds.add(new Build(new BuildId("b" + b), "" + (10 + b), "Car " + (10 + b), 1 + b % 3, Map.of()));
            build(b, jobs);
        }
        return new ShopSnapshot(
                ZONE,
                MONDAY.atZone(ZONE).toInstant(),
                people(),
                stations(),
                List.of(new Vendor(
                        new VendorId("v"),
                        "Vendor",
                        "coating",
                        "",
                        weekdays(8, 17),
                        List.of(),
                        Optional.empty(),
                        List.of(),
                        List.of())),
                builds,
                works,
                links,
                parts,
                commitments,
                List.of(),
                HouseRules.defaults(),
                Optional.empty(),
                Optional.empty());
    }

    private static List<Shift> weekdays(int from, int to) {
        return Arrays.stream(DayOfWeek.values())
                .filter(d -> d.getValue() < 6)
                .map(d -> new Shift(d, LocalTime.of(from, 0), LocalTime.of(to, 0)))
                .toList();
    }

    private List<Person> people() {
        List<Person> people = new ArrayList<>();
        for (int i = 0; i < SKILLS.length; i++) {
            Map<String, Level> skills = new HashMap<>();
            skills.put("fit", Level.ABLE);
            skills.put(SKILLS[i], Level.LEAD);
            skills.put(SKILLS[(i + 3) % SKILLS.length], Level.ABLE);
            List<ShiftChange> changes = i % 3 == 0
                    ? List.of(ShiftChange.leave(
                            MONDAY.toLocalDate().plusDays(7L * i + 2),
                            MONDAY.toLocalDate().plusDays(7L * i + 6),
                            "leave"))
                    : List.of();
            people.add(new Person(
                    new PersonId("p" + i),
                    "Hand " + i,
                    skills,
                    weekdays(7 + i % 2, 15 + i % 2),
                    changes,
                    BigDecimal.TEN));
        }
        return people;
    }

    private static List<Station> stations() {
        List<Station> stations = new ArrayList<>();
        for (int i = 0; i < KINDS.length; i++) {
            stations.add(new Station(new StationId("s" + i), KINDS[i] + " " + i, KINDS[i], List.of()));
        }
        return stations;
    }

    private Instant ahead(double days) {
        return MONDAY.plusMinutes(5 * Math.round(days * 288)).atZone(ZONE).toInstant();
    }

    /** Strands by zone, job after job; some jobs also follow one of another strand; then the final work of the car. */
    private void build(int b, int jobs) {
        String name = "b" + b;
        double start = 7.0 / 5 * hours / WORK_HOURS_A_DAY;
        int[] last = new int[Zone.values().length];
        Arrays.fill(last, -1);
        for (int j = 0; j < jobs; j++) {
            Zone zone = Zone.values()[random.nextInt(last.length)];
            boolean finals = j >= jobs - 4;
            String id = name + "." + j;
            if (!finals && j % 40 == 20) {
                outwork(id, name);
            } else {
                job(
                        id,
                        name,
                        zone,
                        finals,
                        j < jobs * 0.6 ? Gate.FIRST_FIRE : j < jobs * 0.85 ? Gate.ROLL_OUT : Gate.TEST);
            }
            if (finals) {
                for (int z = 0; z < last.length; z++) {
                    after(name, last[z], j);
                    last[z] = j;
                }
            } else {
                after(name, last[zone.ordinal()], j);
                last[zone.ordinal()] = j;
                if (random.nextInt(5) == 0) {
                    after(name, last[random.nextInt(last.length)], j);
                }
            }
        }
        double end = Math.max(7.0 / 5 * hours / WORK_HOURS_A_DAY, start + 12);
        commitment(name, "First fire", Commitment.Kind.PROMISE, start + (end - start) * 0.7, Gate.FIRST_FIRE);
        commitment(name, "Test day", Commitment.Kind.SLOT, end + 1, Gate.ROLL_OUT);
        commitment(name, "Event", Commitment.Kind.EVENT, end + 4, Gate.EVENT);
    }

    private void commitment(String build, String name, Commitment.Kind kind, double days, Gate gate) {
        commitments.add(new Commitment(
                new CommitmentId(build + "." + gate),
                new BuildId(build),
                name,
                kind,
                ahead(Math.floor(days) + 0.3),
                gate,
                java.util.Set.of(),
                1));
    }

    private void after(String build, int first, int then) {
        if (first >= 0 && first != then && tied.add(build + "." + first + "-" + then)) {
            LinkId id = new LinkId("l" + links.size());
            links.add(Link.finishStart(id, new WorkId(build + "." + first), new WorkId(build + "." + then)));
        }
    }

    private void job(String id, String build, Zone zone, boolean finals, Gate gate) {
        int likely = 5 * (6 + random.nextInt(random.nextInt(6) == 0 ? 120 : 36));
        hours += likely / 60.0;
        String skill = finals ? "setup" : random.nextInt(5) < 3 ? "fit" : SKILLS[3 + random.nextInt(SKILLS.length - 3)];
        boolean onCar = finals || random.nextInt(4) > 0;
        boolean two = random.nextInt(8) == 0;
        List<CrewPlace> crew = new ArrayList<>(List.of(new CrewPlace(skill, Level.ABLE)));
        if (two) {
            crew.add(new CrewPlace("fit", Level.ABLE));
            hours += likely / 60.0;
        }
        List<PartId> needs = new ArrayList<>();
        if (random.nextInt(12) == 0) {
            PartId part = new PartId("part" + parts.size());
            Instant likelyAt = ahead(1 + 7.0 / 5 * hours / WORK_HOURS_A_DAY * random.nextDouble());
            Arrival arrival = new Arrival(
                    likelyAt.minus(Duration.ofDays(1)), likelyAt, likelyAt.plus(Duration.ofDays(random.nextInt(6))));
            parts.add(new PartLine(
                    part,
                    part.value(),
                    PartState.ORDERED,
                    Optional.of(arrival),
                    Minutes.of(20),
                    Optional.empty(),
                    Optional.empty(),
                    Optional.empty()));
            needs.add(part);
        }
        String kind = finals ? "flat patch" : random.nextBoolean() ? "lift" : "bay";
        boolean cures = random.nextInt(15) == 0;
        works.add(new Job(
                new WorkId(id),
                new BuildId(build),
                "Job " + id,
                zone,
                onCar,
                finals,
                Estimate.ofMinutes(likely * 7L / 10, likely, likely * 18L / 10),
                Optional.empty(),
                crew,
                onCar ? Optional.of(kind) : Optional.empty(),
                false,
                cures ? Duration.ofHours(12) : Duration.ZERO,
                cures && onCar ? CureLock.ZONE : CureLock.NOTHING,
                needs,
                gate,
                random.nextInt(10) > 0,
                Status.TODO,
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty()));
    }

    private void outwork(String id, String build) {
        works.add(new Outwork(
                new WorkId(id),
                new BuildId(build),
                "Coating " + id,
                new VendorId("v"),
                false,
                Duration.ofMinutes(45),
                Optional.empty(),
                new Outwork.Turnaround(2, 4, 8),
                Duration.ofMinutes(45),
                Minutes.of(30),
                Gate.FIRST_FIRE,
                true,
                Status.TODO,
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty()));
    }
}
