package galecrest.core.planner.sgs;

import static org.assertj.core.api.Assertions.assertThat;

import galecrest.core.audit.PlanAudit;
import galecrest.core.people.PersonId;
import galecrest.core.plan.Plan;
import galecrest.core.plan.PlanOptions;
import galecrest.core.plan.RandomShops;
import galecrest.core.plan.ShopSnapshot;
import galecrest.core.plan.Shops;
import galecrest.core.planner.calendar.TimeGrid;
import galecrest.core.planner.calendar.WorkingWindows;
import galecrest.core.planner.network.ActivityNetwork;
import galecrest.core.planner.problem.Activity;
import galecrest.core.planner.problem.Decisions;
import galecrest.core.planner.problem.SchedulingProblem;
import galecrest.core.planner.result.PlanBuilder;
import galecrest.core.planner.search.Evaluator;
import galecrest.core.shop.Station;
import galecrest.core.shop.StationId;
import galecrest.core.time.Span;
import galecrest.core.work.Job;
import galecrest.core.work.Status;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import net.jqwik.api.Assume;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.LongRange;
import org.junit.jupiter.api.Test;

/**
 * Where a schedule puts the last job of its list, nobody could have done it to end sooner: every other crew, station and
 * start that would end sooner breaks a rule of {@link PlanAudit}, which knows nothing of how places are looked for.
 */
class EarliestPlaceTest {
    /** So many of the other places are looked at that end only just sooner, and so many of any. */
    private static final int LOOKED_AT = 30;

    private record Case(SchedulingProblem problem, Plan plan, Job job, Plan.Placed placed) {}

    private record Place(int[] people, int station, int start, int end) {}

    private static ShopSnapshot anyShop(long seed) {
        return RandomShops.shop(3 * seed + 1, 4 + (int) (seed % 12)).withCommitments(List.of());
    }

    /** Many cars, each with a few short jobs, at one or two stations where there is hardly a gap. */
    private static ShopSnapshot crowded(long seed) {
        Random random = new Random(seed);
        Shops shops = Shops.shop();
        for (int i = 0; i < 3; i++) {
            // Other hours make other people: those with the same are one pool.
            shops.person("p" + i, "fit", LocalTime.of(8, 5 * i), LocalTime.of(16, 0));
        }
        for (int i = 0; i <= random.nextInt(2); i++) {
            shops.station("lift " + i, "lift");
        }
        for (int i = 0; i < 8 + random.nextInt(8); i++) {
            Shops.JobShape where = random.nextInt(4) == 0 ? Shops.JobShape.bench() : Shops.JobShape.station("lift");
            shops.job("j" + i, "car " + random.nextInt(6), 5 * (1 + random.nextInt(30)), "fit", where);
        }
        return shops.snapshot();
    }

    /** The shop, scheduled in a random order, where the last of the list is a job to do. */
    private static Optional<Case> of(ShopSnapshot shop, long seed) {
        SchedulingProblem problem = new SchedulingProblem(
                new ActivityNetwork(shop, new TimeGrid(shop.now(), shop.zone(), PlanOptions.HORIZON)));
        if (problem.size == 0) {
            return Optional.empty();
        }
        // A search for a plan passes over hours between those of other work, to be quick; seed 4876 has such a place.
        problem.interleaves = true;
        Evaluator evaluator = new Evaluator(problem);
        int[] order =
                ActivityList.by(problem, new Random(seed).doubles(problem.size).toArray());
        evaluator.make(order, Decisions.none(problem));
        int last = order[order.length - 1];
        boolean free = problem.network.works.get(last) instanceof Job job
                && job.status() == Status.TODO
                && evaluator.schedule.planned(last)
                && ((Activity.JobActivity) problem.activities[last]).exactly() == null;
        if (!free) {
            return Optional.empty();
        }
        Plan plan = PlanBuilder.plan(evaluator.schedule, evaluator.objective);
        Job job = (Job) problem.network.works.get(last);
        return Optional.of(new Case(problem, plan, job, plan.byWork().get(job.id())));
    }

    /** All places that end sooner than the plan has it, whether they break rules or not. */
    private static List<Place> sooner(Case of) {
        List<Station> stations = of.problem.network.shop.stations();
        int[] kind = of.job.stationKind().isEmpty()
                ? new int[] {-1}
                : IntStream.range(0, stations.size())
                        .filter(i -> stations.get(i)
                                .kind()
                                .equals(of.job.stationKind().get()))
                        .toArray();
        List<Place> places = new ArrayList<>();
        int before = of.problem.grid.atOrAfter(of.placed.end());
        for (int[] people : crews(of)) {
            for (int station : kind) {
                WorkingWindows hours = of.problem.calendars.crew(people, station);
                for (int slot = hours.next(0); slot < before; slot = hours.next(slot + 1)) {
                    int end = end(of, hours, slot);
                    if (end < before) {
                        places.add(new Place(people, station, slot, end));
                    }
                }
            }
        }
        return places;
    }

