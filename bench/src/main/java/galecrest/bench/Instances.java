package galecrest.bench;

import galecrest.core.build.Build;
import galecrest.core.build.BuildId;
import galecrest.core.build.Gate;
import galecrest.core.build.Zone;
import galecrest.core.people.Level;
import galecrest.core.people.Person;
import galecrest.core.people.PersonId;
import galecrest.core.plan.Plan;
import galecrest.core.plan.ShopSnapshot;
import galecrest.core.shop.HouseRules;
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
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Classic scheduling instances as shops: a resource unit is a person who never goes home, a unit of time is five
 * minutes, the one commitment is due at once, so that its lateness is the makespan.
 */
public final class Instances {
    private static final Instant NOW = Instant.parse("2027-01-04T00:00:00Z");
    static final int UNIT_MINUTES = 5;
    private static final BuildId BUILD = new BuildId("b");

    private final List<Person> people = new ArrayList<>();
    private final List<Work> works = new ArrayList<>();
    private final List<Link> links = new ArrayList<>();

    private Instances() {}

    /**
     * Reads an RCPSP instance in the single-mode text format of PSPLIB (Kolisch and Sprecher, 1996), or a job-shop
     * instance: jobs and machines, then a row a job of machine and duration in pairs.
     *
     * @throws IllegalArgumentException where the text is neither
     */
    public static ShopSnapshot read(String text) {
        Instances shop = new Instances();
        try {
            if (text.contains("PRECEDENCE RELATIONS")) {
                shop.rcpsp(text.lines().toList());
            } else {
                shop.jobShop(text);
            }
        } catch (NumberFormatException | IndexOutOfBoundsException e) {
            throw new IllegalArgumentException("it is neither an RCPSP nor a job-shop instance: " + e.getMessage(), e);
        }
        return shop.snapshot();
    }

    /** The makespan of a plan of an instance, in the instance's units of time. */
    public static long makespan(Plan plan) {
        return plan.placed().stream()
                .mapToLong(p -> Duration.between(NOW, p.ready()).toMinutes() / UNIT_MINUTES)
                .max()
                .orElse(0);
    }

    private static int[] numbers(String line) {
        return Arrays.stream(line.trim().split("[\\s:]+"))
                .filter(w -> !w.isEmpty())
                .mapToInt(Integer::parseInt)
                .toArray();
    }

    private void rcpsp(List<String> lines) {
        int relations = after(lines, "PRECEDENCE RELATIONS") + 1;
        int requests = after(lines, "REQUESTS/DURATIONS") + 2;
        int[] capacity = numbers(lines.get(after(lines, "RESOURCEAVAILABILITIES") + 1));
        for (int r = 0; r < capacity.length; r++) {
            for (int unit = 0; unit < capacity[r]; unit++) {
                person("r" + r, "r" + r + "." + unit);
            }
        }
        for (int i = requests; !lines.get(i).startsWith("*"); i++) {
            int[] row = numbers(lines.get(i));
            if (row[2] > 0) {
                List<CrewPlace> crew = new ArrayList<>();
                for (int r = 0; r < capacity.length; r++) {
                    crew.addAll(Collections.nCopies(row[3 + r], new CrewPlace("r" + r, Level.ABLE)));
                }
                job(row[0], row[2], crew);
            }
        }
        List<WorkId> ids = works.stream().map(Work::id).toList();
        for (int i = relations; !lines.get(i).startsWith("*"); i++) {
            int[] row = numbers(lines.get(i));
            for (int s = 3; s < row.length; s++) {
                if (ids.contains(id(row[0])) && ids.contains(id(row[s]))) {
                    link(row[0], row[s]);
                }
            }
        }
    }

    private static int after(List<String> lines, String heading) {
        for (int i = 0; i < lines.size(); i++) {
            if (lines.get(i).startsWith(heading)) {
                return i + 1;
            }
        }
        throw new IllegalArgumentException("it has no part " + heading + ".");
    }

    private void jobShop(String text) {
        List<String> lines =
                text.lines().filter(l -> !l.isBlank() && !l.startsWith("#")).toList();
        if (lines.isEmpty()) {
            throw new IllegalArgumentException("it is empty.");
        }
        int[] head = numbers(lines.get(0));
        for (int machine = 0; machine < head[1]; machine++) {
            person("m" + machine, "m" + machine);
        }
        for (int j = 0; j < head[0]; j++) {
            int[] row = numbers(lines.get(j + 1));
            for (int o = 0; o < head[1]; o++) {
                int number = j * head[1] + o;
                job(number, row[2 * o + 1], List.of(new CrewPlace("m" + row[2 * o], Level.ABLE)));
                if (o > 0) {
                    link(number - 1, number);
                }
            }
        }
    }

    private void person(String skill, String name) {
        List<Shift> always = Arrays.stream(DayOfWeek.values())
                .map(d -> new Shift(d, LocalTime.MIDNIGHT, LocalTime.MIDNIGHT))
                .toList();
        people.add(new Person(new PersonId(name), name, Map.of(skill, Level.ABLE), always, List.of(), BigDecimal.ONE));
    }

    private static WorkId id(int number) {
        return new WorkId("j" + number);
    }

    private void job(int number, int units, List<CrewPlace> crew) {
        int minutes = units * UNIT_MINUTES;
        works.add(new Job(
                id(number),
                BUILD,
                "Job " + number,
                Zone.FRONT,
                false,
                false,
                Estimate.ofMinutes(minutes, minutes, minutes),
                Optional.empty(),
                crew,
                Optional.empty(),
                false,
                Duration.ZERO,
                CureLock.NOTHING,
                List.of(),
                Gate.EVENT,
                true,
                Status.TODO,
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty()));
    }

    private void link(int first, int then) {
        links.add(Link.finishStart(new LinkId("l" + links.size()), id(first), id(then)));
    }

    private ShopSnapshot snapshot() {
        Commitment done = new Commitment(
                new CommitmentId("c"),
                BUILD,
                "All done",
                Commitment.Kind.EVENT,
                NOW,
                Gate.EVENT,
                java.util.Set.of(),
                1);
        return new ShopSnapshot(
                ZoneOffset.UTC,
                NOW,
                people,
                List.of(),
                List.of(),
                List.of(new Build(BUILD, "1", "Instance", 1, Map.of())),
                works,
                links,
                List.of(),
                List.of(done),
                List.of(),
                HouseRules.datesOnly(),
                Optional.empty(),
                Optional.empty());
    }
}
