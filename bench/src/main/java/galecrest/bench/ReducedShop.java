package galecrest.bench;

import galecrest.core.build.Build;
import galecrest.core.build.BuildId;
import galecrest.core.build.Gate;
import galecrest.core.build.Zone;
import galecrest.core.people.Level;
import galecrest.core.people.Person;
import galecrest.core.people.PersonId;
import galecrest.core.plan.ShopSnapshot;
import galecrest.core.shop.HouseRules;
import galecrest.core.shop.Station;
import galecrest.core.shop.StationId;
import galecrest.core.time.Shift;
import galecrest.core.work.Commitment;
import galecrest.core.work.CommitmentId;
import galecrest.core.work.CrewPlace;
import galecrest.core.work.CureLock;
import galecrest.core.work.Estimate;
import galecrest.core.work.Job;
import galecrest.core.work.Link;
import galecrest.core.work.LinkId;
import galecrest.core.work.Status;
import galecrest.core.work.Work;
import galecrest.core.work.WorkId;
import java.math.BigDecimal;
import java.time.DayOfWeek;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalTime;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;

/**
 * A random shop reduced to what a general solver can be told: bench jobs of one person, stations that one job holds at a
 * time, releases, links, dates with whole weights, nobody ever going home.
 */
public final class ReducedShop {
    private static final Instant NOW = Instant.parse("2027-01-04T00:00:00Z");
    private static final String[] SKILLS = {"fit", "weld", "wire"};

    private ReducedShop() {}

    /** A shop of so many jobs over so many builds; each job at a station is a build of its own to the stations. */
    public static ShopSnapshot of(long seed, int jobs, int builds, int people) {
        Random random = new Random(seed);
        List<Person> hands = new ArrayList<>();
        List<Shift> always = Arrays.stream(DayOfWeek.values())
                .map(d -> new Shift(d, LocalTime.MIDNIGHT, LocalTime.MIDNIGHT))
                .toList();
        for (int p = 0; p < people; p++) {
            Map<String, Level> skills = new HashMap<>();
            skills.put(SKILLS[p % SKILLS.length], Level.LEAD);
            skills.put(SKILLS[random.nextInt(SKILLS.length)], Level.LEAD);
            hands.add(new Person(new PersonId("p" + p), "Hand " + p, skills, always, List.of(), BigDecimal.TEN));
        }
        List<Work> works = new ArrayList<>();
        List<Link> links = new ArrayList<>();
        List<Build> cars = new ArrayList<>();
        List<Commitment> dates = new ArrayList<>();
        int[] total = new int[builds];
        int[] last = new int[builds];
        Arrays.fill(last, -1);
        int[] lastAtStation = last.clone();
        for (int b = 0; b < builds; b++) {
            cars.add(new Build(new BuildId("b" + b), "" + b, "Car " + b, 1, Map.of()));
        }
        int shortest = Math.min(people, SKILLS.length);
        for (int j = 0; j < jobs; j++) {
            int b = j % builds;
            int minutes = 5 * (2 + random.nextInt(20));
            total[b] += minutes;
            boolean atStation = random.nextInt(3) == 0;
            Optional<Instant> release = random.nextInt(5) == 0
                    ? Optional.of(NOW.plus(Duration.ofMinutes(5L * random.nextInt(40))))
                    : Optional.empty();
            works.add(new Job(
                    new WorkId("j" + j),
                    new BuildId("b" + b),
                    "Job " + j,
                    Zone.FRONT,
                    false,
                    false,
                    Estimate.ofMinutes(minutes, minutes, minutes),
                    Optional.empty(),
                    List.of(new CrewPlace(SKILLS[random.nextInt(shortest)], Level.ABLE)),
                    atStation ? Optional.of("bench") : Optional.empty(),
                    false,
                    Duration.ZERO,
                    CureLock.NOTHING,
                    List.of(),
                    Gate.EVENT,
                    true,
                    Status.TODO,
                    release,
                    Optional.empty(),
                    Optional.empty(),
                    Optional.empty(),
                    Optional.empty()));
            if (last[b] >= 0 && random.nextInt(3) > 0) {
                links.add(Link.finishStart(new LinkId("l" + j), new WorkId("j" + last[b]), new WorkId("j" + j)));
            }
            if (atStation) {
                // Jobs of one car may share a station, which a general solver is not told of: they follow one another.
                boolean linked = !links.isEmpty()
                        && links.get(links.size() - 1).id().value().equals("l" + j)
                        && last[b] == lastAtStation[b];
                if (lastAtStation[b] >= 0 && !linked) {
                    links.add(Link.finishStart(
                            new LinkId("m" + j), new WorkId("j" + lastAtStation[b]), new WorkId("j" + j)));
                }
                lastAtStation[b] = j;
            }
            last[b] = j;
        }
        for (int b = 0; b < builds; b++) {
            long due = Math.round(total[b] * (0.6 + random.nextDouble()) / 5) * 5;
            dates.add(new Commitment(
                    new CommitmentId("c" + b),
                    new BuildId("b" + b),
                    "Date " + b,
                    Commitment.Kind.EVENT,
                    NOW.plus(Duration.ofMinutes(due)),
                    Gate.EVENT,
                    Set.of(),
                    1 + random.nextInt(4)));
        }
        return new ShopSnapshot(
                ZoneOffset.UTC,
                NOW,
                hands,
                List.of(
                        new Station(new StationId("s0"), "Bench 0", "bench", List.of()),
                        new Station(new StationId("s1"), "Bench 1", "bench", List.of())),
                List.of(),
                cars,
                works,
                links,
                List.of(),
                dates,
                List.of(),
                HouseRules.datesOnly(),
                Optional.empty(),
                Optional.empty());
    }
}