    private static int end(Case of, WorkingWindows hours, int slot) {
        int work = ActivityNetwork.slots(of.job);
        int window = hours.windowAfter(slot);
        if (!of.job.oneGo()) {
            return hours.finish(window, slot, work);
        }
        return slot + work <= hours.endOf(window) ? slot + work : WorkingWindows.NEVER;
    }

    /** All sets of as many people as it takes, whatever they can do. */
    private static List<int[]> crews(Case of) {
        int people = of.problem.network.shop.people().size();
        return IntStream.range(0, 1 << people)
                .filter(set -> Integer.bitCount(set) == of.job.crew().size())
                .mapToObj(set -> IntStream.range(0, people)
                        .filter(i -> (set >> i & 1) == 1)
                        .toArray())
                .toList();
    }

    private static Plan with(Case of, Place place) {
        TimeGrid grid = of.problem.grid;
        ShopSnapshot shop = of.problem.network.shop;
        WorkingWindows hours = of.problem.calendars.crew(place.people, place.station);
        List<Span> at = new ArrayList<>();
        for (int w = hours.windowAfter(place.start); w < hours.count() && hours.startOf(w) < place.end; w++) {
            at.add(grid.span(Math.max(place.start, hours.startOf(w)), Math.min(place.end, hours.endOf(w))));
        }
        List<PersonId> crew = IntStream.of(place.people)
                .mapToObj(i -> shop.people().get(i).id())
                .toList();
        Optional<StationId> station = place.station < 0
                ? Optional.empty()
                : Optional.of(shop.stations().get(place.station).id());
        Plan.Placed other = new Plan.Placed(
                of.job.id(),
                grid.instant(place.start),
                grid.instant(place.end),
                grid.instant(place.end + TimeGrid.slotsFor(of.job.cure())),
                at,
                crew,
                station,
                false,
                of.placed.because());
        return of.plan.withPlaced(
                of.plan.placed().stream().map(p -> p == of.placed ? other : p).toList());
    }

    @Property(tries = 300)
    void whateverWouldEndSoonerBreaksARule(@ForAll @LongRange(min = 0, max = 1_000_000) long seed) {
        soonest(of(anyShop(seed), seed), seed);
    }

    @Property(tries = 300)
    void alsoWhereStationsAreCrowded(@ForAll @LongRange(min = 0, max = 1_000_000) long seed) {
        soonest(of(crowded(seed), seed), seed);
    }

    private static void soonest(Optional<Case> one, long seed) {
        Assume.that(one.isPresent());
        List<Place> places = new ArrayList<>(sooner(one.get()));
        places.sort(Comparator.comparingInt(Place::end).reversed());
        Collections.shuffle(places.subList(Math.min(LOOKED_AT, places.size()), places.size()), new Random(seed));
        ShopSnapshot shop = one.get().problem.network.shop;
        assertThat(PlanAudit.violations(shop, one.get().plan)).isEmpty();
        for (Place place : places.subList(0, Math.min(2 * LOOKED_AT, places.size()))) {
            assertThat(PlanAudit.violations(shop, with(one.get(), place)))
                    .as("%s at %s to %s", one.get().job.name(), place.start, place.end)
                    .isNotEmpty();
        }
    }

    /** The property above looks at places enough, and its way to build a plan anew breaks no rule by itself. */
    @Test
    void thereArePlacesToLookAtAndTheOldOneBuiltAnewIsSound() {
        Set<String> rules = new TreeSet<>();
        int looked = 0;
        for (long seed = 0; seed < 400; seed++) {
            Optional<Case> one = of(anyShop(seed), seed);
            if (one.isEmpty()) {
                continue;
            }
            Case of = one.get();
            ShopSnapshot shop = of.problem.network.shop;
            assertThat(PlanAudit.violations(shop, with(of, asPlanned(of)))).isEmpty();
            for (Place place : sooner(of).stream().limit(20).toList()) {
                looked++;
                rules.addAll(PlanAudit.violations(shop, with(of, place)).stream()
                        .map(v -> v.rule())
                        .collect(Collectors.toSet()));
            }
        }
        assertThat(looked).isGreaterThan(1000);
        assertThat(rules)
                .contains(
                        "crew",
                        "one job at a time",
                        "station",
                        "zone",
                        "whole car",
                        "car away",
                        "cure",
                        "link",
                        "part");
    }

    private static Place asPlanned(Case of) {
        ShopSnapshot shop = of.problem.network.shop;
        int[] people = of.placed.crew().stream()
                .mapToInt(of.problem.network::person)
                .sorted()
                .toArray();
        int station = of.placed
                .station()
                .map(s -> IntStream.range(0, shop.stations().size())
                        .filter(i -> shop.stations().get(i).id().equals(s))
                        .findFirst()
                        .orElseThrow())
                .orElse(-1);
        return new Place(
                people,
                station,
                of.problem.grid.atOrAfter(of.placed.start()),
                of.problem.grid.atOrAfter(of.placed.end()));
    }
}
